/** A page before it knows its place, its title and its notes, and what its boxes are made of. */
import { emu } from '../base/index.ts';
import { runsReadWords, type Picture, type PictureId } from '../content/index.ts';
import { PLAIN_DRESS, type Content, type FullRule, type PictureDress, type PicturePart } from '../deck/index.ts';
import { frameIn, type Frame, type LayoutName, type Rect, type Role, type Theme } from '../theme/index.ts';
import type { Box, Fit, Para, PictureBox, TextBox } from './page.ts';
import { placeText } from './set-text.ts';

export interface LayoutOptions {
  readonly theme: Theme;
  readonly pictures: ReadonlyMap<PictureId, Picture>;
  /** What is done where text does not fit at the floor, if the slide does not say. */
  readonly full: FullRule;
  /** Of the document; numbers are read by it. */
  readonly language?: string | null;
}
/** Whether slides come out the same by both. Colours change no page. */
export const sameOptions = (a: LayoutOptions, b: LayoutOptions): boolean =>
  a.theme.layouts === b.theme.layouts && a.full === b.full && a.language === b.language && a.pictures === b.pictures;

/** Most words on a slide, beside a table: of one that is spoken to, and of one with running text, which is read. */
const SPOKEN_WORDS = 55;
const READ_WORDS = 130;
export const mostWords = (texts: readonly Pick<Para, 'style'>[]): number =>
  texts.some(({ style }) => style === 'body') ? READ_WORDS : SPOKEN_WORDS;
/** Words that are read in them; code is no words. */
export const wordsIn = (paras: readonly Para[]): number =>
  paras.reduce((sum, { style, runs }) => sum + (style === 'code' ? 0 : runsReadWords(runs)), 0);
/** Lines of code on one slide. */
export const MOST_CODE = 14;

export interface Draft {
  readonly layout: LayoutName;
  readonly boxes: readonly Box[];
  readonly fit: Fit;
}
export type TextContent = Content & { readonly kind: 'point' | 'text' };
export const FITS = (points: number): Fit => ({ state: 'fits', points, linesOver: 0 });

export const stepFit = (size: number, frame: Frame): Fit => ({
  state: size < frame.style.sizes[0]! ? 'tight' : 'fits',
  points: size,
  linesOver: 0,
});

/** Paragraphs of the texts of a slide. */
export function parasOf(texts: readonly TextContent[]): readonly Para[] {
  const marks: (string | undefined)[] = [];
  for (const part of texts)
    if (part.kind === 'point' && part.mark !== undefined) {
      const { text } = part.mark;
      if (text.length > (marks[part.level - 1]?.length ?? 0)) marks[part.level - 1] = text;
    }
  return texts.map(({ id, runs, ...part }): Para => {
    if (part.kind === 'text') return { part: id, style: part.style, level: 1, runs };
    const { level, mark } = part;
    const point: Para = { part: id, style: 'point', level, runs };
    return marks.length === 0 ? point : { ...point, ...(mark === undefined ? {} : { mark }), marks };
  });
}

/** @param free It stands in no placeholder. @param spread See `TextBox`. */
export function textBox(
  paras: readonly Para[],
  frame: Frame,
  theme: Theme,
  size: number,
  free = false,
  spread = 1,
): TextBox {
  let placed: TextBox['paragraphs'] | undefined;
  return {
    kind: 'text',
    frame,
    paras,
    scale: size / frame.style.sizes[0]!,
    spread,
    ...(free ? { free } : {}),
    get paragraphs() {
      return (placed ??= placeText(paras, frame, theme, size, spread));
    },
  };
}

/** Over an edge a picture fills its frame; else all of it is seen. */
const OVER_EDGES: ReadonlySet<LayoutName> = new Set(['picture-bleed', 'cover-picture']);

/** How a picture stands in its frame on a layout, where its author has not said it. */
export const usualDress = (layout: LayoutName): PictureDress =>
  OVER_EDGES.has(layout) ? { ...PLAIN_DRESS, as: 'fill' } : PLAIN_DRESS;

export function pictureBox(
  part: PicturePart,
  layout: LayoutName,
  role: Role,
  { theme, pictures }: LayoutOptions,
): PictureBox {
  const frame = frameIn(theme, layout, role);
  const dress = part.dress ?? usualDress(layout);
  const size = part.own ?? pictures.get(part.picture);
  const [left, top, right, bottom] = dress.crop;
  const width = Math.max(1, (size?.width ?? 1) * (1 - left - right));
  const height = Math.max(1, (size?.height ?? 1) * (1 - top - bottom));
  const common = { kind: 'picture', frame, part: part.id, picture: part.picture, alt: part.alt, dress } as const;
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
