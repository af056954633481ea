/** Sections of the deck, as the extension that receivers know. */
import { xmlText } from '../../container/index.ts';
import type { Scene } from '../../scene/index.ts';
import { guid } from './xml.ts';

export const SECTIONS_URI = '{521415D9-36F7-43E2-AB2F-B90AF26B5E84}';

/** @param ids Of all slides. @param others Slides that are no part of the scene, with the name of their section. */
export function sectionList(
  { sections, slides }: Scene,
  ids: readonly number[],
  others?: { readonly ids: readonly number[]; readonly name: string; readonly before: boolean },
): string {
  if (sections.length === 0) return '';
  const section = (title: string, members: readonly number[], i: number): string =>
    `<p14:section name="${xmlText(title)}" id="${guid(i, 2)}"><p14:sldIdLst>${members.map((id) => `<p14:sldId id="${id}"/>`).join('')}</p14:sldIdLst></p14:section>`;
  const own = sections.map(({ title, from }, i) =>
    section(title, ids.slice(from, sections[i + 1]?.from ?? slides.length), i),
  );
  const kept = others === undefined ? [] : [section(others.name, others.ids, sections.length)];
  const list = others?.before === true ? [...kept, ...own] : [...own, ...kept];
  return `<p:ext uri="${SECTIONS_URI}"><p14:sectionLst xmlns:p14="http://schemas.microsoft.com/office/powerpoint/2010/main">${list.join('')}</p14:sectionLst></p:ext>`;
}
