/** Has a file written by the server and saves it: says how far it is, can be cancelled, and says what was made. */
import { Box } from '@chakra-ui/react';
import { Download as Down } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { DeckSummary } from '@alvex/contract';
import { fileKind, fileNameOf, numberedName, type FormatName } from '@alvex/core';
import { ApiError, deckFileUrl, fetchFile, onlyOf } from '../../api/client.ts';
import type { DeckState } from '../../state/deck-store.ts';
import { handedOver, lastSize } from '../../state/handed.ts';
import { useLog } from '../../state/log-store.ts';
import { fileSize } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Action, ProgressBar } from '../../ui/recipes.tsx';
import { saveFile } from '../../ui/save-file.ts';
import { t } from '../../words/words.ts';
import { Status } from './card.tsx';

export interface FormatProps {
  readonly deck: DeckSummary;
  readonly view: NonNullable<DeckState['view']>;
  /** Told why it could not be written; null when it is tried again. */
  readonly fail: (failure: string | null) => void;
}

interface Props extends FormatProps {
  /** Of the card. */
  readonly card: string;
  readonly format: FormatName;
  /** What the file has besides, as the server names it. */
  readonly choices: Readonly<Record<string, string>>;
  /** `12 slides`. */
  readonly holds: string;
  /** Title of the one slide or table. */
  readonly title?: string;
}

interface Writing {
  readonly stop: AbortController;
  /** 0 to 1. */
  readonly done: number;
  /** How many are before it, itself counted; 0 once it is its turn. */
  readonly waiting: number;
}

export function Download({ card, format, deck, view, fail, choices, holds, title }: Props) {
  const waiting = useLog((state) => state.sync.waiting);
  const [writing, setWriting] = useState<Writing | null>(null);
  const [saved, setSaved] = useState<string | null>(null);
  const leaving = useRef<AbortController | null>(null);
  useEffect(() => () => leaving.current?.abort(), []);
  const only = onlyOf(choices);
  const { ending } = fileKind(format, only);
  const url = deckFileUrl(deck.id, format, choices);
  const before = lastSize(url);
  const download = async () => {
    const stop = new AbortController();
    leaving.current = stop;
    setWriting({ stop, done: 0, waiting: 0 });
    setSaved(null);
    fail(null);
    try {
      const file = await fetchFile(url, (done, ahead) => setWriting({ stop, done, waiting: ahead }), stop.signal);
      const name =
        only === undefined ? `${fileNameOf(deck.name, 'deck')}.${ending}` : numberedName(only, 1, title ?? '', ending);
      saveFile(name, file);
      handedOver(card, url, file.size);
      setSaved(t('Saved: {download}, {holds}, {size}.', { download: name, holds, size: fileSize(file.size) }));
    } catch (error) {
      if (stop.signal.aborted) setSaved(t('Cancelled. Nothing was saved.'));
      else {
        const reason =
          error instanceof ApiError && error.code === 'unreachable'
            ? t('The server cannot be reached. Your work is kept in this window.')
            : (error as Error).message;
        fail(
          t('The file ({format}, {ending}) was not written. {reason}', {
            format: FORMAT_LABELS[format],
            ending: ending.toUpperCase(),
            reason,
          }),
        );
      }
    }
    setWriting(null);
  };
  return (
    <>
      <Box display="flex" flexWrap="wrap" gap="8px">
        <Action
          look="main"
          onClick={() => void download()}
          disabled={writing !== null || view.pages.order.length === 0 || waiting > 0}
        >
          <Down size={14} />{' '}
          {writing === null ? t('Download {ending}', { ending: ending.toUpperCase() }) : t('Writing …')}
        </Action>
        {writing !== null && <Action onClick={() => writing.stop.abort()}>{t('Cancel')}</Action>}
      </Box>
      {writing !== null && (
        <ProgressBar label={t('Writing {ending}', { ending: ending.toUpperCase() })} done={writing.done} />
      )}
      <Status>
        {waiting > 0
          ? t('{n} edits must be kept on the server first.', { count: waiting })
          : (writing?.waiting ?? 0) > 1
            ? t('{n} other files before it.', { count: writing!.waiting - 1 })
            : (saved ??
              (before === undefined || writing !== null
                ? null
                : t('{before} when it was last written.', { before: fileSize(before) })))}
      </Status>
    </>
  );
}
