/** Bytes of text in some encoding, gathered until they are whole characters: escaped bytes of one character come one by one. */
import { decodeUtf8, textDecoder, type TextDecoding } from '../../base/index.ts';

const MOST = 65_536;

export class EncodedBytes {
  #pending: number[] = [];
  #label = '';
  readonly #decoders = new Map<string, TextDecoding>();

  /** So many wait that they are better taken. */
  get full(): boolean {
    return this.#pending.length > MOST;
  }

  /** @param label Of their encoding (Encoding Standard §4.2). */
  add(bytes: Iterable<number>, label: string): void {
    if (this.#pending.length === 0) this.#label = label;
    for (const byte of bytes) this.#pending.push(byte);
  }

  /** The text of what was gathered; empty where nothing was. */
  take(): string {
    if (this.#pending.length === 0) return '';
    const bytes = Uint8Array.from(this.#pending);
    this.#pending = [];
    return bytes.every((byte) => byte < 0x80) ? decodeUtf8(bytes) : this.#decoder(this.#label).decode(bytes);
  }

  #decoder(label: string): TextDecoding {
    let decoder = this.#decoders.get(label);
    if (decoder === undefined) {
      try {
        decoder = textDecoder(label);
      } catch {
        decoder = textDecoder('windows-1252');
      }
      this.#decoders.set(label, decoder);
    }
    return decoder;
  }
}
