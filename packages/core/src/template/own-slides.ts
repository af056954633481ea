/** What is learnt from the slides that a template has: which layouts it is meant for, and what they are called. */
import { ReadError } from '../base/index.ts';
import {
  nodeAt,
  nodesNamed,
  readRelationships,
  readXmlTree,
  type XmlNode,
  type ZipReader,
} from '../container/index.ts';
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

/** The words in the title of a slide, shortened; empty where it has none, or cannot be read: its layouts still can. */
function titleOf(zip: ZipReader, slide: string): string {
  let root: XmlNode | undefined;
  try {
    root = zip.has(slide) ? readXmlTree(zip, slide) : undefined;
  } catch (error) {
    if (!(error instanceof ReadError)) throw error;
  }
  const shapes = nodesNamed(nodeAt(root, 'p:cSld', 'p:spTree'), 'p:sp');
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
