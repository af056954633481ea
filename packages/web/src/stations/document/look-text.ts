/** How lines look, why they are taken for headings, and what is found of them, in words. */
import type { FindingDetail, HeadingReason, Traits } from '@alvex/core';
import { count, decimal, quoted } from '../../ui/format.ts';
import { t } from '../../words/words.ts';

/** `bold, 14 pt, capitals`. */
export function lookText({ size, bold, italic, caps, centred, numbered, division }: Traits): string {
  const words = [
    bold && t('bold'),
    italic && t('italic'),
    size !== undefined && t('{size} pt', { size: decimal(size) }),
    caps && t('capitals'),
    centred && t('centred'),
    division ? t('names a part') : numbered > 0 && t('numbered in {n} parts', { count: numbered }),
  ].filter((word) => word !== false);
  return words.length === 0 ? t('plain') : words.join(', ');
}

export function reasonText(reason: HeadingReason): string {
  switch (reason.why) {
    case 'larger':
      return t('{size} pt where the text is {usual} pt', { size: decimal(reason.size), usual: decimal(reason.usual) });
    case 'numbered':
      return t('numbered {mark}', { mark: reason.mark });
    case 'words':
      return t('{n} words', { count: reason.count });
    case 'bold':
      return t('bold throughout');
    case 'part':
      return t('names a part of the text');
    case 'capitals':
      return t('in capitals');
    case 'centred':
      return t('centred');
    case 'space-above':
      return t('space above');
    case 'no-stop':
      return t('no full stop');
    case 'text-follows':
      return t('text follows');
  }
}

/** What a finding is about: `2 → 4`, `180 words`. */
export function detailText(detail: FindingDetail): string {
  switch (detail?.is) {
    case undefined:
      return '';
    case 'level':
      return t('level {level}', { level: detail.level });
    case 'depth':
      return t('depth {level}', { level: detail.level });
    case 'skip':
      return `${detail.above ?? t('first heading')} → ${detail.level}`;
    case 'words':
      return count(detail.count, 'word');
    case 'lines':
      return count(detail.count, 'line');
    case 'again':
      return t('{text}, number {number}', { text: quoted(detail.text), number: detail.count });
    case 'often':
      return t('{text}, {n} times', { text: quoted(detail.text), count: detail.count });
    case 'under':
      return t('under {text}', { text: quoted(detail.text) });
  }
}
