/** Pictures that edits put in: into the text, onto slides, at their foot. */
import type { Picture } from '../content/index.ts';
import { singleEdits, type Edit } from './edit.ts';
import { kindOf } from './kinds.ts';

export const editPictures = (edits: readonly Edit[]): readonly Picture[] =>
  singleEdits(edits).flatMap((edit) => (edit.kind === 'unknown' ? [] : (kindOf(edit).pictures?.(edit) ?? [])));
