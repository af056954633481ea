/** Which rules slides break at the edge of each, page by page: the golden file says it. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { runsText } from '../content/index.ts';
import { FULL_RULES } from '../deck/index.ts';
import { layOutSlide, type Page } from '../layout/index.ts';
import { code, doc, h, li, p, picture, quote, table, THEMES, type Draft } from '../test/build.ts';
import { GOLDEN, holdTo } from '../test/golden.ts';
import { slideFor, STRESS, STRESS_PICTURES } from '../test/stress-slides.ts';
import { dress, LAYOUT_NAMES, plainLook, type Theme } from '../theme/index.ts';
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
const under = (title: string, lines: readonly string[]): readonly string[] => [`== ${title}`, ...lines, ''];

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
