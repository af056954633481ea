/** What an edit did, in words: for the history and for edits that have lost their place. */
import { editSentence, type Edit, type Label, type SentenceCode } from '@alvex/core';
import { count, quoted } from './format.ts';
import { lowered, raw, t } from '../words/words.ts';
import {
  CHART_LABELS,
  DENSITY_LABELS,
  DESTINATION_LABELS,
  FULL_LABELS,
  KIND_LABELS,
  LAYOUT_LABELS,
  MAP_LABELS,
  MATTER_LABELS,
  RULED_LABELS,
  TRANSITION_LABELS,
} from './labels.ts';

/**
 * `{text}` is quoted, `{name}` is the same without marks, `{0}` and `{1}` are labels, `{n slide}` counts, `{block}` is the passage with
 * a blank before it, or what stands behind the bar where its text is not known.
 */
const SENTENCES: Readonly<Record<SentenceCode, string>> = {
  accept: 'A remark left as it is',
  'accept-back': 'A remark made again',
  'accept-all': 'Remarks of one kind left as they are, on all slides',
  'accept-all-back': 'Remarks of one kind made again',
  add: 'Slide {text} added',
  arrange: 'Layouts chosen for all slides',
  'arrange-back': 'Layouts as usual',
  branch: 'Below{block}: {0} to {1}',
  'branch-back': 'Below{block}: {0} as the map says',
  'breaks-off': 'Separators start no slides',
  'breaks-on': 'Separators start slides',
  carry: '{n part} moved',
  chart: 'Chart: {0}',
  'chart-off': 'A chart made a table again',
  colors: '{n slide}: colours of their own',
  'colors-back': '{n slide}: colours of the deck',
  cut: 'Split before{block| a passage}',
  description: 'Description {text}',
  drop: 'A picture taken off',
  duplicate: 'A slide copied',
  edition: 'New edition of the document: {name}',
  fonts: 'Fonts: {name}',
  'fonts-own': 'Fonts: the theme’s own',
  foot: 'Foot of the slides',
  frame: 'A picture in its frame',
  full: 'A slide that holds too much: {0}',
  'full-at': '{n slide}, too full: {0}',
  'full-at-back': '{n slide}: too full, as the deck’s rule says',
  hide: '{n slide} hidden',
  icon: 'Icon {text}',
  'icon-off': 'An icon taken off',
  insert: 'Point {text} added',
  join: 'Joined with the slide above{block}',
  keep: '{n passage} brought back',
  layout: '{n slide}: {0}',
  'layout-back': '{n slide}: layout as usual',
  leave: '{n passage} left out',
  'level-in': '{n point} moved in',
  'level-out': '{n point} moved out',
  map: 'Map: {0}',
  'map-own': 'Map changed by hand',
  motion: 'Slides come: {0}',
  'motion-at': '{n slide}: {0}',
  'motion-at-back': '{n slide}: movement as the deck’s',
  'motion-at-points': '{n slide}: {0}, points one by one',
  'motion-points': 'Slides come: {0}, points one by one',
  'matter-off': '{0} left off',
  'matter-on': '{0} added',
  merge: 'A slide put on the one above',
  'mode-dark': 'Dark',
  'mode-light': 'Light',
  'mode-own': 'Light or dark as the theme',
  move: 'A branch moved{block}',
  order: '{n slide} moved',
  pace: '{n word} a minute',
  palette: 'Palette: {name}',
  'palette-made': 'Palette: made of {name}',
  'palette-own': 'Palette: the theme’s own',
  place: 'A picture put in',
  'prose-first': 'Body text: first sentences as points',
  'prose-short': 'Body text: {0}',
  'prose-told': 'Body text: spoken, with a sentence on slides that would have a title alone',
  'prose-whole': 'Body text: whole',
  rehearse: 'A rehearsal kept',
  'rehearse-off': 'A rehearsal put away',
  remove: '{n slide} taken out',
  renote: 'Notes {text}',
  'renote-off': 'Notes taken out',
  replace: 'A picture replaced',
  restore: '{n slide} brought back',
  retitle: 'Title {text}',
  reword: 'Wording {text}',
  'reword-off': 'A point taken off',
  shape: '{n line} made another kind of text',
  show: '{n slide} shown again',
  speak: '{n part} spoken instead of shown',
  speech: 'Speaker notes: about {name} of the words',
  'speech-whole': 'Speaker notes: all of the text',
  split: 'A slide split',
  'take-deleted': 'A take deleted',
  'take-kept': 'A take kept',
  mix: 'A slide as another take has it',
  'mix-back': 'A slide as the map has it again',
  'target-minutes': 'Target: {n minute}',
  'target-none': 'No target',
  'target-slides': 'Target: {n slide}',
  template: 'Template: {name}',
  'template-none': 'No template',
  theme: 'Theme: {name}',
  turn: 'Mark turned to {0}{block}',
  'turn-back': 'Mark given back to the map{block}',
  type: 'One rule for all {0}',
  'type-own': 'All {0} as the theme',
  unknown: 'An edit that a newer Alvex made: {name}',
  write: 'Text {text}',
};

const lower = (labels: Readonly<Record<string, string>>): Readonly<Record<string, string>> =>
  Object.fromEntries(Object.entries(labels).map(([name, label]) => [name, lowered(label)]));
const LABELS: Readonly<Record<Label['of'], Readonly<Record<string, string>>>> = {
  map: MAP_LABELS,
  density: DENSITY_LABELS,
  kind: lower(KIND_LABELS),
  destination: DESTINATION_LABELS,
  full: FULL_LABELS,
  matter: MATTER_LABELS,
  ruled: RULED_LABELS,
  layout: LAYOUT_LABELS,
  chart: lower(CHART_LABELS),
  transition: lower(TRANSITION_LABELS),
};
const labelText = ({ of, name }: Label): string => LABELS[of][name] ?? name;

/** @param subject Text of a block, where it is known. */
export function editText(edit: Edit, subject: (block: string) => string | undefined = () => undefined): string {
  const sentence = editSentence(edit);
  if (sentence === undefined) return t('Nothing');
  const { code, block, text = '', count: n = 0, labels = [] } = sentence;
  const passage = (otherwise: string): string => {
    const words = block === undefined ? '' : (subject(block) ?? '').trim();
    return words === '' ? otherwise : ` ${quoted(words)}`;
  };
  const said = raw(SENTENCES[code]).replace(/\{(\w+)(?:([ |])([^}]*))?\}/g, (_, key: string, __, more = '') => {
    if (key === 'text') return quoted(text);
    if (key === 'name') return text;
    if (key === 'n') return count(n, more as string);
    if (key === 'block') return passage(more as string);
    const label = labels[Number(key)];
    return label === undefined ? '' : labelText(label);
  });
  const more = edit.kind === 'all' && edit.edits[0]?.kind !== 'edition' ? edit.edits.length - 1 : 0;
  return more > 0 ? t('{said} and {more} more', { said, more }) : said;
}
