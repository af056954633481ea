/** Ways in which a remark might be mended, the gentlest first; whether one mends it is tried in `repairs.ts`. */
import { isMendable, type MendableKind, type Remark } from '../checks/index.ts';
import type { Slide } from '../deck/index.ts';
import { documentLanguage } from '../mapping/index.ts';
import type { Converted } from './convert.ts';
import type { Case, Finder, Way } from './repair-way.ts';
import {
  asColumns,
  describeByCaption,
  dropLink,
  numbersOfTable,
  otherGround,
  showLinked,
  wholePicture,
} from './ways-with-things.ts';
import {
  addToTitle,
  alike,
  dropNotes,
  fullAt,
  joinAbove,
  joinBelow,
  notesOnly,
  otherLayouts,
  shortenNotes,
  shortenPoints,
  shortenTitle,
  speakPoints,
  spellAlike,
  splitInHalf,
  tellNotes,
  toFront,
} from './ways-with-words.ts';

/** @param fresh Gives a name that nothing has yet, for what a way adds. */
export function* waysFor(remark: Remark, converted: Converted, fresh: () => string): Generator<Way, void> {
  const { kind } = remark;
  if (!isMendable(kind)) return;
  const { slides } = converted.deck;
  const at = slides.findIndex(({ id }) => id === remark.slide);
  const slide = slides[at];
  if (slide === undefined) return;
  const plainOne = (one: Slide | undefined): Slide | undefined =>
    one?.kind === 'content' && one.matter === undefined ? one : undefined;
  const one: Case = {
    remark,
    slide,
    above: plainOne(slides[at - 1]),
    below: plainOne(slides[at + 1]),
    language: documentLanguage(converted.document),
    converted,
    fresh,
  };
  for (const way of WAYS[kind]) yield* way(one);
}

const WAYS: Readonly<Record<MendableKind, readonly Finder[]>> = {
  'private-shown': [notesOnly],
  spills: [fullAt('continue', 'continue'), speakPoints, fullAt('to-notes', 'notes'), otherLayouts, splitInHalf],
  contrast: [otherGround, otherLayouts],
  'cover-not-first': [toFront],
  'small-points': [otherLayouts, fullAt('continue', 'continue'), speakPoints, shortenPoints, splitInHalf],
  'small-cells': [otherLayouts],
  'small-code': [fullAt('continue', 'continue'), otherLayouts],
  'small-figure': [otherLayouts, speakPoints, shortenPoints],
  'many-words': [speakPoints, shortenPoints, splitInHalf, fullAt('to-notes', 'notes')],
  'many-points': [speakPoints, splitInHalf, otherLayouts],
  'long-code': [fullAt('continue', 'continue')],
  'long-title': [shortenTitle],
  'repeated-title': [addToTitle, joinAbove],
  'cut-picture': [wholePicture, otherLayouts],
  'small-picture': [otherLayouts],
  'coarse-picture': [otherLayouts],
  bare: [tellNotes, joinBelow, joinAbove],
  'lone-point': [otherLayouts, tellNotes, joinAbove, joinBelow],
  'half-empty': [otherLayouts, joinBelow, joinAbove, tellNotes],
  'stale-numbers': [numbersOfTable],
  'spelt-twice': [spellAlike],
  undescribed: [describeByCaption],
  'color-alone': [asColumns],
  'dead-link': [dropLink],
  'hidden-link': [showLinked, dropLink],
  'title-twice': [addToTitle],
  'vague-title': [addToTitle],
  'unlike-points': [alike],
  'long-notes': [shortenNotes],
  'notes-repeat': [dropNotes],
  'same-layout': [otherLayouts],
};
