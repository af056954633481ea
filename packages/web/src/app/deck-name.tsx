/** The deck's name, which can be changed where it stands. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { renameDeck } from '../api/client.ts';
import { renamed, useDeck } from '../state/deck-store.ts';
import { Field } from '../ui/recipes.tsx';

const Name = chakra('button', {
  base: {
    bg: 'transparent',
    border: 0,
    p: 0,
    cursor: 'text',
    fontSize: 'md',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
    minW: 0,
    textAlign: 'left',
  },
});

export function DeckName() {
  const deck = useDeck((state) => state.deck);
  const [writing, setWriting] = useState(false);
  if (deck === null) return null;
  const finish = async (name: string) => {
    setWriting(false);
    if (name.trim() !== '' && name.trim() !== deck.name) renamed(await renameDeck(deck.id, name).catch(() => deck));
  };
  if (!writing)
    return (
      <Name title={`${deck.name}. Choose to rename.`} onClick={() => setWriting(true)}>
        {deck.name}
      </Name>
    );
  return (
    <Field
      aria-label="Name of the deck"
      defaultValue={deck.name}
      maxLength={200}
      autoFocus
      w="100%"
      onBlur={(event) => void finish(event.target.value)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setWriting(false);
      }}
    />
  );
}
