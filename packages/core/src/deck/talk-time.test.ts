import { expect, test } from '@jest/globals';
import { plain } from '../content/index.ts';
import type { BlockId, NoteId, PartId } from '../ids/index.ts';
import type { Content, Note } from './deck.ts';
import { longer, NO_TIME, secondsOf, talkTime } from './talk-time.ts';

const block = (name: string): BlockId => name as BlockId;
const point = (name: string, text: string): Content => ({
  kind: 'point',
  level: 1,
  id: `p${name}` as PartId,
  blocks: [block(name)],
  runs: plain(text),
});
const note = (name: string, text: string): Note => ({
  kind: 'paragraph',
  depth: 0,
  ordered: false,
  id: `n${name}` as NoteId,
  blocks: [block(name)],
  runs: plain(text),
  anchor: null,
});
const title = { runs: plain('The weir'), blocks: [] };

test('points are said, and so are the notes and the title', () => {
  const slide = {
    title,
    continues: false,
    content: [point('a', 'it leaks at the sill')],
    notes: [note('b', 'since the flood')],
  };
  expect(talkTime(slide)).toEqual({ words: 2 + 5 + 3, looking: 0 });
});

test('a sentence on the slide that its notes say in full is said once', () => {
  const slide = {
    title,
    continues: false,
    content: [point('a', 'it leaks')],
    notes: [note('a', 'it leaks since the flood of March')],
  };
  expect(talkTime(slide).words).toBe(2 + 7);
});

test('the title of a slide that goes on is not said again', () => {
  expect(talkTime({ title, continues: true, content: [], notes: [] })).toEqual(NO_TIME);
});

test('tables, pictures and code are looked at', () => {
  const table: Content = {
    kind: 'table',
    id: 'pt' as PartId,
    blocks: [block('t')],
    table: { rows: [], head: 0 } as never,
  };
  const code: Content = {
    kind: 'text',
    style: 'code',
    id: 'pc' as PartId,
    blocks: [block('c')],
    runs: plain('open gate'),
  };
  const time = talkTime({ title, continues: true, content: [table, code], notes: [] });
  expect(time.words).toBe(0);
  expect(time.looking).toBeGreaterThan(10);
});

test('a question is given time, once for each that is asked', () => {
  const looking = (...texts: readonly string[]): number =>
    talkTime({ title, continues: false, content: [], notes: texts.map((text) => note(text, text)) }).looking;
  const one = looking('Who mends the gates?');
  expect(one).toBeGreaterThan(0);
  expect(looking('“Who mends the gates?” asks the chair. And who pays?')).toBe(2 * one);
  expect(looking('誰が直しますか？水門です。')).toBe(one);
  // Signs in addresses and names ask nothing.
  expect(looking('See mill.example/log?page=2 for more')).toBe(0);
});

test('time grows with a slower pace, and adds up', () => {
  const time = longer({ words: 65, looking: 5 }, { words: 65, looking: 10 });
  expect(secondsOf(time, 130)).toBe(75);
  expect(secondsOf(time, 65)).toBe(135);
});
