import { expect, test } from '@jest/globals';
import { contrastRatio } from './contrast.ts';
import { LAYOUT_NAMES, SLIDE_HEIGHT, SLIDE_WIDTH } from './theme.ts';
import { THEMES } from './themes.ts';

test('there are three themes, each with its own palette and font pair', () => {
  expect(new Set(THEMES.map((theme) => theme.name)).size).toBe(3);
  expect(new Set(THEMES.map((theme) => `${theme.fonts.heading} ${theme.fonts.body}`)).size).toBe(3);
  expect(new Set(THEMES.map((theme) => theme.palette.accent1)).size).toBe(3);
});

test.each(THEMES.map((theme) => [theme.name, theme] as const))(
  '%s: all text reads well on its ground (WCAG 2.2 AA)',
  (_, theme) => {
    const { palette, levels, table, layouts } = theme;
    for (const layout of layouts)
      for (const { style } of layout.frames) {
        const large = style.sizes.at(-1)! >= 18.66;
        expect(contrastRatio(palette[style.color], palette[layout.ground])).toBeGreaterThanOrEqual(large ? 3 : 4.5);
      }
    for (const level of levels) expect(contrastRatio(palette[level.color], palette.ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrastRatio(palette.link, palette.ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrastRatio(palette[table.headText], palette[table.headColor])).toBeGreaterThanOrEqual(4.5);
  },
);

test.each(THEMES.map((theme) => [theme.name, theme] as const))(
  '%s: has every layout, and its frames stand on the slide apart from one another',
  (_, theme) => {
    expect(theme.layouts.map((layout) => layout.name)).toEqual([...LAYOUT_NAMES]);
    for (const { frames } of theme.layouts)
      for (const a of frames) {
        expect(a.x >= 0 && a.y >= 0 && a.x + a.width <= SLIDE_WIDTH && a.y + a.height <= SLIDE_HEIGHT).toBe(true);
        for (const b of frames)
          if (a !== b)
            expect(a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y).toBe(
              true,
            );
      }
  },
);
