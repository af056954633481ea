/** What a speaker's eyes go to: where am I, what do I say, how long have I. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { DeckSummary } from '@alvex/contract';
import { SlideDrawing } from '../canvas/slide-drawing.tsx';
import { useAhead } from './draw-ahead.ts';
import { usePage } from '../state/use-page.ts';
import { Action, Small } from '../ui/recipes.tsx';
import { RunsText } from '../ui/runs.tsx';
import { t } from '../words/words.ts';
import type { Pages } from '../worker/shown.ts';
import { AllSlides } from './all-slides.tsx';
import { fillScreen } from './audience-page.tsx';
import { EndRehearsal } from './end-rehearsal.tsx';
import { endTalk, type Mode } from './kept-talk.ts';
import { Stage } from './stage.tsx';
import { StrokesDrawing } from './strokes-drawing.tsx';
import { placeOf, usePen } from './use-pen.ts';
import { useTalk } from './use-talk.ts';
import { Time, Where } from './where-and-when.tsx';

const Desk = chakra('main', {
  base: {
    position: 'fixed',
    inset: 0,
    bg: 'paper',
    display: 'grid',
    gridTemplateRows: 'auto auto minmax(0, 1fr) auto',
  },
});
const Top = chakra('header', {
  base: {
    display: 'flex',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: '6px 14px',
    px: '20px',
    py: '9px',
    bg: 'card',
    borderBottom: '1px solid',
    borderColor: 'line',
  },
});
const Facing = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1.15fr) minmax(0, 1fr)',
    gap: '28px',
    px: '28px',
    py: '18px',
    minH: 0,
    '@media (max-width: 760px)': {
      gridTemplateColumns: 'minmax(0, 1fr)',
      gridTemplateRows: 'auto minmax(0, 1fr)',
      px: '14px',
    },
  },
});
const Words = chakra('section', {
  base: { overflowY: 'auto', fontFamily: 'heading', lineHeight: 1.5, minW: 0, overflowWrap: 'anywhere', pr: '8px' },
});
const Seen = chakra('section', {
  base: {
    display: 'grid',
    gap: '10px',
    alignContent: 'start',
    minW: 0,
    overflowY: 'auto',
    '@media (max-width: 760px)': { order: -1, gridTemplateColumns: '2fr 1fr', alignItems: 'start' },
  },
});
const Paper = chakra('div', {
  base: { border: '1px solid', borderColor: 'line', position: 'relative', lineHeight: 0 },
});
const SIZES = [16, 19, 22, 26, 31, 37, 44] as const; // pixels
const KEPT_SIZE = 'alvex.speaker-size';

interface Props {
  readonly deck: DeckSummary;
  readonly pages: Pages;
  readonly mode: Mode;
}

export function SpeakerView({ deck, pages, mode }: Props) {
  const { talk, slides, here, now, next, move, follow, setSpot, strokes, draw, audience } = useTalk(
    deck.id,
    mode,
    pages,
    useBeginning(),
  );
  const { row } = usePage(here.key);
  const [size, setSize] = useState(() => Number(localStorage.getItem(KEPT_SIZE) ?? 2));
  const [all, setAll] = useState(false);
  const [alone, setAlone] = useState(false);
  /** Whether the pen is taken, on this screen. */
  const [drawing, setDrawing] = useState(false);
  // The focus waits here: on a button, Space and Enter would press it again in the place of going on.
  const notes = useRef<HTMLElement>(null);
  useAhead(deck.id, slides);
  const pen = usePen(draw);
  const resize = (by: number) => {
    const wanted = Math.max(0, Math.min(SIZES.length - 1, size + by));
    localStorage.setItem(KEPT_SIZE, String(wanted));
    setSize(wanted);
  };
  const leaveScreen = () => {
    setAlone(false);
    setDrawing(false);
  };
  useEffect(() => {
    const left = () => document.fullscreenElement === null && leaveScreen();
    document.addEventListener('fullscreenchange', left);
    return () => document.removeEventListener('fullscreenchange', left);
  }, []);
  const last = talk.at === slides.length - 1;
  if (alone && now !== null)
    return (
      <>
        <Stage
          deck={deck.id}
          now={now}
          next={next}
          screen={talk.screen}
          spot={null}
          strokes={strokes}
          move={move}
          follow={follow}
          pen={drawing ? draw : undefined}
        />
        <OnThisScreen leave={leaveScreen} pen={() => setDrawing(!drawing)} />
      </>
    );
  return (
    <Desk>
      <Top>
        {mode === 'rehearsal' ? (
          <EndRehearsal deck={deck.id} talk={talk} pages={pages} move={move} />
        ) : (
          <Link to={`/decks/${deck.id}/slides`} onClick={() => endTalk(deck.id, mode)}>
            <Action as="span" size="small">
              {t('End the talk')}
            </Action>
          </Link>
        )}
        <Box as="h1" fontFamily="heading" fontWeight={600} mr="auto" fontSize="md">
          {mode === 'rehearsal' ? t('Rehearsal: {name}', { name: deck.name }) : deck.name}
        </Box>
        <Action size="small" aria-expanded={all} onClick={() => setAll(!all)}>
          {t('All slides')}
        </Action>
        <Action
          size="small"
          onClick={() => {
            setAlone(true);
            void fillScreen();
          }}
        >
          {t('Show on this screen')}
        </Action>
        {mode === 'talk' && (
          <Action
            size="small"
            look={audience ? 'plain' : 'main'}
            onClick={() => {
              notes.current?.focus();
              window.open(`/decks/${deck.id}/audience`, `alvex-${deck.id}`, 'popup,width=960,height=560');
            }}
          >
            {audience ? t('Audience’s window is open') : t('Open the audience’s window')}
          </Action>
        )}
      </Top>
      <Where talk={talk} slides={slides} pages={pages} />
      <Facing>
        <Words ref={notes} aria-label={t('Speaker notes')} tabIndex={0}>
          <Box display="flex" gap="6px" alignItems="center" fontFamily="body" mb="10px">
            <Small>{t('Notes')}</Small>
            <Action
              size="small"
              look="quiet"
              aria-label={t('Smaller notes')}
              disabled={size === 0}
              onClick={() => resize(-1)}
            >
              {t('A−')}
            </Action>
            <Action
              size="small"
              look="quiet"
              aria-label={t('Larger notes')}
              disabled={size === SIZES.length - 1}
              onClick={() => resize(1)}
            >
              {t('A+')}
            </Action>
          </Box>
          <Box fontSize={`${SIZES[size] ?? SIZES[2]}px`} display="grid" gap="0.6em">
            {row?.notes.length === 0 && <Small>{t('This slide has no notes.')}</Small>}
            {row?.notes.map((note) => (
              <Box as="p" key={note.id} pl={note.kind === 'item' ? `${note.depth * 1.1}em` : undefined}>
                {note.kind === 'item' && `${note.mark?.text ?? '•'} `}
                <RunsText runs={note.runs} />
              </Box>
            ))}
          </Box>
        </Words>
        <Seen aria-label={t('Slides')}>
          <Paper
            css={{ touchAction: 'none', userSelect: 'none' }}
            {...pen}
            onPointerMove={(event) => {
              setSpot(placeOf(event));
              pen.onPointerMove(event);
            }}
            onPointerLeave={() => setSpot(null)}
          >
            {now !== null && (
              <SlideDrawing drawing={now.drawing} deck={deck.id} number={now.number} label={now.label} />
            )}
            <StrokesDrawing strokes={strokes} />
            {talk.screen !== 'slide' && (
              <Box
                position="absolute"
                inset="0"
                display="grid"
                placeContent="center"
                lineHeight={1.4}
                role="status"
                style={
                  talk.screen === 'dark'
                    ? { background: 'rgba(0,0,0,0.82)', color: '#FFFFFF' }
                    : { background: 'rgba(255,255,255,0.9)', color: '#000000' }
                }
              >
                {t('The audience’s screen is {screen}', { screen: talk.screen })}
              </Box>
            )}
          </Paper>
          <Box display="grid" gap="4px" w="58%" css={{ '@media (max-width: 760px)': { width: '100%' } }}>
            <Small>{last ? t('This is the last slide') : t('Next')}</Small>
            {!last && next !== null && (
              <Paper>
                <SlideDrawing
                  drawing={next.drawing}
                  deck={deck.id}
                  number={next.number}
                  label={t('Next: {label}', { label: next.label })}
                />
              </Paper>
            )}
          </Box>
          <Small>
            {t('{mode}Keys: arrows, Page keys or Space; a number and Enter; B dark, W light{marks}.', {
              mode: mode === 'talk' && t('The pointer on the slide is a spot for the audience; pressed, it draws. '),
              marks: mode === 'rehearsal' ? t('; S where you stumbled') : '',
            })}
          </Small>
        </Seen>
      </Facing>
      <Time talk={talk} slides={slides} restart={() => move({ move: 'start-clock' })} />
      {all && (
        <AllSlides
          deck={deck.id}
          slides={slides}
          at={talk.at}
          go={(to) => move({ move: 'go', to })}
          close={() => {
            setAll(false);
            notes.current?.focus();
          }}
        />
      )}
    </Desk>
  );
}

/** Keys that only count here: Escape, where the browser did not fill the screen, and that of the pen. */
function OnThisScreen({ leave, pen }: { readonly leave: () => void; readonly pen: () => void }) {
  useEffect(() => {
    const onKey = ({ key, ctrlKey, metaKey, altKey }: KeyboardEvent) => {
      if (key === 'Escape') leave();
      if (key.toLowerCase() === 'p' && !ctrlKey && !metaKey && !altKey) pen();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [leave, pen]);
  return null;
}

/** The slide that the address names to begin with; once, so that a window that is loaded again goes on where it was. */
function useBeginning(): number | null {
  const [search, setSearch] = useSearchParams();
  const [from] = useState(() => (/^\d+$/.test(search.get('from') ?? '') ? Number(search.get('from')) : null));
  useEffect(() => {
    if (search.has('from')) setSearch({}, { replace: true });
  }, [search, setSearch]);
  return from;
}
