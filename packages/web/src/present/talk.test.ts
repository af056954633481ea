import { describe, expect, test } from '@jest/globals';
import { rehearsalOf } from './rehearsal-of.ts';
import { ahead, beginTalk, clockTime, moved, moveOf, withSlides, type Move, type Talk } from './talk.ts';

/** @param moves One a second, from second 10 on. */
const after = (moves: readonly Move[], talk: Talk = beginTalk([1, 2, 3, 4, 5])): Talk =>
  moves.reduce((before, move, i) => moved(before, move, 10_000 + i * 1000), talk);
const move = (name: Exclude<Move['move'], 'digit' | 'go'>): Move => ({ move: name }) as Move;
const digits = (text: string): Move[] => [...text].map((digit) => ({ move: 'digit', digit }));
const press = (key: string, more: object = {}) =>
  moveOf({ key, ctrlKey: false, metaKey: false, altKey: false, ...more });

describe('moves', () => {
  test('on, back, to both ends, and never beyond', () => {
    expect(after([move('next'), move('next'), move('back')]).at).toBe(1);
    expect(after([move('back')]).at).toBe(0);
    expect(after([move('last'), move('next')]).at).toBe(4);
    expect(after([move('last'), move('first')]).at).toBe(0);
    expect(after([{ move: 'go', to: 3 }]).at).toBe(3);
  });

  test('points come one by one before the next slide does, and go again the same way', () => {
    const stepped = beginTalk([1, 2, 3], [2, 0, 3]);
    expect(after([move('next')], stepped)).toMatchObject({ at: 0, step: 1 });
    expect(after([move('next'), move('next'), move('next')], stepped)).toMatchObject({ at: 1, step: 0 });
    expect(after([move('next'), move('back')], stepped)).toMatchObject({ at: 0, step: 0 });
    // Who goes back sees what was seen; who jumps begins with none.
    expect(after([{ move: 'go', to: 1 }, move('back')], stepped)).toMatchObject({ at: 0, step: 2 });
    expect(after([move('last')], stepped)).toMatchObject({ at: 2, step: 0 });
    expect(after([move('last'), ...Array<Move>(9).fill(move('next'))], stepped)).toMatchObject({ at: 2, step: 3 });
    expect(after([move('next'), move('dark'), move('next')], stepped)).toMatchObject({ step: 1, screen: 'slide' });
    expect(withSlides({ ...stepped, step: 2 }, { numbers: [1, 2], steps: [1, 0] }, 0).step).toBe(1);
  });

  test('a number and Enter goes to that slide; Enter alone goes on', () => {
    expect(after([...digits('4'), move('enter')])).toMatchObject({ at: 3, typed: '' });
    expect(after([...digits('40'), move('enter')]).at).toBe(4);
    expect(after([...digits('0'), move('enter')]).at).toBe(0);
    expect(after([move('enter')]).at).toBe(1);
    expect(after([...digits('3'), move('leave'), move('enter')]).at).toBe(1);
  });

  test('begins with the slide that is named, or the next that is shown', () => {
    expect(beginTalk([1, 2, 4], [], 2).at).toBe(1);
    expect(beginTalk([1, 2, 4], [], 3).at).toBe(2);
    expect(beginTalk([1, 2, 4], [], 9).at).toBe(2);
    expect(beginTalk([1, 2, 4]).at).toBe(0);
  });

  test('a dark or light screen covers the slide; what moves on first shows it again', () => {
    expect(after([move('dark')])).toMatchObject({ screen: 'dark', at: 0 });
    expect(after([move('dark'), move('light')]).screen).toBe('light');
    expect(after([move('dark'), move('dark')]).screen).toBe('slide');
    expect(after([move('light'), move('next')])).toMatchObject({ screen: 'slide', at: 0 });
    expect(after([move('dark'), { move: 'go', to: 2 }])).toMatchObject({ screen: 'slide', at: 2 });
  });

  test.each([
    ['ArrowRight', 'next'],
    ['PageDown', 'next'],
    [' ', 'next'],
    ['ArrowLeft', 'back'],
    ['PageUp', 'back'],
    ['Home', 'first'],
    ['End', 'last'],
    ['B', 'dark'],
    ['.', 'dark'],
    ['w', 'light'],
    ['Escape', 'leave'],
    ['Enter', 'enter'],
  ])('the key %s', (key, name) => {
    expect(press(key)).toEqual({ move: name });
  });
  test('digits are typed; other keys, and those of the browser, do nothing', () => {
    expect(press('7')).toEqual({ move: 'digit', digit: '7' });
    for (const key of ['q', 'Tab', 'F5', 'Shift', 'toString']) expect(press(key)).toBeUndefined();
    expect(press('w', { ctrlKey: true })).toBeUndefined();
    expect(press('ArrowLeft', { altKey: true })).toBeUndefined();
  });
});

describe('a rehearsal', () => {
  const pages = { slides: ['a', 'b', 'b', 'c', 'd'] as never };

  test('counts the time on each slide, all visits together; a slide that goes on over two pages once', () => {
    // From second 10 on: 2, 3, back to 2, 3.
    const talk = after([move('next'), move('next'), move('back'), move('next')]);
    expect(rehearsalOf(talk, pages, 15_500)).toEqual({
      began: '1970-01-01T00:00:10.000Z',
      seconds: [
        ['a', 0],
        ['b', 5.5],
      ],
      stumbled: [],
    });
    expect(rehearsalOf(beginTalk([1, 2]), pages, 9000)).toBeNull();
    expect(rehearsalOf(after([move('start-clock')], talk), pages, 11_000)!.seconds).toEqual([['b', 1]]);
  });

  test('marks where one stumbled, and takes the mark back', () => {
    expect(press('s')).toBeUndefined();
    expect(moveOf({ key: 'S', ctrlKey: false, metaKey: false, altKey: false }, true)).toEqual({ move: 'stumble' });
    const talk = after([move('next'), move('stumble'), move('last'), move('stumble')]);
    expect(rehearsalOf(talk, pages, 20_000)!.stumbled).toEqual(['b', 'd']);
    expect(after([move('stumble')], talk).stumbled).toEqual([2]);
  });
});

describe('the clock', () => {
  test('runs from the first move on, and for each slide anew', () => {
    expect(beginTalk([1, 2, 3])).toMatchObject({ since: null, slideSince: null });
    const talk = after([move('next'), move('next'), move('back'), move('next')]);
    expect(talk).toMatchObject({ since: 10_000, slideSince: 13_000 });
    expect(after([...digits('12')]).since).toBeNull();
    expect(after([move('start-clock')], talk)).toMatchObject({ at: 2, since: 10_000, slideSince: 10_000 });
  });

  test('says how far the talk is before or behind its plan', () => {
    const plan = [60, 60, 60];
    const talk = moved(beginTalk([1, 2, 3]), move('next'), 0); // on the second slide at once: a minute ahead
    expect(ahead(beginTalk([1, 2, 3]), plan, 99_000)).toBe(0);
    expect(ahead(talk, plan, 0)).toBe(60);
    expect(ahead(talk, plan, 60_000)).toBe(60);
    // Staying longer than was planned costs what is over.
    expect(ahead(talk, plan, 150_000)).toBe(-30);
  });

  test.each([
    [0, '0:00'],
    [59.9, '0:59'],
    [247, '4:07'],
    [3750, '1:02:30'],
    [-3, '0:00'],
  ])('%d seconds are %s', (seconds, text) => {
    expect(clockTime(seconds)).toBe(text);
  });
});

test('slides that come and go leave the talk where it is', () => {
  const talk = after([move('next'), move('next')]);
  expect(withSlides(talk, { numbers: [1, 2, 3, 4, 5, 6, 7], steps: [] }, 4)).toMatchObject({
    at: 4,
    since: talk.since,
  });
  expect(withSlides(talk, { numbers: [1], steps: [] }, 2).at).toBe(0);
});

test('a number is the one that stands on the slide, though others are hidden', () => {
  const talk = beginTalk([1, 3, 4, 7]);
  expect(after([...digits('4'), move('enter')], talk).at).toBe(2);
  expect(after([...digits('5'), move('enter')], talk).at).toBe(3);
  expect(after([...digits('9'), move('enter')], talk).at).toBe(3);
});
