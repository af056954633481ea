/** Speaker notes as plain text that can be written, and back. */
import { plain, retext, runsText, type Note, type NoteText } from '@alvex/core';

const ITEM = /^(\s*)([-*•]|\d+[.)])\s+(.*)$/;
/** Nothing, or a mark that nothing follows. */
const EMPTY = /^\s*(?:[-*•]|\d+[.)])?\s*$/;
const INDENT = 2;

/** Paragraphs are parted by an empty line; items begin with a dash or a number, two spaces for each depth. */
export function notesToText(notes: readonly Note[]): string {
  let number = 0;
  return notes
    .map((note, i) => {
      const before = notes[i - 1];
      const gap = i === 0 ? '' : note.kind === 'item' && before?.kind === 'item' ? '\n' : '\n\n';
      number = note.kind === 'item' && note.ordered ? number + 1 : 0;
      const lead =
        note.kind === 'item' ? `${' '.repeat((note.depth - 1) * INDENT)}${note.ordered ? `${number}.` : '-'} ` : '';
      return `${gap}${lead}${runsText(note.runs).replaceAll('\n', ' ')}`;
    })
    .join('');
}

/** Reads written notes; lines that were there before keep their bold and links. */
export function textToNotes(text: string, before: readonly Note[]): readonly NoteText[] {
  const lines = text.split('\n').filter((line) => !EMPTY.test(line));
  const unused = [...before];
  const parsed = lines.map((line) => {
    const item = ITEM.exec(line);
    const words = (item === null ? line : item[3]!).trim();
    const at = unused.findIndex((note) => runsText(note.runs).replaceAll('\n', ' ') === words);
    const same = at < 0 ? undefined : unused.splice(at, 1)[0];
    return { item, words, same };
  });
  return parsed.map(({ item, words, same }, i): NoteText => {
    const old = same ?? (parsed.length === before.length ? before[i] : undefined);
    const runs = same?.runs ?? (old === undefined ? plain(words) : retext(old.runs, words));
    if (item === null) return { kind: 'paragraph', depth: 0, ordered: false, runs };
    return { kind: 'item', depth: Math.floor(item[1]!.length / INDENT) + 1, ordered: /\d/.test(item[2]!), runs };
  });
}
