/** What was not sent survives the window that wrote it. Stands in for the browser's store and locks. */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { leftBehind, Unsent, type Batch } from './unsent.ts';

const kept = new Map<string, string>();
const held = new Set<string>();

beforeEach(() => {
  kept.clear();
  held.clear();
  Object.assign(globalThis, {
    localStorage: {
      get length() {
        return kept.size;
      },
      key: (i: number) => [...kept.keys()][i] ?? null,
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    },
  });
  Object.defineProperty(globalThis, 'navigator', {
    configurable: true,
    value: {
      locks: {
        request: async (name: string, ...rest: unknown[]) => {
          const work = rest.at(-1) as (lock: object | null) => Promise<unknown>;
          if (held.has(name)) return work(null);
          held.add(name);
          await work({ name });
          held.delete(name);
        },
      },
    },
  });
});
afterEach(() => {
  Reflect.deleteProperty(globalThis, 'localStorage');
});

const batch = (id: string): Batch => ({ id, entries: [{ kind: 'cut', block: id as never }] });

test('a window that is open keeps its own; when it is gone the next one takes it over, once', async () => {
  const window = new Unsent('deck');
  expect(window.keep([batch('a'), batch('b')])).toBe(true);
  expect(await leftBehind('deck')).toEqual([]);
  window.end();
  await new Promise((resolve) => setTimeout(resolve));
  expect(await leftBehind('other')).toEqual([]);
  expect(await leftBehind('deck')).toEqual([batch('a'), batch('b')]);
  expect(await leftBehind('deck')).toEqual([]);
});

test('what was sent is not kept any longer', async () => {
  const window = new Unsent('deck');
  window.keep([batch('a')]);
  window.keep([]);
  window.end();
  await new Promise((resolve) => setTimeout(resolve));
  expect(await leftBehind('deck')).toEqual([]);
});

test('a browser that keeps nothing says so', () => {
  Object.assign(globalThis, {
    localStorage: {
      setItem: () => {
        throw new Error('full');
      },
    },
  });
  expect(new Unsent('deck').keep([batch('a')])).toBe(false);
});
