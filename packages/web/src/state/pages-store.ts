/** Pages of the open deck that were seen, and which are asked for. */
import type { DeckLook, PageKey } from '@alvex/core';
import { create } from 'zustand';
import type { Drawing, Pages, Row, SeenPages } from '../worker/shown.ts';
import { currentLink } from './core-link.ts';

interface PagesState {
  /** Newest revision of every page, by key. */
  readonly revs: ReadonlyMap<PageKey, number>;
  /** Pages that were seen; one whose revision is not the newest is asked for again when it is seen again. */
  readonly rows: ReadonlyMap<PageKey, Row>;
  readonly drawings: ReadonlyMap<PageKey, Drawing>;
  /** Drawings in looks that are looked at: the look as JSON, then key. */
  readonly dressed: ReadonlyMap<string, ReadonlyMap<PageKey, Drawing>>;
}
const NONE: PagesState = { revs: new Map(), rows: new Map(), drawings: new Map(), dressed: new Map() };

export const usePages = create<PagesState>(() => NONE);
const { setState: set, getState: get } = usePages;

const MOST_DRESSED = 40;

/** Pages that were asked for, with the revision that was the newest then. */
const asked = new Map<PageKey, number>();
let asking: PageKey[] = [];

export function clearPages(): void {
  asked.clear();
  asking = [];
  set(NONE);
}

/** What is new of pages that were asked for. */
export const takePages = (seen: SeenPages): void => set(withPages(get(), seen));

/** Another deck: pages that are no more are forgotten. */
export function takeOrder({ order, revs }: Pages, seen: SeenPages): void {
  const { rows, drawings } = get();
  const newest = new Map(order.map((key, i) => [key, revs[i] ?? 0]));
  const still = <T>(map: ReadonlyMap<PageKey, T>): ReadonlyMap<PageKey, T> =>
    [...map.keys()].every((key) => newest.has(key)) ? map : new Map([...map].filter(([key]) => newest.has(key)));
  set({ ...withPages({ rows: still(rows), drawings: still(drawings) }, seen), revs: newest });
}

function withPages(
  state: Pick<PagesState, 'rows' | 'drawings'>,
  seen: SeenPages,
): Pick<PagesState, 'rows' | 'drawings'> {
  for (const row of seen.rows) asked.delete(row.key);
  return {
    rows: new Map([...state.rows, ...seen.rows.map((row) => [row.key, row] as const)]),
    drawings: new Map([...state.drawings, ...seen.drawings.map((drawing) => [drawing.key, drawing] as const)]),
  };
}

const lookKey = (look: DeckLook): string => JSON.stringify(look);

export function takeDressed(look: DeckLook, drawings: readonly Drawing[]): void {
  const dressed = new Map(get().dressed);
  const key = lookKey(look);
  dressed.set(
    key,
    new Map([...(dressed.get(key) ?? []), ...drawings.map((drawing) => [drawing.key, drawing] as const)]),
  );
  // Looks that were looked at long ago are drawn again when they are seen again.
  for (const old of [...dressed.keys()].slice(0, -MOST_DRESSED)) dressed.delete(old);
  set({ dressed });
}

/** Asks for the row and drawing of a page that is seen, unless the newest is here or on its way. */
export function wantPage(key: PageKey): void {
  const { revs, rows } = get();
  const rev = revs.get(key);
  if (rev === undefined || rows.get(key)?.rev === rev || asked.get(key) === rev) return;
  asked.set(key, rev);
  // All that become visible together are asked for together.
  if (asking.push(key) > 1) return;
  queueMicrotask(() => {
    if (asking.length > 0) currentLink()?.tell({ kind: 'pages', keys: asking });
    asking = [];
  });
}

export const wantDressed = (look: DeckLook, keys: readonly PageKey[]): void =>
  currentLink()?.tell({ kind: 'dress', look, keys });
