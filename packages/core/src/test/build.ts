/** Builds documents and decks by hand, for tests. */
import { plain, type Runs, type TableRow } from '../content/index.ts';
import { dress, plainLook, THEME_DESIGNS, type Theme } from '../theme/index.ts';
import { BlockIds, blockText, findTitle, type Block, type DocumentModel, type Level } from '../document/index.ts';

export type Draft = Block extends infer B ? (B extends Block ? Omit<B, 'id' | 'place'> : never) : never;

const runs = (text: string | Runs): Runs => (typeof text === 'string' ? plain(text) : text);

export const h = (level: Level, text: string): Draft => ({ kind: 'heading', level, runs: runs(text) });
export const p = (text: string | Runs, role?: 'title' | 'subtitle' | 'contents'): Draft => ({
  kind: 'paragraph',
  runs: runs(text),
  ...(role === undefined ? {} : { role }),
});
/** @param ordered The number of an item of a numbered list. */
export const li = (text: string | Runs, depth = 1, ordered: boolean | number = false): Draft => ({
  kind: 'listItem',
  depth,
  ordered: ordered !== false,
  ...(typeof ordered === 'number' ? { number: ordered } : {}),
  runs: runs(text),
});
export const quote = (text: string): Draft => ({ kind: 'quote', runs: runs(text) });
export const code = (text: string): Draft => ({ kind: 'code', text });
export const note = (text: string | Runs): Draft => ({ kind: 'footnote', label: '1', runs: runs(text) });
export const rule = (): Draft => ({ kind: 'break', type: 'rule' });
export const picture = (id: string | undefined, alt: string | null = null): Draft => ({
  kind: 'picture',
  alt,
  ...(id === undefined ? {} : { picture: id as never }),
});
export const table = (rows: readonly (readonly string[])[], header = true): Draft => ({
  kind: 'table',
  table: {
    columns: Math.max(...rows.map((row) => row.length)),
    rows: rows.map((cells, r): TableRow => ({
      header: header && r === 0,
      cells: cells.map((text) => ({ runs: runs(text), columns: 1, rows: 1 })),
    })),
  },
});

export function doc(...drafts: readonly Draft[]): DocumentModel {
  const ids = new BlockIds();
  const blocks = drafts.map((draft): Block => {
    const block = { ...draft, place: {} } as Block;
    return { ...block, id: ids.next(block.kind, blockText(block)) };
  });
  const title = findTitle(blocks);
  const pictures = [
    ...new Set(
      blocks.flatMap((block) => (block.kind === 'picture' && block.picture !== undefined ? [block.picture] : [])),
    ),
  ].map((id) => ({
    id,
    mime: 'image/png' as const,
    width: 400,
    height: 300,
  }));
  return {
    title: title === undefined ? null : blockText(title),
    author: null,
    language: null,
    blocks,
    pictures,
    diagnostics: [],
  };
}

/** A repeatable source of numbers from 0 to 1 (mulberry32). */
export function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const WORDS =
  'tide mill sluice pond wheel float gate stone flour silt damsel head quay spring neap rope miller grain 水車 Wassermühle мельница 🌊 antidisestablishmentarianism-and-more'.split(
    ' ',
  );

/** A random document of `size` blocks of every kind, with words from `WORDS`. */
export function randomDocument(next: () => number, size: number): DocumentModel {
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
  const words = (most: number): string =>
    Array.from({ length: 1 + Math.floor(next() * most) }, () => pick(WORDS)).join(' ');
  return doc(
    ...Array.from({ length: size }, (): Draft => {
      const roll = next();
      if (roll < 0.2) return h(pick([1, 2, 3, 4, 5, 6] as const), next() < 0.05 ? '' : words(next() < 0.1 ? 60 : 8));
      if (roll < 0.45) return li(words(14), pick([1, 1, 2, 3, 6]), next() < 0.3);
      if (roll < 0.75) return p(words(next() < 0.1 ? 500 : 60));
      if (roll < 0.8) return quote(words(30));
      if (roll < 0.85) return code(Array.from({ length: 1 + Math.floor(next() * 30) }, () => words(10)).join('\n'));
      if (roll < 0.89) return note(words(10));
      if (roll < 0.94)
        return table(
          Array.from({ length: 1 + Math.floor(next() * 40) }, () =>
            Array.from({ length: 1 + Math.floor(next() * 15) }, () => words(4)),
          ),
        );
      if (roll < 0.98) return picture(next() < 0.8 ? pick(['a', 'b']) : undefined, next() < 0.5 ? words(5) : null);
      return rule();
    }),
  );
}

/** Every theme that ships, as it is seen first. */
export const THEMES: readonly Theme[] = THEME_DESIGNS.map(({ name }) => dress(plainLook(name)));
