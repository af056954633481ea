/** Every shipped theme as it is worn: palettes, sizes of type, and where each layout has its places, in points. */
import { expect, test } from '@jest/globals';
import { join } from 'node:path';
import { ptFromEmu } from '../base/index.ts';
import { THEMES } from '../test/build.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import {
  contrastRatio,
  dress,
  paletteFor,
  READABLE,
  type Frame,
  type Rect,
  type TextStyle,
  type Theme,
} from './index.ts';

const tenths = (value: number): number => Math.round(value * 10) / 10;
const at = ({ x, y, width, height }: Rect): string =>
  [x, y, width, height].map((side) => tenths(ptFromEmu(side))).join(' ');
const rounded = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) => (typeof one === 'number' ? Math.round(one * 1000) / 1000 : one));
const type = ({ font, bold, color, sizes, lineSpacing, ...rest }: TextStyle): string =>
  `${font}${bold ? ' bold' : ''} ${color} ${sizes.join('/')} × ${lineSpacing}${others(rest)}`;
const others = (rest: object): string => (Object.keys(rest).length === 0 ? '' : ` ${rounded(rest)}`);
const frame = ({ role, anchor, align, style, x, y, width, height, ...rest }: Frame): string =>
  `  ${role} ${anchor} ${align} at ${at({ x, y, width, height })} ${type(style)}${others(rest)}`;

const lines = ({ layouts, palette, fonts, table, size, ...theme }: Theme): readonly string[] => [
  `${theme.label}, ${at({ x: 0, y: 0, ...size } as Rect)}, ${rounded(fonts)}`,
  rounded(palette),
  rounded(table),
  ...layouts.flatMap(({ name, frames, marks, ground, ...rest }) => [
    `layout ${name} on ${ground} ${rounded(rest)}`,
    ...frames.map(frame),
    ...marks.map(
      (mark) =>
        `  mark ${at(mark)} ${rounded({ ...mark, x: undefined, y: undefined, width: undefined, height: undefined })}`,
    ),
  ]),
];

test.each(THEMES.map((theme) => [theme.name, theme] as const))('%s', (name, theme) => {
  const look = theme.look!;
  const mirrored = dress({ ...look, mirrored: true });
  const dark = [true, false].map((is) => paletteFor(look, { palette: null, dark: is }));
  holdTo(join(GOLDEN, 'theme', `${name}.txt`), [
    ...under('as it is', lines(theme)),
    ...under(
      'from the right',
      lines(mirrored).filter((line) => /^\s+(?:title|body|mark)/.test(line)),
    ),
    ...under('dark and light', dark.map(rounded)),
  ]);
  for (const one of [theme.palette, ...dark])
    expect(contrastRatio(one.text, one.ground)).toBeGreaterThanOrEqual(READABLE);
});
