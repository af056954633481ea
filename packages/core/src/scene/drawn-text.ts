/** Text as it is drawn: pieces of one look, each with its place. */
import { emu, emuFromPt, type Emu } from '../base/index.ts';
import { sliceRuns, type Run, type Runs } from '../content/index.ts';
import { fontFace, type FamilyName, type FaceStyle } from '../fonts/index.ts';
import { paraSetting, SCRIPT_SCALE, type SetLine, type SetParagraph } from '../layout/index.ts';
import type { Frame, Theme } from '../theme/index.ts';

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
}

interface Setting {
  readonly family: string;
  readonly mono: string;
  readonly size: number;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly color: string;
  readonly linkColor: string;
}

export function drawParagraph(paragraph: SetParagraph, frame: Frame, theme: Theme): readonly Piece[] {
  const para = paraSetting(paragraph, frame, theme);
  const setting: Setting = {
    family: para.mono ? theme.fonts.mono : theme.fonts[frame.style.font],
    mono: theme.fonts.mono,
    size: paragraph.size,
    bold: frame.style.bold,
    italic: para.italic,
    color: theme.palette[para.color],
    linkColor: theme.palette.link,
  };
  const pieces = drawLines(paragraph.runs, paragraph.lines, setting);
  const [first] = paragraph.lines;
  if (para.bullet === null || paragraph.bulletX === null || first === undefined) return pieces;
  const bullet: Piece = {
    ...setting,
    italic: false,
    text: para.bullet,
    x: paragraph.bulletX,
    baseline: first.baseline,
    width: emuFromPt(para.hanging),
    strike: false,
    link: undefined,
    color: theme.palette[para.bulletColor],
  };
  return [bullet, ...pieces];
}

export function drawCell(
  runs: Runs,
  lines: readonly SetLine[],
  size: number,
  header: boolean,
  theme: Theme,
): readonly Piece[] {
  const color = theme.palette[header ? theme.table.headText : 'text'];
  return drawLines(runs, lines, {
    family: theme.fonts.body,
    mono: theme.fonts.mono,
    size,
    bold: false,
    italic: false,
    color,
    linkColor: header ? color : theme.palette.link,
  });
}

function drawLines(runs: Runs, lines: readonly SetLine[], setting: Setting): readonly Piece[] {
  return lines.flatMap((line) => {
    let x: number = line.x;
    return sliceRuns(runs, line.start, line.end).map((run): Piece => {
      const drawn = drawRun(run, x, line.baseline, setting);
      x += drawn.width;
      return drawn;
    });
  });
}

function drawRun(run: Run, x: number, baseline: number, setting: Setting): Piece {
  const family = run.code ? setting.mono : setting.family;
  const bold = setting.bold || run.bold === true;
  const italic = setting.italic || run.italic === true;
  const face: FaceStyle = bold ? (italic ? 'boldItalic' : 'bold') : italic ? 'italic' : 'regular';
  const size = setting.size * (run.position === undefined ? 1 : SCRIPT_SCALE);
  const shift = run.position === 'super' ? -0.33 : run.position === 'sub' ? 0.15 : 0;
  return {
    text: run.text.replaceAll('\n', ''),
    x: emu(x),
    baseline: emu(baseline + emuFromPt(shift * setting.size)),
    width: emuFromPt(fontFace(family as FamilyName, face).width(run.text.replaceAll('\n', '')) * size),
    family,
    size,
    bold,
    italic,
    strike: run.strike === true,
    link: run.link,
    color: run.link === undefined ? setting.color : setting.linkColor,
  };
}
