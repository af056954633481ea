/** Running text: headings by underlining, numbers, capitals and indent; lists, tables, terms, code and paragraphs. */
import { mostCommon, type Report } from '../../base/index.ts';
import { plain } from '../../content/index.ts';
import { isCapitals, lineMark, type LeftKind } from '../../document/index.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import { drawnTable } from './drawn-table.ts';
import { countingNumbers, headingLevel, Levels, LONGEST_HEADING, ruleOf, underlines } from './headings.ts';
import { itemOf } from './item.ts';
import { chunksOf, endOf, isFilled, PAGE_END, placeOf, TAB, type Line } from './line.ts';
import type { Marks } from './outline.ts';

interface Setting {
  readonly levels: Levels;
  readonly counting: ReadonlySet<string>;
  /** First lines that stand as a heading directly over their text. */
  readonly over: ReadonlySet<Line>;
  readonly marks: Marks;
  readonly width: number /* of the longest line */;
  readonly bodyIndent: number;
  /** Heads and feet of pages. */
  readonly left: ReadonlyMap<Line, LeftKind>;
  readonly report: Report;
}

export function* prose(lines: readonly Line[], known: Pick<Setting, 'marks' | 'left' | 'report'>): Generator<Draft> {
  const chunks = [...chunksOf(lines)];
  const filled = lines.filter(isFilled);
  const setting: Setting = {
    ...known,
    levels: new Levels(),
    counting: countingNumbers(chunks.flatMap((chunk) => (mayBeHead(chunk) || isOver(chunk) ? [chunk[0]!] : []))),
    over: headsOver(chunks.filter((chunk) => !known.marks.has(chunk[0]!))),
    width: filled.reduce((widest, line) => Math.max(widest, endOf(line)), 0),
    bodyIndent:
      mostCommon(
        filled,
        ({ indent }) => indent,
        ({ text }) => text.length,
      ) ?? 0,
  };
  const title = titleLines(chunks, setting);
  for (const chunk of chunks) {
    if (chunk[0]!.text === PAGE_END) yield draftBreak('page', placeOf(chunk[0]!));
    else if (title.has(chunk))
      for (const line of chunk)
        yield { kind: 'paragraph', role: title.get(chunk)!, runs: plain(line.text), place: placeOf(line) };
    else yield* ofChunk(chunk, setting);
  }
}

/** A line that stands alone, or before text that is set further in. */
const mayBeHead = ([first, second]: readonly Line[]): boolean =>
  first!.text !== PAGE_END && (second === undefined || second.indent >= first!.indent + 2);

const SHORT = 60; // characters

/** A short line without a stop that was ended though there was room, and running text right below it. */
function isOver([first, ...rest]: readonly Line[]): boolean {
  const [second] = rest;
  if (second === undefined || first!.text.length > SHORT || second.indent !== first!.indent) return false;
  if (!/^["“(]?[\p{Lu}\p{N}\p{Lo}]/u.test(first!.text) || /[.,;:!?…]$/.test(first!.text)) return false;
  // Fields, one a line.
  if (/^[\p{L}-]+: /u.test(second.text) || /^[\p{L}-]+: /u.test(first!.text)) return false;
  if (rest.some((line) => ruleOf(line.text) !== undefined || /\S {3,}\S|^\|/.test(line.text))) return false;
  const widest = rest.reduce((most, line) => Math.max(most, line.text.length), 0);
  const room = first!.text.length + 1 + /^\S*/.exec(second.text)![0].length <= widest;
  return room && widest >= LEAST_WRAPPED && widest >= first!.text.length * 1.3 && /^[^\p{Ll}]/u.test(second.text);
}

/** In capitals each speaks for itself; others are headings where most of what could have one has one. */
function headsOver(chunks: readonly (readonly Line[])[]): ReadonlySet<Line> {
  const over = chunks.filter(isOver).map(([first]) => first!);
  const capitals = over.filter(({ text }) => isCapitals(text) && text.length > 3);
  const several = chunks.filter(({ length }) => length > 1);
  return new Set(over.length >= LEAST_OVER && over.length * 2 > several.length ? over : capitals);
}
const LEAST_OVER = 3;

/** Lines before all others that are centred: the title of the text, and what stands below it. */
function titleLines(
  chunks: readonly (readonly Line[])[],
  { width, bodyIndent }: Setting,
): ReadonlyMap<readonly Line[], 'title' | 'subtitle'> {
  const found = new Map<readonly Line[], 'title' | 'subtitle'>();
  const isCentred = (line: Line): boolean =>
    line.indent >= bodyIndent + TAB * 2 &&
    line.text.length <= LONGEST_HEADING &&
    ruleOf(line.text) === undefined &&
    !/\S {3,}\S/.test(line.text) &&
    Math.abs(line.indent + line.text.length / 2 - width / 2) <= width * 0.08;
  for (const chunk of chunks.slice(0, 3)) {
    if (!chunk.every(isCentred) || chunk.length > 4 || (found.size === 0 && chunk.length > 1)) break;
    found.set(chunk, found.size === 0 ? 'title' : 'subtitle');
  }
  return chunks.length > found.size ? found : new Map();
}

const LONGEST_ENTRY = 300; // characters
const CONTENTS_LINE = /\S(?:(?:\s?\.){3,}|\s*…+|\s*_{3,})\s*\d{1,4}$/;

/** Lines between two blank ones. */
function* ofChunk(lines: readonly Line[], setting: Setting): Generator<Draft> {
  const outer = lines.filter((line) => setting.left.has(line));
  if (outer.length > 0) {
    for (const line of outer)
      yield { kind: 'paragraph', runs: plain(line.text), place: placeOf(line), left: setting.left.get(line)! };
    const rest = lines.filter((line) => !setting.left.has(line));
    if (rest.length > 0) yield* ofChunk(rest, setting);
    return;
  }
  const table = drawnTable(lines) ?? (isDrawing(lines) ? codeOf(lines) : undefined);
  if (table !== undefined) {
    yield table;
    return;
  }
  yield* new Chunk(lines, setting).read();
}

interface OpenItem {
  readonly draft: Omit<Draft & { kind: 'listItem' }, 'runs'>;
  readonly texts: string[];
}

class Chunk {
  readonly #lines: readonly Line[];
  readonly #setting: Setting;
  #pending: Line[] = [];
  #item: OpenItem | undefined;
  readonly #indents: number[] = [];

  constructor(lines: readonly Line[], setting: Setting) {
    this.#lines = lines;
    this.#setting = setting;
  }

  *read(): Generator<Draft> {
    for (let i = 0; i < this.#lines.length;) {
      const line = this.#lines[i]!;
      const used = this.#heading(i);
      if (used !== undefined) {
        yield* this.#close();
        yield used.draft;
        i += used.lines;
        continue;
      }
      i++;
      if (ruleOf(line.text) !== undefined) {
        yield* this.#close();
        yield draftBreak('rule', placeOf(line));
      } else if (line.text.length <= LONGEST_ENTRY && CONTENTS_LINE.test(line.text)) {
        yield* this.#close();
        yield { kind: 'paragraph', role: 'contents', runs: plain(line.text), place: placeOf(line) };
      } else if (this.#beginsItem(i - 1)) {
        yield* this.#close();
        this.#open(line);
      } else if (this.#item !== undefined) this.#item.texts.push(line.text);
      else this.#pending.push(line);
    }
    yield* this.#close();
  }

  /** A heading at line `i`, and the lines that it takes. */
  #heading(i: number): { readonly draft: Draft; readonly lines: number } | undefined {
    if (this.#pending.length > 0) return undefined;
    const { levels, counting, bodyIndent } = this.#setting;
    const [line, second, third] = this.#lines.slice(i, i + 3) as [Line, Line?, Line?];
    const heading = (one: Line, level: ReturnType<Levels['next']> | undefined, lines: number) =>
      level === undefined
        ? undefined
        : { draft: { kind: 'heading' as const, level, runs: plain(one.text), place: placeOf(one) }, lines };
    const rule = ruleOf(line.text);
    const between = /^([*=#~-]{2,})\s+(\S.*?)\s+\1$/.exec(line.text);
    if (between !== null && between[2]!.length <= LONGEST_HEADING && this.#lines.length === 1)
      return {
        draft: {
          kind: 'heading',
          level: levels.next(`in ${between[1]!}`),
          runs: plain(between[2]!),
          place: placeOf(line),
        },
        lines: 1,
      };
    // Ruled above and below.
    if (rule !== undefined && second !== undefined && third?.text[0] === rule && underlines(third.text, second.text))
      return heading(second, levels.next(`between ${rule}`), 3);
    if (rule !== undefined) return undefined;
    if (second !== undefined && underlines(second.text, line.text))
      return heading(line, levels.next(`under ${second.text[0]!}`), 2);
    const alone = this.#lines.length === 1;
    const above = i === 0 && second !== undefined && second.indent >= line.indent + 2;
    const over = i === 0 && this.#setting.over.has(line);
    if (!alone && !above && !over) return undefined;
    if (above && !isCapitals(line.text) && this.#setting.marks.has(line)) return undefined;
    const level = headingLevel(line.text, levels, counting);
    if (level !== undefined) return heading(line, level, 1);
    if (over) return heading(line, levels.next('over its text'), 1);
    // A line that stands out from an indented text.
    const out = bodyIndent >= 2 && line.indent < bodyIndent && this.#setting.marks.get(line) === undefined;
    return out && alone && isShortTitle(line.text) ? heading(line, levels.next('outdented'), 1) : undefined;
  }

  /** A mark in the midst of a paragraph is one only where its neighbours say so. */
  #beginsItem(i: number): boolean {
    const { marks } = this.#setting;
    const line = this.#lines[i]!;
    // `2.1` below the item `2.` is one below it.
    if (this.#item !== undefined && line.indent > this.#indents[0]! && (lineMark(line.text)?.parts ?? 0) > 1)
      return true;
    const mark = marks.get(line);
    if (mark === undefined || (mark.kind === 'number' && mark.parts > 1)) return false;
    const before = this.#pending.at(-1);
    if (before === undefined) return true;
    if (/[:.;?!]$/.test(before.text)) return true;
    const fellow = this.#lines.slice(i + 1).find((other) => marks.has(other));
    return fellow !== undefined && marks.get(fellow)!.style === mark.style && fellow.indent === line.indent;
  }

  #open(line: Line): void {
    const mark = this.#setting.marks.get(line) ?? lineMark(line.text)!;
    while (this.#indents.length > 0 && this.#indents.at(-1)! >= line.indent) this.#indents.pop();
    this.#indents.push(line.indent);
    this.#setting.report.mark(mark.mark);
    this.#item = { draft: { ...itemOf(mark, this.#indents.length), place: placeOf(line) }, texts: [mark.text] };
  }

  *#close(): Generator<Draft> {
    if (this.#item !== undefined) yield { ...this.#item.draft, runs: plain(this.#item.texts.join(' ')) };
    this.#item = undefined;
    if (this.#pending.length > 0) yield* paragraphs(this.#pending, this.#setting);
    this.#pending = [];
  }
}

const leastIndent = (lines: readonly Line[]): number =>
  lines.reduce((least, { indent }) => Math.min(least, indent), Infinity);

const isShortTitle = (text: string): boolean =>
  text.length <= SHORT && /^\p{Lu}/u.test(text) && !/[.,;:!…]$/.test(text);

/** Lines as wide as the text are wrapped and joined again; shorter ones, as in an address or a verse, stay lines. */
function* paragraphs(lines: readonly Line[], { bodyIndent }: Setting): Generator<Draft> {
  const place = placeOf(lines[0]!);
  const least = leastIndent(lines);
  if (least >= bodyIndent + TAB && lines.some((line) => /[;{}=]$|^\s*(?:\$|>>>)\s|\w\(.*\)/.test(line.text))) {
    yield codeOf(lines);
    return;
  }
  const terms = termsOf(lines);
  if (terms !== undefined) {
    for (const { term, text } of terms) {
      yield {
        kind: 'listItem',
        depth: 1,
        ordered: false,
        runs: [{ text: term.text, bold: true }],
        place: placeOf(term),
      };
      yield { kind: 'paragraph', runs: plain(joined(text)), place: placeOf(text[0]!) };
    }
    return;
  }
  yield { kind: 'paragraph', runs: plain(joined(lines)), place };
}

/** As it stands, without the indent that all lines share. */
function codeOf(lines: readonly Line[]): Draft {
  const least = leastIndent(lines);
  const text = lines.map((line) => ' '.repeat(line.indent - least) + line.text).join('\n');
  return { kind: 'code', text, place: placeOf(lines[0]!) };
}

/** Boxes and arrows drawn with signs, whose lines mean nothing when they are joined. */
const isDrawing = (lines: readonly Line[]): boolean =>
  lines.length > 1 &&
  lines.filter(({ text }) => /[\u2500-\u257f]|\+[-=]{2,}|[-=]{2,}[+>]|^\|.*\|$/.test(text)).length >= lines.length / 2;

const LEAST_WRAPPED = 45; // characters

/** Lines were wrapped where most of them had no room for the first word of the next. */
function joined(lines: readonly Line[]): string {
  const widest = lines.reduce((most, line) => Math.max(most, endOf(line)), 0);
  const full = lines.filter((line, i) => {
    const next = lines[i + 1];
    return next !== undefined && endOf(line) + 1 + /^\S*/.exec(next.text)![0].length > widest;
  });
  const wrapped = widest - lines[0]!.indent >= LEAST_WRAPPED && full.length >= (lines.length - 1) * 0.7;
  return lines.map(({ text }) => text).join(wrapped ? ' ' : '\n');
}

interface Term {
  readonly term: Line;
  readonly text: Line[];
}

/** A short line, then lines set further in that explain it; again and again. */
function termsOf(lines: readonly Line[]): readonly Term[] | undefined {
  const [first] = lines;
  const terms: Term[] = [];
  for (const line of lines) {
    if (line.indent === first!.indent) terms.push({ term: line, text: [] });
    else if (line.indent >= first!.indent + 2) terms.at(-1)!.text.push(line);
    else return undefined;
  }
  const fits = terms.every(({ term, text }) => text.length > 0 && term.text.length <= 50 && !/[.;,]$/.test(term.text));
  return fits ? terms : undefined;
}
