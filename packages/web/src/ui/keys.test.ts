/** The list of keys: searched by words, and single signs can be turned off. */
import { beforeEach, expect, test } from '@jest/globals';
import { foundKeys, KEY_GROUPS, lettersOn, mayBeKey, turnLetters } from './keys.ts';

const kept = new Map<string, string>();
beforeEach(() => {
  kept.clear();
  globalThis.localStorage = {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, value: string) => void kept.set(name, value),
  } as Storage;
});

test('keys are found by all words of a search, by place, key and what they do', () => {
  expect(foundKeys('')).toEqual(KEY_GROUPS);
  const lines = (search: string) =>
    foundKeys(search).flatMap(({ place, keys }) => keys.map(([key]) => `${place}: ${key}`));
  expect(lines('Slides copy')).toEqual(['Slides: d']);
  expect(lines('branch raise')).toEqual(['Document: Alt ← →']);
  expect(lines('nothing of this')).toEqual([]);
});

test('no place has a key twice', () => {
  for (const { place, keys } of KEY_GROUPS)
    expect([place, new Set(keys.map(([key]) => key)).size]).toEqual([place, keys.length]);
});

test('single signs are keys until they are turned off; named keys always are', () => {
  expect([lettersOn(), mayBeKey({ key: 'd' }), mayBeKey({ key: 'Delete' })]).toEqual([true, true, true]);
  turnLetters(false);
  expect([lettersOn(), mayBeKey({ key: 'd' }), mayBeKey({ key: '1' }), mayBeKey({ key: '<' })]).toEqual([
    false,
    false,
    false,
    false,
  ]);
  expect(mayBeKey({ key: 'ArrowUp' })).toBe(true);
  turnLetters(true);
  expect(mayBeKey({ key: 'd' })).toBe(true);
});
