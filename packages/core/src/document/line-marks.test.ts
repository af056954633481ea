import { expect, test } from '@jest/globals';
import { endsAsSentence, isCapitals, isDivision, lineMark, lineMarks } from './line-marks.ts';

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

const kept = (...lines: readonly string[]): readonly string[] => {
  const marks = lineMarks(
    lines,
    (line) => line.trimStart(),
    (line) => line.length - line.trimStart().length,
  );
  return lines.map((line, i) => (marks[i] === undefined ? line.trim() : `[${marks[i].mark}] ${marks[i].text}`));
};

test.each([
  '12 boats came in',
  '40 more chairs.',
  'C. Reed steers',
  '6 months',
  '12. August 1931 was a Wednesday',
  'i. e. by hand',
  'o rio corre',
  '– so he said',
  '§ 12 of the act',
  '- 5 degrees at night',
  '+ 3 per cent',
  '3.50 for a loaf',
  'V. Hale writes',
])('nothing is taken off “%s” alone', (line) => expect(kept(line, 'and on')).toEqual([line, 'and on']));

test('a mark counts where its neighbours count on', () => {
  expect(kept('12. oak', '13. elm')).toEqual(['[12.] oak', '[13.] elm']);
  expect(kept('1 oak', '2 elm', '3 ash')).toEqual(['[1] oak', '[2] elm', '[3] ash']);
  expect(kept('1 oak', '2 elm')).toEqual(['1 oak', '2 elm']);
  expect(kept('12 oak', '13 elm', '14 ash')).toEqual(['12 oak', '13 elm', '14 ash']);
  expect(kept('A. oak', 'B. elm', 'C. ash')).toEqual(['[A.] oak', '[B.] elm', '[C.] ash']);
  expect(kept('A. Reed', 'B. Hale')).toEqual(['A. Reed', 'B. Hale']);
  expect(kept('– oak', '– elm')).toEqual(['[–] oak', '[–] elm']);
  expect(kept('- 5 oars', '- oak')).toEqual(['[-] 5 oars', '[-] oak']);
  expect(kept('- oak', '', '1. first')).toEqual(['[-] oak', '', '[1.] first']);
});

test('letters count on where they could be Roman numbers; lines of another indent are another list', () => {
  const letters = [...'abcdefghij'].map((letter) => `${letter}) oak`);
  expect(kept(...letters)).toEqual(letters.map((line) => `[${line.slice(0, 2)}] oak`));
  expect(kept('i) oak', 'ii) elm', 'iii) ash')).toEqual(['[i)] oak', '[ii)] elm', '[iii)] ash']);
  expect(kept('4. oak', '    5. elm')).toEqual(['4. oak', '5. elm']);
  // Far from each other, weak marks are none.
  expect(kept('– oak', ...Array.from({ length: 20 }, () => 'text'), '– elm').at(-1)).toBe('– elm');
});
