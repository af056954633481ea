/** Decks as text: brought in again they are the same decks, and no word goes. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { decodeUtf8 } from '../../base/index.ts';
import { openZip } from '../../container/index.ts';
import { runsText, type PictureData, type Runs } from '../../content/index.ts';
import type { Slide } from '../../deck/index.ts';
import { blockText, type DocumentModel } from '../../document/index.ts';
import { mapForLevel, presetRecipe } from '../../mapping/index.ts';
import { beginning, convert, openDocument, writeDeck, type Converted } from '../../pipeline/index.ts';
import { detectType } from '../../readers/index.ts';
import { code, doc, h, li, p, picture, quote, random, randomDocument, table } from '../../test/build.ts';
import { encode } from 'fast-png';
import { writePlain } from './index.ts';

const pictureOf = (id: string, i = 0): PictureData => ({
  id: id as never,
  mime: 'image/png',
  width: 4,
  height: 3,
  bytes: encode({ width: 4, height: 3, data: new Uint8Array(4 * 3 * 3).fill(i), channels: 3, depth: 8 }),
});
const demo = (name: string): Uint8Array => readFileSync(join(import.meta.dirname, '../../../../demo/files', name));
const open = async (bytes: Uint8Array, name: string): Promise<DocumentModel> =>
  (await openDocument(bytes, detectType(bytes, name))).document;
const first = (document: DocumentModel): Converted => convert(document, beginning(document));

const inWords = (text: string): readonly string[] => text.match(/[\p{L}\p{N}]+/gu) ?? [];

/** What a slide shows and says, without ids. */
const told = ({ title, content, notes, kind }: Slide) => ({
  kind,
  title: runsText(title.runs).trim(),
  content: content.map((part) =>
    part.kind === 'table'
      ? part.table.rows.map((row) => row.cells.map(({ runs }) => runsText(runs).replace(/\n/g, ' ')))
      : part.kind === 'picture'
        ? `picture ${part.alt}`
        : part.kind === 'point'
          ? [part.level, runsText(part.runs)]
          : [part.style, runsText(part.runs)],
  ),
  notes: notes.map(({ runs }) => runsText(runs)),
});
const again = async (made: Converted, format: 'md' | 'opml', pictures: readonly PictureData[] = []) => {
  const bytes = writeDeck(format, made, pictures);
  return { text: decodeUtf8(bytes), made: first(await open(bytes, `deck.${format}`)) };
};
const shown = ({ deck }: Converted) =>
  deck.slides.filter(({ matter, kind }) => matter === undefined || kind === 'cover').map(told);

describe('Markdown', () => {
  test.each(['sallow-quay-feasibility-report.docx', 'volunteer-induction-course.md', 'minutes-october.docx'])(
    'of %s, brought in again, makes the same slides',
    async (name) => {
      const bytes = demo(name);
      const read = await openDocument(bytes, detectType(bytes, name));
      const made = first(read.document);
      const { made: back } = await again(made, 'md', read.pictures);
      expect(shown(back)).toEqual(shown(made));
      expect(back.document.language).toBe(made.document.language);
    },
  );

  test('keeps the look of text, links, lists by number, tables, quotations, code and pictures', async () => {
    const look: Runs = [
      { text: 'The ' },
      { text: 'north gate ', bold: true },
      { text: 'is', italic: true },
      { text: ' of *oak*, see ' },
      { text: 'the survey', link: 'https://mill.example/a_b?c=(d)' },
      { text: ', CO' },
      { text: '2', position: 'sub' },
      { text: ' and ' },
      { text: 'a | b', code: true },
    ];
    const made = first(
      doc(
        h(1, 'Work # 1'),
        h(2, '1. Gates'),
        li(look),
        li('First', 2, 3),
        li('Second', 2, 4),
        p('1. is no list, - nor is this\n# nor a heading'),
        h(2, 'Pit'),
        table([
          ['Work', 'Cost | sum'],
          ['Gates', '31'],
        ]),
        quote('The sea is never late.'),
        code('let a = `b`;\n\nlet c;'),
        picture('a'.repeat(64), 'The [gate]'),
      ),
    );
    const { text, made: back } = await again(made, 'md', [pictureOf('a'.repeat(64))]);
    expect(shown(back)).toEqual(shown(made));
    const points = back.deck.slides.flatMap(({ content }) => content).filter((part) => part.kind === 'point');
    expect(points[0]!.runs.filter(({ text: words }) => /north|is$|survey|^2$|a \| b/.test(words))).toEqual([
      { text: 'north gate', bold: true },
      { text: 'is', italic: true },
      { text: 'the survey', link: 'https://mill.example/a_b?c=(d)' },
      { text: '2', position: 'sub' },
      { text: 'a | b', code: true },
    ]);
    expect(points[1]!.mark).toMatchObject({ value: 3 });
    expect(text).toMatch(/!\[The \\\[gate\\\]\]\[picture-1\]/);
    expect(text).toMatch(/\n\[picture-1\]: data:image\/png;base64,/);
  });

  test('says with which headings slides begin, so that a few slides under a section stay slides', async () => {
    const points = (word: string) => ['oak', 'elm', 'ash'].map((tree) => li(`The ${tree} ${word} leaks at every tide`));
    const document = doc(
      h(1, 'The mill'),
      h(2, 'Before all'),
      ...points('door'),
      h(2, 'Gates'),
      p('They are old.'),
      h(3, 'North'),
      ...points('gate'),
      h(3, 'South'),
      ...points('sluice'),
    );
    const made = convert(document, [
      { kind: 'map', name: null, ...mapForLevel(document, 3) },
      { kind: 'branch', block: document.blocks[1]!.id, text: 'heading2', to: 'title' },
    ]);
    expect(shown(made).map(({ kind }) => kind)).toEqual(['cover', 'content', 'section', 'content', 'content']);
    const { text, made: back } = await again(made, 'md');
    expect(text).toContain('slides-at: 3\n');
    expect(text).toMatch(/\n### Before all\n[^]*\n## Gates\n[^]*\n### North\n/);
    expect(shown(back)).toEqual(shown(made));
    expect(back.document.diagnostics).toEqual([]);
  });

  test('of random decks: the words that they show and say, and none of hidden slides', async () => {
    const wordsOf = (converted: Converted): readonly string[] =>
      shown(converted)
        .flatMap(({ title, content, notes }) => [
          title,
          ...content.flatMap((part) =>
            typeof part === 'string'
              ? part
              : part
                  .slice(typeof part[0] === 'object' ? 0 : 1)
                  .flat(3)
                  .map(String),
          ),
          ...notes,
        ])
        .flatMap(inWords)
        .toSorted();
    for (let seed = 1; seed <= 8; seed++) {
      const made = convert(randomDocument(random(seed), 50), []);
      const { made: back } = await again(made, 'md', ['a', 'b'].map(pictureOf));
      const read = back.document.blocks.flatMap((block) =>
        block.kind === 'picture' ? ['picture', ...inWords(block.alt ?? 'null')] : inWords(blockText(block)),
      );
      expect({ seed, words: read.toSorted() }).toEqual({ seed, words: wordsOf(made) });
    }
    const made = convert(doc(h(1, 'A'), li('kept'), h(1, 'B'), li('secret')), []);
    const hidden = convert(made.document, [{ kind: 'hide', slides: [made.deck.slides[1]!.id], hidden: true }]);
    const { text } = await again(hidden, 'md');
    expect(text).toContain('kept');
    expect(text).not.toContain('secret');
  });
});

describe('the outline', () => {
  test('nests sections, slides and points, with what is said as notes', async () => {
    const made = first(await open(demo('volunteer-induction-course.md'), 'a.md'));
    const { text, made: back } = await again(made, 'opml');
    expect(text).toContain('<opml version="2.0">');
    const titles = ({ deck }: Converted) =>
      deck.slides
        .filter(({ matter, kind }) => matter === undefined || kind === 'cover')
        .map(({ title }) => runsText(title.runs));
    const lines = back.document.blocks.map((block) => ('runs' in block ? runsText(block.runs) : ''));
    for (const title of titles(made)) expect(lines).toContain(title);
    for (const { notes } of made.deck.slides)
      for (const { runs } of notes) expect(lines.join('\n')).toContain(runsText(runs).split('\n')[0]);
  });

  test('is well-formed whatever the words are', async () => {
    const made = convert(doc(h(1, 'A <b> & "c"'), li('x\ny < z'), p('Said & \u0001 done')), []);
    const { text } = await again(made, 'opml');
    expect(text).toContain('text="A &lt;b&gt; &amp; &quot;c&quot;"');
    expect(text).toContain('text="x&#10;y &lt; z"');
    expect(text).toContain('_note="Said &amp;  done"');
  });
});

test('plain text has titles with numbers, points by their levels, tables, and what is said', () => {
  const made = doc(
    h(1, 'Gates'),
    li('North'),
    li('seized', 2),
    p('Said of it.'),
    h(1, 'Costs'),
    table([
      ['Work', 'Sum'],
      ['Gates', '31'],
    ]),
  );
  const { deck } = convert(made, [{ kind: 'map', name: 'talk', ...presetRecipe('talk', made) }]);
  const text = new TextDecoder().decode(writePlain(deck));
  expect(text).toContain('Gates\n  - North\n    - seized\n\nSaid of it.');
  expect(text).toContain('Costs\n  Work\tSum\n  Gates\t31');
});

describe('tables as values between commas', () => {
  const costs = table([
    ['Work, in all', 'Cost "net"'],
    ['two\nlines', '-12.5 %'],
    ['=1+2', '@SUM(A1)'],
    ["+cmd|' /C calc'!A0", '+44'],
    ['-2+3', '- none'],
  ]);
  const document = doc(h(1, 'Costs/all'), costs, h(1, 'Off'), table([['x'], ['y']]), h(1, 'More'), table([['å']]));
  const off = convert(document, []).deck.slides[1]!.id;
  const made = convert(document, [{ kind: 'hide', slides: [off], hidden: true }]);

  test('one alone, as RFC 4180 has it; nothing in it can be run', () => {
    expect(csv(writeDeck('csv', made, [], { only: 1 }))).toBe(
      [
        '\uFEFF"Work, in all","Cost ""net"""',
        '"two\nlines",-12.5 %',
        "'=1+2,'@SUM(A1)",
        "'+cmd|' /C calc'!A0,+44",
        "'-2+3,- none",
        '',
      ].join('\r\n'),
    );
    expect(() => writeDeck('csv', made, [], { only: 3 })).toThrow('There is no table 3; the last is 2.');
  });

  test('all that are shown, in an archive', () => {
    const zip = openZip(writeDeck('csv', made, []));
    expect(zip.names).toEqual(['01 Costs all.csv', '02 More.csv']);
    expect(csv(zip.read('02 More.csv')!)).toBe('\uFEFFå\r\n');
  });

  test('of a chart whose numbers were written over, these', () => {
    const chart = convert(
      doc(
        h(1, 'A'),
        table([
          ['', 'One'],
          ['x', '1'],
          ['y', '2'],
        ]),
      ),
      [],
    );
    const [part] = chart.deck.slides[0]!.content;
    const data = { categories: ['x', 'z'], series: [{ name: 'One', values: [1, null] }] };
    const slide = { ...chart.deck.slides[0]!, content: [{ ...part!, chart: { data } }] };
    const deck = { ...chart, deck: { ...chart.deck, slides: [slide] } } as unknown as Converted;
    expect(csv(writeDeck('csv', deck, [], { only: 1 }))).toBe('\uFEFF,One\r\nx,1\r\nz,\r\n');
  });
});

/** With its mark, which `decodeUtf8` takes off. */
const csv = (bytes: Uint8Array): string => Buffer.from(bytes).toString('utf8');
