/** The slides of a presentation that one has, in their order, and among them the place of one's own. */
import { Box, chakra } from '@chakra-ui/react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef, useState } from 'react';
import type { DrawnSlide, PageKey, TemplateUse } from '@alvex/core';
import { SlideDrawing } from '../../canvas/slide-drawing.tsx';
import { ask } from '../../state/core-link.ts';
import { useDeck } from '../../state/deck-store.ts';
import { quoted } from '../../ui/format.ts';
import { Small } from '../../ui/recipes.tsx';
import { t } from '../../words/words.ts';
import type { TemplateAnswer } from '../../worker/questions.ts';

const HEIGHT = 92;
const GAP = 30;
/** So many are asked for at a time. */
const CHUNK = 24;

const Gap = chakra('button', {
  base: {
    width: `${GAP}px`,
    height: `${HEIGHT}px`,
    display: 'grid',
    placeItems: 'center',
    color: 'pale',
    bg: 'transparent',
    border: 'none',
    p: 0,
    borderRadius: 'sm',
    cursor: 'pointer',
    fontSize: 'lg',
    _hover: { bg: 'pineWash', color: 'ink' },
    _focusVisible: { bg: 'pineWash', color: 'ink' },
  },
});
const Ours = chakra('div', {
  base: {
    flex: 'none',
    height: `${HEIGHT}px`,
    px: '10px',
    display: 'grid',
    placeItems: 'center',
    textAlign: 'center',
    bg: 'pine',
    color: 'pineText',
    fontSize: 'sm',
    fontWeight: 600,
    borderRadius: 'sm',
  },
});

interface Props {
  readonly use: TemplateUse;
  readonly answer: TemplateAnswer;
  /** How many slides the deck has. */
  readonly slides: number;
  /** @param behind So many of the file's slides stand before the deck's. */
  readonly place: (behind: number) => void;
}

/** How many of the file's slides stand before the deck's; null where none of them stay. */
function placeOf({ keep, behind, replaces }: TemplateUse, answer: TemplateAnswer): number | null {
  if (keep === 'none') return null;
  if (keep === 'after') return 0;
  const gone = answer.made.find(({ document }) => document === replaces)?.slides[0];
  return Math.min(answer.slides, behind ?? gone ?? answer.slides);
}

export function PresentationStrip({ use, answer, slides, place }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const drawn = useOwnSlides(use.hash);
  const width = (HEIGHT * answer.size.width) / answer.size.height;
  const chosen = placeOf(use, answer);
  const replaced = new Set(answer.made.find(({ document }) => document === use.replaces)?.slides);
  const wide = 130;
  const strip = useVirtualizer({
    count: answer.slides + 1,
    horizontal: true,
    getScrollElement: () => scroll.current,
    estimateSize: (i) => GAP + (i === chosen ? wide : 0) + (i < answer.slides ? width : 0),
    overscan: 4,
  });
  const items = strip.getVirtualItems();
  const [first, last] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0];
  const { want } = drawn;
  useEffect(() => want(first, last), [first, last, want]);
  useEffect(() => {
    strip.measure();
    if (chosen !== null) strip.scrollToIndex(chosen, { align: 'center' });
  }, [chosen, strip]);
  return (
    <section aria-label={t('Slides of the file, and the place of yours')}>
      <Small mb="4px">
        {chosen === null
          ? t('Choose a gap to keep its slides and put yours there.')
          : t('Choose another gap to put yours there.')}
      </Small>
      <Box ref={scroll} overflowX="auto" overflowY="hidden" pb="6px" tabIndex={-1}>
        <Box position="relative" height={`${HEIGHT + 22}px`} style={{ width: strip.getTotalSize() }}>
          {items.map(({ index, start, key }) => (
            <Box key={key} position="absolute" top="0" display="flex" style={{ left: start }}>
              {index === chosen ? (
                <Ours style={{ width: wide + GAP - 8 }} mx="4px" aria-current="true">
                  {t('{n} slides of yours', { count: slides })}
                </Ours>
              ) : (
                <Gap
                  type="button"
                  aria-label={
                    index === 0
                      ? t('Put yours before its first slide')
                      : t('Put yours behind its slide {index}{title}', {
                          index,
                          title: answer.titles[index - 1] ? `, ${quoted(answer.titles[index - 1]!)}` : '',
                        })
                  }
                  onClick={() => place(index)}
                >
                  +
                </Gap>
              )}
              {index < answer.slides && (
                <OwnSlide
                  hash={use.hash}
                  index={index}
                  width={width}
                  title={answer.titles[index] ?? ''}
                  drawing={drawn.known.get(index)}
                  state={chosen === null ? t('left out') : replaced.has(index) ? t('replaced') : null}
                />
              )}
            </Box>
          ))}
        </Box>
      </Box>
    </section>
  );
}

interface OwnProps {
  readonly hash: string;
  readonly index: number;
  readonly width: number;
  readonly title: string;
  /** Undefined until it is there, null where it cannot be drawn. */
  readonly drawing: DrawnSlide | null | undefined;
  readonly state: string | null;
}

function OwnSlide({ hash, index, width, title, drawing, state }: OwnProps) {
  const deck = useDeck((store) => store.deck?.id ?? '');
  const label = t('Slide {index} of the file{title}{state}', {
    index: index + 1,
    title: title === '' ? '' : `: ${title}`,
    state: state === null ? '' : `, ${state}`,
  });
  return (
    <Box style={{ width }} flex="none">
      <Box
        height={`${HEIGHT}px`}
        border="1px solid"
        borderColor="line"
        bg="card"
        lineHeight="0"
        overflow="hidden"
        opacity={state === null ? 1 : 0.35}
      >
        {drawing === null ? (
          <Small p="6px" lineHeight="1.2">
            {title === '' ? t('Slide {index}', { index: index + 1 }) : title}
          </Small>
        ) : (
          <SlideDrawing
            drawing={drawing && { key: `${hash}/${index}` as PageKey, rev: 0, ...drawing }}
            deck={deck}
            number={index + 1}
            label={label}
          />
        )}
      </Box>
      <Small truncate lineHeight="20px">
        {index + 1} {state ?? title}
      </Small>
    </Box>
  );
}

/** Drawings of the file's slides, as they are seen. */
function useOwnSlides(hash: string) {
  const [known, setKnown] = useState<ReadonlyMap<number, DrawnSlide | null>>(new Map());
  const asked = useRef({ hash, chunks: new Set<number>() });
  const [want] = useState(() => (first: number, last: number) => {
    for (let chunk = Math.floor(first / CHUNK); chunk <= Math.floor(last / CHUNK); chunk++) {
      const { hash: of, chunks } = asked.current;
      if (chunks.has(chunk)) continue;
      chunks.add(chunk);
      const from = chunk * CHUNK;
      ask({ what: 'ownSlides', from, to: from + CHUNK }).then(
        (slides) => {
          if (asked.current.hash !== of) return;
          setKnown((before) => new Map([...before, ...slides.map((slide, i) => [from + i, slide] as const)]));
        },
        () => chunks.delete(chunk),
      );
    }
  });
  useEffect(() => {
    if (asked.current.hash === hash) return;
    asked.current = { hash, chunks: new Set() };
    setKnown(new Map());
  }, [hash]);
  return { known, want };
}
