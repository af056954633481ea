/** What was handed over last, and how large it was: kept in this browser. */

const ORDER = 'alvex-handed';
const SIZES = 'alvex-handed-sizes';
const MOST = 60; // files whose size is remembered

/** A list that was kept; empty where there is none, or something else. */
const read = <T>(name: string): readonly T[] => {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(name) ?? 'null');
    return Array.isArray(kept) ? (kept as T[]) : [];
  } catch {
    return [];
  }
};
const write = (name: string, value: unknown): void => {
  try {
    localStorage.setItem(name, JSON.stringify(value));
  } catch {
    // A browser without room remembers nothing, and hands over all the same.
  }
};

/** Names of cards, the one that was used last first. */
export const usedLast = (): readonly string[] => read<string>(ORDER);

type Size = readonly [file: string, bytes: number];

/** @param url Of the file with all its choices. */
export const lastSize = (url: string): number | undefined => read<Size>(SIZES).find(([file]) => file === url)?.[1];

export function handedOver(card: string, url: string, bytes: number): void {
  write(ORDER, [card, ...usedLast().filter((name) => name !== card)]);
  write(SIZES, [[url, bytes], ...read<Size>(SIZES).filter(([file]) => file !== url)].slice(0, MOST));
}

/** Those that were used stand first, the rest as they are. @returns The same names. */
export function inOrderOfUse<T extends string>(names: readonly T[], used: readonly string[]): readonly T[] {
  const at = (name: string): number => (used.includes(name) ? used.indexOf(name) : used.length);
  return names.toSorted((a, b) => at(a) - at(b));
}
