import { expect, test } from '@jest/globals';
import { plain } from '../content/index.ts';
import { carryOver, currentEdition } from './carry-over.ts';
import type { OneEdit } from './edit.ts';
import type { EditionEdit } from './kinds/edition.ts';
import type { BlockId, SlideId, PartId } from '../ids/index.ts';

const edition = (...ids: readonly (readonly [string, string])[]): EditionEdit => ({
  kind: 'edition',
  original: 'f'.repeat(64),
  type: 'docx',
  fileName: 'b.docx',
  ids: ids as EditionEdit['ids'],
});
const slide = (id: string): SlideId => id as SlideId;
const block = (id: string): BlockId => id as BlockId;
const carried = (edit: OneEdit, ...ids: readonly (readonly [string, string])[]): OneEdit =>
  carryOver([edit, edition(...ids)])[0]!;

const CASES: readonly (readonly [object, object])[] = [
  [
    { kind: 'turn', block: 'pold1', to: 'notes' },
    { kind: 'turn', block: 'pnew1', to: 'notes' },
  ],
  [
    { kind: 'retitle', slide: slide('spold1'), runs: plain('pold1') },
    { kind: 'retitle', slide: slide('spnew1'), runs: plain('pold1') },
  ],
  [
    { kind: 'reword', part: 'pold1/2', runs: [] },
    { kind: 'reword', part: 'pnew1/2', runs: [] },
  ],
  [
    { kind: 'renote', slide: slide('cpold1'), replaces: ['pold1.1', 'spold1!0', 'pold1~'], anchor: 'pold1', notes: [] },
    { kind: 'renote', slide: slide('cpnew1'), replaces: ['pnew1.1', 'spnew1!0', 'pnew1~'], anchor: 'pnew1', notes: [] },
  ],
  [
    { kind: 'carry', parts: ['ABC:pold1' as PartId, 'other'], to: slide('spold1'), before: null },
    { kind: 'carry', parts: ['ABC:pnew1' as PartId, 'other'], to: slide('spnew1'), before: null },
  ],
  [
    { kind: 'order', slides: [slide('spold1'), slide('AX-1')], before: slide('spold1') },
    { kind: 'order', slides: [slide('spnew1'), slide('AX-1')], before: slide('spnew1') },
  ],
  [
    { kind: 'shape', shapes: [{ block: block('pold1'), as: { kind: 'quote' } }] },
    { kind: 'shape', shapes: [{ block: block('pnew1'), as: { kind: 'quote' } }] },
  ],
  [
    {
      kind: 'write',
      replaces: [block('pold1')],
      after: null,
      blocks: [{ kind: 'paragraph', id: block('pold1'), runs: plain('x') }],
    },
    {
      kind: 'write',
      replaces: [block('pnew1')],
      after: null,
      blocks: [{ kind: 'paragraph', id: block('pnew1'), runs: plain('x') }],
    },
  ],
  [
    { kind: 'theme', theme: 'pold1' },
    { kind: 'theme', theme: 'pold1' },
  ],
];
test.each(CASES)('%j names the block’s new id', (before, after) =>
  expect(carried(before as OneEdit, ['pold1', 'pnew1'])).toEqual(after),
);

test('ids that change places do so at once', () => {
  const ids = [
    ['pa', 'pb'],
    ['pb', 'pa'],
  ] as const;
  expect(carried({ kind: 'keep', blocks: [block('pa'), block('pb')] }, ...ids)).toEqual({
    kind: 'keep',
    blocks: ['pb', 'pa'],
  });
});

test('one of several equals is told from the others', () =>
  expect(carried({ kind: 'keep', blocks: [block('pa'), block('pa~2')] }, ['pa~2', 'pa'])).toEqual({
    kind: 'keep',
    blocks: ['pa', 'pa'],
  }));

test('edits after an edition are its own; the newest is in force', () => {
  const after: OneEdit = { kind: 'cut', block: 'pold1' as never };
  const [one, two] = [edition(['pold1', 'pnew1']), edition()];
  expect(carryOver([one, after, two])).toEqual([after]);
  expect(currentEdition([one, after, two])).toBe(two);
  expect(currentEdition([after])).toBeUndefined();
});
