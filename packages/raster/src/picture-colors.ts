/** Looks at the pictures on a template's layouts, so that text that stands on them is read: the same for server and command line. */
import type { PictureColors, PictureData, ReadTemplate } from '@alvex/core';
import { takeSharp } from './take-sharp.ts';

/** A picture is looked at as so many patches. */
const COLUMNS = 32;
const ROWS = 18;
const SEEN_THROUGH = 128;

/** @returns The same template, with the colours of the pictures that its layouts show. */
export async function withPictureColors({ model, pictures }: ReadTemplate): Promise<ReadTemplate> {
  const shown = new Set(
    model.layouts.flatMap(({ backdrop }) =>
      backdrop.flatMap((item) => (item.kind === 'picture' ? [item.picture] : [])),
    ),
  );
  const colors: Record<string, PictureColors> = {};
  for (const picture of pictures) {
    const found = shown.has(picture.id) ? await colorsOf(picture) : undefined;
    if (found !== undefined) colors[picture.id] = found;
  }
  return { model: { ...model, colors }, pictures };
}

async function colorsOf({ bytes }: PictureData): Promise<PictureColors | undefined> {
  const sharp = await takeSharp();
  try {
    const { data } = await sharp(bytes)
      .resize(COLUMNS, ROWS, { fit: 'fill' })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const colors = Array.from({ length: COLUMNS * ROWS }, (_, i) => {
      const [r = 0, g = 0, b = 0, alpha = 255] = data.subarray(i * 4, i * 4 + 4);
      return alpha < SEEN_THROUGH
        ? null
        : [r, g, b]
            .map((one) => one.toString(16).padStart(2, '0'))
            .join('')
            .toUpperCase();
    });
    return { columns: COLUMNS, colors };
  } catch {
    // A picture that cannot be decoded here may be shown elsewhere: text on it keeps the template's colour.
    return undefined;
  }
}
