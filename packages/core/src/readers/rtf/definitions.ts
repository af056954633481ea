/** The tables at the head of an RTF file: fonts, styles and lists. */
import type { Level } from '../../document/index.ts';
import { styleUse, type StyleUse } from '../style-names.ts';
import { CHARSETS, CODE_PAGES } from './charsets.ts';

export interface RtfStyle {
  name: string;
  /** The style that it changes. */
  base: number | undefined;
  outline: number | undefined;
  size: number | undefined /* points */;
  bold: boolean;
}
interface Font {
  encoding: string | undefined;
  mono: boolean;
}

const NO_STYLE = 222;
const MOST_BASES = 20;
const outlineUse = (outline: number | undefined): StyleUse | undefined =>
  outline !== undefined && outline >= 0 && outline < 6 ? ((outline + 1) as Level) : undefined;

const emptyStyle = (): RtfStyle => ({ name: '', base: undefined, outline: undefined, size: undefined, bold: false });

export class Definitions {
  #encoding = 'windows-1252';
  readonly #fonts = new Map<number, Font>();
  #font = 0;
  readonly #styles = new Map<number, RtfStyle>();
  #style: { id: number; entry: RtfStyle } | undefined;
  /** Whether each level is numbered, by list id; then list ids by the number that paragraphs use. */
  readonly #lists = new Map<number, boolean[]>();
  readonly #overrides = new Map<number, number>();
  #levels: boolean[] = [];
  #listId = 0;

  /** The encoding of the whole file. @returns Whether the word names one. */
  encodingWord(name: string, value: number | undefined): boolean {
    if (name === 'ansicpg') this.#encoding = CODE_PAGES[value ?? 0] ?? `windows-${value ?? 1252}`;
    if (name === 'mac') this.#encoding = 'macintosh';
    return name === 'ansicpg' || name === 'mac';
  }

  fontWord(name: string, value: number | undefined): void {
    if (name === 'f') {
      this.#font = value ?? 0;
      this.#fonts.set(this.#font, { encoding: undefined, mono: false });
    } else if (name === 'fcharset') this.#openFont().encoding = CHARSETS[value ?? 0];
    else if (name === 'fmodern') this.#openFont().mono = true;
  }

  fontName(text: string): void {
    if (/mono|courier|consolas|typewriter/i.test(text)) this.#openFont().mono = true;
  }

  styleWord(name: string, value: number | undefined): void {
    if (name === 's' || name === 'cs' || name === 'ds') {
      this.#style = { id: name === 's' ? (value ?? 0) : -1, entry: emptyStyle() };
      return;
    }
    const { entry } = (this.#style ??= { id: 0, entry: emptyStyle() });
    if (name === 'sbasedon' && value !== NO_STYLE) entry.base = value;
    if (name === 'outlinelevel') entry.outline = value;
    if (name === 'fs') entry.size = (value ?? 24) / 2;
    if (name === 'b') entry.bold = value !== 0;
  }

  styleName(text: string): void {
    (this.#style ??= { id: 0, entry: emptyStyle() }).entry.name += text;
    if (text.includes(';')) this.endStyle();
  }

  endStyle(): void {
    if (this.#style === undefined) return;
    const { id, entry } = this.#style;
    if (id >= 0) this.#styles.set(id, { ...entry, name: entry.name.replace(/;\s*$/, '').trim() });
    this.#style = undefined;
  }

  listWord(name: string, value: number | undefined): void {
    if (name === 'list' || name === 'listoverride') this.#levels = [];
    // Both say the kind of number; 23 is a bullet, 255 none. The newer one stands behind and wins.
    if (name === 'levelnfcn') this.#levels.pop();
    if (name === 'levelnfc' || name === 'levelnfcn') this.#levels.push(value !== 23 && value !== 255);
    if (name === 'listid') {
      this.#listId = value ?? 0;
      if (this.#levels.length > 0) this.#lists.set(this.#listId, this.#levels);
    }
    if (name === 'ls') this.#overrides.set(value ?? 0, this.#listId);
  }

  encodingOf(font: number): string {
    return this.#fonts.get(font)?.encoding ?? this.#encoding;
  }

  isMono(font: number): boolean {
    return this.#fonts.get(font)?.mono ?? false;
  }

  style(id: number): RtfStyle | undefined {
    return this.#styles.get(id);
  }

  /** What a style is for: by its own name, else by that of the nearest it is based on. */
  useOf(id: number): StyleUse | undefined {
    let next: number | undefined = id;
    for (let i = 0; i < MOST_BASES && next !== undefined; i++) {
      const style: RtfStyle | undefined = this.#styles.get(next);
      const use = style === undefined ? undefined : (styleUse(style.name) ?? outlineUse(style.outline));
      if (use !== undefined) return use;
      next = style?.base;
    }
    return undefined;
  }

  /** @param depth 1-based. */
  isOrdered(list: number, depth: number): boolean {
    return this.#lists.get(this.#overrides.get(list) ?? 0)?.[depth - 1] ?? false;
  }

  #openFont(): Font {
    let font = this.#fonts.get(this.#font);
    if (font === undefined) this.#fonts.set(this.#font, (font = { encoding: undefined, mono: false }));
    return font;
  }
}
