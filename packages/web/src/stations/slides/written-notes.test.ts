import { expect, test } from '@jest/globals';
import type { NoteText, Runs } from '@alvex/core';
import { notesFromEditor, notesToEditor, numberOf, sameNotes } from './written-notes.ts';

const note = (text: string | Runs, depth = 0, ordered = false): NoteText => ({
  kind: depth > 0 ? 'item' : 'paragraph',
  depth,
  ordered,
  runs: typeof text === 'string' ? [{ text }] : text,
});
const notes: readonly NoteText[] = [
  note('Say this.'),
  note('first', 1, true),
  note([{ text: 'second, ' }, { text: 'loud', bold: true }], 1, true),
  note('inner', 2),
  note('third', 1, true),
  note('And this, see the plan.\nSlowly.'),
  note('again', 1, true),
];

test('paragraphs, lists, bold and line breaks go through the editor and back', () =>
  expect(notesFromEditor(notesToEditor(notes))).toEqual(notes));

test('a heading or a quotation that is pasted becomes a paragraph, empty lines go', () => {
  const pasted = {
    type: 'doc',
    content: [
      { type: 'heading', attrs: { level: 2 }, content: [{ type: 'text', text: 'Head' }] },
      { type: 'paragraph' },
      { type: 'blockquote', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'said' }] }] },
      { type: 'codeBlock', content: [{ type: 'text', text: 'x = 1' }] },
    ],
  };
  expect(notesFromEditor(pasted).map(({ kind, runs }) => [kind, runs[0]!.text])).toEqual([
    ['paragraph', 'Head'],
    ['paragraph', 'said'],
    ['paragraph', 'x = 1'],
  ]);
});

test('what was not changed is known as such', () => {
  expect(sameNotes(notes, notesFromEditor(notesToEditor(notes)))).toBe(true);
  expect(sameNotes(notes, notes.slice(1))).toBe(false);
  expect(sameNotes([note('a', 1, true)], [note('a', 1)])).toBe(false);
});

test('items are numbered within their list and depth', () =>
  expect([1, 2, 4, 6].map((at) => numberOf(notes, at))).toEqual([1, 2, 3, 1]));
