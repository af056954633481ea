import { describe, expect, test } from '@jest/globals';
import type { DocumentModel } from '../document/index.ts';
import { blockText } from '../document/index.ts';
import { docx } from '../test/docx.ts';
import { odt } from '../test/odt.ts';
import { readDocx } from './docx/index.ts';
import { readHtml } from './html/index.ts';
import { readMarkdown } from './markdown/index.ts';
import { readOdt } from './odt/index.ts';
import { readRtf } from './rtf/index.ts';
import { readText } from './text/index.ts';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
/** Each block's first word, its language and direction where it has them. */
const told = ({ language, blocks }: DocumentModel): readonly string[] => [
  `document ${language}`,
  ...blocks.map((block) =>
    [blockText(block).split(/\s/)[0], block.lang, block.direction].filter((part) => part !== undefined).join(' '),
  ),
];

const ENGLISH = 'The mill was built at the mouth of the creek and it is as old as the quay.';
const GERMAN = 'Die Mühle steht an der Mündung und ist so alt wie der Kai, den es nicht mehr gibt.';
const ARABIC = 'طاحونة المد والجزر عند مصب النهر';

describe('what the original says', () => {
  test('DOCX: runs, styles, defaults by script, direction of paragraphs and styles', () => {
    const run = (text: string, lang = ''): string => `<w:r><w:rPr>${lang}</w:rPr><w:t>${text}</w:t></w:r>`;
    const body =
      `<w:p>${run(ENGLISH)}</w:p>` +
      `<w:p>${run('Gezeiten', '<w:lang w:val="de-CH"/>')}</w:p>` +
      `<w:p><w:pPr><w:pStyle w:val="Q"/></w:pPr>${run('Marées et vent')}</w:p>` +
      `<w:p><w:pPr><w:bidi/></w:pPr>${run(ARABIC)}</w:p>` +
      `<w:p>${run('Tides and ')}${run('Gezeiten', '<w:lang w:val="de-CH"/>')}</w:p>` +
      `<w:p>${run('水車', '<w:lang w:val="en-GB" w:eastAsia="ja-JP"/>')}</w:p>`;
    const styles =
      '<w:docDefaults><w:rPrDefault><w:rPr><w:lang w:val="en-GB" w:eastAsia="en-US" w:bidi="ar-EG"/></w:rPr></w:rPrDefault></w:docDefaults>' +
      '<w:style w:type="paragraph" w:styleId="Q"><w:name w:val="Q"/><w:pPr><w:bidi/></w:pPr><w:rPr><w:lang w:val="fr-FR"/></w:rPr></w:style>';
    expect(told(readDocx(docx({ body, styles })).document)).toEqual([
      'document en-GB',
      'The',
      'Gezeiten de-CH',
      'Marées fr-FR rtl',
      'طاحونة ar-EG rtl',
      'Tides',
      '水車 ja-JP',
    ]);
  });

  test('ODT: default style, styles by script, spans, writing mode', () => {
    const style = (name: string, family: string, inner: string): string =>
      `<style:style style:name="${name}" style:family="${family}">${inner}</style:style>`;
    const styles =
      '<office:styles><style:default-style style:family="paragraph"><style:text-properties fo:language="en" fo:country="IE" style:language-complex="he" style:country-complex="IL"/></style:default-style></office:styles>';
    const automatic =
      style('R', 'paragraph', '<style:paragraph-properties style:writing-mode="rl-tb"/>') +
      style('F', 'text', '<style:text-properties fo:language="fr" fo:country="none"/>');
    const body = `<text:p>${ENGLISH}</text:p><text:p text:style-name="R">הטחנה</text:p><text:p><text:span text:style-name="F">Marées</text:span></text:p>`;
    expect(told(readOdt(odt({ body, styles, automatic })).document)).toEqual([
      'document en-IE',
      'The',
      'הטחנה he-IL rtl',
      'Marées fr',
    ]);
  });

  test('HTML: of the page, of elements, inherited, by the innermost; direction too', () => {
    const page = `<html lang="en-GB"><body><h1>Mill</h1><p>${ENGLISH}</p><div lang="fr" dir="rtl"><p>Marées</p><ul><li lang="de">Gezeiten</li><li><span lang="de">Kai</span></li></ul></div><p dir="auto">Quay</p></body></html>`;
    expect(told(readHtml(bytes(page)).document)).toEqual([
      'document en-GB',
      'Mill',
      'The',
      'Marées fr rtl',
      'Gezeiten de rtl',
      'Kai de rtl',
      'Quay',
    ]);
  });

  test('RTF: numbers of languages, default, direction', () => {
    const rtf = `{\\rtf1\\ansi\\deflang2057 ${ENGLISH}\\par\\pard\\lang1031 Gezeiten\\par\\pard\\rtlpar\\lang1024 Quay\\par}`;
    expect(told(readRtf(bytes(rtf)).document)).toEqual(['document en-GB', 'The', 'Gezeiten de-DE', 'Quay rtl']);
  });

  test('Markdown: front matter, and elements', () => {
    const source = `---\nlang: en-GB\n---\n${ENGLISH}\n\n<div lang="fr" dir="rtl">\nMarées\n</div>\n`;
    expect(told(readMarkdown(bytes(source)).document)).toEqual(['document en-GB', 'The', 'Marées fr rtl']);
  });
});

describe('what the words tell', () => {
  test('paragraphs in another language than most', () => {
    expect(told(readText(bytes(`${ENGLISH}\n\n${ENGLISH}\n\n${GERMAN}\n\n${ARABIC}\n`)).document)).toEqual([
      'document en-GB',
      'The',
      'The',
      'Die de',
      'طاحونة ar',
    ]);
  });

  test('a file that is said to be in another language than its text', () => {
    const page = `<html lang="en-US"><body><p>${GERMAN}</p><p>${GERMAN}</p><p>Kai</p></body></html>`;
    expect(told(readHtml(bytes(page)).document)).toEqual(['document de', 'Die', 'Die', 'Kai']);
  });

  test('a language that the letters cannot be in is not believed', () => {
    const page = `<html lang="en-US"><body><p>${ENGLISH}</p><p lang="en-US">${ARABIC}</p></body></html>`;
    expect(told(readHtml(bytes(page)).document)).toEqual(['document en-US', 'The', 'طاحونة ar']);
  });

  test('region as the file says, where the words are in its language', () => {
    expect(readHtml(bytes(`<html lang="de-AT"><body><p>${GERMAN}</p></body></html>`)).document.language).toBe('de-AT');
  });
});
