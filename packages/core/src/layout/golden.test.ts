/** Where everything stands, in every layout and where layout decides by itself: the golden files say it in points, and people read them. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { FULL_RULES, type Slide } from '../deck/index.ts';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { code, doc, h, li, p, picture, quote, table, THEMES, type Draft } from '../test/build.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import { shortPage } from '../test/short-page.ts';
import { slideFor, STRESS, STRESS_PICTURES as pictures } from '../test/stress-slides.ts';
import { dress, LAYOUT_NAMES, type Theme } from '../theme/index.ts';
import { chooseLayouts, layoutChoices, layOutSlide } from './index.ts';

const theme = (name: string): Theme => THEMES.find((one) => one.name === name)!;
const WORN: Readonly<Record<string, Theme>> = {
  plainsong: theme('plainsong'),
  foreshore: theme('foreshore'),
  mirrored: dress({ ...theme('pebble').look!, mirrored: true }),
};
const TEXTS = ['eight points', 'two sides', 'a list and text', 'one line', 'numbers of a list', 'a long title'];

const file = (name: string): string => join(GOLDEN, 'layout', `${name}.txt`);

test.each(Object.keys(WORN))('every layout in %s', (name) => {
  holdTo(
    file(name),
    LAYOUT_NAMES.flatMap((layout) =>
      TEXTS.flatMap((text) => {
        const slide = slideFor(layout, STRESS[text]!);
        // One that does not take the text is laid out as usual, which is told below.
        const pages = layOutSlide(slide, { theme: WORN[name]!, pictures, full: 'continue' });
        return pages[0]!.layout === layout ? under(`${layout}, ${text}`, pages.flatMap(shortPage)) : [];
      }),
    ),
  );
});

const items = (count: number, text = 'A point of ordinary length, as people write them'): readonly Draft[] =>
  Array.from({ length: count }, (_, i) => li(`${text} ${i + 1}`));
const wide = (rows: number, columns: number): readonly (readonly string[])[] =>
  Array.from({ length: rows }, (_, r) =>
    Array.from({ length: columns }, (__, c) =>
      r === 0 ? `Column ${c}` : c === 0 ? `Row ${r} of the gates` : `${r * c}.${c}`,
    ),
  );

/** Slides that layout decides about: by fitting, by continuing, by what stands beside what. */
const DECIDED: Readonly<Record<string, readonly Draft[]>> = {
  'nothing but a title': [h(1, 'Alone')],
  'points that fit': [h(1, 'Fits'), ...items(5)],
  'type steps down': [
    h(1, 'Tight'),
    ...items(11, 'A longer point, of which there are a few more than usual on one slide, number'),
  ],
  'two columns': [h(1, 'Columns'), ...items(16, 'Short')],
  'goes on': [
    h(1, 'Goes on'),
    ...items(30),
    li('A point above', 1),
    ...items(12).map((one) => ({ ...one, depth: 2 }) as Draft),
  ],
  'one paragraph too long': [h(1, 'Long'), p('It is told in one breath, and goes on. '.repeat(60))],
  'text and points': [h(1, 'Both'), p('What stands before the points is read.'), ...items(3), p('And after them.')],
  quotation: [h(1, 'Said'), quote('The water waits for nobody.'), p('— The last miller')],
  'short code': [h(1, 'Code'), code('let gate = open();\nwait(gate);\nclose(gate);')],
  'long code': [h(1, 'Code'), code(Array.from({ length: 40 }, (_, i) => `line ${i}: ${'x'.repeat(i)}`).join('\n'))],
  'code among points': [h(1, 'Code'), li('Before'), code('open\nclose'), li('After')],
  'small table': [h(1, 'Table'), table(wide(4, 3))],
  'long table': [h(1, 'Table'), table(wide(40, 4))],
  'wide table': [h(1, 'Table'), table(wide(3, 14))],
  'table and points': [h(1, 'Table'), ...items(3), table(wide(4, 3))],
  'table of text': [
    h(1, 'Table'),
    table([
      ['What', 'Why'],
      ['Oak', 'It stands in water for a hundred years where it is never dry, and it is at hand. '.repeat(3)],
      ['Elm', 'For what is always wet.'],
    ]),
  ],
  'picture and points': [h(1, 'Picture'), ...items(4), picture('a', 'A pond')],
  'tall picture': [h(1, 'Picture'), ...items(2), picture('tall', 'A post')],
  'small picture': [h(1, 'Picture'), picture('small', 'A nail')],
  'three pictures': [h(1, 'Pictures'), picture('a', 'One'), picture('tall', 'Two'), picture('a', 'Three')],
  'picture with caption': [
    h(1, 'Picture'),
    picture('a', 'A pond'),
    { ...p('The pond at low water'), role: 'caption' } as Draft,
  ],
  'from right to left': [
    h(1, 'طاحونة المد'),
    li('تفتح البوابة'),
    li('يدور الدولاب', 2),
    li('Oak and elm'),
    table([
      ['الاسم', 'العدد'],
      ['بوابة', '12'],
    ]),
  ],
  'counted points': [h(1, 'Order'), li('First', 1, 1), li('Then', 1, 2), li('Within', 2, 1), li('At last', 1, 100)],
  'a very long title': [
    h(1, 'What the trustees ought to know of the state of the gates before they vote on it in May, told at length'),
    ...items(3),
  ],
};
const seen: typeof pictures = new Map([
  ...pictures,
  ['tall' as never, { id: 'tall' as never, mime: 'image/png' as const, width: 300, height: 900 }],
  ['small' as never, { id: 'small' as never, mime: 'image/png' as const, width: 40, height: 30 }],
]);
const slidesOf = (drafts: readonly Draft[]): readonly Slide[] => {
  const document = doc(...drafts);
  return mapDocument(document, presetMap('reading', document)).slides;
};

test.each(['plainsong', 'foreshore'])('what layout decides by itself in %s', (name) => {
  holdTo(
    file(`decided-${name}`),
    Object.entries(DECIDED).flatMap(([title, drafts]) =>
      FULL_RULES.flatMap((full) => {
        const pages = slidesOf(drafts).flatMap((slide) =>
          layOutSlide(slide, { theme: theme(name), pictures: seen, full }),
        );
        const lines = pages.flatMap(shortPage);
        // Only where the rule makes a difference to the slide that goes on.
        return full === 'continue' || /goes on|too long/.test(title) ? under(`${title}, ${full}`, lines) : [];
      }),
    ),
  );
});

test('which layouts suit, and what a deck chooses of them', () => {
  const options = { theme: theme('plainsong'), pictures: seen, full: 'continue' as const, language: 'en' };
  const said: Readonly<Record<string, readonly Draft[]>> = {
    ...DECIDED,
    steps: [h(1, 'Steps'), li('First open the gate'), li('Then wait for the ebb'), li('Finally close it')],
    years: [h(1, 'How it came about'), li('1786: built'), li('1911: last ground'), li('2019: mended')],
    sides: [h(1, 'Oak or steel'), li('Oak'), li('Warm', 2), li('Steel'), li('Cold', 2)],
    number: [h(1, 'Flour'), li('62 % of all flour is ground by the tide')],
    thanks: [h(1, 'Thank you'), li('Questions?')],
    numbers: [
      h(1, 'Tides'),
      table([
        ['Year', 'Tides'],
        ['2021', '310'],
        ['2022', '402'],
        ['2023', '515'],
      ]),
    ],
    four: [h(1, 'Parts'), li('Gate'), li('Pond'), li('Wheel'), li('Stone')],
  };
  const slides = Object.values(said).flatMap(slidesOf);
  const judge = (slide: Slide): number => (slide.arranged === 'timeline' ? 1 : 0);
  holdTo(file('choices'), [
    ...Object.entries(said).flatMap(([title, drafts]) =>
      under(
        title,
        slidesOf(drafts).flatMap((slide) =>
          layoutChoices(slide, options).map(
            ({ layout, worth, reason, pages, usual }) =>
              `${layout} ${worth.toFixed(4)} ${reason}, ${pages}${usual ? ', usual' : ''}`,
          ),
        ),
      ),
    ),
    ...under(
      'chosen',
      chooseLayouts(slides, options).map(([, layout]) => layout),
    ),
    ...under(
      'chosen by a judge',
      chooseLayouts(slides, options, judge).map(
        ([id, layout]) => `${slides.findIndex((slide) => slide.id === id)} ${layout}`,
      ),
    ),
  ]);
});
