import { expect, test } from '@jest/globals';
import { contrastRatio } from './color.ts';
import { THEME_DESIGNS } from './designs/index.ts';
import { dress, plainLook } from './dress.ts';
import { fontPairNamed } from './font-pairs.ts';
import { READABLE } from './palette.ts';
import { LAYOUT_NAMES, SLIDE_HEIGHT, SLIDE_WIDTH, type Frame, type Layout } from './theme.ts';
import { contains, overlaps } from './rect.ts';

const each = THEME_DESIGNS.map((design) => [design.name, design] as const);

test('there are at least twelve themes, each with its own grid, fonts and palettes', () => {
  expect(THEME_DESIGNS.length).toBeGreaterThanOrEqual(12);
  expect(new Set(THEME_DESIGNS.map(({ name }) => name)).size).toBe(THEME_DESIGNS.length);
  expect(new Set(THEME_DESIGNS.map(({ layout }) => JSON.stringify([layout.title, layout.content]))).size).toBe(
    THEME_DESIGNS.length,
  );
  for (const { fonts, palettes } of THEME_DESIGNS) {
    expect(fontPairNamed(fonts)).toBeDefined();
    expect(new Set(palettes.map(({ name }) => name)).size).toBeGreaterThanOrEqual(4);
  }
});

/** Colours that may stand behind a frame: the ground, and filled marks that it touches. */
const behind = (layout: Layout, frame: Frame) => {
  const covering = layout.marks.filter((mark) => mark.outline === undefined && overlaps(mark, frame));
  const whole = covering.filter((mark) => contains(mark, frame));
  return whole.length > 0 ? whole.map(({ color }) => color) : [layout.ground, ...covering.map(({ color }) => color)];
};

test.each(each)('%s: all text reads well in every palette, light and dark (WCAG 2.2 AA)', (_, design) => {
  for (const { name } of design.palettes)
    for (const dark of [false, true]) {
      const theme = dress({ ...plainLook(design.name), palette: { from: 'theme', name }, dark });
      const { palette, levels, table } = theme;
      const faults: string[] = [];
      const check = (color: keyof typeof palette, ground: keyof typeof palette, what: string): void => {
        const ratio = contrastRatio(palette[color], palette[ground]);
        if (ratio < READABLE)
          faults.push(`${name} ${dark ? 'dark' : 'light'} ${what}: ${color} on ${ground} ${ratio.toFixed(2)}`);
      };
      for (const layout of theme.layouts)
        for (const frame of layout.frames.filter(({ role }) => !role.startsWith('picture')))
          for (const ground of behind(layout, frame)) check(frame.style.color, ground, `${layout.name} ${frame.role}`);
      for (const level of levels) check(level.color, 'ground', 'level');
      for (let i = 1; i <= 6; i++) check('ground', `accent${i}` as 'accent1', 'text on an accent');
      check('link', 'ground', 'link');
      check(table.headText, table.headColor, 'table head');
      expect(faults).toEqual([]);
    }
});

test.each(each)('%s: has every layout, and its frames stand on the slide apart from one another', (_, design) => {
  const theme = dress(plainLook(design.name));
  expect(theme.layouts.map((layout) => layout.name)).toEqual([...LAYOUT_NAMES]);
  for (const { name, frames } of theme.layouts)
    for (const a of frames) {
      const inside = a.x >= 0 && a.y >= 0 && a.x + a.width <= SLIDE_WIDTH && a.y + a.height <= SLIDE_HEIGHT;
      expect([name, a.role, inside]).toEqual([name, a.role, true]);
      for (const b of frames)
        if (a !== b) expect([name, a.role, b.role, overlaps(a, b)]).toEqual([name, a.role, b.role, false]);
    }
});
