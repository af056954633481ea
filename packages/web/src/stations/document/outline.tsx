/** The outline: every heading with the words under it; branches are moved and re-levelled by dragging or by keys. */
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { chakra } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { branchOf, type Block, type BlockId, type Level } from '@alvex/core';
import { edit } from '../../state/deck-store.ts';
import { count, grouped } from '../../ui/format.ts';
import { Heading, Small } from '../../ui/recipes.tsx';
import { VirtualRows } from '../../ui/virtual-rows.tsx';
import { moveBranch, shiftBranches, together } from './line-actions.ts';
import { Parts } from './parts.tsx';
import { makeOutline, type OutlineEntry } from './make-outline.ts';

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
const Row = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) auto',
    gap: '8px',
    w: '100%',
    border: 0,
    position: 'relative',
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
  variants: { dragged: { true: { opacity: 0.4 } } },
});

const ROW = 24;
const INDENT = 14;

interface Props {
  readonly blocks: readonly Block[];
  readonly words: number;
  readonly go: (block: BlockId) => void;
}

export function Outline({ blocks, words, go }: Props) {
  const outline = useMemo(() => makeOutline(blocks), [blocks]);
  const scroller = useRef<HTMLElement>(null);
  const virtualizer = useVirtualizer<HTMLElement, Element>({
    count: outline.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 20,
  });
  const place = (moved: BlockId, at: number, wanted: number) => {
    const inBranch = new Set(branchOf(blocks, moved).map((block) => block.id));
    // The heading that it would stand behind decides how deep it may go.
    const before = outline.slice(0, at).findLast((entry) => !inBranch.has(entry.block.id));
    const level = Math.max(1, Math.min(6, wanted, (before?.level ?? 0) + 1)) as Level;
    edit(...together(moveBranch(blocks, moved, outline[at]?.block.id ?? null, level)));
  };
  /** Moves a branch past the branch before or behind it, on its own level. */
  const step = (entry: OutlineEntry, by: 1 | -1) => {
    const at = outline.indexOf(entry);
    if (by < 0) {
      const target = outline.slice(0, at).findLastIndex((other) => other.level <= entry.level);
      if (target >= 0) place(entry.block.id, target, entry.level);
      return;
    }
    const behind = outline.findIndex((other, i) => i > at && other.level <= entry.level);
    if (behind < 0) return;
    const after = outline.findIndex((other, i) => i > behind && other.level <= outline[behind]!.level);
    place(entry.block.id, after < 0 ? outline.length : after, entry.level);
  };
  const onKey = (entry: OutlineEntry) => (event: KeyboardEvent) => {
    if (!event.altKey) return;
    const { key } = event;
    if (key === 'ArrowUp' || key === 'ArrowDown') step(entry, key === 'ArrowUp' ? -1 : 1);
    else if (key === 'ArrowLeft' || key === 'ArrowRight') {
      const made = shiftBranches(blocks, [entry.block], key === 'ArrowLeft' ? -1 : 1);
      if (made !== undefined) edit(made);
    } else return;
    event.preventDefault();
  };
  return (
    <Side aria-label="Outline" ref={scroller}>
      <Parts blocks={blocks} go={go} />
      <Heading fontSize="lg">Outline</Heading>
      <Small mb="10px">
        {count(outline.length, 'heading')}, {count(words, 'word')}
      </Small>
      {outline.length === 0 ? (
        <Small>No headings are marked in this document.</Small>
      ) : (
        <Small mb="8px" fontSize="xs">
          Drag a heading to move its branch; sideways for its level. Or Alt and the arrow keys.
        </Small>
      )}
      <VirtualRows
        virtualizer={virtualizer}
        row={(i) => (
          <OutlineRow
            entry={outline[i]!}
            go={() => go(outline[i]!.block.id)}
            onKey={onKey(outline[i]!)}
            drop={(moved, level) => place(moved, i, level)}
          />
        )}
      />
    </Side>
  );
}

interface RowProps {
  readonly entry: OutlineEntry;
  readonly go: () => void;
  readonly onKey: (event: KeyboardEvent) => void;
  /** A branch was dropped before this row. */
  readonly drop: (moved: BlockId, level: number) => void;
}

function OutlineRow({ entry, go, onKey, drop }: RowProps) {
  const element = useRef<HTMLButtonElement>(null);
  const [dragged, setDragged] = useState(false);
  const [over, setOver] = useState<number | null>(null);
  const dropped = useRef(drop);
  useEffect(() => {
    dropped.current = drop;
  });
  const { id } = entry.block;
  useEffect(() => {
    const row = element.current;
    if (row === null) return;
    const levelAt = (x: number): number =>
      1 + Math.max(0, Math.round((x - row.getBoundingClientRect().left - 20) / INDENT));
    return combine(
      draggable({
        element: row,
        getInitialData: () => ({ branch: id }),
        onDragStart: () => setDragged(true),
        onDrop: () => setDragged(false),
      }),
      dropTargetForElements({
        element: row,
        canDrop: ({ source }) => source.data['branch'] !== id,
        onDrag: ({ location }) => setOver(levelAt(location.current.input.clientX)),
        onDragLeave: () => setOver(null),
        onDrop: ({ source, location }) => {
          setOver(null);
          dropped.current(source.data['branch'] as BlockId, levelAt(location.current.input.clientX));
        },
      }),
    );
  }, [id]);
  const first = entry.level === 1;
  return (
    <Row
      ref={element}
      dragged={dragged}
      style={{ paddingLeft: (entry.level - 1) * INDENT }}
      fontWeight={first ? 600 : 400}
      onClick={go}
      onKeyDown={onKey}
      aria-label={`${entry.text || 'empty heading'}, level ${entry.level}, ${count(entry.words, 'word')}`}
    >
      {over !== null && (
        <chakra.span position="absolute" top="-1px" right="0" h="2px" bg="pine" style={{ left: (over - 1) * INDENT }} />
      )}
      <span>{entry.text || <i>empty heading</i>}</span>
      <chakra.span color="soft" fontFamily="body" fontSize="xs" fontWeight={400}>
        {grouped(entry.words)}
      </chakra.span>
    </Row>
  );
}
