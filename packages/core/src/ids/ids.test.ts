import { describe, expect, test } from '@jest/globals';
import {
  anotherBlock,
  blockIn,
  copiedNote,
  copiedPart,
  dividedBlock,
  equalBlock,
  mapIds,
  matterOf,
  matterPart,
  matterSlide,
  noteOf,
  noteOfPart,
  ownId,
  pageKey,
  partOf,
  partWithin,
  relievedNote,
  relievedPart,
  slideAt,
  titleNote,
  titlePart,
  writtenNote,
  type BlockId,
  type NoteId,
  type PartId,
  type SlideId,
} from './index.ts';

const [old, now, other] = ['pold1', 'pnew1', 'lother'] as [BlockId, BlockId, BlockId];

test('ids are made of those they belong to; what stands in logs is read by the same marks', () => {
  expect([equalBlock(old, 0), equalBlock(old, 1), equalBlock(old, 2)]).toEqual(['pold1', 'pold1~2', 'pold1~3']);
  expect([anotherBlock(old), dividedBlock(old, 1), dividedBlock(old, 'h')]).toEqual(['pold1~', 'pold1+1', 'pold1+h']);
  expect([slideAt('s', old), slideAt('i', old), slideAt('c', old)]).toEqual(['spold1', 'ipold1', 'cpold1']);
  expect([partOf(old), partWithin(old, 0), partWithin(old, 2)]).toEqual(['pold1', 'pold1/0', 'pold1/2']);
  expect([noteOf(old), noteOf(old, 0), noteOf(old, 2)]).toEqual(['pold1', 'pold1', 'pold1.2']);
  const part = partWithin(old, 1);
  expect([noteOfPart(part), noteOfPart(part, 1), relievedNote(part), relievedNote(part, 1)]).toEqual([
    'pold1/1',
    'pold1/1.1',
    'pold1/1~',
    'pold1/1.1~',
  ]);
  const slide = slideAt('s', old);
  expect([titlePart(slide), titleNote(slide), writtenNote(slide, 3), pageKey(slide, 1)]).toEqual([
    'spold1.title',
    'spold1.title',
    'spold1!3',
    'spold1:1',
  ]);
  expect(ownId('ab-1')).toBe('AAB-1');
  expect(copiedPart(ownId('x'), partOf(old))).toBe('AX:pold1');
  expect(copiedNote(ownId('x'), noteOf(old, 1))).toBe('AX:pold1.1');
});

test('matter is known by its slide, the part of a rule’s note by the note', () => {
  expect([matterOf(matterSlide('agenda')), matterOf(slideAt('s', old))]).toEqual(['agenda', undefined]);
  expect(matterPart('sources', 2)).toBe('m-sources/2');
  expect(relievedPart(relievedNote(partOf(old)))).toBe('pold1');
  expect(relievedPart(noteOf(old))).toBeUndefined();
});

test('the block in an id is found among those that are there, and none where there is none', () => {
  const there = new Set<string>([old, other]);
  const ids = ['pold1', 'spold1', 'cpold1', 'pold1/2', 'pold1.1', 'pold1~', 'spold1!0', 'AX:pold1', 'AX:pold1.1'];
  for (const id of ids) expect([id, blockIn(id as PartId, there)]).toEqual([id, 'pold1']);
  for (const id of ['pgone', 'AX', 'm-agenda', '']) expect(blockIn(id as PartId, there)).toBeUndefined();
});

describe('where a block has another id', () => {
  const ids = mapIds(new Map([[old, now]]));
  test('so have all that are made of it, each after its kind', () => {
    expect(
      ['pold1', 'pold1+1', 'pold1+h', 'pold1~', 'pold1~+1', 'lother', 'pold1~2'].map((id) => ids.block(id as BlockId)),
    ).toEqual(['pnew1', 'pnew1+1', 'pnew1+h', 'pnew1~', 'pnew1~+1', 'lother', 'pold1~2']);
    expect(['spold1', 'ipold1', 'cpold1', 'slother', 'AX', 'm-agenda'].map((id) => ids.slide(id as SlideId))).toEqual([
      'spnew1',
      'ipnew1',
      'cpnew1',
      'slother',
      'AX',
      'm-agenda',
    ]);
    const parts = [
      'pold1',
      'pold1/2',
      'spold1.title',
      'AX:pold1/0',
      'AX:AY:pold1',
      'm-agenda/spold1',
      'm-key-points/pold1/1',
      'm-sources/0',
      'AZ',
    ];
    expect(parts.map((id) => ids.part(id as PartId))).toEqual([
      'pnew1',
      'pnew1/2',
      'spnew1.title',
      'AX:pnew1/0',
      'AX:AY:pnew1',
      'm-agenda/spnew1',
      'm-key-points/pnew1/1',
      'm-sources/0',
      'AZ',
    ]);
    const notes = [
      'pold1',
      'pold1.1',
      'pold1~',
      'pold1/1.2~',
      'spold1!12',
      'spold1.title',
      'AX:spold1!0',
      'AX:pold1.1',
      'AX!0',
    ];
    expect(notes.map((id) => ids.note(id as NoteId))).toEqual([
      'pnew1',
      'pnew1.1',
      'pnew1~',
      'pnew1/1.2~',
      'spnew1!12',
      'spnew1.title',
      'AX:spnew1!0',
      'AX:pnew1.1',
      'AX!0',
    ]);
  });
  test('an id that only begins like it stays', () => {
    expect(ids.block('pold12' as BlockId)).toBe('pold12');
    expect(ids.slide('spold12' as SlideId)).toBe('spold12');
    expect(ids.part('pold12/1' as PartId)).toBe('pold12/1');
  });
  test('a block whose own id ends in a mark is meant before one that was marked', () => {
    const twice = mapIds(
      new Map([
        ['pold1', 'pa'],
        ['pold1~', 'pb'],
      ]),
    );
    expect([twice.block('pold1~' as BlockId), twice.part('pold1~' as PartId), twice.note('pold1~' as NoteId)]).toEqual([
      'pb',
      'pb',
      'pb',
    ]);
  });
});
