/** What a file says besides the document's words, it says in the deck's language. */
import { expect, test } from '@jest/globals';
import { strFromU8 } from 'fflate';
import { languageTag, type LanguageTag } from '../../base/index.ts';
import { ZipReader } from '../../container/index.ts';
import { convert, writeDeck } from '../../pipeline/index.ts';
import { doc, h, li } from '../../test/build.ts';
import { LAYOUT_NAMES, ROLES } from '../../theme/index.ts';
import { fileWords, itemName, roleName } from './words.ts';

const LANGUAGES = [
  ...(['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'pl', 'sv', 'da', 'nb', 'fi', 'cs', 'ru', 'uk', 'el', 'tr'] as const),
  ...(['ar', 'he', 'hi', 'th', 'ja', 'ko', 'zh'] as const),
];

test.each(LANGUAGES)('%s has a word for everything', (tag) => {
  const words = fileWords(tag as LanguageTag);
  expect(languageTag(words.language)?.startsWith(tag)).toBe(true);
  const all = [
    ...ROLES.map((role) => roleName(words, role)),
    ...LAYOUT_NAMES.map((layout) => itemName(words, layout)),
    ...[...words.levels, words.notes],
  ];
  for (const word of all) expect(word).toMatch(/^[\p{Lu}\p{Lo}][\p{L}\p{M} \d’-]*$/u);
  expect(new Set(ROLES.map((role) => roleName(words, role))).size).toBe(ROLES.length);
});

test('Norwegian has one set, and Chinese two', () => {
  const own = (tag: string) => fileWords(tag as LanguageTag).language;
  expect(['nn-NO', 'no', 'zh-SG', 'zh-Hant-HK', 'zh-TW'].map(own)).toEqual([
    'nb-NO',
    'nb-NO',
    'zh-CN',
    'zh-TW',
    'zh-TW',
  ]);
});

test('a language without words of its own has the English ones, and says so', () => {
  expect(fileWords('eu' as LanguageTag)).toBe(fileWords(null));
  expect(fileWords(null).language).toBe('en-GB');
});

test('objects, prompts and the notes’ master of a German deck are German', () => {
  const document = {
    ...doc(h(1, 'Die Mühle'), h(2, 'Ablauf'), li('Eins'), li('Zwei'), li('Drei')),
    language: 'de-AT' as LanguageTag,
  };
  const [, steps] = convert(document, []).deck.slides;
  const made = convert(document, [{ kind: 'layout', slides: [steps!.id], layout: 'steps' }]);
  const zip = new ZipReader(writeDeck('pptx', made, []));
  const text = (part: RegExp): string =>
    zip.names
      .filter((name) => part.test(name))
      .map((name) => strFromU8(zip.read(name)))
      .join('');
  const slides = text(/slides\/slide\d+\.xml$/);
  expect(slides).toContain('name="Titel 2"');
  expect(slides).toContain('name="Schritt 1: Eins"');
  expect(slides).not.toMatch(/name="(?:Title|Content|Step|Slide number)/);
  expect(text(/slideMaster1\.xml$/)).toMatch(/lang="de-DE"\/><a:t>Zweite Ebene</);
  expect(text(/slideLayout\d+\.xml$/)).not.toMatch(/<a:t>(?:Title|Second level)</);
  expect(text(/notesMaster1\.xml$/)).toMatch(/lang="de-DE"\/><a:t>Notizen</);
});
