/** A slide of the author’s own; null is the beginning. */
import { type Runs, runsText } from '../../content/index.ts';
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface AddEdit {
  readonly kind: 'add';
  readonly slide: SlideId;
  readonly after: SlideId | null;
  readonly title: Runs;
}

export const add: EditKind<AddEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    slide: ids.slide(edit.slide),
    after: edit.after === null ? null : ids.slide(edit.after),
  }),
  makes: ({ slide }) => slide,
  apply(desk, { slide: id, after, title }) {
    if (after !== null && !desk.stands(after)) return 'slide-gone';
    const empty = { content: [], notes: [], passages: [], section: null, continues: false };
    desk.insert({ id, kind: 'content', title: { runs: title, blocks: [] }, ...empty }, after);
    return undefined;
  },
  says: ({ title }) => ({ code: 'add', text: runsText(title) }),
};
