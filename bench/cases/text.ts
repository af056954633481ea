/** Measuring and breaking 100,000 words: ours, and fontkit's own layout of the same text. */
import { openSync } from 'fontkit';
import { join } from 'node:path';
import { breakLines, fontFace, measureText } from '../../packages/core/src/fonts/index.ts';
import { best, sentence, tell } from '../measure.ts';

const paragraphs = Array.from({ length: 2500 }, (_, i) => sentence(i, 40));
const [, , subject] = process.argv;

if (subject === 'ours') {
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
