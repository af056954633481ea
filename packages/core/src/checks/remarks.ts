/** Looks through a deck: one list of what is remarked, worst first. */
import { getOrMake, remembered } from '../base/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { acceptance } from '../edits/index.ts';
import { faultsIn } from '../presentable/index.ts';
import { branchOf, privateHeadings } from '../structure/index.ts';
import { deckRemarks } from './deck-remarks.ts';
import { brokenRule, pageRemarks, type PageContext } from './page-remarks.ts';
import { badness, type Found, type Looked, type Remark } from './remark.ts';

/** Looks at a page at each step; what a page was found to have is remembered. */
export function* lookThrough(looked: Looked): Generator<void, readonly Remark[]> {
  const { pages, accepted } = looked;
  const context = contextOf(looked);
  const rulesAt = faultsIn(looked, looked.read);
  const found: Found[][] = [];
  for (const [at, page] of pages.entries()) {
    found.push([...rulesAt(at).map((rule) => brokenRule(rule, page)), ...pageRemarks(page, context)]);
    yield;
  }
  for (const { at, found: one } of deckRemarks(looked)) found[at]!.push(one);
  return found
    .flatMap((some, at) => {
      const { key, slide } = pages[at]!;
      // Nobody sees a slide that is hidden.
      if (slide.hidden === true) return [];
      return some.map((one): Remark => ({
        ...one,
        number: at + 1,
        key,
        slide: slide.id,
        accepted: accepted.has(acceptance(slide.id, one.kind)),
      }));
    })
    .sort((a, b) => badness(a.kind) - badness(b.kind) || a.number - b.number);
}

/** The same at once. */
export function remarksOf(looked: Looked): readonly Remark[] {
  const steps = lookThrough(looked);
  let step = steps.next();
  while (step.done !== true) step = steps.next();
  return step.value;
}

// The same for the same document, so that pages are looked at once.
const contexts = remembered((_: DocumentModel) => new Map<string, PageContext>());
function contextOf({ document, language, pace, theme }: Looked): PageContext {
  return getOrMake(contexts(document), `${language} ${pace} ${theme.size.width}`, () => ({
    language,
    pace,
    pictures: new Map(document.pictures.map((picture) => [picture.id, picture])),
    unseen: new Set(
      privateHeadings(document).flatMap(({ id }) => branchOf(document.blocks, id).map((block) => block.id)),
    ),
    slideWidth: theme.size.width,
  }));
}
