/** Which points of a slide come together, where they come one after the other. */
import type { PartId } from '../ids/index.ts';
import type { Box } from '../layout/index.ts';

/**
 * A point of the first level comes with what stands below it; what is no point is there from the beginning, and so is a
 * lone point.
 * @returns By part, 1 for what comes first.
 */
export function stepsOf(boxes: readonly Box[]): ReadonlyMap<PartId, number> {
  const steps = new Map<PartId, number>();
  let step = 0;
  for (const box of boxes) {
    if (box.kind !== 'text') continue;
    // What a slide repeats of the one before it, to go on below it, is known already.
    for (const { style, level, part } of box.paras) {
      if (style !== 'point' || part === null) continue;
      if (level === 1 || step === 0) step++;
      if (!steps.has(part)) steps.set(part, step);
    }
  }
  return step < 2 ? NONE : steps;
}
const NONE: ReadonlyMap<PartId, number> = new Map();

/** How often one goes on before the slide is seen whole. */
export const stepCount = (boxes: readonly Box[]): number =>
  [...stepsOf(boxes).values()].reduce((most, step) => Math.max(most, step), 0);
