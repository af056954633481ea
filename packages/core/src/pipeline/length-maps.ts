/** Three lengths that a deck can have: the map of each, and how much of its notes is said. */
import type { PresetName } from '../mapping/index.ts';

export const LENGTH_NAMES = ['short', 'written', 'read'] as const;
export type LengthName = (typeof LENGTH_NAMES)[number];

export const LENGTH_MAPS: Readonly<Record<LengthName, { readonly map: PresetName; readonly speech: number | null }>> = {
  short: { map: 'briefing', speech: 0.33 },
  written: { map: 'fitted', speech: null },
  read: { map: 'reading', speech: null },
};

/** As near as this, of what is wanted, keeps a promise. */
export const NEAR = 0.1;
