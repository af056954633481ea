/** Lays the author's wording over a computed deck. An edit that finds no target is kept and told, never dropped. */
import type { Deck, LeftOut, Note, PartId, Slide, SlideId } from '../deck/index.ts';
import type { Edit } from './edit.ts';

export interface Unplaced {
  readonly edit: Edit;
  readonly reason: 'slide-gone' | 'part-gone' | 'notes-gone' | 'block-gone';
}

export interface Replayed {
  readonly deck: Deck;
  readonly unplaced: readonly Unplaced[];
}

/** @param blocks Ids that the document has; an edit of a block that is gone is unplaced. */
export function replay(deck: Deck, edits: readonly Edit[], blocks: ReadonlySet<string>): Replayed {
  if (!edits.some(namesTarget)) return { deck, unplaced: [] };
  const slides = new Map<SlideId, Slide>(deck.slides.map((slide) => [slide.id, slide]));
  const slideOfPart = new Map<PartId, SlideId>();
  if (edits.some(({ kind }) => kind === 'reword'))
    for (const slide of deck.slides) for (const part of slide.content) slideOfPart.set(part.id, slide.id);
  const removed: LeftOut[] = [];
  const unplaced: Unplaced[] = [];
  const made = new Map<SlideId, number>();

  for (const edit of edits) {
    const reason = apply(edit);
    if (reason !== undefined) unplaced.push({ edit, reason });
  }
  if (edits.every((edit) => !changesSlides(edit))) return { deck, unplaced };
  return {
    deck: {
      ...deck,
      slides: deck.slides.map((slide) => slides.get(slide.id)!),
      leftOut: [...deck.leftOut, ...removed],
    },
    unplaced,
  };

  function apply(edit: Edit): Unplaced['reason'] | undefined {
    switch (edit.kind) {
      case 'turn':
      case 'cut':
      case 'join':
        return blocks.has(edit.block) ? undefined : 'block-gone';
      case 'retitle': {
        const slide = slides.get(edit.slide);
        if (slide === undefined) return 'slide-gone';
        slides.set(slide.id, { ...slide, title: { ...slide.title, runs: edit.runs } });
        return undefined;
      }
      case 'reword': {
        const slide = slides.get(slideOfPart.get(edit.part) ?? ('' as SlideId));
        const part = slide?.content.find((candidate) => candidate.id === edit.part);
        if (slide === undefined || part === undefined || !('runs' in part)) return 'part-gone';
        if (edit.runs.length === 0) {
          slideOfPart.delete(part.id);
          removed.push(...part.blocks.map((block): LeftOut => ({ block, reason: 'removed' })));
        }
        const content = slide.content.flatMap((candidate) =>
          candidate !== part ? [candidate] : edit.runs.length === 0 ? [] : [{ ...part, runs: edit.runs }],
        );
        slides.set(slide.id, { ...slide, content });
        return undefined;
      }
      case 'renote': {
        const slide = slides.get(edit.slide);
        if (slide === undefined) return 'slide-gone';
        const old = slide.notes.filter((note) => edit.replaces.includes(note.id));
        if (edit.replaces.length > 0 && old.length === 0) return 'notes-gone';
        const first = made.get(slide.id) ?? 0;
        made.set(slide.id, first + edit.notes.length);
        const anchor = old[0]?.anchor ?? edit.anchor;
        const sources = [...new Set(old.flatMap((note) => note.blocks))];
        const fresh = edit.notes.map((note, i): Note => ({
          ...note,
          id: `${slide.id}!${first + i}`,
          anchor,
          // Which sentence came from which block is not known any more; the first stands for all.
          blocks: i === 0 ? sources : [],
        }));
        if (fresh.length === 0) removed.push(...sources.map((block): LeftOut => ({ block, reason: 'removed' })));
        const at =
          old.length > 0
            ? slide.notes.indexOf(old[0]!)
            : slide.notes.findLastIndex((note) => note.anchor === anchor) + 1;
        const rest = slide.notes.filter((note) => !old.includes(note));
        slides.set(slide.id, { ...slide, notes: [...rest.slice(0, at), ...fresh, ...rest.slice(at)] });
        return undefined;
      }
      // Done before slides were made.
      default:
        return undefined;
    }
  }
}

const TARGETED: ReadonlySet<string> = new Set([
  'turn',
  'cut',
  'join',
  'retitle',
  'reword',
  'renote',
] satisfies Edit['kind'][]);
const namesTarget = (edit: Edit): boolean => TARGETED.has(edit.kind);
const changesSlides = (edit: Edit): boolean =>
  edit.kind === 'retitle' || edit.kind === 'reword' || edit.kind === 'renote';
