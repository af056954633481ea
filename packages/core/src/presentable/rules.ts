/**
 * What keeps a slide from being shown as it is, one rule a function. Sizes are those of a slide 13.33 inches wide; a page of
 * another width is measured as if it were as wide.
 */
import { emuFromPt, getOrMake, ptFromEmu, remembered } from '../base/index.ts';
import { isPhotograph, runsText, type Picture, type PictureId, type Runs } from '../content/index.ts';
import { fontFace } from '../fonts/index.ts';
import {
  endsAlone,
  longestWord,
  measurePara,
  MOST_CODE,
  mostTitleLines,
  paraSetting,
  stackHeight,
  themeOfPage,
  wordsIn,
  type Box,
  type Page,
  type Para,
  type TextBox,
} from '../layout/index.ts';
import {
  contains,
  contrastRatio,
  frameIn,
  layoutNamed,
  paletteFor,
  isLarge,
  LARGE_RATIO,
  READABLE,
  SPOILT,
  SLIDE_WIDTH,
  type Hex,
  type Layout,
  type LayoutName,
  type Palette,
  type Theme,
} from '../theme/index.ts';

export const RULES = [
  'bare',
  'lone-point',
  'half-empty',
  'small-points',
  'small-cells',
  'small-code',
  'small-figure',
  'many-words',
  'long-code',
  'long-title',
  'repeated-title',
  'small-picture',
  'cut-picture',
  'no-glyph',
  'spills',
  'contrast',
  'cover-not-first',
] as const;
export type Rule = (typeof RULES)[number];

export interface ShownPage {
  readonly page: Page;
  /** The page before it, as it is shown. */
  readonly before: Page | undefined;
  readonly theme: Theme;
  readonly pictures: ReadonlyMap<PictureId, Picture>;
  /** Most words beside a table; more stand on slides that are read. */
  readonly words: number;
}
type Test = (shown: ShownPage) => boolean;

/** Words of a slide that is spoken to, and of one that is read. */
export const MOST_WORDS = { spoken: 60, read: 140 } as const;
const LEAST = { points: 18, lower: 16, cells: 14, code: 14, figure: 16 } as const; // points of type
const LEAST_REACH = 0.5;
const LEAST_PICTURE = 0.08;
/** Sizes are compared with this much grace: a step of a scale is no whole number of points. */
const GRACE = 0.05;

const textBoxes = ({ boxes }: Page): readonly TextBox[] => boxes.filter((box) => box.kind === 'text');
const isTitle = (box: TextBox): boolean => box.frame.role === 'title';
const contentBoxes = (page: Page): readonly Box[] => page.boxes.filter((box) => box.kind !== 'text' || !isTitle(box));
const contentTexts = (page: Page): readonly TextBox[] => textBoxes(page).filter((box) => !isTitle(box));
const scaled = (size: number, theme: Theme): number => (size * SLIDE_WIDTH) / theme.size.width + GRACE;
const sizeOf = (box: TextBox): number => box.scale * box.frame.style.sizes[0]!;
const paraSize = (para: Para, box: TextBox, theme: Theme): number =>
  scaled(sizeOf(box) * paraSetting(para, box.frame, theme).scale, theme);

/** Few words that are meant to stand alone. */
const ALONE: ReadonlySet<LayoutName> = new Set(['statement', 'quotation', 'big-number', 'closing']);
const FEW: ReadonlySet<LayoutName> = new Set([...ALONE, 'cover', 'cover-picture', 'section']);

const bare: Test = ({ page }) => contentBoxes(page).length === 0;

const lonePoint: Test = ({ page }) => {
  const content = contentBoxes(page);
  return (
    !ALONE.has(page.layout) &&
    content.every((box) => box.kind === 'text') &&
    contentTexts(page).flatMap(({ paras }) => paras.filter(({ style }) => style !== 'code')).length === 1 &&
    contentTexts(page).every(({ paras }) => paras.length === 1)
  );
};

/** Top and bottom of what is drawn in a box, in EMU. */
function extent(box: Box, theme: Theme): readonly [number, number] {
  switch (box.kind) {
    case 'text': {
      const size = sizeOf(box);
      const measures = box.paras.map((para) => measurePara(para, box.frame, theme, size));
      const height = emuFromPt(stackHeight(measures, box.spread));
      const free = box.frame.height - height;
      const top = box.frame.y + (box.frame.anchor === 'top' ? 0 : box.frame.anchor === 'middle' ? free / 2 : free);
      return [top, top + height];
    }
    case 'table':
      return [box.frame.y, box.frame.y + box.rowHeights.reduce((sum, height) => sum + height, 0)];
    case 'chart':
      return [box.frame.y, box.frame.y + box.frame.height];
    case 'picture':
    case 'shape':
    case 'icon':
      return [box.rect.y, box.rect.y + box.rect.height];
    case 'connector':
      return [Math.min(box.from.y, box.to.y), Math.max(box.from.y, box.to.y)];
  }
}

/** How much of the room below the title the content reaches over, from its upper to its lower edge; 1 is all of it. */
export function reach(page: Page, theme: Theme): number {
  const room = frameIn(themeOfPage(page, theme), 'points', 'body');
  const extents = contentBoxes(page).map((box) => extent(box, theme));
  const top = Math.min(...extents.map(([from]) => from));
  const bottom = Math.max(...extents.map(([, to]) => to));
  return extents.length === 0 ? 0 : (bottom - top) / room.height;
}
const halfEmpty: Test = ({ page, theme }) =>
  !FEW.has(page.layout) && contentBoxes(page).length > 0 && reach(page, theme) < LEAST_REACH;

const CAPTIONS = new Set(['caption', 'subtitle', 'big', 'quote']);
const smallPoints: Test = ({ page, theme }) =>
  page.layout !== 'sources' &&
  contentTexts(page).some(
    (box) =>
      box.free !== true &&
      !CAPTIONS.has(box.frame.role) &&
      box.paras.some(
        (para) => para.style !== 'code' && paraSize(para, box, theme) < (para.level > 1 ? LEAST.lower : LEAST.points),
      ),
  );

const smallCells: Test = ({ page, theme }) =>
  page.boxes.some((box) => box.kind === 'table' && scaled(box.size, theme) < LEAST.cells);

const smallCode: Test = ({ page, theme }) =>
  contentTexts(page).some((box) =>
    box.paras.some((para) => para.style === 'code' && paraSize(para, box, theme) < LEAST.code),
  );

const smallFigure: Test = ({ page, theme }) =>
  contentTexts(page).some(
    (box) =>
      box.free === true &&
      box.paras.some(
        (para) => para.part !== null && para.style !== 'code' && paraSize(para, box, theme) < LEAST.figure,
      ),
  );

const manyWords: Test = ({ page, words }) => wordsIn(contentTexts(page).flatMap(({ paras }) => paras)) > words;

const longCode: Test = ({ page, theme }) =>
  contentTexts(page).some(
    (box) =>
      box.paras.reduce(
        (lines, para) =>
          lines + (para.style === 'code' ? measurePara(para, box.frame, theme, sizeOf(box)).lines.length : 0),
        0,
      ) > MOST_CODE,
  );

/** Over more lines than it may, or one word alone on the last. */
const longTitle: Test = ({ page, theme }) =>
  textBoxes(page)
    .filter(isTitle)
    .some((box) =>
      box.paras.some((para) => {
        const { lines } = measurePara(para, box.frame, theme, sizeOf(box));
        return lines.length > mostTitleLines(page.layout) || endsAlone(para, lines);
      }),
    );

const titleOf = remembered((page: Page): string =>
  textBoxes(page)
    .filter(isTitle)
    .flatMap(({ paras }) => paras.map(({ runs }) => runsText(runs).trim()))
    .join(' '),
);
const repeatedTitle: Test = ({ page, before }) => {
  const title = titleOf(page);
  return before !== undefined && title !== '' && title === titleOf(before);
};

const smallPicture: Test = ({ page, theme }) => {
  const least = LEAST_PICTURE * theme.size.width * theme.size.height;
  return page.boxes.some((box) => box.kind === 'picture' && box.rect.width * box.rect.height < least);
};

const cutPicture: Test = ({ page, pictures }) =>
  page.boxes.some(
    (box) =>
      box.kind === 'picture' &&
      !isPhotograph(pictures.get(box.picture)) &&
      box.cut.some((side, i) => side > box.dress.crop[i]! + 0.001),
  );

const noGlyph: Test = ({ page, theme }) =>
  textBoxes(page).some((box) =>
    box.paras.some((para) => {
      const { mono } = paraSetting(para, box.frame, theme);
      return isMissing(para.runs, mono ? theme.fonts.mono : theme.fonts[box.frame.style.font], theme.fonts.mono);
    }),
  ) ||
  page.boxes.some(
    (box) => box.kind === 'table' && box.cells.some(({ runs }) => isMissing(runs, theme.fonts.body, theme.fonts.mono)),
  );

const missingIn = remembered((_: Runs) => new Map<string, boolean>());
const isMissing = (runs: Runs, family: string, mono: string): boolean =>
  getOrMake(missingIn(runs), `${family}/${mono}`, () =>
    runs.some(({ text, code }) => {
      const face = fontFace(code === true ? mono : family, 'regular');
      return [...text].some((sign) => !face.has(sign.codePointAt(0)!) && !UNSEEN.test(sign));
    }),
  );
const UNSEEN = /[\s\p{Cf}\p{Mn}\p{Cc}]/u;

const spills: Test = ({ page, theme }) =>
  page.fit.state === 'spills' ||
  textBoxes(page).some((box) => {
    const size = sizeOf(box);
    const measures = box.paras.map((para) => measurePara(para, box.frame, theme, size));
    return (
      stackHeight(measures, box.spread) > ptFromEmu(box.frame.height) + 1 ||
      box.paras.some(
        (para, i) =>
          longestWord(para, box.frame, theme) * size > ptFromEmu(box.frame.width) &&
          measures[i]!.lines.some(
            ({ width }) => width * size * measures[i]!.setting.scale > ptFromEmu(box.frame.width) + 1,
          ),
      )
    );
  });

const contrast: Test = ({ page, theme }) => {
  const layout = layoutNamed(theme, page.layout);
  const palette = layout.colors?.fills ?? paletteOf(page, theme);
  const inks = layout.colors?.inks ?? palette;
  const ground = layout.paint ?? palette[layout.ground];
  return textBoxes(page).some((box) => {
    const own = groundOf(box, page, palette, layout.marks);
    const behind = own === undefined ? (box.frame.behind ?? [ground]) : [own];
    const { color, paint, sizes, bold } = box.frame.style;
    // A template's titles may be what the standard allows for large text.
    const least = layout.colors !== undefined && isLarge(sizes[0]!, bold) ? LARGE_RATIO : READABLE;
    // What runs across a template's place spoils no text on it.
    const poor = behind.filter((one) => ratioIn(palette, paint ?? inks[color], one) < least - GRACE);
    return poor.length > behind.length * SPOILT;
  });
};
const ratios = remembered((_: Palette) => new Map<string, number>());
const ratioIn = (palette: Palette, ink: Hex, behind: Hex): number =>
  getOrMake(ratios(palette), `${ink} ${behind}`, () => contrastRatio(ink, behind));

function paletteOf({ slide: { colors } }: Page, theme: Theme): Palette {
  return colors === undefined || theme.look === undefined || theme.template !== undefined
    ? theme.palette
    : paletteFor(theme.look, colors);
}
function groundOf(box: TextBox, page: Page, palette: Palette, marks: Layout['marks']): Hex | undefined {
  const under = page.boxes.findLast(
    (one) => one.kind === 'shape' && one.fill !== null && contains(one.rect, box.frame),
  );
  if (box.free === true && under?.kind === 'shape') return palette[under.fill!];
  const mark = marks.findLast((one) => one.outline === undefined && contains(one, box.frame));
  return mark === undefined ? undefined : palette[mark.color];
}

const coverNotFirst: Test = ({ page, before }) =>
  page.slide.kind === 'cover' && page.index === 0 && before !== undefined;

/** What depends on the page alone. */
const OWN: Readonly<Partial<Record<Rule, Test>>> = {
  bare,
  'lone-point': lonePoint,
  'half-empty': halfEmpty,
  'small-points': smallPoints,
  'small-cells': smallCells,
  'small-code': smallCode,
  'small-figure': smallFigure,
  'many-words': manyWords,
  'long-code': longCode,
  'long-title': longTitle,
  'small-picture': smallPicture,
  'cut-picture': cutPicture,
  'no-glyph': noGlyph,
  spills,
  contrast,
};
const AMONG_OTHERS: Readonly<Partial<Record<Rule, Test>>> = {
  'repeated-title': repeatedTitle,
  'cover-not-first': coverNotFirst,
};
/** What an opening can break, which has few words and no content. */
const OF_OPENINGS: ReadonlySet<Rule> = new Set(['no-glyph', 'spills', 'contrast', 'cover-not-first']);

const broken = (tests: Readonly<Partial<Record<Rule, Test>>>, shown: ShownPage): readonly Rule[] =>
  RULES.filter(
    (rule) =>
      tests[rule] !== undefined && (shown.page.slide.kind === 'content' || OF_OPENINGS.has(rule)) && tests[rule](shown),
  );

const known = new WeakMap<Page, { readonly theme: Theme; readonly words: number; readonly rules: readonly Rule[] }>();

/** Rules that a page breaks, in the order of `RULES`; none where it can be shown as it is. */
export function faultsOf(shown: ShownPage): readonly Rule[] {
  const { page, theme, words } = shown;
  let own = known.get(page);
  if (own?.theme !== theme || own.words !== words) known.set(page, (own = { theme, words, rules: broken(OWN, shown) }));
  const others = broken(AMONG_OTHERS, shown);
  return others.length === 0 ? own.rules : [...own.rules, ...others];
}
