/** What a page shows of its slide, and how long it takes to present. */
import { remembered } from '../base/index.ts';
import { longer, NO_TIME, talkTime, type Content, type TalkTime } from '../deck/index.ts';
import type { Page } from './page.ts';

/** What of its slide a page shows. */
export function contentOf({ slide, boxes, count }: Page): readonly Content[] {
  if (count === 1) return slide.content;
  const shown = new Set(
    boxes.flatMap((box) => (box.kind === 'text' ? box.paras.map(({ part }) => part) : 'part' in box ? [box.part] : [])),
  );
  return slide.content.filter((part) => shown.has(part.id));
}

const pageTime = remembered((page: Page): TalkTime => {
  const { slide, notes, index } = page;
  return talkTime({
    title: slide.title,
    continues: slide.continues || index > 0,
    content: contentOf(page),
    notes,
  });
});

/** What presenting pages takes; those that are hidden are not shown. */
export const timeOf = (pages: readonly Page[]): TalkTime =>
  pages.reduce((sum, page) => (page.slide.hidden === true ? sum : longer(sum, pageTime(page))), NO_TIME);
