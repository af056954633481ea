import { expect, test } from '@jest/globals';
import { languageTag } from './language-tag.ts';

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
