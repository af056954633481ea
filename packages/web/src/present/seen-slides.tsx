/** What the audience sees and what comes next; a pointer on the slide is a spot for the audience, pressed it draws. */
import { Box, chakra } from '@chakra-ui/react';
import { SLIDE_POINTS, SlideDrawing } from '../canvas/slide-drawing.tsx';
import { Small } from '../ui/recipes.tsx';
import { t } from '../words/words.ts';
import type { SlideToShow } from './channel.ts';
import type { Mode } from './kept-talk.ts';
import { StrokesDrawing } from './strokes-drawing.tsx';
import type { Drawn, Place, Stroke } from './strokes.ts';
import type { Screen } from './talk.ts';
import { placeOf, usePen } from './use-pen.ts';

const Seen = chakra('section', {
  base: {
    display: 'grid',
    gap: '10px',
    alignContent: 'start',
    minW: 0,
    overflowY: 'auto',
    '@media (max-width: 760px)': { order: -1, gridTemplateColumns: '2fr 1fr', alignItems: 'start' },
  },
});
const Paper = chakra('div', {
  base: { border: '1px solid', borderColor: 'line', position: 'relative', lineHeight: 0 },
});
/** Keeps its room until the slide comes. */
const roomOf = (slide: SlideToShow | null) =>
  slide === null ? { aspectRatio: SLIDE_POINTS.width / SLIDE_POINTS.height } : {};
interface Props {
  readonly deck: string;
  readonly mode: Mode;
  readonly screen: Screen;
  readonly now: SlideToShow | null;
  readonly next: SlideToShow | null;
  /** Whether nothing comes behind it. */
  readonly last: boolean;
  readonly strokes: readonly Stroke[];
  readonly draw: (drawn: Drawn) => void;
  readonly setSpot: (place: Place | null) => void;
}

export function SeenSlides({ deck, mode, screen, now, next, last, strokes, draw, setSpot }: Props) {
  const pen = usePen(draw);
  return (
    <Seen aria-label={t('Slides')}>
      <Paper
        css={{ touchAction: 'none', userSelect: 'none' }}
        style={roomOf(now)}
        {...pen}
        onPointerMove={(event) => {
          setSpot(placeOf(event));
          pen.onPointerMove(event);
        }}
        onPointerLeave={() => setSpot(null)}
      >
        {now !== null && <SlideDrawing drawing={now.drawing} deck={deck} number={now.number} label={now.label} />}
        <StrokesDrawing strokes={strokes} />
        {screen !== 'slide' && (
          <Box
            position="absolute"
            inset="0"
            display="grid"
            placeContent="center"
            lineHeight={1.4}
            role="status"
            style={
              screen === 'dark'
                ? { background: 'rgba(0,0,0,0.82)', color: '#FFFFFF' }
                : { background: 'rgba(255,255,255,0.9)', color: '#000000' }
            }
          >
            {t('The audience’s screen is {screen}', { screen })}
          </Box>
        )}
      </Paper>
      <Box display="grid" gap="4px" w="58%" css={{ '@media (max-width: 760px)': { width: '100%' } }}>
        <Small>{last ? t('This is the last slide') : t('Next')}</Small>
        {!last && (
          <Paper style={roomOf(next)}>
            {next !== null && (
              <SlideDrawing
                drawing={next.drawing}
                deck={deck}
                number={next.number}
                label={t('Next: {label}', { label: next.label })}
              />
            )}
          </Paper>
        )}
      </Box>
      <Small>
        {t('{mode}Keys: arrows, Page keys or Space; a number and Enter; B dark, W light{marks}.', {
          mode: mode === 'talk' && t('The pointer on the slide is a spot for the audience; pressed, it draws. '),
          marks: mode === 'rehearsal' ? t('; S where you stumbled') : '',
        })}
      </Small>
    </Seen>
  );
}
