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

/** Who wrote an entry: an id that a browser made for itself; null where that is not known. */
export type Writer = string | null;

export interface History {
  /** Edits in force, oldest first. */
  readonly done: readonly Edit[];
  /** Who wrote each of them. */
  readonly writers: readonly Writer[];
  /** Edits that the one who asks can make again, the next one last. */
  readonly undone: readonly Edit[];
}

interface Item {
  readonly edit: Edit;
  readonly by: Writer;
  undone: boolean;
}

/** Whether a writer may take back what another, or nobody in particular, wrote. */
const isOwn = (by: Writer, me: Writer): boolean => by === me || by === null;

/**
 * The edits in force after a log. An undo takes back the newest edit of the one who asks for it, and a redo makes again
 * what that one took back last, where it stood; with nothing to undo it does nothing.
 * @param by Who wrote each entry; absent for nobody in particular.
 * @param me Whose `undone` is told.
 */
export function foldLog(log: readonly LogEntry[], by: readonly Writer[] = [], me: Writer = null): History {
  const items: Item[] = [];
  const takenBack = new Map<Writer, Item[]>();
  const stackOf = (writer: Writer): Item[] => {
    let stack = takenBack.get(writer);
    if (stack === undefined) takenBack.set(writer, (stack = []));
    return stack;
  };
  log.forEach((entry, i) => {
    const writer = by[i] ?? null;
    if (entry.kind === 'undo') {
      const last = items.findLast((item) => !item.undone && isOwn(item.by, writer));
      if (last === undefined) return;
      last.undone = true;
      stackOf(writer).push(last);
    } else if (entry.kind === 'redo') {
      const next = stackOf(writer).pop();
      if (next !== undefined) next.undone = false;
    } else {
      items.push({ edit: entry, by: writer, undone: false });
      takenBack.delete(writer);
    }
  });
  const done = items.filter(({ undone }) => !undone);
  return {
    done: done.map(({ edit }) => edit),
    writers: done.map((item) => item.by),
    undone: stackOf(me)
      .filter(({ undone }) => undone)
      .map(({ edit }) => edit),
  };
}

/** How many edits in force the one who asks may take back. */
export const undoable = ({ writers }: History, me: Writer): number => writers.filter((by) => isOwn(by, me)).length;

/** Edits one by one, without the groups in which they were made. */
export function singleEdits(edits: readonly Edit[]): readonly OneEdit[] {
  return edits.every(isOne) ? edits : edits.flatMap((edit) => (isOne(edit) ? [edit] : singleEdits(edit.edits)));
}
const isOne = (edit: Edit): edit is OneEdit => edit.kind !== 'all';

/** Several edits as one action; one or none as they are. */
export const together = (edits: readonly Edit[]): readonly Edit[] =>
  edits.length > 1 ? [{ kind: 'all', edits }] : edits;
