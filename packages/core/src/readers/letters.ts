/** Counts letters and digits, whatever words they stand in: splitting, joining and hyphens change nothing. */

const IS_LETTER = /[\p{L}\p{N}]/u;
const UNITS = 0x10000;

/** By UTF-16 unit: 1 for letters and digits; both halves of a character beyond the first plane count. */
let kinds: Uint8Array | undefined;

function unitKinds(): Uint8Array {
  const made = new Uint8Array(UNITS);
  for (let unit = 0; unit < UNITS; unit++)
    made[unit] = (unit >= 0xd800 && unit < 0xe000) || IS_LETTER.test(String.fromCharCode(unit)) ? 1 : 0;
  return made;
}

export class Letters {
  readonly #counts = new Int32Array(UNITS);

  add(text: string, by = 1): void {
    kinds ??= unitKinds();
    for (let i = 0; i < text.length; i++) {
      const unit = text.charCodeAt(i);
      if (kinds[unit] === 1) this.#counts[unit]! += by;
    }
  }

  /** How many stand here more often than never: what was added and not taken away. */
  get left(): number {
    let sum = 0;
    for (const count of this.#counts) if (count > 0) sum += count;
    return sum;
  }
}
