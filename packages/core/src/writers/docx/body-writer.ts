/** Blocks as paragraphs, tables and pictures of WordprocessingML (ECMA-376-1 §17.3, §17.4, §20.4). */
import { firstStrong, unreachable, type LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import {
  linesOf,
  placeCells,
  runsText,
  type PictureId,
  type Run,
  type Runs,
  type Table,
  type TableCell,
} from '../../content/index.ts';
import { withReferences, type Anchors, type Block, type Footnote } from '../../document/index.ts';
import type { Rel } from '../opc/package.ts';
import { INDENT, NO_LIST, type ListNumbers } from './list-numbers.ts';

export interface BodyHost {
  readonly numbers: ListNumbers;
  readonly anchors: Anchors;
  /** The relationship of a link; undefined for one that is not written. */
  readonly link: (target: string) => string | undefined;
  readonly picture: (
    id: PictureId,
  ) => { readonly rel: string; readonly width: number; readonly height: number } | undefined;
}

/** Of the text's width, in EMU: A4 less its margins. */
const WIDTH = 5_904_000;
const HEIGHT = 7_200_000;
/** Twentieths of a point. */
const TABLE_WIDTH = 9298;
/** EMU of a pixel at 96 to the inch. */
const PIXEL = 9525;
/** Headings of these levels stand in a table of contents. */
const CONTENTS_LEVELS = 2;

/** How a paragraph is written that is no more than its words. */
interface Setting {
  readonly style?: string;
  /** Of its list, and where it begins if not where its list says (twentieths of a point). */
  readonly list?: { readonly num: number; readonly level: number };
  readonly indent?: number | undefined;
  /** Words of ours before it. */
  readonly before?: string;
  readonly bookmark?: string | undefined;
}

export class BodyWriter {
  readonly footnotes: string[] = [];
  readonly comments: string[] = [];
  readonly noteRels: Rel[] = [];
  readonly #host: BodyHost;
  #drawings = 0;
  #headings = 0;

  constructor(host: BodyHost) {
    this.#host = host;
  }

  /** @param notes That its words refer to. */
  block(block: Block, notes: readonly Footnote[]): string {
    switch (block.kind) {
      case 'heading': {
        const number = this.#host.numbers.heading(block);
        return this.#paragraph(block, block.runs, notes, {
          style: `Heading${block.level}`,
          ...(number?.num === undefined ? {} : { list: { num: number.num, level: block.level - 1 } }),
          before: number?.text ?? '',
          bookmark: bookmarkOf(this.#headings++),
        });
      }
      case 'paragraph': {
        const style = block.role === undefined ? undefined : ROLES[block.role];
        return this.#paragraph(block, block.runs, notes, style === undefined ? {} : { style });
      }
      case 'listItem': {
        const { num, level, text } = this.#host.numbers.item(block);
        const box = block.checked === undefined ? '' : block.checked ? '☑ ' : '☐ ';
        return this.#paragraph(block, block.runs, notes, {
          style: 'ListParagraph',
          list: { num, level },
          ...(num === NO_LIST ? { indent: (level + 1) * INDENT } : {}),
          before: text + box,
        });
      }
      case 'quote':
        return this.#paragraph(block, block.runs, notes, { style: 'Quote' });
      case 'code':
        return this.#paragraph(block, [{ text: block.text }], notes, { style: 'Code' });
      case 'table':
        return this.#table(block.table, block.lang);
      case 'picture':
        if (block.picture !== undefined) return this.picture(block.picture, block.alt ?? '');
        return block.alt === null ? '' : this.#paragraph(block, [{ text: `[${block.alt}]` }], notes, {});
      case 'break':
        return block.type === 'page'
          ? '<w:p><w:r><w:br w:type="page"/></w:r></w:p>'
          : '<w:p><w:pPr><w:jc w:val="center"/></w:pPr><w:r><w:t>* * *</w:t></w:r></w:p>';
      case 'footnote':
        return '';
      default:
        return unreachable(block);
    }
  }

  /** A mark before a block to which links lead (§17.13.6.2). */
  place(block: Block): string {
    const anchor = this.#host.anchors.at(block);
    return anchor === undefined ? '' : marksOf(anchor, PLACES).join('');
  }

  /** A note that nothing refers to stays where it is. */
  looseNote(note: Footnote): string {
    return this.#paragraph(note, note.runs, [], { style: 'FootnoteText', before: `${note.label} ` });
  }

  /** @param framed With a line around it, as a slide has on paper. */
  picture(id: PictureId, alt: string, framed = false): string {
    const picture = this.#host.picture(id);
    if (picture === undefined) return '';
    const scale = Math.min(1, WIDTH / (picture.width * PIXEL), HEIGHT / (picture.height * PIXEL));
    const [cx, cy] = [picture.width, picture.height].map((side) => Math.max(1, Math.round(side * PIXEL * scale)));
    const number = ++this.#drawings;
    const about = `id="${number}" name="Picture ${number}" descr="${xmlText(alt)}"`;
    const line = framed ? '<a:ln w="6350"><a:solidFill><a:srgbClr val="B9BDB8"/></a:solidFill></a:ln>' : '';
    return `<w:p><w:pPr><w:keepNext/><w:spacing w:before="120"/></w:pPr><w:r><w:drawing><wp:inline distT="0" distB="0" distL="0" distR="0"><wp:extent cx="${cx}" cy="${cy}"/><wp:docPr ${about}/><wp:cNvGraphicFramePr/><a:graphic><a:graphicData uri="http://schemas.openxmlformats.org/drawingml/2006/picture"><pic:pic><pic:nvPicPr><pic:cNvPr ${about}/><pic:cNvPicPr/></pic:nvPicPr><pic:blipFill><a:blip r:embed="${picture.rel}"/><a:stretch><a:fillRect/></a:stretch></pic:blipFill><pic:spPr><a:xfrm><a:off x="0" y="0"/><a:ext cx="${cx}" cy="${cy}"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom>${line}</pic:spPr></pic:pic></a:graphicData></a:graphic></wp:inline></w:drawing></w:r></w:p>`;
  }

  /** A field that a receiver can renew (§17.16.5.68), with what it holds now; each entry leads to its heading. */
  contents(blocks: readonly Block[], title: string): string {
    const entries = blocks
      .filter((block) => block.kind === 'heading')
      .map(({ level, label, runs }, i) => ({ level, i, text: [label, runsText(runs)].filter(Boolean).join(' ') }))
      .filter(({ level, text }) => level <= CONTENTS_LEVELS && text.trim() !== '');
    if (entries.length === 0) return '';
    const field = (type: string): string => `<w:r><w:fldChar w:fldCharType="${type}"/></w:r>`;
    const start = `${field('begin')}<w:r><w:instrText xml:space="preserve"> TOC \\o "1-${CONTENTS_LEVELS}" \\n \\h </w:instrText></w:r>${field('separate')}`;
    const lines = entries.map(
      ({ level, i, text }, at) =>
        `<w:p><w:pPr><w:pStyle w:val="TOC${level}"/></w:pPr>${at === 0 ? start : ''}<w:hyperlink w:anchor="${bookmarkOf(i)}">${run(text)}</w:hyperlink>${at === entries.length - 1 ? field('end') : ''}</w:p>`,
    );
    return `<w:p><w:pPr><w:keepNext/><w:spacing w:before="360"/></w:pPr><w:r><w:rPr><w:b/><w:bCs/></w:rPr><w:t xml:space="preserve">${xmlText(title)}</w:t></w:r></w:p>${lines.join('')}`;
  }

  #paragraph(
    block: Pick<Block, 'lang' | 'direction' | 'remark'>,
    runs: Runs,
    notes: readonly Footnote[],
    { style, list, indent, before = '', bookmark }: Setting,
  ): string {
    const rtl = (block.direction ?? firstStrong(runsText(runs))) === 'rtl';
    // In the order of the schema (§17.3.1.26).
    const about = [
      style === undefined ? '' : `<w:pStyle w:val="${style}"/>`,
      list === undefined ? '' : `<w:numPr><w:ilvl w:val="${list.level}"/><w:numId w:val="${list.num}"/></w:numPr>`,
      rtl ? '<w:bidi/>' : '',
      indent === undefined ? '' : `<w:ind w:left="${indent}"/>`,
    ].join('');
    const comment = block.remark === undefined ? undefined : this.#comment(block.remark);
    const mark = bookmark === undefined ? ['', ''] : marksOf(bookmark);
    const words = this.#runs(withReferences(runs, notes), block.lang, rtl, this.#host.link);
    return `<w:p>${about === '' ? '' : `<w:pPr>${about}</w:pPr>`}${mark[0]}${comment?.start ?? ''}${before === '' ? '' : run(before)}${words}${comment?.end ?? ''}${mark[1]}</w:p>`;
  }

  #runs(
    pieces: readonly (Run | Footnote)[],
    lang: LanguageTag | undefined,
    rtl: boolean,
    link: BodyHost['link'],
  ): string {
    return pieces
      .map((piece) => {
        if ('kind' in piece) return this.#reference(piece);
        const made = run(piece.text, lookOf(piece, lang, rtl));
        const anchor = piece.link === undefined ? undefined : this.#host.anchors.of(piece.link);
        if (anchor !== undefined) return `<w:hyperlink w:anchor="${anchor}">${made}</w:hyperlink>`;
        const id = piece.link === undefined ? undefined : link(piece.link);
        return id === undefined ? made : `<w:hyperlink r:id="${id}">${made}</w:hyperlink>`;
      })
      .join('');
  }

  #reference({ runs, lang }: Footnote): string {
    const id = this.footnotes.length + 1;
    const link = (target: string): string | undefined => {
      if (target.startsWith('#')) return undefined;
      const rel = `rId${this.noteRels.length + 1}`;
      this.noteRels.push({ id: rel, type: 'hyperlink', target, external: true });
      return rel;
    };
    const rtl = firstStrong(runsText(runs)) === 'rtl';
    this.footnotes.push(
      `<w:footnote w:id="${id}"><w:p><w:pPr><w:pStyle w:val="FootnoteText"/></w:pPr><w:r><w:rPr><w:rStyle w:val="FootnoteReference"/></w:rPr><w:footnoteRef/></w:r>${run(' ')}${this.#runs(runs, lang, rtl, link)}</w:p></w:footnote>`,
    );
    return `<w:r><w:rPr><w:rStyle w:val="FootnoteReference"/></w:rPr><w:footnoteReference w:id="${id}"/></w:r>`;
  }

  #comment(text: string) {
    const id = this.comments.length;
    this.comments.push(
      `<w:comment w:id="${id}" w:author=""><w:p><w:pPr><w:pStyle w:val="CommentText"/></w:pPr>${run(text)}</w:p></w:comment>`,
    );
    return {
      start: `<w:commentRangeStart w:id="${id}"/>`,
      end: `<w:commentRangeEnd w:id="${id}"/><w:r><w:commentReference w:id="${id}"/></w:r>`,
    };
  }

  #table({ rows, columns }: Table, lang: LanguageTag | undefined): string {
    const width = Math.floor(TABLE_WIDTH / Math.max(1, columns));
    const own = new Map(placeCells(rows).map((one) => [`${one.row} ${one.column}`, one.cell]));
    /** By column, the cell that goes on below, and the first row that is no more its own. */
    const above: { readonly cell: TableCell; readonly until: number }[] = [];
    const lines = rows.map((row, r) => {
      const cells: string[] = [];
      for (let column = 0; column < columns;) {
        const cell = own.get(`${r} ${column}`);
        const goesOn = cell === undefined && r < (above[column]?.until ?? 0) ? above[column]!.cell : undefined;
        if (cell !== undefined && cell.rows > 1) above[column] = { cell, until: r + cell.rows };
        const span = (cell ?? goesOn)?.columns ?? 1;
        const merge = goesOn !== undefined ? '<w:vMerge/>' : (cell?.rows ?? 1) > 1 ? '<w:vMerge w:val="restart"/>' : '';
        const inner = cell === undefined ? '<w:p/>' : this.#cell(cell.runs, lang);
        cells.push(
          `<w:tc><w:tcPr><w:tcW w:w="${width * span}" w:type="dxa"/>${span > 1 ? `<w:gridSpan w:val="${span}"/>` : ''}${merge}</w:tcPr>${inner}</w:tc>`,
        );
        column += span;
      }
      return `<w:tr>${row.header ? '<w:trPr><w:tblHeader/></w:trPr>' : ''}${cells.join('')}</w:tr>`;
    });
    const grid = `<w:gridCol w:w="${width}"/>`.repeat(columns);
    const header = rows[0]?.header === true;
    // A paragraph behind it keeps two tables apart.
    return `<w:tbl><w:tblPr><w:tblStyle w:val="TableGrid"/><w:tblW w:w="${TABLE_WIDTH}" w:type="dxa"/><w:tblLook w:val="${header ? '0620' : '0600'}"/></w:tblPr><w:tblGrid>${grid}</w:tblGrid>${lines.join('')}</w:tbl><w:p><w:pPr><w:spacing w:after="0" w:line="120" w:lineRule="exact"/></w:pPr></w:p>`;
  }

  /** Lines of a cell are paragraphs. */
  #cell(runs: Runs, lang: LanguageTag | undefined): string {
    return linesOf(runs)
      .map((line) => {
        const rtl = firstStrong(runsText(line)) === 'rtl';
        return `<w:p>${rtl ? '<w:pPr><w:bidi/></w:pPr>' : ''}${this.#runs(line, lang, rtl, this.#host.link)}</w:p>`;
      })
      .join('');
  }
}

const ROLES: Readonly<Partial<Record<string, string>>> = { title: 'Title', subtitle: 'Subtitle', caption: 'Caption' };

/** Beyond the number of blocks that a document may have. */
const PLACES = 1_000_000;
const bookmarkOf = (heading: number): string => `heading_${heading + 1}`;
/** @param from What its number is counted from, as ids of marks differ in the whole file. */
const marksOf = (name: string, from = 0): readonly [string, string] => {
  const id = Number(name.slice(name.indexOf('_') + 1)) + from;
  return [`<w:bookmarkStart w:id="${id}" w:name="${name}"/>`, `<w:bookmarkEnd w:id="${id}"/>`];
};

/** In the order of the schema (§17.3.2.28). */
function lookOf(
  { bold, italic, strike, code, position, link }: Run,
  lang: LanguageTag | undefined,
  rtl: boolean,
): string {
  return [
    code === true ? '<w:rStyle w:val="CodeLetters"/>' : link !== undefined ? '<w:rStyle w:val="Hyperlink"/>' : '',
    bold === true ? '<w:b/><w:bCs/>' : '',
    italic === true ? '<w:i/><w:iCs/>' : '',
    strike === true ? '<w:strike/>' : '',
    position === undefined ? '' : `<w:vertAlign w:val="${position === 'super' ? 'superscript' : 'subscript'}"/>`,
    rtl ? '<w:rtl/>' : '',
    lang === undefined ? '' : `<w:lang w:val="${lang}" w:eastAsia="${lang}" w:bidi="${lang}"/>`,
  ].join('');
}

/** Text with its breaks and tabs. @param look The properties of a run. */
function run(text: string, look = ''): string {
  const content = text
    .split(/(\n|\t)/)
    .map((piece) =>
      piece === '\n'
        ? '<w:br/>'
        : piece === '\t'
          ? '<w:tab/>'
          : piece === ''
            ? ''
            : `<w:t xml:space="preserve">${xmlText(piece)}</w:t>`,
    )
    .join('');
  return `<w:r>${look === '' ? '' : `<w:rPr>${look}</w:rPr>`}${content}</w:r>`;
}
