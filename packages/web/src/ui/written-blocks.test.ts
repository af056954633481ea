import { describe, expect, test } from '@jest/globals';
import { restructure, runsText, type Block, type DocumentModel } from '@alvex/core';
import {
  code,
  doc,
  h,
  li,
  note,
  p,
  picture,
  quote,
  random,
  randomDocument,
  rule,
  table,
} from '../../../core/src/test/build.ts';
import { fromEditor, toEditor } from './written-blocks.ts';

const known = (blocks: readonly Block[]): ReadonlyMap<string, Block> =>
  new Map(blocks.map((block) => [block.id, block]));
let counter = 0;
const newId = (): string => `new${++counter}`;
/** Through the editor and back, laid over the document again. */
function through(document: DocumentModel): DocumentModel {
  const { blocks } = fromEditor(toEditor(document.blocks), known(document.blocks), newId);
  return restructure(document, [{ kind: 'write', replaces: document.blocks.map(({ id }) => id), after: null, blocks }])
    .document;
}
const plain = (document: DocumentModel) =>
  document.blocks.filter(({ left }) => left !== 'deleted').map(({ place: _place, ...block }) => block);

describe('what is not written stays as it is', () => {
  test('every kind of block, with its looks', () => {
    const document = doc(
      p('Title', 'title'),
      h(2, 'A'),
      p([
        { text: 'bold', bold: true },
        { text: ' link', italic: true, link: 'https://a.example/' },
        { text: '2', position: 'super' },
        { text: '\nnext', code: true },
      ]),
      li('a'),
      li('b', 2, true),
      li('c', 2, true),
      li('d'),
      quote('q'),
      code('x\n  y'),
      rule(),
      table([
        ['a', 'b'],
        ['1', ''],
      ]),
      picture('p', 'The gate'),
      note('n'),
    );
    // Numbers are counted anew by the editor.
    const numbered = plain(document).map((block, i) =>
      block.kind === 'listItem' && block.ordered ? { ...block, number: i - 3 } : block,
    );
    expect(plain(through(document))).toEqual(numbered);
  });

  test('in any order, with depths that are skipped, and lines left out', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const document = randomDocument(random(seed), 20);
      const texts = (one: DocumentModel): readonly string[] =>
        plain(one).map((block) => `${block.kind} ${block.id} ${'runs' in block ? runsText(block.runs) : ''}`);
      const written = (block: Block): boolean =>
        block.kind === 'break' || !('runs' in block) || runsText(block.runs).trim() !== '' || block.left !== undefined;
      expect(texts(through(document))).toEqual(texts({ ...document, blocks: document.blocks.filter(written) }));
    }
  });
});

test('a block that is split keeps its id for the first half; the second is new', () => {
  const document = doc(p('one two'));
  const [{ id }] = document.blocks as [Block];
  const split = (text: string) => ({ type: 'paragraph', attrs: { blockId: id }, content: [{ type: 'text', text }] });
  const { blocks } = fromEditor({ type: 'doc', content: [split('one'), split('two')] }, known(document.blocks), newId);
  expect(blocks[0]!.id).toBe(id);
  expect(blocks[1]!.id).toMatch(/^new/);
});

test('empty lines are not blocks, addresses that could harm are not links', () => {
  const text = { type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }] };
  expect(
    fromEditor(
      {
        type: 'doc',
        content: [
          { type: 'paragraph' },
          { type: 'heading', attrs: { level: 2 } },
          { type: 'paragraph', content: [text] },
        ],
      },
      new Map(),
      () => 'n',
    ),
  ).toEqual({ blocks: [{ kind: 'paragraph', id: 'n', runs: [{ text: 'x' }] }], pictures: [] });
});

test('a picture that is put in comes with what the document has to know of it', () => {
  const picture = { id: 'f'.repeat(64), mime: 'image/png', width: 4, height: 3 };
  const node = { type: 'newPicture', attrs: { picture, blockId: null } };
  expect(fromEditor({ type: 'doc', content: [node] }, new Map(), () => 'n')).toEqual({
    blocks: [{ kind: 'picture', id: 'n', picture: picture.id, alt: null }],
    pictures: [picture],
  });
});

test('what is pasted into a quotation or a cell is kept, whatever it is', () => {
  const text = (words: string) => ({ type: 'paragraph', content: [{ type: 'text', text: words }] });
  const list = (words: string) => ({ type: 'bulletList', content: [{ type: 'listItem', content: [text(words)] }] });
  let ids = 0;
  const { blocks } = fromEditor(
    {
      type: 'doc',
      content: [
        { type: 'blockquote', content: [text('said'), list('listed')] },
        {
          type: 'table',
          content: [{ type: 'tableRow', content: [{ type: 'tableCell', content: [text('one'), list('two')] }] }],
        },
      ],
    },
    new Map(),
    () => `n${++ids}`,
  );
  expect(blocks).toMatchObject([
    { kind: 'quote', runs: [{ text: 'said' }] },
    { kind: 'listItem', depth: 1, runs: [{ text: 'listed' }] },
    { kind: 'table', table: { rows: [{ cells: [{ runs: [{ text: 'one\ntwo' }] }] }] } },
  ]);
});
