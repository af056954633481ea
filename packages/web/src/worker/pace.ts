/** How long the talk takes, slide by slide and as it was rehearsed, and what would bring it down to the time that there is. */
import {
  convertedWith,
  groupBy,
  LEAST_SHARE,
  leftFor,
  NEAR,
  runsText,
  secondsOf,
  QUICKEST,
  secondsOfDeck,
  shareFor,
  SLOWEST,
  timeOf,
  type Converted,
  type SingleEdit,
  type Slide,
  type SlideId,
} from '@alvex/core';
import type { Held } from './held.ts';
import type { Answers, Pace, Saving } from './questions.ts';

export function pace({ converted }: Held): Pace {
  const { pages, decisions } = converted;
  const rehearsals = [...decisions.rehearsals].map(([id, { began, seconds, stumbled }]) => ({
    id,
    began,
    seconds: seconds.reduce((sum, [, time]) => sum + time, 0),
    stumbled: stumbled.length,
    rate: rateOf(new Map(seconds), converted),
  }));
  const last = new Map([...decisions.rehearsals.values()].at(-1)?.seconds);
  return {
    pages: pages.map((page, i) => {
      const { key, slide, index, count } = page;
      const rehearsed = last.get(slide.id);
      return {
        key,
        number: i + 1,
        title: runsText(slide.title.runs),
        section: slide.section,
        opens: slide.kind === 'section' && index === 0,
        hidden: slide.hidden === true,
        seconds: secondsOf(timeOf([page]), decisions.pace),
        // A rehearsal knows slides; of one that goes on over several pages each has its part.
        rehearsed: rehearsed === undefined ? null : rehearsed / count,
      };
    }),
    rehearsals,
  };
}

/** The fewest words that tell how quickly somebody speaks. */
const FEWEST_WORDS = 40;

/** How many words a minute were spoken on slides that took so many seconds; null where too few were, or no pace comes of it. */
function rateOf(seconds: ReadonlyMap<SlideId, number>, { pages }: Converted): number | null {
  const { words, looking } = timeOf(pages.filter(({ slide }) => seconds.has(slide.id)));
  const spoken = [...seconds.values()].reduce((sum, one) => sum + one, 0) - looking;
  const rate = Math.round(words / (spoken / 60));
  return words >= FEWEST_WORDS && spoken > 0 && rate >= SLOWEST && rate <= QUICKEST ? rate : null;
}

/** The notes keep at least so much before anything is left out. */
const GENTLE = 0.5;
const MOST_BACK_UP = 1 / 3; // of the slides

/**
 * What brings the talk down to so many minutes, in order of least harm: main sentences in the notes, detail behind the closing, sections
 * left out, fewer sentences. Each saving is what it saves when those before it are made.
 * @returns null when the deck became another meanwhile.
 */
export async function savings(minutes: number, held: Held): Promise<Answers['savings']> {
  const wanted = minutes * 60;
  const longest = wanted * (1 + NEAR);
  const steps: Saving[] = [];
  let made = held.converted;
  let seconds = secondsOfDeck(made);
  const take = (kind: Saving['kind'], text: string, edits: readonly SingleEdit[]): void => {
    const next = convertedWith([...steps.flatMap((step) => step.edits), ...edits], held);
    const after = secondsOfDeck(next);
    // What saves next to nothing is no help.
    if (seconds - after < LEAST_SAVED) return;
    steps.push({ kind, text, seconds: seconds - after, edits });
    [made, seconds] = [next, after];
  };
  const shorten = (least: number): void => {
    const share = shareFor(convertedWith([...steps.flatMap(({ edits }) => edits), SPEAK_ALL], held), wanted);
    const now = made.decisions.speech;
    if (share === null) return;
    const less = Math.max(least, share);
    if (now === null || less < now) take('notes', String(less), [{ kind: 'speech', share: less }]);
  };
  if (seconds > longest) shorten(GENTLE);
  if (!(await held.pause())) return null;
  for (const slide of detailOf(made)) {
    if (seconds <= longest) break;
    const cost = secondsOf(timeOf(made.pages.filter((page) => page.slide.id === slide.id)), made.decisions.pace);
    // More than is over would leave too little.
    if (seconds - cost < wanted * (1 - NEAR)) continue;
    take('back-up', runsText(slide.title.runs), [
      { kind: 'order', slides: [slide.id], before: null },
      { kind: 'hide', slides: [slide.id], hidden: true },
    ]);
    if (!(await held.pause())) return null;
  }
  if (seconds > longest) {
    const left = leftFor(made, wanted, 'seconds');
    if (left !== undefined)
      take('sections', left.titles.join(' · '), [{ kind: 'leave', blocks: left.blocks, as: 'deleted' }]);
  }
  if (seconds > longest) shorten(LEAST_SHARE);
  return { steps, after: seconds, near: Math.abs(seconds - wanted) <= Math.max(60, wanted * NEAR) };
}
const SPEAK_ALL: SingleEdit = { kind: 'speech', share: null };
const LEAST_SAVED = 3; // seconds

/** Slides that can wait behind the closing: what is shown in detail first, then the longest. Never what begins a section or ends the talk. */
function detailOf({ deck, pages, decisions }: Converted): readonly Slide[] {
  const { slides } = deck;
  const pagesBy = groupBy(pages, ({ slide }) => slide.id);
  const time = ({ id }: Slide): number => secondsOf(timeOf(pagesBy.get(id) ?? []), decisions.pace);
  const detailed = ({ content }: Slide): boolean =>
    content.some((part) => part.kind === 'table' || (part.kind === 'text' && part.style === 'code'));
  const shown = slides.filter(({ hidden }) => hidden !== true);
  const may = shown.filter(
    (slide, i) =>
      i > 1 &&
      i < shown.length - 1 &&
      slide.kind === 'content' &&
      slide.matter === undefined &&
      shown[i - 1]!.kind !== 'section',
  );
  return may
    .toSorted((a, b) => Number(detailed(b)) - Number(detailed(a)) || time(b) - time(a))
    .slice(0, Math.floor(shown.length * MOST_BACK_UP));
}
