/** Ways to convert a document that are kept beside one another. */
import type { BranchRule, FullRule, LevelMap, Prose } from '../deck/index.ts';

/** How a document is converted; what takes differ in. */
export interface TakeSettings {
  /** Name of a ready-made map, or null. */
  readonly name: string | null;
  readonly map: LevelMap;
  readonly prose: Prose;
  readonly full: FullRule;
  /** Share of the notes that is spoken, where it is not all. */
  readonly speech?: number;
  /** Of the map. */
  readonly branches?: readonly BranchRule[];
}
