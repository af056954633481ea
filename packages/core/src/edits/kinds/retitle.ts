/** Gives a slide another title. */
import { type Runs, runsText } from '../../content/index.ts';
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface RetitleEdit {
  readonly kind: 'retitle';
  readonly slide: SlideId;
  readonly runs: Runs;
}

export const retitle: EditKind<RetitleEdit> = {
  carry: (edit, ids) => ({ ...edit, slide: ids.slide(edit.slide) }),
  apply: (desk, { slide: id, runs }) => desk.change([id], (slide) => ({ ...slide, title: { ...slide.title, runs } })),
  says: ({ runs }) => ({ code: 'retitle', text: runsText(runs) }),
};
