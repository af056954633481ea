/** What would make a slide better, with what to do: fewer points, points that begin alike, a title, notes that can be spoken. */
import { plain, retext, runsText, runsWords, type Runs } from '../content/index.ts';
import type { Content, Density, Note, Point, Slide } from '../deck/index.ts';
import {
  beginningOf,
  cosine,
  inForm,
  keptRuns,
  marginal,
  shorten,
  titleFrom,
  vectorsOf,
  worths,
  type Language,
  type VerbForm,
} from '../shorten/index.ts';
import { type NoteId, type PartId } from '../ids/index.ts';

/** Another wording of one part. */
export interface Proposal {
  readonly part: PartId;
  readonly from: Runs;
  readonly to: Runs;
}

const points = (slide: Slide): readonly Point[] => slide.content.filter((part): part is Point => part.kind === 'point');

/** The points of the highest level, each with those below it. */
export function branches(
  content: readonly Content[],
): readonly { readonly head: Point; readonly parts: readonly PartId[] }[] {
  const found: { head: Point; parts: PartId[] }[] = [];
  for (const part of content) {
    if (part.kind !== 'point') continue;
    if (part.level === 1 || found.length === 0) found.push({ head: part, parts: [part.id] });
    else found.at(-1)!.parts.push(part.id);
  }
  return found;
}

/** Parts to be spoken so that `most` points of the highest level stay: those that say most, each something else. */
export function partsToSpeak(slide: Slide, most: number, language: Language): readonly PartId[] {
  const all = branches(slide.content);
  if (all.length <= most) return [];
  const textById = new Map(points(slide).map(({ id, runs }) => [id, runsText(runs)]));
  const texts = all.map(({ parts }) => parts.map((id) => textById.get(id) ?? '').join('. '));
  const vectors = vectorsOf(texts, language);
  const worth = worths(
    texts,
    texts.map(() => false),
    vectors,
    language,
  );
  const kept = new Set(
    marginal(
      // All are worth something: only their order counts here.
      worth.map((value) => value + 1),
      vectors,
      worth.map(() => 1),
      most,
      VARIED,
    ),
  );
  return all.flatMap(({ parts }, i) => (kept.has(i) ? [] : parts));
}

/** What worth counts where no two of a few points may say the same. */
const VARIED = 0.4;

/** Points and texts of a slide, shortened. Parts that stay as they are, are not among them. */
export function shorterParts(slide: Slide, density: Density, language: Language): readonly Proposal[] {
  return slide.content.flatMap((part): readonly Proposal[] => {
    if (part.kind !== 'point' && (part.kind !== 'text' || part.style !== 'body')) return [];
    const kept = shorten([runsText(part.runs)], density, language)[0]!.flat();
    const to = keptRuns(part.runs, kept, density);
    return kept.length === 0 || runsText(to) === runsText(part.runs) ? [] : [{ part: part.id, from: part.runs, to }];
  });
}

export interface ParallelAdvice {
  /** What most of them do. */
  readonly rule: 'base' | 'ing' | 'to' | 'stop' | 'no-stop' | 'capital' | 'small';
  /** Points that do otherwise; without a proposal where the word is not known. */
  readonly odd: readonly { readonly part: PartId; readonly text: string; readonly proposal: Proposal | null }[];
  readonly of: number;
}

const FEWEST = 3;
const MOST_ODD = 0.5;

/** Where points of one level under one parent mostly, but not all, begin or end alike. */
export function parallelAdvice(slide: Slide, language: Language): readonly ParallelAdvice[] {
  return siblings(points(slide)).flatMap((group) => {
    if (group.length < FEWEST) return [];
    const texts = group.map(({ runs }) => runsText(runs).trim());
    return [
      ...(language === 'en' ? verbAdvice(group, texts) : []),
      ...twoWays(group, texts, (text) => /[.!?…:;]$/.test(text), 'stop', 'no-stop', withStop),
      ...twoWays(group, texts, (text) => /^\P{Ll}/u.test(text), 'capital', 'small', withCapital),
    ];
  });
}

/** Points of one level under one parent. */
function siblings(all: readonly Point[]): readonly (readonly Point[])[] {
  const groups: Point[][] = [];
  const open: Point[][] = [];
  for (const point of all) {
    open.length = Math.min(open.length, point.level);
    if (open[point.level - 1] === undefined) groups.push((open[point.level - 1] = []));
    open[point.level - 1]!.push(point);
  }
  return groups;
}

function verbAdvice(group: readonly Point[], texts: readonly string[]): readonly ParallelAdvice[] {
  const beginnings = texts.map(beginningOf);
  const forms = (['base', 'ing', 'to'] as const).map((form) => ({
    form,
    count: beginnings.filter((one) => one?.form === form).length,
  }));
  const { form, count } = forms.reduce((best, one) => (one.count > best.count ? one : best));
  if (count === group.length || count <= group.length * MOST_ODD) return [];
  const odd = group.flatMap((point, i) => {
    const beginning = beginnings[i];
    if (beginning?.form === form) return [];
    return [
      { part: point.id, text: texts[i]!, proposal: beginning === undefined ? null : reformed(point, beginning, form) },
    ];
  });
  return [{ rule: form, odd, of: group.length }];
}

function reformed(point: Point, { verb, length }: { verb: string; length: number }, form: VerbForm): Proposal {
  const text = runsText(point.runs).trim();
  return { part: point.id, from: point.runs, to: retext(point.runs, inForm(verb, form) + text.slice(length)) };
}

const withStop = (text: string, wanted: boolean): string => (wanted ? `${text}.` : text.replace(/\.$/, ''));
const withCapital = (text: string, wanted: boolean): string =>
  (wanted ? text.charAt(0).toUpperCase() : text.charAt(0).toLowerCase()) + text.slice(1);

function twoWays(
  group: readonly Point[],
  texts: readonly string[],
  test: (text: string) => boolean,
  yes: ParallelAdvice['rule'],
  no: ParallelAdvice['rule'],
  change: (text: string, wanted: boolean) => string,
): readonly ParallelAdvice[] {
  const have = texts.filter(test).length;
  if (have === 0 || have === group.length || have * 2 === group.length) return [];
  const wanted = have * 2 > group.length;
  // A small letter is never proposed: the word may be a name.
  if (no === 'small' && !wanted) return [];
  const odd = group.flatMap((point, i) => {
    const text = texts[i]!;
    if (test(text) === wanted) return [];
    const to = change(text, wanted);
    return [
      {
        part: point.id,
        text,
        proposal: to === text ? null : { part: point.id, from: point.runs, to: retext(point.runs, to) },
      },
    ];
  });
  return [{ rule: wanted ? yes : no, odd, of: group.length }];
}

/** Titles for a slide that has none of its own, the best first. */
export function titleSuggestions(slide: Slide, language: Language): readonly string[] {
  const texts = slide.content.flatMap((part) =>
    'runs' in part ? [runsText(part.runs)] : part.kind === 'picture' && part.alt !== null ? [part.alt] : [],
  );
  const first = texts
    .find((text) => text.trim() !== '' && text.split(/\s+/).length <= LONGEST_TITLE)
    ?.trim()
    .replace(/[.:;]$/, '');
  const said = texts.length > 0 ? texts : slide.notes.map(({ runs }) => runsText(runs));
  return [...new Set([...(first === undefined ? [] : [first]), ...titleFrom(said, language)])].slice(0, 3);
}

const LONGEST_TITLE = 8; // words

export interface NotesAdvice {
  /** Notes that say again what the slide shows. */
  readonly repeating: readonly NoteId[];
  /** Longer than can be listened to before one slide. */
  readonly tooLong: boolean;
}

const MOST_MINUTES = 2.5;
const REPEATS = 0.8;
const LEAST_WORDS = 4;

/** @param pace Words a minute. */
export function notesAdvice(notes: readonly Note[], slide: Slide, pace: number, language: Language): NotesAdvice {
  const words = notes.reduce((sum, note) => sum + runsWords(note.runs), 0);
  const shown = [slide.title.runs, ...slide.content.flatMap((part) => ('runs' in part ? [part.runs] : []))].map(
    runsText,
  );
  const repeating = notes.filter(
    (note) => runsWords(note.runs) >= LEAST_WORDS && repeats(runsText(note.runs), shown, language),
  );
  return { repeating: repeating.map(({ id }) => id), tooLong: words / pace > MOST_MINUTES };
}

function repeats(text: string, shown: readonly string[], language: Language): boolean {
  const [own, ...others] = vectorsOf([text, ...shown], language);
  return others.some((other) => cosine(own!, other) >= REPEATS);
}

/** Notes that say less: their sentences chosen and trimmed. Lists keep their items. */
export function thinnerNotes(
  notes: readonly Note[],
  density: Density,
  language: Language,
): readonly Omit<Note, 'id' | 'blocks' | 'anchor'>[] {
  const kept = shorten(
    notes.map(({ runs }) => runsText(runs)),
    density,
    language,
  );
  return notes.flatMap(({ kind, depth, ordered, runs }, i) => {
    const ranges = kept[i]!;
    if (ranges.length === 0 && kind === 'paragraph') return [];
    const said = ranges.flatMap((one, k): Runs => [...(k === 0 ? [] : plain(' ')), ...keptRuns(runs, one, undefined)]);
    return [{ kind, depth, ordered, runs: said.length === 0 ? runs : said }];
  });
}
