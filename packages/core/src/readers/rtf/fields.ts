/** Fields that are open: their instructions, and the links that these say. */
import { safeLink } from '../../content/index.ts';

export class Fields {
  readonly #open: { readonly depth: number; instruction: string; link: string | undefined }[] = [];

  /** @param depth Of its group. */
  begin(depth: number): void {
    this.#open.push({ depth, instruction: '', link: undefined });
  }

  write(text: string): void {
    const field = this.#open.at(-1);
    if (field !== undefined) field.instruction += text;
  }

  /** The text that follows is what the field shows. */
  show(): void {
    const field = this.#open.at(-1);
    if (field !== undefined) field.link = linkOf(field.instruction);
  }

  endGroup(depth: number): void {
    if (this.#open.at(-1)?.depth === depth) this.#open.pop();
  }

  /** Where the text that is shown leads. */
  get link(): string | undefined {
    return this.#open.at(-1)?.link;
  }
}

function linkOf(instruction: string): string | undefined {
  const match = /HYPERLINK\s+(?:\\l\s+)?"([^"]+)"|HYPERLINK\s+(\S+)/i.exec(instruction);
  if (match === null) return undefined;
  const target = match[1] ?? match[2]!;
  return safeLink(/\\l/.test(instruction) ? `#${target}` : target);
}
