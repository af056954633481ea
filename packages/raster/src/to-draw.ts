/** Pictures for files that hold only JPEG and plain PNG, toned as a slide shows them. */
import { isToned, LUMINANCE, toneLine, type DrawnPicture, type PictureData } from '@alvex/core';
import type { Sharp } from 'sharp';
import { takeSharp } from './take-sharp.ts';

/** See `PictureDress`. */
export type Tone = Pick<DrawnPicture, 'filter' | 'tint' | 'brightness' | 'contrast'>;

const channels = (hex: string): readonly [number, number, number] => [
  parseInt(hex.slice(0, 2), 16),
  parseInt(hex.slice(2, 4), 16),
  parseInt(hex.slice(4, 6), 16),
];

/** @returns JPEG or PNG, of 8 bits and not interlaced; null for what cannot be decoded. */
export async function toDraw({ bytes, mime }: PictureData, tone: Tone): Promise<Uint8Array | null> {
  const toned = isToned(tone);
  if (!toned && mime === 'image/jpeg') return bytes;
  const sharp = await takeSharp();
  try {
    if (!toned && mime === 'image/png' && isPlainPng(bytes)) {
      await sharp(bytes, { failOn: 'error' }).stats();
      return bytes;
    }
    const image = toned ? await inTone(bytes, tone) : sharp(bytes, { failOn: 'error' });
    const made = mime === 'image/jpeg' ? image.jpeg({ quality: 88 }) : image.png({ compressionLevel: 9 });
    return new Uint8Array(await made.toBuffer());
  } catch {
    return null;
  }
}

type Rgb = readonly [number, number, number];

/** Grey, or from one colour to another; then brighter and with more contrast, by lines through the middle: as the screen's filter has it. */
async function inTone(bytes: Uint8Array, { filter, tint, ...line }: Tone): Promise<Sharp> {
  const sharp = await takeSharp();
  const whole = sharp(bytes, { failOn: 'error' }).ensureAlpha().toColourspace('srgb').raw();
  const { data, info } = await whole.toBuffer({ resolveWithObject: true });
  const [dark, light] = (tint ?? ['000000', 'FFFFFF']).map(channels) as [Rgb, Rgb];
  const { slope, intercept } = toneLine(line);
  const [red, green, blue] = LUMINANCE;
  for (let at = 0; at < data.length; at += 4) {
    const grey = (red * data[at]! + green * data[at + 1]! + blue * data[at + 2]!) / 255;
    for (let channel = 0; channel < 3; channel++) {
      const plain =
        filter === 'none' ? data[at + channel]! : dark[channel]! + grey * (light[channel]! - dark[channel]!);
      data[at + channel] = Math.max(0, Math.min(255, Math.round(plain * slope + intercept * 255)));
    }
  }
  return sharp(data, { raw: { width: info.width, height: info.height, channels: 4 } });
}

/** Bit depth and interlace method stand in its header (PNG 1.2, §11.2.2). */
const isPlainPng = (bytes: Uint8Array): boolean => bytes[24] === 8 && bytes[28] === 0;
