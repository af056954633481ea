/** Lays changes of structure over a document, oldest first. A change none of whose blocks is there is told, never dropped. */
import {
  blockRuns,
  blockText,
  branchEnd,
  findTitle,
  READ_FIELDS,
  type Block,
  type DocumentModel,
  type ReadField,
} from '../document/index.ts';
import type { Picture } from '../content/index.ts';
import { writtenPictures, type Shape, type StructureChange } from './change.ts';
import { anotherBlock, type BlockId } from '../ids/index.ts';

export interface Restructured {
  /** The same document where nothing changed. */
  readonly document: DocumentModel;
  readonly unplaced: readonly StructureChange[];
}

export function restructure(document: DocumentModel, changes: readonly StructureChange[]): Restructured {
  const { blocks, unplaced } = restructureBlocks(document.blocks, changes);
  if (blocks === document.blocks) return { document, unplaced };
  const title = findTitle(blocks);
  const hadTitle = findTitle(document.blocks) !== undefined;
  return {
    document: {
      ...document,
      blocks,
      pictures: withPictures(document.pictures, writtenPictures(changes)),
      title: title === undefined ? (hadTitle ? null : document.title) : blockText(title).trim() || null,
    },
    unplaced,
  };
}

function withPictures(known: readonly Picture[], added: readonly Picture[]): readonly Picture[] {
  if (added.length === 0) return known;
  return [...new Map([...known, ...added].map((picture) => [picture.id, picture])).values()];
}

/** @returns The same blocks where nothing changed. */
export function restructureBlocks(
  original: readonly Block[],
  changes: readonly StructureChange[],
): { readonly blocks: readonly Block[]; readonly unplaced: readonly StructureChange[] } {
  let blocks = original;
  const unplaced: StructureChange[] = [];
  for (const change of changes) {
    const next = apply(blocks, change);
    if (next === undefined) unplaced.push(change);
    else blocks = next;
  }
  return { blocks, unplaced };
}

/** @returns undefined when the change finds none of its blocks. */
function apply(blocks: readonly Block[], change: StructureChange): readonly Block[] | undefined {
  switch (change.kind) {
    case 'shape': {
      const shapes = new Map(change.shapes.map(({ block, as }) => [block, as]));
      return edited(blocks, shapes, (block, as) => reshape(block, as));
    }
    case 'leave':
      return edited(blocks, new Map(change.blocks.map((id) => [id, change.as])), (block, left) => ({ ...block, left }));
    case 'keep':
      return edited(blocks, new Map(change.blocks.map((id) => [id, true])), ({ left: _, ...block }) => block as Block);
    case 'describe':
      return edited(blocks, new Map([[change.block, change.alt]]), (block, alt) =>
        block.kind === 'picture' ? { ...block, alt: alt.trim() || null } : block,
      );
    case 'move':
      return move(blocks, change.blocks, change.before);
    case 'write':
      return write(blocks, change);
  }
}

function edited<T>(
  blocks: readonly Block[],
  targets: ReadonlyMap<BlockId, T>,
  change: (block: Block, target: T) => Block,
): readonly Block[] | undefined {
  let found = false;
  const result = blocks.map((block) => {
    const target = targets.get(block.id);
    if (target === undefined) return block;
    found = true;
    return change(block, target);
  });
  return found ? result : undefined;
}

const asRead = (block: Block): Pick<Block, ReadField> =>
  Object.fromEntries(READ_FIELDS.flatMap((field) => (field in block ? [[field, block[field]]] : []))) as Pick<
    Block,
    ReadField
  >;

/** Gives a block another kind; its text, id, place and look stay. Tables, pictures and breaks stay what they are. */
export function reshape(block: Block, as: Shape): Block {
  if (block.kind === 'table' || block.kind === 'picture' || block.kind === 'break' || block.kind === 'footnote')
    return block;
  const { left } = block;
  const base = {
    id: block.id,
    ...asRead(block),
    runs: blockRuns(block),
    ...(left === undefined ? {} : { left }),
  };
  switch (as.kind) {
    case 'heading':
      return { ...base, kind: 'heading', level: as.level, ...labelled(block) };
    case 'paragraph':
      return { ...base, kind: 'paragraph' };
    case 'title':
      return { ...base, kind: 'paragraph', role: 'title' };
    case 'listItem':
      return {
        ...base,
        kind: 'listItem',
        depth: as.depth,
        ordered: as.ordered,
        ...(as.ordered ? { number: 1, ...numbered(block) } : {}),
      };
    case 'quote':
      return { ...base, kind: 'quote' };
  }
}

/** The number before a line stays with it, whatever it becomes. */
function labelled(block: Block): { readonly label?: string } {
  if (block.kind === 'heading') return block.label === undefined ? {} : { label: block.label };
  if (block.kind !== 'listItem' || !block.ordered) return {};
  return { label: block.label ?? `${block.number ?? 1}.` };
}

const numbered = (block: Block): { readonly number?: number; readonly label?: string } =>
  block.kind === 'listItem' && block.ordered
    ? { number: block.number ?? 1, ...(block.label === undefined ? {} : { label: block.label }) }
    : labelled(block);

function move(blocks: readonly Block[], ids: readonly BlockId[], before: BlockId | null): readonly Block[] | undefined {
  const moved = new Set<string>(ids);
  if (before !== null && moved.has(before)) return undefined;
  const taken = blocks.filter((block) => moved.has(block.id));
  const rest = blocks.filter((block) => !moved.has(block.id));
  const at = before === null ? rest.length : rest.findIndex((block) => block.id === before);
  if (taken.length === 0 || at < 0) return undefined;
  return [...rest.slice(0, at), ...taken, ...rest.slice(at)];
}

function write(
  blocks: readonly Block[],
  { replaces, after, blocks: written }: StructureChange & { kind: 'write' },
): readonly Block[] | undefined {
  const replaced = new Set<string>(replaces);
  const old = new Map(blocks.filter((block) => replaced.has(block.id)).map((block) => [block.id as string, block]));
  if (replaces.length > 0 && old.size === 0) return undefined;
  const kept = new Set<string>(written.map(({ id }) => id));
  // An id that is in use elsewhere would make two blocks one.
  const taken = new Set(blocks.filter((block) => !replaced.has(block.id)).map(({ id }) => id as string));
  const place = [...old.values()][0]?.place ?? blocks.find((block) => block.id === after)?.place ?? {};
  const fresh = written.map((block): Block => {
    let id = block.id;
    while (taken.has(id)) id = anotherBlock(id);
    taken.add(id);
    const known = old.get(block.id);
    return { ...block, id, place, ...(known === undefined ? {} : asRead(known)) };
  });
  const gone = [...old.values()]
    .filter((block) => !kept.has(block.id))
    .map((block): Block => ({ ...block, left: 'deleted' }));
  const at =
    replaces.length > 0
      ? blocks.findIndex((block) => replaced.has(block.id))
      : after === null
        ? 0
        : blocks.findIndex((block) => block.id === after) + 1;
  if (replaces.length === 0 && after !== null && at === 0) return undefined;
  const rest = (some: readonly Block[]) => some.filter((block) => !replaced.has(block.id));
  return [...rest(blocks.slice(0, at)), ...fresh, ...gone, ...rest(blocks.slice(at))];
}

/** The branch of a heading: itself and all that stands below it. For anything else, the block alone. */
export function branchOf(blocks: readonly Block[], id: BlockId): readonly Block[] {
  const from = blocks.findIndex((block) => block.id === id);
  return from < 0 ? [] : blocks.slice(from, branchEnd(blocks, from));
}
