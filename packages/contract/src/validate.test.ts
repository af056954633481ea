/** What the server takes in: every kind of edit that the core can make, and nothing else. */
import { describe, expect, test } from '@jest/globals';
import { convert, presetRecipe, type Edit } from '@alvex/core';
import { random, randomDocument } from '../../core/src/test/build.ts';
import { randomSlideEdit } from '../../core/src/test/random-edits.ts';
import { validateAppendEntries, validateNewOwnMap, validateNewParts, validateRenameDeck } from './validate.ts';

const takes = (entry: unknown): boolean => validateAppendEntries({ base: 0, entries: [entry] }).ok;
const document = randomDocument(random(5), 60);

describe('entries', () => {
  test('of any work on slides are taken, one by one and as one action', () => {
    const next = random(11);
    const { deck } = convert(document, []);
    const edits = Array.from({ length: 200 }, (_, i) => randomSlideEdit(next, deck, i));
    for (const edit of edits) expect([edit, takes(edit)]).toEqual([edit, true]);
    expect(takes({ kind: 'all', edits })).toBe(true);
    expect(new Set(edits.map(({ kind }) => kind)).size).toBeGreaterThan(13);
  });
  test('of any recipe are taken', () => {
    for (const name of ['talk', 'lesson', 'prompter'] as const) {
      const recipe = presetRecipe(name, document);
      expect(takes({ kind: 'map', name, ...recipe } satisfies Edit)).toBe(true);
      expect(takes({ kind: 'take', take: 't', settings: { name, full: 'columns', ...recipe } } satisfies Edit)).toBe(
        true,
      );
    }
  });
  test.each([
    [{ kind: 'fullAt', slides: ['s'], rule: 'explode' }],
    [{ kind: 'prose', prose: { as: 'short' } }],
    [{ kind: 'prose', prose: { as: 'whole', density: 'half' } }],
    [{ kind: 'target', target: { unit: 'minutes', amount: 0 } }],
    [{ kind: 'pace', rate: 5 }],
    [{ kind: 'pace', rate: 120.5 }],
    [{ kind: 'level', parts: ['p'], by: 9 }],
    [{ kind: 'insert', slide: 's', part: 'p', after: null, level: 6, runs: [] }],
    [{ kind: 'insert', slide: 's', part: '', after: null, level: 1, runs: [] }],
    [{ kind: 'add', slide: 's', after: null, title: [{ text: 'x', link: 'javascript:x' }] }],
    [{ kind: 'edition', original: 'x', type: 'docx', fileName: 'a', ids: [] }],
    [{ kind: 'edition', original: 'a'.repeat(64), type: 'docx', fileName: 'a', ids: [['a']] }],
    [{ kind: 'all', edits: [] }],
    [{ kind: 'all', edits: [{ kind: 'undo' }] }],
    [{ kind: 'all', edits: [{ kind: 'all', edits: [{ kind: 'cut', block: 'x' }] }] }],
    [null],
    ['cut'],
  ])('%j is refused', (entry) => expect(takes(entry)).toBe(false));
  test('are refused with the place of the fault', () => {
    const refused = validateAppendEntries({ base: 0, entries: [{ kind: 'cut', block: 5 }] });
    expect(refused).toMatchObject({ ok: false, fault: expect.stringContaining('/entries/0/block') as never });
  });
  test('may be named by a batch, which is a UUID', () => {
    const body = { base: 0, entries: [{ kind: 'undo' }] };
    expect(validateAppendEntries({ ...body, batch: '2f0c6bb2-32a3-4c1c-9d0b-0d1c64b0f4ad' }).ok).toBe(true);
    expect(validateAppendEntries({ ...body, batch: 'mine' }).ok).toBe(false);
  });
});

test('names have words, maps all kinds, parts a hash', () => {
  expect(validateRenameDeck({ name: ' x ' }).ok).toBe(true);
  expect(validateRenameDeck({ name: '   ' }).ok).toBe(false);
  const { map, prose } = presetRecipe('talk', document);
  expect(validateNewOwnMap({ name: 'a', map, prose }).ok).toBe(true);
  expect(validateNewOwnMap({ name: 'a', map: { ...map, other: 'out' }, prose }).ok).toBe(false);
  expect(validateNewOwnMap({ name: 'a', map: { body: 'out' }, prose }).ok).toBe(false);
  expect(validateNewParts({ parts: [{ hash: 'a'.repeat(64), name: 'a.md' }] }).ok).toBe(true);
  expect(validateNewParts({ parts: [] }).ok).toBe(false);
});
