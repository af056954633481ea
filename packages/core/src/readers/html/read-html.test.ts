import { describe, expect, test } from '@jest/globals';
import { diagnosticText } from '../../base/index.ts';
import { blockText } from '../../document/index.ts';
import { readDocument } from '../read-document.ts';
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

test('a file over the limit is refused', () =>
  expect(readDocument(new Uint8Array(65 * 1024 * 1024), 'markdown')).rejects.toThrow(/64 MB/));

const left = (html: string): readonly string[] =>
  read(html).blocks.map((block) => `${block.left ?? 'text'}: ${blockText(block)}`);

describe('what stands around the text of a page', () => {
  const PAGE = `<!doctype html><html><head><title>The mill - Gazette</title></head><body>
    <div id="cookieBanner">We use cookies.<button>Accept</button></div>
    <header><a href="/">Gazette</a><nav><ul><li><a href="/n">News</a></li></ul></nav></header>
    <main><article><h1>The mill</h1><div class="share-buttons"><a href="#a">Share</a></div>
    <p>The tide mill ground barley for two hundred years, and a trust will open it again next spring with volunteers.</p>
    <aside>Barley is a grain.</aside><div class="ad-slot">Buy boots!</div><ul><li><a href="/1">A</a></li><li><a href="/2">B</a></li><li><a href="/3">C</a></li><li><a href="/4">D</a></li></ul>
    </article></main>
    <div class="related_stories"><a href="/x">Ferry</a></div><section id="comments"><p>Lovely.</p></section>
    <div class="newsletter-signup">Get our letter</div><footer>© Gazette</footer></body></html>`;

  test('is found, kept in its place, and left out', () => {
    expect(left(PAGE)).toEqual([
      'cookies: We use cookies.',
      'navigation: Gazette',
      'navigation: News',
      'text: The mill',
      'share: Share',
      'text: The tide mill ground barley for two hundred years, and a trust will open it again next spring with volunteers.',
      'text: Barley is a grain.',
      'advert: Buy boots!',
      ...['A', 'B', 'C', 'D'].map((name) => `text: ${name}`),
      'related: Ferry',
      'comments: Lovely.',
      'sign-up: Get our letter',
      'page-footer: © Gazette',
    ]);
    expect(read(PAGE)).toMatchObject({ title: 'The mill' });
    expect(read(PAGE).diagnostics.map(diagnosticText)).toEqual([expect.stringContaining('Accept')]);
  });

  test('without names or roles is told by its links', () => {
    const links = (names: string): string =>
      `<div>${[...names].map((name) => `<a href="/${name}">Go ${name}</a> `).join('')}</div>`;
    const prose = '<p>Here is what the page has to say, at the length of a paragraph that someone wrote.</p>'.repeat(3);
    expect(
      left(`<html><body>${links('abcde')}<h1>T</h1>${prose}${links('vwxyz')}</body></html>`).map(
        (line) => line.split(':')[0],
      ),
    ).toEqual(['navigation', 'text', 'text', 'text', 'text', 'related']);
  });

  test('is never most of the page or its title, whatever its name says', () => {
    const prose = `<p>${'words of the text go on '.repeat(20)}</p>`;
    expect(
      left(`<body><div class="sidebar"><h1>T</h1>${prose}</div></body>`).every((line) => line.startsWith('text')),
    ).toBe(true);
    expect(
      left(`<body><div class="widget">${prose}</div><p>short</p></body>`).every((line) => line.startsWith('text')),
    ).toBe(true);
  });
});

test('pasted paragraphs are what their style says: headings, items of a list, bold', () => {
  expect(
    blocks(
      '<b style="font-weight:normal"><p class="XyTitle">T</p><p style="xx-outline-level:1">A</p><p style="xx-list:l0 level1 lfo1">·&nbsp;&nbsp; one</p><p style="xx-list:l0 level2 lfo1"><span>2.&nbsp;&nbsp; </span>two</p><p style="margin-left:72px">• three</p><p>– not an item</p><div role="heading" aria-level="3">B</div></b>',
    ),
  ).toEqual([
    'paragraph T',
    'heading1 A',
    'listItem1 one',
    'listItem2 two',
    'listItem2 three',
    'paragraph – not an item',
    'heading3 B',
  ]);
  expect(read('<p style="font-size:14pt"><span style="font-weight:700">Costs</span></p>').blocks[0]).toMatchObject({
    look: { size: 14 },
    runs: [{ text: 'Costs', bold: true }],
  });
});

test('videos stay links with their titles; counters of visits are no pictures', () => {
  const document = read(
    '<iframe src="//video.example/v" title="The wheel"></iframe><video><source src="https://a.example/m.mp4"></video><img src="x.gif" width="1" height="1">',
  );
  expect(document.blocks).toMatchObject([
    { runs: [{ text: 'The wheel', link: 'https://video.example/v' }] },
    { runs: [{ text: 'https://a.example/m.mp4', link: 'https://a.example/m.mp4' }] },
  ]);
});

test('a page says its own encoding; a line of dashes is a separator', () => {
  const page = '<meta charset="windows-1251"><p>';
  const bytes = Uint8Array.from([...page].map((char) => char.charCodeAt(0)).concat([0xec, 0xe8, 0xeb]));
  expect(readHtml(bytes).document.blocks.map(blockText)).toEqual(['мил']);
  expect(blocks('<p>a</p><p>* * *</p><p>b</p>')).toEqual(['paragraph a', 'break', 'paragraph b']);
});

test('a form around the whole page is the page; one beside the text is left, in its place', () => {
  const prose = `<p>${'words of the text go on '.repeat(20)}</p>`;
  expect(
    left(`<body><form><h1>T</h1>${prose}<button>Go</button></form></body>`).map((line) => line.split(':')[0]),
  ).toEqual(['text', 'text']);
  expect(left(`<body><h1>T</h1>${prose}<form><label>Your address</label></form></body>`)).toContain(
    'sign-up: Your address',
  );
});

test('cells keep links and bold; an equation is a line of text, and told', () => {
  const document = read(
    '<table><tr><td>a</td><td><b>bold</b> <a href="https://a.example/">here</a></td></tr></table><p>so <math><mi>x</mi><mo>=</mo><mn>2</mn></math></p>',
  );
  expect(document.blocks[0]).toMatchObject({
    table: { rows: [{ cells: [{}, { runs: [{ text: 'bold', bold: true }, {}, { link: 'https://a.example/' }] }] }] },
  });
  expect(blockText(document.blocks[1]!)).toBe('so x=2');
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['equation-flattened']);
});
