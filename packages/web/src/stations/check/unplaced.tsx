/** Edits of the author's that have lost their place. */
import { Box, chakra } from '@chakra-ui/react';
import type { Unplaced } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { editText } from '../../ui/edit-text.ts';
import { Notice } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';

const UNPLACED: Readonly<Record<Unplaced['reason'], string>> = {
  'slide-gone': t('its slide is not made any more'),
  'part-gone': t('its text is not on a slide any more'),
  'notes-gone': t('its notes are not there any more'),
  'block-gone': t('its passage is not in the document'),
  'no-room': t('a cover or an opener has no room for it'),
  'id-taken': t('it is there already'),
  unknown: t('a newer Alvex made it'),
};

export function UnplacedEdits() {
  const unplaced = useDeck((state) => state.view?.unplaced) ?? [];
  if (unplaced.length === 0) return null;
  return (
    <Notice role="status">
      <Box>
        {t('{n} edits of yours have no place now. They are kept, and apply again when their place is back.', {
          count: unplaced.length,
        })}
        <chakra.ul pl="18px">
          {unplaced.map(({ edit, reason }, i) => (
            <li key={i}>
              {editText(edit)}: {UNPLACED[reason]}
            </li>
          ))}
        </chakra.ul>
      </Box>
    </Notice>
  );
}
