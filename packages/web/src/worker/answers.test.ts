/** What the worker answers, by the deck that it holds. */
import { describe, expect, test } from '@jest/globals';
import {
  blockText,
  convert,
  presetRecipe,
  runsText,
  type DocumentModel,
  type Edit,
  type SlideId,
  takeEdits,
} from '@alvex/core';
import { doc, h, li, p, table } from '../../../core/src/test/build.ts';
import { answer } from './answers.ts';
import type { Held } from './held.ts';
import type { Answers, Asking, What } from './questions.ts';

const LONG = 'The pond behind the wall holds the water of two tides until the wheel needs it. ';
const mill = doc(
  h(1, 'Tide'),
  li('Mending the sluice gate'),
  li('Replacing eleven floats'),
  li('Paint the door'),
  li('Cutting the reeds'),
  p(LONG.repeat(8)),
  h(1, 'Gates'),
  h(2, 'North'),
);

function held(edits: readonly Edit[] = [], change: Partial<Held> = {}): Held {
  return {
    document: mill,
    edits,
    converted: convert(mill, edits),
    templates: new Map(),
    load: () => Promise.reject(new Error('not asked for')),
    pause: () => Promise.resolve(true),
    ...change,
  };
}
const ask = <W extends What>(question: Asking<W>, on = held()): Promise<Answers[W]> => answer(question, on);
const [tide, gates] = convert(mill, []).deck.slides.map(({ id }) => id) as [SlideId, SlideId];

test('every passage has its place, its account and its slide', async () => {
  const entries = await ask({ what: 'ledger' }, held([{ kind: 'remove', slides: [gates] }]));
  expect(entries.map(({ account, slide }) => [account, slide])).toEqual([
    ...Array.from({ length: 5 }, () => ['slides', 1]),
    ['notes', 1],
    ['leftOut', null],
    ['leftOut', null],
  ]);
});

test('a block is found on its page, one that is gone nowhere', async () => {
  expect(await ask({ what: 'page', block: mill.blocks[7]!.id })).toBe(`${gates}:0`);
  expect(await ask({ what: 'page', block: 'none' as never })).toBeNull();
});

test('slides with more edits are counted, and nothing is changed by it', async () => {
  const on = held();
  expect(await ask({ what: 'slides', edits: [{ kind: 'turn', block: mill.blocks[7]!.id, to: 'title' }] }, on)).toBe(3);
  expect(on.converted.pages).toHaveLength(2);
});

describe('advice for a slide', () => {
  test('has fewer points, points that begin alike and thinner notes', async () => {
    const advice = (await ask({ what: 'advice', slide: tide }))!;
    expect(advice.fewer.map(({ most, parts }) => [most, parts.length])).toEqual([
      [3, 1],
      [2, 2],
    ]);
    expect(advice.parallel.map(({ rule }) => rule)).toEqual(['ing']);
    expect(advice.thinner).toMatchObject({ kind: 'renote', slide: tide });
    const thinned = convert(mill, [advice.thinner!]);
    expect(thinned.unplaced).toEqual([]);
    expect(thinned.ledger.lost).toBe(0);
  });
  test('is nothing for a slide that is gone, and short where there is little', async () => {
    expect(await ask({ what: 'advice', slide: 'none' as SlideId })).toBeNull();
    expect(await ask({ what: 'advice', slide: gates })).toMatchObject({
      fewer: [],
      shorter: [],
      parallel: [],
      thinner: null,
      told: null,
    });
  });
  test('says of a slide with a title alone what its notes say', async () => {
    const { map } = presetRecipe('talk', mill);
    const edits: readonly Edit[] = [{ kind: 'map', name: null, map, prose: { as: 'whole' } }];
    const bare = doc(h(1, 'Gates'), p('Both gates are elm on iron straps. The straps can be kept.'));
    const { deck } = convert(bare, edits);
    const slide = deck.slides.find(({ content }) => content.length === 0)!.id;
    const { told } = (await ask(
      { what: 'advice', slide },
      { ...held(), document: bare, edits, converted: convert(bare, edits) },
    ))!;
    const after = convert(bare, [...edits, told!]);
    expect(after.deck.slides[0]!.content).toMatchObject([
      { kind: 'point', runs: [{ text: 'Both gates are elm on iron straps' }] },
    ]);
    expect(after.ledger.lost).toBe(0);
  });
});

describe('the look of slides', () => {
  const figures = doc(
    h(1, 'Steps'),
    li('Open the gate', 1, true),
    li('Close it', 1, true),
    li('Grease it', 1, true),
    h(1, 'Guests'),
    table([
      ['', 'n'],
      ['2024', '9'],
      ['2025', '12'],
    ]),
  );
  const on = (edits: readonly Edit[] = []) => held(edits, { document: figures, converted: convert(figures, edits) });
  const [steps, guests] = convert(figures, []).deck.slides.map(({ id }) => id) as [SlideId, SlideId];
  const part = convert(figures, []).deck.slides[1]!.content[0]!.id;

  test('layouts come ranked with reasons, each drawn with the slide’s own words', async () => {
    const offers = await ask({ what: 'layouts', slide: steps }, on());
    expect(offers[0]).toMatchObject({ layout: 'steps', reason: 'numbered', worn: false });
    expect(offers.find(({ worn }) => worn)!.layout).toBe('points');
    for (const { drawing } of offers)
      expect(drawing.texts.map(({ pieces }) => pieces.map(({ text }) => text).join(' ')).join(' ')).toContain(
        'Open the',
      );
  });

  test('an arrangement says what would change, and changes nothing', async () => {
    const state = on();
    const { layouts, changes, fixed } = await ask({ what: 'arrangement' }, state);
    expect(layouts).toContainEqual({ slide: steps, layout: 'steps' });
    expect(changes.map(({ number, from, to }) => [number, from, to])).toContainEqual([1, 'points', 'steps']);
    expect(fixed).toBe(0);
    expect(state.converted.pages[0]!.layout).toBe('points');
    const kept = await ask({ what: 'arrangement' }, on([{ kind: 'layout', slides: [steps], layout: 'points' }]));
    expect([kept.fixed, kept.changes.some(({ number }) => number === 1)]).toEqual([1, false]);
  });

  test('a table’s numbers and the charts that suit them', async () => {
    const offers = (await ask({ what: 'chart', slide: guests, part }, on()))!;
    expect(offers).toMatchObject({
      drawn: false,
      data: { categories: ['2024', '2025'] },
      settings: { kind: 'column' },
    });
    const chart = { ...offers.settings, kind: 'bar' as const };
    expect(await ask({ what: 'chart', slide: guests, part }, on([{ kind: 'chart', part, chart }]))).toMatchObject({
      drawn: true,
      settings: chart,
    });
    expect(await ask({ what: 'chart', slide: steps, part: 'none' as never }, on())).toBeNull();
  });

  test('icons are found for each text by what it says', async () => {
    const [wheel, bread, none] = await ask(
      { what: 'icons', texts: ['A working wheel', 'Tea and bread', 'xyzzy'], most: 3 },
      on(),
    );
    expect(wheel![0]!.name).toContain('wheel');
    expect(bread!.map(({ name }) => name).join(' ')).toMatch(/bread|tea/);
    expect(none).toEqual([]);
    expect(wheel![0]!.paths.length).toBeGreaterThan(0);
  });

  test('a template that is not in force has nothing to match', async () =>
    expect(await ask({ what: 'template' }, on())).toBeNull());
});

test('takes stand beside the deck in force, and one that is out of date is not finished', async () => {
  const { map, prose } = presetRecipe('lesson', mill);
  const edits: Edit[] = ['a', 'b'].map((take) => ({
    kind: 'take',
    take,
    settings: { name: 'lesson', map, prose, full: 'continue' },
  }));
  const takes = await ask({ what: 'takes' }, held(edits));
  expect(takes.map(({ take, slides }) => [take, slides])).toEqual([
    ['', 2],
    ['a', 2],
    ['b', 2],
  ]);
  expect(takes[1]!.lines.map(({ against }) => against)).toEqual(['other', 'same']);
  expect(takes[1]!.drawings.map(({ key }) => key)).toEqual(takes[1]!.lines.map(({ key }) => key));
  let left = 1;
  const stopped = await ask({ what: 'takes' }, held(edits, { pause: () => Promise.resolve(left-- > 0) }));
  expect(stopped.map(({ take }) => take)).toEqual(['', 'a']);
});

test('a map is suggested with what the author decided already', async () => {
  const none = await ask({ what: 'suggestion', target: null });
  const few = await ask({ what: 'suggestion', target: { unit: 'slides', amount: 2 } });
  expect(none.costed.length).toBeGreaterThan(5);
  expect(few.best.slides).toBe(2);
  const cut: Edit = { kind: 'turn', block: mill.blocks[7]!.id, to: 'title' };
  const turned = await ask({ what: 'suggestion', target: null }, held([cut]));
  expect(Math.min(...turned.costed.map(({ slides }) => slides))).toBe(3);
});

test('what a suggested map promises is what it makes', async () => {
  const long = doc(
    ...Array.from({ length: 12 }, (_, i) => [
      h(1, `Part ${i}`),
      ...Array.from({ length: 9 }, (_, k) => li(`A point of part ${i} that says a thing in full, number ${k}`)),
      h(2, `More of ${i}`),
      li(`and this of part ${i}`),
    ]).flat(),
  );
  for (const amount of [12, 24, 40]) {
    const on = held([], { document: long, converted: convert(long, []) });
    const { best } = await ask({ what: 'suggestion', target: { unit: 'slides', amount } }, on);
    const used = convert(long, takeEdits({ ...best, name: best.readyMade ? best.base : null }));
    expect(used.pages.length).toBe(best.slides);
  }
});

test('an edition is read, compared, and told with what would find no place', async () => {
  const after: DocumentModel = doc(h(1, 'Tide'), li('Mending the sluice gates'));
  const edits: Edit[] = [{ kind: 'hide', slides: [gates], hidden: true }];
  const on = held(edits, {
    load: (url) => (url === '/second' ? Promise.resolve(after) : Promise.reject(new Error('gone'))),
  });
  const edition = { original: 'a'.repeat(64), type: 'markdown', fileName: 'b.md' };
  const { review, unplaced, slides } = await ask({ what: 'edition', url: '/second', edition }, on);
  expect(review.items.map(({ kind }) => kind)).toEqual(['changed', 'gone', 'gone', 'gone', 'gone', 'gone', 'gone']);
  expect([unplaced.length, slides]).toEqual([1, 1]);
  await expect(ask({ what: 'edition', url: '/third', edition }, on)).rejects.toThrow('gone');
});

test('outlines are compared', async () => {
  const { deck, document } = await ask({ what: 'outlines' }, held([{ kind: 'hide', slides: [tide], hidden: true }]));
  expect(deck[0]!.differences).toEqual(['hidden']);
  expect(document).toHaveLength(3);
});

describe('what is remarked', () => {
  const poor = doc(
    h(1, 'Bare'),
    h(1, 'Gates'),
    li('The gates are of oak'),
    li('They leak'),
    li('Silt fills the pit'),
    li('The roof is open'),
    li('The wheel stands'),
  );
  const bare = convert(poor, []).deck.slides[0]!.id;
  const heldWith = (edits: readonly Edit[]) => held(edits, { document: poor, converted: convert(poor, edits) });
  const accepting: Edit = { kind: 'accept', slide: bare, remark: 'bare', accepted: true };

  test('slides that can be shown as they are are counted, those that their author accepts among them', async () => {
    expect(await ask({ what: 'readiness' }, heldWith([]))).toEqual({ ready: 1, of: 2 });
    expect((await ask({ what: 'readiness' }, heldWith([accepting]))).ready).toBe(2);
  });

  test('each with its place, and with repairs that were tried', async () => {
    const [first] = await ask({ what: 'remarks' }, heldWith([]));
    expect(first).toMatchObject({ kind: 'bare', number: 1, slide: bare, accepted: false });
    const ways = await ask({ what: 'repairs', kind: 'bare', key: first!.key }, heldWith([]));
    expect(ways.map(({ name }) => name)).toEqual(['join-below']);
    const after = await ask({ what: 'remarks' }, heldWith([{ kind: 'all', edits: ways[0]!.edits }]));
    expect(after.map(({ kind }) => kind)).not.toContain('bare');
    expect(await ask({ what: 'repairs', kind: 'spills', key: first!.key }, heldWith([]))).toEqual([]);
  });

  test('all of some kinds at once; nothing where the deck became another meanwhile', async () => {
    expect(await ask({ what: 'mendAll', kinds: ['bare'], edits: [], tried: [] }, heldWith([]))).toMatchObject({
      mended: 1,
      left: 0,
    });
    const gone = { ...heldWith([]), pause: async () => false };
    expect(await ask({ what: 'mendAll', kinds: ['bare'], edits: [], tried: [] }, gone)).toBeNull();
  });
});

describe('the pace', () => {
  test('has the time of each page, and of the last rehearsal', async () => {
    const rehearsal = { began: '2026-03-14T10:00:00Z', seconds: [[tide, 40] as const], stumbled: [tide] };
    const { pages, rehearsals } = await ask(
      { what: 'pace' },
      held([
        { kind: 'rehearse', id: 'a', rehearsal: { ...rehearsal, seconds: [] } },
        { kind: 'rehearse', id: 'b', rehearsal },
        { kind: 'hide', slides: [gates], hidden: true },
      ]),
    );
    expect(pages.map(({ title, rehearsed, hidden }) => [title, rehearsed, hidden])).toEqual([
      ['Tide', 40, false],
      ['Gates', null, true],
    ]);
    expect(pages[0]!.seconds).toBeGreaterThan(50);
    expect(rehearsals.map(({ id, seconds, stumbled }) => [id, seconds, stumbled])).toEqual([
      ['a', 0, 1],
      ['b', 40, 1],
    ]);
  });

  test('tells how quickly was spoken, where a rehearsal lets one say', async () => {
    const spoken = async (seconds: number) => {
      const rehearsal = { began: '2026-03-14T10:00:00Z', seconds: [[tide, seconds] as const], stumbled: [] };
      return (await ask({ what: 'pace' }, held([{ kind: 'rehearse', id: 'a', rehearsal }]))).rehearsals[0]!.rate;
    };
    const { pages } = await ask({ what: 'pace' }, held([]));
    const planned = pages.find(({ title }) => title === 'Tide')!.seconds;
    // As long as the plan says: as quickly as the plan has it.
    expect(await spoken(planned)).toBe(held([]).converted.decisions.pace);
    expect(await spoken(planned * 1.5)).toBeLessThan(held([]).converted.decisions.pace);
    expect(await spoken(2)).toBeNull();
    expect(await spoken(3600)).toBeNull();
  });

  const sentence =
    'The sluice of the old mill holds back the water of the spring tide until the wheel is free to turn. ';
  const long = doc(
    h(1, 'The mill'),
    ...Array.from({ length: 12 }, (_, i) => [
      h(2, `Part ${'abcdefghijkl'[i]}`),
      li('The gates are of oak'),
      li('They leak'),
      p(`Of part ${i} one may say much. ${sentence.repeat(6)}`),
      ...(i === 4
        ? [
            table([
              ['Work', 'Cost'],
              ['Gates', '31'],
              ['Roof', '12'],
            ]),
          ]
        : []),
    ]).flat(),
  );
  const heldLong = (edits: readonly Edit[] = []) => held(edits, { document: long, converted: convert(long, edits) });
  const minutesOf = async (edits: readonly Edit[]) =>
    (await ask({ what: 'pace' }, heldLong(edits))).pages.reduce(
      (sum, { seconds, hidden }) => sum + (hidden ? 0 : seconds),
      0,
    ) / 60;

  test('is brought down to the time that there is, as promised', async () => {
    const before = await minutesOf([]);
    for (const wanted of [before * 0.8, before * 0.45, before * 0.2]) {
      const { steps, after, near } = (await ask({ what: 'savings', minutes: wanted }, heldLong()))!;
      const made = await minutesOf(steps.flatMap(({ edits }) => edits));
      expect(made * 60).toBeCloseTo(after, 3);
      expect({ wanted, near, close: Math.abs(made - wanted) <= Math.max(1, wanted * 0.1) }).toEqual({
        wanted,
        near,
        close: near,
      });
      expect(steps.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(before * 60 - after, 3);
      // What does least harm comes first.
      expect(steps[0]!.kind).toBe('notes');
    }
  });

  test('goes without whole sections, which are named, before what is left is spoken of in single sentences', async () => {
    const before = await minutesOf([]);
    const { steps } = (await ask({ what: 'savings', minutes: before * 0.12 }, heldLong()))!;
    const kinds = steps.map(({ kind }) => kind);
    expect(kinds).toContain('sections');
    const { text, edits } = steps[kinds.indexOf('sections')]!;
    const headings = new Set(long.blocks.flatMap((block) => (block.kind === 'heading' ? [blockText(block)] : [])));
    expect(text.split(' · ').filter((title) => !headings.has(title))).toEqual([]);
    expect(edits).toEqual([expect.objectContaining({ kind: 'leave', as: 'deleted' })]);
    const without = convert(
      long,
      steps.flatMap((step) => step.edits),
    );
    const titles = without.deck.slides.map(({ title }) => runsText(title.runs));
    expect(titles.filter((title) => text.split(' · ').includes(title))).toEqual([]);
  });

  test('is left alone where there is time enough; detail goes behind the closing first', async () => {
    expect(await ask({ what: 'savings', minutes: 600 }, heldLong())).toMatchObject({ steps: [], near: false });
    const before = await minutesOf([]);
    const { steps } = (await ask({ what: 'savings', minutes: before * 0.45 }, heldLong()))!;
    const backUp = steps.filter(({ kind }) => kind === 'back-up');
    expect(backUp[0]!.text).toBe('Part e');
    const after = convert(
      long,
      steps.flatMap(({ edits }) => edits),
    );
    expect(after.deck.slides.at(-backUp.length)).toMatchObject({ hidden: true });
    expect(after.ledger.lost).toBe(0);
  });

  test('is no answer where the deck became another meanwhile, however late', async () => {
    const minutes = (await minutesOf([])) * 0.3;
    let pauses = 0;
    await ask({ what: 'savings', minutes }, { ...heldLong(), pause: async () => ++pauses > 0 });
    expect(pauses).toBeGreaterThan(2);
    for (let late = 1; late <= pauses; late++) {
      let asked = 0;
      const gone = { ...heldLong(), pause: async () => ++asked < late };
      expect(await ask({ what: 'savings', minutes }, gone)).toBeNull();
    }
  });
});
