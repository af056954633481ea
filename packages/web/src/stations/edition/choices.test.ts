import { expect, test } from '@jest/globals';
import { convert, plain, reviewEdition, runsText, type Edit } from '@alvex/core';
import { doc, h, li, p } from '../../../../core/src/test/build.ts';
import { editionEdit, NO_CHOICES, turned, workKey } from './choices.ts';
import { candidateIn, editionPath } from './edition-path.ts';

const LONG = 'The pond holds eleven thousand cubic metres of water behind the wall.';
const before = doc(h(1, 'Tide'), li(LONG), p('Goes away for good.'));
const after = doc(h(1, 'Tide'), li(LONG.replace('eleven', 'twelve')), h(1, 'Something new'));
const mine: Edit[] = [{ kind: 'reword', part: before.blocks[1]!.id as never, runs: plain('Eleven') }];
const review = reviewEdition(before, after, mine);
const candidate = { original: 'a'.repeat(64), type: 'markdown', fileName: 'b c.md' };
const texts = (edit: Edit): string =>
  convert(after, [...mine, edit])
    .deck.slides.flatMap((slide) => [slide.title, ...slide.content, ...slide.notes])
    .map((part) => ('runs' in part ? runsText(part.runs) : ''))
    .join('|');

test('all is taken, and the author’s own work stays', () => {
  expect(review.items.map(({ kind }) => kind)).toEqual(['changed', 'gone', 'new']);
  expect(texts(editionEdit(candidate, review, NO_CHOICES))).toBe('Tide|Eleven|Something new');
});

test('each can be kept as it was, and each work given up', () => {
  const choices = { asBefore: new Set([1, 2]), givenUp: new Set([workKey(0, 0)]) };
  expect(texts(editionEdit(candidate, review, choices))).toBe(
    `Tide|${LONG.replace('eleven', 'twelve')}|Goes away for good.`,
  );
  // What is kept as it was keeps the work on it.
  expect(
    texts(editionEdit(candidate, review, { asBefore: new Set([0]), givenUp: new Set([workKey(0, 0)]) })),
  ).toContain('Eleven');
});

test('a choice is made and taken back', () => expect([...turned(turned(new Set([1]), 2), 1)]).toEqual([2]));

test('the address of a review leads back to it', () => {
  const search = new URLSearchParams(editionPath(candidate).split('?')[1]);
  expect(candidateIn(search)).toEqual(candidate);
  expect(candidateIn(new URLSearchParams('original=x'))).toBeNull();
});
