/** Text without blank lines whose lines are indented: an outline. */
import type { Report } from '../../base/index.ts';
import { plain } from '../../content/index.ts';
import type { Level, MarkedLine } from '../../document/index.ts';
import type { Draft } from '../read-result.ts';
import { placeOf, type Line } from './line.ts';
import { itemOf } from './item.ts';

export type Marks = ReadonlyMap<Line, MarkedLine>;

/** Lines that follow each other, few of them blank, on two indents at least, none as long as wrapped text is. */
export function isOutline(lines: readonly Line[], marks: Marks): boolean {
  const filled = lines.filter((line) => line.text !== '');
  if (filled.length < 3 || filled.some((line) => line.indent < filled[0]!.indent)) return false;
  const outermost = filled.filter((line) => line.indent === filled[0]!.indent);
  if (outermost.filter((line) => marks.has(line)).length > outermost.length / 3) return false;
  const inner = lines.slice(0, lines.findLastIndex((line) => line.text !== '') + 1);
  const blank = inner.filter((line) => line.text === '').length;
  const indented = filled.filter((line) => line.indent > filled[0]!.indent).length;
  const wrapped = filled.filter((line, i) => i > 0 && endsOpen(filled[i - 1]!, line)).length;
  return indented >= filled.length / 4 && blank <= filled.length / 5 && wrapped <= filled.length / 10;
}

const endsOpen = (before: Line, line: Line): boolean =>
  before.text.length > 60 && before.indent === line.indent && /^\p{Ll}/u.test(line.text);

interface Node {
  readonly line: Line;
  readonly children: Node[];
}

/**
 * The outermost lines are headings; those below one are headings too where each of them has lines below it. All else are
 * items: a lone line behind a heading's items would seem to belong to that heading.
 */
export function* outline(lines: readonly Line[], marks: Marks, report: Report): Generator<Draft> {
  const root: Node[] = [];
  const open: Node[] = [];
  for (const line of lines) {
    if (line.text === '') continue;
    const node: Node = { line, children: [] };
    while (open.length > 0 && open.at(-1)!.line.indent >= line.indent) open.pop();
    (open.at(-1)?.children ?? root).push(node);
    open.push(node);
  }
  yield* branch(root, 1, 0, { marks, report });
}

interface Known {
  readonly marks: Marks;
  readonly report: Report;
}

function* branch(nodes: readonly Node[], rank: number, depth: number, known: Known): Generator<Draft> {
  const headings = depth === 0 && (rank === 1 || (rank <= 3 && nodes.every(({ children }) => children.length > 0)));
  for (const { line, children } of nodes) {
    const mark = known.marks.get(line);
    if (mark !== undefined && (!headings || mark.kind === 'bullet')) known.report.mark(mark.mark);
    if (headings)
      yield {
        kind: 'heading',
        level: rank as Level,
        runs: plain(mark?.kind === 'bullet' ? mark.text : line.text),
        place: placeOf(line),
      };
    else yield { ...itemOf(mark, depth + 1), runs: plain(mark?.text ?? line.text), place: placeOf(line) };
    yield* headings ? branch(children, rank + 1, 0, known) : branch(children, rank, depth + 1, known);
  }
}
