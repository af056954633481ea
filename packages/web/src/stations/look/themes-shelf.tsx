/** Every theme, worn by the author's own slides. */
import { Box, chakra } from '@chakra-ui/react';
import { useMemo } from 'react';
import { fontPairNamed, makePalette, THEME_DESIGNS, type DeckLook, type ThemeDesign, type PageKey } from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { Action, Heading, Small } from '../../ui/recipes.tsx';
import { raw, t } from '../../words/words.ts';
import { OwnSlides, tellingSlides, worn, type ShelfProps } from '../shared/own-slides.tsx';

const Set = chakra('section', {
  base: {
    borderTop: '1px solid',
    borderColor: 'line',
    py: '14px',
    // What is out of sight is not laid out.
    contentVisibility: 'auto',
    containIntrinsicSize: 'auto 230px',
  },
});
const Sheets = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: 'repeat(4, minmax(0, 1fr))',
    gap: '12px',
    '@media (max-width: 820px)': { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
  },
});
const SHOWN = 4;

export function ThemesShelf({ look, pages }: ShelfProps) {
  const keys = useMemo(() => tellingSlides(pages, SHOWN), [pages]);
  return (
    <>
      <Heading>{t('Your slides, in each theme')}</Heading>
      <Small mb="12px">{t('Choosing one dresses all slides at once. Nothing you wrote changes.')}</Small>
      {THEME_DESIGNS.map((design) => (
        <ThemeSet key={design.name} design={design} look={look} keys={keys} />
      ))}
    </>
  );
}

function ThemeSet({
  design,
  look,
  keys,
}: {
  readonly design: ThemeDesign;
  readonly look: DeckLook;
  readonly keys: readonly PageKey[];
}) {
  const on = look.theme === design.name;
  const pair = fontPairNamed(design.fonts)!;
  const dark = look.dark ?? design.dark;
  return (
    <Set aria-label={design.label}>
      <Box display="flex" alignItems="baseline" gap="14px" mb="10px" flexWrap="wrap">
        <Heading as="h2" fontSize="lg">
          {design.label}
        </Heading>
        <Small>
          {raw(design.character)}{' '}
          {pair.heading === pair.body
            ? pair.heading
            : t('{heading} with {body}', { heading: pair.heading, body: pair.body })}
          .
        </Small>
        <Box ml="auto" display="flex" gap="12px" alignItems="center">
          <Box display="flex" gap="4px" role="group" aria-label={t('Palettes of {label}', { label: design.label })}>
            {design.palettes.map((palette) => {
              const { ground, accent1, accent2 } = makePalette(palette, dark);
              const chosen =
                on &&
                look.palette?.from !== 'colors' &&
                (look.palette?.name ?? design.palettes[0]!.name) === palette.name;
              return (
                <Swatch
                  key={palette.name}
                  title={palette.label}
                  aria-label={t('{theme} in {palette}', { theme: design.label, palette: palette.label })}
                  aria-pressed={chosen}
                  chosen={chosen}
                  onClick={() =>
                    edit({
                      kind: 'all',
                      edits: [
                        { kind: 'theme', theme: design.name },
                        { kind: 'palette', palette: { from: 'theme', name: palette.name } },
                      ],
                    })
                  }
                >
                  {[ground, accent1, accent2].map((hex, i) => (
                    <Box key={i} w="12px" h="16px" style={{ background: `#${hex}` }} />
                  ))}
                </Swatch>
              );
            })}
          </Box>
          <Action
            look={on ? 'chosen' : 'plain'}
            size="small"
            aria-pressed={on}
            onClick={() => !on && edit({ kind: 'theme', theme: design.name })}
          >
            {on ? t('In use') : t('Use this theme')}
          </Action>
        </Box>
      </Box>
      <Sheets>
        <OwnSlides look={worn(look, design)} keys={keys} label={design.label} />
      </Sheets>
    </Set>
  );
}

const Swatch = chakra('button', {
  base: {
    display: 'flex',
    p: '3px',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    bg: 'card',
    cursor: 'pointer',
    minH: '24px',
    _hover: { borderColor: 'pine' },
  },
  variants: { chosen: { true: { borderColor: 'pine', outline: '1px solid', outlineColor: 'pine' } } },
});
