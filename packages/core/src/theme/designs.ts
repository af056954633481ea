/** The themes that ship. */
import type { Area, LayoutDesign, Opening, OpeningNumber } from './build-layouts.ts';
import { HEIGHT, mark, WIDTH } from './build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, steppedOnce, style, TABLE_SIZES, type ThemeDesign } from './design.ts';
import type { ColorName, NamedPalette, Paper, Scheme } from './palette.ts';
import type { Align } from './look.ts';
import type { TextStyle } from './theme.ts';

const palette = (name: string, label: string, paper: Paper, scheme: Scheme, ...colors: string[]): NamedPalette => ({
  name,
  label,
  paper,
  scheme,
  colors,
});

/** Type of a theme by its own sizes; what a theme does not say is as usual. */
function type(
  title: TextStyle,
  body: TextStyle,
  cover: readonly number[],
  section: readonly number[],
  more: Partial<LayoutDesign['styles']> = {},
): LayoutDesign['styles'] {
  return {
    title,
    body,
    cover: { ...title, sizes: cover },
    section: { ...title, sizes: section },
    subtitle: style('body', [22, 20, 18], 'muted'),
    quote: style('heading', [48, 42, 36, 32, 28, 24], 'accent1', { lineSpacing: 1.05 }),
    big: style('heading', [150, 120, 96, 72, 54], 'accent1', { bold: true, lineSpacing: 0.9 }),
    small: style('body', [16, 14, 12], 'muted'),
    ...more,
  };
}

const opening = (title: Area, subtitle: Area, ground: ColorName, align: Align = 'left'): Opening => ({
  title,
  subtitle,
  ground,
  align,
});

/** A section opener with its number. @param sizes Points; the first that fits. */
const numbered = (
  made: Opening,
  area: Area,
  color: ColorName,
  sizes: readonly number[],
  set: NumberSet = {},
): Opening => ({
  ...made,
  number: {
    area,
    style: style('heading', sizes, color, { bold: true, lineSpacing: 0.9 }),
    align: set.align ?? 'left',
    anchor: set.anchor ?? 'bottom',
  },
});
type NumberSet = Partial<Pick<OpeningNumber, 'align' | 'anchor'>>;

/** Quiet paper: a book serif over a fine rule. */
const millrace: ThemeDesign = {
  name: 'millrace',
  label: 'Millrace',
  character: 'Quiet paper, a book serif, one fine rule.',
  dark: false,
  fonts: 'book',
  palettes: [
    palette('reed', 'Reed', 'warm', 'near', '1F5A4A', 'B4632B', '2F5D8A', '8A6D1B', '7A3E5E', '4D6B2F'),
    palette('clay', 'Clay', 'warm', 'opposite', '9A4324'),
    palette('ink', 'Ink', 'white', 'one-hue', '27415F'),
    palette('plum', 'Plum', 'tinted', 'triad', '6A3352'),
  ],
  levels: pointLevels('•–·', 'accent1'),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'muted', lines: 'book' },
  cards: 'column',
  corners: 'square',
  hand: hand('numerals', 'dots', { grid: 'solid', base: 1.5, bars: 0.6, dots: 'circle' }),
  layout: {
    title: [0.85, 0.5, 11.633, 1.05],
    content: [0.85, 1.85, 11.633, 4.9],
    words: 'framed',
    gutter: 0.5,
    titleAnchor: 'bottom',
    titleAlign: 'left',
    styles: type(
      style('heading', [34, 30, 26, 24], 'accent1', { bold: true, lineSpacing: 0.92 }),
      style('body', BODY_SIZES, 'text'),
      [52, 46, 40, 34],
      [44, 38, 34, 30],
    ),
    cover: opening([0.85, 1.75, 10.6, 2.2], [0.85, 4.3, 10.6, 1.3], 'ground'),
    section: numbered(
      opening([2.95, 2.2, 9.5, 2.2], [2.95, 4.75, 9.5, 2.0], 'panel'),
      [0.85, 2.2, 1.95, 2.2],
      'accent2',
      [110, 88, 66, 48],
    ),
    foot: [0.85, 6.95, 11.633],
    marks: {
      cover: [mark('accent1', [0.85, 4.1, 1.6, 0.045])],
      section: [mark('accent1', [0.85, 4.54, 11.633, 0.018])],
      content: [mark('accent1', [0.85, 1.64, 11.633, 0.018])],
    },
  },
};

/** Bright and upright: a coloured edge, a plain sans. */
const slipway: ThemeDesign = {
  name: 'slipway',
  label: 'Slipway',
  character: 'White, upright, a broad coloured edge.',
  dark: false,
  fonts: 'upright',
  palettes: [
    palette('deep', 'Deep water', 'white', 'near', '0F4C75', 'C2410C', '2E7D5B', '7A5AA6', '9A6B00', '8C2F4B'),
    palette('rust', 'Rust', 'white', 'opposite', 'A33B12'),
    palette('moss', 'Moss', 'cool', 'near', '3B6B2F'),
    palette('slate', 'Slate', 'cool', 'one-hue', '3A4A5C'),
  ],
  levels: pointLevels('▪–·', 'accent2', 22),
  table: { sizes: TABLE_SIZES, headColor: 'ground', headText: 'accent1', rule: 'accent1', lines: 'base' },
  cards: 'rule',
  corners: 'square',
  hand: hand('chevrons', 'band', { grid: 'solid', base: 2.25, bars: 0.72, dots: 'square' }),
  layout: {
    title: [1.0, 0.45, 11.6, 1.1],
    content: [1.0, 1.75, 11.6, 5.0],
    words: 'reversed',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [32, 28, 26, 24], 'accent1', { bold: true, lineSpacing: 0.95 }),
      style('body', BODY_SIZES, 'text'),
      [50, 44, 38, 32],
      [42, 36, 32, 28],
    ),
    cover: opening([1.0, 1.6, 10.6, 2.2], [1.0, 4.05, 10.6, 1.3], 'accent1'),
    section: numbered(
      opening([1.0, 2.0, 7.6, 2.2], [1.0, 4.45, 7.6, 2.2], 'panel'),
      [8.8, 1.2, 3.8, 5.5],
      'accent1',
      [280, 220, 160, 120],
      { align: 'right' },
    ),
    foot: [1.0, 6.95, 11.6],
    marks: {
      cover: [mark('accent2', [0, 0, 0.32, HEIGHT])],
      section: [mark('accent1', [0, 0, 0.32, HEIGHT])],
      content: [mark('accent1', [0, 0, 0.32, HEIGHT])],
    },
  },
};

/** Dark stage: garamond by lamplight. */
const lamplight: ThemeDesign = {
  name: 'lamplight',
  label: 'Lamplight',
  character: 'Dark stage, warm light, an old-style serif.',
  dark: true,
  fonts: 'old-style',
  palettes: [
    palette('lamp', 'Lamp', 'cool', 'near', 'F0B35A', '7FC4B8', 'E58A6C', '9DB4E8', 'C8D27A', 'D79BC0'),
    palette('ember', 'Ember', 'warm', 'near', 'E0703C'),
    palette('moon', 'Moon', 'cool', 'one-hue', '8FB3E0'),
    palette('absinthe', 'Wormwood', 'tinted', 'triad', 'A8C66C'),
  ],
  levels: pointLevels('•◦·', 'accent1'),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'accent1', rule: 'muted', lines: 'rows' },
  cards: 'panel',
  corners: 'round',
  hand: hand('numerals', 'dots', { grid: 'dot', base: 1, bars: 0.5, dots: 'circle' }),
  layout: {
    title: [1.1, 0.55, 11.133, 1.1],
    content: [1.1, 1.9, 11.133, 4.8],
    gutter: 0.5,
    titleAnchor: 'bottom',
    titleAlign: 'left',
    styles: type(
      style('heading', [38, 34, 30, 26], 'accent1', { lineSpacing: 0.9 }),
      style('body', BODY_SIZES, 'text'),
      [60, 52, 46, 38],
      [50, 44, 38, 32],
      { big: style('heading', [170, 140, 110, 80, 60], 'accent1', { lineSpacing: 0.9 }) },
    ),
    cover: opening([1.1, 1.7, 10.1, 2.2], [1.1, 4.2, 10.1, 1.3], 'ground'),
    section: numbered(
      opening([1.1, 2.0, 8.4, 2.2], [1.1, 4.5, 10.1, 2.1], 'panel'),
      [9.7, 1.6, 2.533, 2.6],
      'accent1',
      [150, 120, 90, 66],
      { align: 'right' },
    ),
    pictureCover: {
      ...opening([1.1, 4.75, 11.133, 1.4], [1.1, 6.2, 11.133, 0.95], 'panel'),
      picture: [0, 0, WIDTH, 4.6],
      marks: [mark('accent1', [0, 4.6, WIDTH, 0.04])],
    },
    foot: [1.1, 6.95, 11.133],
    marks: {
      cover: [mark('accent1', [1.1, 4.02, 11.133, 0.02]), mark('accent2', [1.1, 4.07, 11.133, 0.02])],
      section: [mark('accent1', [1.1, 4.32, 11.133, 0.02])],
      content: [mark('panel', [0, 0, 0.6, HEIGHT]), mark('accent1', [0.6, 0, 0.02, HEIGHT])],
    },
  },
};

/** The title has a column of its own, beside the content. */
const foreshore: ThemeDesign = {
  name: 'foreshore',
  label: 'Foreshore',
  character: 'The title in a tinted column of its own, the content beside it.',
  dark: false,
  fonts: 'brush',
  palettes: [
    palette('sand', 'Sand', 'warm', 'opposite', '8A5A1C'),
    palette('kelp', 'Kelp', 'warm', 'near', '4A5F1E'),
    palette('ebb', 'Ebb', 'cool', 'near', '1E5F74'),
    palette('shell', 'Shell', 'tinted', 'near', 'A0455A'),
  ],
  levels: pointLevels('–·', 'accent1', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'accent1', rule: 'accent1', lines: 'rows' },
  cards: 'edge',
  corners: 'round',
  hand: hand('boxes', 'dots', { grid: 'solid', base: 1, bars: 0.62, dots: 'circle' }),
  layout: {
    title: [0.45, 0.7, 3.55, 5.9],
    content: [4.65, 0.75, 8.2, 5.95],
    words: 'bar',
    gutter: 0.4,
    titleAnchor: 'top',
    titleAlign: 'left',
    styles: type(
      style('heading', [30, 28, 26, 24, 22], 'accent1', { bold: true, lineSpacing: 0.98 }),
      style('body', steppedOnce(20), 'text'),
      [50, 44, 38, 32],
      [42, 38, 34, 30],
      { big: style('heading', [130, 110, 90, 70, 54], 'accent1', { bold: true, lineSpacing: 0.9 }) },
    ),
    cover: opening([4.65, 1.5, 8.2, 2.6], [4.65, 4.35, 8.2, 1.3], 'ground'),
    section: numbered(
      opening([4.65, 2.0, 8.2, 2.2], [4.65, 4.45, 8.2, 2.2], 'panel'),
      [0.45, 3.4, 3.3, 3.4],
      'ground',
      [180, 140, 100, 72],
    ),
    pictureCover: {
      ...opening([5.3, 1.5, 7.45, 2.6], [5.3, 4.35, 7.45, 1.3], 'ground'),
      picture: [0, 0, 4.6, HEIGHT],
      marks: [mark('accent2', [4.6, 0, 0.09, HEIGHT])],
    },
    foot: [4.65, 6.98, 8.2],
    marks: {
      cover: [mark('accent1', [0, 0, 4.15, HEIGHT]), mark('accent2', [4.15, 0, 0.09, HEIGHT])],
      section: [mark('accent1', [0, 0, 4.15, HEIGHT])],
      content: [mark('panel', [0, 0, 4.15, HEIGHT]), mark('accent1', [4.15, 0, 0.045, HEIGHT])],
    },
  },
};

/** Huge grotesque type, blocks of colour. */
const semaphore: ThemeDesign = {
  name: 'semaphore',
  label: 'Semaphore',
  character: 'Loud: heavy letters, square blocks of colour.',
  dark: false,
  fonts: 'poster',
  palettes: [
    palette('flag', 'Flag', 'white', 'triad', 'B3261E', '1D4E89', '7A5A00'),
    palette('night', 'Night watch', 'white', 'opposite', '34327A'),
    palette('leaf', 'Leaf', 'white', 'wide', '1B6B45'),
    palette('brick', 'Brick', 'warm', 'near', 'A5451D'),
  ],
  levels: pointLevels('▪–·', 'accent1', 24),
  table: { sizes: TABLE_SIZES, headColor: 'accent1', headText: 'ground', rule: 'text', lines: 'bands' },
  cards: 'solid',
  corners: 'square',
  hand: hand('stairs', 'band', { grid: 'solid', base: 3, bars: 0.86, dots: 'square' }),
  layout: {
    title: [0.7, 0.45, 11.2, 1.25],
    content: [0.7, 2.0, 11.93, 4.75],
    words: 'reversed',
    gutter: 0.55,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [36, 32, 28, 24], 'text', { bold: true, lineSpacing: 0.92 }),
      style('body', BODY_SIZES, 'text'),
      [60, 52, 44, 36],
      [54, 48, 40, 34],
      { quote: style('heading', [40, 34, 30, 26, 22], 'accent1', { bold: true }) },
    ),
    cover: opening([0.9, 2.0, 9.4, 2.9], [0.9, 5.15, 9.4, 1.2], 'accent1'),
    section: numbered(
      opening([0.9, 1.6, 9.4, 2.7], [0.9, 4.55, 9.4, 2.1], 'accent2'),
      [11.05, 4.2, 2.1, 2.7],
      'ground',
      [130, 100, 76, 54],
    ),
    pictureCover: {
      ...opening([0.7, 1.2, 5.4, 3.6], [0.7, 5.0, 5.4, 1.7], 'accent1'),
      picture: [6.667, 0, 6.666, 5.6],
      marks: [mark('accent2', [6.667, 5.6, 3.333, 1.9]), mark('accent3', [10, 5.6, 3.333, 1.9])],
    },
    foot: [0.7, 6.98, 11.93],
    marks: {
      cover: [mark('accent2', [10.9, 0, 2.433, 3.75]), mark('accent3', [10.9, 3.75, 2.433, 3.75])],
      section: [mark('accent1', [10.9, 0, 2.433, HEIGHT])],
      content: [mark('accent1', [12.2, 0, 1.133, 0.85]), mark('accent2', [12.2, 0.85, 1.133, 0.85])],
    },
  },
};

/** Classical and centred, engraved letters between double rules. */
const almanac: ThemeDesign = {
  name: 'almanac',
  label: 'Almanac',
  character: 'Centred, engraved letters between double rules.',
  dark: false,
  fonts: 'engraved',
  palettes: [
    palette('sepia', 'Sepia', 'warm', 'near', '6B4423'),
    palette('madder', 'Madder', 'warm', 'opposite', '8C2B33'),
    palette('indigo', 'Indigo', 'cool', 'near', '2C3E78'),
    palette('verdigris', 'Verdigris', 'tinted', 'opposite', '1F6B5E'),
  ],
  levels: pointLevels('•–·', 'accent2'),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'accent1', lines: 'book' },
  cards: 'column',
  corners: 'round',
  hand: hand('discs', 'leaves', { grid: 'dot', base: 1.5, bars: 0.55, dots: 'diamond' }),
  layout: {
    title: [1.4, 0.62, 10.533, 0.98],
    content: [1.4, 2.0, 10.533, 4.65],
    words: 'framed',
    gutter: 0.6,
    titleAnchor: 'middle',
    titleAlign: 'center',
    styles: type(
      style('heading', [34, 30, 26, 24], 'accent1', { lineSpacing: 0.95 }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.04 }),
      [54, 48, 42, 36],
      [46, 40, 36, 30],
    ),
    cover: opening([1.6, 1.55, 10.133, 2.3], [1.6, 4.3, 10.133, 1.2], 'ground', 'center'),
    section: numbered(
      opening([1.6, 1.2, 10.133, 2.2], [1.6, 4.95, 10.133, 1.8], 'ground', 'center'),
      [1.6, 3.9, 10.133, 0.95],
      'accent2',
      [48, 40, 32],
      { align: 'center', anchor: 'middle' },
    ),
    pictureCover: {
      ...opening([1.6, 4.45, 10.133, 1.3], [1.6, 5.8, 10.133, 0.95], 'ground', 'center'),
      picture: [3.2, 0.85, 6.933, 3.5],
      marks: [
        mark('accent1', [0.45, 0.45, 12.433, 6.6], 'rect', 2.25),
        mark('accent1', [0.57, 0.57, 12.193, 6.36], 'rect', 0.75),
      ],
    },
    foot: [1.4, 6.9, 10.533],
    marks: {
      cover: [
        mark('accent1', [0.45, 0.45, 12.433, 6.6], 'rect', 2.25),
        mark('accent1', [0.57, 0.57, 12.193, 6.36], 'rect', 0.75),
        mark('accent2', [6.47, 3.98, 0.4, 0.2], 'diamond'),
      ],
      section: [mark('accent1', [4.4, 3.62, 4.533, 0.035]), mark('accent1', [4.4, 3.69, 4.533, 0.012])],
      content: [mark('accent1', [1.4, 1.66, 10.533, 0.035]), mark('accent1', [1.4, 1.73, 10.533, 0.012])],
    },
  },
};

/** A drawing board: machine letters, a thin frame with ticks at its corners. */
const draughtsman: ThemeDesign = {
  name: 'draughtsman',
  label: 'Draughtsman',
  character: 'A drawing sheet: thin frame, corner ticks, machine letters.',
  dark: true,
  fonts: 'machine',
  palettes: [
    palette('blueprint', 'Blue sheet', 'tinted', 'one-hue', '6FA8DC'),
    palette('graphite', 'Graphite', 'cool', 'wide', '9AA7B1'),
    palette('vellum', 'Vellum', 'warm', 'opposite', 'C08A3E'),
    palette('circuit', 'Board', 'tinted', 'near', '57B894'),
  ],
  levels: pointLevels('+–·', 'accent1', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'accent1', rule: 'accent1', lines: 'grid' },
  cards: 'outline',
  corners: 'square',
  hand: hand('boxes', 'dots', { grid: 'dash', base: 1, bars: 0.5, dots: 'square' }),
  layout: {
    title: [0.95, 0.7, 11.4, 0.9],
    content: [0.95, 1.9, 11.433, 4.55],
    words: 'outline',
    gutter: 0.45,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [30, 27, 24, 22], 'accent1', { bold: true }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.05 }),
      [48, 42, 36, 30],
      [40, 36, 32, 28],
    ),
    cover: opening([0.95, 1.7, 10.6, 2.2], [0.95, 4.2, 10.6, 1.2], 'ground'),
    section: numbered(
      opening([0.95, 2.1, 10.6, 2.2], [0.95, 4.6, 8.6, 1.85], 'ground'),
      [9.7, 4.5, 2.65, 1.95],
      'accent1',
      [120, 96, 72, 54],
      { align: 'right' },
    ),
    foot: [0.95, 6.62, 11.433],
    marks: {
      cover: [...sheet(), mark('accent1', [0.95, 4.02, 11.433, 0.012])],
      section: [...sheet(), mark('accent1', [0.95, 4.42, 11.433, 0.012])],
      content: [...sheet(), mark('muted', [0.95, 1.68, 11.433, 0.012])],
    },
  },
};

function sheet() {
  const corners = [0.45, WIDTH - 0.45].flatMap((x) => [0.4, HEIGHT - 0.4].map((y) => [x, y] as const));
  return [
    mark('muted', [0.45, 0.4, WIDTH - 0.9, HEIGHT - 0.8], 'rect', 0.75),
    ...corners.flatMap(([x, y]) => [
      mark('accent1', [x - 0.16, y - 0.012, 0.32, 0.024]),
      mark('accent1', [x - 0.012, y - 0.16, 0.024, 0.32]),
    ]),
  ];
}

/** A coloured band across the top that holds the title. */
const headland: ThemeDesign = {
  name: 'headland',
  label: 'Headland',
  character: 'A deep band across the top holds every title.',
  dark: false,
  fonts: 'common-soft',
  palettes: [
    palette('spruce', 'Spruce', 'white', 'opposite', '1F5B57'),
    palette('navy', 'Navy', 'white', 'near', '1F3A63'),
    palette('wine', 'Wine', 'warm', 'near', '7A2340'),
    palette('peat', 'Peat', 'warm', 'opposite', '5A4630'),
  ],
  levels: pointLevels('•–·', 'accent1'),
  table: { sizes: TABLE_SIZES, headColor: 'accent1', headText: 'ground', rule: 'accent1', lines: 'bands' },
  cards: 'edge',
  corners: 'square',
  hand: hand('stairs', 'band', { grid: 'solid', base: 1.5, bars: 0.74, dots: 'circle' }),
  layout: {
    title: [0.75, 0.2, 11.83, 1.0],
    content: [0.75, 1.75, 11.83, 5.0],
    words: 'reversed',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [32, 28, 26, 24], 'ground', { bold: true, lineSpacing: 0.95 }),
      style('body', BODY_SIZES, 'text'),
      [52, 46, 40, 34],
      [44, 40, 36, 30],
      { cover: style('heading', [52, 46, 40, 34], 'accent1', { bold: true, lineSpacing: 0.95 }) },
    ),
    cover: opening([0.75, 2.9, 11.6, 2.0], [0.75, 5.05, 11.6, 1.2], 'ground'),
    section: numbered(
      opening([0.75, 2.1, 10.6, 2.2], [0.75, 4.55, 8.4, 2.1], 'accent1'),
      [9.3, 4.55, 3.28, 2.2],
      'ground',
      [150, 120, 90, 66],
      { align: 'right' },
    ),
    pictureCover: {
      ...opening([0.75, 4.75, 11.83, 1.35], [0.75, 6.15, 11.83, 0.95], 'ground'),
      picture: [0, 0.61, WIDTH, 4.0],
      marks: [mark('accent1', [0, 0, WIDTH, 0.55]), mark('accent2', [0, 0.55, WIDTH, 0.06])],
    },
    foot: [0.75, 6.95, 11.83],
    marks: {
      cover: [mark('accent1', [0, 0, WIDTH, 2.5]), mark('accent2', [0, 2.5, WIDTH, 0.09])],
      section: [mark('accent2', [0.75, 4.38, 11.83, 0.05])],
      content: [mark('accent1', [0, 0, WIDTH, 1.4]), mark('accent2', [0, 1.4, WIDTH, 0.06])],
    },
  },
};

/** A newspaper: a thick and a thin rule over the head, narrow measure. */
const broadsheet: ThemeDesign = {
  name: 'broadsheet',
  label: 'Broadsheet',
  character: 'Newsprint: a thick and a thin rule over large serif heads.',
  dark: false,
  fonts: 'all-serif',
  palettes: [
    palette('print', 'Print', 'white', 'one-hue', '2B2B2B'),
    palette('salmon', 'Salmon', 'tinted', 'near', '9C4A2F'),
    palette('evening', 'Evening', 'cool', 'opposite', '26466B'),
    palette('weekly', 'Weekly', 'warm', 'triad', '7A1F2B'),
  ],
  levels: pointLevels('▸–·', 'accent2'),
  table: { sizes: TABLE_SIZES, headColor: 'ground', headText: 'text', rule: 'text', lines: 'book' },
  cards: 'column',
  corners: 'square',
  hand: hand('numerals', 'leaves', { grid: 'dot', base: 2.25, bars: 0.66, dots: 'square' }),
  layout: {
    title: [0.75, 0.62, 11.83, 1.15],
    content: [0.75, 2.05, 11.83, 4.7],
    words: 'framed',
    gutter: 0.6,
    titleAnchor: 'top',
    titleAlign: 'left',
    styles: type(
      style('heading', [40, 36, 32, 28, 24], 'text', { bold: true, lineSpacing: 0.88 }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 0.98 }),
      [66, 58, 50, 40],
      [54, 48, 42, 34],
      { quote: style('heading', [42, 36, 32, 28, 24], 'text', { lineSpacing: 0.95 }) },
    ),
    cover: opening([0.75, 1.2, 11.83, 3.0], [0.75, 4.75, 11.83, 1.2], 'ground'),
    section: numbered(
      opening([0.75, 1.9, 11.83, 2.3], [0.75, 4.6, 11.83, 2.1], 'ground'),
      [0.75, 0.85, 11.83, 0.95],
      'accent1',
      [54, 44, 36],
      { align: 'right', anchor: 'top' },
    ),
    pictureCover: {
      ...opening([0.75, 0.8, 11.83, 1.55], [0.75, 2.5, 11.83, 0.75], 'ground'),
      picture: [0.75, 3.35, 11.83, 3.7],
      marks: [
        mark('text', [0.75, 0.5, 11.83, 0.13]),
        mark('text', [0.75, 0.69, 11.83, 0.015]),
        mark('text', [0.75, 2.42, 11.83, 0.015]),
      ],
    },
    foot: [0.75, 6.98, 11.83],
    marks: {
      cover: [
        mark('text', [0.75, 0.5, 11.83, 0.13]),
        mark('text', [0.75, 0.69, 11.83, 0.015]),
        mark('text', [0.75, 4.46, 11.83, 0.015]),
      ],
      section: [mark('accent1', [0.75, 0.5, 11.83, 0.13]), mark('text', [0.75, 0.69, 11.83, 0.015])],
      content: [mark('text', [0.75, 0.34, 11.83, 0.09]), mark('text', [0.75, 0.48, 11.83, 0.012])],
    },
  },
};

/** Soft: tinted ground, round shapes. */
const pebble: ThemeDesign = {
  name: 'pebble',
  label: 'Pebble',
  character: 'Soft tinted ground, round stones in the corner.',
  dark: false,
  fonts: 'geometric',
  palettes: [
    palette('lagoon', 'Lagoon', 'tinted', 'near', '1D6E78'),
    palette('heather', 'Heather', 'tinted', 'near', '6C4A8C'),
    palette('apricot', 'Apricot', 'tinted', 'opposite', 'A65A1E'),
    palette('mint', 'Mint', 'tinted', 'wide', '2D6E4E'),
  ],
  levels: pointLevels('•–·', 'accent2', 20),
  table: { sizes: TABLE_SIZES, headColor: 'accent1', headText: 'ground', rule: 'panel', lines: 'bands' },
  cards: 'panel',
  corners: 'round',
  hand: hand('discs', 'leaves', { grid: 'dash', base: 1, bars: 0.6, dots: 'circle' }),
  layout: {
    title: [0.9, 0.55, 10.4, 1.1],
    content: [0.9, 1.9, 11.5, 4.8],
    words: 'panel',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [32, 28, 26, 24], 'accent1', { bold: true, lineSpacing: 0.98 }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.04 }),
      [50, 44, 38, 32],
      [42, 38, 34, 28],
    ),
    cover: opening([0.9, 1.6, 8.2, 2.4], [0.9, 4.25, 8.2, 1.3], 'ground'),
    section: numbered(
      opening([0.9, 2.0, 8.6, 2.2], [0.9, 4.45, 8.6, 2.2], 'panel'),
      [10.1, 1.2, 2.2, 2.2],
      'ground',
      [88, 72, 56],
      { align: 'center', anchor: 'middle' },
    ),
    foot: [0.9, 6.95, 11.5],
    marks: {
      cover: [
        mark('panel', [9.2, 2.4, 6.2, 6.2], 'ellipse'),
        mark('accent1', [10.6, 0.9, 2.1, 2.1], 'ellipse'),
        mark('accent2', [9.7, 3.1, 1.1, 1.1], 'ellipse'),
      ],
      section: [mark('accent1', [9.8, 0.9, 2.8, 2.8], 'ellipse'), mark('accent2', [9.5, 3.5, 0.9, 0.9], 'ellipse')],
      content: [
        mark('accent1', [12.1, 0.5, 0.55, 0.55], 'ellipse'),
        mark('accent2', [11.75, 0.95, 0.3, 0.3], 'ellipse'),
      ],
    },
  },
};

/** A stage at night: plain letters, one thin bright line. */
const nightwatch: ThemeDesign = {
  name: 'nightwatch',
  label: 'Nightwatch',
  character: 'A night stage: plain letters in capitals, one bright line.',
  dark: true,
  fonts: 'poster',
  palettes: [
    palette('beacon', 'Beacon', 'cool', 'wide', '5CC8E6'),
    palette('flare', 'Flare', 'cool', 'opposite', 'F2785C'),
    palette('glow', 'Glow', 'tinted', 'near', '9BD45A'),
    palette('violet', 'Violet', 'tinted', 'triad', 'B79CF0'),
  ],
  levels: pointLevels('▸–·', 'accent1', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'accent1', lines: 'base' },
  cards: 'outline',
  corners: 'square',
  hand: hand('boxes', 'band', { grid: 'dot', base: 2.25, bars: 0.42, dots: 'diamond' }),
  layout: {
    title: [0.9, 0.5, 11.5, 1.0],
    content: [0.9, 1.85, 11.5, 4.85],
    words: 'bar',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [28, 26, 24, 22], 'text', { bold: true, caps: true }),
      style('body', BODY_SIZES, 'text'),
      [46, 40, 36, 30],
      [40, 36, 32, 28],
      { quote: style('heading', [34, 30, 26, 24, 22], 'accent1') },
    ),
    cover: opening([0.9, 2.3, 11.5, 2.2], [0.9, 4.85, 11.5, 1.2], 'ground'),
    section: numbered(
      opening([0.9, 1.9, 11.5, 2.2], [0.9, 5.0, 11.5, 1.8], 'panel'),
      [6.8, 4.15, 2, 0.8],
      'accent1',
      [54, 44, 36],
      { anchor: 'middle' },
    ),
    foot: [0.9, 6.95, 11.5],
    marks: {
      cover: [mark('accent1', [0, 4.62, WIDTH, 0.04])],
      section: [mark('accent1', [0, 4.53, 6.6, 0.04])],
      content: [mark('accent1', [0, 1.56, 3.2, 0.04])],
    },
  },
};

/** As little as possible: small title, wide margins. */
const plainsong: ThemeDesign = {
  name: 'plainsong',
  label: 'Plainsong',
  character: 'Almost nothing: a small title, wide margins, white.',
  dark: false,
  fonts: 'common-plain',
  palettes: [
    palette('chalk', 'Chalk', 'white', 'one-hue', '30343A'),
    palette('pine', 'Pine', 'white', 'one-hue', '2A5C46'),
    palette('cobalt', 'Cobalt', 'white', 'one-hue', '24489C'),
    palette('carmine', 'Carmine', 'white', 'one-hue', '9B1C38'),
  ],
  levels: pointLevels('–··', 'muted', 22),
  table: { sizes: TABLE_SIZES, headColor: 'ground', headText: 'muted', rule: 'panel', lines: 'rows' },
  cards: 'column',
  corners: 'square',
  hand: hand('numerals', 'dots', { grid: 'dot', base: 0.75, bars: 0.4, dots: 'circle' }),
  layout: {
    title: [1.6, 0.75, 10.133, 0.8],
    content: [1.6, 1.95, 10.133, 4.6],
    gutter: 0.6,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [24, 22, 20], 'accent1', { bold: true }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.06 }),
      [44, 40, 36, 30],
      [36, 32, 28, 26],
      { big: style('heading', [160, 130, 100, 76, 54], 'text', { bold: true, lineSpacing: 0.9 }) },
    ),
    cover: opening([1.6, 2.0, 10.133, 2.0], [1.6, 4.2, 10.133, 1.2], 'ground'),
    section: numbered(
      opening([1.6, 3.9, 10.133, 1.3], [1.6, 5.35, 10.133, 1.4], 'ground'),
      [1.6, 0.8, 10.133, 3.0],
      'text',
      [220, 170, 130, 96],
    ),
    foot: [1.6, 6.9, 10.133],
    marks: { cover: [], section: [], content: [] },
  },
};

/** A ledger page: fine lines, a margin rule, typed heads. */
const daybook: ThemeDesign = {
  name: 'daybook',
  label: 'Daybook',
  character: 'A ruled page: margin line, typed heads.',
  dark: false,
  fonts: 'typed',
  palettes: [
    palette('ruled', 'Ruled', 'cool', 'opposite', '34508C'),
    palette('green-ink', 'Green ink', 'warm', 'opposite', '2B6444'),
    palette('red-ink', 'Red ink', 'warm', 'near', '9A2F2A'),
    palette('carbon', 'Carbon', 'cool', 'one-hue', '43454C'),
  ],
  levels: pointLevels('–··', 'accent2', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'muted', lines: 'rows' },
  cards: 'rule',
  corners: 'square',
  hand: hand('chevrons', 'leaves', { grid: 'dash', base: 1.5, bars: 0.56, dots: 'square' }),
  layout: {
    title: [1.75, 0.5, 10.7, 1.0],
    content: [1.75, 1.9, 10.7, 4.75],
    words: 'bar',
    gutter: 0.5,
    titleAnchor: 'bottom',
    titleAlign: 'left',
    styles: type(
      style('heading', [26, 24, 22, 20], 'accent1', { bold: true }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.06 }),
      [42, 38, 34, 28],
      [34, 30, 28, 26],
      { big: style('heading', [120, 100, 84, 68, 54], 'accent1', { bold: true, lineSpacing: 0.95 }) },
    ),
    cover: opening([1.75, 1.8, 10.2, 2.3], [1.75, 4.4, 10.2, 1.2], 'ground'),
    section: numbered(
      opening([1.75, 2.0, 10.2, 2.2], [1.75, 4.5, 10.2, 2.2], 'panel'),
      [0.12, 2.9, 1.1, 1.3],
      'accent1',
      [60, 48, 40],
      { align: 'right' },
    ),
    foot: [1.75, 6.92, 10.7],
    marks: {
      cover: [...margin(), mark('muted', [0, 4.24, WIDTH, 0.01])],
      section: margin(),
      content: [...margin(), mark('muted', [0, 1.64, WIDTH, 0.01]), mark('muted', [0, 6.82, WIDTH, 0.01])],
    },
  },
};

function margin() {
  return [mark('accent2', [1.3, 0, 0.018, HEIGHT]), mark('accent2', [1.37, 0, 0.01, HEIGHT])];
}

export const THEME_DESIGNS: readonly ThemeDesign[] = [
  millrace,
  slipway,
  lamplight,
  foreshore,
  semaphore,
  almanac,
  draughtsman,
  headland,
  broadsheet,
  pebble,
  nightwatch,
  plainsong,
  daybook,
];
