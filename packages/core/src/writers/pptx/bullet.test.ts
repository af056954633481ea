/** Numbers of lists, from the document to the written slide. */
import { expect, test } from '@jest/globals';
import { fontFace } from '../../fonts/index.ts';
import { convert } from '../../pipeline/index.ts';
import { paraSetting, type Para, type TextBox } from '../../scene/index.ts';
import { doc, h, li, THEMES } from '../../test/build.ts';
import { bulletsOf } from './bullet.ts';

const item = (text: string, value: number | undefined, level = 1): Para => ({
  part: null,
  style: 'point',
  level,
  runs: [],
  mark: { text, ...(value === undefined ? {} : { value }) },
});
const said = (...paras: readonly Para[]): readonly string[] =>
  bulletsOf(paras).map((bullet) =>
    bullet === undefined
      ? ''
      : bullet.text || (/type="(\w+)"(?: startAt="(\d+)")?/.exec(bullet.xml)?.slice(1).join(' ').trim() ?? bullet.xml),
  );

test('what a receiver counts by itself is counted by it, anything else is written out', () => {
  expect(said(item('1.', 1), item('2.', 2), item('3.', 3))).toEqual(['arabicPeriod', 'arabicPeriod', 'arabicPeriod']);
  expect(said(item('4)', 4), item('5)', 5))).toEqual(['arabicParenR 4', 'arabicParenR 4']);
  expect(said(item('(a)', 1), item('(b)', 2))).toEqual(['alphaLcParenBoth', 'alphaLcParenBoth']);
  expect(said(item('๓.', 3), item('(२)', 2), item('२)', 2), item('三、', 3))).toEqual([
    'thaiNumPeriod 3',
    '(२)\t',
    'hindiNumParenR 2',
    '三、\t',
  ]);
  // The same letter is a number of two kinds; which one is told by what it counts.
  expect(said(item('i.', 1), item('ii.', 2), item('i.', 9))).toEqual([
    'romanLcPeriod',
    'romanLcPeriod',
    'alphaLcPeriod 9',
  ]);
  expect(said(item('3.1', 1), item('§ 2', 2), item('0.', 0))).toEqual(['3.1\t', '§ 2\t', '0.\t']);
  expect(said(item('☐', undefined))).toEqual(['<a:buChar char="☐"/>']);
});

test('a level within another does not break its count; a bullet between does, and a list that begins anew is not counted on', () => {
  const bullet: Para = { part: null, style: 'point', level: 1, runs: [] };
  expect(said(item('1.', 1), item('a.', 1, 2), item('b.', 2, 2), item('2.', 2), item('a.', 1, 2))).toEqual([
    'arabicPeriod',
    'alphaLcPeriod',
    'alphaLcPeriod',
    'arabicPeriod',
    'alphaLcPeriod',
  ]);
  expect(said(item('1.', 1), bullet, item('2.', 2))).toEqual(['arabicPeriod', '', 'arabicPeriod 2']);
  expect(said(item('1.', 1), item('2.', 2), item('1.', 1))).toEqual(['arabicPeriod', 'arabicPeriod', '1.\t']);
  expect(said(item('7.', 7), item('', undefined), item('8.', 8))).toEqual([
    'arabicPeriod 7',
    '<a:buNone/>',
    'arabicPeriod 7',
  ]);
});

test('numbers stay with their points over several pages, and have room before them in every theme', () => {
  const labels = Array.from({ length: 30 }, (_, i) => i + 95);
  const rows = labels.map((n) => li(`Item that stands at place ${n} and has words enough to fill a line`, 1, n));
  const document = doc(h(1, 'Title'), h(2, 'Steps'), ...rows);
  const plainly = convert(document, []).deck.slides.at(-1)!.id;
  for (const { name } of THEMES) {
    const { pages, theme } = convert(document, [
      { kind: 'theme', theme: name },
      { kind: 'layout', slides: [plainly], layout: 'points' },
    ]);
    const boxes = pages.flatMap(({ boxes }) => boxes.filter((box): box is TextBox => box.kind === 'text'));
    const items = boxes.flatMap((box) => box.paras.map((para) => ({ box, para }))).filter(({ para }) => para.mark);
    expect(pages.length).toBeGreaterThan(3);
    expect(items.map(({ para }) => para.mark?.text)).toEqual(labels.map((number) => `${number}.`));
    for (const { box, para } of items) {
      const { hanging, scale } = paraSetting(para, box.frame, theme);
      const size = box.frame.style.sizes[0]! * box.scale * scale;
      expect(fontFace(theme.fonts[box.frame.style.font], 'regular').width('124.') * size).toBeLessThan(hanging);
    }
  }
});
