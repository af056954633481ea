declare module 'subset-font' {
  /** A font with the glyphs of some letters alone. */
  export default function subsetFont(
    font: Buffer,
    text: string,
    options?: {
      readonly targetFormat?: 'truetype' | 'woff' | 'woff2' | 'sfnt';
      /** Of a variable font, which becomes one of these values. */
      readonly variationAxes?: Readonly<Record<string, number>>;
    },
  ): Promise<Buffer>;
}
