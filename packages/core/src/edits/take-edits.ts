/** The edits that convert a document as a take does. */
import type { SingleEdit } from './kinds.ts';
import type { TakeSettings } from './take.ts';

export const takeEdits = ({
  name,
  map,
  prose,
  full,
  branches,
  speech,
  mixes = [],
}: TakeSettings): readonly SingleEdit[] => [
  { kind: 'map', name, map, prose, ...(branches === undefined ? {} : { branches }) },
  { kind: 'full', rule: full },
  { kind: 'speech', share: speech ?? null },
  { kind: 'mix', block: null, until: null, settings: null },
  ...mixes.map((mix) => ({ kind: 'mix', ...mix }) as const),
];
