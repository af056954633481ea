/** Writes a document as ODT (OASIS ODF 1.3) with real styles, lists, tables, notes and comments, so that work on its structure stays. */
import { firstStrong, unreachable, USUAL_LANGUAGE, type LanguageTag } from '../../base/index.ts';
import { xmlText, ZipWriter, type Deflate } from '../../container/index.ts';
import { linesOf, placeCells, runsText, type Run, type Runs, type Table } from '../../content/index.ts';
import {
  Anchors,
  notesBelow,
  withReferences,
  type Block,
  type DocumentModel,
  type Footnote,
} from '../../document/index.ts';
import type { PictureSource } from '../../scene/index.ts';
import { itemWay, nested, type Written } from '../odf/lists.ts';
import { firstParts, metaPart, pictureEntries, type ManifestEntry } from '../odf/package.ts';
import { pictureSize } from '../odf/picture-size.ts';
import { runsXml } from '../odf/runs.ts';
import { StyleSheet } from '../odf/style-sheet.ts';
import { element, imageXml, languageProperties, NS, points, VERSION, XML } from '../odf/xml.ts';
import { Media } from '../slides/media.ts';
import { FONT_FACES, INK, MONO, stylesPart, TEXT_WIDTH } from './styles-part.ts';

const ODT_TYPE = 'application/vnd.oasis.opendocument.text';
const INDENT = 18; // points
const HIGHEST = 560; // points, of a picture

/** What is left out of the document is not written. The same document gives the same bytes. */
export function writeOdt(document: DocumentModel, pictures: PictureSource, deflate?: Deflate): Uint8Array {
  const language = document.language ?? USUAL_LANGUAGE;
  const media = new Media(pictures, 'Pictures/');
  const styles = new StyleSheet();
  const blocks = document.blocks.filter(({ left }) => left === undefined);
  const body = new TextWriter({
    language,
    styles,
    media,
    pictures,
    anchors: new Anchors(blocks.filter(isText)),
  }).blocks(blocks);
  const zip = new ZipWriter(deflate);
  zip.add({
    name: 'content.xml',
    content: `${XML}<office:document-content ${NS} office:version="${VERSION}">${FONT_FACES}<office:automatic-styles>${styles.xml}</office:automatic-styles><office:body><office:text>${body}</office:text></office:body></office:document-content>`,
  });
  zip.add({ name: 'styles.xml', content: stylesPart(language) });
  zip.add({ name: 'meta.xml', content: metaPart(document) });
  const manifest: ManifestEntry[] = ['content.xml', 'styles.xml', 'meta.xml'].map((name) => [name, 'text/xml']);
  for (const part of media.parts) zip.add(part);
  manifest.push(...pictureEntries(media.parts));
  return zip.finish(firstParts(ODT_TYPE, manifest));
}

interface Host {
  readonly language: LanguageTag;
  readonly styles: StyleSheet;
  readonly media: Media;
  readonly pictures: PictureSource;
  readonly anchors: Anchors;
}

/** A mark stands in a paragraph of text. */
const isText = ({ kind }: Block): boolean => kind !== 'table' && kind !== 'picture';

/** Names of styles of paragraphs, as `stylesPart` defines them. */
const ROLES = { title: 'Title', subtitle: 'Subtitle', caption: 'Caption', contents: 'Text_20_body' } as const;

const EMPTY = element('text:p', { 'text:style-name': 'Text_20_body' });

class TextWriter {
  readonly #host: Host;
  #notes = 0;
  #tables = 0;

  constructor(host: Host) {
    this.#host = host;
  }

  blocks(blocks: readonly Block[]): string {
    const notes = notesBelow(blocks);
    const written = blocks.flatMap((block, i): readonly Written[] => {
      // With nothing before it that could refer to it, a note stays where it is.
      if (block.kind === 'footnote')
        return notes.has(block)
          ? []
          : [{ item: undefined, xml: this.#paragraph('Footnote', block, block.runs, [], `${block.label} `) }];
      const own = notes.get(block) ?? [];
      // Else two pieces of code would be one.
      const apart = block.kind === 'code' && blocks[i - 1]?.kind === 'code' ? EMPTY : '';
      return [{ item: block.kind === 'listItem' ? itemOf(block) : undefined, xml: apart + this.#block(block, own) }];
    });
    return nested(written, this.#host.styles);
  }

  #block(block: Exclude<Block, Footnote>, notes: readonly Footnote[]): string {
    switch (block.kind) {
      case 'heading':
        return this.#paragraph(
          `Heading_20_${block.level}`,
          block,
          block.runs,
          notes,
          block.label === undefined ? '' : `${block.label} `,
          block.level,
        );
      case 'paragraph':
        return this.#paragraph(block.role === undefined ? 'Text_20_body' : ROLES[block.role], block, block.runs, notes);
      case 'listItem': {
        const written = itemOf(block).written;
        const box = block.checked === undefined ? '' : block.checked ? '☑ ' : '☐ ';
        return this.#paragraph('List', block, block.runs, notes, box, undefined, written);
      }
      case 'quote':
        return this.#paragraph('Quotations', block, block.runs, notes);
      case 'code':
        return this.#paragraph('Preformatted_20_Text', block, [{ text: block.text }], notes);
      case 'table':
        return this.#table(block.table, block.lang);
      case 'picture':
        return this.#picture(block);
      case 'break':
        return block.type === 'page'
          ? element('text:p', { 'text:style-name': 'Page_20_Break' })
          : element('text:p', { 'text:style-name': 'Separator' }, '* * *');
      default:
        return unreachable(block);
    }
  }

  /** @param before Words of ours before it. @param level Of a heading. @param xml What stands before all words. */
  #paragraph(
    style: string,
    { lang, direction, remark, names }: Pick<Block, 'lang' | 'direction' | 'remark' | 'names'>,
    runs: Runs,
    notes: readonly Footnote[],
    before = '',
    level?: number,
    xml = '',
  ): string {
    const { styles } = this.#host;
    const rtl = (direction ?? firstStrong(runsText(runs))) === 'rtl';
    const own =
      (rtl ? element('style:paragraph-properties', { 'fo:text-align': 'right', 'style:writing-mode': 'rl-tb' }) : '') +
      (lang === undefined ? '' : element('style:text-properties', languageProperties(lang)));
    const name = own === '' ? style : styles.style('paragraph', own, { 'style:parent-style-name': style });
    const comment =
      remark === undefined
        ? ''
        : element(
            'office:annotation',
            {},
            remark
              .split('\n')
              .map((line) => element('text:p', {}, xmlText(line)))
              .join(''),
          );
    const anchor = this.#host.anchors.at(names === undefined ? {} : { names });
    const mark = anchor === undefined ? '' : element('text:bookmark', { 'text:name': anchor });
    const inner = comment + mark + xml + xmlText(before) + this.#words(runs, notes, lang);
    return level === undefined
      ? element('text:p', { 'text:style-name': name }, inner)
      : element('text:h', { 'text:style-name': name, 'text:outline-level': level }, inner);
  }

  /** Runs, with the notes where their labels stand. */
  #words(runs: Runs, notes: readonly Footnote[], lang: LanguageTag | undefined): string {
    const parts: (Run[] | Footnote)[] = [[]];
    for (const piece of withReferences(runs, notes)) {
      const last = parts.at(-1);
      if ('kind' in piece) parts.push(piece, []);
      else if (Array.isArray(last)) last.push(piece);
    }
    return parts.map((part) => (Array.isArray(part) ? this.#runs(part, lang) : this.#note(part))).join('');
  }

  #runs(runs: Runs, lang: LanguageTag | undefined): string {
    const { language, styles, anchors } = this.#host;
    const goal = (link: string): string | undefined => {
      const anchor = anchors.of(link);
      return anchor === undefined ? undefined : `#${anchor}`;
    };
    return runsXml(runs, { mono: MONO, language: lang ?? language, styles, goal });
  }

  #note(note: Footnote): string {
    const body = this.#paragraph('Footnote', note, note.runs, []);
    return element(
      'text:note',
      { 'text:id': `ftn${++this.#notes}`, 'text:note-class': 'footnote' },
      element('text:note-citation', { 'text:label': note.label }, xmlText(note.label)) +
        element('text:note-body', {}, body),
    );
  }

  #picture({ picture, alt }: Block & { readonly kind: 'picture' }): string {
    const data = picture === undefined ? undefined : this.#host.pictures(picture);
    const href = data === undefined ? undefined : this.#host.media.take(data.id);
    if (data === undefined || href === undefined)
      return alt === null ? '' : element('text:p', { 'text:style-name': 'Text_20_body' }, xmlText(`[${alt}]`));
    const [width, height] = pictureSize(data);
    const scale = Math.min(1, TEXT_WIDTH / width, HIGHEST / height);
    const frame = element(
      'draw:frame',
      {
        'text:anchor-type': 'as-char',
        'svg:width': points(width * scale),
        'svg:height': points(height * scale),
      },
      imageXml(href) + (alt === null ? '' : element('svg:desc', {}, xmlText(alt))),
    );
    return element('text:p', { 'text:style-name': 'Text_20_body' }, frame);
  }

  #table({ rows, columns }: Table, lang: LanguageTag | undefined): string {
    if (rows.length === 0 || columns === 0) return '';
    const { styles } = this.#host;
    const cellStyle = styles.style(
      'table-cell',
      element('style:table-cell-properties', { 'fo:border': '0.5pt solid #8a8f8b', 'fo:padding': '4pt' }),
    );
    const placed = placeCells(rows);
    const own = new Map(placed.map((one) => [`${one.row} ${one.column}`, one.cell]));
    const covered = (r: number, c: number): boolean =>
      placed.some(
        ({ row, column, cell }) => row <= r && r < row + cell.rows && column <= c && c < column + cell.columns,
      );
    const lines = rows.map((row, r) => {
      const cells = Array.from({ length: columns }, (_, c) => {
        const cell = own.get(`${r} ${c}`);
        if (cell === undefined) return covered(r, c) ? '<table:covered-table-cell/>' : '<table:table-cell/>';
        const lineStyle = row.header ? 'Table_20_Heading' : 'Table_20_Contents';
        // Lines of a cell are paragraphs.
        const inner = linesOf(cell.runs).map((line) =>
          this.#paragraph(lineStyle, lang === undefined ? {} : { lang }, line, []),
        );
        return element(
          'table:table-cell',
          {
            'table:style-name': cellStyle,
            'table:number-columns-spanned': cell.columns > 1 ? cell.columns : null,
            'table:number-rows-spanned': cell.rows > 1 ? cell.rows : null,
          },
          inner.join(''),
        );
      });
      return element('table:table-row', {}, cells.join(''));
    });
    const heads = rows.findIndex(({ header }) => !header);
    const head = lines.slice(0, heads < 0 ? 0 : heads);
    return element(
      'table:table',
      { 'table:name': `Table${++this.#tables}` },
      element('table:table-column', { 'table:number-columns-repeated': columns > 1 ? columns : null }) +
        (head.length === 0 ? '' : element('table:table-header-rows', {}, head.join(''))) +
        lines.slice(head.length).join(''),
    );
  }
}

function itemOf({ depth, ordered, number, label }: Block & { readonly kind: 'listItem' }) {
  const place = { bullet: '•', indent: depth * INDENT, hanging: INDENT };
  const level = Math.min(depth, 10);
  const mark = ordered ? { text: label ?? `${number ?? 1}.`, value: number ?? 1 } : undefined;
  return itemWay({ level, ...(mark === undefined ? {} : { mark }) }, place, INK);
}
