/**
 * What is decided for a document when a deck is made of it: which lines are headings, where none are marked, which headings make slides, one size for points, a layout for each slide.
 * It is kept as edits before those of its author, so that a deck stays what it was when these rules get better.
 */
import { decide, type SingleEdit } from '../edits/index.ts';
import { chooseLayouts } from '../layout/index.ts';
import { mapDocument, presetRecipe } from '../mapping/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { deckSize } from './deck-size.ts';
import { leaveContents, proposedHeadings, restructure, type StructureChange } from '../structure/index.ts';
import { dress } from '../theme/index.ts';
import { lookFor, optionsOf, overridesOf } from './convert.ts';
import { judgeOf } from './judge.ts';

/** @param look Edits that choose a look, where there is one already. */
export function beginning(read: DocumentModel, look: readonly SingleEdit[] = []): readonly SingleEdit[] {
  const headings = headingsOf(read);
  const { document } = restructure(read, headings);
  const map: SingleEdit = { kind: 'map', name: 'fitted', ...presetRecipe('fitted', document) };
  const decisions = decide([map, ...look]);
  const { slides } = mapDocument(document, map.map, overridesOf(document, decisions));
  const theme = dress(lookFor(document, decisions.look));
  const size = deckSize(slides, theme);
  const type: readonly SingleEdit[] = size === null ? [] : [{ kind: 'type', role: 'points', rule: { size } }];
  const options = optionsOf(document, dress(lookFor(document, decide([map, ...look, ...type]).look)), decisions.full);
  const layouts = chooseLayouts(slides, options, judgeOf(options)).map(([slide, layout]) => ({ slide, layout }));
  return [...headings, map, ...type, ...(layouts.length === 0 ? [] : [{ kind: 'arrange', layouts } as const])];
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
