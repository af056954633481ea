/** Names that are shown in more than one place. */
import type {
  ChartKind,
  ChartOffer,
  Density,
  Destination,
  FullRule,
  LayoutName,
  MatterKind,
  Reason,
  RuledRole,
  TextKind,
  FormatName,
  Paper,
  Print,
  Transition,
} from '@alvex/core';
import { t } from '../words/words.ts';

export const KIND_LABELS: Readonly<Record<TextKind, string>> = {
  heading1: t('Heading 1'),
  heading2: t('Heading 2'),
  heading3: t('Heading 3'),
  heading4: t('Heading 4'),
  heading5: t('Heading 5'),
  heading6: t('Heading 6'),
  body: t('Body text'),
  list1: t('List items, depth 1'),
  list2: t('List items, depth 2'),
  list3: t('List items, depth 3'),
  list4: t('List items, depth 4'),
  list5: t('List items, depth 5'),
  table: t('Tables'),
  picture: t('Pictures'),
  quote: t('Quotations'),
  code: t('Code'),
  footnote: t('Footnotes'),
};

/** Ready-made maps, named for the talk. */
export const MAP_LABELS: Readonly<Record<string, string>> = {
  fitted: t('Fitted to this document'),
  talk: t('Spoken talk'),
  reading: t('Reading deck'),
  briefing: t('Short briefing'),
  lesson: t('Lesson'),
  decision: t('Decision paper'),
  prompter: t('Key words'),
};
export const MAP_HINTS: Readonly<Record<string, string>> = {
  fitted: t('Titles from the headings that fill a slide, branch by branch; body text is spoken.'),
  talk: t('The highest headings are titles; body text is spoken.'),
  reading: t('To be read without a speaker: body text stands on the slides.'),
  briefing: t('Titles and their first points; everything else is spoken.'),
  lesson: t('Sections; the first sentence of each paragraph is a point.'),
  decision: t('The sentences that carry most, a third of the text.'),
  prompter: t('Key words on the slide, the full text to speak from.'),
};

export const FULL_LABELS: Readonly<Record<FullRule, string>> = {
  continue: t('continued on another'),
  columns: t('set in two columns'),
  notes: t('its running text spoken'),
  shorten: t('shortened'),
  report: t('made smaller, and marked'),
};
/** The same, said to one slide. */
export const FULL_ACTIONS: Readonly<Record<FullRule, string>> = {
  continue: t('Continue it'),
  columns: t('Two columns'),
  notes: t('Text to the notes'),
  shorten: t('Shorten it'),
  report: t('Shrink it'),
};

export const MATTER_LABELS: Readonly<Record<MatterKind, string>> = {
  cover: t('Cover'),
  agenda: t('Agenda'),
  'key-points': t('Key points'),
  sources: t('Sources'),
};

export const DENSITY_LABELS: Readonly<Record<Density, string>> = {
  most: t('most of the words'),
  half: t('half of the words'),
  third: t('a third of the words'),
  sentence: t('a sentence of each paragraph'),
  words: t('key words'),
};

/** Said to screen readers and in tooltips. */
export const DESTINATION_LABELS: Readonly<Record<Destination, string>> = {
  section: t('section opener'),
  title: t('slide title'),
  point1: t('point, level 1'),
  point2: t('point, level 2'),
  point3: t('point, level 3'),
  point4: t('point, level 4'),
  point5: t('point, level 5'),
  slide: t('text on the slide'),
  notes: t('speaker notes'),
  out: t('left out'),
};

export const LAYOUT_LABELS: Readonly<Record<LayoutName, string>> = {
  cover: t('Cover'),
  'cover-picture': t('Cover with picture'),
  section: t('Section opener'),
  agenda: t('Agenda'),
  points: t('Points'),
  columns: t('Two columns'),
  'columns-3': t('Three columns'),
  comparison: t('Comparison'),
  'picture-right': t('Picture right'),
  'picture-left': t('Picture left'),
  'picture-top': t('Picture above'),
  'picture-bleed': t('Picture over the edge'),
  picture: t('Picture'),
  'picture-caption': t('Picture with caption'),
  'gallery-2': t('Two pictures'),
  'gallery-3': t('Three pictures'),
  'gallery-4': t('Four pictures'),
  quotation: t('Quotation'),
  statement: t('Statement'),
  'big-number': t('Big number'),
  table: t('Table'),
  chart: t('Chart'),
  'table-points': t('Table with points'),
  'chart-points': t('Chart with points'),
  steps: t('Steps'),
  cycle: t('Cycle'),
  timeline: t('Timeline'),
  'icon-grid': t('Grid with icons'),
  pyramid: t('Pyramid'),
  funnel: t('Funnel'),
  matrix: t('Two by two'),
  'figure-text': t('Figure with text'),
  'key-points': t('Key points'),
  sources: t('Sources'),
  closing: t('Closing'),
  'title-only': t('Title only'),
};

/** Why a layout suits. */
export const REASON_LABELS: Readonly<Record<Reason, string>> = {
  numbered: t('the list is numbered'),
  imperative: t('its points say what to do'),
  'order-words': t('its points say what comes first and next'),
  dates: t('its points begin with dates'),
  versus: t('the title sets two sides against each other'),
  'named-items': t('each point says first of what it speaks'),
  'two-sides': t('two points, each with points below'),
  'short-items': t('short points of like length'),
  'number-with-unit': t('a number with its unit'),
  quoted: t('someone’s own words'),
  'round-words': t('the title speaks of a cycle'),
  'layer-words': t('the title speaks of layers'),
  'narrowing-words': t('the title speaks of narrowing down'),
  'falling-numbers': t('its numbers fall from point to point'),
  'four-sides': t('four sides of one thing'),
  'one-sentence': t('one sentence alone'),
  'numbers-in-table': t('the table holds numbers'),
  'pictures-together': t('several pictures'),
  'picture-and-text': t('a picture and its text'),
  'list-and-text': t('a list and running text'),
  'many-short': t('many short points'),
  'ends-the-deck': t('it ends the talk'),
  'fits-as-it-is': t('its text fits'),
};

export const RULED_LABELS: Readonly<Record<RuledRole, string>> = {
  title: t('titles'),
  points: t('points'),
  caption: t('captions'),
  notes: t('speaker notes'),
};

export const CHART_LABELS: Readonly<Record<ChartKind, string>> = {
  column: t('Columns'),
  bar: t('Bars'),
  stacked: t('Stacked'),
  line: t('Lines'),
  area: t('Areas'),
  pie: t('Pie'),
  doughnut: t('Doughnut'),
  scatter: t('Scatter'),
};

export const CHART_REASONS: Readonly<Record<ChartOffer['reason'], string>> = {
  'over-time': t('its rows follow time'),
  'parts-of-whole': t('parts of one whole'),
  'few-to-compare': t('a few numbers side by side'),
  'many-or-long': t('many rows, or long names'),
  'several-together': t('several series that add up'),
  'two-measures': t('two measures against each other'),
};

/** What a deck can be handed over as. */
export const FORMAT_LABELS: Readonly<Record<FormatName, string>> = {
  pptx: t('Presentation'),
  odp: t('OpenDocument presentation'),
  pdf: t('Pages'),
  html: t('Web page'),
  png: t('Pictures'),
  svg: t('Drawings'),
  docx: t('Document'),
  odt: t('OpenDocument text'),
  md: t('Text with headings'),
  txt: t('Plain text'),
  opml: t('Outline'),
  csv: t('Tables'),
};

/** How a slide comes on a screen. */
export const TRANSITION_LABELS: Readonly<Record<Transition, string>> = {
  none: t('At once'),
  fade: t('Fade in'),
  push: t('Push from the side'),
  wipe: t('Wipe from the side'),
};

export const PRINT_LABELS: Readonly<Record<Print, string>> = {
  slides: t('one slide'),
  notes: t('one slide and its speaker notes'),
  two: t('two slides, lines to write on'),
  three: t('three slides, lines to write on'),
  four: t('four slides, lines to write on'),
  six: t('six slides, lines to write on'),
  nine: t('nine slides, lines to write on'),
  script: t('speaker notes alone'),
  outline: t('titles and points as an outline'),
  handout: t('the document, each slide before its text'),
};
export const PAPER_LABELS: Readonly<Record<Paper, string>> = { a4: t('A4'), letter: t('US Letter') };
