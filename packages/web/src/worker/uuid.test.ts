import { expect, test } from '@jest/globals';
import { uuid } from './uuid.ts';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

test('names are UUIDs, and never alike, whatever the browser gives', () => {
  const given = crypto.randomUUID.bind(crypto);
  for (const own of [given, undefined]) {
    Object.defineProperty(crypto, 'randomUUID', { configurable: true, value: own });
    const made = Array.from({ length: 100 }, uuid);
    for (const one of made) expect(one).toMatch(UUID);
    expect(new Set(made).size).toBe(100);
  }
  Object.defineProperty(crypto, 'randomUUID', { configurable: true, value: given });
});
