/** Keeps what is typed while an editor is still being fetched, and gives it to the editor as soon as that stands on the page. */
import { useLayoutEffect, type ReactNode } from 'react';

const LONGEST_MS = 10_000;

let typed = '';
let stop: (() => void) | undefined;

function take(event: KeyboardEvent): void {
  if (event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return;
  if (event.key === 'Backspace') typed = typed.slice(0, -1);
  else if (event.key === 'Enter') typed += '\n';
  else if ([...event.key].length === 1) typed += event.key;
  else return;
  // The station's own keys are not meant.
  event.preventDefault();
  event.stopImmediatePropagation();
}

function start(): void {
  // It may be drawn anew while it waits: what was typed until then stays.
  if (stop === undefined) typed = '';
  stop?.();
  window.addEventListener('keydown', take, true);
  const timer = setTimeout(() => stop?.(), LONGEST_MS);
  stop = () => {
    clearTimeout(timer);
    window.removeEventListener('keydown', take, true);
    stop = undefined;
  };
}

/** @returns What was typed since the editor was asked for; from now on keys go where they go. */
export function takeTyped(): string {
  stop?.();
  const text = typed;
  typed = '';
  return text;
}

/** Stands in place of an editor that is being fetched. */
export function CatchTyping({ children }: { readonly children?: ReactNode }) {
  useLayoutEffect(start, []);
  return children;
}
