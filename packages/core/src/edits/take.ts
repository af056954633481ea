/** Ways to convert a document that are kept beside one another. */
import type { BlockId } from '../ids/index.ts';
import type { BranchRule, FullRule, LevelMap, Prose } from '../deck/index.ts';

/** How a document is converted. */
export interface WaySettings {
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

/** What takes differ in. */
export interface TakeSettings extends WaySettings {
  /** Slides that are as in other takes. */
  readonly mixes?: readonly (Mix & { readonly block: BlockId })[];
}

/** Passages that are converted by other settings. */
export interface Mix {
  /** The first passage that is no more among them; null for none. */
  readonly until: BlockId | null;
  readonly settings: WaySettings;
}
