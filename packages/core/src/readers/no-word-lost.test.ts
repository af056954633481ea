/** Every word that goes into a reader comes out in a block or in what is told, whatever the structure around it. */
import { expect, test } from '@jest/globals';
import { diagnosticText } from '../base/index.ts';
import { blockText, type DocumentModel } from '../document/index.ts';
import { random } from '../test/build.ts';
import { docx } from '../test/docx.ts';
import { odt } from '../test/odt.ts';
import { ap, body, frame, pptx, sp, type RawSlide } from '../test/pptx.ts';
import { readDocument, type DocumentType } from './index.ts';

/** Gives words that are found again, and remembers them. */
class Words {
  readonly given: string[] = [];
  readonly #next: () => number;
  constructor(next: () => number) {
    this.#next = next;
  }
  some(most = 6): string {
    return Array.from({ length: 1 + Math.floor(this.#next() * most) }, () => {
      this.given.push(`w${this.given.length}x`);
      return this.given.at(-1)!;
    }).join(' ');
  }
}

type Make = (words: Words, pick: <T>(items: readonly T[]) => T, depth?: number) => string;
const times = (count: number, make: () => string): string => Array.from({ length: count }, make).join('');

const html: Make = (words, pick, depth = 0) => {
  const inner = (): string => (depth > 4 ? words.some() : html(words, pick, depth + 1));
  switch (pick(['p', 'h', 'div', 'list', 'table', 'quote', 'inline', 'pre', 'nav', 'form', 'loose', 'class', 'dl'])) {
    case 'p':
      return `<p style="${pick(['', 'font-size:14pt', 'margin-left:36pt', 'display:none'])}">${words.some()}</p>`;
    case 'h':
      return `<h${pick([1, 2, 3])}>${words.some(3)}</h${pick([1, 2])}>`;
    case 'div':
      return `<div>${inner()}${words.some()}${inner()}</div>`;
    case 'list':
      return `<${pick(['ul', 'ol'])}><li>${words.some()}${inner()}</li>${inner()}<li>${inner()}</li></ul>`;
    case 'table':
      return `<table><caption>${words.some(2)}</caption><thead><tr><th>${words.some(2)}</th></tr></thead><tr><td>${inner()}</td><td colspan="2">${words.some(2)}</td></tr></table>`;
    case 'quote':
      return `<blockquote>${inner()}${words.some()}</blockquote>`;
    case 'inline':
      return `${words.some()} <b>${words.some()}<a href="/x">${words.some()}</a></b><br>${words.some()}`;
    case 'pre':
      return `<pre>${words.some()}\n${words.some()}</pre>`;
    case 'nav':
      return `<nav>${inner()}</nav><aside>${words.some()}</aside><footer>${inner()}</footer>`;
    case 'form':
      return `<form>${words.some(3)}</form><button>${words.some(2)}</button>`;
    case 'class':
      return `<div class="${pick(['share', 'ad-slot', 'sidebar', 'comments', 'main-content'])}">${inner()}</div>`;
    case 'dl':
      return `<dl><dt>${words.some(2)}</dt><dd>${inner()}</dd></dl><figure>${inner()}<figcaption>${words.some(3)}</figcaption></figure>`;
    default:
      return words.some();
  }
};
const text: Make = (words, pick) => {
  const indent = pick(['', '', '  ', '\t', '      ']);
  return `${indent}${pick(['', '- ', '1. ', '2.1 ', '* ', '# ', ''])}${words.some()}${pick(['', '.', ':'])}\n${pick(['', '', '\n', '====\n', '---\n\n', '\f'])}`;
};
const rtf: Make = (words, pick) => {
  switch (pick(['par', 'group', 'note', 'row', 'list', 'field', 'box', 'other'])) {
    case 'par':
      return `\\pard${pick(['', '\\s1', '\\qc', '\\outlinelevel1', '\\li720'])} ${words.some()}\\par\n`;
    case 'group':
      return `{\\b ${words.some()} {\\i ${words.some()}}} ${pick(['\\par ', '\\line ', ''])}`;
    case 'note':
      return `${words.some()}{\\footnote ${words.some()}}\\par `;
    case 'row':
      return `\\trowd\\cellx1\\cellx2\\pard\\intbl ${words.some(2)}\\cell ${words.some(2)}\\par ${words.some(2)}\\cell\\row\\pard `;
    case 'list':
      return `{\\pntext\\bullet\\tab}${words.some()}\\par `;
    case 'box':
      return `${words.some()}{\\shp{\\*\\shpinst{\\shptxt ${words.some()}\\par ${words.some()}}}}\\par `;
    case 'field':
      return `{\\field{\\*\\fldinst HYPERLINK "https://a.example/"}{\\fldrslt ${words.some()}}}\\par `;
    default:
      return `{\\f1 ${words.some()}}{\\super ${words.some(1)}}\\page `;
  }
};
const odtBody: Make = (words, pick, depth = 0) => {
  const p = (): string =>
    `<text:p text:style-name="${pick(['Standard', 'Title', 'Quotations', 'Caption'])}">${words.some()}</text:p>`;
  const inner = (): string => (depth > 3 ? p() : odtBody(words, pick, depth + 1));
  switch (pick(['p', 'h', 'list', 'table', 'note', 'span', 'box', 'section'])) {
    case 'h':
      return `<text:h text:outline-level="${pick([1, 2, 7])}">${words.some(3)}</text:h>`;
    case 'list':
      return `<text:list><text:list-item>${p()}${inner()}</text:list-item><text:list-header>${p()}</text:list-header></text:list>`;
    case 'table':
      return `<table:table><table:table-row><table:table-cell>${inner()}${p()}</table:table-cell><table:table-cell>${p()}</table:table-cell></table:table-row></table:table>`;
    case 'note':
      return `<text:p>${words.some()}<text:note><text:note-citation>1</text:note-citation><text:note-body>${p()}</text:note-body></text:note></text:p>`;
    case 'span':
      return `<text:p>${words.some()} <text:span>${words.some()}<text:a xlink:href="#x">${words.some()}</text:a></text:span></text:p>`;
    case 'box':
      return `<text:p>${words.some()}<draw:frame><draw:text-box>${inner()}</draw:text-box></draw:frame>${words.some()}</text:p>`;
    case 'section':
      return `<text:section>${inner()}</text:section>`;
    default:
      return p();
  }
};
const docxBody: Make = (words, pick, depth = 0) => {
  const r = (): string =>
    `<w:r><w:rPr>${pick(['', '<w:b/>', '<w:sz w:val="40"/>', '<w:caps/>'])}</w:rPr><w:t>${words.some()}</w:t></w:r>`;
  const p = (): string =>
    `<w:p><w:pPr>${pick(['', '<w:outlineLvl w:val="1"/>', '<w:jc w:val="center"/>'])}</w:pPr>${r()}</w:p>`;
  const inner = (): string => (depth > 3 ? p() : docxBody(words, pick, depth + 1));
  switch (pick(['p', 'ins', 'table', 'sdt', 'box', 'link', 'field'])) {
    case 'ins':
      return `<w:p><w:ins>${r()}</w:ins><w:smartTag>${r()}</w:smartTag></w:p>`;
    case 'table':
      return `<w:tbl><w:tr><w:tc>${inner()}${p()}</w:tc><w:tc>${p()}</w:tc></w:tr></w:tbl>`;
    case 'sdt':
      return `<w:sdt><w:sdtContent>${inner()}</w:sdtContent></w:sdt>`;
    case 'box':
      return `<w:p>${r()}<w:r><w:pict><v:textbox><w:txbxContent>${inner()}</w:txbxContent></v:textbox></w:pict></w:r>${r()}</w:p>`;
    case 'link':
      return `<w:p><w:hyperlink w:anchor="x">${r()}</w:hyperlink></w:p>`;
    case 'field':
      return `<w:p><w:r><w:fldChar w:fldCharType="begin"/></w:r><w:r><w:instrText>PAGE</w:instrText></w:r><w:r><w:fldChar w:fldCharType="separate"/></w:r>${r()}<w:r><w:fldChar w:fldCharType="end"/></w:r></w:p>`;
    default:
      return p();
  }
};
const slideBody: Make = (words, pick, depth = 0) => {
  const size = (): string => ` sz="${pick([900, 1800, 4000])}"`;
  const texts = (): string =>
    times(pick([1, 1, 2, 3]), () =>
      pick([true, false])
        ? ap(words.some(), pick([0, 1, 4]), size(), pick(['', '<a:buNone/>', '<a:buAutoNum type="romanLcParenR"/>']))
        : `<a:p><a:r><a:t>${words.some()} </a:t></a:r><a:br/><a:fld type="x"><a:t>${words.some(1)}</a:t></a:fld></a:p>`,
    );
  const box = [pick([0, 5, 50]), pick([0, 30, 60, 92]), pick([20, 45, 90]), pick([5, 10, 40])] as const;
  switch (pick(['title', 'body', 'free', 'free', 'table', 'group', 'branch', 'foot'])) {
    case 'title':
      return sp({ ph: `type="${pick(['title', 'ctrTitle', 'subTitle'])}"`, text: texts() });
    case 'body':
      return body(texts(), texts());
    case 'table':
      return frame(
        `<a:tbl>${times(2, () => `<a:tr>${times(2, () => `<a:tc${pick(['', ' gridSpan="2"', ' hMerge="1"', ' vMerge="1"'])}><a:txBody>${texts()}</a:txBody></a:tc>`)}</a:tr>`)}</a:tbl>`,
        box,
      );
    case 'group':
      return depth > 3 ? '' : `<p:grpSp><p:grpSpPr/>${times(2, () => slideBody(words, pick, depth + 1))}</p:grpSp>`;
    case 'branch':
      return `<mc:AlternateContent><mc:Choice Requires="x">${sp({ box, text: texts() })}</mc:Choice><mc:Fallback><p:sp/></mc:Fallback></mc:AlternateContent>`;
    case 'foot':
      return sp({ ph: `type="${pick(['ftr', 'dt'])}"`, text: texts() });
    default:
      return sp({ box, text: texts() });
  }
};
/** A slide; its layout and notes by chance. */
const slide: Make = (words, pick) =>
  JSON.stringify({
    layout: pick(['title', 'secHead', 'obj', 'obj']),
    shapes: times(pick([0, 1, 3, 5]), () => slideBody(words, pick)),
    ...(pick([true, false]) ? { notes: sp({ ph: 'type="body"', text: ap(words.some()) + ap(words.some()) }) } : {}),
    hidden: pick([true, false, false]),
  });
const odpPage: Make = (words, pick) => {
  const boxed = (foot = 'footer'): string =>
    `<draw:frame presentation:class="${pick(['title', 'subtitle', 'outline', foot, 'x'])}"><draw:text-box>${times(pick([1, 2]), () => odtBody(words, pick, 2))}</draw:text-box></draw:frame>`;
  return `<draw:page>${times(pick([0, 1, 3]), boxed)}<draw:g>${boxed()}<draw:path><text:p>${words.some()}</text:p></draw:path></draw:g><presentation:notes>${boxed('y')}</presentation:notes></draw:page>`;
};
const opml: Make = (words, pick, depth = 0) =>
  `<outline text="${words.some()}" ${pick([true, false]) ? `_note="${words.some()}"` : ''}>${depth > 4 ? '' : times(pick([0, 0, 1, 2]), () => opml(words, pick, depth + 1))}</outline>`;

const slidesIn = (list: string): readonly RawSlide[] => JSON.parse(`[${list.slice(0, -1)}]`) as readonly RawSlide[];
const bytes = (source: string): Uint8Array => new TextEncoder().encode(source);
const formats: readonly (readonly [DocumentType, Make, (body: string) => Uint8Array])[] = [
  ['html', html, (body) => bytes(`<!doctype html><html><body>${body}</body></html>`)],
  ['text', text, bytes],
  ['markdown', text, bytes],
  ['rtf', rtf, (body) => bytes(`{\\rtf1\\ansi{\\stylesheet{\\s1 heading 1;}}\n${body}}`)],
  ['odt', odtBody, (body) => odt({ body })],
  ['docx', docxBody, (body) => docx({ body })],
  ['pptx', (words, pick) => `${slide(words, pick)},`, (body) => pptx({ slides: slidesIn(body) })],
  ['odp', odpPage, (body) => odt({ body }, 'presentation')],
  ['opml', opml, (body) => bytes(`<opml><body>${body}</body></opml>`)],
];

const told = (document: DocumentModel): string =>
  [...document.blocks.map(blockText), ...document.diagnostics.map(diagnosticText)].join(' ');

test.each(formats)('%s', async (type, make, wrap) => {
  for (let seed = 1; seed <= 120; seed++) {
    const next = random(seed);
    const words = new Words(next);
    const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
    const body = times(1 + Math.floor(next() * 12), () => make(words, pick));
    const { document } = await readDocument(wrap(body), type);
    const found = new Set(told(document).match(/w\d+x/g));
    expect([seed, words.given.filter((word) => !found.has(word))]).toEqual([seed, []]);
    // The file's own words, counted apart, agree.
    expect([seed, document.diagnostics.filter(({ code }) => code === 'words-missing')]).toEqual([seed, []]);
    // None comes twice either.
    const all = document.blocks.map(blockText).join(' ').match(/w\d+x/g) ?? [];
    expect([seed, all.length]).toEqual([seed, new Set(all).size]);
  }
});
