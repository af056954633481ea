/** The pieces of text of a page, from PDFium's characters. */
import { textDecoder } from '../../base/index.ts';
import type { Item } from './page.ts';
import type { Pdfium, Pointer } from './pdfium.ts';

type FontLook = Pick<Item, 'bold' | 'italic' | 'mono'>;
/** What characters of one text object share. */
interface Piece extends FontLook {
  readonly size: number;
  /** It runs upwards or downwards: a stamp, or the label of an axis. */
  readonly turned: boolean;
  /** Of marked content, which the structure of a tagged file names; -1 for none (ISO 32000-1 §14.7.4). */
  readonly mark: number;
}

export interface PageText {
  readonly items: readonly Item[];
  /** Text that runs upwards or downwards. */
  readonly turned: string;
  /** All characters of the page, as the library gives them as a whole. */
  readonly source: string;
}

const UTF16 = textDecoder('utf-16le');
const SAME_BASELINE = 0.2; // of the size
const GAP = 0.3; // of the size, between two characters of a piece
const HYPHEN = 0x2;
const SPACE = 0x20;
const BOLD_FLAG = 1 << 18;
const ITALIC_FLAG = 1 << 6;
const FIXED_FLAG = 1;
const BOLD_WEIGHT = 600;

export class PageTexts {
  readonly #pdfium: Pdfium;
  readonly #fonts = new Map<Pointer, FontLook>();

  constructor(pdfium: Pdfium) {
    this.#pdfium = pdfium;
  }

  /** @param linkAt The link at a place of the page. */
  read(page: Pointer, linkAt: (x: number, y: number) => string | undefined): PageText {
    const pdfium = this.#pdfium;
    // Fonts of a page that was closed may be gone, and their places taken by others.
    this.#fonts.clear();
    const text = pdfium.call('FPDFText_LoadPage', page);
    if (text === 0) return { items: [], turned: '', source: '' };
    try {
      return this.#read(text, linkAt);
    } finally {
      pdfium.call('FPDFText_ClosePage', text);
    }
  }

  #read(text: Pointer, linkAt: (x: number, y: number) => string | undefined): PageText {
    const pdfium = this.#pdfium;
    const count = pdfium.call('FPDFText_CountChars', text);
    const unicode = pdfium.bound('FPDFText_GetUnicode');
    const object = pdfium.bound('FPDFText_GetTextObject');
    const box = pdfium.bound('FPDFText_GetLooseCharBox');
    const generated = pdfium.bound('FPDFText_IsGenerated');
    const origin = pdfium.bound('FPDFText_GetCharOrigin');
    const items: Item[] = [];
    let turned = '';
    let spaced = false;
    let before = ' ';
    let open: Open | undefined;
    let last: { readonly object: Pointer; readonly y: number; readonly piece: Piece } | undefined;
    const close = (): void => {
      if (open !== undefined && open.text.trim() !== '') items.push(itemOf(open, linkAt));
      before = open?.text ?? before;
      open = undefined;
    };
    for (let i = 0; i < count; i++) {
      const code = unicode(text, i);
      // Only white space is the library's own.
      if (code <= SPACE && code !== HYPHEN && generated(text, i) === 1) {
        spaced ||= code === SPACE;
        continue;
      }
      const at = object(text, i);
      // Characters of one object stand on one baseline, in one font.
      if (last?.object !== at || at === 0) {
        origin(text, i, pdfium.at(0), pdfium.at(1));
        last = { y: pdfium.float64(1), object: at, piece: this.#piece(text, i, at) };
      }
      const { piece } = last;
      const character = code === HYPHEN ? '-' : characterOf(code);
      if (piece.turned) {
        turned += character;
        continue;
      }
      // Left, right, bottom and top of the character's share of the line, as floats.
      box(text, i, pdfium.at(8));
      const left = pdfium.float32(16);
      const right = pdfium.float32(18);
      const { y } = last;
      if (open !== undefined && !continues(open, piece, left, right, y)) close();
      // The library sees a space by the distance; pieces of one line keep it before the second.
      const apart = spaced && !/\s$/.test(open?.text ?? before) && character !== ' ';
      spaced = false;
      open ??= { piece, text: '', left, right: left, last: left, y };
      open.text += apart ? ` ${character}` : character;
      open.last = left;
      open.left = Math.min(open.left, left);
      open.right = Math.max(open.right, right);
    }
    close();
    // Of a page without characters the library writes nothing.
    const source =
      count === 0
        ? undefined
        : pdfium.written((buffer) =>
            buffer === 0 ? (count + 1) * 2 : pdfium.call('FPDFText_GetText', text, 0, count, buffer),
          );
    return { items, turned, source: source === undefined ? '' : UTF16.decode(source).replace(/\0[\s\S]*$/, '') };
  }

  #piece(text: Pointer, i: number, object: Pointer): Piece {
    const pdfium = this.#pdfium;
    const matrix = pdfium.call('FPDFText_GetMatrix', text, i, pdfium.at(0)) !== 0;
    const [a, b, c, d] = matrix
      ? ([0, 1, 2, 3].map((at) => pdfium.float32(at)) as [number, number, number, number])
      : [1, 0, 0, 1];
    const size = pdfium.call('FPDFText_GetFontSize', text, i) * (Math.hypot(c, d) || Math.hypot(a, b));
    const font = object === 0 ? 0 : pdfium.call('FPDFTextObj_GetFont', object);
    let look = this.#fonts.get(font);
    if (look === undefined) this.#fonts.set(font, (look = this.#look(font)));
    const mark = object === 0 ? -1 : pdfium.call('FPDFPageObj_GetMarkedContentID', object);
    return { ...look, size, turned: Math.abs(b) > Math.abs(a), mark };
  }

  #look(font: Pointer): FontLook {
    if (font === 0) return { bold: false, italic: false, mono: false };
    const pdfium = this.#pdfium;
    const name = pdfium.narrowText((buffer, length) => pdfium.call('FPDFFont_GetBaseFontName', font, buffer, length));
    const flags = pdfium.call('FPDFFont_GetFlags', font);
    const weight = pdfium.call('FPDFFont_GetWeight', font);
    return {
      bold:
        /bold|black|heavy|semibold|demi/i.test(name) ||
        (flags & BOLD_FLAG) !== 0 ||
        (weight >= BOLD_WEIGHT && weight < 1000 && !/regular|roman|book|light/i.test(name)),
      italic: /italic|oblique/i.test(name) || (flags & ITALIC_FLAG) !== 0,
      mono: /mono|courier|consolas|typewriter/i.test(name) || (flags & FIXED_FLAG) !== 0,
    };
  }
}

interface Open {
  readonly piece: Piece;
  text: string;
  left: number;
  right: number;
  /** Where the last character begins. */
  last: number;
  readonly y: number;
}

const ASCII = Array.from({ length: 128 }, (_, code) => (code === 0 ? '' : String.fromCharCode(code)));
const characterOf = (code: number): string => ASCII[code] ?? (code > 0x10ffff ? '' : String.fromCodePoint(code));

/** Text that runs from the right goes on at the left of what stands there. */
function continues(
  { piece, left, right, last, y }: Open,
  next: Piece,
  from: number,
  to: number,
  baseline: number,
): boolean {
  const gap = GAP * piece.size;
  return (
    next.size === piece.size &&
    next.bold === piece.bold &&
    next.italic === piece.italic &&
    next.mono === piece.mono &&
    next.mark === piece.mark &&
    Math.abs(baseline - y) <= SAME_BASELINE * piece.size &&
    // Characters of a ligature share its box.
    ((from >= last - 0.1 && to <= right + 0.1) ||
      (from >= right - gap && from <= right + gap) ||
      (to <= left + gap && to >= left - gap))
  );
}

function itemOf({ piece, text, left, right, y }: Open, linkAt: (x: number, y: number) => string | undefined): Item {
  const { size, bold, italic, mono, mark } = piece;
  const link = linkAt((left + right) / 2, y + size / 4);
  return { text, x: left, y, width: right - left, size, bold, italic, mono, mark, link };
}
