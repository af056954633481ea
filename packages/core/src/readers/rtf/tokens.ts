/** Splits RTF 1.9 into its tokens: groups, control words, bytes of text, and raw data. */
export type Token =
  | { readonly kind: 'open' }
  | { readonly kind: 'close' }
  | { readonly kind: 'word'; readonly name: string; readonly value: number | undefined }
  /** A character of the current code page, or several. */
  | { readonly kind: 'bytes'; readonly bytes: Uint8Array }
  | { readonly kind: 'data'; readonly bytes: Uint8Array };

const [BACKSLASH, OPEN, CLOSE, CR, LF, QUOTE] = [0x5c, 0x7b, 0x7d, 0x0d, 0x0a, 0x27];

const isLetter = (byte: number): boolean => (byte >= 0x61 && byte <= 0x7a) || (byte >= 0x41 && byte <= 0x5a);
const isDigit = (byte: number): boolean => byte >= 0x30 && byte <= 0x39;
const hexValue = (byte: number): number => parseInt(String.fromCharCode(byte), 16);

export function* rtfTokens(bytes: Uint8Array, progress?: (at: number) => void): Generator<Token> {
  let at = 0;
  let told = 0;
  while (at < bytes.length) {
    if (progress !== undefined && at - told > 1 << 18) progress((told = at));
    const byte = bytes[at]!;
    if (byte === OPEN || byte === CLOSE) {
      at++;
      yield { kind: byte === OPEN ? 'open' : 'close' };
    } else if (byte === BACKSLASH) {
      const next = bytes[at + 1];
      if (next === undefined) return;
      if (isLetter(next)) {
        let end = at + 1;
        while (end < bytes.length && end - at <= 32 && isLetter(bytes[end]!)) end++;
        const name = String.fromCharCode(...bytes.subarray(at + 1, end));
        let value: number | undefined;
        const start = end;
        if (bytes[end] === 0x2d) end++;
        while (end < bytes.length && end - start < 11 && isDigit(bytes[end]!)) end++;
        if (end > start && isDigit(bytes[end - 1]!)) value = Number(String.fromCharCode(...bytes.subarray(start, end)));
        else end = start;
        if (bytes[end] === 0x20) end++;
        at = end;
        if (name === 'bin' && value !== undefined && value > 0) {
          yield { kind: 'data', bytes: bytes.subarray(at, at + value) };
          at += value;
        } else yield { kind: 'word', name, value };
      } else if (next === QUOTE) {
        const value = (hexValue(bytes[at + 2] ?? 0x30) << 4) | hexValue(bytes[at + 3] ?? 0x30);
        at += 4;
        if (Number.isFinite(value)) yield { kind: 'bytes', bytes: Uint8Array.of(value & 0xff) };
      } else {
        at += 2;
        // A line end behind a backslash ends the paragraph.
        yield next === CR || next === LF
          ? { kind: 'word', name: 'par', value: undefined }
          : { kind: 'word', name: String.fromCharCode(next), value: undefined };
      }
    } else if (byte === CR || byte === LF) at++;
    else {
      let end = at + 1;
      while (end < bytes.length) {
        const ahead = bytes[end]!;
        if (ahead === BACKSLASH || ahead === OPEN || ahead === CLOSE || ahead === CR || ahead === LF) break;
        end++;
      }
      yield { kind: 'bytes', bytes: bytes.subarray(at, end) };
      at = end;
    }
  }
}
