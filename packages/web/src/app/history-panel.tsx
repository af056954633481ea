/** Everything that was done with the deck, newest first; one goes back to any place of it, and forward again. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { blockText, type Edit } from '@alvex/core';
import { useDeck } from '../state/deck-store.ts';
import { me } from '../state/me.ts';
import { canTakeBack, goBack, goForward, useLog } from '../state/log-store.ts';
import { editText } from '../ui/edit-text.ts';
import { Action, Small } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';
import { SidePanel } from './side-panel.tsx';

const Line = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: '44px minmax(0, 1fr)',
    w: '100%',
    gap: '8px',
    textAlign: 'left',
    border: 0,
    borderTop: '1px solid',
    borderColor: 'line',
    bg: 'transparent',
    px: '14px',
    py: '6px',
    cursor: 'pointer',
    overflowWrap: 'anywhere',
    _hover: { bg: 'pineWash' },
    _focusVisible: { outlineOffset: '-2px' },
  },
  variants: {
    undone: { true: { color: 'pale' } },
    now: { true: { bg: 'pineWash', fontWeight: 600 } },
  },
});

const STEP = 200;

export function HistoryPanel({ close }: { readonly close: () => void }) {
  const { done, undone, writers } = useLog((state) => state.history);
  const blocks = useDeck((state) => state.blockById);
  const [most, setMost] = useState(STEP);
  const lines = useMemo(() => {
    const subject = (id: string): string | undefined => {
      const block = blocks.get(id);
      return block === undefined ? undefined : blockText(block);
    };
    return done.slice(-most).map((edit: Edit) => editText(edit, subject));
  }, [done, blocks, most]);
  const first = Math.max(0, done.length - most);
  return (
    <SidePanel aria-label={t('History')} onKeyDown={(event) => event.key === 'Escape' && close()}>
      <Box display="flex" alignItems="center" gap="8px" px="14px" py="10px">
        <b>{t('History')}</b>
        <Small flex="1">{t('{n} edits so far', { count: done.length })}</Small>
        <Action size="small" look="quiet" onClick={close}>
          {t('Close')}
        </Action>
      </Box>
      <Box as="ul" flex="1" overflowY="auto" listStyleType="none" aria-label={t('Edits, the newest first')}>
        {undone.map((edit, i) => (
          <li key={`u${i}`}>
            <Line undone title={t('Do again up to here')} onClick={() => goForward(undone.length - i)}>
              <span>{t('undone')}</span>
              <span>{editText(edit)}</span>
            </Line>
          </li>
        ))}
        {lines.toReversed().map((line, i) => {
          const number = first + lines.length - i;
          const others = writers[number - 1] !== null && writers[number - 1] !== me();
          // Going back takes back one's own only.
          const mine = writers.slice(number).filter((by) => by === null || by === me()).length;
          return (
            <li key={number}>
              <Line
                now={i === 0}
                title={i === 0 ? t('The newest edit') : t('Undo all of mine after this')}
                onClick={() => goBack(mine)}
              >
                <span>{number}</span>
                <span>
                  {others && <chakra.em color="soft">{t('another person:')} </chakra.em>}
                  {line}
                </span>
              </Line>
            </li>
          );
        })}
        {first > 0 && (
          <Box as="li" p="10px">
            <Action size="small" onClick={() => setMost(most + STEP)}>
              {t('and {n} earlier edits', { count: first })}
            </Action>
          </Box>
        )}
        <li>
          <Line now={done.length === 0} onClick={() => goBack(canTakeBack(useLog.getState()))}>
            <span>0</span>
            <span>{t('The document as it was brought in')}</span>
          </Line>
        </li>
      </Box>
    </SidePanel>
  );
}
