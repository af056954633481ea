import { describe, expect, test } from '@jest/globals';
import { plain, runsText } from '../content/index.ts';
import { PLAIN_DRESS } from '../deck/index.ts';
import { convert, optionsOf, type Converted } from '../pipeline/index.ts';
import type { Edit } from '../edits/index.ts';
import { doc, h, li, p, picture, quote, random, randomDocument, table, type Draft } from '../test/build.ts';
import { bigNumber, leadingDate, quoted } from './figure-items.ts';
import { chooseLayouts, layoutChoices } from './index.ts';

const shown: Edit = {
  kind: 'map',
  name: null,
  map: { ...convert(doc(h(1, 'x')), []).map, body: 'slide', quote: 'slide' },
};
type Drafts = readonly Draft[];
const made = (...drafts: Drafts): Converted => convert(doc(...drafts), [shown]);
const options = (converted: Converted) => optionsOf(converted.document, converted.theme, 'continue');
function choices(...drafts: Drafts) {
  const converted = made(...drafts);
  return layoutChoices(
    converted.deck.slides.find(({ kind }) => kind === 'content')!,
    options(converted),
  );
}
const best = (...drafts: Drafts): readonly [string, string] => {
  const [first] = choices(...drafts);
  return [first!.layout, first!.reason];
};
const items = (...texts: string[]) => texts.map((text) => li(text));

const SUITS: readonly (readonly [string, Drafts, string, string])[] = [
  [
    'a numbered list',
    [h(1, 'T'), li('Open the gate', 1, true), li('Let water in', 1, true), li('Grind', 1, true)],
    'steps',
    'numbered',
  ],
  [
    'words of order',
    [h(1, 'T'), ...items('First open the gate', 'Then wait', 'Finally close it')],
    'steps',
    'order-words',
  ],
  [
    'dates',
    [h(1, 'T'), ...items('1786: the wheel', 'In 1851 the stones', 'March 2026 – the lease')],
    'timeline',
    'dates',
  ],
  [
    'two sides',
    [h(1, 'Oak versus steel'), li('Oak'), li('warm', 2), li('Steel'), li('cold', 2)],
    'comparison',
    'versus',
  ],
  ['a cycle', [h(1, 'The cycle of a tide'), ...items('Flood', 'Slack', 'Ebb')], 'cycle', 'round-words'],
  [
    'a funnel',
    [h(1, 'A funnel of visitors'), ...items('900 come', '300 stay', '20 join')],
    'funnel',
    'narrowing-words',
  ],
  [
    'four sides',
    [h(1, 'Strengths, weaknesses: a matrix'), ...items('One', 'Two', 'Three', 'Four')],
    'matrix',
    'four-sides',
  ],
  ['short items', [h(1, 'What there is'), ...items('Wheel', 'Stones', 'Pond', 'Gate')], 'icon-grid', 'short-items'],
  [
    'a number with its unit',
    [h(1, 'T'), p('62 % of the flour is ground by the tide.')],
    'big-number',
    'number-with-unit',
  ],
  ['a quotation', [h(1, 'T'), quote('The sea is never late. — Hale Tanner')], 'quotation', 'quoted'],
  [
    'numbers',
    [
      h(1, 'T'),
      table([
        ['Year', 'Guests'],
        ['2024', '900'],
        ['2025', '1,100'],
      ]),
    ],
    'chart',
    'numbers-in-table',
  ],
  ['pictures', [h(1, 'T'), picture('a'), picture('b')], 'gallery-2', 'pictures-together'],
  [
    'plain points',
    [
      h(1, 'T'),
      ...items('A point of some length that says a thing in full, with all that belongs to it', 'Another one'),
    ],
    'points',
    'fits-as-it-is',
  ],
];

describe('the layout that suits a slide best, and why', () => {
  test.each(SUITS)('%s', (_, drafts, layout, reason) => expect(best(...drafts)).toEqual([layout, reason]));

  test('each keeps all words of the slide, on no more pages than usual', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const converted = convert(randomDocument(random(seed), 30), [shown]);
      for (const slide of converted.deck.slides) {
        const usual = converted.pages.filter((page) => page.slide === slide).length;
        for (const { layout, pages } of layoutChoices(slide, options(converted))) {
          expect([layout, pages <= usual]).toEqual([layout, true]);
          const chosen = convert(converted.document, [shown, { kind: 'layout', slides: [slide.id], layout }]);
          const on = new Set(
            chosen.pages
              .filter((page) => page.slide.id === slide.id)
              .flatMap(({ boxes }) =>
                boxes.flatMap((box) =>
                  box.kind === 'text' ? box.paras.map(({ part }) => part) : 'part' in box ? [box.part] : [],
                ),
              ),
          );
          expect([layout, slide.content.filter(({ id }) => !on.has(id)).map(({ id }) => id)]).toEqual([layout, []]);
        }
      }
    }
  });
});

describe('parts of a line', () => {
  test.each([
    ['1786: The first wheel', '1786', 'The first wheel'],
    ['In March 2026 the lease', 'March 2026', 'the lease'],
    ['12. Mai 1908 – Dampf', '12. Mai 1908', 'Dampf'],
    ['Q3 2027, opening', 'Q3 2027', 'opening'],
    ['1908–1944 steam', '1908–1944', 'steam'],
    ['Week 3 - dredging', 'Week 3', 'dredging'],
  ])('the date of %s', (text, date, rest) => {
    const found = leadingDate(plain(text))!;
    expect([runsText(found.date), runsText(found.rest)]).toEqual([date, rest]);
  });
  test.each(['Maybe later', 'May we go', '12 gates', 'Marching on'])('%s has no date', (text) =>
    expect(leadingDate(plain(text))?.date.map(({ text: one }) => one) ?? []).toEqual(
      text === 'May we go' ? ['May'] : [],
    ),
  );
  test('a big number is taken off where it leads, and said again where it does not', () => {
    expect(runsText(bigNumber(plain('62 % of the flour'))!.rest)).toBe('of the flour');
    const within = bigNumber(plain('The gates cost £31,000 in all'))!;
    expect([runsText(within.big), runsText(within.rest)]).toEqual(['£31,000', 'The gates cost £31,000 in all']);
    expect(bigNumber(plain('No number here'))).toBeUndefined();
  });
  test('who said it', () => {
    expect(runsText(quoted(plain('The sea is never late. — Hale Tanner')).source)).toBe('Hale Tanner');
    expect(quoted(plain('The sea is never late.')).source).toEqual([]);
  });
});

test('over an edge a picture fills its frame, unless its author says otherwise', () => {
  const source = doc(h(1, 'T'), li('Silt'), picture('a', 'Pond'));
  const { id, content } = convert(source, []).deck.slides[0]!;
  const bleed: Edit = { kind: 'layout', slides: [id], layout: 'picture-bleed' };
  const cut = (...edits: readonly Edit[]) =>
    convert(source, edits).pages[0]!.boxes.flatMap((box) => (box.kind === 'picture' ? box.cut : []));
  expect(Math.max(...cut(bleed))).toBeGreaterThan(0);
  expect(cut(bleed, { kind: 'frame', part: content[1]!.id, dress: PLAIN_DRESS })).toEqual([0, 0, 0, 0]);
});

describe('the whole deck', () => {
  const many = doc(
    h(1, 'Deck'),
    ...Array.from({ length: 12 }, (_, i) => [h(2, `Part ${i}`), ...items('Wheel', 'Stones', 'Pond', 'Gate')]).flat(),
  );
  const layoutsOf = (converted: Converted): readonly string[] => converted.pages.map(({ layout }) => layout);

  test('varies from slide to slide, is one edit, and undone gives the deck as it was', () => {
    const converted = convert(many, []);
    const layouts = chooseLayouts(converted.deck.slides, options(converted)).map(([slide, layout]) => ({
      slide,
      layout,
    }));
    const arranged = convert(many, [{ kind: 'arrange', layouts }]);
    const names = layoutsOf(arranged);
    expect(new Set(names).size).toBeGreaterThan(2);
    expect(names.slice(2).filter((name, i) => name !== 'points' && name === names[i + 1])).toEqual([]);
    expect(layoutsOf(convert(many, []))).toEqual(layoutsOf(converted));
    expect(
      layoutsOf(
        convert(many, [
          { kind: 'arrange', layouts },
          { kind: 'arrange', layouts: [] },
        ]),
      ),
    ).toEqual(layoutsOf(converted));
  });

  test('a slide as long as a book is weighed at once', () => {
    const long = convert(doc(h(1, 'T'), ...Array.from({ length: 3000 }, (_, i) => li(`Item ${i}`))), []);
    const [first, ...others] = layoutChoices(long.deck.slides[0]!, options(long));
    expect(others).toEqual([]);
    expect(first!.pages).toBeGreaterThan(50);
  });

  test('what its author fixed stays', () => {
    const fixed = convert(many, []).deck.slides[3]!.id;
    const edits: readonly Edit[] = [{ kind: 'layout', slides: [fixed], layout: 'pyramid' }];
    const converted = convert(many, edits);
    const layouts = chooseLayouts(converted.deck.slides, options(converted)).map(([slide, layout]) => ({
      slide,
      layout,
    }));
    expect(layouts.some(({ slide }) => slide === fixed)).toBe(false);
    const arranged = convert(many, [...edits, { kind: 'arrange', layouts }]);
    expect(arranged.pages.find(({ slide }) => slide.id === fixed)!.layout).toBe('pyramid');
  });

  test('a layout that does not suit any more gives way to the usual one', () => {
    const { id, content } = convert(many, []).deck.slides[3]!;
    const edits: readonly Edit[] = [
      { kind: 'layout', slides: [id], layout: 'matrix' },
      { kind: 'reword', part: content[0]!.id, runs: [] },
    ];
    expect(convert(many, edits.slice(0, 1)).pages.find(({ slide }) => slide.id === id)!.layout).toBe('matrix');
    expect(convert(many, edits).pages.find(({ slide }) => slide.id === id)!.layout).toBe('points');
  });
});
