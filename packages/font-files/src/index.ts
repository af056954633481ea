/** The shipped fonts as files that go along with a deck; the same for server and command line. */
import { readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import type { EmbeddedFace, FaceUse } from '@alvex/core';
import { faceFile, FOLDERS, folderOf } from './shipped.ts';

export { otherFaces, type FontFile } from './other-scripts.ts';
export { wholeFace } from './shipped.ts';
export { webFaces, type FaceFormat, type WebFace, type WebFaces } from './web-faces.ts';

// What is not in a font is not taken. With these a receiver's author can write on.
const LETTERS = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x2010, 0x203a],
  [0x20a0, 0x20bf],
  [0x2122, 0x2122],
  [0x2190, 0x2193],
] as const;
const USUAL = LETTERS.flatMap(([from, to]) =>
  Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)),
).join('');

/** Parts of the fonts with the letters that are used, and those of the languages written in Latin letters. All are under the SIL Open Font License, which allows it. */
export async function embeddableFonts(uses: readonly FaceUse[]): Promise<readonly EmbeddedFace[]> {
  // Taken when it is needed: it brings a shaper of some megabytes.
  const { default: subsetFont } = await import('subset-font');
  const faces: EmbeddedFace[] = [];
  for (const { family, style, characters } of uses) {
    const whole = await readFile(await faceFile(family, style));
    const part = await subsetFont(whole, USUAL + characters, { targetFormat: 'truetype' });
    faces.push({ family, style, bytes: new Uint8Array(part) });
  }
  return faces;
}

/** The four faces of a family and the licence under which they may be passed on. @throws Error for a family that does not ship. */
export async function fontFiles(
  family: string,
): Promise<readonly { readonly name: string; readonly bytes: Uint8Array }[]> {
  const folder = folderOf(family);
  const faces = Object.keys(FOLDERS).map(async (style) => {
    const path = await faceFile(family, style as FaceUse['style']);
    return { name: basename(path), bytes: await readFile(path) };
  });
  return [{ name: 'LICENCE.txt', bytes: await readFile(join(folder, 'LICENSE_FONT')) }, ...(await Promise.all(faces))];
}
