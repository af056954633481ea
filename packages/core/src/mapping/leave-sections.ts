/** What could be left out of a document so that its deck comes to what is wanted. */
import { blockText, branchEnd, findTitle, type DocumentModel } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';

/** What one slide takes of a target, and the block with which it begins. */
export interface SlideCost {
  readonly block: BlockId | undefined;
  /** Slides or words, whatever is counted. */
  readonly cost: number;
}
export interface LeftSections {
  readonly titles: readonly string[];
  readonly blocks: readonly BlockId[];
}

/** So near is as wanted. */
const NEAR = 0.1;

/** @returns undefined where the deck is short enough, or would be no deck any more. */
export function sectionsToLeave(
  document: DocumentModel,
  slides: readonly SlideCost[],
  wanted: number,
): LeftSections | undefined {
  const sections = sectionsOf(document);
  const places = new Map(document.blocks.map(({ id }, i) => [id, i]));
  const costs = sections.map(() => 0);
  let sum = 0;
  for (const { block, cost } of slides) {
    sum += cost;
    const place = block === undefined ? undefined : places.get(block);
    const at = place === undefined ? -1 : sections.findIndex(({ from, to }) => place >= from && place < to);
    if (at >= 0) costs[at]! += cost;
  }
  const [least, most] = [wanted * (1 - NEAR), wanted * (1 + NEAR)];
  if (sum <= most) return undefined;
  const left = new Set<number>();
  const leave = (i: number): void => {
    left.add(i);
    sum -= costs[i]!;
  };
  // Of equal ones the later goes first: a document begins with what matters.
  const byCost = sections
    .map((_, i) => i)
    .filter((i) => costs[i]! > 0)
    .sort((a, b) => costs[b]! - costs[a]! || b - a);
  for (const i of byCost) if (sum > most && sum - costs[i]! >= least) leave(i);
  // None fits what is over: then the smallest that is enough.
  const enough = byCost.findLast((i) => !left.has(i) && sum - costs[i]! <= most);
  if (sum > most && enough !== undefined) leave(enough);
  if (sum > most || left.size === 0 || left.size >= byCost.length) return undefined;
  const chosen = [...left].sort((a, b) => a - b).map((i) => sections[i]!);
  return {
    titles: chosen.map(({ title }) => title),
    blocks: chosen.flatMap(({ from, to }) =>
      document.blocks.slice(from, to).flatMap(({ id, left: already }) => (already === undefined ? [id] : [])),
    ),
  };
}

interface Section {
  readonly title: string;
  readonly from: number;
  readonly to: number;
}

/** The parts below the highest headings of which there are several. */
function sectionsOf({ blocks }: DocumentModel): readonly Section[] {
  const title = findTitle(blocks);
  const headings = blocks.flatMap((block, at) =>
    block.kind === 'heading' && block !== title && block.left === undefined ? [{ block, at, level: block.level }] : [],
  );
  const levels = headings.map(({ level }) => level);
  const level = [...levels].sort().find((one) => levels.filter((other) => other === one).length > 1);
  return headings
    .filter((heading) => heading.level === level)
    .map(({ block, at }): Section => ({ title: blockText(block), from: at, to: branchEnd(blocks, at) }));
}
