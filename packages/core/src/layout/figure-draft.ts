/** What all figures are made of. */
import { plain } from '../content/index.ts';
import type { FigureItem } from './figure-items.ts';
import type { Words } from './figure-pen.ts';
import type { ConnectorBox, IconBox, Para, ShapeBox } from './page.ts';

export interface SetItem extends FigureItem {
  /** It is the heading of what stands below it. */
  readonly heads: boolean;
}
export type FigureShape = ShapeBox | IconBox | ConnectorBox;
export interface FigureDraft {
  readonly shapes: readonly FigureShape[];
  readonly words: readonly Words[];
  /** Share of the room that it takes at least, where that is more than of most. */
  readonly least?: number;
}

export const itemParas = ({ part, runs, heads, details }: SetItem): readonly Para[] => [
  { part, style: heads ? 'item' : 'plain', level: 1, runs },
  ...details,
];
/** Not the author's words: a number. */
export const label = (text: string): Para => ({ part: null, style: 'item', level: 1, runs: plain(text) });

export const TOP_LEFT = { anchor: 'top', align: 'left' } as const;
export const MIDDLE = { anchor: 'middle', align: 'center' } as const;
