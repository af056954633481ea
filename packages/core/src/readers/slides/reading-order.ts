/** The order in which one reads what stands on a slide: recursive cuts through its widest gaps (Nagy and Seth, 1984). */
import type { Box } from './read-slide.ts';

/** Boxes may lie over each other by so much of the slide and still stand apart. */
const TOLERANCE = 0.01;

interface Cut {
  readonly gap: number;
  readonly at: number;
  readonly axis: 'x' | 'y';
}

/**
 * @param boxOf What has no box keeps its place behind the others.
 * @param aspect Width by height of the slide.
 * @param fromRight Whether rows are read from the right.
 */
export function readingOrder<T>(
  items: readonly T[],
  boxOf: (item: T) => Box | undefined,
  aspect: number,
  fromRight: boolean,
): readonly T[] {
  const placed = items.filter((item) => boxOf(item) !== undefined);
  const sort = (some: readonly T[]): readonly T[] => {
    if (some.length < 2) return some;
    const boxes = some.map((item) => boxOf(item)!);
    const cuts = [widestGap(boxes, 'y', 1), widestGap(boxes, 'x', aspect)].filter((cut) => cut !== undefined);
    // Rows come first where nothing tells.
    const cut = cuts.length === 2 && cuts[1]!.gap > cuts[0]!.gap * 1.2 ? cuts[1] : cuts[0];
    if (cut === undefined)
      return some.toSorted((a, b) => {
        const [one, other] = [boxOf(a)!, boxOf(b)!];
        return one.y - other.y || (fromRight ? other.x - one.x : one.x - other.x);
      });
    const before = some.filter((item) => startOf(boxOf(item)!, cut.axis) < cut.at);
    const after = some.filter((item) => startOf(boxOf(item)!, cut.axis) >= cut.at);
    const [first, second] = cut.axis === 'x' && fromRight ? [after, before] : [before, after];
    return [...sort(first), ...sort(second)];
  };
  return [...sort(placed), ...items.filter((item) => boxOf(item) === undefined)];
}

const startOf = (box: Box, axis: 'x' | 'y'): number => box[axis];
const endOf = (box: Box, axis: 'x' | 'y'): number => box[axis] + (axis === 'x' ? box.width : box.height);

/** @returns undefined where no line along the other axis passes between the boxes. */
function widestGap(boxes: readonly Box[], axis: 'x' | 'y', scale: number): Cut | undefined {
  const sorted = boxes.toSorted((a, b) => startOf(a, axis) - startOf(b, axis));
  let widest: Cut | undefined;
  let end = endOf(sorted[0]!, axis);
  for (const box of sorted.slice(1)) {
    const at = startOf(box, axis);
    const gap = (at - end + TOLERANCE) * scale;
    if (at > startOf(sorted[0]!, axis) && gap > 0 && (widest === undefined || gap > widest.gap))
      widest = { gap, at, axis };
    end = Math.max(end, endOf(box, axis));
  }
  return widest;
}
