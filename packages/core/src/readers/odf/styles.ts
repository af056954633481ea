/** Reads the styles of an ODT, named and automatic, and resolves inheritance (OASIS ODF 1.3 part 3, §16). */
import { readXmlPart, type Attributes, type ZipReader } from '../../container/index.ts';
import type { Direction } from '../../document/index.ts';
import type { ByScript } from '../spoken.ts';
import { formatNumber, type NumberFormat } from '../../base/index.ts';
import { formatOfSign } from '../list-label.ts';
import { styleUse, type StyleUse } from '../style-names.ts';

interface Raw {
  readonly name: string;
  readonly displayName: string;
  readonly parent: string | undefined;
  outline?: number;
  list?: string;
  size?: string;
  bold?: boolean;
  italic?: boolean;
  caps?: boolean;
  strike?: boolean;
  hidden?: boolean;
  mono?: boolean;
  align?: string;
  position?: 'super' | 'sub';
  breakBefore?: boolean;
  language?: ByScript;
  direction?: Direction;
}

/** A style with what it inherits. */
export interface Style {
  readonly use: StyleUse | undefined;
  /** 1-based; 0 says body text (§19.480). */
  readonly outline: number | undefined;
  readonly list: string | undefined;
  readonly size: number | undefined /* points */;
  readonly bold: boolean | undefined;
  readonly italic: boolean | undefined;
  readonly caps: boolean;
  readonly strike: boolean;
  readonly hidden: boolean;
  readonly mono: boolean | undefined;
  readonly align: string | undefined;
  readonly position: 'super' | 'sub' | undefined;
  readonly breakBefore: boolean;
  readonly language: ByScript | undefined;
  readonly direction: Direction | undefined;
}

/** A level of a list style, or of the outline (§16.30, §16.34). */
interface ListLevel {
  readonly ordered: boolean;
  readonly start: number;
  readonly format: NumberFormat;
  readonly prefix: string;
  readonly suffix: string;
  /** How many levels its numbers have. */
  readonly shown: number;
}
const PLAIN_LEVEL: ListLevel = { ordered: false, start: 1, format: 'decimal', prefix: '', suffix: '', shown: 1 };

/** Under which the numbers of headings stand; no list style can have an empty name with a space. */
export const OUTLINE = ' outline';

/** §20.404; the other values follow the page or run from top to bottom. */
const WRITING_MODES: Readonly<Record<string, Direction>> = { 'lr-tb': 'ltr', lr: 'ltr', 'rl-tb': 'rtl', rl: 'rtl' };

/** Languages by script (§20.202, §20.188 and their like). */
function languageBy(a: Attributes): ByScript {
  const found: { -readonly [K in keyof ByScript]: string } = {};
  for (const [script, prefix, suffix] of [
    ['latin', 'fo', ''],
    ['asian', 'style', '-asian'],
    ['complex', 'style', '-complex'],
  ] as const) {
    const language = a[`${prefix}:language${suffix}`];
    if (language === undefined || language === '') continue;
    const country = a[`${prefix}:country${suffix}`] ?? 'none';
    found[script] = country === 'none' || country === '' ? language : `${language}-${country}`;
  }
  return found;
}

/** §19.480; the last three are those of presentations. */
export type StyleFamily = 'paragraph' | 'text' | 'presentation' | 'graphic' | 'drawing-page';

const INHERITED_DEPTH = 20;

export class Styles {
  readonly #raw = new Map<string, Raw>();
  readonly #resolved = new Map<string, Style>();
  readonly #lists = new Map<string, Map<number, ListLevel>>();
  /** The language of the whole, and those of text in other scripts that says no other. */
  usual: string | undefined;
  language: ByScript = {};

  /** Reads the styles that a part declares; parts read later win, as content does over styles. */
  read(zip: ZipReader, part: string): void {
    if (!zip.has(part)) return;
    const handler = this.handler();
    readXmlPart(zip, part, handler);
  }

  handler(): { open: (name: string, a: Attributes) => void; close: (name: string) => void } {
    let raw: Raw | undefined;
    let inDefault = false;
    let list: Map<number, ListLevel> | undefined;
    return {
      open: (name, a) => {
        switch (name) {
          case 'style:style': {
            const id = key(a['style:family'], a['style:name']);
            raw = {
              name: a['style:name'] ?? '',
              displayName: a['style:display-name'] ?? (a['style:name'] ?? '').replaceAll('_20_', ' '),
              parent: a['style:parent-style-name'],
            };
            if (a['style:default-outline-level'] !== undefined)
              raw.outline = Number(a['style:default-outline-level']) || 0;
            if (a['style:list-style-name']) raw.list = a['style:list-style-name'];
            this.#raw.set(id, raw);
            break;
          }
          case 'style:default-style':
            inDefault = a['style:family'] === 'paragraph';
            break;
          case 'style:text-properties':
            if (raw !== undefined) readText(raw, a);
            else if (inDefault) ({ latin: this.usual, ...this.language } = languageBy(a));
            break;
          case 'style:drawing-page-properties':
            if (raw !== undefined && a['presentation:visibility'] === 'hidden') raw.hidden = true;
            break;
          case 'style:paragraph-properties':
            if (raw === undefined) break;
            if (a['fo:text-align'] !== undefined) raw.align = a['fo:text-align'];
            if (WRITING_MODES[a['style:writing-mode'] ?? ''] !== undefined)
              raw.direction = WRITING_MODES[a['style:writing-mode']!]!;
            if (a['fo:break-before'] === 'page') raw.breakBefore = true;
            break;
          case 'text:list-style':
            list = new Map();
            this.#lists.set(a['style:name'] ?? '', list);
            break;
          case 'text:outline-style':
            list = new Map();
            this.#lists.set(OUTLINE, list);
            break;
          case 'text:list-level-style-number':
          case 'text:outline-level-style':
            // A number without a format is not shown (§19.502).
            list?.set(Number(a['text:level']), {
              ordered: (a['style:num-format'] ?? '') !== '',
              start: Number(a['text:start-value'] ?? 1) || 1,
              format: formatOfSign(a['style:num-format']),
              prefix: a['style:num-prefix'] ?? '',
              suffix: a['style:num-suffix'] ?? '',
              shown: Number(a['text:display-levels'] ?? 1) || 1,
            });
            break;
          case 'text:list-level-style-bullet':
            list?.set(Number(a['text:level']), PLAIN_LEVEL);
            break;
        }
      },
      close: (name) => {
        if (name === 'style:style') raw = undefined;
        if (name === 'style:default-style') inDefault = false;
        if (name === 'text:list-style' || name === 'text:outline-style') list = undefined;
      },
    };
  }

  list(name: string | undefined, level: number): ListLevel {
    return this.#lists.get(name ?? '')?.get(level) ?? PLAIN_LEVEL;
  }

  /** What stands before an item or a heading. @param counts The number at each level, outermost first, its own last. */
  label(name: string | undefined, counts: readonly number[]): string {
    const own = this.list(name, counts.length);
    const from = Math.max(0, counts.length - own.shown);
    const numbers = counts.slice(from).flatMap((count, i) => {
      const { ordered, format } = this.list(name, from + i + 1);
      return ordered ? [formatNumber(count, format)] : [];
    });
    return own.ordered ? `${own.prefix}${numbers.join('.')}${own.suffix}`.trim() : '';
  }

  get(family: StyleFamily, name: string | undefined): Style {
    const id = key(family, name);
    let style = this.#resolved.get(id);
    if (style === undefined) this.#resolved.set(id, (style = this.#resolve(family, name)));
    return style;
  }

  #resolve(family: string, name: string | undefined): Style {
    const chain: Raw[] = [];
    for (let next = this.#raw.get(key(family, name)); next && chain.length < INHERITED_DEPTH;) {
      chain.push(next);
      next = next.parent === undefined ? undefined : this.#raw.get(key(family, next.parent));
    }
    const first = <K extends keyof Raw>(field: K): Raw[K] | undefined =>
      chain.find((raw) => raw[field] !== undefined)?.[field];
    let use: StyleUse | undefined;
    for (const raw of chain) use ??= styleUse(raw.displayName);
    // Names of styles that the file refers to without declaring still say what they are for.
    if (chain.length === 0 && name !== undefined) use = styleUse(name.replaceAll('_20_', ' '));
    return {
      use,
      outline: first('outline'),
      list: first('list'),
      size: sizeOf(chain),
      bold: first('bold'),
      italic: first('italic'),
      caps: first('caps') ?? false,
      strike: first('strike') ?? false,
      hidden: first('hidden') ?? false,
      mono: first('mono'),
      align: first('align'),
      position: first('position'),
      breakBefore: chain[0]?.breakBefore ?? false,
      language: first('language'),
      direction: first('direction'),
    };
  }
}

const key = (family: string | undefined, name: string | undefined): string => `${family ?? ''} ${name ?? ''}`;

function readText(raw: Raw, a: Attributes): void {
  if (a['fo:font-size'] !== undefined) raw.size = a['fo:font-size'];
  const weight = a['fo:font-weight'];
  if (weight !== undefined) raw.bold = weight === 'bold' || Number(weight) >= 600;
  if (a['fo:font-style'] !== undefined) raw.italic = a['fo:font-style'] !== 'normal';
  if (a['fo:text-transform'] !== undefined) raw.caps = a['fo:text-transform'] === 'uppercase';
  if (a['style:text-line-through-style'] !== undefined) raw.strike = a['style:text-line-through-style'] !== 'none';
  const language = languageBy(a);
  if (Object.keys(language).length > 0) raw.language = language;
  if (a['text:display'] !== undefined) raw.hidden = a['text:display'] === 'none';
  const font = a['style:font-name'] ?? a['fo:font-family'];
  if (font !== undefined) raw.mono = /mono|courier|consolas|typewriter/i.test(font);
  const position = a['style:text-position'];
  if (position !== undefined)
    if (/^super|^[1-9]/.test(position)) raw.position = 'super';
    else if (/^sub|^-[1-9]/.test(position)) raw.position = 'sub';
}

/** A size may be a share of the parent's (§20.196). */
function sizeOf(chain: readonly Raw[]): number | undefined {
  let share = 1;
  for (const { size } of chain) {
    if (size === undefined) continue;
    const value = parseFloat(size);
    if (size.endsWith('%')) share *= value / 100;
    else return Number.isFinite(value) ? value * share : undefined;
  }
  return undefined;
}
