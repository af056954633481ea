import { expect, test } from '@jest/globals';
import { random } from '../test/build.ts';
import { foldLog, undoable, type Edit, type LogEntry, type Writer } from './edit.ts';

const pace = (rate: number): Edit => ({ kind: 'pace', rate });
const undo: LogEntry = { kind: 'undo' };
const redo: LogEntry = { kind: 'redo' };

test('an undo takes back one’s own newest edit, a redo makes it again where it stood', () => {
  const log = [pace(1), pace(2), undo, pace(3), redo];
  const by = ['a', 'b', 'a', 'b', 'a'];
  expect(foldLog(log.slice(0, 3), by, 'a')).toEqual({ done: [pace(2)], writers: ['b'], undone: [pace(1)] });
  expect(foldLog(log.slice(0, 3), by, 'b').undone).toEqual([]);
  expect(foldLog(log, by, 'a')).toEqual({ done: [pace(1), pace(2), pace(3)], writers: ['a', 'b', 'b'], undone: [] });
  // With nothing of one's own left, nothing happens; what nobody in particular wrote is anybody's.
  expect(foldLog([pace(1), undo], ['a', 'b']).done).toEqual([pace(1)]);
  expect(foldLog([pace(1), undo], [null, 'b']).done).toEqual([]);
});

test('two writers at random: each has the edits that it would have alone, in the order of the log', () => {
  for (let seed = 1; seed <= 100; seed++) {
    const next = random(seed);
    const log: LogEntry[] = [];
    const by: Writer[] = [];
    for (let i = 0; i < 40; i++) {
      const choice = next();
      log.push(choice < 0.55 ? pace(i) : choice < 0.8 ? undo : redo);
      by.push(next() < 0.5 ? 'a' : 'b');
    }
    const both = foldLog(log, by, 'a');
    const alone = (who: Writer) =>
      foldLog(
        log.filter((_, i) => by[i] === who),
        undefined,
        null,
      );
    const own = (who: Writer) => both.done.filter((_, i) => both.writers[i] === who);
    expect([seed, own('a'), own('b')]).toEqual([seed, sorted(alone('a').done), sorted(alone('b').done)]);
    expect(both.undone).toEqual(alone('a').undone);
    expect(both.done).toEqual(sorted(both.done));
    expect(undoable(both, 'b')).toBe(own('b').length);
  }
});

const sorted = (edits: readonly Edit[]): readonly Edit[] =>
  edits.toSorted((a, b) => (a.kind === 'pace' && b.kind === 'pace' ? a.rate - b.rate : 0));
