/** Which lines of a plain text are its headings, and of which level. */
import { endsAsSentence, isCapitals, isDivision, type Level } from '../../document/index.ts';
import type { Line } from './line.ts';

export const LONGEST_HEADING = 80; // characters

/** Headings get their levels in the order in which their looks first appear, as each stands below those before it. */
export class Levels {
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

/** `2.1 The wheel`, `A. Tides`, `A.1 Springs`. */
const NUMBERED =
  /^(?:(\d{1,3}(?:\.\d{1,3}){0,5})|([A-Z])((?:\.\d{1,3}){0,4}))([.):]?)\s+(?=["“(]?[\p{Lu}\p{N}\p{Lo}])/u;

interface HeadingNumber {
  /** Outermost first; a letter of an appendix stands as itself. */
  readonly parts: readonly string[];
  readonly text: string;
  readonly punctuated: boolean;
}

function headingNumber(text: string): HeadingNumber | undefined {
  const match = NUMBERED.exec(text);
  if (match === null) return undefined;
  const parts = match[1]?.split('.') ?? [match[2]!, ...match[3]!.split('.').filter((part) => part !== '')];
  return { parts, text: text.slice(match[0].length), punctuated: match[4] !== '' };
}

/**
 * The numbers that count: those whose forerunner, parent or follower numbers a line that may be a heading too. So "6
 * Months" or "C. Reed" are no numbered headings, and "6 Costs" behind "5 Gains" is.
 * @param lines All lines of the text that may be headings by their place.
 */
export function countingNumbers(lines: readonly Line[]): ReadonlySet<string> {
  const written = new Set<string>();
  for (const { text } of lines) {
    const number =
      text.length <= LONGEST_HEADING && !endsAsSentence(text) && !/\S {3,}\S/.test(text)
        ? headingNumber(text)
        : undefined;
    if (number !== undefined) written.add(number.parts.join('.'));
  }
  const counting = new Set<string>();
  for (const key of written) {
    const parts = key.split('.');
    const last = parts.at(-1)!;
    const before = [...parts.slice(0, -1), step(last, -1)].join('.');
    const after = [...parts.slice(0, -1), step(last, 1)].join('.');
    if (written.has(before) || written.has(after) || written.has(`${key}.1`)) counting.add(key);
    else if (parts.length > 1 && (last === '1' || last === '0') && written.has(parts.slice(0, -1).join('.')))
      counting.add(key);
  }
  return counting;
}

const step = (part: string, by: number): string =>
  /\d/.test(part) ? String(Number(part) + by) : String.fromCharCode(part.charCodeAt(0) + by);

/** @returns The level of a line that stands where headings do, or undefined for one that is none. */
export function headingLevel(text: string, levels: Levels, counting: ReadonlySet<string>): Level | undefined {
  // A wide gap parts the cells of a table.
  if (text.length > LONGEST_HEADING || !/\p{L}/u.test(text) || /\S {3,}\S/.test(text)) return undefined;
  if (isDivision(text) && !endsAsSentence(text.replace(/[.:]$/, ''))) return levels.next('division');
  if (endsAsSentence(text)) return undefined;
  const number = headingNumber(text);
  const lone = number?.punctuated === true && /^\d/.test(number.parts[0]!) && number.parts.at(-1) === '1';
  if (number !== undefined && (lone || counting.has(number.parts.join('.'))))
    return levels.next(isCapitals(number.text) ? 'numbered capitals' : 'numbered', number.parts.length - 1);
  if (isCapitals(text) && text.length > 3 && !/^[-*+•]\s/.test(text)) return levels.next('capitals');
  return undefined;
}

/** The sign of a line that is drawn with one: `====`, `* * *`. */
export const ruleOf = (text: string): string | undefined => /^([-=*_~#^+."'`:])(?:\s?\1){2,}$/.exec(text)?.[1];

/** Whether a line of one sign underlines the text above it. */
export function underlines(rule: string, text: string): boolean {
  const mark = ruleOf(rule);
  if (mark === undefined || rule.includes(' ') || text.length > LONGEST_HEADING || ruleOf(text) !== undefined)
    return false;
  return (
    rule.length >= Math.min(3, text.length) && rule.length >= text.length * 0.5 && rule.length <= text.length * 2 + 4
  );
}
