/** The Document station: the text with its levels, read, repaired and written in place. */
import { Box, chakra } from '@chakra-ui/react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { blockWords, type BlockId } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { Action, Unseen } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { DocumentBar } from './document-bar.tsx';
import { FurnitureLeft, Losses } from './document-notices.tsx';
import { DocumentText, type TextHandle } from './document-text.tsx';
import { Outline } from './outline.tsx';
import { StructurePanel } from './structure-panel.tsx';
import { chooseOnly, clearSelection } from './use-selection.ts';

const Page = chakra('div', {
  base: {
    h: '100%',
    display: 'grid',
    gridTemplateColumns: '270px minmax(0, 1fr) 300px',
    '@media (max-width: 1100px)': { gridTemplateColumns: '240px minmax(0, 1fr)' },
    '@media (max-width: 820px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});
const Panel = chakra('aside', {
  base: {
    borderLeft: '1px solid',
    borderColor: 'line',
    overflowY: 'auto',
    p: '18px 18px 30px',
    minH: 0,
    '@media (max-width: 1100px)': { display: 'none' },
  },
  variants: {
    over: {
      true: {
        '@media (max-width: 1100px)': {
          display: 'block',
          position: 'absolute',
          right: 0,
          top: 0,
          bottom: 0,
          w: 'min(320px, 92vw)',
          bg: 'paper',
          zIndex: 5,
        },
      },
    },
  },
});

export function DocumentStation() {
  const blocks = useDeck((state) => state.blocks);
  const deck = useDeck((state) => state.deck);
  const [search] = useSearchParams();
  const [showPanel, setShowPanel] = useState(false);
  const [found, setFound] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    clearSelection();
    return clearSelection;
  }, []);
  const words = useMemo(
    () => blocks.reduce((sum, block) => (block.left === undefined ? sum + blockWords(block) : sum), 0),
    [blocks],
  );
  const text = useRef<TextHandle>(null);
  const go = useCallback((id: BlockId) => {
    chooseOnly(id);
    text.current?.scrollTo(id, 'start');
    setShowPanel(false);
  }, []);
  const showFound = useCallback((ids: ReadonlySet<string>, at: string | null) => {
    setFound(ids);
    if (at !== null) text.current?.scrollTo(at, 'auto');
  }, []);
  if (deck === null) return null;
  return (
    <Page>
      <Unseen as="h1">{t('Document')}</Unseen>
      <Outline blocks={blocks} words={words} go={go} />
      <Box display="flex" flexDirection="column" minH="0" minW="0">
        <DocumentBar
          blocks={blocks}
          showFound={showFound}
          panel={showPanel}
          togglePanel={() => setShowPanel(!showPanel)}
        />
        <Losses open={search.get('show') === 'losses'} />
        <FurnitureLeft blocks={blocks} />
        <DocumentText blocks={blocks} deck={deck.id} found={found} handle={text} />
      </Box>
      <Panel aria-label={t('Structure')} over={showPanel}>
        <Box float="right" css={{ '@media (min-width: 1101px)': { display: 'none' } }}>
          <Action size="small" onClick={() => setShowPanel(false)}>
            {t('Close')}
          </Action>
        </Box>
        <StructurePanel go={go} />
      </Panel>
    </Page>
  );
}
