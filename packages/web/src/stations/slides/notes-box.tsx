/** What is spoken with a slide: read, or written in place. */
import { Box, chakra } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { edit } from '../../state/deck-store.ts';
import { count, speakingTime } from '../../ui/format.ts';
import { RunsText } from '../../ui/runs.tsx';
import type { Row } from '../../worker/protocol.ts';
import { notesToText, textToNotes } from './notes-text.ts';

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
const Area = chakra('textarea', {
  base: {
    w: '100%',
    minH: '150px',
    maxH: '420px',
    bg: 'card',
    border: '1px solid',
    borderColor: 'pine',
    borderRadius: 'sm',
    p: '8px',
    fontFamily: 'heading',
    fontSize: '13px',
    lineHeight: 1.5,
    resize: 'vertical',
  },
});

export function NotesBox({ row }: { readonly row: Row }) {
  const [writing, setWriting] = useState(false);
  const area = useRef<HTMLTextAreaElement>(null);
  const keep = () => {
    const written = area.current?.value ?? '';
    setWriting(false);
    if (written.trim() === notesToText(row.notes).trim()) return;
    // What is written on a later page of a slide belongs to what stands on that page.
    const anchor = row.notes[0]?.anchor ?? (row.key.endsWith(':0') ? null : (row.content[0]?.id ?? null));
    edit({
      kind: 'renote',
      slide: row.slide,
      replaces: row.notes.map((note) => note.id),
      anchor,
      notes: textToNotes(written, row.notes),
    });
  };
  return (
    <Side>
      <Head>
        <span>spoken</span>
        <span>
          {count(row.spoken, 'word')}
          {row.spoken > 0 && ` · ${speakingTime(row.spoken)}`}
        </span>
      </Head>
      {writing ? (
        <Area
          ref={area}
          autoFocus
          aria-label="Speaker notes"
          defaultValue={notesToText(row.notes)}
          onBlur={keep}
          onKeyDown={(event) => {
            event.stopPropagation();
            if (event.key === 'Escape') setWriting(false);
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) event.currentTarget.blur();
          }}
        />
      ) : (
        <Reading
          role="button"
          tabIndex={0}
          aria-label="Write speaker notes"
          onClick={() => setWriting(true)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            setWriting(true);
          }}
        >
          {row.notes.length === 0 && <Box color="pale">Nothing to say here yet.</Box>}
          {row.notes.slice(0, MOST_NOTES).map((note, i) => (
            <Box key={note.id} style={{ paddingLeft: note.kind === 'item' ? (note.depth - 1) * 16 : 0 }}>
              {note.kind === 'item' && (
                <chakra.span color="soft">
                  {note.ordered ? `${row.notes.slice(0, i + 1).filter((one) => one.ordered).length}. ` : '• '}
                </chakra.span>
              )}
              <RunsText runs={note.runs} />
            </Box>
          ))}
          {row.notes.length > MOST_NOTES && (
            <Box color="soft">and {count(row.notes.length - MOST_NOTES, 'more paragraph')}</Box>
          )}
        </Reading>
      )}
    </Side>
  );
}
