/** Colours of a template's that could not be read, as slides say them. */
import type { LayoutColors, MendedColor } from '../../theme/index.ts';
import { SCHEME } from './colors.ts';

/** Where a colour of the template could not be read, slides say how it is made of one of its own; its theme stays as it is. */
export function withMended(xml: string, mended: LayoutColors['mended'] | undefined): string {
  if (mended === undefined) return xml;
  const filled = withColors(xml, mended.fills);
  return filled.replace(TEXT_PROPERTIES, (properties) => withColors(properties, mended.inks));
}
/** Of text and its bullets; in table styles too. */
const TEXT_PROPERTIES = /<a:(rPr|defRPr|buClr|tcTxStyle)\b[^>]*(?<!\/)>.*?<\/a:\1>/gs;

function withColors(xml: string, colors: readonly MendedColor[]): string {
  if (colors.length === 0) return xml;
  const mended = new Map(colors.map((color) => [SCHEME[color.name], color]));
  const share = (value: number): number => Math.round(value * 100_000);
  return xml.replace(/<a:schemeClr val="(\w+)"(\/?)>(?!<a:lum)/g, (whole, name: string, alone: string) => {
    const color = mended.get(name);
    if (color === undefined) return whole;
    const factor = color.factor === 1 ? '' : `<a:lumMod val="${share(color.factor)}"/>`;
    const changes = `${factor}${color.plus === 0 ? '' : `<a:lumOff val="${share(color.plus)}"/>`}`;
    const open = `<a:schemeClr val="${SCHEME[color.from]}"`;
    return alone === '' ? `${open}>${changes}` : changes === '' ? `${open}/>` : `${open}>${changes}</a:schemeClr>`;
  });
}
