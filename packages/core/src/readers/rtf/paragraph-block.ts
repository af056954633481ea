/** Turns one paragraph of RTF, as it was gathered, into a block. */
import type { Report, SourcePlace } from '../../base/index.ts';
import { runsText } from '../../content/index.ts';
import { isDivision, lineMark, type Level } from '../../document/index.ts';
import { cleanRuns } from '../clean-runs.ts';
import { itemNumber } from '../list-label.ts';
import type { GatheredText } from '../gathered-text.ts';
import type { Draft } from '../read-result.ts';
import type { Definitions } from './definitions.ts';
import type { ParagraphState } from './state.ts';

const LOWEST = 6; // level of headings

/** Counts the items of lists whose numbers the file does not write out. */
export class ListCounters {
  readonly #counters = new Map<number, number[]>();

  next(list: number, depth: number): number {
    let counters = this.#counters.get(list);
    if (counters === undefined) this.#counters.set(list, (counters = []));
    counters.length = Math.min(counters.length, depth);
    return (counters[depth - 1] = (counters[depth - 1] ?? 0) + 1);
  }
}

interface Gathered {
  readonly paragraph: ParagraphState;
  readonly text: GatheredText;
  readonly place: SourcePlace;
}

/** @returns undefined for an empty paragraph that is no heading. */
export function paragraphBlock(
  { paragraph, text, place }: Gathered,
  definitions: Definitions,
  counters: ListCounters,
  report: Report,
): Draft | undefined {
  const { outline, style: styleId, align, list, depth, listText } = paragraph;
  const style = definitions.style(styleId);
  const raw = runsText(text.runs);
  const empty = raw.trim() === '';
  const runs = empty ? [] : cleanRuns(text.runs, place, report);
  const use = style === undefined ? undefined : definitions.useOf(styleId);
  if (use === 'title' && !empty) return { kind: 'paragraph', role: 'title', runs, place };
  const own = outline ?? style?.outline;
  const level = own !== undefined && own >= 0 && own < 9 ? own + 1 : typeof use === 'number' ? use : undefined;
  if (level !== undefined) {
    if (level > LOWEST) report.add('level-raised', place, { level });
    const label = empty ? '' : listText.trim();
    report.mark(label);
    const heading: Draft = { kind: 'heading', level: Math.min(level, LOWEST) as Level, runs, place };
    return /[\p{L}\p{N}]/u.test(label) ? { ...heading, label } : heading;
  }
  if (empty) return undefined;
  if (use === 'subtitle' || use === 'caption' || use === 'contents')
    return { kind: 'paragraph', role: use, runs, place };
  if (use === 'quote') return { kind: 'quote', runs, place };
  if (use === 'code') return { kind: 'code', text: raw, place };
  report.mark(listText);
  const mark = listText.trim() === '' ? undefined : lineMark(`${listText.trim()} x`);
  if (list !== undefined || mark !== undefined) {
    const ordered = mark?.kind === 'number' || (mark === undefined && definitions.isOrdered(list!, depth));
    const number = mark?.number ?? counters.next(list ?? -1, depth);
    const label = mark === undefined ? undefined : listText;
    return {
      kind: 'listItem',
      depth,
      ordered,
      ...itemNumber(ordered, number, label),
      runs,
      place,
    };
  }
  // A number that the processor set before a heading of no style is part of what people read.
  const look = text.look(align, style?.size);
  const prefix = listText.trim() !== '' && isDivision(listText.trim()) ? [{ text: `${listText.trim()} ` }] : [];
  return { kind: 'paragraph', runs: [...prefix, ...runs], place, ...(look === undefined ? {} : { look }) };
}
