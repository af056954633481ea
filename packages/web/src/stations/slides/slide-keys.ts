/** The keys of the Slides station, as `ui/keys.ts` lists them. Letters count only while nothing is being written. */
import type { KeyboardEvent } from 'react';
import {
  destinationsOf,
  pageKey,
  plain,
  textKindOf,
  together,
  type Edit,
  type PartId,
  type SlideId,
  type PageKey,
} from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { usePages } from '../../state/pages-store.ts';
import { select, useSelected } from '../../state/selection.ts';
import { edit } from '../../state/log-store.ts';
import { isWriting } from '../../ui/is-writing.ts';
import { mayBeKey } from '../../ui/keys.ts';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/protocol.ts';
import { choosePassage, clearChosen, useChosen } from './chosen.ts';
import { levelled, mayCutAt, newId, slideOrder, spokenInstead, stepPart, stepSlides } from './slide-work.ts';

/** @param jump Scrolls to a page and makes it the current one. */
export function onSlideKey(event: KeyboardEvent, jump: (index: number) => void): void {
  if (event.ctrlKey || event.metaKey || !mayBeKey(event) || isWriting(event.target)) return;
  if (event.key === 'Enter' || event.key === 'Tab' || event.key === ' ') return;
  if (act(event, jump)) event.preventDefault();
}

interface Here {
  readonly index: number;
  readonly row: Row | undefined;
  readonly order: readonly PageKey[];
}

function here(): Here {
  const order = useDeck.getState().view?.pages.order ?? [];
  const selected = useSelected.getState().row;
  if (selected === null) return { index: -1, row: undefined, order };
  return { index: order.indexOf(selected), row: usePages.getState().rows.get(selected), order };
}

function rowAt(index: number): Row | undefined {
  const key = useDeck.getState().view?.pages.order[index];
  return key === undefined ? undefined : usePages.getState().rows.get(key);
}

/** @returns Whether the key meant something. */
function act(event: KeyboardEvent, jump: (index: number) => void): boolean {
  const { key } = event;
  const { index, row, order } = here();
  const step = key === 'ArrowDown' || key === 'PageDown' || key === 'ArrowRight' ? 1 : -1;
  switch (key) {
    case 'Escape':
      clearChosen();
      return true;
    case 'PageDown':
    case 'PageUp':
      jump(Math.max(0, Math.min(order.length - 1, index + step)));
      return true;
    case 'ArrowDown':
    case 'ArrowUp':
      if (event.altKey) moveChosen(step);
      else stepPassage(step, event, jump);
      return true;
    case 'ArrowLeft':
    case 'ArrowRight':
      if (event.altKey) return false;
      turnChosen(step);
      return true;
    case 'n':
    case 'N': {
      const next = nextSpill(index, key === 'n' ? 1 : -1);
      if (next >= 0) jump(next);
      return true;
    }
    case 'a':
      addSlide(row?.slide ?? null);
      return true;
    default:
      return row !== undefined && onRow(key, row);
  }
}

function onRow(key: string, row: Row): boolean {
  const { destinations } = useDeck.getState();
  const selectedBlock = useSelected.getState().block;
  const { slides, passages } = useChosen.getState();
  const some: readonly SlideId[] = slides.size > 0 ? [...slides] : [row.slide];
  switch (key) {
    case 'c':
      if (selectedBlock !== null && mayCutAt(row, selectedBlock, destinations.get(selectedBlock) ?? 'out'))
        edit({ kind: 'cut', block: selectedBlock });
      else splitAtPart(row);
      return true;
    case 'j':
      if (row.join !== null) edit(row.join);
      return true;
    case 's':
    case '<':
    case '>': {
      const parts = chosenParts(row);
      edit(...(key === 's' ? spokenInstead(row, parts) : levelled(row, parts, key === '>' ? 1 : -1)));
      return true;
    }
    case 'd':
      edit({ kind: 'duplicate', slide: row.slide, as: newId() });
      return true;
    case 'h':
      edit({ kind: 'hide', slides: some, hidden: !row.hidden });
      return true;
    case 'Delete':
      if (slides.size > 0) edit({ kind: 'remove', slides: some });
      else if (passages.size > 0)
        edit(...together([...passages].map((block): Edit => ({ kind: 'turn', block, to: 'out' }))));
      else {
        const parts = chosenParts(row);
        edit(...parts.map((part): Edit => ({ kind: 'reword', part, runs: [] })));
      }
      return true;
    default:
      return false;
  }
}

/** The parts of the current slide that are chosen, on it or by their passages. */
function chosenParts(row: Row): readonly PartId[] {
  const { part, passages } = useChosen.getState();
  const selectedBlock = useSelected.getState().block;
  // What is made of the deck itself is not worked on by parts.
  if (row.matter !== null) return [];
  if (part !== null) return row.all.flatMap(({ id }) => (id === part ? [id] : []));
  const blocks = passages.size > 0 ? passages : new Set(selectedBlock === null ? [] : [selectedBlock]);
  return row.all.filter((one) => one.blocks.some((block) => blocks.has(block))).map(({ id }) => id);
}

/** A slide of one's own parts, or one whose parts were moved, is parted where the chosen part stands. */
function splitAtPart(row: Row): void {
  const [part] = chosenParts(row);
  if (part !== undefined && row.all[0]?.id !== part) edit({ kind: 'split', slide: row.slide, part, as: newId() });
}

function moveChosen(by: 1 | -1): void {
  const { index, row } = here();
  const { slides } = useChosen.getState();
  const order = slideOrder(useDeck.getState().view?.pages.slides ?? []);
  if (row === undefined && slides.size === 0) return;
  const [part] = slides.size > 0 || row === undefined ? [] : chosenParts(row);
  if (part === undefined) {
    const made = stepSlides(order, slides.size > 0 ? slides : new Set([row!.slide]), by);
    if (made !== undefined) edit(made);
    return;
  }
  const other = (direction: 1 | -1): Row | undefined => {
    let at = index + direction;
    while (rowAt(at)?.slide === row!.slide) at += direction;
    return rowAt(at);
  };
  const made = stepPart(row!, other(-1), other(1), part, by);
  if (made !== undefined) edit(made);
}

function stepPassage(by: 1 | -1, event: KeyboardEvent, jump: (index: number) => void): void {
  const { index, row, order } = here();
  const selectedBlock = useSelected.getState().block;
  if (row === undefined) return jump(Math.max(0, index));
  const at = selectedBlock === null ? -1 : row.passages.indexOf(selectedBlock);
  const next = at < 0 ? row.passages[by > 0 ? 0 : row.passages.length - 1] : row.passages[at + by];
  if (next !== undefined) return choosePassage(next, row.key, event);
  const beside = index + by;
  const other = rowAt(beside);
  if (beside < 0 || beside >= order.length) return;
  jump(beside);
  const passage = by > 0 ? other?.passages[0] : other?.passages.at(-1);
  if (passage !== undefined) choosePassage(passage, order[beside]!, event);
}

function turnChosen(by: 1 | -1): void {
  const { destinations, blockById } = useDeck.getState();
  const selectedBlock = useSelected.getState().block;
  const { passages } = useChosen.getState();
  const blocks = passages.size > 0 ? [...passages] : selectedBlock === null ? [] : [selectedBlock];
  const turns = blocks.flatMap((id): readonly Edit[] => {
    const block = blockById.get(id);
    const kind = block === undefined ? undefined : textKindOf(block);
    if (kind === undefined) return [];
    const choices = destinationsOf(kind);
    const to = choices[choices.indexOf(destinations.get(id) ?? 'out') + by];
    return to === undefined ? [] : [{ kind: 'turn', block: id, to }];
  });
  edit(...together(turns));
}

/** The next page that holds too much, round the end; -1 for none. */
export function nextSpill(from: number, by: 1 | -1): number {
  const spills = useDeck.getState().view?.pages.spills ?? [];
  for (let i = 1; i <= spills.length; i++) {
    const at = (from + by * i + spills.length * 2) % spills.length;
    if (spills[at]) return at;
  }
  return -1;
}

/** A slide of one's own behind another; it has a title from the start, so that it is never blank. */
export function addSlide(after: SlideId | null): void {
  const slide = newId();
  edit({ kind: 'add', slide, after, title: plain(t('New slide')) });
  // It becomes the current one as soon as it is there.
  select(null, pageKey(slide, 0));
}
