/**
 * What pdfkit's embedded fonts have inside, and how text is written with them: plain text by our own measures, since a deck is mostly that and
 * the layout engine takes ten times as long; all else by the engine, and what runs from right to left so that it can be read again.
 */
import { mirroredSign, type FontMetrics } from '@alvex/core';
import type { FontFile } from '@alvex/font-files';

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
  readonly subset: { readonly glyphs: number[]; includeGlyph(id: number): number };
  readonly font: {
    getGlyph(id: number, codePoints?: readonly number[]): Glyph;
    glyphForCodePoint(codePoint: number): Glyph;
    hasGlyphForCodePoint(codePoint: number): boolean;
  };
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
const AS_A_WHOLE = ['kern'];

/** A text as glyphs: their numbers within the part of the font that is embedded, in hexadecimal, and their places. */
export type Glyphs = ReturnType<EmbeddedFont['encode']>;

/** A font of a document, as it is written with. */
export class DocumentFont {
  readonly #doc: PDFKit.PDFDocument;
  readonly #font: EmbeddedFont;
  readonly #kern: FontMetrics['kern'] | undefined;
  /** Of characters that are set one by one. */
  readonly #alone = new Map<number, { readonly number: string; readonly place: Position }>();
  #isApart = false;

  /** @param metrics Of the same face; without them all text goes through the layout engine. */
  constructor(doc: PDFKit.PDFDocument, file: Pick<FontFile, 'name' | 'bytes'>, metrics?: FontMetrics) {
    doc.registerFont(file.name, padded(file.bytes)).font(file.name);
    this.#doc = doc;
    const font = (this.#font = (doc as unknown as { readonly _font: EmbeddedFont })._font);
    const layOut = font.layoutRun.bind(font);
    font.layoutRun = (text) => layOut(text, FEATURES);
    this.#kern = metrics?.kern.bind(metrics);
  }

  /** Of text of which each character is a glyph of its own; undefined for any other, and where the font lacks a character. */
  plain(text: string): Glyphs | undefined {
    if (this.#kern === undefined || !PLAIN.test(text)) return undefined;
    const numbers: string[] = [];
    const places: Position[] = [];
    for (let i = 0; i < text.length; i++) {
      const codePoint = text.charCodeAt(i);
      const glyph = this.#alone.get(codePoint) ?? this.#take(codePoint);
      if (glyph === undefined) return undefined;
      const kern = i + 1 < text.length ? this.#kern(codePoint, text.charCodeAt(i + 1)) * 1000 : 0;
      numbers.push(glyph.number);
      places.push(kern === 0 ? glyph.place : { ...glyph.place, xAdvance: glyph.place.xAdvance + kern });
    }
    return [numbers, places];
  }

  #take(codePoint: number) {
    const { font, subset, scale, widths, unicode } = this.#font;
    if (!font.hasGlyphForCodePoint(codePoint)) return undefined;
    const { id, advanceWidth } = font.glyphForCodePoint(codePoint);
    const own = subset.includeGlyph(id);
    const width = (widths[own] ??= advanceWidth * scale);
    unicode[own] ??= [codePoint];
    const place = { advanceWidth: width, xAdvance: width, xOffset: 0, yOffset: 0 };
    const taken = { number: hexadecimal(own), place };
    this.#alone.set(codePoint, taken);
    return taken;
  }

  /** As the layout engine sets it. */
  laidOut(text: string, rtl: boolean): Glyphs {
    if (rtl && !this.#isApart) {
      this.#isApart = true;
      tellLettersApart(this.#font);
    }
    return this.#font.encode(text, rtl ? AS_A_WHOLE : undefined);
  }

  /** Shows glyphs from their left end on (ISO 32000-1 §9.4). */
  show([numbers, places]: Glyphs, x: number, y: number, size: number): void {
    const font = this.#font;
    const { fonts } = this.#doc.page as unknown as { readonly fonts: Record<string, unknown> };
    fonts[font.id] ??= font.ref();
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
    places.forEach(({ advanceWidth, xAdvance, xOffset, yOffset }, i) => {
      const isOff = xOffset !== 0 || yOffset !== 0;
      if (isOff || isMoved) {
        flush();
        content += `${at(pen + (xOffset * size) / 1000, y - (yOffset * size) / 1000)}\n`;
      }
      isMoved = isOff;
      glyphs += numbers[i]!;
      if (!isOff && xAdvance !== advanceWidth) {
        shown += `<${glyphs}> ${short(advanceWidth - xAdvance)} `;
        glyphs = '';
      }
      pen += (xAdvance * size) / 1000;
    });
    flush();
    this.#doc.addContent(`${content}ET`);
  }

  /** Dots of letters of a text that runs from right to left, as outlines: as glyphs without a letter they would be read as spaces or worse. */
  paintDots(text: string, x: number, y: number, size: number): void {
    const [doc, font] = [this.#doc, this.#font];
    const { glyphs, positions } = font.layout(text, AS_A_WHOLE);
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
}

/** In the measure of `size`. */
export const widthOf = ([, places]: Glyphs, size: number): number =>
  (places.reduce((sum, { xAdvance }) => sum + xAdvance, 0) * size) / 1000;

/**
 * Letters and signs of Latin, Greek and Cyrillic that are kerned by our measures and neither join nor place what stands beside them: without
 * marks, the soft hyphen, the fraction slash, and the sign before digits that a font of ours sets as one with them.
 */
const PLAIN = /^[ -\]_-~\u00a0-\u00ac\u00ae-\u017f\u0386-\u045f\u2010-\u2027\u2030-\u203f]*$/;

const hexadecimal = (glyph: number): string => glyph.toString(16).padStart(4, '0');

/** An empty glyph may be said to begin where the file ends, and the layout engine looks at its head all the same. */
const padded = (bytes: Uint8Array): Buffer => Buffer.concat([bytes, Buffer.alloc(16)]);

/** As many places as a receiver can show. */
const short = (value: number): string => String(Math.round(value * 1000) / 1000);

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
      encoded.push(hexadecimal(own));
      places.push(position);
    });
    return [encoded, places];
  };
}
