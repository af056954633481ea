/** The author's edits as data: a closed union, kept in the order in which they were made. */
import type { Runs } from '../content/index.ts';
import type { Destination, LevelMap, PartId, SlideId } from '../deck/index.ts';
import type { StructureChange } from '../structure/index.ts';

/** What is done with a slide that holds too much: go on with it on another slide, or say so and shrink it. */
export type FullRule = 'continue' | 'report';

export interface NoteText {
  readonly kind: 'paragraph' | 'item';
  readonly depth: number;
  readonly ordered: boolean;
  readonly runs: Runs;
}

export type Edit =
  | StructureChange
  /** Several edits that were one action, and are undone as one. */
  | { readonly kind: 'all'; readonly edits: readonly Edit[] }
  /** Lays a level map on the document. `name` is a ready-made map's, or null for the author's own. */
  | { readonly kind: 'map'; readonly name: string | null; readonly map: LevelMap }
  | { readonly kind: 'theme'; readonly theme: string }
  | { readonly kind: 'full'; readonly rule: FullRule }
  /** Whether separators and page breaks start slides. */
  | { readonly kind: 'breaks'; readonly start: boolean }
  /** Sends one block somewhere else; null gives it back to the map. */
  | { readonly kind: 'turn'; readonly block: string; readonly to: Destination | null }
  /** Starts a new slide at a block. */
  | { readonly kind: 'cut'; readonly block: string }
  /** Lets the slide that starts at a block go on the slide before it. */
  | { readonly kind: 'join'; readonly block: string }
  | { readonly kind: 'retitle'; readonly slide: SlideId; readonly runs: Runs }
  /** Gives a point or a text another wording; no runs takes it off the slide. */
  | { readonly kind: 'reword'; readonly part: PartId; readonly runs: Runs }
  /** Puts `notes` in the place of those with the ids `replaces`; with none of those, behind `anchor`. */
  | {
      readonly kind: 'renote';
      readonly slide: SlideId;
      readonly replaces: readonly PartId[];
      readonly anchor: PartId | null;
      readonly notes: readonly NoteText[];
    };

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
export function singleEdits(edits: readonly Edit[]): readonly Edit[] {
  return edits.some(({ kind }) => kind === 'all')
    ? edits.flatMap((edit) => (edit.kind === 'all' ? singleEdits(edit.edits) : [edit]))
    : edits;
}
