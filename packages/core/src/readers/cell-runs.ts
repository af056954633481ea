/** Joins what stands in a table's cell into its runs. */
import { mergeRuns, tableText, type Run, type Runs } from '../content/index.ts';
import type { Draft } from './read-result.ts';

/** @param outside Gets what cannot stand in a cell: pictures and footnotes. */
export function cellRuns(drafts: readonly Draft[], outside: Draft[]): Runs {
  const runs: Run[] = [];
  for (const draft of drafts) {
    let added: Runs = [];
    if (draft.kind === 'picture' || draft.kind === 'footnote') outside.push(draft);
    else if ('runs' in draft) added = draft.runs;
    else if (draft.kind === 'code') added = [{ text: draft.text, code: true }];
    else if (draft.kind === 'table') added = [{ text: tableText(draft.table) }];
    if (added.length > 0) runs.push(...(runs.length > 0 ? [{ text: '\n' }] : []), ...added);
  }
  return mergeRuns(runs);
}
