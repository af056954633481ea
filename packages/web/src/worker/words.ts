/** Words of a page, counted once. */
import { contentOf, countWords, remembered, runsWords, tableText, type Page } from '@alvex/core';

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
