/** Parts of the document that seem to be for the speaker alone: they wait as spoken until the author shows them. */
import { useMemo } from 'react';
import { blockText, TEXT_KINDS, type BlockId, type Edit } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { useSpokenParts } from './spoken-parts.ts';

export interface PrivatePart {
  readonly block: BlockId;
  readonly title: string;
  /** Shows it on slides, as the map says. */
  readonly show: Edit;
}

export function usePrivateParts(): readonly PrivatePart[] {
  const waiting = useSpokenParts();
  const branches = useDeck((state) => state.view?.branches);
  const map = useDeck((state) => state.view?.map);
  const blockById = useDeck((state) => state.blockById);
  return useMemo(() => {
    if (branches === undefined || map === undefined) return [];
    const isShown = (block: BlockId): boolean => branches.some((one) => one.block === block && one.text === 'body');
    return [...new Set(waiting.map(({ block }) => block))]
      .filter((block) => !isShown(block))
      .flatMap((block) => {
        const heading = blockById.get(block);
        if (heading === undefined) return [];
        const edits = TEXT_KINDS.map((text) => ({ kind: 'branch', block, text, to: map[text] }) as const);
        return [{ block, title: blockText(heading), show: { kind: 'all', edits } }];
      });
  }, [waiting, branches, map, blockById]);
}
