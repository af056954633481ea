import { expect, test } from '@jest/globals';
import { detectLanguage, isWrittenAs } from './detect-language.ts';
import type { LanguageTag } from './language-tag.ts';

const tag = (text: string): LanguageTag => text as LanguageTag;

test.each([
  ['en-GB', 'The mill stands at the mouth of the creek.'],
  ['de', 'Die Mühle steht an der Mündung und ist nicht alt.'],
  ['fr', 'Le moulin est fermé depuis hier et ne sera pas ouvert par la ville.'],
  ['sv', 'Kvarnen står vid floden och är gammal, men den ska inte rivas.'],
  ['pl', 'Młyn stoi nad rzeką i jest stary, ale nie jest zamknięty.'],
  ['tr', 'Değirmen nehrin kenarında ve çok eski bir yapıdır.'],
  ['ru', 'Мельница стоит у реки'],
  ['uk', 'Вітряк стоїть біля річки'],
  ['el', 'Ο μύλος στο ποτάμι'],
  ['ar', 'طاحونة المد والجزر'],
  ['fa', 'آسیاب در کنار رودخانه است'],
  ['he', 'הטחנה עומדת'],
  ['zh', '水车小屋'],
  ['ja', '水車は川のそばにあります。'],
  ['ko', '물레방아'],
  ['hi', 'मिल नदी'],
  ['th', 'โรงสี'],
])('%s: %s', (language, text) => expect(detectLanguage(text)).toBe(language));

test.each(['Costs', '12,500', 'Budget 2026', 'npm install', '', '—'])('%j tells no language', (text) =>
  expect(detectLanguage(text)).toBeUndefined(),
);

test('what stands around decides where the script leaves it open', () => {
  expect(detectLanguage('水車小屋', tag('ja-JP'))).toBe('ja-JP');
  expect(detectLanguage('Мельница стоит', tag('bg'))).toBe('bg');
  expect(detectLanguage('Вітряк стоїть', tag('ru'))).toBe('uk');
  expect(detectLanguage('물레방아', tag('ja'))).toBe('ko');
});

test('a language that is not written in the letters of a text is not its language', () => {
  expect(isWrittenAs(tag('ar-SA'), 'The mill')).toBe(false);
  expect(isWrittenAs(tag('en-US'), 'طاحونة')).toBe(false);
  expect(isWrittenAs(tag('ar-SA'), 'הטחנה')).toBe(false);
  expect(isWrittenAs(tag('fa'), 'طاحونة')).toBe(true);
  expect(isWrittenAs(tag('sr-Latn'), 'Мельница')).toBe(false);
  expect(isWrittenAs(tag('sr'), 'vodenica')).toBe(true);
  expect(isWrittenAs(tag('ar'), '12')).toBe(true);
});
