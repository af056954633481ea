/** Types of the parts of `fontkit` that are used. */
declare module 'fontkit' {
  export interface Font {
    hasGlyphForCodePoint(codePoint: number): boolean;
  }
  export function create(bytes: Uint8Array): Font;
}
