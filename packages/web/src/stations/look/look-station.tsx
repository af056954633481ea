/** The Look station: the author's own slides, dressed in each theme. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useMemo } from 'react';
import { THEMES, type Theme } from '@alvex/core';
import { SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { edit, useDeck, wantDressed } from '../../state/deck-store.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import type { Pages } from '../../worker/protocol.ts';

const Wall = chakra('div', { base: { h: '100%', overflowY: 'auto', px: '24px', py: '18px' } });
const Set = chakra('section', { base: { borderTop: '1px solid', borderColor: 'line', py: '16px' } });
const Sheets = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'repeat(4, minmax(0, 1fr))',
    gap: '12px',
    '@media (max-width: 820px)': { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
  },
});
const Sheet = chakra('div', { base: { border: '1px solid', borderColor: 'line', lineHeight: 0 } });
const SHOWN = 4;

/** Slides that show most of a theme: a cover, an opener, and one of each kind of content. */
function telling({ order, layouts }: Pages): readonly string[] {
  const places: number[] = [];
  for (const layout of [
    'cover',
    'section',
    'picture-text',
    'table',
    'columns',
    'picture',
    'points',
    'title-only',
  ] as const) {
    const place = layouts.indexOf(layout);
    if (place >= 0) places.push(place);
  }
  for (let place = 0; place < order.length && places.length < SHOWN; place++)
    if (!places.includes(place)) places.push(place);
  return places
    .slice(0, SHOWN)
    .sort((a, b) => a - b)
    .map((place) => order[place]!);
}

export function LookStation() {
  const view = useDeck((state) => state.view);
  const keys = useMemo(() => (view === null ? [] : telling(view.pages)), [view]);
  useEffect(() => {
    for (const theme of THEMES) wantDressed(theme.name, keys);
  }, [keys]);
  return (
    <Wall>
      <Heading>Your slides, in each theme</Heading>
      <Small mb="14px">Choosing one dresses all slides at once. Nothing you wrote changes.</Small>
      {THEMES.map((theme) => (
        <ThemeSet key={theme.name} theme={theme} keys={keys} worn={view?.theme === theme.name} />
      ))}
    </Wall>
  );
}

function ThemeSet({
  theme,
  keys,
  worn,
}: {
  readonly theme: Theme;
  readonly keys: readonly string[];
  readonly worn: boolean;
}) {
  const dressed = useDeck((state) => state.dressed.get(theme.name));
  const deck = useDeck((state) => state.deck?.id ?? '');
  const order = useDeck((state) => state.view?.pages.order);
  return (
    <Set aria-label={theme.label}>
      <Box display="flex" alignItems="baseline" gap="14px" mb="10px" flexWrap="wrap">
        <Heading as="h2" fontSize="lg">
          {theme.label}
        </Heading>
        <Small>
          {theme.character} {theme.fonts.heading} with {theme.fonts.body}.
        </Small>
        <Box ml="auto" display="flex" gap="10px" alignItems="center">
          <Box display="flex" aria-hidden="true">
            {(['ground', 'text', 'accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6'] as const).map(
              (name) => (
                <Box
                  key={name}
                  w="14px"
                  h="14px"
                  border="1px solid"
                  borderColor="line"
                  ml="-1px"
                  style={{ background: `#${theme.palette[name]}` }}
                />
              ),
            )}
          </Box>
          <Action
            look={worn ? 'chosen' : 'plain'}
            size="small"
            aria-pressed={worn}
            onClick={() => !worn && edit({ kind: 'theme', theme: theme.name })}
          >
            {worn ? 'Worn now' : 'Wear it'}
          </Action>
        </Box>
      </Box>
      <Sheets>
        {keys.map((key) => (
          <Sheet key={key}>
            <SlideDrawing
              drawing={dressed?.get(key)}
              deck={deck}
              number={(order?.indexOf(key) ?? 0) + 1}
              label={`Slide in ${theme.label}`}
            />
          </Sheet>
        ))}
      </Sheets>
    </Set>
  );
}
