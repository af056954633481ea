/** Gives a block another kind. */
import { blockRuns, READ_FIELDS, type Block, type ReadField } from '../document/index.ts';
import type { Shape } from './change.ts';

/** What the reader saw at a block. */
export function asRead(block: Block): Pick<Block, ReadField> {
  const read: { -readonly [K in ReadField]?: Block[K] } = {};
  for (const field of READ_FIELDS) if (block[field] !== undefined) Object.assign(read, { [field]: block[field] });
  return read as Pick<Block, ReadField>;
}

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
