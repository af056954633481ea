/** PDFium's own calls (WebAssembly), with the memory that they need; the library's own wrapper offers too few of them. */
import { PDFiumLibrary } from '@hyzyla/pdfium';
import { ReadError, textDecoder } from '../../base/index.ts';

/** A pointer into the module's memory; 0 for none. */
export type Pointer = number;
type Call = (...values: readonly number[]) => number;

/** The module: every function of PDFium's public headers under its name. */
interface Module {
  readonly HEAPU8: Uint8Array;
  readonly wasmExports: { malloc(bytes: number): Pointer; free(at: Pointer): void } & Readonly<Record<string, Call>>;
}

/** Bytes for numbers that a call gives back through pointers. */
const SCRATCH = 256;
const ENCRYPTED = [4, 5];

export class Pdfium {
  readonly document: Pointer;
  readonly #module: Module;
  readonly #bytes: Pointer;
  readonly #scratch: Pointer;
  #floats: Float32Array;
  #doubles: Float64Array;
  #integers: Int32Array;

  private constructor(module: Module, bytes: Uint8Array) {
    this.#module = module;
    this.#bytes = module.wasmExports.malloc(bytes.length);
    module.HEAPU8.set(bytes, this.#bytes);
    this.#scratch = module.wasmExports.malloc(SCRATCH);
    const { buffer } = module.HEAPU8;
    this.#floats = new Float32Array(buffer);
    this.#doubles = new Float64Array(buffer);
    this.#integers = new Int32Array(buffer);
    this.document = this.call('FPDF_LoadMemDocument', this.#bytes, bytes.length, 0);
    if (this.document === 0) {
      const code = this.call('FPDF_GetLastError');
      throw new ReadError(ENCRYPTED.includes(code) ? 'encrypted' : 'bad-pdf');
    }
  }

  /** A module of its own for each document: its memory never shrinks, and a damaged file may leave it unusable. @throws ReadError */
  static async open(bytes: Uint8Array): Promise<Pdfium> {
    const library = await PDFiumLibrary.init();
    return new Pdfium((library as unknown as { readonly module: Module }).module, bytes);
  }

  close(): void {
    this.call('FPDF_CloseDocument', this.document);
    this.#module.wasmExports.free(this.#bytes);
    this.#module.wasmExports.free(this.#scratch);
  }

  /** Calls a function of PDFium by its name. */
  call(name: string, ...values: readonly number[]): number {
    return this.#module.wasmExports[name]!(...values);
  }

  /** The call itself, for loops over characters. */
  bound(name: string): Call {
    return this.#module.wasmExports[name]!;
  }

  /** Where calls put numbers: `slot` counts eight bytes each. */
  at(slot: number): Pointer {
    return this.#scratch + slot * 8;
  }

  float64(slot: number): number {
    this.#renew();
    return this.#doubles[(this.#scratch >> 3) + slot]!;
  }

  /** @param index Of floats that follow each other from slot 0. */
  float32(index: number): number {
    this.#renew();
    return this.#floats[(this.#scratch >> 2) + index]!;
  }

  /** @param index Of integers that follow each other from slot 0. */
  int32(index: number): number {
    this.#renew();
    return this.#integers[(this.#scratch >> 2) + index]!;
  }

  setFloats32(values: readonly number[]): Pointer {
    this.#renew();
    this.#floats.set(values, this.#scratch >> 2);
    return this.#scratch;
  }

  clear(): void {
    this.#renew();
    this.#integers.fill(0, this.#scratch >> 2, (this.#scratch + SCRATCH) >> 2);
  }

  /**
   * What a call writes that first tells how many bytes it needs.
   * @param write Calls with a buffer and its length. @returns undefined where it needs none or more than `most`.
   */
  written(write: (buffer: Pointer, length: number) => number, most = 1 << 26): Uint8Array | undefined {
    const length = write(0, 0);
    if (!(length > 0) || length > most) return undefined;
    const buffer = this.#module.wasmExports.malloc(length);
    try {
      write(buffer, length);
      return this.#module.HEAPU8.slice(buffer, buffer + length);
    } finally {
      this.#module.wasmExports.free(buffer);
    }
  }

  /** Text in UTF-16 with a zero at its end, or none. */
  wideText(write: (buffer: Pointer, length: number) => number): string {
    const bytes = this.written(write, 1 << 20);
    return bytes === undefined ? '' : UTF16.decode(bytes).replace(/\0[\s\S]*$/, '');
  }

  /** Text in UTF-8 with a zero at its end, or none. */
  narrowText(write: (buffer: Pointer, length: number) => number): string {
    const bytes = this.written(write, 1 << 20);
    return bytes === undefined ? '' : UTF8.decode(bytes).replace(/\0[\s\S]*$/, '');
  }

  /** Calls with a text in ASCII. */
  withText<T>(text: string, use: (at: Pointer) => T): T {
    const at = this.#module.wasmExports.malloc(text.length + 1);
    for (let i = 0; i < text.length; i++) this.#module.HEAPU8[at + i] = text.charCodeAt(i);
    this.#module.HEAPU8[at + text.length] = 0;
    try {
      return use(at);
    } finally {
      this.#module.wasmExports.free(at);
    }
  }

  copy(from: Pointer, length: number): Uint8Array {
    return this.#module.HEAPU8.slice(from, from + length);
  }

  /** Memory that grows is another, and what was made over the former is empty. */
  #renew(): void {
    if (this.#floats.length > 0) return;
    const { buffer } = this.#module.HEAPU8;
    this.#floats = new Float32Array(buffer);
    this.#doubles = new Float64Array(buffer);
    this.#integers = new Int32Array(buffer);
  }
}

const UTF16 = textDecoder('utf-16le');
const UTF8 = textDecoder('utf-8');
