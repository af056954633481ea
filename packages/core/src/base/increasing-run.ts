/** What has kept its order. */

const NONE = -1;

/** Indexes of the longest increasing run of `values`; negative ones are left off (Schensted, "Longest Increasing and Decreasing Subsequences", 1961). */
export function increasingRun(values: ArrayLike<number>): ReadonlySet<number> {
  const tails: number[] = [];
  const previous = new Int32Array(values.length).fill(NONE);
  for (let i = 0; i < values.length; i++) {
    const value = values[i]!;
    if (value < 0) continue;
    let low = 0;
    let high = tails.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (values[tails[middle]!]! < value) low = middle + 1;
      else high = middle;
    }
    previous[i] = low === 0 ? NONE : tails[low - 1]!;
    tails[low] = i;
  }
  const kept = new Set<number>();
  for (let i = tails.at(-1) ?? NONE; i !== NONE; i = previous[i]!) kept.add(i);
  return kept;
}
