/** Reads the numbers of a chart part (ECMA-376-1 §21.2): series become columns, categories rows. */
import type { ChartNumbers } from './chart-drafts.ts';
import { LIMITS } from '../base/index.ts';
import { readXmlPart, type ZipReader } from '../container/index.ts';
import { plain, type Table, type TableRow } from '../content/index.ts';

interface Series {
  name: string;
  readonly categories: Map<number, string>;
  readonly values: Map<number, string>;
}

/** The child of a series whose cached points are being read; `tx` names it (§21.2.2.215). */
const PARTS: Readonly<Record<string, 'name' | 'categories' | 'values'>> = {
  'c:tx': 'name',
  'c:cat': 'categories',
  'c:xVal': 'categories',
  'c:val': 'values',
  'c:yVal': 'values',
};

/** @returns undefined when the part holds no numbers, or more than a table can show. */
export function readChart(zip: ZipReader, part: string): ChartNumbers | undefined {
  const series: Series[] = [];
  let title = '';
  let inTitle = 0;
  let axis = 0;
  let inSeries = false;
  let reading: 'name' | 'categories' | 'values' | undefined;
  let at = 0;
  let captured = false;
  readXmlPart(zip, part, {
    open(name, a) {
      captured = name === 'c:v' || name === 'a:t';
      if (name === 'c:catAx' || name === 'c:valAx' || name === 'c:dateAx' || name === 'c:serAx') axis++;
      if (name === 'c:title' && axis === 0) inTitle++;
      if (name === 'c:ser') {
        inSeries = true;
        series.push({ name: '', categories: new Map(), values: new Map() });
      }
      if (name === 'c:pt') at = Number(a['idx']) || 0;
      if (inSeries && reading === undefined) reading = PARTS[name];
    },
    close(name) {
      captured = false;
      if (name === 'c:catAx' || name === 'c:valAx' || name === 'c:dateAx' || name === 'c:serAx') axis--;
      if (name === 'c:title' && axis === 0) inTitle--;
      if (name === 'c:ser') inSeries = false;
      if (PARTS[name] === reading) reading = undefined;
    },
    text(text) {
      const current = series.at(-1);
      if (!captured) return;
      if (inTitle > 0) title += text;
      else if (!inSeries || current === undefined || reading === undefined) return;
      else if (reading === 'name') current.name += text;
      else current[reading].set(at, (current[reading].get(at) ?? '') + text);
    },
  });
  const rows = Math.max(0, ...series.map(({ values }) => 1 + [...values.keys()].reduce((a, b) => Math.max(a, b), -1)));
  if (rows === 0 || rows * series.length > LIMITS.chartPoints) return undefined;
  const categories = series.find((one) => one.categories.size > 0)?.categories ?? new Map<number, string>();
  const row = (texts: readonly string[], header: boolean): TableRow => ({
    header,
    cells: texts.map((text) => ({ runs: plain(text), columns: 1, rows: 1 })),
  });
  const table: Table = {
    columns: series.length + 1,
    rows: [
      row(['', ...series.map(({ name }, i) => name || `Series ${i + 1}`)], true),
      ...Array.from({ length: rows }, (_, i) =>
        row([categories.get(i) ?? `${i + 1}`, ...series.map(({ values }) => shortNumber(values.get(i) ?? ''))], false),
      ),
    ],
  };
  return { title: title.trim() || null, table };
}

/** Caches keep numbers as the processor's doubles: 0.30000000000000004 was 0.3. */
function shortNumber(text: string): string {
  const value = Number(text);
  return text.length > 12 && Number.isFinite(value) ? String(Number(value.toPrecision(12))) : text;
}
