/** What is spoken with a slide: read, or written in place. */
import { Box, chakra } from '@chakra-ui/react';
import { lazy, Suspense, useState } from 'react';
import { USUAL_PACE, type Note, type NoteText } from '@alvex/core';
import { ask } from '../../state/core-link.ts';
import { useDeck, useLanguage } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { count, speakingTime } from '../../ui/format.ts';
import { Action, Warning } from '../../ui/recipes.tsx';
import { CatchTyping } from '../../ui/typed-ahead.tsx';
import { RunsText } from '../../ui/runs.tsx';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';
import { numberOf } from './written-notes.ts';

/** Notes that are read here; all of them are there to be written. */
const MOST_NOTES = 60;

const Side = chakra('div', {
  base: {
    borderLeft: '1px solid',
    borderColor: 'line',
    pl: '14px',
    fontFamily: 'heading',
    fontSize: '13px',
    lineHeight: 1.5,
    minW: 0,
    '@media (max-width: 560px)': { borderLeft: 0, pl: 0 },
  },
});
const Head = chakra('div', {
  base: {
    display: 'flex',
    justifyContent: 'space-between',
    fontFamily: 'body',
    fontSize: 'xs',
    color: 'soft',
    mb: '6px',
  },
});
const Reading = chakra('div', {
  base: {
    cursor: 'text',
    display: 'grid',
    gap: '6px',
    border: '1px solid transparent',
    borderRadius: 'sm',
    p: '4px',
    mx: '-5px',
    maxH: '300px',
    overflowY: 'auto',
    overflowWrap: 'anywhere',
    _hover: { borderColor: 'line' },
  },
});
const NotesEditor = lazy(() => import('./notes-editor.tsx'));

export function NotesBox({ row }: { readonly row: Row }) {
  const [writing, setWriting] = useState(false);
  const pace = useDeck((state) => state.view?.pace ?? USUAL_PACE);
  const language = useLanguage();
  const keep = (notes: readonly NoteText[]) => {
    // What is written on a later page of a slide belongs to what stands on that page.
    const anchor = row.notes[0]?.anchor ?? (row.index === 0 ? null : (row.content[0]?.id ?? null));
    edit({ kind: 'renote', slide: row.slide, replaces: row.notes.map((note) => note.id), anchor, notes });
  };
  return (
    <Side>
      <Head>
        <span>{t('spoken')}</span>
        <span>
          {count(row.spoken, 'word')}
          {row.spoken > 0 && ` · ${speakingTime(row.spoken, pace)}`}
        </span>
      </Head>
      {writing ? (
        <Suspense
          fallback={
            <CatchTyping>
              <Box color="soft">{t('Opening …')}</Box>
            </CatchTyping>
          }
        >
          <NotesEditor notes={row.notes} keep={keep} close={() => setWriting(false)} />
        </Suspense>
      ) : (
        <Reading
          role="button"
          tabIndex={0}
          aria-label={t('Write speaker notes')}
          onClick={() => setWriting(true)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            event.stopPropagation();
            setWriting(true);
          }}
        >
          {row.notes.length === 0 && <Box color="pale">{t('Nothing to say here yet.')}</Box>}
          {row.notes.slice(0, MOST_NOTES).map((note, i) => (
            <Box
              key={note.id}
              dir="auto"
              lang={language}
              style={{ paddingInlineStart: note.kind === 'item' ? (note.depth - 1) * 16 : 0 }}
            >
              {note.kind === 'item' && (
                <chakra.span color="soft">
                  {note.mark?.text ?? (note.ordered ? `${numberOf(row.notes, i)}.` : '•')}{' '}
                </chakra.span>
              )}
              <RunsText runs={note.runs} />
            </Box>
          ))}
          {row.notes.length > MOST_NOTES && (
            <Box color="soft">{t('and {n} more paragraphs', { count: row.notes.length - MOST_NOTES })}</Box>
          )}
        </Reading>
      )}
      {!writing && <Advice row={row} />}
    </Side>
  );
}

/** Notes that cannot be listened to, or that say what the slide shows. */
function Advice({ row }: { readonly row: Row }) {
  const { repeating, tooLong } = row.advice;
  const rest = row.notes.filter(({ id }) => !repeating.includes(id));
  const thin = async () => {
    const advice = await ask({ what: 'advice', slide: row.slide });
    if (advice !== null && advice.thinner !== null) edit(advice.thinner);
  };
  if (!tooLong && repeating.length === 0) return null;
  return (
    <Box fontFamily="body" fontSize="xs" mt="8px" display="grid" gap="6px" justifyItems="start">
      {tooLong && (
        <>
          <Warning>{t('too long to be spoken over one slide')}</Warning>
          <Action size="small" title={t('Your own sentences, chosen and trimmed')} onClick={() => void thin()}>
            {t('Shorten to a third')}
          </Action>
        </>
      )}
      {repeating.length > 0 && (
        <>
          <Warning>{t('{n} paragraphs say what the slide shows', { count: repeating.length })}</Warning>
          <Action
            size="small"
            onClick={() =>
              edit({
                kind: 'renote',
                slide: row.slide,
                replaces: row.notes.map(({ id }) => id),
                anchor: null,
                notes: rest.map(asText),
              })
            }
          >
            {t('Take them out', { count: repeating.length })}
          </Action>
        </>
      )}
    </Box>
  );
}

const asText = ({ kind, depth, ordered, runs }: Note): NoteText => ({ kind, depth, ordered, runs });
