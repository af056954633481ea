/** What a rehearsal took. */
import type { SlideId } from '../ids/index.ts';

/** One time through the deck aloud. */
export interface Rehearsal {
  /** When it began, ISO 8601 in UTC. */
  readonly began: string;
  /** Spent on each slide that was shown, all visits together. */
  readonly seconds: readonly (readonly [SlideId, number])[];
  /** Slides at which the speaker stumbled. */
  readonly stumbled: readonly SlideId[];
}
