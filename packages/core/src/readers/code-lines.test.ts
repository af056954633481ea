/** Code of word processors: which paragraphs are lines of one piece, and which stand apart. */
import { expect, test } from '@jest/globals';
import { CodeLines } from './code-lines.ts';
import type { Draft } from './read-result.ts';

/** @param lines Number and text of each paragraph of code; a text without a number is a paragraph of words. */
function joined(...lines: readonly (readonly [number | undefined, string] | string)[]): readonly string[] {
  const found: string[] = [];
  const code = new CodeLines((draft: Draft) => found.push(draft.kind === 'code' ? draft.text : draft.kind));
  for (const line of lines)
    if (typeof line === 'string') code.add({ kind: 'paragraph', runs: [{ text: line }], place: {} });
    else {
      const [paragraph, text] = line;
      code.add({ kind: 'code', text, place: paragraph === undefined ? {} : { paragraph } });
    }
  code.flush();
  return found;
}

test('paragraphs that follow each other are lines, empty ones between them blank lines', () => {
  expect(joined([1, 'a'], [2, 'b'], [4, 'c'], [8, 'd'])).toEqual(['a\nb\n\nc\n\n\n\nd']);
  expect(joined([undefined, 'a'], [undefined, 'b'])).toEqual(['a\nb']);
});

test('words between them, and more than a few blank lines, part them', () => {
  expect(joined([1, 'a'], 'words', [3, 'b'], [8, 'c'])).toEqual(['a', 'paragraph', 'b', 'c']);
});

test('code that is broken into lines within its paragraph stands apart from what an empty paragraph parts from it', () => {
  expect(joined([1, 'a\nb'], [3, 'c'])).toEqual(['a\nb', 'c']);
  expect(joined([1, 'a'], [3, 'b\nc'])).toEqual(['a', 'b\nc']);
  expect(joined([1, 'a\nb'], [2, 'c'], [4, 'd'])).toEqual(['a\nb\nc\n\nd']);
});
