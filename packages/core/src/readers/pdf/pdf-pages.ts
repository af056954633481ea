/** Takes texts, pictures and links of every page out of a PDF (ISO 32000-1), by pdfjs. */
import { encode } from 'fast-png';
import { LIMITS, ReadError, type Report } from '../../base/index.ts';
import { safeLink } from '../../content/index.ts';

/** A piece of text in one font; lengths in points, y upwards from the page's foot. */
export interface Item {
  readonly text: string;
  readonly x: number;
  readonly y: number /* baseline */;
  readonly width: number;
  readonly size: number;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly mono: boolean;
  readonly link: string | undefined;
}
export interface PagePicture {
  readonly y: number /* its top */;
  readonly x: number;
  readonly name: string;
  readonly png: () => Uint8Array;
}
export interface PdfPage {
  readonly number: number /* 1-based */;
  readonly width: number;
  readonly height: number;
  readonly items: readonly Item[];
  readonly pictures: readonly PagePicture[];
}
export interface Bookmark {
  readonly title: string;
  readonly depth: number /* 1.. */;
}
export interface PdfSource {
  readonly pageCount: number;
  readonly title: string | null;
  readonly author: string | null;
  readonly language: string | null;
  readonly bookmarks: readonly Bookmark[];
  page(number: number): Promise<PdfPage>;
  close(): Promise<void>;
}

// What we use of pdfjs; its own types need a DOM, which core does not have.
interface Outline {
  readonly title: string;
  readonly items: readonly Outline[];
}
interface TextItem {
  readonly str: string;
  readonly transform: readonly number[];
  readonly width: number;
  readonly fontName: string;
}
interface Font {
  readonly name?: string;
  readonly bold?: boolean;
  readonly black?: boolean;
  readonly italic?: boolean;
  readonly isMonospace?: boolean;
}
interface Bitmap {
  readonly width: number;
  readonly height: number;
  readonly kind: number;
  readonly data?: Uint8Array | Uint8ClampedArray;
}
interface Objects {
  has(id: string): boolean;
  get(id: string): unknown;
}
interface Page {
  readonly view: readonly number[];
  readonly commonObjs: Objects;
  readonly objs: Objects;
  getTextContent(): Promise<{ items: readonly (TextItem | { readonly type: string })[] }>;
  getOperatorList(): Promise<{ fnArray: readonly number[]; argsArray: readonly (readonly unknown[])[] }>;
  getAnnotations(): Promise<readonly { subtype: string; url?: string; rect: readonly number[] }[]>;
  cleanup(): void;
}
interface Pdf {
  readonly numPages: number;
  getPage(number: number): Promise<Page>;
  getOutline(): Promise<readonly Outline[] | null>;
  getMetadata(): Promise<{ info: Readonly<Record<string, unknown>> }>;
  readonly loadingTask: { destroy(): Promise<void> };
}
interface Pdfjs {
  getDocument(options: Readonly<Record<string, unknown>>): { readonly promise: Promise<Pdf> };
  readonly OPS: Readonly<Record<string, number>>;
}

const LEAST_PICTURE = 24; // pixels
const MOST_BOOKMARKS = 5000;

/** @throws ReadError `encrypted`, `bad-pdf`. */
export async function openPdf(bytes: Uint8Array, assets: string | undefined, report: Report): Promise<PdfSource> {
  const pdfjs = (await import('pdfjs-dist/legacy/build/pdf.mjs')) as unknown as Pdfjs;
  let pdf: Pdf;
  try {
    pdf = await pdfjs.getDocument({
      // It takes the bytes over; ours stay.
      data: new Uint8Array(bytes),
      isEvalSupported: false,
      disableFontFace: true,
      useSystemFonts: false,
      maxImageSize: LIMITS.picturePixels,
      verbosity: 0,
      ...(assets === undefined
        ? {}
        : { cMapUrl: `${assets}cmaps/`, cMapPacked: true, standardFontDataUrl: `${assets}standard_fonts/` }),
    }).promise;
  } catch (error) {
    const name = error instanceof Error ? error.name : '';
    throw new ReadError(name === 'PasswordException' ? 'encrypted' : 'bad-pdf', {}, { cause: error });
  }
  const { info } = await pdf.getMetadata().catch(() => ({ info: {} as Readonly<Record<string, unknown>> }));
  const said = (key: string): string | null =>
    typeof info[key] === 'string' && info[key].trim() !== '' ? info[key] : null;
  return {
    pageCount: pdf.numPages,
    title: said('Title'),
    author: said('Author'),
    language: said('Language'),
    bookmarks: await bookmarksOf(pdf),
    page: async (number) => {
      try {
        return await readPage(await pdf.getPage(number), number, pdfjs.OPS);
      } catch (error) {
        report.add('page-not-read', { page: number }, { page: number, reason: (error as Error).message });
        return { number, width: 0, height: 0, items: [], pictures: [] };
      }
    },
    close: () => pdf.loadingTask.destroy(),
  };
}

async function bookmarksOf(pdf: Pdf): Promise<readonly Bookmark[]> {
  const found: Bookmark[] = [];
  const walk = (entries: readonly Outline[], depth: number): void => {
    for (const entry of entries) {
      if (found.length >= MOST_BOOKMARKS || depth > 20) return;
      found.push({ title: entry.title, depth });
      walk(entry.items, depth + 1);
    }
  };
  walk((await pdf.getOutline().catch(() => null)) ?? [], 1);
  return found;
}

async function readPage(page: Page, number: number, ops: Pdfjs['OPS']): Promise<PdfPage> {
  const [left, bottom, right, top] = page.view as [number, number, number, number];
  const operators = await page.getOperatorList();
  const content = await page.getTextContent();
  const links = (await page.getAnnotations().catch(() => [])).flatMap(({ subtype, url, rect }) => {
    const link = subtype === 'Link' && url !== undefined ? safeLink(url) : undefined;
    return link === undefined ? [] : [{ link, rect }];
  });
  const fonts = new Map<string, Pick<Item, 'bold' | 'italic' | 'mono'>>();
  const items = content.items.flatMap((item): readonly Item[] => {
    if (!('str' in item) || item.str === '') return [];
    const [a, b, c, d, x, y] = item.transform as [number, number, number, number, number, number];
    // Text that runs upwards or downwards is a stamp or the label of an axis.
    if (Math.abs(b) > Math.abs(a)) return [];
    let font = fonts.get(item.fontName);
    if (font === undefined) fonts.set(item.fontName, (font = fontLook(page, item.fontName)));
    const size = Math.hypot(c, d) || Math.hypot(a, b);
    const middle = { x: x + item.width / 2, y: y + size / 4 };
    const link = links.find(
      ({ rect: [x0, y0, x1, y1] }) => middle.x >= x0! && middle.x <= x1! && middle.y >= y0! && middle.y <= y1!,
    );
    return [{ text: item.str, x: x - left, y: y - bottom, width: item.width, size, ...font, link: link?.link }];
  });
  const pictures = picturesOf(page, operators, ops, { width: right - left, height: top - bottom });
  page.cleanup();
  return { number, width: right - left, height: top - bottom, items, pictures };
}

function fontLook(page: Page, name: string): Pick<Item, 'bold' | 'italic' | 'mono'> {
  const font = page.commonObjs.has(name) ? (page.commonObjs.get(name) as Font) : {};
  const full = font.name ?? '';
  return {
    bold: font.bold === true || font.black === true || /bold|black|heavy|semibold|demi/i.test(full),
    italic: font.italic === true || /italic|oblique/i.test(full),
    mono: font.isMonospace === true || /mono|courier|consolas|typewriter/i.test(full),
  };
}

type Matrix = readonly [number, number, number, number, number, number];

/** Follows the graphics state for where each picture stands (§8.4.4). */
function picturesOf(
  page: Page,
  { fnArray, argsArray }: Awaited<ReturnType<Page['getOperatorList']>>,
  ops: Pdfjs['OPS'],
  size: { width: number; height: number },
): readonly PagePicture[] {
  const pictures: PagePicture[] = [];
  const saved: Matrix[] = [];
  let matrix: Matrix = [1, 0, 0, 1, 0, 0];
  fnArray.forEach((fn, i) => {
    const args = argsArray[i] ?? [];
    if (fn === ops['save']) saved.push(matrix);
    else if (fn === ops['restore']) matrix = saved.pop() ?? matrix;
    else if (fn === ops['transform']) matrix = times(matrix, args as unknown as Matrix);
    else if (fn === ops['paintFormXObjectBegin']) {
      saved.push(matrix);
      if (Array.isArray(args[0])) matrix = times(matrix, args[0] as unknown as Matrix);
    } else if (fn === ops['paintFormXObjectEnd']) matrix = saved.pop() ?? matrix;
    else if (fn === ops['paintImageXObject'] && typeof args[0] === 'string') {
      const name = args[0];
      const objects = name.startsWith('g_') ? page.commonObjs : page.objs;
      const bitmap = objects.has(name) ? (objects.get(name) as Bitmap | null) : null;
      const [width, height] = [Math.abs(matrix[0]) + Math.abs(matrix[2]), Math.abs(matrix[1]) + Math.abs(matrix[3])];
      // A picture of the whole page lies behind its text.
      if (width > size.width * 0.95 && height > size.height * 0.95) return;
      if (bitmap?.data === undefined || bitmap.width < LEAST_PICTURE || bitmap.height < LEAST_PICTURE) return;
      pictures.push({ x: matrix[4], y: matrix[5] + Math.max(matrix[3], 0), name, png: () => encodePng(bitmap) });
    }
  });
  return pictures;
}

const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

const ONE_BIT = 1;
const RGB = 2;

function encodePng({ width, height, kind, data }: Bitmap): Uint8Array {
  if (kind !== ONE_BIT) {
    const channels = kind === RGB ? 3 : 4;
    // A damaged picture has too few bytes, or too many.
    const pixels = new Uint8Array(width * height * channels);
    pixels.set(data!.subarray(0, pixels.length));
    return encode({ width, height, data: pixels, depth: 8, channels });
  }
  const bytes = data!;
  const gray = new Uint8Array(width * height);
  const stride = (width + 7) >> 3;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      gray[y * width + x] = ((bytes[y * stride + (x >> 3)] ?? 0) >> (7 - (x & 7))) & 1 ? 255 : 0;
  return encode({ width, height, data: gray, depth: 8, channels: 1 });
}
