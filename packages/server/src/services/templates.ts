/** Organisations' presentation files on which decks are built: kept byte for byte, with what was read of them. */
import type { KeptTemplate } from '@alvex/contract';
import { ReadError, TEMPLATE_VERSION, type Picture } from '@alvex/core';
import { getBlob, putBlob } from '../db/blobs.ts';
import { getDocument } from '../db/documents.ts';
import { getTemplate, getTemplates, putEdition, TEMPLATE } from '../db/editions.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { keepRead, loaded, mimeOf, stopped, type NewFile } from './files.ts';

const UNUSABLE: ReadonlySet<string> = new Set(['wrong-type', 'not-a-zip', 'part-missing', 'empty', 'old-binary']);

/** Takes a template in; nothing is changed until an entry of the log says so. @throws ReadError, AppError. */
export async function addTemplate(context: Context, deck: string, file: NewFile): Promise<KeptTemplate> {
  await existing(context, deck);
  const { db, gate, jobs, workspace } = context;
  const { hash, removed, made } = await gate
    .within(file.size, async () => {
      const read = await jobs.run('template', { bytes: await loaded(file) });
      const [own = ''] = read.hashes;
      await putBlob(db, workspace, { hash: own, mime: mimeOf(TEMPLATE), bytes: read.bytes });
      await keepRead(context, { hash: own, type: TEMPLATE }, read);
      return { hash: own, removed: read.removed, made: read.made };
    })
    .catch((error: unknown) => {
      if (error instanceof ReadError && UNUSABLE.has(error.code))
        throw new AppError('template-unusable', undefined, { cause: error });
      return stopped(error);
    });
  const name = file.fileName.slice(0, 255);
  await putEdition(db, deck, { original: hash, type: TEMPLATE, file_name: name }, context.now());
  return { hash, fileName: name, removed, made };
}

/** What was read of a template of the deck's, gzip. @throws AppError `template-not-found`. */
export async function packedTemplate(
  context: Context,
  deck: string,
  hash: string,
  deletedToo = false,
): Promise<Uint8Array> {
  await existing(context, deck, deletedToo);
  const { db, gate, jobs, workspace } = context;
  if ((await getTemplate(db, deck, hash)) === undefined) throw new AppError('template-not-found');
  const key = { workspace, original: hash, type: TEMPLATE, reader: TEMPLATE_VERSION };
  const cached = await getDocument(db, key);
  if (cached !== undefined) return cached;
  const bytes = await templateBytes(context, deck, hash);
  return gate
    .within(bytes.length, async () => {
      const read = await jobs.run('template', { bytes });
      await keepRead(context, { hash, type: TEMPLATE }, read);
      return read.packed;
    })
    .catch(stopped);
}

/** The file itself. @throws AppError `template-not-found`. */
export async function templateBytes({ db, workspace }: Context, deck: string, hash: string): Promise<Uint8Array> {
  const known = await getTemplate(db, deck, hash);
  const blob = known === undefined ? undefined : await getBlob(db, workspace, hash);
  if (blob === undefined) throw new AppError('template-not-found');
  return blob.bytes;
}

/** Pictures of the grounds and logos of all templates that the deck ever had. */
export async function templatePictures(context: Context, deck: string): Promise<readonly Picture[]> {
  const all: Picture[] = [];
  for (const { original } of await getTemplates(context.db, deck))
    all.push(...(await context.jobs.run('pictures', { packed: await packedTemplate(context, deck, original) })));
  return all;
}
