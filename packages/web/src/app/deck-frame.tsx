/** The frame around every station of one deck: name, the line of stations, and whether the work is kept. */
import { Box, chakra } from '@chakra-ui/react';
import { ArrowRight, History, Keyboard, Moon, Presentation, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useParams } from 'react-router';
import { useDeck } from '../state/deck-store.ts';
import { canTakeBack, redo, undo, useLog } from '../state/log-store.ts';
import { openDeck } from '../state/session.ts';
import { switchMode } from '../ui/color-mode.ts';
import { clock } from '../ui/format.ts';
import { Action, Heading, Notice, Small, Unseen } from '../ui/recipes.tsx';
import { DeckName } from './deck-name.tsx';
import { Behind, Gone, Refused } from './keeping-notices.tsx';
import { mayBeKey } from '../ui/keys.ts';
import { isWriting } from '../ui/is-writing.ts';
import { t } from '../words/words.ts';
import { HistoryPanel } from './history-panel.tsx';
import { KeysPanel } from './keys-panel.tsx';
import { FIRST_STATION, STATIONS, type StationEntry } from './stations.ts';

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
  base: { color: 'amberText', fontWeight: 700, fontSize: '10px', ml: '3px', position: 'relative', top: '-5px' },
});

export function DeckFrame() {
  const { id = '' } = useParams();
  useEffect(() => void openDeck(id), [id]);
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
  const { pathname } = useLocation();
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
  const stations = useRef<HTMLElement>(null);
  const showKeys = useEffectEvent(() => turn('keys'));
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
  }, []);
  const phase = useDeck((state) => state.phase);
  const failure = useDeck((state) => state.failure);
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
          <Box maxW="520px" mx="auto" pt="14vh" px="24px" display="grid" gap="12px" justifyItems="start">
            <Heading>{t('This deck could not be opened')}</Heading>
            <Small>{failure}</Small>
            <Link to="/">
              <Action as="span">{t('All decks')}</Action>
            </Link>
          </Box>
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

/** What stands open at the right. */
type Panel = 'history' | 'keys' | null;

function Station({ path, label, purpose, attention = NOTHING }: StationEntry) {
  const things = useDeck(attention);
  return (
    <NavLink to={path} title={purpose}>
      {label}
      {things > 0 && <Count aria-label={t(', {n} things to look at', { count: things })}>{things}</Count>}
    </NavLink>
  );
}

/** Where there is hardly room, heard and not seen: whether the work is kept matters more. */
const Narrowed = chakra('span', {
  base: {
    '@media (max-width: 480px)': {
      position: 'absolute',
      w: '1px',
      h: '1px',
      overflow: 'hidden',
      clipPath: 'inset(50%)',
    },
  },
});

function Present() {
  const slides = useDeck((state) => state.view?.pages.hidden.filter((hidden) => !hidden).length ?? 0);
  if (slides === 0) return null;
  return (
    <Link to="present" title={t('Present it: a window for the audience, one for you')}>
      <Action as="span" size="small" whiteSpace="nowrap">
        <Presentation size={14} aria-hidden="true" />
        <Narrowed>{t('Present')}</Narrowed>
      </Action>
    </Link>
  );
}

function Keeping({ panel, turn }: { readonly panel: Panel; readonly turn: (panel: Panel) => void }) {
  const sync = useLog((state) => state.sync);
  const canUndo = useLog((state) => canTakeBack(state) > 0);
  const canRedo = useLog((state) => state.history.undone.length > 0);
  return (
    <Box display="flex" justifyContent="flex-end" alignItems="center" gap="6px" color="soft" fontSize="sm" minW="0">
      {sync.refused > 0 && <Refused edits={sync.refused} reason={sync.reason} />}
      {sync.state === 'waiting' ? (
        <Notice tone="attention" role="status" py="3px">
          {t('Server away: {n} edits kept in this browser only', { count: sync.waiting })}
        </Notice>
      ) : sync.state === 'gone' ? (
        <Gone waiting={sync.waiting} />
      ) : sync.state === 'behind' ? (
        <Behind />
      ) : (
        <chakra.span role="status" mr="6px" whiteSpace="nowrap" minW="0" overflow="hidden" textOverflow="ellipsis">
          {sync.state === 'sending'
            ? t('keeping …')
            : sync.at === null
              ? t('all kept')
              : t('kept {at}', { at: clock(sync.at) })}
          {sync.merged > 0 && t(' · {n} edits from another window', { count: sync.merged })}
        </chakra.span>
      )}
      <Present />
      <Action
        look="quiet"
        size="small"
        aria-label={t('Undo')}
        title={t('Undo (Ctrl+Z)')}
        disabled={!canUndo}
        onClick={undo}
      >
        <Undo2 size={15} />
      </Action>
      <Action
        look="quiet"
        size="small"
        aria-label={t('Redo')}
        title={t('Redo (Ctrl+Shift+Z)')}
        disabled={!canRedo}
        onClick={redo}
      >
        <Redo2 size={15} />
      </Action>
      <Action
        look="quiet"
        size="small"
        aria-label={t('History')}
        title={t('What was done')}
        aria-expanded={panel === 'history'}
        onClick={() => turn('history')}
      >
        <History size={15} />
      </Action>
      <chakra.span css={{ '@media (max-width: 640px)': { display: 'none' } }}>
        <Action
          look="quiet"
          size="small"
          aria-label={t('Keys')}
          title={t('What keys do (?)')}
          aria-expanded={panel === 'keys'}
          onClick={() => turn('keys')}
        >
          <Keyboard size={15} />
        </Action>
      </chakra.span>
      <Action look="quiet" size="small" aria-label={t('Light or dark')} title={t('Light or dark')} onClick={switchMode}>
        <Moon size={15} />
      </Action>
    </Box>
  );
}
