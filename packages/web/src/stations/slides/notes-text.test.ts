import { expect, test } from '@jest/globals';
import type { Note } from '@alvex/core';
import { notesToText, textToNotes } from './notes-text.ts';

const note = (text: string, depth = 0, ordered = false, look: object = {}): Note => ({
  kind: depth > 0 ? 'item' : 'paragraph',
  depth,
  ordered,
  id: text,
  runs: [{ text, ...look }],
  blocks: [],
  anchor: null,
});
const short = (text: string, before: readonly Note[] = []) =>
  textToNotes(text, before).map(({ kind, depth, ordered, runs }) => [
    kind,
    depth,
    ordered,
    runs.map((run) => run.text).join(''),
  ]);

test('notes are written as paragraphs and indented items, and read back', () => {
  const notes = [
    note('Say this.'),
    note('first', 1, true),
    note('second', 1, true),
    note('inner', 2),
    note('And this.'),
  ];
  const text = notesToText(notes);
  expect(text).toBe('Say this.\n\n1. first\n2. second\n  - inner\n\nAnd this.');
  expect(textToNotes(text, notes).map(({ kind, depth, ordered, runs }) => ({ kind, depth, ordered, runs }))).toEqual(
    notes.map(({ kind, depth, ordered, runs }) => ({ kind, depth, ordered, runs })),
  );
});

test('numbers begin anew after another paragraph; line breaks within a note become spaces', () => {
  expect(notesToText([note('a', 1, true), note('b'), note('c\nd', 1, true)])).toBe('1. a\n\nb\n\n1. c d');
});

test('what did not change keeps its look, what changed keeps it where it can', () => {
  const before = [note('bold words', 0, false, { bold: true }), note('plain')];
  expect(textToNotes('plain\n\nbold words', before).map(({ runs }) => runs)).toEqual([
    [{ text: 'plain' }],
    [{ text: 'bold words', bold: true }],
  ]);
  expect(textToNotes('bold new words\n\nplain', before)[0]!.runs).toEqual([{ text: 'bold new words', bold: true }]);
});

test('any way to write an item is one; empty lines are nothing', () => {
  expect(short('* a\n\n\n  3) b\n• c\n\n   \n- ')).toEqual([
    ['item', 1, false, 'a'],
    ['item', 2, true, 'b'],
    ['item', 1, false, 'c'],
  ]);
  expect(short('')).toEqual([]);
});
