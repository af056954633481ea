/** What a chart looks like, as SVG (SVG 2): the second choice in its frame (OASIS ODF 1.3 part 3, §10.4.1), for whoever draws no charts. */
import { ptFromEmu } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { drawChart, type ChartBox, type DrawnShape, type Piece, type SlideColors } from '../../scene/index.ts';
import type { Theme } from '../../theme/index.ts';
import { color, element, hundredths, length, XML } from '../odf/xml.ts';

export function chartPicture(box: ChartBox, theme: Theme, colors: SlideColors): string {
  const { frame } = box;
  const { shapes, pieces } = drawChart(box, theme, colors);
  return (
    XML +
    element(
      'svg',
      {
        xmlns: 'http://www.w3.org/2000/svg',
        width: length(frame.width),
        height: length(frame.height),
        viewBox: [frame.x, frame.y, frame.width, frame.height].map(at).join(' '),
      },
      [...shapes.map(shapeXml), ...pieces.map(pieceXml)].join(''),
    )
  );
}

const at = (emu: number): number => hundredths(ptFromEmu(emu));

const shapeXml = ({ d, fill, opacity, stroke, strokeWidth, dashes }: DrawnShape): string =>
  element('path', {
    d,
    fill: fill === null ? 'none' : color(fill),
    'fill-opacity': opacity,
    stroke: stroke === null ? null : color(stroke),
    'stroke-width': stroke === null ? null : strokeWidth,
    'stroke-dasharray': dashes,
  });

/** As wide as it was measured, whatever font it is drawn with. */
const pieceXml = ({ text, x, baseline, width, family, size, bold, italic, color: ink, rtl }: Piece): string =>
  element(
    'text',
    {
      x: at(x),
      y: at(baseline),
      textLength: at(width),
      lengthAdjust: 'spacingAndGlyphs',
      'font-family': family,
      'font-size': size,
      'font-weight': bold ? 'bold' : null,
      'font-style': italic ? 'italic' : null,
      fill: color(ink),
      direction: rtl === true ? 'rtl' : null,
    },
    xmlText(text),
  );
