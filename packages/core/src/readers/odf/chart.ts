/** Reads the numbers of an ODF chart: the table that it keeps of its own (OASIS ODF 1.3 part 3, §11). */
import { readXmlPart, type ZipReader } from '../../container/index.ts';
import { plain } from '../../content/index.ts';
import type { ChartNumbers } from '../chart-drafts.ts';
import { LIMITS } from '../../base/index.ts';

/** @returns undefined when the part is no chart or holds no numbers. */
export function readOdfChart(zip: ZipReader, part: string): ChartNumbers | undefined {
  const rows: { header: boolean; cells: string[] }[] = [];
  let isChart = false;
  let title = '';
  let where: 'title' | 'cell' | 'none' = 'none';
  let header = false;
  let cells = 0;
  readXmlPart(zip, part, {
    open(name, a) {
      if (name === 'office:chart') isChart = true;
      if (name === 'chart:title') where = 'title';
      if (name === 'table:table-header-rows') header = true;
      if (name === 'table:table-row') rows.push({ header, cells: [] });
      if (name === 'table:table-cell') {
        where = 'cell';
        if (++cells <= LIMITS.chartPoints) rows.at(-1)?.cells.push(a['office:value'] ?? '');
      }
    },
    close(name) {
      if (name === 'chart:title' || name === 'table:table-cell') where = 'none';
      if (name === 'table:table-header-rows') header = false;
    },
    text(text) {
      if (where === 'title') title += text;
      const row = rows.at(-1);
      // A value that is also written out is the same value.
      if (where === 'cell' && row !== undefined && row.cells.at(-1) === '')
        row.cells[row.cells.length - 1] = text.trim();
    },
  });
  const filled = rows.filter((row) => row.cells.some((cell) => cell !== ''));
  if (!isChart || filled.length < 2 || cells > LIMITS.chartPoints) return undefined;
  return {
    title: title.trim() || null,
    table: {
      columns: Math.max(...filled.map((row) => row.cells.length)),
      rows: filled.map((row) => ({
        header: row.header,
        cells: row.cells.map((text) => ({ runs: plain(text === 'NaN' ? '' : text), columns: 1, rows: 1 })),
      })),
    },
  };
}
