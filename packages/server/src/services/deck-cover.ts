/** The first slide of a deck, drawn for the list of decks. */
import { createHash, randomUUID } from 'node:crypto';
import type { Watching } from '../jobs/pool.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { stopped } from './files.ts';
import { inForce } from './in-force.ts';
import { packedTemplate } from './templates.ts';

/** Covers that were drawn, the oldest first. */
const drawn = new Map<string, Uint8Array>();
const MOST = 200;
/** Another program may draw otherwise. */
const PROGRAM = randomUUID();

/** Of a deck as it is now; what was drawn of another state is not asked for again. @throws AppError `deck-not-found`. */
export async function coverName(context: Context, id: string): Promise<string> {
  const { version, original } = await existing(context, id);
  return createHash('sha256').update(`${PROGRAM} ${id} ${version} ${original}`).digest('hex').slice(0, 24);
}

/** @returns A `DeckCover` as JSON, gzip. @throws AppError `deck-not-found`, `reading-stopped`. */
export async function deckCover(context: Context, id: string, watching: Watching = {}): Promise<Uint8Array> {
  const name = await coverName(context, id);
  const known = drawn.get(name);
  if (known !== undefined) return known;
  const { edits, packed, template: use } = await inForce(context, id);
  const template = use === null ? null : { hash: use.hash, packed: await packedTemplate(context, id, use.hash) };
  const cover = await context.gate
    .within(packed.length, () => context.jobs.run('cover', { packed, edits, template }, watching), watching)
    .catch(stopped);
  drawn.set(name, cover);
  for (const old of [...drawn.keys()].slice(0, -MOST)) drawn.delete(old);
  return cover;
}
