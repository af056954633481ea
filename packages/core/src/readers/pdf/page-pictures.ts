/** The pictures of a page: as the file holds them where slides can show that, else as PNG. */
import { encode } from 'fast-png';
import { LIMITS } from '../../base/index.ts';
import type { PagePicture } from './page.ts';
import type { Pdfium, Pointer } from './pdfium.ts';
import { isTurned } from '../picture-store.ts';
import { isSpacer } from '../spacer.ts';

type Matrix = readonly [number, number, number, number, number, number];

const IMAGE = 3;
const FORM = 5;
const LEAST_PICTURE = 24; // pixels
const MOST_DEPTH = 8; // forms within forms
const WHOLE_PAGE = 0.95;
const PLAIN: Matrix = [1, 0, 0, 1, 0, 0];

export interface PageExtent {
  readonly width: number;
  readonly height: number;
  /** A picture of the whole page lies behind its text; without text it is what the page shows. */
  readonly hasText: boolean;
  /** Whether a picture of the file may have a mask of its own. */
  readonly hasMasks: boolean;
}

export function picturesOf(pdfium: Pdfium, page: Pointer, extent: PageExtent): readonly PagePicture[] {
  const found: PagePicture[] = [];
  const typeOf = pdfium.bound('FPDFPageObj_GetType');
  const objectOf = pdfium.bound('FPDFPage_GetObject');
  const walk = (count: number, get: (i: number) => Pointer, outer: Matrix, depth: number): void => {
    for (let i = 0; i < count; i++) {
      const object = get(i);
      const type = typeOf(object);
      if (type === IMAGE) {
        const picture = pictureOf(pdfium, page, object, outer, extent);
        if (picture !== undefined) found.push(picture);
      } else if (type === FORM && depth < MOST_DEPTH)
        walk(
          pdfium.call('FPDFFormObj_CountObjects', object),
          (at) => pdfium.call('FPDFFormObj_GetObject', object, at),
          times(outer, matrixOf(pdfium, object)),
          depth + 1,
        );
    }
  };
  walk(pdfium.call('FPDFPage_CountObjects', page), (i) => objectOf(page, i), PLAIN, 0);
  return found;
}

function pictureOf(
  pdfium: Pdfium,
  page: Pointer,
  object: Pointer,
  outer: Matrix,
  { width: pageWidth, height: pageHeight, hasText, hasMasks }: PageExtent,
): PagePicture | undefined {
  const own = matrixOf(pdfium, object);
  const matrix = times(outer, own);
  const [a, b, c, d, x, y] = matrix;
  const [width, height] = [Math.abs(a) + Math.abs(c), Math.abs(b) + Math.abs(d)];
  if (isSpacer(width, height)) return undefined;
  if (hasText && width > pageWidth * WHOLE_PAGE && height > pageHeight * WHOLE_PAGE) return undefined;
  pdfium.clear();
  pdfium.call('FPDFImageObj_GetImagePixelSize', object, pdfium.at(0), pdfium.at(1));
  const [columns, rows] = [pdfium.int32(0), pdfium.int32(2)];
  if (columns < LEAST_PICTURE || rows < LEAST_PICTURE || columns * rows > LIMITS.picturePixels) return undefined;
  // The pixels are asked for at once: the page is closed when its pictures are taken.
  const turns = QUARTERS[pdfium.call('FPDFPage_GetRotation', page)] ?? PLAIN;
  const seen = ofPixels(times(turns, matrix), columns, rows);
  const isPlain = seen[0] > 0 && seen[3] > 0;
  const masked = hasMasks || pdfium.call('FPDFPageObj_HasTransparency', object) !== 0;
  const drawn = (wanted?: (pixels: Pixels) => boolean) => drawnOf(pdfium, page, object, own, seen, wanted);
  const bytes =
    (!isPlain ? drawn() : masked ? drawn(isSeenThrough) : undefined) ??
    jpegOf(pdfium, page, object) ??
    pngOf(pdfium, pdfium.call('FPDFImageObj_GetBitmap', object));
  if (bytes === undefined) return undefined;
  return { x: x + Math.min(a, 0) + Math.min(c, 0), y: y + Math.max(b, 0) + Math.max(d, 0), width, height, bytes };
}

const RGB = 2;
const GRAY = 1;
const ICC = 7;

/** The file's own JPEG, where it is one, without a mask and in colours that all programs know. */
function jpegOf(pdfium: Pdfium, page: Pointer, object: Pointer): Uint8Array | undefined {
  if (pdfium.call('FPDFImageObj_GetImageFilterCount', object) !== 1) return undefined;
  const filter = pdfium.narrowText((buffer, length) =>
    pdfium.call('FPDFImageObj_GetImageFilter', object, 0, buffer, length),
  );
  if (filter !== 'DCTDecode') return undefined;
  // Width, height, two resolutions, bits of a pixel, colour space, mark: four bytes each.
  if (pdfium.call('FPDFImageObj_GetImageMetadata', object, page, pdfium.at(0)) === 0) return undefined;
  const [bits, space] = [pdfium.int32(4), pdfium.int32(5)];
  if (!(space === RGB || space === GRAY || space === ICC) || (bits !== 24 && bits !== 8)) return undefined;
  const file = pdfium.written((buffer, length) => pdfium.call('FPDFImageObj_GetImageDataRaw', object, buffer, length));
  // On a page nothing is turned but by the page.
  return file !== undefined && isTurned(file) ? undefined : file;
}

/** How a page is turned when it is shown, clockwise by quarters (§7.7.3.3, Rotate). */
const QUARTERS: readonly Matrix[] = [PLAIN, [0, -1, 1, 0, 0, 0], [-1, 0, 0, -1, 0, 0], [0, 1, -1, 0, 0, 0]];

/** A picture one for one, as many points as it has pixels, standing, lying or mirrored as `matrix` has it. */
function ofPixels([a, b, c, d]: Matrix, columns: number, rows: number): Matrix {
  const isLying = Math.abs(b) + Math.abs(c) > Math.abs(a) + Math.abs(d);
  const [across, up] = isLying
    ? [c < 0 ? -rows : rows, b < 0 ? -columns : columns]
    : [a < 0 ? -columns : columns, d < 0 ? -rows : rows];
  const [x, y] = [Math.max(0, -across), Math.max(0, -up)];
  return isLying ? [0, up, across, 0, x, y] : [across, 0, 0, up, x, y];
}

/** Its pixels with its mask. */
function drawnOf(
  pdfium: Pdfium,
  page: Pointer,
  object: Pointer,
  own: Matrix,
  as: Matrix,
  wanted?: (pixels: Pixels) => boolean,
): Uint8Array | undefined {
  pdfium.call('FPDFPageObj_SetMatrix', object, pdfium.setFloats32(as));
  const bitmap = pdfium.call('FPDFImageObj_GetRenderedBitmap', pdfium.document, page, object);
  pdfium.call('FPDFPageObj_SetMatrix', object, pdfium.setFloats32(own));
  return pngOf(pdfium, bitmap, wanted);
}

const isSeenThrough = ({ channels, data }: Pixels): boolean =>
  channels === 4 && data.some((byte, i) => i % 4 === 3 && byte < 255);

/** @param wanted Whether it is worth being a file. */
function pngOf(
  pdfium: Pdfium,
  bitmap: Pointer,
  wanted: (pixels: Pixels) => boolean = () => true,
): Uint8Array | undefined {
  if (bitmap === 0) return undefined;
  try {
    const pixels = pixelsOf(pdfium, bitmap);
    return pixels === undefined || !wanted(pixels) ? undefined : encode(pixels);
  } finally {
    pdfium.call('FPDFBitmap_Destroy', bitmap);
  }
}

/** Bytes of a pixel by PDFium's formats: gray; blue, green and red; those and a fourth. */
const CHANNELS: Readonly<Record<number, number>> = { 1: 1, 2: 3, 3: 4, 4: 4 };
const BGRA = 4;

type Pixels = Parameters<typeof encode>[0] & { readonly data: Uint8Array };

function pixelsOf(pdfium: Pdfium, bitmap: Pointer): Pixels | undefined {
  const [width, height, stride, format] = ['GetWidth', 'GetHeight', 'GetStride', 'GetFormat'].map((name) =>
    pdfium.call(`FPDFBitmap_${name}`, bitmap),
  ) as [number, number, number, number];
  const from = CHANNELS[format];
  if (from === undefined || width <= 0 || height <= 0) return undefined;
  const source = pdfium.copy(pdfium.call('FPDFBitmap_GetBuffer', bitmap), stride * height);
  const channels = from === 1 ? 1 : format === BGRA ? 4 : 3;
  const data = new Uint8Array(width * height * channels);
  let to = 0;
  for (let row = 0; row < height; row++)
    for (let at = row * stride; at < row * stride + width * from; at += from) {
      if (channels === 1) data[to++] = source[at]!;
      else {
        data[to++] = source[at + 2]!;
        data[to++] = source[at + 1]!;
        data[to++] = source[at]!;
        if (channels === 4) data[to++] = source[at + 3]!;
      }
    }
  return { width, height, data, depth: 8, channels };
}

function matrixOf(pdfium: Pdfium, object: Pointer): Matrix {
  if (pdfium.call('FPDFPageObj_GetMatrix', object, pdfium.at(0)) === 0) return PLAIN;
  return [0, 1, 2, 3, 4, 5].map((i) => pdfium.float32(i)) as unknown as Matrix;
}

const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];
