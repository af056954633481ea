/** Where one is in the talk, and how long one has. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { usePage } from '../state/use-page.ts';
import { clock } from '../ui/format.ts';
import { Action } from '../ui/recipes.tsx';
import { RunsText } from '../ui/runs.tsx';
import { rich, t } from '../words/words.ts';
import type { Pages } from '../worker/shown.ts';
import { ahead, clockTime, type Talk } from './talk.ts';
import type { ShownSlide } from './shown-slides.ts';

const Clock = chakra('section', {
  base: {
    display: 'flex',
    flexWrap: 'wrap',
    alignItems: 'baseline',
    gap: '4px 26px',
    px: '28px',
    py: '10px',
    bg: 'card',
    borderTop: '1px solid',
    borderColor: 'line',
    fontVariantNumeric: 'tabular-nums',
    color: 'soft',
    fontSize: 'sm',
    '& b': { color: 'ink', fontSize: '26px', fontWeight: 600, marginInlineEnd: '2px' },
  },
});

/** The section, the slide among all, and both along a line of the planned time. */
export function Where({
  talk,
  slides,
  pages,
}: {
  readonly talk: Talk;
  readonly slides: readonly ShownSlide[];
  readonly pages: Pages;
}) {
  const total = Math.max(
    1,
    slides.reduce((sum, { seconds }) => sum + seconds, 0),
  );
  let left = 0;
  const opens = slides.map(({ number }) => pages.layouts[number - 1] === 'section');
  const from = opens.lastIndexOf(true, talk.at);
  const { row } = usePage(slides[Math.max(0, from)]!.key);
  const section = from < 0 ? null : (row?.title.runs ?? null);
  return (
    <Box px="28px" pt="12px">
      <Box display="flex" justifyContent="space-between" fontSize="sm" color="soft" mb="5px">
        <span>{section !== null && <RunsText runs={section} />}</span>
        <span role="status">
          {t('slide {at} of {all}{steps}{typed}', {
            at: talk.at + 1,
            all: slides.length,
            steps:
              (slides[talk.at]?.steps ?? 0) > 0 &&
              t(', point {step} of {steps}', { step: talk.step, steps: slides[talk.at]!.steps }),
            typed: talk.typed !== '' && t(', go to {typed} …', { typed: talk.typed }),
          })}
        </span>
      </Box>
      <svg viewBox="0 0 1000 8" width="100%" height="8" preserveAspectRatio="none" aria-hidden="true">
        {slides.map(({ key, seconds }, i) => {
          const wide = Math.max(1, (seconds / total) * 1000);
          const x = left;
          left += wide;
          return (
            <rect
              key={key}
              x={x + (opens[i] ? 2 : 0.4)}
              width={Math.max(0.6, wide - (opens[i] ? 2.4 : 0.8))}
              height="8"
              fill={
                i === talk.at
                  ? 'var(--chakra-colors-amber)'
                  : i < talk.at
                    ? 'var(--chakra-colors-pine)'
                    : 'var(--chakra-colors-line)'
              }
            />
          );
        })}
      </svg>
    </Box>
  );
}

const TICK_MS = 500;
const NEAR = 15; // seconds within which a talk is on time

export function Time({
  talk,
  slides,
  restart,
}: {
  readonly talk: Talk;
  readonly slides: readonly ShownSlide[];
  readonly restart: () => void;
}) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  const at = Math.max(now, talk.slideSince ?? now);
  const planned = slides.map(({ seconds }) => seconds);
  const total = planned.reduce((sum, one) => sum + one, 0);
  const gone = talk.since === null ? 0 : (at - talk.since) / 1000;
  const onSlide = talk.slideSince === null ? 0 : (at - talk.slideSince) / 1000;
  const before = ahead(talk, planned, at);
  return (
    <Clock aria-label={t('Time')}>
      <span>{rich('<b>{gone}</b> of {total} planned', { gone: clockTime(gone), total: clockTime(total) })}</span>
      <span>
        {rich(
          'this slide <b>{gone}</b> of {planned}',
          {
            gone: clockTime(onSlide),
            planned: clockTime(planned[talk.at] ?? 0),
          },
          { b: (words) => <b style={{ fontSize: '18px' }}>{words}</b> },
        )}
      </span>
      <chakra.span color={before < -NEAR ? 'amberText' : undefined} role="status" aria-live="off">
        {talk.since === null
          ? t('the clock starts with your first move')
          : Math.abs(before) <= NEAR
            ? t('on time')
            : `${clockTime(Math.abs(before))} ${before < 0 ? t('behind') : t('ahead')}`}
      </chakra.span>
      <Action size="small" look="quiet" onClick={restart}>
        {t('Start the clock again')}
      </Action>
      <chakra.span ml="auto">{clock(new Date(now))}</chakra.span>
    </Clock>
  );
}
