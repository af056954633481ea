/** Numbers and times as people read them; a number always stands with its unit. */
const number = new Intl.NumberFormat('en-GB', { useGrouping: true });

export const count = (n: number, one: string, many = `${one}s`): string =>
  `${number.format(n)} ${n === 1 ? one : many}`;
export const grouped = (n: number): string => number.format(n);

/** `12 s`, `2 min 30 s`, `1 h 5 min`. @param pace Words a minute. */
export function speakingTime(words: number, pace: number): string {
  const seconds = Math.round((words / pace) * 60);
  if (seconds < 60) return `${seconds} s`;
  const minutes = Math.floor(seconds / 60);
  const [whole, wholeUnit, rest, restUnit] =
    minutes < 60 ? [minutes, 'min', seconds % 60, 's'] : [Math.floor(minutes / 60), 'h', minutes % 60, 'min'];
  return rest === 0 ? `${whole} ${wholeUnit}` : `${whole} ${wholeUnit} ${rest} ${restUnit}`;
}

export function clock(date: Date): string {
  return date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

export function dayAndTime(iso: string): string {
  return new Date(iso).toLocaleString('en-GB', {
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
  return `“${line.length > LONGEST ? `${line.slice(0, LONGEST)} …` : line}”`;
}
