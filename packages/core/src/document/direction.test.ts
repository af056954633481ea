import { expect, test } from '@jest/globals';
import { doc, p } from '../test/build.ts';
import { firstStrong } from '../base/index.ts';
import { directionOf } from './direction.ts';

test('the first strong character decides; digits and signs are not strong', () => {
  expect(firstStrong('12 (טחנה) mill')).toBe('rtl');
  expect(firstStrong('“The” طاحونة')).toBe('ltr');
  expect(firstStrong('12 + 3')).toBeUndefined();
  expect(firstStrong('水車')).toBe('ltr');
});

test('what the original says comes before it', () => {
  const [block] = doc(p('The mill')).blocks;
  expect(directionOf(block!)).toBe('ltr');
  expect(directionOf({ ...block!, direction: 'rtl' })).toBe('rtl');
});
