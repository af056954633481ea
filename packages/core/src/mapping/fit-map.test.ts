/** Which headings make slides, chosen for each branch of a document. */
import { describe, expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import type { Point, Slide } from '../deck/index.ts';
import { doc, h, li, p, random, randomDocument, type Draft } from '../test/build.ts';
import { fitMap } from './fit-map.ts';
import { mapDocument } from './map-document.ts';
import { NO_OVERRIDES } from './plan.ts';
import { presetRecipe } from './preset-maps.ts';

type Drafts = readonly Draft[];
function slidesOf(...drafts: Drafts): readonly Slide[] {
  const document = doc(...drafts);
  const { map, prose, branches = [] } = presetRecipe('fitted', document);
  return mapDocument(document, map, { ...NO_OVERRIDES, prose, branches }).slides;
}
const outline = (...drafts: Drafts): readonly string[] =>
  slidesOf(...drafts).map(({ kind, title }) => `${kind} ${runsText(title.runs)}`);
const items = (count: number, words = 9) => Array.from({ length: count }, (_, i) => li(`${'word '.repeat(words)}${i}`));
const SENTENCES =
  'The pond fills twice a day. It holds eleven thousand cubic metres. Nobody has measured the silt yet.';

describe('titles are the headings at which slides are well filled', () => {
  test('none, where headings say nothing', () => {
    expect(fitMap(doc(h(1, ''), p('Said.'), h(2, ' ')), [1, 2])).toEqual({ above: 0, branches: [] });
    expect(fitMap(doc(p('Said.')), [])).toEqual({ above: 0, branches: [] });
  });

  test('the highest, where little stands below each', () => {
    expect(
      outline(h(1, 'Gates'), h(2, 'Oak'), li('warm'), h(2, 'Iron'), li('cold'), h(1, 'Pond'), ...items(4)),
    ).toEqual(['content Gates', 'content Pond']);
  });
  test('lower ones, where the highest would go on over many slides', () => {
    expect(
      outline(
        h(1, 'Gates'),
        h(2, 'Oak'),
        ...items(5),
        h(2, 'Iron'),
        ...items(5),
        h(1, 'Pond'),
        h(2, 'Silt'),
        ...items(5),
        h(2, 'Eels'),
        ...items(5),
      ),
    ).toEqual(['section Gates', 'content Oak', 'content Iron', 'section Pond', 'content Silt', 'content Eels']);
  });
  test('each branch its own', () => {
    expect(
      outline(
        h(1, 'Gates'),
        h(2, 'Oak'),
        ...items(5),
        h(2, 'Iron'),
        ...items(5),
        h(1, 'Pond'),
        h(2, 'Silt'),
        li('nine centimetres of it'),
        h(2, 'Eels'),
        li('many, and some of them old'),
      ),
    ).toEqual(['section Gates', 'content Oak', 'content Iron', 'content Pond']);
  });
  test('text of its own makes the heading a slide, not an opener', () => {
    expect(
      outline(
        h(1, 'Gates'),
        ...items(3),
        h(2, 'Oak'),
        ...items(5),
        h(2, 'Iron'),
        ...items(5),
        h(1, 'Pond'),
        li('a'),
      )[0],
    ).toBe('content Gates');
  });
});

describe('no slide is bare', () => {
  test('where only text stands below a heading, its sentences are said, and all of it is spoken', () => {
    const [slide] = slidesOf(
      h(1, 'The pond'),
      p(`${SENTENCES} ${'It is said that more could be done about it, if there were money. '.repeat(4)}`),
    );
    expect(slide!.content.length).toBeGreaterThan(1);
    for (const part of slide!.content) expect(part).toMatchObject({ kind: 'point', kept: expect.any(Array) });
    expect(runsText(slide!.notes[0]!.runs)).toContain('Nobody has measured the silt yet.');
  });
  test('what is said as a whole is not spoken again', () => {
    const [slide] = slidesOf(h(1, 'The pond'), p('It fills twice a day.'));
    expect([slide!.content.length, slide!.notes.length]).toEqual([1, 0]);
  });
  test('a heading with nothing below it opens what follows', () => {
    expect(outline(h(1, 'Part one'), h(1, 'Gates'), li('a'), li('b'))).toEqual(['section Part one', 'content Gates']);
  });
  test('over random documents', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const document = randomDocument(random(seed), 50);
      const { map, prose, branches = [] } = presetRecipe('fitted', document);
      for (const slide of mapDocument(document, map, { ...NO_OVERRIDES, prose, branches }).slides)
        if (slide.kind === 'content' && slide.notes.length > 0) expect(slide.content.length).toBeGreaterThan(0);
    }
  });
});

test('a long item says its beginning and is spoken whole; a short one is left alone', () => {
  const long = `The gates were hung in spring by two men from the yard, ${'who said that they would last for years and years, '.repeat(4)}and went home.`;
  const [slide] = slidesOf(h(1, 'Gates'), li(long), li('They leak'));
  expect(runsText((slide!.content[0] as Point).runs)).toMatch(
    /^The gates were hung in spring by two men from the yard.* …$/,
  );
  expect(slide!.notes.map(({ runs }) => runsText(runs))).toEqual([long]);
  expect(slide!.content[1]).not.toHaveProperty('kept');
});

test('slides of one title are told apart by what is on them; the cover goes first', () => {
  expect(outline(h(1, 'Costs'), li('Gates'), li('Roof'), h(1, 'Costs'), li('Pit'), li('Pond'))).toEqual([
    'content Costs',
    'content Costs: Pit',
  ]);
  // Those that do not follow each other too, and none twice.
  const costs = (point: string) => [h(1, 'Costs'), li(point), li('Pond')];
  const other = (name: string) => [h(1, name), li('Oak'), li('Iron')];
  expect(outline(...costs('Gates'), ...other('Risks'), ...costs('Pit'), ...other('When'), ...costs('Pit'))).toEqual([
    'content Costs',
    'content Risks',
    'content Costs: Pit',
    'content When',
    'content Costs (3)',
  ]);
  // By what they stand below, where that is not the title of the whole.
  const sentence = 'The gates were hung in spring by two men from the yard, and they have leaked since';
  const below = (name: string) => [h(3, name), ...Array.from({ length: 4 }, (_, i) => li(`${name} ${i}. ${sentence}`))];
  const part = (name: string) => [h(2, name), ...below('Example'), ...below(`More of ${name}`)];
  const titles = outline(h(1, 'The mill'), ...part('Gates'), ...part('Wheel:'));
  expect(titles.filter((title) => title.includes('Example'))).toEqual(['content Example', 'content Example: Wheel']);
  // A heading is kept where it leaves no room.
  const long = 'What the county, the trust and the fund have each to pay for it';
  expect(outline(h(1, long), li('a'), li('b'), ...other('Risks'), h(1, long), li('Pit'), li('Pond')).at(-1)).toBe(
    `content ${long} (2)`,
  );
  expect(outline(p('Sallow Quay Trust'), h(1, 'The mill'), h(2, 'Gates'), li('oak'), li('iron'))[0]).toBe(
    'cover The mill',
  );
});
