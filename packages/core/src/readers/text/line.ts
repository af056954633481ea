/** Lines of a plain text, with what stands between them. */
import type { SourcePlace } from '../../base/index.ts';

export interface Line {
  readonly text: string /* without indent and trailing white space */;
  readonly indent: number /* columns */;
  readonly number: number /* 1-based */;
}

export const PAGE_END = '\f';
export const TAB = 4; // columns

export function lineOf(raw: string, i: number): Line {
  if (raw === PAGE_END) return { text: PAGE_END, indent: 0, number: i + 1 };
  let indent = 0;
  let at = 0;
  for (; at < raw.length; at++) {
    if (raw[at] === '\t') indent += TAB - (indent % TAB);
    else if (raw[at] === ' ' || raw[at] === '\u00a0') indent++;
    else break;
  }
  return { text: raw.slice(at).trimEnd(), indent, number: i + 1 };
}

export const isFilled = ({ text }: Line): boolean => text !== '' && text !== PAGE_END;
export const placeOf = ({ number }: Line): SourcePlace => ({ line: number });
export const endOf = ({ indent, text }: Line): number => indent + text.length;

/** Lines between blank ones and page ends; these come alone. */
export function* chunksOf(lines: readonly Line[]): Generator<readonly Line[]> {
  for (let i = 0; i < lines.length;) {
    if (!isFilled(lines[i]!)) {
      if (lines[i]!.text === PAGE_END) yield [lines[i]!];
      i++;
      continue;
    }
    let end = i;
    while (end < lines.length && isFilled(lines[end]!)) end++;
    yield lines.slice(i, end);
    i = end;
  }
}
