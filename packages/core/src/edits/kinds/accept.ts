/** Leaves as it is what Check remarks on a slide, or on any slide of the deck; or has it remarked again. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface AcceptEdit {
  readonly kind: 'accept';
  /** Null is every slide, those that come later among them. */
  readonly slide: SlideId | null;
  /** Kind of the remark; one that a newer Alvex has is kept. */
  readonly remark: string;
  readonly accepted: boolean;
}

/** What is accepted of a slide, or of all, as `Decisions` hold it. */
export const acceptance = (slide: SlideId | null, remark: string): string => `${remark} ${slide ?? '*'}`;

/** How far its author leaves as it is what is remarked on a slide. */
export const isAccepted = (
  accepted: ReadonlySet<string>,
  slide: SlideId,
  remark: string,
): 'everywhere' | 'here' | undefined =>
  accepted.has(acceptance(null, remark)) ? 'everywhere' : accepted.has(acceptance(slide, remark)) ? 'here' : undefined;

export const accept: EditKind<AcceptEdit> = {
  carry: (edit, ids) => ({ ...edit, slide: edit.slide === null ? null : ids.slide(edit.slide) }),
  decide({ accepted }, { slide, remark, accepted: on }) {
    if (on) accepted.add(acceptance(slide, remark));
    else accepted.delete(acceptance(slide, remark));
  },
  says: ({ accepted, slide }) =>
    slide === null
      ? { code: accepted ? 'accept-all' : 'accept-all-back' }
      : { code: accepted ? 'accept' : 'accept-back' },
};
