/** A slide of the open deck by its key: asks for its drawing when it is seen. */
import { chakra } from '@chakra-ui/react';
import { runsText, type PageKey } from '@alvex/core';
import { useDeck, useLanguage } from '../state/deck-store.ts';
import { usePage } from '../state/use-page.ts';
import { t } from '../words/words.ts';
import { SlideDrawing, type SlideActions } from './slide-drawing.tsx';

const Sheet = chakra('div', {
  base: { border: '1px solid', borderColor: 'line', lineHeight: 0, overflow: 'hidden', bg: 'card' },
});

interface Props {
  readonly slideKey: PageKey;
  readonly number: number;
  readonly chosen?: ReadonlySet<string> | undefined;
  /** What is meant of a table that is. */
  readonly words?: string | undefined;
  readonly hidden?: string | undefined;
  readonly actions?: SlideActions | undefined;
}

export function DeckSlide({ slideKey, number, chosen, words, hidden, actions }: Props) {
  const { row, drawing } = usePage(slideKey);
  const deck = useDeck((state) => state.deck?.id ?? '');
  const language = useLanguage();
  const label = t('Slide {number}: {title}', { number, title: row === undefined ? '' : runsText(row.title.runs) });
  return (
    <Sheet lang={language}>
      <SlideDrawing
        drawing={drawing}
        deck={deck}
        number={number}
        label={label}
        chosen={chosen}
        words={words}
        hidden={hidden}
        actions={actions}
      />
    </Sheet>
  );
}
