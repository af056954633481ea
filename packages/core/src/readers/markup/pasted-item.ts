/** Lists that are pasted as paragraphs. */
import type { Report } from '../../base/index.ts';
import { runsText, sliceRuns, trimRuns, type Runs } from '../../content/index.ts';
import { lineMark } from '../../document/index.ts';
import { itemNumber } from '../list-label.ts';
import type { Draft } from '../read-result.ts';
import type { InlineStyle } from './inline-style.ts';

const INDENT_STEP = 36; // points

/** An item: a bullet or a number, then spaces that hold it apart from the text. */
export function pastedItem(
  runs: Runs,
  style: InlineStyle | undefined,
  report: Report,
): Omit<Draft & { kind: 'listItem' }, 'place'> | undefined {
  const text = runsText(runs);
  const mark = lineMark(text);
  const level = style?.listLevel;
  // One fixed space holds a number and its unit together; processors set several, or a tab, behind a mark.
  const apart = /^[•·◦▪▫‣●○■□\uf0b7\uf0a7]\s|^\S{1,4}(?:\t|[\s\u00a0]{2,})/u.test(text);
  if (mark === undefined || (level === undefined && !apart)) return undefined;
  report.mark(mark.mark);
  const ordered = mark.kind === 'number';
  return {
    kind: 'listItem',
    depth: level ?? Math.max(1, Math.round((style?.indent ?? 0) / INDENT_STEP)),
    ordered,
    ...itemNumber(ordered, mark.number ?? 1, mark.mark),
    runs: trimRuns(sliceRuns(runs, text.length - mark.text.length, text.length)),
  };
}
