/** What is drawn of charts, of every layout and of pieces of text: the golden files say it in points, and people read them. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import {
  CHART_KINDS,
  readChart,
  usualSettings,
  type Chart,
  type ChartKind,
  type ChartSettings,
} from '../charts/index.ts';
import type { Table } from '../content/index.ts';
import { layOutSlide, type ChartBox } from '../layout/index.ts';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { doc, h, li, picture, quote, table, THEMES, type Draft } from '../test/build.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import { slideFor, STRESS, STRESS_PICTURES } from '../test/stress-slides.ts';
import { dress, frameIn, LAYOUT_NAMES, type Theme } from '../theme/index.ts';
import {
  colorsOf,
  describeChart,
  describePicture,
  describeTable,
  drawChart,
  drawParts,
  makeScene,
  sceneSlide,
  stepsOf,
  type DrawnShape,
  type DrawnText,
} from './index.ts';

const theme = (name: string): Theme => THEMES.find((one) => one.name === name)!;
const mirrored = dress({ ...theme('pebble').look!, mirrored: true });
const file = (name: string): string => join(GOLDEN, 'scene', `${name}.txt`);
const rounded = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) => (typeof one === 'number' ? Math.round(one * 100) / 100 : one));
/** Outlines in tenths of a point. */
const shape = ({ d, ...rest }: DrawnShape): string =>
  `  ${d.replace(/-?\d+\.\d+/g, (number) => String(Math.round(Number(number) * 10) / 10))} ${rounded(rest)}`;
const words = ({ pieces, ...rest }: Pick<DrawnText, 'pieces'> & object): string =>
  `  ${rounded(rest)} ${pieces.map(({ text, x, y, width, size, color, bold, italic, link, to, rtl }) => `"${text}" ${rounded([x, y, width, size, color, bold, italic, link, to, rtl])}`).join(' ')}`;

const tableOf = (rows: readonly (readonly string[])[]): Table => (table(rows) as unknown as { table: Table }).table;
const TIDES = tableOf([
  ['Year', 'Spring', 'Neap', 'Storm'],
  ['2021', '310', '120', '12'],
  ['2022', '402', '', '8'],
  ['2023', '515', '150', '31'],
  ['2024', '−40', '170', '4'],
]);
const SHARES = tableOf([
  ['Work', 'Share'],
  ['Sluice gates and all that belongs to them', '42 %'],
  ['Wheel', '30 %'],
  ['Roof', '28 %'],
  ['Nothing', '0 %'],
]);
const ONE = tableOf([
  ['Work', 'Share'],
  ['All of it', '100'],
  ['Nothing', '0'],
]);

const box = (data: NonNullable<ReturnType<typeof readChart>>, settings: ChartSettings, at: Theme): ChartBox => {
  const frame = frameIn(at, 'chart', 'chart');
  return { kind: 'chart', part: 'c' as never, frame, chart: { ...data, settings } as Chart, table: TIDES };
};

test('charts of every kind, with all that can be set', () => {
  const settings = (data: NonNullable<ReturnType<typeof readChart>>, kind: ChartKind): readonly ChartSettings[] => {
    const usual = usualSettings(data, kind);
    return [
      usual,
      {
        ...usual,
        title: 'A title that is rather long, and goes on until it is cut off where the chart ends, whatever it says',
        labels: !usual.labels,
        grid: !usual.grid,
        legend: 'right',
      },
      { ...usual, acrossTitle: 'Across', upTitle: 'Up', legend: 'bottom', labels: true, colors: [3, 1, 2] },
    ];
  };
  const drawn = (name: string, data: Table, worn: Theme): readonly string[] => {
    const read = readChart(data, 'en')!;
    return CHART_KINDS.flatMap((kind) =>
      settings(read, kind).flatMap((one, i) => {
        const { shapes, pieces } = drawChart(box(read, one, worn), worn, { palette: worn.palette, inks: worn.palette });
        return under(`${worn.name}${worn.mirrored === true ? ' mirrored' : ''}, ${name}, ${kind} ${i + 1}`, [
          describeChart({ ...read, settings: one } as Chart, 'Tides'),
          ...shapes.map(shape),
          ...pieces.map(
            ({ text, x, baseline, width, size, bold, color }) =>
              `  "${text}" ${rounded([x / 12700, baseline / 12700, width / 12700, size, bold, color])}`,
          ),
        ]);
      }),
    );
  };
  holdTo(file('charts'), [
    ...drawn('tides', TIDES, theme('plainsong')),
    ...drawn('shares', SHARES, theme('draughtsman')),
    ...drawn('one', ONE, theme('plainsong')).slice(0, 120),
    ...drawn('tides', TIDES, mirrored),
  ]);
});

test.each(['plainsong', 'semaphore', 'mirrored'])('every layout in %s', (name) => {
  const worn = name === 'mirrored' ? mirrored : theme(name);
  holdTo(
    file(name),
    LAYOUT_NAMES.flatMap((layout) =>
      ['two sides', 'a list and text', 'numbers of a list'].flatMap((text) => {
        const pages = layOutSlide(slideFor(layout, STRESS[text]!), {
          theme: worn,
          pictures: STRESS_PICTURES,
          full: 'continue',
        });
        const [page] = pages;
        if (page!.layout !== layout) return [];
        const parts = drawParts(sceneSlide(page!, 7, worn), worn);
        return under(`${layout}, ${text}`, [
          `ground ${parts.ground}, number ${rounded(parts.number)}`,
          ...parts.marks.map((one) => ` mark${shape(one)}`),
          ...parts.behind.map((one) => ` behind ${rounded(one)}`),
          ...parts.boxes.flatMap(({ shapes, pictures, texts }) => [
            ...shapes.map(shape),
            ...pictures.map((one) => ` picture ${rounded(one)}`),
            ...texts.map(words),
          ]),
          ...parts.foot.map((one) => ` foot${words(one)}`),
        ]);
      }),
    ),
  );
});

test('scenes: sections, numbers, links, colours of a slide, steps, and what is said of tables and pictures', () => {
  const drafts: readonly Draft[] = [
    h(1, 'Report'),
    h(2, 'Before'),
    li([
      { text: 'Leads to ' },
      { text: 'the end', link: '#end' },
      { text: ' or ' },
      { text: 'outside', link: 'https://example.org/' },
    ]),
    h(2, 'Gates'),
    h(3, 'Oak'),
    li([
      { text: 'bold', bold: true },
      { text: ' and ', italic: true },
      { text: 'struck', strike: true },
      { text: ' x' },
      { text: '2', position: 'super' },
    ]),
    li('Below', 2),
    quote('Said.'),
    h(3, 'Numbers'),
    table([
      ['Year', 'Tides'],
      ['2021', '1,310.5'],
      ['2022', '40'],
    ]),
    h(3, 'Pictures'),
    picture('a', 'A pond'),
    picture('a', ''),
    picture('a'),
    { ...h(2, 'End'), names: ['end'] } as Draft,
    li('Last'),
  ];
  const document = doc(...drafts);
  const worn = theme('plainsong');
  const { slides } = mapDocument(document, presetMap('reading', document));
  const pages = slides.flatMap((slide, i) =>
    layOutSlide(i === 3 ? { ...slide, colors: { palette: null, dark: true }, hidden: true } : slide, {
      theme: worn,
      pictures: new Map([...STRESS_PICTURES]),
      full: 'continue',
    }),
  );
  const goals = new Map([['end', slides.at(-1)!.id]]);
  const scene = makeScene(pages, worn, { title: 'Report', author: null, language: null }, undefined, goals);
  holdTo(file('scene'), [
    ...under(
      'sections',
      scene.sections.map(({ title, from }) => `${from} ${title}`),
    ),
    ...scene.slides.flatMap((slide) => {
      const parts = drawParts(slide, worn, goals);
      return under(`${slide.number} ${slide.title}`, [
        `${slide.kind}, in ${slide.section ?? '-'}, ${slide.part.index + 1} of ${slide.part.of}${slide.hidden ? ', hidden' : ''}, ${rounded(colorsOf(slide, worn).ground)}`,
        `steps: ${rounded([...stepsOf(slide.boxes)])}`,
        ...slide.boxes.flatMap((one) =>
          one.kind === 'picture'
            ? [`says ${describePicture(one, slide) ?? '-'}`]
            : one.kind === 'table'
              ? [`says ${describeTable(one.table, slide.title)}`]
              : [],
        ),
        ...parts.boxes.flatMap(({ shapes, texts }) => [...shapes.map(shape), ...texts.map(words)]),
      ]);
    }),
  ]);
});
