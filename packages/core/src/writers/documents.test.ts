/** Documents as DOCX, ODT, HTML and Markdown: read again they are the same, and no word is lost. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { checkPackage } from '../../../package-check/src/index.ts';
import type { PictureData } from '../content/index.ts';
import { blockText, type Block, type DocumentModel } from '../document/index.ts';
import { openDocument } from '../pipeline/index.ts';
import { detectType, readDocument } from '../readers/index.ts';
import { code, doc, h, li, note, p, random, randomDocument, table } from '../test/build.ts';
import { kept, MILL, mill } from '../test/whole-document.ts';
import { writeDocx } from './docx/index.ts';
import { writeOdt } from './odt/index.ts';
import { writeDocument } from './text/index.ts';
import { writePage } from './web/index.ts';

const FORMATS = [
  ['docx', writeDocx],
  ['odt', writeOdt],
  ['html', writePage],
  ['markdown', writeDocument],
] as const;
const words = (text: string): readonly string[] => text.match(/[\p{L}\p{N}]+/gu) ?? [];

describe.each(FORMATS)('a document as %s', (format, write) => {
  const written = (document: DocumentModel, pictures: readonly PictureData[] = [MILL]): Uint8Array =>
    write(document, (id) => pictures.find((one) => one.id === id));
  const again = async (document: DocumentModel): Promise<DocumentModel> =>
    (await readDocument(written(document), format)).document;

  test('read again is the same', async () => {
    const back = await again(mill);
    const told = ({ blocks }: DocumentModel) =>
      blocks.map((block) => [
        block.kind,
        blockText(block),
        'depth' in block ? block.depth : 'level' in block ? block.level : 0,
      ]);
    expect(told(back)).toEqual(told(mill));
    // Markdown has no blanks at the edges of bold words, and tells lists apart by their signs.
    if (format !== 'markdown') expect(kept(back)).toEqual(kept(mill));
  });

  test('has the same bytes for the same document', () => {
    expect(Buffer.from(written(mill)).equals(written(mill))).toBe(true);
  });

  test('what was left out is not in it', async () => {
    const blocks = mill.blocks.map((block, i): Block => (i === 4 ? ({ ...block, left: 'deleted' } as Block) : block));
    expect((await again({ ...mill, blocks })).blocks.map(blockText)).not.toContain('North');
  });

  test.each(['volunteer-induction-course.md', 'sallow-quay-feasibility-report.docx', 'minutes-october.docx'])(
    'with all of %s',
    async (name) => {
      const bytes = readFileSync(join(import.meta.dirname, '../../../demo/files', name));
      const { document, pictures } = await openDocument(bytes, detectType(bytes, name));
      const back = (await readDocument(written(document, pictures), format)).document;
      // A box to tick is a sign there.
      const told = ({ blocks }: DocumentModel) =>
        blocks
          .filter(({ kind, left }) => kind !== 'break' && left === undefined)
          .map((block) => {
            const text = blockText(block).replace(/^[☐☑] /u, '');
            // Dashes that were typed before lines make a list of a page's.
            const line = /^–\s+(.*)$/u.exec(text)?.[1];
            return line === undefined ? [block.kind, text] : ['listItem', line];
          });
      expect(told(back)).toEqual(told(document));
      expect(back.language).toBe(document.language);
    },
  );

  test('loses no word of random documents', async () => {
    for (let seed = 1; seed <= 8; seed++) {
      const document = randomDocument(random(seed), 40);
      const file = written(document);
      if (format === 'odt' || format === 'docx') expect([seed, await checkPackage(file)]).toEqual([seed, []]);
      const told = (one: DocumentModel): readonly string[] =>
        one.blocks
          .map(blockText)
          // What a picture would show stands where it is missing.
          .filter((text) => !/^\[.*\]$/s.test(text))
          .flatMap(words)
          .sort();
      expect([seed, told((await readDocument(file, format)).document)]).toEqual([seed, told(document)]);
    }
  });
});

test.each(FORMATS)('notes keep their looks, and rows that are too short their places, in %s', async (format, write) => {
  const noted = doc(
    h(1, 'Gates'),
    p([{ text: 'They are old.' }, { text: '1', position: 'super' }]),
    note([{ text: 'Not ' }, { text: 'so', strike: true }, { text: ' since.' }]),
    table([['Work', 'Cost', 'Year'], ['Sill']]),
    p('Behind it.'),
  );
  const file = write(noted, () => undefined);
  if (format === 'odt' || format === 'docx') expect(new TextDecoder().decode(file)).not.toContain('covered-table-cell');
  const { document } = await readDocument(file, format);
  expect(document.blocks.map(blockText)).toEqual(expect.arrayContaining(['Not so since.', 'Behind it.']));
  expect(document.blocks.find(({ kind }) => kind === 'footnote')).toMatchObject({
    runs: [{ text: 'Not ' }, { text: 'so', strike: true }, { text: ' since.' }],
  });
});

test.each(FORMATS)('text within items, and code beside code, stay what they are in %s', async (format, write) => {
  const document = doc(
    h(1, 'Gates'),
    li('Lift', 1),
    p('With both hands.'),
    li('North', 2),
    p('First.'),
    code('lift(north);\n\nwait();'),
    li('its chain', 3),
    li('South', 2),
    li('Close', 1),
    p('Behind the list.'),
    code('let gate;\nlet pond;'),
    code('let wheel;\nlet sluice;'),
  );
  const back = (
    await readDocument(
      write(document, () => undefined),
      format,
    )
  ).document;
  const told = ({ blocks }: DocumentModel) =>
    blocks.map((block) => [block.kind, blockText(block), block.kind === 'listItem' ? block.depth : 0]);
  expect(told(back)).toEqual(told(document));
});

test.each(FORMATS)('a note with nothing before it stays where it is in %s', async (format, write) => {
  const file = write(doc(note('Level book, p. 3'), p('Said of it.')), () => undefined);
  const { blocks } = (await readDocument(file, format)).document;
  expect(blocks.map(blockText)).toEqual(['1 Level book, p. 3', 'Said of it.']);
});

const cell = (text: string, columns = 1, rows = 1) => ({ runs: [{ text }], columns, rows });
test.each(FORMATS.filter(([format]) => format !== 'markdown'))(
  'merged cells stay merged in %s',
  async (format, write) => {
    const made = doc(table([['x']]));
    const merged = {
      columns: 3,
      rows: [
        { header: true, cells: [cell('a', 2), cell('b')] },
        { header: false, cells: [cell('c', 1, 2), cell('d'), cell('e')] },
        { header: false, cells: [cell('f', 2)] },
      ],
    };
    const document = { ...made, blocks: [{ ...made.blocks[0]!, table: merged } as Block] };
    expect(
      kept(
        (
          await readDocument(
            write(document, () => undefined),
            format,
          )
        ).document,
      ),
    ).toEqual(kept(document));
  },
);

test.each(FORMATS)('labels that %s counts are counted, others are written', async (format, write) => {
  const made = doc(h(1, 'Gates'), li('x', 1, 1), li('y', 1, 2), li('z', 1, 3), li('w', 1, 2));
  const labels = [undefined, '(a)', '(b)', '3.1.1', '2.'];
  const blocks = made.blocks.map((block, i) =>
    labels[i] === undefined ? block : ({ ...block, label: labels[i] } as Block),
  );
  const { document } = await readDocument(
    write({ ...made, blocks }, () => undefined),
    format,
  );
  const said = document.blocks.map((block) =>
    [block.kind === 'listItem' ? (block.label ?? (block.ordered ? `${block.number}.` : '')) : '', blockText(block)]
      .join(' ')
      .replace(/\s+/g, ' ')
      .trim(),
  );
  expect(said).toEqual(['Gates', '(a) x', '(b) y', '3.1.1 z', '2. w']);
});

test('a page cannot act, and says its language and directions', () => {
  const page = new TextDecoder().decode(writePage(doc(h(1, '<script>alert(1)</script>'), li('בית')), () => undefined));
  expect(page).toContain("default-src 'none'");
  expect(page).not.toContain('<script');
  expect(page).toContain('<li dir="rtl">');
});
