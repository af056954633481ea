/** What is learnt from the slides that a template has: which layouts it is meant for, and what they are called. */
import { getOrMake, ReadError } from '../base/index.ts';
import {
  nodeAt,
  nodesNamed,
  originOf,
  readRelationships,
  readXmlTree,
  type XmlNode,
  type ZipReader,
} from '../container/index.ts';
import type { MadeSlides, SlideBackdrop, TemplateLayout } from './template-model.ts';

/** What an organisation's own slides stand on is what it means by its layouts. */
export function withUses(
  layouts: readonly TemplateLayout[],
  zip: ZipReader,
  slides: readonly string[],
): readonly TemplateLayout[] {
  const uses = new Map<string, number>();
  for (const slide of slides.slice(0, MOST_SLIDES))
    for (const { type, target } of readRelationships(zip, slide).values())
      if (type === 'slideLayout') uses.set(target, (uses.get(target) ?? 0) + 1);
  return uses.size === 0 ? layouts : layouts.map((layout) => ({ ...layout, uses: uses.get(layout.part) ?? 0 }));
}
const MOST_SLIDES = 2000;

export interface OwnSlides {
  /** What they are called, in their order. */
  readonly titles: readonly string[];
  readonly made: readonly MadeSlides[];
  /** Null for one that cannot be drawn; none where nobody asked. */
  readonly drawings?: readonly (SlideBackdrop | null)[];
}

/** What is told of the slides of a file, each read once. @param draw Draws one of them, where that is wanted. */
export function ownSlides(
  zip: ZipReader,
  slides: readonly string[],
  draw?: (part: string, slide: XmlNode) => SlideBackdrop | null,
): OwnSlides {
  const drawings: (SlideBackdrop | null)[] = [];
  const titles: string[] = [];
  const made = new Map<string, { document: string; slides: number[]; changed: number[] }>();
  for (const [i, part] of slides.slice(0, MOST_SLIDES).entries()) {
    const slide = readable(zip, part);
    titles.push(titleOf(slide));
    if (draw !== undefined) drawings.push(slide === undefined ? null : draw(part, slide));
    const origin = slide === undefined ? undefined : originOf(slide);
    if (origin === undefined) continue;
    const { document } = origin;
    const group = getOrMake(made, document, () => ({ document, slides: [], changed: [] }));
    group.slides.push(i);
    if (origin.changed) group.changed.push(i);
  }
  return { titles, made: [...made.values()], ...(draw === undefined ? {} : { drawings }) };
}

/** The root of a part; undefined for one that is missing or cannot be read: the layouts of its file still can. */
export function readable(zip: ZipReader, part: string): XmlNode | undefined {
  try {
    return zip.has(part) ? readXmlTree(zip, part) : undefined;
  } catch (error) {
    if (error instanceof ReadError) return undefined;
    throw error;
  }
}

/** The words in the title of a slide, shortened; empty where it has none. */
function titleOf(slide: XmlNode | undefined): string {
  const shapes = nodesNamed(nodeAt(slide, 'p:cSld', 'p:spTree'), 'p:sp');
  const title = shapes.find((shape) =>
    ['title', 'ctrTitle'].includes(nodeAt(shape, 'p:nvSpPr', 'p:nvPr', 'p:ph')?.attributes.type ?? ''),
  );
  const words = nodesNamed(nodeAt(title, 'p:txBody'), 'a:p').map((paragraph) =>
    nodesNamed(paragraph, 'a:r')
      .flatMap((run) => nodeAt(run, 'a:t')?.content ?? [])
      .map((piece) => ('text' in piece ? piece.text : ''))
      .join(''),
  );
  return words.join(' ').replace(/\s+/g, ' ').trim().slice(0, LONGEST_TITLE);
}
const LONGEST_TITLE = 80; // characters
