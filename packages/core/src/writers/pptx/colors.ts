/** Theme colours by reference (ECMA-376-1 §20.1.2.3.29). */
import type { ColorName, Paint } from '../../theme/index.ts';

export const SCHEME: Readonly<Record<ColorName, string>> = {
  ground: 'bg1',
  text: 'tx1',
  panel: 'bg2',
  muted: 'tx2',
  accent1: 'accent1',
  accent2: 'accent2',
  accent3: 'accent3',
  accent4: 'accent4',
  accent5: 'accent5',
  accent6: 'accent6',
  link: 'hlink',
};

export const schemeColor = (name: ColorName): string => `<a:schemeClr val="${SCHEME[name]}"/>`;
export const solidFill = (name: ColorName): string => `<a:solidFill>${schemeColor(name)}</a:solidFill>`;
/** Of what may be of a template's own table style, whose colours are no names of the theme. */
export const paintFill = (paint: Paint): string =>
  paint in SCHEME ? solidFill(paint as ColorName) : `<a:solidFill><a:srgbClr val="${paint}"/></a:solidFill>`;
