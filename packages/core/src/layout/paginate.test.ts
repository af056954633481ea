/** Where too much text goes on: the fewest pages, and of those the one that keeps together what belongs together. */
import { describe, expect, test } from '@jest/globals';
import { plain, runsText } from '../content/index.ts';
import { frameOf, layoutNamed } from '../theme/index.ts';
import { ptFromEmu } from '../base/index.ts';
import { random, THEMES } from '../test/build.ts';
import { evenFrame } from './fit-text.ts';
import { longestWord, measurePara } from './set-text.ts';
import { paginate } from './paginate.ts';
import type { Para } from './page.ts';

const theme = THEMES[0]!;
const frame = frameOf(layoutNamed(theme, 'points'), 'body')!;
const SIZE = 20;
const point = (text: string, level = 1): Para => ({
  style: 'point',
  part: text as never,
  level: level as 1,
  runs: plain(text),
});
/** Pages as texts; a point that is said again has a star. */
const pages = (...paras: readonly Para[]): readonly (readonly string[])[] =>
  paginate(paras, frame, theme, SIZE, 500).map((page) =>
    page.map((para) => `${para.repeated === true ? '*' : ''}${runsText(para.runs)}`),
  );
const many = (n: number, level = 1, name = 'p'): readonly Para[] =>
  Array.from({ length: n }, (_, i) => point(`${name}${i}`, level));
/** How many short points of the first level one page takes. */
const ROOM = Array.from({ length: 60 }, (_, n) => n).findLast((n) => pages(...many(n)).length === 1)!;
const count = (...paras: readonly Para[]): readonly number[] => pages(...paras).map((page) => page.length);

describe('pages', () => {
  test('are as few as can be, and evenly filled', () => {
    expect(ROOM).toBeGreaterThan(5);
    expect(count(...many(ROOM))).toEqual([ROOM]);
    const [first, second, ...others] = count(...many(ROOM + 1));
    expect(others).toEqual([]);
    expect(Math.abs(first! - second!)).toBeLessThanOrEqual(1);
    expect(count(...many(3 * ROOM))).toHaveLength(3);
  });

  test('do not leave a point alone that others can join', () => {
    for (let n = ROOM + 1; n <= 2 * ROOM; n++) expect(Math.min(...count(...many(n)))).toBeGreaterThan(1);
  });

  test('do not end with a point whose own points stand on the next', () => {
    for (let before = 2; before < ROOM; before++) {
      const all = pages(...many(before), point('head'), ...many(ROOM - 2, 2, 'c'), ...many(3, 1, 'z'));
      for (const page of all) expect([before, page.at(-1)]).not.toEqual([before, 'head']);
    }
  });

  test('begin with a point of the first level where they can', () => {
    const branch = (name: string): readonly Para[] => [point(name), ...many(3, 2, name)];
    const all = pages(...['a', 'b', 'c', 'd', 'e', 'f'].flatMap(branch));
    expect(all.length).toBeGreaterThan(1);
    for (const page of all) expect(page[0]).toMatch(/^[a-f]$/);
  });

  test('that must begin below a point say it again, with those above it', () => {
    const [, second] = pages(point('head'), point('under', 2), ...many(2 * ROOM, 3, 'c'));
    expect(second!.slice(0, 2)).toEqual(['*head', '*under']);
    expect(second![2]).toMatch(/^c\d+$/);
    expect(
      pages(...many(2 * ROOM))
        .flat()
        .some((text) => text.startsWith('*')),
    ).toBe(false);
  });

  test('say nothing again that would take too much of them', () => {
    const long = 'word '.repeat(120).trim();
    const later = pages(point(long), ...many(2 * ROOM, 2, 'c')).slice(1);
    expect(later.flat().some((text) => text.startsWith('*'))).toBe(false);
  });

  test('divide a point only where it must be: behind a sentence, in two parts that are both there', () => {
    const sentence = 'The pond behind the wall holds the water of two tides. ';
    const text = sentence.repeat(60).trim();
    const all = pages(point('before'), point(text));
    expect(all.length).toBeGreaterThan(1);
    expect(all.flat().slice(1).join(' ')).toBe(text);
    for (const piece of all.flat().slice(1)) expect(piece.endsWith('.')).toBe(true);
    const short = sentence.repeat(3).trim();
    const parts = Array.from({ length: 12 }, (_, i) => ({ ...point(short), part: `t${i}` as never }));
    for (const piece of pages(...parts).flat()) expect(piece).toBe(short);
  });
});

describe('code that is too long for a page', () => {
  const codePages = (text: string): readonly string[] =>
    pages({ style: 'code', part: 'c' as never, level: 1, runs: plain(text) }).flat();
  const body = (name: string, lines: number): string =>
    [`function ${name}() {`, ...Array.from({ length: lines - 2 }, (_, i) => `  step(${i});`), '}'].join('\n');

  test('goes on at an empty line, though a page might hold more', () => {
    expect(codePages(`${body('first', 9)}\n\n${body('second', 9)}`)).toEqual([body('first', 9), body('second', 9)]);
  });

  test('leaves no page with but a few lines, and none that begins with what only closes', () => {
    const [first, second, ...others] = codePages(body('long', 17));
    expect(others).toEqual([]);
    expect(second!.split('\n').length).toBeGreaterThan(4);
    expect(second).toMatch(/^ {2}step/);
    expect(`${first}\n${second}`).toBe(body('long', 17));
  });

  test('never breaks within a line, however long it is', () => {
    const long = `  const wide = [${'"a long name of a gate", '.repeat(9)}];`;
    const all = [...Array.from({ length: 6 }, (_, i) => `  step(${i});`), long, long, ...Array(9).fill('  done();')];
    const lines = codePages(all.join('\n')).flatMap((page) => page.split('\n'));
    expect(lines).toEqual(all);
  });

  test('is all there, whatever it is made of', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const next = random(seed);
      const lines = Array.from({ length: 15 + Math.floor(next() * 40) }, () =>
        next() < 0.2
          ? ''
          : `${' '.repeat(Math.floor(next() * 5) * 2)}${next() < 0.2 ? '}' : 'x'.repeat(1 + Math.floor(next() * 30))}`,
      );
      const text = lines.join('\n');
      expect(codePages(text).join('\n').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
    }
  });
});

test('a line is evened out only as far as its longest word allows', () => {
  const cover = frameOf(layoutNamed(theme, 'cover'), 'title')!;
  const title = (text: string): Para => ({ style: 'title', part: null, level: 1, runs: plain(text) });
  for (const text of [
    'Chapitre\u00a010.\u00a0Infrastructure\u00a0réseau et au-delà',
    'Donaudampfschifffahrtsgesellschaften im Hafen',
  ])
    for (const size of cover.style.sizes) {
      const even = evenFrame(title(text), cover, theme, size);
      const words = measurePara(title(text), even, theme, size).lines.map(({ start, end }) => text.slice(start, end));
      // Whatever is not parted by a blank stands on one line, where the frame could hold it.
      if (longestWord(title(text), cover, theme) * size <= ptFromEmu(cover.width))
        expect(words.join(' ').replace(/ +/g, ' ')).toBe(text);
    }
});
