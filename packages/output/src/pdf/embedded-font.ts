/** What pdfkit's embedded fonts have inside, and what text that runs from right to left needs of them. */
import { mirroredSign } from '@alvex/core';

interface Glyph {
  readonly id: number;
  readonly advanceWidth: number;
  /** None for a part of a letter that stands in another glyph. */
  readonly codePoints: readonly number[];
  readonly path: { toSVG(): string };
}
/** In thousandths of an em. */
interface Position {
  /** Of the glyph alone, without what is between it and the next. */
  readonly advanceWidth: number;
  readonly xAdvance: number;
  readonly xOffset: number;
  readonly yOffset: number;
}
interface EmbeddedFont {
  readonly id: string;
  readonly scale: number;
  readonly widths: number[];
  readonly unicode: (readonly number[])[];
  readonly subset: { readonly glyphs: number[] };
  readonly font: { getGlyph(id: number, codePoints?: readonly number[]): Glyph };
  layoutRun(text: string, features?: unknown): unknown;
  layout(
    text: string,
    features: unknown,
  ): { readonly glyphs: readonly Glyph[]; readonly positions: readonly Position[] };
  encode(text: string, features: unknown): readonly [encoded: readonly string[], positions: readonly Position[]];
  ref(): unknown;
}

/** As on the screen: what must join does, and nothing else. */
const FEATURES = { liga: false, clig: false, dlig: false, calt: false, hlig: false };
/** Not word by word, since its words would stand in the wrong order: pdfkit lays out as a whole where features are named. */
export const AS_A_WHOLE: PDFKit.Mixins.TextOptions = { features: ['kern'] };

const prepared = new WeakMap<EmbeddedFont, { apart: boolean }>();

/** The font in which the document writes now. @param rtl Whether it is to write from right to left. */
export function currentFont(doc: PDFKit.PDFDocument, rtl: boolean): EmbeddedFont {
  const font = (doc as unknown as { readonly _font: EmbeddedFont })._font;
  let state = prepared.get(font);
  if (state === undefined) {
    prepared.set(font, (state = { apart: false }));
    const layOut = font.layoutRun.bind(font);
    font.layoutRun = (text) => layOut(text, FEATURES);
  }
  if (rtl && !state.apart) {
    state.apart = true;
    tellLettersApart(font);
  }
  return font;
}

/**
 * In Arabic several letters share an outline to which their dots are set, so that the outline does not tell the letter. Here each pair of
 * outline and letters is a glyph of its own, and the text can be searched and copied.
 */
function tellLettersApart(font: EmbeddedFont): void {
  // The engine keeps one glyph for each outline, with the letters for which it was first taken.
  const kept = font.font.getGlyph.bind(font.font);
  font.font.getGlyph = (id, codePoints = []) =>
    Object.create(kept(id, codePoints), { codePoints: { value: codePoints } }) as Glyph;
  const known = new Map<string, number>();
  font.encode = (text, features) => {
    const { glyphs, positions } = font.layout(text, features);
    const encoded: string[] = [];
    const places: Position[] = [];
    glyphs.forEach(({ id, advanceWidth, codePoints }, i) => {
      const position = positions[i]!;
      if (codePoints.length === 0) {
        const before = places.pop();
        if (before !== undefined) places.push({ ...before, xAdvance: before.xAdvance + position.xAdvance });
        return;
      }
      const key = `${id} ${codePoints.join(' ')}`;
      let own = known.get(key);
      if (own === undefined) {
        known.set(key, (own = font.subset.glyphs.push(id) - 1));
        font.widths[own] = advanceWidth * font.scale;
        // What was mirrored to be seen is read as it was written.
        font.unicode[own] = codePoints.map((one) => mirroredSign(String.fromCodePoint(one)).codePointAt(0)!);
      }
      encoded.push(own.toString(16).padStart(4, '0'));
      places.push(position);
    });
    return [encoded, places];
  };
}

/**
 * Shows a text in the font of the document, from its left end on (ISO 32000-1 §9.4). As pdfkit would, but without measuring it once more, since
 * its place is known: a deck is mostly short texts.
 */
export function showText(
  doc: PDFKit.PDFDocument,
  text: string,
  { features }: PDFKit.Mixins.TextOptions,
  [x, y, size]: readonly [x: number, y: number, size: number],
): void {
  const font = (doc as unknown as { readonly _font: EmbeddedFont })._font;
  const { fonts } = doc.page as unknown as { readonly fonts: Record<string, unknown> };
  fonts[font.id] ??= font.ref();
  const [encoded, positions] = font.encode(text, features);
  // Lengths grow downwards on our pages, so letters are turned upright.
  const at = (left: number, top: number): string => `1 0 0 -1 ${short(left)} ${short(top)} Tm`;
  let content = `BT\n/${font.id} ${short(size)} Tf\n${at(x, y)}\n`;
  let shown = '';
  let glyphs = '';
  let pen = x;
  let isMoved = false;
  const flush = (): void => {
    if (glyphs !== '') shown += `<${glyphs}>`;
    if (shown !== '') content += `[${shown}] TJ\n`;
    shown = glyphs = '';
  };
  positions.forEach(({ advanceWidth, xAdvance, xOffset, yOffset }, i) => {
    const isOff = xOffset !== 0 || yOffset !== 0;
    if (isOff || isMoved) {
      flush();
      content += `${at(pen + (xOffset * size) / 1000, y - (yOffset * size) / 1000)}\n`;
    }
    isMoved = isOff;
    glyphs += encoded[i]!;
    if (!isOff && xAdvance !== advanceWidth) {
      shown += `<${glyphs}> ${short(advanceWidth - xAdvance)} `;
      glyphs = '';
    }
    pen += (xAdvance * size) / 1000;
  });
  flush();
  doc.addContent(`${content}ET`);
}

/** As many places as a receiver can show. */
const short = (value: number): string => String(Math.round(value * 1000) / 1000);

/** Dots of letters, as outlines: as glyphs without a letter they would be read as spaces or worse. */
export function paintDots(doc: PDFKit.PDFDocument, text: string, x: number, y: number, size: number): void {
  const font = currentFont(doc, true);
  const { glyphs, positions } = font.layout(text, AS_A_WHOLE.features);
  const unit = (size * font.scale) / 1000;
  let pen = x;
  glyphs.forEach(({ codePoints, path }, i) => {
    const { xAdvance, xOffset, yOffset } = positions[i]!;
    if (codePoints.length === 0) {
      doc.save();
      doc.translate(pen + (xOffset * size) / 1000, y - (yOffset * size) / 1000).scale(unit, -unit);
      doc.path(path.toSVG()).fill().restore();
    }
    pen += (xAdvance * size) / 1000;
  });
}
