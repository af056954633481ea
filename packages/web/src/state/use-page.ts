/** A page of the open deck as it is seen: its row and drawing, asked for when they are missing or old. */
import { useEffect } from 'react';
import type { Drawing, Row } from '../worker/protocol.ts';
import { useDeck, wantPage } from './deck-store.ts';

export function usePage(key: string): { readonly row: Row | undefined; readonly drawing: Drawing | undefined } {
  const row = useDeck((state) => state.rows.get(key));
  const drawing = useDeck((state) => state.drawings.get(key));
  const rev = useDeck((state) => state.revs.get(key));
  useEffect(() => wantPage(key), [key, rev, row]);
  return { row, drawing };
}
