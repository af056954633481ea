/** The strokes that are seen on one slide. */
import { useCallback, useEffect, useRef, useState } from 'react';
import { STAYS, withDrawn, type Drawn, type Stroke } from './strokes.ts';

/** @param slide Strokes go with it. */
export function useStrokes(slide: string | null) {
  const [strokes, setStrokes] = useState<{ readonly of: string | null; readonly seen: readonly Stroke[] }>({
    of: slide,
    seen: [],
  });
  if (strokes.of !== slide) setStrokes({ of: slide, seen: [] });
  const ends = useRef(new Set<ReturnType<typeof setTimeout>>());
  useEffect(() => {
    const all = ends.current;
    return () => all.forEach(clearTimeout);
  }, []);
  const draw = useCallback((drawn: Drawn) => {
    setStrokes(({ of, seen }) => ({ of, seen: withDrawn(seen, drawn) }));
    if (drawn.says !== 'lift') return;
    const end = setTimeout(() => {
      ends.current.delete(end);
      setStrokes(({ of, seen }) => ({ of, seen: seen.filter(({ id }) => id !== drawn.stroke) }));
    }, STAYS);
    ends.current.add(end);
  }, []);
  return { strokes: strokes.seen, draw };
}
