/** Branch rules, running text, front and back matter, and the map that is suggested. */
import { describe, expect, test } from '@jest/globals';
import { languageTag } from '../base/index.ts';
import { plain, runsText } from '../content/index.ts';
import type { Deck, MatterKind } from '../deck/index.ts';
import { documentWords, type DocumentModel } from '../document/index.ts';
import { doc, h, li, note, p, random, randomDocument } from '../test/build.ts';
import { ledgerEntries, makeLedger } from './ledger.ts';
import { mapDocument } from './map-document.ts';
import { fillMatter, withMatter } from './matter.ts';
import { NO_OVERRIDES, type Overrides } from './plan.ts';
import { PRESET_NAMES, presetMap, presetRecipe } from './preset-maps.ts';
import { candidateMaps, costMap, suggest, type MapTarget } from './suggest-map.ts';
import type { BlockId } from '../ids/index.ts';

const report = doc(
  p('The mill', 'title'),
  h(1, 'Tide'),
  p('The pond holds 11,000 cubic metres. It was measured in 1811. The marks are worn.'),
  li('spring'),
  h(2, 'Neap'),
  p('At neap tide the wheel turns for three hours. Nobody likes it.'),
  h(1, 'Gates'),
  p('The north gate is seized.'),
);
const made = (document: DocumentModel, overrides: Partial<Overrides> = {}): Deck =>
  mapDocument(document, presetMap('talk', document), { ...NO_OVERRIDES, ...overrides });
const content = (deck: Deck): readonly (readonly string[])[] =>
  deck.slides.map((slide) =>
    slide.content.map((part) =>
      'runs' in part ? `${'level' in part ? part.level : 't'} ${runsText(part.runs)}` : part.kind,
    ),
  );
const notes = (deck: Deck): readonly (readonly string[])[] =>
  deck.slides.map((slide) => slide.notes.map(({ runs }) => runsText(runs)));
const idOf = (document: DocumentModel, text: string): BlockId =>
  document.blocks.find((block) => 'runs' in block && runsText(block.runs) === text)!.id;
const balanced = (document: DocumentModel, deck: Deck): void => {
  const { lost, slides, notes: said, leftOut } = makeLedger(document, deck);
  expect([lost, slides + said + leftOut]).toEqual([0, documentWords(document)]);
};

describe('below one heading', () => {
  test('a kind of text goes elsewhere, and nowhere else', () => {
    const deck = made(report, { branches: [{ block: idOf(report, 'Neap'), text: 'body', to: 'slide' }] });
    expect(content(deck)[1]).toEqual([
      '1 spring',
      '1 Neap',
      't At neap tide the wheel turns for three hours. Nobody likes it.',
    ]);
    expect(content(deck)[2]).toEqual([]);
    balanced(report, deck);
  });
  test('a mark turned by hand goes before it', () => {
    const block = idOf(report, 'The north gate is seized.');
    const deck = made(report, {
      branches: [{ block: idOf(report, 'Gates'), text: 'body', to: 'out' }],
      turned: new Map([[block, 'slide']]),
    });
    expect(content(deck)[2]).toEqual(['t The north gate is seized.']);
  });
});

describe('running text', () => {
  test('first sentences are points, the rest is spoken, and the words are told apart', () => {
    const deck = made(report, { prose: { as: 'first' } });
    expect(content(deck).slice(1)).toEqual([
      [
        '1 The pond holds 11,000 cubic metres.',
        '2 spring',
        '1 Neap',
        '2 At neap tide the wheel turns for three hours.',
      ],
      ['1 The north gate is seized.'],
    ]);
    expect(notes(deck).slice(1)).toEqual([['It was measured in 1811. The marks are worn.', 'Nobody likes it.'], []]);
    balanced(report, deck);
    const entries = ledgerEntries(report, deck).filter(({ block }) => block === report.blocks[2]!.id);
    expect(entries).toEqual([
      { block: report.blocks[2]!.id, account: 'slides', words: 6 },
      { block: report.blocks[2]!.id, account: 'notes', words: 9 },
    ]);
  });
  test('shortened, the whole of it is spoken', () => {
    const deck = made(report, { prose: { as: 'short', density: 'sentence' } });
    expect(content(deck)[1]![0]).toBe('1 The pond holds 11,000 cubic metres.');
    expect(notes(deck)[1]![0]).toMatch(/^The pond.*worn\.$/);
    expect(deck.slides[1]!.content[0]).toMatchObject({ kept: [[0, 35]] });
    balanced(report, deck);
  });
  test('on the slide it stays one text, with a mark where words are missing', () => {
    const long = doc(
      h(1, 'A'),
      p('The pond holds the water of the tide. A cat sat. The pond lets the water of the tide out.'),
    );
    const map = { ...presetMap('talk', long), body: 'slide' as const };
    const deck = mapDocument(long, map, { ...NO_OVERRIDES, prose: { as: 'short', density: 'most' } });
    expect(content(deck)[0]).toHaveLength(1);
    expect(content(deck)[0]![0]).toMatch(/^t The pond holds/);
    balanced(long, deck);
  });
  test('list items lose only what can be trimmed', () => {
    const list = doc(h(1, 'A'), li('The gate leaks (as gates do).'), li('short'));
    const deck = made(list, { prose: { as: 'short', density: 'half' } });
    expect(content(deck)[0]).toEqual(['1 The gate leaks.', '1 short']);
    expect(notes(deck)[0]).toEqual(['The gate leaks (as gates do).']);
    balanced(list, deck);
  });
});

const dressed = (document: DocumentModel, ...kinds: readonly MatterKind[]): Deck =>
  fillMatter(withMatter(made(document), document, new Map(kinds.map((kind) => [kind, true]))), document);
const titles = (deck: Deck): readonly string[] => deck.slides.map(({ title }) => runsText(title.runs));

describe('front and back matter', () => {
  test('an agenda follows the cover and names the slides', () => {
    const deck = dressed(report, 'agenda');
    expect(titles(deck)).toEqual(['The mill', 'Agenda', 'Tide', 'Gates']);
    expect(content(deck)[1]).toEqual(['1 Tide', '1 Gates']);
    balanced(report, deck);
  });
  test.each([
    ['ja', '目次'],
    ['pl-PL', 'Plan'],
    ['ar', 'المحاور'],
    ['zh-Hant-TW', '議程'],
    ['nn', 'Innhold'],
    ['eu', 'Agenda'],
  ])('in %s the agenda is called %s', (tag, name) => {
    const deck = dressed({ ...report, language: languageTag(tag)! }, 'agenda');
    expect(titles(deck)[1]).toBe(name);
  });
  test('key points take one of each part, sources the footnotes and links once', () => {
    const document = doc(
      h(1, 'A'),
      li('The pond holds the water'),
      p([{ text: 'see ' }, { text: 'the plan', link: 'https://mill.example/plan/' }]),
      h(1, 'B'),
      li('The gate lets the water out'),
      note('County record office, bundle 14'),
      p([{ text: 'https://mill.example/plan/', link: 'https://mill.example/other' }]),
    );
    const deck = dressed(document, 'key-points', 'sources');
    expect(titles(deck)).toEqual(['A', 'B', 'Key points', 'Sources and links']);
    expect(content(deck)[2]).toEqual(['1 The pond holds the water', '1 The gate lets the water out']);
    expect(content(deck)[3]).toEqual([
      '1 the plan: mill.example/plan',
      '1 County record office, bundle 14',
      '1 https://mill.example/plan/: mill.example/other',
    ]);
    balanced(document, deck);
  });
  test('a document without a title gets a cover on request, one with a title can do without', () => {
    const bare = doc(h(2, 'Tide rises'), li('x'), h(2, 'Gates'));
    expect(dressed(bare, 'cover').slides[0]).toMatchObject({ kind: 'cover', title: { runs: plain('Tide rises') } });
    const without = made(report, { cover: false });
    expect(titles(without)).toEqual(['Tide', 'Gates']);
    balanced(report, without);
  });
  test('nothing is made of nothing', () => {
    expect(titles(dressed(report, 'sources'))).toEqual(['The mill', 'Tide', 'Gates']);
    expect(dressed(doc(), 'agenda', 'sources').slides).toEqual([]);
  });
  test('titles are in the document’s language', () => {
    expect(titles(dressed({ ...report, language: languageTag('de')! }, 'agenda'))[1]).toBe('Ablauf');
  });
});

test('lists below five levels of headings are still points, in maps that go all the way', () => {
  const deep = doc(...([1, 2, 3, 4, 5, 6] as const).map((level) => h(level, `L${level}`)), li('item'));
  expect(presetMap('talk', deep).list1).toBe('point5');
  const deeper = doc(
    ...([1, 2, 3, 4, 5, 6] as const).map((level) => h(level, `L${level}`)),
    li('item'),
    li('in it', 3),
  );
  expect(presetMap('talk', deeper)).toMatchObject({ list1: 'point3', list2: 'point4', list3: 'point5' });
  expect(presetMap('briefing', deep).list1).toBe('notes');
});

const open: MapTarget = { slides: null, minutes: null, pace: 130 };
const long = doc(
  ...Array.from({ length: 6 }, (_, i) => [
    h(1, `Chapter ${i}`),
    ...Array.from({ length: 4 }, (_, k) => [
      h(2, `Part ${i}.${k}`),
      p('Some words that are said here. '.repeat(6)),
      li('one'),
      li('two'),
    ]).flat(),
  ]).flat(),
);
const suggested = (document: DocumentModel, target: MapTarget) =>
  suggest(
    candidateMaps(document).map((candidate) => costMap(document, candidate, target)),
    target,
  );

describe('a suggested map', () => {
  test.each([6, 25, 30])('comes near to %d slides', (slides) => {
    const { best, near, costed } = suggested(long, { ...open, slides });
    expect(Math.abs(Math.log(best.slides / slides))).toBeLessThan(Math.log(1.6));
    expect(near).toBe(Math.abs(best.slides - slides) <= Math.max(1, slides * 0.1));
    expect(costed.map(({ cost }) => cost)).toEqual([...costed].map(({ cost }) => cost).sort((a, b) => a - b));
  });
  test('shortens full slides where the target leaves no room to go on', () => {
    const full = doc(
      ...Array.from({ length: 5 }, (_, i) => [
        h(1, `T${i}`),
        ...Array.from({ length: 20 }, () => li('A point of a usual length that takes most of one line')),
      ]).flat(),
    );
    expect(suggested(full, { ...open, slides: 5 }).best).toMatchObject({ slides: 5, full: 'shorten', spills: 5 });
    expect(suggested(full, { ...open, slides: 10 }).best).toMatchObject({ slides: 10, full: 'continue' });
  });
  test('leaves time for what is spoken', () => {
    const short = suggested(long, { ...open, minutes: 3 });
    const roomy = suggested(long, { ...open, minutes: 40 });
    expect(short.best.slides).toBeLessThan(roomy.best.slides);
    expect(short.near).toBe(false);
    expect(short.best.slides).toBe(6);
    expect(Math.round(short.best.spokenMinutes)).toBe(7);
  });
  test('is found for any document, and every ready-made map accounts for every word', () => {
    for (let seed = 1; seed <= 15; seed++) {
      const document = randomDocument(random(seed), 40);
      expect(suggested(document, open).best.cost).toBeGreaterThanOrEqual(0);
      for (const name of PRESET_NAMES) {
        const { map, prose } = presetRecipe(name, document);
        balanced(document, mapDocument(document, map, { ...NO_OVERRIDES, prose }));
      }
    }
  });
});

test('what is hidden is in no agenda and gives no key point', () => {
  const sections = doc(
    h(1, 'Tide'),
    li('Spring tides are high'),
    h(1, 'Gates'),
    li('The north gate is seized'),
    h(1, 'Pond'),
    li('Silt fills the pond'),
  );
  const wishes = new Map<MatterKind, boolean>([
    ['agenda', true],
    ['key-points', true],
  ]);
  const deck = withMatter(mapDocument(sections, presetMap('talk', sections)), sections, wishes);
  const filled = (slides: Deck['slides']): readonly (readonly string[])[] =>
    fillMatter({ ...deck, slides }, sections)
      .slides.filter(({ matter }) => matter !== undefined)
      .map((slide) => slide.content.map((part) => ('runs' in part ? runsText(part.runs) : '')));
  expect(filled(deck.slides)[0]).toEqual(['Tide', 'Gates', 'Pond']);
  const hidden = deck.slides.map((slide) =>
    runsText(slide.title.runs) === 'Gates' ? { ...slide, hidden: true as const } : slide,
  );
  expect(filled(hidden)[0]).toEqual(['Tide', 'Pond']);
  expect(filled(hidden)[1]!.join()).not.toContain('north gate');
});

test('a cut behind which nothing is shown makes no slide, and what waited is spoken where it stood', () => {
  const source = doc(h(1, 'Tide'), li('spring'), p('said of spring'), p('said last'));
  const last = source.blocks[3]!.id;
  const deck = mapDocument(source, presetMap('talk', source), { ...NO_OVERRIDES, cuts: new Set([last]) });
  expect(deck.slides).toHaveLength(1);
  expect(deck.slides[0]!.notes.map(({ runs }) => runsText(runs))).toEqual(['said of spring', 'said last']);
  expect(deck.slides[0]!.passages).toContain(last);
});

test('of a list item that is shortened to a sentence the first one stays', () => {
  const source = doc(h(1, 'Tide'), li('The pond fills twice a day. It empties through the wheel. Nobody minds.'));
  const deck = mapDocument(source, presetMap('talk', source), {
    ...NO_OVERRIDES,
    prose: { as: 'short', density: 'sentence' },
  });
  const [part] = deck.slides[0]!.content;
  expect(part !== undefined && 'runs' in part ? runsText(part.runs) : '').toMatch(/^The pond fills twice a day/);
  expect(part !== undefined && 'runs' in part ? runsText(part.runs) : '').not.toContain('empties');
});
