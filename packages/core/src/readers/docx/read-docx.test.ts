import { describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { ReadError } from '../../base/index.ts';
import { cellText, runsText } from '../../content/index.ts';
import { blockText } from '../../document/index.ts';
import { docx, para, png, run, style, styled, type DocxParts } from '../../test/docx.ts';
import { shortBlock } from '../../test/short-block.ts';
import { readDocx } from './read-docx.ts';

const read = (parts: DocxParts) => readDocx(docx(parts)).document;
const blocks = (parts: DocxParts): readonly string[] => read(parts).blocks.map(shortBlock);

describe('headings', () => {
  test('by style, by a style based on one, by outline level of style or paragraph', () => {
    const styles = [
      style('Heading1', 'heading 1'),
      style('Mine', 'My heading', '<w:basedOn w:val="Heading1"/>'),
      style('Level', 'Anything', '<w:pPr><w:outlineLvl w:val="2"/></w:pPr>'),
      style('Body', 'Based on level but body', '<w:basedOn w:val="Level"/><w:pPr><w:outlineLvl w:val="9"/></w:pPr>'),
    ].join('');
    const body = [
      para('a', styled('Heading1')),
      para('b', styled('Mine')),
      para('c', styled('Level')),
      para('d', '<w:outlineLvl w:val="1"/>'),
      para('e', styled('Body')),
      para('f', `${styled('Heading1')}<w:outlineLvl w:val="9"/>`),
    ].join('');
    expect(blocks({ body, styles })).toEqual(['h1 a', 'h1 b', 'h3 c', 'h2 d', 'p e', 'p f']);
  });

  test.each([
    'Überschrift 2',
    'Titre 2',
    'Título 2',
    'Titolo 2',
    'Kop 2',
    'Rubrik 2',
    'Заголовок 2',
    '标题 2',
    '見出し 2',
    'Nagłówek 2',
    'heading 2',
  ])('by the localised style name %s', (name) => {
    expect(blocks({ body: para('x', styled('s')), styles: style('s', name) })).toEqual(['h2 x']);
  });

  test('levels beyond six are six; a style that is based on itself does no harm', () => {
    expect(
      blocks({
        body: para('x', styled('s')) + para('y', styled('t')),
        styles: style('s', 'heading 9') + style('t', 'T', '<w:basedOn w:val="t"/>'),
      }),
    ).toEqual(['h6 x', 'p y']);
  });

  test('title and subtitle styles', () => {
    const document = read({
      body: para('The mill', styled('T')) + para('For all', styled('S')),
      styles: style('T', 'Title') + style('S', 'Subtitle'),
    });
    expect(document.blocks.map(shortBlock)).toEqual(['title The mill', 'subtitle For all']);
    expect(document.title).toBe('The mill');
  });
});

describe('lists', () => {
  const level = (i: number, format: string, extra = '') =>
    `<w:lvl w:ilvl="${i}"><w:start w:val="1"/><w:numFmt w:val="${format}"/>${extra}</w:lvl>`;
  const numbering = `<w:abstractNum w:abstractNumId="0">${level(0, 'decimal', '<w:pStyle w:val="Numbered"/>')}${level(1, 'lowerLetter', '<w:pStyle w:val="Numbered2"/>')}</w:abstractNum><w:abstractNum w:abstractNumId="1">${level(0, 'bullet')}${level(1, 'bullet')}</w:abstractNum>
    <w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num><w:num w:numId="2"><w:abstractNumId w:val="0"/><w:lvlOverride w:ilvl="0"><w:startOverride w:val="1"/></w:lvlOverride></w:num><w:num w:numId="3"><w:abstractNumId w:val="1"/></w:num>`;
  const num = (id: number, ilvl: number) => `<w:numPr><w:ilvl w:val="${ilvl}"/><w:numId w:val="${id}"/></w:numPr>`;

  test('levels, counting, and restarts', () => {
    const body = [
      para('a', num(1, 0)),
      para('a1', num(1, 1)),
      para('a2', num(1, 1)),
      para('b', num(1, 0)),
      para('b1', num(1, 1)),
      para('again', num(2, 0)),
      para('bullet', num(3, 1)),
      para('none', num(0, 0)),
    ].join('');
    expect(blocks({ body, numbering })).toEqual([
      '1. a',
      '  1. a1',
      '  2. a2',
      '2. b',
      '  1. b1',
      '1. again',
      '  - bullet',
      'p none',
    ]);
  });

  test('through styles: numbering on the style, and levels linked to styles', () => {
    const styles =
      style('Numbered', 'Num', '<w:pPr><w:numPr><w:numId w:val="1"/></w:numPr></w:pPr>') +
      style('Numbered2', 'Num two', '<w:pPr><w:numPr><w:numId w:val="1"/></w:numPr></w:pPr>') +
      style('LB2', 'List Bullet 2', '<w:pPr><w:numPr><w:numId w:val="3"/></w:numPr></w:pPr>');
    expect(
      blocks({
        body: para('a', styled('Numbered')) + para('b', styled('Numbered2')) + para('c', styled('LB2')),
        numbering,
        styles,
      }),
    ).toEqual(['1. a', '  1. b', '  - c']);
  });
});

describe('runs', () => {
  const runsOf = (body: string, parts: Partial<DocxParts> = {}) => {
    const [block] = read({ body, ...parts }).blocks;
    return block !== undefined && 'runs' in block ? block.runs : [];
  };

  test('split runs of one look become one; looks are kept', () => {
    const body = para(
      `${run('The ')}${run('no')}${run('rth', '')}${run(' gate', '<w:b/>')}${run('2', '<w:vertAlign w:val="superscript"/>')}${run('it', '<w:i/><w:strike/>')}${run('no', '<w:b w:val="0"/>')}`,
    );
    expect(runsOf(body)).toEqual([
      { text: 'The north' },
      { text: ' gate', bold: true },
      { text: '2', position: 'super' },
      { text: 'it', italic: true, strike: true },
      { text: 'no' },
    ]);
  });

  test('what a style says of a run, the run may take back', () => {
    const styles = style(
      'Out',
      'Struck',
      '<w:rPr><w:strike/><w:i/><w:vertAlign w:val="superscript"/></w:rPr>',
      'character',
    );
    const of = (own: string) => run('x', `<w:rStyle w:val="Out"/>${own}`);
    const body = para(
      `${of('')}${of('<w:strike w:val="0"/>')}${of('<w:i w:val="false"/>')}${of('<w:vertAlign w:val="baseline"/>')}${of('<w:vertAlign w:val="subscript"/>')}${of('<w:dstrike w:val="0"/>')}`,
    );
    const all = { text: 'x', strike: true, italic: true, position: 'super' };
    expect(runsOf(body, { styles })).toEqual([
      all,
      { text: 'x', italic: true, position: 'super' },
      { text: 'x', strike: true, position: 'super' },
      { text: 'x', strike: true, italic: true },
      { ...all, position: 'sub' },
      all,
    ]);
  });

  test('soft breaks and tabs', () =>
    expect(
      runsText(
        runsOf(
          '<w:p><w:r><w:t>a</w:t><w:br/><w:t>b</w:t><w:tab/><w:t>c</w:t><w:noBreakHyphen/><w:t>d</w:t></w:r></w:p>',
        ),
      ),
    ).toBe('a\nb\tc\u2011d'));

  test('links by relationship, by field, and none that is harmful', () => {
    const rels =
      '<Relationship Id="l1" Type="x/hyperlink" Target="https://a.example/" TargetMode="External"/><Relationship Id="l2" Type="x/hyperlink" Target="javascript:alert(1)" TargetMode="External"/>';
    const field =
      '<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> HYPERLINK "https://b.example/" </w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r><w:r><w:t>b</w:t></w:r><w:r><w:fldChar w:fldCharType="end"/></w:r>';
    const body = `<w:p><w:hyperlink r:id="l1">${run('a')}</w:hyperlink>${field}<w:hyperlink r:id="l2">${run('c')}</w:hyperlink></w:p>`;
    expect(runsOf(body, { rels })).toEqual([
      { text: 'a', link: 'https://a.example/' },
      { text: 'b', link: 'https://b.example/' },
      { text: 'c' },
    ]);
  });

  test('insertions are kept, deletions dropped; a deleted paragraph mark joins', () => {
    const body = `<w:p>${run('a')}<w:ins>${run('b')}</w:ins><w:del><w:r><w:delText>c</w:delText></w:r></w:del><w:moveFrom>${run('d')}</w:moveFrom><w:moveTo>${run('e')}</w:moveTo></w:p><w:p><w:pPr><w:rPr><w:del/></w:rPr></w:pPr>${run('one ')}</w:p><w:p>${run('two')}</w:p>`;
    expect(blocks({ body })).toEqual(['p abe', 'p one two']);
  });

  test('hidden text is left out or told, field codes are not shown, field results are', () => {
    const field =
      '<w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText> REF x </w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r><w:r><w:t>Figure 1</w:t></w:r><w:r><w:fldChar w:fldCharType="end"/></w:r>';
    const document = read({
      body: `<w:p>${run('a ')}${run('secret', '<w:vanish/>')}${field}</w:p>${para('gone', styled('H'))}`,
      styles: style('H', 'Hidden', '<w:rPr><w:vanish/></w:rPr>'),
    });
    expect(document.blocks.map((block) => [block.left, shortBlock(block)])).toEqual([
      [undefined, 'p a Figure 1'],
      ['hidden', 'p gone'],
    ]);
    expect(document.diagnostics).toMatchObject([{ code: 'hidden-text-left', params: { text: 'secret' } }]);
  });

  test('equations become a line of text and are reported', () => {
    const document = read({ body: '<w:p><m:oMath><m:r><m:t>E=mc²</m:t></m:r></m:oMath></w:p>' });
    expect(document.blocks.map(shortBlock)).toEqual(['p E=mc²']);
    expect(document.diagnostics.map((one) => one.code)).toEqual(['equation-flattened']);
  });
});

describe('structure', () => {
  test('content controls are opened; a table of contents is recognised by control, field and style', () => {
    const toc =
      '<w:sdt><w:sdtPr><w:docPartObj><w:docPartGallery w:val="Table of Contents"/></w:docPartObj></w:sdtPr><w:sdtContent>' +
      para('One 1') +
      '</w:sdtContent></w:sdt>';
    const field = `<w:p><w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText>TOC \\o</w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r>${run('Two 2')}</w:p><w:p>${run('Three 3')}<w:r><w:fldChar w:fldCharType="end"/></w:r></w:p>`;
    const body = `${toc}<w:sdt><w:sdtContent>${para('inside')}</w:sdtContent></w:sdt>${field}${para('Four 4', styled('TOC1'))}${para('after')}`;
    expect(blocks({ body, styles: style('TOC1', 'toc 1') })).toEqual([
      'contents One 1',
      'p inside',
      'contents Two 2',
      'contents Three 3',
      'contents Four 4',
      'p after',
    ]);
  });

  test('tables with merged cells, a repeated head, a deleted row, and a table within', () => {
    const cell = (text: string, properties = '') => `<w:tc><w:tcPr>${properties}</w:tcPr>${para(text)}</w:tc>`;
    const body = `<w:tbl><w:tr><w:trPr><w:tblHeader/></w:trPr>${cell('a', '<w:gridSpan w:val="2"/>')}${cell('b')}</w:tr>
      <w:tr>${cell('c', '<w:vMerge w:val="restart"/>')}${cell('d')}${cell('e')}</w:tr><w:tr>${cell('', '<w:vMerge/>')}${cell('f')}<w:tc><w:tbl><w:tr>${cell('x')}${cell('y')}</w:tr></w:tbl><w:p/></w:tc></w:tr>
      <w:tr><w:trPr><w:del/></w:trPr>${cell('gone')}${cell('gone')}${cell('gone')}</w:tr></w:tbl>`;
    const document = read({ body });
    const [block] = document.blocks;
    if (block?.kind !== 'table') throw new Error('no table');
    expect(block.table.rows.map((row) => row.cells.map((one) => [cellText(one), one.columns, one.rows]))).toEqual([
      [
        ['a', 2, 1],
        ['b', 1, 1],
      ],
      [
        ['c', 1, 2],
        ['d', 1, 1],
        ['e', 1, 1],
      ],
      [
        ['f', 1, 1],
        ['x | y', 1, 1],
      ],
    ]);
    expect(block.table.rows.map((row) => row.header)).toEqual([true, false, false]);
    expect(document.diagnostics.map((one) => one.code)).toEqual(['table-flattened', 'row-deleted']);
  });

  test('a table of one cell is a box: its content comes as it is', () => {
    expect(
      blocks({
        body: `<w:tbl><w:tr><w:tc>${para('a', styled('H'))}${para('b')}</w:tc></w:tr></w:tbl>`,
        styles: style('H', 'heading 2'),
      }),
    ).toEqual(['h2 a', 'p b']);
  });

  test('footnotes and endnotes follow what refers to them; separators are no notes', () => {
    const notes = (kind: string) =>
      `<w:${kind} w:type="separator" w:id="0"><w:p/></w:${kind}><w:${kind} w:id="2">${para('note')}${para('more')}</w:${kind}>`;
    const body = `<w:p>${run('a')}<w:r><w:footnoteReference w:id="2"/></w:r><w:r><w:endnoteReference w:id="2"/></w:r><w:r><w:footnoteReference w:id="0"/></w:r></w:p>${para('b')}`;
    expect(blocks({ body, footnotes: notes('footnote'), endnotes: notes('endnote') })).toEqual([
      'p a',
      'footnote note\nmore',
      'footnote note\nmore',
      'p b',
    ]);
  });

  test('page breaks stand where they were', () => {
    expect(
      blocks({
        body: `<w:p><w:r><w:br w:type="page"/></w:r>${run('a')}</w:p>${para('b', '<w:pageBreakBefore/>')}<w:p>${run('c')}<w:r><w:br w:type="page"/></w:r></w:p>`,
      }),
    ).toEqual(['break', 'p a', 'break', 'p b', 'p c', 'break']);
  });

  test('lines of code become one block, quotes are quotes', () => {
    expect(
      blocks({
        body: para('a', styled('C')) + para('b', styled('C')) + para('q', styled('Q')),
        styles: style('C', 'HTML Preformatted') + style('Q', 'Intense Quote'),
      }),
    ).toEqual(['code a\nb', 'quote q']);
  });
});

describe('pictures', () => {
  const rels =
    '<Relationship Id="p1" Type="x/image" Target="media/a.png"/><Relationship Id="p2" Type="x/image" Target="media/huge.png"/><Relationship Id="p3" Type="x/image" Target="media/gone.png"/><Relationship Id="p4" Type="x/image" Target="media/x.emf"/>';
  const files = {
    'word/media/a.png': png(),
    'word/media/huge.png': png(60_000, 60_000),
    'word/media/x.emf': new Uint8Array([1, 0, 0, 0, 9, 9]),
  };
  const drawing = (id: string, alt = '') =>
    `<w:drawing><wp:inline><wp:docPr id="1" name="Picture" descr="${alt}"/><a:graphic><a:graphicData><pic:pic><pic:blipFill><a:blip r:embed="${id}"/></pic:blipFill></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing>`;

  test('come with their descriptions, also inside text boxes, once for a box that is written twice', () => {
    const box = `<w:txbxContent>${para('in the box')}<w:p><w:r>${drawing('p1', 'Inner')}</w:r></w:p></w:txbxContent>`;
    const body = `<w:p>${run('text')}<w:r>${drawing('p1', 'The pit')}</w:r></w:p><w:p>${run('host')}<w:r><mc:AlternateContent><mc:Choice Requires="wps"><w:drawing><wps:wsp><wps:txbx>${box}</wps:txbx></wps:wsp></w:drawing></mc:Choice><mc:Fallback><w:pict><v:textbox>${box}</v:textbox></w:pict></mc:Fallback></mc:AlternateContent></w:r></w:p>`;
    const { document, pictures } = readDocx(docx({ body, rels, files }));
    expect(document.blocks.map(shortBlock)).toEqual([
      'p text',
      'picture The pit',
      'p host',
      'p in the box',
      'picture Inner',
    ]);
    expect(pictures).toHaveLength(1);
    expect(document.diagnostics).toEqual([]);
  });

  test('that cannot be carried are reported, each with its reason, and leave a mark', () => {
    const body =
      ['p2', 'p3', 'p4', 'p9'].map((id) => `<w:p><w:r>${drawing(id)}</w:r></w:p>`).join('') +
      '<w:p><w:r><w:drawing><wp:docPr descr="Costs"/><c:chart r:id="c"/></w:drawing></w:r></w:p>';
    const document = read({ body, rels, files });
    expect(document.blocks.map(shortBlock)).toEqual([
      'picture',
      'picture',
      'picture',
      'picture',
      'picture Chart: Costs',
    ]);
    expect(document.diagnostics.map((one) => [one.code, one.place.paragraph])).toEqual([
      ['picture-too-large', 1],
      ['picture-not-in-file', 2],
      ['picture-format', 3],
      ['picture-missing', 4],
      ['chart-not-read', 5],
    ]);
    expect(document.pictures).toEqual([]);
  });
});

describe('a chart', () => {
  const points = (values: readonly (string | number)[]): string =>
    values.map((value, i) => `<c:pt idx="${i}"><c:v>${value}</c:v></c:pt>`).join('');
  const series = (name: string, values: readonly number[]): string =>
    `<c:ser><c:tx><c:strRef><c:strCache>${points([name])}</c:strCache></c:strRef></c:tx><c:cat><c:strRef><c:strCache>${points(['Spring', 'Autumn'])}</c:strCache></c:strRef></c:cat><c:val><c:numRef><c:numCache>${points(values)}</c:numCache></c:numRef></c:val></c:ser>`;
  const chart = (inner: string): string =>
    `<c:chartSpace xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"><c:chart><c:title><c:tx><c:rich><a:p><a:r><a:t>Visitors</a:t></a:r></a:p></c:rich></c:tx></c:title><c:plotArea><c:barChart>${inner}</c:barChart><c:valAx><c:title><c:tx><c:rich><a:p><a:r><a:t>People</a:t></a:r></a:p></c:rich></c:tx></c:title></c:valAx></c:plotArea></c:chart></c:chartSpace>`;
  const withChart = (inner: string): DocxParts => ({
    body: '<w:p><w:r><w:drawing><wp:docPr descr="Costs"/><c:chart r:id="c"/></w:drawing></w:r></w:p>',
    rels: '<Relationship Id="c" Type="x/chart" Target="charts/chart1.xml"/>',
    files: { 'word/charts/chart1.xml': chart(inner) },
  });

  test('comes as the table of its numbers, under its title', () => {
    const document = read(withChart(series('Mill', [120, 0.30000000000000004]) + series('Quay', [80, 95])));
    expect(document.blocks.map(blockText)).toEqual([
      'Visitors',
      ' | Mill | Quay\nSpring | 120 | 80\nAutumn | 0.3 | 95',
    ]);
    expect(document.diagnostics.map(({ code }) => code)).toEqual(['chart-as-table']);
  });

  test('without numbers, or with absurdly many, leaves a mark', () => {
    for (const inner of ['', '<c:ser><c:val><c:pt idx="4000000000"><c:v>1</c:v></c:pt></c:val></c:ser>'])
      expect(blocks(withChart(inner))).toEqual(['picture Chart: Costs']);
  });
});

test('the strict namespace and unusual prefixes are read alike', () => {
  const parts: DocxParts = { body: para('a', styled('H')) + para('b'), styles: style('H', 'heading 1') };
  expect(blocks({ ...parts, strict: true })).toEqual(['h1 a', 'p b']);
  expect(blocks({ ...parts, prefix: 'doc' })).toEqual(['h1 a', 'p b']);
});

test('what a comment says is told, and stays with its paragraph', () => {
  const document = read({
    body: `<w:p>${run('a')}<w:r><w:commentReference w:id="4"/></w:r></w:p>${para('b')}`,
    comments: `<w:comment w:id="4">${para('For the presenter')}${para('only')}</w:comment>`,
  });
  expect(document.blocks.map(({ remark }) => remark)).toEqual(['For the presenter only', undefined]);
  expect(document.diagnostics).toMatchObject([{ code: 'comments-left', params: { text: 'For the presenter only' } }]);
});

test('headers and comments are told of', () => {
  const body = `<w:p>${run('a')}<w:r><w:commentReference w:id="1"/></w:r></w:p>`;
  const header = `<w:hdr xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main">${para('Draft 3')}</w:hdr>`;
  expect(
    read({
      body,
      rels: '<Relationship Id="h" Type="x/header" Target="header1.xml"/>',
      files: { 'word/header1.xml': header },
    }).diagnostics.map((one) => one.code),
  ).toEqual(['comment-not-read', 'header-left']);
});

describe('bad input', () => {
  const good = docx({ body: para('text '.repeat(500)) });
  const code = (bytes: Uint8Array): string => {
    try {
      readDocx(bytes);
    } catch (error) {
      if (error instanceof ReadError) return error.code;
      throw error;
    }
    return 'read';
  };
  const withBody = (xml: string): Uint8Array => docx({ body: '', files: { 'word/document.xml': xml } });
  const ns = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
  const cfb = (name: string): Uint8Array =>
    Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0, ...[...name].flatMap((c) => [c.charCodeAt(0), 0])]);

  test.each<[string, Uint8Array, string]>([
    ['nothing', new Uint8Array(), 'empty'],
    ['text', strToU8('hello'), 'not-a-zip'],
    ['the first half of a file', good.slice(0, good.length / 2), 'truncated'],
    ['an encrypted package', cfb('EncryptedPackage'), 'encrypted'],
    ['the old binary format', cfb('WordDocument'), 'old-binary'],
    ['a zip of something else', zipSync({ 'a.txt': strToU8('x') }), 'wrong-type'],
    ['XML that does not end', withBody(`<w:document ${ns}><w:body>`), 'bad-xml'],
    ['a document type', withBody(`<!DOCTYPE x [<!ENTITY a "aaaa">]><w:document ${ns}/>`), 'doctype'],
    [
      'elements nested without end',
      withBody(`<w:document ${ns}>${'<w:sdt>'.repeat(400)}${'</w:sdt>'.repeat(400)}</w:document>`),
      'too-deep',
    ],
    ['a zip bomb', withBody(`<w:document ${ns}><w:body>${' '.repeat(40_000_000)}</w:body></w:document>`), 'bomb'],
    [
      'no main part',
      zipSync({ '[Content_Types].xml': strToU8('<Types/>'), '_rels/.rels': strToU8('<Relationships/>') }),
      'part-missing',
    ],
  ])('%s is refused', (_, bytes, expected) => expect(code(bytes)).toBe(expected));

  test('a CRC-like change within packed bytes is refused or read, never a crash', () => {
    for (let at = 30; at < good.length; at += 7) {
      const changed = good.slice();
      changed[at]! ^= 0x5a;
      expect(typeof code(changed)).toBe('string');
    }
  });

  test('characters that XML forbids are dropped', () => {
    const document = read({ body: para('a\ufffeb\ufffcc') });
    expect(document.blocks.map(shortBlock)).toEqual(['p ab\ufffcc']);
    expect(document.diagnostics.map((one) => one.code)).toEqual(['characters-dropped']);
  });
});

test('numbers of clauses, headings and letters are computed and kept as labels', () => {
  const level = (at: number, format: string, text: string, more = ''): string =>
    `<w:lvl w:ilvl="${at}"><w:start w:val="1"/><w:numFmt w:val="${format}"/>${more}<w:lvlText w:val="${text}"/></w:lvl>`;
  const numbering = `<w:abstractNum w:abstractNumId="1">${level(0, 'upperRoman', '%1.')}${level(1, 'decimal', '%1.%2', '<w:isLgl/>')}${level(2, 'lowerLetter', '(%3)')}</w:abstractNum><w:abstractNum w:abstractNumId="2">${level(0, 'decimal', '%1.')}</w:abstractNum><w:num w:numId="1"><w:abstractNumId w:val="1"/></w:num><w:num w:numId="2"><w:abstractNumId w:val="2"/></w:num>`;
  const numbered = (text: string, at: number, list = 1, more = ''): string =>
    `<w:p><w:pPr>${more}<w:numPr><w:ilvl w:val="${at}"/><w:numId w:val="${list}"/></w:numPr></w:pPr><w:r><w:t>${text}</w:t></w:r></w:p>`;
  const heading = '<w:outlineLvl w:val="0"/>';
  const document = read({
    numbering,
    body: `${numbered('Tides', 0, 1, heading)}${numbered('springs', 1)}${numbered('high', 2)}${numbered('low', 2)}${numbered('Wheels', 0, 1, heading)}${numbered('oak', 1)}${numbered('plain', 0, 2)}`,
  });
  expect(document.blocks.map((block) => ('label' in block ? block.label : undefined))).toEqual([
    'I.',
    '1.1',
    '(a)',
    '(b)',
    'II.',
    '2.1',
    undefined,
  ]);
  expect(document.blocks.map((block) => block.kind === 'listItem' && block.number)).toEqual([
    false,
    1,
    1,
    2,
    false,
    1,
    1,
  ]);
});

test('levels below six stand as six and are told; symbols of fonts become characters; reading aids are told', () => {
  const document = read({
    body: `<w:p><w:pPr><w:outlineLvl w:val="7"/></w:pPr>${run('deep')}</w:p><w:p><w:r><w:sym w:font="Symbol" w:char="F061"/></w:r><w:r><w:sym w:font="Wingdings" w:char="F0E0"/></w:r><w:r><w:sym w:font="Odd" w:char="F0E0"/></w:r><w:r><w:ruby><w:rt><w:r><w:t>mizu</w:t></w:r></w:rt><w:rubyBase><w:r><w:t>水</w:t></w:r></w:rubyBase></w:ruby></w:r></w:p>`,
  });
  expect(document.blocks.map(shortBlock)).toEqual(['h6 deep', 'p α→水']);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['level-raised', 'symbol-dropped', 'reading-aid-left']);
});

test('text in the lower part of a merged cell is kept', () => {
  const cell = (text: string, merge: string): string => `<w:tc><w:tcPr>${merge}</w:tcPr>${para(text)}</w:tc>`;
  const { blocks: read1 } = read({
    body: `<w:tbl><w:tr>${cell('a', '<w:vMerge w:val="restart"/>')}${cell('b', '')}</w:tr><w:tr>${cell('below', '<w:vMerge/>')}${cell('c', '')}</w:tr></w:tbl>`,
  });
  expect(read1[0]).toMatchObject({
    table: { rows: [{ cells: [{ rows: 2, runs: [{ text: 'a\nbelow' }] }, {}] }, { cells: [{}] }] },
  });
});

test('a picture that unpacks to too much is left out and told; a presentation is told as what it is', () => {
  const blip =
    '<w:p><w:r><w:drawing><wp:inline><a:blip r:embed="p1"/></wp:inline></w:drawing></w:r><w:r><w:t>text</w:t></w:r></w:p>';
  const document = read({
    body: blip,
    rels: '<Relationship Id="p1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/image" Target="media/a.png"/>',
    files: { 'word/media/a.png': new Uint8Array(20_000_000) },
  });
  expect(document.blocks.map(shortBlock)).toEqual(['picture', 'p text']);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['picture-damaged']);
  const parts = unzipSync(docx({ body: '' }));
  const types = strFromU8(parts['[Content_Types].xml']!).replaceAll(
    'wordprocessingml.document',
    'presentationml.presentation',
  );
  expect(() => readDocx(zipSync({ ...parts, '[Content_Types].xml': strToU8(types) }))).toThrow(
    expect.objectContaining({ code: 'wrong-type' }),
  );
  // One with macros is a document all the same.
  const macros = strFromU8(parts['[Content_Types].xml']!).replaceAll(
    'vnd.openxmlformats-officedocument.wordprocessingml.document',
    'vnd.ms-word.document.macroEnabled',
  );
  expect(() => readDocx(zipSync({ ...parts, '[Content_Types].xml': strToU8(macros) }))).not.toThrow();
});
