/** Symbols for slides, by meaning: the free package Tabler Icons (MIT), loaded when it is first asked for. */
import { searchWords, TagIndex, type Icon, type Tagged } from '@alvex/core';

interface IconEntry extends Tagged {
  readonly paths: readonly string[];
}
type Nodes = Readonly<Record<string, readonly (readonly [string, { readonly d: string; readonly fill?: string }])[]>>;
type About = Readonly<Record<string, { readonly category: string; readonly tags: readonly (string | number)[] }>>;

/** Marks of companies, letters and arrows say nothing of a text. */
const LEFT_OUT = new Set([
  'Brand',
  'Letters',
  'Numbers',
  'Laundry',
  'Zodiac',
  'Gender',
  'Version control',
  'Extensions',
]);

let index: Promise<TagIndex<IconEntry>> | undefined;

function iconIndex(): Promise<TagIndex<IconEntry>> {
  index ??= Promise.all([import('@tabler/icons/icons.json'), import('@tabler/icons/tabler-nodes-outline.json')]).then(
    ([about, nodes]) => {
      const tags = about.default as unknown as About;
      return new TagIndex(
        Object.entries(nodes.default as unknown as Nodes).flatMap(([name, shapes]): readonly IconEntry[] => {
          const known = tags[name];
          if (known === undefined || LEFT_OUT.has(known.category) || name.endsWith('-off')) return [];
          const paths = shapes.flatMap(([, { d, fill }]) => (fill === undefined ? [d] : []));
          return paths.length === 0 ? [] : [{ name, tags: known.tags.map(String), paths }];
        }),
      );
    },
  );
  index.catch(() => (index = undefined));
  return index;
}

/** Symbols that suit each text, the best first. */
export async function findIcons(texts: readonly string[], most: number): Promise<readonly (readonly Icon[])[]> {
  const found = await iconIndex();
  return texts.map((text) => found.search(searchWords(text), most).map(({ name, paths }) => ({ name, paths })));
}
