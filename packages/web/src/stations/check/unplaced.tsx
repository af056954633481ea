/** Edits of the author's that have lost their place. */
import { Box, chakra } from '@chakra-ui/react';
import type { Unplaced } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { editText } from '../../ui/edit-text.ts';
import { count } from '../../ui/format.ts';
import { Notice } from '../../ui/recipes.tsx';

const UNPLACED: Readonly<Record<Unplaced['reason'], string>> = {
  'slide-gone': 'its slide is not made any more',
  'part-gone': 'its text is not on a slide any more',
  'notes-gone': 'its notes are not there any more',
  'block-gone': 'its passage is not in the document',
  'no-room': 'a cover or an opener has no room for it',
  'id-taken': 'it is there already',
  unknown: 'a newer Alvex made it',
};

export function UnplacedEdits() {
  const unplaced = useDeck((state) => state.view?.unplaced) ?? [];
  if (unplaced.length === 0) return null;
  return (
    <Notice role="status">
      <Box>
        {count(unplaced.length, 'edit')} of yours {unplaced.length === 1 ? 'has' : 'have'} no place now. They are kept,
        and apply again when their place is back.
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
