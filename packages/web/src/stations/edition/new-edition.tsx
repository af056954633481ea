/** Chooses the file that is to become the document's new edition, and follows its reading. */
import { Box } from '@chakra-ui/react';
import { FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { sendEdition } from '../../api/client.ts';
import { failureOf, type Failure } from '../../state/decks-store.ts';
import { useDeck } from '../../state/deck-store.ts';
import { Action, Notice } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { editionPath } from './edition-path.ts';

export function NewEdition() {
  const deck = useDeck((state) => state.deck);
  const chooser = useRef<HTMLInputElement>(null);
  const [reading, setReading] = useState<{ done: number; cancel: () => void } | null>(null);
  const [failure, setFailure] = useState<Failure | null>(null);
  const navigate = useNavigate();
  if (deck === null) return null;
  const send = async (files: readonly File[]) => {
    if (files.length === 0) return;
    const abort = new AbortController();
    setFailure(null);
    setReading({ done: 0, cancel: () => abort.abort() });
    try {
      const documents = files.map((file) => ({ body: file, name: file.name }));
      const found = await sendEdition(
        deck.id,
        documents,
        (done) => setReading((state) => state && { ...state, done }),
        abort.signal,
      );
      void navigate(editionPath(found));
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError')) setFailure(failureOf(error, files[0]!.name));
    } finally {
      setReading(null);
    }
  };
  return (
    <>
      <Action
        size="small"
        title={t('The document was changed elsewhere: compare it, and keep all work on the deck')}
        disabled={reading !== null}
        onClick={() => chooser.current?.click()}
      >
        <FileUp size={13} />{' '}
        {reading === null ? t('New edition') : t('Reading, {done} %', { done: Math.round(reading.done * 100) })}
      </Action>
      {reading !== null && (
        <Action size="small" look="quiet" onClick={reading.cancel}>
          {t('Cancel')}
        </Action>
      )}
      <input
        ref={chooser}
        type="file"
        multiple
        hidden
        aria-label={t('New edition of the document')}
        onChange={(event) => {
          void send([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      {failure !== null && (
        <Notice tone="fault" role="alert" w="100%">
          <Box flex="1">
            {failure.file}: {failure.message} {failure.kept ?? t('The deck is as it was.')}
          </Box>
          <Action size="small" look="quiet" onClick={() => setFailure(null)}>
            {t('Close')}
          </Action>
        </Notice>
      )}
    </>
  );
}
