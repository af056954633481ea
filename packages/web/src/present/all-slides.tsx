/** All slides at once, to go to one of them. */
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { SlideDrawing } from '../canvas/slide-drawing.tsx';
import { usePage } from '../state/use-page.ts';
import { Action, Heading } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';
import type { ShownSlide } from './shown-slides.ts';

const Sheet = chakra('dialog', {
  base: {
    position: 'fixed',
    inset: 0,
    w: '100%',
    h: '100%',
    maxW: 'none',
    maxH: 'none',
    border: 0,
    bg: 'paper',
    color: 'ink',
    overflowY: 'auto',
    p: '20px 28px',
  },
});
const Cell = chakra('button', {
  base: {
    display: 'block',
    w: '100%',
    border: '1px solid',
    borderColor: 'line',
    bg: 'card',
    lineHeight: 0,
    aspectRatio: '16 / 9',
    cursor: 'pointer',
    contentVisibility: 'auto',
    overflow: 'hidden',
    '&[aria-current]': { outline: '3px solid', outlineColor: 'amber' },
  },
});

interface Props {
  readonly deck: string;
  readonly slides: readonly ShownSlide[];
  readonly at: number;
  readonly go: (at: number) => void;
  readonly close: () => void;
}

export function AllSlides({ deck, slides, at, go, close }: Props) {
  const sheet = useRef<HTMLDialogElement>(null);
  const current = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // The dialog keeps the focus within, and gives it back when it closes.
    sheet.current?.showModal();
    current.current?.scrollIntoView({ block: 'center' });
    current.current?.querySelector('button')?.focus();
    // The talk stays where it is while one looks for another slide.
    const keep = (event: KeyboardEvent) => event.stopPropagation();
    window.addEventListener('keydown', keep, true);
    return () => window.removeEventListener('keydown', keep, true);
  }, []);
  return (
    <Sheet ref={sheet} aria-label={t('All slides')} onClose={close}>
      <Box display="flex" justifyContent="space-between" mb="14px">
        <Heading as="h2">{t('All slides')}</Heading>
        <Action size="small" onClick={() => sheet.current?.close()}>
          {t('Close')}
        </Action>
      </Box>
      <Box
        as="ul"
        listStyleType="none"
        p="0"
        display="grid"
        gap="16px"
        gridTemplateColumns="repeat(auto-fill, minmax(min(220px, 100%), 1fr))"
      >
        {slides.map((slide, i) => (
          <li key={slide.key} ref={i === at ? current : undefined}>
            <One
              slide={slide}
              deck={deck}
              current={i === at}
              go={() => {
                go(i);
                sheet.current?.close();
              }}
            />
          </li>
        ))}
      </Box>
    </Sheet>
  );
}

interface OneProps {
  readonly slide: ShownSlide;
  readonly deck: string;
  readonly current: boolean;
  readonly go: () => void;
}

/** Drawn when it comes into sight. */
function One({ slide, deck, current, go }: OneProps) {
  const at = useRef<HTMLButtonElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    const watch = new IntersectionObserver(([entry]) => entry?.isIntersecting === true && setSeen(true));
    if (at.current !== null) watch.observe(at.current);
    return () => watch.disconnect();
  }, []);
  return (
    <Cell
      ref={at}
      aria-label={t('Go to slide {number}', { number: slide.number })}
      aria-current={current ? 'true' : undefined}
      onClick={go}
    >
      {seen && <Small slide={slide} deck={deck} />}
    </Cell>
  );
}

function Small({ slide, deck }: Pick<OneProps, 'slide' | 'deck'>) {
  const { drawing } = usePage(slide.key);
  // The button around it has a name.
  return (
    <span aria-hidden="true">
      <SlideDrawing drawing={drawing} deck={deck} number={slide.number} label="" />
    </span>
  );
}
