/** The complex fields that are open at a place in the text (ECMA-376-1 §17.16.18): their codes are not text, their results are. */
import { safeLink } from '../../content/index.ts';

interface Field {
  instruction: string;
  phase: 'code' | 'result';
  link: string | undefined;
  contents: boolean;
}

export class Fields {
  readonly #open: Field[] = [];

  /** @param type `begin`, `separate` or `end`. */
  mark(type: string | undefined): void {
    if (type === 'begin') this.#open.push({ instruction: '', phase: 'code', link: undefined, contents: false });
    else if (type === 'end') this.#open.pop();
    else if (type === 'separate') {
      const field = this.#open.at(-1);
      if (field === undefined) return;
      field.phase = 'result';
      field.link = fieldLink(field.instruction);
      field.contents = /^\s*TOC\b/.test(field.instruction);
    }
  }

  instruct(text: string): void {
    const field = this.#open.at(-1);
    if (field) field.instruction += text;
  }

  get inCode(): boolean {
    return this.#open.length > 0 && this.#open.some((field) => field.phase === 'code');
  }

  get inContents(): boolean {
    return this.#open.length > 0 && this.#open.some((field) => field.contents);
  }

  get link(): string | undefined {
    return this.#open.at(-1)?.link;
  }
}

/** The target of a HYPERLINK instruction (§17.16.5.25). */
export function fieldLink(instruction: string): string | undefined {
  const match = /^\s*HYPERLINK\s+(?:"([^"]+)"|\\l\s+"([^"]+)")/.exec(instruction);
  if (match === null) return undefined;
  return safeLink(match[1] ?? `#${match[2]!}`);
}
