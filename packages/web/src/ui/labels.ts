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
  fitted: 'Fitted to this document',
  talk: 'Spoken talk',
  reading: 'Reading deck',
  briefing: 'Short briefing',
  lesson: 'Lesson',
  decision: 'Decision paper',
  prompter: 'Key words',
};
export const MAP_HINTS: Readonly<Record<string, string>> = {
  fitted: 'Titles from the headings that fill a slide, branch by branch; body text is spoken.',
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
  notes: 'its running text spoken',
  shorten: 'shortened',
  report: 'made smaller, and marked',
};
/** The same, said to one slide. */
export const FULL_ACTIONS: Readonly<Record<FullRule, string>> = {
  continue: 'Continue it',
  columns: 'Two columns',
  notes: 'Text to the notes',
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

export const LAYOUT_LABELS: Readonly<Record<LayoutName, string>> = {
  cover: 'Cover',
  'cover-picture': 'Cover with picture',
  section: 'Section opener',
  agenda: 'Agenda',
  points: 'Points',
  columns: 'Two columns',
  'columns-3': 'Three columns',
  comparison: 'Comparison',
  'picture-right': 'Picture right',
  'picture-left': 'Picture left',
  'picture-top': 'Picture above',
  'picture-bleed': 'Picture over the edge',
  picture: 'Picture',
  'picture-caption': 'Picture with caption',
  'gallery-2': 'Two pictures',
  'gallery-3': 'Three pictures',
  'gallery-4': 'Four pictures',
  quotation: 'Quotation',
  statement: 'Statement',
  'big-number': 'Big number',
  table: 'Table',
  chart: 'Chart',
  'table-points': 'Table with points',
  'chart-points': 'Chart with points',
  steps: 'Steps',
  cycle: 'Cycle',
  timeline: 'Timeline',
  'icon-grid': 'Grid with icons',
  pyramid: 'Pyramid',
  funnel: 'Funnel',
  matrix: 'Two by two',
  'figure-text': 'Figure with text',
  'key-points': 'Key points',
  sources: 'Sources',
  closing: 'Closing',
  'title-only': 'Title only',
};

/** Why a layout suits. */
export const REASON_LABELS: Readonly<Record<Reason, string>> = {
  numbered: 'the list is numbered',
  imperative: 'its points say what to do',
  'order-words': 'its points say what comes first and next',
  dates: 'its points begin with dates',
  versus: 'the title sets two sides against each other',
  'named-items': 'each point says first of what it speaks',
  'two-sides': 'two points, each with points below',
  'short-items': 'short points of like length',
  'number-with-unit': 'a number with its unit',
  quoted: 'someone’s own words',
  'round-words': 'the title speaks of a cycle',
  'layer-words': 'the title speaks of layers',
  'narrowing-words': 'the title speaks of narrowing down',
  'falling-numbers': 'its numbers fall from point to point',
  'four-sides': 'four sides of one thing',
  'one-sentence': 'one sentence alone',
  'numbers-in-table': 'the table holds numbers',
  'pictures-together': 'several pictures',
  'picture-and-text': 'a picture and its text',
  'list-and-text': 'a list and running text',
  'many-short': 'many short points',
  'ends-the-deck': 'it ends the talk',
  'fits-as-it-is': 'its text fits',
};

export const RULED_LABELS: Readonly<Record<RuledRole, string>> = {
  title: 'titles',
  points: 'points',
  caption: 'captions',
};

export const CHART_LABELS: Readonly<Record<ChartKind, string>> = {
  column: 'Columns',
  bar: 'Bars',
  stacked: 'Stacked',
  line: 'Lines',
  area: 'Areas',
  pie: 'Pie',
  doughnut: 'Doughnut',
  scatter: 'Scatter',
};

export const CHART_REASONS: Readonly<Record<ChartOffer['reason'], string>> = {
  'over-time': 'its rows follow time',
  'parts-of-whole': 'parts of one whole',
  'few-to-compare': 'a few numbers side by side',
  'many-or-long': 'many rows, or long names',
  'several-together': 'several series that add up',
  'two-measures': 'two measures against each other',
};

/** What a deck can be handed over as. */
export const FORMAT_LABELS: Readonly<Record<FormatName, string>> = {
  pptx: 'Presentation',
  odp: 'OpenDocument presentation',
  pdf: 'Pages',
  html: 'Web page',
  png: 'Pictures',
  svg: 'Drawings',
  docx: 'Document',
  odt: 'OpenDocument text',
  md: 'Text with headings',
  txt: 'Plain text',
  opml: 'Outline',
  csv: 'Tables',
};

/** How a slide comes on a screen. */
export const TRANSITION_LABELS: Readonly<Record<Transition, string>> = {
  none: 'At once',
  fade: 'Fade in',
  push: 'Push from the side',
  wipe: 'Wipe from the side',
};

export const PRINT_LABELS: Readonly<Record<Print, string>> = {
  slides: 'one slide',
  notes: 'one slide and its speaker notes',
  two: 'two slides, lines to write on',
  three: 'three slides, lines to write on',
  four: 'four slides, lines to write on',
  six: 'six slides, lines to write on',
  nine: 'nine slides, lines to write on',
  script: 'speaker notes alone',
  outline: 'titles and points as an outline',
  handout: 'the document, each slide before its text',
};
export const PAPER_LABELS: Readonly<Record<Paper, string>> = { a4: 'A4', letter: 'US Letter' };
