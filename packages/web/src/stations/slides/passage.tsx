/** A passage of the document in its row: its mark, its text, and the place where a new slide can start. */
import { Box, chakra } from '@chakra-ui/react';
import { memo, useEffect, useRef } from 'react';
import type { Block, Destination } from '@alvex/core';
import { edit, select, useDeck } from '../../state/deck-store.ts';
import { BlockText } from '../../ui/block-text.tsx';
import type { Row } from '../../worker/protocol.ts';
import { MarkButton } from './mark-button.tsx';

const Line = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '38px minmax(0, 1fr)',
    gap: '8px',
    py: '3px',
    px: '6px',
    alignItems: 'start',
    cursor: 'pointer',
    borderRadius: 'sm',
    outline: '1px solid transparent',
  },
  variants: {
    chosen: { true: { bg: 'pineWash', outlineColor: '{colors.pine}' } },
    pale: { true: { color: 'pale' } },
  },
});
const CutLine = chakra('button', {
  base: {
    display: 'flex',
    alignItems: 'center',
    gap: '8px',
    w: 'calc(100% - 46px)',
    ml: '46px',
    h: '12px',
    my: '-4px',
    position: 'relative',
    zIndex: 1,
    p: 0,
    border: 0,
    bg: 'transparent',
    cursor: 'pointer',
    color: 'pine',
    fontSize: 'xs',
    opacity: 0,
    _hover: { opacity: 1 },
    _focusVisible: { opacity: 1, outlineOffset: 0 },
    _before: { content: '""', flex: 1, borderTop: '1px dashed', borderColor: 'pine' },
    '@media (hover: none)': { opacity: 0.5 },
  },
});

const STARTS: readonly Destination[] = ['title', 'section'];

interface Props {
  readonly block: string;
  readonly row: Row;
  readonly mayCut: boolean;
}

export const Passage = memo(function Passage({ block: id, row, mayCut }: Props) {
  const block = useDeck((state) => state.blockById.get(id));
  const destination = useDeck((state) => state.destinations.get(id)) ?? 'out';
  const chosen = useDeck((state) => state.selectedBlock === id);
  const deck = useDeck((state) => state.deck?.id ?? '');
  const line = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (chosen) line.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  if (block === undefined) return null;
  const cuttable = mayCut && !STARTS.includes(destination) && row.content.some((part) => !part.blocks.includes(id));
  return (
    <>
      {cuttable && (
        <CutLine
          data-testid="cut"
          aria-label={`Cut before “${shortText(block)}”`}
          onClick={() => edit({ kind: 'cut', block: id })}
        >
          cut here: a new slide starts
        </CutLine>
      )}
      <Line
        ref={line}
        chosen={chosen}
        pale={destination === 'out'}
        data-block={id}
        data-destination={destination}
        onClick={() => select(id, row.key)}
      >
        <MarkButton block={block} destination={destination} />
        <Box minW="0">
          <BlockText block={block} deck={deck} />
        </Box>
      </Line>
    </>
  );
});

function shortText(block: Block): string {
  const text = 'runs' in block ? block.runs.map((run) => run.text).join('') : block.kind;
  return text.length > 40 ? `${text.slice(0, 40)} …` : text;
}
