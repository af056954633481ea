/**
 * Carries the ids in logs of older decks over. Before 0.5 ids were made of MurmurHash3 in 32 bits and the length of the
 * text; later readers give other blocks for the same file, which are matched as those of two editions are.
 */
import {
  BlockIds,
  equalBlock,
  identityText,
  mapIds,
  matchEditions,
  withIds,
  type Block,
  type BlockId,
  type DocumentModel,
  type Edit,
  type LogEntry,
} from '@alvex/core';
import murmur from 'imurmurhash';

/** A file as it was read when the log was written, where that is still known, and as it is read today. */
export interface Reading {
  readonly former: DocumentModel | undefined;
  readonly today: DocumentModel;
}

/** The format of ids before 0.5. */
const MURMUR = 1;

function murmurIds(blocks: readonly Block[]): readonly BlockId[] {
  const seen = new Map<string, number>();
  return blocks.map((block) => {
    const text = identityText(block);
    const first = `${block.kind.charAt(0)}${murmur(text).result().toString(36)}${text.length.toString(36)}` as BlockId;
    const before = seen.get(first) ?? 0;
    seen.set(first, before + 1);
    return equalBlock(first, before);
  });
}

/** What each block was called, and what it is called now. */
function renamed({ former, today }: Reading, format: number): readonly (readonly [BlockId, BlockId])[] {
  const ids = new BlockIds();
  const blocks = (former ?? today).blocks.map((block) => ({ ...block, id: ids.next(block.kind, identityText(block)) }));
  const names = format === MURMUR ? murmurIds(blocks) : blocks.map(({ id }) => id);
  const called = new Map(blocks.map(({ id }, i) => [id, names[i]!]));
  if (former === undefined) return today.blocks.map(({ id }, i) => [names[i]!, id]);
  return matchEditions(blocks, today.blocks).flatMap((match) =>
    match.kind === 'same' || match.kind === 'changed' ? [[called.get(match.before)!, match.after] as const] : [],
  );
}

/** @param readings Of all editions that the entries may be of. @param format What the ids in the entries are of. */
export function withTodaysIds(
  entries: readonly LogEntry[],
  readings: readonly Reading[],
  format: number,
): readonly LogEntry[] {
  const ids = mapIds(new Map(readings.flatMap((reading) => renamed(reading, format))));
  const isEdit = (entry: LogEntry): entry is Edit => entry.kind !== 'undo' && entry.kind !== 'redo';
  return entries.map((entry) => (isEdit(entry) ? withIds(entry, ids) : entry));
}
