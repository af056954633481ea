/** The codecs that every host has (WHATWG Encoding, HTML's atob), declared here because core is compiled without DOM or Node types. */
interface Decoder {
  decode(input?: Uint8Array, options?: { stream?: boolean }): string;
}
interface Encoder {
  encode(text: string): Uint8Array<ArrayBuffer>;
}
declare const TextDecoder: new (label?: string, options?: { fatal?: boolean; ignoreBOM?: boolean }) => Decoder;
declare const TextEncoder: new () => Encoder;

export type TextDecoding = Decoder;

/** A streaming decoder. @param label An encoding label such as `utf-8`, `utf-16le`, `windows-1252`. */
export const textDecoder = (label = 'utf-8', fatal = false): Decoder => new TextDecoder(label, { fatal });

const utf8 = new TextEncoder();
export const encodeUtf8 = (text: string): Uint8Array<ArrayBuffer> => utf8.encode(text);
export const decodeUtf8 = (bytes: Uint8Array): string => textDecoder().decode(bytes);

/**
 * Decodes text of unknown encoding: by byte order mark, else UTF-8 where it is valid, else Windows-1252.
 * @returns The text without its byte order mark.
 */
export function decodeText(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return textDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return textDecoder('utf-16be').decode(bytes);
  try {
    return textDecoder('utf-8', true).decode(bytes);
  } catch {
    return textDecoder('windows-1252').decode(bytes);
  }
}

declare const atob: (data: string) => string;

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
