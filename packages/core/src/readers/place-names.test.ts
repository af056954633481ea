/** Places that a document's own links lead to, in each format that has them. */
import { describe, expect, test } from '@jest/globals';
import { blockText, type DocumentModel } from '../document/index.ts';
import { docx, para, run, style, styled } from '../test/docx.ts';
import { odt } from '../test/odt.ts';
import { readDocx } from './docx/index.ts';
import { readHtml } from './html/index.ts';
import { readMarkdown } from './markdown/index.ts';
import { readOdt } from './odt/index.ts';
import { readRtf } from './rtf/index.ts';

const bytes = (source: string): Uint8Array => new TextEncoder().encode(source);
/** What has a name: its text, and the names. */
const places = ({ blocks }: DocumentModel): readonly (readonly [string, ...string[]])[] =>
  blocks.flatMap((block) => (block.names === undefined ? [] : [[blockText(block), ...block.names] as const]));

describe('Markdown', () => {
  const markdown = (source: string) => places(readMarkdown(bytes(source)).document);

  test('headings are meant by their words, the second of the same words by a number', () => {
    const source =
      '# The Mill\n\nSee [gates](#2-gates-sluices), [log](#log-1), [nowhere](#pit).\n\n## 2. Gates & Sluices!\n\n## Log\n\n## Log\n';
    // The mark between two words goes, the blanks around it stay.
    expect(markdown(source.replace('#2-gates-sluices', '#2-gates--sluices'))).toEqual([
      ['2. Gates & Sluices!', '2-gates--sluices'],
      ['Log', 'log-1'],
    ]);
    expect(markdown(source)).toEqual([['Log', 'log-1']]);
  });

  test('names that are written win, and letters of all scripts count', () => {
    expect(
      markdown(
        '[a](#wheel), [b](#%E6%B0%B4%E8%BB%8A) and [c](#Wheel)\n\n<a id="wheel"></a>\n\nIt turns.\n\n# 水車\n\n# Wheel\n',
      ),
    ).toEqual([
      ['It turns.', 'wheel'],
      ['水車', '水車'],
      ['Wheel', 'Wheel'],
    ]);
  });

  test('without links nothing has a name', () => {
    expect(markdown('# Mill\n\n<a id="wheel"></a>Turns.\n')).toEqual([]);
    expect(markdown('# Mill\n\nSee [it](https://mill.example/#mill).\n')).toEqual([]);
  });
});

test('HTML: an id on the element, around it, before it, within it; the first of two counts', () => {
  const html = `<title>Mill</title><h1>Mill</h1><p>See <a href="#a">a</a> <a href="#b">b</a> <a href="#c">c</a> <a href="#d">d</a> <a href="#e">e</a> <a href="#x">x</a>
    <h2 id="a">Gates</h2><p>Of oak.</p><section id="b"><h2>Wheel</h2><p>It <span id="c">turns</span>.</p></section>
    <a name="d"></a><table><tr><th>Work<th>Cost</tr><tr><td id="e">Gates<td>much</tr></table><p id="a">Again.</p>`;
  expect(places(readHtml(bytes(html)).document)).toEqual([
    ['Gates', 'a'],
    ['Wheel', 'b'],
    ['It turns.', 'c'],
    [expect.stringContaining('Work'), 'd', 'e'],
  ]);
});

test('DOCX: bookmarks in a heading, before it and behind code', () => {
  const mark = (name: string, id: number): string =>
    `<w:bookmarkStart w:id="${id}" w:name="${name}"/><w:bookmarkEnd w:id="${id}"/>`;
  const link = (name: string): string => `<w:hyperlink w:anchor="${name}">${run(name)}</w:hyperlink>`;
  const { document } = readDocx(
    docx({
      styles: style('Heading1', 'heading 1') + style('Code', 'HTML Preformatted'),
      body:
        para(link('_Gates') + link('_Wheel') + link('_Pit')) +
        para(mark('_Gates', 1) + run('Gates'), styled('Heading1')) +
        para(run('let gate = 1'), styled('Code')) +
        mark('_Wheel', 2) +
        para(run('Wheel'), styled('Heading1')) +
        para(mark('_Unused', 3) + run('It turns.')),
    }),
  );
  expect(places(document)).toEqual([
    ['Gates', '_Gates'],
    ['Wheel', '_Wheel'],
  ]);
});

test('ODT: bookmarks, and headings by their words and number', () => {
  const link = (to: string): string => `<text:a xlink:type="simple" xlink:href="${to}">there</text:a>`;
  const { document } = readOdt(
    odt({
      body: `<text:p>${link('#wheel')} ${link('#1.2.Mend the gates|outline')} ${link('#Pit|outline')}</text:p><text:h text:outline-level="1">Mend the gates</text:h><text:p>It <text:bookmark text:name="wheel"/>turns.</text:p>`,
    }),
  );
  expect(places(document)).toEqual([
    ['Mend the gates', '1.2.Mend the gates|outline'],
    ['It turns.', 'wheel'],
  ]);
});

test('RTF: bookmarks', () => {
  const body =
    '{\\field{\\*\\fldinst HYPERLINK \\\\l "wheel"}{\\fldrslt there}}\\par {\\*\\bkmkstart other}{\\*\\bkmkend other}Gates\\par {\\*\\bkmkstart wheel}Wheel{\\*\\bkmkend wheel} turns\\par';
  const { document } = readRtf(bytes(`{\\rtf1\\ansi ${body}}`));
  expect(places(document)).toEqual([['Wheel turns', 'wheel']]);
  expect(document.blocks[0]).toMatchObject({ runs: [{ text: 'there', link: '#wheel' }] });
});
