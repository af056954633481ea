/** Covers of decks, asked for one after another: what the server draws for a list must not stand in the way of work. */
import type { DeckCover } from '@alvex/contract';
import { fetchCover } from '../../api/client.ts';

let before: Promise<unknown> = Promise.resolve();

/** @throws when it cannot be had, or is not wanted any more; a list goes without it then. */
export function coverOf(id: string, signal: AbortSignal): Promise<DeckCover> {
  const mine = before.then(() => {
    signal.throwIfAborted();
    return fetchCover(id, signal);
  });
  before = mine.catch(() => undefined);
  return mine;
}
