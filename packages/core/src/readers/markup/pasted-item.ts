/** Lists that are pasted as paragraphs. */
import { runsText, sliceRuns, trimRuns, type Runs } from '../../content/index.ts';
import { lineMark } from '../../document/index.ts';
import type { Draft } from '../read-result.ts';
import type { InlineStyle } from './inline-style.ts';

const INDENT_STEP = 36; // points

/** An item: a bullet or a number, then spaces that hold it apart from the text. */
export function pastedItem(
  runs: Runs,
  style: InlineStyle | undefined,
): Omit<Draft & { kind: 'listItem' }, 'place'> | undefined {
  const text = runsText(runs);
  const mark = lineMark(text);
  const level = style?.listLevel;
  if (mark === undefined || (level === undefined && !/^[•·◦▪▫‣●○■□\uf0b7\uf0a7]\s|^\S{1,4}[\u00a0\t]/u.test(text)))
    return undefined;
  const ordered = mark.kind === 'number';
  return {
    kind: 'listItem',
    depth: level ?? Math.max(1, Math.round((style?.indent ?? 0) / INDENT_STEP)),
    ordered,
    ...(ordered ? { number: mark.number ?? 1 } : {}),
    runs: trimRuns(sliceRuns(runs, text.length - mark.text.length, text.length)),
  };
}
