/** What is to be known of the text before it is read: what of the original was lost, and what was left out by itself. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { diagnosticIn, placeText, type Block } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { Action, Notice } from '../../ui/recipes.tsx';
import { raw, t } from '../../words/words.ts';
import { isFurniture } from './line-actions.ts';

/** @param open Whether it is listed from the beginning. */
export function Losses({ open }: { readonly open: boolean }) {
  const diagnostics = useDeck((state) => state.diagnostics);
  const [shown, setShown] = useState(open);
  if (diagnostics.length === 0) return null;
  return (
    <Notice role="status">
      <Box flex="1">
        {t('{n} things of the original could not be brought in as they are.', { count: diagnostics.length })}
      </Box>
      <Action size="small" onClick={() => setShown(!shown)} aria-expanded={shown}>
        {shown ? t('Hide') : t('Show')}
      </Action>
      {shown && (
        <chakra.ul w="100%" maxH="160px" overflowY="auto" pl="18px">
          {diagnostics.map((diagnostic, i) => (
            <li key={i}>
              {diagnosticIn(diagnostic, raw)} <chakra.span color="soft">{placeText(diagnostic.place, t)}</chakra.span>
            </li>
          ))}
        </chakra.ul>
      )}
    </Notice>
  );
}

export function FurnitureLeft({ blocks }: { readonly blocks: readonly Block[] }) {
  const furniture = useMemo(() => blocks.filter(isFurniture), [blocks]);
  if (furniture.length === 0) return null;
  return (
    <Notice tone="calm" role="status">
      <Box flex="1">{t('{n} lines of page furniture are left out and shown pale.', { count: furniture.length })}</Box>
      <Action size="small" onClick={() => edit({ kind: 'keep', blocks: furniture.map(({ id }) => id) })}>
        {t('Bring all back')}
      </Action>
    </Notice>
  );
}
