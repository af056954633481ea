/** The mark of a passage of the open deck, which turns it. */
import type { Block } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { MarkButton } from '../../ui/mark-button.tsx';

export function PassageMark({ block, cursor }: { readonly block: Block; readonly cursor?: boolean }) {
  const destination = useDeck((state) => state.destinations.get(block.id)) ?? 'out';
  const turned = useDeck((state) => state.turned.has(block.id));
  return (
    <MarkButton
      block={block}
      destination={destination}
      turned={turned}
      cursor={cursor}
      turn={(to) => edit({ kind: 'turn', block: block.id, to })}
      turnBelow={(to) => edit({ kind: 'branch', block: block.id, text: 'body', to })}
    />
  );
}
