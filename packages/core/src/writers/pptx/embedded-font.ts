/**
 * Fonts in the file (ECMA-376-1 §19.2.1.9): so that a deck looks the same where its fonts are not installed. Receivers want
 * them as Embedded OpenType (W3C Member Submission "EOT", 2008, version 2.1), here neither compressed nor obscured.
 */
import type { EmbeddedFace } from '../../scene/index.ts';
import type { FaceStyle } from '../../fonts/index.ts';

const VERSION = 0x0002_0001;
const MAGIC = 0x504c;
const SUBSET = 0x1;
/** Lengths of the header before its names, and of what stands before each of them. */
const FIXED = 82;

const STYLE_NAMES: Readonly<Record<FaceStyle, string>> = {
  regular: 'Regular',
  bold: 'Bold',
  italic: 'Italic',
  boldItalic: 'Bold Italic',
};

/** @param ttf A TrueType or OpenType font. @throws RangeError where it has no `OS/2` or `head` table. */
export function embeddedOpenType({ family, style, bytes: ttf }: EmbeddedFace): Uint8Array {
  const tables = tablesOf(ttf);
  const font = new DataView(ttf.buffer, ttf.byteOffset, ttf.byteLength);
  const table = (name: string): number => {
    const at = tables.get(name);
    if (at === undefined) throw new RangeError(`The font ${family} has no table ${name}.`);
    return at;
  };
  const [os2, head] = [table('OS/2'), table('head')];
  const names = [family, STYLE_NAMES[style], '', `${family} ${STYLE_NAMES[style]}`];
  // Each name has its length before it and two bytes of padding behind it; the root string, empty, has its length alone.
  const size = FIXED + names.reduce((sum, name) => sum + 4 + name.length * 2, 0) + 2 + ttf.length;
  const bytes = new Uint8Array(size);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, size, true);
  view.setUint32(4, ttf.length, true);
  view.setUint32(8, VERSION, true);
  view.setUint32(12, SUBSET, true);
  bytes.set(ttf.subarray(os2 + 32, os2 + 42), 16);
  view.setUint8(26, 1);
  view.setUint8(27, style === 'italic' || style === 'boldItalic' ? 1 : 0);
  view.setUint32(28, font.getUint16(os2 + 4), true);
  view.setUint16(32, font.getUint16(os2 + 8), true);
  view.setUint16(34, MAGIC, true);
  for (let i = 0; i < 4; i++) view.setUint32(36 + i * 4, font.getUint32(os2 + 42 + i * 4), true);
  if (font.getUint16(os2) >= 1)
    for (let i = 0; i < 2; i++) view.setUint32(52 + i * 4, font.getUint32(os2 + 78 + i * 4), true);
  view.setUint32(60, font.getUint32(head + 8), true);
  let at = FIXED;
  for (const name of names) {
    view.setUint16(at, name.length * 2, true);
    at += 2;
    for (let i = 0; i < name.length; i++, at += 2) view.setUint16(at, name.charCodeAt(i), true);
    at += 2;
  }
  bytes.set(ttf, at + 2);
  return bytes;
}

/** Places of a font's tables (OpenType, "Organization of an OpenType Font"). */
function tablesOf(ttf: Uint8Array): ReadonlyMap<string, number> {
  const view = new DataView(ttf.buffer, ttf.byteOffset, ttf.byteLength);
  const tables = new Map<string, number>();
  for (let i = 0; i < view.getUint16(4); i++) {
    const at = 12 + i * 16;
    tables.set(String.fromCharCode(...ttf.subarray(at, at + 4)), view.getUint32(at + 8));
  }
  return tables;
}
