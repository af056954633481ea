/** The speaker's window: where one stands, what to say, how long one has. It leads the audience's. */
import { Box } from '@chakra-ui/react';
import { useEffect } from 'react';
import { Link, useParams } from 'react-router';
import { useDeck } from '../state/deck-store.ts';
import { openDeck } from '../state/session.ts';
import { Action, Heading, Small } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';
import type { Mode } from './kept-talk.ts';
import { SpeakerView } from './speaker-view.tsx';

export const SpeakerPage = () => <Speaker mode="talk" />;
export const RehearsalPage = () => <Speaker mode="rehearsal" />;

function Speaker({ mode }: { readonly mode: Mode }) {
  const { id = '' } = useParams();
  useEffect(() => void openDeck(id), [id]);
  const { phase, failure, deck, view } = useDeck();
  const shown = view?.pages.hidden.some((hidden) => !hidden) ?? false;
  return (
    <>
      <title>{`${deck?.name ?? t('Deck')} · ${mode === 'talk' ? t('Speaker') : t('Rehearsal')} · Alvex`}</title>
      {phase === 'open' && deck !== null && view !== null && shown ? (
        <SpeakerView deck={deck} pages={view.pages} mode={mode} />
      ) : (
        <Box as="main" maxW="520px" mx="auto" pt="14vh" px="24px" display="grid" gap="12px" justifyItems="start">
          <Heading>
            {phase === 'failed'
              ? t('This deck could not be opened')
              : phase === 'open'
                ? t('There is no slide to present')
                : t('Opening the deck …')}
          </Heading>
          <Small>{failure ?? (phase === 'open' ? t('All of its slides are hidden, or it has none.') : '')}</Small>
          {(phase === 'failed' || phase === 'open') && (
            <Link to={`/decks/${id}/slides`}>
              <Action as="span">{t('Back to the slides')}</Action>
            </Link>
          )}
        </Box>
      )}
    </>
  );
}
