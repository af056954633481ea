/** What is remarked on one page for itself, whatever stands before and behind it. */
import { getOrMake, remembered, unreachable } from '../base/index.ts';
import { nameOfLink, runsText, type Picture, type PictureId } from '../content/index.ts';
import type { Content, Note } from '../deck/index.ts';
import type { BlockId, PartId } from '../ids/index.ts';
import { contentOf, type Box, type Page } from '../layout/index.ts';
import type { Rule } from '../presentable/index.ts';
import { splitSentences, type Language } from '../shorten/index.ts';
import { notesAdvice, parallelAdvice } from './slide-advice.ts';
import { linkedRuns } from './linked-runs.ts';
import { isContent, type Found } from './remark.ts';

/** What does not change from page to page. */
export interface PageContext {
  readonly language: Language;
  readonly pace: number;
  readonly pictures: ReadonlyMap<PictureId, Picture>;
  /** Blocks of parts that are for the speaker. */
  readonly unseen: ReadonlySet<BlockId>;
  readonly slideWidth: number /* EMU */;
  /** Names to which links within the document lead. */
  readonly places: ReadonlyMap<string, BlockId>;
}

const known = remembered((_: Page) => new WeakMap<PageContext, readonly Found[]>());

/** Remembered by page and context. */
export const pageRemarks = (page: Page, context: PageContext): readonly Found[] =>
  getOrMake(known(page), context, () => CHECKS.flatMap((check) => check(page, context) ?? []));

type Check = (page: Page, context: PageContext) => Found | undefined;

const MOST_POINTS = 7;
const WIDTH = 13.333; // inches of a slide
const LEAST_DENSITY = 60; // pixels an inch: half of what a full screen has

const texts = (content: readonly Content[]) => content.filter((part) => part.kind === 'point' || part.kind === 'text');

const privateShown: Check = ({ slide, boxes, index }, { unseen }) => {
  if (unseen.size === 0) return undefined;
  const seen = new Set(boxes.flatMap((box) => partsIn(box)));
  const about = slide.content.filter(({ id, blocks }) => seen.has(id) && blocks.some((block) => unseen.has(block)));
  const title = index === 0 && slide.title.blocks.some((block) => unseen.has(block));
  return about.length === 0 && !title
    ? undefined
    : { kind: 'private-shown', about: [...(title ? (['title'] as const) : []), ...about.map(({ id }) => id)] };
};

const manyPoints: Check = (page) => {
  if (!isContent(page.slide)) return undefined;
  const heads = contentOf(page).filter((part) => part.kind === 'point' && part.level === 1);
  return heads.length > MOST_POINTS
    ? { kind: 'many-points', about: heads.map(({ id }) => id), count: heads.length }
    : undefined;
};

const coarsePicture: Check = ({ boxes }, { pictures, slideWidth }) => {
  const about = boxes.flatMap((box) => {
    const picture = box.kind === 'picture' ? pictures.get(box.picture) : undefined;
    if (box.kind !== 'picture' || picture === undefined) return [];
    const pixels = picture.width * (1 - box.cut[0] - box.cut[2]);
    return pixels / ((box.rect.width / slideWidth) * WIDTH) < LEAST_DENSITY ? [box.part] : [];
  });
  return about.length === 0 ? undefined : { kind: 'coarse-picture', about, count: about.length };
};

const undescribed: Check = ({ boxes }) => {
  const about = boxes.flatMap((box) => (box.kind === 'picture' && box.alt === null ? [box.part] : []));
  return about.length === 0 ? undefined : { kind: 'undescribed', about, count: about.length };
};

/** Series of lines or pieces that only their colour joins to the legend. */
const colorAlone: Check = ({ boxes }) => {
  const about = boxes.flatMap((box) => {
    if (box.kind !== 'chart') return [];
    const { settings, series } = box.chart;
    const alike = settings.kind === 'line' || settings.kind === 'area' || settings.kind === 'scatter';
    return alike && series.length > 1 && !settings.labels ? [box.part] : [];
  });
  return about.length === 0 ? undefined : { kind: 'color-alone', about };
};

/** Numbers that were written over a table's which has others since. */
const staleNumbers: Check = ({ boxes }) => {
  const about = boxes.flatMap((box) => (box.kind === 'chart' && box.chart.stale !== undefined ? [box.part] : []));
  return about.length === 0 ? undefined : { kind: 'stale-numbers', about };
};

/** A jump to a place that the document does not have. */
const deadLink: Check = (page, { places }) => {
  const dead = linkedRuns(page).flatMap(({ id, run: { link, text } }) =>
    places.has(nameOfLink(link) ?? '') ? [] : [{ id, text }],
  );
  return dead.length === 0
    ? undefined
    : { kind: 'dead-link', about: [...new Set(dead.map(({ id }) => id))], text: dead[0]!.text, count: dead.length };
};

const unlikePoints: Check = ({ slide, index }, { language }) => {
  if (index > 0 || !isContent(slide)) return undefined;
  // A word that is not known may well be of the same form.
  const odd = parallelAdvice(slide, language).flatMap((one) => one.odd.filter(({ proposal }) => proposal !== null));
  return odd.length === 0
    ? undefined
    : { kind: 'unlike-points', about: [...new Set(odd.map(({ part }) => part))], text: odd[0]!.text };
};

const longNotes: Check = ({ slide, notes }, { language, pace }) =>
  notesAdvice(notes, slide, pace, language).tooLong
    ? { kind: 'long-notes', about: [], notes: notes.map(({ id }) => id) }
    : undefined;

const notesRepeat: Check = ({ slide, notes }, { language, pace }) => {
  const { repeating } = notesAdvice(notes, slide, pace, language);
  return repeating.length === 0
    ? undefined
    : { kind: 'notes-repeat', about: [], notes: repeating, count: repeating.length };
};

/** Titles that say of every document the same; by language, lower case. */
const VAGUE: Readonly<Record<Exclude<Language, 'und'>, ReadonlySet<string>>> = {
  en: set('introduction|overview|general|miscellaneous|details|information|notes|more|other|points|data|text|content'),
  de: set('einleitung|einführung|überblick|allgemeines|sonstiges|verschiedenes|details|informationen|weiteres|inhalt'),
  fr: set('introduction|aperçu|généralités|divers|détails|informations|remarques|autres|contenu'),
  es: set('introducción|resumen|generalidades|varios|detalles|información|notas|otros|contenido'),
  it: set('introduzione|panoramica|generalità|varie|dettagli|informazioni|note|altro|contenuto'),
  pt: set('introdução|visão geral|generalidades|diversos|detalhes|informações|notas|outros|conteúdo'),
  nl: set('inleiding|overzicht|algemeen|diversen|details|informatie|notities|overig|inhoud'),
};
function set(words: string): ReadonlySet<string> {
  return new Set(words.split('|'));
}
const vagueTitle: Check = ({ slide, index }, { language }) => {
  if (index > 0 || !isContent(slide) || slide.continues) return undefined;
  const text = runsText(slide.title.runs).trim();
  const bare = text
    .toLowerCase()
    .replace(/^[\d.)\s]+/, '')
    .replace(/[.:\s]+$/, '');
  const vague = language === 'und' ? Object.values(VAGUE).some((words) => words.has(bare)) : VAGUE[language].has(bare);
  return text !== '' && (vague || !/\p{L}/u.test(bare)) ? { kind: 'vague-title', about: ['title'], text } : undefined;
};

/** A number with what it counts: `31 tonnes`. Years and numbers that count nothing are passed over. */
const COUNTED = /(?<![\p{L}\p{N}.,])(\d{1,3}(?:[ .,’]\d{3})+|\d+(?:[.,]\d+)?)\s?(\p{L}{2,}|%)/gu;
const LIKE = 0.6;
const WORD = /\p{L}{4,}/gu;

const countedIn = (text: string): readonly { readonly number: string; readonly unit: string }[] =>
  [...text.matchAll(COUNTED)].map(([, number, unit]) => ({ number: number!, unit: unit!.toLowerCase() }));

/** A point gives one number, and the sentence of the notes that says the same gives another. */
const numbersDiffer: Check = (page, { language }) => {
  const own = texts(contentOf(page)).filter(({ kind }) => kind === 'point');
  for (const { id, runs } of own) {
    const text = runsText(runs);
    const counted = countedIn(text);
    const words = wordsIn(text);
    if (counted.length !== 1 || words.length < 2) continue;
    const { number, unit } = counted[0]!;
    for (const sentence of sentencesOf(page.notes, language)) {
      const said = countedIn(sentence).filter((one) => one.unit === unit);
      if (said.length !== 1 || said[0]!.number === number) continue;
      const there = new Set(wordsIn(sentence));
      const shared = words.filter((word) => there.has(word)).length;
      if (shared / words.length >= LIKE && !sentence.includes(number))
        return {
          kind: 'numbers-differ',
          about: [id],
          text: `${number} ${unit}`,
          other: `${said[0]!.number} ${said[0]!.unit}`,
        };
    }
  }
  return undefined;
};
const wordsIn = (text: string): readonly string[] => [...new Set(text.toLowerCase().match(WORD) ?? [])];
const sentencesOf = (notes: readonly Note[], language: Language): readonly string[] =>
  notes.flatMap(({ runs }) => {
    const text = runsText(runs);
    return splitSentences(text, language).map(([from, to]) => text.slice(from, to));
  });

const CHECKS: readonly Check[] = [
  privateShown,
  manyPoints,
  coarsePicture,
  undescribed,
  colorAlone,
  staleNumbers,
  deadLink,
  vagueTitle,
  unlikePoints,
  numbersDiffer,
  longNotes,
  notesRepeat,
];

/** Parts that a box shows. */
function partsIn(box: Box): readonly PartId[] {
  switch (box.kind) {
    case 'text':
      return box.paras.flatMap(({ part }) => part ?? []);
    case 'picture':
    case 'table':
    case 'chart':
      return [box.part];
    case 'shape':
    case 'icon':
    case 'connector':
      return [];
    default:
      return unreachable(box);
  }
}

type Where = (box: Box) => boolean;
const isTitle: Where = (box) => box.kind === 'text' && box.frame.role === 'title';
const isText: Where = (box) => box.kind === 'text' && !isTitle(box);
const isPicture: Where = (box) => box.kind === 'picture';
const all: Where = () => true;
const none: Where = () => false;

/** Where on the page a rule is broken. */
const PLACES: Readonly<Record<Rule, Where>> = {
  bare: isTitle,
  'lone-point': isText,
  'half-empty': none,
  'small-points': isText,
  'small-cells': (box) => box.kind === 'table',
  'small-code': isText,
  'small-figure': isText,
  'many-words': isText,
  'long-code': isText,
  'long-title': isTitle,
  'repeated-title': isTitle,
  'small-picture': isPicture,
  'cut-picture': isPicture,
  'no-glyph': all,
  spills: isText,
  contrast: none,
  'cover-not-first': none,
};

/** A rule of those that say whether a slide can be shown, as a remark. */
export function brokenRule(rule: Rule, { boxes, slide }: Page): Found {
  const places = boxes.filter(PLACES[rule]);
  const title = places.some(isTitle) ? (['title'] as const) : [];
  return {
    kind: rule,
    about: [...title, ...new Set(places.flatMap((box) => (isTitle(box) ? [] : partsIn(box))))],
    text: runsText(slide.title.runs),
  };
}
