/**
 * A slide as SVG with real text (SVG 2), in two layers: what is only seen, from the back to the front, and the words
 * in the order in which they are read, with what they are (WAI-ARIA 1.2, SVG Accessibility API Mappings 1.0).
 */
import {
  CORNER,
  describeChart,
  type BackdropItem,
  type DrawnBox,
  type DrawnParts,
  type DrawnPicture,
  type DrawnPiece,
  type DrawnShape,
  type DrawnText,
  type PictureData,
  type SceneSlide,
} from '@alvex/core';
import { element, short, text } from './markup.ts';

export interface SvgTools {
  /** Class that sets the font of a piece. */
  readonly face: (piece: Pick<DrawnPiece, 'family' | 'bold' | 'italic'>) => string;
  /** Id of the element that holds a picture; undefined for one that is not there. */
  readonly picture: (id: PictureData['id']) => string | undefined;
  /** Where a slide begins in the file; undefined for one that is not in it. */
  readonly placeOf: (slide: SceneSlide['id']) => string | undefined;
}

/**
 * @param level Of the heading that its title is.
 * @param prefix Of ids within it.
 */
export function slideSvg(tools: SvgTools, slide: SceneSlide, parts: DrawnParts, level: 1 | 2, prefix: string): string {
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
    { xmlns: 'http://www.w3.org/2000/svg', viewBox: `0 0 ${short(width)} ${short(height)}`, role: 'group' },
    element('g', { 'aria-hidden': 'true' }, ...seen),
    ...told(tools, slide, parts.boxes, level),
    ...(foot.length > 0 ? [element('g', { 'aria-hidden': 'true' }, ...foot)] : []),
  );
}

class Ids {
  #next = 0;
  readonly #prefix: string;
  constructor(prefix: string) {
    this.#prefix = prefix;
  }
  make(): string {
    return `${this.#prefix}-${this.#next++}`;
  }
}

/** Boxes in their order; points become lists, deeper ones lists within them. */
function told(tools: SvgTools, slide: SceneSlide, boxes: readonly DrawnBox[], level: 1 | 2): readonly string[] {
  const lines: string[] = [];
  /** Levels of the lists that are open. */
  const open: number[] = [];
  const closeTo = (wanted: number): void => {
    while ((open.at(-1) ?? 0) > wanted) {
      open.pop();
      lines.push('</g></g>');
    }
  };
  const item = (at: number, lang: string | undefined, step: number | undefined, content: string): void => {
    closeTo(at);
    if (open.at(-1) === at) lines.push('</g>');
    else {
      open.push(at);
      lines.push('<g role="list">');
    }
    const about = [lang === undefined ? '' : ` lang="${text(lang)}"`, step === undefined ? '' : ` data-step="${step}"`];
    lines.push(`<g role="listitem"${about.join('')}>`, content);
  };
  for (const { box, texts, pictures } of boxes) {
    if (box.kind === 'text')
      box.paras.forEach((para, i) => {
        const line = texts[i];
        if (line === undefined || line.pieces.length === 0) return;
        const lang = slide.languages.get(para.part);
        const to = para.part === null ? undefined : slide.leads.get(para.part);
        const goal = to === undefined ? undefined : tools.placeOf(to);
        const content = linked(tools, line.pieces, line.anchor, goal);
        if (para.style === 'point') return item(para.level, lang, slide.motion.points ? line.step : undefined, content);
        closeTo(0);
        // Numbers of figures mean nothing without their words.
        const idle = para.part === null && para.style === 'plain';
        const title = para.style === 'title' && !slide.part.continues;
        lines.push(
          element(
            'g',
            {
              role: title
                ? 'heading'
                : para.style === 'quote'
                  ? 'blockquote'
                  : para.style === 'code'
                    ? 'code'
                    : 'paragraph',
              'aria-level': title && level,
              'aria-hidden': idle && 'true',
              lang,
            },
            content,
          ),
        );
      });
    else if (box.kind === 'table') {
      closeTo(0);
      const rows = new Map<number, string[]>();
      box.cells.forEach((cell, i) => {
        const made = element(
          'g',
          {
            role: cell.header ? 'columnheader' : 'cell',
            'aria-rowspan': cell.rows > 1 && cell.rows,
            'aria-colspan': cell.columns > 1 && cell.columns,
          },
          linked(tools, texts[i]?.pieces ?? [], texts[i]?.anchor, undefined),
        );
        rows.set(cell.row, [...(rows.get(cell.row) ?? []), made]);
      });
      const lang = slide.languages.get(box.part);
      lines.push(
        element(
          'g',
          { role: 'table', lang },
          ...[...rows.values()].map((row) => element('g', { role: 'row' }, ...row)),
        ),
      );
    } else {
      const pieces = texts.flatMap((line) => words(tools, line.pieces, line.anchor));
      const alt =
        box.kind === 'chart' ? describeChart(box.chart, slide.title) : box.kind === 'picture' ? box.alt : null;
      if (alt === null || alt.trim() === '') {
        lines.push(...pieces);
        continue;
      }
      closeTo(0);
      lines.push(element('g', { role: 'img', 'aria-label': alt }, ...field(pictures[0] ?? texts[0]), ...pieces));
    }
  }
  closeTo(0);
  return lines;
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

/** Pieces with their links. @param goal Where all of them lead. */
function linked(
  tools: SvgTools,
  pieces: readonly DrawnPiece[],
  anchor: 'start' | 'end' | undefined,
  goal: string | undefined,
): string {
  if (goal !== undefined) return element('a', { href: `#${goal}` }, words(tools, pieces, anchor));
  const groups: DrawnPiece[][] = [];
  for (const piece of pieces) {
    const last = groups.at(-1);
    if (last !== undefined && last[0]!.link === piece.link) last.push(piece);
    else groups.push([piece]);
  }
  return groups
    .map((group) => {
      const link = group[0]!.link;
      const drawn = words(tools, group, anchor);
      // A name in the document is no place in the file.
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

function shapeDrawing({ d, fill, stroke, strokeWidth, opacity, dashes, turned, placed }: DrawnShape): string {
  const round = placed !== undefined && 'round';
  return element('path', {
    d,
    transform:
      turned !== undefined
        ? `rotate(${turned.map(short).join(' ')})`
        : placed !== undefined && `translate(${short(placed[0])} ${short(placed[1])}) scale(${placed[2]})`,
    fill: fill === null ? 'none' : `#${fill}`,
    'fill-opacity': opacity,
    stroke: stroke !== null && `#${stroke}`,
    'stroke-width': stroke !== null && strokeWidth,
    'stroke-dasharray': dashes,
    'stroke-linecap': round,
    'stroke-linejoin': round,
  });
}

/** Its pixels stand once in the file, as a square of one by one. */
function pixels(
  id: string,
  [x, y, width, height]: readonly [number, number, number, number],
  [left, top, right, bottom]: readonly [number, number, number, number],
  filter?: string,
): string {
  const [across, down] = [width / (1 - left - right), height / (1 - top - bottom)];
  return element(
    'svg',
    { x, y, width, height, overflow: 'hidden' },
    element(
      'g',
      { filter: filter === undefined ? undefined : `url(#${filter})` },
      element('use', {
        href: `#${id}`,
        transform: `translate(${short(-left * across)} ${short(-top * down)}) scale(${short(across)} ${short(down)})`,
      }),
    ),
  );
}

function pictureDrawing(tools: SvgTools, picture: DrawnPicture, ids: Ids): string {
  const id = tools.picture(picture.picture);
  if (id === undefined) return '';
  const { x, y, width, height, cut, corners, ground } = picture;
  const toned = picture.filter !== 'none' || picture.brightness !== 0 || picture.contrast !== 0;
  const filter = toned ? ids.make() : undefined;
  const clip = corners === 'round' ? ids.make() : undefined;
  return [
    ...(filter === undefined ? [] : [toneFilter(filter, picture)]),
    ...(clip === undefined
      ? []
      : [
          element(
            'clipPath',
            { id: clip },
            element('rect', { x, y, width, height, rx: Math.min(width, height) * CORNER }),
          ),
        ]),
    element(
      'g',
      { 'clip-path': clip !== undefined && `url(#${clip})` },
      ...(ground === undefined ? [] : [element('rect', { x, y, width, height, fill: `#${ground}` })]),
      pixels(id, [x, y, width, height], cut, filter),
    ),
  ].join('');
}

const LUMINANCE = '0.2126 0.7152 0.0722 0 0 0.2126 0.7152 0.0722 0 0 0.2126 0.7152 0.0722 0 0 0 0 0 1 0';
const channel = (hex: string, at: number): number => parseInt(hex.slice(at * 2, at * 2 + 2), 16) / 255;

/** Grey, or from one colour to another; then brighter and with more contrast, by lines through the middle. */
function toneFilter(id: string, { filter, tint, brightness, contrast }: DrawnPicture): string {
  const slope = contrast >= 0 ? 1 / Math.max(0.05, 1 - contrast) : 1 + contrast;
  const intercept = 0.5 - 0.5 * slope + brightness;
  const of = (attributes: (at: number) => Record<string, string>): string =>
    element('feComponentTransfer', {}, ...['R', 'G', 'B'].map((name, at) => element(`feFunc${name}`, attributes(at))));
  const table = (at: number) => ({
    type: 'table',
    tableValues: (tint ?? []).map((hex) => short(channel(hex, at))).join(' '),
  });
  return element(
    'filter',
    { id, 'color-interpolation-filters': 'sRGB', x: '0', y: '0', width: '1', height: '1' },
    ...(filter === 'none' ? [] : [element('feColorMatrix', { type: 'matrix', values: LUMINANCE })]),
    ...(tint === null ? [] : [of(table)]),
    of(() => ({ type: 'linear', slope: slope.toFixed(4), intercept: intercept.toFixed(4) })),
  );
}

function backdropItem(tools: SvgTools, item: BackdropItem, ids: Ids): string {
  switch (item.kind) {
    case 'shape': {
      const { d, fill, opacity, stroke, strokeWidth, dashes } = item;
      const shade = fill !== null && typeof fill !== 'string' ? ids.make() : undefined;
      const path = element('path', {
        d,
        fill: fill === null ? 'none' : typeof fill === 'string' ? `#${fill}` : `url(#${shade!})`,
        'fill-opacity': opacity,
        'fill-rule': 'evenodd',
        stroke: stroke !== null && `#${stroke}`,
        'stroke-width': stroke !== null && strokeWidth,
        'stroke-dasharray': dashes,
      });
      return shade === undefined || fill === null || typeof fill === 'string' ? path : gradient(shade, fill) + path;
    }
    case 'picture': {
      const { picture, box, cut, opacity, matrix, clip } = item;
      const id = tools.picture(picture);
      if (id === undefined) return '';
      const cutting = clip === undefined ? undefined : ids.make();
      return [
        ...(clip === undefined ? [] : [element('clipPath', { id: cutting }, element('path', { d: clip }))]),
        element(
          'g',
          { 'clip-path': cutting !== undefined && `url(#${cutting})` },
          element('g', { transform: matrix && `matrix(${matrix.join(' ')})`, opacity }, pixels(id, box, cut)),
        ),
      ].join('');
    }
    case 'text':
      return element(
        'text',
        {
          x: item.x,
          y: item.y,
          class: tools.face(item),
          'font-size': item.size,
          fill: `#${item.color}`,
          transform: item.matrix && `matrix(${item.matrix.join(' ')})`,
        },
        text(item.text),
      );
  }
}

type Gradient = Exclude<Extract<BackdropItem, { kind: 'shape' }>['fill'], string | null>;

function gradient(id: string, fill: Gradient): string {
  const stops = fill.stops.map(({ at, color, opacity }) =>
    element('stop', { offset: at, 'stop-color': `#${color}`, 'stop-opacity': opacity }),
  );
  const common = { id, gradientUnits: 'userSpaceOnUse' };
  if ('from' in fill) {
    const [[x1, y1], [x2, y2]] = [fill.from, fill.to];
    return element('linearGradient', { ...common, x1, y1, x2, y2 }, ...stops);
  }
  const [cx, cy] = fill.middle;
  return element('radialGradient', { ...common, cx, cy, r: fill.radius }, ...stops);
}
