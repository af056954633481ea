import { expect, test } from '@jest/globals';
import { shortBlock } from '../../test/short-block.ts';
import { looksLikeMarkdown } from './looks-like-markdown.ts';
import { readText } from './read-text.ts';

const blocks = (source: string): readonly string[] =>
  readText(new TextEncoder().encode(source)).document.blocks.map(shortBlock);

test('headings by underlining, in the order of their first appearance', () => {
  expect(blocks('Mill\n====\n\nOne\n---\n\ntext\n\nTwo\n---\n\nPart\n~~~~\n\nx\n')).toEqual([
    'h1 Mill',
    'h2 One',
    'p text',
    'h2 Two',
    'h3 Part',
    'p x',
  ]);
});

test('headings by numbers and capitals', () => {
  expect(blocks('THE MILL\n\n1. Beginnings\n\nIt began.\n\n1.1 The wheel\n\nOak.\n\n2. Decline\n\nIt fell.\n')).toEqual(
    ['h1 THE MILL', 'h2 1. Beginnings', 'p It began.', 'h3 1.1 The wheel', 'p Oak.', 'h2 2. Decline', 'p It fell.'],
  );
  expect(blocks('Chapter 1\n\na b\n\nChapter 2: The gate\n\nc d\n')).toEqual([
    'h1 Chapter 1',
    'p a b',
    'h1 Chapter 2: The gate',
    'p c d',
  ]);
});

test('lists nest by indent; lines that go on belong to their item', () => {
  expect(blocks('Take:\n\n- oak\n  from the wood\n- elm\n    * forty\n1) one\n2) two\n')).toEqual([
    'p Take:',
    '- oak from the wood',
    '- elm',
    '  - forty',
    '1. one',
    '2. two',
  ]);
});

test('wrapped lines are joined, short ones stay lines; rules and page ends are breaks', () => {
  const long = 'The mill was first built when the quay was cut and it ground barley';
  expect(blocks(`${long}\nfor a hundred years.\n\nThe Trust\nThe Quay\nSallow\n\n* * *\n\n\f\n\nend\n`)).toEqual([
    `p ${long} for a hundred years.`,
    'p The Trust\nThe Quay\nSallow',
    'break',
    'break',
    'p end',
  ]);
});

test('text without blank lines on several indents is an outline', () => {
  expect(blocks('Opening\n\tWho\n\tWhy\n\t\tTide\nMoney\n\tCosts\n\t\tWheel\n\tIncome\nClose\n')).toEqual([
    'h1 Opening',
    '- Who',
    '- Why',
    '  - Tide',
    'h1 Money',
    '- Costs',
    '  - Wheel',
    '- Income',
    'h1 Close',
  ]);
  // Where all have something below them, the second rank are headings too.
  expect(blocks('A\n  B\n    c\n  D\n    e\n')).toEqual(['h1 A', 'h2 B', '- c', 'h2 D', '- e']);
});

test('code is told from text by its indent and signs', () => {
  expect(blocks('So:\n\n    turn(wheel);\n      stop();\n\nDone it is.\n')).toEqual([
    'p So:',
    'code turn(wheel);\n  stop();',
    'p Done it is.',
  ]);
});

test('encodings by byte order mark or evidence', () => {
  const utf16 = Uint8Array.from([0xff, 0xfe, ...[...'müllers mühle'].flatMap((char) => [char.charCodeAt(0), 0])]);
  expect(readText(utf16.subarray(2)).document.blocks.map(shortBlock)).toEqual(['p müllers mühle']);
  expect(readText(utf16).document.blocks.map(shortBlock)).toEqual(['p müllers mühle']);
  expect(readText(Uint8Array.from([0x6d, 0xfc, 0x6c, 0x6c])).document.blocks.map(shortBlock)).toEqual(['p müll']);
});

test.each([
  ['# A\n\ntext', true],
  ['a **b** and [c](https://d.example)', true],
  ['- one\n- two', false],
  ['3 * 4 * 5, _so_', false],
  ['plain words', false],
])('“%s” is Markdown: %s', (text, is) => expect(looksLikeMarkdown(text)).toBe(is));
