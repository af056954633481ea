/** A page before it knows its place, its title and its notes, and what its boxes are made of. */
import { runsReadWords, type Picture, type PictureId } from '../content/index.ts';
import type { Content, FullRule } from '../deck/index.ts';
import type { Frame, LayoutName, Theme } from '../theme/index.ts';
import type { Box, Fit, Para, TextBox } from './page.ts';
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
  return texts.map(({ id, runs, direction, ...part }): Para => {
    const written = direction === undefined ? {} : { direction };
    if (part.kind === 'text') return { part: id, style: part.style, level: 1, runs, ...written };
    const { level, mark } = part;
    const point: Para = { part: id, style: 'point', level, runs, ...written };
    return marks.length === 0 ? point : { ...point, ...(mark === undefined ? {} : { mark }), marks };
  });
}

/** @param free It stands in no placeholder. @param spread See `TextBox`. @param item Of a figure. */
export function textBox(
  paras: readonly Para[],
  frame: Frame,
  theme: Theme,
  size: number,
  free = false,
  spread = 1,
  item?: number,
): TextBox {
  let placed: TextBox['paragraphs'] | undefined;
  return {
    kind: 'text',
    frame,
    paras,
    scale: size / frame.style.sizes[0]!,
    spread,
    ...(free ? { free } : {}),
    ...(item === undefined ? {} : { item }),
    get paragraphs() {
      return (placed ??= placeText(paras, frame, theme, size, spread));
    },
  };
}
