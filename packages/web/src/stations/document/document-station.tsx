/** The Document station: the text with its level marks, its outline, and what could not be read. */
import { Box, chakra } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Download } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { blockWords, placeText, runsText, type Block } from '@alvex/core';
import { originalUrl } from '../../api/client.ts';
import { useDeck } from '../../state/deck-store.ts';
import { BlockText } from '../../ui/block-text.tsx';
import { count, grouped } from '../../ui/format.ts';
import { Action, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { VirtualRows } from '../../ui/virtual-rows.tsx';

const Page = chakra('div', {
  base: {
    h: '100%',
    display: 'grid',
    gridTemplateColumns: '300px minmax(0, 1fr)',
    '@media (max-width: 820px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});
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
const OutlineRow = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) auto',
    gap: '8px',
    w: '100%',
    border: 0,
    bg: 'transparent',
    textAlign: 'left',
    py: '3px',
    pr: '4px',
    cursor: 'pointer',
    fontFamily: 'heading',
    fontSize: 'md',
    lineHeight: 1.35,
    _hover: { bg: 'pineWash' },
  },
});
const Line = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '74px minmax(0, 680px) 60px',
    gap: '14px',
    alignItems: 'baseline',
    py: '4px',
    px: '20px',
    '& .to-slide': { opacity: 0 },
    '&:hover .to-slide, & .to-slide:focus-visible': { opacity: 1 },
    '@media (max-width: 560px)': {
      gridTemplateColumns: '44px minmax(0, 1fr)',
      px: '10px',
      '& .to-slide': { display: 'none' },
    },
  },
});
const Margin = chakra('span', {
  base: { textAlign: 'right', fontSize: 'xs', color: 'soft', fontFamily: 'body', whiteSpace: 'nowrap' },
});

const ROW = 34;
const OUTLINE_ROW = 24;

export function DocumentStation() {
  const blocks = useDeck((state) => state.blocks);
  const diagnostics = useDeck((state) => state.diagnostics);
  const deck = useDeck((state) => state.deck);
  const [showFaults, setShowFaults] = useState(false);
  const outline = useMemo(() => makeOutline(blocks), [blocks]);
  const words = useMemo(() => blocks.reduce((sum, block) => sum + blockWords(block), 0), [blocks]);
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useVirtualizer({
    count: blocks.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    getItemKey: (i) => blocks[i]!.id,
    overscan: 8,
  });
  const sideScroller = useRef<HTMLElement>(null);
  const headings = useVirtualizer<HTMLElement, Element>({
    count: outline.length,
    getScrollElement: () => sideScroller.current,
    estimateSize: () => OUTLINE_ROW,
    overscan: 20,
  });
  if (deck === null) return null;
  return (
    <Page>
      <Side aria-label="Outline" ref={sideScroller}>
        <Heading fontSize="lg">Outline</Heading>
        <Small mb="10px">
          {count(outline.length, 'heading')}, {count(words, 'word')}
        </Small>
        {outline.length === 0 && <Small>No headings are marked in this document.</Small>}
        <VirtualRows
          virtualizer={headings}
          row={(i) => (
            <OutlineLine
              entry={outline[i]!}
              go={() => virtualizer.scrollToIndex(outline[i]!.index, { align: 'start' })}
            />
          )}
        />
      </Side>
      <Box display="flex" flexDirection="column" minH="0">
        <Box
          px="20px"
          py="10px"
          borderBottom="1px solid"
          borderColor="line"
          display="flex"
          gap="12px"
          alignItems="center"
          flexWrap="wrap"
        >
          <Small>{deck.fileName}, kept byte for byte</Small>
          {/* A link, so that the browser saves it as any other file. */}
          <a href={originalUrl(deck.id)} download style={{ marginLeft: 'auto', textDecoration: 'none' }}>
            <Action as="span" size="small">
              <Download size={13} /> Original
            </Action>
          </a>
        </Box>
        {diagnostics.length > 0 && (
          <Notice role="status">
            <Box flex="1">
              {count(diagnostics.length, 'thing')} of the original could not be brought in as{' '}
              {diagnostics.length === 1 ? 'it is' : 'they are'}.
            </Box>
            <Action size="small" onClick={() => setShowFaults(!showFaults)} aria-expanded={showFaults}>
              {showFaults ? 'Hide' : 'Show'}
            </Action>
            {showFaults && (
              <chakra.ul w="100%" maxH="160px" overflowY="auto" pl="18px">
                {diagnostics.map((diagnostic, i) => (
                  <li key={i}>
                    {diagnostic.message} <chakra.span color="soft">{placeText(diagnostic.place)}</chakra.span>
                  </li>
                ))}
              </chakra.ul>
            )}
          </Notice>
        )}
        <Box ref={scroller} flex="1" minH="0" overflowY="auto" py="12px" data-testid="document-text">
          <VirtualRows virtualizer={virtualizer} row={(i) => <BlockLine block={blocks[i]!} deck={deck.id} />} />
        </Box>
      </Box>
    </Page>
  );
}

function OutlineLine({ entry, go }: { readonly entry: OutlineEntry; readonly go: () => void }) {
  return (
    <OutlineRow
      style={{ paddingLeft: (entry.level - 1) * 14 + 4 }}
      fontWeight={entry.level === 1 ? 600 : 400}
      onClick={go}
    >
      <span>{entry.text || <i>empty heading</i>}</span>
      <chakra.span color="soft" fontFamily="body" fontSize="xs" fontWeight={400}>
        {grouped(entry.words)}
      </chakra.span>
    </OutlineRow>
  );
}

function BlockLine({ block, deck }: { readonly block: Block; readonly deck: string }) {
  return (
    <Line>
      <Margin alignSelf={block.kind === 'picture' || block.kind === 'table' ? 'start' : undefined}>
        {marginText(block)}
      </Margin>
      <BlockText block={block} deck={deck} whole />
      <Link
        className="to-slide"
        to={`../slides?at=${encodeURIComponent(block.id)}`}
        style={{ fontSize: 11, color: 'var(--chakra-colors-pine)' }}
      >
        its slide
      </Link>
    </Line>
  );
}

function marginText(block: Block): string {
  switch (block.kind) {
    case 'heading':
      return `heading ${block.level}`;
    case 'listItem':
      return block.depth > 1 ? `list, ${block.depth}` : 'list';
    case 'paragraph':
      return block.role ?? '';
    case 'break':
      return '';
    default:
      return block.kind;
  }
}

interface OutlineEntry {
  readonly block: Block;
  readonly index: number;
  readonly level: number;
  readonly text: string;
  /** Its own and those of all under it. */
  readonly words: number;
}

function makeOutline(blocks: readonly Block[]): readonly OutlineEntry[] {
  const entries: { block: Block; index: number; level: number; text: string; words: number }[] = [];
  const open: (typeof entries)[number][] = [];
  blocks.forEach((block, index) => {
    if (block.kind === 'heading') {
      while (open.length > 0 && open.at(-1)!.level >= block.level) open.pop();
      const entry = { block, index, level: block.level, text: runsText(block.runs), words: 0 };
      entries.push(entry);
      open.push(entry);
    }
    const words = blockWords(block);
    for (const entry of open) entry.words += words;
  });
  return entries;
}
