/** Sections of the deck, as the extension that receivers know. */
import { xmlText, type XmlNode } from '../../container/index.ts';
import type { Scene } from '../../scene/index.ts';
import { guid } from './xml.ts';

export const SECTIONS_URI = '{521415D9-36F7-43E2-AB2F-B90AF26B5E84}';

/** Slides that stand one behind the other under one name. */
export interface Section {
  readonly name: string;
  readonly slides: readonly number[];
  /** Of a section that a file has; ours are numbered. */
  readonly id?: string;
}

/** Of a scene; none where it has none. @param ids Of all its slides. */
export const sectionsOf = ({ sections, slides }: Scene, ids: readonly number[]): readonly Section[] =>
  sections.map(({ title, from }, i) => ({
    name: title,
    slides: ids.slice(from, sections[i + 1]?.from ?? slides.length),
  }));

/** Those of a file, as far as their slides are there. @param extensions Of its presentation. */
export function sectionsIn(extensions: readonly XmlNode[], slides: readonly number[]): readonly Section[] {
  const list = extensions.find(({ attributes }) => attributes.uri === SECTIONS_URI)?.children[0];
  const there = new Set(slides);
  return (list?.children ?? []).flatMap(({ attributes, children }): Section[] => {
    const ids = children.flatMap((inner) => inner.children.map((slide) => Number(slide.attributes.id)));
    const kept = ids.filter((id) => there.has(id));
    return kept.length === 0
      ? []
      : [{ name: attributes.name ?? '', slides: kept, ...(attributes.id === undefined ? {} : { id: attributes.id }) }];
  });
}

/** Sections parted behind so many slides; one that is parted goes on under its name. */
export function partedBehind(
  sections: readonly Section[],
  count: number,
): readonly [readonly Section[], readonly Section[]] {
  const [before, after]: [Section[], Section[]] = [[], []];
  let left = count;
  for (const section of sections) {
    const { slides, id: _, ...rest } = section;
    if (left >= slides.length) before.push(section);
    else if (left <= 0) after.push(section);
    else {
      before.push({ ...section, slides: slides.slice(0, left) });
      after.push({ ...rest, slides: slides.slice(left) });
    }
    left -= slides.length;
  }
  return [before, after];
}

export function sectionList(sections: readonly Section[]): string {
  if (sections.length === 0) return '';
  // Those of a file may have been numbered here too.
  const used = new Set(sections.map(({ id }) => id));
  let seed = 0;
  const free = (): string => {
    let id = guid(seed++, 2);
    while (used.has(id)) id = guid(seed++, 2);
    return id;
  };
  const list = sections.map(
    ({ name, slides, id }) =>
      `<p14:section name="${xmlText(name)}" id="${id ?? free()}"><p14:sldIdLst>${slides.map((slide) => `<p14:sldId id="${slide}"/>`).join('')}</p14:sldIdLst></p14:section>`,
  );
  return `<p:ext uri="${SECTIONS_URI}"><p14:sectionLst xmlns:p14="http://schemas.microsoft.com/office/powerpoint/2010/main">${list.join('')}</p14:sectionLst></p:ext>`;
}
