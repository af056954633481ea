/** The styles part (OASIS ODF 1.3 part 3, §3.4): a master page for each layout, with all that slides inherit. */
import { EMU_PER_POINT, type LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { fontClass, type FamilyName } from '../../fonts/index.ts';
import { colorsOf, type Para } from '../../scene/index.ts';
import { isFoot, type BackdropItem, type Frame, type Layout, type Theme } from '../../theme/index.ts';
import { fileWords } from '../slides/words.ts';
import type { Master } from './masters.ts';
import { arrowMarker, filled, LAYER, pathXml, shapeXml, stroked, textPlace } from './graphic.ts';
import { StyleSheet } from '../odf/style-sheet.ts';
import { textProperties, type TextLook } from '../odf/runs.ts';
import { lookOf, type PageContext } from './text.ts';
import {
  color,
  element,
  languageProperties,
  NS,
  percent,
  place,
  points,
  VERSION,
  XML,
  type Attributes,
} from '../odf/xml.ts';

/** The page of notes, upright, in points. */
export const NOTES_PAGE = { width: 540, height: 720 } as const;
const NOTES_IMAGE = { 'svg:x': '54pt', 'svg:y': '54pt', 'svg:width': '432pt', 'svg:height': '243pt' } as const;
const NOTES_TEXT = { 'svg:x': '54pt', 'svg:y': '324pt', 'svg:width': '432pt', 'svg:height': '342pt' } as const;
const NOTES_SIZE = 12; // points

/** Which kind of placeholder a frame is (§19.389); undefined for what stands free. */
export function classOf({ role }: Frame): 'title' | 'subtitle' | 'outline' | undefined {
  if (role === 'title' || role === 'subtitle') return role;
  return role === 'body' || role === 'body2' || role === 'body3' ? 'outline' : undefined;
}

/** The style of a placeholder on a master page, which receivers find by its name. */
export const placeholderStyle = ({ name }: Master, kind: string): string => `${name}-${kind}`;
export const pageLayoutName = (layout: Layout): string => `places-${layout.name}`;

/** What text of a placeholder has from its master page. */
export function inherited(
  frame: Frame,
  master: Master,
  theme: Theme,
): (para: Pick<Para, 'level' | 'style'>) => TextLook {
  const kind = classOf(frame);
  // All places for points share the style of the first one.
  const styled = kind === undefined ? frame : (firstOf(master.layout, kind) ?? frame);
  const { inks } = colorsOf(master, theme);
  return ({ level, style }) =>
    lookOf(
      kind === 'outline' ? { style: 'point', level: style === 'point' ? level : 1 } : { style: 'title', level: 1 },
      styled,
      theme,
      inks,
    );
}

const firstOf = (layout: Layout, kind: string): Frame | undefined =>
  layout.frames.find((frame) => classOf(frame) === kind);

/** @param language Of the deck. @param picture Names of parts of the package. */
export function stylesPart(
  theme: Theme,
  masters: readonly Master[],
  language: LanguageTag,
  picture: PageContext['picture'],
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
  return `${XML}<office:document-styles ${NS} office:version="${VERSION}">${fontFaces(theme)}<office:styles>${arrowMarker}${gradients.join('')}${named}${theme.layouts.map(placesOf).join('')}</office:styles><office:automatic-styles>${automatic}</office:automatic-styles><office:master-styles><draw:layer-set>${layerSet}</draw:layer-set>${pages.join('')}</office:master-styles></office:document-styles>`;
}

/** Fonts by name, with what they are like (§16.23). */
export function fontFaces(theme: Theme): string {
  const { heading, body, mono } = theme.fonts;
  const faces = [...new Set([heading, body, mono])].map((name) => {
    const { pitchFamily } = fontClass(name as FamilyName);
    const generic = pitchFamily === 49 ? 'modern' : pitchFamily === 18 ? 'roman' : 'swiss';
    return element('style:font-face', {
      'style:name': name,
      'svg:font-family': /^[\w-]+$/.test(name) ? name : `'${name}'`,
      'style:font-family-generic': generic,
      'style:font-pitch': generic === 'modern' ? 'fixed' : 'variable',
    });
  });
  return `<office:font-face-decls>${faces.join('')}</office:font-face-decls>`;
}

/** Of whatever says nothing itself: what a receiver's author adds. */
function defaults(theme: Theme, language: LanguageTag): string {
  const text = element('style:text-properties', {
    'fo:color': color(theme.palette.text),
    'style:font-name': theme.fonts.body,
    'fo:font-size': '18pt',
    'style:font-size-asian': '18pt',
    'style:font-size-complex': '18pt',
    ...languageProperties(language),
  });
  const graphic = element('style:graphic-properties', {
    ...filled(theme.palette.panel),
    ...stroked(null),
    'draw:textarea-vertical-align': 'middle',
  });
  const paragraph = element('style:paragraph-properties', {
    'fo:text-align': theme.mirrored ? 'right' : 'left',
    'style:writing-mode': theme.mirrored ? 'rl-tb' : 'lr-tb',
    'style:tab-stop-distance': '36pt',
  });
  return (
    element('style:default-style', { 'style:family': 'graphic' }, graphic + paragraph + text) +
    element('style:style', { 'style:name': 'standard', 'style:family': 'graphic' })
  );
}

/** Styles of the placeholders of a master page, and of its ground and notes. */
function layoutStyles(master: Master, theme: Theme): string {
  const { layout } = master;
  const style = (kind: string, properties: string, parent?: string): string =>
    element(
      'style:style',
      {
        'style:name': placeholderStyle(master, kind),
        'style:family': 'presentation',
        'style:parent-style-name': parent === undefined ? null : placeholderStyle(master, parent),
      },
      properties,
    );
  const { ground } = colorsOf(master, theme);
  const text = (frame: Frame, para: Pick<Para, 'level' | 'style'>): string => {
    const look = inherited(frame, master, theme)(para);
    return (
      element('style:paragraph-properties', {
        'fo:text-align': frame.align,
        'fo:line-height': percent(frame.style.lineSpacing),
        'style:writing-mode': theme.mirrored ? 'rl-tb' : 'lr-tb',
      }) + textProperties(look)
    );
  };
  const graphic = (frame: Frame, list = ''): string =>
    element('style:graphic-properties', { ...filled(null), ...stroked(null), ...textPlace(frame.anchor) }, list);
  const placed = (['title', 'subtitle'] as const).flatMap((kind) => {
    const frame = firstOf(layout, kind);
    return frame === undefined ? [] : [style(kind, graphic(frame) + text(frame, { style: 'title', level: 1 }))];
  });
  const points_ = firstOf(layout, 'outline');
  const outline =
    points_ === undefined
      ? []
      : theme.levels.map((_, i) =>
          i === 0
            ? style(
                'outline1',
                graphic(points_, outlineList(master, theme)) + text(points_, { style: 'point', level: 1 }),
              )
            : style(`outline${i + 1}`, text(points_, { style: 'point', level: i + 1 }), `outline${i}`),
        );
  const notes = element('style:text-properties', {
    // Notes are printed: always dark on white.
    'fo:color': color(theme.dark ? theme.palette.ground : theme.palette.text),
    'style:font-name': theme.fonts.body,
    'fo:font-size': points(NOTES_SIZE),
    'style:font-size-asian': points(NOTES_SIZE),
    'style:font-size-complex': points(NOTES_SIZE),
  });
  return [
    style('background', element('style:graphic-properties', { ...stroked(null), ...filled(ground) })),
    style('backgroundobjects', element('style:graphic-properties', { ...stroked(null), ...filled(null) })),
    ...placed,
    ...outline,
    style('notes', element('style:graphic-properties', { ...filled(null), ...stroked(null) }) + notes),
  ].join('');
}

/** The signs of all levels (§16.30), for points that a receiver's author adds. */
function outlineList(master: Master, theme: Theme): string {
  const { inks } = colorsOf(master, theme);
  const levels = theme.levels.map(({ bullet, bulletColor, indent, hanging }, i) =>
    element(
      'text:list-level-style-bullet',
      { 'text:level': i + 1, 'text:bullet-char': bullet },
      element('style:list-level-properties', {
        'text:space-before': points(indent - hanging),
        'text:min-label-width': points(hanging),
      }) + element('style:text-properties', { 'fo:color': color(inks[bulletColor]) }),
    ),
  );
  return element('text:list-style', { 'style:name': `${master.name}-points` }, levels.join(''));
}

const OBJECTS = { title: 'title', subtitle: 'subtitle', outline: 'outline' } as const;

/** Which placeholders a slide of a layout has (§16.37). */
function placesOf(layout: Layout): string {
  const places = layout.frames.flatMap((frame) => {
    const kind = classOf(frame);
    return kind === undefined
      ? []
      : [element('presentation:placeholder', { 'presentation:object': OBJECTS[kind], ...place(frame) })];
  });
  return element('style:presentation-page-layout', { 'style:name': pageLayoutName(layout) }, places.join(''));
}

interface MasterContext extends Pick<PageContext, 'theme' | 'language' | 'styles' | 'picture'> {
  /** Gradients that are drawn somewhere, for the styles of the file. */
  readonly gradients: string[];
}

const BEHIND = { 'draw:layer': 'backgroundobjects' } as const;
export const FOOT_CLASSES = { footer: 'footer', date: 'date-time', number: 'page-number' } as const;
const FOOT_FIELDS = {
  footer: '<presentation:footer/>',
  date: '<presentation:date-time/>',
  number: '<text:page-number>&lt;#&gt;</text:page-number>',
} as const;

function masterPage(master: Master, context: MasterContext): string {
  const { theme, styles, language } = context;
  const { layout } = master;
  const { palette, inks, ground } = colorsOf(master, theme);
  const ours = fileWords(language);
  const graphic = (properties: Attributes): string =>
    styles.style('graphic', element('style:graphic-properties', properties));
  const marks = layout.marks.map((mark) => {
    const hex = palette[mark.color];
    const paint =
      mark.outline === undefined
        ? { ...filled(hex), ...stroked(null) }
        : { ...filled(null), ...stroked({ hex, width: mark.outline }) };
    return shapeXml({ ...mark, geometry: mark.shape ?? 'rect', rect: mark }, graphic(paint), BEHIND);
  });
  const logos = (layout.pictures ?? []).map((logo) => {
    const named = context.picture(logo.picture);
    const attributes = { 'draw:style-name': graphic({ ...filled(null), ...stroked(null) }), ...BEHIND, ...place(logo) };
    return named === undefined
      ? ''
      : element(
          'draw:frame',
          attributes,
          imageXml(named.href) + (logo.alt === '' ? '' : element('svg:desc', {}, xmlText(logo.alt))),
        );
  });
  const frames = layout.frames.map((frame) => {
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
  });
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
      ...marks,
      ...logos,
      ...frames,
      element(
        'presentation:notes',
        { 'style:page-layout-name': 'notes', 'draw:style-name': notesPage(styles) },
        notesFrames(master, null, `<draw:text-box>${element('text:p', {}, xmlText(ours.notes))}</draw:text-box>`),
      ),
    ].join(''),
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

export const imageXml = (href: string): string =>
  element('draw:image', {
    'xlink:href': href,
    'xlink:type': 'simple',
    'xlink:show': 'embed',
    'xlink:actuate': 'onLoad',
  });

/** What a template draws behind its slides, as near as this format has it: turned pictures stand upright, clips are not cut. */
function backdropXml(item: BackdropItem, { styles, picture, gradients, theme }: MasterContext): string {
  const graphic = (properties: Attributes): string =>
    styles.style('graphic', element('style:graphic-properties', properties));
  switch (item.kind) {
    case 'shape': {
      const { d, fill, opacity, stroke, strokeWidth } = item;
      const line = stroked(stroke === null ? null : { hex: stroke, width: strokeWidth });
      const paint = fill === null || typeof fill === 'string' ? filled(fill) : gradientFill(fill.stops, gradients);
      const style = graphic({ ...paint, ...line, 'draw:opacity': opacity === 1 ? null : percent(opacity) });
      return pathXml(d, { 'draw:style-name': style, ...BEHIND });
    }
    case 'picture': {
      const named = picture(item.picture);
      const [x, y, width, height] = item.box;
      return named === undefined
        ? ''
        : element(
            'draw:frame',
            {
              'draw:style-name': graphic({
                ...filled(null),
                ...stroked(null),
                'draw:image-opacity': item.opacity === 1 ? null : percent(item.opacity),
              }),
              ...BEHIND,
              'svg:x': points(x),
              'svg:y': points(y),
              'svg:width': points(width),
              'svg:height': points(height),
            },
            imageXml(named.href),
          );
    }
    case 'text': {
      const { text, x, y, size, family, bold, italic, color: hex } = item;
      const look = { family, size, bold, italic, caps: false, color: hex };
      const style = graphic({ ...filled(null), ...stroked(null), ...textPlace('top'), 'fo:wrap-option': 'no-wrap' });
      return element(
        'draw:frame',
        {
          'draw:style-name': style,
          ...BEHIND,
          'svg:x': points(x),
          'svg:y': points(y - size),
          'svg:width': points(theme.size.width / EMU_PER_POINT - x),
          'svg:height': points(size * 1.3),
        },
        element(
          'draw:text-box',
          {},
          element('text:p', { 'text:style-name': styles.style('paragraph', textProperties(look)) }, xmlText(text)),
        ),
      );
    }
  }
}

/** From the first colour of a gradient to its last (§16.40.1). */
function gradientFill(stops: readonly { readonly color: string }[], gradients: string[]): Attributes {
  const [first, last] = [stops[0], stops.at(-1)];
  if (first === undefined || last === undefined) return filled(null);
  const name = `shade-${first.color.toLowerCase()}-${last.color.toLowerCase()}`;
  const xml = element('draw:gradient', {
    'draw:name': name,
    'draw:style': 'linear',
    'draw:start-color': color(first.color),
    'draw:end-color': color(last.color),
    'draw:angle': '0',
  });
  if (!gradients.includes(xml)) gradients.push(xml);
  return { 'draw:fill': 'gradient', 'draw:fill-gradient-name': name };
}
