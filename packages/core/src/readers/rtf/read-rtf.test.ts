import { expect, test } from '@jest/globals';
import { png } from '../../test/docx.ts';
import { shortBlock } from '../../test/short-block.ts';
import { readRtf } from './read-rtf.ts';

const bytes = (source: string): Uint8Array => Uint8Array.from(source, (char) => char.charCodeAt(0));
const HEAD =
  '\\ansi\\ansicpg1252{\\fonttbl{\\f0\\fswiss Sans;}{\\f1\\fcharset204 Cyr;}}{\\stylesheet{\\s0 Normal;}{\\s1\\outlinelevel0\\b heading 1;}{\\s2\\sbasedon0 heading 2;}{\\s3 Quote;}}';
const read = (body: string) => readRtf(bytes(`{\\rtf1${HEAD}${body}}`)).document;
const blocks = (body: string): readonly string[] => read(body).blocks.map(shortBlock);

test('headings by outline level and by style name, quotes, plain text', () => {
  expect(blocks('\\pard\\s1 One\\par\\pard\\s2 Two\\par\\pard\\s3 Said\\par\\pard\\plain text\\par')).toEqual([
    'h1 One',
    'h2 Two',
    'quote Said',
    'p text',
  ]);
});

test('characters by code page, font, Unicode with stand-ins, and symbols', () => {
  expect(
    blocks(
      "caf\\'e9 {\\f1 \\'ec\\'e8\\'eb} \\u8364?\\uc2\\u8211 --\\uc0\\u8211 x \\ldblquote q\\rdblquote\\~\\{\\}\\par",
    ),
  ).toEqual(['p café мил €––x “q”\u00a0{}']);
  // A surrogate pair comes as two signed numbers.
  expect(blocks('\\u-10180?\\u-8447?\\par')).toEqual(['p 🌁']);
});

test('looks are scoped by groups; hidden and deleted text is left out', () => {
  expect(read('a {\\b b {\\i c}} d{\\v e}{\\deleted f}\\par').blocks[0]).toMatchObject({
    runs: [{ text: 'a ' }, { text: 'b ', bold: true }, { text: 'c', bold: true, italic: true }, { text: ' d' }],
  });
});

test('lists by their text or by their table', () => {
  const table =
    '{\\*\\listtable{\\list{\\listlevel\\levelnfc0\\levelnfcn0}{\\listlevel\\levelnfc23}\\listid7}}{\\*\\listoverridetable{\\listoverride\\listid7\\ls1}}';
  expect(
    blocks(
      `${table}{\\pntext\\bullet\\tab}a\\par\\pard{\\listtext 3.\\tab}\\ls9 b\\par\\pard\\ls1 c\\par\\pard\\ls1\\ilvl1 d\\par\\pard\\ls1 e\\par`,
    ),
  ).toEqual(['- a', '3. b', '1. c', '  - d', '2. e']);
});

test('tables with merged cells; what follows a table is text again', () => {
  const row = (cells: readonly string[], definition = ''): string =>
    `\\trowd${definition || cells.map(() => '\\cellx1').join('')}\\pard\\intbl ${cells.map((cell) => `${cell}\\cell `).join('')}\\row`;
  const document = read(
    `${row(['h', ''], '\\trhdr\\clmgf\\cellx1\\clmrg\\cellx2')}${row(['a', 'b'])}\\pard after\\par`,
  );
  expect(document.blocks.map(shortBlock)).toEqual(['table h\na | b', 'p after']);
  expect(document.blocks[0]).toMatchObject({ table: { rows: [{ header: true, cells: [{ columns: 2 }] }, {}] } });
});

test('links, footnotes, page breaks, properties', () => {
  const document = read(
    '{\\info{\\title The mill}{\\author A. Author}}See {\\field{\\*\\fldinst HYPERLINK "https://a.example/"}{\\fldrslt here}} now{\\footnote\\pard the note}.\\par\\page b\\par',
  );
  expect(document).toMatchObject({ title: 'The mill', author: 'A. Author' });
  expect(document.blocks.map(shortBlock)).toEqual(['p See here now.', 'footnote the note', 'break', 'p b']);
  expect(document.blocks[0]).toMatchObject({ runs: [{}, { text: 'here', link: 'https://a.example/' }, {}] });
});

test('pictures as hexadecimal digits; other formats are told of', () => {
  const hex = Buffer.from(png()).toString('hex');
  const { document, pictures } = readRtf(
    bytes(
      `{\\rtf1${HEAD}a{\\*\\shppict{\\pict\\pngblip ${hex}}}{\\nonshppict{\\pict\\wmetafile8 0102}}\\par{\\pict\\wmetafile8 0102}b\\par}`,
    ),
  );
  expect(document.blocks.map(shortBlock)).toEqual(['p a', 'picture', 'picture', 'p b']);
  expect(pictures).toHaveLength(1);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['picture-format']);
});

test('page headers and comments are told of, unknown destinations left', () => {
  const document = read('{\\header Draft 3\\par}{\\*\\unknown words}a{\\*\\annotation no}\\par');
  expect(document.blocks.map(shortBlock)).toEqual(['p a']);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['header-left', 'comments-left']);
});

test('a file that breaks off gives what it holds and says so', () => {
  const { document } = readRtf(bytes('{\\rtf1\\ansi one\\par two'));
  expect(document.blocks.map(shortBlock)).toEqual(['p one', 'p two']);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['file-cut']);
});

test('groups without end are refused', () => {
  expect(() => readRtf(bytes(`{\\rtf1${'{'.repeat(2000)}`))).toThrow(expect.objectContaining({ code: 'too-deep' }));
});

test('text boxes stand behind the paragraph that holds them', () => {
  expect(
    blocks(
      'one {\\shp{\\*\\shpinst{\\sp{\\sn name}{\\sv value}}{\\shptxt \\pard in the box\\par second\\par}}{\\shprslt again}}two\\par three\\par',
    ),
  ).toEqual(['p one two', 'p in the box', 'p second', 'p three']);
});

test('a reset within the text of a mark changes no level; styles based on headings are headings; heads and hidden text are told or left', () => {
  const document = readRtf(
    new TextEncoder().encode(
      '{\\rtf1{\\stylesheet{\\s1\\outlinelevel1 heading 2;}{\\s2\\sbasedon1 My own;}}{\\header Sallow Quay\\par}' +
        '\\pard\\ls1\\ilvl1{\\listtext\\pard\\plain (b)\\tab}second level\\par\\pard\\s2 Chapter\\par\\pard {\\v secret}\\par\\pard a{\\v b}c{\\deleted d}\\par{\\*\\annotation said}}',
    ),
  ).document;
  expect(document.blocks.map((block) => [block.left, shortBlock(block)])).toEqual([
    [undefined, '  (b) second level'],
    [undefined, 'h2 Chapter'],
    ['hidden', 'p secret'],
    [undefined, 'p ac'],
  ]);
  expect(document.blocks[0]).toMatchObject({ label: '(b)' });
  expect(document.diagnostics.map(({ code, params }) => [code, params['text']])).toEqual([
    ['header-left', 'Sallow Quay'],
    ['hidden-text-left', 'b'],
    ['comments-left', 'said'],
  ]);
});

test('characters beyond the first plane are counted once by the ledger, whatever stands in for them', () => {
  const { document } = readRtf(
    bytes(`{\\rtf1${HEAD}\\pard\\uc1 Tide \\u-10178?\\u-9006? turns\\par\\uc2 \\u937??mega {\\uc0 \\u916 elta}\\par}`),
  );
  expect(document.blocks.map(shortBlock)).toEqual([
    'p Tide 🛒 turns'.replace('🛒', String.fromCharCode(0xd83e, 0xdcd2)),
    'p Ωmega Δelta',
  ]);
  expect(document.diagnostics).toEqual([]);
});

test('a row of more cells than it defines has them all, none merged', () => {
  const row = (cells: readonly string[]) =>
    `\\trowd\\cellx1000 ${cells.map((cell) => `\\pard\\intbl ${cell}\\cell`).join('')}\\row`;
  expect(blocks(`${row(['a', 'b'])}${row(['c', 'd'])}\\pard after\\par`)).toEqual(['table a | b\nc | d', 'p after']);
});

test('what a linked or embedded object shows is read, and the object told of', () => {
  const { document } = readRtf(
    bytes(`{\\rtf1${HEAD}\\pard before {\\object\\objemb{\\*\\objdata 0102}{\\result shown}} after\\par}`),
  );
  expect(document.blocks.map(shortBlock)).toEqual(['p before shown after']);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['object-not-read']);
});
