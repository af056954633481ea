/** What a slide says of text that is spoken: for maps that leave no slide with a title alone. */
import { plain, readWords, runsText, type Runs } from '../content/index.ts';
import type { Content, Note, Point, Slide } from '../deck/index.ts';
import { partWithin } from '../ids/index.ts';
import { keptRuns, shorterBeginning, telling, TELLING, type Kept, type Language, type Told } from '../shorten/index.ts';

/** An item of more words says its beginning, and is spoken as a whole. */
const LONGEST_ITEM = 26;

const ELLIPSIS = plain(' …');
const toldRuns = (runs: Runs, { kept, cut }: Told): Runs => {
  const said = keptRuns(runs, kept, undefined);
  return cut ? [...said, ...ELLIPSIS] : said;
};

/** @returns null where the item is short enough as it is. */
export function toldItem(runs: Runs, language: Language): { readonly runs: Runs; readonly kept: Kept } | null {
  const told = shorterBeginning(runsText(runs), language, LONGEST_ITEM);
  return told === null ? null : { runs: toldRuns(runs, told), kept: told.kept };
}

/** Lines of code that leave room for a sentence above them. */
const FEW_LINES = 9;

/**
 * A slide with nothing but a title says the sentences of its notes that tell most; one with a little code says what it is.
 * One with neither opens what comes after it.
 * @param onlySpoken What somebody has said is to be spoken, or what is not for the audience: nothing of it is shown.
 * @param aside What only adds to what is said, as a footnote does: it is shown where there is nothing else.
 */
export function tell(
  slide: Slide,
  language: Language,
  onlySpoken: (note: Note) => boolean,
  aside: (note: Note) => boolean,
): Slide {
  if (slide.kind !== 'content') return slide;
  const { content } = slide;
  const shown = slide.notes.filter((note) => !onlySpoken(note));
  const main = shown.filter((note) => !aside(note));
  const notes = main.length > 0 ? main : shown;
  const prose = notes.filter(({ runs }) => !isLabel(runs));
  const spoken = prose.length > 0 ? prose : notes;
  if (content.length === 0)
    return spoken.length === 0
      ? { ...slide, kind: 'section' }
      : said(slide, spoken, telling(textsOf(spoken), language));
  const [code] = content;
  const lone = content.length === 1 && code?.kind === 'text' && code.style === 'code';
  if (!lone || spoken.length === 0 || runsText(code.runs).split('\n').length > FEW_LINES) return slide;
  const before = spoken.filter(({ anchor }) => anchor === null);
  const one = telling(textsOf(before.length > 0 ? before : spoken), language, { ...TELLING, sentences: 1, words: 1 });
  return said(slide, before.length > 0 ? before : spoken, one);
}

/** A line that only names what follows it: bold throughout, or a few words that end as no sentence does. */
function isLabel(runs: Runs): boolean {
  const text = runsText(runs).trim();
  const bold = runs.every((run) => run.bold === true || run.text.trim() === '');
  return !SENTENCE_END.test(text) && (bold || readWords(text) <= LONGEST_LABEL);
}
export const SENTENCE_END = /[.!?…。！？؟।]["”’»)\]]*$/u;
const LONGEST_LABEL = 5;

const textsOf = (notes: readonly Note[]): readonly string[] => notes.map(({ runs }) => runsText(runs));

/** Puts what is told of notes before the rest of a slide. A note that is told as a whole need not be spoken too. */
function said(slide: Slide, notes: readonly Note[], told: readonly (readonly Told[])[]): Slide {
  const points: Point[] = [];
  const whole = new Set<Note>();
  const title = letters(runsText(slide.title.runs));
  const isTitle = (note: Note, { kept, cut }: Told): boolean => !cut && letters(textIn(note, kept)) === title;
  // A sentence that is the title is not said below it too, unless nothing else is.
  const others = told.map((sentences, i) => sentences.filter((one) => !isTitle(notes[i]!, one)));
  const spoken = others.some((sentences) => sentences.length > 0) ? others : told;
  notes.forEach((note, i) => {
    const [block] = note.blocks;
    const sentences = spoken[i]!;
    if (block === undefined || sentences.length === 0) return;
    sentences.forEach((one, k) =>
      points.push({
        kind: 'point',
        level: 1,
        id: partWithin(block, k),
        blocks: note.blocks,
        runs: toldRuns(note.runs, one),
        kept: one.kept,
      }),
    );
    const shown = sentences.map(({ kept }) => textIn(note, kept)).join('');
    if (!sentences.some(({ cut }) => cut) && letters(shown) === letters(runsText(note.runs))) whole.add(note);
  });
  const content: readonly Content[] = [...points, ...slide.content];
  return { ...slide, content, notes: slide.notes.filter((note) => !whole.has(note)) };
}

const textIn = ({ runs }: Note, kept: Kept): string =>
  kept.map(([from, to]) => runsText(runs).slice(from, to)).join('');

const letters = (text: string): string => text.replace(/[^\p{L}\p{N}]+/gu, '').toLowerCase();

/** The cover goes before what stands before the title: a letterhead, a contents list, a note. */
export function coverFirst(slides: readonly Slide[]): readonly Slide[] {
  const at = slides.findIndex(({ kind }) => kind === 'cover');
  return at <= 0 ? slides : [slides[at]!, ...slides.slice(0, at), ...slides.slice(at + 1)];
}
