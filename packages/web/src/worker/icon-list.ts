/** What is kept of the free package Tabler Icons (MIT): names, tags and outlines, without the marks of companies and the like. */
import type { Tagged } from '@alvex/core';

export interface IconEntry extends Tagged {
  readonly paths: readonly string[];
}
export type Nodes = Readonly<
  Record<string, readonly (readonly [string, { readonly d: string; readonly fill?: string }])[]>
>;
export type About = Readonly<
  Record<string, { readonly category: string; readonly tags: readonly (string | number)[] }>
>;

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

export const iconList = (about: About, nodes: Nodes): readonly IconEntry[] =>
  Object.entries(nodes).flatMap(([name, shapes]): readonly IconEntry[] => {
    const known = about[name];
    if (known === undefined || LEFT_OUT.has(known.category) || name.endsWith('-off')) return [];
    const paths = shapes.flatMap(([, { d, fill }]) => (fill === undefined ? [d] : []));
    return paths.length === 0 ? [] : [{ name, tags: known.tags.map(String), paths }];
  });
