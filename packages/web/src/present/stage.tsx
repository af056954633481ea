/** What the audience sees: the slide as large as it goes, and nothing else. */
import { chakra } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { SlideId } from '@alvex/core';
import { SlideDrawing } from '../canvas/slide-drawing.tsx';
import type { SlideToShow } from './channel.ts';
import './stage.css';
import { StrokesDrawing } from './strokes-drawing.tsx';
import type { Drawn, Place, Stroke } from './strokes.ts';
import type { Move, Screen } from './talk.ts';
import { usePen } from './use-pen.ts';

const Room = chakra('div', {
  base: { position: 'fixed', inset: 0, bg: '#000000', overflow: 'hidden', touchAction: 'none' },
});
const Spot = chakra('span', {
  base: {
    position: 'absolute',
    w: '2.4vmin',
    h: '2.4vmin',
    borderRadius: '50%',
    bg: 'rgba(201, 138, 18, 0.75)',
    boxShadow: '0 0 0 0.5vmin rgba(255, 255, 255, 0.8)',
    transform: 'translate(-50%, -50%)',
    pointerEvents: 'none',
  },
});

interface Props {
  readonly deck: string;
  readonly now: SlideToShow;
  readonly next: SlideToShow | null;
  readonly screen: Screen;
  readonly spot: Place | null;
  readonly strokes: readonly Stroke[];
  readonly move: (move: Move) => void;
  readonly follow: (to: SlideId) => void;
  /** Draws on the slide, where the pen is taken: then a press does nothing else. */
  readonly pen?: ((drawn: Drawn) => void) | undefined;
}

const SWIPE = 40; // pixels

const comes = (animation: string) => ({ '@media (prefers-reduced-motion: no-preference)': { animation } });
/** How a slide comes over the one before it. */
const Coming = chakra('div', {
  base: { position: 'absolute', left: '50%', top: '50%', transform: 'translate(-50%, -50%)' },
  variants: {
    comes: {
      none: {},
      fade: comes('slide-fade 350ms ease-out'),
      push: comes('slide-push 350ms ease-out'),
      wipe: comes('slide-wipe 350ms linear'),
    },
  },
});

export function Stage({ deck, now, next, screen, spot, strokes, move, follow, pen }: Props) {
  const [before, setBefore] = useState<{ readonly now: SlideToShow; readonly left: SlideToShow | null }>({
    now,
    left: null,
  });
  // The one that was seen stays below the one that comes, until that has come.
  if (before.now !== now)
    setBefore({ now, left: before.now.drawing.key === now.drawing.key ? before.left : before.now });
  const left = now.transition === 'none' ? null : before.left;
  const drawing = usePen(pen);
  const from = useRef<{ readonly x: number; readonly y: number } | null>(null);
  // Both stand in the page: the next one is drawn, its pictures decoded, before it is seen.
  const both = [
    ...(left === null || left.drawing.key === now.drawing.key ? [] : [left]),
    now,
    ...(next === null || [now, left].some((one) => one?.drawing.key === next.drawing.key) ? [] : [next]),
  ];
  return (
    <Room
      data-screen={screen}
      style={screen === 'light' ? { background: '#FFFFFF' } : undefined}
      onPointerDown={({ clientX, clientY }) => (from.current = { x: clientX, y: clientY })}
      onPointerUp={({ clientX, clientY, pointerType, target }) => {
        const begun = from.current;
        from.current = null;
        if (begun === null || pen !== undefined || (target as Element).closest('a') !== null) return;
        const [dx, dy] = [clientX - begun.x, clientY - begun.y];
        if (pointerType === 'mouse' && Math.abs(dx) < SWIPE) move({ move: 'next' });
        else if (Math.abs(dx) >= SWIPE && Math.abs(dx) > Math.abs(dy)) move({ move: dx < 0 ? 'next' : 'back' });
        else if (pointerType !== 'mouse' && Math.abs(dx) < SWIPE)
          move({ move: clientX < innerWidth / 3 ? 'back' : 'next' });
      }}
    >
      {both.map((slide) => {
        const { width, height } = slide.drawing.size;
        const seen = slide === now && screen === 'slide';
        const below = slide === left && screen === 'slide';
        return (
          <Coming
            key={slide.drawing.key}
            aria-hidden={!seen}
            comes={seen ? slide.transition : 'none'}
            {...(seen && pen !== undefined ? drawing : {})}
            style={{
              ...(seen && pen !== undefined ? { cursor: 'crosshair' } : {}),
              width: `min(100vw, calc(100vh * ${width / height}))`,
              visibility: seen || below ? 'visible' : 'hidden',
              zIndex: seen ? 1 : 0,
            }}
          >
            <SlideDrawing
              drawing={slide.drawing}
              deck={deck}
              number={slide.number}
              label={slide.label}
              upTo={slide.step}
              follow={follow}
            />
            {seen && <StrokesDrawing strokes={strokes} />}
            {seen && spot !== null && (
              <Spot data-spot="" style={{ left: `${spot[0] * 100}%`, top: `${spot[1] * 100}%` }} />
            )}
          </Coming>
        );
      })}
    </Room>
  );
}
