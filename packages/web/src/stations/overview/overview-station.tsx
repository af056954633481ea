/** The Overview station: the deck as it will look, said in one sentence, and the few choices that change it. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { findTitle, headingLevels, runsText } from '@alvex/core';
import { DeckSlide } from '../../canvas/deck-slide.tsx';
import { useDeck } from '../../state/deck-store.ts';
import { count, estimate } from '../../ui/format.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { tellingSlides } from '../shared/own-slides.tsx';
import { Attention } from './attention.tsx';
import { LengthChoice } from './length-choice.tsx';
import { LookChoice } from './look-choice.tsx';

const Page = chakra('div', { base: { h: '100%', overflowY: 'auto' } });
const Column = chakra('div', {
  base: {
    maxW: '1208px',
    mx: 'auto',
    px: '24px',
    py: '20px',
    display: 'grid',
    gap: '20px',
    gridTemplateColumns: 'minmax(0, 1fr)',
    '@media (max-width: 640px)': { px: '14px', py: '16px', gap: '20px' },
  },
});
const Four = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'repeat(4, minmax(0, 1fr))',
    gap: '12px',
    '@media (max-width: 820px)': { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
    '& a': { display: 'block', _focusVisible: { outlineOffset: '3px' } },
  },
});

const SHOWN = 4;

export function OverviewStation() {
  const view = useDeck((state) => state.view);
  const title = useDeck((state) => state.deck?.name ?? '');
  const pages = view?.pages;
  const keys = useMemo(() => (pages === undefined ? [] : tellingSlides(pages, SHOWN)), [pages]);
  if (view === null || pages === undefined) return null;
  return (
    <Page>
      <Column>
        <Box display="flex" gap="14px 40px" alignItems="flex-start" flexWrap="wrap">
          <Box flex="1" minW="min(420px, 100%)">
            <Heading fontSize="2xl">{title}</Heading>
            <Summary />
          </Box>
          <Box display="grid" gap="5px" justifyItems="start">
            <Link to="../slides" style={{ textDecoration: 'none' }}>
              <Action as="span" look="main" px="22px" py="9px" fontSize="md">
                {t('Open the deck')}
              </Action>
            </Link>
            <Small>{t('All of it can be changed later.')}</Small>
          </Box>
        </Box>
        <Four aria-label={t('Slides as they will look')} role="group">
          {keys.map((key) => {
            const number = pages.order.indexOf(key) + 1;
            return (
              <Link key={key} to={`../slides?page=${number}`}>
                <DeckSlide slideKey={key} number={number} />
              </Link>
            );
          })}
        </Four>
        <LengthChoice />
        <LookChoice />
        <Attention />
      </Column>
    </Page>
  );
}

/** What the document comes to, in one sentence; every number is counted. */
function Summary() {
  const blocks = useDeck((state) => state.blocks);
  const view = useDeck((state) => state.view);
  const parts = useMemo(() => partsOf(blocks), [blocks]);
  if (view === null) return null;
  const { sums, pages, map } = view;
  const slides = pages.order.length;
  const seconds = pages.seconds.reduce((sum, one) => sum + one, 0);
  const read = map.body === 'slide';
  return (
    <chakra.p fontSize="lg" mt="4px" data-testid="summary">
      {count(sums.document, 'word')}
      {parts > 1 && t(' in {n} parts', { count: parts })}.{' '}
      {read ? t('As a deck to be read it comes to') : t('As a talk it comes to')}{' '}
      <b>
        {count(slides, 'slide')}
        {!read && t(' and {seconds}', { seconds: estimate(seconds) })}
      </b>
      ; {whereWords(sums)}
    </chakra.p>
  );
}

function whereWords({
  notes,
  leftOut,
  lost,
}: {
  readonly notes: number;
  readonly leftOut: number;
  readonly lost: number;
}): string {
  const rest = leftOut === 0 ? '' : t(', {n} words left out', { count: leftOut });
  if (lost > 0) return t('{n} words lost, which is a fault of ours: see Check.', { count: lost });
  if (notes === 0) return leftOut === 0 ? t('every word is on them.') : t('every word is on them{rest}.', { rest });
  return leftOut === 0
    ? t('every word that is not on a slide is in the speaker notes.')
    : t('{n} words in the speaker notes{rest}.', { count: notes, rest });
}

/** Headings of the highest level below the title. */
function partsOf(blocks: ReturnType<typeof useDeck.getState>['blocks']): number {
  const title = findTitle(blocks);
  const [highest] = headingLevels(blocks, title);
  return blocks.filter(
    (block) =>
      block.kind === 'heading' &&
      block.level === highest &&
      block !== title &&
      block.left === undefined &&
      runsText(block.runs).trim() !== '',
  ).length;
}
