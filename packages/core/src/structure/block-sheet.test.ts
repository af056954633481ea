import { expect, test } from '@jest/globals';
import type { Block } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';
import { anotherBlock } from '../ids/index.ts';
import { random, randomDocument } from '../test/build.ts';
import { BlockSheet } from './block-sheet.ts';
import { asWritten, type StructureChange } from './change.ts';
import { asRead, reshape } from './reshape.ts';

/** What a change means, said plainly: every block is looked at for each. */
function plainly(blocks: readonly Block[], change: StructureChange): readonly Block[] | undefined {
  const edited = (ids: readonly BlockId[], become: (block: Block) => Block): readonly Block[] | undefined =>
    blocks.some(({ id }) => ids.includes(id))
      ? blocks.map((block) => (ids.includes(block.id) ? become(block) : block))
      : undefined;
  switch (change.kind) {
    case 'shape':
      return edited(
        change.shapes.map(({ block }) => block),
        (block) => reshape(block, change.shapes.findLast((one) => one.block === block.id)!.as),
      );
    case 'leave':
      return edited(change.blocks, (block) => ({ ...block, left: change.as }));
    case 'keep':
      return edited(change.blocks, ({ left: _, ...block }) => block as Block);
    case 'describe':
      return edited([change.block], (block) =>
        block.kind === 'picture' ? { ...block, alt: change.alt.trim() || null } : block,
      );
    case 'move': {
      const moved = blocks.filter(({ id }) => change.blocks.includes(id));
      const rest = blocks.filter(({ id }) => !change.blocks.includes(id));
      const at = change.before === null ? rest.length : rest.findIndex(({ id }) => id === change.before);
      return moved.length === 0 || at < 0 ? undefined : [...rest.slice(0, at), ...moved, ...rest.slice(at)];
    }
    case 'write': {
      const { replaces, after, blocks: written } = change;
      const old = blocks.filter(({ id }) => replaces.includes(id));
      const found = replaces.length > 0 ? blocks.indexOf(old[0]!) : blocks.findIndex(({ id }) => id === after) + 1;
      if (replaces.length > 0 ? old.length === 0 : after !== null && found === 0) return undefined;
      const place = old[0]?.place ?? blocks.find(({ id }) => id === after)?.place ?? {};
      const gone = old.filter(({ id }) => !written.some((block) => block.id === id));
      const taken = new Set<string>([...blocks.filter((block) => !old.includes(block)), ...gone].map(({ id }) => id));
      const fresh = written.map((block) => {
        let { id } = block;
        while (taken.has(id)) id = anotherBlock(id);
        taken.add(id);
        const known = old.find((one) => one.id === block.id);
        return { ...block, id, place, ...(known === undefined ? {} : asRead(known)) } as Block;
      });
      const rest = (some: readonly Block[]): readonly Block[] => some.filter((block) => !old.includes(block));
      return [
        ...rest(blocks.slice(0, found)),
        ...fresh,
        ...gone.map((block): Block => ({ ...block, left: 'deleted' })),
        ...rest(blocks.slice(found)),
      ];
    }
  }
}

function randomChange(next: () => number, blocks: readonly Block[], seed: number): StructureChange {
  const pick = (): BlockId => (next() < 0.05 ? ('gone' as BlockId) : blocks[Math.floor(next() * blocks.length)]!.id);
  const some = (): readonly BlockId[] => {
    if (next() < 0.3) return Array.from({ length: Math.floor(next() * 4) }, pick);
    const from = Math.floor(next() * blocks.length);
    return blocks.slice(from, from + 1 + Math.floor(next() * 4)).map(({ id }) => id);
  };
  switch (Math.floor(next() * 6)) {
    case 0:
      return { kind: 'shape', shapes: some().map((block) => ({ block, as: { kind: 'heading', level: 2 } })) };
    case 1:
      return { kind: 'leave', blocks: some(), as: 'deleted' };
    case 2:
      return { kind: 'keep', blocks: some() };
    case 3:
      return { kind: 'describe', block: pick(), alt: `${seed}` };
    case 4:
      return { kind: 'move', blocks: some(), before: next() < 0.2 ? null : pick() };
    default: {
      const replaces = some();
      const written = blocks.filter(({ id }) => replaces.includes(id) && next() < 0.7).map(asWritten);
      const copied = blocks[Math.floor(next() * blocks.length)]!;
      return {
        kind: 'write',
        replaces,
        after: replaces.length > 0 || next() < 0.2 ? null : pick(),
        blocks: next() < 0.5 ? written : [...written, asWritten(copied)],
      };
    }
  }
}

test('changes laid one after another give what each means by itself', () => {
  for (let seed = 1; seed <= 150; seed++) {
    const next = random(seed);
    let { blocks } = randomDocument(next, 25);
    const sheet = new BlockSheet(blocks);
    for (let i = 0; i < 20; i++) {
      const change = randomChange(next, blocks, seed);
      const expected = plainly(blocks, change);
      expect({ change, laid: sheet.lay(change) }).toEqual({ change, laid: expected !== undefined });
      if (expected !== undefined) blocks = expected;
      expect(sheet.blocks).toEqual(blocks);
    }
  }
});

test('what is not changed is the same list', () => {
  const { blocks } = randomDocument(random(1), 10);
  const sheet = new BlockSheet(blocks);
  expect(sheet.lay({ kind: 'keep', blocks: ['gone' as BlockId] })).toBe(false);
  expect(sheet.blocks).toBe(blocks);
});
