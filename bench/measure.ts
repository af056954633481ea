/** What every case uses: the best of some runs, and the peak memory of the process it runs in. */
export interface Measured {
  readonly ms: number;
  readonly peakMegabytes: number;
  /** Anything the case wants compared besides. */
  readonly extra?: Readonly<Record<string, number>>;
}

export async function best(runs: number, work: () => unknown): Promise<number> {
  let least = Infinity;
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    await work();
    least = Math.min(least, performance.now() - start);
  }
  return least;
}

/** Prints a result for the parent process; peak memory is the whole process's, so every subject has a process of its own. */
export function tell(ms: number, extra?: Measured['extra']): void {
  const measured: Measured = {
    ms,
    peakMegabytes: process.resourceUsage().maxRSS / 1024,
    ...(extra === undefined ? {} : { extra }),
  };
  console.log(JSON.stringify(measured));
}

export const WORDS =
  'tide mill sluice pond wheel float gate stone flour silt damsel head quay spring neap rope miller grain water level board winter measured against the and of a that which was when from with once before'.split(
    ' ',
  );

/** A repeatable sentence of `count` words. */
export function sentence(seed: number, count: number): string {
  const words = Array.from({ length: count }, (_, i) => WORDS[(seed * 31 + i * i * 7 + i * 13) % WORDS.length]!);
  return `${words[0]!.charAt(0).toUpperCase()}${words.join(' ').slice(1)}.`;
}
