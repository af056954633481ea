/** What was not sent survives the window that wrote it. Stands in for the browser's store and locks. */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { Unsent, type Batch } from './unsent.ts';

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

const leftBehind = (deck: string): Promise<readonly Batch[]> => new Unsent(deck).takeOver();
const batch = (id: string): Batch => ({ id, entries: [{ kind: 'cut', block: id as never }] });

test('a window that is open keeps its own; when it is gone the next one takes it over, once', async () => {
  const window = new Unsent('deck');
  expect(window.keep([batch('a'), batch('b')])).toBe(true);
  expect(await leftBehind('deck')).toEqual([]);
  window.end();
  await new Promise((resolve) => setTimeout(resolve));
  expect(await leftBehind('other')).toEqual([]);
  const next = new Unsent('deck');
  expect(await next.takeOver()).toEqual([batch('a'), batch('b')]);
  expect(await leftBehind('deck')).toEqual([]);
  // It is the next one's until that has sent it.
  next.end();
  await new Promise((resolve) => setTimeout(resolve));
  expect(await leftBehind('deck')).toEqual([batch('a'), batch('b')]);
});

test('what is taken over is nowhere missing on the way, and what cannot be understood stays', async () => {
  kept.set('alvex.unsent.deck.old', JSON.stringify([batch('a')]));
  kept.set('alvex.unsent.deck.odd', '{ no json');
  const box = (globalThis as { localStorage?: Storage }).localStorage!;
  const remove = box.removeItem.bind(box);
  box.removeItem = (key) => {
    expect([...kept].filter(([other, text]) => other !== key && text.includes('"a"'))).toHaveLength(1);
    remove(key);
  };
  expect(await new Unsent('deck').takeOver()).toEqual([batch('a')]);
  expect(kept.get('alvex.unsent.deck.odd')).toBe('{ no json');
  expect(kept.has('alvex.unsent.deck.old')).toBe(false);
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
