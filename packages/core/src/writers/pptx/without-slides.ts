/** What a file says of slides that are left out: custom shows, ranges, lists of views, jumps (ECMA-376-1 §19.2.1, §20.1.2.2.23). */
import { nodesWithin, withContent, type XmlContent, type XmlNode } from '../../container/index.ts';

/** Lists that are nothing without what they list. */
const LISTS: ReadonlySet<string> = new Set(['p:custShow', 'p:custShowLst', 'p:sldLst']);
const CUSTOM_SHOW = /^ppaction:\/\/customshow\?id=(\d+)/i;

/** Ids of the custom shows that have none of their slides left. */
export const emptyShows = (presentation: XmlNode, gone: ReadonlySet<string>): ReadonlySet<string> =>
  new Set(
    nodesWithin(presentation, 'p:custShow')
      .filter((show) => nodesWithin(show, 'p:sld').every((slide) => gone.has(slide.attributes['r:id'] ?? '')))
      .map(({ attributes }) => attributes.id ?? ''),
  );

/**
 * A part without what leads to slides that are gone.
 * @param gone Its relationships to them. @param shows Ids of custom shows that are gone.
 */
export function withoutSlides(root: XmlNode, gone: ReadonlySet<string>, shows: ReadonlySet<string>): XmlNode {
  const leads = ({ attributes }: XmlNode): boolean =>
    Object.entries(attributes).some(([name, value]) => name.startsWith('r:') && gone.has(value));
  const isGone = (node: XmlNode): boolean => {
    const show = CUSTOM_SHOW.exec(node.attributes.action ?? '')?.[1];
    return leads(node) || (show !== undefined && shows.has(show)) || isRange(node);
  };
  const content = root.content.flatMap((one): XmlContent[] => {
    if (!('children' in one)) return [one];
    if (isGone(one)) return [];
    const inner = withoutSlides(one, gone, shows);
    return inner.children.length === 0 && one.children.length > 0 && LISTS.has(one.name) ? [] : [inner];
  });
  const same = content.length === root.content.length && content.every((one, i) => one === root.content[i]);
  return same ? root : withContent(root, content);
}

/** Which slides are shown: the numbers are others now, and ours are to be shown too. */
const isRange = ({ name, attributes }: XmlNode): boolean =>
  name === 'p:sldRg' || (name === 'p:custShow' && attributes.name === undefined);
