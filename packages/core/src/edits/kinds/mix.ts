/** Converts one slide's passages as a take does, whatever the map says; without settings, as the map says again. Null for the block is every slide. */
import type { BlockId } from '../../ids/index.ts';
import { carryWay } from '../carry-way.ts';
import type { EditKind } from '../kind.ts';
import type { WaySettings } from '../take.ts';

export interface MixEdit {
  readonly kind: 'mix';
  /** The first passage, with which the slide begins. */
  readonly block: BlockId | null;
  /** The first that is no more among them; null for none. */
  readonly until: BlockId | null;
  readonly settings: WaySettings | null;
}

export const mix: EditKind<MixEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    block: edit.block === null ? null : ids.block(edit.block),
    until: edit.until === null ? null : ids.block(edit.until),
    settings: edit.settings === null ? null : carryWay(edit.settings, ids),
  }),
  decide({ mixes }, { block, until, settings }) {
    if (block === null) mixes.clear();
    else if (settings === null) mixes.delete(block);
    else mixes.set(block, { until, settings });
  },
  apply: (desk, { block }) => (block === null ? undefined : desk.blockGone(block)),
  says: ({ settings }) => ({ code: settings === null ? 'mix-back' : 'mix' }),
};
