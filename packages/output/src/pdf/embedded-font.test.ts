/** Text that is set by our own measures is set as the layout engine sets it. */
import { describe, expect, test } from '@jest/globals';
import PDFDocument from 'pdfkit';
import { fontFace, FAMILIES } from '@alvex/core';
import { otherFaces, wholeFace } from '@alvex/font-files';
import { DocumentFont, widthOf } from './embedded-font.ts';

const STYLES = ['regular', 'bold', 'italic', 'boldItalic'] as const;
/** Pairs that are kerned, letters that join where a font has signs for them, and accents. */
const WORDS = (
  'AVATAR Tower, Yorkshire “Quay” office affluent fjord T.V. L’Île 10–12 £4,700 (Wharf) naïve Škoda Łódź ' +
  'Ťěžký ijzer Ωμέγα Τύπος Ёжик Українa 50% «là» f’f fi ffi "To" #S 7/4'
).split(' ');

test.each(FAMILIES.flatMap((family) => STYLES.map((style) => [family, style] as const)))(
  '%s %s',
  async (family, style) => {
    const file = await wholeFace(family, style);
    const font = new DocumentFont(new PDFDocument({ autoFirstPage: false }), file, fontFace(family, style));
    const set = WORDS.filter((word) => [...word].every((sign) => file.has(sign.codePointAt(0)!)));
    expect(set.length).toBeGreaterThan(20);
    for (const word of set) {
      const glyphs = font.plain(word)!;
      const [numbers, places] = font.laidOut(word, false);
      expect([word, glyphs[0]]).toEqual([word, numbers]);
      const far = glyphs[1].filter(({ xAdvance }, i) => Math.abs(xAdvance - places[i]!.xAdvance) > 0.5);
      expect([word, far]).toEqual([word, []]);
    }
  },
);

describe('what is not plain goes to the layout engine', () => {
  test.each(['e\u0301', 'co\u00adop', '1\u20442', 'מים', 'नदी', '水車', '🌊', 'a\u200db'])('%j', async (text) => {
    const file = await wholeFace('Source Sans 3', 'regular');
    const doc = new PDFDocument({ autoFirstPage: false });
    expect(new DocumentFont(doc, file, fontFace('Source Sans 3', 'regular')).plain(text)).toBeUndefined();
  });

  test('a font without measures of ours, and a character that a font lacks', async () => {
    const doc = new PDFDocument({ autoFirstPage: false });
    const [other] = await otherFaces('ابا', false, null);
    expect(new DocumentFont(doc, other!).plain(' ')).toBeUndefined();
    const lora = new DocumentFont(doc, await wholeFace('Lora', 'regular'), fontFace('Lora', 'regular'));
    expect(lora.plain('Ω ᾳ')).toBeUndefined();
    expect(lora.plain('Tide')).toBeDefined();
  });
});

test('a width is that of its glyphs with what is between them', async () => {
  const family = 'Source Serif 4';
  const doc = new PDFDocument({ autoFirstPage: false });
  const font = new DocumentFont(doc, await wholeFace(family, 'bold'), fontFace(family, 'bold'));
  const text = 'To Avon, with Tides';
  expect(widthOf(font.plain(text)!, 20)).toBeCloseTo(fontFace(family, 'bold').width(text) * 20, 5);
});
