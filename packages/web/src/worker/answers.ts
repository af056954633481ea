/** Answers to questions about the deck that is held, each computed when it is asked. */
import {
  candidateMaps,
  chooseLayouts,
  compareOutlines,
  compareTakes,
  convert,
  drawOwnSlide,
  costMap,
  deckTables,
  DENSITIES,
  documentLanguage,
  layoutChoices,
  layOutSlide,
  ledgerEntries,
  sheetsOf,
  optionsOf,
  overridesOf,
  parallelAdvice,
  partsToSpeak,
  readChart,
  reviewEdition,
  runsText,
  runsWords,
  secondsOf,
  shippedFamily,
  shorterParts,
  suggest,
  suggestCharts,
  sumOf,
  takeEdits,
  wayEdits,
  templateMatches,
  thinnerNotes,
  pointsFromNotes,
  timeOf,
  titleSuggestions,
  usualSettings,
  type Converted,
  type Costed,
  type Page,
  type SlideId,
  type Target,
  type BlockId,
  type PartId,
  judgeOf,
  asMade,
  judgedChoices,
  type MapTarget,
  fitting,
  leftFor,
  lengths,
  levels,
} from '@alvex/core';
import { drawPage } from './draw.ts';
import { excerpt } from './excerpt.ts';
import { ownPictures } from './own-pictures.ts';
import type { Held } from './held.ts';
import { findIcons } from './icons.ts';
import { pace, savings } from './pace.ts';
import { freshName, mendAll, readiness, remarks, repairs } from './remarks.ts';
import type {
  Leaving,
  Answers,
  Arrangement,
  ChartOffers,
  LayoutOffer,
  PlacedEntry,
  Printed,
  Asking,
  SlideAdvice,
  Take,
  TemplateAnswer,
  What,
} from './questions.ts';
import { wordsOf } from './words.ts';

type Answerers = { readonly [W in What]: (question: Asking<W>, held: Held) => Answers[W] | Promise<Answers[W]> };

const ANSWERERS: Answerers = {
  ledger: (_, { converted }) => placedEntries(converted),
  outlines: (_, { converted }) => compareOutlines(converted),
  advice: ({ slide }, { converted }) => adviceFor(slide, converted),
  takes: (_, held) => takes(held),
  suggestion: ({ target }, held) => suggestion(target, held),
  lengths: (_, held) => lengths(held),
  levels: (_, held) => levels(held),
  fitting: ({ minutes }, held) => fitting(minutes, held),
  readiness: (_, held) => readiness(held),
  remarks: (_, held) => remarks(held),
  repairs,
  mendAll,
  pace: (_, held) => pace(held),
  savings: ({ minutes }, held) => savings(minutes, held),
  edition: reviewed,
  page: ({ block }, { converted }) => pageOf(block, converted)?.key ?? null,
  layouts: ({ slide }, { converted }) => layoutOffers(slide, converted),
  arrangement: (_, held) => arrangement(held),
  icons: ({ texts, most }) => findIcons(texts, most),
  template: (_, held) => templateAnswer(held),
  ownSlides: ({ from, to }, held) => ownSlides(from, to, held),
  chart: ({ slide, part }, { converted }) => chartOffers(slide, part, converted),
  sheets: printed,
  drawn: ({ number }, { converted }) => drawnPage(number, converted),
  excerpt: (question, { converted }) => excerpt(question, converted),
  ownPictures: ({ words, text }, held) => ownPictures(words, text, MOST_OWN, held),
  tables: (_, { converted }) =>
    deckTables(converted.deck).map(({ title, rows }) => ({ title, rows: rows.length, columns: rows[0]?.length ?? 0 })),
  slides: ({ edits: more }, { document, edits, converted, templates }) =>
    convert(document, [...edits, ...more], converted, templates).pages.length,
};

export const answer = async <W extends What>(question: Asking<W>, held: Held): Promise<Answers[W]> =>
  ANSWERERS[question.what](question, held);

async function reviewed({ url, edition }: Asking<'edition'>, held: Held): Promise<Answers['edition']> {
  const { document, edits, templates } = held;
  const after = await held.load(url);
  const review = reviewEdition(document, after, edits);
  const { ids } = review;
  const then = convert(after, [...edits, { kind: 'edition', ...edition, ids }], undefined, templates);
  return { review, unplaced: then.unplaced, slides: then.pages.length };
}

function layoutOffers(id: SlideId, { deck, document, theme, decisions }: Converted): readonly LayoutOffer[] {
  const slide = deck.slides.find((one) => one.id === id);
  if (slide === undefined) return [];
  const options = optionsOf(document, theme, decisions.full);
  const worn = layOutSlide(slide, options)[0]!.layout;
  return layoutChoices(slide, options).map((choice) => ({
    ...choice,
    drawing: drawPage(layOutSlide({ ...slide, layout: choice.layout }, options)[0]!, 0, theme),
    worn: choice.layout === worn,
  }));
}

const SLICE_MS = 12;

async function arrangement({ document, edits, converted, templates, pause }: Held): Promise<Arrangement> {
  const { deck, theme, decisions, pages } = converted;
  const options = optionsOf(converted.document, theme, decisions.full);
  const judge = judgeOf(options);
  // In slices, between which edits are answered; what is weighed here is not weighed again.
  let slice = performance.now();
  for (const slide of deck.slides) {
    judgedChoices(slide, options, judge);
    if (performance.now() - slice < SLICE_MS) continue;
    if (!(await pause())) return { layouts: [], changes: [], fixed: 0 };
    slice = performance.now();
  }
  const layouts = chooseLayouts(deck.slides, options, judge).map(([slide, layout]) => ({ slide, layout }));
  const then = convert(document, [...edits, { kind: 'arrange', layouts }], converted, templates);
  const before = new Map(pages.map((page, i) => [page.key, { page, number: i + 1 }]));
  const changes = then.pages.flatMap((page) => {
    const old = before.get(page.key);
    if (old === undefined || old.page.layout === page.layout) return [];
    return [
      {
        number: old.number,
        from: old.page.layout,
        to: page.layout,
        before: drawPage(old.page, 0, theme),
        after: drawPage(page, 0, theme),
      },
    ];
  });
  const fixed = deck.slides.filter(({ layout }) => layout !== undefined).length;
  return { layouts, changes, fixed };
}

function ownSlides(from: number, to: number, { converted, templates }: Held): Answers['ownSlides'] {
  const model = templates.get(converted.decisions.template?.hash ?? '');
  return model === undefined
    ? []
    : Array.from({ length: Math.max(0, Math.min(to, model.slides) - from) }, (_, i) => drawOwnSlide(model, from + i));
}

function templateAnswer({ converted, templates }: Held): TemplateAnswer | null {
  const { template } = converted.decisions;
  const model = template === null ? undefined : templates.get(template.hash);
  if (template === null || model === undefined) return null;
  const { theme } = converted;
  const fonts = [...new Set([theme.fonts.heading, theme.fonts.body])];
  return {
    layouts: model.layouts.map(({ part, name, master }) => ({ part, name, master })),
    masters: model.masters.map(({ name }) => name),
    matches: templateMatches(model, template),
    fonts: fonts.map((name) => ({ name, stands: shippedFamily(name).stands })),
    size: { width: model.size.width / 914_400, height: model.size.height / 914_400 },
    slides: model.slides,
    titles: model.titles ?? [],
    made: model.made ?? [],
    undrawn: model.undrawn,
    mended: (theme.layouts.find(({ name }) => name === 'points')?.colors?.mended.inks ?? []).flatMap(({ name }) =>
      name === 'panel' ? [] : [name],
    ),
  };
}

function chartOffers(id: SlideId, partId: PartId, { deck, document, pages }: Converted): ChartOffers | null {
  const part = deck.slides.find((one) => one.id === id)?.content.find((one) => one.id === partId);
  if (part?.kind !== 'table') return null;
  const data = readChart(part.table, documentLanguage(document)) ?? null;
  const offers = data === null ? [] : suggestCharts(data);
  const settings = part.chart ?? (data === null ? undefined : usualSettings(data, offers[0]!.kind));
  if (settings === undefined) return null;
  const drawn = pages.some(({ boxes }) => boxes.some((box) => box.kind === 'chart' && box.part === partId));
  return { data, sum: data === null ? null : sumOf(data), offers, settings, drawn };
}

/** The first page that has a block. */
const pageOf = (block: BlockId, { pages }: Converted): Page | undefined =>
  pages.find((page) => page.passages.includes(block));

function placedEntries({ document, deck, pages }: Converted): readonly PlacedEntry[] {
  const numbers = new Map<string, number>();
  pages.forEach((page, i) => {
    for (const block of page.passages) if (!numbers.has(block)) numbers.set(block, i + 1);
  });
  return ledgerEntries(document, deck).map((entry) => ({ ...entry, slide: numbers.get(entry.block) ?? null }));
}

const FEWER = [5, 4, 3, 2];
const LONG_NOTES = 60; // words

function adviceFor(id: SlideId, { deck, document }: Converted): SlideAdvice | null {
  const slide = deck.slides.find((one) => one.id === id);
  if (slide === undefined) return null;
  const language = documentLanguage(document);
  const spoken = slide.notes.reduce((sum, note) => sum + runsWords(note.runs), 0);
  const told = slide.content.length === 0 ? pointsFromNotes(slide, language, freshName) : [];
  const thin = spoken > LONG_NOTES ? thinnerNotes(slide.notes, 'third', language) : [];
  return {
    titles: titleSuggestions(slide, language),
    fewer: FEWER.flatMap((most) => {
      const parts = partsToSpeak(slide, most, language);
      return parts.length === 0 ? [] : [{ most, parts }];
    }),
    shorter: DENSITIES.flatMap((density) => {
      const proposals = shorterParts(slide, density, language);
      return proposals.length === 0 ? [] : [{ density, proposals }];
    }),
    parallel: parallelAdvice(slide, language),
    thinner:
      thin.length === 0
        ? null
        : { kind: 'renote', slide: id, replaces: slide.notes.map((note) => note.id), anchor: null, notes: thin },
    told: told.length === 0 ? null : { kind: 'all', edits: told },
  };
}

const MOST_DRAWN = 40;

/** The conversion in force, and each that is kept beside it. */
async function takes({ document, edits, converted, templates, pause }: Held): Promise<readonly Take[]> {
  const made: Take[] = [takeOf('', converted, converted)];
  for (const [take, settings] of converted.decisions.takes) {
    if (!(await pause())) break;
    made.push(takeOf(take, convert(document, [...edits, ...takeEdits(settings)], undefined, templates), converted));
  }
  return made;
}

function takeOf(take: string, made: Converted, current: Converted): Take {
  const { pages, theme } = made;
  const words = pages.map(wordsOf);
  const lines = compareTakes(made, current.deck);
  const drawn = new Set(lines.slice(0, MOST_DRAWN).map(({ key }) => key));
  return {
    take,
    slides: pages.length,
    words: Math.round(words.reduce((sum, { shown }) => sum + shown, 0) / Math.max(1, pages.length)),
    seconds: secondsOf(timeOf(pages), made.decisions.pace),
    spills: pages.filter(({ fit }) => fit.state === 'spills').length,
    lines,
    drawings: pages.filter(({ key }) => drawn.has(key)).map((page) => drawPage(page, 0, theme)),
  };
}

function drawnPage(number: number | null, { pages, theme }: Converted): Answers['drawn'] {
  const page = number === null ? pages.find(({ slide }) => slide.hidden !== true) : pages[number - 1];
  return page === undefined ? null : { drawing: drawPage(page, 0, theme), title: runsText(page.slide.title.runs) };
}

/** Pages are weighed once: after an edit only those that it changed. */
function printed(options: Asking<'sheets'>, { converted }: Held): Printed {
  const sheets = sheetsOf(converted, options);
  const sample = sheets.find(({ texts }) => texts.length > 0) ?? sheets[0] ?? null;
  const shown = sample?.slides.map(({ index }) => converted.pages[index]!) ?? [];
  return { count: sheets.length, sample, drawings: shown.map((page) => drawPage(page, 0, converted.theme)) };
}

const MOST_OWN = 8; // pictures of the deck itself
const MOST_MADE = 8;

async function suggestion(target: Target | null, held: Held): Promise<Answers['suggestion']> {
  const { converted, pause } = held;
  const { document, decisions } = converted;
  const wish = {
    slides: target?.unit === 'slides' ? target.amount : null,
    minutes: target?.unit === 'minutes' ? target.amount : null,
    pace: decisions.pace,
  };
  // Rules of the map in force are not those of another.
  const overrides = { ...overridesOf(document, decisions), branches: decisions.branches };
  let costed: Costed[] = [];
  for (const candidate of candidateMaps(document)) {
    costed.push(costMap(document, candidate, wish, overrides));
    if (!(await pause())) return suggest(costed, wish);
  }
  // The best are laid out, until the best of all is one that was: what is said of it is then what it makes.
  const made = new Set<Costed>();
  for (let i = 0; i < MOST_MADE; i++) {
    const { best } = suggest(costed, wish);
    if (made.has(best)) break;
    const settings = { ...best, name: best.readyMade ? best.base : null };
    const { pages } = convert(held.document, [...held.edits, ...wayEdits(settings)], converted, held.templates);
    const known = asMade(best, { slides: pages.length, time: timeOf(pages) }, wish);
    made.add(known);
    costed = costed.map((one) => (one === best ? known : one));
    if (!(await pause())) break;
  }
  const suggested = suggest(costed, wish);
  const leaving = made.has(suggested.best) ? leavingFor(suggested.best, wish, held) : undefined;
  return leaving === undefined ? suggested : { ...suggested, leaving };
}

/** Sections without which the best map comes to what is wanted, and what it then makes. */
function leavingFor(best: Costed, { slides, minutes, pace }: MapTarget, held: Held): Leaving | undefined {
  const edits = [...held.edits, ...wayEdits({ ...best, name: best.readyMade ? best.base : null })];
  const made = convert(held.document, edits, held.converted, held.templates);
  const left =
    slides !== null
      ? leftFor(made, slides, 'slides')
      : minutes === null
        ? undefined
        : leftFor(made, minutes * 60, 'seconds');
  if (left === undefined) return undefined;
  const leave = { kind: 'leave', blocks: left.blocks, as: 'deleted' } as const;
  const without = convert(held.document, [...edits, leave], held.converted, held.templates);
  return { ...left, slides: without.pages.length, minutes: secondsOf(timeOf(without.pages), pace) / 60 };
}
