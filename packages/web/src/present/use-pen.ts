/** A pen in the hand of who speaks: what a pressed pointer does on a slide. */
import { useRef, type PointerEvent } from 'react';
import type { Drawn, Place } from './strokes.ts';

/** @param draw Takes what is drawn; nothing is without. */
export function usePen(draw: ((drawn: Drawn) => void) | undefined) {
  /** Number of the last stroke. */
  const stroke = useRef(0);
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (draw === undefined || event.button !== 0) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      stroke.current += 1;
      draw({ says: 'draw', stroke: stroke.current, at: placeOf(event) });
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (draw !== undefined && event.currentTarget.hasPointerCapture(event.pointerId))
        draw({ says: 'draw', stroke: stroke.current, at: placeOf(event) });
    },
    onLostPointerCapture: () => draw?.({ says: 'lift', stroke: stroke.current }),
  };
}

/** Where a pointer is on the slide. */
export function placeOf({ currentTarget, clientX, clientY }: PointerEvent<HTMLElement>): Place {
  const { left, top, width, height } = currentTarget.getBoundingClientRect();
  return [(clientX - left) / width, (clientY - top) / height];
}
