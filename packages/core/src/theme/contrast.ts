/** Contrast of two colours (WCAG 2.2, success criterion 1.4.3). */
import chroma from 'chroma-js';

/** @param a Six hexadecimal digits. @returns 1 to 21. */
export const contrastRatio = (a: string, b: string): number => chroma.contrast(`#${a}`, `#${b}`);
