/** Writes a deck as it is kept here. */
import { carryOver, currentEdition, decide, foldLog, singleEdits, type FormatName } from '@alvex/core';
import { blobsSize, getBlob } from '../db/blobs.ts';
import type { Watching } from '../jobs/pool.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { stopped } from './files.ts';
import { wholeLog } from './log.ts';
import { packedDocument } from './originals.ts';
import { deckPictures } from './pictures.ts';
import { templateBytes } from './templates.ts';

/** @throws AppError `deck-not-found`, `template-not-found`, `reading-stopped`. */
export async function exportDeck(
  context: Context,
  id: string,
  { format, fonts }: { readonly format: FormatName; readonly fonts: boolean },
  watching: Watching = {},
): Promise<{ readonly bytes: Uint8Array; readonly name: string }> {
  const { name, file_name: origin } = await existing(context, id);
  const { entries: log, by, beginning } = await wholeLog(context, id);
  const done = [...beginning, ...foldLog(log, by).done];
  const edits = singleEdits(done);
  const packed = await packedDocument(context, id, currentEdition(edits)?.original);
  const hashes = await deckPictures(context, id, log);
  const use = decide(carryOver(edits)).template;
  const write = async (): Promise<Uint8Array> => {
    const pictures: { id: string; bytes: Uint8Array }[] = [];
    for (const hash of hashes) {
      const blob = await getBlob(context.db, context.workspace, hash);
      if (blob !== undefined) pictures.push({ id: hash, bytes: blob.bytes });
    }
    const template = use === null ? null : { hash: use.hash, bytes: await templateBytes(context, id, use.hash) };
    return context.jobs.run('write', { format, packed, pictures, edits: done, template, fonts, origin }, watching);
  };
  const size = packed.length + (await blobsSize(context.db, context.workspace, [...hashes]));
  const bytes = await context.gate.within(size, write, watching).catch(stopped);
  return { bytes, name };
}
