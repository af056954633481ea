/** Names that are shown in more than one place. */
import type { Density, Destination, FullRule, MatterKind, TextKind } from '@alvex/core';

export const KIND_LABELS: Readonly<Record<TextKind, string>> = {
  heading1: 'Heading 1',
  heading2: 'Heading 2',
  heading3: 'Heading 3',
  heading4: 'Heading 4',
  heading5: 'Heading 5',
  heading6: 'Heading 6',
  body: 'Body text',
  list1: 'List items, depth 1',
  list2: 'List items, depth 2',
  list3: 'List items, depth 3',
  list4: 'List items, depth 4',
  list5: 'List items, depth 5',
  table: 'Tables',
  picture: 'Pictures',
  quote: 'Quotations',
  code: 'Code',
  footnote: 'Footnotes',
};

/** Ready-made maps, named for the talk. */
export const MAP_LABELS: Readonly<Record<string, string>> = {
  talk: 'Spoken talk',
  reading: 'Reading deck',
  briefing: 'Short briefing',
  lesson: 'Lesson',
  decision: 'Paper to decide on',
  prompter: 'Words to hold on to',
};
export const MAP_HINTS: Readonly<Record<string, string>> = {
  talk: 'The highest headings are titles; body text is spoken.',
  reading: 'To be read without a speaker: body text stands on the slides.',
  briefing: 'Titles and their first points; everything else is spoken.',
  lesson: 'Sections; the first sentence of each paragraph is a point.',
  decision: 'The sentences that carry most, a third of the text.',
  prompter: 'Key words on the slide, the full text to speak from.',
};

export const FULL_LABELS: Readonly<Record<FullRule, string>> = {
  continue: 'continued on another',
  columns: 'set in two columns',
  notes: 'its prose spoken',
  shorten: 'shortened',
  report: 'shrunk and reported',
};
/** The same, said to one slide. */
export const FULL_ACTIONS: Readonly<Record<FullRule, string>> = {
  continue: 'Continue it',
  columns: 'Two columns',
  notes: 'Prose to notes',
  shorten: 'Shorten it',
  report: 'Shrink it',
};

export const MATTER_LABELS: Readonly<Record<MatterKind, string>> = {
  cover: 'Cover',
  agenda: 'Agenda',
  'key-points': 'Key points',
  sources: 'Sources',
};

export const DENSITY_LABELS: Readonly<Record<Density, string>> = {
  most: 'most of the words',
  half: 'half of the words',
  third: 'a third of the words',
  sentence: 'a sentence of each paragraph',
  words: 'key words',
};

/** Said to screen readers and in tooltips. */
export const DESTINATION_LABELS: Readonly<Record<Destination, string>> = {
  section: 'section opener',
  title: 'slide title',
  point1: 'point, level 1',
  point2: 'point, level 2',
  point3: 'point, level 3',
  point4: 'point, level 4',
  point5: 'point, level 5',
  slide: 'text on the slide',
  notes: 'speaker notes',
  out: 'left out',
};
