/** Pieces that all packages of Office Open XML share (ECMA-376-2): relationships, and what a file says of itself (§11). */
import { xmlText } from '../../container/index.ts';
import type { FileAbout } from '../../content/index.ts';

export const XML = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

export interface Rel {
  readonly id: string;
  readonly type: string;
  readonly target: string;
  readonly external?: boolean;
}

export function relationships(rels: readonly Rel[]): string {
  const rows = rels.map(({ id, type, target, external }) => {
    const full = type.startsWith('http') ? type : `${REL}/${type}`;
    return `<Relationship Id="${id}" Type="${full}" Target="${xmlText(target)}"${external ? ' TargetMode="External"' : ''}/>`;
  });
  return `${XML}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${rows.join('')}</Relationships>`;
}

export const CORE_TYPE = 'application/vnd.openxmlformats-package.core-properties+xml';
export const CORE_REL = 'http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties';

/** The part that shows a file in small (ECMA-376-2 §8.2), a PNG. */
export const THUMBNAIL = 'docProps/thumbnail.png';
export const THUMBNAIL_REL = 'http://schemas.openxmlformats.org/package/2006/relationships/metadata/thumbnail';

/**
 * The list of what parts are (§10.1.2).
 * @param defaults By ending, besides relationships and XML. @param overrides By name.
 */
export function contentTypes(
  defaults: Iterable<readonly [ending: string, type: string]>,
  overrides: readonly string[],
): { readonly name: string; readonly content: string } {
  const endings = [...defaults].map(([ending, type]) => `<Default Extension="${ending}" ContentType="${type}"/>`);
  return {
    name: '[Content_Types].xml',
    content: `${XML}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/>${endings.join('')}${overrides.join('')}</Types>`,
  };
}

export interface Described {
  readonly title: string | null | undefined;
  readonly author: string | null;
  readonly language: string | null;
  readonly about?: FileAbout | undefined;
}

/** Of the document, whatever day it is: the same deck gives the same bytes. */
export function coreProperties({ title, author, language, about }: Described): string {
  const element = (tag: string, value: string | null | undefined, type = ''): string =>
    value === null || value === undefined ? '' : `<${tag}${type}>${xmlText(value)}</${tag}>`;
  const date = (tag: string, value: string | undefined): string => element(tag, value, ' xsi:type="dcterms:W3CDTF"');
  return `${XML}<cp:coreProperties xmlns:cp="http://schemas.openxmlformats.org/package/2006/metadata/core-properties" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:dcterms="http://purl.org/dc/terms/" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance">${element('dc:title', title)}${element('dc:subject', about?.subject)}${element('dc:creator', author)}${element('cp:keywords', about?.keywords)}${element('dc:language', language)}${date('dcterms:created', about?.created)}${date('dcterms:modified', about?.modified ?? about?.created)}</cp:coreProperties>`;
}
