/** Writes ZIP archives whose bytes depend on their content only: fixed time, fixed order. */
import crc32 from 'crc-32';
import { deflateSync, Zip, type ZipInputFile } from 'fflate';
import { encodeUtf8, joinBytes } from '../base/index.ts';

export interface Part {
  readonly name: string;
  readonly content: string | Uint8Array;
  /** Pictures are packed already; deflating them again takes time for nothing. */
  readonly stored?: boolean;
}

/**
 * Packs bytes as raw DEFLATE (RFC 1951). A host that has a native one may give it: of a presentation's time, packing
 * thousands of small parts in JavaScript is two thirds. Bytes are the same wherever the same packer is used.
 */
export type Deflate = (bytes: Uint8Array) => Uint8Array<ArrayBuffer>;

/**
 * zlib's settings for the parts of a presentation, a few kilobytes each: a window and buffers of their size, for a
 * third less memory. Hosts that pass their own packer all pass these, so that they write the same bytes.
 */
export const DEFLATE_SETTINGS = { level: 6, windowBits: 13, memLevel: 7, chunkSize: 4096 } as const;

// Local time on purpose: ZIP stores local time, so every time zone gets the same bytes.
const FIXED_TIME = new Date(2020, 0, 1, 0, 0, 0);
const DEFLATED = 8;

interface Packed {
  readonly file: ZipInputFile;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/** Packs each part as it is added, so that only packed ones are held. */
export class ZipWriter {
  readonly #deflate: Deflate;
  readonly #packed: Packed[] = [];

  constructor(deflate: Deflate = deflateSync) {
    this.#deflate = deflate;
  }

  add(part: Part): void {
    this.#packed.push(this.#pack(part));
  }

  /** @param first Parts that stand before all others, though only now it is known what is in them. */
  finish(first: readonly Part[]): Uint8Array {
    const pieces: Uint8Array[] = [];
    const zip = new Zip((error, piece) => {
      if (error) throw error;
      pieces.push(piece);
    });
    for (const { file, bytes } of [...first.map((part) => this.#pack(part)), ...this.#packed]) {
      zip.add(file);
      file.ondata!(null, bytes, true);
    }
    zip.end();
    return joinBytes(pieces);
  }

  #pack({ name, content, stored }: Part): Packed {
    const bytes = (typeof content === 'string' ? encodeUtf8(content) : content) as Uint8Array<ArrayBuffer>;
    const compression = stored ? 0 : DEFLATED;
    return {
      file: { filename: name, mtime: FIXED_TIME, size: bytes.length, crc: crc32.buf(bytes), compression },
      bytes: stored ? bytes : this.#deflate(bytes),
    };
  }
}
