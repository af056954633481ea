/** Signs in a slide's words that a layout or a figure suits it; each with the reason that is told to the author. */
import { readChart } from '../charts/index.ts';
import { runsText, runsWords, type Runs } from '../content/index.ts';
import { isNumbered, type Slide, type TablePart } from '../deck/index.ts';
import { beginningOf } from '../shorten/index.ts';
import type { LayoutName } from '../theme/index.ts';
import type { TextContent } from './draft.ts';
import { bigNumber, datedRows, figureItems, isQuoted, labelled, leadingDate, type FigureItem } from './figure-items.ts';

export const REASONS = [
  'numbered',
  'imperative',
  'order-words',
  'dates',
  'versus',
  'two-sides',
  'short-items',
  'named-items',
  'number-with-unit',
  'quoted',
  'round-words',
  'layer-words',
  'narrowing-words',
  'falling-numbers',
  'four-sides',
  'one-sentence',
  'numbers-in-table',
  'pictures-together',
  'picture-and-text',
  'list-and-text',
  'many-short',
  'ends-the-deck',
  'fits-as-it-is',
] as const;
export type Reason = (typeof REASONS)[number];

export interface Sign {
  readonly layout: LayoutName;
  readonly reason: Reason;
  /** 0 to 1. */
  readonly weight: number;
}

// English, German, French, Spanish.
const ORDER =
  /^(first(ly)?|second(ly)?|third(ly)?|then|next|after(wards| that)?|finally|last(ly)?|step \d|zuerst|dann|danach|schließlich|zuletzt|schritt \d|d'abord|ensuite|puis|enfin|étape \d|primero|luego|después|finalmente|paso \d)\b/i;
const STEPS =
  /\b(steps?|how to|process|procedure|stages?|schritte?|ablauf|vorgehen|étapes?|procédure|pasos?|proceso)\b/i;
const VERSUS =
  /\b(versus|vs\.?|compared|comparison|before and after|pros and cons|for and against|advantages and|strengths and|gegenüber|im vergleich|vor- und nachteile|comparé|avantages et|contra|ventajas y)\b/i;
/** Names of one side of two. */
const SIDE =
  /^(before|after|old|new|now|then|today|so far|for|against|pros?|cons?|with|without|as is|to be|vorher|nachher|früher|heute|alt|neu|dafür|dagegen|für|gegen|mit|ohne|avant|après|ancien|nouveau|pour|contre|avec|sans|antes|después|viejo|nuevo|a favor|en contra|con|sin|prima|dopo|depois|voor|na)\b/i;
const ROUND = /\b(cycle|loop|circle|again|repeat(s|ed)?|round|kreislauf|zyklus|wieder|cyclique|boucle|ciclo|bucle)\b/i;
const LAYERS =
  /\b(pyramid|hierarchy|layers?|levels?|tiers?|foundation|base|pyramide|ebenen?|schichten?|grundlage|niveaux?|hiérarchie|capas?|niveles|pirámide)\b/i;
const NARROWING =
  /\b(funnel|pipeline|narrow(s|ing)?|filter(s|ed|ing)?|shortlist|trichter|auswahl|entonnoir|sélection|embudo|selección)\b/i;
const SIDES =
  /\b(matrix|quadrants?|two by two|swot|strengths?, weaknesses|effort and|impact|likelihood|urgent|stärken|schwächen|quadranten?|matrice|forces|matriz|cuadrantes?|fortalezas)\b/i;
const THANKS =
  /^\W*(thank(s| you)( very much| for .{1,40})?|(any )?questions|the end|vielen dank.{0,30}|danke|fragen|merci.{0,20}|des questions|(muchas )?gracias|preguntas|grazie|domande|obrigad[oa]|perguntas|bedankt|vragen|contact)\W*$/i;

type Add = (layout: LayoutName, reason: Reason, weight: number) => void;

/** Strongest first; a layout may have several signs. */
export function signsOf(slide: Slide, language: string | null): readonly Sign[] {
  if (slide.kind !== 'content' || slide.matter !== undefined) return [];
  const signs: Sign[] = [];
  const add: Add = (layout, reason, weight) => {
    signs.push({ layout, reason, weight });
  };
  const title = runsText(slide.title.runs);
  const texts = slide.content.filter((part) => part.kind === 'point' || part.kind === 'text');
  const points = texts.filter((part) => part.kind === 'point');
  const pictures = slide.content.filter((part) => part.kind === 'picture').length;
  const tables = slide.content.filter((part) => part.kind === 'table');
  // What is done and what is not is seen by the boxes of a list alone.
  const tasks = points.some((part) => part.mark !== undefined && !isNumbered(part));
  const found = (tasks ? undefined : figureItems(points)) ?? [];
  // Points of two lists, one of them numbered, are no one thing.
  const counted = found.filter(({ ordered }) => ordered).length;
  const items = counted === 0 || counted === found.length ? found : [];
  if (items.length >= 2) {
    inOrder(items, title, add);
    opposed(items, title, texts.length, add);
    shaped(items, title, add);
    short(items, texts.length - points.length, add);
  }
  if (texts.length <= 3) fewTexts(texts, title, pictures + tables.length, add);
  ofTables(tables, texts.length > 0, language, add);
  ofPictures(pictures, texts.length, add);
  return signs.sort((a, b) => b.weight - a.weight);
}

/** What comes one after the other: by dates, numbers, or words. */
function inOrder(items: readonly FigureItem[], title: string, add: Add): void {
  const lines = items.map(({ runs }) => runsText(runs));
  const n = items.length;
  const share = (test: (line: string) => boolean): number => lines.filter(test).length / n;
  if (datedShare(items) >= 0.7) add('timeline', 'dates', 0.95);
  if (n >= 3 && items.every(({ ordered }) => ordered)) add('steps', 'numbered', 0.9);
  else if (share((line) => ORDER.test(line)) >= 0.5) add('steps', 'order-words', 0.85);
  else if (n >= 3 && share((line) => beginningOf(line) !== undefined) >= 0.75)
    add('steps', 'imperative', STEPS.test(title) ? 0.8 : 0.5);
}

const datedShare = (items: readonly FigureItem[]): number =>
  items.filter(({ runs }) => leadingDate(runs) !== undefined).length / items.length;

const labelsOf = (items: readonly FigureItem[]): readonly (Runs | undefined)[] =>
  items.map(({ runs }) => labelled(runs)?.label);

/** @param texts How many there are on the slide, with what stands below the items. */
function opposed(items: readonly FigureItem[], title: string, texts: number, add: Add): void {
  if (items.length !== 2) return;
  const sides = labelsOf(items);
  if (items.every(({ details }) => details.length > 0))
    add('comparison', VERSUS.test(title) ? 'versus' : 'two-sides', VERSUS.test(title) ? 0.95 : 0.75);
  else if (texts === 2 && sides.every((side) => side !== undefined)) {
    const against = VERSUS.test(title) || sides.every((side) => SIDE.test(runsText(side)));
    add('comparison', against ? 'versus' : 'two-sides', against ? 0.95 : 0.6);
  }
}

/** Figures that the title, or the items themselves, speak of. */
function shaped(items: readonly FigureItem[], title: string, add: Add): void {
  const lines = items.map(({ runs }) => runsText(runs));
  const n = items.length;
  if (n >= 3 && ROUND.test(title)) add('cycle', 'round-words', 0.85);
  if (n >= 3 && LAYERS.test(title)) add('pyramid', 'layer-words', 0.75);
  if (n >= 3 && NARROWING.test(title)) add('funnel', 'narrowing-words', 0.8);
  const numbers = lines.map((line) => firstNumber(line));
  const isFalling = numbers.every((value, i) => value !== undefined && (i === 0 || value < numbers[i - 1]!));
  if (n >= 3 && isFalling && datedShare(items) === 0) add('funnel', 'falling-numbers', 0.6);
  if (n === 4 && (SIDES.test(title) || lines.filter((line) => SIDES.test(line)).length / n >= 0.5))
    add('matrix', 'four-sides', 0.9);
}

/** @param beside How many texts stand beside the points. */
function short(items: readonly FigureItem[], beside: number, add: Add): void {
  const n = items.length;
  const words = items.map(({ runs }) => runsWords(runs));
  const longest = Math.max(...words);
  if (n <= 4 && longest <= 14 && items.every(({ runs }) => bigNumber(runs)?.unit === true))
    add('icon-grid', 'number-with-unit', 0.88);
  if (n <= 6 && longest <= 22 && labelsOf(items).every((side) => side !== undefined))
    add('icon-grid', 'named-items', 0.6);
  if (n <= 9 && longest <= 12 && longest <= 4 * Math.max(1, Math.min(...words)) + 3)
    add('icon-grid', 'short-items', longest <= 6 ? 0.62 : 0.55);
  if (n >= 6 && longest <= 10) add(n >= 9 ? 'columns-3' : 'columns', 'many-short', 0.4);
  if (beside > 0 && n >= 3 && n <= 5) add('figure-text', 'list-and-text', 0.4);
}

/** One to three texts. @param others Pictures and tables. */
function fewTexts(texts: readonly TextContent[], title: string, others: number, add: Add): void {
  const [first] = texts;
  if (first === undefined) return;
  const text = runsText(first.runs);
  if (bigNumber(first.runs)?.unit && texts.length <= 2 && text.length <= 160)
    add('big-number', 'number-with-unit', text.length <= 90 ? 0.8 : 0.6);
  const isSaid = isQuoted(text) || (first.kind === 'text' && first.style === 'quote');
  if (texts.length <= 2 && isSaid && text.length <= 420) add('quotation', 'quoted', 0.95);
  if (texts.length === 1 && text.length <= 140 && others === 0) add('statement', 'one-sentence', 0.55);
  if (THANKS.test(title)) add('closing', 'ends-the-deck', 0.7);
}

function ofTables(tables: readonly TablePart[], hasTexts: boolean, language: string | null, add: Add): void {
  for (const { table, chart } of tables) {
    const data = chart === undefined ? readChart(table, language) : undefined;
    if (data === undefined) continue;
    // Of several series of a few values a table says more: its numbers can be read.
    const told = data.series.length === 1 || data.categories.length > MOST_READ;
    add('chart', 'numbers-in-table', told ? 0.62 : 0.34);
    if (hasTexts) add('chart-points', 'numbers-in-table', told ? 0.7 : 0.38);
  }
  const [only] = tables;
  if (only !== undefined && tables.length === 1 && !hasTexts && datedRows(only) !== undefined)
    add('timeline', 'dates', DATED_ROWS);
}

function ofPictures(pictures: number, texts: number, add: Add): void {
  if (pictures >= 2) add(`gallery-${Math.min(4, pictures) as 2 | 3 | 4}`, 'pictures-together', 0.7);
  if (pictures >= 1 && texts > 0)
    for (const layout of ['picture-right', 'picture-left', 'picture-top', 'picture-bleed', 'picture-caption'] as const)
      add(layout, 'picture-and-text', layout === 'picture-caption' && texts === 1 ? 0.55 : 0.45);
}

/** Offered, not taken: a table shows its heads too. */
const DATED_ROWS = 0.3;
/** Rows of numbers that are read as a table. */
const MOST_READ = 8;

const firstNumber = (line: string): number | undefined => {
  const match = /\d[\d.,\u00a0\u202f]*/.exec(line);
  return match === null
    ? undefined
    : Number(
        match[0]
          .replace(/[.,\u00a0\u202f](?=\d{3}\b)/g, '')
          .replace(',', '.')
          .replace(/[.,]$/, ''),
      );
};
