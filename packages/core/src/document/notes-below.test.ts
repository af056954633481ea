/** To which words notes belong, and where in them they are referred to. */
import { expect, test } from '@jest/globals';
import { code, doc, h, li, note, p, quote, rule, table, type Draft } from '../test/build.ts';
import { blockText } from './block-text.ts';
import { notesBelow, withReferences } from './notes-below.ts';

const labelled = (label: string, text: string): Draft => ({ ...note(text), label }) as Draft;

/** What holds notes, with the notes that it holds. */
function held(...drafts: readonly Draft[]): readonly string[] {
  const { blocks } = doc(...drafts);
  const found = notesBelow(blocks);
  return blocks.flatMap((block) =>
    found.has(block) && block.kind !== 'footnote'
      ? [`${blockText(block)}: ${found.get(block)!.map(blockText).join(', ')}`]
      : [],
  );
}

test.each([
  ['a heading', h(1, 'Held')],
  ['a paragraph', p('Held')],
  ['an item', li('Held')],
  ['a quotation', quote('Held')],
])('notes belong to %s before them', (_, holder) => {
  expect(held(p('Before'), holder, note('a'), note('b'))).toEqual(['Held: a, b']);
});

test('over what has no words that could refer to them', () => {
  expect(held(p('Held'), code('x'), table([['1']]), rule(), note('a'))).toEqual(['Held: a']);
});

test('a note with nothing before it stays where it is', () => {
  const { blocks } = doc(note('alone'), p('Held'), note('a'));
  const found = notesBelow(blocks);
  expect(blocks.map((block) => found.has(block))).toEqual([false, true, true]);
  expect(found.get(blocks[2]!)).toEqual([]);
});

test('a reference stands where the label does, else at the end; each note is referred to once', () => {
  const notes = doc(labelled('1', 'first'), labelled('*', 'star'), labelled('3', 'nowhere')).blocks as never;
  const pieces = withReferences(
    [
      { text: 'One' },
      { text: ' 1 ', position: 'super' },
      { text: ' of 3 ' },
      { text: '*', position: 'super' },
      { text: '1', position: 'super' },
      { text: '3', position: 'sub' },
    ],
    notes,
  );
  expect(pieces.map((piece) => ('kind' in piece ? `[${piece.label}]` : piece.text))).toEqual([
    'One',
    '[1]',
    ' of 3 ',
    '[*]',
    '1',
    '3',
    '[3]',
  ]);
  const runs = [{ text: 'None' }];
  expect(withReferences(runs, [])).toBe(runs);
});
