import { expect, test } from '@jest/globals';
import { languageTag, saidIn } from './language-tag.ts';

test.each([
  ['en', 'en'],
  [' en_gb ', 'en-GB'],
  ['zh-hant-tw', 'zh-Hant-TW'],
  ['de-1996', 'de-1996'],
  ['x-mill', undefined],
  ['', undefined],
  [null, undefined],
  [undefined, undefined],
  ['en"><a:hlinkClick', undefined],
  ['en GB', undefined],
  ['-', undefined],
  ['e', undefined],
])('%s', (text, tag) => {
  expect(languageTag(text)).toBe(tag);
});

test('a table of languages is asked by the language alone, but for Chinese in traditional signs and the two of Norway', () => {
  const table = { en: 'hill', nb: 'ås', zh: '山', 'zh-hant': '嶺' };
  const said = ['en-GB', 'EN', 'nn-NO', 'no', 'zh-CN', 'zh-Hant', 'zh-TW', 'zh-HK', 'fr', '', null, undefined];
  expect(said.map((tag) => saidIn(table, tag))).toEqual([
    ...['hill', 'hill', 'ås', 'ås', '山', '嶺', '嶺', '嶺'],
    ...[undefined, undefined, undefined, undefined],
  ]);
  expect(saidIn({ zh: '山' }, 'zh-TW')).toBe('山');
});
