/** Pictures of a deck: of its document, of what its author put in, of its templates. */
import { editPictures, READER_VERSION, type LogEntry, type Picture } from '@alvex/core';
import { getBlob, putBlob, type Blob } from '../db/blobs.ts';
import type { EditionRow } from '../db/editions.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { loaded, packedOf, type NewFile } from './files.ts';
import { wholeLog } from './log.ts';
import { sourcesOf } from './originals.ts';
import { templatePictures } from './templates.ts';

/** Pictures of documents that were asked for of late: a page asks for all of its pictures at once. */
const remembered = new Map<string, Promise<readonly Picture[]>>();
const MOST_REMEMBERED = 50;

function picturesIn(context: Context, source: EditionRow): Promise<readonly Picture[]> {
  const key = `${context.workspace} ${source.original} ${source.type} ${READER_VERSION}`;
  const known = remembered.get(key);
  if (known !== undefined) return known;
  const pictures = packedOf(context, source).then((packed) => context.jobs.run('pictures', { packed }));
  pictures.catch(() => remembered.delete(key));
  remembered.set(key, pictures);
  for (const old of [...remembered.keys()].slice(0, -MOST_REMEMBERED)) remembered.delete(old);
  return pictures;
}

/** Pictures of the deck's document in all of its editions, and those that its author put in: what was undone can be made again. */
export async function deckPictures(
  context: Context,
  id: string,
  log: readonly LogEntry[],
): Promise<ReadonlySet<string>> {
  const row = await existing(context, id);
  const read = await Promise.all((await sourcesOf(context, row)).map((source) => picturesIn(context, source)));
  const own = editPictures(log.filter((entry) => entry.kind !== 'undo' && entry.kind !== 'redo'));
  return new Set([...read.flat(), ...own].map((picture): string => picture.id));
}

/** Pictures that were put in of late: a page asks for one while the edit that shows it is still on its way. */
const added = new Set<string>();
const MOST_ADDED = 1000;
const addedAs = (context: Context, id: string, hash: string): string => `${context.workspace} ${id} ${hash}`;

/** Keeps a picture that is to be put into the document. @throws AppError `picture-unusable`. */
export async function addPicture(context: Context, id: string, file: NewFile): Promise<Picture> {
  await existing(context, id);
  const picture = await context.gate.within(file.size, async () =>
    addPictureNow(context, await loaded(file), file.fileName),
  );
  added.add(addedAs(context, id, picture.id));
  for (const old of [...added].slice(0, -MOST_ADDED)) added.delete(old);
  return picture;
}

async function addPictureNow(context: Context, bytes: Uint8Array, name: string): Promise<Picture> {
  const picture = await context.jobs.run('picture', { bytes, name });
  if ('fault' in picture) throw new AppError('picture-unusable', picture.fault);
  await putBlob(context.db, context.workspace, { hash: picture.id, mime: picture.mime, bytes });
  return picture;
}

/** @throws AppError `picture-not-found` when the deck has no such picture, whatever else the workspace holds. */
export async function pictureOf(context: Context, id: string, hash: string): Promise<Blob> {
  await existing(context, id);
  const own =
    added.has(addedAs(context, id, hash)) ||
    (await deckPictures(context, id, (await wholeLog(context, id)).entries)).has(hash) ||
    (await templatePictures(context, id)).some((picture) => picture.id === hash);
  const blob = own ? await getBlob(context.db, context.workspace, hash) : undefined;
  if (blob === undefined) throw new AppError('picture-not-found');
  return blob;
}
