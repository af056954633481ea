/** What is remarked, and what can be done about it, in words. */
import type { Density, LayoutName, Remark, RemarkKind, Way, Weight } from '@alvex/core';
import { quoted } from '../../ui/format.ts';
import { DENSITY_LABELS, LAYOUT_LABELS } from '../../ui/labels.ts';
import { lowered, t } from '../../words/words.ts';

export const WEIGHT_LABELS: Readonly<Record<Weight, string>> = {
  fault: t('Must not be shown so'),
  hard: t('Hard to follow'),
  thought: t('Worth a thought'),
};

/** Of a list: many of a kind. */
export const KIND_LABELS: Readonly<Record<RemarkKind, string>> = {
  'private-shown': t('For the speaker, and shown'),
  spills: t('Text over its frame'),
  'no-glyph': t('Characters that no font has'),
  contrast: t('Text that hardly stands out'),
  'cover-not-first': t('Cover not first'),
  'small-points': t('Small points'),
  'small-cells': t('Small text in tables'),
  'small-code': t('Small code'),
  'small-figure': t('Small text in figures'),
  'many-words': t('Many words'),
  'many-points': t('Many points'),
  'long-code': t('Long code'),
  'long-title': t('Long titles'),
  'repeated-title': t('Title of the slide before'),
  'cut-picture': t('Drawings cut'),
  'small-picture': t('Small pictures'),
  'coarse-picture': t('Coarse pictures'),
  bare: t('Title alone'),
  'lone-point': t('One point alone'),
  'half-empty': t('Half empty'),
  'numbers-differ': t('Numbers that differ'),
  'spelt-twice': t('Names spelt in two ways'),
  undescribed: t('Pictures without description'),
  'color-alone': t('Told apart by colour alone'),
  'stale-numbers': t('Charts whose table has changed'),
  'dead-link': t('Links that lead nowhere'),
  'hidden-link': t('Links to hidden slides'),
  'title-twice': t('Titles used twice'),
  'vague-title': t('Titles that say little'),
  stumbled: t('Stumbled at'),
  'unlike-points': t('Points unlike each other'),
  'long-notes': t('Long speaker notes'),
  'notes-repeat': t('Notes that repeat the slide'),
  'no-notes': t('No speaker notes'),
  'same-layout': t('One look for long'),
};

type Say = (remark: Remark) => string;
const much = ({ count: n = 0 }: Remark): number => n;
const named = ({ text = '' }: Remark): string => quoted(text);

const REASONS: Readonly<Record<RemarkKind, Say>> = {
  'private-shown': () => t('This stands under a heading that says it is for the speaker, and the audience sees it.'),
  spills: () => t('The text is more than its frame holds at the smallest size.'),
  'no-glyph': () => t('A character is in none of the fonts; a box would stand in its place.'),
  contrast: () => t('The text hardly stands out from what is behind it.'),
  'cover-not-first': () => t('A cover stands behind other slides.'),
  'small-points': () => t('The points are under 18 pt: hard to read from the back of a room.'),
  'small-cells': () => t('The table’s text is under 14 pt. Fewer rows or columns would be larger.'),
  'small-code': () => t('The code is under 14 pt. Fewer lines would be larger.'),
  'small-figure': () => t('The text in the figure is under 16 pt.'),
  'many-words': () => t('More words than can be taken in while someone speaks.'),
  'many-points': (remark) => t('{n} points at once; more than seven are not held in mind.', { count: much(remark) }),
  'long-code': () => t('More than 14 lines of code: show those that matter.'),
  'long-title': () => t('The title takes over two lines, or leaves one word alone on its last.'),
  'repeated-title': () => t('The title is the same as that of the slide before.'),
  'cut-picture': () => t('A drawing is cut by its frame; something of it may be missing.'),
  'small-picture': () => t('A picture is too small to be seen from afar.'),
  'coarse-picture': () => t('The picture has too few pixels for its size, and will look coarse.'),
  bare: () => t('A title and nothing else.'),
  'lone-point': () => t('One point stands alone.'),
  'half-empty': () => t('More than half of the slide is empty.'),
  'numbers-differ': ({ text = '', other = '' }) =>
    t('The slide says {text}, and its notes say {other}.', { text, other }),
  'spelt-twice': (remark) =>
    t('{remark} is written {other} elsewhere{times}.', {
      remark: named(remark),
      other: quoted(remark.other ?? ''),
      times: much(remark) > 1 ? t(' ({n} times so)', { count: much(remark) }) : '',
    }),
  undescribed: (remark) =>
    much(remark) === 1
      ? t('The picture has no description for those who do not see it.')
      : t('{n} pictures have no description for those who do not see them.', { count: much(remark) }),
  'stale-numbers': () => t('The chart has numbers of its own; its table has others since they were written.'),
  'color-alone': () => t('The lines of the chart are told apart by their colours alone.'),
  'dead-link': (remark) =>
    much(remark) === 1
      ? t('The link {remark} leads to a place that the document does not have.', { remark: named(remark) })
      : t('{n} links lead to places that the document does not have.', { count: much(remark) }),
  'hidden-link': (remark) =>
    much(remark) === 1
      ? t('The link {remark} leads to slide {number}, which is hidden.', {
          remark: named(remark),
          number: remark.other,
        })
      : t('{n} links lead to hidden slides, the first to slide {number}.', {
          count: much(remark),
          number: remark.other,
        }),
  'title-twice': (remark) =>
    t('Slide {number} has the title {title} too.', { number: much(remark), title: named(remark) }),
  'vague-title': (remark) => t('The title {remark} could stand on any slide.', { remark: named(remark) }),
  stumbled: () => t('You stumbled here in the last rehearsal.'),
  'unlike-points': (remark) =>
    t('{remark} begins or ends otherwise than the points beside it.', { remark: named(remark) }),
  'long-notes': () => t('The speaker notes take over two and a half minutes: long for one slide.'),
  'notes-repeat': (remark) =>
    much(remark) === 1
      ? t('A paragraph of the notes only says what the slide shows.')
      : t('{n} paragraphs of the notes only say what the slide shows.', { count: much(remark) }),
  'no-notes': () => t('Nothing to say here, where most slides have speaker notes.'),
  'same-layout': (remark) =>
    t('Slides {text} to {other} look alike: {n} slides without a change.', {
      text: remark.text,
      other: remark.other,
      count: much(remark),
    }),
};
export const reason = (remark: Remark): string => REASONS[remark.kind](remark);

/** On a button: what it does. */
export function wayText({ name, text = '' }: Way): string {
  switch (name) {
    case 'speak-points':
      return t('Keep {text} points, speak the others', { text });
    case 'shorten-points':
      return t('Shorten the points');
    case 'to-notes':
      return t('Move running text to the notes');
    case 'continue':
      return t('Continue on another slide');
    case 'split':
      return t('Split the slide');
    case 'layout':
      return t('Layout: {layout}', { layout: lowered(LAYOUT_LABELS[text as LayoutName]) });
    case 'join-above':
      return t('Join with the slide above');
    case 'join-below':
      return t('Join with the slide below');
    case 'tell-notes':
      return t('Show what the notes say');
    case 'add-to-title':
    case 'shorten-title':
      return t('Title: {text}', { text });
    case 'to-front':
      return t('Move to the front');
    case 'whole-picture':
      return t('Show all of the picture');
    case 'describe-by-caption':
      return t('Use its caption');
    case 'table-numbers':
      return t('Take the table’s numbers');
    case 'own-numbers':
      return t('Keep those of the chart');
    case 'columns':
      return t('Draw it as columns');
    case 'drop-link':
      return t('Keep the text, drop the link');
    case 'show-slide':
      return t('Show slide {number}', { number: text });
    case 'spell-alike':
      return t('Write {text} everywhere', { text });
    case 'alike':
      return t('Word them alike');
    case 'shorten-notes':
      return t('Shorten to {density}', { density: DENSITY_LABELS[text as Density] });
    case 'drop-notes':
      return t('Take them out of the notes');
    case 'other-ground':
      return t('Other colours for this slide');
    case 'notes-only':
      return t('Move to the speaker notes');
  }
}
