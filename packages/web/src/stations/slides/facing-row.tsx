/** One row of the facing pages. */
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { Box, chakra } from '@chakra-ui/react';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import type { Edit, BlockId, PageKey, PartId } from '@alvex/core';
import { DeckSlide } from '../../canvas/deck-slide.tsx';
import type { SlideActions } from '../../canvas/slide-drawing.tsx';
import { edit } from '../../state/log-store.ts';
import { select, useSelected } from '../../state/selection.ts';
import { usePage } from '../../state/use-page.ts';
import { Mark } from '../../ui/mark.tsx';
import { Action, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { RemovedLine, Row } from '../../worker/shown.ts';
import { choosePart, useChosen } from './chosen.ts';
import { draggedOf, dropParts, dropSlides, takes } from './drag.ts';
import { NotesBox } from './notes-box.tsx';
import { PartGrips } from './part-grips.tsx';
import { Passage } from './passage.tsx';
import { RowTools } from './row-tools.tsx';
import { SlideWriter } from './slide-writer.tsx';

const Grid = chakra('section', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) 34px minmax(0, 640px)',
    borderBottom: '1px solid',
    borderColor: 'line',
    position: 'relative',
    pb: '16px',
    '@media (max-width: 960px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});
const Bracket = chakra('div', {
  base: {
    position: 'relative',
    my: '24px',
    '@media (max-width: 960px)': { display: 'none' },
    _before: {
      content: '""',
      position: 'absolute',
      left: '2px',
      width: '18px',
      top: 0,
      bottom: 0,
      border: '1px solid',
      borderColor: 'soft',
      borderLeft: 0,
    },
    _after: {
      content: '""',
      position: 'absolute',
      left: '20px',
      right: 0,
      top: '50%',
      borderTop: '1px solid',
      borderColor: 'soft',
    },
  },
});
const Facing = chakra('div', {
  base: {
    pt: '16px',
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 372px) minmax(0, 1fr)',
    gap: '16px',
    alignItems: 'start',
    alignSelf: 'start',
    position: 'sticky',
    top: 0,
    '@media (max-width: 960px)': { position: 'static' },
    '@media (max-width: 560px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});
/** Height of a row, which few exceed, before it has come. */
export const ROW_LEAST = 305;
const PASSAGES_STEP = 80;

export const FacingRow = memo(function FacingRow({
  slideKey,
  number,
}: {
  readonly slideKey: PageKey;
  readonly number: number;
}) {
  const { row } = usePage(slideKey);
  const selectedBlock = useSelected((state) => state.block);
  const isCurrent = useSelected((state) => state.row === slideKey);
  const [writing, setWriting] = useState<PartId | 'title' | null>(null);
  const part = useChosen((state) => state.part);
  const chosen = useMemo(
    () => chosenParts(row, selectedBlock, isCurrent ? part : null),
    [row, selectedBlock, isCurrent, part],
  );
  const actions = useMemo(
    (): SlideActions => ({
      choose: (target) => choosePart(target, blockOf(row, target), slideKey),
      write: (target) => (row?.matter === null || target === 'title' ? setWriting(target) : undefined),
    }),
    [row, slideKey],
  );
  const { grid, over } = useDropped(row);
  if (row === undefined) return <Box h={`${ROW_LEAST}px`} />;
  return (
    <Grid ref={grid} data-slide={row.slide} aria-current={isCurrent} style={overStyle(over)}>
      {row.removed.length > 0 && <Removed lines={row.removed} />}
      {row.join !== null && <Join edit={row.join} />}
      <Passages row={row} />
      <Bracket />
      <Facing>
        <Box minW="0">
          <Box
            position="relative"
            css={{ containerType: 'inline-size' }}
            outline={isCurrent ? '2px solid' : undefined}
            outlineColor="pine"
            outlineOffset="2px"
            opacity={row.hidden ? 0.45 : 1}
            onClick={() => !isCurrent && select(null, slideKey)}
          >
            <PartGrips row={row}>
              <DeckSlide
                slideKey={slideKey}
                number={number}
                chosen={chosen}
                hidden={writing ?? undefined}
                actions={actions}
              />
            </PartGrips>
            {writing !== null && <SlideWriter row={row} target={writing} close={() => setWriting(null)} />}
          </Box>
          <RowTools row={row} number={number} />
        </Box>
        <NotesBox row={row} />
      </Facing>
    </Grid>
  );
});

/** What is dropped on a row: parts go to its end, slides before or behind it. */
function useDropped(row: Row | undefined) {
  const grid = useRef<HTMLElement>(null);
  const [over, setOver] = useState<'above' | 'below' | null>(null);
  useEffect(() => {
    const element = grid.current;
    if (element === null || row === undefined) return;
    const below = (clientY: number): boolean => {
      const box = element.getBoundingClientRect();
      return clientY > box.top + box.height / 2;
    };
    return dropTargetForElements({
      element,
      canDrop: ({ source }) => takes(row, draggedOf(source)),
      onDrag: ({ source, location }) =>
        setOver(
          draggedOf(source)?.kind === 'slides' ? (below(location.current.input.clientY) ? 'below' : 'above') : null,
        ),
      onDragLeave: () => setOver(null),
      onDrop: ({ source, location }) => {
        setOver(null);
        const dragged = draggedOf(source);
        // A passage or a slide within this row takes it first.
        if (location.current.dropTargets[0]?.element !== element && dragged?.kind !== 'slides') return;
        if (dragged?.kind === 'slides') dropSlides(row, dragged.slides, below(location.current.input.clientY));
        else if (dragged !== undefined) dropParts(row, dragged.parts, null);
      },
    });
  }, [row]);
  return { grid, over };
}

/** A document without headings is one slide with all its passages; they are shown in portions, the chosen one always. */
function Passages({ row }: { readonly row: Row }) {
  const [most, setMost] = useState(PASSAGES_STEP);
  const selected = useSelected((state) => state.block);
  const shown = Math.max(most, selected === null ? 0 : row.passages.indexOf(selected) + 1);
  return (
    <Box pt="12px" pr="6px" minW="0">
      {row.passages.length === 0 && <NoSource row={row} />}
      {row.passages.slice(0, shown).map((block) => (
        <Passage key={block} block={block} row={row} />
      ))}
      {shown < row.passages.length && (
        <Action look="quiet" size="small" ml="40px" onClick={() => setMost(shown + PASSAGES_STEP)}>
          {t('and {n} more passages', { count: row.passages.length - shown })}
        </Action>
      )}
    </Box>
  );
}

const overStyle = (over: 'above' | 'below' | null) =>
  over === null ? {} : { boxShadow: `inset 0 ${over === 'above' ? 3 : -3}px 0 var(--chakra-colors-pine)` };

function NoSource({ row }: { readonly row: Row }) {
  return (
    <Small px="6px">
      {row.matter !== null
        ? t('Made of the deck itself, and kept in step with it.')
        : row.continues
          ? t('Goes on with what stands above.')
          : t('A slide of your own: nothing of the document stands on it.')}
    </Small>
  );
}

/** Slides that were taken out stand where they were, as a line each. */
function Removed({ lines }: { readonly lines: readonly RemovedLine[] }) {
  return (
    <Box gridColumn="1 / -1" display="grid" gap="2px" py="6px">
      {lines.map(({ slide, title }) => (
        <Box key={slide} display="flex" gap="10px" alignItems="center" color="pale" fontSize="sm" data-testid="removed">
          <Mark destination="out" size={24} />
          <chakra.span fontFamily="heading" textDecoration="line-through">
            {title}
          </chakra.span>
          <span>{t('taken out')}</span>
          <Action size="small" look="quiet" onClick={() => edit({ kind: 'restore', slides: [slide] })}>
            {t('Bring back')}
          </Action>
        </Box>
      ))}
    </Box>
  );
}

function Join({ edit: made }: { readonly edit: Edit }) {
  return (
    <Action
      look="quiet"
      size="small"
      position="absolute"
      top="-13px"
      left="0"
      bg="paper"
      data-testid="join"
      onClick={() => edit(made)}
      title={t('This slide goes on the one above, its title as a point (j)')}
    >
      {t('join with the slide above')}
    </Action>
  );
}

function chosenParts(
  row: Row | undefined,
  block: BlockId | null,
  part: string | null,
): ReadonlySet<string> | undefined {
  if (part !== null) return new Set([part]);
  if (row === undefined || block === null || !row.passages.includes(block)) return undefined;
  const parts = row.content.filter((part) => part.blocks.includes(block)).map((part) => part.id);
  return new Set(row.title.blocks.includes(block) ? ['title', ...parts] : parts);
}

function blockOf(row: Row | undefined, target: string): BlockId | null {
  if (target === 'title') return row?.title.blocks[0] ?? null;
  return row?.content.find((part) => part.id === target)?.blocks[0] ?? null;
}
