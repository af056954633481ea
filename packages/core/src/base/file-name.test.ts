import { expect, test } from '@jest/globals';
import { fileNameOf, numberedName } from './file-name.ts';

test('names are sorted as slides are, and stand on any disk', () => {
  expect(numberedName(7, 1200, 'A <b> "c"', 'png')).toBe('0007 A b c.png');
  expect(numberedName(3, 9, '', 'csv')).toBe('03.csv');
  expect(numberedName(3, 9, 'x'.repeat(200), 'png').length).toBeLessThan(70);
  expect(numberedName(3, 9, 'Ends …...', 'png')).toBe('03 Ends ….png');
  expect(numberedName(3, 9, `${'x'.repeat(59)}🚢 sails`, 'png')).toBe(`03 ${'x'.repeat(59)}🚢.png`);
  expect(fileNameOf('a/b\\c:\u0007d', 'deck')).toBe('a b c d');
  expect(fileNameOf(' / ', 'deck')).toBe('deck');
});
