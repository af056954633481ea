/** One row of the facing pages. */
import { Box, chakra } from '@chakra-ui/react';
import { memo, useMemo, useState } from 'react';
import { DeckSlide } from '../../canvas/deck-slide.tsx';
import type { SlideActions } from '../../canvas/slide-drawing.tsx';
import { edit, select, useDeck } from '../../state/deck-store.ts';
import { usePage } from '../../state/use-page.ts';
import { count } from '../../ui/format.ts';
import { Action } from '../../ui/recipes.tsx';
import type { Row } from '../../worker/protocol.ts';
import { NotesBox } from './notes-box.tsx';
import { Passage } from './passage.tsx';
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
const Caption = chakra('div', {
  base: {
    display: 'flex',
    gap: '12px',
    fontSize: 'xs',
    color: 'soft',
    mt: '7px',
    flexWrap: 'wrap',
    alignItems: 'baseline',
  },
});
const Warning = chakra('span', {
  base: { color: 'amberText', bg: 'amberWash', borderLeft: '3px solid', borderColor: 'amber', px: '6px' },
});

const PASSAGES_STEP = 80;

const LAYOUT_LABELS: Readonly<Record<Row['layout'], string>> = {
  cover: 'Cover',
  section: 'Section opener',
  points: 'Points',
  columns: 'Two columns',
  'picture-text': 'Picture with text',
  picture: 'Picture',
  table: 'Table',
  'title-only': 'Title only',
};

export const FacingRow = memo(function FacingRow({
  slideKey,
  number,
}: {
  readonly slideKey: string;
  readonly number: number;
}) {
  const { row } = usePage(slideKey);
  const selectedBlock = useDeck((state) => state.selectedBlock);
  const isCurrent = useDeck((state) => state.selectedRow === slideKey);
  const [writing, setWriting] = useState<string | null>(null);
  const [most, setMost] = useState(PASSAGES_STEP);
  const chosen = useMemo(() => chosenParts(row, selectedBlock), [row, selectedBlock]);
  const actions = useMemo(
    (): SlideActions => ({ choose: (target) => select(blockOf(row, target), slideKey), write: setWriting }),
    [row, slideKey],
  );
  if (row === undefined) return <Box h="290px" />;
  // A document without headings is one slide with all its passages; they are shown in portions, the chosen one always.
  const place = selectedBlock === null ? -1 : row.passages.indexOf(selectedBlock);
  const shown = Math.max(most, place + 1);
  return (
    <Grid>
      {row.joinBlock !== null && <Join block={row.joinBlock} />}
      <Box pt="12px" pr="6px" minW="0">
        {row.passages.slice(0, shown).map((block, i) => (
          <Passage key={block} block={block} row={row} mayCut={i > 0 && row.kind === 'content'} />
        ))}
        {shown < row.passages.length && (
          <Action look="quiet" size="small" ml="40px" onClick={() => setMost(shown + PASSAGES_STEP)}>
            and {count(row.passages.length - shown, 'more passage')}
          </Action>
        )}
      </Box>
      <Bracket />
      <Facing>
        <Box minW="0">
          <Box
            position="relative"
            css={{ containerType: 'inline-size' }}
            outline={isCurrent ? '2px solid' : undefined}
            outlineColor="pine"
            outlineOffset="2px"
            onClick={() => !isCurrent && select(null, slideKey)}
          >
            <DeckSlide
              slideKey={slideKey}
              number={number}
              chosen={chosen}
              hidden={writing ?? undefined}
              actions={actions}
            />
            {writing !== null && <SlideWriter row={row} target={writing} close={() => setWriting(null)} />}
          </Box>
          <FitCaption row={row} number={number} />
        </Box>
        <NotesBox row={row} />
      </Facing>
    </Grid>
  );
});

function FitCaption({ row, number }: { readonly row: Row; readonly number: number }) {
  const { state, points, linesOver } = row.fit;
  return (
    <>
      <Caption>
        <chakra.b color="ink">{number}</chakra.b>
        <span>{LAYOUT_LABELS[row.layout]}</span>
        <span>{count(row.words, 'word')}</span>
        {row.continues && <span>continued</span>}
        {state === 'spills' ? (
          <Warning>{count(linesOver, 'line')} too long</Warning>
        ) : (
          <span>{state === 'fits' ? `fits at ${points} pt` : `stepped down to ${points} pt`}</span>
        )}
      </Caption>
      {state === 'spills' && row.content.length > 0 && (
        <Box mt="8px" display="flex" gap="8px" flexWrap="wrap">
          <Action size="small" onClick={() => edit({ kind: 'full', rule: 'continue' })}>
            Continue slides that are too full
          </Action>
        </Box>
      )}
    </>
  );
}

function Join({ block }: { readonly block: string }) {
  return (
    <Action
      look="quiet"
      size="small"
      position="absolute"
      top="-13px"
      left="0"
      bg="paper"
      data-testid="join"
      onClick={() => edit({ kind: 'join', block })}
      title="This slide goes on the one above, its title as a point"
    >
      join with the slide above
    </Action>
  );
}

function chosenParts(row: Row | undefined, block: string | null): ReadonlySet<string> | undefined {
  if (row === undefined || block === null || !row.passages.includes(block)) return undefined;
  const parts = row.content.filter((part) => part.blocks.includes(block)).map((part) => part.id);
  return new Set(row.title.blocks.includes(block) ? ['title', ...parts] : parts);
}

function blockOf(row: Row | undefined, target: string): string | null {
  if (target === 'title') return row?.title.blocks[0] ?? null;
  return row?.content.find((part) => part.id === target)?.blocks[0] ?? null;
}
