/** What is remarked, and what can be done about it, in words. */
import type { Density, LayoutName, Remark, RemarkKind, Way, Weight } from '@alvex/core';
import { count, quoted } from '../../ui/format.ts';
import { DENSITY_LABELS, LAYOUT_LABELS } from '../../ui/labels.ts';

export const WEIGHT_LABELS: Readonly<Record<Weight, string>> = {
  fault: 'Must not be shown so',
  hard: 'Hard to follow',
  thought: 'Worth a thought',
};

/** Of a list: many of a kind. */
export const KIND_LABELS: Readonly<Record<RemarkKind, string>> = {
  'private-shown': 'For the speaker, and shown',
  spills: 'Text over its frame',
  'no-glyph': 'Characters that no font has',
  contrast: 'Text that hardly stands out',
  'cover-not-first': 'Cover not first',
  'small-points': 'Small points',
  'small-cells': 'Small text in tables',
  'small-code': 'Small code',
  'small-figure': 'Small text in figures',
  'many-words': 'Many words',
  'many-points': 'Many points',
  'long-code': 'Long code',
  'long-title': 'Long titles',
  'repeated-title': 'Title of the slide before',
  'cut-picture': 'Drawings cut',
  'small-picture': 'Small pictures',
  'coarse-picture': 'Coarse pictures',
  bare: 'Title alone',
  'lone-point': 'One point alone',
  'half-empty': 'Half empty',
  'numbers-differ': 'Numbers that differ',
  'spelt-twice': 'Names spelt in two ways',
  undescribed: 'Pictures without description',
  'color-alone': 'Told apart by colour alone',
  'stale-numbers': 'Charts whose table has changed',
  'dead-link': 'Links that lead nowhere',
  'title-twice': 'Titles used twice',
  'vague-title': 'Titles that say little',
  stumbled: 'Stumbled at',
  'unlike-points': 'Points unlike each other',
  'long-notes': 'Long speaker notes',
  'notes-repeat': 'Notes that repeat the slide',
  'no-notes': 'No speaker notes',
  'same-layout': 'One look for long',
};

type Say = (remark: Remark) => string;
const much = ({ count: n = 0 }: Remark): number => n;
const named = ({ text = '' }: Remark): string => quoted(text);

const REASONS: Readonly<Record<RemarkKind, Say>> = {
  'private-shown': () => 'This stands under a heading that says it is for the speaker, and the audience sees it.',
  spills: () => 'The text is more than its frame holds at the smallest size.',
  'no-glyph': () => 'A character is in none of the fonts; a box would stand in its place.',
  contrast: () => 'The text hardly stands out from what is behind it.',
  'cover-not-first': () => 'A cover stands behind other slides.',
  'small-points': () => 'The points are under 18 pt: hard to read from the back of a room.',
  'small-cells': () => 'The table’s text is under 14 pt. Fewer rows or columns would be larger.',
  'small-code': () => 'The code is under 14 pt. Fewer lines would be larger.',
  'small-figure': () => 'The text in the figure is under 16 pt.',
  'many-words': () => 'More words than can be taken in while someone speaks.',
  'many-points': (remark) => `${count(much(remark), 'point')} at once; more than seven are not held in mind.`,
  'long-code': () => 'More than 14 lines of code: show those that matter.',
  'long-title': () => 'The title takes over two lines, or leaves one word alone on its last.',
  'repeated-title': () => 'The title is the same as that of the slide before.',
  'cut-picture': () => 'A drawing is cut by its frame; something of it may be missing.',
  'small-picture': () => 'A picture is too small to be seen from afar.',
  'coarse-picture': () => 'The picture has too few pixels for its size, and will look coarse.',
  bare: () => 'A title and nothing else.',
  'lone-point': () => 'One point stands alone.',
  'half-empty': () => 'More than half of the slide is empty.',
  'numbers-differ': ({ text = '', other = '' }) => `The slide says ${text}, and its notes say ${other}.`,
  'spelt-twice': (remark) =>
    `${named(remark)} is written ${quoted(remark.other ?? '')} elsewhere${much(remark) > 1 ? ` (${count(much(remark), 'time')} so)` : ''}.`,
  undescribed: (remark) =>
    much(remark) === 1
      ? 'The picture has no description for those who do not see it.'
      : `${count(much(remark), 'picture')} have no description for those who do not see them.`,
  'stale-numbers': () => 'The chart has numbers of its own; its table has others since they were written.',
  'color-alone': () => 'The lines of the chart are told apart by their colours alone.',
  'dead-link': (remark) =>
    much(remark) === 1
      ? `The link ${named(remark)} leads to a place in the document, which slides do not have.`
      : `${count(much(remark), 'link')} lead to places in the document, which slides do not have.`,
  'title-twice': (remark) => `Slide ${much(remark)} has the title ${named(remark)} too.`,
  'vague-title': (remark) => `The title ${named(remark)} could stand on any slide.`,
  stumbled: () => 'You stumbled here in the last rehearsal.',
  'unlike-points': (remark) => `${named(remark)} begins or ends otherwise than the points beside it.`,
  'long-notes': () => 'The speaker notes take over two and a half minutes: long for one slide.',
  'notes-repeat': (remark) =>
    much(remark) === 1
      ? 'A paragraph of the notes only says what the slide shows.'
      : `${count(much(remark), 'paragraph')} of the notes only say what the slide shows.`,
  'no-notes': () => 'Nothing to say here, where most slides have speaker notes.',
  'same-layout': (remark) =>
    `Slides ${remark.text} to ${remark.other} look alike: ${count(much(remark), 'slide')} without a change.`,
};
export const reason = (remark: Remark): string => REASONS[remark.kind](remark);

/** On a button: what it does. */
export function wayText({ name, text = '' }: Way): string {
  switch (name) {
    case 'speak-points':
      return `Keep ${text} points, speak the others`;
    case 'shorten-points':
      return 'Shorten the points';
    case 'to-notes':
      return 'Move running text to the notes';
    case 'continue':
      return 'Continue on another slide';
    case 'split':
      return 'Split the slide';
    case 'layout':
      return `Layout: ${LAYOUT_LABELS[text as LayoutName].toLowerCase()}`;
    case 'join-above':
      return 'Join with the slide above';
    case 'join-below':
      return 'Join with the slide below';
    case 'tell-notes':
      return 'Show what the notes say';
    case 'add-to-title':
    case 'shorten-title':
      return `Title: ${text}`;
    case 'to-front':
      return 'Move to the front';
    case 'whole-picture':
      return 'Show all of the picture';
    case 'describe-by-caption':
      return 'Use its caption';
    case 'table-numbers':
      return 'Take the table’s numbers';
    case 'own-numbers':
      return 'Keep those of the chart';
    case 'columns':
      return 'Draw it as columns';
    case 'drop-link':
      return 'Keep the text, drop the link';
    case 'spell-alike':
      return `Write ${text} everywhere`;
    case 'alike':
      return 'Word them alike';
    case 'shorten-notes':
      return `Shorten to ${DENSITY_LABELS[text as Density]}`;
    case 'drop-notes':
      return 'Take them out of the notes';
    case 'other-ground':
      return 'Other colours for this slide';
    case 'notes-only':
      return 'Move to the speaker notes';
  }
}
