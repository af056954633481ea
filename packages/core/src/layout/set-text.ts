/** Sets paragraphs in a frame: which lines they take at a size, and where each line stands. */
import {
  EMU_PER_POINT,
  emuFromPt,
  firstStrong,
  hasRightToLeft,
  ptFromEmu,
  remembered,
  type Emu,
} from '../base/index.ts';
import { runsText, type Run, type Runs } from '../content/index.ts';
import {
  breakLines,
  fontFace,
  measureText,
  otherHeight,
  type FaceStyle,
  type FontMetrics,
  type Line,
  type MeasuredText,
  substituteOf,
} from '../fonts/index.ts';
import type { ColorName, Frame, Theme } from '../theme/index.ts';
import type { Para, SetLine, SetParagraph } from './page.ts';

/** How a paragraph is set; lengths in points, but the space before is a share of its line's height. */
export interface ParaSetting {
  readonly scale: number;
  readonly color: ColorName;
  readonly bullet: string | null;
  readonly bulletColor: ColorName;
  readonly indent: number;
  readonly hanging: number;
  readonly spaceBefore: number;
  readonly italic: boolean;
  readonly mono: boolean;
  /** Whatever its frame says. */
  readonly bold?: boolean;
}

const DETAIL_SCALE = 0.9;
/** Fixed pitch runs wide; at the least size of points it is 14 points high. */
export const CODE_SCALE = 0.78;
/** Size of superscripts and subscripts, as receivers draw them. */
export const SCRIPT_SCALE = 0.66;

export function paraSetting(
  para: Pick<Para, 'style' | 'level' | 'mark' | 'marks'>,
  frame: Frame,
  theme: Theme,
): ParaSetting {
  const base = {
    scale: 1,
    color: frame.style.color,
    bullet: null,
    bulletColor: frame.style.color,
    indent: 0,
    hanging: 0,
    spaceBefore: 0,
    italic: false,
    mono: false,
  };
  switch (para.style) {
    case 'title':
    case 'plain':
      return base;
    case 'item':
      return { ...base, bold: true };
    case 'detail':
      return { ...base, scale: DETAIL_SCALE, spaceBefore: 0.18 };
    case 'subtitle':
      return { ...base, spaceBefore: 0.15 };
    case 'body':
      return { ...base, spaceBefore: theme.levels[0].spaceBefore };
    case 'quote':
      return {
        ...base,
        spaceBefore: theme.levels[0].spaceBefore,
        indent: theme.levels[0].indent,
        color: 'muted',
        italic: true,
      };
    case 'code':
      return { ...base, spaceBefore: theme.levels[0].spaceBefore, scale: CODE_SCALE, mono: true };
    case 'point': {
      const usual = theme.levels[para.level - 1]!;
      // On a template's layout free text, and text that would not be read, has the colour of its place.
      const { paint, color } = frame.style;
      const level =
        theme.template !== undefined && paint === undefined ? { ...usual, color, bulletColor: color } : usual;
      return para.marks === undefined
        ? { ...base, ...level }
        : { ...base, ...level, ...marked(para.level, para.mark, para.marks, frame, theme) };
    }
  }
}

/** Between a mark and its text, in points. */
const AFTER_MARK = 6;
/** A mark has room at any size that its level may take. */
const LARGEST = 1.17;

/** The bullet of a point of a list with numbers, and how far it stands in: so far that the widest number has room. */
function marked(
  level: number,
  mark: Para['mark'],
  marks: NonNullable<Para['marks']>,
  frame: Frame,
  theme: Theme,
): Partial<ParaSetting> {
  const face = faceOf(theme.fonts[frame.style.font], frame.style.bold, false);
  const own = theme.levels[level - 1]!;
  const wider = theme.levels.slice(0, level).map(({ scale, hanging }, i) => {
    const text = marks[i];
    if (text === undefined) return 0;
    const wide = face.width(text) * frame.style.sizes[0]! * scale * LARGEST + AFTER_MARK;
    return Math.max(0, Math.round(wide - hanging));
  });
  return {
    indent: own.indent + wider.reduce((sum, one) => sum + one, 0),
    hanging: own.hanging + wider.at(-1)!,
    ...(mark === undefined ? {} : { bullet: mark.text }),
  };
}

interface Measured {
  readonly mono: string;
  readonly caps: true | undefined;
  readonly text: MeasuredText;
}
const measuredIn = remembered((_: Runs) => new Map<FontMetrics, Measured>());

/** Measures runs in a theme's fonts; the same runs in the same face are measured once. */
export function measureRuns(
  runs: Runs,
  theme: Theme,
  frame: Frame,
  setting: Pick<ParaSetting, 'italic' | 'mono' | 'bold'>,
): MeasuredText {
  const { mono } = theme.fonts;
  const { caps } = frame.style;
  const family = setting.mono ? mono : theme.fonts[frame.style.font];
  const bold = frame.style.bold || setting.bold === true;
  const face = faceOf(family, bold, setting.italic);
  const known = measuredIn(runs);
  const found = known.get(face);
  if (found?.mono === mono && found.caps === caps) return found.text;
  const spans = runs.map((run) => ({
    text: caps ? capitals(run.text) : run.text,
    face: plainRun(run) ? face : faceOf(run.code ? mono : family, run.bold || bold, run.italic || setting.italic),
    scale: run.position ? SCRIPT_SCALE : 1,
  }));
  const text = measureText(spans);
  known.set(face, { mono, caps, text });
  return text;
}

/** In capitals, as far as each letter has one of its own: places in the text stay where they are. */
export const capitals = (text: string): string =>
  text.replace(/\p{Ll}/gu, (letter) => {
    const upper = letter.toUpperCase();
    return upper.length === letter.length ? upper : letter;
  });

const plainRun = (run: Run): boolean => !run.bold && !run.italic && !run.code;

function faceOf(family: string, bold: boolean, italic: boolean): FontMetrics {
  const style: FaceStyle = bold ? (italic ? 'boldItalic' : 'bold') : italic ? 'italic' : 'regular';
  return fontFace(family, style);
}

/** Height of a line in points, for a size of 1. */
export function lineHeight(theme: Theme, frame: Frame, setting: Pick<ParaSetting, 'mono'>): number {
  return baseFace(theme, frame, setting).lineHeight * frame.style.lineSpacing;
}

function baseFace(theme: Theme, frame: Frame, setting: Pick<ParaSetting, 'mono'>): FontMetrics {
  return faceOf(setting.mono ? theme.fonts.mono : theme.fonts[frame.style.font], frame.style.bold, false);
}

export interface Measure {
  readonly setting: ParaSetting;
  readonly lines: readonly Line[];
  readonly lineHeight: number /* points */;
  readonly height: number /* points, without the space before */;
}

/** What characters of other scripts take of a line, for a size of 1. */
const otherHeightOf = remembered((runs: Runs) => otherHeight(runsText(runs)));
const directionsIn = remembered((runs: Runs) => {
  const text = runsText(runs);
  return { first: firstStrong(text), any: hasRightToLeft(text) };
});

/** How a text is written, and from which side it is set: in a deck that begins at the right, all but code is. */
export function sideOf(
  { runs, style, direction }: { readonly runs: Runs } & Partial<Pick<Para, 'style' | 'direction'>>,
  theme: Theme,
): { readonly rtl: boolean; readonly fromRight: boolean } {
  if (style === 'code') return LEFT;
  const { first, any } = directionsIn(runs);
  if (direction !== undefined)
    return { rtl: direction === 'rtl', fromRight: direction === 'rtl' || theme.mirrored === true };
  const rtl = first === 'rtl' || (theme.mirrored === true && any);
  return { rtl, fromRight: rtl || theme.mirrored === true };
}
const LEFT = { rtl: false, fromRight: false } as const;

/** Breaks one paragraph. @param size Of level 1, in points. */
export function measurePara(para: Para, frame: Frame, theme: Theme, size: number): Measure {
  const setting = paraSetting(para, frame, theme);
  const own = size * setting.scale;
  const width = ptFromEmu(frame.width) - setting.indent;
  const lines = breakLines(measureRuns(para.runs, theme, frame, setting), width / own);
  const other = otherHeightOf(para.runs).lineHeight * frame.style.lineSpacing;
  const height = Math.max(lineHeight(theme, frame, setting), other) * own;
  return { setting, lines, lineHeight: height, height: Math.max(1, lines.length) * height };
}

/** The theme as it is set where its fonts are lacking; null where they are sure to be there, or an organisation's own. */
const inSubstitutes = remembered((theme: Theme): Theme | null => {
  const { heading, body, mono } = theme.fonts;
  const fonts = { heading: substituteOf(heading), body: substituteOf(body), mono };
  const same = fonts.heading === heading && fonts.body === body;
  return same || theme.template !== undefined ? null : { ...theme, fonts };
});
/** No text of some length is wider than that in a substitute. */
const WIDER = 1.35;

/** The same, as high as the paragraph is in the theme's fonts or in those that stand in for them, whichever is more. */
export function safeMeasure(para: Para, frame: Frame, theme: Theme, size: number): Measure {
  const own = measurePara(para, frame, theme, size);
  const other = inSubstitutes(theme);
  if (other === null || para.style === 'code') return own;
  const [line, ...more] = own.lines;
  const room = (ptFromEmu(frame.width) - own.setting.indent) / (size * own.setting.scale);
  // Most lines are short: they stay what they are.
  if (more.length === 0 && (line === undefined || line.width * WIDER <= room)) {
    const height = lineHeight(other, frame, own.setting) * size * own.setting.scale;
    return height <= own.height ? own : { ...own, height, lineHeight: height };
  }
  const substitute = measurePara(para, frame, other, size);
  if (substitute.height <= own.height) return own;
  return { ...own, height: substitute.height, lineHeight: Math.max(own.lineHeight, substitute.lineHeight) };
}

/** Width of the longest piece of a paragraph in which no line may break, in points at a size of 1. */
export function longestWord(para: Para, frame: Frame, theme: Theme): number {
  const setting = paraSetting(para, frame, theme);
  const { words } = measureRuns(para.runs, theme, frame, setting);
  return words.reduce((widest, { width }) => Math.max(widest, width), 0) * setting.scale;
}

/** Height of all paragraphs in points. @param spread Space between them, as a multiple of what the theme says. */
export function stackHeight(measures: readonly Measure[], spread = 1): number {
  return measures.reduce(
    (sum, measure, i) =>
      sum + measure.height + (i === 0 ? 0 : spread * measure.setting.spaceBefore * measure.lineHeight),
    0,
  );
}

/** What begins where its frame's text begins does so on the side from which it is set. */
export function sidedAlign(align: Frame['align'], fromRight: boolean, theme: Theme): Frame['align'] {
  const begins = theme.mirrored ? 'right' : 'left';
  return align !== begins ? align : fromRight ? 'right' : 'left';
}

/** Places lines in the frame; they must have been found to fit. */
export function placeText(
  paras: readonly Para[],
  frame: Frame,
  theme: Theme,
  size: number,
  spread = 1,
): readonly SetParagraph[] {
  const measures = paras.map((para) => measurePara(para, frame, theme, size));
  const free = ptFromEmu(frame.height) - stackHeight(measures, spread);
  let y = ptFromEmu(frame.y) + (frame.anchor === 'top' ? 0 : frame.anchor === 'middle' ? free / 2 : free);
  return paras.map((para, i): SetParagraph => {
    const { setting, lines, lineHeight: height } = measures[i]!;
    const own = size * setting.scale;
    const ascent =
      Math.max(baseFace(theme, frame, setting).ascent, otherHeightOf(para.runs).ascent) * frame.style.lineSpacing * own;
    if (i > 0) y += spread * setting.spaceBefore * height;
    const { rtl, fromRight } = sideOf(para, theme);
    const indent = emuFromPt(setting.indent);
    const left = frame.x + (fromRight ? 0 : indent);
    const room = frame.width - indent;
    const align = sidedAlign(frame.align, fromRight, theme);
    const placed = lines.map((line): SetLine => {
      const width = Math.min(emuFromPt(line.width * own), room) as Emu;
      const slack = align === 'left' ? 0 : align === 'right' ? room - width : (room - width) / 2;
      const set = {
        start: line.start,
        end: line.end,
        x: Math.round(left + slack) as Emu,
        baseline: emuFromPt(y + ascent),
        width,
      };
      y += height;
      return set;
    });
    if (lines.length === 0) y += height;
    const hanging = setting.hanging * EMU_PER_POINT;
    const bulletX = setting.bullet === null ? null : ((fromRight ? left + room + hanging : left - hanging) as Emu);
    return {
      ...para,
      ...(rtl ? { rtl } : {}),
      ...(fromRight ? { fromRight } : {}),
      size: own,
      lines: placed,
      bulletX,
    };
  });
}
