/** The passage and the row under the keyboard. */
import type { BlockId, PageKey } from '@alvex/core';
import { create } from 'zustand';

interface Selection {
  readonly block: BlockId | null;
  readonly row: PageKey | null;
}
const NOTHING: Selection = { block: null, row: null };

export const useSelected = create<Selection>(() => NOTHING);

export const select = (block: BlockId | null, row: PageKey | null): void => useSelected.setState({ block, row });
export const clearSelection = (): void => useSelected.setState(NOTHING);
