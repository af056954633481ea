/** The text of a paragraph as it is gathered, with what the elements around it say of it. */
import { dropForbidden } from '../../container/index.ts';
import type { Runs } from '../../content/index.ts';
import type { Direction, Look } from '../../document/index.ts';
import { InlineRuns, type Mark } from '../inline-runs.ts';
import { Spoken } from '../spoken.ts';

/** What an element says of the language and direction of its text. */
interface Said {
  readonly language: string | undefined;
  readonly direction: Direction | undefined;
}

export class Gathered {
  readonly #inline = new InlineRuns();
  readonly #spoken = new Spoken();
  /** Of the elements around, innermost last. */
  readonly #languages: string[] = [];
  readonly #directions: Direction[] = [];
  readonly #sizes: number[] = [];
  #largest = 0;

  /** Text of the page, whose white space means nothing. */
  text(written: string): void {
    const text = dropForbidden(written).replace(/[ \t\r\n\f]+/g, ' ');
    if (text.trim() !== '') this.#largest = Math.max(this.#largest, this.#sizes.at(-1) ?? 0);
    this.#spoken.add(text, this.#languages.at(-1));
    if (text !== ' ' || !this.#inline.empty) this.#inline.text(text);
  }

  /** A line that ends, or signs that are no language. */
  sign(text: string): void {
    this.#inline.text(text);
  }

  within({ language, direction }: Said, read: () => void): void {
    if (language !== undefined) this.#languages.push(language);
    if (direction !== undefined) this.#directions.push(direction);
    read();
    if (language !== undefined) this.#languages.pop();
    if (direction !== undefined) this.#directions.pop();
  }

  /** @param size In points. */
  styled(marks: readonly Mark[], size: number | undefined, read: () => void): void {
    for (const mark of marks) this.#inline.push(mark);
    if (size !== undefined) this.#sizes.push(size);
    read();
    if (size !== undefined) this.#sizes.pop();
    for (const mark of marks) this.#inline.pop(mark);
  }

  linked(link: string | undefined, read: () => void): void {
    this.#inline.pushLink(link);
    read();
    this.#inline.popLink();
  }

  /** What was gathered, and how it looks; begins anew. @param align Of its block. */
  take(align: Look['align'] | undefined): { readonly runs: Runs; readonly look: Look | undefined } {
    const [runs, size] = [this.#inline.take(), this.#largest];
    this.#largest = 0;
    if (size === 0 && align === undefined) return { runs, look: undefined };
    return { runs, look: { ...(size > 0 ? { size } : {}), ...(align === undefined ? {} : { align }) } };
  }

  /** The language and direction of the text since this was last asked. */
  speech(): ReturnType<Spoken['take']> {
    this.#spoken.direction = this.#directions.at(-1);
    return this.#spoken.take();
  }
}
