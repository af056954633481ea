/** Pictures that nobody is meant to see: spacers, counters of visits, rules. */

const LEAST = 3; // points

/** @param width As shown on the page, in points, where the original says so. */
export const isSpacer = (width: number | undefined, height: number | undefined): boolean =>
  (width !== undefined && width < LEAST) || (height !== undefined && height < LEAST);
