/** Organisations' presentation files on which decks are built: kept byte for byte, with what was read of them. */
import { READER_VERSION, ReadError, type TemplateModel } from '@alvex/core';
import { gunzipSync } from 'node:zlib';
import { getBlob, putBlob, type Blob } from '../db/blobs.ts';
import { getDocument, putDocument } from '../db/documents.ts';
import { getTemplate, getTemplates, putEdition, TEMPLATE } from '../db/editions.ts';
import { TaskStopped } from '../jobs/pool.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';
import { keepFile } from './create-deck.ts';
import { existing } from './existing-deck.ts';

const UNUSABLE: ReadonlySet<string> = new Set(['wrong-type', 'not-a-zip', 'part-missing', 'empty', 'old-binary']);

/** Takes a template in; nothing is changed until an entry of the log says so. @throws ReadError, AppError. */
export async function addTemplate(
  context: Context,
  deck: string,
  bytes: Uint8Array,
  fileName: string,
): Promise<{ readonly hash: string; readonly fileName: string }> {
  await existing(context, deck);
  const { db, pool, workspace } = context;
  const read = await pool.template(bytes).catch((error: unknown) => {
    if (error instanceof TaskStopped) throw new AppError('reading-stopped', undefined, { cause: error });
    if (error instanceof ReadError && UNUSABLE.has(error.code))
      throw new AppError('template-unusable', undefined, { cause: error });
    throw error;
  });
  const hash = await keepFile(context, bytes, TEMPLATE);
  for (const { id, mime, bytes: data } of read.pictures) await putBlob(db, workspace, { hash: id, mime, bytes: data });
  await putDocument(db, keyOf(context, hash), read.packed);
  await putEdition(db, deck, { original: hash, type: TEMPLATE, file_name: fileName.slice(0, 255) }, context.now());
  return { hash, fileName: fileName.slice(0, 255) };
}

const keyOf = ({ workspace }: Context, hash: string) => ({
  workspace,
  original: hash,
  type: TEMPLATE,
  reader: READER_VERSION,
});

/** What was read of a template of the deck's, gzip. @throws AppError `template-not-found`. */
export async function packedTemplate(context: Context, deck: string, hash: string): Promise<Uint8Array> {
  await existing(context, deck);
  if ((await getTemplate(context.db, deck, hash)) === undefined) throw new AppError('template-not-found');
  const key = keyOf(context, hash);
  const cached = await getDocument(context.db, key);
  if (cached !== undefined) return cached;
  const read = await context.pool.template(await templateBytes(context, deck, hash));
  await putDocument(context.db, key, read.packed);
  return read.packed;
}

/** The file itself. @throws AppError `template-not-found`. */
export async function templateBytes({ db, workspace }: Context, deck: string, hash: string): Promise<Uint8Array> {
  const known = await getTemplate(db, deck, hash);
  const blob: Blob | undefined = known === undefined ? undefined : await getBlob(db, workspace, hash);
  if (blob === undefined) throw new AppError('template-not-found');
  return blob.bytes;
}

/** Pictures of the grounds and logos of all templates that the deck ever had. */
export async function templatePictures(context: Context, deck: string): Promise<TemplateModel['pictures']> {
  const all = [];
  for (const { original } of await getTemplates(context.db, deck))
    all.push(
      ...(JSON.parse(gunzipSync(await packedTemplate(context, deck, original)).toString('utf8')) as TemplateModel)
        .pictures,
    );
  return all;
}
