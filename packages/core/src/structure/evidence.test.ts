/** What speaks for a line being a heading, sign by sign and at the edges where a sign begins to count. */
import { describe, expect, test } from '@jest/globals';
import type { Paragraph } from '../document/index.ts';
import { doc, li, p, type Draft } from '../test/build.ts';
import { bodySize, headingEvidence } from './evidence.ts';

const TEXT = 'The pond fills at high water and empties through the wheel as the tide goes down.';
type Look = NonNullable<Paragraph['look']>;
const line = (text: string, look: Look = {}): Draft => ({ ...p(text), look });
const body = (size = 25): Draft => line(TEXT, { size });
/** The evidence for a line between running text of 25 points. */
const weighed = (text: string, look: Look = {}, next: readonly Draft[] = [body()]) =>
  headingEvidence(doc(body(), line(text, look), ...next)).find(({ block }) => block.runs[0]?.text === text);
const confidence = (text: string, look?: Look, next?: readonly Draft[]): number =>
  Math.round((weighed(text, look, next)?.confidence ?? 0) * 100) / 100;

describe('a line', () => {
  test('that is larger counts from an eighth on, and more from a third on', () => {
    expect(confidence('The gates', { size: 27.9 })).toBe(0);
    expect(confidence('The gates', { size: 28 })).toBe(0.55);
    expect(confidence('The gates', { size: 33.7 })).toBe(0.55);
    expect(confidence('The gates', { size: 33.75 })).toBe(0.7);
    expect(weighed('The gates', { size: 35 })?.reasons).toEqual([
      { why: 'larger', size: 35, usual: 25 },
      { why: 'words', count: 2 },
      { why: 'no-stop' },
      { why: 'text-follows' },
    ]);
  });
  test('that is smaller is rather a caption', () => {
    expect(confidence('The gates', { size: 23, bold: true })).toBe(0.55);
    expect(confidence('The gates', { size: 22.9, bold: true })).toBe(0);
  });
  test('in bold, in capitals, centred or with space above', () => {
    const size = 25;
    expect(weighed('The gates', { size, bold: true })?.reasons).toContainEqual({ why: 'bold' });
    expect(confidence('THE GATES', { size })).toBe(0.5);
    expect(confidence('The gates', { size, bold: true, align: 'center' })).toBe(0.65);
    expect(confidence('The gates', { size, bold: true, spaceBefore: 2 })).toBe(0.55);
    expect(confidence('The gates', { size, bold: true, spaceBefore: 2.1 })).toBe(0.65);
  });
  test('of up to nine words says more than a longer one, and one over fourteen less', () => {
    const words = (n: number): string =>
      Array.from({ length: n }, (_, i) => `w${String.fromCharCode(97 + i)}`).join(' ');
    const at = (n: number): number => confidence(words(n), { size: 35, bold: true });
    expect([at(9), at(10), at(14), at(15)]).toEqual([1, 0.95, 0.95, 0.75]);
  });
  test('that ends as a sentence is none, unless all else speaks for it', () => {
    expect(confidence('The gates are old.', { size: 25, bold: true })).toBe(0);
    expect(confidence('The gates are old:', { size: 35, bold: true })).toBe(0.85);
    expect(confidence('The gates are old.', { size: 35, bold: true })).toBe(0.65);
  });
  test('with nothing behind it is rather the end of something', () => {
    expect(confidence('The gates', { size: 28 }, [])).toBe(0);
    expect(confidence('The gates', { size: 35, bold: true }, [])).toBe(0.65);
  });
  test('with a number is one, but number after number is a list', () => {
    expect(weighed('1.2 The gates', { size: 25 })?.reasons[0]).toEqual({ why: 'numbered', mark: '1.2' });
    expect(confidence('1. The gates', { size: 28 })).toBe(0.8);
    expect(confidence('1. The gates', { size: 27.9, bold: true }, [line('2. The pond', { size: 25 }), body()])).toBe(
      0.8,
    );
    expect(confidence('1. The gates', { size: 27.9 }, [line('2. The pond', { size: 25 }), body()])).toBe(0);
  });
  test('too long, without a letter, or of two lines is none', () => {
    expect(weighed(`${'a'.repeat(119)} b`, { size: 35, bold: true })).toBeUndefined();
    expect(weighed('1962 – 1964', { size: 35, bold: true })).toBeUndefined();
    expect(weighed('The\ngates', { size: 35, bold: true })).toBeUndefined();
  });
});

test('the size of the text is the one in which most letters are set, lists among them', () => {
  expect(bodySize(doc(line('Title', { size: 20 }), { ...li(TEXT), look: { size: 11 } }))).toBe(11);
  expect(bodySize(doc(p(TEXT)))).toBeUndefined();
});
