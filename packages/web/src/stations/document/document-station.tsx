/** The Document station: the text with its levels, read, repaired and written in place. */
import { Box, chakra } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Download } from 'lucide-react';
import {
  lazy,
  Suspense,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
} from 'react';
import { useSearchParams } from 'react-router';
import { blockWords, diagnosticIn, placeText, type BlockId, type Level } from '@alvex/core';
import { originalUrl } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { edit, useLog } from '../../state/log-store.ts';
import { Action, Notice, Small, Unseen } from '../../ui/recipes.tsx';
import { mayBeKey } from '../../ui/keys.ts';
import { CatchTyping } from '../../ui/typed-ahead.tsx';
import { VirtualRows } from '../../ui/virtual-rows.tsx';
import { raw, t } from '../../words/words.ts';
import { BlockLine } from './block-line.tsx';
import { NewEdition } from '../edition/new-edition.tsx';
import { FindBar } from './find-bar.tsx';
import { isFurniture, shapeAll, shiftBranches, stretchAround } from './line-actions.ts';
import { LineBar } from './line-bar.tsx';
import { Outline } from './outline.tsx';
import { StructurePanel } from './structure-panel.tsx';
import { chooseOnly, clearSelection, extendTo, toggle, useSelection, write } from './use-selection.ts';
import { itemsOf, likelyHeight } from './text-items.ts';

const StretchEditor = lazy(() => import('./stretch-editor.tsx'));

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
  const diagnostics = useDeck((state) => state.diagnostics);
  const breaks = useDeck((state) => state.view?.breaks ?? false);
  const deck = useDeck((state) => state.deck);
  const toRepair = useDeck((state) => (state.structure?.groups.length ?? 0) + (state.structure?.findings.length ?? 0));
  const [search] = useSearchParams();
  const [showFaults, setShowFaults] = useState(search.get('show') === 'losses');
  const [showPanel, setShowPanel] = useState(false);
  const [found, setFound] = useState<ReadonlySet<string>>(new Set());
  const chosen = useSelection((state) => state.chosen);
  const focus = useSelection((state) => state.focus);
  const writing = useSelection((state) => state.writing);
  useEffect(() => {
    clearSelection();
    return clearSelection;
  }, []);
  const edition = useLog((state) => state.edition);
  const words = useMemo(
    () => blocks.reduce((sum, block) => (block.left === undefined ? sum + blockWords(block) : sum), 0),
    [blocks],
  );
  const separators = useMemo(() => blocks.filter((block) => block.kind === 'break').length, [blocks]);
  const furniture = useMemo(() => blocks.filter(isFurniture), [blocks]);
  const items = useMemo(() => itemsOf(blocks, writing), [blocks, writing]);
  // The frame comes first, its lines in a task of their own.
  const drawn = useDeferredValue(true, false);
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useVirtualizer({
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
  const scrollTo = useRef<(id: string, align: 'start' | 'auto') => void>(() => undefined);
  useEffect(() => {
    scrollTo.current = (id, align) => {
      const at = items.findIndex((item) =>
        item.kind === 'line' ? item.block.id === id : item.ids.includes(id as BlockId),
      );
      if (at >= 0) virtualizer.scrollToIndex(at, { align });
    };
  });
  const go = useCallback((id: BlockId) => {
    chooseOnly(id);
    scrollTo.current(id, 'start');
    setShowPanel(false);
  }, []);
  const onFound = useCallback((ids: ReadonlySet<string>, at: string | null) => {
    setFound(ids);
    if (at !== null) scrollTo.current(at, 'auto');
  }, []);
  const choose = useCallback((id: string, event: MouseEvent) => {
    if (event.shiftKey) extendTo(id, useDeck.getState().blocks);
    else if (event.ctrlKey || event.metaKey) toggle(id);
    else chooseOnly(id);
  }, []);
  const startWriting = useCallback((id: string) => write(stretchAround(useDeck.getState().blocks, id)), []);
  const chosenBlocks = useMemo(() => blocks.filter((block) => chosen.has(block.id)), [blocks, chosen]);
  // The key that is pressed next should find the line that has the focus, wherever it was scrolled to.
  useEffect(() => {
    if (focus === null || writing !== null) return;
    scrollTo.current(focus, 'auto');
    const frame = requestAnimationFrame(() => {
      const active = document.activeElement;
      if (active !== null && active !== document.body && scroller.current?.contains(active) !== true) return;
      scroller.current
        ?.querySelector<HTMLElement>(`[data-block="${CSS.escape(focus)}"]`)
        ?.focus({ preventScroll: true });
    });
    return () => cancelAnimationFrame(frame);
  }, [focus, writing, blocks]);

  const onKey = (event: KeyboardEvent) => {
    if (event.altKey || event.ctrlKey || event.metaKey || !mayBeKey(event)) return;
    const { key } = event;
    const at = blocks.findIndex((block) => block.id === focus);
    if (key === 'ArrowDown' || key === 'ArrowUp') {
      const next = blocks[Math.min(blocks.length - 1, Math.max(0, at + (key === 'ArrowDown' ? 1 : -1)))];
      if (next !== undefined) {
        if (event.shiftKey) extendTo(next.id, blocks);
        else chooseOnly(next.id);
      }
    } else if (chosenBlocks.length === 0) return;
    else if (/^[1-6]$/.test(key)) edit(shapeAll(chosenBlocks, { kind: 'heading', level: Number(key) as Level }));
    else if (key === '0') edit(shapeAll(chosenBlocks, { kind: 'paragraph' }));
    else if (key === '-') edit(shapeAll(chosenBlocks, { kind: 'listItem', depth: 1, ordered: false }));
    else if (key === '<' || key === '>') {
      const made = shiftBranches(blocks, chosenBlocks, key === '<' ? -1 : 1);
      if (made !== undefined) edit(made);
    } else if (key === 'Enter' && (event.target as HTMLElement).getAttribute('role') === 'row')
      startWriting(chosenBlocks[0]!.id);
    else if (key === 'Delete') edit({ kind: 'leave', blocks: chosenBlocks.map((block) => block.id), as: 'deleted' });
    else if (key === 'Escape') clearSelection();
    else return;
    event.preventDefault();
  };
  if (deck === null) return null;
  return (
    <Page>
      <Unseen as="h1">{t('Document')}</Unseen>
      <Outline blocks={blocks} words={words} go={go} />
      <Box display="flex" flexDirection="column" minH="0" minW="0">
        <Box
          px="20px"
          py="8px"
          borderBottom="1px solid"
          borderColor="line"
          display="flex"
          gap="12px"
          rowGap="6px"
          alignItems="center"
          flexWrap="wrap"
        >
          <FindBar blocks={blocks} show={onFound} />
          <Small overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap" minW="0">
            {t('{fileName}, kept byte for byte', { fileName: edition?.fileName ?? deck.fileName })}
          </Small>
          {separators > 0 && (
            <chakra.label
              fontSize="sm"
              color="soft"
              display="inline-flex"
              gap="6px"
              alignItems="center"
              whiteSpace="nowrap"
            >
              <input
                type="checkbox"
                checked={breaks}
                onChange={(event) => edit({ kind: 'breaks', start: event.target.checked })}
              />
              {t('{n} separators start a slide', { count: separators })}
            </chakra.label>
          )}
          <Box ml="auto" display="flex" flexWrap="wrap" gap="6px">
            <Action
              size="small"
              aria-expanded={showPanel}
              onClick={() => setShowPanel(!showPanel)}
              css={{ '@media (min-width: 1101px)': { display: 'none' } }}
            >
              {t('Structure{things}', { things: toRepair > 0 ? ` (${toRepair})` : '' })}
            </Action>
            <NewEdition />
            {/* A link, so that the browser saves it as any other file. */}
            <a href={originalUrl(deck.id, edition?.original)} download style={{ textDecoration: 'none' }}>
              <Action as="span" size="small">
                <Download size={13} /> {t('Original')}
              </Action>
            </a>
          </Box>
        </Box>
        {diagnostics.length > 0 && (
          <Notice role="status">
            <Box flex="1">
              {t('{n} things of the original could not be brought in as they are.', { count: diagnostics.length })}
            </Box>
            <Action size="small" onClick={() => setShowFaults(!showFaults)} aria-expanded={showFaults}>
              {showFaults ? t('Hide') : t('Show')}
            </Action>
            {showFaults && (
              <chakra.ul w="100%" maxH="160px" overflowY="auto" pl="18px">
                {diagnostics.map((diagnostic, i) => (
                  <li key={i}>
                    {diagnosticIn(diagnostic, raw)}{' '}
                    <chakra.span color="soft">{placeText(diagnostic.place, t)}</chakra.span>
                  </li>
                ))}
              </chakra.ul>
            )}
          </Notice>
        )}
        {furniture.length > 0 && (
          <Notice tone="calm" role="status">
            <Box flex="1">
              {t('{n} lines of page furniture are left out and shown pale.', { count: furniture.length })}
            </Box>
            <Action size="small" onClick={() => edit({ kind: 'keep', blocks: furniture.map(({ id }) => id) })}>
              {t('Bring all back')}
            </Action>
          </Notice>
        )}
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
            onKeyDown={onKey}
          >
            {drawn && (
              <VirtualRows
                virtualizer={virtualizer}
                row={(i) => {
                  const item = items[i]!;
                  return item.kind === 'line' ? (
                    <BlockLine
                      block={item.block}
                      deck={deck.id}
                      found={found.has(item.block.id)}
                      tabbable={item.block.id === focus}
                      choose={choose}
                      write={startWriting}
                    />
                  ) : (
                    <Suspense
                      fallback={
                        <CatchTyping>
                          <Small px="20px">{t('Opening …')}</Small>
                        </CatchTyping>
                      }
                    >
                      <div role="row">
                        <div role="gridcell">
                          <StretchEditor ids={item.ids} />
                        </div>
                      </div>
                    </Suspense>
                  );
                }}
              />
            )}
          </Box>
          {/* Over the text, not above it: what one clicks must not move away. */}
          {chosenBlocks.length > 0 && writing === null && <LineBar blocks={blocks} chosen={chosenBlocks} />}
        </Box>
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
