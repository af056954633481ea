import { beforeEach, expect, test } from '@jest/globals';
import { handedOver, inOrderOfUse, lastSize, usedLast } from './handed.ts';

const kept = new Map<string, string>();
Object.assign(globalThis, {
  localStorage: {
    getItem: (name: string) => kept.get(name) ?? null,
    setItem: (name: string, value: string) => {
      if (value.length > 20_000) throw new Error('full');
      kept.set(name, value);
    },
  },
});
beforeEach(() => kept.clear());

test('what was used last stands first, the rest as it is', () => {
  expect(usedLast()).toEqual([]);
  handedOver('pages', 'a.pdf', 1);
  handedOver('text', 'a.md', 2);
  handedOver('pages', 'a.pdf', 3);
  expect(inOrderOfUse(['presentation', 'page', 'pages', 'text'], usedLast())).toEqual([
    ...['pages', 'text', 'presentation', 'page'],
  ]);
});

test('the last size of each file is remembered, of so many files', () => {
  for (let i = 0; i < 100; i++) handedOver('pages', `${i}.pdf`, i);
  handedOver('pages', '99.pdf', 7);
  expect([lastSize('99.pdf'), lastSize('98.pdf'), lastSize('1.pdf')]).toEqual([7, 98, undefined]);
});

test('a browser that keeps nothing, or something else, hands over all the same', () => {
  kept.set('alvex-handed', '{"no": ');
  kept.set('alvex-handed-sizes', 'null');
  expect([usedLast(), lastSize('a')]).toEqual([[], undefined]);
  kept.set('alvex-handed', '{"an": "object"}');
  expect(usedLast()).toEqual([]);
  handedOver('text', 'x'.repeat(30_000), 1);
  expect(lastSize('x'.repeat(30_000))).toBeUndefined();
});
