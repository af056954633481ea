/** What keys do to the lines of the text that are chosen. */
import type { KeyboardEvent } from 'react';
import type { Block, Level } from '@alvex/core';
import { edit } from '../../state/log-store.ts';
import { mayBeKey } from '../../ui/keys.ts';
import { shapeAll, shiftBranches, stretchAround } from './line-actions.ts';
import { chooseOnly, clearSelection, extendTo, useSelection, write } from './use-selection.ts';

/** @param chosen Lines of the text that are chosen. */
export function onLineKey(event: KeyboardEvent, blocks: readonly Block[], chosen: readonly Block[]): void {
  if (event.altKey || event.ctrlKey || event.metaKey || !mayBeKey(event)) return;
  const { key } = event;
  if (key === 'ArrowDown' || key === 'ArrowUp') step(blocks, key === 'ArrowDown' ? 1 : -1, event.shiftKey);
  else if (chosen.length === 0) return;
  else if (/^[1-6]$/.test(key)) edit(shapeAll(chosen, { kind: 'heading', level: Number(key) as Level }));
  else if (key === '0') edit(shapeAll(chosen, { kind: 'paragraph' }));
  else if (key === '-') edit(shapeAll(chosen, { kind: 'listItem', depth: 1, ordered: false }));
  else if (key === '<' || key === '>') {
    const made = shiftBranches(blocks, chosen, key === '<' ? -1 : 1);
    if (made !== undefined) edit(made);
  } else if (key === 'Enter' && (event.target as HTMLElement).getAttribute('role') === 'row')
    write(stretchAround(blocks, chosen[0]!.id));
  else if (key === 'Delete') edit({ kind: 'leave', blocks: chosen.map((block) => block.id), as: 'deleted' });
  else if (key === 'Escape') clearSelection();
  else return;
  event.preventDefault();
}

/** To the next line or the one before, or with it. */
function step(blocks: readonly Block[], by: 1 | -1, extends_: boolean): void {
  const { focus } = useSelection.getState();
  const at = blocks.findIndex((block) => block.id === focus);
  const next = blocks[Math.min(blocks.length - 1, Math.max(0, at + by))];
  if (next === undefined) return;
  if (extends_) extendTo(next.id, blocks);
  else chooseOnly(next.id);
}
