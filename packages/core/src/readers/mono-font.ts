/** Fonts of one width, which in documents means code. */
const monoFonts = new Map<string, boolean>();

/** Whether a font, by its name, sets all characters equally wide. Every run may name its font, so answers are kept. */
export function isMono(font: string | undefined): boolean {
  if (font === undefined) return false;
  let mono = monoFonts.get(font);
  if (mono === undefined) {
    mono = /courier|consolas|mono|menlo|typewriter/i.test(font);
    // A file that names thousands of fonts must not fill the memory of whoever reads the next one.
    if (monoFonts.size < 1000) monoFonts.set(font, mono);
  }
  return mono;
}
