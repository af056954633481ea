/** What is said of a suggested map: a promise where it is kept, and where it is not, what would help. */
import { expect, test } from '@jest/globals';
import type { Costed, Suggestion } from '@alvex/core';
import { suggestionText } from './suggestion-text.ts';

const costed = (slides: number, spokenMinutes: number, more: Partial<Costed> = {}): Costed =>
  ({ slides, spokenMinutes, words: 30, spills: 0, full: 'continue', ...more }) as Costed;
const suggestion = (best: Costed, near: boolean, others: readonly Costed[] = []): Suggestion => ({
  best,
  near,
  costed: [best, ...others],
});

test('what comes near is promised, with what was tried', () => {
  expect(suggestionText(suggestion(costed(12, 9.6), true, [costed(3, 4)]), { unit: 'slides', amount: 12 })).toBe(
    'Suggested because it makes 12 slides, for the 12 you want, about 30 words on each, 10 minutes to speak, and none of them too full. The 2 maps that were tried make 3 to 12 slides.',
  );
  expect(suggestionText(suggestion(costed(1, 1), true), { unit: 'minutes', amount: 1 })).toContain(
    'it makes 1 slide, for your 1 minute, about 30 words on each, 1 minute to speak',
  );
  expect(suggestionText(suggestion(costed(12, 0.2, { spills: 2, full: 'shorten' }), true), null)).toBe(
    'Suggested because it makes 12 slides, about 30 words on each, and 2 of them shortened.',
  );
});

test('what does not come near is said, with what would help', () => {
  expect(suggestionText(suggestion(costed(6, 7), false), { unit: 'minutes', amount: 3 })).toBe(
    'No map comes near the 3 minutes you want; the nearest makes 6 slides, 7 minutes to speak. Leave out sections, or shorten the text, to come nearer.',
  );
  expect(suggestionText(suggestion(costed(6, 7), false), { unit: 'slides', amount: 30 })).toMatch(
    /^No map comes near the 30 slides you want; .* The document has no more to say/,
  );
});
