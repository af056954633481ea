/** Which rules slides break at the edge of each, page by page: the golden file says it. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import type { Emu } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import { FULL_RULES } from '../deck/index.ts';
import { layOutSlide, type Page } from '../layout/index.ts';
import { code, doc, h, li, p, picture, quote, table, THEMES, type Draft } from '../test/build.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import { slideFor, STRESS, STRESS_PICTURES } from '../test/stress-slides.ts';
import { dress, LAYOUT_NAMES, plainLook, type Hex, type Palette, type Rect, type Theme } from '../theme/index.ts';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { readiness } from './index.ts';
import { reach } from './rules.ts';

const WORDS = 'gate wheel stone pond sluice quay boat grain flour meal rope board beam oak elm iron'.split(' ');
const words = (count: number, from = 0): string =>
  Array.from({ length: count }, (_, i) => WORDS[(i * 7 + from) % WORDS.length]!).join(' ');
const counts = (from: number, to: number, step: number): readonly number[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => from + i * step);
const items = (count: number, length: number, depth = 1): readonly Draft[] =>
  Array.from({ length: count }, (_, i) => li(words(length, i), depth));

/** More and more of one thing. */
const RISING: Readonly<Record<string, readonly [readonly number[], (count: number) => readonly Draft[]]>> = {
  points: [counts(0, 14, 1), (count) => [h(1, 'Gates'), ...items(count, 5)]],
  'words in six points': [counts(6, 36, 3), (count) => [h(1, 'Gates'), ...items(6, count)]],
  'points of the second level': [counts(1, 16, 3), (count) => [h(1, 'Gates'), li('Below'), ...items(count, 6, 2)]],
  'words of the title': [counts(1, 33, 2), (count) => [h(1, words(count)), ...items(4, 5)]],
  'lines of code': [counts(1, 31, 3), (count) => [h(1, 'Gates'), code(words(count, 0).split(' ').join('();\n'))]],
  'letters of a line of code': [counts(20, 180, 20), (count) => [h(1, 'Gates'), code('x'.repeat(count))]],
  'rows of a table': [
    counts(1, 25, 3),
    (count) => [h(1, 'Gates'), table(counts(1, count, 1).map((r) => [words(2, r), String(r)]))],
  ],
  'columns of a table': [
    counts(2, 20, 3),
    (count) => [h(1, 'Gates'), table([0, 1, 2].map((r) => counts(1, count, 1).map((c) => words(1, r + c))))],
  ],
  'points beside a table': [
    counts(1, 9, 2),
    (count) => [
      h(1, 'Gates'),
      ...items(count, 6),
      table([
        ['a', 'b'],
        ['1', '2'],
      ]),
    ],
  ],
  'words of a quotation': [counts(5, 85, 20), (count) => [h(1, 'Gates'), quote(words(count))]],
  'words of running text': [counts(10, 190, 20), (count) => [h(1, 'Gates'), p(words(count))]],
  pictures: [
    counts(1, 5, 1),
    (count) => [h(1, 'Gates'), ...counts(1, count, 1).map((i) => picture(i % 2 ? 'a' : 'b', 'A gate'))],
  ],
  'the same title again': [
    counts(1, 3, 1),
    (count) => counts(1, count, 1).flatMap((i) => [h(1, 'Gates'), ...items(4, 5), li(String(i))]),
  ],
};

const pictures = [
  { id: 'a' as never, mime: 'image/png' as const, width: 900, height: 500 },
  { id: 'b' as never, mime: 'image/jpeg' as const, width: 300, height: 900 },
];
const shown = (pages: readonly Page[], theme: Theme): readonly string[] => {
  const { ready, of, faults } = readiness({ pages, theme, document: { pictures } });
  const read = readiness({ pages, theme, document: { pictures } }, true);
  return [
    `${ready} of ${of}, read ${read.ready}: ${pages.map((page, i) => `${page.layout} ${reach(page, theme).toFixed(3)} ${faults[i]!.join(' ') || 'well'}`).join(' | ')}`,
  ];
};

test('at the edge of each rule, and in every layout', () => {
  const [plainsong, foreshore] = ['plainsong', 'foreshore'].map((name) => THEMES.find((one) => one.name === name)!);
  const options = { pictures: new Map(pictures.map((one) => [one.id, one])) };
  holdTo(join(GOLDEN, 'presentable.txt'), [
    ...[plainsong!, foreshore!].flatMap((theme) =>
      Object.entries(RISING).flatMap(([name, [steps, drafts]]) =>
        under(
          `${theme.name}, ${name}`,
          steps.flatMap((count) => {
            const document = doc(...drafts(count));
            const { slides } = mapDocument(document, presetMap('reading', document));
            const full = FULL_RULES[count % FULL_RULES.length]!;
            const laid = slides.flatMap((slide) => layOutSlide(slide, { ...options, theme, full }));
            return shown(laid, theme).map((line) => `${count}, ${full}: ${line}`);
          }),
        ),
      ),
    ),
    ...[plainsong!, dress({ ...plainLook('nightwatch'), mirrored: true })].flatMap((theme) =>
      LAYOUT_NAMES.flatMap((layout) =>
        under(
          `${theme.name}, ${layout}`,
          Object.entries(STRESS).flatMap(([name, text]) => {
            const pages = layOutSlide(slideFor(layout, text), { theme, pictures: STRESS_PICTURES, full: 'report' });
            return shown(pages, theme).map(
              (line) => `${name} (${runsText(pages[0]!.slide.title.runs).length}): ${line}`,
            );
          }),
        ),
      ),
    ),
  ]);
});

/** Places that get smaller, and colours that come nearer to their ground. */
test('where text spills, and where it can no more be told from what is behind it', () => {
  const worn = THEMES.find(({ name }) => name === 'plainsong')!;
  const options = { theme: worn, pictures: new Map(), full: 'report' as const };
  const laid = (...drafts: readonly Draft[]): Page => {
    const document = doc(...drafts);
    return layOutSlide(mapDocument(document, presetMap('reading', document)).slides[0]!, options)[0]!;
  };
  const rules = (page: Page, theme: Theme = worn): string =>
    readiness({ pages: [page], theme, document: { pictures } }).faults[0]!.join(' ') || 'well';
  const resized = (page: Page, by: (frame: Rect) => Partial<Rect>): Page => ({
    ...page,
    boxes: page.boxes.map((box) => (box.kind === 'text' ? { ...box, frame: { ...box.frame, ...by(box.frame) } } : box)),
  });
  const pages: Readonly<Record<string, Page>> = {
    points: laid(h(1, 'Gates'), ...items(6, 5)),
    'a long word': laid(
      h(1, 'Gates'),
      li('Rindfleischetikettierungsüberwachungsaufgabenübertragungsgesetz'),
      ...items(2, 4),
    ),
    'long lines': laid(h(1, 'Gates'), ...items(3, 20)),
  };
  const greys = counts(0x30, 0xf0, 0x10).map((value) => value.toString(16).toUpperCase().repeat(3) as Hex);
  const inked = (palette: Partial<Palette>): Theme => ({ ...worn, palette: { ...worn.palette, ...palette } });
  const figure = chosen('icon-grid');
  holdTo(join(GOLDEN, 'spills.txt'), [
    ...Object.entries(pages).flatMap(([name, page]) => [
      ...under(
        `${name}, less high`,
        counts(0, 40, 1).map(
          (less) => `${less}: ${rules(resized(page, ({ height }) => ({ height: (height - less * 12_700) as Emu })))}`,
        ),
      ),
      ...under(
        `${name}, less wide`,
        counts(0, 640, 8).map(
          (less) => `${less}: ${rules(resized(page, ({ width }) => ({ width: (width - less * 12_700) as Emu })))}`,
        ),
      ),
    ]),
    ...under(
      'ink',
      greys.map((ink) => `${ink}: ${rules(pages['points']!, inked({ text: ink }))}`),
    ),
    ...under(
      'ground',
      greys.map((ground) => `${ground}: ${rules(pages['points']!, inked({ ground }))}`),
    ),
    ...under(
      'panels of a figure',
      greys.map((panel) => `${panel}: ${rules(figure, inked({ panel }))}`),
    ),
    ...under(
      'on a mark of the layout',
      greys.map((accent1) => {
        const layouts = worn.layouts.map((one) => ({
          ...one,
          marks: [{ x: 0, y: 0, ...worn.size, color: 'accent1' }],
        }));
        return `${accent1}: ${rules(pages['points']!, { ...inked({ accent1 }), layouts } as unknown as Theme)}`;
      }),
    ),
    ...under(
      'behind, in part',
      [[], ['FFFFFF'], ['202020'], ['FFFFFF', '202020'], ['FFFFFF', 'FFFFFF', 'FFFFFF', '202020']].map((behind) => {
        const on: Page = {
          ...pages['points']!,
          boxes: pages['points']!.boxes.map((box) =>
            box.kind === 'text' ? { ...box, frame: { ...box.frame, behind: behind as Hex[] } } : box,
          ),
        };
        return `${behind.join(' ')}: ${rules(on)}`;
      }),
    ),
    ...under(
      'colours of a slide',
      [null, true, false].map((dark) => {
        const page = pages['points']!;
        return `${dark}: ${rules({ ...page, slide: { ...page.slide, colors: { palette: null, dark } } })}`;
      }),
    ),
  ]);

  function chosen(layout: 'icon-grid'): Page {
    return layOutSlide(slideFor(layout, STRESS['two sides']!), { ...options, pictures: STRESS_PICTURES })[0]!;
  }
});
