/** What is learnt from the slides that a template has: which layouts it is meant for, and what they are called. */
import { nodeAt, nodesNamed, readRelationships, readXmlTree, type ZipReader } from '../container/index.ts';
import type { TemplateLayout } from './template-model.ts';

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
const MOST_SLIDES = 500;

/** What slides are called, in their order. */
export const titlesOf = (zip: ZipReader, slides: readonly string[]): readonly string[] =>
  slides.slice(0, MOST_SLIDES).map((slide) => titleOf(zip, slide));

/** The words in the title of a slide, shortened; empty where it has none. */
function titleOf(zip: ZipReader, slide: string): string {
  if (!zip.has(slide)) return '';
  const shapes = nodesNamed(nodeAt(readXmlTree(zip, slide), 'p:cSld', 'p:spTree'), 'p:sp');
  const title = shapes.find((shape) =>
    ['title', 'ctrTitle'].includes(nodeAt(shape, 'p:nvSpPr', 'p:nvPr', 'p:ph')?.attributes.type ?? ''),
  );
  const words = nodesNamed(nodeAt(title, 'p:txBody'), 'a:p').flatMap((paragraph) =>
    nodesNamed(paragraph, 'a:r').map((run) =>
      (nodeAt(run, 'a:t')?.content ?? []).map((piece) => ('text' in piece ? piece.text : '')).join(''),
    ),
  );
  return words.join('').replace(/\s+/g, ' ').trim().slice(0, LONGEST_TITLE);
}
const LONGEST_TITLE = 80; // characters
