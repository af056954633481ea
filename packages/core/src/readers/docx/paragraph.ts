/** Turns one paragraph, as it was gathered, into a block. */
import type { SourcePlace } from '../../base/index.ts';
import { dropForbidden } from '../../container/index.ts';
import { runsText, sameLook, trimRuns, type Run, type Runs } from '../../content/index.ts';
import type { Level, Look } from '../../document/index.ts';
import type { Draft } from '../read-result.ts';
import type { DocxContext } from './context.ts';
import type { Style } from './styles.ts';

type Writable<T> = { -readonly [K in keyof T]: T[K] };

/** A paragraph while its elements go by. */
export class ParagraphDraft {
  readonly place: SourcePlace;
  readonly runs: Run[] = [];
  styleId: string | undefined;
  outline: number | undefined;
  numId: string | undefined;
  ilvl: number | undefined;
  align: string | undefined;
  inContents = false;
  /** Its mark was deleted: the next paragraph continues it (§17.13.5.15). */
  joinsNext = false;
  /** Pictures and breaks before the first text, and what comes after the text: pictures, text boxes, footnotes. */
  readonly before: Draft[] = [];
  readonly after: Draft[] = [];
  largest = 0;
  allBold = true;
  allCaps = true;
  allMono = true;

  constructor(place: SourcePlace) {
    this.place = place;
  }

  get empty(): boolean {
    return this.runs.length === 0;
  }

  /** Adds text in `look`; neighbours of one look become one run, as word processors split runs at every edit. */
  append(text: string, look: Omit<Run, 'text'>): void {
    const last = this.runs.at(-1) as Writable<Run> | undefined;
    if (last !== undefined && sameLook(last, look as Run)) last.text += text;
    else this.runs.push({ ...look, text });
  }

  /** Where a picture or a break goes that stands here. */
  get aside(): Draft[] {
    return this.empty ? this.before : this.after;
  }
}

/** @returns The block, or undefined for an empty paragraph that is no heading. */
export function paragraphBlock(draft: ParagraphDraft, context: DocxContext): Draft | undefined {
  const style = context.styles.get(draft.styleId);
  const text = runsText(draft.runs);
  const { place } = draft;
  const empty = text.trim() === '';
  const runs = empty ? [] : cleanRuns(draft.runs, draft, context);
  const use = draft.inContents ? 'contents' : style.use;

  if (use === 'contents') return empty ? undefined : { kind: 'paragraph', role: 'contents', runs, place };
  if (use === 'title' && !empty) return { kind: 'paragraph', role: 'title', runs, place };
  const level = headingLevel(draft, style);
  if (level !== undefined) return { kind: 'heading', level, runs, place };
  if (empty) return undefined;
  if (use === 'subtitle') return { kind: 'paragraph', role: 'subtitle', runs, place };
  if (use === 'caption') return { kind: 'paragraph', role: 'caption', runs, place };
  if (use === 'quote') return { kind: 'quote', runs, place };
  if (use === 'code' || (draft.allMono && style.mono)) return { kind: 'code', text: runsText(draft.runs), place };

  const item = listItem(draft, style, runs, context);
  if (item !== undefined) return item;
  const look = lookOf(draft, style);
  return { kind: 'paragraph', runs, place, ...(look === undefined ? {} : { look }) };
}

function headingLevel(draft: ParagraphDraft, style: Style): Level | undefined {
  // A level on the paragraph beats one on the style; 9 says body text (§17.3.1.20).
  const outline = draft.outline ?? style.outline;
  if (outline !== undefined) return outline >= 9 || draft.inContents ? undefined : (Math.min(outline + 1, 6) as Level);
  return typeof style.use === 'number' ? style.use : undefined;
}

function listItem(draft: ParagraphDraft, style: Style, runs: Runs, context: DocxContext): Draft | undefined {
  const numId = draft.numId ?? style.numId;
  if (numId === undefined || numId === '0') return undefined;
  const linked = draft.styleId === undefined ? undefined : context.numbering.levelOfStyle(draft.styleId, numId);
  const level = draft.ilvl ?? linked ?? style.ilvl ?? 0;
  const position = context.numbering.count(numId, level);
  if (position === undefined) return undefined;
  const depth = Math.max(level + 1, style.listDepth ?? 1);
  const { ordered, number } = position;
  return { kind: 'listItem', depth, ordered, ...(ordered ? { number } : {}), runs, place: draft.place };
}

function lookOf(draft: ParagraphDraft, style: Style): Look | undefined {
  const look: Writable<Look> = {};
  const size = draft.largest || style.size;
  if (size !== undefined) look.size = size;
  if (draft.allBold) look.bold = true;
  if (draft.allCaps) look.caps = true;
  if (draft.align === 'center' || draft.align === 'right') look.align = draft.align;
  return Object.keys(look).length === 0 ? undefined : look;
}

const UNWANTED = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffc-\uffff\ud800-\udfff]/;

export function cleanRuns(
  runs: readonly Run[],
  { place }: { place: SourcePlace },
  { report }: Pick<DocxContext, 'report'>,
): Runs {
  let cleaned: readonly Run[] = runs;
  if (runs.some((run) => UNWANTED.test(run.text))) {
    cleaned = runs.map((run) => ({ ...run, text: dropForbidden(run.text) })).filter((run) => run.text !== '');
    if (runsText(cleaned) !== runsText(runs))
      report.add('characters-dropped', 'Characters that no document may hold were left out.', place);
  }
  return trimRuns(cleaned);
}
