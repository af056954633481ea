declare module 'subset-font' {
  /** A font with the glyphs of some letters alone. */
  export default function subsetFont(
    font: Buffer,
    text: string,
    options?: { readonly targetFormat?: 'truetype' | 'woff' | 'woff2' | 'sfnt' },
  ): Promise<Buffer>;
}
