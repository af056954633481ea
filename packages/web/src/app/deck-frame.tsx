/** The frame around every station of one deck: name, the line of stations, and whether the work is kept. */
import { Box, chakra } from '@chakra-ui/react';
import { ArrowRight } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState, type RefObject } from 'react';
import { Link, NavLink, Outlet, useLocation, useParams } from 'react-router';
import { useDeck } from '../state/deck-store.ts';
import { redo, undo } from '../state/log-store.ts';
import { openDeck } from '../state/session.ts';
import { Action, Heading, Small, Unseen } from '../ui/recipes.tsx';
import { DeckName } from './deck-name.tsx';
import { mayBeKey } from '../ui/keys.ts';
import { isWriting } from '../ui/is-writing.ts';
import { t } from '../words/words.ts';
import { HistoryPanel } from './history-panel.tsx';
import { KeysPanel } from './keys-panel.tsx';
import { useAllAhead } from './load-ahead.ts';
import { FIRST_STATION, STATIONS, type StationEntry } from './stations.ts';
import { Keeping, type Panel } from './keeping.tsx';

const Bar = chakra('header', {
  base: {
    minH: '52px',
    flexShrink: 0,
    bg: 'card',
    borderBottom: '1px solid',
    borderColor: 'line',
    px: '20px',
    display: 'grid',
    gridTemplateColumns: 'minmax(150px, 1fr) minmax(0, auto) minmax(min-content, 1fr)',
    alignItems: 'center',
    columnGap: '16px',
    '@media (max-width: 960px)': { gridTemplateColumns: 'minmax(52px, 1fr) minmax(0, auto)', px: '12px', pt: '8px' },
  },
});
const Line = chakra('nav', {
  base: {
    display: 'flex',
    alignItems: 'stretch',
    height: '52px',
    fontSize: 'sm',
    overflowX: 'auto',
    scrollbarWidth: 'none',
    '@media (max-width: 960px)': { gridRow: 2, gridColumn: '1 / -1', height: '40px' },
    '& a': {
      color: 'soft',
      textDecoration: 'none',
      px: '13px',
      position: 'relative',
      display: 'flex',
      alignItems: 'center',
      whiteSpace: 'nowrap',
      _hover: { color: 'ink' },
      '&.active': { color: 'ink', fontWeight: 600, boxShadow: 'inset 0 -3px 0 {colors.pine}' },
      _focusVisible: { outlineOffset: '-3px' },
    },
    '& a + a::before': {
      content: '""',
      position: 'absolute',
      left: '-7px',
      width: '14px',
      top: '50%',
      borderTop: '1px solid',
      borderColor: 'line',
    },
  },
});
const Brand = chakra('span', {
  base: { fontFamily: 'heading', fontStyle: 'italic', fontWeight: 700, fontSize: '20px', color: 'pine' },
});
const Skip = chakra('a', {
  base: {
    position: 'absolute',
    left: '8px',
    top: '-60px',
    zIndex: 10,
    bg: 'card',
    px: '12px',
    py: '8px',
    _focusVisible: { top: '8px' },
  },
});
const Says = chakra('section', {
  base: {
    px: '20px',
    py: '4px',
    flexShrink: 0,
    display: 'flex',
    justifyContent: 'space-between',
    gap: '4px 20px',
    flexWrap: 'wrap',
    color: 'soft',
    fontSize: 'sm',
    borderBottom: '1px solid',
    borderColor: 'line',
    '& a': { color: 'pine', whiteSpace: 'nowrap' },
    '@media (max-width: 640px)': { px: '12px', '& span': { display: 'none' } },
  },
});
const Count = chakra('sup', {
  // It comes later than its station's name, and moves nothing.
  base: {
    color: 'amberText',
    fontWeight: 700,
    fontSize: '10px',
    position: 'absolute',
    top: 'calc(50% - 13px)',
    left: 'calc(100% - 11px)',
  },
});

export function DeckFrame() {
  const { id = '' } = useParams();
  useEffect(() => void openDeck(id), [id]);
  useUndoKeys();
  const { pathname } = useLocation();
  const { panel, turn, close } = usePanel();
  const stations = useRef<HTMLElement>(null);
  useFrameKeys(stations, () => turn('keys'));
  useInSight(stations, pathname);
  const phase = useDeck((state) => state.phase);
  const failure = useDeck((state) => state.failure);
  useAllAhead(phase === 'open');
  return (
    <Box h="100%" display="flex" flexDirection="column">
      <Skip href="#work">{t('Skip to the work')}</Skip>
      <Bar>
        <Box display="flex" alignItems="baseline" gap="14px" minW="0">
          <Link to="/" aria-label={t('Alvex: all decks')} style={{ textDecoration: 'none' }}>
            <Brand>Alvex</Brand>
          </Link>
          <DeckName />
        </Box>
        <Line ref={stations} aria-label={t('Stations')}>
          {STATIONS.map((station) => (
            <Station key={station.path} {...station} />
          ))}
        </Line>
        <Keeping panel={panel} turn={turn} />
      </Bar>
      <Purpose />
      <Said />
      <Box as="main" id="work" tabIndex={-1} outline="none" flex="1" minH="0" position="relative">
        {phase === 'failed' ? (
          <NotOpened failure={failure} />
        ) : phase === 'open' ? (
          <Outlet />
        ) : (
          <Box pt="14vh" textAlign="center" color="soft" role="status">
            {t('Opening the document …')}
          </Box>
        )}
        {panel === 'history' && phase === 'open' && <HistoryPanel close={close} />}
        {panel === 'keys' && <KeysPanel station={pathname.split('/')[3] ?? FIRST_STATION} close={close} />}
      </Box>
    </Box>
  );
}

function NotOpened({ failure }: { readonly failure: string | null }) {
  return (
    <Box maxW="520px" mx="auto" pt="14vh" px="24px" display="grid" gap="12px" justifyItems="start">
      <Heading>{t('This deck could not be opened')}</Heading>
      <Small>{failure}</Small>
      <Link to="/">
        <Action as="span">{t('All decks')}</Action>
      </Link>
    </Box>
  );
}

/** Which panel stands over the work. */
function usePanel() {
  const [panel, setPanel] = useState<Panel>(null);
  // What had the focus has it again when the panel goes.
  const before = useRef<Element | null>(null);
  const close = () => {
    setPanel(null);
    if (before.current instanceof HTMLElement) before.current.focus();
  };
  const turn = (one: Panel) => {
    if (panel === one) return close();
    if (panel === null) before.current = document.activeElement;
    setPanel(one);
  };
  return { panel, turn, close };
}

/** Ctrl and Z, where nothing is written. */
function useUndoKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      const { target } = event;
      if (target instanceof HTMLTextAreaElement || target instanceof HTMLInputElement) return;
      if (target instanceof HTMLElement && target.isContentEditable) return;
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

/** The line of stations is longer than a narrow window, and its counts come later. */
function useInSight(stations: RefObject<HTMLElement | null>, pathname: string): void {
  useEffect(() => {
    const line = stations.current;
    if (line === null) return;
    const watch = new ResizeObserver(() =>
      line.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' }),
    );
    for (const station of line.children) watch.observe(station);
    return () => watch.disconnect();
  }, [stations, pathname]);
}

/** The key for the list of keys, and the one that goes to the stations. */
function useFrameKeys(stations: RefObject<HTMLElement | null>, turn: () => void): void {
  const showKeys = useEffectEvent(turn);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || !mayBeKey(event) || isWriting(event.target)) return;
      if (event.key === '?') showKeys();
      else if (event.key === 'g') stations.current?.querySelector<HTMLElement>('[aria-current]')?.focus();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [stations]);
}

/** What one does at this station, and which comes next. */
function Purpose() {
  const { pathname } = useLocation();
  const name = useDeck((state) => state.deck?.name ?? t('Deck'));
  const path = pathname.split('/')[3] ?? FIRST_STATION;
  const at = STATIONS.findIndex((station) => station.path === path);
  const [here, next] = [STATIONS[at], STATIONS[at + 1]];
  return (
    <>
      <title>{here === undefined ? `${name} · Alvex` : `${name} · ${here.label} · Alvex`}</title>
      {here !== undefined && (
        <Says aria-label={t('This station')}>
          <span>{here.purpose}</span>
          {next !== undefined && (
            <Link to={next.path} title={next.purpose}>
              {t('Next: {label}', { label: next.label })}{' '}
              <ArrowRight size={12} aria-hidden="true" style={{ display: 'inline' }} />
            </Link>
          )}
        </Says>
      )}
    </>
  );
}

/** Says to screen readers what a change made of the deck, once no other follows it. */
function Said() {
  const slides = useDeck((state) => state.view?.pages.order.length);
  const before = useRef<number>(undefined);
  const [said, setSaid] = useState('');
  useEffect(() => {
    if (slides === undefined) return;
    before.current ??= slides;
    const timer = setTimeout(() => {
      const more = slides - before.current!;
      before.current = slides;
      if (more !== 0)
        setSaid(
          more > 0
            ? t('{n} slides, {more} more', { count: slides, more })
            : t('{n} slides, {fewer} fewer', { count: slides, fewer: -more }),
        );
    }, SAID_MS);
    return () => clearTimeout(timer);
  }, [slides]);
  return (
    <Unseen as="div" role="status" aria-label={t('What changed')}>
      {said}
    </Unseen>
  );
}
const SAID_MS = 400;

const NOTHING = (): number => 0;

function Station({ path, label, purpose, attention = NOTHING }: StationEntry) {
  const things = useDeck(attention);
  return (
    <NavLink to={path} title={purpose}>
      {label}
      {things > 0 && <Count aria-label={t(', {n} things to look at', { count: things })}>{things}</Count>}
    </NavLink>
  );
}
