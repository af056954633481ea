/** Paints shapes, grounds and pictures, as they are drawn on the screen. */
import { CORNER, type BackdropItem, type DrawnPicture, type DrawnShape, type Gradient } from '@alvex/core';
import type { Images } from './images.ts';
import type { Typesetter } from './typesetter.ts';

type Doc = PDFKit.PDFDocument;
type Matrix = NonNullable<Extract<BackdropItem, { kind: 'picture' }>['matrix']>;

export function paintShape(
  doc: Doc,
  { d, fill, stroke, strokeWidth, opacity, dashes, turned, placed }: DrawnShape,
): void {
  if (d === '' || (fill === null && stroke === null)) return;
  doc.save();
  if (turned !== undefined) doc.rotate(turned[0], { origin: [turned[1], turned[2]] });
  if (placed !== undefined) doc.translate(placed[0], placed[1]).scale(placed[2]).lineCap('round').lineJoin('round');
  fillAndStroke(doc, d, { fill, stroke, strokeWidth, opacity, dashes });
  doc.restore();
}

interface Paint {
  readonly fill: string | Gradient | null;
  readonly stroke: string | null;
  readonly strokeWidth: number;
  readonly opacity?: number | undefined;
  readonly dashes?: string | undefined;
  readonly rule?: 'even-odd' | 'non-zero';
}

function fillAndStroke(
  doc: Doc,
  d: string,
  { fill, stroke, strokeWidth, opacity = 1, dashes, rule = 'non-zero' }: Paint,
): void {
  if (fill !== null) {
    doc.path(d);
    if (typeof fill === 'string') doc.fillColor(`#${fill}`, opacity).fill(rule);
    else doc.fillOpacity(opacity).fill(gradient(doc, fill), rule);
  }
  if (stroke === null) return;
  doc.lineWidth(strokeWidth).strokeColor(`#${stroke}`, 1);
  const lengths =
    dashes
      ?.split(/[\s,]+/)
      .map(Number)
      .filter((length) => length > 0) ?? [];
  if (lengths.length > 0) doc.dash(lengths as unknown as number, {});
  doc.path(d).stroke();
}

function gradient(doc: Doc, shade: Gradient): PDFKit.Mixins.ColorValue {
  const made =
    'from' in shade
      ? doc.linearGradient(...shade.from, ...shade.to)
      : doc.radialGradient(...shade.middle, 0, ...shade.middle, shade.radius);
  for (const { at, color, opacity } of shade.stops) made.stop(at, `#${color}`, opacity);
  return made as unknown as PDFKit.Mixins.ColorValue;
}

const transformed = (doc: Doc, matrix: Matrix | undefined): Doc =>
  matrix === undefined ? doc : doc.transform(...matrix);

export function paintBackdrop(doc: Doc, item: BackdropItem, images: Images, type: Typesetter): void {
  doc.save();
  switch (item.kind) {
    case 'shape':
      fillAndStroke(doc, item.d, { ...item, rule: 'even-odd' });
      break;
    case 'picture': {
      const [x, y, width, height] = item.box;
      if (item.clip !== undefined) doc.path(item.clip).clip();
      transformed(doc, item.matrix).opacity(item.opacity);
      paintImage(doc, images.plain(item.picture), { x, y, width, height }, item.cut);
      break;
    }
    case 'text':
      transformed(doc, item.matrix);
      type.write(item);
  }
  doc.restore();
}

export function paintPicture(doc: Doc, picture: DrawnPicture, images: Images): void {
  const { x, y, width, height, corners, ground, cut } = picture;
  doc.save();
  if (corners === 'round') doc.roundedRect(x, y, width, height, Math.min(width, height) * CORNER).clip();
  if (ground !== undefined) doc.rect(x, y, width, height).fill(`#${ground}`);
  paintImage(doc, images.toned(picture), picture, cut);
  doc.restore();
}

/** A picture that cannot be drawn leaves a grey field. */
function paintImage(
  doc: Doc,
  image: object | undefined,
  { x, y, width, height }: Pick<DrawnPicture, 'x' | 'y' | 'width' | 'height'>,
  [left, top, right, bottom]: DrawnPicture['cut'],
): void {
  if (image === undefined) {
    doc.rect(x, y, width, height).fill('#DDDDDD');
    return;
  }
  const full = { width: width / (1 - left - right), height: height / (1 - top - bottom) };
  doc.save().rect(x, y, width, height).clip();
  doc.image(image as unknown as PDFKit.Mixins.ImageSrc, x - left * full.width, y - top * full.height, full);
  doc.restore();
}
