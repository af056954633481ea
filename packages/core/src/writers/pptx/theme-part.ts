/** The theme part (ECMA-376-1 §20.1.6): colours, fonts and the formats that every theme must have. */
import { xmlText } from '../../container/index.ts';
import { fontClass } from '../../fonts/index.ts';
import type { Palette, Theme } from '../../theme/index.ts';
import { XML } from '../opc/package.ts';

/** @param dark Whether the master's colour map takes the ground from the dark colours. */
function colorScheme(p: Palette, name: string, dark: boolean): string {
  const color = (tag: string, hex: string): string => `<a:${tag}><a:srgbClr val="${hex}"/></a:${tag}>`;
  // Dark themes swap ground and text here and in the master's colour map alike, so dk1 stays the dark one.
  const [dark1, light1, dark2, light2] = dark
    ? [p.ground, p.text, p.panel, p.muted]
    : [p.text, p.ground, p.muted, p.panel];
  const scheme = [
    color('dk1', dark1),
    color('lt1', light1),
    color('dk2', dark2),
    color('lt2', light2),
    ...([1, 2, 3, 4, 5, 6] as const).map((i) => color(`accent${i}`, p[`accent${i}`])),
    color('hlink', p.link),
    color('folHlink', p.muted),
  ].join('');
  return `<a:clrScheme name="${xmlText(name)}">${scheme}</a:clrScheme>`;
}

/** Colours of one slide in the place of its theme's (§14.2.8, §20.1.6.12). */
export const themeOverridePart = (palette: Palette, theme: Theme): string =>
  `${XML}<a:themeOverride xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main">${colorScheme(palette, theme.label, theme.dark)}</a:themeOverride>`;

/** Fonts of scripts that a theme's family does not have, by ISO 15924 (§20.1.4.1.16). */
const OTHER_SCRIPTS = Object.entries({
  Jpan: 'Noto Sans JP',
  Hang: 'Noto Sans KR',
  Hans: 'Noto Sans SC',
  Hant: 'Noto Sans TC',
  Arab: 'Noto Sans Arabic',
  Hebr: 'Noto Sans Hebrew',
  Thai: 'Noto Sans Thai',
  Deva: 'Noto Sans Devanagari',
})
  .map(([script, typeface]) => `<a:font script="${script}" typeface="${typeface}"/>`)
  .join('');

/** A font by name, with what it is like (§21.1.2.3.7). */
export function fontFace(name: string): string {
  const { panose, pitchFamily } = fontClass(name);
  return `typeface="${xmlText(name)}" panose="${panose}" pitchFamily="${pitchFamily}" charset="0"`;
}

export function themePart(theme: Theme): string {
  const { palette, fonts } = theme;
  const font = (tag: string, name: string): string =>
    `<a:${tag}><a:latin ${fontFace(name)}/><a:ea typeface=""/><a:cs typeface=""/>${OTHER_SCRIPTS}</a:${tag}>`;
  const fill = '<a:solidFill><a:schemeClr val="phClr"/></a:solidFill>';
  const line = (width: number): string =>
    `<a:ln w="${width}" cap="flat" cmpd="sng" algn="ctr">${fill}<a:prstDash val="solid"/></a:ln>`;
  const effect = '<a:effectStyle><a:effectLst/></a:effectStyle>';
  return `${XML}<a:theme xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" name="${xmlText(theme.label)}"><a:themeElements>${colorScheme(palette, theme.label, theme.dark)}<a:fontScheme name="${xmlText(theme.label)}">${font('majorFont', fonts.heading)}${font('minorFont', fonts.body)}</a:fontScheme><a:fmtScheme name="${xmlText(theme.label)}"><a:fillStyleLst>${fill.repeat(3)}</a:fillStyleLst><a:lnStyleLst>${line(6350)}${line(12700)}${line(19050)}</a:lnStyleLst><a:effectStyleLst>${effect.repeat(3)}</a:effectStyleLst><a:bgFillStyleLst>${fill.repeat(3)}</a:bgFillStyleLst></a:fmtScheme></a:themeElements></a:theme>`;
}

export const colorMap = (theme: Theme): string =>
  `<p:clrMap ${theme.dark ? 'bg1="dk1" tx1="lt1" bg2="dk2" tx2="lt2"' : 'bg1="lt1" tx1="dk1" bg2="lt2" tx2="dk2"'} accent1="accent1" accent2="accent2" accent3="accent3" accent4="accent4" accent5="accent5" accent6="accent6" hlink="hlink" folHlink="folHlink"/>`;
