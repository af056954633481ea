/**
 * Reads a flow of WordprocessingML (ECMA-376-1 §17): paragraphs, tables and what is in them, from the events of one
 * part. Tracked insertions are kept and deletions dropped; content controls are opened; field codes are not text.
 */
import { safeLink, type Run } from '../../content/index.ts';
import type { Attributes, XmlHandler } from '../../container/index.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import type { PartContext } from './context.ts';
import { ParagraphDraft, paragraphBlock } from './paragraph.ts';
import { isMono, isOn } from './styles.ts';
import { TableDraft } from './table-draft.ts';

/** A place that holds paragraphs: the body, a cell, a text box, a note. */
interface Flow {
  readonly out: (draft: Draft) => void;
  paragraph: ParagraphDraft | undefined;
  table: TableDraft | undefined;
}
interface Field {
  instruction: string;
  phase: 'code' | 'result';
  link: string | undefined;
  contents: boolean;
}
interface RunLook {
  look: Omit<Run, 'text'>;
  hidden: boolean;
  size: number;
  bold: boolean | undefined;
  caps: boolean;
  mono: boolean;
}
interface Drawing {
  alt: string | null;
  found: boolean;
  /** What had been produced when it began. */
  readonly start: number;
}
interface Cell {
  readonly drafts: Draft[];
  span: number;
  continues: boolean;
  readonly outer: Flow;
}

/** Subtrees that hold no text of the document: deletions, former properties, what a field or a control is set to. */
const SKIPPED = new Set([
  'w:del',
  'w:moveFrom',
  'w:rPrChange',
  'w:pPrChange',
  'w:tblPrChange',
  'w:trPrChange',
  'w:tcPrChange',
  'w:sectPrChange',
  'w:sectPr',
  'w:rt',
  'w:tblGrid',
  'w:fldData',
  'w:numberingChange',
]);

const NO_LOOK: Omit<Run, 'text'> = {};

export class FlowReader implements XmlHandler {
  readonly #context: PartContext;
  readonly #nextNote = { footnote: 0, endnote: 0 };
  #flow: Flow;
  readonly #outerFlows: Flow[] = [];
  readonly #cells: Cell[] = [];
  readonly #fields: Field[] = [];
  readonly #links: (string | undefined)[] = [];
  readonly #contentsControls: boolean[] = [];
  readonly #drawings: Drawing[] = [];
  readonly #alternatives: number[] = [];
  #run: RunLook = { look: NO_LOOK, hidden: false, size: 0, bold: undefined, caps: false, mono: false };
  #paragraphs = 0;
  #produced = 0;
  #skip = 0;
  #capture: 'none' | 'text' | 'code' | 'math' = 'none';
  #inParagraphProperties = false;
  #inRunProperties = false;

  constructor(context: PartContext, out: (draft: Draft) => void) {
    this.#context = context;
    this.#flow = { out, paragraph: undefined, table: undefined };
  }

  open(name: string, a: Attributes): void {
    if (this.#skip > 0) {
      this.#skip++;
      return;
    }
    if (this.#inRunProperties && this.#runProperty(name, a)) return;
    if (this.#inParagraphProperties && this.#paragraphProperty(name, a)) return;
    switch (name) {
      case 'w:r':
        this.#run = { look: NO_LOOK, hidden: false, size: 0, bold: undefined, caps: false, mono: false };
        break;
      case 'w:rPr':
        this.#inRunProperties = true;
        break;
      case 'w:t':
        this.#capture = 'text';
        break;
      case 'm:t':
        this.#capture = 'math';
        break;
      case 'w:p':
        this.#startParagraph();
        break;
      case 'w:pPr':
        this.#inParagraphProperties = true;
        break;
      case 'w:tab':
        this.#text('\t');
        break;
      case 'w:br':
        if (a['w:type'] === 'page') this.#pageBreak();
        else if (a['w:type'] !== 'column') this.#text('\n');
        break;
      case 'w:cr':
        this.#text('\n');
        break;
      case 'w:noBreakHyphen':
        this.#text('\u2011');
        break;
      case 'w:sym':
        this.#symbol(a);
        break;
      case 'w:hyperlink':
        this.#links.push(this.#hyperlink(a));
        break;
      case 'w:fldSimple':
        this.#links.push(fieldLink(a['w:instr'] ?? ''));
        break;
      case 'w:fldChar':
        this.#fieldMark(a['w:fldCharType']);
        break;
      case 'w:instrText':
        this.#capture = 'code';
        break;
      case 'w:footnoteReference':
        this.#note('footnote', a['w:id']);
        break;
      case 'w:endnoteReference':
        this.#note('endnote', a['w:id']);
        break;
      case 'w:commentReference':
        this.#context.report.add('comments-left', 'The comments in the document are not brought in.', {
          part: 'word/comments.xml',
        });
        break;
      case 'w:sdt':
        this.#contentsControls.push(this.#contentsControls.at(-1) ?? false);
        break;
      case 'w:docPartGallery':
        if (/table of contents/i.test(a['w:val'] ?? '') && this.#contentsControls.length > 0)
          this.#contentsControls[this.#contentsControls.length - 1] = true;
        break;
      case 'w:tbl':
        this.#flow.table = new TableDraft(this.#place());
        break;
      case 'w:tblLook':
        if (
          this.#flow.table &&
          (a['w:firstRow'] === '1' || a['w:firstRow'] === 'true' || (parseInt(a['w:val'] ?? '0', 16) & 0x20) !== 0)
        )
          this.#flow.table.firstRowIsHeader = true;
        break;
      case 'w:tr':
        this.#flow.table?.startRow();
        break;
      case 'w:gridBefore':
        if (this.#flow.table?.row) this.#flow.table.row.nextColumn += Number(a['w:val']) || 0;
        break;
      case 'w:tblHeader':
        if (this.#flow.table?.row) this.#flow.table.row.header = isOn(a);
        break;
      case 'w:tc':
        this.#startCell();
        break;
      case 'w:gridSpan':
        if (this.#cells.length > 0) this.#cells.at(-1)!.span = Math.min(Math.max(1, Number(a['w:val']) || 1), 100);
        break;
      case 'w:vMerge':
        if (this.#cells.length > 0) this.#cells.at(-1)!.continues = (a['w:val'] ?? 'continue') === 'continue';
        break;
      case 'w:txbxContent':
        this.#startBox();
        break;
      case 'mc:AlternateContent':
        this.#alternatives.push(this.#produced);
        break;
      case 'mc:Choice':
      case 'mc:Fallback':
        // A later branch says the same in other terms; it counts only where the former gave us nothing.
        if (this.#produced > (this.#alternatives.at(-1) ?? this.#produced)) this.#skip = 1;
        break;
      case 'w:drawing':
      case 'w:pict':
      case 'w:object':
        this.#drawings.push({ alt: null, found: false, start: this.#produced });
        break;
      case 'wp:docPr':
      case 'pic:cNvPr':
      case 'v:shape':
        this.#describe(a['descr'] || a['alt'] || a['title']);
        break;
      case 'a:blip':
        this.#picture(a['r:embed'] ?? a['r:link']);
        break;
      case 'v:imagedata':
        this.#describe(a['o:title']);
        this.#picture(a['r:id']);
        break;
      case 'c:chart':
        this.#lostDrawing(
          'chart-not-read',
          'A chart could not be brought in yet; a mark stands in its place.',
          'Chart',
        );
        break;
      case 'dgm:relIds':
        this.#lostDrawing(
          'drawing-not-read',
          'A diagram could not be brought in; a mark stands in its place.',
          'Diagram',
        );
        break;
      case 'm:oMath':
        this.#context.report.add('equation-flattened', 'An equation was brought in as a line of text.', this.#place());
        break;
      default:
        if (SKIPPED.has(name)) {
          if (name === 'w:del' && this.#flow.paragraph === undefined && this.#flow.table?.row)
            this.#flow.table.row.deleted = true;
          this.#skip = 1;
        }
    }
  }

  close(name: string): void {
    if (this.#skip > 0) {
      this.#skip--;
      return;
    }
    // Most elements that close are single properties of a run.
    if (this.#inRunProperties && name !== 'w:rPr') return;
    switch (name) {
      case 'w:t':
      case 'm:t':
      case 'w:instrText':
        this.#capture = 'none';
        break;
      case 'w:rPr':
        this.#inRunProperties = false;
        break;
      case 'w:pPr':
        this.#inParagraphProperties = false;
        break;
      case 'w:p':
        this.#endParagraph();
        break;
      case 'w:hyperlink':
      case 'w:fldSimple':
        this.#links.pop();
        break;
      case 'w:sdt':
        this.#contentsControls.pop();
        break;
      case 'w:tc':
        this.#endCell();
        break;
      case 'w:tbl':
        this.#endTable();
        break;
      case 'w:txbxContent':
        this.#flow = this.#outerFlows.pop()!;
        break;
      case 'mc:AlternateContent':
        if (this.#alternatives.pop() === this.#produced) this.#lostShape();
        break;
      case 'w:drawing':
      case 'w:pict':
      case 'w:object':
        this.#endDrawing(name);
        break;
    }
  }

  text(text: string): void {
    if (this.#capture === 'none' || this.#skip > 0) return;
    if (this.#capture === 'code') {
      const field = this.#fields.at(-1);
      if (field) field.instruction += text;
    } else this.#text(text);
  }

  /** Ends a flow that has no closing element of its own, such as a body. */
  finish(): void {
    if (this.#flow.paragraph) this.#endParagraph(true);
  }

  #place() {
    return { part: this.#context.part, paragraph: Math.max(1, this.#paragraphs) };
  }

  #startParagraph(): void {
    this.#paragraphs++;
    if (this.#flow.paragraph?.joinsNext) this.#flow.paragraph.joinsNext = false;
    else this.#flow.paragraph = new ParagraphDraft(this.#place());
    this.#flow.paragraph!.inContents =
      (this.#contentsControls.at(-1) ?? false) || this.#fields.some((field) => field.contents);
  }

  #endParagraph(last = false): void {
    const { paragraph } = this.#flow;
    if (paragraph === undefined || (paragraph.joinsNext && !last)) return;
    this.#flow.paragraph = undefined;
    const block = paragraphBlock(paragraph, this.#context);
    for (const draft of paragraph.before) this.#flow.out(draft);
    if (block !== undefined) this.#flow.out(block);
    for (const draft of paragraph.after) this.#flow.out(draft);
  }

  #paragraphProperty(name: string, a: Attributes): boolean {
    const paragraph = this.#flow.paragraph;
    if (paragraph === undefined) return false;
    const value = a['w:val'];
    switch (name) {
      case 'w:pStyle':
        paragraph.styleId = value;
        return true;
      case 'w:outlineLvl':
        paragraph.outline = Number(value);
        return true;
      case 'w:numId':
        paragraph.numId = value;
        return true;
      case 'w:ilvl':
        paragraph.ilvl = Number(value);
        return true;
      case 'w:jc':
        paragraph.align = value;
        return true;
      case 'w:pageBreakBefore':
        if (isOn(a)) paragraph.before.push(draftBreak('page', paragraph.place));
        return true;
      default:
        return name !== 'w:rPr' && !SKIPPED.has(name);
    }
  }

  #runProperty(name: string, a: Attributes): boolean {
    const run = this.#run;
    // Inside w:pPr these describe the paragraph's mark, of which only its deletion matters.
    if (this.#inParagraphProperties) {
      if (name === 'w:del' && this.#flow.paragraph) {
        this.#flow.paragraph.joinsNext = true;
        return true;
      }
      return !SKIPPED.has(name);
    }
    switch (name) {
      case 'w:rStyle': {
        const style = this.#context.styles.get(a['w:val']);
        if (style.bold) this.#setBold(true);
        if (style.italic) run.look = { ...run.look, italic: true };
        if (style.strike) run.look = { ...run.look, strike: true };
        if (style.hidden) run.hidden = true;
        if (style.position) run.look = { ...run.look, position: style.position };
        if (style.mono || style.use === 'code') run.mono = true;
        return true;
      }
      case 'w:b':
        this.#setBold(isOn(a));
        return true;
      case 'w:i':
        run.look = isOn(a) ? { ...run.look, italic: true } : without(run.look, 'italic');
        return true;
      case 'w:strike':
      case 'w:dstrike':
        if (isOn(a)) run.look = { ...run.look, strike: true };
        return true;
      case 'w:vertAlign':
        if (a['w:val'] === 'superscript') run.look = { ...run.look, position: 'super' };
        if (a['w:val'] === 'subscript') run.look = { ...run.look, position: 'sub' };
        return true;
      case 'w:vanish':
        run.hidden = isOn(a);
        return true;
      case 'w:sz':
        run.size = Number(a['w:val']) / 2;
        return true;
      case 'w:caps':
        run.caps = isOn(a);
        return true;
      case 'w:rFonts':
        run.mono = isMono(a['w:ascii']);
        return true;
      default:
        return !SKIPPED.has(name);
    }
  }

  #setBold(on: boolean): void {
    this.#run.bold = on;
    if (on) this.#run.look = { ...this.#run.look, bold: true };
    else {
      this.#run.look = without(this.#run.look, 'bold');
    }
  }

  #text(text: string): void {
    const run = this.#run;
    const { paragraph } = this.#flow;
    if (paragraph === undefined || run.hidden) return;
    if (this.#fields.length > 0 && this.#fields.some((field) => field.phase === 'code')) return;
    const style = this.#context.styles.get(paragraph.styleId);
    if (style.hidden) return;
    if (text.trim() !== '') {
      this.#produced++;
      const size = run.size || (style.size ?? 0);
      if (size > paragraph.largest) paragraph.largest = size;
      if (!(run.bold ?? style.bold)) paragraph.allBold = false;
      if (paragraph.allCaps && !(run.caps || style.caps) && text !== text.toUpperCase()) paragraph.allCaps = false;
      if (!(run.mono || style.mono)) paragraph.allMono = false;
    }
    const link = this.#links.at(-1) ?? this.#fields.at(-1)?.link;
    let look = run.look;
    if (link !== undefined) look = { ...look, link };
    if (run.mono && !style.mono) look = { ...look, code: true };
    paragraph.append(text, look);
  }

  #symbol(a: Attributes): void {
    const code = parseInt(a['w:char'] ?? '', 16);
    // Symbol fonts keep their characters in a private area (§17.3.3.30); those have no meaning without the font.
    if (code >= 0xf000 || !Number.isFinite(code))
      this.#context.report.add('characters-dropped', 'A character of a symbol font was left out.', this.#place());
    else this.#text(String.fromCodePoint(code));
  }

  #pageBreak(): void {
    const { paragraph } = this.#flow;
    if (paragraph && this.#cells.length === 0) paragraph.aside.push(draftBreak('page', paragraph.place));
  }

  #hyperlink(a: Attributes): string | undefined {
    const rel = this.#context.relationships.get(a['r:id'] ?? '');
    return safeLink(rel?.target ?? (a['w:anchor'] === undefined ? '' : `#${a['w:anchor']}`)) ?? this.#links.at(-1);
  }

  #fieldMark(type: string | undefined): void {
    if (type === 'begin') this.#fields.push({ instruction: '', phase: 'code', link: undefined, contents: false });
    else if (type === 'end') this.#fields.pop();
    else if (type === 'separate') {
      const field = this.#fields.at(-1);
      if (field === undefined) return;
      field.phase = 'result';
      field.link = fieldLink(field.instruction);
      field.contents = /^\s*TOC\b/.test(field.instruction);
      if (field.contents && this.#flow.paragraph) this.#flow.paragraph.inContents = true;
    }
  }

  #note(type: 'footnote' | 'endnote', id: string | undefined): void {
    const runs = this.#context.notes.get(`${type} ${id ?? ''}`);
    if (runs === undefined || this.#flow.paragraph === undefined) return;
    this.#nextNote[type]++;
    const label = type === 'footnote' ? `${this.#nextNote.footnote}` : `e${this.#nextNote.endnote}`;
    this.#flow.paragraph.after.push({ kind: 'footnote', label, runs, place: this.#place() });
  }

  #startCell(): void {
    const drafts: Draft[] = [];
    this.#cells.push({ drafts, span: 1, continues: false, outer: this.#flow });
    this.#flow = { out: (draft) => drafts.push(draft), paragraph: undefined, table: undefined };
  }

  #endCell(): void {
    const cell = this.#cells.pop();
    if (cell === undefined) return;
    this.#flow = cell.outer;
    this.#flow.table?.addCell(cell.drafts, cell.span, cell.continues);
  }

  #endTable(): void {
    const { table } = this.#flow;
    if (table === undefined) return;
    for (const draft of table.finish()) {
      if (draft.kind === 'table' && this.#cells.length > 0)
        this.#context.report.add(
          'table-flattened',
          'A table within a table was brought in as lines of text.',
          table.place,
        );
      this.#flow.out(draft);
    }
    this.#flow.table = undefined;
  }

  #startBox(): void {
    const host = this.#flow.paragraph;
    const out = host === undefined ? this.#flow.out : (draft: Draft) => host.after.push(draft);
    this.#outerFlows.push(this.#flow);
    this.#flow = { out, paragraph: undefined, table: undefined };
  }

  #describe(text: string | undefined): void {
    const drawing = this.#drawings.at(-1);
    if (drawing !== undefined && text?.trim()) drawing.alt ??= text.trim();
  }

  #picture(relationshipId: string | undefined): void {
    const drawing = this.#drawings.at(-1);
    if (drawing === undefined || relationshipId === undefined) return;
    drawing.found = true;
    const rel = this.#context.relationships.get(relationshipId);
    const place = this.#place();
    let picture;
    if (rel === undefined || rel.external || !this.#context.zip.has(rel.target))
      this.#context.report.add(
        'picture-missing',
        `A picture is not in the file${rel ? `: ${rel.target}` : ''}.`,
        place,
      );
    else picture = this.#context.pictures.take(rel.target, () => this.#context.zip.read(rel.target), place);
    this.#addPicture({ kind: 'picture', alt: drawing.alt, place, ...(picture === undefined ? {} : { picture }) });
  }

  #lostDrawing(code: 'chart-not-read' | 'drawing-not-read', message: string, what: string): void {
    const drawing = this.#drawings.at(-1);
    if (drawing === undefined || drawing.found) return;
    drawing.found = true;
    this.#context.report.add(code, message, this.#place());
    this.#addPicture({
      kind: 'picture',
      alt: drawing.alt === null ? what : `${what}: ${drawing.alt}`,
      place: this.#place(),
    });
  }

  #addPicture(draft: Draft): void {
    this.#produced++;
    if (this.#flow.paragraph) this.#flow.paragraph.aside.push(draft);
    else this.#flow.out(draft);
  }

  #endDrawing(name: string): void {
    const drawing = this.#drawings.pop();
    if (drawing === undefined || drawing.found || this.#produced > drawing.start || name === 'w:pict') return;
    if (name === 'w:object')
      this.#context.report.add('object-not-read', 'An embedded object could not be brought in.', this.#place());
    // Another branch may still give the picture.
    else if (this.#alternatives.length === 0) this.#lostShape();
  }

  #lostShape(): void {
    this.#context.report.add('drawing-not-read', 'A drawn shape without text could not be brought in.', this.#place());
  }
}

function without(look: Omit<Run, 'text'>, key: 'bold' | 'italic'): Omit<Run, 'text'> {
  return Object.fromEntries(Object.entries(look).filter(([name]) => name !== key));
}

function fieldLink(instruction: string): string | undefined {
  const match = /^\s*HYPERLINK\s+(?:"([^"]+)"|\\l\s+"([^"]+)")/.exec(instruction);
  if (match === null) return undefined;
  return safeLink(match[1] ?? `#${match[2]!}`);
}
