/** Two sides, dates and numbers: what a slide of a few words is drawn as. */
import { expect, test } from '@jest/globals';
import { plain, runsText } from '../content/index.ts';
import { beginning, convert } from '../pipeline/index.ts';
import { doc, h, li, table, THEMES } from '../test/build.ts';
import { datedRows, labelled, leadingDate } from './figure-items.ts';
import type { Page, TextBox } from './page.ts';

const said = ({ boxes }: Page): readonly string[] =>
  boxes.flatMap((box) => (box.kind === 'text' ? box.paras.map(({ runs }) => runsText(runs)) : []));
const sizeOf = (page: Page, text: string): number =>
  page.boxes
    .filter((box): box is TextBox => box.kind === 'text')
    .flatMap(({ paragraphs }) => paragraphs)
    .find(({ runs }) => runsText(runs) === text)!.size;

const report = doc(
  h(1, 'The mill'),
  h(2, 'Numbers'),
  li('31,000 euros for the gates'),
  li('12 months of work'),
  li('84 % of the roof is sound'),
  h(2, 'Trade'),
  li('Before: the sacks were carried by hand'),
  li('After: a hoist lifts them in a minute'),
  h(2, 'Dates'),
  li('2026: The gates are mended'),
  li('2027: The new roof'),
  li('2028: The mill opens'),
);

test.each(THEMES.map(({ name }) => name))(
  'numbers, sides and dates are drawn in %s, and every word is there',
  (theme) => {
    const look = [{ kind: 'theme', theme }] as const;
    const { pages } = convert(report, [...look, ...beginning(report, look)]);
    expect(pages.slice(1).map(({ layout }) => layout)).toEqual(['icon-grid', 'comparison', 'timeline']);
    const [, numbers, sides, dates] = pages;
    expect(said(numbers!)).toEqual(expect.arrayContaining(['31,000 euros', 'for the gates', '12 months', '84 %']));
    expect(sizeOf(numbers!, '84 %')).toBeGreaterThan(1.15 * sizeOf(numbers!, 'of the roof is sound'));
    expect(said(sides!)).toEqual(expect.arrayContaining(['Before', 'the sacks were carried by hand', 'After']));
    expect(sizeOf(sides!, 'Before')).toBeGreaterThan(0.9 * sizeOf(sides!, 'a hoist lifts them in a minute'));
    expect(said(dates!)).toEqual(expect.arrayContaining(['2027', 'The new roof']));
  },
);

test('a name stands before a colon or a dash, and something follows it', () => {
  const parts = (text: string) => {
    const found = labelled(plain(text));
    return found && [runsText(found.label), runsText(found.rest)];
  };
  expect(parts('After: a hoist')).toEqual(['After', 'a hoist']);
  expect(parts('Oak – it lasts')).toEqual(['Oak', 'it lasts']);
  expect(parts('門：閉まる')).toEqual(['門', '閉まる']);
  for (const text of ['12:30 the gate opens', 'https://mill.example', 'After:', 'It was late. Then: rain', 'tide-mill'])
    expect(parts(text)).toBeUndefined();
});

test('dates at the beginning of a line, as they are written in many places', () => {
  const dated = (text: string) => {
    const found = leadingDate(plain(text));
    return found && [runsText(found.date), runsText(found.rest)];
  };
  expect(dated('2026-03-01: gates')).toEqual(['2026-03-01', 'gates']);
  expect(dated('01.03.2026 Tore')).toEqual(['01.03.2026', 'Tore']);
  expect(dated('12/10/26, boats')).toEqual(['12/10/26', 'boats']);
  expect(dated('2026年3月：門の修理')).toEqual(['2026年3月', '門の修理']);
  expect(dated('3 settembre 2026 – la festa')).toEqual(['3 settembre 2026', 'la festa']);
  expect(dated('maart 2026: de poort')).toEqual(['maart 2026', 'de poort']);
  for (const text of ['31,000 euros', 'Marching on']) expect(dated(text)).toBeUndefined();
  expect(dated('3.1 The gates')).toBeUndefined();
});

test('a table with dates is offered as a timeline, and stays a table', () => {
  const rows = [
    ['Date', 'Work', 'By'],
    ['March 2026', 'Gates', 'the smith'],
    ['May 2027', 'Opening', ''],
  ];
  const plan = doc(h(1, 'The mill'), h(2, 'Plan'), table(rows));
  const made = convert(plan, beginning(plan));
  const [slide] = made.deck.slides.slice(-1);
  expect(made.pages.at(-1)!.layout).toBe('table');
  const drawn = convert(plan, [...beginning(plan), { kind: 'layout', slides: [slide!.id], layout: 'timeline' }]);
  expect(drawn.pages.at(-1)!.layout).toBe('timeline');
  expect(said(drawn.pages.at(-1)!)).toEqual(
    expect.arrayContaining(['March 2026', 'Gates', 'By: the smith', 'May 2027', 'Opening']),
  );
  const other = doc(h(2, 'Plan'), table([...rows, ['soon', 'Roof', '']]));
  const [content] = convert(other, []).deck.slides.at(-1)!.content;
  expect(content?.kind === 'table' && datedRows(content)).toBeUndefined();
});
