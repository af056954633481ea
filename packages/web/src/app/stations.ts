/** The stations of a deck, in their order: routes, the line across the top, and what asks for attention at each. */
import type { ComponentType } from 'react';
import type { DeckState } from '../state/deck-store.ts';
import { t } from '../words/words.ts';

export interface StationEntry {
  /** Of its address below the deck's. */
  readonly path: string;
  readonly label: string;
  /** What one does there, in one line. */
  readonly purpose: string;
  /** It has pages of its own, at addresses below. */
  readonly pages?: true;
  readonly load: () => Promise<ComponentType>;
  /** Things to look at; absent where nothing ever asks for it. */
  readonly attention?: (state: DeckState) => number;
}

export const STATIONS: readonly StationEntry[] = [
  {
    path: 'overview',
    label: t('Overview'),
    purpose: t('What the document becomes, and the few choices that change it.'),
    load: async () => (await import('../stations/overview/overview-station.tsx')).OverviewStation,
  },
  {
    path: 'document',
    label: t('Document'),
    purpose: t('Read the text as it was brought in, put its headings right, write in it.'),
    load: async () => (await import('../stations/document/document-station.tsx')).DocumentStation,
    attention: ({ diagnostics, structure }) =>
      diagnostics.length + (structure?.groups.length ?? 0) + (structure?.findings.length ?? 0),
  },
  {
    path: 'map',
    label: t('Map'),
    purpose: t('Decide which kinds of text make titles, points and speaker notes.'),
    load: async () => (await import('../stations/map/map-station.tsx')).MapStation,
  },
  {
    path: 'slides',
    label: t('Slides'),
    purpose: t('Go through the slides beside the text they come from; change either.'),
    load: async () => (await import('../stations/slides/slides-station.tsx')).SlidesStation,
    attention: ({ view }) => view?.pages.spills.filter(Boolean).length ?? 0,
  },
  {
    path: 'look',
    label: t('Look'),
    purpose: t('Choose theme, colours, type, layouts, movement, or your organisation’s template.'),
    load: async () => (await import('../stations/look/look-station.tsx')).LookStation,
  },
  {
    path: 'check',
    label: t('Check'),
    purpose: t('Mend what a listener would stumble over, keep to your time, see where every word went.'),
    pages: true,
    load: async () => (await import('../stations/check/check-station.tsx')).CheckStation,
    attention: ({ view }) => (view?.unplaced.length ?? 0) + (view?.sums.lost ? 1 : 0),
  },
  {
    path: 'hand-over',
    label: t('Hand over'),
    purpose: t(
      'Save it as a presentation, as pages, a web page, pictures, a handout or text, or all of it as one file.',
    ),
    load: async () => (await import('../stations/hand-over/hand-over-station.tsx')).HandOverStation,
  },
];

/** The station of a deck's bare address. */
export const FIRST_STATION = 'slides';
