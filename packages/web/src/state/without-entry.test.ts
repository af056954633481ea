import { expect, test } from '@jest/globals';
import { foldLog, type Edit, type LogEntry } from '@alvex/core';
import { random } from '../../../core/src/test/build.ts';
import { withoutEntry } from './without-entry.ts';

const cut = (block: string): Edit => ({ kind: 'cut', block: block as never });
const U: LogEntry = { kind: 'undo' };
const R: LogEntry = { kind: 'redo' };

test.each<readonly [string, readonly LogEntry[], readonly LogEntry[]]>([
  ['what comes after stays', [cut('a'), U, cut('b')], [cut('a'), U, cut('b')]],
  ['its undoing goes', [U, cut('b')], [cut('b')]],
  ['its undoing below another goes', [cut('a'), U, U, U], [cut('a'), U, U]],
  ['it is done again: that goes too', [U, R, cut('b')], [cut('b')]],
  ['what is undone below it is done again first', [U, U, R, R, cut('b')], [U, R, cut('b')]],
])('%s', (_, rest, kept) => {
  expect(withoutEntry(2, rest)).toEqual(kept);
});

test('the history is what it would be if the edit had never been made', () => {
  for (let seed = 1; seed <= 300; seed++) {
    const next = random(seed);
    const entry = (i: number): LogEntry => (next() < 0.45 ? cut(`${i}`) : next() < 0.6 ? U : R);
    const before = [cut('x'), cut('y'), ...Array.from({ length: 3 }, (_, i) => entry(100 + i))];
    const bad = cut('bad');
    const rest = Array.from({ length: 12 }, (_, i) => entry(i));
    const whole = foldLog([...before, bad, ...rest]);
    const without = foldLog([...before, ...withoutEntry(foldLog(before).done.length, rest)]);
    expect(without.done).toEqual(whole.done.filter((edit) => edit !== bad));
  }
});
