/** One cursor: the passage that has the focus is the current one, and focus is never lost when what had it goes. */
import type { PageKey } from '@alvex/core';
import { useEffect, type RefObject } from 'react';
import { useDeck } from '../../state/deck-store.ts';
import { usePages } from '../../state/pages-store.ts';
import { useSelected } from '../../state/selection.ts';

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

/** Whether a row is there whose current passage is still to come. */
function isToCome(key: PageKey): boolean {
  const { block, row } = useSelected.getState();
  return row === key && block !== null && usePages.getState().rows.get(key)?.passages.includes(block) === true;
}

function focusRow(list: Element, index: number): boolean {
  const row = list.querySelector(`[data-index="${index}"]`);
  const key = useDeck.getState().view?.pages.order[index];
  const selectors = key !== undefined && isToCome(key) ? CURSORS.slice(0, 1) : CURSORS;
  for (const selector of selectors) {
    const found = row?.querySelector<HTMLElement | SVGElement>(selector);
    if (found === null || found === undefined) continue;
    found.focus({ preventScroll: true });
    return true;
  }
  return false;
}

const FRAMES = 60;

/** Gives the current row the focus as soon as it is there, unless another has become current meanwhile. */
export function focusCurrentSoon(list: Element | null, row: PageKey, frames = FRAMES): void {
  requestAnimationFrame(() => {
    if (list === null || frames === 0 || useSelected.getState().row !== row) return;
    const index = useDeck.getState().view?.pages.order.indexOf(row) ?? -1;
    if (!focusRow(list, index)) focusCurrentSoon(list, row, frames - 1);
  });
}

/** Where what had the focus goes away, as a slide that is taken out or a panel that is closed, the current row takes the focus, else its row, or the row in its place. @param shown Whether the list is there. */
export function useFocusKept(list: RefObject<HTMLElement | null>, shown: boolean): void {
  useEffect(() => {
    const element = list.current;
    if (element === null) return;
    let last: { readonly focused: Element; readonly index: number } | undefined;
    const remember = ({ target }: FocusEvent) => {
      const row = (target as Element).closest('[data-index]');
      if (row !== null) last = { focused: target as Element, index: Number(row.getAttribute('data-index')) };
    };
    // It goes elsewhere by itself: nothing is lost, whatever is drawn anew meanwhile.
    const forget = ({ relatedTarget }: FocusEvent) => {
      if (relatedTarget !== null) last = undefined;
    };
    const restore = () => {
      if (last === undefined || last.focused.isConnected) return;
      if (document.activeElement !== document.body && document.activeElement !== element) return;
      const { row } = useSelected.getState();
      const current = row === null ? -1 : (useDeck.getState().view?.pages.order.indexOf(row) ?? -1);
      const found = current < 0 ? nearest(element, last.index) : focusRow(element, current);
      // Until the row is there, keys go to the list.
      if (!found) element.focus({ preventScroll: true });
    };
    const changes = new MutationObserver(restore);
    changes.observe(element, { childList: true, subtree: true });
    element.addEventListener('focusin', remember);
    element.addEventListener('focusout', forget);
    return () => {
      changes.disconnect();
      element.removeEventListener('focusin', remember);
      element.removeEventListener('focusout', forget);
    };
  }, [list, shown]);
}

function nearest(list: Element, index: number): boolean {
  for (let i = index; i >= 0; i--) if (focusRow(list, i)) return true;
  return false;
}
