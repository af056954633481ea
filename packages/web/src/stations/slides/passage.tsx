/** A passage of the document in its row: its mark, its text, and the place where a new slide can start. */
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { Box, chakra } from '@chakra-ui/react';
import { memo, useEffect, useRef, useState, type RefObject } from 'react';
import type { Block, Range, BlockId } from '@alvex/core';
import { useDeck, useLanguage, usePictures } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { usePages } from '../../state/pages-store.ts';
import { useSelected } from '../../state/selection.ts';
import { BlockText } from '../../ui/block-text.tsx';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';
import { choosePassage, useChosen } from './chosen.ts';
import { mayTakeFocus } from './focus.ts';
import { draggedOf, dropParts, firstPartOf, takes } from './drag.ts';
import { PassageMark } from '../shared/passage-mark.tsx';
import { mayCutAt, partsOf } from './slide-work.ts';

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
    position: 'relative',
  },
  variants: {
    chosen: { true: { bg: 'pineWash', outlineColor: '{colors.pine}' } },
    pale: { true: { color: 'pale' } },
    over: {
      true: {
        _before: { content: '""', position: 'absolute', left: 0, right: 0, top: '-1px', h: '2px', bg: 'pine' },
      },
    },
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
/** What a shortened passage keeps is read as ever; the rest is pale. */
const Shortened = chakra('div', {
  base: {
    fontFamily: 'heading',
    fontSize: '14px',
    lineHeight: 1.5,
    overflowWrap: 'anywhere',
    color: 'pale',
    '& b': { fontWeight: 400, color: 'ink', borderBottom: '1px solid', borderColor: 'pine' },
  },
});

const DOUBLE_CLICK_MS = 500;

interface Props {
  readonly block: BlockId;
  readonly row: Row;
}

export const Passage = memo(function Passage({ block: id, row }: Props) {
  const block = useDeck((state) => state.blockById.get(id));
  const destination = useDeck((state) => state.destinations.get(id)) ?? 'out';
  const current = useSelected((state) => state.block === id && state.row === row.key);
  const chosen = useChosen((state) => state.passages.has(id));
  const deck = useDeck((state) => state.deck?.id ?? '');
  const line = useRef<HTMLDivElement>(null);
  useInSight(line, current);
  const over = useDraggedParts(line, id, row, block !== undefined);
  // One tab stop in each row: the current passage, or the first.
  const tabbable = useSelected((state) =>
    state.row === row.key && state.block !== null ? state.block === id : row.passages[0] === id,
  );
  const language = useLanguage();
  if (block === undefined) return null;
  return (
    <>
      {mayCutAt(row, id, destination) && (
        <CutLine
          data-testid="cut"
          tabIndex={-1}
          title={t('Split here (c)')}
          aria-label={t('Split before “{block}”', { block: shortText(block) })}
          onClick={() => edit({ kind: 'cut', block: id })}
        >
          {t('split here: a new slide starts')}
        </CutLine>
      )}
      <Line
        ref={line}
        chosen={chosen || current}
        pale={destination === 'out'}
        over={over}
        data-block={id}
        data-destination={destination}
        aria-current={current}
        onClick={(event) => choosePassage(id, row.key, event)}
        onFocus={() => !current && choosePassage(id, row.key)}
      >
        <PassageMark block={block} cursor={tabbable} />
        <Box minW="0" lang={language}>
          <PassageText block={block} row={row} deck={deck} />
        </Box>
      </Line>
    </>
  );
});

/** The current passage comes into sight, and takes the focus where it may. */
function useInSight(line: RefObject<HTMLElement | null>, current: boolean): void {
  useEffect(() => {
    const element = line.current;
    if (!current || element === null) return;
    const show = () => element.scrollIntoView({ block: 'nearest' });
    // Where a part was chosen on the slide, the focus is there, and nothing moves under a second click.
    if (useChosen.getState().part !== null) {
      const timer = setTimeout(show, DOUBLE_CLICK_MS);
      return () => clearTimeout(timer);
    }
    show();
    if (mayTakeFocus(element) && !element.contains(document.activeElement))
      element.querySelector<HTMLElement>('[data-mark]')?.focus({ preventScroll: true });
    return;
  }, [line, current]);
}

/** Parts of a passage are dragged by it, and others dropped before it. @returns Whether some are over it. */
function useDraggedParts(line: RefObject<HTMLElement | null>, id: BlockId, row: Row, there: boolean): boolean {
  const [over, setOver] = useState(false);
  useEffect(() => {
    const element = line.current;
    if (element === null || !there) return;
    const own = new Set([id]);
    return combine(
      draggable({
        element,
        canDrag: () => partsOf([row], own).length > 0,
        getInitialData: () => {
          const { passages } = useChosen.getState();
          const blocks = passages.has(id) ? passages : own;
          return { dragged: { kind: 'parts', parts: partsOf(usePages.getState().rows.values(), blocks) } };
        },
      }),
      dropTargetForElements({
        element,
        canDrop: ({ source }) => draggedOf(source)?.kind === 'parts' && takes(row, draggedOf(source)),
        onDragEnter: () => setOver(true),
        onDragLeave: () => setOver(false),
        onDrop: ({ source, location }) => {
          setOver(false);
          const dragged = draggedOf(source);
          if (dragged?.kind === 'parts' && location.current.dropTargets[0]?.element === element)
            dropParts(row, dragged.parts, firstPartOf(row, id));
        },
      }),
    );
  }, [line, id, row, there]);
  return over;
}

function PassageText({ block, row, deck }: { readonly block: Block; readonly row: Row; readonly deck: string }) {
  const pictures = usePictures();
  const kept = row.all.flatMap((part) => (part.kept !== undefined && part.blocks[0] === block.id ? part.kept : []));
  if (kept.length === 0 || !('runs' in block)) return <BlockText block={block} deck={deck} pictures={pictures} />;
  const text = block.runs.map((run) => run.text).join('');
  return (
    <Shortened title={t('Underlined: on the slide. The whole passage is spoken.')}>
      {pieces(text, kept).map(({ from, to, shown }) =>
        shown ? <b key={from}>{text.slice(from, to)}</b> : <span key={from}>{text.slice(from, to)}</span>,
      )}
    </Shortened>
  );
}

/** Divides a text into what is kept and what is not. */
function pieces(text: string, kept: readonly Range[]) {
  const found: { from: number; to: number; shown: boolean }[] = [];
  let at = 0;
  for (const [from, to] of kept) {
    if (from > at) found.push({ from: at, to: from, shown: false });
    found.push({ from, to, shown: true });
    at = to;
  }
  if (at < text.length) found.push({ from: at, to: text.length, shown: false });
  return found;
}

function shortText(block: Block): string {
  const text = 'runs' in block ? block.runs.map((run) => run.text).join('') : block.kind;
  return text.length > 40 ? `${text.slice(0, 40)} …` : text;
}
