import { expect, test } from '@jest/globals';
import type { DeckSummary } from '@alvex/contract';
import { inOrder, kindLabel, matching } from './deck-list.ts';

const deck = (name: string, more: Partial<DeckSummary> = {}): DeckSummary => ({
  id: name,
  name,
  fileName: `${name}.md`,
  type: 'markdown',
  words: 10,
  version: 0,
  updatedAt: '2026-01-01T00:00:00.000Z',
  ...more,
});
const names = (decks: readonly DeckSummary[]) => decks.map(({ name }) => name);
const decks = [
  deck('Évora 10', { updatedAt: '2026-03-01T00:00:00.000Z' }),
  deck('Evora 9', { words: 900, type: 'pdf', fileName: 'scan.pdf' }),
  deck('The weir', { updatedAt: '2026-02-01T00:00:00.000Z' }),
];

test('decks are found by words of their name or file, whatever case and accents', () => {
  expect(names(matching(decks, 'EVORA', ''))).toEqual(['Évora 10', 'Evora 9']);
  expect(names(matching(decks, 'scan evora', ''))).toEqual(['Evora 9']);
  expect(names(matching(decks, 'weir evora', ''))).toEqual([]);
  expect(names(matching(decks, ' ', 'pdf'))).toEqual(['Evora 9']);
});

test('they are ordered by change, name or length', () => {
  expect(names(inOrder(decks, 'changed'))).toEqual(['Évora 10', 'The weir', 'Evora 9']);
  expect(names(inOrder(decks, 'name'))).toEqual(['Evora 9', 'Évora 10', 'The weir']);
  expect(names(inOrder(decks, 'length'))[0]).toBe('Evora 9');
});

test('kinds have names, those of a newer server too', () => {
  expect([kindLabel('docx'), kindLabel('new')]).toEqual(['DOCX', 'NEW']);
});
