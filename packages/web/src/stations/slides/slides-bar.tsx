/** Above the facing pages: the way of reading, what is too full, and what can be done with the slides that are chosen. */
import { Box, chakra } from '@chakra-ui/react';
import { Plus } from 'lucide-react';
import type { Edit, SlideId } from '@alvex/core';
import { useDeck } from '../../state/deck-store.ts';
import { useSelected } from '../../state/selection.ts';
import { edit } from '../../state/log-store.ts';
import { isWithin, KeptField } from '../../ui/kept-field.tsx';
import { Action } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import { chooseSlides, clearChosen, useChosen } from './chosen.ts';
import { addSlide, nextSpill } from './slide-keys.ts';
import { sectionOf, slideOrder, stepSlides } from './slide-work.ts';

const Bar = chakra('div', {
  base: {
    display: 'flex',
    gap: '8px',
    rowGap: '4px',
    flexWrap: 'wrap',
    alignItems: 'center',
    px: '20px',
    py: '5px',
    borderBottom: '1px solid',
    borderColor: 'line',
    fontSize: 'sm',
    color: 'soft',
    position: 'relative',
    '@media (max-width: 960px)': { px: '12px' },
  },
});
export type Reading = 'facing' | 'outlines';

interface Props {
  readonly reading: Reading;
  readonly read: (reading: Reading) => void;
  readonly jump: (index: number) => void;
}

export function SlidesBar({ reading, read, jump }: Props) {
  const spills = useDeck((state) => state.view?.pages.spills.filter(Boolean).length ?? 0);
  const chosen = useChosen((state) => state.slides);
  const pace = useDeck((state) => state.view?.pace ?? 0);
  const current = (): number => {
    const { row } = useSelected.getState();
    return row === null ? -1 : (useDeck.getState().view?.pages.order.indexOf(row) ?? -1);
  };
  return (
    <Bar>
      <Box display="flex" gap="4px" role="group" aria-label={t('Way of reading')}>
        <Action
          size="small"
          look={reading === 'facing' ? 'chosen' : 'plain'}
          aria-pressed={reading === 'facing'}
          onClick={() => read('facing')}
        >
          {t('Facing pages')}
        </Action>
        <Action
          size="small"
          look={reading === 'outlines' ? 'chosen' : 'plain'}
          aria-pressed={reading === 'outlines'}
          onClick={() => read('outlines')}
        >
          {t('Two outlines')}
        </Action>
      </Box>
      {chosen.size > 0 ? (
        <ChosenActions chosen={chosen} />
      ) : (
        <>
          <Action
            size="small"
            title={t('A slide of your own, behind the current one (a)')}
            onClick={() => addSlide(useDeck.getState().view?.pages.slides[current()] ?? lastSlide())}
          >
            <Plus size={13} /> {t('Add a slide')}
          </Action>
          {spills > 0 && (
            <Action size="small" title="n" onClick={() => jump(nextSpill(current(), 1))}>
              {t('Next of {n} slides too full', { count: spills })}
            </Action>
          )}
        </>
      )}
      <Box ml="auto" display="flex" gap="8px" alignItems="center">
        <chakra.label display="flex" gap="6px" alignItems="center" whiteSpace="nowrap">
          {t('spoken at')}
          <KeptField
            type="number"
            min={20}
            max={500}
            step={5}
            value={`${pace}`}
            aria-label={t('Words a minute')}
            w="62px"
            py="1px"
            fontSize="sm"
            fits={(text) => isWithin(Number(text), 20, 500)}
            keep={(text) => edit({ kind: 'pace', rate: Math.round(Number(text)) })}
          />
          {t('words a minute')}
        </chakra.label>
      </Box>
    </Bar>
  );
}

const lastSlide = (): SlideId | null => useDeck.getState().view?.pages.slides.at(-1) ?? null;

function ChosenActions({ chosen }: { readonly chosen: ReadonlySet<SlideId> }) {
  const pages = useDeck((state) => state.view?.pages);
  const order = slideOrder(pages?.slides ?? []);
  const slides = order.filter((id) => chosen.has(id));
  const hidden = slides.every((id) => pages?.hidden[pages.slides.indexOf(id)] === true);
  const openers = new Set(pages?.slides.filter((_, i) => pages.layouts[i] === 'section') ?? []);
  const [only] = slides;
  const move = (made: Edit | undefined) => made !== undefined && edit(made);
  return (
    <Box
      display="flex"
      gap="4px"
      alignItems="center"
      flexWrap="wrap"
      role="toolbar"
      aria-label={t('Slides that are chosen')}
    >
      <chakra.b color="ink" mx="4px">
        {t('{n} slides chosen', { count: slides.length })}
      </chakra.b>
      {slides.length === 1 && openers.has(only!) && (
        <Action size="small" onClick={() => chooseSlides(sectionOf(order, openers, only!))}>
          {t('with its section')}
        </Action>
      )}
      <Action size="small" title="Alt ↑" onClick={() => move(stepSlides(order, chosen, -1))}>
        {t('Move up')}
      </Action>
      <Action size="small" title="Alt ↓" onClick={() => move(stepSlides(order, chosen, 1))}>
        {t('Move down')}
      </Action>
      <Action size="small" title="h" onClick={() => edit({ kind: 'hide', slides, hidden: !hidden })}>
        {hidden ? t('Show again') : t('Hide')}
      </Action>
      <Action
        size="small"
        look="danger"
        title={t('Delete')}
        onClick={() => {
          edit({ kind: 'remove', slides });
          clearChosen();
        }}
      >
        {t('Take out')}
      </Action>
      <Action size="small" look="quiet" onClick={clearChosen}>
        {t('Choose none')}
      </Action>
    </Box>
  );
}
