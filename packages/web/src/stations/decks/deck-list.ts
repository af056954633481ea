/** Which decks a list shows, and in which order. */
import type { DeckSummary } from '@alvex/contract';
import { t } from '../../words/words.ts';

export const ORDERS = { changed: t('last changed'), name: t('by name'), length: t('longest first') } as const;
export type Order = keyof typeof ORDERS;

const KINDS: Readonly<Record<string, string>> = {
  docx: 'DOCX',
  odt: 'ODT',
  rtf: 'RTF',
  pdf: 'PDF',
  markdown: 'Markdown',
  html: t('web pages'),
  opml: t('outlines'),
  text: t('plain text'),
  pptx: t('presentations (PPTX)'),
  odp: t('presentations (ODP)'),
  parts: t('several files'),
};
export const kindLabel = (type: string): string => KINDS[type] ?? type.toUpperCase();

const folded = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase();

/** @param words Each of them is in the name or the file's name, whatever case and accents. @param kind Empty for all. */
export function matching<T extends DeckSummary>(decks: readonly T[], words: string, kind: string): readonly T[] {
  const wanted = folded(words).split(/\s+/).filter(Boolean);
  return decks.filter(({ name, fileName, type }) => {
    const text = folded(`${name} ${fileName}`);
    return (kind === '' || type === kind) && wanted.every((word) => text.includes(word));
  });
}

const COMPARE: Readonly<Record<Order, (a: DeckSummary, b: DeckSummary) => number>> = {
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  name: (a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }),
  length: (a, b) => b.words - a.words,
};
export const inOrder = <T extends DeckSummary>(decks: readonly T[], order: Order): readonly T[] =>
  [...decks].sort(COMPARE[order]);
