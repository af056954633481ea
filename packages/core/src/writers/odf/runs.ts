/** Runs of text (OASIS ODF 1.3 part 3, §6): their looks, languages and links. */
import { isWrittenAs, languageAmong, type LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { runsText, type Run, type Runs } from '../../content/index.ts';
import type { Hex } from '../../theme/index.ts';
import type { StyleSheet } from './style-sheet.ts';
import { color, element, languageProperties, points, type Attributes } from './xml.ts';

/** How text is set; what is inherited is not written again. */
export interface TextLook {
  readonly family: string;
  readonly size: number /* points */;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly caps: boolean;
  readonly color: Hex;
}

/** @param known What it has without being told. */
export function textProperties(look: TextLook, known?: TextLook, language?: LanguageTag): string {
  const differs = (key: keyof TextLook): boolean => known === undefined || known[key] !== look[key];
  const attributes: Attributes = {
    ...(differs('caps') ? { 'fo:text-transform': look.caps ? 'uppercase' : 'none' } : {}),
    ...(differs('color') ? { 'fo:color': color(look.color) } : {}),
    ...(differs('family') ? { 'style:font-name': look.family } : {}),
    ...(differs('size') ? fontSize(look.size) : {}),
    ...(differs('italic') ? fontStyle(look.italic) : {}),
    ...(differs('bold') ? fontWeight(look.bold) : {}),
    ...(language === undefined ? {} : languageProperties(language)),
  };
  return Object.keys(attributes).length === 0 ? '' : element('style:text-properties', attributes);
}

/** A size of type, in points. */
export const fontSize = (value: number): Attributes => forAllScripts('fo:font-size', 'style:font-size', points(value));
export const fontWeight = (bold: boolean): Attributes =>
  forAllScripts('fo:font-weight', 'style:font-weight', bold ? 'bold' : 'normal');
export const fontStyle = (italic: boolean): Attributes =>
  forAllScripts('fo:font-style', 'style:font-style', italic ? 'italic' : 'normal');

/** A property that each of the three kinds of scripts has (§20.182 and on). */
const forAllScripts = (latin: string, other: string, value: string): Attributes => ({
  [latin]: value,
  [`${other}-asian`]: value,
  [`${other}-complex`]: value,
});

export interface RunContext {
  /** The family of code. */
  readonly mono: string;
  readonly language: LanguageTag;
  readonly styles: StyleSheet;
  /** Where a link within the document leads in the file, where it does. */
  readonly goal?: (link: string) => string | undefined;
}

/** Size and shift of superscripts and subscripts (§20.386). */
const POSITIONS = { super: '33% 66%', sub: '-15% 66%' } as const;

/**
 * Runs with their links.
 * @param context In the language of the paragraph. @param look Of the paragraph. @param jump Where a click on any of it leads.
 */
export function runsXml(
  runs: Runs,
  { mono, language, styles, goal }: RunContext,
  look?: TextLook,
  jump?: string,
): string {
  const around = languageAmong(runsText(runs), language);
  return runs
    .map((run, i) => {
      const own = isWrittenAs(around, run.text) ? around : languageAmong(run.text, around);
      const properties = runProperties(run, mono, look, own === language ? undefined : own);
      const first = i === 0 || /\s$/.test(runs[i - 1]!.text);
      const written = words(run.text, first);
      const text = properties === '' ? written : spanXml(styles.style('text', properties), written);
      const target = (run.link?.startsWith('#') === true ? goal?.(run.link) : run.link) ?? jump;
      return target === undefined ? text : element('text:a', { 'xlink:type': 'simple', 'xlink:href': target }, text);
    })
    .join('');
}

const spanXml = (style: string, inner: string): string => element('text:span', { 'text:style-name': style }, inner);

function runProperties(run: Run, mono: string, look: TextLook | undefined, language: LanguageTag | undefined): string {
  const attributes: Attributes = {
    'style:font-name': run.code && look?.family !== mono ? mono : null,
    ...(run.italic && look?.italic !== true ? fontStyle(true) : {}),
    ...(run.bold && look?.bold !== true ? fontWeight(true) : {}),
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
