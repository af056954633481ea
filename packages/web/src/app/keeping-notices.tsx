/** What the frame says where work is not kept as usual, with the ways out. */
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useParams } from 'react-router';
import { ApiError, restoreDeck } from '../api/client.ts';
import { dropRefused, layOnServer, retryRefused, sendWaiting } from '../state/log-store.ts';
import { refusedOf } from '../state/unsent.ts';
import { editText } from '../ui/edit-text.ts';
import { Action, Notice } from '../ui/recipes.tsx';
import { jsonFile, saveFile } from '../ui/save-file.ts';
import { t } from '../words/words.ts';

/** Does what may fail; a failure stands in place of the sentence. */
function useTrying(): readonly [string | null, (work: () => Promise<unknown>) => void] {
  const [fault, setFault] = useState<string | null>(null);
  const attempt = (work: () => Promise<unknown>): void => {
    setFault(null);
    work().catch((error: unknown) => setFault(error instanceof ApiError ? error.message : String(error)));
  };
  return [fault, attempt];
}

/** Edits that the server did not understand: the deck is without them, and this browser has them. */
export function Refused({ edits, reason }: { readonly edits: number; readonly reason: string | null }) {
  const [shown, setShown] = useState(false);
  const { id = '' } = useParams();
  const download = (): void => saveFile(`refused-edits-${id}.json`, jsonFile(refusedOf(id)));
  return (
    <Notice tone="fault" role="status" py="3px" display="flex" alignItems="center" gap="6px" flexWrap="wrap">
      <span title={reason ?? undefined}>
        {t('{n} edits refused by the server, kept in this browser', { count: edits })}
      </span>
      <Box display="flex" gap="4px">
        <Action size="small" onClick={retryRefused}>
          {t('Try again')}
        </Action>
        <Action
          size="small"
          aria-expanded={shown}
          onClick={() => setShown(!shown)}
          title={t('To make them again by hand')}
        >
          {shown ? t('Hide') : t('Show')}
        </Action>
        <Action size="small" onClick={download}>
          {t('Download')}
        </Action>
        <Action size="small" onClick={dropRefused} title={t('Forgets what was refused; the deck stays as it is')}>
          {t('Forget')}
        </Action>
      </Box>
      {shown && (
        <Box flexBasis="100%" fontSize="12px" maxH="180px" overflowY="auto">
          {reason !== null && <p>{reason}</p>}
          <ul>
            {refusedOf(id).map((entry, i) => (
              <li key={i}>{entry.kind === 'undo' || entry.kind === 'redo' ? entry.kind : editText(entry)}</li>
            ))}
          </ul>
        </Box>
      )}
    </Notice>
  );
}

/** The deck was deleted in another window. */
export function Gone({ waiting }: { readonly waiting: number }) {
  const { id = '' } = useParams();
  const [fault, attempt] = useTrying();
  return (
    <Notice tone="fault" role="status" py="3px" display="flex" alignItems="center" gap="6px">
      <span>
        {fault ??
          (waiting === 0
            ? t('This deck was deleted.')
            : t('This deck was deleted: {n} edits kept in this browser only', { count: waiting }))}
      </span>
      <Action size="small" onClick={() => attempt(() => restoreDeck(id).then(sendWaiting))}>
        {t('Restore the deck')}
      </Action>
    </Notice>
  );
}

/** The server has an older state of the deck than this window, as after a backup was put back. */
export function Behind() {
  const [fault, attempt] = useTrying();
  return (
    <Notice tone="attention" role="status" py="3px" display="flex" alignItems="center" gap="6px">
      <span>{fault ?? t('The server has an older state of this deck; your work is kept here.')}</span>
      <Action size="small" onClick={() => attempt(layOnServer)}>
        {t('Send my work to it')}
      </Action>
    </Notice>
  );
}
