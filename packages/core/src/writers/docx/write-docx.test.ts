/** Documents as DOCX: valid by the standard, and read again they are the same, for our reader and for another. */
import { describe, expect, test } from '@jest/globals';
import mammoth from 'mammoth';
import { checkPackage } from '../../../../package-check/src/index.ts';
import type { PictureData } from '../../content/index.ts';
import { blockText, type Block, type DocumentModel } from '../../document/index.ts';
import { readDocument } from '../../readers/index.ts';
import { doc, h, li, random, randomDocument, table } from '../../test/build.ts';
import { kept, MILL, mill } from '../../test/whole-document.ts';
import { writeDocx, type DocxOptions } from './index.ts';

const written = (document: DocumentModel, options: DocxOptions = {}, pictures: readonly PictureData[] = [MILL]) =>
  writeDocx(document, (id) => pictures.find((one) => one.id === id), options);
const again = async (document: DocumentModel, pictures?: readonly PictureData[]): Promise<DocumentModel> =>
  (await readDocument(written(document, {}, pictures), 'docx')).document;

describe('a document as DOCX', () => {
  test('holds to the standard', async () => {
    expect(await checkPackage(written(mill, { contents: 'Contents' }))).toEqual([]);
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

test('random documents are valid', async () => {
  for (let seed = 1; seed <= 12; seed++)
    expect([seed, await checkPackage(written(randomDocument(random(seed), 40), { contents: 'Contents' }))]).toEqual([
      seed,
      [],
    ]);
});
