/** Styles of a text document (OASIS ODF 1.3 part 3, §16), by the names under which receivers know them. */
import type { LanguageTag } from '../../base/index.ts';
import { fontSize, fontStyle, fontWeight } from '../odf/runs.ts';
import { color, element, languageProperties, NS, points, VERSION, XML, type Attributes } from '../odf/xml.ts';

export const INK = '1F2A2E';
const SOFT = '5A6468';
export const MONO = 'Courier New';
const FAMILIES = { heading: 'Arial', text: 'Georgia' } as const;
/** A4, and its margins; in points. */
const PAGE = { width: 595.28, height: 841.89, margin: 62 } as const;
export const TEXT_WIDTH = PAGE.width - 2 * PAGE.margin;
const HEADINGS = [17, 14, 12, 11, 11, 11] as const;

interface Style {
  readonly name: string;
  readonly paragraph?: Attributes;
  readonly text?: Attributes;
  readonly parent?: string;
}

const space = (before: number, after: number): Attributes => ({
  'fo:margin-top': points(before),
  'fo:margin-bottom': points(after),
});
const STYLES: readonly Style[] = [
  { name: 'Standard' },
  { name: 'Text body', paragraph: { ...space(0, 7), 'fo:line-height': '125%' } },
  { name: 'List', paragraph: { ...space(0, 3), 'fo:line-height': '125%' } },
  {
    name: 'Title',
    paragraph: { ...space(0, 6), 'fo:keep-with-next': 'always' },
    text: { 'style:font-name': FAMILIES.heading, ...fontSize(24), ...fontWeight(true) },
  },
  { name: 'Subtitle', paragraph: space(0, 6), text: { 'fo:color': color(SOFT), ...fontSize(13) } },
  ...HEADINGS.map((points_, i): Style => ({
    name: `Heading ${i + 1}`,
    paragraph: { ...space(i === 0 ? 24 : 16, 6), 'fo:keep-with-next': 'always' },
    text: {
      'style:font-name': FAMILIES.heading,
      ...fontSize(points_),
      ...fontWeight(true),
      ...(i > 3 ? fontStyle(true) : {}),
    },
  })),
  {
    name: 'Quotations',
    paragraph: { ...space(0, 7), 'fo:margin-left': '28pt', 'fo:margin-right': '28pt' },
    text: fontStyle(true),
  },
  {
    name: 'Preformatted Text',
    paragraph: { ...space(3, 9), 'fo:background-color': '#f2f0ea' },
    text: { 'style:font-name': MONO, ...fontSize(9.5) },
  },
  { name: 'Caption', paragraph: space(3, 12), text: { 'fo:color': color(SOFT), ...fontSize(9.5) } },
  { name: 'Table Contents', paragraph: space(0, 0) },
  { name: 'Table Heading', paragraph: space(0, 0), text: fontWeight(true), parent: 'Table Contents' },
  { name: 'Footnote', paragraph: space(0, 0), text: fontSize(9.5) },
  { name: 'Page Break', paragraph: { 'fo:break-before': 'page' } },
  { name: 'Separator', paragraph: { ...space(6, 12), 'fo:text-align': 'center' } },
];

/** The fonts that both parts name (§16.23). */
export const FONT_FACES = `<office:font-face-decls>${[...Object.values(FAMILIES), MONO]
  .map((name) => element('style:font-face', { 'style:name': name, 'svg:font-family': `'${name}'` }))
  .join('')}</office:font-face-decls>`;

/** A blank in a name is written out (§19.498.2). */
const nameOf = (name: string): string => name.replaceAll(' ', '_20_');

export function stylesPart(language: LanguageTag): string {
  const styles = STYLES.map(({ name, paragraph, text, parent }) => {
    const level = /^Heading (\d)$/.exec(name)?.[1];
    return element(
      'style:style',
      {
        'style:name': nameOf(name),
        'style:display-name': name,
        'style:family': 'paragraph',
        'style:parent-style-name': name === 'Standard' ? null : nameOf(parent ?? 'Standard'),
        'style:default-outline-level': level,
      },
      (paragraph === undefined ? '' : element('style:paragraph-properties', paragraph)) +
        (text === undefined ? '' : element('style:text-properties', text)),
    );
  });
  const usual = element(
    'style:default-style',
    { 'style:family': 'paragraph' },
    element('style:paragraph-properties', { 'style:writing-mode': 'page' }) +
      element('style:text-properties', {
        'fo:color': color(INK),
        'style:font-name': FAMILIES.text,
        ...fontSize(11),
        ...languageProperties(language),
      }),
  );
  const layout = element(
    'style:page-layout',
    { 'style:name': 'page' },
    element('style:page-layout-properties', {
      'fo:page-width': points(PAGE.width),
      'fo:page-height': points(PAGE.height),
      'fo:margin': points(PAGE.margin),
    }),
  );
  const master = element('style:master-page', { 'style:name': 'Standard', 'style:page-layout-name': 'page' });
  return `${XML}<office:document-styles ${NS} office:version="${VERSION}">${FONT_FACES}<office:styles>${usual}${styles.join('')}</office:styles><office:automatic-styles>${layout}</office:automatic-styles><office:master-styles>${master}</office:master-styles></office:document-styles>`;
}
