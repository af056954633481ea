/** Takes texts, pictures, links, bookmarks and properties out of a PDF (ISO 32000-1), by PDFium. */
import { encodeUtf8, holdsBytes } from '../../base/index.ts';
import { safeLink } from '../../content/index.ts';
import type { Bookmark, PdfPage } from './page.ts';
import { picturesOf } from './page-pictures.ts';
import { PageTexts } from './page-text.ts';
import { Pdfium, type Pointer } from './pdfium.ts';

const MOST_BOOKMARKS = 5000;
const DEEPEST_BOOKMARK = 20;
const URI_ACTION = 3;

export class PdfSource {
  readonly pageCount: number;
  readonly #pdfium: Pdfium;
  readonly #texts: PageTexts;

  /** Whether any picture may have a mask of its own (ISO 32000-1 §8.9.6.3, §11.6.5.3): dictionaries of streams are never packed. */
  readonly #hasMasks: boolean;

  private constructor(pdfium: Pdfium, bytes: Uint8Array) {
    this.#pdfium = pdfium;
    this.#hasMasks = ['/SMask', '/Mask'].some((name) => holdsBytes(bytes, encodeUtf8(name)));
    this.#texts = new PageTexts(pdfium);
    this.pageCount = pdfium.call('FPDF_GetPageCount', pdfium.document);
  }

  /** @throws ReadError `encrypted`, `bad-pdf`. */
  static async open(bytes: Uint8Array): Promise<PdfSource> {
    return new PdfSource(await Pdfium.open(bytes), bytes);
  }

  close(): void {
    this.#pdfium.close();
  }

  /** A property of the file (§14.3.3). */
  property(key: 'Title' | 'Author' | 'Subject' | 'Keywords' | 'CreationDate' | 'ModDate'): string | null {
    const pdfium = this.#pdfium;
    const text = pdfium.withText(key, (tag) =>
      pdfium.wideText((buffer, length) => pdfium.call('FPDF_GetMetaText', pdfium.document, tag, buffer, length)),
    );
    return text.trim() === '' ? null : text;
  }

  get bookmarks(): readonly Bookmark[] {
    const pdfium = this.#pdfium;
    const found: Bookmark[] = [];
    const seen = new Set<Pointer>();
    const walk = (parent: Pointer, depth: number): void => {
      let at = pdfium.call('FPDFBookmark_GetFirstChild', pdfium.document, parent);
      // A damaged file may lead back to where it came from.
      while (at !== 0 && !seen.has(at) && found.length < MOST_BOOKMARKS && depth <= DEEPEST_BOOKMARK) {
        seen.add(at);
        const bookmark = at;
        const title = pdfium.wideText((buffer, length) =>
          pdfium.call('FPDFBookmark_GetTitle', bookmark, buffer, length),
        );
        const target = pdfium.call('FPDFBookmark_GetDest', pdfium.document, bookmark);
        const page = target === 0 ? -1 : pdfium.call('FPDFDest_GetDestPageIndex', pdfium.document, target);
        found.push({ title, depth, page: page < 0 ? undefined : page + 1 });
        walk(bookmark, depth + 1);
        at = pdfium.call('FPDFBookmark_GetNextSibling', pdfium.document, bookmark);
      }
    };
    walk(0, 1);
    return found;
  }

  /** @throws Error when the page cannot be read. */
  page<T>(number: number, use: (page: PdfPage, at: Pointer, pdfium: Pdfium) => T): T {
    const pdfium = this.#pdfium;
    const at = pdfium.call('FPDF_LoadPage', pdfium.document, number - 1);
    if (at === 0) throw new Error('it is damaged');
    try {
      const [width, height] = [pdfium.call('FPDF_GetPageWidth', at), pdfium.call('FPDF_GetPageHeight', at)];
      const links = this.#links(at);
      const linkAt = (x: number, y: number): string | undefined =>
        links.find(({ left, right, bottom, top }) => x >= left && x <= right && y >= bottom && y <= top)?.link;
      const text = this.#texts.read(at, linkAt);
      const pictures = picturesOf(pdfium, at, {
        width,
        height,
        hasText: text.items.length > 0,
        hasMasks: this.#hasMasks,
      });
      return use({ number, width, height, ...text, pictures }, at, pdfium);
    } finally {
      pdfium.call('FPDF_ClosePage', at);
    }
  }

  #links(page: Pointer) {
    const pdfium = this.#pdfium;
    const found: { left: number; right: number; bottom: number; top: number; link: string }[] = [];
    pdfium.clear();
    while (pdfium.call('FPDFLink_Enumerate', page, pdfium.at(0), pdfium.at(1)) !== 0) {
      const annotation = pdfium.int32(2);
      const action = pdfium.call('FPDFLink_GetAction', annotation);
      if (action === 0 || pdfium.call('FPDFAction_GetType', action) !== URI_ACTION) continue;
      const uri = pdfium.narrowText((buffer, length) =>
        pdfium.call('FPDFAction_GetURIPath', pdfium.document, action, buffer, length),
      );
      const link = safeLink(uri);
      if (link === undefined || pdfium.call('FPDFLink_GetAnnotRect', annotation, pdfium.at(2)) === 0) continue;
      // Left, top, right and bottom, as floats.
      const [left, top, right, bottom] = [4, 5, 6, 7].map((i) => pdfium.float32(i)) as [number, number, number, number];
      found.push({ left, right, bottom: Math.min(bottom, top), top: Math.max(bottom, top), link });
    }
    return found;
  }
}
