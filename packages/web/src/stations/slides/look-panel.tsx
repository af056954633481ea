/** The look of one slide: layouts that suit it, drawn with what is on it; its pictures, charts, icons and colours. */
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { designNamed, madeOf, seedOf, variation, type Edit } from '@alvex/core';
import { SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { useDeck } from '../../state/deck-store.ts';
import { edit } from '../../state/log-store.ts';
import { useAnswer } from '../../state/use-answer.ts';
import { LAYOUT_LABELS, REASON_LABELS } from '../../ui/labels.ts';
import { Action, Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { LayoutOffer } from '../../worker/questions.ts';
import type { Row } from '../../worker/shown.ts';
import { MotionFields } from '../shared/motion-fields.tsx';
import { useChosen } from './chosen.ts';
import { ChartPanel } from './chart-panel.tsx';
import { IconPanel } from './icon-panel.tsx';
import { Panel, PanelPart } from './panel-part.tsx';
import { PlacePicture } from './picture-chooser.tsx';
import { PicturePanel } from './picture-panel.tsx';

const Offers = chakra('div', {
  base: { display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: '8px' },
});
const Offer = chakra('button', {
  base: {
    textAlign: 'left',
    border: '1px solid',
    borderColor: 'line',
    borderRadius: 'sm',
    bg: 'card',
    p: '3px',
    cursor: 'pointer',
    lineHeight: '1.25',
    _hover: { borderColor: 'pine' },
  },
  variants: { worn: { true: { borderColor: 'pine', outline: '1px solid', outlineColor: 'pine' } } },
});
const FIRST = 6;

export function LookPanel({ row, close }: { readonly row: Row; readonly close: () => void }) {
  const chosen = useChosen((state) => state.part);
  const pictures = row.all.filter((part) => part.kind === 'picture');
  const tables = row.all.filter((part) => part.kind === 'table');
  // The part that is chosen on the slide comes first.
  const first = <T extends { readonly id: string }>(parts: readonly T[]): readonly T[] => [
    ...parts.filter(({ id }) => id === chosen),
    ...parts.filter(({ id }) => id !== chosen),
  ];
  return (
    <Panel data-testid="look-panel">
      {row.kind === 'content' && row.matter === null && row.all.length > 0 && <Layouts row={row} />}
      <IconPanel row={row} />
      {first(tables).map((part) => (
        <ChartPanel key={part.id} row={row} part={part} />
      ))}
      {first(pictures).map((part) => (
        <PicturePanel key={part.id} row={row} part={part} />
      ))}
      {row.kind !== 'section' && row.matter !== 'agenda' && <PlacePicture row={row} />}
      <Colors row={row} />
      <Movement row={row} />
      <Box>
        <Action size="small" look="quiet" onClick={close}>
          {t('Close')}
        </Action>
      </Box>
    </Panel>
  );
}

function Layouts({ row }: { readonly row: Row }) {
  const { answer } = useAnswer({ what: 'layouts', slide: row.slide });
  const deck = useDeck((state) => state.deck?.id ?? '');
  const [all, setAll] = useState(false);
  const slides = [row.slide];
  const shown = all ? answer : answer?.slice(0, FIRST);
  return (
    <PanelPart head={t('Layouts that suit it, the best first')}>
      {answer === null ? (
        <Small>{t('Drawing them …')}</Small>
      ) : (
        <Offers>
          {shown!.map((offer) => (
            <Offer
              key={offer.layout}
              worn={offer.worn}
              aria-pressed={offer.worn}
              aria-label={`${LAYOUT_LABELS[offer.layout]}: ${REASON_LABELS[offer.reason]}`}
              onClick={() => edit({ kind: 'layout', slides, layout: offer.layout })}
            >
              <SlideDrawing drawing={offer.drawing} deck={deck} number={1} label={LAYOUT_LABELS[offer.layout]} />
              <chakra.b fontSize="xs">{LAYOUT_LABELS[offer.layout]}</chakra.b>
              <Why offer={offer} />
            </Offer>
          ))}
        </Offers>
      )}
      <Box display="flex" gap="6px" mt="6px">
        {answer !== null && answer.length > FIRST && (
          <Action size="small" look="quiet" onClick={() => setAll(!all)}>
            {all ? t('Fewer') : t('All {all}', { all: answer.length })}
          </Action>
        )}
        {row.fixed !== null && (
          <Action size="small" look="quiet" onClick={() => edit({ kind: 'layout', slides, layout: null })}>
            {t('As Alvex chooses')}
          </Action>
        )}
      </Box>
    </PanelPart>
  );
}

const Why = ({ offer }: { readonly offer: LayoutOffer }) => (
  <chakra.span display="block" fontSize="xs" color="soft">
    {REASON_LABELS[offer.reason]}
    {offer.pages > 1 && t('; {pages} slides', { pages: offer.pages })}
  </chakra.span>
);

/** How this slide alone comes. */
function Movement({ row }: { readonly row: Row }) {
  const deck = useDeck((state) => state.view?.motion);
  if (deck === undefined) return null;
  const motion = row.motion ?? deck;
  const slides = [row.slide];
  return (
    <PanelPart head={t('Movement of this slide')}>
      <Box display="grid" gap="6px">
        <MotionFields motion={motion} choose={(chosen) => edit({ kind: 'motionAt', slides, motion: chosen })} />
        {row.motion !== null && (
          <Box>
            <Action size="small" look="quiet" onClick={() => edit({ kind: 'motionAt', slides, motion: null })}>
              {t('as the deck')}
            </Action>
          </Box>
        )}
      </Box>
    </PanelPart>
  );
}

/** Colours of this slide alone. */
function Colors({ row }: { readonly row: Row }) {
  const look = useDeck((state) => state.view?.look);
  const template = useDeck((state) => state.view?.template ?? null);
  if (look === undefined || template !== null) return null;
  const design = designNamed(look.theme);
  const deckDark = look.dark ?? design.dark;
  const dark = row.colors?.dark ?? deckDark;
  const palette = row.colors?.palette ?? null;
  const slides = [row.slide];
  const set = (change: Partial<Pick<Extract<Edit, { kind: 'colors' }>, 'palette' | 'dark'>>) =>
    edit({ kind: 'colors', slides, palette, dark: row.colors?.dark ?? null, ...change });
  return (
    <PanelPart head={t('Colours of this slide')}>
      <Box display="flex" gap="6px" flexWrap="wrap">
        {design.palettes.map((one) => {
          const on = palette?.from === 'theme' && palette.name === one.name;
          return (
            <Action
              key={one.name}
              size="small"
              look={on ? 'chosen' : 'plain'}
              aria-pressed={on}
              onClick={() => set({ palette: { from: 'theme', name: one.name } })}
            >
              {one.label}
            </Action>
          );
        })}
        <Action
          size="small"
          onClick={() => set({ palette: madeOf(variation(seedOf(design, palette ?? look.palette), 1)) })}
        >
          {t('Next variation')}
        </Action>
        <Action
          size="small"
          aria-pressed={dark !== deckDark}
          onClick={() => set({ dark: dark === deckDark ? !dark : null })}
        >
          {dark ? t('Light here') : t('Dark here')}
        </Action>
        {row.colors !== null && (
          <Action size="small" look="quiet" onClick={() => edit({ kind: 'colors', slides, palette: null, dark: null })}>
            {t('as the deck')}
          </Action>
        )}
      </Box>
    </PanelPart>
  );
}
