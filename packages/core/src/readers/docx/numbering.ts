/** Reads numbering.xml and counts list items as the original shows them (ECMA-376-1 §17.9). */
import { readXmlPart, type ZipReader } from '../../container/index.ts';

interface ListLevel {
  ordered: boolean;
  start: number;
}
interface Num {
  abstractId: string;
  readonly starts: Map<number, number>;
  readonly levels: Map<number, ListLevel>;
}

export interface ListPosition {
  readonly ordered: boolean;
  readonly number: number;
}

const FALLBACK: ListLevel = { ordered: false, start: 1 };

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
              level = { ordered: true, start: 1 };
              (num?.levels ?? levels)?.set(index, level);
            }
            break;
          case 'w:startOverride':
            num?.starts.set(index, Number(value));
            break;
          case 'w:numFmt':
            if (level) level.ordered = value !== 'bullet' && value !== 'none';
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
    const { ordered, start } = num.levels.get(level) ?? this.#abstract.get(abstractId)?.get(level) ?? FALLBACK;
    const counters = this.#counters.get(abstractId) ?? [];
    this.#counters.set(abstractId, counters);
    const key = `${numId} ${level}`;
    const restart = num.starts.get(level);
    if (restart !== undefined && !this.#started.has(key)) counters[level] = restart - 1;
    this.#started.add(key);
    counters[level] = (counters[level] ?? start - 1) + 1;
    counters.length = level + 1;
    return { ordered, number: counters[level] };
  }

  #abstractOf(numId: string): string {
    const id = this.#nums.get(numId)?.abstractId ?? '';
    const style = this.#byStyle.get(id);
    return (style === undefined ? undefined : this.#styleLinks.get(style)) ?? id;
  }
}
