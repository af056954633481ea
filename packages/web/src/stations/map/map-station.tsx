/** The Map station: the patch matrix left, what this map makes right. */
import { Box, chakra } from '@chakra-ui/react';
import { Link } from 'react-router';
import { DeckSlide } from '../../canvas/deck-slide.tsx';
import { edit, useDeck } from '../../state/deck-store.ts';
import { count, speakingTime } from '../../ui/format.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { Matrix } from './matrix.tsx';

const Page = chakra('div', {
  base: {
    h: '100%',
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 780px) minmax(320px, 1fr)',
    '@media (max-width: 1080px)': { gridTemplateColumns: 'minmax(0, 1fr)', overflowY: 'auto' },
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
const Sums = chakra('div', {
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

const PRESET_LABELS: Readonly<Record<string, string>> = { talk: 'Spoken talk', reading: 'Reading deck' };
const MINIS = 12;

export function MapStation() {
  const view = useDeck((state) => state.view);
  const presets = useDeck((state) => state.presets);
  if (view === null) return null;
  const { order, words, spoken, spills } = view.pages;
  const slides = order.length;
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  return (
    <Page>
      <Left>
        <Heading>Where each kind of text goes</Heading>
        <Small mb="12px">
          One plug in each row. Turn a plug with ← →, or choose a hole. The slides follow as you do.
        </Small>
        <Matrix />
      </Left>
      <Right>
        <Heading>This map makes</Heading>
        <Box display="flex" gap="8px" mt="10px" flexWrap="wrap" role="group" aria-label="Ready-made maps">
          {Object.entries(presets).map(([name, map]) => (
            <Action
              key={name}
              look={view.mapName === name ? 'chosen' : 'plain'}
              aria-pressed={view.mapName === name}
              onClick={() => edit({ kind: 'map', name, map })}
            >
              {PRESET_LABELS[name] ?? name}
            </Action>
          ))}
          {view.mapName === null && (
            <Action look="chosen" aria-pressed disabled>
              Your own
            </Action>
          )}
        </Box>
        <Sums data-testid="map-sums">
          <div>
            <Sum data-testid="map-slides">{slides}</Sum>
            {slides === 1 ? 'slide' : 'slides'}
          </div>
          <div>
            <Sum>{slides === 0 ? 0 : Math.round(sum(words) / slides)}</Sum>
            words a slide
          </div>
          <div>
            <Sum>{speakingTime(sum(spoken))}</Sum>
            to speak
          </div>
          <div>
            <Sum>{spills.filter(Boolean).length}</Sum>
            too full
          </div>
        </Sums>
        <Box display="flex" gap="8px" alignItems="center" mb="14px" flexWrap="wrap">
          <Small>A slide that holds too much is</Small>
          <Box display="flex" gap="6px" role="group" aria-label="A slide that holds too much">
            <Action
              size="small"
              look={view.full === 'continue' ? 'chosen' : 'plain'}
              aria-pressed={view.full === 'continue'}
              onClick={() => edit({ kind: 'full', rule: 'continue' })}
            >
              continued on another
            </Action>
            <Action
              size="small"
              look={view.full === 'report' ? 'chosen' : 'plain'}
              aria-pressed={view.full === 'report'}
              onClick={() => edit({ kind: 'full', rule: 'report' })}
            >
              shrunk and reported
            </Action>
          </Box>
        </Box>
        <Minis>
          {order.slice(0, MINIS).map((key, i) => (
            <DeckSlide key={key} slideKey={key} number={i + 1} />
          ))}
        </Minis>
        {slides > MINIS && (
          <Small mt="10px">
            <Link to="../slides" style={{ color: 'inherit' }}>
              and {count(slides - MINIS, 'more slide')}
            </Link>
          </Small>
        )}
      </Right>
    </Page>
  );
}
