/** Level maps of the author's own: kept, renamed, used in every deck. */
import { randomUUID } from 'node:crypto';
import type { NewOwnMap, OwnMap } from '@alvex/contract';
import { deleteMap, insertMap, listMaps, renameMap } from '../db/own-maps.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';

export const ownMaps = ({ db, workspace }: Context): Promise<readonly OwnMap[]> => listMaps(db, workspace);

export async function keepMap({ db, workspace, now }: Context, own: NewOwnMap): Promise<OwnMap> {
  const id = randomUUID();
  const kept = { ...own, name: own.name.trim() };
  await insertMap(db, workspace, id, kept, now());
  return { id, ...kept };
}

/** @throws AppError `map-not-found`. */
export async function renameOwnMap({ db, workspace }: Context, id: string, name: string): Promise<void> {
  // A name that is the same already counts as found: MariaDB tells rows that match.
  if (!(await renameMap(db, workspace, id, name.trim()))) throw new AppError('map-not-found');
}

/** @throws AppError `map-not-found`. */
export async function dropMap({ db, workspace }: Context, id: string): Promise<void> {
  if (!(await deleteMap(db, workspace, id))) throw new AppError('map-not-found');
}
