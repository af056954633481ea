/** Documents as DOCX: valid by the standard, and read again they are the same, for our reader and for another. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { encode } from 'fast-png';
import mammoth from 'mammoth';
import { checkPackage } from '../../../../ooxml-check/src/index.ts';
import type { PictureData } from '../../content/index.ts';
import { blockText, type Block, type DocumentModel } from '../../document/index.ts';
import { openDocument } from '../../pipeline/index.ts';
import { detectType, readDocument } from '../../readers/index.ts';
import { code, doc, h, li, note, p, picture, quote, random, randomDocument, rule, table } from '../../test/build.ts';
import { writeDocx, type DocxOptions } from './index.ts';

const MILL: PictureData = {
  id: 'a'.repeat(64) as never,
  mime: 'image/png',
  width: 40,
  height: 30,
  bytes: encode({ width: 40, height: 30, data: new Uint8Array(40 * 30 * 3).fill(90), channels: 3 }),
};
const written = (document: DocumentModel, options: DocxOptions = {}, pictures: readonly PictureData[] = [MILL]) =>
  writeDocx(document, (id) => pictures.find((one) => one.id === id), options);
const again = async (document: DocumentModel, pictures?: readonly PictureData[]): Promise<DocumentModel> =>
  (await readDocument(written(document, {}, pictures), 'docx')).document;

/** What a block is and says, without where it stood. */
const told = (block: Block): unknown => {
  const { id: _id, place: _place, look: _look, lang: _lang, direction: _direction, ...rest } = block;
  if (rest.kind === 'table')
    return rest.table.rows.map(({ header, cells }) => [
      header,
      cells.map((cell) => [cell.columns, cell.rows, cell.runs.map(({ text }) => text).join('')]),
    ]);
  if (rest.kind === 'picture') return ['picture', rest.alt, rest.picture === undefined];
  return rest;
};
const kept = ({ blocks }: DocumentModel): readonly unknown[] =>
  blocks.filter(({ left }) => left === undefined).map(told);

const mill = doc(
  p('The mill', 'title'),
  p('By the Trust', 'subtitle'),
  h(1, 'Gates'),
  p([
    { text: 'Oak ' },
    { text: 'and', bold: true },
    { text: ' iron', italic: true },
    { text: '\nH' },
    { text: '2', position: 'sub' },
    { text: 'O ', strike: true },
    { text: 'see', link: 'https://example.org/a?b=1&c' },
  ]),
  li('North'),
  li('seized', 2),
  li('South', 1),
  p('Between.'),
  li('first', 1, 1),
  li('second', 1, 2),
  li('anew', 1, 1),
  li('below', 2, 4),
  h(2, 'Log'),
  code('10:40  head 1.0 m\n\tsluice up'),
  quote('You could hear the stones.'),
  p('بوابة المد'),
  table([
    ['Work', 'Cost'],
    ['Gates', '31,000'],
  ]),
  rule(),
  picture(MILL.id, 'The mill from the quay'),
  p('Said of it.'),
  note('Level book, March.'),
);

describe('a document as DOCX', () => {
  test('holds to the standard', async () => {
    expect(await checkPackage(written(mill, { contents: 'Contents' }))).toEqual([]);
  });

  test('read again it is the same', async () => {
    expect(kept(await again(mill))).toEqual(kept(mill));
  });

  test('the same document gives the same bytes', () => {
    expect(Buffer.from(written(mill)).equals(written(mill))).toBe(true);
  });

  test('another reader finds headings, lists, links and notes', async () => {
    const { value } = await mammoth.convertToHtml({ buffer: Buffer.from(written(mill)) });
    expect(value).toContain('Gates</h1>');
    expect(value).toMatch(/<ul><li>North<ul><li>seized<\/li><\/ul><\/li><li>South<\/li><\/ul>/);
    expect(value).toContain('<a href="https://example.org/a?b=1&amp;c">see</a>');
    expect(value).toMatch(/Level book, March\./);
    expect(value).toContain('alt="The mill from the quay"');
  });

  test('comments stay, what was left out does not', async () => {
    const blocks = mill.blocks.map((block, i): Block =>
      i === 3 ? { ...block, remark: 'Is it <so>?' } : i === 4 ? ({ ...block, left: 'deleted' } as Block) : block,
    );
    const back = await again({ ...mill, blocks });
    expect(back.blocks.flatMap(({ remark }) => remark ?? [])).toEqual(['Is it <so>?']);
    expect(back.blocks.map(blockText)).not.toContain('North');
  });

  test('numbers of headings are counted where an outline counts so, and written out where not', async () => {
    const labelled = (...labels: readonly (readonly [1 | 2, string])[]): DocumentModel => {
      const made = doc(...labels.map(([level, label]) => h(level, `H ${label}`)));
      return { ...made, blocks: made.blocks.map((block, i) => ({ ...block, label: labels[i]![1] }) as Block) };
    };
    const counted = labelled([1, '1'], [2, '1.1'], [2, '1.2'], [1, '2']);
    const back = await again(counted);
    expect(back.blocks.map((block) => ('label' in block ? block.label : null))).toEqual(['1', '1.1', '1.2', '2']);
    const odd = await again(labelled([1, 'A'], [1, 'C']));
    expect(odd.blocks.map(blockText)).toEqual(['A H A', 'C H C']);
  });

  test('labels of items are counted in their own way', async () => {
    const made = doc(li('x', 1, 1), li('y', 1, 2), li('z', 1, 3), li('w', 1, 2));
    const labels = ['(a)', '(b)', '3.1.1', 'b)'];
    const blocks = made.blocks.map((block, i) => ({ ...block, label: labels[i]! }) as Block);
    const back = await again({ ...made, blocks });
    expect(back.blocks.map((block) => [blockText(block), 'label' in block ? block.label : null])).toEqual([
      ['x', '(a)'],
      ['y', '(b)'],
      ['3.1.1 z', null],
      ['w', 'b)'],
    ]);
  });

  test('merged cells stay merged', async () => {
    const cell = (text: string, columns = 1, rows = 1) => ({ runs: [{ text }], columns, rows });
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
    expect(await checkPackage(written(document))).toEqual([]);
    expect(kept(await again(document))).toEqual(kept(document));
  });
});

test.each(['volunteer-induction-course.md', 'sallow-quay-feasibility-report.docx', 'minutes-october.docx'])(
  '%s goes out and comes back',
  async (name) => {
    const bytes = readFileSync(join(import.meta.dirname, '../../../../demo/files', name));
    const { document, pictures } = await openDocument(bytes, detectType(bytes, name));
    const file = written(document, {}, pictures);
    expect(await checkPackage(file)).toEqual([]);
    const back = (await readDocument(file, 'docx')).document;
    // A box to tick is a sign there.
    expect(
      back.blocks
        .filter(({ kind }) => kind !== 'break')
        .map((block) => [block.kind, blockText(block).replace(/^[☐☑] /u, '')]),
    ).toEqual(
      document.blocks
        .filter(({ kind, left }) => kind !== 'break' && left === undefined)
        .map((block) => [block.kind, blockText(block)]),
    );
    expect(back.language).toBe(document.language);
  },
);

test('random documents: valid, and no block changes', async () => {
  for (let seed = 1; seed <= 12; seed++) {
    const document = randomDocument(random(seed), 40);
    const file = written(document, { contents: 'Contents' });
    expect([seed, await checkPackage(file)]).toEqual([seed, []]);
    // Rows that are too short are filled, and a note behind a table goes with the words before it.
    const words = (one: DocumentModel) =>
      one.blocks.flatMap((block) => blockText(block).match(/[\p{L}\p{N}-]+/gu) ?? []).sort();
    expect([seed, words(await again(document))]).toEqual([seed, words(document)]);
  }
});
