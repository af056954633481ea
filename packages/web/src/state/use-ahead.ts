/** Something that is set as a whole, as the settings of a chart or the foot. */
import { useState } from 'react';
import { useDeck } from './deck-store.ts';

/**
 * What was set last, until the deck shows it: a second change that comes before the first is seen builds on it, and does not take it back.
 * @param shown As the deck shows it.
 * @param late Whether `shown` is still of an earlier deck.
 */
export function useAhead<T>(shown: T, late = false): readonly [value: T, set: (next: T) => void] {
  const waits = useDeck((state) => state.pending) || late;
  const [ahead, setAhead] = useState<{ readonly value: T } | null>(null);
  if (ahead !== null && !waits) setAhead(null);
  return [ahead !== null && waits ? ahead.value : shown, (value) => setAhead({ value })];
}
