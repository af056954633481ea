/** One cursor: the passage that has the focus is the current one, and focus is never lost when what had it goes. */
import { useEffect, type RefObject } from 'react';

const isWriting = (element: Element): boolean =>
  element.matches('input, textarea, select, [role="slider"]') || (element as HTMLElement).isContentEditable;

/** Whether the cursor may take the focus: it is among the slides, or nowhere. */
export function mayTakeFocus(element: Element): boolean {
  const { activeElement } = document;
  if (activeElement === null || activeElement === document.body) return true;
  const list = element.closest('[data-testid="facing-pages"]');
  return list !== null && list.contains(activeElement) && !isWriting(activeElement);
}

/** What stands for a row: its current passage, else its first, else whatever can be reached in it. */
const CURSORS = ['[aria-current="true"] [data-mark]', '[data-mark][tabindex="0"]', '[role="button"]', 'button'];

export function focusRow(list: Element | null, index: number): boolean {
  const row = list?.querySelector(`[data-index="${index}"]`);
  for (const selector of CURSORS) {
    const found = row?.querySelector<HTMLElement | SVGElement>(selector);
    if (found === null || found === undefined) continue;
    found.focus({ preventScroll: true });
    return true;
  }
  return false;
}

const FRAMES = 60;

/** The same, as soon as the row is there. */
export function focusRowSoon(list: Element | null, index: number, frames = FRAMES): void {
  if (frames > 0 && !focusRow(list, index)) requestAnimationFrame(() => focusRowSoon(list, index, frames - 1));
}

/** Where what had the focus goes away, as a slide that is taken out or a panel that is closed, its row takes the focus, or the row in its place. @param shown Whether the list is there. */
export function useFocusKept(list: RefObject<HTMLElement | null>, shown: boolean): void {
  useEffect(() => {
    const element = list.current;
    if (element === null) return;
    let last: { readonly focused: Element; readonly index: number } | undefined;
    const remember = ({ target }: FocusEvent) => {
      const row = (target as Element).closest('[data-index]');
      if (row !== null) last = { focused: target as Element, index: Number(row.getAttribute('data-index')) };
    };
    const restore = () => {
      if (last === undefined || last.focused.isConnected || document.activeElement !== document.body) return;
      for (let index = last.index; index >= 0; index--) if (focusRow(element, index)) return;
    };
    const changes = new MutationObserver(restore);
    changes.observe(element, { childList: true, subtree: true });
    element.addEventListener('focusin', remember);
    return () => {
      changes.disconnect();
      element.removeEventListener('focusin', remember);
    };
  }, [list, shown]);
}
