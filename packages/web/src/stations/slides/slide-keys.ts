/** The keys of the Slides station, as `ui/keys.ts` lists them. Letters count only while nothing is being written. */
import type { KeyboardEvent } from 'react';
import {
  destinationsOf,
  pageKey,
  plain,
  slideAt,
  textKindOf,
  together,
  type Edit,
  type BlockId,
  type PartId,
  type SlideId,
  type PageKey,
} from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { usePages, wantPage } from '../../state/pages-store.ts';
import { select, useSelected } from '../../state/selection.ts';
import { edit, redo, undo } from '../../state/log-store.ts';
import { isWriting } from '../../ui/is-writing.ts';
import { mayBeKey } from '../../ui/keys.ts';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';
import { choosePassage, clearChosen, useChosen } from './chosen.ts';
import { levelled, mayCutAt, newId, slideOrder, spokenInstead, stepPart, stepSlides } from './slide-work.ts';

const KEYS: ReadonlySet<string> = new Set(
  'Escape PageDown PageUp ArrowDown ArrowUp ArrowLeft ArrowRight Delete n N a c j s < > d h'.split(' '),
);

type Press = Pick<KeyboardEvent, 'key' | 'altKey' | 'shiftKey' | 'ctrlKey' | 'metaKey'>;
type Jump = (index: number) => void;

/** @param jump Scrolls to a page and makes it the current one. */
export function onSlideKey(event: KeyboardEvent, jump: Jump): void {
  const { key, altKey, shiftKey, ctrlKey, metaKey } = event;
  if (isWriting(event.target)) return;
  // What is taken back is the work of the keys before it: it waits with them, where they wait.
  const takesBack = (ctrlKey || metaKey) && key.toLowerCase() === 'z' && waiting.length > 0;
  if (takesBack) event.stopPropagation();
  else if (ctrlKey || metaKey || !mayBeKey(event) || !KEYS.has(key)) return;
  // The browser's way back and forth.
  if (altKey && (key === 'ArrowLeft' || key === 'ArrowRight')) return;
  event.preventDefault();
  waiting.push([{ key, altKey, shiftKey, ctrlKey, metaKey }, jump]);
  actOnWaiting();
}

/** Pressed while the one before is still being done. What a key does depends on what that one makes, so they wait for it, in order. */
let waiting: (readonly [Press, Jump])[] = [];
let unwatch: (() => void) | undefined;
let frame = 0;

/** What was pressed and not done yet is not done any more, as when one goes elsewhere meanwhile. */
export function forgetKeys(): void {
  waiting = [];
  unwatch?.();
  unwatch = undefined;
  cancelAnimationFrame(frame);
}

function actOnWaiting(): void {
  while (waiting.length > 0 && isSettled()) act(...waiting.shift()!);
  if (waiting.length === 0) return forgetKeys();
  if (unwatch !== undefined) return;
  // Once it is on the page, as then the cursor is where the work goes on.
  const soon = () => {
    cancelAnimationFrame(frame);
    frame = requestAnimationFrame(actOnWaiting);
  };
  const stops = [useDeck.subscribe(soon), usePages.subscribe(soon)];
  unwatch = () => stops.forEach((stop) => stop());
}

/** Whether all edits are in what is shown, and the current page and those beside it are known as they are now. */
function isSettled(): boolean {
  if (useDeck.getState().pending) return false;
  const { index, order } = here();
  const { revs, rows } = usePages.getState();
  const missing = [index - 1, index, index + 1].flatMap((i) => {
    const key = index < 0 ? undefined : order[i];
    return key === undefined || revs.get(key) === rows.get(key)?.rev ? [] : [key];
  });
  missing.forEach(wantPage);
  return missing.length === 0;
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

function act(press: Press, jump: Jump): void {
  const { key } = press;
  if (press.ctrlKey || press.metaKey) return press.shiftKey ? redo() : undo();
  const { index, row, order } = here();
  const step = key === 'ArrowDown' || key === 'PageDown' || key === 'ArrowRight' ? 1 : -1;
  switch (key) {
    case 'Escape':
      return clearChosen();
    case 'PageDown':
    case 'PageUp':
      return jump(Math.max(0, Math.min(order.length - 1, index + step)));
    case 'ArrowDown':
    case 'ArrowUp':
      return press.altKey ? moveChosen(step) : stepPassage(step, press, jump);
    case 'ArrowLeft':
    case 'ArrowRight':
      return turnChosen(step);
    case 'n':
    case 'N': {
      const next = nextSpill(index, key === 'n' ? 1 : -1);
      if (next >= 0) jump(next);
      return;
    }
    case 'a':
      return addSlide(row?.slide ?? null);
    default:
      if (row !== undefined) onRow(key, row);
  }
}

function onRow(key: string, row: Row): void {
  const { destinations } = useDeck.getState();
  const selectedBlock = useSelected.getState().block;
  const { slides, passages } = useChosen.getState();
  const some: readonly SlideId[] = slides.size > 0 ? [...slides] : [row.slide];
  switch (key) {
    case 'c':
      if (selectedBlock !== null && mayCutAt(row, selectedBlock, destinations.get(selectedBlock) ?? 'out'))
        cutAt(row, selectedBlock);
      else splitAtPart(row);
      return;
    case 'j':
      return join(row);
    case 's':
    case '<':
    case '>': {
      const parts = chosenParts(row);
      edit(...(key === 's' ? spokenInstead(row, parts) : levelled(row, parts, key === '>' ? 1 : -1)));
      return;
    }
    case 'd':
      edit({ kind: 'duplicate', slide: row.slide, as: newId() });
      return;
    case 'h':
      edit({ kind: 'hide', slides: some, hidden: !row.hidden });
      return;
    case 'Delete':
      if (slides.size > 0) edit({ kind: 'remove', slides: some });
      else if (passages.size > 0)
        edit(...together([...passages].map((block): Edit => ({ kind: 'turn', block, to: 'out' }))));
      else {
        const parts = chosenParts(row);
        edit(...parts.map((part): Edit => ({ kind: 'reword', part, runs: [] })));
      }
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

/** One goes on with the passage, on the slide that it starts; where it is spoken, what comes behind it starts one. */
function cutAt(row: Row, block: BlockId): void {
  if (row.all.some(({ blocks }) => blocks.includes(block))) select(block, pageKey(slideAt('c', block), 0));
  edit({ kind: 'cut', block });
}

/** One goes on with the passage, on the slide above. */
function join(row: Row): void {
  if (row.join === null) return;
  const { index, order } = here();
  select(row.passages[0] ?? null, order[index - 1] ?? row.key);
  edit(row.join);
}

/** A slide of one's own parts, or one whose parts were moved, is parted where the chosen part stands. */
function splitAtPart(row: Row): void {
  const [part] = chosenParts(row);
  if (part === undefined || row.all[0]?.id === part) return;
  const as = newId();
  select(useSelected.getState().block, pageKey(as, 0));
  edit({ kind: 'split', slide: row.slide, part, as });
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

function stepPassage(by: 1 | -1, press: Press, jump: Jump): void {
  const { index, row, order } = here();
  const selectedBlock = useSelected.getState().block;
  if (row === undefined) return jump(Math.max(0, index));
  const at = selectedBlock === null ? -1 : row.passages.indexOf(selectedBlock);
  const next = at < 0 ? row.passages[by > 0 ? 0 : row.passages.length - 1] : row.passages[at + by];
  if (next !== undefined) return choosePassage(next, row.key, press);
  const beside = index + by;
  const other = rowAt(beside);
  if (beside < 0 || beside >= order.length) return;
  jump(beside);
  const passage = by > 0 ? other?.passages[0] : other?.passages.at(-1);
  if (passage !== undefined) choosePassage(passage, order[beside]!, press);
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
