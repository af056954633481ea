/** Where a receiver lacks the theme's fonts, text stays in its frame all the same: measured by an independent shaper in the fonts that stand in for them. */
import { expect, test } from '@jest/globals';
import { openSync, type Font } from 'fontkit';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { EMU_PER_POINT } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import { shippedFamily, substituteOf } from '../fonts/index.ts';
import { beginning, convert, openDocument } from '../pipeline/index.ts';
import { doc, h, li, p } from '../test/build.ts';
import { fontPairNamed, THEME_DESIGNS, type Theme } from '../theme/index.ts';
import type { Page, TextBox } from './page.ts';
import { paraSetting } from './set-text.ts';

const fonts = new Map<string, Font>();
/** The file of a family that is as wide as the named one. */
function fileOf(name: string, bold: boolean): Font {
  const family = shippedFamily(name).family.toLowerCase().replaceAll(' ', '-');
  const key = `${family} ${bold}`;
  let font = fonts.get(key);
  if (font === undefined) {
    const folder = join(process.cwd(), 'node_modules/@expo-google-fonts', family, bold ? '700Bold' : '400Regular');
    const file = readdirSync(folder).find((one) => one.endsWith('.ttf'))!;
    fonts.set(key, (font = openSync(join(folder, file))));
  }
  return font;
}

/** Lines that a text takes in a font, broken at blanks and after hyphens, first fit. @param room In em. */
function linesOf(text: string, font: Font, room: number): number {
  const wide = (piece: string): number => font.layout(piece).advanceWidth / font.unitsPerEm;
  let [lines, width] = [1, 0];
  for (const word of text.split(/(?<=[\s\-–—])/u)) {
    if (word.includes('\n')) [lines, width] = [lines + 1, 0];
    const [own, seen] = [wide(word), wide(word.trimEnd())];
    if (width > 0 && width + seen > room) [lines, width] = [lines + 1, 0];
    width += own;
  }
  return lines;
}

/** Height of a box in points where its fonts are replaced. */
function heightIn({ paras, frame, scale, spread }: TextBox, theme: Theme): number {
  return paras.reduce((sum, para, i) => {
    const set = paraSetting(para, frame, theme);
    const size = frame.style.sizes[0]! * scale * set.scale;
    const font = fileOf(substituteOf(theme.fonts[frame.style.font]), frame.style.bold || set.bold === true);
    const { ascent, descent, lineGap, unitsPerEm } = font;
    const line = ((ascent - descent + lineGap) / unitsPerEm) * frame.style.lineSpacing * size;
    const text = frame.style.caps ? runsText(para.runs).toUpperCase() : runsText(para.runs);
    const room = (frame.width / EMU_PER_POINT - set.indent) / size;
    const before = i === 0 ? 0 : set.spaceBefore * spread * line;
    return sum + before + linesOf(text, font, room) * line;
  }, 0);
}

const over = (pages: readonly Page[], theme: Theme): readonly string[] =>
  pages.flatMap(({ slide, boxes }) =>
    boxes.flatMap((box) => {
      if (box.kind !== 'text' || box.paras.some(({ style, runs }) => style === 'code' || runs.some(({ code }) => code)))
        return [];
      const [height, room] = [heightIn(box, theme), box.frame.height / EMU_PER_POINT];
      return height > room + 1
        ? [`${runsText(slide.title.runs)}: ${box.frame.role} ${Math.round(height)} > ${Math.round(room)}`]
        : [];
    }),
  );

const FULL = doc(
  h(1, 'A title that is as long as titles of reports tend to be when a committee has written them'),
  ...Array.from({ length: 9 }, (_, i) => [
    h(2, `What the committee found in the ${i + 1}th of its meetings about sluices, gates and the larger wheel`),
    ...Array.from({ length: 3 + (i % 6) }, (_, k) =>
      li(
        `Point ${k + 1}: minimum illumination will fill this millwright's hall with all its ill-fitting lattice windows`,
        1 + (k % 3),
      ),
    ),
    p('It is said at more length here, for whoever speaks of it, than anybody would want to read on a slide.'),
  ]).flat(),
);

// The others are set in fonts that stand everywhere.
const SHIPPING = THEME_DESIGNS.filter(({ fonts }) => fontPairNamed(fonts)?.source === 'ships');

test.each(SHIPPING.map(({ name }) => name))('%s', async (theme) => {
  const file = 'packages/demo/files/sallow-quay-feasibility-report.docx';
  const { document } = await openDocument(new Uint8Array(readFileSync(file)), 'docx');
  for (const one of [document, FULL]) {
    const converted = convert(one, [...beginning(one, [{ kind: 'theme', theme }]), { kind: 'theme', theme }]);
    expect(over(converted.pages, converted.theme)).toEqual([]);
  }
});
