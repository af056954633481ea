/** Lists and numbered headings as a document counts them (ECMA-376-1 §17.9). */
import { formatNumber, type NumberFormat } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import type { Block, Heading, ListItem } from '../../document/index.ts';
import { XML } from '../opc/package.ts';
import { W } from './xml.ts';

const LEVELS = 9;
/** Of each level, in twentieths of a point. */
export const INDENT = 397;
const SIGNS = ['\u2022', '\u2013', '\u00b7'] as const;
/** §17.18.59. */
const COUNTED: readonly (readonly [name: string, format: NumberFormat])[] = [
  ['decimal', 'decimal'],
  ['lowerLetter', 'lower-letter'],
  ['upperLetter', 'upper-letter'],
  ['lowerRoman', 'lower-roman'],
  ['upperRoman', 'upper-roman'],
];
const AROUND: readonly (readonly [before: string, after: string])[] = [
  ['', '.'],
  ['', ')'],
  ['(', ')'],
  ['', ''],
];

/** How a label is counted: `lowerLetter`, `(`, `)`. */
interface Way {
  readonly name: string;
  readonly before: string;
  readonly after: string;
}
const USUAL: Way = { name: 'decimal', before: '', after: '.' };

function wayOf({ number = 1, label }: ListItem): Way | undefined {
  if (label === undefined) return USUAL;
  for (const [before, after] of AROUND)
    for (const [name, format] of COUNTED)
      if (label === `${before}${formatNumber(number, format)}${after}`) return { name, before, after };
  return undefined;
}

interface Counting {
  readonly num: number;
  /** Among the ways. */
  readonly way: number;
  next: number;
}

/** Gives each item the list in which a receiver counts it as it is counted here. */
export class ListNumbers {
  /** Each way once, in the order of their first use. */
  readonly #ways: Way[] = [];
  readonly #lists: { readonly way: number; readonly level: number; readonly start: number }[] = [];
  readonly #open: (Counting | undefined)[] = [];
  readonly #outline: Outline;

  constructor(blocks: readonly Block[]) {
    this.#outline = new Outline(blocks);
  }

  /** Whatever stands between two lists, they are two where the second begins anew. */
  item(item: ListItem): { readonly num: number; readonly level: number; readonly text: string } {
    const level = Math.min(Math.max(item.depth, 1), LEVELS) - 1;
    this.#open.length = Math.min(this.#open.length, level + 1);
    if (!item.ordered) {
      this.#open[level] = undefined;
      return { num: BULLETS, level, text: '' };
    }
    const way = wayOf(item);
    // What no receiver counts so is written out.
    if (way === undefined) return { num: NO_LIST, level, text: `${item.label!} ` };
    const number = item.number ?? 1;
    const at = this.#placeOf(way);
    const before = this.#open[level];
    if (before?.next === number && before.way === at) {
      before.next++;
      return { num: before.num, level, text: '' };
    }
    const num = FIRST_LIST + this.#lists.push({ way: at, level, start: number }) - 1;
    this.#open[level] = { num, way: at, next: number + 1 };
    return { num, level, text: '' };
  }

  #placeOf({ name, before, after }: Way): number {
    const at = this.#ways.findIndex((one) => one.name === name && one.before === before && one.after === after);
    return at < 0 ? this.#ways.push({ name, before, after }) - 1 : at;
  }

  /** @returns undefined for a heading without a number. `num` is there where the receiver counts it. */
  heading({ id, label }: Heading): { readonly num?: number; readonly text: string } | undefined {
    if (label === undefined) return undefined;
    return this.#outline.counts(id) ? { num: OUTLINE, text: '' } : { text: `${label} ` };
  }

  part(): string {
    const levels = (make: (level: number) => string): string =>
      Array.from({ length: LEVELS }, (_, i) => make(i)).join('');
    const indent = (level: number): string =>
      `<w:pPr><w:ind w:left="${(level + 1) * INDENT}" w:hanging="${INDENT}"/></w:pPr>`;
    const abstracts = [
      `<w:abstractNum w:abstractNumId="0"><w:multiLevelType w:val="hybridMultilevel"/>${levels((i) => `<w:lvl w:ilvl="${i}"><w:start w:val="1"/><w:numFmt w:val="bullet"/><w:lvlText w:val="${SIGNS[i % SIGNS.length]!}"/><w:lvlJc w:val="left"/>${indent(i)}</w:lvl>`)}</w:abstractNum>`,
      `<w:abstractNum w:abstractNumId="1"><w:multiLevelType w:val="multilevel"/>${levels((i) => `<w:lvl w:ilvl="${i}"><w:start w:val="1"/><w:numFmt w:val="decimal"/><w:lvlText w:val="${Array.from({ length: i + 1 }, (_, n) => `%${n + 1}`).join('.')}${this.#outline.dot}"/><w:lvlJc w:val="left"/><w:pPr><w:ind w:left="0" w:firstLine="0"/></w:pPr></w:lvl>`)}</w:abstractNum>`,
      ...this.#ways.map(
        ({ name, before, after }, at) =>
          `<w:abstractNum w:abstractNumId="${at + 2}"><w:multiLevelType w:val="multilevel"/>${levels((i) => `<w:lvl w:ilvl="${i}"><w:start w:val="1"/><w:numFmt w:val="${name}"/><w:lvlText w:val="${xmlText(`${before}%${i + 1}${after}`)}"/><w:lvlJc w:val="left"/>${indent(i)}</w:lvl>`)}</w:abstractNum>`,
      ),
    ];
    const nums = [
      `<w:num w:numId="${BULLETS}"><w:abstractNumId w:val="0"/></w:num>`,
      `<w:num w:numId="${OUTLINE}"><w:abstractNumId w:val="1"/></w:num>`,
      ...this.#lists.map(
        ({ way, level, start }, i) =>
          `<w:num w:numId="${FIRST_LIST + i}"><w:abstractNumId w:val="${way + 2}"/><w:lvlOverride w:ilvl="${level}"><w:startOverride w:val="${start}"/></w:lvlOverride></w:num>`,
      ),
    ];
    return `${XML}<w:numbering ${W}>${abstracts.join('')}${nums.join('')}</w:numbering>`;
  }
}

/** §17.9.18. */
export const NO_LIST = 0;
const BULLETS = 1;
const OUTLINE = 2;
const FIRST_LIST = 3;

/** Whether the numbers of headings are those that an outline counts; if not all are, they are written out. */
class Outline {
  readonly #counted: ReadonlySet<string>;
  /** What stands behind the last number. */
  readonly dot: '' | '.';

  constructor(blocks: readonly Block[]) {
    const labelled = blocks.filter((block) => block.kind === 'heading' && block.label !== undefined) as Heading[];
    this.dot = labelled.length > 0 && labelled.every(({ label }) => label!.endsWith('.')) ? '.' : '';
    const counts: number[] = [];
    const right = labelled.every(({ level, label }) => {
      counts.length = Math.min(counts.length, level);
      for (let above = counts.length; above < level; above++) counts[above] = 0;
      counts[level - 1]!++;
      return label === `${counts.join('.')}${this.dot}`;
    });
    this.#counted = new Set(right ? labelled.map(({ id }) => id) : []);
  }

  counts(id: string): boolean {
    return this.#counted.has(id);
  }
}
