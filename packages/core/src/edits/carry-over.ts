/** Carries edits over to a new edition of the document: wherever they name a block that has another id there, they name the new one. */
import { remembered } from '../base/index.ts';
import { mapIds, type IdMap } from '../ids/index.ts';
import type { Edit, OneEdit } from './edit.ts';
import { kindOf } from './kinds.ts';
import type { EditionEdit } from './kinds/edition.ts';

/** The same edit where blocks have other ids. */
export const withIds = (edit: Edit, ids: IdMap): Edit =>
  edit.kind === 'all' ? { ...edit, edits: edit.edits.map((one) => withIds(one, ids)) } : oneWithIds(edit, ids);

const oneWithIds = (edit: OneEdit, ids: IdMap): OneEdit =>
  edit.kind === 'unknown' ? edit : kindOf(edit).carry(edit, ids);

// What is carried over is the same every time, down to its identity: later stages remember by it.
const carriedBy = remembered(({ ids: pairs }: EditionEdit) => {
  const ids = mapIds(new Map(pairs));
  return remembered((edit: OneEdit) => oneWithIds(edit, ids));
});

const carriedEdit = (edit: OneEdit, edition: EditionEdit): OneEdit =>
  edition.ids.length === 0 ? edit : carriedBy(edition)(edit);

/** The edition that is in force: the last that came in; undefined while it is the first. */
export const currentEdition = (edits: readonly OneEdit[]): EditionEdit | undefined =>
  edits.findLast((edit) => edit.kind === 'edition');

/** @param edits One by one, oldest first. Those before an edition are carried over to it. */
export function carryOver(edits: readonly OneEdit[]): readonly OneEdit[] {
  if (!edits.some(({ kind }) => kind === 'edition')) return edits;
  let result: OneEdit[] = [];
  for (const edit of edits)
    if (edit.kind === 'edition') result = result.map((one) => carriedEdit(one, edit));
    else result.push(edit);
  return result;
}
