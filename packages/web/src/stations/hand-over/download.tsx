/** Has a file written by the server and saves it: it can be cancelled, and says what was made. */
import { Box } from '@chakra-ui/react';
import { Download as Down } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { DeckSummary } from '@alvex/contract';
import { FORMATS, type FormatName } from '@alvex/core';
import { deckFileUrl } from '../../api/client.ts';
import type { DeckState } from '../../state/deck-store.ts';
import { useLog } from '../../state/log-store.ts';
import { count, fileSize } from '../../ui/format.ts';
import { FORMAT_LABELS } from '../../ui/labels.ts';
import { Action, Small } from '../../ui/recipes.tsx';

export interface FormatProps {
  readonly deck: DeckSummary;
  readonly view: NonNullable<DeckState['view']>;
  /** Told why it could not be written; null when it is tried again. */
  readonly fail: (failure: string | null) => void;
}

interface Props extends FormatProps {
  readonly format: FormatName;
  /** What the file has besides, as the server names it. */
  readonly choices: Readonly<Record<string, string>>;
  /** `12 slides`. */
  readonly holds: string;
}

export function Download({ format, deck, view, fail, choices, holds }: Props) {
  const waiting = useLog((state) => state.sync.waiting);
  const [writing, setWriting] = useState<AbortController | null>(null);
  const [saved, setSaved] = useState<string | null>(null);
  const leaving = useRef<AbortController | null>(null);
  useEffect(() => () => leaving.current?.abort(), []);
  const { ending } = FORMATS[format];
  const download = async () => {
    const stop = new AbortController();
    leaving.current = stop;
    setWriting(stop);
    setSaved(null);
    fail(null);
    try {
      const response = await fetch(deckFileUrl(deck.id, format, choices), { signal: stop.signal });
      if (!response.ok) throw new Error(((await response.json()) as { error: { message: string } }).error.message);
      const link = document.createElement('a');
      const file = await response.blob();
      link.href = URL.createObjectURL(file);
      link.download = `${deck.name.replace(/[\\/:*?"<>|]+/g, ' ').trim() || 'deck'}.${ending}`;
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
      setSaved(`Saved: ${link.download}, ${holds}, ${fileSize(file.size)}.`);
    } catch (error) {
      const away = error instanceof TypeError;
      const reason = away
        ? 'The server cannot be reached. Your work is kept in this window.'
        : (error as Error).message;
      if (stop.signal.aborted) setSaved('Cancelled. Nothing was saved.');
      else fail(`The file (${FORMAT_LABELS[format]}, ${ending.toUpperCase()}) was not written. ${reason}`);
    }
    setWriting(null);
  };
  return (
    <>
      <Box display="flex" gap="8px">
        <Action
          look="main"
          onClick={() => void download()}
          disabled={writing !== null || view.pages.order.length === 0 || waiting > 0}
        >
          <Down size={14} /> {writing === null ? `Download ${ending.toUpperCase()}` : 'Writing …'}
        </Action>
        {writing !== null && <Action onClick={() => writing.abort()}>Cancel</Action>}
      </Box>
      <Small role="status">{waiting > 0 ? `${count(waiting, 'edit')} must be kept on the server first.` : saved}</Small>
    </>
  );
}
