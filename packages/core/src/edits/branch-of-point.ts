/** The parts that go with a point. */
import type { Content } from '../deck/index.ts';
import type { PartId } from '../ids/index.ts';

/** Itself and what is nested below it. */
export function branchOfPoint(content: readonly Content[], id: PartId): readonly PartId[] {
  const from = content.findIndex((part) => part.id === id);
  const first = content[from];
  if (first === undefined) return [];
  if (first.kind !== 'point') return [id];
  let to = from + 1;
  for (; to < content.length; to++) {
    const part = content[to]!;
    if (part.kind === 'point' && part.level <= first.level) break;
  }
  return content.slice(from, to).map((part) => part.id);
}
