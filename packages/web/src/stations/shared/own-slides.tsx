/** The author's own slides in a look that is only looked at. */
import { chakra } from '@chakra-ui/react';
import { useEffect } from 'react';
import type { DeckLook, PageKey, ThemeDesign } from '@alvex/core';
import { SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { useDeck } from '../../state/deck-store.ts';
import { usePages, wantDressed } from '../../state/pages-store.ts';
import { t } from '../../words/words.ts';
import type { Pages } from '../../worker/shown.ts';

export interface ShelfProps {
  readonly look: DeckLook;
  readonly pages: Pages;
}

export const Sheet = chakra('div', { base: { border: '1px solid', borderColor: 'line', lineHeight: 0, bg: 'card' } });

const TELLING = [
  'cover',
  'section',
  'picture-right',
  'picture-left',
  'chart',
  'table',
  'steps',
  'timeline',
  'icon-grid',
  'columns',
  'points',
] as const;

/** Slides that show most of a look: a cover, an opener, and one of each kind of content. */
export function tellingSlides({ order, layouts }: Pages, most: number): readonly PageKey[] {
  const places: number[] = [];
  for (const layout of TELLING) {
    const place = layouts.indexOf(layout);
    if (place >= 0) places.push(place);
  }
  for (let place = 0; place < order.length && places.length < most; place++)
    if (!places.includes(place)) places.push(place);
  return places
    .slice(0, most)
    .sort((a, b) => a - b)
    .map((place) => order[place]!);
}

/** The slide that tells most of a look, but for covers and openers, of which most decks have few. */
export function contentSlide({ order, layouts }: Pages): PageKey | undefined {
  const telling = TELLING.filter((layout) => layout !== 'cover' && layout !== 'section');
  const places = telling.map((layout) => layouts.indexOf(layout)).filter((place) => place >= 0);
  return order[places[0] ?? layouts.findIndex((layout) => layout !== 'cover' && layout !== 'section')] ?? order.at(-1);
}

/** A theme as it is seen first; fonts, and colours that were made, stay as they are. */
export const worn = (look: DeckLook, { name }: ThemeDesign): DeckLook => ({ ...look, theme: name });

interface Props {
  readonly look: DeckLook;
  readonly keys: readonly PageKey[];
  readonly label: string;
}

export function OwnSlides({ look, keys, label }: Props) {
  const name = JSON.stringify(look);
  const dressed = usePages((state) => state.dressed.get(name));
  const revs = usePages((state) => state.revs);
  const deck = useDeck((state) => state.deck?.id ?? '');
  const order = useDeck((state) => state.view?.pages.order);
  const stale = keys.some((key) => dressed?.get(key)?.rev !== revs.get(key));
  useEffect(() => {
    if (stale) wantDressed(JSON.parse(name) as DeckLook, keys);
  }, [name, keys, stale]);
  return keys.map((key) => (
    <Sheet key={key}>
      <SlideDrawing
        drawing={dressed?.get(key)}
        deck={deck}
        number={(order?.indexOf(key) ?? 0) + 1}
        label={t('Slide {order} in {label}', { order: (order?.indexOf(key) ?? 0) + 1, label })}
      />
    </Sheet>
  ));
}
