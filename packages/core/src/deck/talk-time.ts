/** How long slides take to present: what is said of them, and what is looked at. */
import { runsText, runsWords, type Runs } from '../content/index.ts';
import type { Slide } from './deck.ts';

export interface TalkTime {
  /** Said: the notes, and what stands on the slide without being in them. */
  readonly words: number;
  /** While nothing is said. */
  readonly looking: number /* s */;
}

/** What the audience takes in before the talk goes on. Assumed, not measured: rehearsals will tell. */
const LOOKING = { table: 10, picture: 5, code: 10, question: 4 };

/** Paces at which people speak, in words a minute. */
export const [SLOWEST, QUICKEST] = [60, 240];

export const NO_TIME: TalkTime = { words: 0, looking: 0 };

export const longer = (a: TalkTime, b: TalkTime): TalkTime => ({
  words: a.words + b.words,
  looking: a.looking + b.looking,
});

/** @param pace Words a minute. */
export const secondsOf = ({ words, looking }: TalkTime, pace: number): number => (words / pace) * 60 + looking;

/** A question is given time to be thought about. */
const questionsIn = (runs: Runs): number =>
  runsText(runs).match(/[?？؟](?=["'”’»」』)\]]*(?:\s|$|\p{Lo}))/gu)?.length ?? 0;

/** Of a slide, or of one of its pages. */
export function talkTime({
  title,
  continues,
  content,
  notes,
}: Pick<Slide, 'title' | 'continues' | 'content' | 'notes'>): TalkTime {
  const spoken = new Set(notes.flatMap(({ blocks }) => blocks));
  let words = continues ? 0 : runsWords(title.runs);
  let looking = 0;
  for (const note of notes) {
    words += runsWords(note.runs);
    looking += questionsIn(note.runs) * LOOKING.question;
  }
  for (const part of content) {
    if (part.kind === 'table' || part.kind === 'picture') looking += LOOKING[part.kind];
    else if (part.kind === 'text' && part.style === 'code') looking += LOOKING.code;
    // What the notes say as a whole is not said a second time.
    else if (!part.blocks.some((block) => spoken.has(block))) {
      words += runsWords(part.runs);
      looking += questionsIn(part.runs) * LOOKING.question;
    }
  }
  return { words, looking };
}
