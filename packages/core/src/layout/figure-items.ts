/** What a list says when it is read as a figure: its points, and what stands below each. */
import { cellText, plain, runsText, sliceRuns, trimRuns, type Runs, type TableCell } from '../content/index.ts';
import { isNumbered, type Content, type Icon, type Point, type TablePart } from '../deck/index.ts';
import type { Para } from './page.ts';
import type { PartId } from '../ids/index.ts';

export interface FigureItem {
  /** Null for what is no part of its own: a row of a table. */
  readonly part: PartId | null;
  readonly runs: Runs;
  readonly icon: Icon | undefined;
  readonly ordered: boolean;
  /** What its list counts it by, without what stands around it: 4, b, iv, 3.1. */
  readonly count?: string;
  readonly details: readonly Para[];
}

/** @returns undefined where the content is no plain list of points. */
export function figureItems(content: readonly Content[]): readonly FigureItem[] | undefined {
  const items: { item: Omit<FigureItem, 'details'>; details: Para[] }[] = [];
  for (const part of content) {
    if (part.kind !== 'point') return undefined;
    if (part.level === 1)
      items.push({
        item: { part: part.id, runs: part.runs, icon: part.icon, ...counted(part) },
        details: [],
      });
    else if (items.length === 0) return undefined;
    else items.at(-1)!.details.push({ part: part.id, style: 'detail', level: 1, runs: part.runs });
  }
  return items.map(({ item, details }) => ({ ...item, details }));
}

function counted(part: Point): Pick<FigureItem, 'ordered' | 'count'> {
  if (!isNumbered(part)) return { ordered: false };
  const count = part.mark!.text.replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N}]+$/gu, '');
  return { ordered: true, ...(count === '' ? {} : { count }) };
}

const MONTH =
  '(?:jan(?:uar[yi]?|vier)?|feb(?:ruar[yi]?)?|f[ée]vr(?:ier)?|mar(?:ch|s|zo)?|m[äa]rz|apr(?:il)?|avril|may|mai|mayo|june?|juin|junio|jul[yi]?o?|juillet|aug(?:ust)?|ao[ûu]t|agosto|sept?(?:ember|embre|iembre)?|okt(?:ober)?|oct(?:ober|obre|ubre)?|nov(?:ember|embre|iembre)?|de[cz](?:ember|embre)?|d[ée]cembre|diciembre|enero|febrero|abril|januar|februar|gennaio|febbraio|aprile|maggio|giugno|luglio|settembre|ottobre|dicembre|janeiro|fevereiro|março|maio|junho|julho|setembro|outubro|dezembro|januari|februari|maart|mei|augustus)\\.?';
const YEAR = '(?:1[0-9]|20|21)\\d\\d';
/** A date at the beginning of a line: year, month and year, day, quarter, week, or a span of them. */
const ONE_DATE = `(?:${YEAR}-\\d{2}(?:-\\d{2})?|\\d{1,2}[./]\\d{1,2}[./](?:\\d{2}|${YEAR})|${YEAR}年(?:\\d{1,2}月(?:\\d{1,2}日)?)?|\\d{1,2}(?:st|nd|rd|th|\\.)?\\s+(?:de\\s+)?${MONTH}(?:\\s+(?:de\\s+)?${YEAR})?|${MONTH}\\s+\\d{1,2}(?:st|nd|rd|th)?,?(?:\\s+${YEAR})?|${MONTH}(?:\\s+(?:de\\s+)?${YEAR})?|Q[1-4](?:\\s+${YEAR})?|${YEAR}s?|(?:week|month|day|year|phase|woche|monat|tag|jahr|semaine|mois|jour|année|semana|mes|día|año)\\s+\\d{1,3}|\\d{1,2}:\\d{2})`;
const SINCE = '(?:(?:in|on|by|from|since|until|am|ab|im|bis|seit|le|en|dès|desde|el)\\s+)?';
const DATE = new RegExp(
  `^${SINCE}(${ONE_DATE}(?:\\s*(?:–|—|-|to|bis|au|a)\\s*${ONE_DATE})?)(?=$|[\\s,.:;：、–—-])`,
  'i',
);

/** All dates but a month alone have digits. What has neither is told soon: to compile the whole pattern takes long. */
const MAY_BE_DATE = new RegExp(`\\d|^${SINCE}${MONTH}`, 'i');

/** A date at the beginning of a text, and what is left without it. */
export function leadingDate(runs: Runs): { readonly date: Runs; readonly rest: Runs } | undefined {
  const text = runsText(runs);
  const match = MAY_BE_DATE.test(text) ? DATE.exec(text) : null;
  if (match === null) return undefined;
  const start = match[0].length - match[1]!.length;
  const end = match[0].length;
  const separator = /^\s*[,:;：、–—-]?\s*/.exec(text.slice(end))![0].length;
  return { date: sliceRuns(runs, start, end), rest: trimRuns(sliceRuns(runs, end + separator, text.length)) };
}

/** What a text says first of what it speaks, and the rest: `After: a hoist lifts them`. */
export function labelled(runs: Runs): { readonly label: Runs; readonly rest: Runs } | undefined {
  const match = LABEL.exec(runsText(runs));
  if (match === null) return undefined;
  const [whole, label] = match;
  const rest = trimRuns(sliceRuns(runs, whole.length, runsText(runs).length));
  return rest.length === 0 ? undefined : { label: sliceRuns(runs, 0, label!.length), rest };
}
const LABEL = /^(\p{L}[^:：.!?\n]{0,29}?)(?:\s*:\s+|：\s*|\s+[–—]\s+)/u;

/** Rows of a table whose first column has dates, as items of a timeline; undefined for any other table. */
export function datedRows({ table }: TablePart): readonly FigureItem[] | undefined {
  const rows = table.rows.filter(({ header }) => !header);
  const heads = table.rows.find(({ header }) => header)?.cells.map(cellText) ?? [];
  if (table.columns < 2 || table.columns > MOST_COLUMNS || rows.some(({ cells }) => cells.length !== table.columns))
    return undefined;
  const items = rows.map(({ cells: [when, ...what] }): FigureItem | undefined => {
    const date = leadingDate(when!.runs);
    if (date === undefined || date.rest.length > 0 || what.some(({ rows, columns }) => rows > 1 || columns > 1))
      return undefined;
    const [{ runs: first }, ...more] = what as [TableCell, ...TableCell[]];
    const details = more.flatMap(({ runs }, i): readonly Para[] => {
      const head = heads[i + 2] ?? '';
      return runs.length === 0
        ? []
        : [{ part: null, style: 'detail', level: 1, runs: head === '' ? runs : [...plain(`${head}: `), ...runs] }];
    });
    return { part: null, runs: [...date.date, ...plain(': '), ...first], icon: undefined, ordered: false, details };
  });
  return items.every((item) => item !== undefined) ? items : undefined;
}
const MOST_COLUMNS = 3;

const UNIT =
  '%|‰|percent|per cent|prozent|pour cent|por ciento|million(?:s|en)?|billion|milliard(?:s|en)?|thousand|tausend|mille|mil|times|mal|fois|veces|years?|jahre?|ans|años|months?|monate?|mois|meses|weeks?|wochen?|semaines?|semanas?|days?|tage?|jours?|días?|hours?|stunden?|heures?|horas?|minutes?|minuten|euros?|dollars?|pounds?|litres?|liters?|lit(?:er|ri|ros)|hectares?|ha|acres?|miles?|met(?:re|er|ro)s?|mètres?|tons|people|persons?|personen|personnes|personas|visitors?|members?|jobs|km|m²|m³|m|kg|t|tonnes?|kW|MW|kWh|MWh|GWh|°C|€|\\$|£';
const BIG = new RegExp(
  `(?:^|[\\s(])((?:[£$€¥]\\s?)?\\d[\\d.,\u00a0\u202f ’]*(?:\\s?(?:${UNIT})(?![\\p{L}\\d]))?|one in \\w+|\\d+ (?:of|in|out of|von|sur|de) \\d+)`,
  'iu',
);

const HAS_UNIT = new RegExp(`^[£$€¥]|(?:${UNIT})$| (?:of|in|out of|von|sur|de) `, 'iu');

export interface BigNumber {
  readonly big: Runs;
  readonly rest: Runs;
  /** It has one. */
  readonly unit: boolean;
}

/** The number of a text that would be set large, and all the text besides. */
export function bigNumber(runs: Runs): BigNumber | undefined {
  const text = runsText(runs);
  const match = BIG.exec(text);
  if (match === null) return undefined;
  const found = match[1]!.replace(/[.,\s]+$/, '');
  const start = match.index + match[0].indexOf(match[1]!);
  const unit = HAS_UNIT.test(found);
  // A number that leads is said once, large; one within a sentence stays in it too, or the sentence would have a hole.
  const leads = start === 0;
  return {
    big: sliceRuns(runs, start, start + found.length),
    rest: leads ? trimRuns(sliceRuns(runs, found.length, text.length)) : runs,
    unit,
  };
}

// Behind a dash, in parentheses, or behind the last sentence as words that are none.
const ATTRIBUTION =
  /\s*(?:\n|\s)[—–]\s*([^—–\n]{2,80})$|\s*\(([^()\n]{2,80})\)\s*$|(?<=[.!?…]["”’»]?)\s+([^.!?…\n]{2,80})$/u;

/** A quotation, and who said it where the text says so. */
export function quoted(runs: Runs): { readonly quote: Runs; readonly source: Runs } {
  const text = runsText(runs);
  const match = ATTRIBUTION.exec(text);
  if (match === null || match.index === 0) return { quote: runs, source: [] };
  const name = match[1] ?? match[2] ?? match[3]!;
  const start = match.index + match[0].lastIndexOf(name);
  return { quote: trimRuns(sliceRuns(runs, 0, match.index)), source: sliceRuns(runs, start, start + name.length) };
}
export const isQuoted = (text: string): boolean => /^\s*["“„«‘].+["”“»’]/su.test(text);
