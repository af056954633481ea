/** The shipped fonts as files that go along with a deck; the same for server and command line. */
import { readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import type { EmbeddedFace, FaceUse } from '@alvex/core';
import { faceFile, FOLDERS, folderOf } from './shipped.ts';

import { otherFaces } from './other-scripts.ts';

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
  return [...faces, ...(await scriptFaces(uses.map(({ characters }) => characters).join('')))];
}

/** Scripts that the themes' families lack, each in one file of another: its letters, and the family as themes name it (`theme-part.ts` of core's PPTX). */
const SCRIPTS = [
  { has: /\p{Script=Arabic}/u, from: 0x600, to: 0x6ff, family: 'Noto Sans Arabic' },
  { has: /\p{Script=Hebrew}/u, from: 0x590, to: 0x5ff, family: 'Noto Sans Hebrew' },
  { has: /\p{Script=Devanagari}/u, from: 0x900, to: 0x97f, family: 'Noto Sans Devanagari' },
  { has: /\p{Script=Thai}/u, from: 0xe00, to: 0xe7f, family: 'Noto Sans Thai' },
] as const;

/** Faces of the other scripts of a text. Those of Chinese, Japanese and Korean are many files each, which are not one face. */
async function scriptFaces(text: string): Promise<readonly EmbeddedFace[]> {
  const faces: EmbeddedFace[] = [];
  for (const { has, from, to, family } of SCRIPTS) {
    if (!has.test(text)) continue;
    const letters = Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i));
    for (const style of ['regular', 'bold'] as const) {
      const [face] = await otherFaces(letters, style === 'bold', null);
      if (face !== undefined) faces.push({ family, style, bytes: face.bytes });
    }
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
