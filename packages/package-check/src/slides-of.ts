/** The slides of a presentation. */
import type { Package } from './open-package.ts';
import { values } from './xml.ts';

/** In the order in which they are shown. @param main The presentation's part. */
export function slidesOf(opened: Package, main: string): readonly string[] {
  const tree = opened.tree(main);
  const relationships = opened.relationships(main);
  return tree === undefined
    ? []
    : values(tree, '/p:presentation/p:sldIdLst/p:sldId/@r:id').flatMap((id) => relationships.get(id)?.target ?? []);
}
