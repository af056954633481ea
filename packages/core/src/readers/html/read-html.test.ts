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

test('what would run is left out; what is hidden is left, in its place', () => {
  expect(
    left('<style>p{}</style><script>1</script><p hidden>a</p><p style="display: none">b</p><p onclick="x()">c</p>'),
  ).toEqual(['hidden: a', 'hidden: b', 'text: c']);
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

describe('the title of a page', () => {
  const titled = (html: string) => read(html).title;

  test('is that of its head, with its signs, on one line', () => {
    expect(titled('<html><head><title>\n Salt &amp; Tide\n &mdash; caf&eacute; </title></head><p>x</p></html>')).toBe(
      'Salt & Tide — café',
    );
    expect(titled('<!doctype html><title>Short</title><p>x</p>')).toBe('Short');
    expect(titled('<title></title><p>x</p>')).toBeNull();
    expect(titled('<p>x</p>')).toBeNull();
  });

  test('is not that of a drawing, nor one that is commented out', () => {
    expect(titled('<html><body><svg><title>Arrow</title></svg><p>x</p></body></html>')).toBeNull();
    expect(titled('<html><head><!-- <title>Old</title> --><title>New</title></head><body><p>x</p></body></html>')).toBe(
      'New',
    );
  });

  test('without the name of the site behind it where its heading has it alone; not of a heading that is left', () => {
    expect(titled('<title>The mill | Quay</title><h1>The mill</h1><p>x</p>')).toBe('The mill');
    expect(titled('<title>The mill | Quay</title><h1>Another</h1><p>x</p>')).toBe('The mill | Quay');
    expect(titled('<title>The mill</title><h1></h1><p>x</p>')).toBe('The mill');
  });

  test('is told with what was copied out of the page', () => {
    const page = (inner: string) =>
      `<html><head><title>Tide &lt;1&gt;</title></head><body><p>out</p><!--StartFragment-->${inner}<!--EndFragment--><p>out</p></body></html>`;
    const copied = read(page('<p>in</p>'));
    expect([copied.title, copied.blocks.map(blockText)]).toEqual(['Tide <1>', ['in']]);
  });
});

test('the language of a page is that of the whole, not of a paragraph of it', () => {
  const language = (html: string) => read(html).language;
  expect(language('<html lang="fr"><body><p lang="de">x</p><p>Le moulin se tient là.</p></body></html>')).toBe('fr');
  expect(language('<html><body lang="de"><p>x</p></body></html>')).toBe('de');
  const mixed = '<html><body><p lang="cy">x</p><p>The mill stands at the mouth of the creek.</p></body></html>';
  expect(language(mixed)).not.toBe('cy');
});

test('what is said of an encoding is looked for in the first thousand bytes and no further', () => {
  const page = (before: number) =>
    Uint8Array.from([
      ...`${' '.repeat(before)}<meta charset="windows-1251"><p>`.split('').map((char) => char.charCodeAt(0)),
      0xec,
      0xe8,
      0xeb,
    ]);
  const words = (before: number) => readHtml(page(before)).document.blocks.map(blockText);
  expect(words(900)).toEqual(['мил']);
  expect(words(1100)).not.toEqual(['мил']);
});

test('roles, outline levels and classes say of what level a heading is', () => {
  expect(
    blocks(
      '<div role="heading" aria-level="4">four</div><div role="heading">two</div><div role="heading" aria-level="9">most</div>' +
        '<p style="mso-outline-level:3">three</p><p class="Heading5">five</p><p style="mso-outline-level:7">x</p><div role="note" aria-level="3">y</div>',
    ),
  ).toEqual([
    'heading4 four',
    'heading2 two',
    'heading6 most',
    'heading3 three',
    'heading5 five',
    'paragraph x',
    'paragraph y',
  ]);
  // A heading by its element that holds nothing is none.
  expect(blocks('<h2></h2><h2> </h2><p>x</p>')).toEqual(['paragraph x']);
});

test('lists begin where they say; a list without numbers has none', () => {
  const labels = (html: string) =>
    read(html).blocks.map((block) => (block.kind === 'listItem' ? [block.ordered, block.number ?? null] : null));
  expect(labels('<ol><li>a</li><li>b</li></ol>')).toEqual([
    [true, 1],
    [true, 2],
  ]);
  expect(labels('<ol start="0"><li>a</li><li>b</li></ol>')).toEqual([
    [true, 0],
    [true, 1],
  ]);
  expect(labels('<ol reversed><li>a</li><li>b</li></ol>')).toEqual([
    [true, 2],
    [true, 1],
  ]);
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

describe('content is content, whatever its names say', () => {
  const prose = (text: string): string => `<p>${`${text} goes on for as long as a paragraph does. `.repeat(4)}</p>`;

  test('sections whose ids speak of related, popular or social things', () => {
    const page = `<body><h1>Handling tides</h1>${prose('The text')}
      <section id="handling-related-topics"><h2>History and related places</h2>${prose('The quay')}</section>
      <div class="social-history"><h2>Social history</h2>${prose('The miller')}</div>
      <div id="popular-menu"><h2>Bread</h2><ul><li>Barley, which grows here</li><li>Rye, which does not</li></ul></div>
      ${prose('The end')}</body>`;
    expect(left(page).filter((line) => !line.startsWith('text'))).toEqual([]);
  });

  test('nothing is taken out of running text; an advert without paragraphs of its own is', () => {
    const page = `<body><h1>T</h1>${prose('One')}<div class="promo">${prose('Two')}</div><div class="promo">Buy boots</div>${prose('Three')}</body>`;
    expect(left(page).map((line) => line.split(':')[0])).toEqual(['text', 'text', 'text', 'advert', 'text']);
  });

  test('main wins over all around it, by element or role; without a main text the page is read as it is', () => {
    for (const [open, close] of [
      ['<main>', '</main>'],
      ['<div role="main">', '</div>'],
      ['<article>', '</article>'],
    ])
      expect(
        left(
          `<body><div>Before</div><h3>Beside</h3>${open}<h1>T</h1>${prose('One')}${close}<ul><li>After</li></ul></body>`,
        ).map((line) => line.split(':')[0]),
      ).toEqual(['aside', 'aside', 'text', 'text', 'aside']);
    expect(left(`<body><main></main><div>${prose('One')}</div></body>`).map((line) => line.split(':')[0])).toEqual([
      'text',
    ]);
  });

  test('rows of links to the pages before and after, trails, and what stands above and below', () => {
    const row = '<div><a href="a">Gates</a> | <a href="b">Wheels</a></div>';
    const page = `<body><div><a href="/">Mill</a> › <a href="/t">Tides</a> › Springs</div>${row}<h1>T</h1>${prose('One')}${row}
      <p><a rel="prev" href="p">The gate</a> <a rel="next" href="n">The wheel</a></p></body>`;
    expect(left(page).map((line) => line.split(':')[0])).toEqual([
      'navigation',
      'navigation',
      'text',
      'text',
      'navigation',
      'navigation',
    ]);
  });
});

test('signs for linking to a heading are no part of it; an anchor is no link', () => {
  const document = read(
    '<h2>Tides<a class="headerlink" href="#tides">¶</a></h2><h2><a href="#gates"></a>Gates #</h2><h3>C# and F# <a href="#x">#</a></h3><p>See <a id="here">here</a>.</p><h2>Wheels ¶</h2>',
  );
  expect(document.blocks.map(blockText)).toEqual(['Tides', 'Gates #', 'C# and F#', 'See here.', 'Wheels']);
  expect(document.blocks[3]).toMatchObject({ runs: [{ text: 'See here.' }] });
  expect(document.diagnostics).toEqual([]);
});

test('notes stand where they are referred to, whatever element holds them', () => {
  const document = read(
    `<p>Tides<sup><a href="#fn1" id="r1">1</a></sup> and gates<a role="doc-noteref" href="#n2">[2]</a>.</p><p>On.</p>
     <aside id="n2" role="doc-footnote"><p>2. They shut by themselves.</p></aside>
     <section><hr><ol><li id="fn1"><p>Twice a day. <a href="#r1">↩</a></p></li></ol></section>`,
  );
  expect(document.blocks.map((block) => `${block.kind} ${blockText(block)}`.trim())).toEqual([
    'paragraph Tides and gates.',
    'footnote Twice a day.',
    'footnote They shut by themselves.',
    'paragraph On.',
    'break',
  ]);
  expect(document.blocks.filter(({ kind }) => kind === 'footnote')).toMatchObject([{ label: '1' }, { label: '2' }]);
  expect(document.diagnostics).toEqual([]);
  // A link to a section, and a number that is no note, stay what they are.
  expect(left('<p>See <a href="#two">2</a>.</p><div id="two"><h2>Two</h2><p>Text</p></div>')).toEqual([
    'text: See 2.',
    'text: Two',
    'text: Text',
  ]);
});

test('a class says what the title is only where one element has it, and none in a box', () => {
  expect(read('<p class="title">The mill</p><p>x</p>').title).toBe('The mill');
  expect(read('<h1>The mill</h1><p class="title">Note</p><p>x</p><p class="title">Warning</p>').blocks).toMatchObject([
    {},
    { kind: 'paragraph' },
    {},
    { kind: 'paragraph' },
  ]);
  const boxed = read('<table><tr><td><p class="title">Figure</p><p>a</p></td><td>b</td></tr></table><p>x</p>');
  expect(boxed.title).toBeNull();
});

test('terms are items, captions captions; ordered lists keep their kind, start and direction', () => {
  expect(
    blocks('<dl><dt>pond</dt><dd>Where the tide is kept.</dd></dl><figure><figcaption>The pond</figcaption></figure>'),
  ).toEqual(['listItem1 pond', 'paragraph Where the tide is kept.', 'paragraph The pond']);
  const items = read(
    '<ol type="a" start="3"><li>c</li><li value="7">g</li></ol><ol reversed><li>2</li><li>1</li></ol><ol type="I"><li>x</li></ol>',
  ).blocks.map((block) => block.kind === 'listItem' && [block.number, block.label]);
  expect(items).toEqual([
    [3, 'c.'],
    [7, 'g.'],
    [2, undefined],
    [1, undefined],
    [1, 'I.'],
  ]);
});

test('tables that lay out a page are opened; spacers are no pictures; a fixed space is not behind a mark', () => {
  expect(blocks('<table role="presentation"><tr><td><p>a</p></td><td><p>b</p></td></tr></table>')).toEqual([
    'paragraph a',
    'paragraph b',
  ]);
  expect(blocks('<table><tr><td>menu</td><td><p>a</p><p>b</p><p>c</p></td></tr></table>')).toEqual([
    'paragraph menu',
    'paragraph a',
    'paragraph b',
    'paragraph c',
  ]);
  expect(
    blocks('<p><img src="a.png" style="width:100px;height:2px"><img src="b.png" width="300" height="200"></p>'),
  ).toEqual(['picture']);
  expect(blocks('<p>12\u00a0boats</p><p>C.\u00a0Reed</p>')).toEqual([
    'paragraph 12\u00a0boats',
    'paragraph C.\u00a0Reed',
  ]);
});

test('lists with digits of their own keep them', () => {
  const list = (style: string): string =>
    `<ol start="9" style="list-style: ${style}"><li>a</li><li>b</li></ol><p>x</p>`;
  const html = ['arabic-indic inside', 'thai', 'cjk-ideographic', 'lower-alpha', 'square'].map(list).join('');
  const labels = read(html).blocks.flatMap((block) =>
    block.kind === 'listItem' ? [block.label ?? `${block.number}.`] : [],
  );
  // Names that every object has are no kinds of numbers.
  expect(read('<ol type="constructor" style="list-style: toString"><li>a</li></ol><p>x</p>').blocks[0]).toMatchObject({
    number: 1,
  });
  expect(read('<ol type="constructor"><li>a</li></ol>').blocks[0]).not.toHaveProperty('label');
  expect(labels).toEqual(['٩.', '١٠.', '๙.', '๑๐.', '九.', '十.', 'i.', 'j.', '9.', '10.']);
});

test('a note is what is led to where it says so: by a role, a way back, its mark, or as an item', () => {
  const page = (note: string) =>
    read(
      `<main><h1>Mill</h1><p>It turns<a href="#n1"><sup>1</sup></a> twice a day.</p><h2>End</h2>${note}</main>`,
    ).blocks.map((block) => `${block.kind} ${blockText(block)}`);
  const led = page('<p id="n1">1. By the tide.</p>');
  expect(led.findIndex((line) => line.includes('By the tide.'))).toBe(2);
  // What says nothing of the kind is a paragraph where it stands.
  const plain = page('<p id="n1">By the tide.</p>');
  expect(plain.at(-1)).toBe('paragraph By the tide.');
  expect(plain[2]).toBe('heading End');
});

test('a list of at least four short links is a way about; of three, or with more text, it is text', () => {
  const items = (count: number, more = '') =>
    Array.from({ length: count }, (_, i) => `<li><a href="/${i}">Place ${i}</a>${more}</li>`).join('');
  const left = (list: string) =>
    read(
      `<html><body><ul>${list}</ul><h1>Mill</h1>${'<p>The mill stands at the mouth of the creek and grinds twice a day.</p>'.repeat(4)}</body></html>`,
    ).blocks.filter((block) => block.left !== undefined).length;
  expect(left(items(4))).toBeGreaterThan(0);
  expect(left(items(4, ' where the miller keeps what he has to say'))).toBe(0);
});
