/** Tables of a plain text: drawn with bars and rules, or with columns of spaces. */
import { plain, type TableRow } from '../../content/index.ts';
import type { Draft } from '../read-result.ts';
import { placeOf, type Line } from './line.ts';

const LEAST_ROWS = 3;
const MOST_COLUMNS = 20;

/** @returns The table that lines between two blank ones are, or undefined. */
export function drawnTable(lines: readonly Line[]): Draft | undefined {
  const rows = barred(lines) ?? spaced(lines);
  if (rows === undefined) return undefined;
  const columns = most(rows.map(({ cells }) => cells.length));
  return columns < 2 ? undefined : { kind: 'table', table: { rows, columns }, place: placeOf(lines[0]!) };
}

// Not spread into arguments: a text may have more lines than a call may have.
const most = (numbers: readonly number[]): number => numbers.reduce((a, b) => Math.max(a, b), 0);

const rowOf = (texts: readonly string[], header: boolean): TableRow => ({
  header,
  cells: texts.map((text) => ({ runs: text === '' ? [] : plain(text), columns: 1, rows: 1 })),
});

const isRule = (text: string): boolean => /^[-+=|:\s]+$/.test(text) && /[-=]{2}/.test(text);

/** Every line begins and ends with a bar, or is a rule. Lines between two rules are one row where there are such rules. */
function barred(lines: readonly Line[]): readonly TableRow[] | undefined {
  const texts = lines.map(({ text }) => text);
  const filled = texts.filter((text) => !isRule(text));
  if (filled.length < 2 || !filled.every((text) => /^\|.*\|$/.test(text))) return undefined;
  const ruled = texts.filter(isRule).length > 2;
  const rows: { cells: string[]; header: boolean }[] = [];
  let open = true;
  texts.forEach((text, i) => {
    if (isRule(text)) {
      open = true;
      if (rows.length === 1 && (/=/.test(text) || !ruled)) rows[0]!.header = true;
      return;
    }
    const cells = text
      .slice(1, -1)
      .split('|')
      .map((cell) => cell.trim());
    const before = rows.at(-1);
    if (!open && ruled && before !== undefined && i > 0)
      before.cells = Array.from({ length: Math.max(before.cells.length, cells.length) }, (_, c) =>
        [before.cells[c], cells[c]].filter((part) => part).join(' '),
      );
    else rows.push({ cells, header: false });
    open = false;
  });
  const columns = most(rows.map(({ cells }) => cells.length));
  return rows.map(({ cells, header }) => rowOf([...cells, ...Array(columns - cells.length).fill('')], header));
}

/** Columns that two spaces or more part in every line; a rule of dashes below the first line makes it the head. */
function spaced(lines: readonly Line[]): readonly TableRow[] | undefined {
  const ruled = lines.findIndex(({ text }) => isRule(text) || /^(?:[-=]{2,}\s*)+$/.test(text));
  const filled = lines.filter(({ text }) => !/^(?:[-=]{2,}\s*)+$/.test(text));
  if (filled.length < (ruled >= 0 ? 2 : LEAST_ROWS)) return undefined;
  const raws = filled.map(({ indent, text }) => ' '.repeat(indent) + text.replaceAll('\t', '    '));
  const width = most(raws.map((raw) => raw.length));
  const blank = (at: number): boolean => raws.every((raw) => (raw[at] ?? ' ') === ' ');
  const edges: [number, number][] = [];
  for (let at = 0; at < width; at++) {
    if (blank(at)) continue;
    const last = edges.at(-1);
    // One space between two words is no gap.
    if (last !== undefined && at - last[1] <= 1) last[1] = at + 1;
    else edges.push([at, at + 1]);
  }
  if (edges.length < 2 || edges.length > MOST_COLUMNS) return undefined;
  const cells = raws.map((raw) => edges.map(([from, to]) => raw.slice(from, to).trim()));
  const full = cells.flat().filter((cell) => cell !== '').length;
  if (full < cells.length * edges.length * 0.7) return undefined;
  // Marks of a list before its text are a narrow first column.
  if (edges.length === 2 && cells.every(([first]) => first!.length <= 3)) return undefined;
  // Running text that happens to have a gap in each line has long cells; tables have short ones.
  const longest = most(cells.flatMap((row) => row.slice(0, -1).map((cell) => cell.length)));
  if (longest > width * 0.6) return undefined;
  return cells.map((row, i) => rowOf(row, i === 0 && ruled === 1));
}
