/** Decks that were deleted and can be restored. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import type { DeckSummary } from '@alvex/contract';
import { bringBack } from '../../state/decks-store.ts';
import { count, dayAndTime } from '../../ui/format.ts';
import { Action, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

const Row = chakra('li', {
  base: {
    listStyle: 'none',
    display: 'grid',
    gridTemplateColumns: '1fr auto auto',
    gap: '18px',
    alignItems: 'center',
    borderTop: '1px solid',
    borderColor: 'line',
    py: '10px',
    '@media (max-width: 640px)': { gridTemplateColumns: '1fr auto' },
  },
});

const KEPT_DAYS = 30;

export function DeletedDecks({ decks }: { readonly decks: readonly DeckSummary[] }) {
  const [open, setOpen] = useState(false);
  return (
    <Box as="section" aria-label={t('Deleted decks')}>
      <Action look="quiet" size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {count(decks.length, 'deleted deck')}
      </Action>
      {open && (
        <>
          <Small mt="6px">
            {t('Kept for {days} days; then they go for good, with their files.', { days: KEPT_DAYS })}
          </Small>
          <chakra.ul p="0" m="0" mt="6px">
            {decks.map((deck) => (
              <Row key={deck.id}>
                <Box minW="0" color="soft">
                  <chakra.span fontFamily="heading" fontSize="lg">
                    {deck.name}
                  </chakra.span>
                  <Small>{deck.fileName}</Small>
                </Box>
                <Small css={{ '@media (max-width: 640px)': { display: 'none' } }}>
                  {t('deleted {deletedAt}', { deletedAt: dayAndTime(deck.deletedAt ?? deck.updatedAt) })}
                </Small>
                <Action
                  size="small"
                  aria-label={t('Restore {name}', { name: deck.name })}
                  onClick={() => void bringBack(deck)}
                >
                  {t('Restore')}
                </Action>
              </Row>
            ))}
          </chakra.ul>
        </>
      )}
    </Box>
  );
}
