/** A page of the open deck as it is seen: its row and drawing, asked for when they are missing or old. */
import type { PageKey } from '@alvex/core';
import { useEffect } from 'react';
import type { Drawing, Row } from '../worker/shown.ts';
import { usePages, wantPage } from './pages-store.ts';

export function usePage(key: PageKey): { readonly row: Row | undefined; readonly drawing: Drawing | undefined } {
  const row = usePages((state) => state.rows.get(key));
  const drawing = usePages((state) => state.drawings.get(key));
  const rev = usePages((state) => state.revs.get(key));
  useEffect(() => wantPage(key), [key, rev, row]);
  return { row, drawing };
}
