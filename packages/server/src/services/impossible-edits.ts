/** Refuses edits that are well-formed and cannot be: they would name what is not kept here. */
import { singleEdits, tableFault, type Edit, type LogEntry } from '@alvex/core';
import type { DeckRow } from '../db/decks.ts';
import { getEditions, getTemplates } from '../db/editions.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';

/** @throws AppError `impossible-edit` with the reason. */
export async function refuseImpossible(context: Context, row: DeckRow, entries: readonly LogEntry[]): Promise<void> {
  const edits = singleEdits(entries.filter((entry): entry is Edit => entry.kind !== 'undo' && entry.kind !== 'redo'));
  if (edits.some(({ kind }) => kind === 'edition')) {
    const editions = new Set([row, ...(await getEditions(context.db, row.id))].map(keyOf));
    for (const edit of edits)
      if (edit.kind === 'edition' && !editions.has(keyOf(edit)))
        throw new AppError('impossible-edit', `The file of the edition “${edit.fileName}” is not kept here.`);
  }
  if (edits.some((edit) => edit.kind === 'template' && edit.template !== null)) {
    const templates = new Set((await getTemplates(context.db, row.id)).map(({ original }) => original));
    for (const edit of edits)
      if (edit.kind === 'template' && edit.template !== null && !templates.has(edit.template.hash))
        throw new AppError('impossible-edit', `The template “${edit.template.fileName}” is not kept here.`);
  }
  for (const edit of edits)
    for (const block of edit.kind === 'write' ? edit.blocks : [])
      if (block.kind === 'table') {
        const fault = tableFault(block.table);
        if (fault !== undefined) throw new AppError('impossible-edit', fault);
      }
}

const keyOf = ({ original, type }: { readonly original: string; readonly type: string }): string =>
  `${type} ${original}`;
