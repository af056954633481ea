/** Writes a deck as it is kept here. */
import type { FormatName, SheetOptions } from '@alvex/core';
import { blobsSize, getBlob } from '../db/blobs.ts';
import type { Watching } from '../jobs/pool.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { stopped } from './files.ts';
import { inForce } from './in-force.ts';
import { deckPictures } from './pictures.ts';
import { templateBytes } from './templates.ts';

export interface ExportOptions {
  readonly format: FormatName;
  /** See `OutputOptions`. */
  readonly fonts: boolean;
  readonly thumbnail: boolean;
  readonly sheets: Partial<SheetOptions>;
  readonly width: number | undefined;
  readonly notes: boolean;
  readonly handout: boolean;
  /** Whether it is the document, in the place of its deck. */
  readonly source: boolean;
  /** The number of one slide or table, where a format has each as a file of its own. */
  readonly only: number | undefined;
}

/** @throws AppError `deck-not-found`, `template-not-found`, `part-not-found`, `reading-stopped`. */
export async function exportDeck(
  context: Context,
  id: string,
  { format, ...choices }: ExportOptions,
  watching: Watching = {},
): Promise<{ readonly bytes: Uint8Array; readonly name: string }> {
  const { name, file_name: origin } = await existing(context, id);
  const { edits, log, packed, template: use } = await inForce(context, id);
  const hashes = await deckPictures(context, id, log);
  const write = async (): Promise<Uint8Array | string> => {
    const pictures: { id: string; bytes: Uint8Array }[] = [];
    for (const hash of hashes) {
      const blob = await getBlob(context.db, context.workspace, hash);
      if (blob !== undefined) pictures.push({ id: hash, bytes: blob.bytes });
    }
    const template = use === null ? null : { hash: use.hash, bytes: await templateBytes(context, id, use.hash) };
    return context.jobs.run('write', { format, packed, pictures, edits, template, origin, ...choices }, watching);
  };
  const size = packed.length + (await blobsSize(context.db, context.workspace, [...hashes]));
  const bytes = await context.gate.within(size, write, watching).catch(stopped);
  if (typeof bytes === 'string') throw new AppError('part-not-found', bytes);
  return { bytes, name };
}
