/** Palettes: the theme's, of a colour, of a picture; light and dark; one variation after another by a key. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import {
  contrastRatio,
  designNamed,
  isDark,
  isHex,
  makePalette,
  pictureColors,
  seedOf,
  variation,
  type DeckLook,
  madeOf,
  type PaletteChoice,
  type PaletteSeed,
} from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { pictureUrl } from '../../api/client.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { Action, Field, Heading, Notice, Small } from '../../ui/recipes.tsx';
import { isWriting } from '../../ui/is-writing.ts';
import { mayBeKey } from '../../ui/keys.ts';
import { OwnSlides, tellingSlides, type ShelfProps } from '../shared/own-slides.tsx';
import { pixelsOf } from './pixels.ts';
import { decimal } from '../../ui/format.ts';
import { t } from '../../words/words.ts';

const Grid = chakra('div', {
  base: {
    display: 'grid',
    gridTemplateColumns: '330px minmax(0, 1fr)',
    gap: '24px',
    '@media (max-width: 820px)': { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
});
const Part = chakra('section', {
  base: { borderTop: '1px solid', borderColor: 'line', py: '12px', display: 'grid', gap: '8px' },
});
const Strip = chakra('button', {
  base: {
    display: 'grid',
    gridTemplateColumns: '90px 1fr',
    alignItems: 'center',
    gap: '8px',
    p: '4px',
    textAlign: 'left',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    bg: 'card',
    cursor: 'pointer',
    fontSize: 'sm',
    _hover: { borderColor: 'pine' },
  },
  variants: { chosen: { true: { borderColor: 'pine', bg: 'pineWash', fontWeight: 600 } } },
});
const SHOWN = 4;
const STRIP = ['ground', 'panel', 'text', 'accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6'] as const;

export function ColorsShelf({ look, pages }: ShelfProps) {
  const keys = useMemo(() => tellingSlides(pages, SHOWN), [pages]);
  const design = designNamed(look.theme);
  const dark = isDark(look);
  const seed = seedOf(design, look.palette);
  const palette = makePalette(seed, dark);
  const turn = useVariations(look);
  const choose = (choice: PaletteChoice | null) => edit({ kind: 'palette', palette: choice });
  return (
    <Grid>
      <Box>
        <Heading>{t('Colours')}</Heading>
        <Small mb="12px">{t('Every palette is made so that text reads well on its ground: at least 4.5 to 1.')}</Small>
        <Box display="flex" gap="6px" role="group" aria-label={t('Light or dark')} mb="12px">
          {[false, true].map((mode) => (
            <Action
              key={String(mode)}
              size="small"
              look={dark === mode ? 'chosen' : 'plain'}
              aria-pressed={dark === mode}
              onClick={() => edit({ kind: 'mode', dark: mode === design.dark ? null : mode })}
            >
              {mode ? t('Dark') : t('Light')}
            </Action>
          ))}
        </Box>
        <Part aria-label={t('Palettes of {label}', { label: design.label })}>
          <Small>{t('Of the theme {label}', { label: design.label })}</Small>
          {design.palettes.map((one, i) => {
            const chosen =
              look.palette?.from !== 'colors' && (look.palette === null ? i === 0 : look.palette.name === one.name);
            return (
              <Strip
                key={one.name}
                chosen={chosen}
                aria-pressed={chosen}
                onClick={() => choose({ from: 'theme', name: one.name })}
              >
                {one.label}
                <Colors colors={Object.entries(makePalette(one, dark))} />
              </Strip>
            );
          })}
        </Part>
        <Part>
          <BaseColor look={look} choose={choose} />
        </Part>
        <Part>
          <FromPicture choose={choose} />
        </Part>
        <Part>
          <Box display="flex" gap="6px" alignItems="center">
            <Action size="small" onClick={() => turn(1)}>
              {t('Next variation')}
            </Action>
            <Action size="small" look="quiet" onClick={() => turn(-1)}>
              {t('Back')}
            </Action>
            <Small>{t('or the key V, with Shift back')}</Small>
          </Box>
        </Part>
      </Box>
      <Box>
        <Box display="grid" gridTemplateColumns="repeat(2, minmax(0, 1fr))" gap="12px">
          <OwnSlides look={look} keys={keys} label={t('these colours')} />
        </Box>
        <Contrasts palette={palette} />
      </Box>
    </Grid>
  );
}

function Colors({ colors }: { readonly colors: readonly (readonly [string, string])[] }) {
  const byName = new Map(colors);
  return (
    <Box display="flex" border="1px solid" borderColor="line" aria-hidden="true">
      {STRIP.map((name) => (
        <Box key={name} flex="1" h="18px" style={{ background: `#${byName.get(name) ?? ''}` }} />
      ))}
    </Box>
  );
}

/** Steps through variations of the palette that was in force when the first step was taken. */
function useVariations(look: DeckLook): (by: number) => void {
  const start = useRef<{ readonly seed: PaletteSeed; readonly at: number; readonly shown: string } | null>(null);
  const step = (by: number) => {
    // Another palette was chosen in between: steps start from that.
    const going = start.current?.shown === JSON.stringify(look.palette) ? start.current : null;
    const seed = going?.seed ?? seedOf(designNamed(look.theme), look.palette);
    const at = (going?.at ?? 0) + by;
    const palette = madeOf(variation(seed, at));
    start.current = { seed, at, shown: JSON.stringify(palette) };
    edit({ kind: 'palette', palette });
  };
  const latest = useRef(step);
  useEffect(() => {
    latest.current = step;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!mayBeKey(event) || event.key.toLowerCase() !== 'v' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (isWriting(event.target)) return;
      event.preventDefault();
      latest.current(event.shiftKey ? -1 : 1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return step;
}

interface Choosing {
  readonly choose: (choice: PaletteChoice | null) => void;
}

function BaseColor({ look, choose }: Choosing & { readonly look: DeckLook }) {
  const current = seedOf(designNamed(look.theme), look.palette).colors[0] ?? '1F5A4A';
  const [text, setText] = useState<string | null>(null);
  const hex = (text ?? current).replace('#', '');
  const take = (value: string) =>
    choose({ from: 'colors', colors: [value.toUpperCase()], scheme: 'opposite', paper: 'warm' });
  return (
    <>
      <Small>{t('Of one colour')}</Small>
      <Box display="flex" gap="6px" alignItems="center">
        <input
          type="color"
          aria-label={t('Base colour')}
          value={`#${isHex(hex) ? hex : current}`}
          onChange={(event) => setText(event.target.value)}
        />
        <Field
          aria-label={t('Base colour as six digits')}
          value={text ?? `#${current}`}
          w="90px"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && isHex(hex) && take(hex)}
        />
        <Action size="small" disabled={!isHex(hex)} onClick={() => take(hex)}>
          {t('Make a palette')}
        </Action>
      </Box>
    </>
  );
}

function FromPicture({ choose }: Choosing) {
  const deck = useDeck((state) => state.deck?.id ?? '');
  const blocks = useDeck((state) => state.blocks);
  const logo = useDeck((state) => state.view?.look.foot.logo ?? null);
  const [failure, setFailure] = useState<string | null>(null);
  const shown = useMemo(() => {
    const found = blocks.flatMap((block) =>
      block.kind === 'picture' && block.picture !== undefined ? [block.picture as string] : [],
    );
    return [...new Set([...(logo === null ? [] : [logo.picture.id as string]), ...found])].slice(0, 8);
  }, [blocks, logo]);
  const take = async (source: string | Blob) => {
    setFailure(null);
    try {
      const colors = pictureColors(await pixelsOf(source));
      if (colors.length === 0) setFailure(t('This picture is transparent throughout: there is no colour to take.'));
      else choose({ from: 'colors', colors, scheme: 'near', paper: 'warm' });
    } catch {
      setFailure(t('This file cannot be shown as a picture. Nothing was changed.'));
    }
  };
  return (
    <>
      <Small>{t('Of a logo or a picture')}</Small>
      <Box display="flex" gap="6px" flexWrap="wrap" alignItems="center">
        {shown.map((id, i) => (
          <chakra.button
            key={id}
            border="1px solid"
            borderColor="line"
            bg="card"
            p="2px"
            cursor="pointer"
            aria-label={t('Colours of picture {i}', { i: i + 1 })}
            onClick={() => void take(pictureUrl(deck, id))}
          >
            <img src={pictureUrl(deck, id)} alt="" style={{ height: 34, display: 'block' }} />
          </chakra.button>
        ))}
        <FileButton
          size="small"
          accept="image/*"
          label={t('Picture to take colours from')}
          take={(file) => void take(file)}
        >
          {t('A file …')}
        </FileButton>
      </Box>
      {failure !== null && (
        <Notice tone="fault" role="alert">
          {failure}
        </Notice>
      )}
    </>
  );
}

const ROLES = ['text', 'muted', 'accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6', 'link'] as const;
const ROLE_LABELS: Readonly<Record<(typeof ROLES)[number], string>> = {
  text: t('Text'),
  muted: t('Quiet text'),
  accent1: t('Accent 1'),
  accent2: t('Accent 2'),
  accent3: t('Accent 3'),
  accent4: t('Accent 4'),
  accent5: t('Accent 5'),
  accent6: t('Accent 6'),
  link: t('Links'),
};

function Contrasts({ palette }: { readonly palette: ReturnType<typeof makePalette> }) {
  return (
    <Box
      mt="16px"
      display="grid"
      gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))"
      gap="6px"
      data-testid="contrasts"
    >
      {ROLES.map((role) => {
        const ratio = Math.min(
          contrastRatio(palette[role], palette.ground),
          contrastRatio(palette[role], palette.panel),
        );
        return (
          <Box
            key={role}
            px="8px"
            py="5px"
            border="1px solid"
            borderColor="line"
            style={{ background: `#${palette.ground}` }}
          >
            <chakra.b fontSize="sm" style={{ color: `#${palette[role]}` }}>
              {ROLE_LABELS[role]}
            </chakra.b>
            <chakra.span fontSize="xs" ml="6px" style={{ color: `#${palette.muted}` }}>
              {t('{ratio} to 1', { ratio: decimal(ratio) })}
            </chakra.span>
          </Box>
        );
      })}
    </Box>
  );
}
