/** Styles that a part makes as it is written (OASIS ODF 1.3 part 3, §16.2): what looks the same has one. */
import { element, type Attributes } from './xml.ts';

/** Families with what their names begin with; lists are styles of their own kind. */
const PREFIXES = {
  graphic: 'gr',
  presentation: 'pr',
  paragraph: 'P',
  text: 'T',
  'drawing-page': 'dp',
  table: 'ta',
  'table-column': 'co',
  'table-row': 'ro',
  'table-cell': 'ce',
  chart: 'ch',
} as const;
export type Family = keyof typeof PREFIXES;

export class StyleSheet {
  readonly #names = new Map<string, string>();
  readonly #counts = new Map<string, number>();
  readonly #prefix: string;
  #xml = '';

  /** @param prefix Before all names, where they must not meet those of another part. */
  constructor(prefix = '') {
    this.#prefix = prefix;
  }

  /** The name of a style with these properties. */
  style(family: Family, properties: string, more: Attributes = {}): string {
    return this.#named(PREFIXES[family], JSON.stringify([more, properties]), (name) =>
      element('style:style', { 'style:name': name, 'style:family': family, ...more }, properties),
    );
  }

  /** The name of a list style with these levels. */
  list(levels: string): string {
    return this.#named('L', levels, (name) => element('text:list-style', { 'style:name': name }, levels));
  }

  /** The name of a number style. @param parts Of it, as `NumberFormat` has them. */
  number(parts: string): string {
    return this.#named('N', parts, (name) => element('number:number-style', { 'style:name': name }, parts));
  }

  get xml(): string {
    return this.#xml;
  }

  #named(kind: string, key: string, write: (name: string) => string): string {
    const known = this.#names.get(kind + key);
    if (known !== undefined) return known;
    const count = (this.#counts.get(kind) ?? 0) + 1;
    this.#counts.set(kind, count);
    const name = `${this.#prefix}${kind}${count}`;
    this.#names.set(kind + key, name);
    this.#xml += write(name);
    return name;
  }
}
