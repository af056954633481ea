/** Random work of an author on a deck, for tests of replay, undo and new editions. */
import { plain } from '../content/index.ts';
import { FULL_RULES, type Deck } from '../deck/index.ts';
import type { Edit, SlideEdit } from '../edits/index.ts';
import type { SlideId, PartId } from '../ids/index.ts';

/** One edit of slides that finds its targets in `deck`. @param i Makes new ids unique. */
export function randomSlideEdit(next: () => number, deck: Deck, i: number): SlideEdit | (Edit & { kind: 'fullAt' }) {
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
  const slide = pick(deck.slides);
  const other = pick(deck.slides);
  const part: PartId = pick(slide.content)?.id ?? pick(slide.notes)?.id ?? 'none';
  const text = plain(`written by hand ${i}`);
  const removed = deck.removed.map((one) => one.slide.id);
  switch (Math.floor(next() * 16)) {
    case 0:
      return { kind: 'retitle', slide: slide.id, runs: text };
    case 1:
      return { kind: 'reword', part, runs: next() < 0.3 ? [] : text };
    case 2:
      return {
        kind: 'renote',
        slide: slide.id,
        replaces: slide.notes.filter(() => next() < 0.6).map(({ id }) => id),
        anchor: pick(slide.content)?.id ?? null,
        notes: next() < 0.2 ? [] : [{ kind: 'paragraph', depth: 0, ordered: false, runs: text }],
      };
    case 3:
      return {
        kind: 'order',
        slides: deck.slides.filter(() => next() < 0.1).map(({ id }) => id),
        before: next() < 0.2 ? null : other.id,
      };
    case 4:
      return { kind: 'remove', slides: [slide.id] };
    case 5:
      return { kind: 'restore', slides: removed.slice(0, 1) };
    case 6:
      return { kind: 'hide', slides: [slide.id], hidden: next() < 0.6 };
    case 7:
      return { kind: 'duplicate', slide: slide.id, as: `d${i}` as SlideId };
    case 8:
      return { kind: 'add', slide: `a${i}` as SlideId, after: next() < 0.2 ? null : slide.id, title: text };
    case 9:
      return {
        kind: 'insert',
        slide: slide.id,
        part: `p${i}` as PartId,
        after: part,
        level: pick([1, 2, 3]),
        runs: text,
      };
    case 10:
    case 11:
      return {
        kind: 'carry',
        parts: [part, pick(slide.notes)?.id ?? part],
        to: other.id,
        before: next() < 0.5 ? null : (pick(other.content)?.id ?? null),
      };
    case 12:
      return { kind: 'level', parts: slide.content.filter(() => next() < 0.4).map(({ id }) => id), by: pick([-1, 1]) };
    case 13:
      return { kind: 'speak', parts: [part] };
    case 14:
      return next() < 0.5
        ? { kind: 'split', slide: slide.id, part, as: `s${i}` as SlideId }
        : { kind: 'merge', slide: slide.id, into: other.id };
    default:
      return { kind: 'fullAt', slides: [slide.id], rule: next() < 0.3 ? null : pick(FULL_RULES) };
  }
}
