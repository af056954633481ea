/** What a template draws behind its slides, on master pages. */
import { EMU_PER_POINT } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import type { BackdropItem } from '../../theme/index.ts';
import { textProperties } from '../odf/runs.ts';
import { color, element, imageXml, percent, points, type Attributes } from '../odf/xml.ts';
import { filled, graphicStyle, pathXml, stroked, textPlace } from './graphic.ts';
import type { PageContext } from './text.ts';

export interface MasterContext extends Pick<PageContext, 'theme' | 'language' | 'styles' | 'picture'> {
  /** Gradients that are drawn somewhere, for the styles of the file. */
  readonly gradients: string[];
}

/** Behind what stands on slides. */
export const BEHIND = { 'draw:layer': 'backgroundobjects' } as const;

/** What a template draws behind its slides, as near as this format has it: turned pictures stand upright, clips are not cut. */
export function backdropXml(item: BackdropItem, { styles, picture, gradients, theme }: MasterContext): string {
  const graphic = (properties: Attributes): string => graphicStyle({ styles }, properties);
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
