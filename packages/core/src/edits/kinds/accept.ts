/** Leaves as it is what Check remarks on a slide, or has it remarked again. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface AcceptEdit {
  readonly kind: 'accept';
  readonly slide: SlideId;
  /** Kind of the remark; one that a newer Alvex has is kept. */
  readonly remark: string;
  readonly accepted: boolean;
}

/** What is accepted of a slide, as `Decisions` hold it. */
export const acceptance = (slide: SlideId, remark: string): string => `${remark} ${slide}`;

export const accept: EditKind<AcceptEdit> = {
  carry: (edit, ids) => ({ ...edit, slide: ids.slide(edit.slide) }),
  decide({ accepted }, { slide, remark, accepted: on }) {
    if (on) accepted.add(acceptance(slide, remark));
    else accepted.delete(acceptance(slide, remark));
  },
  says: ({ accepted }) => ({ code: accepted ? 'accept' : 'accept-back' }),
};
