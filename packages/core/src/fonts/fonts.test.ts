import { describe, expect, test } from '@jest/globals';
import { openSync } from 'fontkit';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { breakLines, measureText } from './break-lines.ts';
import type { FamilyName } from './families.ts';
import { fontFace } from './font-faces.ts';

const packages = join(process.cwd(), 'node_modules/@expo-google-fonts');
const FOLDERS: readonly (readonly [FamilyName, string])[] = [
  ['Source Serif 4', 'source-serif-4'],
  ['Source Sans 3', 'source-sans-3'],
  ['Fira Sans', 'fira-sans'],
  ['Open Sans', 'open-sans'],
  ['EB Garamond', 'eb-garamond'],
  ['IBM Plex Sans', 'ibm-plex-sans'],
  ['JetBrains Mono', 'jetbrains-mono'],
];
const SAMPLE =
  'The Volunteers AVOID Yew Tree; “To wheel away,” 1,198.50 – Ärger, Étude, Łódź. Вода и мельница. Το νερό. LTd. P.A. Ta Vo We y.';

test.each(FOLDERS)('%s: widths equal those of an independent shaper', (family, folder) => {
  for (const [style, weight] of [
    ['regular', '400Regular'],
    ['bold', '700Bold'],
  ] as const) {
    const path = join(packages, folder, weight);
    const font = openSync(
      join(
        path,
        readdirSync(path).find((name) => name.endsWith('.ttf'))!,
      ),
    );
    // Ligatures are off in what is drawn.
    const theirs =
      font.layout(SAMPLE, { liga: false, clig: false, calt: false, dlig: false }).advanceWidth / font.unitsPerEm;
    const ours = fontFace(family, style).width(SAMPLE);
    expect(Math.abs(ours / theirs - 1)).toBeLessThan(0.001);
  }
});

describe('line breaking', () => {
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
});
