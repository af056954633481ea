/** The facing pages: one row a slide, its passages left, the drawn slide and its notes right. */
import type { BlockId, PageKey } from '@alvex/core';
import { autoScrollForElements } from '@atlaskit/pragmatic-drag-and-drop-auto-scroll/element';
import { Box } from '@chakra-ui/react';
import { useEffect, useEffectEvent, useRef, useState, type RefObject } from 'react';
import { useSearchParams } from 'react-router';
import { ask } from '../../state/core-link.ts';
import { useDeck } from '../../state/deck-store.ts';
import { select, useSelected } from '../../state/selection.ts';
import { Small, Unseen } from '../../ui/recipes.tsx';
import { useRows, VirtualRows, type Rows } from '../../ui/virtual-rows.tsx';
import { t } from '../../words/words.ts';
import { clearChosen } from './chosen.ts';
import { focusCurrentSoon, useFocusKept } from './focus.ts';
import { FacingRow, ROW_LEAST } from './facing-row.tsx';
import { TwoOutlines } from './outlines.tsx';
import { Ribbon } from './ribbon.tsx';
import { SlidesBar, type Reading } from './slides-bar.tsx';
import { forgetKeys, onSlideKey } from './slide-keys.ts';

const PASSAGE = 34;

const NO_PAGES: readonly PageKey[] = [];

/** The block that the address names. */
const blockAt = (search: URLSearchParams): BlockId | null => search.get('at') as BlockId | null;

export function SlidesStation() {
  const order = useDeck((state) => state.view?.pages.order) ?? NO_PAGES;
  const scroller = useRef<HTMLDivElement>(null);
  const [reading, setReading] = useState<Reading>('facing');
  useEffect(() => clearChosen, []);
  useKeysForgotten();
  // What is dragged to an edge brings the slides beyond it.
  useEffect(() => {
    const element = scroller.current;
    return element === null || reading !== 'facing' ? undefined : autoScrollForElements({ element });
  }, [reading]);
  const virtualizer = useRows({
    count: order.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => Math.max(ROW_LEAST, (useDeck.getState().view?.pages.passages[i] ?? 0) * PASSAGE + 60),
    getItemKey: (i) => order[i]!,
    overscan: 2,
  });
  useFocusKept(scroller, reading === 'facing' && order.length > 0);
  const jump = (i: number) => {
    select(null, order[i] ?? null);
    virtualizer.scrollToIndex(i, { align: 'start' });
  };
  const go = (i: number) => {
    jump(i);
    // Rows of other places stand there until the next frame.
    requestAnimationFrame(() => focusCurrentSoon(scroller.current, order[i]!));
  };
  useFollowed(order, virtualizer, scroller);
  useAddress(virtualizer);

  if (order.length === 0) return <NoSlides />;
  return (
    <Box h="100%" display="flex" flexDirection="column">
      <Unseen as="h1">{t('Slides beside their text')}</Unseen>
      <SlidesBar reading={reading} read={setReading} jump={jump} />
      {reading === 'outlines' ? (
        <TwoOutlines
          go={(page, block) => {
            setReading('facing');
            select(block, order[page] ?? null);
            requestAnimationFrame(() => virtualizer.scrollToIndex(page, { align: 'start' }));
          }}
        />
      ) : (
        <Box
          ref={scroller}
          flex="1"
          minH="0"
          overflowY="auto"
          px="20px"
          pb="30vh"
          css={{ '@media (max-width: 960px)': { px: '12px' } }}
          data-testid="facing-pages"
          tabIndex={-1}
          outline="none"
          onKeyDown={(event) => onSlideKey(event, go)}
        >
          <VirtualRows
            virtualizer={virtualizer}
            label={t('Slides and their source')}
            rowLabel={(i) => t('Slide {i}', { i: i + 1 })}
            row={(i) => <FacingRow slideKey={order[i]!} number={i + 1} />}
          />
        </Box>
      )}
      <Ribbon
        jump={(i) => {
          setReading('facing');
          jump(i);
        }}
        first={virtualizer.range?.startIndex ?? 0}
        last={virtualizer.range?.endIndex ?? 0}
      />
    </Box>
  );
}

/** Keys that wait were meant for what was current when they were pressed. */
function useKeysForgotten(): void {
  useEffect(() => {
    window.addEventListener('pointerdown', forgetKeys, true);
    return () => {
      window.removeEventListener('pointerdown', forgetKeys, true);
      forgetKeys();
    };
  }, []);
}

/** A slide that was made is gone to as soon as it is there; in the place of one that is no more, the next is current. */
function useFollowed(order: readonly PageKey[], virtualizer: Rows, scroller: RefObject<HTMLDivElement | null>): void {
  const before = useRef(order);
  const follow = useEffectEvent(() => {
    const { row, block } = useSelected.getState();
    const was = before.current;
    before.current = order;
    if (row === null || was.length === 0) return;
    const at = order.indexOf(row);
    if (at >= 0 && !was.includes(row)) {
      virtualizer.scrollToIndex(at, { align: 'auto' });
      focusCurrentSoon(scroller.current, row);
    } else if (at < 0 && was.includes(row)) select(block, order[Math.min(was.indexOf(row), order.length - 1)] ?? null);
  });
  useEffect(() => follow(), [order]);
}

/** Other stations lead here with the block that was looked at, or with the number of a slide. */
function useAddress(virtualizer: Rows): void {
  const [search, setSearch] = useSearchParams();
  const at = blockAt(search);
  useEffect(() => {
    if (at === null) return;
    void ask({ what: 'page', block: at }).then((key) => {
      const { view } = useDeck.getState();
      if (key === null || view === null) return;
      select(at, key);
      virtualizer.scrollToIndex(view.pages.order.indexOf(key), { align: 'start' });
    });
    setSearch({}, { replace: true });
  }, [at, setSearch, virtualizer]);

  const wanted = search.get('page');
  useEffect(() => {
    if (wanted === null) return;
    virtualizer.scrollToIndex(Number(wanted) - 1, { align: 'start' });
    setSearch({}, { replace: true });
  }, [wanted, setSearch, virtualizer]);
}

function NoSlides() {
  return (
    <Box maxW="520px" mx="auto" pt="14vh" px="24px">
      <Small>
        {t(
          'This map makes no slides: nothing of the document has a place on one. Change where text goes in the Map station.',
        )}
      </Small>
    </Box>
  );
}
