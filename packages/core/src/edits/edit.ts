/** The author's edits as data, kept in the order in which they were made. */
import type { SingleEdit } from './kinds.ts';

export type OneEdit = SingleEdit | UnknownEdit;
export type Edit =
  | OneEdit
  /** Several edits that were one action, and are undone as one. */
  | { readonly kind: 'all'; readonly edits: readonly Edit[] };

/** An edit of a kind that only a newer version of Alvex knows: it is kept as it is, and shown. */
export interface UnknownEdit {
  readonly kind: 'unknown';
  readonly entry: { readonly kind: string };
}

/** What is appended to a deck's log. Undoing is an entry too, so that it survives a reload and reaches other windows. */
export type LogEntry = Edit | { readonly kind: 'undo' } | { readonly kind: 'redo' };

export interface History {
  /** Edits in force, oldest first. */
  readonly done: readonly Edit[];
  /** Edits that can be made again, the next one last. */
  readonly undone: readonly Edit[];
}

/** The edits in force after a log. An undo with nothing to undo does nothing. */
export function foldLog(log: readonly LogEntry[]): History {
  const done: Edit[] = [];
  let undone: Edit[] = [];
  for (const entry of log) {
    if (entry.kind === 'undo') {
      const last = done.pop();
      if (last !== undefined) undone.push(last);
    } else if (entry.kind === 'redo') {
      const next = undone.pop();
      if (next !== undefined) done.push(next);
    } else {
      done.push(entry);
      undone = [];
    }
  }
  return { done, undone };
}

/** Edits one by one, without the groups in which they were made. */
export function singleEdits(edits: readonly Edit[]): readonly OneEdit[] {
  return edits.every(isOne) ? edits : edits.flatMap((edit) => (isOne(edit) ? [edit] : singleEdits(edit.edits)));
}
const isOne = (edit: Edit): edit is OneEdit => edit.kind !== 'all';

/** Several edits as one action; one or none as they are. */
export const together = (edits: readonly Edit[]): readonly Edit[] =>
  edits.length > 1 ? [{ kind: 'all', edits }] : edits;
