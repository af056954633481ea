/** What a reader could not keep, with its place and its reason. */
import type { DiagnosticCode, DiagnosticParams } from './diagnostic-text.ts';

/** Where in the original something stands: a part of the file and a count in it, or a line of text. */
export interface SourcePlace {
  /** Name of the file, where a document was made of several. */
  readonly file?: string;
  /** Part of a package (`word/document.xml`), absent for plain formats. */
  readonly part?: string;
  /** 1-based line of a text format. */
  readonly line?: number;
  /** 1-based page, where the format has pages. */
  readonly page?: number;
  /** 1-based paragraph of the part, in document order. */
  readonly paragraph?: number;
}

export interface Diagnostic {
  readonly code: DiagnosticCode;
  readonly params: DiagnosticParams;
  readonly place: SourcePlace;
}

/** Collects diagnostics; the same code at the same place is kept once. */
export class Report {
  readonly diagnostics: Diagnostic[] = [];
  /** All text of the document that stands in no block: marks that are kept, and what was told of, at full length. */
  readonly told: string[] = [];
  readonly #seen = new Set<string>();

  /** What a block shows in its own way: the bullet or the number of a line that became an item. */
  mark(text: string): void {
    this.told.push(text);
  }

  /** `params.text` is what the document says where it stands, whole: it is shortened here. */
  add(code: DiagnosticCode, place: SourcePlace, { text, ...rest }: DiagnosticParams = {}): void {
    if (text !== undefined) this.told.push(String(text));
    const params = text === undefined ? rest : { ...rest, text: shortened(String(text)) };
    const key = `${code} ${JSON.stringify(params)} ${placeText(place)}`;
    if (this.#seen.has(key)) return;
    this.#seen.add(key);
    this.diagnostics.push({ code, params, place });
  }
}

const LONGEST_TEXT = 100; // characters

function shortened(text: string): string {
  const one = text.replace(/\s+/g, ' ').trim();
  return one.length <= LONGEST_TEXT ? one : `${one.slice(0, LONGEST_TEXT - 1).trimEnd()}…`;
}

const placeWord = (text: string, { n }: { readonly n: number }): string => text.replace('{n}', String(n));

/** `word/document.xml, paragraph 12`, `line 4`, or the empty string. @param word Gives `line {n}` in another language. */
export function placeText(place: SourcePlace, word = placeWord): string {
  const parts: string[] = [];
  if (place.file !== undefined) parts.push(place.file);
  if (place.part !== undefined) parts.push(place.part);
  if (place.page !== undefined) parts.push(word('page {n}', { n: place.page }));
  if (place.paragraph !== undefined) parts.push(word('paragraph {n}', { n: place.paragraph }));
  if (place.line !== undefined) parts.push(word('line {n}', { n: place.line }));
  return parts.join(', ');
}
