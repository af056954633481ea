/** What the mark of a line says of the item that it begins. */
import type { MarkedLine } from '../../document/index.ts';
import type { Draft } from '../read-result.ts';

type Item = Draft & { readonly kind: 'listItem' };

export function itemOf(mark: MarkedLine | undefined, depth: number): Omit<Item, 'runs' | 'place'> {
  if (mark?.kind !== 'number') return { kind: 'listItem', depth, ordered: false };
  const number = mark.number ?? 1;
  return {
    kind: 'listItem',
    depth,
    ordered: true,
    number,
    ...(mark.mark === `${number}.` ? {} : { label: mark.mark }),
  };
}
