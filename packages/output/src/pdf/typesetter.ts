/** Sets pieces of text on a page: which font draws which characters, and which way they run. */
import { mirroredSign, seenParts, type DrawnPiece } from '@alvex/core';
import { otherFaces, wholeFace, type FontFile } from '@alvex/font-files';
import { facesOf, isBold, keyOf, styleOf } from '../faces.ts';
import { AS_A_WHOLE, currentFont, paintDots, showText } from './embedded-font.ts';

/** A font that the document knows by its name. */
type Face = Pick<FontFile, 'name' | 'has'>;
/** A part of a text in one font and one direction. */
interface Stretch {
  readonly text: string;
  readonly face: Face;
  readonly rtl: boolean;
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
      const { name, bytes, has } = await wholeFace(family, style);
      doc.registerFont(name, padded(bytes));
      faces.set(key, { name, has });
      const missing = lacking[isBold(style) ? 'bold' : 'regular'];
      for (const sign of signs) if (!has(sign.codePointAt(0)!)) missing.add(sign);
    }
    const others = async (weight: 'regular' | 'bold'): Promise<readonly Face[]> =>
      (await otherFaces([...lacking[weight]].sort(), weight === 'bold', language)).map(({ name, bytes, has }) => {
        doc.registerFont(name, padded(bytes));
        return { name, has };
      });
    return new Typesetter(doc, faces, { regular: await others('regular'), bold: await others('bold') });
  }

  /** @param anchor Which end of it stands at `x`, as it is read. */
  write(piece: Writing, anchor: 'start' | 'middle' | 'end' = 'start'): void {
    const { x, y, size, color } = piece;
    const stretches = seenParts(piece.text, piece.rtl === true).flatMap((part) => this.#stretches(part, piece));
    if (stretches.every(({ text }) => text.trim() === '')) return;
    const doc = this.#doc;
    doc.fillColor(`#${color}`, 1);
    const plain = stretches.length === 1 && anchor === 'start' && piece.rtl !== true;
    const widths = plain ? [0] : stretches.map((stretch) => this.#width(stretch, size));
    const width = widths.reduce((sum, one) => sum + one, 0);
    const atRight = (anchor === 'end') !== (piece.rtl === true);
    let left = anchor === 'middle' ? x - width / 2 : atRight ? x - width : x;
    stretches.forEach((stretch, i) => {
      this.#use(stretch, size);
      if (stretch.rtl) paintDots(doc, asSet(stretch), left, y, size);
      const spoken = REORDERED.test(stretch.text);
      if (spoken) doc.markContent('Span', { actual: stretch.text });
      showText(doc, asSet(stretch), whole(stretch), [left, y, size]);
      if (spoken) doc.endMarkedContent();
      left += widths[i]!;
    });
  }

  #width(stretch: Stretch, size: number): number {
    this.#use(stretch, size);
    return this.#doc.widthOfString(asSet(stretch), whole(stretch));
  }

  #use({ face, rtl }: Stretch, size: number): void {
    this.#doc.font(face.name, size);
    currentFont(this.#doc, rtl);
  }

  /** Parts of a text, each in a font that has its characters, as they are seen from the left. What none has is drawn by the first, as an empty box. */
  #stretches({ text, rtl }: Pick<Stretch, 'text' | 'rtl'>, piece: Writing): readonly Stretch[] {
    const first = this.#faces.get(keyOf(piece.family, styleOf(piece)));
    if (first === undefined) throw new RangeError(`The font ${piece.family} was not brought along.`);
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
      const others = this.#others[piece.bold ? 'bold' : 'regular'];
      const face = has(first, sign) ? first : (others.find((other) => has(other, sign)) ?? first);
      if (last?.face === face) last.text += sign;
      else found.push({ text: sign, face, rtl });
    }
    return rtl ? found.reverse() : found;
  }
}

/** An empty glyph may be said to begin where the file ends, and the layout engine looks at its head all the same. */
const padded = (bytes: Uint8Array): Buffer => Buffer.concat([bytes, Buffer.alloc(16)]);

/** What runs from right to left is mirrored, and turned about where the layout engine sees no letter by which it would do that. */
function asSet({ text, rtl }: Stretch): string {
  if (!rtl) return text;
  const mirrored = [...text].map(mirroredSign);
  return RIGHT_TO_LEFT.test(text) ? mirrored.join('') : mirrored.reverse().join('');
}

const whole = ({ rtl }: Stretch): PDFKit.Mixins.TextOptions => (rtl ? AS_A_WHOLE : {});
