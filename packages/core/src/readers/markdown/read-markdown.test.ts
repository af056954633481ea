import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ReadError } from '../../base/index.ts';
import { cellText } from '../../content/index.ts';
import { blockText } from '../../document/index.ts';
import { png } from '../../test/docx.ts';
import { shortBlock } from '../../test/short-block.ts';
import { readMarkdown } from './read-markdown.ts';

const read = (source: string) => readMarkdown(new TextEncoder().encode(source));
const blocks = (source: string): readonly string[] => read(source).document.blocks.map(shortBlock);

test('headings of both kinds, paragraphs, breaks', () => {
  expect(blocks('Title\n=====\n\nSub\n---\n\ntext\nwrapped  \nbroken\n\n---\n\n###### six ######\n')).toEqual([
    'h1 Title',
    'h2 Sub',
    'p text wrapped\nbroken',
    'break',
    'h6 six',
  ]);
});

test('nested lists, tasks, numbers, and text below an item', () => {
  expect(
    blocks(
      '- a\n  - b\n    1. c\n    2. d\n- [x] done\n- [ ] open\n\n7. seven\n\n   below seven\n\n   ```\n   code\n   ```\n8. eight\n',
    ),
  ).toEqual([
    '- a',
    '  - b',
    '    1. c',
    '    2. d',
    '[x] done',
    '[ ] open',
    '7. seven',
    'p below seven',
    'code code',
    '8. eight',
  ]);
});

test('attributes in braces are no text: of headings, pictures and fences', () => {
  const source =
    '# Title {#top .big}\n\nSee [the costs](#money).\n\n## The `cost` so far {#money}\n\n### Aside {-}\n\n' +
    '![A pond](https://a.example/pond.png){width=50% .wide}\n\n```{.python #sum}\nx = 1\n```\n\n```js {1,3}\ny\n```\n';
  expect(blocks(source)).toEqual([
    'h1 Title',
    'p See the costs.',
    'h2 The cost so far',
    'h3 Aside',
    'picture A pond',
    'code x = 1',
    'code y',
  ]);
  const { blocks: parts } = read(source).document;
  expect(parts[2]!.names).toEqual(['money']);
  expect(parts.flatMap((block) => (block.kind === 'code' ? [block.language] : []))).toEqual(['python', 'js']);
});

test.each(['# {x}', '# Sets {1, 2}', '# Sets { x = 1 }', 'Sets {#x}', '# `{#x}`'])(
  'braces that are meant to be read stay: %s',
  (source) => {
    expect(blocks(source)[0]).toContain(source.replace(/^# /, '').replaceAll('`', ''));
  },
);

test('boxes between colons and notices: the marks go, words and titles stay', () => {
  expect(
    blocks(
      'Before\n::: warning\nDeep water\n:::\n\n:::note[Mind the gate]\nText\n- item\n:::\n\n::: {.callout title="A call"}\n:::: tip Inside it\ninner\n::::\n:::\n\n' +
        '- a\n\n  :::info\n  in a list\n  :::\n\n> [!NOTE]\n> Read **this**.\n\n> [!TIP] At once\n',
    ),
  ).toEqual([
    'p Before',
    'p Deep water',
    'p Mind the gate',
    'p Text',
    '- item',
    'p A call',
    'p Inside it',
    'p inner',
    '- a',
    'p in a list',
    'quote NOTE: Read this.',
    'quote TIP: At once',
  ]);
  expect(blocks('a ::: b\n\n    ::: code\n')).toEqual(['p a ::: b', 'code ::: code']);
});

test('HTML that is nested too deep is told, whatever it is', () => {
  for (const deep of ['<table><tr><td>a', '<div>a', '<ul><li>a'])
    expect(() => read(`Title\n\n${deep.repeat(1900)}\n`)).toThrow(expect.objectContaining({ code: 'too-deep' }));
});

test('a term is an item, what is said of it stands below', () => {
  expect(blocks('Sluice\n: Lets water *in*.\n: And out.\n\nPond\n\n: Holds it.\n\nAfter: this.\n')).toEqual([
    '- Sluice',
    'p Lets water in.',
    'p And out.',
    '- Pond',
    'p Holds it.',
    'p After: this.',
  ]);
});

test('marks and links; harmful links lose their target and keep their text', () => {
  const [block] = read('**b** *i* ~~s~~ `c` [l](https://a.example) [x](javascript:alert(1)) H<sub>2</sub>O<br>next')
    .document.blocks;
  expect(block).toMatchObject({
    runs: [
      { text: 'b', bold: true },
      { text: ' ' },
      { text: 'i', italic: true },
      { text: ' ' },
      { text: 's', strike: true },
      { text: ' ' },
      { text: 'c', code: true },
      { text: ' ' },
      { text: 'l', link: 'https://a.example' },
      { text: ' [x](javascript:alert(1)) H' },
      { text: '2', position: 'sub' },
      { text: 'O\nnext' },
    ],
  });
});

test('tables with their head', () => {
  const [block] = read('| a | b |\n|---|---|\n| 1 | **2** |\n').document.blocks;
  if (block?.kind !== 'table') throw new Error('no table');
  expect(block.table.rows.map((row) => [row.header, ...row.cells.map(cellText)])).toEqual([
    [true, 'a', 'b'],
    [false, '1', '2'],
  ]);
});

test('quotes, code and footnotes', () => {
  expect(blocks('> said\n> so\n\n```js\nlet x;\n```\n\na[^n] b[^n]\n\n[^n]: the *note*\n')).toEqual([
    'quote said so',
    'code let x;',
    'p a b',
    'footnote the note',
  ]);
});

test('front matter gives title, cover lines and properties, once', () => {
  const { document } = read(
    '---\ntitle: The mill\nsubtitle: For all\nauthor: [A, B]\ndate: 2027-05-01\nlang: en\ntags: [x]\n---\n\n# One\n',
  );
  expect(document.blocks.map(shortBlock)).toEqual([
    'title The mill',
    'subtitle For all',
    'subtitle A, B',
    'subtitle 2027-05-01',
    'h1 One',
  ]);
  expect(document).toMatchObject({ title: 'The mill', author: 'A, B', language: 'en' });
  expect(blocks('---\ntitle: Same\n---\n# Same\n\n## Sub\n')).toEqual(['h1 Same', 'h2 Sub']);
});

test('a block that only looks like front matter stays text', () => {
  const { document } = read('---\na: [b\n---\n\ntext\n');
  expect(document.diagnostics.map((one) => one.code)).toEqual(['front-matter-invalid']);
  expect(document.blocks.some((block) => blockText(block).includes('a: [b'))).toBe(true);
});

test('inline HTML is made harmless and keeps its text', () => {
  expect(
    blocks(
      '<script>alert(1)</script>\n\n<div align="center">\n<h1>Head</h1>\n<p>Text <b>bold</b></p>\n</div>\n\na <span onclick="x()">b</span>\n',
    ),
  ).toEqual(['h1 Head', 'p Text bold', 'p a b']);
});

test('pictures within the text come along, others are reported with their line', () => {
  const data = `data:image/png;base64,${Buffer.from(png()).toString('base64')}`;
  const { document, pictures } = read(`# A\n\n![in](${data})\n\ntext ![out](out.png)\n`);
  expect(document.blocks.map(shortBlock)).toEqual(['h1 A', 'picture in', 'p text', 'picture out']);
  expect(pictures).toHaveLength(1);
  expect(document.diagnostics.map((one) => [one.code, one.place.line])).toEqual([['picture-not-contained', 5]]);
});

describe('encodings', () => {
  test.each([
    ['UTF-8 with a mark', Buffer.from('\ufeff# Łódź')],
    ['UTF-16', Buffer.from('\ufeff# Łódź', 'utf16le')],
  ])('%s', (_, bytes) => expect(readMarkdown(bytes).document.blocks.map(shortBlock)).toEqual(['h1 Łódź']));
  test('Windows-1252 where it is not UTF-8', () =>
    expect(readMarkdown(Buffer.from('# M\xfchle', 'latin1')).document.blocks.map(shortBlock)).toEqual(['h1 Mühle']));
});

test('what is nested too deep is told of', () => {
  expect(read(`${'>'.repeat(300)} deep\n`).document.diagnostics.map((one) => one.code)).toEqual(['nesting-dropped']);
});

test('nothing but white space is refused', () => expect(() => read(' \n\t\n')).toThrow(ReadError));

test('ids last: a block keeps its id when others come and go', () => {
  const before = read('# A\n\nx\n\n# B\n').document.blocks;
  const after = read('new\n\n# A\n\n# B\n').document.blocks;
  for (const text of ['A', 'B'])
    expect(after.find((block) => blockText(block) === text)!.id).toBe(
      before.find((block) => blockText(block) === text)!.id,
    );
});

test('documents of other people: ids are unique, and no text is without a block', () => {
  const root = join(process.cwd(), 'node_modules');
  const files = readdirSync(root)
    .filter((name) => !name.startsWith('.') && !name.startsWith('@'))
    .flatMap((name) => ['README.md', 'readme.md', 'CHANGELOG.md'].map((file) => join(root, name, file)))
    .filter((file) => {
      try {
        return readFileSync(file).length > 0;
      } catch {
        return false;
      }
    })
    .slice(0, 150);
  expect(files.length).toBeGreaterThan(100);
  for (const file of files) {
    const bytes = readFileSync(file);
    if (bytes.toString('utf8').trim() === '') continue;
    const { document } = readMarkdown(bytes);
    expect(new Set(document.blocks.map((block) => block.id)).size).toBe(document.blocks.length);
    // Headings of the simplest form are found by a rule that shares nothing with the reader.
    const fenced = bytes
      .toString('utf8')
      .replace(/^(```|~~~)[\s\S]*?^\1/gm, '')
      .replace(/<!--[\s\S]*?-->/g, '');
    const plainHeads = [...fenced.matchAll(/^(#{1,6}) ([A-Za-z0-9 ]+)$/gm)].map(
      (match) => `h${match[1]!.length} ${match[2]!.trim()}`,
    );
    const heads = new Set(document.blocks.filter((block) => block.kind === 'heading').map(shortBlock));
    expect(plainHeads.filter((head) => !heads.has(head))).toEqual([]);
  }
});

test('a note that nothing refers to is kept; other properties are told; numbers keep their bracket', () => {
  const { document } = readMarkdown(
    new TextEncoder().encode(
      '---\ntitle: Tides\ntags: [sea, mill]\n---\n\nText[^a].\n\n[^a]: used\n[^b]: unused words\n\n3) three\n4) four\n',
    ),
  );
  expect(document.blocks.map(shortBlock)).toEqual([
    'title Tides',
    'p Text.',
    'footnote used',
    '3) three',
    '4) four',
    'footnote unused words',
  ]);
  expect(document.blocks.map((block) => 'label' in block && block.label)).toEqual([false, false, '1', '3)', '4)', '2']);
  expect(document.diagnostics).toMatchObject([{ code: 'front-matter-left', params: { text: 'tags: sea, mill' } }]);
});

test('front matter may say with which headings slides begin; what is no level is nothing', () => {
  const read = (at: string) => readMarkdown(new TextEncoder().encode(`---\nslides-at: ${at}\n---\n\n# A\n`)).document;
  expect(read('2').slidesAt).toBe(2);
  for (const wrong of ['0', '7', 'two', '[2, 3]', '']) expect('slidesAt' in read(wrong)).toBe(false);
  expect(read('2').diagnostics).toEqual([]);
});

test('the description of a picture is read as text', () => {
  const { blocks } = readMarkdown(
    new TextEncoder().encode('![The \\[north\\] *gate*\nat low water](a.png)\n'),
  ).document;
  expect(blocks[0]).toMatchObject({ kind: 'picture', alt: 'The [north] gate at low water' });
});
