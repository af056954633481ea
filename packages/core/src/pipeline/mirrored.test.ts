/** Decks of documents that are written from right to left. */
import { describe, expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import type { ChartKind } from '../charts/index.ts';
import type { DocumentModel } from '../document/index.ts';
import type { SingleEdit } from '../edits/index.ts';
import type { ChartBox, TextBox } from '../layout/index.ts';
import { drawChart, paraSetting, type Piece } from '../scene/index.ts';
import { code, doc, h, li, p, table, THEMES } from '../test/build.ts';
import { SLIDE_WIDTH } from '../theme/index.ts';
import { beginning } from './beginning.ts';
import { convert, lookFor } from './convert.ts';
import { writeDeck } from './write-deck.ts';

const points = ['טחנת הגאות בנויה על הרציף', 'המים ממלאים את הבריכה', 'PostgreSQL 17'];
const hebrew = doc(
  h(1, 'טחנת הגאות'),
  h(2, 'הבריכה'),
  ...points.map((text) => li(text)),
  h(2, 'שלבים'),
  li('לפתוח את השער', 1, 1),
  li('לחכות למים', 1, 2),
  li('לסגור את השער', 1, 3),
  h(2, 'מחירים'),
  table([
    ['עבודה', 'סכום'],
    ['שערים', '31,000'],
    ['גג', '12,000'],
    ['גלגל', '8,500'],
    ['חבלים', '900'],
  ]),
  h(2, 'קוד'),
  code('SELECT level FROM pond;'),
);
const laid = (edits: readonly SingleEdit[] = []) => convert(hebrew, edits);
const textsOf = (boxes: readonly { readonly kind: string }[]) =>
  boxes.filter((box): box is TextBox => box.kind === 'text');

test('a layout of every theme is the mirror of its own, and a document from left to right keeps it', () => {
  const english = doc(h(1, 'The mill'), li('The pond', 1), p('שלום'));
  for (const { name } of THEMES) {
    const edit = { kind: 'theme', theme: name } as const;
    const plain = convert(english, [edit]).theme;
    const { theme } = laid([edit]);
    expect(plain.mirrored).toBeUndefined();
    expect(theme.mirrored).toBe(true);
    for (const [i, layout] of theme.layouts.entries())
      for (const [k, frame] of layout.frames.entries()) {
        const own = plain.layouts[i]!.frames[k]!;
        expect(frame.x + frame.width).toBe(SLIDE_WIDTH - own.x);
        expect([frame.y, frame.width, frame.role]).toEqual([own.y, own.width, own.role]);
      }
  }
  const { look } = convert(english, []).theme;
  expect(lookFor(english, look!)).toBe(look);
});

test('points begin at the right with their bullets, whatever their letters; code begins at the left', () => {
  const { pages, theme } = laid([{ kind: 'map', name: null, map: laid().map }]);
  const page = pages.find(({ slide }) => slide.content.length === points.length && slide.content[0]!.kind === 'point')!;
  const box = textsOf(page.boxes).find(({ frame }) => frame.role === 'body')!;
  expect(box.paragraphs).toHaveLength(points.length);
  for (const paragraph of box.paragraphs) {
    const { indent, hanging } = paraSetting(paragraph, box.frame, theme);
    const [line] = paragraph.lines;
    const edge = box.frame.x + box.frame.width - indent * 12_700;
    expect(Math.abs(line!.x + line!.width - edge)).toBeLessThan(12_700);
    expect(paragraph.bulletX).toBeGreaterThanOrEqual(edge + hanging * 12_700 - 12_700);
  }
  expect(box.paragraphs.map(({ rtl }) => rtl)).toEqual([true, true, undefined]);
  const listing = pages.flatMap(({ boxes }) => textsOf(boxes)).find(({ paras }) => paras[0]?.style === 'code')!;
  expect(listing.paragraphs[0]!.lines[0]!.x).toBe(listing.frame.x);
});

// A theme whose steps are pointed.
const pointed = [{ kind: 'theme', theme: 'slipway' } as const];

test('steps go from right to left, and so do columns of tables', () => {
  const { pages } = laid([...pointed, ...beginning(hebrew, pointed)]);
  const steps = pages.find(({ layout }) => layout === 'steps')!;
  const arrows = steps.boxes.filter(
    (box) => box.kind === 'shape' && (box.geometry === 'chevron' || box.geometry === 'tag'),
  );
  expect(arrows.length).toBe(3);
  for (const [i, box] of arrows.entries()) {
    if (box.kind !== 'shape') throw new TypeError('no shape');
    expect(box.mirrored).toBe(true);
    const after = arrows[i + 1];
    if (after?.kind === 'shape') expect(after.rect.x).toBeLessThan(box.rect.x);
  }
  const set = laid([{ kind: 'theme', theme: 'millrace' }])
    .pages.flatMap(({ boxes }) => boxes)
    .find(({ kind }) => kind === 'table');
  if (set?.kind !== 'table') throw new TypeError('no table');
  const [first, second] = set.cells;
  expect(first!.rect.x + first!.rect.width).toBe(set.frame.x + set.frame.width);
  expect(second!.rect.x + second!.rect.width).toBe(first!.rect.x);
});

// Steps are drawn, the table stays one.
const steps = [...pointed, ...beginning(hebrew, pointed)].map((edit) =>
  edit.kind === 'arrange' ? { ...edit, layouts: edit.layouts.filter(({ layout }) => layout === 'steps') } : edit,
);

test('the file says it too: master, paragraphs, tables and arrows', () => {
  const parts = unzipSync(writeDeck('pptx', laid(steps), []));
  const text = (name: string): string => strFromU8(parts[name]!);
  const slides = Object.keys(parts)
    .filter((name) => /slides\/slide\d+\.xml$/.test(name))
    .map(text);
  expect(text('ppt/presentation.xml')).toMatch(/<p:presentation [^>]*rtl="1"/);
  expect(text('ppt/slideMasters/slideMaster1.xml')).toMatch(/<a:lvl1pPr [^>]*algn="r" rtl="1"/);
  const all = slides.join('');
  expect(all).toContain('flipH="1"');
  expect(all).toMatch(/<a:tblPr rtl="1"/);
  for (const [, properties, inner] of all.matchAll(/<a:p>(?:<a:pPr([^>]*?)\/?>)?((?:(?!<\/a:p>).)*)<\/a:p>/gs))
    if (/[֐-׿]/.test(inner!)) expect(properties).toContain('rtl="1"');
});

describe('charts', () => {
  const tableOf = (document: DocumentModel) =>
    convert(document, [])
      .deck.slides.flatMap(({ content }) => content)
      .find(({ kind }) => kind === 'table')!.id;
  const chartIn = (
    document: DocumentModel,
    kind: ChartKind,
    legend: 'right' | 'none' = 'none',
    title: string | null = null,
  ) => {
    const settings = {
      kind,
      title,
      legend,
      labels: true,
      grid: true,
      acrossTitle: null,
      upTitle: null,
      colors: [],
      data: null,
    };
    const made = convert(document, [{ kind: 'chart', part: tableOf(document), chart: settings }]);
    const box = made.pages.flatMap(({ boxes }) => boxes).find((one): one is ChartBox => one.kind === 'chart')!;
    const { palette } = made.theme;
    return { made, ...drawChart(box, made.theme, { palette, inks: palette }), frame: box.frame };
  };
  const placeOf = (pieces: readonly Piece[], text: string): number => {
    const piece = pieces.find((one) => one.text === text)!;
    return piece.rtl ? piece.x - piece.width : piece.x;
  };
  const NAMES = ['שערים', 'גג', 'גלגל', 'חבלים'];

  test.each(['column', 'line', 'area', 'stacked'] as const)(
    '%s: the first category stands at the right, its axis too',
    (kind) => {
      const { pieces, frame, made } = chartIn(hebrew, kind);
      const places = NAMES.map((name) => placeOf(pieces, name));
      expect(places).toEqual([...places].sort((a, b) => b - a));
      expect(placeOf(pieces, '0')).toBeGreaterThan(frame.x + frame.width * 0.8);
      const xml = strFromU8(unzipSync(writeDeck('pptx', made, []))['ppt/charts/chart1.xml']!);
      expect(xml).toMatch(/<c:catAx>.*?<c:orientation val="maxMin"\/>/);
      expect(xml).toMatch(/<c:valAx>.*?<c:orientation val="minMax"\/>.*?<c:axPos val="r"\/>/);
    },
  );
  test('bars grow from the right, from the top down', () => {
    const { pieces, frame, made } = chartIn(hebrew, 'bar');
    for (const name of NAMES) expect(placeOf(pieces, name)).toBeGreaterThan(frame.x + frame.width * 0.8);
    expect(placeOf(pieces, '31,000')).toBeLessThan(placeOf(pieces, '900'));
    const xml = strFromU8(unzipSync(writeDeck('pptx', made, []))['ppt/charts/chart1.xml']!);
    expect(xml).toMatch(/<c:valAx>.*?<c:orientation val="maxMin"\/>/);
  });
  test('a circle is no other, but its legend stands at the left', () => {
    const latin = doc(
      h(1, 'The mill'),
      h(2, 'Costs'),
      table([['Work', 'Sum'], ...NAMES.map((name, i) => [name, `${(4 - i) * 1000}`])]),
      p('All in euros, as was said in the spring by the trust.'),
    );
    for (const [document, share] of [
      [hebrew, 0.4],
      [latin, 1],
    ] as const) {
      const { pieces, frame } = chartIn(document, 'pie', 'right');
      const places = NAMES.map((name) => (placeOf(pieces, name) - frame.x) / frame.width);
      for (const place of places) expect(place > 0.5).toBe(share === 1);
    }
  });
  test.each(['column', 'pie', 'scatter'] as const)('%s: its title begins at the right, as it is written', (kind) => {
    const { pieces, frame } = chartIn(hebrew, kind, 'none', 'מחירים');
    const title = pieces.find(({ text }) => text === 'מחירים')!;
    expect(title.rtl).toBe(true);
    expect(Math.abs(title.x - frame.x - frame.width)).toBeLessThan(20_000);
  });
  test('a deck from left to right keeps its charts', () => {
    const latin = doc(
      h(1, 'The mill'),
      h(2, 'Costs'),
      table([
        ['Work', 'Sum'],
        ['Gates', '31,000'],
        ['Roof', '12,000'],
        ['Wheel', '8,500'],
      ]),
    );
    const { pieces, made } = chartIn(latin, 'column');
    expect(placeOf(pieces, 'Gates')).toBeLessThan(placeOf(pieces, 'Roof'));
    expect(strFromU8(unzipSync(writeDeck('pptx', made, []))['ppt/charts/chart1.xml']!)).not.toContain('maxMin');
  });
});

test('what its markup says counts before letters', () => {
  const right = doc(
    ...['PostgreSQL 17', 'Docker', 'Redis'].map((text) => ({ ...h(2, text), direction: 'rtl' as const })),
    p('The rest of it.'),
  );
  expect(convert(right, []).theme.mirrored).toBe(true);
});
