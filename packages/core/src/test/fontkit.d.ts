/** Types of the parts of `fontkit` that tests and benchmarks use. */
declare module 'fontkit' {
  export interface Font {
    readonly familyName: string;
    readonly unitsPerEm: number;
    readonly ascent: number;
    readonly descent: number /* below zero */;
    readonly lineGap: number;
    readonly characterSet: readonly number[];
    hasGlyphForCodePoint(codePoint: number): boolean;
    layout(text: string, features?: Readonly<Record<string, boolean>>): { readonly advanceWidth: number };
  }
  export function openSync(path: string): Font;
  export function create(bytes: Buffer): Font;
}
