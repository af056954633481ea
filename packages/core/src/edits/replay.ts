/** Lays the author's work on slides over a computed deck. An edit that finds no target is kept and told, never dropped. */
import type { Deck } from '../deck/index.ts';
import { Desk } from './desk.ts';
import type { Edit } from './edit.ts';
import { kindOf, KINDS } from './kinds.ts';
import type { UnplacedReason } from './reason.ts';
import type { Unplaced } from './unplaced.ts';

export interface Replayed {
  readonly deck: Deck;
  readonly unplaced: readonly Unplaced[];
}

/** Edits that were laid over slides, and how those lay then. */
interface Laid {
  readonly slides: Deck['slides'];
  readonly blocks: ReadonlySet<string>;
  readonly edits: readonly Edit[];
  readonly desk: Desk;
  readonly unplaced: Unplaced[];
}

// Most edits come on top of those before: then only the new ones are laid, over the desk as it was left.
let last: Laid | undefined;

/** @param blocks Ids that the document has; an edit of a block that is gone is unplaced. */
export function replay(deck: Deck, edits: readonly Edit[], blocks: ReadonlySet<string>): Replayed {
  if (!edits.some(isTargeted)) return { deck, unplaced: [] };
  const before = last !== undefined && goesOn(last, deck, edits, blocks) ? last : undefined;
  // The desk is worked on in place: a fault on the way must not leave half of it to the next replay.
  last = undefined;
  const { desk, unplaced }: Pick<Laid, 'desk' | 'unplaced'> = before ?? { desk: new Desk(deck, blocks), unplaced: [] };
  for (const edit of edits.slice(before?.edits.length ?? 0)) {
    const reason = apply(desk, edit);
    if (reason !== undefined) unplaced.push({ edit, reason });
  }
  last = { slides: deck.slides, blocks, edits: [...edits], desk, unplaced };
  return { deck: desk.deck(deck), unplaced: [...unplaced] };
}

function goesOn(laid: Laid, { slides }: Deck, edits: readonly Edit[], blocks: ReadonlySet<string>): boolean {
  return (
    laid.blocks === blocks &&
    laid.slides.length === slides.length &&
    laid.edits.length <= edits.length &&
    laid.edits.every((edit, i) => edit === edits[i]) &&
    laid.slides.every((slide, i) => slide === slides[i])
  );
}

const isTargeted = (edit: Edit): boolean =>
  edit.kind === 'unknown' || (edit.kind !== 'all' && KINDS[edit.kind].apply !== undefined);

function apply(desk: Desk, edit: Edit): UnplacedReason | undefined {
  if (edit.kind === 'unknown') return 'unknown';
  if (edit.kind === 'all') return undefined;
  const { makes, apply: lay } = kindOf(edit);
  // Ids are chosen by windows; one that is in use would make two things one.
  const fresh = makes?.(edit);
  if (fresh !== undefined && desk.isTaken(fresh)) return 'id-taken';
  return lay?.(desk, edit);
}
