/** A picture in its frame (OASIS ODF 1.3 part 3, §10.4.4): what of it is seen, and how it is toned, as properties that stay editable. */
import { pictureGround, type PictureBox } from '../../scene/index.ts';
import { filled, graphicStyle, LAYER, stroked } from './graphic.ts';
import type { PageContext } from './text.ts';
import { description, element, imageXml, percent, place, points } from '../odf/xml.ts';

/** @param said What it says to those who do not see it; null for decoration. */
export function pictureXml(box: PictureBox, context: PageContext, said: string | null): string {
  const named = context.picture(box.picture);
  if (named === undefined) return '';
  const { cut, dress, rect } = box;
  const ground = pictureGround(box, context.colors);
  const { filter, brightness, contrast } = dress;
  const style = graphicStyle(context, {
    ...filled(ground === undefined ? null : context.colors.palette[ground]),
    ...stroked(null),
    'fo:clip': cut.every((one) => one === 0) ? null : clip(cut, named),
    // There is no tint: it is drawn in grey.
    'draw:color-mode': filter === 'none' ? null : 'greyscale',
    'draw:luminance': brightness === 0 ? null : percent(brightness),
    'draw:contrast': contrast === 0 ? null : percent(contrast),
  });
  return element(
    'draw:frame',
    { 'draw:style-name': style, ...LAYER, ...place(rect) },
    imageXml(named.href) + description(said),
  );
}

/** Edges are cut off in lengths of the picture's own size (§20.179). */
function clip(
  [left, top, right, bottom]: PictureBox['cut'],
  { size: [width, height] }: { readonly size: readonly [number, number] },
): string {
  const edges = [top * height, right * width, bottom * height, left * width];
  return `rect(${edges.map(points).join(', ')})`;
}
