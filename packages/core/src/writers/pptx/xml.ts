/** Pieces of XML that many parts of a PPTX share. */
import { EMU_PER_POINT } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import type { Rect } from '../../theme/index.ts';

export const NS =
  'xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" xmlns:p="http://schemas.openxmlformats.org/presentationml/2006/main"';
/** @param attributes How it is turned and flipped (§20.1.7.6). */
export const xfrm = ({ x, y, width, height }: Rect, tag = 'a:xfrm', attributes = ''): string =>
  `<${tag}${attributes}><a:off x="${x}" y="${y}"/><a:ext cx="${width}" cy="${height}"/></${tag}>`;

/**
 * What a drawn thing is called, and what it says to those who do not see it (§20.1.2.2.8).
 * @param description Null for decoration, which readers pass over (an extension, as ECMA-376 has no property for it); undefined where its own text says it.
 */
export function nonVisual(id: number, name: string, description?: string | null): string {
  const said = description === undefined || description === null ? '' : ` descr="${xmlText(description)}"`;
  const open = `<p:cNvPr id="${id}" name="${xmlText(name)}"${said}`;
  return description === null ? `${open}>${DECORATIVE}</p:cNvPr>` : `${open}/>`;
}
const DECORATIVE =
  '<a:extLst><a:ext uri="{C183D7F6-B498-43B3-948B-1728B52AA6E4}"><adec:decorative xmlns:adec="http://schemas.microsoft.com/office/drawing/2017/decorative" val="1"/></a:ext></a:extLst>';

/** Hundredths of a point, as sizes are written (ECMA-376-1 §20.1.10.72). */
export const hundredths = (points: number): number => Math.round(points * 100);
export const emuOf = (points: number): number => Math.round(points * EMU_PER_POINT);

/** The root of every shape tree (§19.3.1.45). */
export const tree = (shapes: string): string =>
  `<p:spTree><p:nvGrpSpPr><p:cNvPr id="1" name=""/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm><a:off x="0" y="0"/><a:ext cx="0" cy="0"/><a:chOff x="0" y="0"/><a:chExt cx="0" cy="0"/></a:xfrm></p:grpSpPr>${shapes}</p:spTree>`;

/** A GUID made of a number, the same for the same number. */
export const guid = (seed: number, kind: number): string =>
  `{${(0xa1000000 + seed).toString(16).toUpperCase()}-0000-4${kind.toString(16).toUpperCase().padStart(3, '0')}-8000-0000000000A1}`;
