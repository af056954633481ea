/** How text of a role is set, as DrawingML says it (ECMA-376-1 §21.1.2.4). */
import type { Frame, LevelStyle, TextStyle } from '../../theme/index.ts';
import { xmlText } from '../../container/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { emuOf, hundredths } from './xml.ts';

export const ALIGN = { left: 'l', center: 'ctr', right: 'r' } as const;
export const ANCHOR = { top: 't', middle: 'ctr', bottom: 'b' } as const;

const fontOf = (style: TextStyle): string => (style.font === 'heading' ? '+mj' : '+mn');
export const faces = (style: TextStyle): string =>
  `<a:latin typeface="${fontOf(style)}-lt"/><a:ea typeface="${fontOf(style)}-ea"/><a:cs typeface="${fontOf(style)}-cs"/>`;

export const spacing = (style: TextStyle, before: number): string =>
  `<a:lnSpc><a:spcPct val="${Math.round(style.lineSpacing * 100_000)}"/></a:lnSpc><a:spcBef><a:spcPct val="${Math.round(before * 100_000)}"/></a:spcBef>`;

const look = (style: TextStyle, size: number, color = style.color): string =>
  `<a:defRPr sz="${hundredths(size)}" b="${style.bold ? 1 : 0}" kern="1200"${style.caps ? ' cap="all"' : ''}>${solidFill(color)}${faces(style)}</a:defRPr>`;

export const plainLevel = (tag: string, style: TextStyle, align: Frame['align'], before = 0): string =>
  `<a:${tag} marL="0" indent="0" algn="${ALIGN[align]}">${spacing(style, before)}<a:buNone/>${look(style, style.sizes[0]!)}</a:${tag}>`;

export function pointLevel(
  index: number,
  level: LevelStyle,
  style: TextStyle,
  align: Frame['align'],
  fromRight = false,
): string {
  const tag = `lvl${index + 1}pPr`;
  return `<a:${tag} marL="${emuOf(level.indent)}" indent="${-emuOf(level.hanging)}" algn="${ALIGN[align]}"${fromRight ? ' rtl="1"' : ''}>${spacing(style, level.spaceBefore)}<a:buClr>${schemeColor(level.bulletColor)}</a:buClr><a:buFont typeface="+mj-lt"/><a:buChar char="${xmlText(level.bullet)}"/>${look(style, style.sizes[0]! * level.scale, level.color)}</a:${tag}>`;
}
