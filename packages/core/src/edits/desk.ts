/** The slides while edits are laid over them: their order, what was taken out, and which slide has which part. */
import type { Content, Deck, LeftOut, PointLevel, RemovedSlide, Slide } from '../deck/index.ts';
import { matterOf, type BlockId, type NoteId, type PartId, type SlideId } from '../ids/index.ts';
import type { UnplacedReason } from './reason.ts';

export class Desk {
  readonly slides: Map<SlideId, Slide>;
  order: SlideId[];
  readonly #leftOut: LeftOut[] = [];
  /** The slide before which each removed one stood. */
  readonly #removed = new Map<SlideId, SlideId | null>();
  #slideOfPart: Map<PartId | NoteId, SlideId> | undefined;
  #touched = false;
  #moved = false;

  readonly #blocks: ReadonlySet<string>;
  readonly #written = new Map<SlideId, number>();

  /** @param blocks Ids that the document has. */
  constructor(deck: Deck, blocks: ReadonlySet<string>) {
    this.#blocks = blocks;
    this.slides = new Map(deck.slides.map((slide) => [slide.id, slide]));
    this.order = deck.slides.map(({ id }) => id);
  }

  put(slide: Slide): void {
    this.slides.set(slide.id, slide);
    this.#touched = true;
  }

  /** The slide that a part or a note stands on. Ids of points come before those of notes. */
  slideOf(part: PartId | NoteId): Slide | undefined {
    if (this.#slideOfPart === undefined) {
      const places = (this.#slideOfPart = new Map<PartId | NoteId, SlideId>());
      for (const slide of this.slides.values()) for (const note of slide.notes) places.set(note.id, slide.id);
      for (const slide of this.slides.values()) for (const one of slide.content) places.set(one.id, slide.id);
    }
    const id = this.#slideOfPart.get(part);
    return id === undefined ? undefined : this.slides.get(id);
  }

  /** A part, and the slide that it stands on. */
  find(id: PartId): { readonly slide: Slide | undefined; readonly part: Content | undefined } {
    const slide = this.slideOf(id);
    return { slide, part: slide?.content.find((one) => one.id === id) };
  }

  blockGone(block: BlockId): UnplacedReason | undefined {
    return this.#blocks.has(block) ? undefined : 'block-gone';
  }

  /** Changes slides where they stand. */
  change(ids: readonly SlideId[], change: (slide: Slide) => Slide): UnplacedReason | undefined {
    const found = ids.flatMap((id) => this.slides.get(id) ?? []);
    for (const slide of found) this.put(change(slide));
    return found.length === 0 ? 'slide-gone' : undefined;
  }

  changePart<K extends Content['kind']>(
    id: PartId,
    kind: K,
    change: (part: Content & { readonly kind: K }) => Content,
  ): UnplacedReason | undefined {
    const { slide, part } = this.find(id);
    if (slide === undefined || part === undefined || !isOfKind(part, kind)) return 'part-gone';
    this.put({ ...slide, content: slide.content.map((one) => (one === part ? change(part) : one)) });
    return undefined;
  }

  /** Does something with a slide that has not been taken out. */
  withShown(id: SlideId, change: (slide: Slide) => UnplacedReason | undefined): UnplacedReason | undefined {
    const slide = this.slides.get(id);
    return slide === undefined || this.isRemoved(id) ? 'slide-gone' : change(slide);
  }

  /** Counts notes that the author writes on a slide. @returns The number of the first. */
  writtenNotes(slide: SlideId, more: number): number {
    const first = this.#written.get(slide) ?? 0;
    this.#written.set(slide, first + more);
    return first;
  }

  /** Whether an id names something already. */
  isTaken(id: SlideId | PartId): boolean {
    return this.slides.has(id as SlideId) || this.slideOf(id as PartId) !== undefined;
  }

  /** Parts are somewhere else now. */
  settle(slide: Slide): void {
    this.put({ ...slide, content: nested(slide.content) });
    if (this.#slideOfPart === undefined) return;
    for (const note of slide.notes) this.#slideOfPart.set(note.id, slide.id);
    for (const part of slide.content) this.#slideOfPart.set(part.id, slide.id);
  }

  leaveOut(blocks: readonly BlockId[]): void {
    this.#leftOut.push(...asRemoved(blocks));
  }

  insert(slide: Slide, after: SlideId | null): void {
    this.settle(slide);
    this.order.splice(after === null ? 0 : this.order.indexOf(after) + 1, 0, slide.id);
    this.#moved = true;
  }

  /**
   * A slide before which others can be put; null is the end. Where front or back matter was sent away, what stands in its place.
   * @returns undefined when the slide is gone.
   */
  placeOf(before: SlideId | null): SlideId | null | undefined {
    if (before === null || this.stands(before)) return before;
    const matter = matterOf(before);
    if (matter === undefined) return undefined;
    if (matter !== 'agenda') return null;
    return this.order.find((id) => this.slides.get(id)!.kind !== 'cover') ?? null;
  }

  move(slides: readonly SlideId[], before: SlideId | null): void {
    const moved = new Set(slides);
    const taken = this.order.filter((id) => moved.has(id));
    const rest = this.order.filter((id) => !moved.has(id));
    const at = before === null ? rest.length : rest.indexOf(before);
    if (at >= 0) rest.splice(at, 0, ...taken);
    this.order = at >= 0 ? rest : this.order;
    this.#moved = this.#touched = true;
  }

  remove(slides: readonly SlideId[]): void {
    const gone = new Set(slides);
    let before: SlideId | null = null;
    for (const id of this.order.toReversed()) {
      if (gone.has(id)) this.#removed.set(id, before);
      else before = id;
    }
    this.order = this.order.filter((id) => !gone.has(id));
    this.#moved = this.#touched = true;
  }

  /** Whether it is one of the slides in order. */
  stands(slide: SlideId): boolean {
    return this.slides.has(slide) && !this.#removed.has(slide);
  }

  isRemoved(slide: SlideId): boolean {
    return this.#removed.has(slide);
  }

  restore(slides: readonly SlideId[]): void {
    for (const id of slides) {
      const before = this.#standing(this.#removed.get(id) ?? null);
      this.#removed.delete(id);
      const at = before === null ? this.order.length : this.order.indexOf(before);
      this.order.splice(at, 0, id);
    }
    this.#moved = this.#touched = true;
  }

  /** A slide that went on another: it is no more. */
  forget(slide: SlideId): void {
    this.order = this.order.filter((id) => id !== slide);
    this.slides.delete(slide);
    this.#moved = this.#touched = true;
  }

  /** A deck with the slides as they lie on the desk now. */
  deck(deck: Deck): Deck {
    if (!this.#touched) return deck;
    const slides = this.#withoutBlank(this.order.map((id) => this.slides.get(id)!));
    const removed = [...this.#removed].map(([id, before]): RemovedSlide => ({
      slide: this.slides.get(id)!,
      before: this.#standing(before),
    }));
    const out = removed.flatMap(({ slide }) => [slide.title, ...slide.content, ...slide.notes]);
    return {
      ...deck,
      slides: this.#moved ? inSections(slides) : slides,
      removed,
      leftOut: [...deck.leftOut, ...this.#leftOut, ...asRemoved(out.flatMap(({ blocks }) => blocks))],
    };
  }

  #standing(slide: SlideId | null): SlideId | null {
    let standing = slide;
    while (standing !== null && this.#removed.has(standing)) standing = this.#removed.get(standing)!;
    return standing !== null && this.stands(standing) ? standing : null;
  }

  /** A slide that only repeated a title and has lost all that stood on it is no more; its passages stand with the one before it. */
  #withoutBlank(slides: readonly Slide[]): readonly Slide[] {
    const kept: Slide[] = [];
    for (const slide of slides) {
      const last = kept.at(-1);
      const blank = slide.continues && slide.content.length === 0 && slide.notes.length === 0;
      if (!blank || last === undefined) kept.push(slide);
      else if (slide.passages.length > 0)
        kept[kept.length - 1] = { ...last, passages: [...last.passages, ...slide.passages] };
    }
    return kept;
  }
}

const isOfKind = <K extends Content['kind']>(part: Content, kind: K): part is Content & { readonly kind: K } =>
  part.kind === kind;

const asRemoved = (blocks: readonly BlockId[]): readonly LeftOut[] =>
  blocks.map((block) => ({ block, reason: 'removed' }));

/** No level is skipped, whatever was moved. */
export function nested(content: readonly Content[]): readonly Content[] {
  let above = 0;
  let changed = false;
  const result = content.map((part) => {
    if (part.kind !== 'point') return part;
    const level = Math.min(part.level, above + 1) as PointLevel;
    above = level;
    if (level === part.level) return part;
    changed = true;
    return { ...part, level };
  });
  return changed ? result : content;
}

function inSections(slides: readonly Slide[]): readonly Slide[] {
  let section: string | null = null;
  return slides.map((slide) => {
    if (slide.kind === 'section') section = slide.title.runs.map(({ text }) => text).join('');
    return slide.section === section ? slide : { ...slide, section };
  });
}
