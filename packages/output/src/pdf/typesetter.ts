/** Sets pieces of text on a page: which font draws which characters, and which way they run. */
import { fontFace, mirroredSign, seenParts, type DrawnPiece } from '@alvex/core';
import { otherFaces, wholeFace, type FontFile } from '@alvex/font-files';
import { facesOf, isBold, keyOf, styleOf } from '../faces.ts';
import { DocumentFont, widthOf, type Glyphs } from './embedded-font.ts';

interface Face {
  readonly has: FontFile['has'];
  readonly font: DocumentFont;
}
/** A part of a text in one font and one direction. */
interface Stretch {
  readonly text: string;
  readonly face: Face;
  readonly rtl: boolean;
}
interface SetStretch extends Stretch {
  readonly glyphs: Glyphs;
}

const UNSEEN = /[\p{Default_Ignorable_Code_Point}\p{Cc}]/u;
/** Signs that have no script of their own. */
const BETWEEN = /[\s\p{P}\p{S}\p{M}\u200c\u200d]/u;
/** Scripts in which glyphs stand in another order than letters, or for several of them. */
const REORDERED = /[\u0900-\u0dff\u0e00-\u0eff]/u;
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/u;

/** Something to write, with its place: `x` is its right edge where it runs from right to left. */
export type Writing = Pick<DrawnPiece, 'text' | 'x' | 'y' | 'size' | 'family' | 'bold' | 'italic' | 'color' | 'rtl'>;

export class Typesetter {
  readonly #doc: PDFKit.PDFDocument;
  readonly #faces: ReadonlyMap<string, Face>;
  readonly #others: Readonly<Record<'regular' | 'bold', readonly Face[]>>;

  private constructor(
    doc: PDFKit.PDFDocument,
    faces: ReadonlyMap<string, Face>,
    others: Readonly<Record<'regular' | 'bold', readonly Face[]>>,
  ) {
    this.#doc = doc;
    this.#faces = faces;
    this.#others = others;
  }

  /** Brings the fonts that the pieces need. @param language Of the deck. */
  static async of(
    doc: PDFKit.PDFDocument,
    pieces: Iterable<Pick<DrawnPiece, 'text' | 'family' | 'bold' | 'italic'>>,
    language: string | null,
  ): Promise<Typesetter> {
    const faces = new Map<string, Face>();
    const lacking = { regular: new Set<string>(), bold: new Set<string>() };
    for (const [key, { family, style, signs }] of facesOf(pieces)) {
      const file = await wholeFace(family, style);
      const { has } = file;
      faces.set(key, { has, font: new DocumentFont(doc, file, fontFace(family, style)) });
      const missing = lacking[isBold(style) ? 'bold' : 'regular'];
      for (const sign of signs) if (!has(sign.codePointAt(0)!)) missing.add(sign);
    }
    const others = async (weight: 'regular' | 'bold'): Promise<readonly Face[]> =>
      (await otherFaces([...lacking[weight]].sort(), weight === 'bold', language)).map((file) => ({
        has: file.has,
        font: new DocumentFont(doc, file),
      }));
    return new Typesetter(doc, faces, { regular: await others('regular'), bold: await others('bold') });
  }

  /** @param anchor Which end of it stands at `x`, as it is read. */
  write(piece: Writing, anchor: 'start' | 'middle' | 'end' = 'start'): void {
    const { x, y, size, color } = piece;
    if (piece.text.trim() === '') return;
    const stretches = this.#set(piece);
    if (stretches.length === 0) return;
    const doc = this.#doc;
    doc.fillColor(`#${color}`, 1);
    const widths = stretches.map(({ glyphs }) => widthOf(glyphs, size));
    const width = widths.reduce((sum, one) => sum + one, 0);
    const atRight = (anchor === 'end') !== (piece.rtl === true);
    let left = anchor === 'middle' ? x - width / 2 : atRight ? x - width : x;
    stretches.forEach(({ text, rtl, face: { font }, glyphs }, i) => {
      if (rtl) font.paintDots(asSet({ text, rtl }), left, y, size);
      const spoken = REORDERED.test(text);
      if (spoken) doc.markContent('Span', { actual: text });
      font.show(glyphs, left, y, size);
      if (spoken) doc.endMarkedContent();
      left += widths[i]!;
    });
  }

  /** Parts of a text as glyphs, as they are seen from the left. */
  #set(piece: Writing): readonly SetStretch[] {
    const face = this.#faces.get(keyOf(piece.family, styleOf(piece)));
    if (face === undefined) throw new RangeError(`The font ${piece.family} was not brought along.`);
    const { text } = piece;
    const glyphs = piece.rtl === true ? undefined : face.font.plain(text);
    if (glyphs !== undefined) return [{ text, face, rtl: false, glyphs }];
    return seenParts(text, piece.rtl === true)
      .flatMap((part) => this.#stretches(part, face, piece.bold))
      .map((stretch) => ({ ...stretch, glyphs: stretch.face.font.laidOut(asSet(stretch), stretch.rtl) }));
  }

  /** Parts of a text, each in a font that has its characters, as they are seen from the left. What none has is drawn by the first, as an empty box. */
  #stretches({ text, rtl }: Pick<Stretch, 'text' | 'rtl'>, first: Face, bold: boolean): readonly Stretch[] {
    const has = (face: Face, sign: string): boolean => face.has(sign.codePointAt(0)!);
    const found: { text: string; face: Face; rtl: boolean }[] = [];
    for (const written of text) {
      const sign = written === '\t' ? ' ' : written;
      const last = found.at(-1);
      // What joins nothing stays with what it stands beside, so that marks and joiners find their letter.
      if (last !== undefined && (last.face === first || BETWEEN.test(sign)) && has(last.face, sign)) {
        last.text += sign;
        continue;
      }
      // Nobody sees them; the font of what they stand beside may need them to join or part it.
      if (UNSEEN.test(sign)) continue;
      const others = this.#others[bold ? 'bold' : 'regular'];
      const face = has(first, sign) ? first : (others.find((other) => has(other, sign)) ?? first);
      if (last?.face === face) last.text += sign;
      else found.push({ text: sign, face, rtl });
    }
    return rtl ? found.reverse() : found;
  }
}

/** What runs from right to left is mirrored, and turned about where the layout engine sees no letter by which it would do that. */
function asSet({ text, rtl }: Pick<Stretch, 'text' | 'rtl'>): string {
  if (!rtl) return text;
  const mirrored = [...text].map(mirroredSign);
  return RIGHT_TO_LEFT.test(text) ? mirrored.join('') : mirrored.reverse().join('');
}
