/** What keeps a slide from being shown as it is, for those who choose between its layouts. */
import { layOutSlide, type Judge, type LayoutOptions } from '../layout/index.ts';
import { faultsOf, MOST_WORDS } from '../presentable/index.ts';

/** @returns The share of a slide's pages that break a rule. */
export const judgeOf =
  (options: LayoutOptions): Judge =>
  (slide) => {
    const pages = layOutSlide(slide, options);
    const broken = pages.filter(
      (page, i) =>
        faultsOf({
          page,
          before: pages[i - 1],
          theme: options.theme,
          pictures: options.pictures,
          words: MOST_WORDS.spoken,
        }).length > 0,
    );
    return broken.length / pages.length;
  };
