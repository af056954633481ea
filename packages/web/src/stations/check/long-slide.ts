/** Seconds that one slide holds attention. */
export const LONG_SLIDE = 150;
