/** A picture that stands in an RTF file as hexadecimal digits or as bytes. */
const FORMATS = /^(pngblip|jpegblip|emfblip|wmetafile|dibitmap|wbitmap|macpict)$/;

export class RtfPicture {
  #format = '';
  #hex = '';
  /** Where it does not stand there in digits. */
  data: Uint8Array | undefined;

  word(name: string): void {
    if (FORMATS.test(name)) this.#format = name;
  }

  digits(text: string): void {
    this.#hex += text;
  }

  /** Of a format that can be shown. */
  get isShown(): boolean {
    return this.#format === 'pngblip' || this.#format === 'jpegblip';
  }

  bytes(): Uint8Array {
    return this.data ?? fromHex(this.#hex);
  }
}

function fromHex(text: string): Uint8Array {
  const digits = text.replace(/[^0-9a-f]/gi, '');
  const bytes = new Uint8Array(digits.length >> 1);
  for (let i = 0; i < bytes.length; i++) bytes[i] = parseInt(digits.slice(2 * i, 2 * i + 2), 16);
  return bytes;
}
