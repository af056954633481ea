/** Words of a page, counted once. */
import { countWords, remembered, runsWords, tableText, type Content, type Page } from '@alvex/core';

export interface PageWords {
  readonly shown: number;
  readonly spoken: number;
}

export const wordsOf = remembered((page: Page): PageWords => {
  const shown = contentOf(page).reduce((sum, part) => {
    if (part.kind === 'picture') return sum;
    return sum + (part.kind === 'table' ? countWords(tableText(part.table)) : runsWords(part.runs));
  }, runsWords(page.slide.title.runs));
  return { shown, spoken: page.notes.reduce((sum, note) => sum + runsWords(note.runs), 0) };
});

/** What of its slide a page shows. */
export function contentOf({ slide, boxes, count }: Page): readonly Content[] {
  if (count === 1) return slide.content;
  const shown = new Set(
    boxes.flatMap((box) => (box.kind === 'text' ? box.paras.map(({ part }) => part) : 'part' in box ? [box.part] : [])),
  );
  return slide.content.filter((part) => shown.has(part.id));
}
