/** Reads numbering.xml and counts list items as the original shows them (ECMA-376-1 §17.9). */
import { readXmlPart, type ZipReader } from '../../container/index.ts';
import { formatNumber, type NumberFormat } from '../../base/index.ts';
import { itemLabel } from '../list-label.ts';
import { isOn } from './styles.ts';

interface ListLevel {
  ordered: boolean;
  start: number;
  format: NumberFormat;
  /** `%1.%2` and what stands around (§17.9.11). */
  text: string;
  /** All numbers in it are decimal (§17.9.4). */
  legal: boolean;
}
interface Num {
  abstractId: string;
  readonly starts: Map<number, number>;
  readonly levels: Map<number, ListLevel>;
}

export interface ListPosition {
  readonly ordered: boolean;
  readonly number: number;
  /** As the original shows it, where that is not `1.`. */
  readonly label?: string;
}

const FALLBACK: ListLevel = { ordered: false, start: 1, format: 'decimal', text: '', legal: false };

/** The kinds of numbers (§17.18.59) that we write as the original does; others are written as figures. */
const FORMATS: ReadonlyMap<string, NumberFormat> = new Map([
  ['decimalZero', 'decimal-zero'],
  ['lowerLetter', 'lower-letter'],
  ['upperLetter', 'upper-letter'],
  ['lowerRoman', 'lower-roman'],
  ['upperRoman', 'upper-roman'],
  ['hindiNumbers', 'devanagari'],
  ['thaiNumbers', 'thai'],
  ['decimalFullWidth', 'fullwidth-decimal'],
  ['decimalEnclosedCircle', 'circled-decimal'],
  ['decimalEnclosedCircleChinese', 'circled-decimal'],
  ['chineseCounting', 'cjk-ideographic'],
  ['chineseCountingThousand', 'cjk-ideographic'],
  ['japaneseCounting', 'cjk-ideographic'],
  ['taiwaneseCounting', 'cjk-ideographic'],
  ['taiwaneseCountingThousand', 'cjk-ideographic'],
]);

export class Numbering {
  readonly #abstract = new Map<string, Map<number, ListLevel>>();
  /** Abstract definitions that only name a numbering style (§17.9.21). */
  readonly #byStyle = new Map<string, string>();
  readonly #styleLinks = new Map<string, string>();
  readonly #nums = new Map<string, Num>();
  /** Paragraph styles that a level of an abstract definition is linked to (§17.9.23). */
  readonly #levelOfStyle = new Map<string, { abstractId: string; level: number }>();
  readonly #counters = new Map<string, number[]>();
  readonly #started = new Set<string>();

  static read(zip: ZipReader, part: string | undefined): Numbering {
    const numbering = new Numbering();
    if (part === undefined) return numbering;
    let abstractId = '';
    let levels: Map<number, ListLevel> | undefined;
    let level: ListLevel | undefined;
    let index = 0;
    let num: Num | undefined;
    readXmlPart(zip, part, {
      open(name, a) {
        const value = a['w:val'];
        switch (name) {
          case 'w:abstractNum':
            abstractId = a['w:abstractNumId'] ?? '';
            levels = new Map();
            numbering.#abstract.set(abstractId, levels);
            break;
          case 'w:num':
            num = { abstractId: '', starts: new Map(), levels: new Map() };
            numbering.#nums.set(a['w:numId'] ?? '', num);
            break;
          case 'w:abstractNumId':
            if (num) num.abstractId = value ?? '';
            break;
          case 'w:lvlOverride':
          case 'w:lvl':
            index = Number(a['w:ilvl']);
            if (name === 'w:lvl') {
              level = { ...FALLBACK, ordered: true };
              (num?.levels ?? levels)?.set(index, level);
            }
            break;
          case 'w:startOverride':
            num?.starts.set(index, Number(value));
            break;
          case 'w:numFmt':
            if (level === undefined) break;
            level.ordered = value !== 'bullet' && value !== 'none';
            level.format = FORMATS.get(value ?? '') ?? 'decimal';
            break;
          case 'w:lvlText':
            if (level) level.text = value ?? '';
            break;
          case 'w:isLgl':
            if (level) level.legal = isOn(a);
            break;
          case 'w:start':
            if (level) level.start = Number(value);
            break;
          case 'w:pStyle':
            if (level && !num && value !== undefined) numbering.#levelOfStyle.set(value, { abstractId, level: index });
            break;
          case 'w:numStyleLink':
            if (value !== undefined) numbering.#byStyle.set(abstractId, value);
            break;
          case 'w:styleLink':
            if (value !== undefined) numbering.#styleLinks.set(value, abstractId);
            break;
        }
      },
      close(name) {
        if (name === 'w:lvl') level = undefined;
        if (name === 'w:num') num = undefined;
      },
    });
    return numbering;
  }

  /** The level that a paragraph style stands for, when the list's levels are linked to styles. */
  levelOfStyle(styleId: string, numId: string): number | undefined {
    const linked = this.#levelOfStyle.get(styleId);
    return linked !== undefined && linked.abstractId === this.#abstractOf(numId) ? linked.level : undefined;
  }

  /** Counts one item. @param level 0-based. @returns undefined when there is no such list, as numId 0 says (§17.9.18). */
  count(numId: string, level: number): ListPosition | undefined {
    const num = this.#nums.get(numId);
    if (num === undefined) return undefined;
    const abstractId = this.#abstractOf(numId);
    const { ordered, start } = this.#level(num, abstractId, level);
    const counters = this.#counters.get(abstractId) ?? [];
    this.#counters.set(abstractId, counters);
    const key = `${numId} ${level}`;
    const restart = num.starts.get(level);
    if (restart !== undefined && !this.#started.has(key)) counters[level] = restart - 1;
    this.#started.add(key);
    counters[level] = (counters[level] ?? start - 1) + 1;
    counters.length = level + 1;
    const number = counters[level];
    return ordered ? { ordered, number, ...this.#label(num, abstractId, level, counters) } : { ordered, number };
  }

  #level = (num: Num, abstractId: string, level: number): ListLevel =>
    num.levels.get(level) ?? this.#abstract.get(abstractId)?.get(level) ?? FALLBACK;

  #label(num: Num, abstractId: string, at: number, counters: readonly number[]): { readonly label?: string } {
    const { text, legal } = this.#level(num, abstractId, at);
    const written = text.replace(/%([1-9])/g, (_, digit: string) => {
      const level = Number(digit) - 1;
      const { format, start } = this.#level(num, abstractId, level);
      return formatNumber(counters[level] ?? start, legal ? 'decimal' : format);
    });
    return itemLabel(counters[at]!, written);
  }

  #abstractOf(numId: string): string {
    const id = this.#nums.get(numId)?.abstractId ?? '';
    const style = this.#byStyle.get(id);
    return (style === undefined ? undefined : this.#styleLinks.get(style)) ?? id;
  }
}
