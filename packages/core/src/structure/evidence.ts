/** Weighs what speaks for a line being a heading that is not marked as one. */
import { mostCommon } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import {
  blockText,
  endsAsSentence,
  isCapitals,
  isDivision,
  lineMark,
  type Block,
  type DocumentModel,
  type Paragraph,
} from '../document/index.ts';

/** What sets a line apart, apart from what it says; lines of one trait set look alike. */
export interface Traits {
  readonly size: number | undefined /* points */;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly caps: boolean;
  readonly centred: boolean;
  /** Parts of its number: 2 in `3.1`; 0 without one. */
  readonly numbered: number;
  /** It names a chapter, part or appendix. */
  readonly division: boolean;
}

export interface Evidence {
  readonly block: Paragraph;
  readonly traits: Traits;
  readonly confidence: number /* 0 to 1 */;
  /** Strongest first. */
  readonly reasons: readonly HeadingReason[];
}

/** What speaks for a heading; sizes in points. */
export type HeadingReason =
  | { readonly why: 'larger'; readonly size: number; readonly usual: number }
  | { readonly why: 'numbered'; readonly mark: string }
  | { readonly why: 'words'; readonly count: number }
  | { readonly why: 'bold' | 'part' | 'capitals' | 'centred' | 'space-above' | 'no-stop' | 'text-follows' };

const LONGEST = 120; // characters
const SHORT = 9; // words
const LEAST_CONFIDENCE = 0.45;
/** Sums of weights are not exact. */
const ROUNDING = 1e-9;
const SPACE_ABOVE = 2; // points more than usual

/** The size in which most of the running text is set, in points; undefined where the format does not say. */
export function bodySize(document: DocumentModel): number | undefined {
  const text = document.blocks.filter(
    (block) => (block.kind === 'paragraph' || block.kind === 'listItem') && block.look?.size !== undefined,
  );
  return mostCommon(
    text,
    (block) => block.look!.size!,
    (block) => blockText(block).length,
  );
}

/** The space above most paragraphs, in points. */
const usualSpace = ({ blocks }: DocumentModel): number =>
  mostCommon(
    blocks.filter(({ kind }) => kind === 'paragraph'),
    ({ look }) => look?.spaceBefore ?? 0,
  ) ?? 0;

export function traitsOf(block: Block): Traits {
  const runs = 'runs' in block ? block.runs : [];
  const text = runsText(runs);
  const worded = runs.filter((run) => /[\p{L}\p{N}]/u.test(run.text));
  const mark = block.kind === 'listItem' ? undefined : lineMark(text);
  return {
    size: block.look?.size,
    bold: block.look?.bold === true || (worded.length > 0 && worded.every((run) => run.bold)),
    italic: worded.length > 0 && worded.every((run) => run.italic),
    caps: block.look?.caps === true || isCapitals(text),
    centred: block.look?.align === 'center',
    numbered: mark?.kind === 'number' && /^\d|^[IVX]+[.)]/.test(mark.mark) ? mark.parts : 0,
    division: isDivision(text),
  };
}

/** Lines that look like headings, in document order, with what speaks for each. */
export function headingEvidence(document: DocumentModel): readonly Evidence[] {
  const usual = { size: bodySize(document), space: usualSpace(document) };
  const { blocks } = document;
  const found: Evidence[] = [];
  blocks.forEach((block, i) => {
    if (block.kind !== 'paragraph' || block.role !== undefined || block.left !== undefined) return;
    const evidence = weigh(block, blocks[i + 1], usual, blocks[i - 1]);
    if (evidence !== undefined) found.push(evidence);
  });
  return found;
}

function weigh(
  block: Paragraph,
  next: Block | undefined,
  usual: { readonly size: number | undefined; readonly space: number },
  before: Block | undefined,
): Evidence | undefined {
  const text = runsText(block.runs).trim();
  if (text.length > LONGEST || !/\p{L}/u.test(text) || text.includes('\n')) return undefined;
  const traits = traitsOf(block);
  const body = usual.size;
  const reasons: HeadingReason[] = [];
  let score = 0;
  const say = (weight: number, reason: HeadingReason): void => {
    score += weight;
    reasons.push(reason);
  };
  const ratio = traits.size !== undefined && body !== undefined ? traits.size / body : 1;
  if (ratio >= 1.12) say(ratio >= 1.35 ? 0.5 : 0.35, { why: 'larger', size: short(traits.size!), usual: short(body!) });
  if (traits.bold) say(0.35, { why: 'bold' });
  if (traits.division) say(0.4, { why: 'part' });
  else if (traits.numbered > 0)
    say(traits.numbered > 1 ? 0.4 : 0.25, { why: 'numbered', mark: lineMark(text)?.mark ?? '' });
  if (traits.caps) say(0.3, { why: 'capitals' });
  if (score === 0) return undefined;
  if (traits.centred) say(0.1, { why: 'centred' });
  if ((block.look?.spaceBefore ?? 0) > usual.space + SPACE_ABOVE) say(0.1, { why: 'space-above' });
  const words = text.split(/\s+/).length;
  if (words <= SHORT) say(0.1, { why: 'words', count: words });
  if (endsAsSentence(text)) score -= text.endsWith(':') ? 0.2 : 0.4;
  else reasons.push({ why: 'no-stop' });
  if (words > 14) score -= 0.2;
  if (next !== undefined && next.kind !== 'break' && follows(next)) say(0.1, { why: 'text-follows' });
  else if (next === undefined) score -= 0.3;
  // Number after number is a list whose items are paragraphs.
  const inRow = [before, next].some(
    (near) => near?.kind === 'paragraph' && lineMark(runsText(near.runs))?.kind === 'number',
  );
  if (traits.numbered === 1 && inRow && !traits.bold && ratio < 1.12) score -= 0.35;
  if (ratio < 0.92) score -= 0.3;
  return score < LEAST_CONFIDENCE - ROUNDING ? undefined : { block, traits, confidence: Math.min(1, score), reasons };
}

const follows = (block: Block): boolean =>
  block.kind === 'listItem' || block.kind === 'table' || block.kind === 'picture' || blockText(block).length > 0;

const short = (size: number): number => Math.round(size * 10) / 10;

/** Lines of the same key look alike. Sizes within half a point are one. */
export const traitsKey = ({ size, bold, italic, caps, centred, numbered, division }: Traits): string =>
  [Math.round((size ?? 0) * 2) / 2, bold, italic, caps, centred, division ? 'd' : numbered].join(' ');
