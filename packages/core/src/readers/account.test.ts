import { expect, test } from '@jest/globals';
import { Report } from '../base/index.ts';
import { doc, h, li, p, type Draft } from '../test/build.ts';
import { docx } from '../test/docx.ts';
import { odt } from '../test/odt.ts';
import { accountFor, each } from './account.ts';
import { docxText } from './docx/source-text.ts';
import { htmlText } from './markup/index.ts';
import { ap, pptx, sp } from '../test/pptx.ts';
import { pptxText } from './pptx/source-text.ts';
import { odtText } from './odf/source-text.ts';
import { opmlText } from './opml/source-text.ts';
import { rtfText } from './rtf/source-text.ts';

const bytes = (source: string): Uint8Array => new TextEncoder().encode(source);
const missing = (source: readonly string[], ...blocks: readonly Draft[]) => {
  const report = new Report();
  report.mark('7.');
  accountFor(
    each(() => source),
    doc(...blocks).blocks,
    report,
  );
  return report.diagnostics.map(({ params }) => params);
};

test('what stands in no block is named, and nothing else', () => {
  expect(missing(['Tides', '7. oak', 'It turns.'], h(1, 'Tides'), li('oak'), p('It turns.'))).toEqual([]);
  expect(missing(['Tides', '12 boats'], h(1, 'Tides'), p('boats'))).toEqual([{ letters: 2, text: '12' }]);
  expect(missing(['oak oak'], p('oak'))).toEqual([{ letters: 3, text: 'oak' }]);
  // Hyphens taken back, words joined and white space are no loss.
  expect(missing(['hyphen-', 'ated', 'a  b'], p('hyphenated a b'))).toEqual([]);
  expect(missing(['水車', 'ж'], p('水'))).toEqual([{ letters: 2, text: '水車 ж' }]);
});

const docxPieces = (body: string, prefix = 'w'): readonly string[] => {
  const pieces: string[] = [];
  docxText(
    docx({ body, prefix, footnotes: '<w:footnote w:id="2"><w:p><w:r><w:t>note</w:t></w:r></w:p></w:footnote>' }),
    (piece) => pieces.push(piece),
  );
  return pieces;
};

test.each(['w', 'ns0'])(
  'DOCX under the prefix %s: runs of a word are joined, deletions and field codes are no text',
  (prefix) => {
    const r = (text: string): string => `<w:r><w:t xml:space="preserve">${text}</w:t></w:r>`;
    expect(
      docxPieces(
        `<w:p>${r('Ti')}${r('des &amp; ')}<w:del>${r('gone')}</w:del><w:r><w:instrText>PAGE</w:instrText></w:r><w:r><w:tab/></w:r>${r('&#x6c34;')}</w:p><w:p><w:pPr><w:rPr><w:del w:id="1"/></w:rPr></w:pPr>${r('on')}</w:p>`,
        prefix,
      ),
    ).toEqual(['Tides & ', '水', 'on', 'note']);
  },
);

test('DOCX: of alternate contents the first with text counts', () => {
  const box = (text: string): string => `<w:txbxContent><w:p><w:r><w:t>${text}</w:t></w:r></w:p></w:txbxContent>`;
  const both = (choice: string, fallback: string): string =>
    `<w:p><w:r><mc:AlternateContent><mc:Choice Requires="wps">${choice}</mc:Choice><mc:Fallback>${fallback}</mc:Fallback></mc:AlternateContent></w:r></w:p>`;
  expect(docxPieces(`${both(box('a'), box('a'))}${both('', box('b'))}`)).toEqual(['a', 'b', 'note']);
});

test('PPTX: slides and notes in pieces, a fallback not once more', () => {
  const pieces: string[] = [];
  const run = (text: string): string => `<a:r><a:t>${text}</a:t></a:r>`;
  const shapes = `${sp({ text: `<a:p>${run('Ti')}${run('des &amp; ')}<a:br/>${run('on')}<a:t/></a:p>` })}<mc:AlternateContent><mc:Choice Requires="x">${sp({ text: ap('so') })}</mc:Choice><mc:Fallback>${sp({ text: ap('so') })}</mc:Fallback></mc:AlternateContent>`;
  pptxText(pptx({ slides: [{ shapes, notes: sp({ text: ap('said') }) }] }), (piece) => pieces.push(piece));
  expect(pieces).toEqual(['Tides & ', 'on', 'so', 'said']);
});

test('ODT, HTML, RTF and OPML: what people read, and no more', () => {
  expect([
    ...odtText(
      odt({
        body: '<text:tracked-changes><text:p>gone</text:p></text:tracked-changes><text:p>Ti<text:span>des</text:span><text:s/>&lt;3</text:p><text:p><!-- no -->on</text:p>',
      }),
    ),
  ]).toEqual(['Tides', '<3', 'on']);
  expect([
    ...htmlText(
      '<head><title>no</title></head><body>Ti<b>des</b><script>no</script><p>on<br>so</p><svg><text>drawn</text></svg>',
    ),
  ]).toEqual(['Tides', 'on', 'so', 'drawn']);
  expect([
    ...rtfText(
      bytes(
        '{\\rtf1{\\fonttbl{\\f0 No;}}{\\*\\generator no;}Ti{\\b des}\\par{\\deleted gone}\\uc1\\u27700?{\\footnote note}{\\pict 00ff}\\par}',
      ),
    ),
  ]).toEqual(['Tides', '水', 'note']);
  expect(
    [
      ...opmlText(
        `<opml><body><outline text="Tides &amp; gates" _note='on'><outline title="so"/></outline></body></opml>`,
      ),
    ].filter((piece) => piece !== ''),
  ).toEqual(['Tides & gates', 'on', 'so']);
});
