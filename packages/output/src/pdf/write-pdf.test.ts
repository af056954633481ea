/** What is written, as readers of PDF see it that are not ours. */
import { beforeAll, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { encode } from 'fast-png';
import {
  beginning,
  convert,
  detectType,
  openDocument,
  readingOf,
  PRINTS,
  sceneOf,
  THEME_DESIGNS,
  type Edit,
  type Passage,
  type PictureData,
  type Print,
  type Scene,
} from '@alvex/core';
import { writePdf } from './write-pdf.ts';

const demo = join(import.meta.dirname, '../../../demo/files');

interface Deck {
  readonly scene: Scene;
  readonly pictures: readonly PictureData[];
  readonly document?: readonly Passage[];
}
async function deckOf(bytes: Uint8Array, name: string): Promise<Deck> {
  const { document, pictures } = await openDocument(bytes, detectType(bytes, name));
  const made = convert(document, beginning(document));
  return { scene: sceneOf(made), pictures, document: readingOf(made) };
}
const text = (source: string): Promise<Deck> => deckOf(new TextEncoder().encode(source), 'x.md');
const written = ({ scene, pictures, document = [] }: Deck, print: Print = 'slides'): Promise<Uint8Array> =>
  writePdf(scene, pictures, { print, paper: 'a4', document });

interface Seen {
  readonly pages: number;
  /** Letters and digits of each page, in no order. */
  readonly letters: readonly string[];
  readonly strings: readonly string[];
  /** Kinds of elements, in the order in which they are read. */
  readonly structure: readonly string[];
  readonly alts: readonly string[];
  readonly outline: readonly string[];
  readonly links: readonly { readonly url?: string; readonly page?: number }[];
  readonly info: Readonly<Record<string, unknown>>;
  readonly lang: string | null;
}
interface Node {
  readonly role?: string;
  readonly alt?: string;
  readonly children?: readonly Node[];
}

/** @param bytes Read by pdfjs. */
async function seen(bytes: Uint8Array): Promise<Seen> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const document = await getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  const [strings, letters, structure, alts]: [string[], string[], string[], string[]] = [[], [], [], []];
  const links: { url?: string; page?: number }[] = [];
  const walk = ({ role, alt, children }: Node): void => {
    if (role !== undefined && role !== 'Root') structure.push(role);
    if (alt !== undefined) alts.push(alt);
    children?.forEach(walk);
  };
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number);
    const { items } = await page.getTextContent();
    const own = items.flatMap((item) => ('str' in item && item.str.trim() !== '' ? [item.str] : []));
    strings.push(...own);
    letters.push(lettersOf(own.join('')));
    const tree = (await page.getStructTree()) as Node | null;
    if (tree !== null) walk(tree);
    for (const { url, dest } of (await page.getAnnotations()) as { url?: string; dest?: string }[]) {
      if (url !== undefined) links.push({ url });
      if (typeof dest !== 'string') continue;
      const [to] = (await document.getDestination(dest)) as [Parameters<typeof document.getPageIndex>[0]];
      links.push({ page: (await document.getPageIndex(to)) + 1 });
    }
  }
  const outline: string[] = [];
  const entries = (list: readonly { title: string; items: unknown[] }[], depth: number): void =>
    list.forEach(({ title, items }) => {
      outline.push(`${'  '.repeat(depth)}${title}`);
      entries(items as never, depth + 1);
    });
  entries(((await document.getOutline()) ?? []) as never, 0);
  const { info } = (await document.getMetadata()) as unknown as { info: Record<string, unknown> };
  const lang = (info as { Language?: string }).Language ?? null;
  const pages = document.numPages;
  await document.destroy();
  return { pages, letters, strings, structure, alts, outline, links, info, lang };
}

/** Content of pages and all else that is packed, as it is written. */
async function contentsOf(bytes: Uint8Array): Promise<readonly string[]> {
  const { inflateSync } = await import('node:zlib');
  const file = Buffer.from(bytes).toString('latin1');
  return [...file.matchAll(/\/FlateDecode\s*>>\s*stream\r?\n([\s\S]*?)endstream/g)].map(([, packed]) => {
    try {
      return inflateSync(Buffer.from(packed!, 'latin1')).toString('latin1');
    } catch {
      return '';
    }
  });
}

/** Each letter and digit with how often it stands, whatever the order. */
const lettersOf = (of: string): string => (of.normalize('NFKC').match(/[\p{L}\p{N}]/gu) ?? []).sort().join('');

/** What a slide says, with its number, as letters. */
function slideLetters({ boxes, number, foot, layout }: Scene['slides'][number]): string {
  const words = boxes.flatMap((box) => {
    if (box.kind === 'text')
      return box.paras.map(
        ({ runs, mark, style }) =>
          `${style === 'point' ? (mark?.text ?? '') : ''}${runs.map((run) => run.text).join('')}`,
      );
    if (box.kind === 'table') return box.cells.map(({ runs }) => runs.map((run) => run.text).join(''));
    return [];
  });
  const numbered = layout.frames.some(({ role }) => role === 'number');
  return lettersOf([...words, foot.footer, foot.date, numbered ? String(number) : ''].join(''));
}

test.each(readdirSync(demo).filter((name) => /\.(docx|md|odt|html)$/.test(name)))(
  '%s: each slide is a page with its words, no more and no less',
  async (name) => {
    const deck = await deckOf(readFileSync(join(demo, name)), name);
    const { pages, letters } = await seen(await written(deck));
    const shown = deck.scene.slides.filter(({ hidden }) => !hidden);
    expect(pages).toBe(shown.length);
    shown.forEach((slide, i) => {
      // A chart says its numbers too, however it writes them.
      if (slide.boxes.some(({ kind }) => kind === 'chart')) return;
      expect([slide.number, letters[i]!.toLowerCase()]).toEqual([slide.number, slideLetters(slide).toLowerCase()]);
    });
  },
);

const EVERYTHING = `---
title: The tide mill
author: Sallow Quay Trust
lang: en
---

# What is broken

The gates, the wheel and the roof were looked at in October by the millwright and two of the volunteers.

- gates, of which there are two, both of oak, hung in the year of the flood and never taken out of the water since
- the **north** gate, see [the log](https://example.org/log)
  - shaft, \`pin -> key\`
- ~~the south gate~~

> You could hear the stones.

Spoken of at length, and [written to](mailto:trust@example.org) besides.

# What it costs

| Work | Year 1 | Year 2 |
|---|---|---|
| Gates | 31,000 | 0 |
| Roof | 27,400 | 6,000 |

# People

1. first
2. second
3. third
4. fourth
`;
let everything: Deck;
beforeAll(async () => {
  everything = await text(EVERYTHING);
});

describe('what a reader of the file is told', () => {
  test('title, author, language; no date of today', async () => {
    const { info, lang } = await seen(await written(everything));
    expect(info).toMatchObject({
      Title: 'The tide mill',
      Author: 'Sallow Quay Trust',
      Creator: 'Alvex',
      IsAcroFormPresent: false,
    });
    expect(String(info.CreationDate)).toMatch(/^D:2000/);
    expect(lang).toBe('en');
  });

  test('sections and slides are bookmarks; links lead out', async () => {
    const { outline, links } = await seen(await written(everything));
    expect(outline[0]).toBe('The tide mill');
    expect(outline).toContain('What is broken');
    expect(outline.map((title) => title.trim())).toEqual(
      everything.scene.slides.filter(({ part }) => part.index === 0).map(({ title }) => title),
    );
    expect(links).toContainEqual({ url: 'https://example.org/log' });
    const { links: noted } = await seen(await written(everything, 'notes'));
    expect(noted).toContainEqual({ url: 'mailto:trust@example.org' });
  });

  test('what its parts are, in the order in which they are read', async () => {
    const { structure } = await seen(await written(everything));
    const count = (role: string): number => structure.filter((one) => one === role).length;
    expect(count('H1') + count('H2')).toBe(everything.scene.slides.filter(({ part }) => !part.continues).length);
    expect(structure.indexOf('H1')).toBeLessThan(structure.indexOf('H2'));
    expect([count('Table'), count('TR'), count('TH'), count('TD')]).toEqual([1, 3, 3, 6]);
    expect(count('L')).toBeGreaterThanOrEqual(2);
    expect(count('LBody')).toBe(count('LI'));
    expect(count('Lbl')).toBe(count('LI'));
    expect(count('Link')).toBe(1);
  });

  test('an agenda leads to its slides', async () => {
    const { document } = await openDocument(new TextEncoder().encode(EVERYTHING), 'markdown');
    const edits: readonly Edit[] = [...beginning(document), { kind: 'matter', part: 'agenda', on: true }];
    const scene = sceneOf(convert(document, edits));
    const { links } = await seen(await written({ scene, pictures: [] }));
    const people = scene.slides.findIndex(({ title }) => title === 'People') + 1;
    expect(people).toBeGreaterThan(1);
    expect(links).toContainEqual({ page: people });
  });

  test('a link within the document leads to the slide of what it means', async () => {
    const { scene } = await text(
      '# The mill\n\n## Gates\n\n- See [the wheel](#wheel)\n- And [nothing](#pit)\n- Oak\n\n## Wheel\n\n- Turns\n- Creaks\n- Stops\n',
    );
    const { links, structure } = await seen(await written({ scene, pictures: [] }));
    const wheel = scene.slides.findIndex(({ title }) => title === 'Wheel') + 1;
    expect(links).toEqual([{ page: wheel }]);
    expect(structure.filter((role) => role === 'Link')).toHaveLength(1);
  });

  test.each(PRINTS)('%s: tagged, titled, with its bookmarks', async (print) => {
    const { structure, outline, pages, info } = await seen(await written(everything, print));
    expect(pages).toBeGreaterThan(0);
    expect(structure.filter((role) => /^H[12]$/.test(role)).length).toBeGreaterThan(2);
    expect(outline.length).toBeGreaterThan(2);
    expect(info.Title).toBe('The tide mill');
  });
});

describe('scripts', () => {
  test.each([
    ['ar', 'طاحونة المد والجزر', 'ساعتان من العمل كل يوم انظر الظل'],
    ['he', 'טחנת הגאות', 'שעתיים של עבודה בכל יום'],
    ['ja', '潮力水車の再開', '水門を直すのが最初です'],
    ['ko', '조력 방앗간', '수문부터 고칩니다'],
    ['zh', '潮汐磨坊', '先修水闸'],
    ['ru', 'Приливная мельница', 'Сначала починить ворота'],
    ['el', 'Ο παλιρροιακός μύλος', 'Πρώτα οι πόρτες'],
    ['vi', 'Cối xay thủy triều', 'Sửa cửa cống trước'],
  ])('%s: every letter of what is written is found again', async (lang, title, point) => {
    const deck = await text(`---\nlang: ${lang}\n---\n\n# ${title}\n\n- ${point}\n- 198,100\n`);
    const bytes = await written(deck);
    const { letters } = await seen(bytes);
    expect(letters.join('')).toContain([...lettersOf(title)][0]!);
    const all = lettersOf(letters.join(''));
    for (const letter of new Set(lettersOf(title + point)))
      expect([letter, [...all].filter((one) => one === letter).length]).toEqual([
        letter,
        [...lettersOf(deck.scene.slides.map(slideLetters).join(''))].filter((one) => one === letter).length,
      ]);
  });

  test('Arabic is read in its order, brackets as they were written', async () => {
    const deck = await text('---\nlang: ar\n---\n\n# المد\n\n- ساعتان من العمل (كل يوم) انظر\n- الطاقة\n');
    const { document } = await openDocument(await written(deck), 'pdf');
    const words = document.blocks
      .flatMap((block) => ('runs' in block ? block.runs.map((run) => run.text) : []))
      .join(' ');
    expect(words).toContain('انظر');
    expect(words).toContain('العمل');
  });

  test('Devanagari and Thai say their text where their glyphs do not', async () => {
    const bytes = await written(await text('# ज्वार चक्की\n\n- पहिया और गड्ढा\n- ซ่อมประตูน้ำก่อน\n'));
    const { strings } = await seen(bytes);
    const utf16 = (said: string): string => Buffer.from(`\ufeff${said}`, 'utf16le').swap16().toString('latin1');
    expect(strings.length).toBeGreaterThan(2);
    // pdfjs leaves the marks to whoever reads them.
    const contents = await contentsOf(bytes);
    const marked = contents.filter((content) => content.includes('/ActualText')).join('');
    // Strings are escaped (ISO 32000-1 §7.3.4.2).
    const signs: Readonly<Record<string, string>> = { n: '\n', r: '\r', t: '\t', b: '\b', f: '\f' };
    const plain = marked.replace(/\\(.)/gs, (_, sign: string) => signs[sign] ?? sign);
    for (const word of ['चक्की', 'गड्ढा', 'ประตูน้ำ'])
      expect([word, plain.includes(utf16(word).slice(2))]).toEqual([word, true]);
  });
});

describe('the file', () => {
  test.each(['slides', 'notes', 'outline'] as const)('%s: the same deck gives the same bytes', async (print) => {
    const sum = async (): Promise<string> =>
      createHash('sha256')
        .update(await written(everything, print))
        .digest('hex');
    expect(await sum()).toBe(await sum());
  });

  test('every theme, on dark and light ground, with all its layouts of cards and charts', async () => {
    const bytes = readFileSync(join(demo, 'sallow-quay-feasibility-report.docx'));
    const { document, pictures } = await openDocument(bytes, 'docx');
    for (const { name } of THEME_DESIGNS) {
      const edits: readonly Edit[] = [...beginning(document), { kind: 'theme', theme: name }];
      const deck = { scene: sceneOf(convert(document, edits)), pictures };
      const { pages, alts } = await seen(await written(deck));
      expect([name, pages]).toEqual([name, deck.scene.slides.length]);
      const figures = deck.scene.slides.flatMap(({ boxes }) =>
        boxes.filter((box) => box.kind === 'chart' || (box.kind === 'picture' && (box.alt ?? '') !== '')),
      );
      expect([name, alts.length]).toEqual([name, figures.length]);
    }
  }, 300_000);

  test('a picture is in it once, wherever it stands; one that is damaged leaves a field', async () => {
    const pixels = Uint8Array.from({ length: 300 * 200 * 3 }, (_, i) => (i * 7919) % 251);
    const png = encode({ width: 300, height: 200, data: pixels, channels: 3, depth: 8 });
    const source = `# A\n\n![The mill](data:image/png;base64,${Buffer.from(png).toString('base64')})\n\n# B\n\n![The mill](data:image/png;base64,${Buffer.from(png).toString('base64')})\n`;
    const deck = await text(source);
    expect(deck.pictures).toHaveLength(1);
    const once = await written(deck);
    expect(
      (
        Buffer.from(once)
          .toString('latin1')
          .match(/\/Subtype \/Image/g) ?? []
      ).length,
    ).toBe(1);
    expect((await seen(once)).alts).toEqual(['The mill', 'The mill']);
    const broken = deck.pictures.map((picture) => ({ ...picture, bytes: picture.bytes.slice(0, 200) }));
    const { pages, alts } = await seen(await written({ ...deck, pictures: broken }));
    expect([pages, alts.length]).toEqual([deck.scene.slides.length, 2]);
  });

  test('a JPEG of which nothing is left is a field too', async () => {
    const head = Buffer.from(
      '/9j/4AAQSkZJRgABAQAAAQABAAD/wAALCAACAAIBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAAAP/aAAgBAQAAPwB//9k=',
      'base64',
    );
    const deck = await text(`# A\n\n![The gate](data:image/jpeg;base64,${head.toString('base64')})\n`);
    expect(deck.pictures).toHaveLength(1);
    const broken = deck.pictures.map((picture) => ({ ...picture, bytes: Uint8Array.from([1, 2, 3]) }));
    expect((await seen(await written({ ...deck, pictures: broken }))).alts).toEqual(['The gate']);
    expect((await seen(await written({ ...deck, pictures: [] }))).alts).toEqual(['The gate']);
  });

  test('what nobody sees leaves no box: tabs, soft hyphens, joiners of signs', async () => {
    const deck = await text(
      '# A\n\n```\nif\tx\n```\n\n- Müh\u00adle\u200b and \u2764\ufe0f \u{1f469}\u200d\u{1f33e}\n',
    );
    // Glyph 0 of every font is the box for what it does not have (OpenType 1.9, `glyf`).
    const pages = (await contentsOf(await written(deck))).filter((content) => content.includes(' TJ'));
    const glyphs = pages.flatMap((content) =>
      [...content.matchAll(/<([0-9a-f]+)>/g)].flatMap(([, hex]) => hex!.match(/.{4}/g) ?? []),
    );
    expect(glyphs.length).toBeGreaterThan(20);
    expect(glyphs).not.toContain('0000');
    const lacking = await contentsOf(await written(await text('# A\n\n- \u{12000}\n')));
    expect(lacking.some((content) => /\[<0000>.*TJ/.test(content))).toBe(true);
  });

  test('tells how far it is', async () => {
    const told: number[] = [];
    await writePdf(everything.scene, [], { print: 'slides', paper: 'a4', progress: (done) => told.push(done) });
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)).toBe(1);
  });

  test('a deck of which all is hidden is a file with an empty page', async () => {
    const slides = everything.scene.slides.map((slide) => ({ ...slide, hidden: true }));
    const { pages, strings } = await seen(await written({ scene: { ...everything.scene, slides }, pictures: [] }));
    expect([pages, strings]).toEqual([1, []]);
  });
});

test('a handout is read as a document: headings, lists, tables with heads, each slide in its place', async () => {
  const source = '# Gates\n\nThey are old.\n\n- north\n\n| Work | Cost |\n|---|---|\n| Sill | 31 |\n';
  const { document } = await openDocument(new TextEncoder().encode(source), 'markdown');
  const made = convert(document, beginning(document));
  const bytes = await writePdf(sceneOf(made), [], { print: 'handout', paper: 'letter', document: readingOf(made) });
  const { structure, letters } = await seen(bytes);
  expect(structure.join(' ')).toMatch(/H1.*Table TR TH.*TD/s);
  expect(letters.join('')).toContain('3');
});

test('slides of a handout stand among the text that one reads below each', async () => {
  const source = '# Gates\n\nThey are old.\n\n# Wheel\n\nIt turns.\n\n# Stones\n\nThey grind.\n';
  const { document } = await openDocument(new TextEncoder().encode(source), 'markdown');
  const made = convert(document, beginning(document));
  const bytes = await writePdf(sceneOf(made), [], { print: 'handout', paper: 'a4', document: readingOf(made) });
  const { structure, pages } = await seen(bytes);
  expect(pages).toBeLessThan(3);
  // One part for each slide, its text in it.
  expect(structure.filter((role) => role === 'Sect')).toHaveLength(3);
});
