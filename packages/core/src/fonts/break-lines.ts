/**
 * Breaks text into lines: opportunities by the Unicode line breaking algorithm (UAX 14), then first fit, as every
 * program does that will show the slide.
 *
 * Text is measured once, in em, as words; breaking at another size or width only compares sums.
 */
import LineBreaker from 'linebreak';
import type { FontMetrics } from './font-metrics.ts';

/** A stretch of text in one face. */
export interface Span {
  readonly text: string;
  readonly face: FontMetrics;
  /** Size relative to the paragraph's, as for superscripts. */
  readonly scale: number;
}

/** What stands between two places where a line may break. */
interface Word {
  readonly start: number /* characters */;
  readonly end: number;
  /** Without trailing white space, in em. */
  readonly width: number;
  readonly space: number;
  /** A line must break after it. */
  readonly mandatory: boolean;
}

export interface MeasuredText {
  readonly spans: readonly Span[];
  readonly words: readonly Word[];
}

export interface Line {
  readonly start: number;
  /** White space at the end of the line is not part of it. */
  readonly end: number;
  readonly width: number /* em */;
}

const TAB_WIDTH = 2; // em
const SPACE = /[\s\u200b]/;

export function measureText(spans: readonly Span[]): MeasuredText {
  const text = spans.length === 1 ? spans[0]!.text : spans.map((span) => span.text).join('');
  const words: Word[] = [];
  const cursor = new Cursor(spans);
  const breaker = new LineBreaker(text);
  let start = 0;
  for (let next = breaker.nextBreak(); next !== null; next = breaker.nextBreak()) {
    const end = next.position;
    // From behind, since a word may hold many spaces that do not break.
    let wordEnd = end;
    while (wordEnd > start && SPACE.test(text[wordEnd - 1]!)) wordEnd--;
    const width = cursor.advanceTo(wordEnd);
    const space = wordEnd === end ? 0 : cursor.advanceTo(end);
    words.push({ start, end: wordEnd, width, space, mandatory: next.required ?? false });
    start = end;
  }
  return { spans, words };
}

/** Walks along spans and sums widths; kerning counts within a face. */
class Cursor {
  readonly #spans: readonly Span[];
  #at = 0;
  #span = 0;
  #spanStart = 0;
  #left = -1;

  constructor(spans: readonly Span[]) {
    this.#spans = spans;
  }

  advanceTo(end: number): number {
    let width = 0;
    while (this.#at < end) {
      const span = this.#spans[this.#span]!;
      const { text, face, scale } = span;
      const stop = Math.min(end - this.#spanStart, text.length);
      let i = this.#at - this.#spanStart;
      let sum = 0;
      let left = this.#left;
      for (; i < stop; i++) {
        let cp = text.charCodeAt(i);
        if (cp >= 0xd800 && cp < 0xdc00) {
          cp = text.codePointAt(i)!;
          if (cp > 0xffff) i++;
        }
        if (cp === 9) sum += TAB_WIDTH;
        else if (cp !== 10) sum += face.advanceIn(text, i, cp) + (left < 0 ? 0 : face.kern(left, cp));
        left = cp;
      }
      width += sum * scale;
      this.#left = left;
      this.#at = this.#spanStart + i;
      if (i >= text.length) {
        this.#spanStart += text.length;
        this.#span++;
        this.#left = -1;
      }
    }
    return width;
  }
}

/** @param limit Greatest width of a line, in em. A word that is wider alone is broken between characters. */
export function breakLines(measured: MeasuredText, limit: number): readonly Line[] {
  const lines: Line[] = [];
  let start = 0;
  let end = 0;
  let width = 0;
  let pending = 0;
  let open = false;
  const close = (): void => {
    lines.push({ start, end, width });
    open = false;
  };
  for (const word of measured.words) {
    if (open && width + pending + word.width > limit) close();
    if (!open && word.width > limit) {
      const pieces = splitWord(measured, word, limit);
      lines.push(...pieces.slice(0, -1));
      ({ start, end, width } = pieces.at(-1)!);
    } else if (!open) {
      start = word.start;
      width = word.width;
    } else width += pending + word.width;
    open = true;
    end = word.end;
    pending = word.space;
    if (word.mandatory) close();
  }
  if (open) close();
  return lines;
}

function splitWord({ spans }: MeasuredText, word: Word, limit: number): Line[] {
  const cursor = new Cursor(spans);
  cursor.advanceTo(word.start);
  const pieces: Line[] = [];
  let start = word.start;
  let width = 0;
  let at = word.start;
  const text = spans.map((span) => span.text).join('');
  while (at < word.end) {
    const next = at + (text.codePointAt(at)! > 0xffff ? 2 : 1);
    const advance = cursor.advanceTo(next);
    if (at > start && width + advance > limit) {
      pieces.push({ start, end: at, width });
      start = at;
      width = 0;
    }
    width += advance;
    at = next;
  }
  pieces.push({ start, end: word.end, width });
  return pieces;
}
