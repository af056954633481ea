/** The text, line by line: what is chosen in it, and where it is written. */
import { Box } from '@chakra-ui/react';
import {
  lazy,
  Suspense,
  useCallback,
  useDeferredValue,
  useEffect,
  useImperativeHandle,
  useMemo,
  useRef,
  type MouseEvent,
  type Ref,
  type RefObject,
} from 'react';
import type { Block, BlockId } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { Small } from '../../ui/recipes.tsx';
import { CatchTyping } from '../../ui/typed-ahead.tsx';
import { useRows, VirtualRows } from '../../ui/virtual-rows.tsx';
import { t } from '../../words/words.ts';
import { BlockLine } from './block-line.tsx';
import { stretchAround } from './line-actions.ts';
import { LineBar } from './line-bar.tsx';
import { onLineKey } from './line-keys.ts';
import { itemsOf, likelyHeight } from './text-items.ts';
import { chooseOnly, extendTo, toggle, useSelection, write } from './use-selection.ts';

const StretchEditor = lazy(() => import('./stretch-editor.tsx'));

export interface TextHandle {
  readonly scrollTo: (id: string, align: 'start' | 'auto') => void;
}

const choose = (id: string, event: MouseEvent): void => {
  if (event.shiftKey) extendTo(id, useDeck.getState().blocks);
  else if (event.ctrlKey || event.metaKey) toggle(id);
  else chooseOnly(id);
};
const startWriting = (id: string): void => write(stretchAround(useDeck.getState().blocks, id));

interface TextProps {
  readonly blocks: readonly Block[];
  readonly deck: string;
  /** Lines in which the words stand that are looked for. */
  readonly found: ReadonlySet<string>;
  readonly handle: Ref<TextHandle>;
}

export function DocumentText({ blocks, deck, found, handle }: TextProps) {
  const chosen = useSelection((state) => state.chosen);
  const focus = useSelection((state) => state.focus);
  const writing = useSelection((state) => state.writing);
  const items = useMemo(() => itemsOf(blocks, writing), [blocks, writing]);
  const chosenBlocks = useMemo(() => blocks.filter((block) => chosen.has(block.id)), [blocks, chosen]);
  // The frame comes first, its lines in a task of their own.
  const drawn = useDeferredValue(true, false);
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useRows({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => likelyHeight(items[i]!),
    getItemKey: (i) => {
      const item = items[i]!;
      return item.kind === 'line' ? item.block.id : 'writing';
    },
    overscan: 5,
    scrollPaddingEnd: 90,
  });
  const scrollTo = useCallback(
    (id: string, align: 'start' | 'auto') => {
      const at = items.findIndex((item) =>
        item.kind === 'line' ? item.block.id === id : item.ids.includes(id as BlockId),
      );
      if (at >= 0) virtualizer.scrollToIndex(at, { align });
    },
    [items, virtualizer],
  );
  useImperativeHandle(handle, () => ({ scrollTo }), [scrollTo]);
  useFocusOn(writing === null ? focus : null, blocks, scrollTo, scroller);

  return (
    <Box position="relative" flex="1" minH="0">
      <Box
        ref={scroller}
        h="100%"
        overflowY="auto"
        pt="12px"
        pb="90px"
        data-testid="document-text"
        role="grid"
        aria-label={t('Text')}
        aria-multiselectable
        tabIndex={focus === null ? 0 : -1}
        onFocus={(event) => {
          if (event.target === event.currentTarget && focus === null && blocks[0] !== undefined)
            chooseOnly(blocks[0].id);
        }}
        onKeyDown={(event) => onLineKey(event, blocks, chosenBlocks)}
      >
        {drawn && (
          <VirtualRows
            virtualizer={virtualizer}
            row={(i) => {
              const item = items[i]!;
              if (item.kind !== 'line') return <Written ids={item.ids} />;
              const { block } = item;
              return (
                <BlockLine
                  block={block}
                  deck={deck}
                  found={found.has(block.id)}
                  tabbable={block.id === focus}
                  choose={choose}
                  write={startWriting}
                />
              );
            }}
          />
        )}
      </Box>
      {/* Over the text, not above it: what one clicks must not move away. */}
      {chosenBlocks.length > 0 && writing === null && <LineBar blocks={blocks} chosen={chosenBlocks} />}
    </Box>
  );
}

/** The key that is pressed next should find the line that has the focus, wherever it was scrolled to. @param focus Null: none. */
function useFocusOn(
  focus: string | null,
  blocks: readonly Block[],
  scrollTo: TextHandle['scrollTo'],
  scroller: RefObject<HTMLDivElement | null>,
): void {
  useEffect(() => {
    if (focus === null) return;
    scrollTo(focus, 'auto');
    const frame = requestAnimationFrame(() => {
      const active = document.activeElement;
      if (active !== null && active !== document.body && scroller.current?.contains(active) !== true) return;
      scroller.current
        ?.querySelector<HTMLElement>(`[data-block="${CSS.escape(focus)}"]`)
        ?.focus({ preventScroll: true });
    });
    return () => cancelAnimationFrame(frame);
  }, [focus, blocks, scrollTo, scroller]);
}

/** The stretch of the text that is written in. */
function Written({ ids }: { readonly ids: readonly BlockId[] }) {
  return (
    <Suspense
      fallback={
        <CatchTyping>
          <Small px="20px">{t('Opening …')}</Small>
        </CatchTyping>
      }
    >
      <div role="row">
        <div role="gridcell">
          <StretchEditor ids={ids} />
        </div>
      </div>
    </Suspense>
  );
}
