import { describe, expect, test } from '@jest/globals';
import { plain, runsText } from '../content/index.ts';
import { makeLedger, mapDocument, presetMap } from '../mapping/index.ts';
import { doc, h, li, p } from '../test/build.ts';
import { decide } from './decide.ts';
import { foldLog, type Edit } from './edit.ts';
import { replay } from './replay.ts';
import type { SlideId } from '../ids/index.ts';

const document = doc(h(1, 'T'), li('a'), p('spoken'), p('more'), h(1, 'U'), li('b'));
const deck = mapDocument(document, presetMap('talk', document));
const blocks = new Set(document.blocks.map((block) => block.id as string));
const [first] = deck.slides;
const notes = first!.notes.map((note) => note.id);
const renote = (...texts: readonly string[]): Edit => ({
  kind: 'renote',
  slide: first!.id,
  replaces: notes,
  anchor: null,
  notes: texts.map((text) => ({ kind: 'paragraph', depth: 0, ordered: false, runs: plain(text) })),
});

describe('the log', () => {
  const [a, b, c]: readonly Edit[] = [
    { kind: 'cut', block: 'a' as never },
    { kind: 'cut', block: 'b' as never },
    { kind: 'cut', block: 'c' as never },
  ];

  test('undo drops the last edit, redo brings it back', () => {
    expect(foldLog([a!, b!, { kind: 'undo' }])).toEqual({ done: [a], writers: [null], undone: [b] });
    expect(foldLog([a!, b!, { kind: 'undo' }, { kind: 'undo' }, { kind: 'redo' }])).toEqual({
      done: [a],
      writers: [null],
      undone: [b],
    });
  });

  test('a new edit ends what could be made again', () => {
    expect(foldLog([a!, { kind: 'undo' }, c!, { kind: 'redo' }])).toEqual({ done: [c], writers: [null], undone: [] });
  });

  test('undo with nothing to undo does nothing', () => {
    expect(foldLog([{ kind: 'undo' }, a!])).toEqual({ done: [a], writers: [null], undone: [] });
  });
});

test('a join takes back a cut; without a cut it is a join', () => {
  expect(
    decide([
      { kind: 'cut', block: 'x' as never },
      { kind: 'join', block: 'x' as never },
    ]),
  ).toMatchObject({ cuts: new Set(), joins: new Set() });
  expect(decide([{ kind: 'join', block: 'x' as never }])).toMatchObject({ joins: new Set(['x']) });
  expect(
    decide([
      { kind: 'join', block: 'x' as never },
      { kind: 'cut', block: 'x' as never },
    ]),
  ).toMatchObject({ joins: new Set(), cuts: new Set(['x']) });
});

test('what no edit touches comes back identical', () => {
  expect(replay(deck, [], blocks).deck).toBe(deck);
  const { deck: after } = replay(deck, [{ kind: 'retitle', slide: first!.id, runs: plain('New') }], blocks);
  expect(after.slides[1]).toBe(deck.slides[1]);
  expect(runsText(after.slides[0]!.title.runs)).toBe('New');
  expect(after.slides[0]!.title.blocks).toEqual(first!.title.blocks);
});

test('a point taken off is left out, by the author', () => {
  const part = first!.content[0]!;
  const { deck: after } = replay(deck, [{ kind: 'reword', part: part.id, runs: [] }], blocks);
  expect(after.slides[0]!.content).toEqual([]);
  expect(after.leftOut).toEqual([{ block: part.blocks[0], reason: 'removed' }]);
  expect(makeLedger(document, after).lost).toBe(0);
});

describe('notes', () => {
  test('are replaced where they stood, and keep their source', () => {
    const { deck: after } = replay(deck, [renote('one', 'two', 'three')], blocks);
    expect(after.slides[0]!.notes.map((note) => runsText(note.runs))).toEqual(['one', 'two', 'three']);
    expect(after.slides[0]!.notes[0]!.blocks).toEqual(first!.notes.flatMap((note) => note.blocks));
    expect(makeLedger(document, after)).toMatchObject({ notes: 2, lost: 0 });
  });

  test('written twice, the second replaces the first', () => {
    const again: Edit = { ...renote('last'), kind: 'renote', replaces: [`${first!.id}!0`, `${first!.id}!1`] } as never;
    const { deck: after, unplaced } = replay(deck, [renote('one', 'two'), again], blocks);
    expect(unplaced).toEqual([]);
    expect(after.slides[0]!.notes.map((note) => runsText(note.runs))).toEqual(['last']);
  });

  test('emptied, their words are left out by the author', () => {
    const { deck: after } = replay(deck, [renote()], blocks);
    expect(makeLedger(document, after)).toMatchObject({ notes: 0, leftOut: 2, lost: 0 });
  });
});

test('an edit without a target is unplaced with its reason, and placed again when the target is back', () => {
  const edits: readonly Edit[] = [
    { kind: 'retitle', slide: 'gone' as SlideId, runs: plain('x') },
    { kind: 'reword', part: 'gone' as never, runs: plain('x') },
    { kind: 'turn', block: 'gone' as never, to: 'out' },
    { ...renote('x'), replaces: ['gone'] } as never,
  ];
  expect(replay(deck, edits, blocks).unplaced.map((one) => one.reason)).toEqual([
    'slide-gone',
    'part-gone',
    'block-gone',
    'notes-gone',
  ]);
  const reword: Edit = { kind: 'reword', part: first!.content[0]!.id, runs: plain('other words') };
  const spoken = mapDocument(document, { ...presetMap('talk', document), list1: 'notes' });
  expect(replay(spoken, [reword], blocks).unplaced).toHaveLength(1);
  expect(replay(deck, [reword], blocks).unplaced).toHaveLength(0);
});
