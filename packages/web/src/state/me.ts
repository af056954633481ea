/** Who writes in this browser, for telling one's own edits from those of others; no more than a number that it made for itself. */
import { uuid } from '../worker/uuid.ts';

const KEY = 'alvex.me';
let known: string | undefined;

export function me(): string {
  if (known !== undefined) return known;
  try {
    const box = (globalThis as { localStorage?: Storage }).localStorage;
    known = box?.getItem(KEY) ?? uuid();
    box?.setItem(KEY, known);
  } catch {
    // A browser that keeps nothing is another one after each reload.
    known ??= uuid();
  }
  return known;
}
