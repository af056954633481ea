/** The stations of a deck, in their order: routes, the line across the top, and what asks for attention at each. */
import type { ComponentType } from 'react';
import type { DeckState } from '../state/deck-store.ts';

export interface StationEntry {
  /** Of its address below the deck's. */
  readonly path: string;
  readonly label: string;
  readonly load: () => Promise<ComponentType>;
  /** Things to look at; absent where nothing ever asks for it. */
  readonly attention?: (state: DeckState) => number;
}

export const STATIONS: readonly StationEntry[] = [
  {
    path: 'document',
    label: 'Document',
    load: async () => (await import('../stations/document/document-station.tsx')).DocumentStation,
    attention: ({ diagnostics, structure }) =>
      diagnostics.length + (structure?.groups.length ?? 0) + (structure?.findings.length ?? 0),
  },
  {
    path: 'map',
    label: 'Map',
    load: async () => (await import('../stations/map/map-station.tsx')).MapStation,
  },
  {
    path: 'slides',
    label: 'Slides',
    load: async () => (await import('../stations/slides/slides-station.tsx')).SlidesStation,
    attention: ({ view }) => view?.pages.spills.filter(Boolean).length ?? 0,
  },
  {
    path: 'look',
    label: 'Look',
    load: async () => (await import('../stations/look/look-station.tsx')).LookStation,
  },
  {
    path: 'check',
    label: 'Check',
    load: async () => (await import('../stations/check/check-station.tsx')).CheckStation,
    attention: ({ view }) => (view?.unplaced.length ?? 0) + (view?.sums.lost ? 1 : 0),
  },
  {
    path: 'hand-over',
    label: 'Hand over',
    load: async () => (await import('../stations/hand-over/hand-over-station.tsx')).HandOverStation,
  },
];

/** The station of a deck's bare address. */
export const FIRST_STATION = 'slides';
