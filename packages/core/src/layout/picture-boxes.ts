/** Pictures in their frames, and what stands below them. */
import { emu, emuFromPt, inches } from '../base/index.ts';
import { PLAIN_DRESS, type PictureDress, type PicturePart } from '../deck/index.ts';
import { frameIn, type Frame, type LayoutName, type Rect, type Role, type TextStyle } from '../theme/index.ts';
import { textBox, type LayoutOptions } from './draft.ts';
import { heightAt, largestSize } from './fit-text.ts';
import type { Box, Para, PictureBox } from './page.ts';

/** Over an edge a picture fills its frame; else all of it is seen. */
const OVER_EDGES: ReadonlySet<LayoutName> = new Set(['picture-bleed', 'cover-picture']);

/** How a picture stands in its frame on a layout, where its author has not said it. */
export const usualDress = (layout: LayoutName): PictureDress =>
  OVER_EDGES.has(layout) ? { ...PLAIN_DRESS, as: 'fill' } : PLAIN_DRESS;

const CAPTION: Omit<TextStyle, 'sizes'> = { font: 'body', bold: false, color: 'muted', lineSpacing: 1.1 };
const CAPTION_SIZES = [16, 14, 12];
const CAPTION_GAP = inches(0.1);
/** Of the picture's room. */
const MOST_CAPTION = 0.35;

/** A picture with its caption right below it. */
export function pictureBoxes(
  part: PicturePart,
  layout: LayoutName,
  role: Role,
  options: LayoutOptions,
): readonly Box[] {
  const { theme } = options;
  const frame = frameIn(theme, layout, role);
  if (part.caption === undefined) return [pictureBox(part, layout, frame, options)];
  const para: Para = { part: null, style: 'plain', level: 1, runs: part.caption };
  const style = { ...CAPTION, sizes: CAPTION_SIZES };
  const place = (y: number, height: number): Frame => {
    const { placeholder: _, ...plain } = frame;
    return { ...plain, role: 'caption', y: emu(y), height: emu(height), anchor: 'top', align: 'center', style };
  };
  // Over an edge of the slide it stands as far in as the foot does.
  const bottom = Math.min(frame.y + frame.height, theme.size.height - inches(0.5));
  const room = place(frame.y, (bottom - frame.y) * MOST_CAPTION);
  const size = largestSize([para], room, theme, CAPTION_SIZES) ?? CAPTION_SIZES.at(-1)!;
  const height = Math.min(emuFromPt(heightAt([para], room, theme, size) + 1), room.height);
  const picture = pictureBox(part, layout, { ...frame, height: emu(bottom - height - CAPTION_GAP - frame.y) }, options);
  const below = place(picture.rect.y + picture.rect.height + CAPTION_GAP, height);
  return [picture, textBox([para], below, theme, size, true)];
}

function pictureBox(part: PicturePart, layout: LayoutName, frame: Frame, { pictures }: LayoutOptions): PictureBox {
  const dress = part.dress ?? usualDress(layout);
  const size = part.own ?? pictures.get(part.picture);
  const [left, top, right, bottom] = dress.crop;
  const width = Math.max(1, (size?.width ?? 1) * (1 - left - right));
  const height = Math.max(1, (size?.height ?? 1) * (1 - top - bottom));
  const common = {
    kind: 'picture',
    frame,
    part: part.id,
    picture: part.picture,
    alt: part.alt,
    dress,
    ...(size?.ink === undefined ? {} : { ink: size.ink }),
  } as const;
  if (dress.as === 'fit') return { ...common, rect: fitted(frame, width / height), cut: dress.crop };
  const { x, y } = frame;
  // As much of the picture as has the frame's proportions, around what must stay in sight.
  const ratio = frame.width / frame.height / (width / height);
  const [fx, fy] = dress.focus;
  const keepX = (1 - left - right) * Math.min(1, ratio);
  const keepY = (1 - top - bottom) * Math.min(1, 1 / ratio);
  const fromX = clamp(fx - keepX / 2, left, 1 - right - keepX);
  const fromY = clamp(fy - keepY / 2, top, 1 - bottom - keepY);
  return {
    ...common,
    rect: { x, y, width: frame.width, height: frame.height },
    cut: [fromX, fromY, 1 - fromX - keepX, 1 - fromY - keepY],
  };
}

const clamp = (value: number, least: number, most: number): number => Math.max(least, Math.min(value, most));

function fitted(frame: Rect, ratio: number): Rect {
  const width = Math.min(frame.width, frame.height * ratio);
  const height = Math.min(frame.height, width / ratio);
  return {
    x: emu(frame.x + (frame.width - width) / 2),
    y: emu(frame.y + (frame.height - height) / 2),
    width: emu(Math.max(width, 1)),
    height: emu(Math.max(height, 1)),
  };
}
