/** Rows of the facing pages: what the page is told of each, and which are other than before. */
import {
  contentOf,
  documentLanguage,
  notesAdvice,
  runsText,
  type Converted,
  type Deck,
  type Edit,
  type MatterKind,
  type Page,
  type SlideId,
  type Theme,
  type PageKey,
} from '@alvex/core';
import type { Counts, RemovedLine, Row } from './shown.ts';
import { wordsOf } from './words.ts';

type Join = Extract<Edit, { kind: 'join' | 'merge' }>;

/** A page as it was told last. */
export interface Known {
  readonly page: Page;
  readonly join: Join | null;
  readonly removed: readonly RemovedLine[];
  readonly pace: number;
  readonly theme: Theme;
  readonly rev: number;
}

let revision = 0;

/** Every page by its key; one that is as before keeps its revision. */
export function knowPages(converted: Converted, former: ReadonlyMap<PageKey, Known>): Map<PageKey, Known> {
  const { pages, deck, decisions, theme } = converted;
  const next = new Map<PageKey, Known>();
  const removed = removedLines(deck);
  const standing = mappedBefore(converted);
  pages.forEach((page, i) => {
    const old = former.get(page.key);
    const join = joinOf(pages, i, standing);
    const out = removedAt(page, i === pages.length - 1, removed);
    const same =
      old?.page === page &&
      old.theme === theme &&
      sameJoin(old.join, join) &&
      sameLines(old.removed, out) &&
      old.pace === decisions.pace;
    next.set(page.key, same ? old : { page, join, removed: out, pace: decisions.pace, theme, rev: ++revision });
  });
  return next;
}

export function countPages(pages: readonly Page[]): Counts {
  const has = (page: Page, kind: 'table' | 'picture'): boolean => page.boxes.some((box) => box.kind === kind);
  const count = (test: (page: Page) => boolean): number => pages.reduce((sum, page) => (test(page) ? sum + 1 : sum), 0);
  return {
    sections: count((page) => page.slide.kind === 'section'),
    notes: count((page) => page.notes.length > 0),
    tables: count((page) => has(page, 'table')),
    pictures: count((page) => has(page, 'picture')),
  };
}

/** A cover stands where it was not sent away; the rest where it was asked for. */
export function matterInForce({ deck, decisions }: Converted): readonly MatterKind[] {
  const asked = [...decisions.matter].filter(([, on]) => on).map(([kind]) => kind);
  return deck.slides[0]?.kind === 'cover' ? [...new Set<MatterKind>(['cover', ...asked])] : asked;
}

const holdsText = ({ boxes }: Page): boolean =>
  boxes.some((box) => box.kind === 'text' && box.paras.some(({ part }) => part !== null));

/** Pages of a page's slide that hold text; those of its tables and pictures do not come from its being too full. */
const textPagesOf = ({ slide, count }: Page, { pages }: Converted): number =>
  count === 1 ? 1 : pages.filter((page) => page.slide === slide && holdsText(page)).length;

export function makeRow({ page, join, removed, pace, rev }: Known, converted: Converted): Row {
  const { slide, key, index, layout, notes, passages, fit } = page;
  const { shown, spoken } = wordsOf(page);
  const { id, kind, title } = slide;
  return {
    key,
    rev,
    slide: id,
    kind,
    layout,
    title,
    content: contentOf(page),
    all: slide.content,
    notes,
    passages,
    fit,
    words: shown,
    spoken,
    continues: slide.continues || index > 0,
    index,
    textPages: textPagesOf(page, converted),
    join,
    hidden: slide.hidden === true,
    motion: slide.motion ?? null,
    matter: slide.matter ?? null,
    full: slide.full ?? null,
    fixed: slide.layout ?? null,
    colors: slide.colors ?? null,
    untitled: title.blocks.length === 0 && slide.matter === undefined,
    advice: notesAdvice(notes, slide, pace, documentLanguage(converted.document)),
    removed,
  };
}

/** The slide before each one, as the map made them. */
function mappedBefore({ mapped }: Converted): ReadonlyMap<SlideId, SlideId> {
  const before = new Map<SlideId, SlideId>();
  mapped.forEach(({ id }, i) => {
    if (i > 0) before.set(id, mapped[i - 1]!.id);
  });
  return before;
}

/**
 * How a slide goes on the one above. One that the map made, where the map put it: by its first content, or by its title. Any
 * other is merged. Never a cover, an opener, or what is made of the deck itself.
 */
function joinOf(pages: readonly Page[], i: number, standing: ReadonlyMap<SlideId, SlideId>): Join | null {
  const { slide, index } = pages[i]!;
  const before = pages[i - 1]?.slide;
  const joinable = (one: Page['slide'] | undefined): boolean => one?.kind === 'content' && one.matter === undefined;
  if (index > 0 || before === undefined || !joinable(slide) || !joinable(before)) return null;
  const block = slide.continues ? slide.content[0]?.blocks[0] : slide.title.blocks[0];
  if (block !== undefined && standing.get(slide.id) === before.id) return { kind: 'join', block };
  return { kind: 'merge', slide: slide.id, into: before.id };
}

const sameJoin = (a: Join | null, b: Join | null): boolean =>
  a?.kind === 'join'
    ? b?.kind === 'join' && a.block === b.block
    : a === null
      ? b === null
      : b?.kind === 'merge' && a.into === b.into;
const sameLines = (a: readonly RemovedLine[], b: readonly RemovedLine[]): boolean =>
  a.length === b.length && a.every(({ slide }, i) => slide === b[i]!.slide);

/** Slides that were taken out, by the slide that they stood before; null for the end. */
function removedLines({ removed }: Deck): ReadonlyMap<SlideId | null, readonly RemovedLine[]> {
  const lines = new Map<SlideId | null, RemovedLine[]>();
  for (const { slide, before } of removed)
    lines.set(before, [...(lines.get(before) ?? []), { slide: slide.id, title: runsText(slide.title.runs) }]);
  return lines;
}

const NONE_REMOVED: readonly RemovedLine[] = [];

function removedAt(
  { slide, index }: Page,
  last: boolean,
  removed: ReadonlyMap<SlideId | null, readonly RemovedLine[]>,
): readonly RemovedLine[] {
  if (removed.size === 0) return NONE_REMOVED;
  const before = index === 0 ? (removed.get(slide.id) ?? NONE_REMOVED) : NONE_REMOVED;
  return last ? [...before, ...(removed.get(null) ?? NONE_REMOVED)] : before;
}
