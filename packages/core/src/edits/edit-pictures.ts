/** Pictures that edits put in: into the text, onto slides, at their foot. */
import type { Picture } from '../content/index.ts';
import { isStructureChange, writtenPictures } from '../structure/index.ts';
import { singleEdits, type Edit } from './edit.ts';

export function editPictures(edits: readonly Edit[]): readonly Picture[] {
  const single = singleEdits(edits);
  const placed = single.flatMap((edit): readonly Picture[] => {
    if (edit.kind === 'place' || edit.kind === 'replace') return [edit.picture];
    return edit.kind === 'foot' && edit.foot.logo !== null ? [edit.foot.logo.picture] : [];
  });
  return [...writtenPictures(single.filter(isStructureChange)), ...placed];
}
