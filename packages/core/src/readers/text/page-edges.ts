/** Heads and feet of the pages of a plain text: lines beside its page ends that come again but for their numbers. */
import { groupBy } from '../../base/index.ts';
import type { LeftKind } from '../../document/index.ts';
import { isFilled, PAGE_END, type Line } from './line.ts';

const LEAST_PAGES = 3;

export function pageEdges(lines: readonly Line[]): ReadonlyMap<Line, LeftKind> {
  const pages: Line[][] = [[]];
  for (const line of lines) {
    if (line.text === PAGE_END) pages.push([]);
    else if (isFilled(line)) pages.at(-1)!.push(line);
  }
  const filled = pages.filter((page) => page.length > 0);
  const found = new Map<Line, LeftKind>();
  if (filled.length < LEAST_PAGES) return found;
  for (const at of [0, -1]) {
    const edges = filled.flatMap((page) => page.at(at) ?? []);
    for (const [key, group] of groupBy(edges, ({ text }) => text.replace(/\d+/g, '#').replace(/\s+/g, ' ')))
      if (group.length >= Math.max(LEAST_PAGES, filled.length * 0.4))
        for (const line of group) found.set(line, /\p{L}/u.test(key) ? 'running-head' : 'page-number');
  }
  return found;
}
