import { describe, expect, test } from '@jest/globals';
import { random } from '../test/build.ts';
import { contrastRatio, lchOf } from './color.ts';
import { dress, plainLook } from './dress.ts';
import { COLOR_NAMES, makePalette, PAPERS, READABLE, SCHEMES, variation, VARIATIONS } from './palette.ts';
import { pictureColors } from './picture-colors.ts';
import { frameIn } from './theme.ts';

const INKS = COLOR_NAMES.filter((name) => name !== 'ground' && name !== 'panel');

test('contrast is what the standard says', () => {
  expect(contrastRatio('000000', 'FFFFFF')).toBeCloseTo(21, 10);
  expect(contrastRatio('777777', 'FFFFFF')).toBeCloseTo(4.478, 3);
  expect(contrastRatio('FFFFFF', '777777')).toBe(contrastRatio('777777', 'FFFFFF'));
  expect(contrastRatio('FF0000', '0000FF')).toBeCloseTo(2.149, 3);
  expect(contrastRatio('0A0a0A', '0a0A0a')).toBe(1);
});

test('whatever colour it is made of, every role reads on ground and panel, light and dark', () => {
  const next = random(11);
  for (let i = 0; i < 60; i++) {
    const base = Math.floor(next() * 0x1000000)
      .toString(16)
      .padStart(6, '0')
      .toUpperCase();
    const seed = { colors: [base], scheme: SCHEMES[i % SCHEMES.length]!, paper: PAPERS[i % PAPERS.length]! };
    for (const dark of [false, true]) {
      const palette = makePalette(seed, dark);
      for (const name of INKS)
        for (const ground of ['ground', 'panel'] as const)
          expect([base, name, ground, contrastRatio(palette[name], palette[ground]) >= READABLE]).toEqual([
            base,
            name,
            ground,
            true,
          ]);
      expect(contrastRatio(palette.ground, 'FFFFFF') < contrastRatio(palette.ground, '000000')).toBe(!dark);
    }
  }
});

test('a base colour that reads well stays the first accent’s hue', () => {
  const { accent1 } = makePalette({ colors: ['1F5A4A'], scheme: 'near', paper: 'white' }, false);
  expect(Math.abs(lchOf(accent1).h - lchOf('1F5A4A').h)).toBeLessThan(4);
});

test('variations differ from one another and come round to the first', () => {
  const seed = { colors: ['8C2B33'], scheme: 'near', paper: 'warm' } as const;
  const all = Array.from({ length: VARIATIONS }, (_, i) => JSON.stringify(makePalette(variation(seed, i), false)));
  expect(new Set(all).size).toBe(VARIATIONS);
  expect(variation(seed, VARIATIONS)).toEqual(variation(seed, 0));
  expect(variation(seed, -1)).toEqual(variation(seed, VARIATIONS - 1));
});

describe('colours of a picture', () => {
  const pixels = (...parts: readonly (readonly [count: number, r: number, g: number, b: number, a?: number])[]) =>
    new Uint8ClampedArray(
      parts.flatMap(([count, r, g, b, a = 255]) => Array.from({ length: count }, () => [r, g, b, a]).flat()),
    );
  test('the telling ones first; white around a logo is none of them', () => {
    const found = pictureColors(pixels([900, 255, 255, 255], [200, 20, 90, 110], [60, 240, 160, 20]));
    expect(found).toHaveLength(2);
    expect(lchOf(found[0]!).h).toBeCloseTo(lchOf('145A6E').h, -1);
  });
  test('a grey picture gives its grey, a transparent one nothing', () => {
    expect(pictureColors(pixels([100, 90, 90, 90]))).toHaveLength(1);
    expect(pictureColors(pixels([100, 200, 10, 10, 0]))).toEqual([]);
  });
  test('the same pixels give the same colours', () => {
    const next = random(5);
    const noise = new Uint8ClampedArray(Array.from({ length: 4000 }, () => Math.floor(next() * 256)));
    expect(pictureColors(noise)).toEqual(pictureColors(noise));
  });
});

describe('a look', () => {
  const look = plainLook('slipway');
  test('dressed twice is the same theme; colours do not change its layouts', () => {
    expect(dress(look)).toBe(dress({ ...look }));
    expect(dress({ ...look, dark: true }).layouts).toBe(dress(look).layouts);
    expect(dress({ ...look, dark: true }).palette).not.toEqual(dress(look).palette);
  });
  test('a palette of another theme is this one’s first, a made one stays', () => {
    expect(dress({ ...look, palette: { from: 'theme', name: 'reed' } }).palette).toEqual(dress(look).palette);
    const made = { from: 'colors', colors: ['AA3300'], scheme: 'near', paper: 'warm' } as const;
    expect(dress({ ...plainLook('pebble'), palette: made }).palette).toEqual(dress({ ...look, palette: made }).palette);
  });
  test('one rule for all titles changes every layout’s, and steps down from its size', () => {
    const theme = dress({ ...look, rules: { title: { size: 40, caps: true, align: 'center', font: 'body' } } });
    for (const name of ['points', 'table', 'steps'] as const)
      expect(frameIn(theme, name, 'title')).toMatchObject({ align: 'center', style: { caps: true, font: 'body' } });
    expect(frameIn(theme, 'points', 'title').style.sizes).toEqual([40, 37, 34, 30, 24]);
    // An opener's title keeps its own size.
    expect(frameIn(theme, 'section', 'title').style.sizes[0]).toBe(42);
  });
  test('a rule’s colour that could not be read where the title stands is not taken', () => {
    const theme = dress({ ...plainLook('headland'), rules: { title: { color: 'accent1' } } });
    expect(frameIn(theme, 'points', 'title').style.color).toBe('ground');
  });
  test('the foot is shown by kinds of slides', () => {
    const picture = { id: 'c'.repeat(64) as never, mime: 'image/png' as const, width: 200, height: 100 };
    const theme = dress({
      ...look,
      foot: {
        number: ['section'],
        footer: { text: 'Trust', on: ['content'] },
        date: { text: '', on: ['content'] },
        logo: { picture, alt: 'Mark', on: ['cover'] },
      },
    });
    const roles = (name: 'cover' | 'section' | 'points') =>
      theme.layouts.find((layout) => layout.name === name)!.frames.map(({ role }) => role);
    expect(roles('points')).toContain('footer');
    expect(roles('points')).not.toContain('number');
    expect(roles('points')).not.toContain('date');
    expect(roles('section')).toContain('number');
    expect(theme.layouts.filter(({ pictures }) => pictures !== undefined).map(({ name }) => name)).toEqual([
      'cover',
      'cover-picture',
    ]);
  });
  test('a footer stands beside the logo, but on a cover, where the logo is elsewhere', () => {
    const picture = { id: 'c'.repeat(64) as never, mime: 'image/png' as const, width: 200, height: 100 };
    const footer = { text: 'Trust', on: ['cover', 'content'] as const };
    const logo = { picture, alt: 'Mark', on: ['cover', 'content'] as const };
    const foot = { number: [], footer, date: { text: '', on: [] }, logo };
    const [alone, beside] = [dress({ ...look, foot: { ...foot, logo: null } }), dress({ ...look, foot })];
    const left = (theme: typeof alone, name: 'cover' | 'points') => frameIn(theme, name, 'footer').x;
    expect(left(beside, 'cover')).toBe(left(alone, 'cover'));
    const [mark] = beside.layouts.find(({ name }) => name === 'points')!.pictures!;
    expect(left(beside, 'points')).toBeGreaterThan(mark!.x + mark!.width);
    const end = ({ x, width }: { readonly x: number; readonly width: number }): number => x + width;
    expect(end(frameIn(beside, 'points', 'footer'))).toBeCloseTo(end(frameIn(alone, 'points', 'footer')), 0);
  });
});
