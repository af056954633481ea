/** Under a slide: its number and measure, ways out where it holds too much, and what can be done with it. */
import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import { Box, chakra } from '@chakra-ui/react';
import {
  Copy,
  Eye,
  EyeOff,
  LayoutPanelLeft,
  ListPlus,
  PenLine,
  Presentation,
  SlidersHorizontal,
  Trash2,
  type LucideIcon,
} from 'lucide-react';
import { useEffect, useRef, useState, type ComponentProps } from 'react';
import { Link } from 'react-router';
import { FULL_RULES, plain, type Edit, type FullRule, type MatterKind } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { count } from '../../ui/format.ts';
import { FULL_ACTIONS, FULL_LABELS, LAYOUT_LABELS, MATTER_LABELS } from '../../ui/labels.ts';
import { Action, Warning } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { Row } from '../../worker/shown.ts';
import { chooseSlide, useChosen } from './chosen.ts';
import { ImprovePanel } from './improve-panel.tsx';
import { LookPanel } from './look-panel.tsx';
import { newId, slideOrder } from './slide-work.ts';

const Caption = chakra('div', {
  base: {
    display: 'flex',
    gap: '7px',
    fontSize: 'xs',
    color: 'soft',
    mt: '7px',
    flexWrap: 'wrap',
    alignItems: 'center',
  },
});
const Number = chakra('button', {
  base: {
    fontWeight: 700,
    color: 'ink',
    bg: 'transparent',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    px: '6px',
    minW: '24px',
    minH: '24px',
    cursor: 'grab',
    _hover: { borderColor: 'pine' },
  },
  variants: { chosen: { true: { bg: 'pine', borderColor: 'pine', color: 'pineText' } } },
});

export function RowTools({ row, number }: { readonly row: Row; readonly number: number }) {
  const { state, points, linesOver } = row.fit;
  const [open, setOpen] = useState<'improve' | 'look' | null>(null);
  const turn = (panel: 'improve' | 'look') => setOpen(open === panel ? null : panel);
  const mayBeFull = state === 'spills' || row.full !== null || (row.index === 0 && row.textPages > 1);
  const suggested = row.untitled && row.kind === 'content' && !row.continues;
  return (
    <>
      <Caption>
        <SlideNumber row={row} number={number} />
        <span>{row.matter === null ? LAYOUT_LABELS[row.layout] : MATTER_LABELS[row.matter]}</span>
        <span>{count(row.words, 'word')}</span>
        {row.continues && <span>{t('continued')}</span>}
        {row.hidden && <chakra.b color="amberText">{t('hidden')}</chakra.b>}
        {state === 'spills' ? (
          <Warning>{linesOver > 0 ? t('{n} lines too long', { count: linesOver }) : t('too long')}</Warning>
        ) : (
          <span>
            {state === 'fits' ? t('fits at {points} pt', { points }) : t('stepped down to {points} pt', { points })}
          </span>
        )}
        {!row.hidden && <PresentHere number={number} />}
        <SlideActions row={row} open={open} turn={turn} />
      </Caption>
      {mayBeFull && row.content.length > 0 && <WaysOut row={row} />}
      {open === 'improve' && <ImprovePanel slide={row.slide} close={() => setOpen(null)} />}
      {open === 'look' && <LookPanel row={row} close={() => setOpen(null)} />}
      {suggested && open !== 'improve' && (
        <Caption>
          <span>{t('This slide has no title of its own.')}</span>
          <Action size="small" look="quiet" onClick={() => setOpen('improve')}>
            {t('Suggest one')}
          </Action>
        </Caption>
      )}
    </>
  );
}

function SlideNumber({ row, number }: { readonly row: Row; readonly number: number }) {
  const handle = useRef<HTMLButtonElement>(null);
  const chosen = useChosen((state) => state.slides.has(row.slide));
  useEffect(() => {
    if (handle.current === null) return;
    return draggable({
      element: handle.current,
      getInitialData: () => {
        const { slides } = useChosen.getState();
        return { dragged: { kind: 'slides', slides: slides.has(row.slide) ? [...slides] : [row.slide] } };
      },
    });
  }, [row.slide]);
  return (
    <Number
      ref={handle}
      chosen={chosen}
      aria-pressed={chosen}
      aria-label={t('Choose slide {number}', { number })}
      title={t('Choose; with Shift or Ctrl several. Drag to move.')}
      onClick={(event) => chooseSlide(row.slide, event)}
    >
      {number}
    </Number>
  );
}

const ICON = 13;

const PresentHere = ({ number }: { readonly number: number }) => (
  <chakra.span ml="auto">
    <Link
      to={`../present?from=${number}`}
      aria-label={t('Present from this slide')}
      title={t('Present from this slide on')}
    >
      <Action as="span" look="quiet" size="small" px="6px" gap="4px">
        <Presentation size={ICON} aria-hidden="true" /> {t('Present')}
      </Action>
    </Link>
  </chakra.span>
);

function Tool({ icon: Icon, children, ...props }: ComponentProps<typeof Action> & { readonly icon: LucideIcon }) {
  return (
    <Action look="quiet" size="small" {...props}>
      <Icon size={ICON} aria-hidden="true" /> {children}
    </Action>
  );
}

function SlideActions({
  row,
  open,
  turn,
}: {
  readonly row: Row;
  readonly open: 'improve' | 'look' | null;
  readonly turn: (panel: 'improve' | 'look') => void;
}) {
  const slides = [row.slide];
  const addPoint = () =>
    edit({
      kind: 'insert',
      slide: row.slide,
      part: newId(),
      after: row.all.at(-1)?.id ?? null,
      level: 1,
      runs: plain(t('New point')),
    });
  return (
    <Box display="flex" flexWrap="wrap" w="100%" ml="-6px" css={{ '& button': { px: '6px', gap: '4px' } }}>
      {row.kind === 'content' && row.matter === null && (
        <>
          <Tool icon={ListPlus} aria-label={t('Add a point')} title={t('Add a point')} onClick={addPoint}>
            {t('Point')}
          </Tool>
          <Tool
            icon={SlidersHorizontal}
            aria-label={t('Improve this slide')}
            title={t('Improve: title, fewer points, shorter, alike')}
            aria-expanded={open === 'improve'}
            onClick={() => turn('improve')}
          >
            {t('Improve')}
          </Tool>
        </>
      )}
      <Tool
        icon={LayoutPanelLeft}
        aria-label={t('Look of this slide')}
        title={t('Layout, figure, picture, chart, colours')}
        aria-expanded={open === 'look'}
        onClick={() => turn('look')}
      >
        {t('Look')}
      </Tool>
      {row.matter !== null && row.matter !== 'cover' && (
        <Tool
          icon={PenLine}
          aria-label={t('Make this slide my own')}
          title={t('Make it my own: it can be written, and does not follow the deck any more')}
          onClick={() => edit(madeOwn(row, row.matter!))}
        >
          {t('My own')}
        </Tool>
      )}
      {row.matter === null && (
        <Tool
          icon={Copy}
          aria-label={t('Copy this slide')}
          title={t('Copy (d)')}
          onClick={() => edit({ kind: 'duplicate', slide: row.slide, as: newId() })}
        >
          {t('Copy')}
        </Tool>
      )}
      <Tool
        icon={row.hidden ? Eye : EyeOff}
        aria-label={row.hidden ? t('Show this slide again') : t('Hide this slide')}
        title={row.hidden ? t('Show again (h)') : t('Hide when presenting (h)')}
        onClick={() => edit({ kind: 'hide', slides, hidden: !row.hidden })}
      >
        {row.hidden ? t('Show') : t('Hide')}
      </Tool>
      <Tool
        icon={Trash2}
        aria-label={t('Take out this slide')}
        title={t('Take out (Delete); it can be brought back here')}
        onClick={() => edit({ kind: 'remove', slides })}
      >
        {t('Take out')}
      </Tool>
    </Box>
  );
}

/** A slide of one's own in the place of one that was made of the deck. */
function madeOwn(row: Row, part: MatterKind): Edit {
  const slide = newId();
  const order = slideOrder(useDeck.getState().view?.pages.slides ?? []);
  const ids = row.all.map(() => newId());
  return {
    kind: 'all',
    edits: [
      { kind: 'add', slide, after: order[order.indexOf(row.slide) - 1] ?? null, title: row.title.runs },
      ...row.all.flatMap((one, i): readonly Edit[] =>
        one.kind === 'point'
          ? [{ kind: 'insert', slide, part: ids[i]!, after: ids[i - 1] ?? null, level: one.level, runs: one.runs }]
          : [],
      ),
      { kind: 'matter', part, on: false },
    ],
  };
}

/** What can be done with a slide that holds too much; for it alone, or as the deck's rule. */
function WaysOut({ row }: { readonly row: Row }) {
  const deckRule = useDeck((state) => state.view?.full ?? 'continue');
  const rule = row.full ?? deckRule;
  const set = (next: FullRule | null) => edit({ kind: 'fullAt', slides: [row.slide], rule: next });
  return (
    <Box mt="8px" display="flex" gap="6px" flexWrap="wrap" role="group" aria-label={t('This slide holds too much')}>
      {FULL_RULES.map((one) => (
        <Action
          key={one}
          size="small"
          look={one === rule ? 'chosen' : 'plain'}
          aria-pressed={one === rule}
          onClick={() => set(one)}
        >
          {FULL_ACTIONS[one]}
        </Action>
      ))}
      {rule !== deckRule && (
        <Action
          size="small"
          look="quiet"
          title={t('So far: {full}', { full: FULL_LABELS[deckRule] })}
          onClick={() =>
            edit({
              kind: 'all',
              edits: [
                { kind: 'full', rule },
                { kind: 'fullAt', slides: [row.slide], rule: null },
              ],
            })
          }
        >
          {t('the same for all slides')}
        </Action>
      )}
      {row.full !== null && (
        <Action size="small" look="quiet" onClick={() => set(null)}>
          {t('as the deck')}
        </Action>
      )}
    </Box>
  );
}
