/** Takes the pictures of a document in: checks their format and size, names them by content, keeps each once. */
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { imageSize } from 'image-size';
import { LIMITS, ReadError, Report, type SourcePlace, diagnosticText } from '../base/index.ts';
import { inkOf } from './picture-ink.ts';
import type { PictureData, PictureId, PictureMime } from '../content/index.ts';

const FORMATS: Readonly<Record<string, PictureMime>> = { png: 'image/png', jpg: 'image/jpeg', gif: 'image/gif' };

/** Values of Orientation from here on lay a picture on its side (Exif 2.32 §4.6.5). */
const ON_ITS_SIDE = 5;

/** Whether a file says that its pixels are to be turned before they are seen, as telephones write it; browsers do that, and hardly anything else. */
export function isTurned(bytes: Uint8Array): boolean {
  try {
    return (imageSize(bytes).orientation ?? 1) > 1;
  } catch {
    return false;
  }
}

export class PictureStore {
  readonly pictures: PictureData[] = [];
  readonly #known = new Map<string, PictureId | undefined>();
  readonly #report: Report;

  constructor(report: Report) {
    this.#report = report;
  }

  /**
   * @param name What the original calls the picture; one name is read once.
   * @param load Gives the bytes; where the container throws, the report says so.
   * @returns undefined where the picture cannot be carried; the report says why.
   */
  take(name: string, load: () => Uint8Array, place: SourcePlace): PictureId | undefined {
    if (this.#known.has(name)) return this.#known.get(name);
    const bytes = this.#load(name, load, place);
    const id = bytes === undefined ? undefined : this.#add(name, bytes, place);
    this.#known.set(name, id);
    return id;
  }

  /** A picture that cannot be unpacked is no reason to refuse the text around it. */
  #load(name: string, load: () => Uint8Array, place: SourcePlace): Uint8Array | undefined {
    try {
      return load();
    } catch (error) {
      if (!(error instanceof ReadError)) throw error;
      this.#report.add('picture-damaged', place, { name });
      return undefined;
    }
  }

  #add(name: string, bytes: Uint8Array, place: SourcePlace): PictureId | undefined {
    let size: ReturnType<typeof imageSize>;
    try {
      size = imageSize(bytes);
    } catch {
      this.#report.add('picture-format', place, { name });
      return undefined;
    }
    const mime = FORMATS[size.type ?? ''];
    if (mime === undefined) {
      this.#report.add('picture-type', place, { name, type: size.type ?? 'of unknown format' });
      return undefined;
    }
    // As it is seen.
    const [width, height] =
      (size.orientation ?? 1) < ON_ITS_SIDE ? [size.width, size.height] : [size.height, size.width];
    if (!(width > 0 && height > 0) || width * height > LIMITS.picturePixels) {
      this.#report.add('picture-too-large', place, { name, width, height, most: LIMITS.picturePixels / 1e6 });
      return undefined;
    }
    const id = bytesToHex(sha256(bytes)) as PictureId;
    if (this.pictures.some((picture) => picture.id === id)) return id;
    const ink = inkOf(bytes, mime, width, height);
    this.pictures.push({ id, mime, width, height, ...(ink === undefined ? {} : { ink }), bytes });
    return id;
  }
}

/** Checks one picture that stands alone. @returns The picture, or in a sentence why it cannot be carried. */
export function takePicture(bytes: Uint8Array, name: string): PictureData | string {
  const report = new Report();
  const store = new PictureStore(report);
  store.take(name, () => bytes, {});
  const [picture] = store.pictures;
  const [fault] = report.diagnostics;
  return picture ?? (fault === undefined ? '' : diagnosticText(fault));
}
