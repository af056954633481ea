/** Drawings made of characters keep their lines, as small as that has to be. */
import { expect, test } from '@jest/globals';
import { plain } from '../content/index.ts';
import { frameIn } from '../theme/index.ts';
import { THEMES } from '../test/build.ts';
import { codePage } from './code-pages.ts';
import { drawnLines } from './drawn-code.ts';
import { paginate } from './paginate.ts';
import type { Para } from './page.ts';

const code = (text: string): Para => ({ style: 'code', part: 'c' as never, level: 1, runs: plain(text) });
const POND = [
  'The pond                                      The mill',
  '────────────────────────────────────────────  ─────────────────────────────────',
  'gates swing open with the flood               wheel',
  '        │                                              ▲',
  '        ▼                                              │',
  'gates close at high water ──────────race──────────────┼──> stones (level: high)',
  '                                                       ├──> hoist (level: high)',
  '                                                       └──> sifter (level: any)',
].join('\n');

test('a drawing is told from code by its lines and corners', () => {
  expect(drawnLines(code(POND))).toBe(8);
  expect(drawnLines(code('+-------+      +------+\n| pond  | ---> | mill |\n+-------+      +------+'))).toBe(3);
  expect(drawnLines(code('let i = 0;\ni--;\nif (a || b) c();\nreturn (x) => -x;'))).toBeUndefined();
  expect(drawnLines(code('--flag  a flag\n-f      the same'))).toBeUndefined();
  expect(drawnLines({ ...code(POND), style: 'body' })).toBeUndefined();
  expect(drawnLines(code(`${'-'.repeat(60)}\n${' '.repeat(60)}\n${'\n'.repeat(15)}|`))).toBeUndefined();
  // What would be too small to read goes on as code does.
  expect(drawnLines(code(Array(60).fill('│   │   │').join('\n')))).toBeUndefined();
});

test.each(THEMES)('$name: none of its lines is broken, nor the drawing as a whole', (theme) => {
  const options = { theme, pictures: new Map(), full: 'continue' as const };
  const frame = frameIn(theme, 'points', 'body');
  const size = frame.style.sizes.at(-1)!;
  const long = `${POND}\n\n${POND}`;
  for (const text of [POND, long]) {
    expect(paginate([code(text)], frame, theme, size)).toHaveLength(1);
    const box = codePage([code(text)], size, options)!.boxes.find(({ kind }) => kind === 'text')!;
    if (box.kind !== 'text') throw new TypeError('no text');
    const [paragraph] = box.paragraphs;
    expect(paragraph!.lines).toHaveLength(text.split('\n').length);
    expect(paragraph!.size).toBeGreaterThanOrEqual(10);
    const last = paragraph!.lines.at(-1)!;
    expect(last.baseline).toBeLessThanOrEqual(box.frame.y + box.frame.height);
  }
});
