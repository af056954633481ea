/** Symbols for slides, by meaning; the list of them is loaded when it is first asked for. */
import { searchWords, TagIndex, type Icon } from '@alvex/core';
import type { IconEntry } from './icon-list.ts';

let index: Promise<TagIndex<IconEntry>> | undefined;

function iconIndex(): Promise<TagIndex<IconEntry>> {
  index ??= import('./icon-entries.ts').then(({ ICONS }) => new TagIndex(ICONS));
  index.catch(() => (index = undefined));
  return index;
}

/** Symbols that suit each text, the best first. */
export async function findIcons(texts: readonly string[], most: number): Promise<readonly (readonly Icon[])[]> {
  const found = await iconIndex();
  return texts.map((text) => found.search(searchWords(text), most).map(({ name, paths }) => ({ name, paths })));
}
