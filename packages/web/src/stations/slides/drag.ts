/** What is dragged about in the Slides station, and what dropping it does. */
import type { ElementDragPayload } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import type { BlockId, MovableId, SlideId } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import type { Row } from '../../worker/shown.ts';
import { placeSlides, slideOrder } from './slide-work.ts';

export type Dragged =
  | { readonly kind: 'slides'; readonly slides: readonly SlideId[] }
  /** Parts of slides and notes. */
  | { readonly kind: 'parts'; readonly parts: readonly MovableId[] };

export const draggedOf = (source: ElementDragPayload): Dragged | undefined =>
  source.data['dragged'] as Dragged | undefined;

/** What a row can take: parts only where it shows content. */
export const takes = (row: Row, dragged: Dragged | undefined): boolean =>
  dragged !== undefined && (dragged.kind === 'slides' || (row.kind === 'content' && row.matter === null));

export function dropParts(row: Row, parts: readonly MovableId[], before: MovableId | null): void {
  if (before !== null && parts.includes(before)) return;
  edit({ kind: 'carry', parts, to: row.slide, before });
}

export function dropSlides(row: Row, slides: readonly SlideId[], behind: boolean): void {
  const order = slideOrder(useDeck.getState().view?.pages.slides ?? []);
  const made = placeSlides(order, slides, row.slide, behind);
  if (made !== undefined) edit(made);
}

/** The first part or note of a row that comes from a passage. */
export const firstPartOf = (row: Row, block: BlockId): MovableId | null =>
  [...row.all, ...row.notes].find(({ blocks }) => blocks.includes(block))?.id ?? null;
