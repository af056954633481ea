/** The document of a deck in its editions: as it came, and as it was read. */
import type { Candidate } from '@alvex/contract';
import type { Blob } from '../db/blobs.ts';
import type { DeckRow } from '../db/decks.ts';
import { getEditions, putEdition, type EditionRow } from '../db/editions.ts';
import type { Watching } from '../jobs/pool.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { filesOf, packedOf, PARTS, takeIn, type NewFile } from './files.ts';

/** Takes in a file that may become the document's new edition. Nothing is changed by it. @throws as `takeIn`. */
export async function addCandidate(
  context: Context,
  id: string,
  files: readonly NewFile[],
  watching: Watching,
): Promise<Candidate> {
  await existing(context, id);
  const { hash: original, type, fileName, words } = await takeIn(context, files, watching);
  await putEdition(context.db, id, { original, type, file_name: fileName }, context.now());
  return { original, type, fileName, words };
}

/** The deck's first document, or the edition of that hash. @throws AppError `edition-not-found`. */
async function sourceOf(context: Context, row: DeckRow, edition: string | undefined): Promise<EditionRow> {
  if (edition === undefined || edition === row.original) return row;
  const found = (await getEditions(context.db, row.id)).find(({ original }) => original === edition);
  if (found === undefined) throw new AppError('edition-not-found');
  return found;
}

/** The first document and all that may be, or were, editions of it. */
export const sourcesOf = async (context: Context, row: DeckRow): Promise<readonly EditionRow[]> => [
  row,
  ...(await getEditions(context.db, row.id)),
];

/** The original of a deck, byte for byte; of several files a ZIP archive that holds them as they were. */
export async function originalOf(
  context: Context,
  id: string,
  edition?: string,
): Promise<{ readonly blob: Omit<Blob, 'hash'>; readonly fileName: string }> {
  const row = await existing(context, id);
  const source = await sourceOf(context, row, edition);
  const files = await filesOf(context, source);
  const [only] = files;
  if (source.type !== PARTS && only !== undefined)
    return { blob: { bytes: only.bytes, mime: only.mime }, fileName: only.name };
  const taken = new Set<string>();
  const named = files.map(({ name, bytes }) => {
    let unique = name;
    for (let i = 2; taken.has(unique); i++) unique = `${i} ${name}`;
    taken.add(unique);
    return { name: unique, bytes };
  });
  const bytes = await context.jobs.run('zip', { files: named, level: 0 });
  return { blob: { bytes, mime: 'application/zip' }, fileName: `${row.name}.zip` };
}

/** The document of a deck, gzip. */
export async function packedDocument(context: Context, id: string, edition?: string): Promise<Uint8Array> {
  return packedOf(context, await sourceOf(context, await existing(context, id), edition));
}
