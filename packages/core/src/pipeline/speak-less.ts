/** Takes the notes that the document gives down to their main sentences, for a shorter talk. What is dropped is left out and told of. */
import { plain, runsText, sliceRuns, type Runs } from '../content/index.ts';
import type { Note, Slide } from '../deck/index.ts';
import { isWrittenNote, type BlockId } from '../ids/index.ts';
import { isWhole, shorten, splitSentences, type Kept, type Language } from '../shorten/index.ts';

export interface SpokenLess {
  readonly slide: Slide;
  /** Blocks of which no sentence was chosen. */
  readonly dropped: readonly BlockId[];
}

const known = new WeakMap<Slide, SpokenLess & { readonly share: number; readonly byHand: ReadonlySet<BlockId> }>();

/**
 * @param share Of the words of its notes.
 * @param byHand Blocks whose mark the author turned: what somebody wants spoken is spoken.
 * @returns The same slide where nothing can be taken off.
 */
export function speakLess(slide: Slide, share: number, byHand: ReadonlySet<BlockId>, language: Language): SpokenLess {
  const before = known.get(slide);
  if (before !== undefined && before.share === share && sameNotes(slide, before.byHand, byHand)) return before;
  const result = { ...shortened(slide, share, byHand, language), share, byHand };
  known.set(slide, result);
  return result;
}

const sameNotes = ({ notes }: Slide, before: ReadonlySet<BlockId>, now: ReadonlySet<BlockId>): boolean =>
  before === now || notes.every(({ blocks }) => blocks.every((block) => before.has(block) === now.has(block)));

/** Items of lists stay as they are: they are short, and one that is missing is missed. */
function shortened(slide: Slide, share: number, byHand: ReadonlySet<BlockId>, language: Language): SpokenLess {
  const open = slide.notes.filter(
    ({ kind, id, blocks }) => kind === 'paragraph' && !isWrittenNote(id) && !blocks.some((block) => byHand.has(block)),
  );
  if (open.length === 0) return { slide, dropped: [] };
  const texts = open.map(({ runs }) => runsText(runs));
  const chosen = shorten(texts, share, language).map((kept, i) => wholeSentences(kept, texts[i]!, language));
  const ranges = new Map(open.map((note, i) => [note, chosen[i]!]));
  const notes = slide.notes.flatMap((note): readonly Note[] => {
    const sentences = ranges.get(note);
    if (sentences === undefined || isWhole(sentences.flat(), runsText(note.runs))) return [note];
    return sentences.length === 0 ? [] : [{ ...note, runs: together(note.runs, sentences), kept: sentences.flat() }];
  });
  const still = new Set(notes.flatMap(({ blocks }) => blocks));
  const dropped = open.flatMap(({ blocks }) => blocks).filter((block) => !still.has(block));
  return { slide: { ...slide, notes }, dropped };
}

const together = (runs: Runs, sentences: readonly Kept[]): Runs =>
  sentences.flatMap((one, i): Runs => [
    ...(i === 0 ? [] : plain(' ')),
    ...one.flatMap((range) => sliceRuns(runs, ...range)),
  ]);

/** Sentences that were chosen, as the author wrote them: what is trimmed for a slide would be stumbled over when it is said. */
function wholeSentences(chosen: readonly Kept[], text: string, language: Language): readonly Kept[] {
  const sentences = splitSentences(text, language);
  return chosen.flatMap((kept) => {
    const at = kept[0]?.[0] ?? -1;
    const sentence = sentences.find(([from, to]) => from <= at && at < to);
    return sentence === undefined ? [] : [[sentence]];
  });
}
