/** The Map station: the patch matrix left, what this map makes right. */
import { Box, chakra } from '@chakra-ui/react';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import type { PageKey } from '@alvex/core';
import { DeckSlide } from '../../canvas/deck-slide.tsx';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { duration } from '../../ui/format.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { MAP_HINTS, MAP_LABELS } from '../../ui/labels.ts';
import { t } from '../../words/words.ts';
import { BranchSetting, FullSetting, MatterSetting, NotesSetting, ProseSetting } from './map-settings.tsx';
import { Matrix } from './matrix.tsx';
import { OwnMaps } from './own-maps.tsx';
import { Takes } from './takes.tsx';
import { TargetSetting } from './target.tsx';

const Page = chakra('div', {
  base: {
    h: '100%',
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 780px) minmax(320px, 1fr)',
    '@media (max-width: 1080px)': {
      gridTemplateColumns: 'minmax(0, 1fr)',
      gridAutoRows: 'max-content',
      overflowY: 'auto',
    },
  },
});
const Left = chakra('section', {
  base: {
    overflow: 'auto',
    p: '18px 24px',
    borderRight: '1px solid',
    borderColor: 'line',
    minH: 0,
    '@media (max-width: 1080px)': { overflow: 'visible', overflowX: 'auto', borderRight: 0 },
  },
});
const Right = chakra('section', {
  base: { overflowY: 'auto', p: '18px 20px', minH: 0, '@media (max-width: 1080px)': { overflow: 'visible' } },
});
const SumsRow = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'repeat(4, 1fr)',
    my: '12px',
    borderTop: '1px solid',
    borderTopColor: 'ink',
    borderBottom: '1px solid',
    borderBottomColor: 'line',
    py: '7px',
    fontSize: 'xs',
    color: 'soft',
  },
});
const Sum = chakra('b', {
  base: { display: 'block', fontFamily: 'heading', fontSize: 'xl', fontWeight: 600, color: 'ink', lineHeight: 1.25 },
});
const Minis = chakra('div', {
  base: { display: 'grid', gridTemplateColumns: 'repeat(3, minmax(0, 1fr))', gap: '10px' },
});

const MINIS = 12;

export function MapStation() {
  const mapped = useDeck((state) => state.view !== null);
  const [showing, setShowing] = useState<'slides' | 'takes'>('slides');
  const [own, setOwn] = useState(false);
  if (!mapped) return null;
  if (showing === 'takes')
    return (
      <Box h="100%" overflowY="auto" p="18px 24px">
        <Action size="small" mb="10px" onClick={() => setShowing('slides')}>
          {t('Back to the map')}
        </Action>
        <Takes />
      </Box>
    );
  return (
    <Page>
      <Left>
        <Heading>{t('Where each kind of text goes')}</Heading>
        <Small mb="12px">
          {t('Each kind of text has one destination: choose it, or move it with ← →. The slides follow.')}
        </Small>
        <Matrix />
        <Box mt="16px">
          <ProseSetting />
          <NotesSetting />
          <BranchSetting />
          <MatterSetting />
          <FullSetting />
        </Box>
      </Left>
      <Right>
        <Heading>{t('This map makes')}</Heading>
        <Box
          display="flex"
          gap="6px"
          mt="10px"
          mb="10px"
          flexWrap="wrap"
          role="group"
          aria-label={t('Ready-made maps')}
        >
          <Presets />
          <Action size="small" look={own ? 'chosen' : 'plain'} aria-expanded={own} onClick={() => setOwn(!own)}>
            {t('Own maps')}
          </Action>
        </Box>
        {own && <OwnMaps />}
        <TargetSetting />
        <Sums />
        <FirstSlides compare={() => setShowing('takes')} />
      </Right>
    </Page>
  );
}

function Presets() {
  const presets = useDeck((state) => state.presets);
  const chosen = useDeck(({ view }) => {
    const name = view?.mapName ?? '';
    return JSON.stringify(presets[name]?.prose) === JSON.stringify(view?.prose) ? name : undefined;
  });
  return Object.entries(presets).map(([name, recipe]) => (
    <Action
      key={name}
      size="small"
      look={name === chosen ? 'chosen' : 'plain'}
      aria-pressed={name === chosen}
      title={MAP_HINTS[name]}
      onClick={() => edit({ kind: 'map', name, ...recipe })}
    >
      {MAP_LABELS[name] ?? name}
    </Action>
  ));
}

const NONE: readonly PageKey[] = [];

/** Drawn when the sums above them stand, so that these answer at once. */
function FirstSlides({ compare }: { readonly compare: () => void }) {
  const order = useDeferredValue(useDeck((state) => state.view?.pages.order ?? NONE));
  const takes = useDeck((state) => state.view?.takes.length ?? 0);
  return (
    <>
      <Minis>
        {order.slice(0, MINIS).map((key, i) => (
          <DeckSlide key={key} slideKey={key} number={i + 1} />
        ))}
      </Minis>
      <Box display="flex" gap="12px" mt="10px" alignItems="center" flexWrap="wrap">
        {order.length > MINIS && (
          <Small flex="1">
            <Link to="../slides" style={{ color: 'inherit' }}>
              {t('and {n} more slides', { count: order.length - MINIS })}
            </Link>
          </Small>
        )}
        <Action size="small" onClick={compare}>
          {t('Compare takes{kept}', { kept: takes > 0 ? ` (${takes})` : '' })}
        </Action>
      </Box>
    </>
  );
}

function Sums() {
  const view = useDeck((state) => state.view);
  if (view === null) return null;
  const { order, words, seconds, spills } = view.pages;
  const { target } = view;
  const slides = order.length;
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  return (
    <SumsRow data-testid="map-sums">
      <div>
        <Sum data-testid="map-slides">{slides}</Sum>
        {target?.unit === 'slides'
          ? t('of {n} slides wanted', { count: target.amount })
          : slides === 1
            ? t('slide')
            : t('slides')}
      </div>
      <div>
        <Sum>{slides === 0 ? 0 : Math.round(sum(words) / slides)}</Sum>
        {t('words a slide')}
      </div>
      <div>
        <Sum>{duration(sum(seconds))}</Sum>
        {target?.unit === 'minutes' ? t('to speak, of {amount} min', { amount: target.amount }) : t('to speak')}
      </div>
      <div>
        <Sum>{spills.filter(Boolean).length}</Sum>
        {t('too full')}
      </div>
    </SumsRow>
  );
}
