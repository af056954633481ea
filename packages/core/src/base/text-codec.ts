/** The codecs that every host has (WHATWG Encoding, HTML's atob), declared here because core is compiled without DOM or Node types. */
interface Decoder {
  readonly encoding: string;
  decode(input?: Uint8Array, options?: { stream?: boolean }): string;
}
interface Encoder {
  encode(text: string): Uint8Array<ArrayBuffer>;
}
declare const TextDecoder: new (label?: string, options?: { fatal?: boolean; ignoreBOM?: boolean }) => Decoder;
declare const TextEncoder: new () => Encoder;

export type TextDecoding = Pick<Decoder, 'decode'>;

/** A streaming decoder. @param label An encoding label such as `utf-8`, `utf-16le`, `windows-1252`. */
export function textDecoder(label = 'utf-8', fatal = false): TextDecoding {
  const decoder = new TextDecoder(label, { fatal });
  if (decoder.encoding !== 'windows-1252') return decoder;
  // Some versions of Node take it for ISO 8859-1, in which quotes and dashes are control characters.
  return { decode: (bytes, options) => decoder.decode(bytes, options).replace(/[\x80-\x9f]/g, ofWindows) };
}

/** From 0x80 on (WHATWG Encoding, index windows-1252); what has no sign there stays. */
const WINDOWS = '€\x81‚ƒ„…†‡ˆ‰Š‹Œ\x8dŽ\x8f\x90‘’“”•–—˜™š›œ\x9džŸ';
const ofWindows = (control: string): string => WINDOWS[control.charCodeAt(0) - 0x80]!;

const utf8 = new TextEncoder();
export const encodeUtf8 = (text: string): Uint8Array<ArrayBuffer> => utf8.encode(text);
export const decodeUtf8 = (bytes: Uint8Array): string => textDecoder().decode(bytes);

/**
 * Decodes text of unknown encoding: by byte order mark, else UTF-16 where every other byte is zero, else UTF-8 where it
 * is valid, else what the text declares, else Windows-1252.
 * @param declared A label that the text itself gives, such as HTML's `charset`.
 * @returns The text without its byte order mark.
 */
export function decodeText(bytes: Uint8Array, declared?: string): string {
  const wide = wideEncoding(bytes);
  if (wide !== undefined) return textDecoder(wide).decode(bytes);
  try {
    return textDecoder('utf-8', true).decode(bytes);
  } catch {
    return declaredDecoder(declared).decode(bytes);
  }
}

const LEAST_PAIRS = 8;

function wideEncoding(bytes: Uint8Array): string | undefined {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const pairs = Math.min(bytes.length >> 1, 500);
  let [even, odd] = [0, 0];
  for (let i = 0; i < pairs; i++) {
    if (bytes[2 * i] === 0) even++;
    if (bytes[2 * i + 1] === 0) odd++;
  }
  // Latin letters in UTF-16 have a zero beside them; plain text has none at all.
  if (pairs < LEAST_PAIRS || even + odd < pairs * 0.4) return undefined;
  return odd > even * 4 ? 'utf-16le' : even > odd * 4 ? 'utf-16be' : undefined;
}

function declaredDecoder(label: string | undefined): TextDecoding {
  try {
    return textDecoder(label ?? 'windows-1252');
  } catch {
    return textDecoder('windows-1252');
  }
}

/** Whether bytes are text in UTF-16. */
export const isWide = (bytes: Uint8Array): boolean => wideEncoding(bytes) !== undefined;

declare const atob: (data: string) => string;
declare const btoa: (binary: string) => string;

/** Decodes base64 (RFC 4648 §4); undefined when it is not base64. */
export function decodeBase64(data: string): Uint8Array | undefined {
  try {
    const binary = atob(data);
    const bytes = new Uint8Array(binary.length);
    for (let i = 0; i < binary.length; i++) bytes[i] = binary.charCodeAt(i);
    return bytes;
  } catch {
    return undefined;
  }
}

/** Encodes base64 (RFC 4648 §4). Piece by piece: a call takes no more than so many arguments. */
export function encodeBase64(bytes: Uint8Array): string {
  let binary = '';
  for (let at = 0; at < bytes.length; at += PIECE) binary += String.fromCharCode(...bytes.subarray(at, at + PIECE));
  return btoa(binary);
}
const PIECE = 8192;
