/** What a file says of itself: core properties (ECMA-376-2 §11), extended properties (ECMA-376-1 §22.2). */
import { xmlText } from '../../container/index.ts';
import type { Scene } from '../../scene/index.ts';
import { XML } from './xml.ts';

export const CORE_TYPE = 'application/vnd.openxmlformats-package.core-properties+xml';
export const CORE_REL = 'http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties';
export const APP_TYPE = 'application/vnd.openxmlformats-officedocument.extended-properties+xml';

/** Of the document, whatever day it is: the same deck gives the same bytes. */
export function coreProperties({ title, author, language, about, slides }: Scene): string {
  const element = (tag: string, value: string | null | undefined, type = ''): string =>
    value === null || value === undefined ? '' : `<${tag}${type}>${xmlText(value)}</${tag}>`;
  const date = (tag: string, value: string | undefined): string => element(tag, value, ' xsi:type="dcterms:W3CDTF"');
  return `${XML}<cp:coreProperties xmlns:cp="http://schemas.openxmlformats.org/package/2006/metadata/core-properties" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:dcterms="http://purl.org/dc/terms/" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance">${element('dc:title', title ?? slides[0]?.title)}${element('dc:subject', about?.subject)}${element('dc:creator', author)}${element('cp:keywords', about?.keywords)}${element('dc:language', language)}${date('dcterms:created', about?.created)}${date('dcterms:modified', about?.modified ?? about?.created)}</cp:coreProperties>`;
}

export function appProperties({ slides }: Scene): string {
  const [hidden, notes] = [slides.filter((slide) => slide.hidden), slides.filter((slide) => slide.notes.length > 0)];
  return `${XML}<Properties xmlns="http://schemas.openxmlformats.org/officeDocument/2006/extended-properties"><Slides>${slides.length}</Slides><Notes>${notes.length}</Notes><HiddenSlides>${hidden.length}</HiddenSlides><Application>Alvex</Application></Properties>`;
}
