/** Whether the work is kept, and what can be done with all of it. */
import { Box, chakra } from '@chakra-ui/react';
import { History, Keyboard, Moon, Presentation, Redo2, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { useDeck } from '../state/deck-store.ts';
import { canTakeBack, redo, undo, useLog } from '../state/log-store.ts';
import { switchMode } from '../ui/color-mode.ts';
import { clock } from '../ui/format.ts';
import { Action, Notice } from '../ui/recipes.tsx';
import { Behind, Gone, Refused } from './keeping-notices.tsx';
import { t } from '../words/words.ts';

/** What stands open at the right. */
export type Panel = 'history' | 'keys' | null;

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
  /** Undefined while the deck is opened: it has its room already. */
  const slides = useDeck((state) => state.view?.pages.hidden.filter((hidden) => !hidden).length);
  if (slides === 0) return null;
  return (
    <Link
      to="present"
      style={{ visibility: slides === undefined ? 'hidden' : undefined }}
      title={t('Present it: a window for the audience, one for you')}
    >
      <Action as="span" size="small" whiteSpace="nowrap">
        <Presentation size={14} aria-hidden="true" />
        <Narrowed>{t('Present')}</Narrowed>
      </Action>
    </Link>
  );
}

export function Keeping({ panel, turn }: { readonly panel: Panel; readonly turn: (panel: Panel) => void }) {
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
