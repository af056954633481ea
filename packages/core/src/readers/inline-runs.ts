/** Builds runs from nested inline marks, as HTML and Markdown have them. */
import { mergeRuns, trimRuns, type Run, type Runs } from '../content/index.ts';

export type Mark = 'bold' | 'italic' | 'strike' | 'code' | 'super' | 'sub';

/** The mark that an HTML element sets (HTML Standard, "Text-level semantics"). */
export const ELEMENT_MARKS: Readonly<Record<string, Mark>> = {
  b: 'bold',
  strong: 'bold',
  i: 'italic',
  em: 'italic',
  cite: 'italic',
  dfn: 'italic',
  var: 'italic',
  s: 'strike',
  del: 'strike',
  strike: 'strike',
  code: 'code',
  kbd: 'code',
  samp: 'code',
  tt: 'code',
  sup: 'super',
  sub: 'sub',
};

export class InlineRuns {
  #runs: Run[] = [];
  readonly #marks: Mark[] = [];
  readonly #links: (string | undefined)[] = [];

  push(mark: Mark): void {
    this.#marks.push(mark);
  }

  /** Ends the innermost mark of this kind; an end without a beginning does nothing. */
  pop(mark: Mark): void {
    const at = this.#marks.lastIndexOf(mark);
    if (at >= 0) this.#marks.splice(at, 1);
  }

  pushLink(target: string | undefined): void {
    this.#links.push(target);
  }

  popLink(): void {
    this.#links.pop();
  }

  text(text: string): void {
    if (text === '') return;
    if (this.#marks.length === 0 && this.#links.length === 0) {
      this.#runs.push({ text });
      return;
    }
    const has = (mark: Mark): boolean => this.#marks.includes(mark);
    const link = this.#links.at(-1);
    this.#runs.push({
      text,
      ...(has('bold') ? { bold: true } : {}),
      ...(has('italic') ? { italic: true } : {}),
      ...(has('strike') ? { strike: true } : {}),
      ...(has('code') ? { code: true } : {}),
      ...(has('super') ? { position: 'super' } : has('sub') ? { position: 'sub' } : {}),
      ...(link === undefined ? {} : { link }),
    });
  }

  get empty(): boolean {
    return this.#runs.length === 0;
  }

  /** The runs so far, trimmed; starts anew. Marks stay open. */
  take(): Runs {
    const runs = trimRuns(mergeRuns(this.#runs));
    this.#runs = [];
    return runs;
  }
}
