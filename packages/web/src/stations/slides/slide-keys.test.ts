/** The keys of the Slides station, on a deck that is held by the core itself. */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { convert, foldLog, singleEdits, type Edit, type SlideId } from '@alvex/core';
import type { KeyboardEvent } from 'react';
import { doc, h, li, p } from '../../../../core/src/test/build.ts';
import { awaitView, clearDeck, useDeck } from '../../state/deck-store.ts';
import { DeckLog, setLog, useLog } from '../../state/log-store.ts';
import { Unsent } from '../../state/unsent.ts';
import { clearPages, usePages } from '../../state/pages-store.ts';
import { clearSelection, select, useSelected } from '../../state/selection.ts';
import type { Row, View } from '../../worker/shown.ts';
import { choosePart, choosePassage, chooseSlide, clearChosen, useChosen } from './chosen.ts';
import { forgetKeys, onSlideKey } from './slide-keys.ts';

// Nobody has turned letters off.
Object.assign(globalThis, {
  localStorage: { getItem: () => null },
  requestAnimationFrame: (act: () => void) => setTimeout(act, 0),
  cancelAnimationFrame: clearTimeout,
});

class FakeElement {
  readonly tagName: string;
  readonly isContentEditable = false;
  constructor(tagName = 'DIV') {
    this.tagName = tagName;
  }
  closest(): null {
    return null;
  }
}
const mill = doc(
  h(1, 'Tide'),
  li('spring'),
  li('neap'),
  p('Said.'),
  h(1, 'Gates'),
  li('north'),
  li('south'),
  h(1, 'Roof'),
);
const id = (text: string): string => mill.blocks.find((block) => 'runs' in block && block.runs[0]!.text === text)!.id;
let jumps: number[] = [];
let log: DeckLog;

/** A log of a deck that is on no server. */
function openLog(): DeckLog {
  Object.assign(globalThis, {
    window: { addEventListener: () => undefined, removeEventListener: () => undefined },
    fetch: () => Promise.reject(new TypeError('no network')),
  });
  const opened = new DeckLog('d', { version: 0, log: [], by: [] }, [], () => undefined, new Unsent('d'));
  setLog(opened);
  return opened;
}

/** What the page would have of the deck, with the edits that were made. */
function show(edits: readonly Edit[] = []): void {
  const { deck, pages } = convert(mill, edits);
  const rows = pages.map(
    ({ key, slide, passages, index }): Row =>
      ({
        key,
        slide: slide.id,
        kind: slide.kind,
        title: slide.title,
        content: slide.content,
        all: slide.content,
        notes: slide.notes,
        passages,
        index,
        join:
          index === 0 && slide.title.blocks[0] !== undefined ? { kind: 'join', block: slide.title.blocks[0] } : null,
        hidden: slide.hidden === true,
        matter: slide.matter ?? null,
      }) as Row,
  );
  useDeck.setState({
    blocks: mill.blocks,
    blockById: new Map(mill.blocks.map((block) => [block.id, block])),
    destinations: new Map(deck.destinations.map((to, i) => [mill.blocks[i]!.id, to])),
    view: {
      pages: {
        order: pages.map(({ key }) => key),
        slides: pages.map(({ slide }) => slide.id),
        spills: [false, true, false],
      },
    } as unknown as View,
  });
  usePages.setState({ rows: new Map(rows.map((row) => [row.key, row])) });
}

beforeEach(() => {
  Object.assign(globalThis, { HTMLElement: FakeElement });
  jumps = [];
  log = openLog();
  show();
  select(null, useDeck.getState().view!.pages.order[0]!);
});
afterEach(() => {
  forgetKeys();
  clearChosen();
  log.close();
  clearDeck('none');
  clearPages();
  clearSelection();
});

function press(key: string, more: Partial<KeyboardEvent> = {}): boolean {
  let taken = false;
  const event = {
    key,
    shiftKey: false,
    altKey: false,
    ctrlKey: false,
    metaKey: false,
    target: new FakeElement() as unknown as EventTarget,
    preventDefault: () => (taken = true),
    stopPropagation: () => undefined,
    ...more,
  };
  onSlideKey(event as KeyboardEvent, (index) => {
    jumps.push(index);
    select(null, useDeck.getState().view!.pages.order[index] ?? null);
  });
  return taken;
}
const made = (): readonly Edit[] => singleEdits(foldLog(useLog.getState().log).done);
const keyOf = (index: number): string => useDeck.getState().view!.pages.order[index]!;
const slideAt = (index: number): SlideId => useDeck.getState().view!.pages.slides[index]!;

test('the arrows go from passage to passage, and on to the next slide', () => {
  press('ArrowDown');
  expect(useSelected.getState().block).toBe(id('Tide'));
  press('ArrowDown', { shiftKey: true });
  expect([...useChosen.getState().passages]).toEqual([id('Tide'), id('spring')]);
  for (let i = 0; i < 3; i++) press('ArrowDown');
  expect([useSelected.getState().block, jumps]).toEqual([id('Gates'), [1]]);
  press('ArrowUp');
  expect(useSelected.getState().block).toBe(id('Said.'));
  press('PageDown');
  press('n');
  expect(jumps.slice(-2)).toEqual([1, 1]);
});

test('marks of all that are chosen are turned as one action', () => {
  choosePassage(id('spring') as never, keyOf(0) as never);
  choosePassage(id('neap') as never, keyOf(0) as never, { shiftKey: true, ctrlKey: false, metaKey: false });
  press('ArrowRight');
  expect(useLog.getState().log).toHaveLength(1);
  expect(made()).toEqual([
    { kind: 'turn', block: id('spring'), to: 'point2' },
    { kind: 'turn', block: id('neap'), to: 'point2' },
  ]);
});

test('a passage is cut, joined, spoken, moved and left out', () => {
  choosePassage(id('neap') as never, keyOf(0) as never);
  press('c');
  // One goes on where the passage is then.
  expect(useSelected.getState()).toEqual({ block: id('neap'), row: `c${id('neap')}:0` });
  choosePassage(id('neap') as never, keyOf(0) as never);
  press('s');
  press('Delete');
  press('ArrowDown', { altKey: true });
  expect(made().slice(0, 3)).toEqual([
    { kind: 'cut', block: id('neap') },
    { kind: 'turn', block: id('neap'), to: 'notes' },
    { kind: 'turn', block: id('neap'), to: 'out' },
  ]);
  expect(made()[3]).toMatchObject({ kind: 'carry', parts: [id('neap')], to: slideAt(1), before: id('north') });
  press('PageDown');
  press('j');
  expect(made().at(-1)).toEqual({ kind: 'join', block: id('Gates') });
});

test('slides are moved, copied, hidden, added and taken out, several at once', () => {
  chooseSlide(slideAt(0));
  chooseSlide(slideAt(1), { shiftKey: true, ctrlKey: false, metaKey: false });
  press('ArrowDown', { altKey: true });
  press('h');
  press('Delete');
  expect(made()).toEqual([
    { kind: 'order', slides: [slideAt(0), slideAt(1)], before: null },
    { kind: 'hide', slides: [slideAt(0), slideAt(1)], hidden: true },
    { kind: 'remove', slides: [slideAt(0), slideAt(1)] },
  ]);
  press('Escape');
  expect(useChosen.getState().slides.size).toBe(0);
  press('d');
  press('a');
  expect(
    made()
      .slice(3)
      .map(({ kind }) => kind),
  ).toEqual(['duplicate', 'add']);
});

test('a point of one’s own is worked on by itself', () => {
  const edits: Edit[] = [
    { kind: 'insert', slide: slideAt(0), part: 'OWN' as never, after: null, level: 1, runs: [{ text: 'mine' }] },
    {
      kind: 'insert',
      slide: slideAt(0),
      part: 'OWN2' as never,
      after: 'OWN' as never,
      level: 1,
      runs: [{ text: 'mine too' }],
    },
  ];
  show(edits);
  choosePart('OWN2' as never, null, keyOf(0) as never);
  press('>');
  press('c');
  expect(useSelected.getState().row).toMatch(/^A/);
  choosePart('OWN2' as never, null, keyOf(0) as never);
  press('s');
  press('Delete');
  expect(made().map(({ kind }) => kind)).toEqual(['level', 'split', 'speak', 'reword']);
});

test('what is made of the deck is not worked on by parts', () => {
  show([{ kind: 'matter', part: 'agenda', on: true }]);
  select(null, keyOf(0) as never);
  choosePart(usePages.getState().rows.get(keyOf(0) as never)!.all[0]!.id, null, keyOf(0) as never);
  for (const key of ['s', '>', 'c', 'Delete']) press(key);
  expect(made()).toEqual([]);
});

test('nothing is taken from one who writes, or from the browser', () => {
  choosePassage(id('neap') as never, keyOf(0) as never);
  expect(press('c', { target: new FakeElement('INPUT') as unknown as EventTarget })).toBe(false);
  expect(press('c', { ctrlKey: true })).toBe(false);
  expect(press('Tab')).toBe(false);
  expect(press('q')).toBe(false);
  expect(made()).toEqual([]);
});

const nextFrame = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 5));

test('keys wait for what the key before makes, in order', async () => {
  choosePassage(id('neap') as never, keyOf(0) as never);
  press('c');
  awaitView();
  for (const key of ['PageDown', 'j', 'PageDown']) press(key);
  await nextFrame();
  expect([made().length, jumps]).toEqual([1, []]);
  show(made());
  useDeck.setState({ pending: false });
  await nextFrame();
  // Joined with the slide above, one goes on from there.
  expect(jumps).toEqual([2, 2]);
  expect(made().at(-1)).toEqual({ kind: 'join', block: id('Gates') });
});

test('keys wait until the slide that they mean is known', async () => {
  const { rows } = usePages.getState();
  const revs = new Map([...rows.keys()].map((key) => [key, 1]));
  const newest = new Map([...rows].map(([key, row]) => [key, { ...row, rev: 1 }]));
  usePages.setState({ revs, rows: new Map([...newest].slice(0, 1)) });
  select(null, keyOf(0) as never);
  press('PageDown');
  press('h');
  await nextFrame();
  expect([jumps, made()]).toEqual([[], []]);
  usePages.setState({ rows: newest });
  await nextFrame();
  expect(made()).toEqual([{ kind: 'hide', slides: [slideAt(1)], hidden: true }]);
});

test('keys that wait are forgotten where one goes elsewhere', async () => {
  awaitView();
  press('h');
  forgetKeys();
  useDeck.setState({ pending: false });
  await nextFrame();
  expect(made()).toEqual([]);
});

test('what takes back waits for the keys before it, and takes back their work', async () => {
  select(null, keyOf(0) as never);
  press('h');
  awaitView();
  press('d');
  const stopped = press('z', { ctrlKey: true });
  expect(stopped).toBe(true);
  useDeck.setState({ pending: false });
  await nextFrame();
  expect(useLog.getState().history.done.map(({ kind }) => kind)).toEqual(['hide']);
  expect(useLog.getState().history.undone.map(({ kind }) => kind)).toEqual(['duplicate']);
  // With nothing before it, it is the page's.
  expect(press('z', { ctrlKey: true })).toBe(false);
});
