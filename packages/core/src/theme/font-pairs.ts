/** Pairs of fonts, chosen apart from the theme. */
export interface FontPair {
  readonly name: string;
  readonly label: string;
  readonly heading: string;
  readonly body: string;
  /** `ships`: open fonts, whose files come with Alvex. `common`: stand on most computers already. */
  readonly source: 'ships' | 'common';
}

const pair = (name: string, label: string, heading: string, body: string, source: FontPair['source']): FontPair => ({
  name,
  label,
  heading,
  body,
  source,
});

export const FONT_PAIRS: readonly FontPair[] = [
  pair('book', 'Book and plain', 'Source Serif 4', 'Source Sans 3', 'ships'),
  pair('upright', 'Upright', 'Fira Sans', 'Open Sans', 'ships'),
  pair('old-style', 'Old style', 'EB Garamond', 'IBM Plex Sans', 'ships'),
  pair('poster', 'Poster', 'Montserrat', 'Source Sans 3', 'ships'),
  pair('engraved', 'Engraved', 'Playfair Display', 'Lora', 'ships'),
  pair('brush', 'Brushed serif', 'Lora', 'Open Sans', 'ships'),
  pair('machine', 'Machine', 'IBM Plex Sans', 'IBM Plex Sans', 'ships'),
  pair('all-serif', 'All serif', 'EB Garamond', 'Source Serif 4', 'ships'),
  pair('geometric', 'Geometric', 'Montserrat', 'Open Sans', 'ships'),
  pair('typed', 'Typed heads', 'JetBrains Mono', 'IBM Plex Sans', 'ships'),
  pair('common-plain', 'Arial', 'Arial', 'Arial', 'common'),
  pair('common-soft', 'Calibri', 'Calibri', 'Calibri', 'common'),
  pair('common-letter', 'Cambria with Calibri', 'Cambria', 'Calibri', 'common'),
  pair('common-screen', 'Georgia with Arial', 'Georgia', 'Arial', 'common'),
  pair('common-roman', 'Times New Roman with Arial', 'Times New Roman', 'Arial', 'common'),
];

export const MONO = { ships: 'JetBrains Mono', common: 'Courier New' } as const;

export const fontPairNamed = (name: string | null): FontPair | undefined =>
  FONT_PAIRS.find((candidate) => candidate.name === name);
