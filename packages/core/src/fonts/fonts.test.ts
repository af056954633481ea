import { describe, expect, test } from '@jest/globals';
import { openSync } from 'fontkit';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { breakLines, measureText } from './break-lines.ts';
import { FAMILIES, shippedFamily } from './families.ts';
import { fontFace } from './font-faces.ts';

const packages = join(process.cwd(), 'node_modules/@expo-google-fonts');
/** A script each: fonts kern signs between letters of one otherwise than between those of another. */
const SAMPLES = [
  'The Volunteers AVOID Yew Tree; “To wheel away,” 1,198.50 – Ärger, Étude, Łódź. LTd. P.A. Ta Vo We y. "Tide", 10–12, 7/4 ‘A’ #S (J)',
  'Вода и мельница, «Туда». Где? Уголь: “Жду”.',
  'Το νερό. Τάφος, «Αύρα» – “Ύλη”.',
];

test.each(FAMILIES)('%s: widths equal those of an independent shaper', (family) => {
  for (const [style, weight] of [
    ['regular', '400Regular'],
    ['bold', '700Bold'],
  ] as const) {
    const path = join(packages, family.toLowerCase().replaceAll(' ', '-'), weight);
    const font = openSync(
      join(
        path,
        readdirSync(path).find((name) => name.endsWith('.ttf'))!,
      ),
    );
    for (const sample of SAMPLES) {
      if (![...sample].every((sign) => font.hasGlyphForCodePoint(sign.codePointAt(0)!))) continue;
      // Ligatures are off in what is drawn.
      const theirs =
        font.layout(sample, { liga: false, clig: false, calt: false, dlig: false }).advanceWidth / font.unitsPerEm;
      const ours = fontFace(family, style).width(sample);
      expect([sample, Math.abs(ours / theirs - 1) < 0.0001]).toEqual([sample, true]);
    }
  }
});

describe('widths and line breaking', () => {
  const face = fontFace('Source Sans 3', 'regular');
  const lines = (text: string, limit: number): readonly string[] =>
    breakLines(measureText([{ text, face, scale: 1 }]), limit).map((line) => text.slice(line.start, line.end));

  test('breaks where words end, and gives every word once', () => {
    const broken = lines('The pond holds roughly eleven thousand cubic metres', 10);
    expect(broken.length).toBeGreaterThan(2);
    expect(broken.join(' ')).toBe('The pond holds roughly eleven thousand cubic metres');
    for (const line of broken) expect(face.width(line)).toBeLessThanOrEqual(10);
  });

  test('keeps a line break of the author', () => expect(lines('one\ntwo', 100)).toEqual(['one', 'two']));
  test('does not break at a no-break space, and breaks after a hyphen', () => {
    expect(lines('aaaa bbbb\u00a0cccc', 6)).toEqual(
      ['aaaa', 'bbbb\u00a0cccc'].flatMap((line) => (face.width(line) <= 6 ? [line] : lines(line, 6))),
    );
    expect(lines('well-known', 3.2)[0]).toBe('well-');
  });
  test('breaks between Han characters', () => expect(lines('水車小屋水車小屋', 4)).toEqual(['水車小屋', '水車小屋']));
  test('breaks a word that is wider than the line between characters, never in a surrogate pair', () => {
    const broken = lines(`${'x'.repeat(40)}${'🌊'.repeat(10)}`, 5);
    expect(broken.join('')).toBe(`${'x'.repeat(40)}${'🌊'.repeat(10)}`);
    for (const line of broken) expect(line).not.toMatch(/\p{Surrogate}/u);
  });
  test('counts sizes of spans', () => {
    const [line] = breakLines(
      measureText([
        { text: 'ab', face, scale: 1 },
        { text: 'ab', face, scale: 0.5 },
      ]),
      100,
    );
    expect(line!.width).toBeCloseTo(face.width('ab') * 1.5, 5);
  });

  test('what is just as wide as the line stands on it, whole', () => {
    const measured = (text: string) => breakLines(measureText([{ text, face, scale: 1 }]), 1000)[0]!.width;
    expect(lines('millwheel', measured('millwheel'))).toEqual(['millwheel']);
    expect(lines('mill wheel', measured('mill wheel'))).toEqual(['mill wheel']);
    expect(lines('mill wheel', measured('mill wheel') - 0.001)).toEqual(['mill', 'wheel']);
    // A line narrower than any character still takes one.
    expect(lines('abc', 0.01)).toEqual(['a', 'b', 'c']);
  });

  test('pieces of a divided word are as wide as they are, and what follows goes on behind the last', () => {
    const text = `${'w'.repeat(9)} ab`;
    const limit = face.width('wwww') + 0.01;
    const broken = breakLines(measureText([{ text, face, scale: 1 }]), limit);
    expect(broken.map(({ start, end }) => text.slice(start, end))).toEqual(['wwww', 'wwww', 'w ab']);
    for (const { start, end, width } of broken) expect(width).toBeCloseTo(face.width(text.slice(start, end)), 5);
  });

  test('a character that a face lacks is as wide as others of its kind; marks take no room', () => {
    expect(face.has(0x41)).toBe(true);
    expect(face.has(0x10ffff)).toBe(false);
    expect(face.advance(0x16a0)).toBe(0.6);
    expect(face.advance(0x1f9ff)).toBeGreaterThanOrEqual(1);
    expect(face.advance(0x200d)).toBe(0);
    expect(face.width('')).toBe(0);
    expect(face.width('A\u{1f30a}A')).toBeCloseTo(2 * face.advance(0x41) + face.advance(0x1f30a), 5);
  });

  test('a line is as high as the face says, and its letters stand within it', () => {
    for (const family of FAMILIES) {
      const { ascent, lineHeight } = fontFace(family, 'regular');
      expect([family, ascent > 0.7 && ascent < lineHeight, lineHeight > 1 && lineHeight < 1.8]).toEqual([
        family,
        true,
        true,
      ]);
    }
  });
});

test.each([
  ['Lora', 'Lora', 'itself'],
  ['Calibri', 'Carlito', 'as-wide'],
  ['Quay Mono', 'JetBrains Mono', 'near'],
  ['Quay Serif', 'Tinos', 'near'],
  ['Quay Sans Serif', 'Arimo', 'near'],
  ['Quay', 'Arimo', 'near'],
])('%s is measured by %s', (name, family, stands) => expect(shippedFamily(name)).toEqual({ family, stands }));
