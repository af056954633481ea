/** What an edit did, for the history and where it lost its place. */
import type { Edit } from './edit.ts';
import { kindOf } from './kinds.ts';
import type { Sentence } from './sentence.ts';

/** Of several that were one action the first, which says what it was; undefined for none. */
export function editSentence(edit: Edit): Sentence | undefined {
  if (edit.kind === 'unknown') return { code: 'unknown', text: edit.entry.kind };
  if (edit.kind !== 'all') return kindOf(edit).says(edit);
  return edit.edits[0] === undefined ? undefined : editSentence(edit.edits[0]);
}
