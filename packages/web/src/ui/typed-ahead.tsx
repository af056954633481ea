/** Keeps what is typed while an editor is still being fetched, and gives it to the editor when that has the focus. */
import type { Editor } from '@tiptap/react';
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
  stop?.();
  typed = '';
  window.addEventListener('keydown', take, true);
  const timer = setTimeout(() => stop?.(), LONGEST_MS);
  stop = () => {
    clearTimeout(timer);
    window.removeEventListener('keydown', take, true);
    stop = undefined;
  };
}

/** @returns What was typed since the editor was asked for; from now on keys go where they go. */
function takeTyped(): string {
  stop?.();
  const text = typed;
  typed = '';
  return text;
}

/** Writes it where the cursor is. */
export function insertTyped(editor: Editor): void {
  takeTyped()
    .split('\n')
    .forEach((line, i) => {
      if (i > 0) editor.commands.splitBlock();
      if (line !== '') editor.view.dispatch(editor.state.tr.insertText(line));
    });
}

/** Stands in place of an editor that is being fetched. */
export function CatchTyping({ children }: { readonly children?: ReactNode }) {
  useLayoutEffect(start, []);
  return children;
}
