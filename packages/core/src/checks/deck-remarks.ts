/** What is remarked on pages beside others: titles, names and layouts of the deck as a whole, slides without notes, and those that one stumbled at. */
import { getOrMake, groupBy, remembered } from '../base/index.ts';
import { nameOfLink, runsText, type Run } from '../content/index.ts';
import { linkGoals, type Slide } from '../deck/index.ts';
import { namedPlaces } from '../document/index.ts';
import type { NoteId, PartId } from '../ids/index.ts';
import type { Page } from '../layout/index.ts';
import { linkedRuns } from './linked-runs.ts';
import { isContent, type Found, type Looked, type RemarkKind } from './remark.ts';

/** A remark with the place of its page, 0.. */
export interface Placed {
  readonly at: number;
  readonly found: Found;
}

/** What the checks here remark. */
export const DECK_KINDS = [
  'spelt-twice',
  'hidden-link',
  'title-twice',
  'stumbled',
  'no-notes',
  'same-layout',
] as const satisfies readonly RemarkKind[];

export const deckRemarks = (looked: Looked): readonly Placed[] =>
  [titlesTwice, noNotes, sameLayouts, speltTwice, stumbled, hiddenLinks].flatMap((check) => check(looked));

type Check = (looked: Looked) => readonly Placed[];

const isFirst = ({ index }: Page): boolean => index === 0;

/** The same title on slides that do not follow each other. */
const titlesTwice: Check = ({ pages }) => {
  const first = new Map<string, number>();
  return pages.flatMap((page, at): readonly Placed[] => {
    const { slide } = page;
    if (!isFirst(page) || !isContent(slide) || slide.continues) return [];
    const title = runsText(slide.title.runs).trim();
    const before = first.get(title);
    if (title === '' || before === undefined) {
      first.set(title, at);
      return [];
    }
    // Of its neighbour the rule for slides that can be shown speaks.
    if (pages.slice(before + 1, at).every((one) => one.slide === pages[before]!.slide)) return [];
    return [{ at, found: { kind: 'title-twice', about: ['title'], text: title, count: before + 1 } }];
  });
};

const FEW_SILENT = 0.4;

/** Slides without a word for the speaker, in a deck that has them nearly everywhere. */
const noNotes: Check = ({ pages, read }) => {
  const told = pages.filter((page) => isFirst(page) && isContent(page.slide) && page.slide.content.length > 0);
  const silent = told.filter(({ slide }) => slide.notes.length === 0);
  if (read || silent.length === 0 || silent.length > told.length * FEW_SILENT) return [];
  const set = new Set(silent);
  return pages.flatMap((page, at) => (set.has(page) ? [{ at, found: { kind: 'no-notes', about: [] } as const }] : []));
};

const LONG_RUN = 6;
const PLAIN = new Set(['points', 'columns', 'table']);

/** One look for many slides on end: told once, in their middle. */
const sameLayouts: Check = ({ pages }) => {
  const found: Placed[] = [];
  let from = 0;
  for (let at = 1; at <= pages.length; at++) {
    const same = at < pages.length && pages[at]!.layout === pages[from]!.layout && isContent(pages[at]!.slide);
    if (same) continue;
    const count = at - from;
    if (count >= LONG_RUN && PLAIN.has(pages[from]!.layout) && isContent(pages[from]!.slide))
      found.push({
        at: from + Math.floor(count / 2),
        found: { kind: 'same-layout', about: [], count, text: String(from + 1), other: String(at) },
      });
    from = at;
  }
  return found;
};

/** Links to slides that are not shown. */
const hiddenLinks: Check = ({ pages, document }) => {
  const places = namedPlaces(document.blocks);
  const hidden = new Map(
    pages.flatMap(({ slide }, at) => (slide.hidden === true ? [[slide.id, at + 1] as const] : [])).toReversed(),
  );
  if (places.size === 0 || hidden.size === 0) return [];
  const goals = linkGoals([...new Set(pages.map(({ slide }) => slide))], places);
  const leads = ({ link }: Run): number | undefined => {
    const goal = goals.get(nameOfLink(link) ?? '');
    return goal === undefined ? undefined : hidden.get(goal);
  };
  return pages.flatMap((page, at): readonly Placed[] => {
    const found = linkedRuns(page).filter(({ run }) => leads(run) !== undefined);
    if (found.length === 0) return [];
    const about = [...new Set(found.map(({ id }) => id))];
    const { run } = found[0]!;
    const number = String(leads(run));
    return [{ at, found: { kind: 'hidden-link', about, text: run.text, other: number, count: found.length } }];
  });
};

const stumbled: Check = ({ pages, stumbled: slides }) =>
  pages.flatMap((page, at) =>
    isFirst(page) && slides.has(page.slide.id) ? [{ at, found: { kind: 'stumbled', about: [] } as const }] : [],
  );

/** A name as it is written: capitalised words that follow each other. Words with capitals inside are not names of language. */
const NAME = /(?<![\p{L}\p{N}])\p{Lu}\p{Ll}[\p{Ll}\p{M}]+(?:[- ]\p{Lu}\p{Ll}[\p{Ll}\p{M}]+){0,2}(?![\p{L}\p{N}])/gu;

interface Spelling {
  readonly name: string;
  readonly form: string;
  /** Where it stands: a part, a note or the title. */
  readonly where: PartId | NoteId | 'title';
}
interface Name {
  readonly name: string;
  readonly form: string;
  count: number;
  readonly places: { readonly at: number; readonly where: Spelling['where'] }[];
}
const written = (slide: Slide): readonly { readonly id: Spelling['where']; readonly text: string }[] =>
  [
    { id: 'title' as const, runs: slide.title.blocks.length === 0 ? [] : slide.title.runs },
    ...slide.content.flatMap((part) =>
      part.kind === 'point' || (part.kind === 'text' && part.style !== 'code') ? [part] : [],
    ),
    ...slide.notes,
  ].map(({ id, runs }) => ({ id, text: runsText(runs) }));

/** Words that are written small, and so are no names. */
const smallWords = remembered(
  (slide: Slide): ReadonlySet<string> =>
    new Set(written(slide).flatMap(({ text }) => text.match(/(?<![\p{L}\p{N}])\p{Ll}{6,}(?![\p{L}\p{N}])/gu) ?? [])),
);

const spellings = remembered((slide: Slide): readonly Spelling[] =>
  written(slide).flatMap(({ id, text }) => {
    return [...text.matchAll(NAME)].flatMap(([name]) =>
      namesIn(name).map((one) => ({ name: one, form: formOf(one), where: id })),
    );
  }),
);
/** The whole, and each of its words: a name may stand behind the first word of a sentence. */
const namesIn = (name: string): readonly string[] =>
  name.includes(' ') ? [name, ...name.split(' '), name.slice(name.indexOf(' ') + 1)] : [name];

/** Without what two spellings of one name may differ in: hyphens, blanks, accents, case behind the first letter. */
const formOf = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/[\p{M}’' -]/gu, '')
    .toLowerCase();

const LEAST_LETTERS = 6;
const SURE = 3; // times the other spelling stands

/** A name that is spelt in two ways, at the one that stands less often. */
const speltTwice: Check = ({ pages, language }) => {
  const names = new Map<string, Name>();
  pages.forEach((page, at) => {
    if (!isFirst(page)) return;
    for (const { name, form, where } of spellings(page.slide)) {
      const known = getOrMake(names, name, () => ({ name, form, count: 0, places: [] }));
      known.count++;
      known.places.push({ at, where });
    }
  });
  const all = [...names.values()].filter(({ form }) => form.length >= LEAST_LETTERS);
  const told = new Set<number>();
  const isName = ({ name }: Name): boolean => {
    const small = name.toLowerCase();
    return !pages.some(({ slide }) => smallWords(slide).has(small));
  };
  // German writes every noun as others write names.
  const near = language === 'de' ? [] : nearForms(all).filter((pair) => pair.every(isName));
  return [...sameForms(all), ...near].flatMap(([rare, usual]) => {
    const { at } = rare.places[0]!;
    if (told.has(at)) return [];
    told.add(at);
    const here = rare.places.filter((one) => one.at === at).map(({ where }) => where);
    const shown = new Set<string>(pages[at]!.slide.content.map(({ id }) => id));
    return [
      {
        at,
        found: {
          kind: 'spelt-twice',
          about: here.filter((where): where is PartId | 'title' => where === 'title' || shown.has(where)),
          text: rare.name,
          other: usual.name,
          count: rare.count,
        } as const,
      },
    ];
  });
};

type Pair = readonly [rare: Name, usual: Name];

/** Hyphenated or not, one word or two, with an accent or without. */
function sameForms(names: readonly Name[]): readonly Pair[] {
  return [...groupBy(names, ({ form }) => form).values()].flatMap((alike) => {
    if (alike.length < 2) return [];
    const [usual, ...others] = alike.toSorted((a, b) => b.count - a.count);
    return others.filter(({ count }) => count < usual!.count).map((rare): Pair => [rare, usual!]);
  });
}

/** One letter off in its middle, and written once, where the other is written often: a slip. Endings differ by grammar. */
function nearForms(names: readonly Name[]): readonly Pair[] {
  const words = names.filter(({ name }) => !name.includes(' ') && name.length >= LEAST_LETTERS);
  const gaps = new Map<string, Name>();
  for (const word of words) if (word.count > SURE) for (const gap of gapsOf(word.name)) gaps.set(gap, word);
  return words.flatMap((rare): readonly Pair[] => {
    if (rare.count > 1) return [];
    const usual = gapsOf(rare.name)
      .map((gap) => gaps.get(gap))
      .find((one) => one !== undefined && one.form !== rare.form);
    return usual === undefined ? [] : [[rare, usual]];
  });
}
/** The name with each letter of its middle left off, and as it is. */
const gapsOf = (name: string): readonly string[] => [
  name,
  ...Array.from({ length: Math.max(0, name.length - 4) }, (_, i) => name.slice(0, i + 1) + name.slice(i + 2)),
];
