/** Links within the document, on one page. */
import type { Run } from '../content/index.ts';
import type { PartId } from '../ids/index.ts';
import { contentOf, type Page } from '../layout/index.ts';

export const linkedRuns = (page: Page): readonly { readonly id: PartId; readonly run: Run }[] =>
  contentOf(page).flatMap((part) => {
    const runs =
      part.kind === 'table'
        ? part.table.rows.flatMap(({ cells }) => cells.flatMap((cell) => cell.runs))
        : part.kind === 'picture'
          ? (part.caption ?? [])
          : part.runs;
    return runs.flatMap((run) => (run.link?.startsWith('#') === true ? [{ id: part.id, run }] : []));
  });
