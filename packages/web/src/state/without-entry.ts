/** A log without one of its edits: undoing and doing again of that edit goes with it, so that all others mean what they meant. */
import type { LogEntry } from '@alvex/core';

/**
 * @param depth Edits in force before the one that goes.
 * @param rest What was appended after it.
 */
export function withoutEntry(depth: number, rest: readonly LogEntry[]): readonly LogEntry[] {
  const kept: LogEntry[] = [];
  // Edits that stand on the one that goes, done and undone; while it is undone itself, those below it that are undone too.
  let [done, undone, below] = [0, 0, 0];
  let standing = true;
  for (const [i, entry] of rest.entries()) {
    if (entry.kind === 'undo') {
      if (standing && done === 0) {
        standing = false;
        continue;
      }
      if (standing) [done, undone] = [done - 1, undone + 1];
      else below = Math.min(depth, below + 1);
    } else if (entry.kind === 'redo') {
      if (!standing && below === 0) {
        standing = true;
        continue;
      }
      // There was nothing to do again; without the edit there might be.
      if (standing && undone === 0) continue;
      if (standing) [done, undone] = [done + 1, undone - 1];
      else below--;
    } else if (standing) [done, undone] = [done + 1, 0];
    // A new edit: what was undone cannot be done again.
    else return [...kept, ...rest.slice(i)];
    kept.push(entry);
  }
  return kept;
}
