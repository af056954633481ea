/** What of a deck is in force: its edits, its document, and the template on which it is built. */
import {
  carryOver,
  currentEdition,
  decide,
  foldLog,
  singleEdits,
  type Edit,
  type LogEntry,
  type TemplateUse,
} from '@alvex/core';
import type { Context } from './context.ts';
import { wholeLog } from './log.ts';
import { packedDocument } from './originals.ts';

export interface InForce {
  readonly edits: readonly Edit[];
  /** All that was ever written, undone work too. */
  readonly log: readonly LogEntry[];
  /** The document as it was read, gzip. */
  readonly packed: Uint8Array;
  readonly template: TemplateUse | null;
}

/** @throws AppError `deck-not-found`. */
export async function inForce(context: Context, id: string): Promise<InForce> {
  const { entries, by, beginning } = await wholeLog(context, id);
  const edits = [...beginning, ...foldLog(entries, by).done];
  const single = singleEdits(edits);
  const packed = await packedDocument(context, id, currentEdition(single)?.original);
  return { edits, log: entries, packed, template: decide(carryOver(single)).template };
}
