/** Values of attributes, as the standard writes them; what cannot be is passed over. */

/** What an attribute counts; something usual where it says nothing, or nothing that can be. */
export function numberIn(value: string | undefined, usual: number): number {
  const number = value === undefined || value.trim() === '' ? NaN : Number(value);
  return Number.isFinite(number) && Math.abs(number) < MOST ? number : usual;
}
/** Lengths in EMU are less by far (§20.1.10.16). */
const MOST = 1e12;

/** A share as the standard writes it: thousandths of a percent, or in the strict kind with its sign (§22.9.2.9). */
export const shareOf = (value: string | undefined): number =>
  value === undefined ? NaN : value.endsWith('%') ? Number(value.slice(0, -1)) / 100 : Number(value) / 100_000;

/** A truth (ECMA-376-1 §22.9.2.7 and XML Schema's own spellings); undefined where nothing is said. */
export const flagIn = (value: string | undefined): boolean | undefined =>
  value === undefined ? undefined : value === '1' || value === 'true' || value === 'on';
