/** Goes through the edits and gathers what they decide. */
import { STILL, WHOLE } from '../deck/index.ts';
import { DEFAULT_DESIGN, plainLook } from '../theme/index.ts';
import { USUAL_PACE, type Decisions, type DecisionsDraft } from './decisions.ts';
import type { Edit } from './edit.ts';
import { kindOf } from './kinds.ts';

export function decide(edits: readonly Edit[]): Decisions {
  const draft: DecisionsDraft = {
    map: undefined,
    prose: WHOLE,
    branches: [],
    speech: null,
    look: plainLook(DEFAULT_DESIGN.name),
    template: null,
    full: 'continue',
    motion: STILL,
    matter: new Map(),
    target: null,
    pace: USUAL_PACE,
    takes: new Map(),
    mixes: new Map(),
    breaks: false,
    turned: new Map(),
    cuts: new Set(),
    joins: new Set(),
    accepted: new Set(),
    rehearsals: new Map(),
  };
  for (const edit of edits) if (edit.kind !== 'all' && edit.kind !== 'unknown') kindOf(edit).decide?.(draft, edit);
  return draft;
}
