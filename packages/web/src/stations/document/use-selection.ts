/** Which lines of the document are chosen, and the keys that choose them. */
import { create } from 'zustand';
import type { BlockId } from '@alvex/core';

export interface Selection {
  readonly chosen: ReadonlySet<string>;
  /** Where the next extension starts from, and where the keyboard is. */
  readonly anchor: string | null;
  readonly focus: string | null;
  /** Blocks that are being written. */
  readonly writing: readonly BlockId[] | null;
}

const NONE: Selection = { chosen: new Set(), anchor: null, focus: null, writing: null };

export const useSelection = create<Selection>(() => NONE);
const { setState: set, getState: get } = useSelection;

export const clearSelection = (): void => set(NONE);

export const chooseOnly = (id: string): void => set({ chosen: new Set([id]), anchor: id, focus: id });

export const chooseAll = (ids: readonly string[]): void =>
  set({ chosen: new Set(ids), anchor: ids[0] ?? null, focus: ids[0] ?? null });

/** Adds a line to the selection or takes it out. */
export function toggle(id: string): void {
  const chosen = new Set(get().chosen);
  if (!chosen.delete(id)) chosen.add(id);
  set({ chosen, anchor: id, focus: id });
}

/** Chooses all lines from the anchor to `id`. */
export function extendTo(id: string, order: readonly { readonly id: string }[]): void {
  const anchor = get().anchor ?? id;
  const [a, b] = [order.findIndex((block) => block.id === anchor), order.findIndex((block) => block.id === id)];
  const some = order.slice(Math.min(a, b), Math.max(a, b) + 1).map((block) => block.id);
  set({ chosen: new Set(some), anchor, focus: id });
}

export const write = (blocks: readonly BlockId[] | null): void => set({ writing: blocks });
