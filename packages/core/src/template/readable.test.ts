/** Whatever a template's colours are and whatever its layouts stand on, text is read. */
import { expect, test } from '@jest/globals';
import { random } from '../test/build.ts';
import { COLOR_NAMES, contrastRatio, inkOn, type ColorName, type Hex, type Palette } from '../theme/index.ts';
import { relit } from './colors.ts';
import { colorsOn } from './readable.ts';

const BRAND: Palette = {
  ...{ ground: 'FFFFFF', text: '1B2A33', panel: 'EEF3F5', muted: '40525C', link: '0055AA' },
  ...{
    accent1: '14596E',
    accent2: 'F2C14E',
    accent3: '7A9E3B',
    accent4: 'C9E4CA',
    accent5: '222222',
    accent6: 'E07A5F',
  },
};

test('on its own ground only colours of text change that would not be read; shapes keep all', () => {
  const { inks, fills, mended } = colorsOn(BRAND, ['FFFFFF']);
  expect(fills).toEqual(BRAND);
  expect(mended.inks.map(({ name }) => name).sort()).toEqual(['accent2', 'accent3', 'accent4', 'accent6']);
  for (const { name, from } of mended.inks) expect(from).toBe(name);
  expect([inks.text, inks.muted, inks.accent1]).toEqual([BRAND.text, BRAND.muted, BRAND.accent1]);
});

test('on a dark layout text is the light colour of the theme, by reference, and panels are dark', () => {
  const { inks, fills, mended } = colorsOn(BRAND, ['14596E']);
  expect(inks.text).toBe(BRAND.ground);
  expect(mended.inks[0]).toEqual({ name: 'text', from: 'ground', factor: 1, plus: 0 });
  expect(fills.panel).toBe(BRAND.text);
  expect(contrastRatio(inks.text, fills.panel)).toBeGreaterThanOrEqual(7);
});

test('a line across a place changes no colour; a half of it does', () => {
  const line = [...Array.from({ length: 15 }, () => 'FFFFFF'), ...Array.from({ length: 3 }, () => '14596E')];
  expect(colorsOn(BRAND, line).inks.text).toBe(BRAND.text);
});

test('whatever the colours are, text is read on panels and on shapes, and each change says what it is made of', () => {
  const chance = random(7);
  const hex = (): Hex =>
    Array.from({ length: 3 }, () =>
      Math.floor(chance() * 256)
        .toString(16)
        .padStart(2, '0'),
    )
      .join('')
      .toUpperCase();
  for (let round = 0; round < 200; round++) {
    const own = Object.fromEntries(COLOR_NAMES.map((name) => [name, hex()])) as unknown as Palette;
    const ground = chance() < 0.5 ? own.ground : hex();
    const { inks, fills, mended } = colorsOn(own, [ground]);
    expect(contrastRatio(inks.text, ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrastRatio(inks.text, fills.panel)).toBeGreaterThanOrEqual(4.5);
    for (const [palette, changes] of [
      [inks, mended.inks],
      [fills, mended.fills],
    ] as const)
      for (const { name, from, factor, plus } of changes)
        expect(palette[name]).toBe(factor === 1 && plus === 0 ? own[from] : relit(own[from], factor, plus));
    for (const accent of ['accent1', 'accent2', 'accent3'] as const satisfies readonly ColorName[]) {
      const ink = inkOn(fills, [accent]);
      if (ground === own.ground)
        expect(contrastRatio(ink === 'ground' ? own.ground : inks.text, fills[accent])).toBeGreaterThanOrEqual(3);
    }
  }
});
