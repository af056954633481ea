/** The outline: every heading with the words under it; branches are moved and re-levelled by dragging or by keys. */
import { chakra } from '@chakra-ui/react';
import { useDeferredValue, useMemo, useRef } from 'react';
import type { Block, BlockId } from '@alvex/core';
import { count } from '../../ui/format.ts';
import { Heading, Small } from '../../ui/recipes.tsx';
import { useRows, VirtualRows } from '../../ui/virtual-rows.tsx';
import { t } from '../../words/words.ts';
import { makeOutline } from './make-outline.ts';
import { OutlineRow } from './outline-row.tsx';
import { Parts } from './parts.tsx';

const Side = chakra('aside', {
  base: {
    borderRight: '1px solid',
    borderColor: 'line',
    overflowY: 'auto',
    p: '18px 12px 18px 20px',
    minH: 0,
    '@media (max-width: 820px)': { display: 'none' },
  },
});
const ROW = 24;

interface Props {
  readonly blocks: readonly Block[];
  readonly words: number;
  readonly go: (block: BlockId) => void;
}

export function Outline({ blocks, words, go }: Props) {
  const outline = useMemo(() => makeOutline(blocks), [blocks]);
  // The text comes first.
  const drawn = useDeferredValue(true, false);
  const scroller = useRef<HTMLElement>(null);
  const virtualizer = useRows<HTMLElement>({
    count: outline.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
  });
  return (
    <Side aria-label={t('Outline')} ref={scroller}>
      <Parts blocks={blocks} go={go} />
      <Heading as="h2" fontSize="lg">
        {t('Outline')}
      </Heading>
      <Small mb="10px">
        {count(outline.length, 'heading')}, {count(words, 'word')}
      </Small>
      {outline.length === 0 ? (
        <Small>{t('No headings are marked in this document.')}</Small>
      ) : (
        <Small mb="8px" fontSize="xs">
          {t('Drag a heading to move its branch; sideways for its level. Or Alt and the arrow keys.')}
        </Small>
      )}
      {drawn && (
        <VirtualRows
          virtualizer={virtualizer}
          row={(i) => {
            const { block, level, text, words: under } = outline[i]!;
            return <OutlineRow id={block.id} level={level} text={text} words={under} go={go} />;
          }}
        />
      )}
    </Side>
  );
}
