/**
 * Reads plain text: headings by underlining, numbering and capitals, lists by their marks, paragraphs by blank lines;
 * text without blank lines whose lines are indented is read as an outline.
 */
import { decodeText, mostCommon, ReadError, Report } from '../../base/index.ts';
import { dropForbidden } from '../../container/index.ts';
import { plain } from '../../content/index.ts';
import { endsAsSentence, isCapitals, isDivision, lineMark, type Level } from '../../document/index.ts';
import { BlockList, draftBreak, readResult, type Draft, type ReadResult } from '../read-result.ts';

interface Line {
  readonly text: string /* without indent and trailing white space */;
  readonly indent: number /* columns */;
  readonly number: number /* 1-based */;
}

const TAB = 4;
const PAGE_END = '\f';
const LONGEST_HEADING = 80; // characters

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
  for (const draft of isOutline(lines) ? outline(lines) : prose(lines)) list.add(draft);
  return readResult(list, [], report);
}

function lineOf(raw: string, i: number): Line {
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

/** Lines that follow each other, few of them blank, on two indents at least, none as long as wrapped text is. */
function isOutline(lines: readonly Line[]): boolean {
  const filled = lines.filter((line) => line.text !== '');
  if (filled.length < 3 || filled[0]!.indent !== Math.min(...filled.map((line) => line.indent))) return false;
  const outermost = filled.filter((line) => line.indent === filled[0]!.indent);
  if (outermost.filter((line) => lineMark(line.text) !== undefined).length > outermost.length / 3) return false;
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
function* outline(lines: readonly Line[]): Generator<Draft> {
  const root: Node[] = [];
  const open: Node[] = [];
  for (const line of lines) {
    if (line.text === '') continue;
    const node: Node = { line, children: [] };
    while (open.length > 0 && open.at(-1)!.line.indent >= line.indent) open.pop();
    (open.at(-1)?.children ?? root).push(node);
    open.push(node);
  }
  yield* branch(root, 1, 0);
}

function* branch(nodes: readonly Node[], rank: number, depth: number): Generator<Draft> {
  const headings = depth === 0 && (rank === 1 || (rank <= 3 && nodes.every(({ children }) => children.length > 0)));
  for (const { line, children } of nodes) {
    const place = { line: line.number };
    const mark = lineMark(line.text);
    if (headings)
      yield {
        kind: 'heading',
        level: rank as Level,
        runs: plain(mark?.kind === 'bullet' ? mark.text : line.text),
        place,
      };
    else yield item(line.text, depth + 1, place);
    yield* headings ? branch(children, rank + 1, 0) : branch(children, rank, depth + 1);
  }
}

function item(text: string, depth: number, place: { line: number }): Draft {
  const mark = lineMark(text);
  const ordered = mark?.kind === 'number';
  return {
    kind: 'listItem',
    depth,
    ordered,
    ...(ordered ? { number: mark.number ?? 1 } : {}),
    runs: plain(mark?.text ?? text),
    place,
  };
}

/** Headings get their levels in the order in which their looks first appear, as each stands below those before it. */
class Levels {
  readonly #known = new Map<string, number>();
  #current = 0;

  /** @param look What all headings of one rank share. @param deeper How far below the look's own level it stands. */
  next(look: string, deeper = 0): Level {
    let base = this.#known.get(look);
    if (base === undefined)
      this.#known.set(look, (base = Math.min(this.#current + 1 - Math.min(deeper, this.#current), 6)));
    this.#current = Math.min(base + deeper, 6);
    return this.#current as Level;
  }
}

function* prose(lines: readonly Line[]): Generator<Draft> {
  const levels = new Levels();
  const width = Math.max(...lines.map((line) => line.text.length));
  const filled = lines.filter((line) => line.text !== '');
  const bodyIndent = mostCommon(filled, (line) => line.indent) ?? 0;
  for (let i = 0; i < lines.length;) {
    const line = lines[i]!;
    if (line.text === '' || line.text === PAGE_END) {
      if (line.text === PAGE_END) yield draftBreak('page', { line: line.number });
      i++;
      continue;
    }
    let end = i;
    while (end < lines.length && lines[end]!.text !== '' && lines[end]!.text !== PAGE_END) end++;
    yield* chunk(lines.slice(i, end), { levels, width, bodyIndent });
    i = end;
  }
}

interface Setting {
  readonly levels: Levels;
  readonly width: number;
  readonly bodyIndent: number;
}

/** Lines between two blank ones. */
function* chunk(lines: readonly Line[], setting: Setting): Generator<Draft> {
  let pending: Line[] = [];
  const flush = function* (): Generator<Draft> {
    if (pending.length > 0) yield paragraph(pending, setting);
    pending = [];
  };
  const indents: number[] = [];
  let open: { draft: Draft & { kind: 'listItem' }; indent: number; texts: string[] } | undefined;
  const closeItem = function* (): Generator<Draft> {
    if (open !== undefined) yield { ...open.draft, runs: plain(open.texts.join(' ')) };
    open = undefined;
  };
  const alone = lines.length === 1;
  for (let i = 0; i < lines.length; i++) {
    const line = lines[i]!;
    const place = { line: line.number };
    const rule = ruleOf(line.text);
    const next = lines[i + 1];
    if (rule === undefined && next !== undefined && pending.length === 0 && underlines(next.text, line.text)) {
      yield* closeItem();
      yield { kind: 'heading', level: setting.levels.next(`under ${next.text[0]!}`), runs: plain(line.text), place };
      i++;
      continue;
    }
    if (rule !== undefined) {
      yield* closeItem();
      yield* flush();
      yield draftBreak('rule', place);
      continue;
    }
    if (alone) {
      const heading = headingOf(line.text, setting.levels);
      if (heading !== undefined) {
        yield { kind: 'heading', level: heading, runs: plain(line.text), place };
        continue;
      }
    }
    const mark = lineMark(line.text);
    if (mark !== undefined && (mark.kind === 'bullet' || mark.parts === 1) && pending.length === 0) {
      yield* closeItem();
      while (indents.length > 0 && indents.at(-1)! >= line.indent) indents.pop();
      indents.push(line.indent);
      const draft = item(line.text, indents.length, place) as Draft & { kind: 'listItem' };
      open = { draft, indent: line.indent, texts: [mark.text] };
      continue;
    }
    if (open !== undefined) open.texts.push(line.text);
    else pending.push(line);
  }
  yield* closeItem();
  yield* flush();
}

function headingOf(text: string, levels: Levels): Level | undefined {
  if (text.length > LONGEST_HEADING || !/\p{L}/u.test(text)) return undefined;
  if (isDivision(text) && !endsAsSentence(text.replace(/[.:]$/, ''))) return levels.next('division');
  if (endsAsSentence(text)) return undefined;
  const mark = lineMark(text);
  if (mark?.kind === 'number' && /^\d/.test(mark.mark) && /^[\p{Lu}\p{N}"“]/u.test(mark.text))
    return levels.next(isCapitals(mark.text) ? 'numbered capitals' : 'numbered', mark.parts - 1);
  if (mark === undefined && isCapitals(text) && text.length > 3) return levels.next('capitals');
  return undefined;
}

const ruleOf = (text: string): string | undefined => /^([-=*_~#])(?:\s?\1){2,}$/.exec(text)?.[1];

function underlines(rule: string, text: string): boolean {
  const mark = ruleOf(rule);
  if (mark === undefined || rule.includes(' ') || text.length > LONGEST_HEADING) return false;
  return (
    rule.length >= Math.min(3, text.length) && rule.length >= text.length * 0.5 && rule.length <= text.length * 2 + 4
  );
}

/** Lines as wide as the text are wrapped and joined again; shorter ones, as in an address or a verse, stay lines. */
function paragraph(lines: readonly Line[], { width, bodyIndent }: Setting): Draft {
  const place = { line: lines[0]!.number };
  const least = Math.min(...lines.map((line) => line.indent));
  if (least >= bodyIndent + TAB && lines.some((line) => /[;{}=]$|^\s*(?:\$|>>>)\s|\w\(.*\)/.test(line.text)))
    return { kind: 'code', text: lines.map((line) => ' '.repeat(line.indent - least) + line.text).join('\n'), place };
  const wrapped = lines.slice(0, -1).every((line) => line.text.length >= Math.min(width * 0.6, 60));
  const text = lines.map((line) => line.text).join(wrapped ? ' ' : '\n');
  return { kind: 'paragraph', runs: plain(text), place };
}
