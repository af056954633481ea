/** Rules of the map for parts that are not for the audience: they go with every map, until the author takes them back. */
import type { BranchRule } from '@alvex/core';
import { useMemo } from 'react';
import { mapInForce, useDeck } from '../../state/deck-store.ts';

const NONE: readonly BranchRule[] = [];

export function useSpokenParts(): readonly BranchRule[] {
  const rules = useDeck((state) => mapInForce(state)?.branches) ?? NONE;
  return useMemo(() => rules.filter(({ to }) => to === 'notes'), [rules]);
}
