/** Pictures as a PDF can hold them: each once, JPEG as it is, all else as PNG. */
import type { DrawnPicture, PictureData } from '@alvex/core';
import { toDraw, type Tone } from '@alvex/raster';

type PictureId = PictureData['id'];

const PLAIN: Tone = { filter: 'none', tint: null, brightness: 0, contrast: 0 };
const keyOf = (picture: PictureId, { filter, tint, brightness, contrast }: Tone): string =>
  JSON.stringify([picture, filter, tint, brightness, contrast]);

export class Images {
  readonly #images: ReadonlyMap<string, object>;
  private constructor(images: ReadonlyMap<string, object>) {
    this.#images = images;
  }

  /** @param pictures Where they are drawn. What cannot be decoded is left out. */
  static async of(
    doc: PDFKit.PDFDocument,
    pictures: Iterable<{ readonly picture: PictureId; readonly tone?: Tone }>,
    data: ReadonlyMap<string, PictureData>,
  ): Promise<Images> {
    const images = new Map<string, object>();
    for (const { picture, tone = PLAIN } of pictures) {
      const key = keyOf(picture, tone);
      const found = data.get(picture);
      if (images.has(key) || found === undefined) continue;
      const bytes = await toDraw(found, tone);
      if (bytes === null) continue;
      try {
        images.set(key, (doc as unknown as { openImage(src: Uint8Array): object }).openImage(Buffer.from(bytes)));
      } catch {
        // Its head is damaged.
      }
    }
    return new Images(images);
  }

  plain(picture: PictureId): object | undefined {
    return this.#images.get(keyOf(picture, PLAIN));
  }
  toned(drawn: DrawnPicture): object | undefined {
    return this.#images.get(keyOf(drawn.picture, drawn));
  }
}
