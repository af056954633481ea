/** Layouts are matched by what they are for: what stands on them, where, and what their author uses them for. */
import { expect, test } from '@jest/globals';
import { emu } from '../base/index.ts';
import type { LayoutName } from '../theme/index.ts';
import { matchLayout, objectIn, pairOf } from './match-layouts.ts';
import type { TemplateLayout, TemplatePlaceholder } from './template-model.ts';

const INCH = 914_400;
type Place = readonly [x: number, y: number, width: number, height: number];

const at = (type: string | null, [x, y, width, height]: Place, index = '1'): TemplatePlaceholder => ({
  type,
  index,
  rect: { x: emu(x * INCH), y: emu(y * INCH), width: emu(width * INCH), height: emu(height * INCH) },
  anchor: 'top',
  align: 'left',
  size: 24,
  bold: false,
  caps: false,
  heading: false,
  paint: '000000',
  lineSpacing: 1,
});
const layout = (
  name: string,
  placeholders: readonly TemplatePlaceholder[],
  more: Partial<TemplateLayout> = {},
): TemplateLayout => ({
  part: name,
  name,
  type: null,
  master: 0,
  ground: 'FFFFFF',
  placeholders,
  backdrop: [],
  grounds: 0,
  ...more,
});

const TITLE: Place = [1, 0.5, 11, 1];
const BODY: Place = [1, 1.8, 11, 5];
const cover = layout('Titelfolie', [at('ctrTitle', [1, 2, 11, 2]), at('subTitle', [1, 4.2, 11, 1])]);
const opener = layout('Zwischentitel', [at('title', [1, 3, 11, 2]), at('subTitle', [1, 5.2, 11, 1])]);
const line = layout('Titel und Zeile', [at('title', TITLE), at(null, [1, 1.6, 11, 0.6])]);
const content = layout('Titel und Inhalt', [at('title', TITLE), at(null, BODY)]);
const text = layout('Titel und Text', [at('title', TITLE), at('body', BODY)]);
const two = layout('Zwei Inhalte', [at('title', TITLE), at(null, [1, 1.8, 5, 5]), at(null, [7, 1.8, 5, 5], '2')]);
const bare = layout('Nur Titel', [at('title', TITLE)]);
const thanks = layout('Danke', [at('title', [1, 2, 11, 2]), at('body', BODY)]);
const ALL = [cover, thanks, opener, line, text, content, two, bare];

const named = (name: LayoutName, layouts = ALL): string => matchLayout(layouts, name, {}).name;

test('without types and in any language each layout is found by what stands on it', () => {
  expect(named('cover')).toBe('Titelfolie');
  expect(named('section')).toBe('Titelfolie');
  expect(named('closing')).toBe('Danke');
  expect(named('columns')).toBe('Zwei Inhalte');
  expect(named('title-only')).toBe('Nur Titel');
  expect(named('steps')).toBe('Nur Titel');
});

test('points stand where there is room, never on a line, a cover, an opener or an ending', () => {
  expect(['Titel und Text', 'Titel und Inhalt']).toContain(named('points'));
  expect(named('points', [cover, thanks, opener, line, content])).toBe('Titel und Inhalt');
  expect(named('agenda', [cover, thanks, opener, content])).toBe('Titel und Inhalt');
});

test('of layouts with the same things on them, what it says of itself decides, then a title', () => {
  const table = at('tbl', BODY, '2');
  const bareTable = layout('Tabelle', [table]);
  const titled = layout('Tabelle mit Titel', [at('title', TITLE), table]);
  const said = layout('Tabelle der Art', [at('title', TITLE), table], { type: 'tbl' });
  expect(named('table', [bareTable, content, titled])).toBe('Tabelle mit Titel');
  expect(named('table', [titled, said, bareTable])).toBe('Tabelle der Art');
  expect(named('table', [bare, content])).toBe('Titel und Inhalt');
  const chart = at('chart', BODY, '2');
  const figures = layout('Diagramm', [at('title', TITLE), chart]);
  expect(named('chart', [layout('Nur Diagramm', [chart]), figures, content])).toBe('Diagramm');
  expect(named('chart', [figures, layout('Art', [at('title', TITLE), chart], { type: 'chart' })])).toBe('Art');
  expect(named('section', [...ALL, layout('Teil', [at('title', TITLE)], { type: 'secHead' })])).toBe('Teil');
});

test('what the organisation’s own slides stand on goes first', () => {
  expect(
    named('points', [
      { ...text, uses: 0 },
      { ...content, uses: 9 },
    ]),
  ).toBe('Titel und Inhalt');
  expect(
    named('points', [
      { ...text, uses: 9 },
      { ...content, uses: 0 },
    ]),
  ).toBe('Titel und Text');
});

test('a table, a chart or a picture takes the place that holds anything, not one for text', () => {
  for (const name of ['table', 'chart', 'picture'] as const) {
    expect(named(name)).toBe('Titel und Inhalt');
    expect(named(name, [cover, text, bare])).toBe('Nur Titel');
  }
  expect(objectIn(content)).toBe(content.placeholders[1]);
  expect([cover, thanks, opener, line, text, two, bare].map(objectIn)).toEqual(Array(7).fill(undefined));
  // A place of their own goes first.
  const tables = layout('Tabelle', [at('title', TITLE), at('tbl', BODY)]);
  expect(named('table', [...ALL, tables])).toBe('Tabelle');
});

test('a picture beside points takes one of two places that hold anything, on the side that it is for', () => {
  expect(named('picture-right')).toBe('Zwei Inhalte');
  expect(pairOf(two, 'right')).toEqual({ picture: two.placeholders[2], body: two.placeholders[1] });
  expect(pairOf(two, 'left')).toEqual({ picture: two.placeholders[1], body: two.placeholders[2] });
  const pictured = layout('Bild rechts', [
    at('title', TITLE),
    at('body', [1, 1.8, 5, 5]),
    at('pic', [7, 1.8, 5, 5], '2'),
  ]);
  expect(named('picture-right', [...ALL, pictured])).toBe('Bild rechts');
  expect(named('picture-left', [...ALL, pictured])).toBe('Zwei Inhalte');
});

test('the author’s choice goes before all', () => {
  expect(matchLayout(ALL, 'points', { points: 'Nur Titel' }).name).toBe('Nur Titel');
});
