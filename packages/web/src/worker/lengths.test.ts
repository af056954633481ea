/** What a deck could come to: what is promised of a choice is what its edits make. */
import { expect, test } from '@jest/globals';
import {
  beginning,
  convert,
  LENGTH_NAMES,
  secondsOf,
  timeOf,
  type Choice,
  type DocumentModel,
  type Edit,
} from '@alvex/core';
import { doc, h, li, p, random, randomDocument } from '../../../core/src/test/build.ts';
import { answer } from './answers.ts';
import type { Held } from './held.ts';

const say = (i: number): string =>
  Array.from(
    { length: 6 },
    (_, k) => `Sentence ${k} of part ${i} says at length what the weir has to do with the pond and the quay. `,
  ).join('');
const weir = doc(
  h(1, 'The long weir'),
  ...Array.from({ length: 12 }, (_, i) => [
    h(2, `Part ${i}`),
    li('First point'),
    li('Second point'),
    li('Third one'),
    p(say(i)),
  ]).flat(),
);

function held(document: DocumentModel, more: readonly Edit[] = []): Held {
  const edits = [...beginning(document), ...more];
  return {
    document,
    edits,
    converted: convert(document, edits),
    templates: new Map(),
    load: () => Promise.reject(new Error('not asked for')),
    pause: () => Promise.resolve(true),
  };
}
function made({ edits }: Choice, { document, edits: before }: Held) {
  const { pages, decisions, ledger } = convert(document, [...before, ...edits]);
  return { slides: pages.length, seconds: secondsOf(timeOf(pages), decisions.pace), ledger };
}

test('three lengths come to what is said of them, the short one to least', async () => {
  for (const document of [weir, ...[1, 2, 3, 4].map((seed) => randomDocument(random(seed), 40))]) {
    const on = held(document);
    const lengths = (await answer({ what: 'lengths' }, on))!;
    for (const name of LENGTH_NAMES) {
      const { slides, seconds, ledger } = made(lengths[name], on);
      expect([lengths[name].slides, lengths[name].seconds, ledger.lost]).toEqual([slides, seconds, 0]);
    }
    expect(lengths.short.seconds).toBeLessThanOrEqual(lengths.written.seconds);
  }
  const { short, written } = (await answer({ what: 'lengths' }, held(weir)))!;
  expect(short.seconds).toBeLessThan(written.seconds / 2);
  const listless = doc(h(1, 'T'), ...[1, 2, 3].flatMap((i) => [h(2, `P ${i}`), p(say(i)), p(say(i))]));
  const { read, written: spoken } = (await answer({ what: 'lengths' }, held(listless)))!;
  expect(read.slides).toBeGreaterThan(spoken.slides);
});

test('slides may begin at each heading level that the document uses below its title', async () => {
  const document = doc(h(1, 'T'), h(2, 'A'), h(3, 'a'), li('x'), h(3, 'b'), li('y'), h(2, 'B'), h(3, 'c'), li('z'));
  const on = held(document);
  const levels = await answer({ what: 'levels' }, on);
  expect(levels.map(({ level }) => level)).toEqual([2, 3]);
  for (const choice of levels) expect(made(choice, on).slides).toBe(choice.slides);
  expect(levels[1]!.slides).toBeGreaterThan(levels[0]!.slides);
  expect(await answer({ what: 'levels' }, held(doc(h(1, 'T'), h(2, 'A'), li('x'), h(2, 'B'), li('y'))))).toEqual([]);
});

test.each([4, 5, 6, 8, 10])('%d minutes are found by shorter notes, within a tenth', async (minutes) => {
  const on = held(weir);
  const fitting = (await answer({ what: 'fitting', minutes }, on))!;
  expect(fitting.near).toBe(true);
  expect(fitting.without).toEqual([]);
  expect(fitting.speech).toBeGreaterThan(0);
  const { slides, seconds, ledger } = made(fitting, on);
  expect([fitting.slides, fitting.seconds, ledger.lost]).toEqual([slides, seconds, 0]);
  expect(Math.abs(seconds / 60 - minutes)).toBeLessThanOrEqual(1);
});

test('what is long enough stays whole; what is far too long goes without sections, which are named', async () => {
  const whole = (await answer({ what: 'fitting', minutes: 60 }, held(weir)))!;
  expect([whole.speech, whole.without, whole.near]).toEqual([null, [], false]);
  const on = held(weir);
  const short = (await answer({ what: 'fitting', minutes: 2 }, on))!;
  expect(short.without.length).toBeGreaterThan(0);
  expect(short.without.every((title) => title.startsWith('Part '))).toBe(true);
  expect(made(short, on).ledger.lost).toBe(0);
});

test('an answer that is out of date is none', async () => {
  const on = { ...held(weir), pause: () => Promise.resolve(false) };
  expect(await answer({ what: 'lengths' }, on)).toBeNull();
  expect(await answer({ what: 'fitting', minutes: 5 }, on)).toBeNull();
});

test('marks that were turned by hand stay, whatever length is chosen', async () => {
  const spoken = weir.blocks.find(({ kind }) => kind === 'listItem')!;
  const on = held(weir, [{ kind: 'turn', block: spoken.id, to: 'out' }]);
  const { short } = (await answer({ what: 'lengths' }, on))!;
  const { deck, document } = convert(weir, [...on.edits, ...short.edits]);
  expect(deck.destinations[document.blocks.indexOf(spoken)]).toBe('out');
});
