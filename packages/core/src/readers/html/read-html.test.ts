import { expect, test } from '@jest/globals';
import { blockText } from '../../document/index.ts';
import { detectType, readDocument } from '../read-document.ts';
import { readHtml } from './read-html.ts';

const read = (html: string) => readHtml(new TextEncoder().encode(html)).document;
const blocks = (html: string) =>
  read(html).blocks.map((block) =>
    `${block.kind}${block.kind === 'heading' ? block.level : block.kind === 'listItem' ? block.depth : ''} ${blockText(block)}`.trim(),
  );

test('headings, nested lists, quotes, code, tables', () => {
  expect(
    blocks(
      '<h2>A</h2><p>x <b>y</b><br>z</p><ul><li>a<ul><li>b</li></ul></li><li><p>c</p><p>below</p></li></ul><blockquote><p>q</p></blockquote><pre>l1\n l2</pre><hr><table><tr><th>h</th><th>i</th></tr><tr><td colspan="2">j</td></tr></table>loose',
    ),
  ).toEqual([
    'heading2 A',
    'paragraph x y\nz',
    'listItem1 a',
    'listItem2 b',
    'listItem1 c',
    'paragraph below',
    'quote q',
    'code l1\n l2',
    'break',
    'table h | i\nj',
    'paragraph loose',
  ]);
});

test('what is hidden or would run is left out', () => {
  expect(
    blocks('<style>p{}</style><script>1</script><p hidden>a</p><p style="display: none">b</p><p onclick="x()">c</p>'),
  ).toEqual(['paragraph c']);
});

test('of a clipboard only what was chosen is read', () => {
  expect(blocks('<html><body>page<!--StartFragment--><p>chosen</p><!--EndFragment-->rest</body></html>')).toEqual([
    'paragraph chosen',
  ]);
});

test('elements nested without end are refused', () => expect(() => read('<div>'.repeat(400))).toThrow(/nested/));

test('the kind is decided by content first', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  expect(detectType(bytes('PK\u0003\u0004'), 'x.md')).toBe('docx');
  expect(detectType(bytes('# a'), 'x.txt')).toBe('text');
  expect(detectType(bytes('<!doctype html><p>a'), 'noname')).toBe('html');
  expect(detectType(bytes('words'), 'noname')).toBe('markdown');
  expect(() => detectType(bytes('%PDF-1.4'), 'x.pdf')).toThrow(/cannot be read yet/);
  expect(() => detectType(bytes('words'), 'x.docx')).toThrow(/content is not/);
  expect(() => readDocument(new Uint8Array(65 * 1024 * 1024), 'markdown')).toThrow(/64 MB/);
});
