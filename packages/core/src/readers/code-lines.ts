/** Joins lines of code that the original keeps as paragraphs of their own, as word processors do; empty ones between them are blank lines. */
import type { Draft } from './read-result.ts';

/** Blank lines within code; behind more of them other code begins. */
const MOST_BLANK = 3;

export class CodeLines {
  readonly #out: (draft: Draft) => void;
  #lines: (Draft & { kind: 'code' }) | undefined;
  /** Number of the paragraph that was joined last. */
  #last = 0;
  #isBroken = false;

  constructor(out: (draft: Draft) => void) {
    this.#out = out;
  }

  add(draft: Draft): void {
    if (draft.kind === 'code') {
      const { paragraph = this.#last + 1 } = draft.place;
      const steps = paragraph - this.#last;
      this.#last = paragraph;
      // Code that is broken into lines within its paragraph is whole.
      const isWhole = steps > 1 && (draft.text.includes('\n') || this.#isBroken);
      this.#isBroken = draft.text.includes('\n');
      if (this.#lines !== undefined && steps <= MOST_BLANK + 1 && !isWhole) {
        const text = this.#lines.text + '\n'.repeat(Math.max(1, steps)) + draft.text;
        this.#lines = { ...this.#lines, text };
        return;
      }
      this.flush();
      this.#lines = draft;
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
