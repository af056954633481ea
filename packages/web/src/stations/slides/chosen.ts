/** Which slides and which passages are chosen in the Slides station. The passage under the keyboard is the deck store's. */
import { create } from 'zustand';
import type { PartId, SlideId, BlockId, PageKey } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { select } from '../../state/selection.ts';
import { slideOrder } from './slide-work.ts';

export interface Chosen {
  readonly slides: ReadonlySet<SlideId>;
  readonly passages: ReadonlySet<BlockId>;
  /** Where an extension starts from. */
  readonly slideAnchor: SlideId | null;
  readonly passageAnchor: BlockId | null;
  /** The part that was chosen on a drawn slide; null where a passage was. */
  readonly part: PartId | 'title' | null;
}

const NONE: Chosen = {
  slides: new Set(),
  passages: new Set(),
  slideAnchor: null,
  passageAnchor: null,
  part: null,
};

export const useChosen = create<Chosen>(() => NONE);
const { setState: set, getState: get } = useChosen;

export const clearChosen = (): void => set(NONE);

/** How a click or a key adds to what is chosen. */
export interface Adding {
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

export function choosePassage(block: BlockId, row: PageKey, adding?: Adding): void {
  select(block, row);
  const { passages, passageAnchor } = get();
  if (adding?.shiftKey && passageAnchor !== null) {
    const order = useDeck.getState().blocks;
    const [a, b] = [order.findIndex(({ id }) => id === passageAnchor), order.findIndex(({ id }) => id === block)];
    const some = order.slice(Math.min(a, b), Math.max(a, b) + 1).map(({ id }) => id);
    set({ passages: new Set(some), slides: NONE.slides, part: null });
  } else if (adding?.ctrlKey || adding?.metaKey) {
    const next = new Set(passages);
    if (!next.delete(block)) next.add(block);
    set({ passages: next, passageAnchor: block, slides: NONE.slides, part: null });
  } else set({ passages: new Set([block]), passageAnchor: block, slides: NONE.slides, part: null });
}

export function chooseSlide(slide: SlideId, adding?: Adding): void {
  const { slides, slideAnchor } = get();
  const order = slideOrder(useDeck.getState().view?.pages.slides ?? []);
  if (adding?.shiftKey && slideAnchor !== null) {
    const [a, b] = [order.indexOf(slideAnchor), order.indexOf(slide)];
    set({ slides: new Set(order.slice(Math.min(a, b), Math.max(a, b) + 1)), passages: NONE.passages });
  } else if (adding?.ctrlKey || adding?.metaKey) {
    const next = new Set(slides);
    if (!next.delete(slide)) next.add(slide);
    set({ slides: next, slideAnchor: slide, passages: NONE.passages });
  } else {
    const only = slides.size === 1 && slides.has(slide);
    set({ slides: only ? NONE.slides : new Set([slide]), slideAnchor: slide, passages: NONE.passages });
  }
}

export const chooseSlides = (slides: readonly SlideId[]): void =>
  set({ slides: new Set(slides), slideAnchor: slides[0] ?? null, passages: NONE.passages });

/** Chooses a part on its drawn slide, and the passage that it comes from. */
export function choosePart(part: PartId | 'title', block: BlockId | null, row: PageKey): void {
  select(block, row);
  set({ ...NONE, passages: new Set(block === null ? [] : [block]), passageAnchor: block, part });
}
