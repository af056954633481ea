/** Letters that join are as wide as an independent shaper says. */
import { describe, expect, test } from '@jest/globals';
import { openSync } from 'fontkit';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fontFace } from './font-faces.ts';

const WEIGHTS = [
  ['regular', 400],
  ['bold', 700],
] as const;
/** The files of a font that ships, each with the characters that it has. */
function fontsOf(name: string, weight: number) {
  const folder = join(process.cwd(), 'node_modules', name, 'files');
  return readdirSync(folder)
    .filter((file) => file.endsWith('.woff2') && (name.includes('variable') || file.includes(`-${weight}-normal`)))
    .map((file) => openSync(join(folder, file)));
}
// Where marks are placed over letters changes no advance.
const PLACED = { mark: false, mkmk: false, abvm: false, blwm: false };
/** Of words, since spaces are those of another font. */
const words = (text: string): readonly string[] => text.split(/[\s،۔।.,]+/u).filter((word) => word !== '');

const TEXTS = {
  Arabic: [
    'طاحونة المد والجزر قديمة، وهي تقع عند مصب الخليج. كان الطحان يفتح البوابات عند ارتفاع الماء ويغلقها قبل الجزر',
    'لا إله للآلات إلا الأوائل، والعُمّال يُصلحون السقف والأبواب والألواح هذا الأسبوع، وأخلاقهم عالية',
  ],
  Persian: ['آسیاب جزر و مدی در دهانهٔ خور ایستاده است. دروازه‌ها را با بالا آمدن آب باز می‌کنند و چرخ با جزر می‌گردد'],
  Urdu: ['جوار بھاٹے کی چکی پرانی ہے۔ دروازے پانی کے ساتھ کھلتے ہیں اور پہیہ گھومتا ہے'],
};
const INDIC = {
  Hindi: [
    'ज्वारीय पनचक्की खाड़ी के मुहाने पर खड़ी है। द्वार पानी के चढ़ने पर खुलते हैं और ज्वार उतरने पर चक्र घूमता है।',
    'विद्यालय के छात्र प्रत्येक सप्ताह प्रार्थना के पश्चात् वर्षा का स्तर लिखते हैं। कार्यक्रम में पन्द्रह व्यक्ति थे। हड्डी, चिट्ठी, क्षेत्र, ज्ञान, श्रम',
  ],
  Marathi: ['भरतीच्या पाण्यावर चालणारी गिरणी खाडीच्या मुखाशी उभी आहे। दरवाजे भरतीबरोबर उघडतात आणि चाक फिरते।'],
};

describe.each([
  ['@fontsource/noto-sans-arabic', TEXTS],
  ['@fontsource/noto-sans-devanagari', INDIC],
] as const)('%s', (name, texts) => {
  test.each(Object.entries(texts))('%s', (_, lines) => {
    for (const [style, weight] of WEIGHTS) {
      const fonts = fontsOf(name, weight);
      for (const line of lines) {
        let [ours, theirs] = [0, 0];
        for (const word of words(line)) {
          const font = fonts.find((one) =>
            [...word].every((sign) => /\p{Cf}/u.test(sign) || one.hasGlyphForCodePoint(sign.codePointAt(0)!)),
          )!;
          ours += fontFace('Open Sans', style).width(word);
          theirs += font.layout(word, PLACED).advanceWidth / font.unitsPerEm;
        }
        expect(Math.abs(ours / theirs - 1)).toBeLessThan(0.001);
      }
    }
  });
});

test('a word takes less than its letters alone', () => {
  const face = fontFace('Open Sans', 'regular');
  const alone = (text: string): number => [...text].reduce((sum, sign) => sum + face.width(sign), 0);
  expect(face.width('بنت')).toBeLessThan(0.7 * alone('بنت'));
  expect(face.width('बच्चा')).toBeLessThan(alone('बच्चा'));
});

test('a joiner that keeps letters apart does, and marks over letters do not', () => {
  const face = fontFace('Open Sans', 'regular');
  expect(face.width('می‌خواهم')).toBeGreaterThan(face.width('میخواهم'));
  expect(face.width('مُحَمَّد')).toBe(face.width('محمد'));
  expect(face.width('ل\u064eا')).toBe(face.width('لا'));
  expect(face.width('ـ')).toBeGreaterThan(0);
});

test('Chinese, Japanese and Korean are as wide as their fonts say', () => {
  for (const [name, text] of [
    ['@fontsource-variable/noto-sans-jp', '潮汐水車小屋は入り江の口にある。「門」は満ち潮で開く、カタカナも。'],
    ['@fontsource-variable/noto-sans-sc', '潮汐磨坊立在海湾口，水门随涨潮打开。'],
    ['@fontsource-variable/noto-sans-kr', '조력 방앗간은 만의 어귀에 서 있다'],
  ] as const) {
    const fonts = fontsOf(name, 400);
    for (const sign of text.replace(/\s/g, '')) {
      const font = fonts.find((one) => one.hasGlyphForCodePoint(sign.codePointAt(0)!))!;
      const theirs = font.layout(sign).advanceWidth / font.unitsPerEm;
      expect([sign, Math.abs(fontFace('Open Sans', 'regular').width(sign) / theirs - 1) < 0.001]).toEqual([sign, true]);
    }
  }
});
