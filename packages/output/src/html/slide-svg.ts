/**
 * A slide as SVG with real text (SVG 2), in two layers: what is only seen, from the back to the front, and the words
 * in the order in which they are read, with what they are (WAI-ARIA 1.2, SVG Accessibility API Mappings 1.0).
 */
import {
  describeChart,
  groupBy,
  type DrawnBox,
  type DrawnParts,
  type DrawnPicture,
  type DrawnPiece,
  type DrawnText,
  type SceneSlide,
} from '@alvex/core';
import { byLink } from '../drawn.ts';
import { element, short, text } from './markup.ts';
import { backdropItem, Ids, pictureDrawing, shapeDrawing, type PaintTools } from './paint.ts';

export interface SvgTools extends PaintTools {
  /** Where a slide begins in the file; undefined for one that is not in it. */
  readonly placeOf: (slide: SceneSlide['id']) => string | undefined;
}

/** Of a file of its own. */
interface Alone {
  readonly lang: string | null;
  /** Markup before what is drawn: its name, style and pictures. */
  readonly head: () => string;
}

/**
 * @param level Of the heading that its title is.
 * @param prefix Of ids within it.
 * @param alone Where it is a file of its own.
 */
export function slideSvg(
  tools: SvgTools,
  slide: SceneSlide,
  parts: DrawnParts,
  level: 1 | 2,
  prefix: string,
  alone?: Alone,
): string {
  const { width, height } = parts.size;
  const ids = new Ids(prefix);
  const seen = [
    element('path', { d: `M0 0H${short(width)}V${short(height)}H0Z`, fill: `#${parts.ground}` }),
    ...parts.backdrop.map((item) => backdropItem(tools, item, ids)),
    ...parts.behind.map((picture) => pictureDrawing(tools, picture, ids)),
    ...parts.marks.map(shapeDrawing),
    ...parts.boxes.flatMap(({ shapes }) => shapes.map(shapeDrawing)),
    ...parts.boxes.flatMap(({ pictures }) => pictures.map((picture) => pictureDrawing(tools, picture, ids))),
  ];
  const foot = parts.foot.flatMap(({ pieces, anchor }) => words(tools, pieces, anchor));
  const { number } = parts;
  if (number !== null)
    foot.push(words(tools, [{ ...number, text: String(slide.number), bold: false, italic: false }], number.anchor));
  return element(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      ...(alone === undefined ? {} : { width, height, lang: alone.lang }),
      viewBox: `0 0 ${short(width)} ${short(height)}`,
      role: 'group',
    },
    alone?.head() ?? '',
    element('g', { 'aria-hidden': 'true' }, ...seen),
    ...told(tools, slide, parts.boxes, level),
    ...(foot.length > 0 ? [element('g', { 'aria-hidden': 'true' }, ...foot)] : []),
  );
}

/** Boxes in their order; points become lists, deeper ones lists within them. */
function told(tools: SvgTools, slide: SceneSlide, boxes: readonly DrawnBox[], level: 1 | 2): readonly string[] {
  const lists = new Lists();
  for (const drawn of boxes) {
    const { box, texts, pictures } = drawn;
    if (box.kind === 'text')
      box.paras.forEach((para, i) => {
        const line = texts[i];
        if (line === undefined || line.pieces.length === 0) return;
        const lang = slide.languages.get(para.part);
        const content = linked(tools, line.pieces, line.anchor);
        if (para.style === 'point') lists.item(para.level, lang, slide.motion.points ? line.step : undefined, content);
        else lists.put(paragraph(para, slide, level, lang, content));
      });
    else if (box.kind === 'table') lists.put(table(tools, box, texts, slide.languages.get(box.part)));
    else {
      const pieces = texts.flatMap((line) => words(tools, line.pieces, line.anchor));
      const alt =
        box.kind === 'chart' ? describeChart(box.chart, slide.title) : box.kind === 'picture' ? box.alt : null;
      if (alt === null || alt.trim() === '') lists.lines.push(...pieces);
      else lists.put(element('g', { role: 'img', 'aria-label': alt }, ...field(pictures[0] ?? texts[0]), ...pieces));
    }
  }
  lists.closeTo(0);
  return lists.lines;
}

/** Lines of markup, and the lists that are open. */
class Lists {
  readonly lines: string[] = [];
  /** Levels of the lists that are open. */
  readonly #open: number[] = [];

  closeTo(level: number): void {
    while ((this.#open.at(-1) ?? 0) > level) {
      this.#open.pop();
      this.lines.push('</g></g>');
    }
  }

  item(level: number, lang: string | undefined, step: number | undefined, content: string): void {
    this.closeTo(level);
    if (this.#open.at(-1) === level) this.lines.push('</g>');
    else {
      this.#open.push(level);
      this.lines.push('<g role="list">');
    }
    const about = [lang === undefined ? '' : ` lang="${text(lang)}"`, step === undefined ? '' : ` data-step="${step}"`];
    this.lines.push(`<g role="listitem"${about.join('')}>`, content);
  }

  /** What is in no list. */
  put(line: string): void {
    this.closeTo(0);
    this.lines.push(line);
  }
}

type TextBox = Extract<DrawnBox['box'], { readonly kind: 'text' }>;
type TableBox = Extract<DrawnBox['box'], { readonly kind: 'table' }>;

function paragraph(
  para: TextBox['paras'][number],
  slide: SceneSlide,
  level: 1 | 2,
  lang: string | undefined,
  content: string,
): string {
  // Numbers of figures mean nothing without their words.
  const idle = para.part === null && para.style === 'plain';
  const title = para.style === 'title' && !slide.part.continues;
  const role = title ? 'heading' : para.style === 'quote' ? 'blockquote' : para.style === 'code' ? 'code' : 'paragraph';
  return element('g', { role, 'aria-level': title && level, 'aria-hidden': idle && 'true', lang }, content);
}

function table(tools: SvgTools, box: TableBox, texts: readonly DrawnText[], lang: string | undefined): string {
  const cells = box.cells.map((cell, i) => ({
    row: cell.row,
    made: element(
      'g',
      {
        role: cell.header ? 'columnheader' : 'cell',
        'aria-rowspan': cell.rows > 1 && cell.rows,
        'aria-colspan': cell.columns > 1 && cell.columns,
      },
      linked(tools, texts[i]?.pieces ?? [], texts[i]?.anchor),
    ),
  }));
  const rows = [...groupBy(cells, ({ row }) => row).values()].map((row) =>
    element('g', { role: 'row' }, ...row.map(({ made }) => made)),
  );
  return element('g', { role: 'table', lang }, ...rows);
}

/** What is drawn of a picture stands in the layer below; here it has its place. */
const field = (place: DrawnPicture | DrawnText | undefined): readonly string[] =>
  place === undefined
    ? []
    : [
        element('rect', {
          ...{ x: place.x, y: place.y, width: place.width, height: place.height },
          'fill-opacity': 0,
        }),
      ];

/** Pieces with their links. */
function linked(tools: SvgTools, pieces: readonly DrawnPiece[], anchor: 'start' | 'end' | undefined): string {
  return byLink(pieces)
    .map((group) => {
      const { link, to } = group[0]!;
      const drawn = words(tools, group, anchor);
      const place = to === undefined ? undefined : tools.placeOf(to);
      if (place !== undefined) return element('a', { href: `#${place}` }, drawn);
      return link === undefined || link.startsWith('#')
        ? drawn
        : element('a', { href: link, target: '_blank', rel: 'noreferrer noopener' }, drawn);
    })
    .join(' ');
}

/** What of a piece is written. */
type Written = Pick<DrawnPiece, 'text' | 'x' | 'y' | 'size' | 'family' | 'bold' | 'italic' | 'color'> &
  Partial<Pick<DrawnPiece, 'strike' | 'link' | 'rtl'>>;

/**
 * One text of all pieces, so that it is read, found and copied as one. Where some run from right to left each is a text of
 * its own: within one, pieces would be put in order once more (UAX 9), which they are already.
 */
function words(tools: SvgTools, pieces: readonly Written[], anchor?: 'start' | 'middle' | 'end'): string {
  if (pieces.some(({ rtl }) => rtl === true))
    return pieces
      .map((piece) => element('text', { 'text-anchor': anchor, ...setting(tools, piece) }, text(piece.text)))
      .join(' ');
  if (pieces.length === 0) return '';
  const spans = pieces.map((piece, i) => {
    const next = pieces[i + 1];
    // Where a line ends a word does; seen it would shift what stands at its right edge.
    const parted = next !== undefined && !/\s$/.test(piece.text) && !/^\s/.test(next.text) && next.y !== piece.y;
    const gap = parted && anchor !== 'end' && anchor !== 'middle' ? ' ' : '';
    return element('tspan', setting(tools, piece), text(piece.text) + gap);
  });
  return element('text', { 'text-anchor': anchor }, ...spans);
}

const setting = (tools: SvgTools, piece: Written) => ({
  x: piece.x,
  y: piece.y,
  class: tools.face(piece),
  'font-size': piece.size,
  fill: `#${piece.color}`,
  'text-decoration': piece.strike === true ? 'line-through' : piece.link !== undefined && 'underline',
  direction: piece.rtl === true && 'rtl',
});
