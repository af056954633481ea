/** Numbers and times as people read them; a number always stands with its unit. */
import { grouped, LOCALE, t } from '../words/words.ts';

export { grouped } from '../words/words.ts';

const oneDecimal = new Intl.NumberFormat(LOCALE, { maximumFractionDigits: 1 });
const megabytes = new Intl.NumberFormat(LOCALE, { minimumFractionDigits: 1, maximumFractionDigits: 1 });

/** `3 slides`: the noun, as one of it is called, is a key of the catalogue. */
export const count = (n: number, one: string): string => t(`{n} ${one}`, { count: n });
const conjunction = new Intl.ListFormat(LOCALE);

/** `one, two and three`. */
export const listed = (items: readonly string[]): string => conjunction.format(items);
export const decimal = (n: number): string => oneDecimal.format(n);

/** @param pace Words a minute. */
export const speakingTime = (words: number, pace: number): string => duration((words / pace) * 60);

/** `12 s`, `2 min 30 s`, `1 h 5 min`. */
export function duration(exact: number /* s */): string {
  const seconds = Math.round(exact);
  if (seconds < 60) return `${seconds} s`;
  const minutes = Math.floor(seconds / 60);
  const [whole, wholeUnit, rest, restUnit] =
    minutes < 60 ? [minutes, 'min', seconds % 60, 's'] : [Math.floor(minutes / 60), 'h', minutes % 60, 'min'];
  return rest === 0 ? `${whole} ${wholeUnit}` : `${whole} ${wholeUnit} ${rest} ${restUnit}`;
}

/** A time as an estimate is said: whole minutes, where there is more than one. */
export const estimate = (seconds: number): string =>
  duration(seconds < 90 ? Math.round(seconds / 10) * 10 : Math.round(seconds / 60) * 60);

/** `320 kB`, `1.4 MB`. */
export const fileSize = (bytes: number): string =>
  bytes < 1_000_000
    ? `${grouped(Math.max(1, Math.round(bytes / 1000)))} kB`
    : `${megabytes.format(bytes / 1_000_000)} MB`;

/** `33 %`. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

export function clock(date: Date): string {
  return date.toLocaleTimeString(LOCALE, { hour: '2-digit', minute: '2-digit' });
}

export function dayAndTime(iso: string): string {
  return new Date(iso).toLocaleString(LOCALE, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });
}

const LONGEST = 70;

/** Text of the author's on one line, in quotation marks, cut where it is long. */
export function quoted(text: string): string {
  const line = text.replace(/\s+/g, ' ').trim();
  return t('“{text}”', { text: line.length > LONGEST ? `${line.slice(0, LONGEST)} …` : line });
}
