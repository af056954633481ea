/** What a theme makes of the same content: openers, covers, steps, dates, quotations, charts. */
import { describe, expect, test } from '@jest/globals';
import { runsText, type Table } from '../content/index.ts';
import type { Content } from '../deck/index.ts';
import type { DocumentModel } from '../document/index.ts';
import type { SingleEdit } from '../edits/index.ts';
import { beginning, convert } from '../pipeline/index.ts';
import { drawChart } from '../scene/index.ts';
import { doc, h, li, p, picture, quote, table, THEMES } from '../test/build.ts';
import { layoutNamed, overlaps, THEME_DESIGNS } from '../theme/index.ts';
import { layOutSlide } from './lay-out-slide.ts';
import type { ChartBox, Page, TextBox } from './page.ts';

const texts = ({ boxes }: Page): readonly TextBox[] => boxes.filter((box) => box.kind === 'text');
const said = (page: Page): readonly string[] =>
  texts(page).flatMap(({ paras }) => paras.map(({ runs }) => runsText(runs)));
const shapes = ({ boxes }: Page): readonly string[] =>
  boxes.flatMap((box) =>
    box.kind === 'shape' ? [`${box.geometry} ${box.fill === null ? 'outline' : 'filled'} ${box.turned}`] : [],
  );
const firstDeck = (document: DocumentModel, theme: string, ...more: readonly SingleEdit[]) => {
  const look = [{ kind: 'theme', theme } as const, ...more];
  return convert(document, [...look, ...beginning(document, look)]);
};
const names = THEMES.map(({ name }) => name);

describe('openers of sections', () => {
  const THINGS = ['gate', 'wheel', 'pond', 'roof', 'quay'];
  const parts = (...titles: readonly string[]) =>
    doc(
      ...titles.flatMap((title) => [
        h(1, title),
        ...['before', 'now', 'later'].flatMap((when) => [
          h(2, `${title} ${when}`),
          ...THINGS.map((thing) => li(`The mill has a ${thing} of its own ${when}, and it is old and wants mending`)),
        ]),
      ]),
    );
  const openers = (document: DocumentModel, theme: string) =>
    firstDeck(document, theme).pages.filter(({ layout }) => layout === 'section');

  test.each(names)('%s: say their number large, and all sections below', (theme) => {
    const found = openers(parts('Gates', 'Trade', 'Money'), theme);
    expect(found.map((page) => said(page))).toEqual(
      ['Gates', 'Trade', 'Money'].map((title, i) => [
        title,
        `${i + 1}`,
        '1\u00a0Gates',
        '2\u00a0Trade',
        '3\u00a0Money',
      ]),
    );
    for (const page of found) {
      const number = texts(page).find(({ frame }) => frame.role === 'big')!;
      const list = texts(page).find(({ frame }) => frame.role === 'subtitle')!;
      expect(number.paragraphs[0]!.size).toBeGreaterThan(1.5 * list.paragraphs[0]!.size);
    }
  });

  test('sections that bring numbers of their own have no others', () => {
    const [first] = openers(parts('1. Gates', '2. Trade', '3. Money'), 'millrace');
    expect(said(first!)).toEqual(['1. Gates', '1. Gates', '2. Trade', '3. Money']);
    const [named] = openers(parts('Lesson 1', 'Lesson 2'), 'millrace');
    expect(said(named!)).toEqual(['Lesson 1', 'Lesson 1', 'Lesson 2']);
  });

  test('numbers stand in places of their own in nearly every theme', () => {
    const places = THEMES.map((theme) => layoutNamed(theme, 'section').frames.find(({ role }) => role === 'big')!);
    expect(new Set(places.map(({ x, y, width }) => [x, y, width].join())).size).toBe(THEMES.length);
  });
});

describe('covers', () => {
  const mill = (mime: 'image/jpeg' | 'image/png', width = 1600): DocumentModel => {
    const document = doc(
      h(1, 'Reopening the Sallow Quay tide mill'),
      p('A report for the trust'),
      picture('a', 'The mill'),
      h(2, 'Gates'),
      li('Oak'),
      li('Iron'),
    );
    return { ...document, pictures: document.pictures.map((one) => ({ ...one, mime, width, height: 1000 })) };
  };
  test.each(names)('%s: a photograph below the title stands on the cover, apart from the words', (theme) => {
    const { pages, ledger } = firstDeck(mill('image/jpeg'), theme);
    const [cover] = pages;
    expect([cover!.layout, ledger.lost]).toEqual(['cover-picture', 0]);
    expect(said(cover!)).toEqual(['Reopening the Sallow Quay tide mill', 'A report for the trust']);
    const shown = cover!.boxes.find((box) => box.kind === 'picture')!;
    for (const { frame } of texts(cover!)) expect(overlaps(frame, shown.rect)).toBe(false);
    expect(shown.rect.width * shown.rect.height).toBeGreaterThan(0.18 * 12_192_000 * 6_858_000);
  });
  test('a drawing, or a small picture, has a slide of its own', () => {
    for (const document of [mill('image/png'), mill('image/jpeg', 200)])
      expect(
        firstDeck(document, 'millrace')
          .pages.map(({ layout }) => layout)
          .slice(0, 2),
      ).toEqual(['cover', 'picture']);
  });
  test('a picture that its author takes off the cover is not put there', () => {
    const document = mill('image/jpeg');
    const block = document.blocks.find(({ kind }) => kind === 'picture')!.id;
    const turned = convert(document, [...beginning(document), { kind: 'turn', block, to: 'slide' }]);
    expect(turned.pages[0]!.layout).toBe('cover');
  });
  test('at least three themes have a form of their own for it', () => {
    expect(THEME_DESIGNS.filter(({ layout }) => layout.pictureCover !== undefined).length).toBeGreaterThanOrEqual(3);
  });
});

describe('figures', () => {
  const steps = doc(
    h(1, 'The mill'),
    h(2, 'How the pond fills'),
    ...[
      'Gates swing open with the flood',
      'The pond fills for four hours',
      'Gates close at high water',
      'The wheel turns on the ebb',
    ].map((text, i) => li(text, 1, i + 4)),
  );
  const dates = doc(
    h(1, 'The mill'),
    h(2, 'Dates'),
    li('2026: The gates are mended'),
    li('2027: The new roof'),
    li('2028: The mill opens'),
  );

  test.each(['steps', 'timeline'] as const)('%s have several forms, one for each hand', (layout) => {
    const forms = new Map(
      THEMES.map(({ name, hand }) => {
        const page = firstDeck(layout === 'steps' ? steps : dates, name).pages[1]!;
        expect([name, page.layout]).toEqual([name, layout]);
        return [hand[layout], [...new Set(shapes(page))].sort().join()] as const;
      }),
    );
    expect(forms.size).toBe(layout === 'steps' ? 5 : 3);
    expect(new Set(forms.values()).size).toBeGreaterThanOrEqual(forms.size - 1);
  });
  test('steps keep the numbers that their list has', () => {
    for (const name of names)
      expect(said(firstDeck(steps, name).pages[1]!)).toEqual(expect.arrayContaining(['4', '5', '6', '7']));
  });
});

test.each(names)('%s: three lines of a few words stand below each other, and fill the slide', (theme) => {
  const lines = [
    'Silt comes back faster than it is dug out',
    'A hard frost before the roof is closed',
    'The fund decides a year late',
  ];
  const page = firstDeck(doc(h(1, 'The mill'), h(2, 'Risks'), ...lines.map((text) => li(text))), theme).pages[1]!;
  expect(page.layout).toBe('icon-grid');
  const places = texts(page)
    .filter(({ free }) => free)
    .map(({ paragraphs }) => paragraphs[0]!.lines);
  expect(places.map(({ length }) => length)).toEqual([1, 1, 1]);
  const [top, , last] = places.map(([line]) => line!);
  expect(top!.x).toBe(last!.x);
  expect(last!.baseline - top!.baseline).toBeGreaterThan(0.25 * 6_858_000);
  const short = doc(h(1, 'The mill'), h(2, 'Parts'), li('Gates'), li('Wheel'), li('Roof'));
  const beside = texts(firstDeck(short, theme).pages[1]!).filter(({ free }) => free);
  expect(new Set(beside.map(({ frame }) => frame.y)).size).toBe(1);
});

test('who said it stands with the quotation where a line of its own names it', () => {
  const document = doc(
    h(1, 'The mill'),
    h(2, 'Two tides'),
    quote('The mill keeps the moon’s hours.'),
    p('— Ledger of the miller, 1871'),
    h(2, 'Gates'),
    quote('They leak.'),
    p('It is said that they always did.'),
  );
  const { pages, ledger } = firstDeck(document, 'slipway');
  const [, tides, gates] = pages;
  expect([tides!.layout, said(tides!)]).toEqual([
    'quotation',
    ['Two tides', 'The mill keeps the moon’s hours.', '— Ledger of the miller, 1871'],
  ]);
  expect(said(gates!)).toEqual(['Gates', 'They leak.']);
  expect([tides!.notes.length, gates!.notes.length, ledger.lost]).toEqual([0, 1, 0]);
});

test.each(names)('%s: no line of a statement has one word alone', (theme) => {
  const document = doc(
    h(1, 'The mill'),
    h(2, 'The wheel'),
    p('The wheel must turn at least once a week, since oak that dries on one side loses its balance.'),
  );
  const page = firstDeck(document, theme).pages[1]!;
  const { paragraphs } = texts(page).find(({ frame }) => frame.role === 'quote')!;
  const widths = paragraphs[0]!.lines.map(({ width }) => width);
  expect(Math.min(...widths)).toBeGreaterThan(0.5 * Math.max(...widths));
});

test('charts are drawn by the hand of the theme', () => {
  const numbers = doc(
    h(1, 'The mill'),
    h(2, 'Guests'),
    table([
      ['Year', 'Guests'],
      ['2024', '1200'],
      ['2025', '1850'],
      ['2026', '900'],
    ]),
  );
  const part = convert(numbers, []).deck.slides[1]!.content[0]!.id;
  const drawn = THEMES.map((theme) => {
    const settings = {
      kind: 'column',
      title: null,
      legend: 'none',
      labels: false,
      grid: true,
      acrossTitle: null,
      upTitle: null,
      colors: [],
      data: null,
    } as const;
    const { pages } = firstDeck(numbers, theme.name, { kind: 'chart', part, chart: settings });
    const box = pages[1]!.boxes.find((one): one is ChartBox => one.kind === 'chart')!;
    const { shapes: all } = drawChart(box, theme, { palette: theme.palette, inks: theme.palette });
    return [theme.hand.chart, all] as const;
  });
  for (const [hand, all] of drawn) {
    expect(all.some(({ dashes }) => dashes !== undefined)).toBe(hand.grid !== 'solid');
    expect(all.at(-1)).toMatchObject({ strokeWidth: hand.base });
  }
});

test('whatever is put on a cover is drawn, there or after it', () => {
  const document = doc(h(1, 'The mill'), p('A report'), h(2, 'Gates'), li('Oak'), li('Iron'));
  const { deck } = convert(document, beginning(document));
  const cover = deck.slides[0]!;
  const part = (kind: string, i: number) => ({ id: `${kind}${i}` as never, blocks: [] });
  const shown = (i: number): Content => ({ kind: 'picture', picture: 'a' as never, alt: null, ...part('picture', i) });
  const { table: costs } = table([
    ['Work', 'Sum'],
    ['Gates', '31,000'],
  ]) as { readonly table: Table };
  const many = Array.from({ length: 30 }, (_, i): Content => ({
    kind: 'point',
    level: 1,
    runs: [{ text: `The mill has a matter ${i} that is to be told at some length` }],
    ...part('point', i),
  }));
  for (const points of [many.slice(0, 1), many]) {
    const content: readonly Content[] = [
      ...cover.content,
      shown(1),
      shown(2),
      { kind: 'table', table: costs, ...part('table', 1) },
      ...points,
    ];
    for (const theme of THEMES) {
      const pages = layOutSlide({ ...cover, content }, { theme, pictures: new Map(), full: 'continue' });
      const drawn = new Set(
        pages.flatMap(({ boxes }) =>
          boxes.flatMap((box) =>
            box.kind === 'text' ? box.paras.map((para) => para.part) : 'part' in box ? [box.part] : [],
          ),
        ),
      );
      for (const { id } of content) expect([theme.name, id, drawn.has(id)]).toEqual([theme.name, id, true]);
      expect(pages[0]!.layout).toBe('cover-picture');
    }
  }
});
