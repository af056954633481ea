/** Parts as passages: where a part is exactly one, its mark says what becomes of it, and is turned instead of the part. */
import type { Content } from '../deck/index.ts';
import { partOf, type BlockId, type PartId } from '../ids/index.ts';
import type { SingleEdit } from './kinds.ts';

/** The passage that a part is; undefined where it is made of several, or of a piece. */
export function passageOf({ id, blocks: [block, ...others] }: Content): BlockId | undefined {
  return block !== undefined && others.length === 0 && id === partOf(block) ? block : undefined;
}

/** Speaks parts instead of showing them. @param content Of their slide. */
export function speakParts(content: readonly Content[], parts: readonly PartId[]): readonly SingleEdit[] {
  const some = content.filter(({ id }) => parts.includes(id));
  const own = some.filter((part) => passageOf(part) === undefined).map(({ id }) => id);
  return [
    ...some.flatMap((part): readonly SingleEdit[] => {
      const block = passageOf(part);
      return block === undefined ? [] : [{ kind: 'turn', block, to: 'notes' }];
    }),
    ...(own.length === 0 ? [] : [{ kind: 'speak' as const, parts: own }]),
  ];
}
