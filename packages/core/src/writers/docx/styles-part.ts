/** Styles of a document (ECMA-376-1 §17.7), by the names under which receivers know them. */
import type { LanguageTag } from '../../base/index.ts';
import { XML } from '../opc/package.ts';
import { W } from './xml.ts';

const INK = '1F2A2E';
const SOFT = '5A6468';
/** Half-points. */
const HEADINGS = [34, 28, 24, 22, 22, 22] as const;

interface Style {
  readonly id: string;
  readonly name: string;
  readonly paragraph?: string;
  readonly run?: string;
  readonly next?: string;
  readonly basedOn?: string;
}

const font = (name: string): string => `<w:rFonts w:ascii="${name}" w:hAnsi="${name}" w:cs="${name}"/>`;
const space = (before: number, after: number): string => `<w:spacing w:before="${before}" w:after="${after}"/>`;

const PARAGRAPHS: readonly Style[] = [
  {
    id: 'Title',
    name: 'Title',
    paragraph: `<w:keepNext/>${space(0, 120)}`,
    run: `${font('Arial')}<w:b/><w:bCs/><w:sz w:val="48"/><w:szCs w:val="48"/>`,
    next: 'Subtitle',
  },
  {
    id: 'Subtitle',
    name: 'Subtitle',
    paragraph: space(0, 120),
    run: `<w:color w:val="${SOFT}"/><w:sz w:val="26"/><w:szCs w:val="26"/>`,
  },
  ...HEADINGS.map((size, i): Style => ({
    id: `Heading${i + 1}`,
    name: `heading ${i + 1}`,
    paragraph: `<w:keepNext/><w:keepLines/>${space(i === 0 ? 480 : 320, 120)}<w:outlineLvl w:val="${i}"/>`,
    run: `${font('Arial')}<w:b/><w:bCs/>${i > 3 ? '<w:i/><w:iCs/>' : ''}<w:sz w:val="${size}"/><w:szCs w:val="${size}"/>`,
  })),
  { id: 'ListParagraph', name: 'List Paragraph', paragraph: `${space(0, 60)}<w:contextualSpacing/>` },
  { id: 'Quote', name: 'Quote', paragraph: '<w:ind w:left="567" w:right="567"/>', run: '<w:i/><w:iCs/>' },
  {
    id: 'Code',
    name: 'Code',
    paragraph: `<w:keepLines/><w:shd w:val="clear" w:color="auto" w:fill="F2F0EA"/>${space(60, 180)}`,
    run: `${font('Courier New')}<w:noProof/><w:sz w:val="19"/><w:szCs w:val="19"/>`,
  },
  {
    id: 'Caption',
    name: 'caption',
    paragraph: space(60, 240),
    run: `<w:color w:val="${SOFT}"/><w:sz w:val="19"/><w:szCs w:val="19"/>`,
  },
  { id: 'TOC1', name: 'toc 1', paragraph: space(60, 60) },
  { id: 'TOC2', name: 'toc 2', paragraph: `${space(0, 40)}<w:ind w:left="284"/>` },
  { id: 'FootnoteText', name: 'footnote text', paragraph: space(0, 0), run: '<w:sz w:val="19"/><w:szCs w:val="19"/>' },
  { id: 'CommentText', name: 'annotation text', run: '<w:sz w:val="20"/><w:szCs w:val="20"/>' },
];
const LETTERS: readonly Pick<Style, 'id' | 'name' | 'run'>[] = [
  { id: 'Hyperlink', name: 'Hyperlink', run: '<w:color w:val="1B5E7A"/><w:u w:val="single"/>' },
  { id: 'FootnoteReference', name: 'footnote reference', run: '<w:vertAlign w:val="superscript"/>' },
  { id: 'CodeLetters', name: 'Code Letters', run: `${font('Courier New')}<w:noProof/>` },
];
const BORDER = ['top', 'left', 'bottom', 'right', 'insideH', 'insideV']
  .map((side) => `<w:${side} w:val="single" w:sz="4" w:space="0" w:color="B9BDB8"/>`)
  .join('');

export function stylesPart(language: LanguageTag): string {
  const paragraphs = PARAGRAPHS.map(
    ({ id, name, paragraph = '', run = '', next }) =>
      `<w:style w:type="paragraph"${id === 'Code' ? ' w:customStyle="1"' : ''} w:styleId="${id}"><w:name w:val="${name}"/><w:basedOn w:val="Normal"/>${next === undefined ? (/^Heading|Title/.test(id) ? '<w:next w:val="Normal"/>' : '') : `<w:next w:val="${next}"/>`}<w:qFormat/><w:pPr>${paragraph}</w:pPr><w:rPr>${run}</w:rPr></w:style>`,
  );
  const letters = LETTERS.map(
    ({ id, name, run = '' }) =>
      `<w:style w:type="character"${id === 'CodeLetters' ? ' w:customStyle="1"' : ''} w:styleId="${id}"><w:name w:val="${name}"/><w:rPr>${run}</w:rPr></w:style>`,
  );
  return `${XML}<w:styles ${W}><w:docDefaults><w:rPrDefault><w:rPr>${font('Georgia')}<w:color w:val="${INK}"/><w:sz w:val="22"/><w:szCs w:val="22"/><w:lang w:val="${language}" w:eastAsia="${language}" w:bidi="${language}"/></w:rPr></w:rPrDefault><w:pPrDefault><w:pPr><w:spacing w:after="160" w:line="288" w:lineRule="auto"/></w:pPr></w:pPrDefault></w:docDefaults><w:style w:type="paragraph" w:default="1" w:styleId="Normal"><w:name w:val="Normal"/><w:qFormat/></w:style><w:style w:type="character" w:default="1" w:styleId="DefaultParagraphFont"><w:name w:val="Default Paragraph Font"/></w:style><w:style w:type="table" w:default="1" w:styleId="TableNormal"><w:name w:val="Normal Table"/><w:tblPr><w:tblInd w:w="0" w:type="dxa"/><w:tblCellMar><w:top w:w="60" w:type="dxa"/><w:left w:w="108" w:type="dxa"/><w:bottom w:w="60" w:type="dxa"/><w:right w:w="108" w:type="dxa"/></w:tblCellMar></w:tblPr></w:style>${paragraphs.join('')}${letters.join('')}<w:style w:type="table" w:styleId="TableGrid"><w:name w:val="Table Grid"/><w:basedOn w:val="TableNormal"/><w:pPr><w:spacing w:after="0"/></w:pPr><w:tblPr><w:tblBorders>${BORDER}</w:tblBorders></w:tblPr><w:tblStylePr w:type="firstRow"><w:rPr><w:b/><w:bCs/></w:rPr></w:tblStylePr></w:style></w:styles>`;
}
