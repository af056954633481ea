/** The blocks of a document while changes are laid over them: each costs what it changes, not what the document holds. */
import type { SourcePlace } from '../base/index.ts';
import { READ_FIELDS, type Block } from '../document/index.ts';
import { anotherBlock, type BlockId } from '../ids/index.ts';
import type { StructureChange, WrittenBlock } from './change.ts';
import { asRead, reshape } from './reshape.ts';

interface Line {
  block: Block;
  before: Line | undefined;
  after: Line | undefined;
}

const NEAR = 50; // lines that are looked at for each of some that mostly stand together

export class BlockSheet {
  readonly #lines = new Map<BlockId, Line>();
  #first: Line | undefined;
  #last: Line | undefined;
  #blocks: readonly Block[] | undefined;

  constructor(blocks: readonly Block[]) {
    this.#blocks = blocks;
    for (const block of blocks) this.#put(block, this.#last);
  }

  /** In their order; the same list until something changes. */
  get blocks(): readonly Block[] {
    if (this.#blocks !== undefined) return this.#blocks;
    const blocks: Block[] = [];
    for (let line = this.#first; line !== undefined; line = line.after) blocks.push(line.block);
    return (this.#blocks = blocks);
  }

  /** @returns Whether the change found any of its blocks. */
  lay(change: StructureChange): boolean {
    const laid = this.#lay(change);
    if (laid) this.#blocks = undefined;
    return laid;
  }

  #lay(change: StructureChange): boolean {
    switch (change.kind) {
      case 'shape':
        // A line that is named twice becomes what is said last.
        return this.#change(new Map(change.shapes.map(({ block, as }) => [block, as])), reshape);
      case 'leave':
        return this.#change(each(change.blocks, change.as), (block, left) => ({ ...block, left }));
      case 'keep':
        return this.#change(each(change.blocks, true), ({ left: _, ...block }) => block as Block);
      case 'describe':
        return this.#change(each([change.block], change.alt), (block, alt) =>
          block.kind === 'picture' ? { ...block, alt: alt.trim() || null } : block,
        );
      case 'move':
        return this.#move(change.blocks, change.before);
      case 'write':
        return this.#write(change);
    }
  }

  #change<T>(targets: ReadonlyMap<BlockId, T>, become: (block: Block, target: T) => Block): boolean {
    let found = false;
    for (const [id, target] of targets) {
      const line = this.#lines.get(id);
      if (line === undefined) continue;
      line.block = become(line.block, target);
      found = true;
    }
    return found;
  }

  #move(ids: readonly BlockId[], before: BlockId | null): boolean {
    const target = before === null ? undefined : this.#lines.get(before);
    const moved = this.#inOrder(ids);
    if (moved.length === 0 || (before !== null && target === undefined) || moved.some((line) => line === target))
      return false;
    for (const line of moved) this.#take(line);
    let at = target === undefined ? this.#last : target.before;
    for (const { block } of moved) at = this.#put(block, at);
    return true;
  }

  #write({ replaces, after, blocks: fresh }: StructureChange & { readonly kind: 'write' }): boolean {
    const [only] = fresh;
    const line = replaces.length === 1 && fresh.length === 1 ? this.#lines.get(replaces[0]!) : undefined;
    if (line !== undefined && only!.id === line.block.id) {
      // Words written into one block: nearly all that is written.
      line.block = placed(only!, only!.id, line.block.place, line.block);
      return true;
    }
    const old = this.#inOrder(replaces);
    const behind = after === null ? undefined : this.#lines.get(after);
    if (replaces.length > 0 ? old.length === 0 : after !== null && behind === undefined) return false;
    let at = replaces.length > 0 ? old[0]!.before : behind;
    const place = old[0]?.block.place ?? behind?.block.place ?? {};
    const known = new Map(old.map(({ block }) => [block.id, block]));
    for (const line of old) this.#take(line);
    const kept = new Set(fresh.map(({ id }) => id));
    const gone = old.map(({ block }) => block).filter(({ id }) => !kept.has(id));
    const goneIds = new Set(gone.map(({ id }) => id));
    for (const block of fresh) {
      // An id that is in use elsewhere would make two blocks one.
      let { id } = block;
      while (this.#lines.has(id) || goneIds.has(id)) id = anotherBlock(id);
      const before = known.get(block.id);
      at = this.#put(placed(block, id, place, before), at);
    }
    for (const block of gone) at = this.#put({ ...block, left: 'deleted' }, at);
    return true;
  }

  /** Lines in the order in which they stand. */
  #inOrder(ids: readonly BlockId[]): readonly Line[] {
    const wanted = new Set(ids.flatMap((id) => this.#lines.get(id) ?? []));
    if (wanted.size <= 1) return [...wanted];
    const [first] = wanted;
    return this.#among(wanted, first, wanted.size * 2 + NEAR) ?? this.#among(wanted, this.#first, Infinity) ?? [];
  }

  /** @returns undefined where not all stand within so many lines. */
  #among(wanted: ReadonlySet<Line>, from: Line | undefined, lines: number): readonly Line[] | undefined {
    const found: Line[] = [];
    for (let line = from, i = 0; line !== undefined && i < lines; line = line.after, i++)
      if (wanted.has(line) && found.push(line) === wanted.size) return found;
    return undefined;
  }

  #put(block: Block, behind: Line | undefined): Line {
    const after = behind === undefined ? this.#first : behind.after;
    const line: Line = { block, before: behind, after };
    if (behind === undefined) this.#first = line;
    else behind.after = line;
    if (after === undefined) this.#last = line;
    else after.before = line;
    this.#lines.set(block.id, line);
    return line;
  }

  #take({ block, before, after }: Line): void {
    if (before === undefined) this.#first = after;
    else before.after = after;
    if (after === undefined) this.#last = before;
    else after.before = before;
    this.#lines.delete(block.id);
  }
}

// Laid anew, as after an undo, what was written is the same block, down to its identity: later stages remember by it.
const written = new WeakMap<
  WrittenBlock,
  { readonly place: SourcePlace; readonly before: Block | undefined; readonly block: Block }
>();

function placed(from: WrittenBlock, id: BlockId, place: SourcePlace, before: Block | undefined): Block {
  const known = written.get(from);
  if (known !== undefined && known.block.id === id && known.place === place && sameReading(known.before, before))
    return known.block;
  const block: Block = { ...from, id, place, ...(before === undefined ? {} : asRead(before)) };
  written.set(from, { place, before, block });
  return block;
}

const sameReading = (a: Block | undefined, b: Block | undefined): boolean =>
  a === b || READ_FIELDS.every((field) => a?.[field] === b?.[field]);

const each = <T>(ids: readonly BlockId[], to: T): ReadonlyMap<BlockId, T> => new Map(ids.map((id) => [id, to]));
