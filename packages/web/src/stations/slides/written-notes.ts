/** Speaker notes as the editor's document, and back. */
import type { JSONContent } from '@tiptap/core';
import type { Block, BlockId, Note, NoteText } from '@alvex/core';
import { fromEditor, toEditor } from '../../ui/written-blocks.ts';

type Written = Pick<Note, 'kind' | 'depth' | 'ordered' | 'runs'>;

/** Numbering begins anew after anything that is not counted with it; the editor is told each list's first number. */
export function notesToEditor(notes: readonly Written[]): JSONContent {
  const blocks = notes.map(({ kind, depth, ordered, runs }, i): Block => {
    const base = { id: `n${i}` as BlockId, place: {}, runs };
    return kind === 'paragraph'
      ? { ...base, kind }
      : { ...base, kind: 'listItem', depth, ordered, ...(ordered ? { number: 1 } : {}) };
  });
  return toEditor(blocks);
}

/** Paragraphs and list items; anything else that was pasted becomes a paragraph. What has no words is dropped. */
export function notesFromEditor(doc: JSONContent): readonly NoteText[] {
  let made = 0;
  const { blocks } = fromEditor(doc, new Map(), () => `x${++made}`);
  return blocks.flatMap((block): readonly NoteText[] => {
    if (block.kind === 'listItem')
      return [{ kind: 'item', depth: block.depth, ordered: block.ordered, runs: block.runs }];
    const runs = 'runs' in block ? block.runs : block.kind === 'code' ? [{ text: block.text }] : [];
    return runs.length === 0 ? [] : [{ kind: 'paragraph', depth: 0, ordered: false, runs }];
  });
}

const textOf = ({ kind, depth, ordered, runs }: Written): string =>
  `${kind} ${depth} ${ordered} ${JSON.stringify(runs)}`;

export const sameNotes = (a: readonly Written[], b: readonly Written[]): boolean =>
  a.length === b.length && a.every((note, i) => textOf(note) === textOf(b[i]!));

/** The number that an item shows: counted within its list and depth. */
export function numberOf(notes: readonly Written[], at: number): number {
  const { depth } = notes[at]!;
  let number = 1;
  for (let i = at - 1; i >= 0; i--) {
    const note = notes[i]!;
    if (note.kind !== 'item' || note.depth < depth || (note.depth === depth && !note.ordered)) break;
    if (note.depth === depth) number++;
  }
  return number;
}
