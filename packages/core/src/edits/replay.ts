/** Lays the author's work on slides over a computed deck. An edit that finds no target is kept and told, never dropped. */
import type { Content, Deck, Note, Point, PointLevel, Slide, SlideId } from '../deck/index.ts';
import { applyLook, changeSlides } from './apply-look.ts';
import { carry } from './carry.ts';
import { Desk } from './desk.ts';
import type { Edit } from './edit.ts';
import { RELIEVED, spokenInstead } from './spoken.ts';
import type { Unplaced, UnplacedReason } from './unplaced.ts';

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
  readonly made: Map<SlideId, number>;
}

// Most edits come on top of those before: then only the new ones are laid, over the desk as it was left.
let last: Laid | undefined;

/** @param blocks Ids that the document has; an edit of a block that is gone is unplaced. */
export function replay(deck: Deck, edits: readonly Edit[], blocks: ReadonlySet<string>): Replayed {
  if (!edits.some(({ kind }) => TARGETED.has(kind))) return { deck, unplaced: [] };
  const before = last !== undefined && goesOn(last, deck, edits, blocks) ? last : undefined;
  // The desk is worked on in place: a fault on the way must not leave half of it to the next replay.
  last = undefined;
  const { desk, unplaced, made }: Pick<Laid, 'desk' | 'unplaced' | 'made'> = before ?? {
    desk: new Desk(deck),
    unplaced: [],
    made: new Map<SlideId, number>(),
  };
  for (const edit of edits.slice(before?.edits.length ?? 0)) {
    const reason = apply(desk, edit, blocks, made);
    if (reason !== undefined) unplaced.push({ edit, reason });
  }
  last = { slides: deck.slides, blocks, edits: [...edits], desk, unplaced, made };
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

const TARGETED: ReadonlySet<string> = new Set([
  'turn',
  'cut',
  'join',
  'branch',
  'retitle',
  'reword',
  'renote',
  'order',
  'remove',
  'restore',
  'hide',
  'duplicate',
  'add',
  'insert',
  'carry',
  'level',
  'speak',
  'split',
  'merge',
  'fullAt',
  'arrange',
  'layout',
  'colors',
  'icon',
  'chart',
  'frame',
  'replace',
  'place',
  'alt',
  'drop',
] satisfies Edit['kind'][]);

function apply(
  desk: Desk,
  edit: Edit,
  blocks: ReadonlySet<string>,
  made: Map<SlideId, number>,
): UnplacedReason | undefined {
  // Ids are chosen by windows; one that is in use would make two things one.
  const fresh = newIdOf(edit);
  if (fresh !== undefined && (desk.slides.has(fresh as SlideId) || desk.slideOf(fresh) !== undefined))
    return 'id-taken';
  switch (edit.kind) {
    case 'turn':
    case 'cut':
    case 'join':
    case 'branch':
      return blocks.has(edit.block) ? undefined : 'block-gone';
    case 'retitle':
      return changeSlides(desk, [edit.slide], (slide) => ({ ...slide, title: { ...slide.title, runs: edit.runs } }));
    case 'reword':
      return reword(desk, edit);
    case 'renote':
      return withSlide(desk, edit.slide, (slide) => renote(desk, slide, edit, made));
    case 'order': {
      const there = edit.slides.filter((id) => desk.order.includes(id));
      const before = desk.placeOf(edit.before);
      if (there.length === 0 || before === undefined) return 'slide-gone';
      desk.move(there, before);
      return undefined;
    }
    case 'remove':
    case 'restore': {
      const there = edit.slides.filter((id) => desk.slides.has(id) && desk.isRemoved(id) === (edit.kind === 'restore'));
      if (there.length === 0) return 'slide-gone';
      if (edit.kind === 'remove') desk.remove(there);
      else desk.restore(there);
      return undefined;
    }
    case 'hide':
    case 'fullAt':
      return changeSlides(desk, edit.slides, (slide) => {
        if (edit.kind === 'hide') {
          const { hidden, ...shown } = slide;
          return edit.hidden ? { ...shown, hidden: true } : shown;
        }
        const { full, ...plainly } = slide;
        return edit.rule === null ? plainly : { ...plainly, full: edit.rule };
      });
    case 'duplicate':
      return withShown(desk, edit.slide, (slide) => {
        desk.insert(copyOf(slide, edit.as), slide.id);
        return undefined;
      });
    case 'add':
      if (edit.after !== null && !desk.order.includes(edit.after)) return 'slide-gone';
      desk.insert(
        {
          id: edit.slide,
          kind: 'content',
          title: { runs: edit.title, blocks: [] },
          content: [],
          notes: [],
          section: null,
          continues: false,
          passages: [],
        },
        edit.after,
      );
      return undefined;
    case 'insert':
      return withSlide(desk, edit.slide, (slide) => {
        if (slide.kind !== 'content') return 'no-room';
        const at = edit.after === null ? 0 : slide.content.findIndex(({ id }) => id === edit.after) + 1;
        const where = at === 0 && edit.after !== null ? slide.content.length : at;
        const point: Point = { kind: 'point', id: edit.part, level: edit.level, runs: edit.runs, blocks: [] };
        desk.settle({ ...slide, content: slide.content.toSpliced(where, 0, point) });
        return undefined;
      });
    case 'carry':
      return carry(desk, edit);
    case 'level': {
      const moved = new Set(edit.parts);
      const slides = new Set(edit.parts.map((id) => desk.slideOf(id)).filter((slide) => slide !== undefined));
      for (const slide of slides) {
        const content = slide.content.map((part): Content => {
          if (part.kind !== 'point' || !moved.has(part.id)) return part;
          return { ...part, level: Math.min(5, Math.max(1, part.level + edit.by)) as PointLevel };
        });
        desk.settle({ ...slide, content });
      }
      return slides.size === 0 ? 'part-gone' : undefined;
    }
    case 'speak':
      return edit.parts.map((id) => speak(desk, id)).includes(true) ? undefined : 'part-gone';
    case 'split':
      return withShown(desk, edit.slide, (slide) => split(desk, slide, edit));
    case 'merge':
      return withShown(desk, edit.slide, (slide) => {
        const into = desk.slides.get(edit.into);
        if (into === undefined || into === slide || desk.isRemoved(into.id)) return 'slide-gone';
        if (into.kind !== 'content' || slide.kind !== 'content') return 'no-room';
        desk.settle(merged(into, slide));
        desk.forget(slide.id);
        return undefined;
      });
    case 'arrange':
    case 'layout':
    case 'colors':
    case 'icon':
    case 'chart':
    case 'frame':
    case 'replace':
    case 'place':
    case 'alt':
    case 'drop':
      return applyLook(desk, edit);
    // Done before slides were made.
    default:
      return undefined;
  }
}

/** The id that an edit gives to what it makes. */
function newIdOf(edit: Edit): string | undefined {
  if (edit.kind === 'duplicate' || edit.kind === 'split') return edit.as;
  return edit.kind === 'add' ? edit.slide : edit.kind === 'insert' || edit.kind === 'place' ? edit.part : undefined;
}

function withSlide(
  desk: Desk,
  id: SlideId,
  change: (slide: Slide) => UnplacedReason | undefined,
): UnplacedReason | undefined {
  const slide = desk.slides.get(id);
  return slide === undefined ? 'slide-gone' : change(slide);
}

/** The same for a slide that has not been taken out. */
const withShown: typeof withSlide = (desk, id, change) =>
  desk.isRemoved(id) ? 'slide-gone' : withSlide(desk, id, change);

function reword(desk: Desk, edit: Edit & { kind: 'reword' }): UnplacedReason | undefined {
  const slide = desk.slideOf(edit.part);
  const part = slide?.content.find((candidate) => candidate.id === edit.part);
  if (slide === undefined || part === undefined || !('runs' in part)) return 'part-gone';
  if (edit.runs.length === 0) {
    desk.leaveOut(part.blocks);
    const before = slide.content[slide.content.indexOf(part) - 1]?.id ?? null;
    const notes = slide.notes.map((note) => (note.anchor === part.id ? { ...note, anchor: before } : note));
    desk.settle({ ...slide, content: slide.content.filter((one) => one !== part), notes });
  } else {
    const content = slide.content.map((one) => (one === part ? { ...part, runs: edit.runs } : one));
    desk.put({ ...slide, content });
  }
  return undefined;
}

function renote(
  desk: Desk,
  slide: Slide,
  edit: Edit & { kind: 'renote' },
  made: Map<SlideId, number>,
): UnplacedReason | undefined {
  const old = slide.notes.filter((note) => edit.replaces.includes(note.id));
  // Notes that a rule for full slides made: the rule comes later, and is told that they are written.
  const said = edit.replaces.flatMap((id) => (id.endsWith(RELIEVED) ? [id.slice(0, -RELIEVED.length)] : []));
  const saidParts = slide.content.filter(({ id }) => said.includes(id));
  if (edit.replaces.length > 0 && old.length === 0 && saidParts.length === 0) return 'notes-gone';
  const first = made.get(slide.id) ?? 0;
  made.set(slide.id, first + edit.notes.length);
  const anchor = old[0]?.anchor ?? edit.anchor;
  const sources = [...new Set([...old, ...saidParts].flatMap(({ blocks }) => blocks))];
  const fresh = edit.notes.map((note, i): Note => ({
    ...note,
    id: `${slide.id}!${first + i}`,
    anchor,
    // Which sentence came from which block is not known any more; the first stands for all.
    blocks: i === 0 ? sources : [],
  }));
  if (fresh.length === 0) desk.leaveOut(sources);
  const at =
    old.length > 0 ? slide.notes.indexOf(old[0]!) : slide.notes.findLastIndex((note) => note.anchor === anchor) + 1;
  const rest = slide.notes.filter((note) => !old.includes(note));
  desk.settle({
    ...slide,
    notes: [...rest.slice(0, at), ...fresh, ...rest.slice(at)],
    ...(said.length === 0 ? {} : { said: [...(slide.said ?? []), ...said] }),
  });
  return undefined;
}

/** @returns Whether there was such a part. */
function speak(desk: Desk, id: string): boolean {
  const slide = desk.slideOf(id);
  const part = slide?.content.find((one) => one.id === id);
  if (slide === undefined || part === undefined) return false;
  const { slide: changed, leftOut } = spokenInstead(slide, part);
  desk.leaveOut(leftOut);
  desk.settle(changed);
  return true;
}

function split(desk: Desk, slide: Slide, { part, as }: Edit & { kind: 'split' }): UnplacedReason | undefined {
  const at = slide.content.findIndex(({ id }) => id === part);
  if (at < 1) return 'part-gone';
  const later = slide.content.slice(at);
  const moved = new Set(later.map(({ id }) => id));
  const goes = (note: Note): boolean => note.anchor !== null && moved.has(note.anchor);
  const first = later.flatMap(({ blocks }) => blocks).find((block) => slide.passages.includes(block));
  const from = first === undefined ? slide.passages.length : slide.passages.indexOf(first);
  desk.settle({
    ...slide,
    content: slide.content.slice(0, at),
    notes: slide.notes.filter((note) => !goes(note)),
    passages: slide.passages.slice(0, from),
  });
  desk.insert(
    {
      ...slide,
      id: as,
      title: { runs: slide.title.runs, blocks: [] },
      content: later,
      notes: slide.notes.filter(goes),
      passages: slide.passages.slice(from),
      continues: true,
    },
    slide.id,
  );
  return undefined;
}

function merged(into: Slide, slide: Slide): Slide {
  const titled = slide.title.blocks.length > 0 || !slide.continues;
  const title: Point = {
    kind: 'point',
    id: `${slide.id}.title`,
    level: 1,
    runs: slide.title.runs,
    blocks: slide.title.blocks,
  };
  const below = slide.content.map((part): Content =>
    part.kind === 'point' && titled ? { ...part, level: Math.min(5, part.level + 1) as PointLevel } : part,
  );
  const anchor = titled ? title.id : (into.content.at(-1)?.id ?? null);
  return {
    ...into,
    content: [...into.content, ...(titled ? [title] : []), ...below],
    notes: [...into.notes, ...slide.notes.map((note) => (note.anchor === null ? { ...note, anchor } : note))],
    passages: [...into.passages, ...slide.passages],
  };
}

/** A copy with ids of its own; what it shows is accounted for by either. */
function copyOf(slide: Slide, as: SlideId): Slide {
  const own = (id: string): string => `${as}:${id}`;
  return {
    ...slide,
    id: as,
    content: slide.content.map((part) => ({ ...part, id: own(part.id) })),
    notes: slide.notes.map((note) => ({
      ...note,
      id: own(note.id),
      anchor: note.anchor === null ? null : own(note.anchor),
    })),
  };
}
