/**
 * Writes a deck as PDF (ISO 32000-1), tagged after PDF/UA-1 (ISO 14289-1): slides or sheets of paper, real text in subsets of
 * the shipped fonts, charts and figures as outlines, bookmarks, links.
 */
import {
  drawParts,
  getOrMake,
  makeSheets,
  type DrawnParts,
  type Passage,
  type PictureData,
  type Scene,
  type Sheet,
  type SheetOptions,
} from '@alvex/core';
import PDFDocument from 'pdfkit';
import { picturesIn, piecesIn } from '../drawn.ts';
import type { SetPiece } from '../faces.ts';
import { gathered } from './gathered.ts';
import { Images } from './images.ts';
import { drawSlidePage, writeInto, writePiece, type Tools } from './slide-page.ts';
import { artifact, into, Reading, type Element } from './structure.ts';
import { Typesetter } from './typesetter.ts';

export interface PdfOptions extends SheetOptions {
  /** For a handout, as `readingOf` has it. */
  readonly document?: readonly Passage[];
  /** Told what share of the pages is written, 0 to 1. */
  readonly progress?: (done: number) => void;
}

/** Where no date is known: the same deck gives the same bytes. */
const NO_DATE = new Date('2000-01-01T00:00:00Z');

export async function writePdf(
  scene: Scene,
  pictures: readonly PictureData[],
  { progress, document = [], ...options }: PdfOptions,
): Promise<Uint8Array> {
  const sheets = makeSheets(scene, options, document);
  const doc = new PDFDocument({
    autoFirstPage: false,
    tagged: true,
    displayTitle: true,
    pdfVersion: '1.7',
    subset: 'PDF/UA' as never,
    lang: scene.language ?? 'en',
    info: about(scene),
  });
  const bytes = gathered(doc);
  const placed = new Set(sheets.flatMap(({ slides }) => slides.map(({ index }) => index)));
  const drawn = scene.slides.map((slide, i) =>
    placed.has(i) ? drawParts(slide, scene.theme, scene.goals) : undefined,
  );
  const seen = drawn.filter((parts) => parts !== undefined);
  const type = await Typesetter.of(doc, piecesOf(seen, sheets), scene.language);
  const images = await Images.of(doc, picturesIn(seen), new Map(pictures.map((picture) => [picture.id, picture])));
  const printed = new Map(
    sheets
      .flatMap(slidesOf)
      .map((index) => [scene.slides[index]!.id, index] as const)
      .reverse(),
  );
  const tools: Tools = {
    doc,
    type,
    images,
    placeOf: (id) => {
      const index = printed.get(id);
      return index === undefined ? undefined : place(index);
    },
  };
  const root = doc.struct('Document');
  doc.addStructure(root);
  const bookmarks = new Bookmarks(doc, scene);
  const text = new SheetWriter(tools, scene, drawn, root);
  sheets.forEach((sheet, i) => {
    doc.addPage({ size: [sheet.width, sheet.height], margin: 0 });
    for (const index of slidesOf(sheet)) bookmarks.reach(index);
    text.write(sheet);
    progress?.((i + 1) / sheets.length);
  });
  // A file has a page; a deck of which all is hidden has none.
  if (sheets.length === 0) doc.addPage({ size: [960, 540], margin: 0 });
  root.end();
  doc.end();
  return bytes;
}

/** Slides that are drawn or spoken of on a sheet, among the scene's. */
const slidesOf = ({ slides, texts }: Sheet): readonly number[] => [
  ...new Set([...slides.map(({ index }) => index), ...texts.map(({ slide }) => slide)]),
];

const place = (index: number): string => `slide-${index + 1}`;

function about({ title, author, about: said, slides }: Scene): PDFKit.DocumentInfo {
  const date = (written: string | undefined): Date | undefined => {
    const read = written === undefined ? undefined : new Date(written);
    return read === undefined || Number.isNaN(read.getTime()) ? undefined : read;
  };
  const created = date(said?.created) ?? NO_DATE;
  return {
    Title: title ?? slides[0]?.title ?? '',
    ...(author === null ? {} : { Author: author }),
    ...(said?.subject === undefined ? {} : { Subject: said.subject }),
    ...(said?.keywords === undefined ? {} : { Keywords: said.keywords }),
    Creator: 'Alvex',
    Producer: 'Alvex',
    CreationDate: created,
    ModDate: date(said?.modified) ?? created,
  };
}

function* piecesOf(drawn: readonly DrawnParts[], sheets: readonly Sheet[]): Generator<SetPiece> {
  yield* piecesIn(drawn);
  for (const { texts, foot } of sheets) {
    for (const { pieces } of texts) yield* pieces;
    yield* foot;
  }
}

/** Sections and below them slides, as one leafs through the file. */
class Bookmarks {
  readonly #doc: PDFKit.PDFDocument;
  readonly #scene: Scene;
  readonly #reached = new Set<number>();
  #section: PDFKit.PDFOutline;

  constructor(doc: PDFKit.PDFDocument, scene: Scene) {
    this.#doc = doc;
    this.#scene = scene;
    this.#section = doc.outline;
  }

  /** A slide begins on this page. */
  reach(index: number): void {
    const slide = this.#scene.slides[index];
    if (slide === undefined || this.#reached.has(index)) return;
    this.#reached.add(index);
    this.#doc.addNamedDestination(place(index));
    const section = this.#scene.sections.find(({ from }) => from === index);
    if (section !== undefined) this.#section = this.#doc.outline.addItem(section.title, { expanded: true });
    const opens = section !== undefined && slide.kind === 'section';
    if (!opens && slide.part.index === 0)
      this.#section.addItem(slide.title.trim() === '' ? String(slide.number) : slide.title.replace(/\s+/g, ' '));
  }
}

/** Slides and paragraphs of sheets, as parts of one document. */
class SheetWriter {
  readonly #tools: Tools;
  readonly #scene: Scene;
  readonly #drawn: readonly (DrawnParts | undefined)[];
  readonly #root: Element;
  readonly #levels: (slide: Scene['slides'][number]) => 1 | 2;
  #part: { readonly slide: number; readonly reading: Reading } | undefined;
  #table:
    | {
        readonly number: number;
        readonly element: Element;
        row: number;
        line: Element;
        readonly cells: Map<number, Element>;
      }
    | undefined;
  /** What goes on where a paragraph does. */
  #last: { readonly element: Element; readonly tag: string } | undefined;

  constructor(tools: Tools, scene: Scene, drawn: readonly (DrawnParts | undefined)[], root: Element) {
    this.#tools = tools;
    this.#scene = scene;
    this.#drawn = drawn;
    this.#root = root;
    const opens = (slide: Scene['slides'][number] | undefined): boolean =>
      slide !== undefined && slide.kind !== 'content';
    const first = scene.slides.find(({ hidden }) => !hidden);
    // Headings begin with the first level.
    this.#levels = (slide) => (opens(slide) || !opens(first) ? 1 : 2);
  }

  write(sheet: Sheet): void {
    const { doc } = this.#tools;
    // As one reads them: a slide before the text that stands below it.
    const placed = [...sheet.slides, ...sheet.texts].toSorted((a, b) => a.y - b.y);
    for (const one of placed) {
      if ('pieces' in one) this.#text(one);
      else this.#slide(one);
    }
    artifact(doc, () => {
      for (const { x, y, width } of sheet.lines)
        doc
          .lineWidth(0.5)
          .strokeColor('#B5B5B5', 1)
          .moveTo(x, y)
          .lineTo(x + width, y)
          .stroke();
      for (const piece of sheet.foot) writePiece(this.#tools, piece);
    });
  }

  #slide({ index, x, y, width, height, framed }: Sheet['slides'][number]): void {
    const { doc } = this.#tools;
    const [slide, parts] = [this.#scene.slides[index]!, this.#drawn[index]!];
    const factor = width / parts.size.width;
    doc.save();
    if (factor !== 1 || x !== 0 || y !== 0) doc.translate(x, y).scale(factor);
    drawSlidePage(this.#tools, slide, parts, this.#levels(slide), this.#partOf(index));
    doc.restore();
    if (framed) artifact(doc, () => doc.lineWidth(0.5).strokeColor('#9A9A9A', 1).rect(x, y, width, height).stroke());
  }

  #text({ as, level, marked, slide, continues, language, pieces, cell }: Sheet['texts'][number]): void {
    const { doc } = this.#tools;
    if (continues && cell === undefined && this.#last !== undefined) {
      writeInto(this.#tools, this.#last.element, this.#last.tag, pieces);
      return;
    }
    const reading = this.#partOf(slide);
    const said = language === undefined ? {} : { lang: language };
    if (as === 'item') {
      const { label, body } = reading.item(level, language);
      if (marked) into(doc, label, 'Lbl', () => writePiece(this.#tools, pieces[0]!));
      this.#last = { element: body, tag: 'LBody' };
      writeInto(this.#tools, body, 'LBody', marked ? pieces.slice(1) : pieces);
      return;
    }
    if (as === 'cell') {
      const inner = this.#cell(slide, cell!, said);
      this.#last = { element: inner, tag: 'P' };
      writeInto(this.#tools, inner, 'P', pieces);
      return;
    }
    const tag = as === 'heading' ? `H${level}` : 'P';
    const element = reading.add(doc.struct(tag, said));
    this.#last = { element, tag };
    writeInto(this.#tools, element, tag, pieces);
  }

  /** Where the text of a cell goes: rows and tables are begun with their first cells; a cell that goes on is there. */
  #cell(
    slide: number,
    { table, row, column, header }: NonNullable<Sheet['texts'][number]['cell']>,
    said: { lang?: string },
  ): Element {
    const { doc } = this.#tools;
    if (this.#table?.number !== table) {
      const element = doc.struct('Table');
      this.#partOf(slide).add(element);
      this.#table = { number: table, element, row: -1, line: element, cells: new Map() };
    }
    const open = this.#table;
    if (open.row !== row) {
      open.line = doc.struct('TR');
      open.row = row;
      open.cells.clear();
      open.element.add(open.line);
    }
    return getOrMake(open.cells, column, () => {
      const element = doc.struct(header ? 'TH' : 'TD', said);
      open.line.add(element);
      const text = doc.struct('P');
      element.add(text);
      return text;
    });
  }

  /** What belongs to one slide stands together, wherever it is printed. */
  #partOf(slide: number): Reading {
    if (this.#part?.slide === slide) return this.#part.reading;
    const section = this.#tools.doc.struct('Sect');
    this.#root.add(section);
    this.#part = { slide, reading: new Reading(this.#tools.doc, section) };
    return this.#part.reading;
  }
}
