/** The size of a slide, as its page layout says it (OASIS ODF 1.3 part 3, §16.5). */
import { readXmlPart, type ZipReader } from '../../container/index.ts';

export interface PageSize {
  readonly width: number /* points */;
  readonly height: number;
}

/** Points of a unit (§18.3.18). */
const POINTS: Readonly<Record<string, number>> = { pt: 1, in: 72, cm: 72 / 2.54, mm: 72 / 25.4, pc: 12, px: 0.75 };

/** @returns undefined for what is no length. */
export function lengthOf(value: string | undefined): number | undefined {
  const found = /^(-?[\d.]+)(pt|in|cm|mm|pc|px)$/.exec(value?.trim() ?? '');
  const points = Number(found?.[1]) * (POINTS[found?.[2] ?? ''] ?? NaN);
  return Number.isFinite(points) ? points : undefined;
}

const USUAL: PageSize = { width: 28 * POINTS['cm']!, height: 15.75 * POINTS['cm']! };

/** That of the master page that is first in the file. */
export function pageSize(zip: ZipReader): PageSize {
  if (!zip.has('styles.xml')) return USUAL;
  const layouts = new Map<string, PageSize>();
  let layout = '';
  let wanted: string | undefined;
  readXmlPart(zip, 'styles.xml', {
    open(name, a) {
      if (name === 'style:page-layout') layout = a['style:name'] ?? '';
      if (name === 'style:page-layout-properties') {
        const [width, height] = [lengthOf(a['fo:page-width']), lengthOf(a['fo:page-height'])];
        if (width !== undefined && height !== undefined && width > 0 && height > 0)
          layouts.set(layout, { width, height });
      }
      if (name === 'style:master-page') wanted ??= a['style:page-layout-name'];
    },
  });
  return layouts.get(wanted ?? '') ?? USUAL;
}
