/** Words of a shape (ECMA-376-1 §21.1.2), broken into lines and placed: near enough to know a slide by. */
import { EMU_PER_POINT } from '../../base/index.ts';
import { nodeAt, nodesNamed, type XmlNode } from '../../container/index.ts';
import { breakLines, fontFace, measureText, shippedFamily, type Span } from '../../fonts/index.ts';
import type { BackdropText, Bounds, Hex, Matrix } from '../../theme/index.ts';
import { colorIn, type Scheme } from '../colors.ts';
import { flagIn, numberIn, shareOf } from '../values.ts';
import { at, isUpright, within } from './matrix.ts';

/** What words inherit, as far as it is said. */
export interface WordSetting {
  /** Of the shape, in EMU. */
  readonly box?: Bounds | undefined;
  readonly size?: number | undefined;
  readonly bold?: boolean | undefined;
  readonly caps?: boolean | undefined;
  readonly heading?: boolean | undefined;
  readonly ink?: Hex | undefined;
  readonly anchor?: string | undefined;
  readonly align?: string | undefined;
  /** Of each level: its size as a share of the first, where it begins in points, and its sign. */
  readonly levels?: readonly { readonly scale: number; readonly indent: number; readonly bullet: string }[] | undefined;
}

/** What words mean where they stand. */
export interface WordContext {
  readonly scheme: Scheme;
  /** Fonts of the theme. */
  readonly fonts: { readonly heading: string; readonly body: string };
}

const USUAL_SIZE = 18;
const LINE = 1.2;
const MOST_LINES = 80;

interface Look {
  readonly size: number;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly family: string;
  readonly color: Hex;
}
interface Row {
  readonly pieces: readonly (Look & { readonly text: string; readonly x: number })[];
  readonly size: number;
  readonly before: number;
}

/** @param matrix From the shape's own lengths in EMU, which begin at its corner, to points. */
export function drawWords(
  body: XmlNode,
  [, , boxWidth, boxHeight]: Bounds,
  matrix: Matrix,
  context: WordContext,
  setting: WordSetting,
): readonly BackdropText[] {
  const properties = nodeAt(body, 'a:bodyPr');
  const inset = (name: string, usual: number): number => {
    return numberIn(properties?.attributes[name], usual) / EMU_PER_POINT;
  };
  const [left, top] = [inset('lIns', 91_440), inset('tIns', 45_720)];
  const width = boxWidth / EMU_PER_POINT - left - inset('rIns', 91_440);
  const height = boxHeight / EMU_PER_POINT - top - inset('bIns', 45_720);
  const fit = shareOf(nodeAt(properties, 'a:normAutofit')?.attributes.fontScale);
  const scale = fit > 0.1 && fit < 1 ? fit : 1;
  const wraps = properties?.attributes.wrap !== 'none';
  const style = nodeAt(body, 'a:lstStyle');
  const rows: Row[] = [];
  for (const paragraph of nodesNamed(body, 'a:p')) {
    if (rows.length > MOST_LINES) break;
    rows.push(
      ...rowsOf(paragraph, style, {
        context,
        setting,
        scale,
        width: wraps ? Math.max(8, width) : Infinity,
        room: width,
      }),
    );
  }
  if (!rows.some(({ pieces }) => pieces.length > 0)) return [];
  const tall = rows.reduce((sum, { size, before }) => sum + size * LINE + before, 0);
  const anchor = properties?.attributes.anchor ?? setting.anchor ?? 't';
  let y = top + (anchor === 'ctr' ? (height - tall) / 2 : anchor === 'b' ? height - tall : 0);
  // Lengths of words are points already; the matrix takes EMU.
  const inPoints = within(matrix, [EMU_PER_POINT, 0, 0, EMU_PER_POINT, 0, 0]);
  const upright = isUpright(inPoints);
  const grown = upright ? Math.sqrt(inPoints[0] * inPoints[3]) : 1;
  return rows.flatMap(({ pieces, size, before }) => {
    y += before + size * LINE;
    const base = y - size * 0.25;
    return pieces.map(({ x, ...piece }): BackdropText => {
      const place = upright ? at(inPoints, left + x, base) : ([left + x, base] as const);
      return {
        kind: 'text',
        ...piece,
        size: rounded(piece.size * grown),
        x: rounded(place[0]),
        y: rounded(place[1]),
        ...(upright ? {} : { matrix: inPoints.map((one) => Math.round(one * 1e6) / 1e6) as unknown as Matrix }),
      };
    });
  });
}
const rounded = (value: number): number => Math.round(value * 100) / 100;

interface Room {
  readonly context: WordContext;
  readonly setting: WordSetting;
  readonly scale: number;
  /** In which lines are broken, and in which they are set, in points. */
  readonly width: number;
  readonly room: number;
}

function rowsOf(
  paragraph: XmlNode,
  style: XmlNode | undefined,
  { context, setting, scale, width, room }: Room,
): readonly Row[] {
  const properties = nodeAt(paragraph, 'a:pPr');
  const level = Math.min(8, Math.max(0, Math.floor(numberIn(properties?.attributes.lvl, 0))));
  const inherited = setting.levels?.[Math.min(level, setting.levels.length - 1)];
  const listed = nodeAt(style, `a:lvl${level + 1}pPr`);
  const size = (sizeIn(nodeAt(listed, 'a:defRPr')) ?? (setting.size ?? USUAL_SIZE) * (inherited?.scale ?? 1)) * scale;
  const usual = nodeAt(listed, 'a:defRPr');
  const texts: { readonly text: string; readonly look: Look }[] = [];
  for (const run of paragraph.children) {
    const text = run.name === 'a:br' ? '\n' : run.name === 'a:r' || run.name === 'a:fld' ? wordsOf(run) : '';
    if (text === '') continue;
    const own = nodeAt(run, 'a:rPr');
    const said = <T>(read: (node: XmlNode) => T | undefined): T | undefined =>
      (own && read(own)) ?? (usual && read(usual));
    const caps = said(({ attributes }) => attributes.cap) ?? (setting.caps ? 'all' : 'none');
    texts.push({
      text: caps === 'all' ? text.toUpperCase() : text,
      look: {
        size: (own && sizeIn(own)) === undefined ? size : sizeIn(own)! * scale,
        bold: flagIn(said(({ attributes }) => attributes.b)) ?? setting.bold ?? false,
        italic: flagIn(said(({ attributes }) => attributes.i)) ?? false,
        family: familyOf(
          said((node) => nodeAt(node, 'a:latin')?.attributes.typeface),
          setting,
          context,
        ),
        color: said((node) => colorIn(node, context.scheme)) ?? setting.ink ?? context.scheme.get('tx1') ?? '000000',
      },
    });
  }
  if (texts.length === 0) return [{ pieces: [], size, before: 0 }];
  const marL = numberIn(properties?.attributes.marL ?? listed?.attributes.marL, NaN) / EMU_PER_POINT;
  const indent = Number.isFinite(marL) ? marL : (inherited?.indent ?? 0);
  const sign = bulletOf(properties, inherited?.bullet ?? '');
  const align = properties?.attributes.algn ?? listed?.attributes.algn ?? setting.align ?? 'l';
  const largest = Math.max(...texts.map(({ look }) => look.size));
  const spans = texts.map(({ text, look }): Span => ({
    text,
    face: fontFace(look.family, look.bold ? (look.italic ? 'boldItalic' : 'bold') : look.italic ? 'italic' : 'regular'),
    scale: look.size / largest,
  }));
  const lines = breakLines(measureText(spans), Math.max(1, (width - indent) / largest));
  return lines.slice(0, MOST_LINES).map((line, i): Row => {
    const free = room - indent - line.width * largest;
    let x = indent + (align === 'ctr' ? free / 2 : align === 'r' ? free : 0);
    const pieces: {
      text: string;
      x: number;
      size: number;
      bold: boolean;
      italic: boolean;
      family: string;
      color: Hex;
    }[] = [];
    if (i === 0 && sign !== '')
      pieces.push({ ...texts[0]!.look, text: sign, x: Math.max(0, x - Math.min(indent, largest * 0.9)) });
    let from = 0;
    for (const [k, { text, look }] of texts.entries()) {
      const [start, end] = [Math.max(line.start, from) - from, Math.min(line.end, from + text.length) - from];
      from += text.length;
      const part = start < end ? text.slice(start, end).replaceAll('\n', '') : '';
      if (part === '') continue;
      pieces.push({ ...look, family: shippedFamily(look.family).family, text: part, x });
      x += spans[k]!.face.width(part) * look.size;
    }
    return { pieces, size: largest, before: i === 0 ? largest * 0.2 : 0 };
  });
}

const wordsOf = (run: XmlNode): string =>
  nodesNamed(run, 'a:t')
    .flatMap(({ content }) => content.map((piece) => ('text' in piece ? piece.text : '')))
    .join('');

function sizeIn(node: XmlNode | undefined): number | undefined {
  const size = numberIn(node?.attributes.sz, NaN) / 100;
  // Up to 4,000 points (§20.1.10.72).
  return size > 0 && size <= 4000 ? size : undefined;
}

const familyOf = (face: string | undefined, { heading }: WordSetting, { fonts }: WordContext): string =>
  face === undefined || face.startsWith('+')
    ? fonts[(face === undefined ? heading === true : face.startsWith('+mj')) ? 'heading' : 'body']
    : face;

function bulletOf(properties: XmlNode | undefined, inherited: string): string {
  if (nodeAt(properties, 'a:buNone') !== undefined) return '';
  const own = nodeAt(properties, 'a:buChar')?.attributes.char;
  if (own === undefined) return nodeAt(properties, 'a:buAutoNum') === undefined ? inherited : '•';
  return /^[\x20-\x7e\u00a0-\u2fff]$/.test(own) ? own : '•';
}
