/** What a speaker's eyes go to: where am I, what do I say, how long have I. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { DeckSummary } from '@alvex/contract';
import { useAhead } from './draw-ahead.ts';
import { usePage } from '../state/use-page.ts';
import { Action } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';
import type { Pages } from '../worker/shown.ts';
import { AllSlides } from './all-slides.tsx';
import { fillScreen } from './audience-page.tsx';
import { EndRehearsal } from './end-rehearsal.tsx';
import { endTalk, type Mode } from './kept-talk.ts';
import { Stage } from './stage.tsx';
import { SeenSlides } from './seen-slides.tsx';
import { SpokenNotes } from './spoken-notes.tsx';
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
  const [all, setAll] = useState(false);
  const screen = useThisScreen();
  // The focus waits here: on a button, Space and Enter would press it again in the place of going on.
  const notes = useRef<HTMLElement>(null);
  useAhead(deck.id, slides);
  if (screen.taken && now !== null)
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
          pen={screen.drawing ? draw : undefined}
        />
        <OnThisScreen leave={screen.leave} pen={screen.turnPen} />
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
        <Action size="small" onClick={screen.take}>
          {t('Show on this screen')}
        </Action>
        {mode === 'talk' && <OpenWindow deck={deck.id} isOpen={audience} opened={() => notes.current?.focus()} />}
      </Top>
      <Where talk={talk} slides={slides} pages={pages} />
      <Facing>
        <SpokenNotes notes={row?.notes} focus={notes} />
        <SeenSlides
          deck={deck.id}
          mode={mode}
          screen={talk.screen}
          now={now}
          next={next}
          last={talk.at === slides.length - 1}
          strokes={strokes}
          draw={draw}
          setSpot={setSpot}
        />
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

/** Whether the slides take this screen, and the pen is taken on it. */
function useThisScreen() {
  const [taken, setTaken] = useState(false);
  const [drawing, setDrawing] = useState(false);
  const leave = () => {
    setTaken(false);
    setDrawing(false);
  };
  useEffect(() => {
    const left = () => document.fullscreenElement === null && leave();
    document.addEventListener('fullscreenchange', left);
    return () => document.removeEventListener('fullscreenchange', left);
  }, []);
  const take = () => {
    setTaken(true);
    void fillScreen();
  };
  return { taken, drawing, take, leave, turnPen: () => setDrawing(!drawing) };
}

function OpenWindow({
  deck,
  isOpen,
  opened,
}: {
  readonly deck: string;
  readonly isOpen: boolean;
  readonly opened: () => void;
}) {
  return (
    <Action
      size="small"
      look={isOpen ? 'plain' : 'main'}
      onClick={() => {
        opened();
        window.open(`/decks/${deck}/audience`, `alvex-${deck}`, 'popup,width=960,height=560');
      }}
    >
      {isOpen ? t('Audience’s window is open') : t('Open the audience’s window')}
    </Action>
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
