/** Repairs keep what they promise: the remark is gone, nothing worse has come, no word is lost. */
import { describe, expect, test } from '@jest/globals';
import { badness, REMARK_KINDS, remarksOf, type Remark, type RemarkKind } from '../checks/index.ts';
import { readChart, sumOf, usualSettings } from '../charts/index.ts';
import { runsText, type Runs } from '../content/index.ts';
import type { TablePart } from '../deck/index.ts';
import { carryOver, singleEdits, type Edit } from '../edits/index.ts';
import { PRESET_NAMES, presetRecipe } from '../mapping/index.ts';
import { doc, h, li, p, picture, quote, random, randomDocument, table, type Draft } from '../test/build.ts';
import { convert } from './convert.ts';
import { lookedAt, repairAll, repaired, repairsOf, type Repairable } from './repairs.ts';

type Drafts = readonly Draft[];

function ended<T>(steps: Generator<void, T>): T {
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}
function deckOf(drafts: Drafts | ReturnType<typeof doc>, edits: readonly Edit[] = []): Repairable {
  const original = Array.isArray(drafts) ? doc(...(drafts as Drafts)) : (drafts as ReturnType<typeof doc>);
  let made = 0;
  return {
    original,
    edits,
    converted: convert(original, edits),
    templates: new Map(),
    fresh: () => `r${++made}`,
  };
}
const remarksIn = ({ converted }: Repairable): readonly Remark[] => remarksOf(lookedAt(converted));
const kindsIn = (deck: Repairable): readonly RemarkKind[] => remarksIn(deck).map(({ kind }) => kind);
/** The first way that mends the first remark of a kind. */
function mended(deck: Repairable, kind: RemarkKind) {
  const remark = remarksIn(deck).find((one) => one.kind === kind)!;
  const [way] = ended(repairsOf(remark, deck));
  return { remark, way, after: way === undefined ? deck : repaired(deck, way.edits) };
}
const points = (count: number): Drafts =>
  Array.from({ length: count }, (_, i) =>
    li(`The ${['oak', 'elm', 'ash', 'yew', 'fir'][i % 5]!} gate leaks badly ${i}`),
  );
const good = (title: string): Drafts => [h(1, title), ...points(5), p(`What one says about ${title} aloud.`)];
const slideText = (deck: Repairable, i: number): string => {
  const { title, content } = deck.converted.deck.slides[i]!;
  return [title, ...content].flatMap((part) => ('runs' in part ? [runsText(part.runs)] : [])).join(' | ');
};
const notesText = (deck: Repairable, i: number): string =>
  deck.converted.deck.slides[i]!.notes.map(({ runs }) => runsText(runs)).join(' ');

describe('ways', () => {
  test('a title alone says what its notes say', () => {
    const deck = deckOf([
      ...good('Gates'),
      h(1, 'The pond'),
      p('The pond was dug by hand in one winter. It has been silting up since.'),
      p('Clearing it takes eight weeks. Two boats are needed.'),
    ]);
    const { way, after } = mended(deck, 'bare');
    expect(way!.name).toBe('tell-notes');
    expect(kindsIn(after)).not.toContain('bare');
    expect(slideText(after, 1)).toMatch(/^The pond \| The pond was dug by hand/);
    expect(notesText(after, 1)).toContain('It has been silting up since.');
  });

  test('a chart whose table has changed takes its numbers, or keeps its own and knows it', () => {
    const drafts = (sum: string): Drafts => [
      ...good('Gates'),
      h(1, 'Yield'),
      table([
        ['Year', 'Flour'],
        ['2001', '10'],
        ['2002', sum],
      ]),
      p('What one says about it.'),
    ];
    const [, slide] = deckOf(drafts('21')).converted.deck.slides;
    const part = slide!.content[0] as TablePart;
    const data = readChart(part.table, 'en')!;
    const written = { categories: ['2001', '2002'], series: [{ name: 'Flour', values: [10, 99] }], of: 'before' };
    const deck = deckOf(drafts('21'), [
      { kind: 'chart', part: part.id, chart: { ...usualSettings(data, 'column'), data: written } },
    ]);
    const remark = remarksIn(deck).find(({ kind }) => kind === 'stale-numbers')!;
    const ways = ended(repairsOf(remark, deck));
    expect(ways.map(({ name }) => name)).toEqual(['table-numbers', 'own-numbers']);
    const drawn = ways.map(({ edits }) => {
      const after = repaired(deck, edits);
      expect(kindsIn(after)).not.toContain('stale-numbers');
      return (after.converted.deck.slides[1]!.content[0] as TablePart).chart!.data;
    });
    expect(drawn).toEqual([null, { ...written, of: sumOf(data) }]);
  });

  test('too many points: some are spoken, and none is lost', () => {
    const deck = deckOf([h(1, 'Gates'), ...points(9), p('Said of gates.')]);
    const { remark, way, after } = mended(deck, 'many-points');
    expect(remark.count).toBe(9);
    expect(way).toMatchObject({ name: 'speak-points', text: '6' });
    expect(after.converted.deck.slides[0]!.content).toHaveLength(6);
    expect(after.converted.deck.slides[0]!.notes).toHaveLength(4);
    expect(after.converted.ledger).toMatchObject({ lost: 0, leftOut: 0 });
  });

  test('a title over too many lines: its first clause, and all of it in the notes', () => {
    const long = `What the tide gives us at Sallow Quay: ${'an account of hours, of heights and of the silt that comes with them '.repeat(4)}`;
    const deck = deckOf([...good('Gates'), h(1, long), ...points(5), p('Said.')]);
    const { way, after } = mended(deck, 'long-title');
    expect(way).toMatchObject({ name: 'shorten-title', text: 'What the tide gives us at Sallow Quay' });
    expect(notesText(after, 1)).toContain('an account of hours');
  });

  test('the same title again, and one that says nothing, say more', () => {
    const deck = deckOf([
      ...good('Gates'),
      ...good('Wheel'),
      h(1, 'Gates'),
      li('Silt lies in the wheel pit'),
      ...points(4),
      p('Said.'),
    ]);
    const { way, after } = mended(deck, 'title-twice');
    expect(way!.name).toBe('add-to-title');
    expect(slideText(after, 2)).toMatch(/^Gates: \S/);
    const vague = mended(deckOf([...good('Gates'), ...good('Introduction')]), 'vague-title');
    expect(slideText(vague.after, 1)).toMatch(/^Introduction: \S/);
  });

  test('notes that say the slide again go, those that say too much are shortened', () => {
    const again = deckOf([
      h(1, 'Roof'),
      li('The roof of the mill lies open to the sky'),
      ...points(4),
      p('The roof of the mill lies open to the sky.'),
      p('Rain has come through for eleven winters.'),
    ]);
    const { way, after } = mended(again, 'notes-repeat');
    expect(way!.name).toBe('drop-notes');
    expect(notesText(after, 0)).toBe('Rain has come through for eleven winters.');
    const sentences = Array.from(
      { length: 60 },
      (_, i) => `In year ${1900 + i} the pond was cleared by ${i + 2} people.`,
    );
    const long = mended(deckOf([h(1, 'Pond'), ...points(5), p(sentences.join(' '))]), 'long-notes');
    expect(long.way!.name).toBe('shorten-notes');
    expect(notesText(long.after, 0).length).toBeLessThan(sentences.join(' ').length * 0.6);
    // Of a slide that goes on, those of the page that is meant.
    const work = Array.from({ length: 16 }, (_, i) =>
      li(`Mend the gate number ${i} before the tide comes up the creek`),
    );
    const pages = [h(1, 'Work'), work[0]!, p('Said of the first.'), ...work.slice(1), p(sentences.join(' '))];
    const later = mended(deckOf(pages), 'long-notes');
    const [first, ...others] = later.after.converted.pages.map(({ notes }) => notes.map(({ runs }) => runsText(runs)));
    expect(first).toEqual(['Said of the first.']);
    expect(others.join('').length).toBeLessThan(sentences.join(' ').length * 0.6);
  });

  test('points alike, one spelling, no jump that leads nowhere', () => {
    const work = [
      'Mend the gates at once',
      'Clear the pit of silt',
      'Paint the wheel again',
      'Closing the roof in May',
    ];
    const alike = mended(deckOf([h(1, 'Work'), ...work.map((text) => li(text)), p('Said.')]), 'unlike-points');
    expect(slideText(alike.after, 0)).toContain('Close the roof in May');
    const names = deckOf([
      ...good('Gates').slice(0, -1),
      p('We walked to Sallow Quay, and Sallow Quay was dry.'),
      ...good('Wheel').slice(0, -1),
      p('They came from Sallow-Quay in *May*.'),
    ]);
    const spelt = mended(names, 'spelt-twice');
    expect(spelt.way).toMatchObject({ name: 'spell-alike', text: 'Sallow Quay' });
    expect(notesText(spelt.after, 1)).toBe('They came from Sallow Quay in *May*.');
    const runs: Runs = [{ text: 'See ' }, { text: 'the gates', link: '#gates', bold: true }];
    const linked = mended(deckOf([h(1, 'Pit'), li(runs), ...points(4), p('Said.')]), 'dead-link');
    expect(linked.after.converted.deck.slides[0]!.content[0]).toMatchObject({
      runs: [{ text: 'See ' }, { text: 'the gates', bold: true }],
    });
  });

  test('what is for the speaker goes off the slide', () => {
    const deck = deckOf(
      [...good('Gates'), h(1, 'Pit'), ...points(5), h(2, 'For the chair only'), li('Ask for the loan first')],
      [{ kind: 'map', name: null, map: presetRecipe('reading', doc(h(1, 'A'))).map }],
    );
    const { way, after } = mended(deck, 'private-shown');
    expect(way!.name).toBe('notes-only');
    expect(
      after.converted.deck.slides.flatMap(({ content }) =>
        content.flatMap((part) => ('runs' in part ? [runsText(part.runs)] : [])),
      ),
    ).not.toContain('Ask for the loan first');
    expect(after.converted.ledger.lost).toBe(0);
  });

  test('a picture takes the words below it as its description; without any the author has to write', () => {
    const deck = deckOf([h(1, 'Gates'), picture('a'), ...points(4), p('Said.')]);
    expect(mended(deck, 'undescribed').way).toBeUndefined();
  });

  test('none is offered that would bring up something worse', () => {
    const deck = deckOf([h(1, 'Gates'), quote('A sentence that stands alone.'), h(1, 'Bare'), h(1, 'Bare too')]);
    for (const remark of remarksIn(deck))
      for (const way of ended(repairsOf(remark, deck))) {
        const before = new Set(remarksIn(deck).map(({ kind, slide }) => `${kind} ${slide}`));
        const fresh = remarksIn(repaired(deck, way.edits)).filter(({ kind, slide }) => !before.has(`${kind} ${slide}`));
        expect(fresh.filter(({ kind }) => badness(kind) <= badness(remark.kind))).toEqual([]);
      }
  });
});

test('all of random decks are repaired: it ends, within three rounds nothing is left to do, and no word is lost', () => {
  let repairs = 0;
  for (let seed = 1; seed <= 10; seed++) {
    const document = randomDocument(random(seed), 40);
    const recipe = presetRecipe(PRESET_NAMES[seed % PRESET_NAMES.length]!, document);
    let deck = deckOf(document, [{ kind: 'map', name: null, map: recipe.map }]);
    let rounds = 0;
    for (let more = true; more; rounds++) {
      const open = remarksIn(deck).filter(({ accepted }) => !accepted).length;
      const { edits, mended: done, left } = ended(repairAll(new Set(REMARK_KINDS), deck));
      deck = repaired(deck, edits);
      expect({ seed, lost: deck.converted.ledger.lost, unplaced: deck.converted.unplaced }).toEqual({
        seed,
        lost: 0,
        unplaced: [],
      });
      expect(remarksIn(deck)).toHaveLength(left);
      if (done > 0) expect(left).toBeLessThanOrEqual(open + done);
      repairs += done;
      more = done > 0;
    }
    expect({ seed, rounds: rounds <= 4 }).toEqual({ seed, rounds: true });
    // They are edits like any others.
    expect(carryOver(singleEdits(deck.edits))).toHaveLength(deck.edits.length);
  }
  expect(repairs).toBeGreaterThan(15);
});

test('a few at a time come to the same as all at once', () => {
  const document = randomDocument(random(3), 60);
  const kinds = new Set(REMARK_KINDS);
  const whole = ended(repairAll(kinds, deckOf(document)));
  let deck = deckOf(document);
  let tried: readonly string[] = [];
  let mended = 0;
  for (let more = true; more;) {
    const some = ended(repairAll(kinds, deck, tried, 2));
    deck = repaired(deck, some.edits);
    mended += some.mended;
    ({ tried, more } = some);
  }
  expect(whole.mended).toBeGreaterThan(1);
  expect({ mended, left: remarksIn(deck).length }).toEqual({ mended: whole.mended, left: whole.left });
});

test('what its author accepted is not repaired', () => {
  const deck = deckOf([...good('Gates'), h(1, 'Bare'), p('One may say this. And that.')]);
  const { slide } = remarksIn(deck).find(({ kind }) => kind === 'bare')!;
  const accepting = repaired(deck, [{ kind: 'accept', slide, remark: 'bare', accepted: true }]);
  expect(ended(repairAll(new Set(['bare']), accepting))).toMatchObject({ edits: [], mended: 0, left: 0 });
  expect(ended(repairAll(new Set(['bare']), deck))).toMatchObject({ mended: 1, left: 0 });
});
