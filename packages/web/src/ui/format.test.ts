import { expect, test } from '@jest/globals';
import { count, estimate, fileSize, grouped, percent, speakingTime } from './format.ts';

test('a number stands with its unit', () => {
  expect(count(1, 'slide')).toBe('1 slide');
  expect(count(0, 'slide')).toBe('0 slides');
  expect(count(12_345, 'word')).toBe('12,345 words');
  expect(grouped(1_000_000)).toBe('1,000,000');
});

test.each([
  [0, '0 s'],
  [65, '30 s'],
  [130, '1 min'],
  [195, '1 min 30 s'],
  [7800, '1 h'],
  [8450, '1 h 5 min'],
])('%d words take %s', (words, time) => expect(speakingTime(words, 130)).toBe(time));

test.each([
  [300, '1 kB'],
  [320_400, '320 kB'],
  [1_449_000, '1.4 MB'],
])('%d bytes are %s', (bytes, text) => expect(fileSize(bytes)).toBe(text));

test('a share is said in per cent', () => expect(percent(0.336)).toBe('34 %'));

test.each([
  [44, '40 s'],
  [100, '2 min'],
  [3_700, '1 h 2 min'],
])('%d seconds are about %s', (seconds, text) => expect(estimate(seconds)).toBe(text));
