/** Looks of lines, said to people. */
import { expect, test } from '@jest/globals';
import { detailText, lookText, reasonText } from './look-text.ts';

const plain = {
  size: undefined,
  bold: false,
  italic: false,
  caps: false,
  centred: false,
  numbered: 0,
  division: false,
};

test('a look is told in words', () => {
  expect(lookText(plain)).toBe('plain');
  expect(lookText({ ...plain, size: 11.26, bold: true, italic: true, caps: true, centred: true })).toBe(
    'bold, italic, 11.3 pt, capitals, centred',
  );
  expect(lookText({ ...plain, numbered: 1 })).toBe('numbered in one part');
  expect(lookText({ ...plain, numbered: 2 })).toBe('numbered in 2 parts');
  expect(lookText({ ...plain, numbered: 2, division: true })).toBe('names a part');
});

test('each reason has its words', () => {
  expect(reasonText({ why: 'larger', size: 16, usual: 11 })).toBe('16 pt where the text is 11 pt');
  expect(reasonText({ why: 'words', count: 1 })).toBe('1 word');
  expect(reasonText({ why: 'words', count: 3 })).toBe('3 words');
  expect(reasonText({ why: 'numbered', mark: '1.2' })).toBe('numbered 1.2');
});

test('what is found is told in short', () => {
  expect(detailText(null)).toBe('');
  expect(detailText({ is: 'skip', above: 2, level: 4 })).toBe('2 → 4');
  expect(detailText({ is: 'skip', above: null, level: 4 })).toBe('first heading → 4');
  expect(detailText({ is: 'words', count: 180 })).toBe('180 words');
  expect(detailText({ is: 'again', text: 'Costs', count: 2 })).toBe('“Costs”, number 2');
  expect(detailText({ is: 'often', text: 'Report', count: 9 })).toBe('“Report”, 9 times');
  expect(detailText({ is: 'under', text: 'Costs' })).toBe('under “Costs”');
});
