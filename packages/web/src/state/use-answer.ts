/** An answer of the worker's, asked for again whenever the deck has changed. */
import { useEffect, useState } from 'react';
import type { Answers, Asking, What } from '../worker/questions.ts';
import { ask } from './core-link.ts';
import { useDeck } from './deck-store.ts';

export interface Answered<T> {
  /** The newest; of an earlier deck while the next one is on its way. */
  readonly answer: T | null;
  readonly failure: string | null;
  /** Whether it is of an earlier deck. */
  readonly late: boolean;
}

/** @param question Null asks nothing. */
export function useAnswer<W extends What>(question: Asking<W> | null): Answered<Answers[W]> {
  const view = useDeck((state) => state.view);
  const [{ of, ...answered }, setAnswered] = useState<
    Omit<Answered<Answers[W]>, 'late'> & { readonly of: typeof view }
  >({
    answer: null,
    failure: null,
    of: null,
  });
  const key = JSON.stringify(question);
  useEffect(() => {
    if (view === null || key === 'null') return;
    let wanted = true;
    ask(JSON.parse(key) as Asking<W>).then(
      (answer) => wanted && setAnswered({ answer, failure: null, of: view }),
      (error: unknown) =>
        wanted &&
        setAnswered({ answer: null, failure: error instanceof Error ? error.message : String(error), of: view }),
    );
    return () => {
      wanted = false;
    };
  }, [view, key]);
  return { ...answered, late: of !== view };
}
