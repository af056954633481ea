/** How large a picture is by what its file says: pixels, and how many of them to a length. */
import type { PictureData } from '../../content/index.ts';

/** Where a file does not say it (CSS Values 4, §6.2). */
const USUAL = 72 / 96; // points to a pixel
const PER_METRE = 72 / 0.0254; // points
const PER_CENTIMETRE = 72 / 2.54; // points

/** Width and height in points. */
export function pictureSize({ bytes, mime, width, height }: PictureData): readonly [number, number] {
  const [x, y] = (mime === 'image/png'
    ? pngDensity(bytes)
    : mime === 'image/jpeg'
      ? jpegDensity(bytes)
      : undefined) ?? [USUAL, USUAL];
  return [width * x, height * y];
}

const view = (bytes: Uint8Array): DataView => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
type Density = readonly [x: number, y: number] /* points to a pixel */;

/** The chunk pHYs before the picture's data (PNG, third edition, §11.3.4.3). */
function pngDensity(bytes: Uint8Array): Density | undefined {
  const data = view(bytes);
  for (let at = 8; at + 8 <= bytes.length;) {
    const size = data.getUint32(at);
    const type = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    if (type === 'IDAT' || type === 'IEND') return undefined;
    if (type === 'pHYs' && at + 17 <= bytes.length) {
      const [x, y] = [data.getUint32(at + 8), data.getUint32(at + 12)];
      return bytes[at + 16] === 1 && x > 0 && y > 0 ? [PER_METRE / x, PER_METRE / y] : undefined;
    }
    at += size + 12;
  }
  return undefined;
}

/** The JFIF head (ITU-T T.871, §10.1), which stands first. */
function jpegDensity(bytes: Uint8Array): Density | undefined {
  if (bytes.length < 18 || String.fromCharCode(...bytes.subarray(6, 10)) !== 'JFIF') return undefined;
  const data = view(bytes);
  const [unit, x, y] = [bytes[13], data.getUint16(14), data.getUint16(16)];
  if (x === 0 || y === 0 || (unit !== 1 && unit !== 2)) return undefined;
  const length = unit === 1 ? 72 : PER_CENTIMETRE;
  return [length / x, length / y];
}
