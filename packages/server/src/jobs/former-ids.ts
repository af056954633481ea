/**
 * Ids as Alvex made them before 0.5, which stand in the logs of older decks: of MurmurHash3 in 32 bits and the length of the text. Only for
 * carrying those over.
 */
import {
  equalBlock,
  identityText,
  mapIds,
  withIds,
  type BlockId,
  type DocumentModel,
  type Edit,
  type LogEntry,
} from '@alvex/core';
import murmur from 'imurmurhash';

/** What each block was called, and what it is called now. */
function formerIds({ blocks }: DocumentModel): readonly (readonly [BlockId, BlockId])[] {
  const seen = new Map<string, number>();
  return blocks.map((block) => {
    const text = identityText(block);
    const first = `${block.id.charAt(0)}${murmur(text).result().toString(36)}${text.length.toString(36)}` as BlockId;
    const before = seen.get(first) ?? 0;
    seen.set(first, before + 1);
    return [equalBlock(first, before), block.id];
  });
}

/** @param documents All editions that the entries may be of, as they are read today. */
export function withTodaysIds(entries: readonly LogEntry[], documents: readonly DocumentModel[]): readonly LogEntry[] {
  const ids = mapIds(new Map(documents.flatMap(formerIds)));
  const isEdit = (entry: LogEntry): entry is Edit => entry.kind !== 'undo' && entry.kind !== 'redo';
  return entries.map((entry) => (isEdit(entry) ? withIds(entry, ids) : entry));
}
