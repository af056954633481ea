/** How long a deck could be: three lengths, the headings that its slides could begin at, and what comes to so many minutes. */
import { secondsOf } from '../deck/index.ts';
import { findTitle, headingLevels, type DocumentModel, type Level } from '../document/index.ts';
import { wayEdits, type Edit, type SingleEdit, type WaySettings } from '../edits/index.ts';
import { timeOf } from '../layout/index.ts';
import { mapForLevel, presetRecipe, sectionsToLeave, type PresetName } from '../mapping/index.ts';
import { arrangedFor } from './beginning.ts';
import { convert, timeSpeaking, type Converted, type Templates } from './convert.ts';
import { LENGTH_MAPS, LENGTH_NAMES, NEAR, type LengthName } from './length-maps.ts';

/** A deck with what it was made of. */
export interface MadeDeck {
  /** The edition in force, as it was read. */
  readonly document: DocumentModel;
  readonly edits: readonly Edit[];
  readonly converted: Converted;
  readonly templates: Templates;
  /** Lets others go on in between. @returns false when the question is out of date. */
  readonly pause: () => Promise<boolean>;
}
/** What a deck would come to, and what makes it so. */
export interface Choice {
  readonly slides: number;
  readonly seconds: number;
  readonly edits: readonly SingleEdit[];
}
export interface Fitting extends Choice {
  /** Share of the notes that is said; null for all. */
  readonly speech: number | null;
  /** Sections that are left out. */
  readonly without: readonly string[];
  /** It comes to what is wanted. */
  readonly near: boolean;
}

/** @returns null when the deck became another meanwhile. */
export async function lengths(held: MadeDeck): Promise<Readonly<Record<LengthName, Choice>> | null> {
  const made: Partial<Record<LengthName, Choice>> = {};
  for (const name of LENGTH_NAMES) {
    const { map, speech } = LENGTH_MAPS[name];
    made[name] = choiceOf(settingsOf(held.converted, map, speech), held);
    if (!(await held.pause())) return null;
  }
  return made as Record<LengthName, Choice>;
}

/** A choice for each heading level below the title that the document uses; none where there is but one. */
export async function levels(held: MadeDeck): Promise<readonly (Choice & { readonly level: Level })[]> {
  const { document } = held.converted;
  const used = headingLevels(document.blocks, findTitle(document.blocks));
  if (used.length < 2) return [];
  const made: (Choice & { readonly level: Level })[] = [];
  for (const level of used) {
    const settings = { ...settingsOf(held.converted, 'fitted', null), name: null, ...mapForLevel(document, level) };
    made.push({ level, ...choiceOf(settings, held) });
    if (!(await held.pause())) return [];
  }
  return made;
}

/** Shares of the notes: less would be no talk any more. */
export const LEAST_SHARE = 0.15;
const MOST_SHARE = 0.9;
const HALVINGS = 6;

/** Notes are shortened first, then a map with fewer slides is taken, then sections are left out. */
export async function fitting(minutes: number, held: MadeDeck): Promise<Fitting | null> {
  const wanted = minutes * 60;
  const longest = wanted * (1 + NEAR);
  let settings = settingsOf(held.converted, 'fitted', null);
  for (const map of ['fitted', 'briefing'] as const) {
    const whole = settingsOf(held.converted, map, null);
    const made = convertedWith(wayEdits(whole), held);
    if (!(await held.pause())) return null;
    const share = shareFor(made, wanted);
    settings = share === null ? whole : { ...whole, speech: share };
    if (share === null || secondsSpeaking(made, share) <= longest) break;
  }
  const left =
    settings.speech === LEAST_SHARE ? leftFor(convertedWith(wayEdits(settings), held), wanted, 'seconds') : undefined;
  const leave: readonly SingleEdit[] =
    left === undefined ? [] : [{ kind: 'leave', blocks: left.blocks, as: 'deleted' }];
  const choice = choiceOf(settings, held, leave);
  return {
    ...choice,
    speech: settings.speech ?? null,
    without: left?.titles ?? [],
    near: Math.abs(choice.seconds - wanted) <= Math.max(60, wanted * NEAR),
  };
}

export const secondsOfDeck = ({ pages, decisions }: Converted): number => secondsOf(timeOf(pages), decisions.pace);

const secondsSpeaking = (made: Converted, share: number): number =>
  secondsOf(timeSpeaking(made, share), made.decisions.pace);

/** The share of the notes at which a deck comes nearest to so many seconds; null where all of them are short enough. */
export function shareFor(made: Converted, wanted: number): number | null {
  if (secondsOfDeck(made) <= wanted * (1 + NEAR)) return null;
  let [low, high] = [LEAST_SHARE, MOST_SHARE];
  if (secondsSpeaking(made, low) > wanted) return low;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (secondsSpeaking(made, middle) <= wanted) low = middle;
    else high = middle;
  }
  // Sentences go as a whole: the next share may come nearer.
  const nearer = secondsSpeaking(made, high) - wanted < wanted - secondsSpeaking(made, low);
  return Math.round((nearer ? high : low) * 100) / 100;
}

/** Sections to leave out, so that what is left comes to so many slides or seconds. */
export function leftFor({ pages, document, decisions }: Converted, wanted: number, unit: 'slides' | 'seconds') {
  const costs = pages.map((page) => ({
    block: page.slide.title.blocks[0] ?? page.slide.passages[0],
    cost: unit === 'slides' ? 1 : secondsOf(timeOf([page]), decisions.pace),
  }));
  return sectionsToLeave(document, costs, wanted);
}

const settingsOf = ({ document, decisions }: Converted, name: PresetName, speech: number | null): WaySettings => ({
  name,
  ...presetRecipe(name, document),
  full: decisions.full,
  ...(speech === null ? {} : { speech }),
});

/** @param leave Changes of the document that go along. */
function choiceOf(settings: WaySettings, held: MadeDeck, leave: readonly SingleEdit[] = []): Choice {
  const { converted, templates } = held;
  const document = leave.length === 0 ? converted.document : convertedWith(leave, held).document;
  const edits = [...leave, ...arrangedFor(document, wayEdits(settings), held.edits, templates)];
  const made = convertedWith(edits, held);
  return { slides: made.pages.length, seconds: secondsOfDeck(made), edits };
}

export const convertedWith = (
  edits: readonly SingleEdit[],
  { document, edits: before, converted, templates }: MadeDeck,
): Converted => convert(document, [...before, ...edits], converted, templates);
