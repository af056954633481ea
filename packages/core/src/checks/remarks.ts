/** Looks through a deck: one list of what is remarked, worst first. */
import { getOrMake, remembered } from '../base/index.ts';
import { namedPlaces, type DocumentModel } from '../document/index.ts';
import { isAccepted } from '../edits/index.ts';
import { faultsIn } from '../presentable/index.ts';
import { branchOf, privateHeadings } from '../structure/index.ts';
import { DECK_KINDS, deckRemarks, type Placed } from './deck-remarks.ts';
import { brokenRule, pageRemarks, type PageContext } from './page-remarks.ts';
import { badness, type Looked, type Remark, type RemarkKind } from './remark.ts';

/** Looks at a page at each step; what a page was found to have is remembered. */
export function* lookThrough(looked: Looked): Generator<void, readonly Remark[]> {
  const look = lookAt(looked);
  const found: Placed[] = [];
  for (const at of looked.pages.keys()) {
    found.push(...look(at));
    yield;
  }
  return told([...found, ...deckRemarks(looked)], looked);
}

/** Remarks on some pages alone. @param deck Also those for which the whole deck is looked at. */
export function remarksOn(looked: Looked, places: ReadonlySet<number>, deck: boolean): readonly Remark[] {
  const found = [...places].flatMap(lookAt(looked));
  return told(deck ? [...found, ...deckRemarks(looked).filter(({ at }) => places.has(at))] : found, looked);
}

/** Whether a remark is of the deck as a whole, or one that such a remark may come with. */
export const isOfDeck = (kind: RemarkKind): boolean => badness(kind) >= FIRST_OF_DECK;
const FIRST_OF_DECK = Math.min(...DECK_KINDS.map(badness));

function lookAt(looked: Looked): (at: number) => readonly Placed[] {
  const context = contextOf(looked);
  const rulesAt = faultsIn(looked, looked.read);
  return (at) => {
    const page = looked.pages[at]!;
    const found = [...rulesAt(at).map((rule) => brokenRule(rule, page)), ...pageRemarks(page, context)];
    return found.map((one) => ({ at, found: one }));
  };
}

function told(found: readonly Placed[], { pages, accepted }: Looked): readonly Remark[] {
  return found
    .flatMap(({ at, found: one }): readonly Remark[] => {
      const { key, slide } = pages[at]!;
      // Nobody sees a slide that is hidden.
      if (slide.hidden === true) return [];
      const left = isAccepted(accepted, slide.id, one.kind);
      const everywhere = left === 'everywhere' ? ({ everywhere: true } as const) : {};
      return [{ ...one, number: at + 1, key, slide: slide.id, accepted: left !== undefined, ...everywhere }];
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
    places: namedPlaces(document.blocks),
  }));
}
