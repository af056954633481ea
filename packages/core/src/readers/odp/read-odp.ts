/** Reads ODP (OASIS ODF 1.3 part 3, §3.7 and §10) as a headed document: bytes to document. */
import { ReadError, Report } from '../../base/index.ts';
import type { Attributes, XmlHandler } from '../../container/index.ts';
import { each } from '../account.ts';
import { CodeLines } from '../code-lines.ts';
import type { OdtContext } from '../odf/context.ts';
import { OdtFlowReader } from '../odf/flow-reader.ts';
import { CONTENT, openOdf, readContent, readMeta, readStyles } from '../odf/package.ts';
import { odtText } from '../odf/source-text.ts';
import { PictureStore } from '../picture-store.ts';
import {
  BlockList,
  draftText,
  fromFirst,
  readResult,
  type Draft,
  type ReadOptions,
  type ReadResult,
} from '../read-result.ts';
import type { Box, ReadSlide, SlidePiece } from '../slides/read-slide.ts';
import { leaveEdge } from '../slides/page-edges.ts';
import { readingOrder } from '../slides/reading-order.ts';
import { belowLead, withoutTypedSigns } from '../slides/shape-lines.ts';
import { slideDrafts } from '../slides/slide-drafts.ts';
import { lengthOf, pageSize, type PageSize } from './page-size.ts';

/** @throws ReadError when the package cannot be used; what is merely missing in it is reported. */
export function readOdp(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const zip = openOdf(bytes);
  const report = new Report();
  const pictures = new PictureStore(report);
  const { styles } = readStyles(zip);
  const page = pageSize(zip);
  const reader = new PagesReader({ zip, styles, pictures, report }, page);
  readContent(zip, styles, reader, options);
  const { slides } = reader;
  if (slides.length === 0) throw new ReadError('no-slides');
  const aspect = page.width / page.height;
  const { drafts, slidesAt } = slideDrafts({ slides, sections: new Map(), aspect }, report);
  const list = new BlockList();
  for (const draft of drafts) list.add(draft);
  const properties = { language: styles.usual ?? null, ...readMeta(zip) };
  const result = readResult(
    list,
    pictures.pictures,
    report,
    properties,
    each(() => odtText(bytes)),
  );
  return { ...result, document: { ...result.document, slidesAt } };
}

/** §19.379. */
const ROLES: Readonly<Record<string, SlidePiece['role']>> = {
  title: 'title',
  subtitle: 'subtitle',
  outline: 'body',
  object: 'body',
  chart: 'body',
  table: 'body',
  graphic: 'body',
  orgchart: 'body',
  header: 'foot',
  footer: 'foot',
  'date-time': 'foot',
  'page-number': 'number',
};
const SHAPE =
  /^draw:(frame|custom-shape|rect|ellipse|circle|path|polygon|polyline|line|connector|measure|caption|regular-polygon)$/;
const COMMENT = 'office:annotation';
const DECLARED = /^presentation:(header|footer|date-time)-decl$/;

/** What slides of our own are for, by their master pages; the format says it of none. */
const KINDS: Readonly<Record<string, ReadSlide['kind']>> = {
  cover: 'cover',
  'cover-picture': 'cover',
  section: 'opener',
};

interface OpenPage {
  readonly number: number;
  readonly name: string | undefined;
  readonly kind: ReadSlide['kind'] | undefined;
  readonly hidden: boolean;
  readonly pieces: SlidePiece[];
  readonly notes: Draft[];
  /** What comments at it say. */
  readonly remarks: string[];
}
interface OpenPiece {
  readonly role: SlidePiece['role'] | 'comment';
  readonly box: Box | undefined;
  readonly size: number;
  /** Elements open within it, itself counted. */
  depth: number;
  readonly drafts: Draft[];
  readonly lines: CodeLines;
}

/** Goes through the pages, each shape by the reader of running text. */
class PagesReader implements XmlHandler {
  readonly slides: ReadSlide[] = [];
  readonly #context: OdtContext;
  readonly #size: PageSize;
  readonly #flow: OdtFlowReader;
  #page: OpenPage | undefined;
  #piece: OpenPiece | undefined;
  #inNotes = false;
  /** Groups that are open, each with what it holds: a group is read as a whole. */
  readonly #groups: SlidePiece[][] = [];
  /** What headers and footers say for all pages. */
  #declared: string | undefined;

  constructor(context: OdtContext, size: PageSize) {
    this.#context = context;
    this.#size = size;
    this.#flow = new OdtFlowReader(context, (draft) => this.#piece?.lines.add(draft));
  }

  open(name: string, a: Attributes): void {
    if (this.#piece !== undefined) {
      this.#piece.depth++;
      this.#flow.open(name, a);
    } else if (DECLARED.test(name)) this.#declared = '';
    else if (name === 'draw:page') this.#startPage(a);
    else if (name === 'presentation:notes') this.#inNotes = true;
    else if (name === 'draw:g' && this.#page !== undefined) this.#groups.push([]);
    else if (this.#page !== undefined && (SHAPE.test(name) || name === COMMENT)) this.#startPiece(name, a);
  }

  close(name: string): void {
    const piece = this.#piece;
    if (piece !== undefined) {
      piece.depth--;
      // Of a comment its paragraphs alone are running text.
      if (piece.depth > 0 || piece.role !== 'comment') this.#flow.close(name);
      if (piece.depth === 0) this.#endPiece(piece);
    } else if (DECLARED.test(name)) {
      if (this.#declared?.trim()) this.#context.report.add('header-footer-left', {}, { text: this.#declared.trim() });
      this.#declared = undefined;
    } else if (name === 'presentation:notes') this.#inNotes = false;
    else if (name === 'draw:g') this.#endGroup();
    else if (name === 'draw:page') this.#endPage();
  }

  text(text: string): void {
    if (this.#declared !== undefined) this.#declared += text;
    if (this.#piece !== undefined) this.#flow.text(text);
  }

  #startPage(a: Attributes): void {
    const { hidden } = this.#context.styles.get('drawing-page', a['draw:style-name']);
    this.#groups.length = 0;
    const kind = KINDS[(a['draw:master-page-name'] ?? '').replace(/-colours-\d+$/, '')];
    this.#page = {
      number: this.slides.length + 1,
      name: a['draw:name'],
      kind,
      hidden,
      pieces: [],
      notes: [],
      remarks: [],
    };
  }

  #startPiece(name: string, a: Attributes): void {
    const drafts: Draft[] = [];
    const { styles } = this.#context;
    const said =
      a['presentation:style-name'] === undefined
        ? styles.get('graphic', a['draw:style-name'])
        : styles.get('presentation', a['presentation:style-name']);
    this.#piece = {
      role: name === COMMENT ? 'comment' : (ROLES[a['presentation:class'] ?? ''] ?? 'free'),
      box: this.#boxOf(a),
      size: said.size ?? 0,
      depth: 1,
      drafts,
      lines: new CodeLines((draft) => drafts.push(draft)),
    };
    if (name !== COMMENT) this.#flow.open(name, a);
  }

  #endPiece({ role, box, size, drafts, lines }: OpenPiece): void {
    this.#piece = undefined;
    lines.flush();
    const page = this.#page;
    if (page === undefined || drafts.length === 0) return;
    const place = { part: CONTENT, page: page.number };
    const placed = drafts.map((draft): Draft => ({ ...draft, place }));
    if (role === 'comment') page.remarks.push(...placed.map(draftText));
    else if (!this.#inNotes) {
      const largest = Math.max(size, ...placed.map(({ look }) => look?.size ?? 0));
      const items = fromFirst(placed.map(asItem));
      const led =
        role === 'free'
          ? belowLead(
              items,
              placed.map(({ look }) => look?.size ?? 0),
              placed.map((draft) => isBold(draft)),
            )
          : items;
      const piece = { role, box, size: largest, drafts: withoutTypedSigns(led, this.#context.report) };
      (this.#groups.at(-1) ?? page.pieces).push(piece);
    } else if (role === 'foot' || role === 'number') leaveEdge(placed, role === 'number', this.#context.report);
    else page.notes.push(...placed.map(withoutLook));
  }

  #endGroup(): void {
    const pieces = this.#groups.pop();
    const page = this.#page;
    if (pieces === undefined || pieces.length === 0 || page === undefined) return;
    const { width, height } = this.#size;
    const ordered = readingOrder(pieces, ({ box }) => box, width / height, false);
    (this.#groups.at(-1) ?? page.pieces).push({
      role: 'free',
      box: around(pieces),
      size: Math.max(...pieces.map(({ size }) => size)),
      drafts: ordered.flatMap(({ drafts }) => drafts),
    });
  }

  #endPage(): void {
    const page = this.#page;
    this.#page = undefined;
    if (page === undefined) return;
    const { number, name, hidden, pieces, notes, remarks } = page;
    const remark = remarks.length === 0 ? undefined : remarks.join('\n');
    if (remark !== undefined) this.#context.report.mark(remark);
    const first = number === 1 && pieces.some(({ role }) => role === 'subtitle');
    const kind = page.kind ?? (first ? 'cover' : 'content');
    this.slides.push({ place: { part: CONTENT, page: number }, name, kind, hidden, pieces, notes, remark });
  }

  #boxOf(a: Attributes): Box | undefined {
    const lengths = ['svg:x', 'svg:y', 'svg:width', 'svg:height'].map((name) => lengthOf(a[name]));
    const [x, y, width, height] = lengths;
    if (x === undefined || y === undefined || width === undefined || height === undefined) return undefined;
    const { width: across, height: down } = this.#size;
    return { x: x / across, y: y / down, width: width / across, height: height / down };
  }
}

function withoutLook(draft: Draft): Draft {
  const { look: _, ...rest } = draft;
  return rest;
}

/** What stands on a slide is a point, whatever sign it has. */
function asItem(draft: Draft): Draft {
  if (draft.kind !== 'heading' && (draft.kind !== 'paragraph' || draft.role === 'caption')) return withoutLook(draft);
  const { runs, place, lang, direction, left } = draft;
  return {
    kind: 'listItem',
    depth: 1,
    ordered: false,
    runs,
    place,
    ...(lang === undefined ? {} : { lang }),
    ...(direction === undefined ? {} : { direction }),
    ...(left === undefined ? {} : { left }),
  };
}

const isBold = ({ look, ...draft }: Draft): boolean =>
  look?.bold === true || ('runs' in draft && draft.runs.length > 0 && draft.runs.every(({ bold }) => bold === true));

/** The box of several pieces; undefined where none says its place. */
function around(pieces: readonly SlidePiece[]): Box | undefined {
  const boxes = pieces.flatMap(({ box }) => box ?? []);
  if (boxes.length === 0) return undefined;
  const [x, y] = [Math.min(...boxes.map((box) => box.x)), Math.min(...boxes.map((box) => box.y))];
  const [right, bottom] = [
    Math.max(...boxes.map((box) => box.x + box.width)),
    Math.max(...boxes.map((box) => box.y + box.height)),
  ];
  return { x, y, width: right - x, height: bottom - y };
}
