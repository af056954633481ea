/** How long to wait before something that failed is tried again: twice as long each time, and not all windows at once. */

const FIRST_MS = 1000;
const LONGEST_MS = 60_000;

export class Backoff {
  #next = FIRST_MS;

  /** Milliseconds to wait now. */
  wait(): number {
    const ms = this.#next * (0.5 + Math.random() / 2);
    this.#next = Math.min(this.#next * 2, LONGEST_MS);
    return ms;
  }

  /** It went well. */
  reset(): void {
    this.#next = FIRST_MS;
  }
}
