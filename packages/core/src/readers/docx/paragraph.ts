/** Turns one paragraph, as it was gathered, into a block. */
import type { SourcePlace } from '../../base/index.ts';
import { runsText, type Runs } from '../../content/index.ts';
import type { Level } from '../../document/index.ts';
import { cleanRuns } from '../clean-runs.ts';
import { GatheredText } from '../gathered-text.ts';
import type { Draft } from '../read-result.ts';
import type { DocxContext } from './context.ts';
import type { Style } from './styles.ts';

/** A paragraph while its elements go by. */
export class ParagraphDraft extends GatheredText {
  readonly place: SourcePlace;
  styleId: string | undefined;
  outline: number | undefined;
  numId: string | undefined;
  ilvl: number | undefined;
  align: string | undefined;
  spaceBefore = 0; /* points */
  inContents = false;
  /** What comments at it say. */
  readonly remarks: string[] = [];
  /** Its mark was deleted: the next paragraph continues it (§17.13.5.15). */
  joinsNext = false;
  /** Pictures and breaks before the first text, and what comes after the text: pictures, text boxes, footnotes. */
  readonly before: Draft[] = [];
  readonly after: Draft[] = [];

  constructor(place: SourcePlace) {
    super();
    this.place = place;
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
  const runs = empty ? [] : cleanRuns(draft.runs, place, context.report);
  const use = draft.inContents ? 'contents' : style.use;

  if (use === 'contents') return empty ? undefined : { kind: 'paragraph', role: 'contents', runs, place };
  if (use === 'title' && !empty) return { kind: 'paragraph', role: 'title', runs, place };
  const level = headingLevel(draft, style, context);
  if (level !== undefined) {
    const position = empty ? undefined : positionOf(draft, style, context)?.position;
    const label = position?.ordered === true ? (position.label ?? `${position.number}.`) : undefined;
    return { kind: 'heading', level, ...(label === undefined ? {} : { label }), runs, place };
  }
  if (empty) return undefined;
  if (use === 'subtitle') return { kind: 'paragraph', role: 'subtitle', runs, place };
  if (use === 'caption') return { kind: 'paragraph', role: 'caption', runs, place };
  if (use === 'quote') return { kind: 'quote', runs, place };
  if (use === 'code' || (draft.allMono && style.mono)) return { kind: 'code', text: runsText(draft.runs), place };

  const item = listItem(draft, style, runs, context);
  if (item !== undefined) return item;
  const look = draft.look(draft.align, style.size, draft.spaceBefore);
  return { kind: 'paragraph', runs, place, ...(look === undefined ? {} : { look }) };
}

const LOWEST = 6;

function headingLevel(draft: ParagraphDraft, style: Style, context: DocxContext): Level | undefined {
  // A level on the paragraph beats one on the style; 9 says body text (§17.3.1.20).
  const outline = draft.outline ?? style.outline;
  if (outline !== undefined) {
    if (outline >= 9 || draft.inContents) return undefined;
    if (outline >= LOWEST) context.report.add('level-raised', draft.place, { level: outline + 1 });
    return Math.min(outline + 1, LOWEST) as Level;
  }
  return typeof style.use === 'number' ? style.use : undefined;
}

/** Which item of which list it is; the list has counted it. */
function positionOf(draft: ParagraphDraft, style: Style, context: DocxContext) {
  const numId = draft.numId ?? style.numId;
  if (numId === undefined || numId === '0') return undefined;
  const linked = draft.styleId === undefined ? undefined : context.numbering.levelOfStyle(draft.styleId, numId);
  const level = draft.ilvl ?? linked ?? style.ilvl ?? 0;
  const position = context.numbering.count(numId, level);
  return position === undefined ? undefined : { position, level };
}

function listItem(draft: ParagraphDraft, style: Style, runs: Runs, context: DocxContext): Draft | undefined {
  const found = positionOf(draft, style, context);
  if (found === undefined) return undefined;
  const { ordered, ...numbers } = found.position;
  const depth = Math.max(found.level + 1, style.listDepth ?? 1);
  return { kind: 'listItem', depth, ordered, ...(ordered ? numbers : {}), runs, place: draft.place };
}
