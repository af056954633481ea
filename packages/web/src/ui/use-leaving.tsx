/** What is written in a field goes with it when its place on the page goes, or the page: nothing tells a field then that it is left. */
import { useEffect, useLayoutEffect, useRef } from 'react';

/** @param leave Keeps what stands there, where it is other than before; it may be called more than once. */
export function useLeaving(leave: () => void): void {
  const latest = useRef(leave);
  useLayoutEffect(() => {
    latest.current = leave;
  });
  useEffect(() => {
    const now = () => latest.current();
    window.addEventListener('pagehide', now);
    return () => window.removeEventListener('pagehide', now);
  }, []);
  // Before the deck is closed that it is part of.
  useLayoutEffect(() => () => latest.current(), []);
}
