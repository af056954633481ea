/** Takes text off a slide that holds too much, where the rule says so: running text is spoken, or sentences are chosen and trimmed. */
import { groupBy } from '../base/index.ts';
import { runsText, runsWords, type Picture, type PictureId, type Runs } from '../content/index.ts';
import {
  DENSITIES,
  type Content,
  type FullRule,
  type Note,
  type Point,
  type Range,
  type Slide,
  type TextPart,
} from '../deck/index.ts';
import { spoken } from '../edits/index.ts';
import { textFits } from '../layout/index.ts';
import { keptRuns, shorten, type Language } from '../shorten/index.ts';
import type { Theme } from '../theme/index.ts';
import { relievedNote, type PartId } from '../ids/index.ts';

export interface ReliefOptions {
  readonly theme: Theme;
  readonly full: FullRule;
  readonly pictures: ReadonlyMap<PictureId, Picture>;
  readonly language: Language;
}

const known = new WeakMap<
  Slide,
  { readonly layouts: Theme['layouts']; readonly rule: FullRule; readonly relieved: Slide }
>();

/** @returns The same slide where it fits, or where the rule leaves its text alone. */
export function relieve(slide: Slide, options: ReliefOptions): Slide {
  const rule = slide.full ?? options.full;
  if ((rule !== 'notes' && rule !== 'shorten') || slide.kind !== 'content' || slide.content.length === 0) return slide;
  const before = known.get(slide);
  if (before?.rule === rule && before.layouts === options.theme.layouts) return before.relieved;
  const { theme } = options;
  const result = textFits(slide, theme)
    ? slide
    : rule === 'notes'
      ? speakProse(slide, theme)
      : shortened(slide, options);
  known.set(slide, { layouts: theme.layouts, rule, relieved: result });
  return result;
}

const PROSE = 25; // words; a point that is longer is running text

const isProse = (part: Content): boolean =>
  part.kind === 'text' ? part.style !== 'code' : part.kind === 'point' && runsWords(part.runs) > PROSE;

/** Speaks running text from the last to the first, no more of it than must be. What remains is continued. */
function speakProse(slide: Slide, theme: Theme): Slide {
  const prose = slide.content.filter(isProse).toReversed();
  // The fewest that make it fit, found by halves: a slide may hold a whole document.
  let [least, most] = [1, prose.length];
  while (least < most) {
    const middle = (least + most) >> 1;
    const spoken = new Set(prose.slice(0, middle));
    if (textFits({ ...slide, content: slide.content.filter((part) => !spoken.has(part)) }, theme)) most = middle;
    else least = middle + 1;
  }
  return relieved(slide, new Map(prose.slice(0, most).map((part) => [part, 'speak'])));
}

const SHORT = 8; // words; what is shorter is left alone

/** Shortens by one density after another until the rest fits. */
function shortened(slide: Slide, { theme, language }: ReliefOptions): Slide {
  const long = slide.content.filter(
    (part): part is Point | TextPart =>
      (part.kind === 'point' || (part.kind === 'text' && part.style === 'body')) &&
      part.kept === undefined &&
      runsWords(part.runs) > SHORT,
  );
  let result = slide;
  for (const density of DENSITIES) {
    if (density === 'words') break;
    const kept = shorten(
      long.map(({ runs }) => runsText(runs)),
      density,
      language,
    );
    result = relieved(slide, new Map(long.map((part, i) => [part, kept[i]!.length === 0 ? 'speak' : kept[i]!.flat()])));
    if (textFits(result, theme)) break;
  }
  return result;
}

/** `speak`, or the ranges of its text that a part keeps. */
type Relief = 'speak' | readonly Range[];

/** Does to many parts of a slide at once what is to be done: their words are spoken in their places. */
function relieved(slide: Slide, reliefs: ReadonlyMap<Content, Relief>): Slide {
  const own = groupBy(slide.notes, ({ anchor }) => anchor);
  const inNotes = new Set(slide.notes.flatMap(({ blocks }) => blocks));
  const content: Content[] = [];
  const notes: Note[] = [...(own.get(null) ?? [])];
  const explaining = (part: Content, anchor: PartId | null): readonly Note[] =>
    (own.get(part.id) ?? []).map((note) => (note.anchor === anchor ? note : { ...note, anchor }));
  for (const part of slide.content) {
    const relief = reliefs.get(part);
    const said = slide.said?.includes(part.id) === true;
    if (relief === 'speak') {
      const anchor = content.at(-1)?.id ?? null;
      // What was shortened is spoken in full already.
      const inFull = part.kept !== undefined && part.blocks.some((block) => inNotes.has(block));
      notes.push(...(said || inFull ? [] : spoken(part, anchor, relievedNote)), ...explaining(part, anchor));
      continue;
    }
    const runs = relief === undefined || !('runs' in part) ? undefined : keptRuns(part.runs, relief, undefined);
    const shorter = runs !== undefined && 'runs' in part && runsText(runs) !== runsText(part.runs);
    content.push(shorter ? { ...part, runs, kept: relief as readonly Range[] } : part);
    if (shorter && !said) notes.push({ ...wholeOf(part), anchor: part.id });
    notes.push(...explaining(part, part.id));
  }
  const there = new Set(slide.content.map(({ id }) => id));
  notes.push(...slide.notes.filter(({ anchor }) => anchor !== null && !there.has(anchor)));
  return { ...slide, content, notes };
}

/** All of a part's text, as a paragraph to be spoken. */
const wholeOf = (part: Content & { readonly runs: Runs }): Omit<Note, 'anchor'> => ({
  kind: 'paragraph',
  depth: 0,
  ordered: false,
  id: relievedNote(part.id),
  runs: part.runs,
  blocks: part.blocks,
});
