/** What columns of sheets are called: A, B, …, Z, AA. @param i 0 is A. */
export const columnName = (i: number): string =>
  i < 26 ? String.fromCharCode(65 + i) : columnName(Math.floor(i / 26) - 1) + columnName(i % 26);
