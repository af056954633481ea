/** The catalogue: every text of the interface in every language, with its plural forms and the same parameters. */
import { describe, expect, test } from '@jest/globals';
import { ReadError, type ReadErrorCode } from '@alvex/core';
import { bareWords, texts, unfilledMarks } from '../test/catalogue.ts';
import { stretched } from './stretched.ts';
import de from './de.json' with { type: 'json' };
import en from './en.json' with { type: 'json' };
import { rich, t } from './words.ts';

const catalogues: Readonly<Record<string, Readonly<Record<string, string>>>> = { en, de };
const FORMS = ['_one', '_other'];
const all = texts();
const keys = new Set(all.flatMap(({ text, plural }) => (plural ? FORMS.map((form) => text + form) : [text])));
const marks = (text: string): readonly string[] => (text.match(/\{\w+|<\/?\w+>/g) ?? []).sort();

test('no word that people see stands outside of the catalogue', () => {
  expect(all.length).toBeGreaterThan(1000);
  expect(bareWords()).toEqual([]);
});

test('what a text has marks for is given', () => {
  expect(unfilledMarks(all)).toEqual([]);
});

test('English has the plural forms of what is counted, and nothing else', () => {
  const plurals = [...keys].filter((key) => /_(?:one|other)$/.test(key)).sort();
  expect(Object.keys(en).sort()).toEqual(plurals);
});

describe.each(['de'])('%s', (name) => {
  const catalogue = catalogues[name]!;
  test('has every text, and none that is not said any more', () => {
    const sentences = errorSentences();
    expect([...keys, ...sentences].filter((key) => catalogue[key] === undefined)).toEqual([]);
    expect(Object.keys(catalogue).filter((key) => !keys.has(key) && !sentences.includes(key))).toEqual([]);
  });
  test('has the same parameters and marks in each', () => {
    const other = Object.entries(catalogue).filter(([key, text]) => {
      const [one, many] = [en[key as keyof typeof en] ?? key, text];
      // The form for one may say it in a word.
      if (key.endsWith('_one')) return marks(many).some((mark) => !marks(key.replace('_one', '')).includes(mark));
      return marks(one).join() !== marks(many).join();
    });
    expect(other).toEqual([]);
  });
  test('keeps the blanks at the ends', () => {
    const ends = (text: string): string => `${/^\s/.test(text)} ${/\s$/.test(text)}`;
    const plain = (key: string): string => key.replace(/_(?:one|other)$/, '');
    expect(Object.entries(catalogue).filter(([key, text]) => ends(plain(key)) !== ends(text))).toEqual([]);
  });
});

test('values, counts and elements are put into a text', () => {
  expect(t('Saved: {download}, {holds}, {size}.', { download: 'a', holds: 'b', size: '{c}' })).toBe(
    'Saved: a, b, {c}.',
  );
  expect(t('{n} slide', { count: 1 })).toBe('1 slide');
  expect(t('{n} slide', { count: 1200 })).toBe('1,200 slides');
  expect(t('Structure{things}', { things: false })).toBe('Structure');
  expect(rich('<b>{n} lines</b> of text', { count: 2 })).toMatchObject([
    '',
    { type: 'b', props: { children: '2 lines' } },
    ' of text',
  ]);
  // What an author wrote is never taken for a mark, nor for another parameter.
  expect(rich('of {title}', { title: '<b>x</b> {n}', count: 2 })).toEqual(['of <b>x</b> {n}']);
});

test('stretched texts are two fifths longer', () => {
  const text = 'Bring in a document';
  expect([...stretched(text).normalize('NFC')].length / text.length).toBeGreaterThanOrEqual(1.4);
});

/** Sentences of documents that cannot be read, with their limits in them. */
function errorSentences(): readonly string[] {
  // The compiler asks for each.
  const codes: Readonly<Record<ReadErrorCode, true>> = {
    empty: true,
    'too-large': true,
    'not-a-zip': true,
    truncated: true,
    encrypted: true,
    'old-binary': true,
    'wrong-type': true,
    'unknown-type': true,
    spreadsheet: true,
    'other-xml': true,
    damaged: true,
    'too-deep': true,
    'part-missing': true,
    'bad-pdf': true,
    'no-text': true,
    'no-slides': true,
    'bad-xml': true,
    doctype: true,
    bomb: true,
    'too-many-blocks': true,
  };
  return Object.keys(codes).map((code) => new ReadError(code as ReadErrorCode).message);
}
