/** How slides follow each other on a screen, and whether their points come one after the other. */

export const TRANSITIONS = ['none', 'fade', 'push', 'wipe'] as const;
export type Transition = (typeof TRANSITIONS)[number];

export interface Motion {
  /** How the slide comes. */
  readonly transition: Transition;
  /** Its points of the first level, with what stands below each, come one by one. */
  readonly points: boolean;
}

/** Nothing moves, unless its author wants it. */
export const STILL: Motion = { transition: 'none', points: false };
