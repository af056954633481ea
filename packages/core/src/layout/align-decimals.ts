/** Numbers of a column stand with their decimal signs below each other, where not all have as many decimals. */
import { splitNumber } from '../charts/index.ts';
import { cellText, placeCells, runsText, sliceRuns, type Runs, type Table } from '../content/index.ts';

/** Which sign parts decimals in a column; undefined where none does for certain: `1.240` may be more than a thousand. */
function decimalSignOf(digits: readonly string[]): '.' | ',' | undefined {
  return (['.', ','] as const).find((sign) => {
    const other = sign === '.' ? ',' : '.';
    const having = digits.filter((text) => text.includes(sign));
    if (
      having.some(
        (text) => text.indexOf(sign) !== text.lastIndexOf(sign) || text.lastIndexOf(other) > text.indexOf(sign),
      )
    )
      return false;
    return having.some((text) => text.length - text.indexOf(sign) - 1 !== 3 || text.startsWith(`0${sign}`));
  });
}

/**
 * @param columns Those that hold numbers. @param widthOf In any unit.
 * @returns How far the text of a cell ends before the right edge, in that unit; of cells that do not end there.
 */
export function decimalPads(
  table: Table,
  columns: ReadonlySet<number>,
  widthOf: (runs: Runs) => number,
): ReadonlyMap<Runs, number> {
  const pads = new Map<Runs, number>();
  const placed = placeCells(table.rows).filter(({ row, cell }) => cell.columns === 1 && !table.rows[row]!.header);
  for (const column of columns) {
    const numbers = placed.flatMap(({ column: own, cell }) => {
      const number = own === column ? splitNumber(cellText(cell)) : undefined;
      return number === undefined ? [] : [{ runs: cell.runs, ...number }];
    });
    // What stands behind numbers is part of what is compared.
    if (new Set(numbers.map(({ suffix }) => suffix)).size > 1) continue;
    const sign = decimalSignOf(numbers.map(({ digits }) => digits));
    if (sign === undefined) continue;
    const tails = numbers.map(({ runs, digits }) => {
      const text = runsText(runs);
      const whole = digits.includes(sign) ? digits.indexOf(sign) : digits.length;
      const from = Math.max(0, text.indexOf(digits)) + whole;
      return { runs, width: widthOf(sliceRuns(runs, from, text.length)) };
    });
    const widest = Math.max(...tails.map(({ width }) => width));
    for (const { runs, width } of tails) if (widest > width) pads.set(runs, widest - width);
  }
  return pads;
}
