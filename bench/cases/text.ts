/** Measuring and breaking 100,000 words, and as many Japanese characters: ours, and fontkit's own layout of the same text. */
import { openSync } from 'fontkit';
import { join } from 'node:path';
import { breakLines, fontFace, measureText } from '../../packages/core/src/fonts/index.ts';
import { best, sentence, tell } from '../measure.ts';

const paragraphs = Array.from({ length: 2500 }, (_, i) => sentence(i, 40));
const [, , subject] = process.argv;

/** The commonest kana and kanji, in the one file of the font that has them all. */
function japanese() {
  const folder = join(process.cwd(), 'node_modules/@fontsource-variable/noto-sans-jp/files');
  const font = openSync(join(folder, 'noto-sans-jp-119-wght-normal.woff2'));
  const signs = font.characterSet.filter((cp) => cp > 0x3000 && cp < 0xfff0).map((cp) => String.fromCodePoint(cp));
  const texts = Array.from({ length: 1000 }, (_, i) =>
    Array.from({ length: 100 }, (__, k) =>
      k % 25 === 24 ? '。' : signs[(i * 31 + k * k * 7 + k * 13) % signs.length]!,
    ).join(''),
  );
  return { font, texts };
}

if (subject === 'japanese') {
  const { texts } = japanese();
  const face = fontFace('Source Sans 3', 'regular');
  const ms = await best(3, () => {
    for (const text of texts) breakLines(measureText([{ text, face, scale: 1 }]), 30);
  });
  tell(ms, { width: texts.reduce((sum, text) => sum + face.width(text), 0) });
} else if (subject === 'japanese-fontkit') {
  const { font, texts } = japanese();
  let width = 0;
  const ms = await best(1, () => {
    width = texts.reduce(
      (sum, text) => sum + font.layout(text, { palt: false, kern: false }).advanceWidth / font.unitsPerEm,
      0,
    );
  });
  tell(ms, { width });
} else if (subject === 'ours') {
  const face = fontFace('Source Sans 3', 'regular');
  const ms = await best(3, () => {
    for (const text of paragraphs) breakLines(measureText([{ text, face, scale: 1 }]), 30);
  });
  tell(ms, { width: paragraphs.reduce((sum, text) => sum + face.width(text), 0) });
} else {
  const font = openSync(
    join(process.cwd(), 'node_modules/@expo-google-fonts/source-sans-3/400Regular/SourceSans3_400Regular.ttf'),
  );
  let width = 0;
  const ms = await best(1, () => {
    width = paragraphs.reduce(
      (sum, text) => sum + font.layout(text, { liga: false, clig: false, calt: false }).advanceWidth / font.unitsPerEm,
      0,
    );
  });
  tell(ms, { width });
}
