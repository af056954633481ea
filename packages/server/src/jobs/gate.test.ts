/** Heavy work goes in by turns, within a limit of memory. */
import { expect, test } from '@jest/globals';
import { Gate, type Queued } from './gate.ts';
import { TaskStopped } from './stopped.ts';

/** Work that lasts until it is let go. */
function lasting(gate: Gate, bytes: number, queued?: Queued) {
  const state = { inside: false, finish: (): void => undefined };
  const done = gate.within(
    bytes,
    () =>
      new Promise<void>((resolve) => {
        state.inside = true;
        state.finish = resolve;
      }),
    queued,
  );
  return { state, done };
}
const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

test('so many at once, and so many bytes; what is large goes in alone', async () => {
  const gate = new Gate(2, 100);
  const [a, b, c, large, last] = [60, 40, 1, 500, 1].map((bytes) => lasting(gate, bytes));
  await settle();
  const inside = (): readonly boolean[] => [a, b, c, large, last].map((one) => one!.state.inside);
  expect(inside()).toEqual([true, true, false, false, false]);
  a!.state.finish();
  await settle();
  expect(inside()).toEqual([true, true, true, false, false]);
  b!.state.finish();
  await settle();
  // The last would fit; it waits, since otherwise the large one might wait for ever.
  expect(inside()).toEqual([true, true, true, false, false]);
  c!.state.finish();
  await settle();
  expect(inside()).toEqual([true, true, true, true, false]);
  large!.state.finish();
  await settle();
  expect(last!.state.inside).toBe(true);
  last!.state.finish();
  await Promise.all([a, b, c, large, last].map((one) => one!.done));
});

test('places are told, and who leaves makes room', async () => {
  const gate = new Gate(1, 100);
  const told: (readonly [string, number])[] = [];
  const place = (name: string) => (before: number) => void told.push([name, before]);
  const leave = new AbortController();
  const first = lasting(gate, 1);
  const second = lasting(gate, 1, { waiting: place('second'), cancel: leave.signal });
  const third = lasting(gate, 1, { waiting: place('third') });
  await settle();
  expect(told).toEqual([
    ['second', 0],
    ['second', 0],
    ['third', 1],
  ]);
  leave.abort();
  await expect(second.done).rejects.toThrow(TaskStopped);
  expect(told.at(-1)).toEqual(['third', 0]);
  first.state.finish();
  await settle();
  expect([second.state.inside, third.state.inside]).toEqual([false, true]);
  third.state.finish();
  await third.done;
});

test('work that fails makes room too; one who has left already does not go in', async () => {
  const gate = new Gate(1, 100);
  await expect(gate.within(1, () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  await expect(gate.within(1, () => Promise.resolve(1), { cancel: AbortSignal.abort() })).rejects.toThrow(TaskStopped);
  expect(await gate.within(1, () => Promise.resolve(2))).toBe(2);
});
