/** The deck's name, which can be changed where it stands. */
import { chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { renameDeck } from '../api/client.ts';
import { renamed, useDeck } from '../state/deck-store.ts';
import { NameField } from '../ui/name-field.tsx';
import { t } from '../words/words.ts';

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
  const [failed, setFailed] = useState(false);
  if (deck === null) return null;
  const keep = (name: string) => {
    setFailed(false);
    renameDeck(deck.id, name).then(renamed, () => setFailed(true));
  };
  if (writing) return <NameField name={deck.name} keep={keep} close={() => setWriting(false)} />;
  return (
    <>
      <Name title={t('{name}. Choose to rename.', { name: deck.name })} onClick={() => setWriting(true)}>
        {deck.name}
      </Name>
      {failed && (
        <chakra.span role="alert" color="red" fontSize="sm" whiteSpace="nowrap">
          {t('not renamed: server away')}
        </chakra.span>
      )}
    </>
  );
}
