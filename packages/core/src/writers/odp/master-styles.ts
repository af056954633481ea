/** Styles of master pages (OASIS ODF 1.3 part 3, §16.2): what their placeholders, grounds and notes look like, and which places they have. */
import type { LanguageTag } from '../../base/index.ts';
import { fontClass } from '../../fonts/index.ts';
import { colorsOf, type Para } from '../../scene/index.ts';
import { notesType, type Frame, type Layout, type Theme } from '../../theme/index.ts';
import { fontSize, textProperties, type TextLook } from '../odf/runs.ts';
import { color, element, languageProperties, percent, place, points } from '../odf/xml.ts';
import { filled, stroked, textPlace } from './graphic.ts';
import type { Master } from './masters.ts';
import { lookOf } from './text.ts';

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

/** A font that the file brings along. */
export interface FontPart {
  readonly family: string;
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** Where a font is found in the file (`svg:font-face-src`): all faces of a family. */
const sourceOf = (parts: readonly FontPart[]): string =>
  parts.length === 0
    ? ''
    : element(
        'svg:font-face-src',
        {},
        parts
          .map(({ name }) =>
            element(
              'svg:font-face-uri',
              { 'xlink:type': 'simple', 'xlink:href': name },
              element('svg:font-face-format', { 'svg:string': name.endsWith('.otf') ? 'opentype' : 'truetype' }),
            ),
          )
          .join(''),
      );

/** Fonts by name, with what they are like (§16.23), and those that the file brings along. */
export function fontFaces(theme: Theme, along: readonly FontPart[] = []): string {
  const { heading, body, mono } = theme.fonts;
  const drawn = theme.layouts.flatMap(({ backdrop = [] }) =>
    backdrop.flatMap((item) => (item.kind === 'text' ? [item.family] : [])),
  );
  const named = new Set([heading, body, mono, ...drawn, ...along.map(({ family }) => family)]);
  const faces = [...named].map((name) => {
    const { pitchFamily } = fontClass(name);
    const generic = pitchFamily === 49 ? 'modern' : pitchFamily === 18 ? 'roman' : 'swiss';
    return element(
      'style:font-face',
      {
        'style:name': name,
        'svg:font-family': /^[\w-]+$/.test(name) ? name : `'${name}'`,
        'style:font-family-generic': generic,
        'style:font-pitch': generic === 'modern' ? 'fixed' : 'variable',
      },
      sourceOf(along.filter(({ family }) => family === name)),
    );
  });
  return `<office:font-face-decls>${faces.join('')}</office:font-face-decls>`;
}

/** Of whatever says nothing itself: what a receiver's author adds. */
export function defaults(theme: Theme, language: LanguageTag): string {
  const text = element('style:text-properties', {
    'fo:color': color(theme.palette.text),
    'style:font-name': theme.fonts.body,
    ...fontSize(18),
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
export function layoutStyles(master: Master, theme: Theme): string {
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
    ...fontSize(notesType(theme).size),
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

/** Which placeholders a slide of a layout has (§16.37). */
export function placesOf(layout: Layout): string {
  const places = layout.frames.flatMap((frame) => {
    const kind = classOf(frame);
    return kind === undefined
      ? []
      : [element('presentation:placeholder', { 'presentation:object': kind, ...place(frame) })];
  });
  return element('style:presentation-page-layout', { 'style:name': pageLayoutName(layout) }, places.join(''));
}
