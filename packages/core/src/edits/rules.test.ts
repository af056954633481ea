/** What a deck says of any document. */
import { expect, test } from '@jest/globals';
import { presetMap } from '../mapping/index.ts';
import { doc, h, p } from '../test/build.ts';
import { USUAL_FOOT } from '../theme/index.ts';
import type { PictureId } from '../content/index.ts';
import type { BlockId, PartId, SlideId } from '../ids/index.ts';
import type { Edit } from './edit.ts';
import { ruleOf, rulesOf } from './rules.ts';

const document = doc(h(1, 'Gates'), p('Of oak.'));
const block = document.blocks[0]!.id;
const map = presetMap('talk', document);

test('of two of the same the last counts, in the order in which they were said', () => {
  const edits: readonly Edit[] = [
    { kind: 'theme', theme: 'slipway' },
    { kind: 'matter', part: 'agenda', on: true },
    {
      kind: 'all',
      edits: [
        { kind: 'matter', part: 'sources', on: true },
        { kind: 'mode', dark: true },
      ],
    },
    { kind: 'theme', theme: 'pebble' },
    { kind: 'matter', part: 'agenda', on: false },
  ];
  expect(rulesOf(edits)).toEqual([
    { kind: 'matter', part: 'sources', on: true },
    { kind: 'mode', dark: true },
    { kind: 'theme', theme: 'pebble' },
    { kind: 'matter', part: 'agenda', on: false },
  ]);
});

test('what is of places in one document, is no rule; a logo goes with the foot', () => {
  const picture = { id: 'x' as PictureId, mime: 'image/png', width: 1, height: 1 } as const;
  const logo = { picture, alt: 'Logo', on: [] };
  const edits: readonly Edit[] = [
    { kind: 'map', name: null, map, branches: [{ block, text: 'body', to: 'notes' }] },
    { kind: 'branch', block, text: 'body', to: 'slide' },
    { kind: 'cut', block },
    { kind: 'retitle', slide: 's' as SlideId, runs: [{ text: 'T' }] },
    { kind: 'level', parts: ['p' as PartId], by: 1 },
    {
      kind: 'foot',
      foot: { ...USUAL_FOOT, logo },
    },
  ];
  expect(rulesOf(edits)).toEqual([
    { kind: 'map', name: null, map },
    { kind: 'foot', foot: { ...USUAL_FOOT, logo } },
  ]);
  expect(ruleOf({ kind: 'cut', block: 'x' as BlockId })).toBeUndefined();
});
