/** Remembers what a stretch of the document gave, so that an edit costs the stretch that it changes. */
import type { Destination, LeftOut, Prose, Slide } from '../deck/index.ts';
import type { Block } from '../document/index.ts';

/** What one stretch of the document, from a title up to the next, gave; and all that this depended on. */
export interface Stretch {
  readonly blocks: readonly Block[];
  readonly codes: Uint8Array;
  readonly prose: Prose;
  readonly title: Block | undefined;
  readonly sectionBefore: string | null;
  readonly sectionAfter: string | null;
  readonly slides: readonly Slide[];
  readonly leftOut: readonly LeftOut[];
  readonly destinations: readonly Destination[];
}

/** All that a stretch depends on. */
export type StretchKey = Pick<Stretch, 'codes' | 'prose' | 'title' | 'sectionBefore'>;

// An edit changes one stretch; the others give the same slides again, down to their identity. Who turns a plug to and
// fro, or undoes, comes back to a plan that was there before: the last few are remembered.
const stretches = new WeakMap<Block, readonly Stretch[]>();
const REMEMBERED = 5;

/** @param from Place of the stretch's first block in `blocks`. */
export function recall(key: StretchKey, blocks: readonly Block[], from: number): Stretch | undefined {
  return stretches
    .get(blocks[from]!)
    ?.find(
      (one) =>
        one.title === key.title &&
        one.sectionBefore === key.sectionBefore &&
        sameProse(one.prose, key.prose) &&
        sameCodes(one.codes, key.codes) &&
        sameBlocks(one.blocks, blocks, from),
    );
}

export function remember(stretch: Stretch): void {
  const first = stretch.blocks[0]!;
  stretches.set(first, [stretch, ...(stretches.get(first) ?? []).slice(0, REMEMBERED - 1)]);
}

const sameProse = (a: Prose, b: Prose): boolean =>
  a === b || (a.as === b.as && (a.as !== 'short' || (b.as === 'short' && a.density === b.density)));

function sameBlocks(known: readonly Block[], blocks: readonly Block[], from: number): boolean {
  for (let i = 0; i < known.length; i++) if (known[i] !== blocks[from + i]) return false;
  return true;
}

function sameCodes(a: Uint8Array, b: Uint8Array): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}
