/** The rhythm of the deck along the bottom edge: one bar a slide, its height the words, its pattern the fit. */
import { Box, chakra } from '@chakra-ui/react';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { useDeck } from '../../state/deck-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { useSelected } from '../../state/selection.ts';
import { count, duration, grouped } from '../../ui/format.ts';
import { rich, t } from '../../words/words.ts';
import { MOST_PRESENTED } from '../shared/long-deck.ts';

const Foot = chakra('footer', {
  base: {
    h: '72px',
    flexShrink: 0,
    borderTop: '1px solid',
    borderColor: 'line',
    bg: 'card',
    px: '20px',
    display: 'grid',
    gridTemplateColumns: '150px minmax(0, 1fr) auto',
    gap: '18px',
    alignItems: 'center',
    fontSize: 'xs',
    color: 'soft',
    '@media (max-width: 720px)': {
      h: 'auto',
      minH: '72px',
      py: '4px',
      gridTemplateColumns: '90px minmax(0, 1fr)',
      px: '12px',
      '& > :last-child': { display: 'none' },
    },
  },
});

const HEIGHT = 52;
const WIDTH = 1000;
const FULL = 80; // words at which a bar is as high as the ribbon

interface Props {
  readonly jump: (index: number) => void;
  readonly first: number;
  readonly last: number;
}

export function Ribbon({ jump, first, last }: Props) {
  const pages = useDeck((state) => state.view?.pages);
  const sums = useDeck((state) => state.view?.sums);
  const target = useDeck((state) => state.view?.target ?? null);
  const seconds = useMemo(() => pages?.seconds.reduce((sum, one) => sum + one, 0) ?? 0, [pages]);
  return (
    <Foot>
      <Box>
        <chakra.b color="ink" fontSize="sm" display="block" data-testid="slide-count">
          {count(pages?.order.length ?? 0, 'slide')}
          {target?.unit === 'slides' && t(' of {amount}', { amount: target.amount })}
        </chakra.b>
        {duration(seconds)}{' '}
        {target?.unit === 'minutes' ? t('of {amount} min', { amount: target.amount }) : t('to speak')}
        {target === null && (pages?.order.length ?? 0) > MOST_PRESENTED && (
          <Link to="../map" style={{ color: 'inherit', display: 'block' }}>
            {t('long for a talk: shorten it')}
          </Link>
        )}
        <Ready />
      </Box>
      <Bars jump={jump} first={first} last={last} />
      {sums !== undefined && (
        <Link to="../check/words" style={{ color: 'inherit', textAlign: 'right' }} title={t('Where every word went')}>
          {rich('{document} words: <b>{slides}</b> on slides', {
            document: grouped(sums.document),
            slides: grouped(sums.slides),
          })}
          <br />
          {rich(
            '<b>{notes}</b> spoken · <b2>{leftOut}</b2> left out · <b3>{lost}</b3> lost',
            {
              notes: grouped(sums.notes),
              leftOut: grouped(sums.leftOut),
              lost: grouped(sums.lost),
            },
            { b: (words) => <b>{words}</b>, b2: (words) => <b>{words}</b>, b3: (words) => <b>{words}</b> },
          )}
        </Link>
      )}
    </Foot>
  );
}

/** How many slides can be shown as they are. */
function Ready() {
  const { answer } = useAnswer({ what: 'readiness' });
  if (answer === null || answer.of === 0) return <Box h="1lh" />;
  const { ready, of } = answer;
  return (
    <Link to="../check" style={{ color: 'inherit', display: 'block' }} data-testid="ready">
      {ready === of ? t('all {of} ready to show', { of }) : t('{ready} of {of} ready to show', { ready, of })}
    </Link>
  );
}

const Bars = memo(function Bars({ jump, first, last }: Props) {
  const pages = useDeck((state) => state.view?.pages);
  const current = useSelected((state) => state.row);
  const { fits, spills, step, bar } = useMemo(() => paths(pages?.words ?? [], pages?.spills ?? []), [pages]);
  const at = current === null ? -1 : (pages?.order.indexOf(current) ?? -1);
  const total = pages?.order.length ?? 0;
  return (
    <chakra.svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      w="100%"
      h={`${HEIGHT}px`}
      cursor="pointer"
      role="slider"
      tabIndex={0}
      aria-label={t('Slides')}
      aria-valuemin={1}
      aria-valuemax={total}
      aria-valuenow={first + 1}
      aria-valuetext={t('Slide {first} of {total}', { first: first + 1, total })}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        jump(Math.min(total - 1, Math.floor(((event.clientX - box.left) / box.width) * total)));
      }}
      onKeyDown={(event) => {
        const move = { ArrowRight: 1, ArrowLeft: -1, PageDown: 10, PageUp: -10 }[event.key];
        if (move === undefined) return;
        event.preventDefault();
        jump(Math.max(0, Math.min(total - 1, first + move)));
      }}
    >
      <rect
        x={first * step}
        y="0"
        width={(last - first + 1) * step}
        height={HEIGHT}
        fill="var(--chakra-colors-pine-wash)"
      />
      <path
        d={fits}
        fill="none"
        stroke="var(--chakra-colors-pine)"
        strokeWidth="1.4"
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={spills}
        fill="none"
        stroke="var(--chakra-colors-amber)"
        strokeWidth="2"
        strokeDasharray="4 3"
        vectorEffect="non-scaling-stroke"
      />
      {at >= 0 && (
        <rect x={at * step} y={HEIGHT - 4} width={Math.max(bar, 2)} height="4" fill="var(--chakra-colors-pine)" />
      )}
      <path d={`M0 ${HEIGHT - 0.5}H${WIDTH}`} stroke="var(--chakra-colors-ink)" vectorEffect="non-scaling-stroke" />
    </chakra.svg>
  );
});

function paths(words: readonly number[], full: readonly boolean[]) {
  const step = WIDTH / Math.max(words.length, 12);
  const bar = Math.min(step * 0.72, 40);
  let fits = '';
  let spills = '';
  words.forEach((count, i) => {
    const height = 4 + Math.min(1, count / FULL) * (HEIGHT - 10);
    const path = `M${(i * step).toFixed(2)} ${HEIGHT}v${(-height).toFixed(1)}h${bar.toFixed(2)}v${height.toFixed(1)}`;
    if (full[i]) spills += path;
    else fits += path;
  });
  return { fits, spills, step, bar };
}
