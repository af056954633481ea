/** Scales pictures down to what slides need of them, before they are written; the same for server and command line. */
import { isTurned, neededSizes, type Converted, type PictureData } from '@alvex/core';
import { takeSharp } from './take-sharp.ts';

export { withPictureColors } from './picture-colors.ts';
export { toDraw, type Tone } from './to-draw.ts';

/** @returns The same pictures; those whose files say that they are to be turned are turned, since most programs show them lying. */
export async function uprightPictures(pictures: readonly PictureData[]): Promise<readonly PictureData[]> {
  const upright: PictureData[] = [];
  for (const picture of pictures) upright.push(isTurned(picture.bytes) ? await turned(picture) : picture);
  return upright;
}

async function turned(picture: PictureData): Promise<PictureData> {
  const sharp = await takeSharp();
  try {
    const made = sharp(picture.bytes, { failOn: 'error' }).rotate().jpeg({ quality: 92 });
    const { data, info } = await made.toBuffer({ resolveWithObject: true });
    return { ...picture, bytes: new Uint8Array(data), width: info.width, height: info.height };
  } catch {
    return picture;
  }
}

/** Pictures that are hardly larger than needed stay as they are, byte for byte. */
const WORTH_IT = 1.3;

/** @returns The same pictures, each with its id; those that are much larger than any slide shows them are made smaller. */
export async function scalePictures(
  pictures: readonly PictureData[],
  { pages, theme }: Pick<Converted, 'pages' | 'theme'>,
): Promise<readonly PictureData[]> {
  const needed = neededSizes(pages, theme);
  const scaled: PictureData[] = [];
  for (const picture of pictures) scaled.push(await scaledTo(picture, needed.get(picture.id)));
  return scaled;
}

async function scaledTo(picture: PictureData, needed: number | undefined): Promise<PictureData> {
  // What moves, and what no slide shows, is left alone.
  if (needed === undefined || picture.mime === 'image/gif' || picture.width <= needed * WORTH_IT) return picture;
  const width = Math.max(1, Math.round(needed));
  const sharp = await takeSharp();
  try {
    const image = sharp(picture.bytes, { failOn: 'error' }).resize({ width });
    const made = picture.mime === 'image/jpeg' ? image.jpeg({ quality: 88 }) : image.png({ compressionLevel: 9 });
    const { data, info } = await made.toBuffer({ resolveWithObject: true });
    // A drawing of few colours may grow when it is made smaller.
    if (data.length >= picture.bytes.length) return picture;
    return { ...picture, bytes: new Uint8Array(data), width: info.width, height: info.height };
  } catch {
    // A picture that cannot be decoded here may be shown elsewhere.
    return picture;
  }
}
