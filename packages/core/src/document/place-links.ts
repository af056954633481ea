/** Links that lead to a place in the document itself. */
import { remembered } from '../base/index.ts';
import { nameOfLink } from '../content/index.ts';
import type { BlockId } from '../ids/index.ts';
import type { Block } from './block.ts';

/** Where each name of a place stands. */
export const namedPlaces = remembered(
  (blocks: readonly Block[]): ReadonlyMap<string, BlockId> =>
    new Map(blocks.flatMap(({ id, names = [] }) => names.map((name) => [name, id] as const)).toReversed()),
);

/** Names for the places that links mean, for a document that is written: `place_1`. */
export class Anchors {
  readonly #at = new Map<string, string>();

  /** @param blocks All that is written and can have a name. */
  constructor(blocks: readonly Block[]) {
    let places = 0;
    for (const { names = [] } of blocks) {
      if (names.length === 0) continue;
      const anchor = `place_${++places}`;
      for (const name of names) if (!this.#at.has(name)) this.#at.set(name, anchor);
    }
  }

  /** Where a link within the document leads; undefined for one that leads nowhere. */
  of(link: string): string | undefined {
    return this.#at.get(nameOfLink(link) ?? '');
  }

  at({ names = [] }: Pick<Block, 'names'>): string | undefined {
    return this.#at.get(names[0] ?? '');
  }
}

/** What programs that show Markdown call a heading: its words in small letters, with hyphens between. */
export const headingSlug = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[^\p{L}\p{M}\p{N}\p{Pc}\- ]/gu, '')
    .replace(/ /g, '-');
