/** What is only seen of a slide, as SVG: shapes, pictures, what a template draws. */
import {
  CORNER,
  isToned,
  LUMINANCE,
  toneLine,
  type BackdropItem,
  type DrawnPicture,
  type DrawnPiece,
  type DrawnShape,
  type Gradient,
  type PictureData,
} from '@alvex/core';
import { element, short, text } from './markup.ts';

export interface PaintTools {
  /** Class that sets the font of a piece. */
  readonly face: (piece: Pick<DrawnPiece, 'family' | 'bold' | 'italic'>) => string;
  /** Id of the element that holds a picture; undefined for one that is not there. */
  readonly picture: (id: PictureData['id']) => string | undefined;
}

/** Names within the file. */
export class Ids {
  #next = 0;
  readonly #prefix: string;
  constructor(prefix: string) {
    this.#prefix = prefix;
  }
  make(): string {
    return `${this.#prefix}-${this.#next++}`;
  }
}

export function shapeDrawing({ d, fill, stroke, strokeWidth, opacity, dashes, turned, placed }: DrawnShape): string {
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

export function pictureDrawing(tools: PaintTools, picture: DrawnPicture, ids: Ids): string {
  const id = tools.picture(picture.picture);
  if (id === undefined) return '';
  const { x, y, width, height, cut, corners, ground } = picture;
  const filter = isToned(picture) ? ids.make() : undefined;
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

const GREY = `${`${LUMINANCE.join(' ')} 0 0 `.repeat(3)}0 0 0 1 0`;
const channel = (hex: string, at: number): number => parseInt(hex.slice(at * 2, at * 2 + 2), 16) / 255;

/** Grey, or from one colour to another; then brighter and with more contrast, by lines through the middle. */
function toneFilter(id: string, { filter, tint, ...line }: DrawnPicture): string {
  const { slope, intercept } = toneLine(line);
  const of = (attributes: (at: number) => Record<string, string>): string =>
    element('feComponentTransfer', {}, ...['R', 'G', 'B'].map((name, at) => element(`feFunc${name}`, attributes(at))));
  const table = (at: number) => ({
    type: 'table',
    tableValues: (tint ?? []).map((hex) => short(channel(hex, at))).join(' '),
  });
  return element(
    'filter',
    { id, 'color-interpolation-filters': 'sRGB', x: '0', y: '0', width: '1', height: '1' },
    ...(filter === 'none' ? [] : [element('feColorMatrix', { type: 'matrix', values: GREY })]),
    ...(tint === null ? [] : [of(table)]),
    of(() => ({ type: 'linear', slope: slope.toFixed(4), intercept: intercept.toFixed(4) })),
  );
}

export function backdropItem(tools: PaintTools, item: BackdropItem, ids: Ids): string {
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
