/** Changes of a document's structure and text, as data over the original, which stays as it was. */
import type { Picture } from '../content/index.ts';
import { READ_FIELDS, type Block, type LeftKind, type Level, type ReadField } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';

/** What a line of text can be made. */
export type Shape =
  | { readonly kind: 'heading'; readonly level: Level }
  | { readonly kind: 'paragraph' }
  | { readonly kind: 'title' }
  | { readonly kind: 'listItem'; readonly depth: number; readonly ordered: boolean }
  | { readonly kind: 'quote' };

type WithoutPlace<B> = B extends Block ? Omit<B, ReadField> : never;
/** A block as the author wrote it; one of a known id takes the place of the original's. */
export type WrittenBlock = WithoutPlace<Block>;

export const asWritten = (block: Block | WrittenBlock): WrittenBlock =>
  Object.fromEntries(
    Object.entries(block).filter(([key]) => !READ_FIELDS.some((field) => field === key)),
  ) as WrittenBlock;

export type StructureChange =
  /** Makes lines another kind of text or another level; the whole selection at once. */
  | { readonly kind: 'shape'; readonly shapes: readonly { readonly block: BlockId; readonly as: Shape }[] }
  /** Puts `blocks` where `replaces` stood, or behind `after` where nothing is replaced; null is the beginning. What is replaced and not among them stays, left out. */
  | {
      readonly kind: 'write';
      readonly replaces: readonly BlockId[];
      readonly after: BlockId | null;
      readonly blocks: readonly WrittenBlock[];
      /** Pictures among them that the original does not have. */
      readonly pictures?: readonly Picture[];
    }
  /** Moves blocks, kept in their order, before another; null is the end. */
  | { readonly kind: 'move'; readonly blocks: readonly BlockId[]; readonly before: BlockId | null }
  | { readonly kind: 'leave'; readonly blocks: readonly BlockId[]; readonly as: LeftKind }
  /** Brings back what was left out. */
  | { readonly kind: 'keep'; readonly blocks: readonly BlockId[] }
  | { readonly kind: 'describe'; readonly block: BlockId; readonly alt: string };

/** Sends a block elsewhere than the map does; one of the edits, given here where a repair is exactly that. */
export interface Turn {
  readonly kind: 'turn';
  readonly block: BlockId;
  readonly to: 'notes' | 'out';
}

/** Pictures that the author put in. */
export const writtenPictures = (changes: readonly StructureChange[]): readonly Picture[] =>
  changes.flatMap((change) => (change.kind === 'write' ? (change.pictures ?? []) : []));

const KINDS: ReadonlySet<string> = new Set([
  'shape',
  'write',
  'move',
  'leave',
  'keep',
  'describe',
] satisfies StructureChange['kind'][]);

export const isStructureChange = <E extends { readonly kind: string }>(edit: E): edit is E & StructureChange =>
  KINDS.has(edit.kind);
