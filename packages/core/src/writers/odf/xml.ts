/** Pieces of XML that all parts of OpenDocument packages share (OASIS ODF 1.3 part 3). */
import { EMU_PER_POINT, primaryOf, type LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import type { Rect } from '../../theme/index.ts';

export const XML = '<?xml version="1.0" encoding="UTF-8"?>\n';
const NAMESPACES = {
  office: 'urn:oasis:names:tc:opendocument:xmlns:office:1.0',
  style: 'urn:oasis:names:tc:opendocument:xmlns:style:1.0',
  text: 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
  table: 'urn:oasis:names:tc:opendocument:xmlns:table:1.0',
  draw: 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0',
  fo: 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0',
  xlink: 'http://www.w3.org/1999/xlink',
  dc: 'http://purl.org/dc/elements/1.1/',
  meta: 'urn:oasis:names:tc:opendocument:xmlns:meta:1.0',
  number: 'urn:oasis:names:tc:opendocument:xmlns:datastyle:1.0',
  presentation: 'urn:oasis:names:tc:opendocument:xmlns:presentation:1.0',
  svg: 'urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0',
  chart: 'urn:oasis:names:tc:opendocument:xmlns:chart:1.0',
  smil: 'urn:oasis:names:tc:opendocument:xmlns:smil-compatible:1.0',
  anim: 'urn:oasis:names:tc:opendocument:xmlns:animation:1.0',
} as const;
/** On the root of every part. */
export const NS = Object.entries(NAMESPACES)
  .map(([prefix, uri]) => `xmlns:${prefix}="${uri}"`)
  .join(' ');
export const VERSION = '1.3';

export type Attributes = Readonly<Record<string, string | number | null | undefined>>;

/** An element; attributes that are null or undefined are not written. */
export function element(tag: string, attributes: Attributes, inner = ''): string {
  const written = Object.entries(attributes)
    .map(([name, value]) => (value === null || value === undefined ? '' : ` ${name}="${xmlText(String(value))}"`))
    .join('');
  return inner === '' ? `<${tag}${written}/>` : `<${tag}${written}>${inner}</${tag}>`;
}

export const hundredths = (value: number): number => Math.round(value * 100) / 100;
/** A length (§18.3.18) of so many points. */
export const points = (value: number): string => `${hundredths(value)}pt`;
export const length = (emu: number): string => points(emu / EMU_PER_POINT);
export const percent = (share: number): string => `${hundredths(share * 100)}%`;
/** Where something stands and how large it is. */
export const place = ({ x, y, width, height }: Rect): Attributes => ({
  'svg:x': length(x),
  'svg:y': length(y),
  'svg:width': length(width),
  'svg:height': length(height),
});
/** A colour (§18.3.9). */
export const color = (hex: string): string => `#${hex.toLowerCase()}`;

/** What a drawn thing says to those who do not see it; empty for decoration (§10.3.17). */
export const description = (text: string | null | undefined): string =>
  text === null || text === undefined || text.trim() === '' ? '' : element('svg:desc', {}, xmlText(text));

/** The language of text, under the names for its script: letters from left to right, East Asian, or complex (§20.199 and on). */
export function languageProperties(tag: LanguageTag): Attributes {
  const [language = '', ...subtags] = tag.split('-');
  const country = subtags.find((one) => /^([a-z]{2}|\d{3})$/i.test(one))?.toUpperCase();
  const primary = primaryOf(tag);
  const script = ASIAN.has(primary) ? 'asian' : COMPLEX.has(primary) ? 'complex' : 'latin';
  if (script === 'latin') return { 'fo:language': language, 'fo:country': country ?? 'none' };
  return { [`style:language-${script}`]: language, [`style:country-${script}`]: country ?? 'none' };
}
const ASIAN: ReadonlySet<string> = new Set(['zh', 'ja', 'ko', 'yue', 'wuu', 'lzh']);
const COMPLEX: ReadonlySet<string> = new Set([
  ...['ar', 'fa', 'ur', 'ps', 'ku', 'sd', 'ug', 'ckb', 'he', 'yi', 'dv', 'syr'],
  ...['hi', 'mr', 'ne', 'sa', 'kok', 'mai', 'bho', 'bn', 'as', 'ta', 'te', 'kn', 'ml', 'gu', 'pa', 'or', 'si'],
  ...['th', 'lo', 'km', 'my', 'bo'],
]);

/** A picture by the name of its part. */
export const imageXml = (href: string): string =>
  element('draw:image', {
    'xlink:href': href,
    'xlink:type': 'simple',
    'xlink:show': 'embed',
    'xlink:actuate': 'onLoad',
  });
