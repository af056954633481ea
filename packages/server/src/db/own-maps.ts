/** Level maps that authors keep for other decks. */
import type { NewOwnMap, OwnMap } from '@alvex/contract';
import type { Db } from './connect.ts';

export async function listMaps(db: Db, workspace: number): Promise<readonly OwnMap[]> {
  const rows = (await db('own_maps')
    .where({ workspace_id: workspace })
    .orderBy(['name', 'id'])
    .select('id', 'name', 'recipe')) as { id: string; name: string; recipe: string }[];
  return rows.map(({ id, name, recipe }) => ({ id, name, ...(JSON.parse(recipe) as Pick<OwnMap, 'map' | 'prose'>) }));
}

export async function insertMap(db: Db, workspace: number, id: string, own: NewOwnMap, now: Date): Promise<void> {
  const { name, ...recipe } = own;
  await db('own_maps').insert({ id, workspace_id: workspace, name, recipe: JSON.stringify(recipe), created_at: now });
}

/** @returns Whether there is such a map. */
export const renameMap = async (db: Db, workspace: number, id: string, name: string): Promise<boolean> =>
  (await db('own_maps').where({ workspace_id: workspace, id }).update({ name })) > 0;

export const deleteMap = async (db: Db, workspace: number, id: string): Promise<boolean> =>
  (await db('own_maps').where({ workspace_id: workspace, id }).delete()) > 0;
