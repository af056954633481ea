/**
 * What is decided for a document when a deck is made of it: which headings make slides, one size for points, a layout for each slide.
 * It is kept as edits before those of its author, so that a deck stays what it was when these rules get better.
 */
import { chooseLayouts } from '../layout/index.ts';
import { presetRecipe } from '../mapping/index.ts';
import type { SingleEdit } from '../edits/index.ts';
import { TEXT_KINDS } from '../deck/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { privateHeadings } from '../structure/index.ts';
import { deckSize } from './deck-size.ts';
import { convert, optionsOf } from './convert.ts';
import { judgeOf } from './judge.ts';

/** @param look Edits that choose a look, where there is one already. */
export function beginning(document: DocumentModel, look: readonly SingleEdit[] = []): readonly SingleEdit[] {
  const map: SingleEdit = { kind: 'map', name: 'fitted', ...presetRecipe('fitted', document) };
  // What is not for the audience waits as spoken, each part by rules that its author sees and can take back.
  const spoken = privateHeadings(document).flatMap(({ id: block }) =>
    TEXT_KINDS.map((text): SingleEdit => ({ kind: 'branch', block, text, to: 'notes' })),
  );
  const plan = [map, ...spoken];
  const mapped = convert(document, [...plan, ...look]);
  const size = deckSize(mapped.deck.slides, mapped.theme);
  const type: readonly SingleEdit[] = size === null ? [] : [{ kind: 'type', role: 'points', rule: { size } }];
  const sized = type.length === 0 ? mapped : convert(document, [...plan, ...look, ...type], mapped);
  const options = optionsOf(sized.document, sized.theme, sized.decisions.full);
  const layouts = chooseLayouts(sized.deck.slides, options, judgeOf(options)).map(([slide, layout]) => ({
    slide,
    layout,
  }));
  return [...plan, ...type, ...(layouts.length === 0 ? [] : [{ kind: 'arrange', layouts } as const])];
}
