/**
 * Reads ZIP archives (APPNOTE 6.3.10) under hard limits: the central directory is the truth, and real bytes are
 * counted while a part is unpacked, whatever its header says.
 */
import { Inflate, inflateSync } from 'fflate';
import { joinBytes, LIMITS, ReadError, textDecoder } from '../base/index.ts';

interface Entry {
  readonly method: number;
  readonly packed: number /* bytes */;
  readonly offset: number /* of the local header */;
  readonly encrypted: boolean;
}

const END = 0x06054b50;
const CENTRAL = 0x02014b50;
const LOCAL = 0x04034b50;
const END_SIZE = 22;
const INPUT_STEP = 4096;

/** Packed bytes of a part that is unpacked at one stroke, and the place for it: of packages of many small parts each would else need a place of its own. */
const SMALL = 32 * 1024;
let spare: Uint8Array | undefined = new Uint8Array(512 * 1024);

export class ZipReader {
  readonly #bytes: Uint8Array;
  readonly #view: DataView;
  readonly #entries = new Map<string, Entry>();
  #byLower: ReadonlyMap<string, string> | undefined;
  #unpacked = 0;

  /** @throws ReadError `not-a-zip`, `truncated`, `bomb` or `encrypted`. */
  constructor(bytes: Uint8Array) {
    this.#bytes = bytes;
    this.#view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    if (bytes.length < 4 || this.#view.getUint32(0, true) !== LOCAL) throw new ReadError('not-a-zip');
    this.#readDirectory();
  }

  #readDirectory(): void {
    const view = this.#view;
    let end = this.#bytes.length - END_SIZE;
    const lowest = Math.max(0, end - 0xffff);
    while (end >= lowest && view.getUint32(end, true) !== END) end--;
    if (end < lowest) throw new ReadError('truncated');
    const count = view.getUint16(end + 10, true);
    let at = view.getUint32(end + 16, true);
    if (count > LIMITS.zipEntries) throw new ReadError('bomb');
    const utf8 = textDecoder();
    // The old code page is close enough for the names of parts, which are ASCII.
    const plain = textDecoder('windows-1252');
    for (let i = 0; i < count; i++) {
      if (at + 46 > this.#bytes.length || view.getUint32(at, true) !== CENTRAL) throw new ReadError('truncated');
      const flags = view.getUint16(at + 8, true);
      const nameLength = view.getUint16(at + 28, true);
      const nameBytes = this.#bytes.subarray(at + 46, at + 46 + nameLength);
      const name = (flags & 0x800 ? utf8 : plain).decode(nameBytes).replaceAll('\\', '/');
      this.#entries.set(name, {
        method: view.getUint16(at + 10, true),
        packed: view.getUint32(at + 20, true),
        offset: view.getUint32(at + 42, true),
        encrypted: (flags & 1) === 1,
      });
      at += 46 + nameLength + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
    }
  }

  get names(): readonly string[] {
    return [...this.#entries.keys()];
  }

  /** The name of an entry as the archive has it: names of parts are equal whatever their case (ECMA-376-2 §9.1.1). */
  named(name: string): string | undefined {
    if (this.#entries.has(name)) return name;
    this.#byLower ??= new Map([...this.#entries.keys()].map((one) => [one.toLowerCase(), one]));
    return this.#byLower.get(name.toLowerCase());
  }

  has(name: string): boolean {
    return this.named(name) !== undefined;
  }

  /** Packed size in bytes, for progress; 0 when the part is not there. */
  packedSize(name: string): number {
    return this.#entries.get(name)?.packed ?? 0;
  }

  /**
   * Unpacks a part piece by piece.
   * @param take Called with each unpacked piece and the packed bytes used so far.
   * @throws ReadError `part-missing`, `truncated`, `damaged`, `encrypted` or `bomb`.
   */
  stream(name: string, take: (piece: Uint8Array, used: number) => void): void {
    const entry = this.#entries.get(this.named(name) ?? name);
    const place = { part: name };
    if (entry === undefined) throw new ReadError('part-missing', place);
    if (entry.encrypted) throw new ReadError('encrypted', place);
    const { offset, packed, method } = entry;
    if (offset + 30 > this.#bytes.length || this.#view.getUint32(offset, true) !== LOCAL)
      throw new ReadError('truncated', place);
    const start = offset + 30 + this.#view.getUint16(offset + 26, true) + this.#view.getUint16(offset + 28, true);
    if (start + packed > this.#bytes.length) throw new ReadError('truncated', place);
    let used = 0;
    let size = 0;
    const count = (piece: Uint8Array): void => {
      size += piece.length;
      this.#unpacked += piece.length;
      const tooDense = size > 1024 * 1024 && size > packed * LIMITS.zipRatio;
      if (tooDense || size > LIMITS.partBytes || this.#unpacked > LIMITS.archiveBytes)
        throw new ReadError('bomb', place);
      take(piece, used);
    };
    if (method === 0) {
      used = packed;
      count(this.#bytes.subarray(start, start + packed));
      return;
    }
    if (method !== 8) throw new ReadError('wrong-type', place);
    if (packed > 0 && packed <= SMALL && spare !== undefined) {
      const room = spare;
      spare = undefined;
      try {
        const whole = inflatedInto(room, this.#bytes.subarray(start, start + packed));
        if (whole !== undefined) {
          used = packed;
          if (whole.length > 0) count(whole);
          return;
        }
      } finally {
        spare = room;
      }
    }
    let finished = false;
    const inflate = new Inflate((piece, final) => {
      finished ||= final;
      if (piece.length > 0) count(piece);
    });
    try {
      for (let at = start; at < start + packed; at += INPUT_STEP) {
        const to = Math.min(at + INPUT_STEP, start + packed);
        used = to - start;
        inflate.push(this.#bytes.subarray(at, to), to === start + packed);
      }
    } catch (error) {
      if (error instanceof Error && 'code' in error && typeof error.code === 'number')
        throw new ReadError('damaged', place, { cause: error });
      throw error;
    }
    if (!finished && packed > 0) throw new ReadError('truncated', place);
  }

  /** A whole part, unpacked. Throws as `stream` does. */
  read(name: string): Uint8Array {
    const pieces: Uint8Array[] = [];
    // fflate's last piece may share memory with what it unpacks next.
    this.stream(name, (piece) => pieces.push(piece.slice()));
    return joinBytes(pieces);
  }
}

/** Undefined where it does not fit, or is damaged: what is wrong with it is told by unpacking it piece by piece. */
function inflatedInto(room: Uint8Array, bytes: Uint8Array): Uint8Array | undefined {
  try {
    const whole = inflateSync(bytes, { out: room });
    // What does not fit is dropped without a word.
    return whole.length < room.length ? whole : undefined;
  } catch {
    return undefined;
  }
}
