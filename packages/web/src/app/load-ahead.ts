/** Loads stations and editors one after another while nothing else is done: each is there when the server is not, or has become another. */
import { useEffect } from 'react';
import { STATIONS } from './stations.ts';

const FIRST_MS = 2000;

/** Editors first: who writes when the network goes wants to go on writing. */
const AHEAD: readonly (() => Promise<unknown>)[] = [
  () => import('../stations/slides/notes-editor.tsx'),
  () => import('../stations/document/stretch-editor.tsx'),
  ...STATIONS.map(({ load }) => load),
  () => import('../stations/check/pace-page.tsx'),
];

/** @param ready Whether what one looks at is there. */
export function useAllAhead(ready: boolean): void {
  useEffect(() => {
    if (!ready) return undefined;
    let waiting = 0;
    const next = (at: number): void => {
      const load = (): void => {
        // What cannot be loaded is told when one goes there.
        AHEAD[at]?.().then(
          () => next(at + 1),
          () => undefined,
        );
      };
      // Not every browser says when it has nothing to do.
      const soon = (): void => void ('requestIdleCallback' in window ? requestIdleCallback(load) : load());
      waiting = window.setTimeout(soon, at === 0 ? FIRST_MS : 0);
    };
    next(0);
    return () => clearTimeout(waiting);
  }, [ready]);
}
