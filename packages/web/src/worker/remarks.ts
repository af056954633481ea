/** What Check asks: the remarks on the deck, what can be done about each, and about all of some kinds. */
import {
  isAccepted,
  faultsIn,
  lookedAt,
  lookThrough,
  repairAll,
  repaired,
  repairsOf,
  tally,
  type Converted,
  type Rule,
} from '@alvex/core';
import { uuid } from './uuid.ts';
import type { Held } from './held.ts';
import type { Answers, Asking } from './questions.ts';

const AT_ONCE = 40; // pages between which edits are answered

/** Goes on step by step, and lets edits be answered in between. @returns undefined when the deck became another meanwhile. */
async function inTurns<T>(steps: Generator<void, T>, { pause }: Held, atOnce = AT_ONCE): Promise<T | undefined> {
  for (let i = 1; ; i++) {
    const step = steps.next();
    if (step.done === true) return step.value;
    if (i % atOnce === 0 && !(await pause())) return undefined;
  }
}

export const remarks = async (held: Held): Promise<Answers['remarks']> =>
  (await inTurns(lookThrough(lookedAt(held.converted)), held)) ?? [];

export async function repairs({ kind, key }: Asking<'repairs'>, held: Held): Promise<Answers['repairs']> {
  const remark = (await remarks(held)).find((one) => one.kind === kind && one.key === key);
  return remark === undefined ? [] : ((await inTurns(repairsOf(remark, repairable(held)), held, 1)) ?? []);
}

/** So many at a time: the page tells how far it is, and asks for more. */
const AT_A_TIME = 20;

export async function mendAll({ kinds, edits, tried }: Asking<'mendAll'>, held: Held): Promise<Answers['mendAll']> {
  const deck = repairable(held);
  const begun = edits.length === 0 ? deck : repaired(deck, edits);
  return (await inTurns(repairAll(new Set(kinds), begun, tried, AT_A_TIME), held, 1)) ?? null;
}

/** For what a way adds. */
export const freshName = (): string => uuid().slice(0, 13);

const repairable = ({ document, edits, converted, templates }: Held) => ({
  original: document,
  edits,
  converted,
  templates,
  fresh: freshName,
});

/** Slides that can be shown as they are, those that their author accepts among them; the rules alone are quicker than all remarks. */
export async function readiness(held: Held): Promise<Answers['readiness']> {
  const { converted } = held;
  return tally(converted.pages, (await inTurns(brokenRules(converted), held)) ?? []);
}

function* brokenRules(converted: Converted): Generator<void, readonly (readonly Rule[])[]> {
  const { pages, map, decisions } = converted;
  const faultsAt = faultsIn(converted, map.body === 'slide');
  const faults: (readonly Rule[])[] = [];
  for (const [i, { slide }] of pages.entries()) {
    faults.push(faultsAt(i).filter((rule) => isAccepted(decisions.accepted, slide.id, rule) === undefined));
    yield;
  }
  return faults;
}
