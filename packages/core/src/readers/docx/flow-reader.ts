/**
 * Reads a flow of WordprocessingML (ECMA-376-1 §17): paragraphs, tables and what is in them, from the events of one
 * part. Tracked insertions are kept and deletions dropped; content controls are opened; field codes are not text.
 */
import { safeLink } from '../../content/index.ts';
import type { Attributes, XmlHandler } from '../../container/index.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import type { PartContext } from './context.ts';
import { Drawings } from './drawings.ts';
import { Flows, type Flow } from './flows.ts';
import { fieldLink, Fields } from './fields.ts';
import { hiddenBlock } from '../hidden-text.ts';
import { ParagraphDraft, paragraphBlock } from './paragraph.ts';
import { applyParagraphProperty } from './paragraph-property.ts';
import { applyRunProperty, plainRun, type RunLook } from './run-look.ts';
import { isOn } from './styles.ts';
import { symbolCharacter } from './symbols.ts';
import { ofScript } from '../spoken.ts';
import { TableDraft } from '../table-draft.ts';

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
  'w:tblGrid',
  'w:fldData',
  'w:numberingChange',
]);

const SIGNS = { 'w:tab': '\t', 'w:cr': '\n', 'w:noBreakHyphen': '\u2011' } as const;

export class FlowReader implements XmlHandler {
  readonly #context: PartContext;
  readonly #nextNote = { footnote: 0, endnote: 0 };
  readonly #flows: Flows;
  readonly #fields = new Fields();
  readonly #drawings: Drawings;
  readonly #links: (string | undefined)[] = [];
  readonly #contentsControls: boolean[] = [];
  #run: RunLook = plainRun();
  #paragraphs = 0;
  #skip = 0;
  /** The text above a word that says how it is read (§17.3.3.24), while it goes by. */
  #readingAid: string | undefined;
  #capture: 'none' | 'text' | 'code' | 'math' = 'none';
  #inParagraphProperties = false;
  #inRunProperties = false;

  constructor(context: PartContext, out: (draft: Draft) => void) {
    this.#context = context;
    this.#flows = new Flows(out, context.report);
    this.#drawings = new Drawings(context, {
      place: () => this.#place(),
      out: (draft) => (this.#flow.paragraph ? this.#flow.paragraph.aside.push(draft) : this.#flow.out(draft)),
    });
  }

  get #flow(): Flow {
    return this.#flows.now;
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
        this.#run = plainRun();
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
      case 'w:rt':
        this.#readingAid = '';
        break;
      case 'w:br':
        if (a['w:type'] === 'page') this.#pageBreak();
        else if (a['w:type'] !== 'column') this.#text('\n');
        break;
      case 'w:tab':
      case 'w:cr':
      case 'w:noBreakHyphen':
        this.#text(SIGNS[name]);
        break;
      case 'w:sym':
        this.#symbol(a);
        break;
      case 'w:bookmarkStart':
        this.#context.names.add(a['w:name']);
        break;
      case 'w:hyperlink':
        this.#links.push(this.#hyperlink(a));
        break;
      case 'w:fldSimple':
        this.#links.push(fieldLink(a['w:instr'] ?? ''));
        break;
      case 'w:fldChar':
        this.#fields.mark(a['w:fldCharType']);
        if (this.#fields.inContents && this.#flow.paragraph) this.#flow.paragraph.inContents = true;
        break;
      case 'w:instrText':
        this.#capture = 'code';
        break;
      case 'w:footnoteReference':
      case 'w:endnoteReference':
        this.#note(name === 'w:footnoteReference' ? 'footnote' : 'endnote', a['w:id']);
        break;
      case 'w:commentReference':
        this.#comment(a['w:id']);
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
        if (this.#flow.table && firstRowIsHeader(a)) this.#flow.table.firstRowIsHeader = true;
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
        this.#flows.startCell();
        break;
      case 'w:gridSpan':
        this.#flows.spanCell(Number(a['w:val']));
        break;
      case 'w:vMerge':
        this.#flows.continueCell((a['w:val'] ?? 'continue') === 'continue');
        break;
      case 'w:txbxContent':
        this.#flows.startBox();
        break;
      case 'mc:Choice':
      case 'mc:Fallback':
        if (this.#drawings.branchIsTold) this.#skip = 1;
        break;
      case 'm:oMath':
        this.#context.report.add('equation-flattened', this.#place());
        break;
      default:
        if (this.#drawings.open(name, a)) return;
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
      case 'w:rt':
        if (this.#readingAid?.trim())
          this.#context.report.add('reading-aid-left', this.#place(), { text: this.#readingAid });
        this.#readingAid = undefined;
        break;
      case 'w:hyperlink':
      case 'w:fldSimple':
        this.#links.pop();
        break;
      case 'w:sdt':
        this.#contentsControls.pop();
        break;
      case 'w:tc':
        this.#flows.endCell();
        break;
      case 'w:tbl':
        this.#flows.endTable();
        break;
      case 'w:txbxContent':
        this.#flows.endBox();
        break;
      default:
        this.#drawings.close(name);
    }
  }

  text(text: string): void {
    if (this.#capture === 'none' || this.#skip > 0) return;
    if (this.#readingAid !== undefined) this.#readingAid += text;
    else if (this.#capture === 'code') this.#fields.instruct(text);
    else this.#text(text);
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
    this.#flow.paragraph.inContents = (this.#contentsControls.at(-1) ?? false) || this.#fields.inContents;
  }

  #endParagraph(last = false): void {
    const { paragraph } = this.#flow;
    if (paragraph === undefined || (paragraph.joinsNext && !last)) return;
    this.#flow.paragraph = undefined;
    const block = paragraphBlock(paragraph, this.#context);
    const remark = paragraph.remarks.join('\n');
    paragraph.spoken.direction ??= this.#context.styles.get(paragraph.styleId).direction;
    const spoken = paragraph.spoken.take();
    const hidden = hiddenBlock(paragraph.hidden, !paragraph.empty, paragraph.place, this.#context.report);
    for (const draft of paragraph.before) this.#flow.out(draft);
    if (hidden !== undefined) this.#flow.out(hidden);
    if (block !== undefined) this.#flow.out({ ...block, ...spoken, ...(remark === '' ? {} : { remark }) });
    for (const draft of paragraph.after) this.#flow.out(draft);
  }

  #paragraphProperty(name: string, a: Attributes): boolean {
    const paragraph = this.#flow.paragraph;
    if (paragraph === undefined) return false;
    return applyParagraphProperty(paragraph, name, a) || (name !== 'w:rPr' && !SKIPPED.has(name));
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
    return applyRunProperty(run, name, a, this.#context.styles) || !SKIPPED.has(name);
  }

  #text(text: string): void {
    const run = this.#run;
    const { paragraph } = this.#flow;
    if (paragraph === undefined || this.#fields.inCode) return;
    const style = this.#context.styles.get(paragraph.styleId);
    if (run.hidden ?? style.hidden) {
      paragraph.hidden += text;
      return;
    }
    if (text.trim() !== '') this.#drawings.produced++;
    const language = { ...this.#context.styles.language, ...(run.language ?? style.language) };
    paragraph.spoken.add(text, ofScript(language, text));
    const link = this.#links.at(-1) ?? this.#fields.link;
    let look = run.look;
    if (link !== undefined) look = { ...look, link };
    if (run.mono && !style.mono) look = { ...look, code: true };
    paragraph.append(
      text,
      look,
      run.size || (style.size ?? 0),
      run.bold ?? style.bold,
      run.caps || style.caps,
      run.mono || style.mono,
    );
  }

  #symbol(a: Attributes): void {
    const code = parseInt(a['w:char'] ?? '', 16);
    const character = symbolCharacter(a['w:font'] ?? '', code);
    if (character === undefined) this.#context.report.add('symbol-dropped', this.#place());
    else this.#text(character);
  }

  #pageBreak(): void {
    const { paragraph } = this.#flow;
    if (paragraph && !this.#flows.inCell) paragraph.aside.push(draftBreak('page', paragraph.place));
  }

  #hyperlink(a: Attributes): string | undefined {
    const rel = this.#context.relationships.get(a['r:id'] ?? '');
    return safeLink(rel?.target ?? (a['w:anchor'] === undefined ? '' : `#${a['w:anchor']}`)) ?? this.#links.at(-1);
  }

  #note(type: 'footnote' | 'endnote', id: string | undefined): void {
    const runs = this.#context.notes.get(`${type} ${id ?? ''}`);
    if (runs === undefined || this.#flow.paragraph === undefined) return;
    this.#nextNote[type]++;
    const label = type === 'footnote' ? `${this.#nextNote.footnote}` : `e${this.#nextNote.endnote}`;
    this.#flow.paragraph.after.push({ kind: 'footnote', label, runs, place: this.#place() });
  }

  #comment(id: string | undefined): void {
    const text = this.#context.comments.get(id ?? '');
    if (text !== undefined && this.#flow.paragraph) this.#flow.paragraph.remarks.push(text);
    if (text === undefined) this.#context.report.add('comment-not-read', this.#place());
    else this.#context.report.add('comments-left', this.#place(), { text: text });
  }
}

/** `w:tblLook` in its newer and its older form (§17.4.55). */
const firstRowIsHeader = (a: Attributes): boolean =>
  a['w:firstRow'] === '1' || a['w:firstRow'] === 'true' || (parseInt(a['w:val'] ?? '0', 16) & 0x20) !== 0;
