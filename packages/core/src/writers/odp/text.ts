/** Paragraphs of slides and notes (OASIS ODF 1.3 part 3, §5). */
import { firstStrong, type LanguageTag } from '../../base/index.ts';
import { runsText, type PictureId } from '../../content/index.ts';
import type { PartId } from '../../ids/index.ts';
import {
  lineHeight,
  paraSetting,
  sidedAlign,
  sideOf,
  type ChartBox,
  type Note,
  type Para,
  type SceneSlide,
  type SlideColors,
  type TextBox,
} from '../../scene/index.ts';
import { notesType, type Frame, type Palette, type Theme } from '../../theme/index.ts';
import { itemWay, nested, type Written } from '../odf/lists.ts';
import { runsXml, textProperties, type TextLook } from '../odf/runs.ts';
import type { NamedPicture } from '../odf/package.ts';
import type { StyleSheet } from '../odf/style-sheet.ts';
import { element, languageProperties, percent, points } from '../odf/xml.ts';

/** What a page is written with. */
export interface PageContext {
  readonly theme: Theme;
  readonly colors: SlideColors;
  readonly language: LanguageTag;
  readonly languages: SceneSlide['languages'];
  readonly styles: StyleSheet;
  /** Where a link within the document leads in the file. */
  readonly goal: (link: string) => string | undefined;
  /** Where a click on a part leads within the file. */
  readonly jump: (part: PartId) => string | undefined;
  /** Names of parts of the package; undefined for pictures whose bytes are not at hand. */
  readonly picture: (id: PictureId) => NamedPicture | undefined;
  /** Makes a document of a chart, and a picture of it. */
  readonly chart: (box: ChartBox, colors: SlideColors) => { readonly object: string; readonly picture: string };
  /** A name that nothing else of the file has. */
  readonly newId: () => string;
  /** Under which name a paragraph is found, where it comes by itself when the deck is presented. */
  readonly stepId: (part: PartId) => string | undefined;
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
    const runs = runsXml(para.runs, { mono: theme.fonts.mono, language, styles, goal: context.goal }, look, target);
    const id = para.part === null || para.repeated ? undefined : context.stepId(para.part);
    const text = element('text:p', { 'text:style-name': name, 'xml:id': id }, (item?.written ?? '') + runs);
    return { item, xml: text };
  });
  return nested(written, styles);
}

const spokenIn = ({ part, style }: Para, { language, languages }: PageContext): LanguageTag =>
  // Without a part it is the title, or a word of ours.
  (part === null && style !== 'title' ? undefined : languages.get(part)) ?? language;

/** How far notes stand in for each level, in points. */
const NOTE_INDENT = 18;

/** What is said: paragraphs and lists. */
export function notesText(notes: readonly Note[], context: PageContext): string {
  const { styles, theme } = context;
  const { space } = notesType(theme);
  const ink = theme.dark ? theme.palette.ground : theme.palette.text;
  const written = notes.map((note): Written => {
    const { kind, depth, ordered, mark, runs, lang = context.language } = note;
    const rtl = (note.direction ?? firstStrong(runsText(runs))) === 'rtl';
    const properties = element('style:paragraph-properties', {
      'fo:margin-top': points(space),
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
    const xml = element(
      'text:p',
      style,
      (item?.written ?? '') + runsXml(runs, { mono: theme.fonts.mono, language: lang, styles }),
    );
    return { item, xml };
  });
  return nested(written, styles);
}
