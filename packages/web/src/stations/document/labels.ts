/** Words for what is found in a document and for what can be done about it, in one place. */
import type { FindingKind, RepairName } from '@alvex/core';

export const FINDINGS: Readonly<Record<FindingKind, readonly [one: string, many: string]>> = {
  'skipped-level': ['heading skips a level', 'headings skip a level'],
  'empty-heading': ['heading is empty', 'headings are empty'],
  'long-title': ['heading is too long for a title', 'headings are too long for a title'],
  'repeated-title': ['heading comes again', 'headings come again'],
  'text-before-heading': ['text stands before the first heading', 'texts stand before the first heading'],
  'bare-heading': ['heading has nothing under it', 'headings have nothing under them'],
  'lone-sub-heading': ['sub-heading stands alone', 'sub-headings stand alone'],
  'deep-list': ['list item is deeper than slides show', 'list items are deeper than slides show'],
  'typed-list': ['list is typed by hand', 'lists are typed by hand'],
  'long-paragraph': ['paragraph is very long', 'paragraphs are very long'],
  'picture-undescribed': ['picture has no description', 'pictures have no description'],
  'contents-list': ['table of contents', 'tables of contents'],
  'running-head': ['line comes on page after page', 'lines come on page after page'],
  'private-part': ['part may be for the speaker only', 'parts may be for the speaker only'],
};

export const REPAIRS: Readonly<Record<RepairName, string>> = {
  raise: 'Raise it',
  'make-text': 'Make it text',
  remove: 'Take it out',
  divide: 'Split it',
  number: 'Number it',
  'add-heading': 'Put a heading before it',
  'make-heading': 'Make it a heading',
  flatten: 'Raise it to depth 5',
  'make-items': 'Make it a list',
  describe: 'Describe it',
  'leave-out': 'Leave it out',
  speak: 'Move to the notes',
};
