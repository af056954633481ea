/** Entries of a log as they are kept, of this version of Alvex or another. */
import type { Edit, LogEntry } from './edit.ts';
import { isKnownKind } from './kinds.ts';

interface Stored {
  readonly kind: string;
}

/** What was stored, checked when it was written; a kind that is not known is laid aside. */
export function readEntry(stored: Stored): LogEntry {
  if (stored.kind === 'undo' || stored.kind === 'redo') return { kind: stored.kind };
  return readEdit(stored);
}

function readEdit(stored: Stored): Edit {
  if (stored.kind === 'all')
    return { kind: 'all', edits: (stored as Stored & { edits: Stored[] }).edits.map(readEdit) };
  if (isKnownKind(stored.kind)) return stored as Edit;
  return { kind: 'unknown', entry: stored };
}
