/** Counting and grouping, in the order in which things first come. */

export function groupBy<T, K>(items: Iterable<T>, keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [item]);
    else group.push(item);
  }
  return groups;
}

/** The value that comes most often, or with the greatest weight; undefined when there is none. The first wins among equals. */
export function mostCommon<T>(
  items: Iterable<T>,
  valueOf: (item: T) => number,
  weightOf: (item: T) => number = () => 1,
): number | undefined {
  const weights = new Map<number, number>();
  for (const item of items) weights.set(valueOf(item), (weights.get(valueOf(item)) ?? 0) + weightOf(item));
  let best: number | undefined;
  for (const [value, weight] of weights) if (best === undefined || weight > weights.get(best)!) best = value;
  return best;
}
