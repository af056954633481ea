/** Small things that every stage leans on. */
import { describe, expect, test } from '@jest/globals';
import { firstStrong, hasRightToLeft } from './direction.ts';
import { increasingRun } from './increasing-run.ts';
import { holdsBytes } from './holds-bytes.ts';
import { joinBytes } from './join-bytes.ts';
import { getOrMake, remembered } from './remember.ts';
import { placeText, Report } from './report.ts';
import { decodeBase64, decodeText, encodeBase64, isWide } from './text-codec.ts';

test.each([
  ['tide', 'ltr', false],
  ['12 (—)', undefined, false],
  ['12 طاحونة tide', 'rtl', true],
  ['tide טחנה', 'ltr', true],
  ['', undefined, false],
])('%j runs %s', (text, direction, mixed) => {
  expect(firstStrong(text)).toBe(direction);
  expect(hasRightToLeft(text)).toBe(mixed);
});

test('what has kept its order is the longest run that increases; what is not there counts for nothing', () => {
  const run = (...values: readonly number[]) => [...increasingRun(values)].sort((a, b) => a - b);
  expect(run()).toEqual([]);
  expect(run(-1, -1)).toEqual([]);
  expect(run(0, 1, 2)).toEqual([0, 1, 2]);
  expect(run(2, 1, 0)).toHaveLength(1);
  expect(run(3, 0, -1, 1, 4, 2)).toEqual([1, 3, 5]);
  expect(run(0, 5, 1, 2, 3)).toEqual([0, 2, 3, 4]);
  // Two of the same are no increase.
  expect(run(1, 1, 1)).toHaveLength(1);
});

describe('a report', () => {
  test('tells each thing at each place once, and keeps every word', () => {
    const report = new Report();
    report.add('comments-left', { part: 'a.xml', paragraph: 2 }, { text: 'Ask  them' });
    report.add('comments-left', { part: 'a.xml', paragraph: 2 }, { text: 'Ask  them' });
    report.add('comments-left', { part: 'a.xml', paragraph: 3 }, { text: 'Ask  them' });
    report.add('comments-left', { part: 'a.xml', paragraph: 3 });
    report.mark('•');
    expect(report.diagnostics.map(({ params, place }) => [params['text'], place.paragraph])).toEqual([
      ['Ask them', 2],
      ['Ask them', 3],
      [undefined, 3],
    ]);
    expect(report.told).toEqual(['Ask  them', 'Ask  them', 'Ask  them', '•']);
  });

  test('shortens what it quotes to a hundred characters, and no less', () => {
    const quoted = (text: string) => {
      const report = new Report();
      report.add('comments-left', {}, { text });
      expect(report.told).toEqual([text]);
      return report.diagnostics[0]!.params['text'];
    };
    expect(quoted('t'.repeat(100))).toBe('t'.repeat(100));
    expect(quoted('t'.repeat(101))).toBe(`${'t'.repeat(99)}…`);
    expect(quoted(`${'t'.repeat(98)} ttt`)).toBe(`${'t'.repeat(98)}…`);
  });

  test('says a place in words, from the largest to the smallest', () => {
    expect(placeText({ file: 'f', part: 'p', page: 3, paragraph: 4, line: 5 })).toBe(
      'f, p, page 3, paragraph 4, line 5',
    );
    expect(placeText({})).toBe('');
    expect(placeText({ line: 2 }, (text, { n }) => `${text.toUpperCase()} ${n}`)).toBe('LINE {N} 2');
  });
});

describe('text of unknown encoding', () => {
  const wide = (text: string, big = false): Uint8Array => {
    const bytes = Buffer.from(text, 'utf16le');
    return new Uint8Array(big ? bytes.swap16() : bytes);
  };
  const one = (...bytes: readonly number[]) => Uint8Array.from(bytes);

  test('is told by its mark, by zeros beside its letters, by being valid, or by what it says', () => {
    expect(decodeText(one(0xef, 0xbb, 0xbf, 0x61))).toBe('a');
    expect(decodeText(one(0xff, 0xfe, ...wide('müh')))).toBe('müh');
    expect(decodeText(one(0xfe, 0xff, ...wide('müh', true)))).toBe('müh');
    expect(decodeText(wide('The tide mill'))).toBe('The tide mill');
    expect(decodeText(wide('The tide mill', true))).toBe('The tide mill');
    expect(decodeText(new TextEncoder().encode('müh 水'))).toBe('müh 水');
    expect(decodeText(one(0xec, 0xe8, 0xeb), 'windows-1251')).toBe('мил');
    expect(decodeText(one(0x6d, 0xfc, 0x68), 'no such')).toBe('müh');
    // As Windows writes it, by whatever name a text calls that.
    for (const name of [undefined, 'windows-1252', 'iso-8859-1', 'latin1', 'us-ascii'])
      expect(decodeText(one(0x80, 0x20, 0x93, 0x61, 0x94, 0x97, 0x9f, 0xff), name)).toBe('€ “a”—Ÿÿ');
    expect(decodeText(one())).toBe('');
  });

  test('a few zeros are none of UTF-16, nor is a text too short to tell', () => {
    expect(isWide(wide('The tide'))).toBe(true);
    expect(isWide(wide('The tid'))).toBe(false);
    expect(isWide(new Uint8Array(100))).toBe(false);
    expect(isWide(Uint8Array.from({ length: 100 }, (_, i) => (i % 10 === 1 ? 0 : 97)))).toBe(false);
    expect(isWide(Uint8Array.from({ length: 100 }, (_, i) => (i % 2 === 1 && i < 60 ? 0 : 97)))).toBe(true);
  });
});

test('bytes are found in others, wherever they begin', () => {
  const bytes = Uint8Array.of(1, 1, 2, 3, 1, 2);
  for (const there of [
    [1, 1, 2],
    [1, 2, 3],
    [1, 2],
    [3, 1, 2],
  ])
    expect(holdsBytes(bytes, there)).toBe(true);
  for (const gone of [
    [2, 1],
    [1, 2, 4],
    [3, 1, 2, 1],
  ])
    expect(holdsBytes(bytes, gone)).toBe(false);
});

test('bytes become Base64 and come back, of any length', () => {
  for (const length of [0, 1, 2, 3, 8192, 20_001]) {
    const bytes = Uint8Array.from({ length }, (_, i) => (i * 31) % 256);
    expect(encodeBase64(bytes)).toBe(Buffer.from(bytes).toString('base64'));
    expect(decodeBase64(encodeBase64(bytes))).toEqual(bytes);
  }
  expect(decodeBase64('§')).toBeUndefined();
  expect(joinBytes([Uint8Array.of(1, 2), Uint8Array.of(), Uint8Array.of(3)])).toEqual(Uint8Array.of(1, 2, 3));
});

test('what was made is made once, also where it is nothing', () => {
  let made = 0;
  const memory = new Map<string, number | null>();
  const make = () => (made++, null);
  expect([getOrMake(memory, 'a', make), getOrMake(memory, 'a', make)]).toEqual([null, null]);
  const twice = remembered((key: { readonly n: number }) => (made++, key.n * 2));
  const key = { n: 4 };
  expect([twice(key), twice(key), twice({ n: 4 })]).toEqual([8, 8, 8]);
  expect(made).toBe(3);
});
