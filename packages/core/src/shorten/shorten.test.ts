/** Shortening: the author's own sentences, chosen and trimmed. */
import { describe, expect, test } from '@jest/globals';
import { runsText, plain } from '../content/index.ts';
import { DENSITIES } from '../deck/index.ts';
import { random } from '../test/build.ts';
import { languageOf, wordsOf } from './languages.ts';
import { keyPhrases, titleFrom } from './phrases.ts';
import { splitSentences } from './sentences.ts';
import { firstSentence, keptRuns, shorten } from './shorten.ts';
import { negates, trimSentence } from './trim.ts';

const sentences = (text: string, language: Parameters<typeof splitSentences>[1] = 'en'): readonly string[] =>
  splitSentences(text, language).map((range) => text.slice(...range));

describe('sentences', () => {
  test.each([
    ['One. Two! Three? Four', ['One.', 'Two!', 'Three?', 'Four']],
    ['Dr. Varga measured 3.5 m. It was low.', ['Dr. Varga measured 3.5 m.', 'It was low.']],
    ['See Fig. 3, e.g. the sluice. It leaks.', ['See Fig. 3, e.g. the sluice.', 'It leaks.']],
    ['J. R. Holm wrote it. “It turns.” So it did.', ['J. R. Holm wrote it.', '“It turns.”', 'So it did.']],
    ['The gate (built 1811) holds. (It leaks.) We know.', ['The gate (built 1811) holds.', '(It leaks.)', 'We know.']],
    ['a.b.c is a name. the next is small', ['a.b.c is a name. the next is small']],
    ['水車は回る。潮が来る。', ['水車は回る。', '潮が来る。']],
    ['', []],
    ['   ', []],
  ])('of “%s”', (text, expected) => expect(sentences(text)).toEqual(expected));
  test('of German, where an ordinal has a full stop', () =>
    expect(sentences('Am 3. Mai kam die Flut. Sie blieb z. B. lange.', 'de')).toEqual([
      'Am 3. Mai kam die Flut.',
      'Sie blieb z. B. lange.',
    ]));
  test('lose nothing but white space, whatever the text', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const next = random(seed);
      const text = Array.from({ length: 60 }, () => 'aB. !?…)”"„(\n19é水。'.charAt(Math.floor(next() * 18))).join('');
      expect(
        sentences(text, seed % 2 ? 'en' : 'de')
          .join('')
          .replace(/\s/g, ''),
      ).toBe(text.replace(/\s/g, ''));
    }
  });
});

describe('languages', () => {
  test.each([
    ['en', 'The pond holds the water of the tide, and it is let out by the gate.'],
    ['de', 'Der Teich hält das Wasser der Flut, und es wird durch das Tor abgelassen.'],
    ['fr', 'L’étang retient l’eau de la marée, et elle est relâchée par la porte dans le canal.'],
    ['es', 'El estanque guarda el agua de la marea, y se suelta por la compuerta del canal.'],
    ['it', 'Lo stagno trattiene l’acqua della marea, che è poi lasciata uscire dalla porta del canale.'],
    ['pt', 'O tanque guarda a água da maré, que é depois solta pela comporta do canal, e não se perde.'],
    ['nl', 'De vijver houdt het water van het getij vast, en het wordt door de poort naar buiten gelaten.'],
    ['und', 'Kolam menahan air pasang, lalu dilepaskan melalui pintu.'],
  ] as const)('%s is told by its words', (language, text) => expect(languageOf(null, [text])).toBe(language));
  test('what the file says goes before the words', () => {
    expect(languageOf('de-AT', ['The pond holds the water of the tide.'])).toBe('de');
    expect(languageOf('fi', ['The pond holds the water of the tide.'])).toBe('und');
  });
});

describe('trimming', () => {
  const trim = (text: string, language: Parameters<typeof trimSentence>[2] = 'en'): string =>
    runsText(keptRuns(plain(text), trimSentence(text, [0, text.length], language), undefined));
  test.each([
    ['However, the gate leaks (as gates do) at the sill.', 'The gate leaks at the sill.'],
    ['It should be noted that the gate leaks.', 'The gate leaks.'],
    ['The gate (not the wheel) leaks.', 'The gate (not the wheel) leaks.'],
    ['The gate (built 1811) leaks.', 'The gate (built 1811) leaks.'],
    ['The gate (see Holm) leaks.', 'The gate (see Holm) leaks.'],
    ['Today the gate leaks.', 'Today the gate leaks.'],
  ])('“%s” becomes “%s”', (text, expected) => expect(trim(text)).toBe(expected));
  test('knows other languages', () => {
    expect(trim('Außerdem, das Tor ist undicht (wie immer).', 'de')).toBe('Das Tor ist undicht.');
    expect(trim('Par exemple, la porte fuit.', 'fr')).toBe('La porte fuit.');
  });
});

const REPORT = [
  'The pond holds eleven thousand cubic metres of water. The level was measured in 1811 and checked in March. Some of the marks are worn.',
  'The sluice gate lets the water of the pond out through the wheel pit. However, the north gate does not open. A diver looked at it.',
  'Volunteers met on a Tuesday. They had tea. The water in the pond was high that day.',
];
const chosen = (texts: readonly string[], density: (typeof DENSITIES)[number]): readonly string[] =>
  shorten(texts, density, 'en').flatMap((kept, i) =>
    kept.map((ranges) => runsText(keptRuns(plain(texts[i]!), ranges, density))),
  );

describe('choosing', () => {
  test('takes the sentences that carry most, in their order', () => {
    const half = chosen(REPORT, 'half').join(' ');
    expect(half).toMatch(/eleven thousand.*sluice gate/);
    expect(half).not.toMatch(/They had tea/);
  });
  test('takes more the denser it is, within its share of the words', () => {
    const count = (density: (typeof DENSITIES)[number]): number => wordsOf(chosen(REPORT, density).join(' ')).length;
    const all = wordsOf(REPORT.join(' ')).length;
    expect(count('most')).toBeGreaterThan(count('half'));
    expect(count('half')).toBeGreaterThan(count('third'));
    expect(count('most')).toBeLessThanOrEqual(Math.ceil(all * 0.7));
    expect(count('third')).toBeLessThanOrEqual(Math.ceil(all * 0.33));
  });
  test('one sentence of each paragraph, at that density', () => {
    expect(shorten(REPORT, 'sentence', 'en').map((kept) => kept.length)).toEqual([1, 1, 1]);
  });
  test('key words keep numbers, and a sentence that denies something keeps all of its words', () => {
    const text = ['The pond has held 11,000 cubic metres since the year 1811.'];
    expect(chosen(text, 'words')[0]).toMatch(/11,000 cubic metres.*·.*1811/);
    expect(chosen(['The gate does not open.'], 'words')).toEqual(['The gate does not open.']);
  });
  test('never invents a word, and never turns a sentence round, whatever the text', () => {
    const pool = 'tide gate not water (worn) 1811, however. The pond’s 3.5 Holm stone; never and of it'.split(' ');
    for (let seed = 1; seed <= 120; seed++) {
      const next = random(seed);
      const texts = Array.from({ length: 4 }, () =>
        Array.from({ length: 30 }, () => pool[Math.floor(next() * pool.length)]!).join(' '),
      );
      const density = DENSITIES[seed % DENSITIES.length]!;
      shorten(texts, density, 'en').forEach((kept, i) => {
        let at = -1;
        for (const ranges of kept)
          for (const [from, to] of ranges) {
            expect(from).toBeGreaterThanOrEqual(at);
            expect(to).toBeGreaterThan(from);
            at = to;
          }
        for (const [from, to] of splitSentences(texts[i]!, 'en')) {
          const ranges = kept.find((some) => some[0]![0] >= from && some[0]![0] < to);
          const shown = ranges?.map((range) => texts[i]!.slice(...range)).join(' ');
          if (shown !== undefined && negates(texts[i]!.slice(from, to), 'en')) expect(negates(shown, 'en')).toBe(true);
          if (shown !== undefined)
            expect(shown.match(/\d+/g) ?? []).toEqual(texts[i]!.slice(from, to).match(/\d+/g) ?? []);
        }
      });
    }
  });
  test('is the same every time', () => expect(chosen(REPORT, 'half')).toEqual(chosen(REPORT, 'half')));
});

test('a paragraph is its first sentence and the rest', () => {
  const text = 'One. Two. Three.';
  expect(firstSentence(text, 'en')).toEqual({ first: [0, 4], rest: [5, 16] });
  expect(firstSentence('One', 'en')).toEqual({ first: [0, 3], rest: null });
});

test('key phrases stand in the order of the text', () => {
  const text = 'The north gate of the old tide mill leaks at the sill.';
  expect(keyPhrases(text, [0, text.length], 'en', 2).map((phrase) => phrase.text)).toEqual([
    'north gate',
    'old tide mill leaks',
  ]);
});

test('titles are suggested from what is said most', () =>
  expect(titleFrom(['The sluice gate leaks', 'Mend the sluice gate', 'A new sluice gate costs more'], 'en')[0]).toMatch(
    /sluice gate/i,
  ));
