/** The styles part (OASIS ODF 1.3 part 3, §3.4): a master page for each layout, with all that slides inherit. */
import { EMU_PER_POINT, type LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { colorsOf } from '../../scene/index.ts';
import { isFoot, type Frame, type Layout, type Theme } from '../../theme/index.ts';
import { textProperties } from '../odf/runs.ts';
import { StyleSheet } from '../odf/style-sheet.ts';
import { element, imageXml, NS, place, points, VERSION, XML, type Attributes } from '../odf/xml.ts';
import { fileWords } from '../slides/words.ts';
import { BEHIND, backdropXml, type MasterContext } from './backdrop.ts';
import { arrowMarker, filled, graphicStyle, LAYER, shapeXml, stroked, textPlace } from './graphic.ts';
import {
  classOf,
  defaults,
  fontFaces,
  layoutStyles,
  placeholderStyle,
  placesOf,
  type FontPart,
} from './master-styles.ts';
import type { Master } from './masters.ts';
import { lookOf, type PageContext } from './text.ts';

/** The page of notes, upright, in points. */
const NOTES_PAGE = { width: 540, height: 720 } as const;
const NOTES_IMAGE = { 'svg:x': '54pt', 'svg:y': '54pt', 'svg:width': '432pt', 'svg:height': '243pt' } as const;
const NOTES_TEXT = { 'svg:x': '54pt', 'svg:y': '324pt', 'svg:width': '432pt', 'svg:height': '342pt' } as const;

/** @param language Of the deck. @param picture Names of parts of the package. @param fonts That go along. */
export function stylesPart(
  theme: Theme,
  masters: readonly Master[],
  language: LanguageTag,
  picture: PageContext['picture'],
  fonts: readonly FontPart[],
): string {
  const styles = new StyleSheet('M');
  const gradients: string[] = [];
  const pages = masters.map((master) => masterPage(master, { theme, language, styles, picture, gradients }));
  const { width, height } = theme.size;
  const pageLayout = (name: string, wide: number, high: number): string =>
    element(
      'style:page-layout',
      { 'style:name': name },
      element('style:page-layout-properties', {
        'fo:margin': '0pt',
        'fo:page-width': points(wide),
        'fo:page-height': points(high),
        'style:print-orientation': wide > high ? 'landscape' : 'portrait',
      }),
    );
  const named = defaults(theme, language) + masters.map((master) => layoutStyles(master, theme)).join('');
  const layers = ['layout', 'background', 'backgroundobjects', 'controls', 'measurelines'];
  const layerSet = layers.map((name) => element('draw:layer', { 'draw:name': name })).join('');
  const automatic =
    pageLayout('page', width / EMU_PER_POINT, height / EMU_PER_POINT) +
    pageLayout('notes', NOTES_PAGE.width, NOTES_PAGE.height) +
    styles.xml;
  return `${XML}<office:document-styles ${NS} office:version="${VERSION}">${fontFaces(theme, fonts)}<office:styles>${arrowMarker}${gradients.join('')}${named}${theme.layouts.map(placesOf).join('')}</office:styles><office:automatic-styles>${automatic}</office:automatic-styles><office:master-styles><draw:layer-set>${layerSet}</draw:layer-set>${pages.join('')}</office:master-styles></office:document-styles>`;
}

const FOOT_CLASSES = { footer: 'footer', date: 'date-time', number: 'page-number' } as const;
const FOOT_FIELDS = {
  footer: '<presentation:footer/>',
  date: '<presentation:date-time/>',
  number: '<text:page-number>&lt;#&gt;</text:page-number>',
} as const;

function masterPage(master: Master, context: MasterContext): string {
  const { styles, language } = context;
  const { layout } = master;
  const { palette, inks, ground } = colorsOf(master, context.theme);
  const ours = fileWords(language);
  const drawn = [
    ...layout.marks.map((mark) => markXml(mark, palette, context)),
    ...(layout.pictures ?? []).map((logo) => logoXml(logo, context)),
    ...layout.frames.map((frame) => frameXml(frame, master, inks, context)),
  ];
  const page = styles.style('drawing-page', element('style:drawing-page-properties', groundOf(ground)));
  return element(
    'style:master-page',
    {
      'style:name': master.name,
      'style:display-name': master.label,
      'style:page-layout-name': 'page',
      'draw:style-name': page,
    },
    [
      ...(layout.backdrop ?? []).map((item) => backdropXml(item, context)),
      ...drawn,
      element(
        'presentation:notes',
        { 'style:page-layout-name': 'notes', 'draw:style-name': notesPage(styles) },
        notesFrames(master, null, `<draw:text-box>${element('text:p', {}, xmlText(ours.notes))}</draw:text-box>`),
      ),
    ].join(''),
  );
}

type Colors = ReturnType<typeof colorsOf>;

function markXml(mark: Layout['marks'][number], palette: Colors['palette'], context: MasterContext): string {
  const hex = palette[mark.color];
  const paint =
    mark.outline === undefined
      ? { ...filled(hex), ...stroked(null) }
      : { ...filled(null), ...stroked({ hex, width: mark.outline }) };
  return shapeXml({ ...mark, geometry: mark.shape ?? 'rect', rect: mark }, graphicStyle(context, paint), BEHIND);
}

function logoXml(logo: NonNullable<Layout['pictures']>[number], context: MasterContext): string {
  const named = context.picture(logo.picture);
  const attributes = {
    'draw:style-name': graphicStyle(context, { ...filled(null), ...stroked(null) }),
    ...BEHIND,
    ...place(logo),
  };
  return named === undefined
    ? ''
    : element(
        'draw:frame',
        attributes,
        imageXml(named.href) + (logo.alt === '' ? '' : element('svg:desc', {}, xmlText(logo.alt))),
      );
}

function frameXml(frame: Frame, master: Master, inks: Colors['inks'], { theme, styles }: MasterContext): string {
  const kind = classOf(frame);
  if (kind !== undefined)
    return element(
      'draw:frame',
      {
        'presentation:style-name': placeholderStyle(master, kind === 'outline' ? 'outline1' : kind),
        ...BEHIND,
        ...place(frame),
        'presentation:class': kind,
        'presentation:placeholder': 'true',
      },
      '<draw:text-box/>',
    );
  const { role } = frame;
  if (!isFoot(role)) return '';
  const look = lookOf({ style: 'plain', level: 1 }, frame, theme, inks);
  const shape = styles.style(
    'presentation',
    element('style:graphic-properties', { ...filled(null), ...stroked(null), ...textPlace(frame.anchor) }),
    { 'style:parent-style-name': placeholderStyle(master, 'backgroundobjects') },
  );
  const text = styles.style(
    'paragraph',
    element('style:paragraph-properties', { 'fo:text-align': frame.align }) + textProperties(look),
  );
  return element(
    'draw:frame',
    { 'presentation:style-name': shape, ...BEHIND, ...place(frame), 'presentation:class': FOOT_CLASSES[role] },
    element('draw:text-box', {}, element('text:p', { 'text:style-name': text }, FOOT_FIELDS[role])),
  );
}

/** The ground of a page (§17.25). */
export const groundOf = (hex: string): Attributes => ({
  'presentation:background-visible': 'true',
  'presentation:background-objects-visible': 'true',
  ...filled(hex),
});
/** White, whatever the slides are. */
export const notesPage = (styles: StyleSheet): string =>
  styles.style('drawing-page', element('style:drawing-page-properties', filled('FFFFFF')));

/** The slide, and the place for its notes, on a page of notes. @param slide Its number; null on a master page. */
export function notesFrames(master: Master, slide: number | null, textBox: string): string {
  const layer = slide === null ? BEHIND : LAYER;
  return (
    element('draw:page-thumbnail', {
      ...layer,
      ...NOTES_IMAGE,
      'draw:page-number': slide,
      'presentation:class': 'page',
    }) +
    element(
      'draw:frame',
      {
        'presentation:style-name': placeholderStyle(master, 'notes'),
        ...layer,
        ...NOTES_TEXT,
        'presentation:class': 'notes',
        'presentation:placeholder': slide === null ? 'true' : null,
      },
      textBox,
    )
  );
}
