/** Colours of a template: its theme's, by its master's map, with the changes that DrawingML has (ECMA-376-1 §20.1.2.3). */
import chroma from 'chroma-js';
import type { XmlNode } from '../container/index.ts';
import { isHex, type Hex } from '../theme/index.ts';
import { shareOf } from './values.ts';

export type Scheme = ReadonlyMap<string, Hex>;

const hexOf = (color: chroma.Color): Hex => color.hex('rgb').slice(1).toUpperCase();

/** Colours by name (§20.1.10.48): those of CSS, some of them shortened. */
function preset(name: string): Hex | undefined {
  const css = name.replace(/^dk/, 'dark').replace(/^lt/, 'light').replace(/^med/, 'medium').toLowerCase();
  return chroma.valid(css) ? hexOf(chroma(css)) : undefined;
}

/** The colours of a theme part by their own names: `dk1`, `accent1`, ... */
export function readScheme(clrScheme: XmlNode | undefined): Scheme {
  const scheme = new Map<string, Hex>();
  for (const entry of clrScheme?.children ?? []) {
    const name = entry.name.replace(/^a:/, '');
    const [color] = entry.children;
    const hex = color?.name === 'a:sysClr' ? color.attributes.lastClr : color?.attributes.val;
    if (hex !== undefined && isHex(hex)) scheme.set(name, hex.toUpperCase());
  }
  return scheme;
}

/** Names that slides use, as the master maps them. */
export function mapped(scheme: Scheme, map: XmlNode | undefined): Scheme {
  const result = new Map(scheme);
  const usual = { bg1: 'lt1', tx1: 'dk1', bg2: 'lt2', tx2: 'dk2' };
  for (const [name, to] of Object.entries({ ...usual, ...map?.attributes })) {
    const hex = scheme.get(to);
    if (hex !== undefined) result.set(name, hex);
  }
  return result;
}

/** The colour of a fill, a line or a run; of a gradient its first. @returns undefined where there is none. */
export function colorIn(holder: XmlNode | undefined, scheme: Scheme, own?: Hex): Hex | undefined {
  if (holder === undefined) return undefined;
  for (const node of holder.children) {
    if (node.name === 'a:solidFill') return colorIn(node, scheme, own);
    if (node.name === 'a:gradFill')
      return colorIn(node.children.find(({ name }) => name === 'a:gsLst')?.children[0], scheme, own);
    const base = baseColor(node, scheme, own);
    if (base !== undefined) return changed(base, node);
  }
  return undefined;
}

function baseColor({ name, attributes }: XmlNode, scheme: Scheme, own: Hex | undefined): Hex | undefined {
  const value = attributes.val ?? '';
  if (name === 'a:srgbClr') return isHex(value) ? value.toUpperCase() : undefined;
  if (name === 'a:schemeClr') return value === 'phClr' ? own : scheme.get(value);
  if (name === 'a:sysClr') return isHex(attributes.lastClr ?? '') ? attributes.lastClr!.toUpperCase() : undefined;
  if (name === 'a:scrgbClr') {
    const [r, g, b] = [attributes.r, attributes.g, attributes.b].map(shareOf) as [number, number, number];
    return [r, g, b].every(Number.isFinite) ? hexOf(chroma.gl(r, g, b)) : undefined;
  }
  if (name === 'a:hslClr') {
    const parts = [Number(attributes.hue) / 60_000, shareOf(attributes.sat), shareOf(attributes.lum)] as const;
    return parts.every(Number.isFinite) ? hexOf(chroma.hsl(...parts)) : undefined;
  }
  return name === 'a:prstClr' ? preset(value) : undefined;
}

/** A colour whose lightness is `factor` of what it was and `plus`, both 0 to 1 (§20.1.2.3.20, §20.1.2.3.21). */
export const relit = (hex: Hex, factor: number, plus: number): Hex => hexOf(withLight(chroma(`#${hex}`), factor, plus));

function withLight(color: chroma.Color, factor: number, plus: number): chroma.Color {
  const [hue, saturation, lightness] = color.hsl();
  return chroma.hsl(Number.isNaN(hue) ? 0 : hue, saturation, Math.min(1, Math.max(0, lightness * factor + plus)));
}

function changed(hex: Hex, node: XmlNode): Hex {
  let color = chroma(`#${hex}`);
  for (const { name, attributes } of node.children) {
    const share = shareOf(attributes.val ?? '0');
    if (!Number.isFinite(share)) continue;
    if (name === 'a:lumMod') color = withLight(color, share, 0);
    else if (name === 'a:lumOff') color = withLight(color, 1, share);
    else if (name === 'a:satMod') color = color.set('hsl.s', Math.min(1, (color.get('hsl.s') || 0) * share));
    else if (name === 'a:hueOff')
      color = color.set('hsl.h', (color.get('hsl.h') || 0) + Number(attributes.val) / 60_000);
    else if (name === 'a:inv') color = chroma(...(color.rgb().map((one) => 255 - one) as [number, number, number]));
    else if (name === 'a:gray') color = color.set('hsl.s', 0);
    else if (name === 'a:tint') color = chroma.mix(color, 'white', 1 - share, 'rgb');
    else if (name === 'a:shade') color = chroma.mix(color, 'black', 1 - share, 'rgb');
  }
  return hexOf(color);
}

/** How much of a colour is seen, 0 to 1 (§20.1.2.3.1). @param holder Of the colour, as for `colorIn`. */
export function opacityIn(holder: XmlNode | undefined): number {
  const color = holder?.children[0];
  const alpha = shareOf(color?.children.find(({ name }) => name === 'a:alpha')?.attributes.val);
  return Number.isFinite(alpha) ? Math.min(1, Math.max(0, alpha)) : 1;
}
