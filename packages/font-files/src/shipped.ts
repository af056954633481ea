/** Where the shipped fonts stand. */
import { readdir, readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { FaceUse } from '@alvex/core';
import { fontFile, type FontFile } from './other-scripts.ts';

export const FOLDERS: Readonly<Record<FaceUse['style'], string>> = {
  regular: '400Regular',
  bold: '700Bold',
  italic: '400Regular_Italic',
  boldItalic: '700Bold_Italic',
};

/** A face as it ships, whole. @throws Error for a family that does not. */
export const wholeFace = async (family: string, style: FaceUse['style']): Promise<FontFile> =>
  fontFile(`${family} ${style}`, await readFile(await faceFile(family, style)));

const require = createRequire(import.meta.url);
export const folderOf = (family: string): string =>
  dirname(require.resolve(`@expo-google-fonts/${family.toLowerCase().replaceAll(' ', '-')}/package.json`));

export async function faceFile(family: string, style: FaceUse['style']): Promise<string> {
  const folder = join(folderOf(family), FOLDERS[style]);
  return join(
    folder,
    (await readdir(folder)).find((name) => name.endsWith('.ttf'))!,
  );
}
