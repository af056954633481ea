/**
 * What is decided for a document when a deck is made of it: which lines are headings, where none are marked, which headings make slides, one size for points, a layout for each slide.
 * It is kept as edits before those of its author, so that a deck stays what it was when these rules get better.
 */
import { decide, type Edit, type SingleEdit } from '../edits/index.ts';
import { chooseLayouts } from '../layout/index.ts';
import { mapDocument, mapForLevel, presetRecipe } from '../mapping/index.ts';
import { headingLevels, type DocumentModel } from '../document/index.ts';
import { deckSize } from './deck-size.ts';
import { leaveContents, proposedHeadings, restructure, type StructureChange } from '../structure/index.ts';
import { chosenMap, optionsOf, overridesOf, themeOf, type Templates } from './convert.ts';
import { judgeOf } from './judge.ts';

/**
 * @param look Edits that choose a look, where there is one already.
 * @param plan The same of the map, in place of that which fits.
 */
export function beginning(
  read: DocumentModel,
  look: readonly SingleEdit[] = [],
  plan: readonly SingleEdit[] = [],
): readonly SingleEdit[] {
  const headings = headingsOf(read);
  const { document } = restructure(read, headings);
  const first = firstMap(document);
  // What is not for the audience is spoken by any map.
  const spoken = ('branches' in first ? (first.branches ?? []) : []).filter(({ to }) => to === 'notes');
  const planned = plan.map((edit): SingleEdit => (edit.kind === 'map' ? { ...edit, branches: spoken } : edit));
  const map = planned.some(({ kind }) => kind === 'map') ? planned : [first, ...planned];
  return [...headings, ...arrangedFor(document, map, look)];
}

/** The map that fits, unless the file says with which headings slides begin. */
function firstMap(document: DocumentModel): SingleEdit {
  const { slidesAt } = document;
  return slidesAt !== undefined && headingLevels(document.blocks).includes(slidesAt)
    ? { kind: 'map', name: null, ...mapForLevel(document, slidesAt) }
    : { kind: 'map', name: 'fitted', ...presetRecipe('fitted', document) };
}

/**
 * A map as a good deck is made of it: with one size for its points, and a layout for each slide.
 * @param document With its changes of structure laid over it.
 * @param map What chooses it.
 * @param before What holds already.
 */
export function arrangedFor(
  document: DocumentModel,
  map: readonly SingleEdit[],
  before: readonly Edit[],
  templates: Templates = new Map(),
): readonly SingleEdit[] {
  const decisions = decide([...before, ...map]);
  const { slides } = mapDocument(document, chosenMap(document, decisions), overridesOf(document, decisions));
  const size = deckSize(slides, themeOf(document, decisions, templates));
  const type: readonly SingleEdit[] = size === null ? [] : [{ kind: 'type', role: 'points', rule: { size } }];
  const theme = themeOf(document, decide([...before, ...map, ...type]), templates);
  const options = optionsOf(document, theme, decisions.full);
  const layouts = chooseLayouts(slides, options, judgeOf(options)).map(([slide, layout]) => ({ slide, layout }));
  return [...map, ...type, ...(layouts.length === 0 ? [] : [{ kind: 'arrange', layouts } as const])];
}

/** Lines that look like headings, where none are marked, and the lists of contents that repeat them. */
function headingsOf(read: DocumentModel): readonly StructureChange[] {
  const marks = proposedHeadings(read);
  if (marks.length === 0) return [];
  const { document } = restructure(read, marks);
  const contents = leaveContents(document).blocks.filter(({ left }, i) => left !== document.blocks[i]!.left);
  return contents.length === 0
    ? marks
    : [...marks, { kind: 'leave', blocks: contents.map(({ id }) => id), as: 'contents' }];
}
