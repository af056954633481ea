/** The passage and the row under the keyboard. */
import { create } from 'zustand';

interface Selection {
  readonly block: string | null;
  readonly row: string | null;
}
const NOTHING: Selection = { block: null, row: null };

export const useSelected = create<Selection>(() => NOTHING);

export const select = (block: string | null, row: string | null): void => useSelected.setState({ block, row });
export const clearSelection = (): void => useSelected.setState(NOTHING);
