/** Makes DOCX packages of raw WordprocessingML, for tests of what generators do not write. */
import { zipSync, strToU8 } from 'fflate';

const MAIN = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
const STRICT = 'http://purl.oclc.org/ooxml/wordprocessingml/main';
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

export interface DocxParts {
  readonly body: string;
  readonly styles?: string;
  readonly numbering?: string;
  readonly footnotes?: string;
  readonly endnotes?: string;
  readonly comments?: string;
  /** Relationship elements of the main part beyond those of the parts above. */
  readonly rels?: string;
  readonly files?: Readonly<Record<string, Uint8Array | string>>;
  readonly strict?: boolean;
  /** Another prefix than `w` for the main namespace. */
  readonly prefix?: string;
}

export function docx({
  body,
  styles,
  numbering,
  footnotes,
  endnotes,
  comments,
  rels = '',
  files = {},
  strict = false,
  prefix = 'w',
}: DocxParts): Uint8Array {
  const ns = `xmlns:w="${strict ? STRICT : MAIN}" xmlns:r="${strict ? 'http://purl.oclc.org/ooxml/officeDocument/relationships' : REL}" xmlns:mc="http://schemas.openxmlformats.org/markup-compatibility/2006" xmlns:wp="http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:pic="http://schemas.openxmlformats.org/drawingml/2006/picture" xmlns:wps="http://schemas.microsoft.com/office/word/2010/wordprocessingShape" xmlns:v="urn:schemas-microsoft-com:vml" xmlns:m="http://schemas.openxmlformats.org/officeDocument/2006/math" xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart"`;
  const root = (name: string, inner: string): string => {
    const xml = `<w:${name} ${ns}>${inner}</w:${name}>`;
    return prefix === 'w'
      ? xml
      : xml
          .replaceAll(/(<\/?)w:/g, `$1${prefix}:`)
          .replaceAll(/ w:/g, ` ${prefix}:`)
          .replaceAll('xmlns:w=', `xmlns:${prefix}=`);
  };
  const parts: Record<string, string> = { 'word/document.xml': root('document', `<w:body>${body}</w:body>`) };
  const main: string[] = [];
  const add = (name: string, element: string, inner: string | undefined): void => {
    if (inner === undefined) return;
    parts[`word/${name}.xml`] = root(element, inner);
    main.push(`<Relationship Id="x${name}" Type="${REL}/${name}" Target="${name}.xml"/>`);
  };
  add('styles', 'styles', styles);
  add('numbering', 'numbering', numbering);
  add('footnotes', 'footnotes', footnotes);
  add('endnotes', 'endnotes', endnotes);
  add('comments', 'comments', comments);
  const relationships = (inner: string): string =>
    `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${inner}</Relationships>`;
  parts['word/_rels/document.xml.rels'] = relationships(main.join('') + rels);
  parts['_rels/.rels'] = relationships(
    `<Relationship Id="r1" Type="${REL}/officeDocument" Target="word/document.xml"/>`,
  );
  parts['[Content_Types].xml'] =
    '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>';
  const all = { ...parts, ...files };
  return zipSync(
    Object.fromEntries(
      Object.entries(all).map(([name, content]) => [name, typeof content === 'string' ? strToU8(content) : content]),
    ),
  );
}

/** A paragraph: properties and runs as XML, or plain text. */
export const para = (content: string, properties = ''): string =>
  `<w:p><w:pPr>${properties}</w:pPr>${content.startsWith('<') ? content : run(content)}</w:p>`;
export const run = (text: string, properties = ''): string =>
  `<w:r><w:rPr>${properties}</w:rPr><w:t xml:space="preserve">${text}</w:t></w:r>`;
export const style = (id: string, name: string, inner = '', type = 'paragraph'): string =>
  `<w:style w:type="${type}" w:styleId="${id}"><w:name w:val="${name}"/>${inner}</w:style>`;
export const styled = (id: string): string => `<w:pStyle w:val="${id}"/>`;

/** The least PNG there is: one pixel; `width` and `height` are what its header claims. */
export function png(width = 1, height = 1): Uint8Array {
  const base = Uint8Array.from(
    Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
      'base64',
    ),
  );
  const view = new DataView(base.buffer);
  view.setUint32(16, width);
  view.setUint32(20, height);
  return base;
}
