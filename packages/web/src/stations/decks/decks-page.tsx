/** The list of decks, and the ways to bring a document in. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import type { DeckSummary } from '@alvex/contract';
import { bringBack, dismiss, openDemo, refreshDecks, useDecks } from '../../state/decks-store.ts';
import { closeDeck } from '../../state/session.ts';
import { Action, Heading, Notice, Select, Small } from '../../ui/recipes.tsx';
import { language, LANGUAGES, speak } from '../../words/language.ts';
import { t } from '../../words/words.ts';
import { BringIn } from './bring-in.tsx';
import { DeckCards } from './deck-cards.tsx';
import { DeletedDecks } from './deleted-decks.tsx';

export function DecksPage() {
  const { decks, restorable } = useDecks();
  const navigate = useNavigate();
  useEffect(() => {
    closeDeck();
    void refreshDecks();
  }, []);
  return (
    <Box
      as="main"
      maxW="1208px"
      mx="auto"
      px="24px"
      py="32px"
      display="grid"
      gridTemplateColumns="minmax(0, 1fr)"
      gap="26px"
    >
      <title>{t('Decks · Alvex')}</title>
      <Head />
      <Failed />
      <JustDeleted />
      <BringIn />

      {decks?.length === 0 && <Empty open={(deck) => void navigate(`/decks/${deck.id}/overview`)} />}
      {decks !== null && decks.length > 0 && <DeckCards decks={decks} />}
      {restorable.length > 0 && <DeletedDecks decks={restorable} />}
    </Box>
  );
}

/** Its name, what it is, and the language it speaks. */
function Head() {
  const reading = useDecks((state) => state.reading);
  return (
    <Box as="header" display="flex" alignItems="baseline" gap="16px" flexWrap="wrap">
      <chakra.h1 fontFamily="heading" fontStyle="italic" fontWeight={700} fontSize="32px" color="pine">
        Alvex
      </chakra.h1>
      <Small>{t('A document and its slides, two editions of the same text.')}</Small>
      <Select
        aria-label={t('Language')}
        ml="auto"
        value={language === 'de' ? 'de' : 'en'}
        disabled={reading !== null}
        onChange={(event) => speak(event.target.value as 'en' | 'de')}
      >
        {Object.entries(LANGUAGES).map(([one, name]) => (
          <option key={one} value={one} lang={one}>
            {name}
          </option>
        ))}
      </Select>
    </Box>
  );
}

/** What could not be brought in, and why. */
function Failed() {
  const failure = useDecks((state) => state.failure);
  if (failure === null) return null;
  return (
    <Notice tone="fault" role="alert">
      <Box flex="1" minW="240px">
        <b>
          {failure.file === undefined ? t('That did not work') : t('Not brought in: {file}', { file: failure.file })}
        </b>
        <Box>{failure.message}</Box>
        {failure.kept !== undefined && <Box color="soft">{failure.kept}</Box>}
      </Box>
      <Action size="small" onClick={dismiss}>
        {t('Close')}
      </Action>
    </Notice>
  );
}

function JustDeleted() {
  const deleted = useDecks((state) => state.deleted);
  if (deleted.length === 0) return null;
  return (
    <Notice tone="calm" role="status">
      <Box flex="1">
        {deleted.length === 1
          ? t('“{name}” was deleted.', { name: deleted[0]!.name })
          : t('{all} decks were deleted.', { all: deleted.length })}
      </Box>
      <Action size="small" onClick={() => void bringBack(...deleted)}>
        {t('Bring them back', { count: deleted.length })}
      </Action>
    </Notice>
  );
}

/** Nothing is here yet. */
function Empty({ open }: { readonly open: (deck: DeckSummary) => void }) {
  const [busy, setBusy] = useState(false);
  const look = async () => {
    setBusy(true);
    const deck = await openDemo();
    setBusy(false);
    if (deck !== undefined) open(deck);
  };
  return (
    <Box as="section" aria-label={t('Decks')} display="grid" gap="10px" justifyItems="start">
      <Heading as="h2">{t('Decks')}</Heading>
      <Small>{t('None yet. A deck appears here as soon as you bring in a document.')}</Small>
      <Action disabled={busy} onClick={() => void look()}>
        {busy ? t('Reading …') : t('Try it with a sample report')}
      </Action>
    </Box>
  );
}
