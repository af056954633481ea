/** What the audience sees: the slide as large as it goes, and nothing else. */
import { chakra } from '@chakra-ui/react';
import { useRef } from 'react';
import { SlideDrawing } from '../canvas/slide-drawing.tsx';
import type { SlideToShow } from './channel.ts';
import type { Move, Screen } from './talk.ts';

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
  readonly spot: readonly [number, number] | null;
  readonly move: (move: Move) => void;
}

const SWIPE = 40; // pixels

export function Stage({ deck, now, next, screen, spot, move }: Props) {
  const from = useRef<{ readonly x: number; readonly y: number } | null>(null);
  // Both stand in the page: the next one is drawn, its pictures decoded, before it is seen.
  const both = [now, ...(next === null || next.drawing.key === now.drawing.key ? [] : [next])];
  return (
    <Room
      data-screen={screen}
      style={screen === 'light' ? { background: '#FFFFFF' } : undefined}
      onPointerDown={({ clientX, clientY }) => (from.current = { x: clientX, y: clientY })}
      onPointerUp={({ clientX, clientY, pointerType, target }) => {
        const begun = from.current;
        from.current = null;
        if (begun === null || (target as Element).closest('a') !== null) return;
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
        return (
          <div
            key={slide.drawing.key}
            aria-hidden={!seen}
            style={{
              position: 'absolute',
              left: '50%',
              top: '50%',
              transform: 'translate(-50%, -50%)',
              width: `min(100vw, calc(100vh * ${width / height}))`,
              visibility: seen ? 'visible' : 'hidden',
            }}
          >
            <SlideDrawing drawing={slide.drawing} deck={deck} number={slide.number} label={slide.label} follow />
            {seen && spot !== null && (
              <Spot data-spot="" style={{ left: `${spot[0] * 100}%`, top: `${spot[1] * 100}%` }} />
            )}
          </div>
        );
      })}
    </Room>
  );
}
