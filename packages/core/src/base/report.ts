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
  readonly #seen = new Set<string>();

  add(code: DiagnosticCode, place: SourcePlace, params: DiagnosticParams = {}): void {
    const key = `${code} ${JSON.stringify(params)} ${placeText(place)}`;
    if (this.#seen.has(key)) return;
    this.#seen.add(key);
    this.diagnostics.push({ code, params, place });
  }
}

/** `word/document.xml, paragraph 12`, `line 4`, or the empty string. */
export function placeText(place: SourcePlace): string {
  const parts: string[] = [];
  if (place.file !== undefined) parts.push(place.file);
  if (place.part !== undefined) parts.push(place.part);
  if (place.page !== undefined) parts.push(`page ${place.page}`);
  if (place.paragraph !== undefined) parts.push(`paragraph ${place.paragraph}`);
  if (place.line !== undefined) parts.push(`line ${place.line}`);
  return parts.join(', ');
}
