/** Signs in a slide's words that a layout or a figure suits it; each with the reason that is told to the author. */
import { readChart } from '../charts/index.ts';
import { runsText, runsWords } from '../content/index.ts';
import { isNumbered, type Slide } from '../deck/index.ts';
import { beginningOf } from '../shorten/index.ts';
import type { LayoutName } from '../theme/index.ts';
import { bigNumber, datedRows, figureItems, isQuoted, labelled, leadingDate } from './figure-items.ts';

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

/** Strongest first; a layout may have several signs. */
export function signsOf(slide: Slide, language: string | null): readonly Sign[] {
  if (slide.kind !== 'content' || slide.matter !== undefined) return [];
  const signs: Sign[] = [];
  const add = (layout: LayoutName, reason: Reason, weight: number): void => {
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
  const lines = items.map(({ runs }) => runsText(runs));
  const n = items.length;
  if (n >= 2) {
    const share = (test: (line: string) => boolean): number => lines.filter(test).length / n;
    const dated = items.filter(({ runs }) => leadingDate(runs) !== undefined).length;
    if (n >= 2 && dated / n >= 0.7) add('timeline', 'dates', 0.95);
    if (n >= 3 && items.every(({ ordered }) => ordered)) add('steps', 'numbered', 0.9);
    else if (share((line) => ORDER.test(line)) >= 0.5) add('steps', 'order-words', 0.85);
    else if (n >= 3 && share((line) => beginningOf(line) !== undefined) >= 0.75)
      add('steps', 'imperative', STEPS.test(title) ? 0.8 : 0.5);
    const sides = items.map(({ runs }) => labelled(runs)?.label);
    if (n === 2 && items.every(({ details }) => details.length > 0))
      add('comparison', VERSUS.test(title) ? 'versus' : 'two-sides', VERSUS.test(title) ? 0.95 : 0.75);
    else if (n === 2 && texts.length === 2 && sides.every((side) => side !== undefined)) {
      const opposed = VERSUS.test(title) || sides.every((side) => SIDE.test(runsText(side)));
      add('comparison', opposed ? 'versus' : 'two-sides', opposed ? 0.95 : 0.6);
    }
    if (n >= 3 && ROUND.test(title)) add('cycle', 'round-words', 0.85);
    if (n >= 3 && LAYERS.test(title)) add('pyramid', 'layer-words', 0.75);
    if (n >= 3 && NARROWING.test(title)) add('funnel', 'narrowing-words', 0.8);
    const numbers = lines.map((line) => firstNumber(line));
    if (
      n >= 3 &&
      dated === 0 &&
      numbers.every((value, i) => value !== undefined && (i === 0 || value < numbers[i - 1]!))
    )
      add('funnel', 'falling-numbers', 0.6);
    if (n === 4 && (SIDES.test(title) || share((line) => SIDES.test(line)) >= 0.5)) add('matrix', 'four-sides', 0.9);
    const words = items.map(({ runs }) => runsWords(runs));
    const longest = Math.max(...words);
    if (n <= 4 && longest <= 14 && items.every(({ runs }) => bigNumber(runs)?.unit === true))
      add('icon-grid', 'number-with-unit', 0.88);
    if (n <= 6 && longest <= 22 && sides.every((side) => side !== undefined)) add('icon-grid', 'named-items', 0.6);
    if (n <= 9 && longest <= 12 && longest <= 4 * Math.max(1, Math.min(...words)) + 3)
      add('icon-grid', 'short-items', longest <= 6 ? 0.62 : 0.55);
    if (n >= 6 && longest <= 10) add(n >= 9 ? 'columns-3' : 'columns', 'many-short', 0.4);
    if (texts.length > points.length && n >= 3 && n <= 5) add('figure-text', 'list-and-text', 0.4);
  }
  const [first] = texts;
  if (first !== undefined && texts.length <= 3) {
    const text = runsText(first.runs);
    const number = bigNumber(first.runs);
    if (number?.unit && texts.length <= 2 && text.length <= 160)
      add('big-number', 'number-with-unit', text.length <= 90 ? 0.8 : 0.6);
    if (
      texts.length <= 2 &&
      (isQuoted(text) || (first.kind === 'text' && first.style === 'quote')) &&
      text.length <= 420
    )
      add('quotation', 'quoted', 0.95);
    if (texts.length === 1 && text.length <= 140 && pictures + tables.length === 0)
      add('statement', 'one-sentence', 0.55);
    if (THANKS.test(title)) add('closing', 'ends-the-deck', 0.7);
  }
  for (const { table, chart } of tables) {
    const data = chart === undefined ? readChart(table, language) : undefined;
    if (data === undefined) continue;
    // Of several series of a few values a table says more: its numbers can be read.
    const told = data.series.length === 1 || data.categories.length > MOST_READ;
    add('chart', 'numbers-in-table', told ? 0.62 : 0.34);
    if (texts.length > 0) add('chart-points', 'numbers-in-table', told ? 0.7 : 0.38);
  }
  const [only] = tables;
  if (only !== undefined && tables.length === 1 && texts.length === 0 && datedRows(only) !== undefined)
    add('timeline', 'dates', DATED_ROWS);
  if (pictures >= 2) add(`gallery-${Math.min(4, pictures) as 2 | 3 | 4}`, 'pictures-together', 0.7);
  if (pictures >= 1 && texts.length > 0)
    for (const layout of ['picture-right', 'picture-left', 'picture-top', 'picture-bleed', 'picture-caption'] as const)
      add(layout, 'picture-and-text', layout === 'picture-caption' && texts.length === 1 ? 0.55 : 0.45);
  return signs.sort((a, b) => b.weight - a.weight);
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
