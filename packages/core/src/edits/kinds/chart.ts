/** How a table is drawn as a chart; null makes it a table again. */
import type { ChartSettings } from '../../charts/index.ts';
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface ChartEdit {
  readonly kind: 'chart';
  readonly part: PartId;
  readonly chart: ChartSettings | null;
}

export const chart: EditKind<ChartEdit> = {
  carry: (edit, ids) => ({ ...edit, part: ids.part(edit.part) }),
  apply: (desk, { part, chart: settings }) =>
    desk.changePart(part, 'table', ({ chart: _, ...table }) =>
      settings === null ? table : { ...table, chart: settings },
    ),
  says: ({ chart: settings }) =>
    settings === null ? { code: 'chart-off' } : { code: 'chart', labels: [{ of: 'chart', name: settings.kind }] },
};
