/** Reads plain text: as an outline by its indents, or as running text. */
import { decodeText, ReadError, Report } from '../../base/index.ts';
import { dropForbidden } from '../../container/index.ts';
import { lineMarks } from '../../document/index.ts';
import { BlockList, readResult, type ReadResult } from '../read-result.ts';
import { isFilled, lineOf, PAGE_END } from './line.ts';
import { isOutline, outline, type Marks } from './outline.ts';
import { pageEdges } from './page-edges.ts';
import { prose } from './prose.ts';

/** @throws ReadError `empty`. */
export function readText(bytes: Uint8Array): ReadResult {
  const report = new Report();
  const source = decodeText(bytes);
  if (source.trim() === '') throw new ReadError('empty');
  const pages = source.replace(/\r\n?/g, '\n').split(PAGE_END);
  const clean = pages.map(dropForbidden);
  if (clean.some((page, i) => page.length !== pages[i]!.length)) report.add('characters-dropped', {});
  const list = new BlockList();
  const lines = clean.flatMap((page, i) => [...(i > 0 ? [PAGE_END] : []), ...page.split('\n')]).map(lineOf);
  const filled = lines.filter(isFilled);
  const found = lineMarks(
    filled,
    ({ text }) => text,
    ({ indent }) => indent,
  );
  const marks: Marks = new Map(
    filled.flatMap((line, i) => (found[i] === undefined ? [] : [[line, found[i]] as const])),
  );
  const drafts = isOutline(lines, marks)
    ? outline(lines, marks, report)
    : prose(lines, { marks, left: pageEdges(lines), report });
  for (const draft of drafts) list.add(draft);
  return readResult(list, [], report, {}, (take) => take(source));
}
