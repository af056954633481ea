/** Finds pictures and symbols by the words of a slide: their names and tags, each rarer tag weighing more. */
import { englishFor } from './glossary.ts';

export interface Tagged {
  readonly name: string;
  readonly tags: readonly string[];
}

const COMMON = new Set(
  'the and for with from that this are was were will have has had not but into over under each all any our your their more most than then when what which who how its also can may must one two three new und der die das mit für von den dem ein eine ist sind les des une est pour dans avec sur los las una para con por que del'.split(
    ' ',
  ),
);
const SHORTEST = 3;

/** Words to search by: small, without those that say nothing, with what they mean in English. */
export function searchWords(text: string): readonly string[] {
  const words = text.toLowerCase().match(/\p{L}[\p{L}\p{N}]*/gu) ?? [];
  const kept = words.filter((word) => word.length >= SHORTEST && !COMMON.has(word));
  return [...new Set(kept.flatMap((word) => [word, ...englishFor(word)]))];
}

/** A word without the endings of plurals and forms, near enough to compare. */
const stem = (word: string): string =>
  word.length > 4 ? word.replace(/(?:ies)$/, 'y').replace(/(?:ings?|ed|es|s)$/, '') : word;

export class TagIndex<T extends Tagged> {
  readonly #byTag = new Map<string, Set<T>>();
  readonly #count: number;

  constructor(entries: readonly T[]) {
    this.#count = entries.length;
    for (const entry of entries)
      for (const tag of [...entry.name.split('-'), ...entry.tags.flatMap((one) => one.split(/[-\s]/))]) {
        const key = stem(tag.toLowerCase());
        const found = this.#byTag.get(key);
        if (found === undefined) this.#byTag.set(key, new Set([entry]));
        else found.add(entry);
      }
  }

  /** The entries that suit the words best; none where no word is a tag of any. */
  search(words: readonly string[], most: number): readonly T[] {
    const scores = new Map<T, number>();
    words.forEach((word, i) => {
      const found = this.#byTag.get(stem(word));
      if (found === undefined) return;
      // Earlier words of a title or a point say more of what it is about.
      const weight = Math.log(1 + this.#count / found.size) / (1 + i * 0.12);
      for (const entry of found) {
        const parts = entry.name.split('-');
        const named = parts.some((part) => stem(part) === stem(word)) ? (parts.length === 1 ? 2.4 : 1.5) : 1;
        scores.set(entry, (scores.get(entry) ?? 0) + weight * named);
      }
    });
    return [...scores]
      .sort(([a, x], [b, y]) => y - x || a.name.length - b.name.length || (a.name < b.name ? -1 : 1))
      .slice(0, most)
      .map(([entry]) => entry);
  }
}
