/** Names of places in a document, to which its own links lead. */
import { nameOfLink, type Runs } from '../content/index.ts';
import { blockText, headingSlug, type Block } from '../document/index.ts';

/** Names that were met before the block that they belong to. */
export class PlaceNames {
  #open: string[] = [];

  add(name: string | undefined): void {
    if (name !== undefined && name !== '') this.#open.push(name);
  }

  /** The next block has all names that were met. */
  on<D extends Pick<Block, 'kind' | 'names'>>(draft: D): D {
    if (this.#open.length === 0 || draft.kind === 'break') return draft;
    const names = [...(draft.names ?? []), ...this.#open];
    this.#open = [];
    return { ...draft, names };
  }
}

/**
 * Keeps the names that links mean. Where no place has the name, a heading has it whose words it is made of: in small letters with
 * hyphens, as programs that show Markdown name their headings, or word for word (`Costs|outline`, OASIS ODF 1.3 part 3, §6.1.8).
 */
export function settleNames(blocks: readonly Block[]): readonly Block[] {
  const wanted = namesOfLinks(blocks);
  if (wanted.size === 0)
    return blocks.some(({ names }) => names !== undefined) ? blocks.map((block) => named(block, [])) : blocks;
  const found = new Set<string>();
  const kept = blocks.map((block) => {
    // Of two places of one name the first is meant (HTML Standard, "Navigating to a fragment").
    const names = (block.names ?? []).filter((name) => wanted.has(name) && !found.has(name));
    for (const name of names) found.add(name);
    return named(block, [...new Set(names)]);
  });
  const missing = [...wanted].filter((name) => !found.has(name));
  if (missing.length === 0) return kept;
  const byWords = new Map<string, number>();
  const seen = new Map<string, number>();
  kept.forEach((block, i) => {
    if (block.kind !== 'heading') return;
    const plain = headingSlug(blockText(block));
    const before = seen.get(plain) ?? 0;
    seen.set(plain, before + 1);
    for (const words of [before === 0 ? plain : `${plain}-${before}`, blockText(block).trim()])
      if (words !== '' && !byWords.has(words)) byWords.set(words, i);
  });
  const more = new Map<number, string[]>();
  for (const name of missing) {
    const words = name.replace(/\|outline$/, '').replace(/^(?:\d+\.)+(?=\D)/, '');
    const at = byWords.get(name) ?? byWords.get(name.toLowerCase()) ?? byWords.get(words);
    if (at !== undefined) more.set(at, [...(more.get(at) ?? []), name]);
  }
  return kept.map((block, i) => (more.has(i) ? named(block, [...(block.names ?? []), ...more.get(i)!]) : block));
}

function named(block: Block, names: readonly string[]): Block {
  if (names.length === (block.names?.length ?? 0)) return block;
  const { names: _, ...rest } = block;
  return names.length === 0 ? rest : { ...rest, names };
}

function namesOfLinks(blocks: readonly Block[]): ReadonlySet<string> {
  const names = new Set<string>();
  const take = (runs: Runs): void => {
    for (const { link } of runs) {
      const name = link === undefined ? undefined : nameOfLink(link);
      if (name !== undefined) names.add(name);
    }
  };
  for (const block of blocks)
    if ('runs' in block) take(block.runs);
    else if (block.kind === 'table') for (const { cells } of block.table.rows) for (const { runs } of cells) take(runs);
  return names;
}
