/** Paragraphs, runs and lists (OASIS ODF 1.3 part 3, §5 and §6). */
import {
  firstStrong,
  formatNumber,
  isWrittenAs,
  languageAmong,
  type LanguageTag,
  type NumberFormat,
} from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { runsText, type PictureId, type Run, type Runs } from '../../content/index.ts';
import type { PartId } from '../../ids/index.ts';
import {
  lineHeight,
  paraSetting,
  sidedAlign,
  sideOf,
  type Chart,
  type ItemMark,
  type Note,
  type Para,
  type SceneSlide,
  type SlideColors,
  type TextBox,
} from '../../scene/index.ts';
import type { Frame, Hex, Palette, Rect, Theme } from '../../theme/index.ts';
import type { StyleSheet } from './style-sheet.ts';
import { color, element, languageProperties, percent, points, type Attributes } from './xml.ts';

/** A picture's part in the package, and its size by its file, in points. */
export interface NamedPicture {
  readonly href: string;
  readonly size: readonly [width: number, height: number];
}

/** What a page is written with. */
export interface PageContext {
  readonly theme: Theme;
  readonly colors: SlideColors;
  readonly language: LanguageTag;
  readonly languages: SceneSlide['languages'];
  readonly styles: StyleSheet;
  /** Where a click on a part leads within the file. */
  readonly jump: (part: PartId) => string | undefined;
  /** Names of parts of the package; undefined for pictures whose bytes are not at hand. */
  readonly picture: (id: PictureId) => NamedPicture | undefined;
  readonly chart: (chart: Chart, size: Rect, colors: SlideColors) => string;
  /** A name that nothing else of the file has. */
  readonly newId: () => string;
  /** Under which name a paragraph is found, where it comes by itself when the deck is presented. */
  readonly stepId: (part: PartId) => string | undefined;
}

/** How text is set; what is inherited is not written again. */
export interface TextLook {
  readonly family: string;
  readonly size: number /* points */;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly caps: boolean;
  readonly color: Hex;
}

/** @param size Of the frame's first level, in points. */
export function lookOf(
  para: Pick<Para, 'style' | 'level'>,
  frame: Frame,
  theme: Theme,
  inks: Palette,
  size = frame.style.sizes[0]!,
): TextLook {
  const set = paraSetting(para, frame, theme);
  const { paint, font, bold, caps } = frame.style;
  return {
    family: set.mono ? theme.fonts.mono : theme.fonts[font],
    size: size * set.scale,
    bold: bold || set.bold === true,
    italic: set.italic,
    caps: caps === true,
    color: paint === undefined || set.color === 'muted' ? inks[set.color] : paint,
  };
}

/** @param known What it has without being told. */
export function textProperties(look: TextLook, known?: TextLook, language?: LanguageTag): string {
  const differs = (key: keyof TextLook): boolean => known === undefined || known[key] !== look[key];
  const attributes: Attributes = {
    ...(differs('caps') ? { 'fo:text-transform': look.caps ? 'uppercase' : 'none' } : {}),
    ...(differs('color') ? { 'fo:color': color(look.color) } : {}),
    ...(differs('family') ? { 'style:font-name': look.family } : {}),
    ...(differs('size') ? forAllScripts('fo:font-size', 'style:font-size', points(look.size)) : {}),
    ...(differs('italic') ? forAllScripts('fo:font-style', 'style:font-style', look.italic ? 'italic' : 'normal') : {}),
    ...(differs('bold') ? forAllScripts('fo:font-weight', 'style:font-weight', look.bold ? 'bold' : 'normal') : {}),
    ...(language === undefined ? {} : languageProperties(language)),
  };
  return Object.keys(attributes).length === 0 ? '' : element('style:text-properties', attributes);
}

/** A property that each of the three kinds of scripts has (§20.182 and on). */
const forAllScripts = (latin: string, other: string, value: string): Attributes => ({
  [latin]: value,
  [`${other}-asian`]: value,
  [`${other}-complex`]: value,
});

/** What stands before an item: its sign or number, and how far. Lengths in points. */
interface ItemWay {
  readonly level: number;
  /** Its list level, given how far it stands in. */
  readonly label: (places: string) => string;
  readonly indent: number;
  readonly hanging: number;
  /** The number that it has, where it is counted. */
  readonly value: number | undefined;
  /** What is written out before its text, as no receiver counts so. */
  readonly written: string;
}

/** One paragraph with what its file says of it. */
interface Written {
  readonly item: ItemWay | undefined;
  readonly xml: string;
}

/**
 * Text of a box.
 * @param known What paragraphs of a placeholder have from its style, by level; free text has nothing.
 */
export function textXml(box: TextBox, context: PageContext, known?: (para: Para) => TextLook): string {
  const { theme, colors, styles } = context;
  const { frame, paras, scale, spread } = box;
  const size = frame.style.sizes[0]! * scale;
  const written = paras.map((para, i): Written => {
    const set = paraSetting(para, frame, theme);
    const look = lookOf(para, frame, theme, colors.inks, size);
    const language = spokenIn(para, context);
    const own = language === context.language ? undefined : language;
    const before = i === 0 ? 0 : set.spaceBefore * spread * lineHeight(theme, frame, set) * look.size;
    const item =
      set.bullet === null || (para.style !== 'point' && set.bullet === '')
        ? undefined
        : itemWay(para, set, colors.inks[set.bulletColor]);
    const side = sideOf(para, theme);
    const properties = element('style:paragraph-properties', {
      'fo:margin-top': points(before),
      'fo:margin-bottom': '0pt',
      // Of an item, its list says how far it stands in.
      'fo:margin-left': item === undefined ? points(set.indent) : null,
      'fo:line-height': percent(frame.style.lineSpacing),
      'fo:text-align': sidedAlign(frame.align, side.fromRight, theme),
      'style:writing-mode': side.rtl || (side.fromRight && para.style === 'point') ? 'rl-tb' : 'lr-tb',
    });
    const name = styles.style('paragraph', properties + textProperties(look, known?.(para), own));
    const target = para.part === null ? undefined : context.jump(para.part);
    const runs = runsXml(para.runs, { ...context, language }, look, target);
    const id = para.part === null || para.repeated ? undefined : context.stepId(para.part);
    const text = element('text:p', { 'text:style-name': name, 'xml:id': id }, (item?.written ?? '') + runs);
    return { item, xml: text };
  });
  return nested(written, styles);
}

const spokenIn = ({ part, style }: Para, { language, languages }: PageContext): LanguageTag =>
  // Without a part it is the title, or a word of ours.
  (part === null && style !== 'title' ? undefined : languages.get(part)) ?? language;

/** Numbers that a receiver counts by itself (§20.260), by their sign. */
const COUNTED: readonly (readonly [sign: string, format: NumberFormat, most: number])[] = [
  ['1', 'decimal', 1_000_000],
  ['i', 'lower-roman', 3999],
  ['I', 'upper-roman', 3999],
  ['a', 'lower-letter', 26],
  ['A', 'upper-letter', 26],
];

function numberOf({ text, value }: ItemMark): Attributes | undefined {
  if (value === undefined || value < 1) return undefined;
  for (const [before, after] of AROUND)
    for (const [sign, format, most] of COUNTED)
      if (value <= most && text === `${before}${formatNumber(value, format)}${after}`)
        return {
          'style:num-prefix': before === '' ? null : before,
          'style:num-suffix': after === '' ? null : after,
          'style:num-format': sign,
        };
  return undefined;
}
const AROUND = [
  ['', '.'],
  ['', ')'],
  ['(', ')'],
  ['', ''],
] as const;

function itemWay(
  { level, mark }: Pick<Para, 'level' | 'mark'>,
  { bullet, indent, hanging }: { readonly bullet: string | null; readonly indent: number; readonly hanging: number },
  ink: Hex,
): ItemWay {
  const look = element('style:text-properties', { 'fo:color': color(ink) });
  const at = { level, indent, hanging, value: undefined, written: '' };
  const signed = (sign: string): ItemWay => ({
    ...at,
    label: (places) =>
      element('text:list-level-style-bullet', { 'text:level': level, 'text:bullet-char': sign }, places + look),
  });
  const numbered = (number: Attributes) => (places: string) =>
    element('text:list-level-style-number', { 'text:level': level, ...number }, places + look);
  // Without a sign it is a number that is not shown (§20.260).
  const bare = numbered({ 'style:num-format': '' });
  if (mark === undefined) return bullet === null || bullet === '' ? { ...at, label: bare } : signed(bullet);
  if (mark.text === '') return { ...at, label: bare };
  const counted = numberOf(mark);
  if (counted !== undefined) return { ...at, value: mark.value, label: numbered(counted) };
  if (mark.value === undefined && [...mark.text].length === 1) return signed(mark.text);
  return { ...at, label: bare, written: `${xmlText(mark.text)}<text:tab/>` };
}

function listStyle({ label, indent, hanging }: ItemWay, styles: StyleSheet): string {
  const places = element('style:list-level-properties', {
    'text:space-before': points(indent - hanging),
    'text:min-label-width': points(hanging),
  });
  return styles.list(label(places));
}

/** Items in lists within lists (§5.3), one list for what is counted or marked alike. */
function nested(written: readonly Written[], styles: StyleSheet): string {
  let xml = '';
  /** Lists that are open, from the outermost; undefined for one that is open only for those within it. */
  const open: ({ readonly style: string; next: number } | undefined)[] = [];
  const closeTo = (depth: number): void => {
    while (open.length > depth) {
      xml += '</text:list-item></text:list>';
      open.pop();
    }
  };
  for (const { item, xml: text } of written) {
    if (item === undefined) {
      closeTo(0);
      xml += text;
      continue;
    }
    const style = listStyle(item, styles);
    closeTo(item.level);
    const same = open.length === item.level && open.at(-1)?.style === style;
    if (open.length === item.level && !same) closeTo(item.level - 1);
    while (open.length < item.level - 1) {
      xml += '<text:list><text:list-item>';
      open.push(undefined);
    }
    if (same) xml += '</text:list-item>';
    else {
      xml += element('text:list', { 'text:style-name': style }, ' ').slice(0, -' </text:list>'.length);
      open.push({ style, next: 1 });
    }
    const list = open.at(-1)!;
    const start = item.value === undefined || item.value === list.next ? null : item.value;
    if (item.value !== undefined) list.next = item.value + 1;
    xml += `<text:list-item${start === null ? '' : ` text:start-value="${start}"`}>${text}`;
  }
  closeTo(0);
  return xml;
}

/** How far notes stand in for each level, in points. */
const NOTE_INDENT = 18;

/** What is said: paragraphs and lists. */
export function notesText(notes: readonly Note[], context: PageContext): string {
  const { styles, theme } = context;
  const ink = theme.dark ? theme.palette.ground : theme.palette.text;
  const written = notes.map((note): Written => {
    const { kind, depth, ordered, mark, runs, lang = context.language } = note;
    const rtl = (note.direction ?? firstStrong(runsText(runs))) === 'rtl';
    const properties = element('style:paragraph-properties', {
      'fo:margin-top': '6pt',
      'fo:text-align': rtl ? 'right' : 'left',
      'style:writing-mode': rtl ? 'rl-tb' : 'lr-tb',
    });
    const language = lang === context.language ? '' : element('style:text-properties', languageProperties(lang));
    const level = Math.min(Math.max(depth, 1), 5);
    const place = { bullet: mark?.text ?? '•', indent: level * NOTE_INDENT, hanging: NOTE_INDENT };
    // What an author wrote has no number of the original's: the receiver counts.
    const counted = { text: '1.', value: 1 };
    const item =
      kind === 'paragraph'
        ? undefined
        : mark === undefined && ordered
          ? { ...itemWay({ level, mark: counted }, place, ink), value: undefined }
          : itemWay({ level, ...(mark === undefined ? {} : { mark }) }, place, ink);
    const style = { 'text:style-name': styles.style('paragraph', properties + language) };
    const xml = element('text:p', style, (item?.written ?? '') + runsXml(runs, { ...context, language: lang }));
    return { item, xml };
  });
  return nested(written, styles);
}

/** Size and shift of superscripts and subscripts (§20.386). */
const POSITIONS = { super: '33% 66%', sub: '-15% 66%' } as const;

/**
 * Runs with their links.
 * @param context In the language of the paragraph. @param look Of the paragraph. @param jump Where a click on any of it leads.
 */
export function runsXml(
  runs: Runs,
  { theme, language, styles }: Pick<PageContext, 'theme' | 'language' | 'styles'>,
  look?: TextLook,
  jump?: string,
): string {
  const around = languageAmong(runsText(runs), language);
  return runs
    .map((run, i) => {
      const own = isWrittenAs(around, run.text) ? around : languageAmong(run.text, around);
      const properties = runProperties(run, theme, look, own === language ? undefined : own);
      const first = i === 0 || /\s$/.test(runs[i - 1]!.text);
      const written = words(run.text, first);
      const text = properties === '' ? written : spanXml(styles.style('text', properties), written);
      const target = run.link?.startsWith('#') === true ? jump : (run.link ?? jump);
      return target === undefined ? text : element('text:a', { 'xlink:type': 'simple', 'xlink:href': target }, text);
    })
    .join('');
}

const spanXml = (style: string, inner: string): string => element('text:span', { 'text:style-name': style }, inner);

function runProperties(run: Run, theme: Theme, look: TextLook | undefined, language: LanguageTag | undefined): string {
  const attributes: Attributes = {
    'style:font-name': run.code && look?.family !== theme.fonts.mono ? theme.fonts.mono : null,
    ...(run.italic && look?.italic !== true ? forAllScripts('fo:font-style', 'style:font-style', 'italic') : {}),
    ...(run.bold && look?.bold !== true ? forAllScripts('fo:font-weight', 'style:font-weight', 'bold') : {}),
    'style:text-line-through-style': run.strike ? 'solid' : null,
    'style:text-position': run.position === undefined ? null : POSITIONS[run.position],
    ...(language === undefined ? {} : languageProperties(language)),
  };
  return Object.values(attributes).every((value) => value === null) ? '' : element('style:text-properties', attributes);
}

/** Text with its spaces, tabs and breaks, which XML would fold (§6.1). @param first Whether a space would stand behind another, or first. */
const words = (text: string, first: boolean): string =>
  xmlText(text)
    .replace(/ +/g, (spaces, at: number) => {
      const kept = at === 0 && first ? 0 : 1;
      const more = spaces.length - kept;
      return ' '.repeat(kept) + (more === 0 ? '' : element('text:s', { 'text:c': more === 1 ? null : more }));
    })
    .replaceAll('\t', '<text:tab/>')
    .replaceAll('\n', '<text:line-break/>');
