/** Ways in which a remark might be mended, the gentlest first; whether one mends it is tried in `repairs.ts`. */
import { usualSettings, type Chart, type ChartSettings } from '../charts/index.ts';
import { parallelAdvice, partsToSpeak, shorterParts, thinnerNotes, titleSuggestions } from '../checks/index.ts';
import type { Remark, RemarkKind } from '../checks/index.ts';
import { mergeRuns, nameOfLink, plain, retext, runsText, runsWords, type Runs } from '../content/index.ts';
import { PLAIN_DRESS, type Content, type PicturePart, type Slide } from '../deck/index.ts';
import { speakParts, type SingleEdit } from '../edits/index.ts';
import { ownId, type PartId } from '../ids/index.ts';
import { layoutChoices } from '../layout/index.ts';
import { documentLanguage } from '../mapping/index.ts';
import { keptRuns, shorten, splitSentences, trimSentence, type Language } from '../shorten/index.ts';
import type { PaletteChoice } from '../theme/index.ts';
import { optionsOf, type Converted } from './convert.ts';
import { goalsOf } from './write-deck.ts';

export type WayName =
  | 'speak-points'
  | 'shorten-points'
  | 'to-notes'
  | 'continue'
  | 'split'
  | 'layout'
  | 'join-above'
  | 'join-below'
  | 'tell-notes'
  | 'add-to-title'
  | 'shorten-title'
  | 'to-front'
  | 'whole-picture'
  | 'describe-by-caption'
  | 'columns'
  | 'table-numbers'
  | 'own-numbers'
  | 'drop-link'
  | 'show-slide'
  | 'spell-alike'
  | 'alike'
  | 'shorten-notes'
  | 'drop-notes'
  | 'other-ground'
  | 'notes-only';

/** Edits that may mend a remark. */
export interface Way {
  readonly name: WayName;
  readonly edits: readonly SingleEdit[];
  /** What the way brings: a title, a layout's name, a number. */
  readonly text?: string;
}

interface Case {
  readonly remark: Remark;
  readonly slide: Slide;
  /** Its neighbours, where they are content too. */
  readonly above: Slide | undefined;
  readonly below: Slide | undefined;
  readonly language: Language;
  readonly converted: Converted;
  /** A name that nothing has yet, for what a way adds. */
  readonly fresh: () => string;
}
type Finder = (one: Case) => Iterable<Way>;

/** Whether there is any way at all for a kind of remark; else it needs its author. */
export const isMendable = (kind: RemarkKind): boolean => WAYS[kind].length > 0;

/** @param fresh Gives a name that nothing has yet, for what a way adds. */
export function* waysFor(remark: Remark, converted: Converted, fresh: () => string): Generator<Way, void> {
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
  for (const way of WAYS[remark.kind]) yield* way(one);
}

const fullAt =
  (name: WayName, rule: 'continue' | 'notes' | 'shorten'): Finder =>
  ({ slide }) => [{ name, edits: [{ kind: 'fullAt', slides: [slide.id], rule }] }];

function* speakPoints({ slide, language }: Case): Generator<Way, void> {
  const heads = slide.content.filter((part) => part.kind === 'point' && part.level === 1).length;
  for (let most = Math.min(heads - 1, MOST_KEPT); most >= LEAST_KEPT; most--) {
    const parts = partsToSpeak(slide, most, language);
    if (parts.length > 0) yield { name: 'speak-points', edits: speakParts(slide.content, parts), text: String(most) };
  }
}
const [MOST_KEPT, LEAST_KEPT] = [6, 3];

function* shortenPoints({ slide, language }: Case): Generator<Way, void> {
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
const splitInHalf: Finder = ({ slide, fresh }) => {
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

function* otherLayouts({ slide, converted }: Case): Generator<Way, void> {
  const { document, theme, decisions } = converted;
  const now = converted.pages.find((page) => page.slide === slide)?.layout;
  for (const { layout } of layoutChoices(slide, optionsOf(document, theme, decisions.full)).slice(0, MOST_LAYOUTS))
    if (layout !== now) yield { name: 'layout', edits: [{ kind: 'layout', slides: [slide.id], layout }], text: layout };
}
const MOST_LAYOUTS = 8;

const joinAbove: Finder = ({ slide, above }) =>
  above === undefined ? [] : [{ name: 'join-above', edits: [{ kind: 'merge', slide: slide.id, into: above.id }] }];
const joinBelow: Finder = ({ slide, below }) =>
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

const tellNotes: Finder = ({ slide, language, fresh }) => [
  { name: 'tell-notes', edits: pointsFromNotes(slide, language, fresh) },
];

/** The title stays, and says more. */
function* addToTitle({ slide, language }: Case): Generator<Way, void> {
  const title = runsText(slide.title.runs).trim();
  for (const suggested of titleSuggestions(slide, language)) {
    if (suggested.toLowerCase() === title.toLowerCase()) continue;
    const said = title === '' ? suggested : `${title.replace(/[.:]$/, '')}: ${suggested}`;
    yield { name: 'add-to-title', edits: [{ kind: 'retitle', slide: slide.id, runs: plain(said) }], text: said };
  }
}

/** Its first clause on the slide, all of it in the notes. */
function* shortenTitle({ slide, language }: Case): Generator<Way, void> {
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
const toFront: Finder = ({ slide, converted }) => [
  { name: 'to-front', edits: [{ kind: 'order', slides: [slide.id], before: converted.deck.slides[0]!.id }] },
];

const pictures = ({ slide, remark }: Case) =>
  slide.content.filter((part) => part.kind === 'picture' && remark.about.includes(part.id)) as readonly PicturePart[];

const wholePicture: Finder = (one) => [
  {
    name: 'whole-picture',
    edits: pictures(one).map(({ id, dress }) => ({
      kind: 'frame',
      part: id,
      dress: { ...(dress ?? PLAIN_DRESS), as: 'fit' },
    })),
  },
];

const describeByCaption: Finder = (one) => {
  const lacking = pictures(one).filter(({ alt }) => alt === null);
  const captions = lacking.map(({ caption }) => (caption === undefined ? '' : runsText(caption).trim()));
  return captions.includes('')
    ? []
    : [
        {
          name: 'describe-by-caption',
          edits: lacking.map(({ id }, i) => ({ kind: 'alt', part: id, alt: captions[i]! })),
          text: captions[0]!,
        },
      ];
};

/** Those of the table, or the author's own, which then are known to differ from what it has now. */
const numbersOfTable: Finder = ({ remark, converted }) => {
  const charts = converted.pages.flatMap(({ boxes }) =>
    boxes.flatMap((box) => (box.kind === 'chart' && remark.about.includes(box.part) ? [box] : [])),
  );
  const set = (of: (chart: Chart) => ChartSettings['data']): readonly SingleEdit[] =>
    charts.map(({ part, chart }) => ({ kind: 'chart', part, chart: { ...chart.settings, data: of(chart) } }));
  return [
    { name: 'table-numbers', edits: set(() => null) },
    {
      name: 'own-numbers',
      edits: set(({ settings: { data }, stale }) =>
        data === null || stale === undefined ? data : { ...data, of: stale },
      ),
    },
  ];
};

const asColumns: Finder = ({ remark, converted }) => [
  {
    name: 'columns',
    edits: converted.pages.flatMap(({ boxes }) =>
      boxes.flatMap((box): readonly SingleEdit[] =>
        box.kind === 'chart' && remark.about.includes(box.part)
          ? [
              {
                kind: 'chart',
                part: box.part,
                chart: {
                  ...usualSettings(box.chart, 'column'),
                  title: box.chart.settings.title,
                  data: box.chart.settings.data,
                },
              },
            ]
          : [],
      ),
    ),
  },
];

/** Takes off what leads nowhere, or where nobody can see. */
const dropLink: Finder = ({ slide, remark, converted }) => {
  const goals = goalsOf(converted);
  const hidden = new Set(converted.deck.slides.flatMap(({ id, hidden }) => (hidden === true ? [id] : [])));
  const withoutJump = (run: Runs[number]): Runs[number] => {
    const { link, ...rest } = run;
    if (link?.startsWith('#') !== true) return run;
    const goal = goals.get(nameOfLink(link) ?? '');
    return goal === undefined || hidden.has(goal) ? rest : run;
  };
  return [
    {
      name: 'drop-link',
      edits: slide.content.flatMap((part): readonly SingleEdit[] =>
        'runs' in part && remark.about.includes(part.id)
          ? [{ kind: 'reword', part: part.id, runs: mergeRuns(part.runs.map(withoutJump)) }]
          : [],
      ),
    },
  ];
};

/** What is linked to is shown. */
const showLinked: Finder = ({ remark, converted }) => {
  const slide = converted.pages[Number(remark.other) - 1]?.slide.id;
  return slide === undefined
    ? []
    : [{ name: 'show-slide', edits: [{ kind: 'hide', slides: [slide], hidden: false }], text: remark.other ?? '' }];
};

/** Everywhere in the deck as it is written elsewhere. */
const spellAlike: Finder = ({ remark: { text = '', other = '' }, converted }) => {
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

const alike: Finder = ({ slide, language }) => [
  {
    name: 'alike',
    edits: parallelAdvice(slide, language)
      .flatMap(({ odd }) => odd.flatMap(({ proposal }) => proposal ?? []))
      .filter((one, i, all) => all.findIndex(({ part }) => part === one.part) === i)
      .map(({ part, to }) => ({ kind: 'reword', part, runs: to })),
  },
];

function* shortenNotes({ slide, language }: Case): Generator<Way, void> {
  for (const density of ['half', 'third'] as const)
    yield {
      name: 'shorten-notes',
      edits: [
        {
          kind: 'renote',
          slide: slide.id,
          replaces: slide.notes.map(({ id }) => id),
          anchor: null,
          notes: thinnerNotes(slide.notes, density, language),
        },
      ],
      text: density,
    };
}

const dropNotes: Finder = ({ slide, remark }) => [
  {
    name: 'drop-notes',
    edits: [{ kind: 'renote', slide: slide.id, replaces: remark.notes ?? [], anchor: null, notes: [] }],
  },
];

/** Those of the deck where it has its own, and dark for light. */
const otherGround: Finder = ({ slide: { id, colors }, converted }) => {
  const ground = (palette: PaletteChoice | null, dark: boolean | null): Way => ({
    name: 'other-ground',
    edits: [{ kind: 'colors', slides: [id], palette, dark }],
  });
  return [
    ...(colors === undefined ? [] : [ground(null, null)]),
    ground(colors?.palette ?? null, converted.theme.look?.dark !== true),
  ];
};

/** Off the slide, to the speaker. */
const notesOnly: Finder = ({ slide, remark }) => [
  {
    name: 'notes-only',
    edits: speakParts(
      slide.content,
      remark.about.filter((id): id is PartId => id !== 'title'),
    ),
  },
];

const WAYS: Readonly<Record<RemarkKind, readonly Finder[]>> = {
  'private-shown': [notesOnly],
  spills: [fullAt('continue', 'continue'), speakPoints, fullAt('to-notes', 'notes'), otherLayouts, splitInHalf],
  'no-glyph': [],
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
  'numbers-differ': [],
  'spelt-twice': [spellAlike],
  undescribed: [describeByCaption],
  'color-alone': [asColumns],
  'dead-link': [dropLink],
  'hidden-link': [showLinked, dropLink],
  'title-twice': [addToTitle],
  'vague-title': [addToTitle],
  stumbled: [],
  'unlike-points': [alike],
  'long-notes': [shortenNotes],
  'notes-repeat': [dropNotes],
  'no-notes': [],
  'same-layout': [otherLayouts],
};
