import { expect, test } from '@jest/globals';
import { endsAsSentence, isCapitals, isDivision, lineMark } from './line-marks.ts';

test.each([
  ['- oak', 'bullet', 'oak', 0, undefined],
  ['•\toak', 'bullet', 'oak', 0, undefined],
  ['o  oak', 'bullet', 'oak', 0, undefined],
  ['\uf0b7 oak', 'bullet', 'oak', 0, undefined],
  ['3. oak', 'number', 'oak', 1, 3],
  ['3) oak', 'number', 'oak', 1, 3],
  ['2.1.4 oak', 'number', 'oak', 3, 4],
  ['(b) oak', 'number', 'oak', 1, 2],
  ['iv. oak', 'number', 'oak', 1, 4],
  ['XII) oak', 'number', 'oak', 1, 12],
])('“%s” begins with a mark', (line, kind, text, parts, number) =>
  expect(lineMark(line)).toMatchObject({ kind, text, parts, number }),
);

test.each(['oak', '-oak', '1,5 metres', '12', '*', 'a oak', '(see) oak', '2026-05-01 oak'])('“%s” does not', (line) =>
  expect(lineMark(line)).toBeUndefined(),
);

test('divisions, capitals and ends of sentences', () => {
  expect(['Chapter 3', 'PART II: The gate', 'Appendix B', 'Kapitel 4.', 'Lesson 12'].every(isDivision)).toBe(true);
  expect(['Chapters of a life', 'Partly done', 'Section of oak'].some(isDivision)).toBe(false);
  expect(['THE MILL', 'MÜHLE 2', 'A B'].every(isCapitals)).toBe(true);
  expect(['The MILL', 'A', '12', '水車'].some(isCapitals)).toBe(false);
  expect(['It turns.', 'It turns;', 'So:', '“Yes.”', 'On …'].every(endsAsSentence)).toBe(true);
  expect(['The gate', 'Who turns it?', 'Oak, elm etc.'].some(endsAsSentence)).toBe(false);
});
