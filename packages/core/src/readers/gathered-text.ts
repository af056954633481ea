/** A paragraph's text while its pieces go by, with what they look like: evidence for headings that are not marked. */
import { sameLook, type Run } from '../content/index.ts';
import type { Look } from '../document/index.ts';
import { Spoken } from './spoken.ts';

type Writable<T> = { -readonly [K in keyof T]: T[K] };

export class GatheredText {
  readonly runs: Run[] = [];
  /** Text that the original does not show. */
  hidden = '';
  readonly spoken = new Spoken();
  #largest = 0;
  #bold = true;
  #caps = true;
  #mono = true;

  get empty(): boolean {
    return this.runs.length === 0;
  }

  get allMono(): boolean {
    return this.#mono;
  }

  /**
   * Adds text in `look`; neighbours of one look become one run, as word processors split runs at every edit.
   * @param size In points; 0 where it is not known.
   */
  append(text: string, look: Omit<Run, 'text'>, size: number, bold: boolean, caps: boolean, mono: boolean): void {
    if (text.trim() !== '') {
      if (size > this.#largest) this.#largest = size;
      if (!bold) this.#bold = false;
      if (this.#caps && !caps && text !== text.toUpperCase()) this.#caps = false;
      if (!mono) this.#mono = false;
    }
    const last = this.runs.at(-1) as Writable<Run> | undefined;
    if (last !== undefined && sameLook(last, look as Run)) last.text += text;
    else this.runs.push({ ...look, text });
  }

  /** @param size Of the style, where no piece named its own. */
  look(align: string | undefined, size: number | undefined, spaceBefore = 0): Look | undefined {
    const look: Writable<Look> = {};
    const points = this.#largest || size;
    if (points !== undefined && points > 0) look.size = points;
    if (this.#bold && !this.empty) look.bold = true;
    if (this.#caps && !this.empty) look.caps = true;
    if (align === 'center' || align === 'right') look.align = align;
    if (spaceBefore > 0) look.spaceBefore = spaceBefore;
    return Object.keys(look).length === 0 ? undefined : look;
  }
}
