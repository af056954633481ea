/** Joins lines of code that the original keeps as paragraphs of their own, as word processors do. */
import type { Draft } from './read-result.ts';

export class CodeLines {
  readonly #out: (draft: Draft) => void;
  #lines: (Draft & { kind: 'code' }) | undefined;

  constructor(out: (draft: Draft) => void) {
    this.#out = out;
  }

  add(draft: Draft): void {
    if (draft.kind === 'code') {
      this.#lines = this.#lines ? { ...this.#lines, text: `${this.#lines.text}\n${draft.text}` } : draft;
      return;
    }
    this.flush();
    this.#out(draft);
  }

  /** To be called at the end. */
  flush(): void {
    if (this.#lines) this.#out(this.#lines);
    this.#lines = undefined;
  }
}
