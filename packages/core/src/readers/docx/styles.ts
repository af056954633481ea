/** Reads styles.xml and resolves inheritance (ECMA-376-1 §17.7). */
import { readXmlPart, type Attributes, type ZipReader } from '../../container/index.ts';
import type { Direction } from '../../document/index.ts';
import type { ByScript } from '../spoken.ts';
import { isMono } from '../mono-font.ts';
import { listDepthByName, styleUse, type StyleUse } from '../style-names.ts';

interface Raw {
  readonly id: string;
  name: string;
  basedOn?: string;
  outline?: number;
  numId?: string;
  ilvl?: number;
  size?: number;
  bold?: boolean;
  italic?: boolean;
  caps?: boolean;
  hidden?: boolean;
  position?: 'super' | 'sub';
  strike?: boolean;
  mono?: boolean;
  language?: ByScript;
  direction?: Direction;
}

/** A style with what it inherits. */
export interface Style {
  readonly name: string;
  /** By its own name or that of the nearest style it is based on. */
  readonly use: StyleUse | undefined;
  /** 0-based outline level; 9 is body text (§17.3.1.20). */
  readonly outline: number | undefined;
  readonly numId: string | undefined;
  readonly ilvl: number | undefined;
  readonly listDepth: number | undefined;
  readonly size: number | undefined /* points */;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly caps: boolean;
  readonly hidden: boolean;
  readonly strike: boolean;
  readonly mono: boolean;
  readonly position: 'super' | 'sub' | undefined;
  readonly language: ByScript | undefined;
  readonly direction: Direction | undefined;
}

/** Reads an on-off property (§22.9.2.7): present without a value means on. */
export const isOn = (a: Attributes): boolean => !['0', 'false', 'off'].includes(a['w:val'] ?? '1');

/** Languages by script (§17.3.2.20). */
export const languageBy = (a: Attributes): ByScript => ({
  ...(a['w:val'] === undefined ? {} : { latin: a['w:val'] }),
  ...(a['w:eastAsia'] === undefined ? {} : { asian: a['w:eastAsia'] }),
  ...(a['w:bidi'] === undefined ? {} : { complex: a['w:bidi'] }),
});

export class Styles {
  readonly #raw = new Map<string, Raw>();
  readonly #resolved = new Map<string, Style>();
  #default: string | undefined;
  #bodySize = 11;
  /** The language of the whole, and those of text in other scripts that says no other. */
  usual: string | undefined;
  language: ByScript = {};

  static read(zip: ZipReader, part: string | undefined): Styles {
    const styles = new Styles();
    if (part === undefined) return styles;
    let current: Raw | undefined;
    let inDefaults = false;
    readXmlPart(zip, part, {
      open(name, a) {
        switch (name) {
          case 'w:style':
            current = { id: a['w:styleId'] ?? '', name: '' };
            styles.#raw.set(current.id, current);
            if (a['w:type'] === 'paragraph' && isOn({ 'w:val': a['w:default'] ?? '0' })) styles.#default = current.id;
            break;
          case 'w:docDefaults':
            inDefaults = true;
            break;
          case 'w:sz':
            if (inDefaults) styles.#bodySize = Number(a['w:val']) / 2;
            else if (current) current.size = Number(a['w:val']) / 2;
            break;
          case 'w:lang':
            if (inDefaults) ({ latin: styles.usual, ...styles.language } = languageBy(a));
            else if (current) current.language = languageBy(a);
            break;
          default:
            if (current) property(current, name, a);
        }
      },
      close(name) {
        if (name === 'w:style') current = undefined;
        if (name === 'w:docDefaults') inDefaults = false;
      },
    });
    return styles;
  }

  /** The style of a paragraph or run, by id; the default paragraph style where there is none. */
  get(id: string | undefined): Style {
    const key = id ?? this.#default ?? '';
    let style = this.#resolved.get(key);
    if (style === undefined) {
      style = this.#resolve(key);
      this.#resolved.set(key, style);
    }
    return style;
  }

  #resolve(id: string): Style {
    const chain: Raw[] = [];
    for (let raw = this.#raw.get(id); raw !== undefined && !chain.includes(raw); raw = this.#raw.get(raw.basedOn ?? ''))
      chain.push(raw);
    const nearest = <K extends keyof Raw>(key: K): Raw[K] | undefined =>
      chain.find((raw) => raw[key] !== undefined)?.[key];
    let use: StyleUse | undefined;
    for (const raw of chain) use ??= styleUse(raw.name) ?? styleUse(raw.id);
    return {
      name: chain[0]?.name ?? id,
      use,
      outline: nearest('outline'),
      numId: nearest('numId'),
      ilvl: nearest('ilvl'),
      listDepth: chain[0] === undefined ? undefined : listDepthByName(chain[0].name),
      size: nearest('size') ?? this.#bodySize,
      bold: nearest('bold') ?? false,
      italic: nearest('italic') ?? false,
      caps: nearest('caps') ?? false,
      hidden: nearest('hidden') ?? false,
      strike: nearest('strike') ?? false,
      mono: nearest('mono') ?? false,
      position: nearest('position'),
      language: nearest('language'),
      direction: nearest('direction'),
    };
  }
}

function property(style: Raw, name: string, a: Attributes): void {
  const value = a['w:val'];
  switch (name) {
    case 'w:name':
      style.name = value ?? '';
      break;
    case 'w:basedOn':
      if (value !== undefined) style.basedOn = value;
      break;
    case 'w:outlineLvl':
      style.outline = Number(value);
      break;
    case 'w:numId':
      if (value !== undefined) style.numId = value;
      break;
    case 'w:ilvl':
      style.ilvl = Number(value);
      break;
    case 'w:bidi':
      style.direction = isOn(a) ? 'rtl' : 'ltr';
      break;
    case 'w:b':
      style.bold = isOn(a);
      break;
    case 'w:i':
      style.italic = isOn(a);
      break;
    case 'w:caps':
      style.caps = isOn(a);
      break;
    case 'w:vanish':
      style.hidden = isOn(a);
      break;
    case 'w:strike':
      style.strike = isOn(a);
      break;
    case 'w:rFonts':
      style.mono = isMono(a['w:ascii']);
      break;
    case 'w:vertAlign':
      if (value === 'superscript') style.position = 'super';
      if (value === 'subscript') style.position = 'sub';
      break;
  }
}
