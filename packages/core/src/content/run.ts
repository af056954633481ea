/** Inline text: runs of one look. */

export interface Run {
  /** Never empty. `\n` is a line break within the paragraph, `\t` a tab. */
  readonly text: string;
  readonly bold?: true;
  readonly italic?: true;
  readonly strike?: true;
  readonly code?: true;
  readonly position?: 'super' | 'sub';
  /** An absolute http, https or mailto address, or `#` with a name in the document. */
  readonly link?: string;
}

export type Runs = readonly Run[];

export const plain = (text: string): Runs => (text === '' ? [] : [{ text }]);

export function runsText(runs: Runs): string {
  if (runs.length === 1) return runs[0]!.text;
  let text = '';
  for (const run of runs) text += run.text;
  return text;
}

export const sameLook = (a: Run, b: Run): boolean =>
  a.bold === b.bold &&
  a.italic === b.italic &&
  a.strike === b.strike &&
  a.code === b.code &&
  a.position === b.position &&
  a.link === b.link;

/** Joins neighbours of one look, drops empty runs. */
export function mergeRuns(runs: Runs): Runs {
  const merged: Run[] = [];
  for (const run of runs) {
    const last = merged.at(-1);
    if (run.text === '') continue;
    if (last !== undefined && sameLook(last, run)) merged[merged.length - 1] = { ...last, text: last.text + run.text };
    else merged.push(run);
  }
  return merged;
}

/** The runs from character `from` up to `to`. */
export function sliceRuns(runs: Runs, from: number, to: number): Runs {
  const sliced: Run[] = [];
  let at = 0;
  for (const run of runs) {
    const start = Math.max(from - at, 0);
    const end = Math.min(to - at, run.text.length);
    if (start < end)
      sliced.push(start === 0 && end === run.text.length ? run : { ...run, text: run.text.slice(start, end) });
    at += run.text.length;
    if (at >= to) break;
  }
  return sliced;
}

/** Takes white space off both ends. */
export function trimRuns(runs: Runs): Runs {
  const text = runsText(runs);
  const start = text.length - text.trimStart().length;
  const end = text.trimEnd().length;
  if (start === 0 && end === text.length) return runs;
  return start >= end ? [] : sliceRuns(runs, start, end);
}

/** Gives `runs` a new text and keeps the look of what did not change; what is new takes the look of what stands before it. */
export function retext(runs: Runs, text: string): Runs {
  const old = runsText(runs);
  if (old === text) return runs;
  const most = Math.min(old.length, text.length);
  let head = 0;
  while (head < most && old[head] === text[head]) head++;
  let tail = 0;
  while (tail < most - head && old[old.length - 1 - tail] === text[text.length - 1 - tail]) tail++;
  const added = text.slice(head, text.length - tail);
  const before = sliceRuns(runs, 0, head);
  const replaced = sliceRuns(runs, head, Math.max(head + 1, old.length - tail));
  const look = old.length - tail > head ? replaced[0] : (before.at(-1) ?? replaced[0]);
  return mergeRuns([
    ...before,
    ...(added === '' ? [] : [{ ...look, text: added }]),
    ...sliceRuns(runs, old.length - tail, old.length),
  ]);
}

/** Schemes that are harmless to follow. Anything else loses its link and keeps its text. */
export function safeLink(target: string): string | undefined {
  const trimmed = target.trim();
  if (/^(https?:\/\/|mailto:)\S+$/i.test(trimmed) || /^#\S+$/.test(trimmed)) return trimmed;
  return undefined;
}

/** A link within the document as the name that it means; percent signs are taken off (RFC 3986 §2.1). */
export function nameOfLink(link: string | undefined): string | undefined {
  if (link?.startsWith('#') !== true) return undefined;
  try {
    return decodeURIComponent(link.slice(1));
  } catch {
    return link.slice(1);
  }
}

/** Its lines, which breaks part. */
export function linesOf(runs: Runs): readonly Runs[] {
  const lines: Run[][] = [[]];
  for (const piece of runs)
    piece.text.split('\n').forEach((text, i) => {
      if (i > 0) lines.push([]);
      if (text !== '') lines.at(-1)!.push({ ...piece, text });
    });
  return lines;
}
