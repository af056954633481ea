/** Ways to mend by fewer, other or further words: points, titles, notes, and how they are parted and laid out. */
import { parallelAdvice, partsToSpeak, shorterParts, thinnerNotes, titleSuggestions } from '../checks/index.ts';
import { plain, retext, runsText, runsWords, type Runs } from '../content/index.ts';
import type { Content, Slide } from '../deck/index.ts';
import { speakParts, type SingleEdit } from '../edits/index.ts';
import { ownId, type PartId } from '../ids/index.ts';
import { layoutChoices } from '../layout/index.ts';
import { keptRuns, shorten, splitSentences, trimSentence, type Language } from '../shorten/index.ts';
import { optionsOf } from './convert.ts';
import type { Case, Finder, Way, WayName } from './repair-way.ts';

export const fullAt =
  (name: WayName, rule: 'continue' | 'notes' | 'shorten'): Finder =>
  ({ slide }) => [{ name, edits: [{ kind: 'fullAt', slides: [slide.id], rule }] }];

export function* speakPoints({ slide, language }: Case): Generator<Way, void> {
  const heads = slide.content.filter((part) => part.kind === 'point' && part.level === 1).length;
  for (let most = Math.min(heads - 1, MOST_KEPT); most >= LEAST_KEPT; most--) {
    const parts = partsToSpeak(slide, most, language);
    if (parts.length > 0) yield { name: 'speak-points', edits: speakParts(slide.content, parts), text: String(most) };
  }
}
const [MOST_KEPT, LEAST_KEPT] = [6, 3];

export function* shortenPoints({ slide, language }: Case): Generator<Way, void> {
  for (const density of ['most', 'half'] as const)
    yield {
      name: 'shorten-points',
      edits: shorterParts(slide, density, language).flatMap(({ part, from, to }): readonly SingleEdit[] => [
        { kind: 'reword', part, runs: to },
        // The words in full go to the notes, where they are not yet.
        ...(spokenIn(slide, part) ? [] : [noteFor(slide, part, from)]),
      ]),
    };
}
const spokenIn = (slide: Slide, part: PartId): boolean => {
  const blocks = slide.content.find(({ id }) => id === part)?.blocks ?? [];
  return blocks.some((block) => slide.notes.some((note) => note.blocks.includes(block)));
};
const noteFor = (slide: Slide, anchor: PartId | null, runs: Runs): SingleEdit => ({
  kind: 'renote',
  slide: slide.id,
  replaces: [],
  anchor,
  notes: [{ kind: 'paragraph', depth: 0, ordered: false, runs }],
});

/** Parted at the point nearest to its middle. */
export const splitInHalf: Finder = ({ slide, fresh }) => {
  const heads = slide.content.flatMap((part, i) => (i > 0 && startsAt(part) ? [i] : []));
  const middle = slide.content.length / 2;
  const [at] = heads.toSorted((a, b) => Math.abs(a - middle) - Math.abs(b - middle));
  return at === undefined
    ? []
    : [
        {
          name: 'split',
          edits: [{ kind: 'split', slide: slide.id, part: slide.content[at]!.id, as: ownId(fresh()) }],
        },
      ];
};
const startsAt = (part: Content): boolean => part.kind !== 'point' || part.level === 1;

export function* otherLayouts({ slide, converted }: Case): Generator<Way, void> {
  const { document, theme, decisions } = converted;
  const now = converted.pages.find((page) => page.slide === slide)?.layout;
  for (const { layout } of layoutChoices(slide, optionsOf(document, theme, decisions.full)).slice(0, MOST_LAYOUTS))
    if (layout !== now) yield { name: 'layout', edits: [{ kind: 'layout', slides: [slide.id], layout }], text: layout };
}
const MOST_LAYOUTS = 8;

export const joinAbove: Finder = ({ slide, above }) =>
  above === undefined ? [] : [{ name: 'join-above', edits: [{ kind: 'merge', slide: slide.id, into: above.id }] }];
export const joinBelow: Finder = ({ slide, below }) =>
  below === undefined ? [] : [{ name: 'join-below', edits: [{ kind: 'merge', slide: below.id, into: slide.id }] }];

/** Says on the slide what its notes say first, a sentence of each. @param fresh Gives a name that nothing has yet. */
export function pointsFromNotes(slide: Slide, language: Language, fresh: () => string): readonly SingleEdit[] {
  const told = slide.notes.filter(({ runs }) => runsWords(runs) > 2).slice(0, MOST_TOLD);
  const kept = shorten(
    told.map(({ runs }) => runsText(runs)),
    'sentence',
    language,
  );
  let after: PartId | null = slide.content.at(-1)?.id ?? null;
  return told.flatMap(({ runs }, i): readonly SingleEdit[] => {
    const text = runsText(runs);
    const [range] = kept[i]?.flat() ?? [];
    const [sentence] = splitSentences(text, language);
    const [from, to] = range ?? sentence ?? [0, 0];
    const said = text
      .slice(from, to)
      .trim()
      .replace(/[.;:]$/, '');
    if (said === '') return [];
    const part = ownId(fresh());
    const edit: SingleEdit = { kind: 'insert', slide: slide.id, part, after, level: 1, runs: plain(said) };
    after = part;
    return [edit];
  });
}
const MOST_TOLD = 4;

export const tellNotes: Finder = ({ slide, language, fresh }) => [
  { name: 'tell-notes', edits: pointsFromNotes(slide, language, fresh) },
];

/** The title stays, and says more. */
export function* addToTitle({ slide, language }: Case): Generator<Way, void> {
  const title = runsText(slide.title.runs).trim();
  for (const suggested of titleSuggestions(slide, language)) {
    if (suggested.toLowerCase() === title.toLowerCase()) continue;
    const said = title === '' ? suggested : `${title.replace(/[.:]$/, '')}: ${suggested}`;
    yield { name: 'add-to-title', edits: [{ kind: 'retitle', slide: slide.id, runs: plain(said) }], text: said };
  }
}

/** Its first clause on the slide, all of it in the notes. */
export function* shortenTitle({ slide, language }: Case): Generator<Way, void> {
  const { runs } = slide.title;
  const text = runsText(runs);
  const clause = /^(.{12,}?)(?:[:;–—]|, | - )/su.exec(text)?.[1];
  const trimmed = runsText(keptRuns(runs, trimSentence(text, [0, text.length], language), undefined)).trim();
  for (const said of [clause, trimmed, titleSuggestions(slide, language)[0]])
    if (said !== undefined && said !== '' && said.length < text.length)
      yield {
        name: 'shorten-title',
        edits: [{ kind: 'retitle', slide: slide.id, runs: retext(runs, said) }, noteFor(slide, null, runs)],
        text: said,
      };
}
export const toFront: Finder = ({ slide, converted }) => [
  { name: 'to-front', edits: [{ kind: 'order', slides: [slide.id], before: converted.deck.slides[0]!.id }] },
];

/** Everywhere in the deck as it is written elsewhere. */
export const spellAlike: Finder = ({ remark: { text = '', other = '' }, converted }) => {
  const written = new RegExp(
    `(?<![\\p{L}\\p{N}])${text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}\\p{N}])`,
    'gu',
  );
  const mend = (runs: Runs): Runs | undefined => {
    const before = runsText(runs);
    const after = before.replace(written, other);
    return after === before ? undefined : retext(runs, after);
  };
  const edits = converted.deck.slides.flatMap((slide): readonly SingleEdit[] => {
    if (slide.matter !== undefined) return [];
    const title = mend(slide.title.runs);
    return [
      ...(title === undefined ? [] : [{ kind: 'retitle', slide: slide.id, runs: title } as const]),
      ...slide.content.flatMap((part): readonly SingleEdit[] => {
        const runs = 'runs' in part ? mend(part.runs) : undefined;
        return runs === undefined ? [] : [{ kind: 'reword', part: part.id, runs }];
      }),
      ...slide.notes.flatMap(({ id, kind, depth, ordered, runs, anchor }): readonly SingleEdit[] => {
        const said = mend(runs);
        return said === undefined
          ? []
          : [
              {
                kind: 'renote',
                slide: slide.id,
                replaces: [id],
                anchor,
                notes: [{ kind, depth, ordered, runs: said }],
              },
            ];
      }),
    ];
  });
  return [{ name: 'spell-alike', edits, text: other }];
};

export const alike: Finder = ({ slide, language }) => [
  {
    name: 'alike',
    edits: parallelAdvice(slide, language)
      .flatMap(({ odd }) => odd.flatMap(({ proposal }) => proposal ?? []))
      .filter((one, i, all) => all.findIndex(({ part }) => part === one.part) === i)
      .map(({ part, to }) => ({ kind: 'reword', part, runs: to })),
  },
];

export function* shortenNotes({ slide, remark, language }: Case): Generator<Way, void> {
  const notes = slide.notes.filter(({ id }) => remark.notes?.includes(id));
  for (const density of ['half', 'third'] as const)
    yield {
      name: 'shorten-notes',
      edits: [
        {
          kind: 'renote',
          slide: slide.id,
          replaces: notes.map(({ id }) => id),
          anchor: null,
          notes: thinnerNotes(notes, density, language),
        },
      ],
      text: density,
    };
}

export const dropNotes: Finder = ({ slide, remark }) => [
  {
    name: 'drop-notes',
    edits: [{ kind: 'renote', slide: slide.id, replaces: remark.notes ?? [], anchor: null, notes: [] }],
  },
];

/** Off the slide, to the speaker. */
export const notesOnly: Finder = ({ slide, remark }) => [
  {
    name: 'notes-only',
    edits: speakParts(
      slide.content,
      remark.about.filter((id): id is PartId => id !== 'title'),
    ),
  },
];
