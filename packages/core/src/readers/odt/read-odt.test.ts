import { describe, expect, test } from '@jest/globals';
import { diagnosticText } from '../../base/index.ts';
import { png } from '../../test/docx.ts';
import { odf, odt, type OdtParts } from '../../test/odt.ts';
import { blockText } from '../../document/index.ts';
import { shortBlock } from '../../test/short-block.ts';
import { readOdt } from './read-odt.ts';

const read = (parts: OdtParts) => readOdt(odt(parts)).document;
const blocks = (parts: OdtParts): readonly string[] => read(parts).blocks.map(shortBlock);
const p = (text: string, style = 'Standard'): string => `<text:p text:style-name="${style}">${text}</text:p>`;
const named = (name: string, rest = '', inner = ''): string =>
  `<style:style style:name="${name}" style:family="paragraph" ${rest}>${inner}</style:style>`;

describe('headings', () => {
  test('by element, by outline level of a style, by inheritance, by name', () => {
    const automatic =
      named('P1', 'style:parent-style-name="Mine"') + named('P2', 'style:parent-style-name="Heading_20_3"');
    const styles = `<office:styles>${named('Mine', 'style:default-outline-level="2"')}${named('Heading_20_3', 'style:display-name="Heading 3"')}</office:styles>`;
    const body = `<text:h text:outline-level="1">a</text:h>${p('b', 'P1')}${p('c', 'P2')}${p('d')}<text:h text:outline-level="9">e</text:h>`;
    expect(blocks({ body, automatic, styles })).toEqual(['h1 a', 'h2 b', 'h3 c', 'p d', 'h6 e']);
  });

  test('a title style, quotations, code, contents', () => {
    const body = `${p('T', 'Title')}${p('S', 'Subtitle')}<text:table-of-content><text:table-of-content-source><text:index-title-template>x</text:index-title-template></text:table-of-content-source><text:index-body>${p('a 1')}</text:index-body></text:table-of-content>${p('q', 'Quotations')}${p('x = 1', 'Preformatted_20_Text')}${p('y = 2', 'Preformatted_20_Text')}`;
    expect(blocks({ body })).toEqual(['title T', 'subtitle S', 'contents a 1', 'quote q', 'code x = 1\ny = 2']);
    expect(read({ body }).title).toBe('T');
  });
});

test('lists by the style of their level, nested, restarted; a second paragraph is text', () => {
  const automatic =
    '<text:list-style style:name="L"><text:list-level-style-number text:level="1" style:num-format="1"/><text:list-level-style-bullet text:level="2"/></text:list-style>';
  const item = (inner: string, rest = ''): string => `<text:list-item${rest}>${inner}</text:list-item>`;
  const body = `<text:list text:style-name="L">${item(`${p('a')}${p('more')}<text:list>${item(p('b'))}</text:list>`)}${item(p('c'))}${item(p('d'), ' text:start-value="7"')}</text:list>`;
  expect(blocks({ body, automatic })).toEqual(['1 a', 'p more', '  - b', '2 c', '7 d']);
});

test('runs: bold, italic, links, spaces, tabs, line breaks, hidden and deleted text', () => {
  const automatic = [
    ['B', 'fo:font-weight="bold"'],
    ['I', 'fo:font-style="italic"'],
    ['H', 'text:display="none"'],
    ['S', 'style:text-position="super 58%"'],
  ]
    .map(
      ([name, look]) =>
        `<style:style style:name="${name}" style:family="text"><style:text-properties ${look}/></style:style>`,
    )
    .join('');
  const span = (style: string, text: string): string => `<text:span text:style-name="${style}">${text}</text:span>`;
  const body = `<text:tracked-changes><text:changed-region>${p('gone')}</text:changed-region></text:tracked-changes>${p(`The ${span('B', 'wheel')}<text:s text:c="2"/>${span('I', 'turns')}<text:tab/>x${span('S', '2')}${span('H', 'secret')}<text:line-break/><text:a xlink:href="https://a.example/">here</text:a>`)}`;
  const { document } = readOdt(odt({ body, automatic }));
  expect(document.blocks).toHaveLength(1);
  expect(document.blocks[0]).toMatchObject({
    runs: [
      { text: 'The ' },
      { text: 'wheel', bold: true },
      { text: '  ' },
      { text: 'turns', italic: true },
      { text: '\tx' },
      { text: '2', position: 'super' },
      { text: '\n' },
      { text: 'here', link: 'https://a.example/' },
    ],
  });
});

test('tables with spans and header rows; footnotes after their paragraph', () => {
  const cell = (text: string, rest = ''): string => `<table:table-cell ${rest}>${p(text)}</table:table-cell>`;
  const body = `<table:table><table:table-header-rows><table:table-row>${cell('h', 'table:number-columns-spanned="2"')}<table:covered-table-cell/></table:table-row></table:table-header-rows><table:table-row>${cell('a')}${cell('b')}</table:table-row></table:table>${p('x<text:note text:note-class="footnote"><text:note-citation>1</text:note-citation><text:note-body><text:p>the note</text:p></text:note-body></text:note> y')}`;
  const document = read({ body });
  expect(document.blocks.map(shortBlock)).toEqual(['table h\na | b', 'p x y', 'footnote the note']);
  expect(document.blocks[0]).toMatchObject({
    table: { columns: 2, rows: [{ header: true, cells: [{ columns: 2 }] }, { header: false }] },
  });
});

test('pictures with descriptions, text boxes, charts as tables; what is missing is told', () => {
  const frame = (inner: string): string => `<draw:frame>${inner}</draw:frame>`;
  const chart = odf(
    'document-content',
    '<office:body><office:chart><chart:chart><chart:title><text:p>Visitors</text:p></chart:title><table:table><table:table-header-rows><table:table-row><table:table-cell/><table:table-cell><text:p>Mill</text:p></table:table-cell></table:table-row></table:table-header-rows><table:table-row><table:table-cell><text:p>May</text:p></table:table-cell><table:table-cell office:value="120"><text:p>120</text:p></table:table-cell></table:table-row></table:table></chart:chart></office:chart></office:body>',
  );
  const body = p(
    `${frame('<draw:image xlink:href="Pictures/a.png"/><svg:title>t</svg:title><svg:desc>The pond</svg:desc>')}text${frame('<draw:text-box><text:p>boxed</text:p></draw:text-box>')}${frame('<draw:object xlink:href="./Object 1"/><draw:image xlink:href="./ObjectReplacements/1"/>')}${frame('<draw:image xlink:href="Pictures/gone.png"/>')}`,
  );
  const { document, pictures } = readOdt(
    odt({ body, files: { 'Pictures/a.png': png(), 'Object 1/content.xml': chart } }),
  );
  expect(document.blocks.map(shortBlock)).toEqual([
    'picture The pond',
    'p text',
    'p boxed',
    'caption Visitors',
    'table  | Mill\nMay | 120',
    'picture',
  ]);
  expect(pictures).toHaveLength(1);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['chart-as-table', 'picture-not-in-file']);
});

test('page headers are told of, properties are read', () => {
  const styles =
    '<office:master-styles><style:master-page><style:header><text:p>Draft 3</text:p></style:header></style:master-page></office:master-styles>';
  const document = read({
    body: p('a'),
    styles,
    meta: '<dc:title>The mill</dc:title><meta:initial-creator>A. Author</meta:initial-creator><dc:language>en-GB</dc:language>',
  });
  expect(document).toMatchObject({ title: 'The mill', author: 'A. Author', language: 'en-GB' });
  expect(document.diagnostics.map(diagnosticText)).toEqual([expect.stringContaining('Draft 3')]);
});

test.each([
  ['encrypted', { 'META-INF/manifest.xml': odf('x', '<manifest:encryption-data/>') }, 'encrypted'],
  ['without its content', { 'content.xml': '' }, 'bad-xml'],
  ['with a document type', { 'content.xml': '<!DOCTYPE x [<!ENTITY a "b">]><x/>' }, 'doctype'],
])('a package %s is refused', (_, files, code) => {
  expect(() => readOdt(odt({ body: p('a'), files }))).toThrow(expect.objectContaining({ code }));
});

test('what a comment says is told, and stays with its paragraph', () => {
  const document = read({
    body: `${p('a<office:annotation><dc:creator>X</dc:creator><text:p>For the</text:p><text:p>presenter</text:p></office:annotation> b')}${p('c')}`,
  });
  expect(document.blocks.map(shortBlock)).toEqual(['p a b', 'p c']);
  expect(document.blocks[0]).toMatchObject({ remark: 'For the presenter' });
  expect(document.diagnostics).toMatchObject([{ code: 'comments-left', params: { text: 'For the presenter' } }]);
});

test('numbers of headings and lists are computed by their styles; hidden sections are left out', () => {
  const level = (at: number, format: string, more: string): string =>
    `<text:list-level-style-number text:level="${at}" style:num-format="${format}" ${more}/>`;
  const { document } = readOdt(
    odt({
      styles: `<office:styles><text:outline-style style:name="Outline"><text:outline-level-style text:level="1" style:num-format="1" style:num-suffix="."/><text:outline-level-style text:level="2" style:num-format="a" text:display-levels="2"/></text:outline-style></office:styles>`,
      automatic: `<text:list-style style:name="L">${level(1, 'i', 'style:num-prefix="(" style:num-suffix=")"')}${level(2, '1', 'text:display-levels="2"')}</text:list-style>`,
      body: `<text:h text:outline-level="1">Tides</text:h><text:h text:outline-level="2">Springs</text:h><text:h text:outline-level="8">Deep</text:h><text:h text:outline-level="1" text:is-list-header="true">Plain</text:h><text:h text:outline-level="1">Wheels</text:h><text:list text:style-name="L"><text:list-item><text:p>oak</text:p><text:list><text:list-item><text:p>elm</text:p></text:list-item></text:list></text:list-item><text:list-item><text:p>ash</text:p></text:list-item></text:list><text:section text:display="none"><text:p>secret</text:p></text:section>`,
    }),
  );
  expect(document.blocks.map((block) => [blockText(block), 'label' in block ? block.label : block.left])).toEqual([
    ['Tides', '1.'],
    ['Springs', '1.a'],
    ['Deep', undefined],
    ['Plain', undefined],
    ['Wheels', '2.'],
    ['oak', '(i)'],
    ['elm', 'i.1'],
    ['ash', '(ii)'],
    ['secret', 'hidden'],
  ]);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['level-raised']);
});

test('a look is that of its own style: the weight from 600 on is bold, what numbers of lists wear is not the text’s', () => {
  const style = (name: string, weight: string): string =>
    `<style:style style:name="${name}" style:family="text"><style:text-properties fo:font-weight="${weight}"/></style:style>`;
  const numbers =
    '<text:list-style style:name="L"><text:list-level-style-number text:level="1" style:num-format="1"><style:text-properties fo:font-weight="bold"/></text:list-level-style-number></text:list-style>';
  const automatic = `${style('W700', 'bold')}${style('W600', '600')}${style('W500', '500')}${numbers}`;
  const span = (weight: number): string => `<text:span text:style-name="W${weight}">${weight}</text:span>`;
  const body = p([700, 600, 500].map(span).join(' '));
  expect(read({ body, automatic }).blocks).toMatchObject([
    { runs: [{ text: '700', bold: true }, { text: ' ' }, { text: '600', bold: true }, { text: ' 500' }] },
  ]);
});

test('whoever wrote it last is its author, where nobody is said to have begun it', () => {
  const last = '<dc:creator>L. Last</dc:creator>';
  expect(read({ body: p('a'), meta: last }).author).toBe('L. Last');
  expect(read({ body: p('a'), meta: `${last}<meta:initial-creator>F. First</meta:initial-creator>` }).author).toBe(
    'F. First',
  );
});
