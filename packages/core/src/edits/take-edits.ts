/** The edits that convert a document as a take does. */
import type { SingleEdit } from './kinds.ts';
import type { TakeSettings, WaySettings } from './take.ts';

/** By settings alone: slides that are as in other takes stay so. */
export const wayEdits = ({ name, map, prose, full, branches, speech }: WaySettings): readonly SingleEdit[] => [
  { kind: 'map', name, map, prose, ...(branches === undefined ? {} : { branches }) },
  { kind: 'full', rule: full },
  { kind: 'speech', share: speech ?? null },
];

/** All of a take, and nothing of others. */
export const takeEdits = ({ mixes = [], ...way }: TakeSettings): readonly SingleEdit[] => [
  ...wayEdits(way),
  { kind: 'mix', block: null, until: null, settings: null },
  ...mixes.map((mix) => ({ kind: 'mix', ...mix }) as const),
];
