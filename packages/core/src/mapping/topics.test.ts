/** Documents without headings: slides by topic, with titles found in their words. */
import { expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import { beginning, convert } from '../pipeline/index.ts';
import { readiness } from '../presentable/index.ts';
import { suggestTitle } from '../shorten/index.ts';
import { doc, h, li, p, type Draft } from '../test/build.ts';

const filler = (n: number): string =>
  Array.from(
    { length: n },
    (_, i) => `The ${['gate', 'pond', 'wheel', 'roof'][i % 4]} of the mill holds in storm number ${i + 1}.`,
  ).join(' ');
const titles = (...drafts: readonly Draft[]): readonly string[] => {
  const document = doc(...drafts);
  const made = convert(document, beginning(document));
  expect(made.ledger.lost).toBe(0);
  const { ready, of } = readiness(made);
  expect(ready).toBe(of);
  return made.deck.slides.map(({ title }) => runsText(title.runs));
};

test('running text without headings makes a slide of every few paragraphs', () => {
  const about = ['The gates are of oak.', 'Money comes from three sides.', 'Visitors come in summer.'];
  const text = about.map((first) => p(`${first} ${filler(8)}`));
  expect(titles(...text)).toEqual(about.map((first) => first.slice(0, -1)));
  expect(titles(p('The tide mill', 'title'), p('12 October 2026'), ...text)).toEqual([
    'The tide mill',
    ...about.map((first) => first.slice(0, -1)),
  ]);
});

test('a line in bold names the slide of what follows', () => {
  const bold = (text: string) => p([{ text, bold: true }]);
  const parts = ['Gates', 'Roof', 'Wheel'].flatMap((name) => [bold(name), p(filler(6))]);
  expect(titles(...parts)).toEqual(['Gates', 'Roof', 'Wheel']);
});

test('little text is one slide, and what stands below a heading is its slide', () => {
  expect(titles(p('The gates are of oak. They hold.'), p('The roof leaks.'))).toHaveLength(1);
  expect(
    titles(h(2, 'Gates'), ...Array.from({ length: 4 }, () => p(filler(8))), h(2, 'Roof'), li('slate'), li('lead')),
  ).toEqual(['Gates', 'Roof']);
});

test('a slide made of a sentence does not say it twice, and all of it is spoken', () => {
  const document = doc(p(`The gates are of oak. ${filler(9)}`), p(`The wheel turns. ${filler(9)}`));
  const { slides } = convert(document, beginning(document)).deck;
  for (const { title, content, notes } of slides) {
    const said = content.map((part) => ('runs' in part ? runsText(part.runs) : ''));
    expect(said.length).toBeGreaterThan(1);
    expect(said).not.toContain(`${runsText(title.runs)}.`);
    expect(notes.map(({ runs }) => runsText(runs)).join(' ')).toContain(runsText(title.runs));
  }
});

test('a title that is found is one', () => {
  expect(suggestTitle('The tide mill at Sallow Quay has stood at the mouth of the creek for years.', 'en')).toBe(
    'The tide mill at Sallow Quay',
  );
  expect(suggestTitle('The millwright says that the floats of the wheel can be used again.', 'en')).toBe(
    'The millwright says that the floats …',
  );
  expect(suggestTitle('Die Tore der alten Mühle sind seit dem letzten Winter nicht mehr dicht.', 'de')).toBe(
    'Die Tore der alten Mühle',
  );
  expect(suggestTitle('Money comes from three sides. The county gives half.', 'en')).toBe(
    'Money comes from three sides',
  );
  expect(suggestTitle('満潮になると門が閉まる。水は池に残る。', 'und')).toBe('満潮になると門が閉まる');
  expect(suggestTitle('潮车磨坊建在河口，已有两百年历史，城里的粮商曾经用它磨面粉而不用煤。', 'und')).toBe(
    '潮车磨坊建在河口',
  );
});
