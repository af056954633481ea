/** Text as it is drawn: pieces of one look, each with its place. */
import { emu, emuFromPt, type Emu } from '../base/index.ts';
import { sliceRuns, type Run, type Runs } from '../content/index.ts';
import { fontFace, type FaceStyle } from '../fonts/index.ts';
import {
  capitals,
  sideOf,
  paraSetting,
  SCRIPT_SCALE,
  type SetCell,
  type SetLine,
  type SetParagraph,
} from '../layout/index.ts';
import type { Frame, Palette, Theme } from '../theme/index.ts';
import { visualOrder, type SeenRun } from './visual-order.ts';

export interface Piece {
  readonly text: string;
  readonly x: Emu;
  readonly baseline: Emu;
  readonly width: Emu;
  readonly family: string;
  readonly size: number /* points */;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly strike: boolean;
  readonly link: string | undefined;
  /** Six hexadecimal digits. */
  readonly color: string;
  /** It is written from right to left, and `x` is its right edge. */
  readonly rtl?: true;
}

interface Setting {
  readonly family: string;
  readonly mono: string;
  readonly size: number;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly color: string;
  readonly linkColor: string;
  readonly caps: boolean;
}

/** @param palette The theme's, or the slide's own. */
export function drawParagraph(
  paragraph: SetParagraph,
  frame: Frame,
  theme: Theme,
  palette: Palette = theme.palette,
): readonly Piece[] {
  const para = paraSetting(paragraph, frame, theme);
  const { paint } = frame.style;
  const setting: Setting = {
    family: para.mono ? theme.fonts.mono : theme.fonts[frame.style.font],
    mono: theme.fonts.mono,
    size: paragraph.size,
    bold: frame.style.bold || para.bold === true,
    italic: para.italic,
    color: paint === undefined || para.color === 'muted' ? palette[para.color] : paint,
    // On a coloured shape a link is known by its line alone.
    linkColor: para.color === 'ground' ? palette.ground : palette.link,
    caps: frame.style.caps === true,
  };
  const rtl = paragraph.rtl === true;
  const pieces = drawLines(paragraph.runs, paragraph.lines, setting, rtl);
  const [first] = paragraph.lines;
  if (para.bullet === null || paragraph.bulletX === null || first === undefined) return pieces;
  const { family, size, bold } = setting;
  const bullet: Piece = {
    family,
    size,
    bold,
    italic: false,
    text: para.bullet,
    x: paragraph.bulletX,
    baseline: first.baseline,
    width: emuFromPt(para.hanging),
    strike: false,
    link: undefined,
    color: paint ?? palette[para.bulletColor],
    ...(paragraph.fromRight ? { rtl: true } : {}),
  };
  return [bullet, ...pieces];
}

/** @param color Six hexadecimal digits. */
export function drawCell(
  { runs, lines, header }: SetCell,
  size: number,
  color: string,
  theme: Theme,
  palette: Palette,
): readonly Piece[] {
  const setting: Setting = {
    family: theme.fonts.body,
    mono: theme.fonts.mono,
    size,
    bold: false,
    italic: false,
    color,
    linkColor: header ? color : palette.link,
    caps: false,
  };
  return drawLines(runs, lines, setting, sideOf({ runs }, theme).rtl);
}

function drawLines(runs: Runs, lines: readonly SetLine[], setting: Setting, rtl: boolean): readonly Piece[] {
  return lines.flatMap((line) => {
    const seen = visualOrder(runs, line.start, line.end, rtl);
    if (seen !== undefined) return drawSeen(seen, line, setting, rtl);
    let x: number = line.x + (rtl ? line.width : 0);
    return sliceRuns(runs, line.start, line.end).map((run): Piece => {
      const drawn = drawRun(run, x, line.baseline, setting);
      x += rtl ? -drawn.width : drawn.width;
      return rtl ? { ...drawn, rtl } : drawn;
    });
  });
}

/** Parts of a line as they are seen, from the left on. */
function drawSeen(seen: readonly SeenRun[], line: SetLine, setting: Setting, rtl: boolean): readonly Piece[] {
  const drawn = seen.map((part) => ({ ...part, piece: drawRun(part.run, 0, line.baseline, setting) }));
  const width = drawn.reduce((sum, { piece }) => sum + piece.width, 0);
  let x = line.x + (rtl ? line.width - width : 0);
  return drawn.map(({ piece, rtl: fromRight }): Piece => {
    const left = x;
    x += piece.width;
    return fromRight ? { ...piece, x: emu(x), rtl: true } : { ...piece, x: emu(left) };
  });
}

function drawRun(run: Run, x: number, baseline: number, setting: Setting): Piece {
  const family = run.code ? setting.mono : setting.family;
  const bold = setting.bold || run.bold === true;
  const italic = setting.italic || run.italic === true;
  const face: FaceStyle = bold ? (italic ? 'boldItalic' : 'bold') : italic ? 'italic' : 'regular';
  const size = setting.size * (run.position === undefined ? 1 : SCRIPT_SCALE);
  const shift = run.position === 'super' ? -0.33 : run.position === 'sub' ? 0.15 : 0;
  const line = run.text.replaceAll('\n', '');
  const text = setting.caps ? capitals(line) : line;
  return {
    text,
    x: emu(x),
    baseline: emu(baseline + emuFromPt(shift * setting.size)),
    width: emuFromPt(fontFace(family, face).width(text) * size),
    family,
    size,
    bold,
    italic,
    strike: run.strike === true,
    link: run.link,
    color: run.link === undefined ? setting.color : setting.linkColor,
  };
}
