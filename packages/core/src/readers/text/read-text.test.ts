import { describe, expect, test } from '@jest/globals';
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
    '1) one',
    '2) two',
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

test('headings that stand directly over their text', () => {
  const long = 'The pond fills twice a day and holds eleven thousand cubic metres of water.';
  expect(blocks(`THE MILL\n\nWATER\n${long}\n\nGATES\n${long}\nBoth can be mended.`)).toEqual([
    'h1 THE MILL',
    'h1 WATER',
    `p ${long}`,
    'h1 GATES',
    `p ${long} Both can be mended.`,
  ]);
  // Without capitals, where most of what could have one has one.
  const three = ['The water', 'The gates', 'The money'].map((head) => `${head}\n${long}`);
  expect(blocks(three.join('\n\n'))).toEqual(
    ['The water', 'The gates', 'The money'].flatMap((head) => [`h1 ${head}`, `p ${long}`]),
  );
  expect(blocks([...three.slice(0, 2), `${long}\nAnd more.`].join('\n\n'))[0]).toBe(`p The water\n${long}`);
  // Addresses, verses, fields and wrapped text have none.
  for (const text of [
    'The Mill Trust\n12 Quay Lane\nSallow Quay',
    'The tide comes in at four\nThe tide goes out at ten\nAnd nobody is there.',
    `Files: *\nCopyright: ${long}`,
    `The pond fills twice a day, and it was measured in March by the\nsurveyor, who came with the harbour office in two boats.`,
  ])
    expect(blocks(`${text}\n\n${text}\n\n${text}`).some((line) => line.startsWith('h'))).toBe(false);
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

test('numbers and initials stay where no list counts them', () => {
  const lines = [
    '12 boats came in on the tide.',
    '40 more chairs.',
    'C. Reed steers',
    '6 months',
    '3. Reich it was not',
  ];
  expect(blocks(lines.join('\n\n'))).toEqual(lines.map((line) => `p ${line}`));
  expect(blocks(lines.slice(0, 3).join('\n'))).toEqual([`p ${lines.slice(0, 3).join('\n')}`]);
});

test('appendices are headings by their letters', () => {
  const text = ['1. Tides', 'It rises.', '2. Wheels', 'It turns.', 'A. Tables', 'Here.', 'A.1 Springs', 'There.'];
  expect(blocks(text.join('\n\n'))).toEqual([
    'h1 1. Tides',
    'p It rises.',
    'h1 2. Wheels',
    'p It turns.',
    'h1 A. Tables',
    'p Here.',
    'h2 A.1 Springs',
    'p There.',
  ]);
});

test('a list may stand directly below its line, and a number within a paragraph is text', () => {
  expect(blocks('We need:\n- oak\n- elm\n')).toEqual(['p We need:', '- oak', '- elm']);
  const wrapped =
    'The wheel was set in the year when the second of the two ponds was cut, on\n12. August, and it has turned ever since that day without so much as a stop.';
  expect(blocks(wrapped)).toEqual([`p ${wrapped.replace('\n', ' ')}`]);
});

test('tables drawn with bars, with rules and with spaces', () => {
  const cells = (source: string): unknown =>
    readText(new TextEncoder().encode(source)).document.blocks.map((block) =>
      block.kind === 'table'
        ? block.table.rows.map((row) => [
            row.header,
            ...row.cells.map(({ runs }) => runs.map(({ text }) => text).join('')),
          ])
        : block.kind,
    );
  const expected = [
    [true, 'Part', 'Cost'],
    [false, 'Wheel', '12'],
    [false, 'Gates', '6'],
  ];
  expect(
    cells(
      '+-------+------+\n| Part  | Cost |\n+=======+======+\n| Wheel | 12   |\n+-------+------+\n| Gates | 6    |\n+-------+------+\n',
    ),
  ).toEqual([expected]);
  expect(cells('Part   Cost\n-----  ----\nWheel    12\nGates     6\n')).toEqual([expected]);
  expect(cells('Part    Cost\nWheel   12\nGates   6\n')).toEqual([expected.map(([, ...row]) => [false, ...row])]);
});

test('what is drawn with signs stays as it is drawn', () => {
  const drawing = '+------+\n| pond |--->\n+------+';
  expect(blocks(`So:\n\n${drawing}\n`)).toEqual(['p So:', `code ${drawing}`]);
});

test('terms with what they mean, a centred title, contents with dots, headings above an indented text', () => {
  expect(
    blocks('Words of it.\n\nAnd more.\n\npond\n    Where the tide is kept.\nsluice\n    What lets it out.\n\n'),
  ).toEqual([
    'p Words of it.',
    'p And more.',
    '- pond',
    'p Where the tide is kept.',
    '- sluice',
    'p What lets it out.',
  ]);
  const line = 'The mill was built when the quay was cut, and ground barley for a hundred years';
  const page = `${' '.repeat(34)}The mill\n\n1. Tides ........ 2\n2. Wheels ....... 4\n\nTIDES\n   ${line}\n\nWHEELS\n   ${line}\n`;
  const { document } = readText(new TextEncoder().encode(page));
  expect(document.title).toBe('The mill');
  expect(document.blocks.map(shortBlock).slice(1)).toEqual([
    'contents 1. Tides ........ 2',
    'contents 2. Wheels ....... 4',
    'h1 TIDES',
    `p ${line}`,
    'h1 WHEELS',
    `p ${line}`,
  ]);
  expect(document.blocks.slice(1, 3).map((block) => block.kind === 'paragraph' && block.role)).toEqual([
    'contents',
    'contents',
  ]);
});

test('heads and feet of pages are left out and stay at hand', () => {
  const page = (n: number): string =>
    `Sallow Quay            Tides\n\nText of page ${'abcd'[n]!}.\n\nHale      [Page ${n}]`;
  const { blocks: read } = readText(new TextEncoder().encode([0, 1, 2, 3].map(page).join('\f\n'))).document;
  const left = read.filter((block) => block.left !== undefined);
  expect(left.map(({ left: kind }) => kind)).toEqual(Array(8).fill('running-head'));
  expect(read.filter((block) => block.left === undefined && block.kind === 'paragraph').map(shortBlock)).toEqual(
    [...'abcd'].map((letter) => `p Text of page ${letter}.`),
  );
});

test('the whole of a text says whether it is Markdown', () => {
  const text = 'The mill\n~~~~~~~~\n\n**So** it is.\n\nTides\n*****\n\nIt **turns**.\n\nWheels\n^^^^^^\n\nOak.\n';
  expect(looksLikeMarkdown(text)).toBe(false);
  const indented = Array.from({ length: 10 }, (_, i) => `    Line ${i} of a text with **bold** set in.`).join('\n');
  expect(looksLikeMarkdown(`${indented}\n\n    and \`code\` too.`)).toBe(false);
  expect(looksLikeMarkdown(`${'plain\n\n'.repeat(20_000)}# A\n\n## B\n`)).toBe(true);
});

test('a text of more lines than a call may have arguments is read', () => {
  const row = 'wheel   12   elm\n';
  expect(readText(new TextEncoder().encode(row.repeat(150_000))).document.blocks).toHaveLength(1);
  const words = readText(new TextEncoder().encode('It turns, and turns.\n'.repeat(150_000)));
  expect(words.document.diagnostics).toEqual([]);
});

describe('what stands directly over its text', () => {
  const BELOW = 'The pond fills twice a day with the tide, and what it holds\nturns the wheel for four hours after it.';
  // Most of what could have one must have one.
  const over = (line: string, below = BELOW) => blocks(Array(3).fill(`${line}\n${below}`).join('\n\n'))[0]!;

  test('is a heading where it is short, has no stop and had room to go on', () => {
    expect(over('How the pond fills')).toMatch(/^h1 How the pond fills/);
    expect(over('2 ways to fill it')).toMatch(/^h\d/);
  });

  test.each([
    ['ends with a stop', 'How the pond fills.', BELOW],
    ['begins small', 'how the pond fills', BELOW],
    ['is a field', 'Date: tomorrow', BELOW],
    ['stands over a field', 'How the pond fills', 'Date: tomorrow and the day after that, if the weather holds\nit.'],
    ['stands over a table', 'How the pond fills', 'high     low\n12.40    18.55'],
    ['had no room to go on', 'How the pond fills and how it runs out again twice a day', 'Evenings\nof summer'],
  ])('is none where it %s', (_, line, below) => expect(over(line, below)).not.toMatch(/^h\d/));
});

test('a drawing keeps the indent of its lines, from the least one on; two lines are enough, one is not', () => {
  expect(blocks('Text before it.\n\n  +-----+\n    | mill |\n  +-----+\n')[1]).toBe(
    'code +-----+\n  | mill |\n+-----+',
  );
  expect(blocks('Text before it.\n\n+---->\n\nText.')[1]).not.toMatch(/^code/);
});

test('tabs go to the next fourth column', () => {
  expect(blocks('- a\n\t- b\n  \t- c\n\t\t- d')).toEqual(['- a', '  - b', '  - c', '    - d']);
});

test('headings by underlining go no deeper than six', () => {
  const ranks = ['=', '-', '~', '^', '"', '+', '*'].map((sign) => `Rank ${sign}\n${sign.repeat(6)}\n\nText.\n`);
  expect(
    blocks(ranks.join('\n'))
      .filter((line) => line.startsWith('h'))
      .map((line) => line.slice(0, 2)),
  ).toEqual(['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'h6']);
});

test('a narrow first column is a column where others follow it; before one text it is the marks of a list', () => {
  expect(blocks('1   Gate    oak\n2   Wheel   elm\n3   Stones  grit\n4   Roof    slate\n')).toEqual([
    'table 1 | Gate | oak\n2 | Wheel | elm\n3 | Stones | grit\n4 | Roof | slate',
  ]);
  expect(blocks('i    the pond\nii   the gate\niii  the wheel\niv   the stones\n')).toEqual([
    'p i    the pond\nii   the gate\niii  the wheel\niv   the stones',
  ]);
});

test('a title is centred from two tabs on; a drawing is one where half of its lines are drawn', () => {
  const body = 'The mill has stood at the quay for years\nand the tide has turned its wheel since.';
  expect(blocks(`        The mill at Sallow Quay\n\n${body}\n`)).toEqual([
    'title The mill at Sallow Quay',
    `p ${body}`,
  ]);
  expect(blocks(`       The mill at Sallow Quays\n\n${body}\n`)[0]).toBe('p The mill at Sallow Quays');
  expect(blocks('text\n\npond\n+--+\n|  |\nwheel\n\ntext\n')[1]).toBe('code pond\n+--+\n|  |\nwheel');
  expect(blocks('text\n\npond\n+--+\ngate\nwheel\n\ntext\n')[1]).toBe('p pond\n+--+\ngate\nwheel');
});
