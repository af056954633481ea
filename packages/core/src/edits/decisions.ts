/** What the edits decide before slides are made: map, look, and what single blocks become. */
import type { BranchRule, Destination, FullRule, LevelMap, MatterKind, Motion, Prose } from '../deck/index.ts';
import type { BlockId } from '../ids/index.ts';
import type { Rehearsal } from './rehearsal.ts';
import type { DeckLook, TemplateUse } from '../theme/index.ts';
import type { Mix, TakeSettings } from './take.ts';
import type { Target } from './target.ts';

export interface Decisions {
  readonly map:
    { readonly name: string | null; readonly map: LevelMap; readonly branches: readonly BranchRule[] } | undefined;
  readonly prose: Prose;
  readonly branches: readonly BranchRule[];
  /** Share of what the document gives to be spoken; null for all of it. */
  readonly speech: number | null;
  readonly look: DeckLook;
  readonly template: TemplateUse | null;
  readonly full: FullRule;
  readonly motion: Motion;
  /** Front and back matter that was asked for or sent away; what is absent is as usual. */
  readonly matter: ReadonlyMap<MatterKind, boolean>;
  readonly target: Target | null;
  readonly pace: number /* words a minute */;
  readonly takes: ReadonlyMap<string, TakeSettings>;
  /** Slides that are converted as a take is, by the passages with which they begin. */
  readonly mixes: ReadonlyMap<BlockId, Mix>;
  /** Separators and page breaks start slides. */
  readonly breaks: boolean;
  readonly turned: ReadonlyMap<BlockId, Destination>;
  readonly cuts: ReadonlySet<BlockId>;
  readonly joins: ReadonlySet<BlockId>;
  /** Remarks that the author leaves as they are; see `acceptance`. */
  readonly accepted: ReadonlySet<string>;
  /** Oldest first. */
  readonly rehearsals: ReadonlyMap<string, Rehearsal>;
}

/** Words a minute, spoken to an audience. */
export const USUAL_PACE = 130;

type Mutable<T> = { -readonly [K in keyof T]: T[K] };
/** Decisions while edits are gone through. */
export type DecisionsDraft = Mutable<
  Omit<Decisions, 'matter' | 'takes' | 'mixes' | 'turned' | 'cuts' | 'joins' | 'accepted' | 'rehearsals'>
> & {
  readonly matter: Map<MatterKind, boolean>;
  readonly takes: Map<string, TakeSettings>;
  readonly mixes: Map<BlockId, Mix>;
  readonly turned: Map<BlockId, Destination>;
  readonly cuts: Set<BlockId>;
  readonly joins: Set<BlockId>;
  readonly accepted: Set<string>;
  readonly rehearsals: Map<string, Rehearsal>;
};
