/** Words for what is found in a document and for what can be done about it, in one place. */
import type { FindingKind, RepairName } from '@alvex/core';
import { t } from '../../words/words.ts';

export const FINDINGS: Readonly<Record<FindingKind, (count: number) => string>> = {
  'skipped-level': (count) => t('{n} headings skip a level', { count }),
  'empty-heading': (count) => t('{n} headings are empty', { count }),
  'long-title': (count) => t('{n} headings are too long for a title', { count }),
  'repeated-title': (count) => t('{n} headings come again', { count }),
  'text-before-heading': (count) => t('{n} texts stand before the first heading', { count }),
  'bare-heading': (count) => t('{n} headings have nothing under them', { count }),
  'lone-sub-heading': (count) => t('{n} sub-headings stand alone', { count }),
  'deep-list': (count) => t('{n} list items are deeper than slides show', { count }),
  'typed-list': (count) => t('{n} lists are typed by hand', { count }),
  'long-paragraph': (count) => t('{n} paragraphs are very long', { count }),
  'picture-undescribed': (count) => t('{n} pictures have no description', { count }),
  'contents-list': (count) => t('{n} tables of contents', { count }),
  'running-head': (count) => t('{n} lines come on page after page', { count }),
  'private-part': (count) => t('{n} parts may be for the speaker only', { count }),
};

export const REPAIRS: Readonly<Record<RepairName, string>> = {
  raise: t('Raise it'),
  'make-text': t('Make it text'),
  remove: t('Take it out'),
  divide: t('Split it'),
  number: t('Number it'),
  'add-heading': t('Put a heading before it'),
  'make-heading': t('Make it a heading'),
  flatten: t('Raise it to depth 5'),
  'make-items': t('Make it a list'),
  describe: t('Describe it'),
  'leave-out': t('Leave it out'),
  speak: t('Move to the notes'),
};
