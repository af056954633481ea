/** What an edit did, as a sentence: for the history and for edits that have lost their place. */
import {
  designNamed,
  fontPairNamed,
  runsText,
  THEME_DESIGNS,
  type Edit,
  type MatterKind,
  type PaletteChoice,
  type Runs,
  type TextKind,
} from '@alvex/core';
import { count } from './format.ts';
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
} from './labels.ts';

const LONGEST = 70;

const quoted = (text: string): string => {
  const line = text.replace(/\s+/g, ' ').trim();
  return `“${line.length > LONGEST ? `${line.slice(0, LONGEST)} …` : line}”`;
};
const said = (runs: Runs): string => quoted(runsText(runs));
const slides = (n: number): string => count(n, 'slide');
const kind = (text: TextKind): string => KIND_LABELS[text].toLowerCase();

/** @param subject Text of a block, where it is known. */
export function editText(edit: Edit, subject: (block: string) => string | undefined = () => undefined): string {
  const of = (block: string): string => {
    const text = subject(block);
    return text === undefined || text.trim() === '' ? '' : ` ${quoted(text)}`;
  };
  switch (edit.kind) {
    case 'all':
      return edit.edits.length === 0
        ? 'Nothing'
        : edit.edits[0]!.kind === 'edition'
          ? editText(edit.edits[0]!, subject)
          : `${editText(edit.edits[0]!, subject)}${edit.edits.length > 1 ? ` and ${edit.edits.length - 1} more` : ''}`;
    case 'edition':
      return `New edition of the document: ${edit.fileName}`;
    case 'map':
      return edit.name === null ? 'A plug turned in the map' : `Map: ${MAP_LABELS[edit.name] ?? edit.name}`;
    case 'prose':
      return edit.prose.as === 'whole'
        ? 'Body text: whole'
        : edit.prose.as === 'first'
          ? 'Body text: first sentences as points'
          : `Body text: ${DENSITY_LABELS[edit.prose.density]}`;
    case 'branch':
      return edit.to === null
        ? `Below${of(edit.block)}: ${kind(edit.text)} as the map says`
        : `Below${of(edit.block)}: ${kind(edit.text)} to ${DESTINATION_LABELS[edit.to]}`;
    case 'theme':
      return `Theme: ${designNamed(edit.theme).label}`;
    case 'palette':
      return `Palette: ${paletteName(edit.palette)}`;
    case 'mode':
      return edit.dark === null ? 'Light or dark as the theme' : edit.dark ? 'Dark' : 'Light';
    case 'fonts':
      return `Fonts: ${fontPairNamed(edit.pair)?.label ?? 'the theme’s own'}`;
    case 'type':
      return edit.rule === null
        ? `All ${RULED_LABELS[edit.role]} as the theme`
        : `One rule for all ${RULED_LABELS[edit.role]}`;
    case 'template':
      return edit.template === null ? 'No template' : `Template: ${edit.template.fileName}`;
    case 'foot':
      return 'Foot of the slides';
    case 'arrange':
      return edit.layouts.length === 0 ? 'Layouts as usual' : `Layouts chosen for all slides`;
    case 'layout':
      return edit.layout === null
        ? `${slides(edit.slides.length)}: layout as usual`
        : `${slides(edit.slides.length)}: ${LAYOUT_LABELS[edit.layout]}`;
    case 'colors':
      return edit.palette === null && edit.dark === null
        ? `${slides(edit.slides.length)}: colours of the deck`
        : `${slides(edit.slides.length)}: colours of their own`;
    case 'icon':
      return edit.icon === null ? 'An icon taken off' : `Icon ${quoted(edit.icon.name)}`;
    case 'chart':
      return edit.chart === null
        ? 'A chart made a table again'
        : `Chart: ${CHART_LABELS[edit.chart.kind].toLowerCase()}`;
    case 'frame':
      return 'A picture in its frame';
    case 'replace':
      return 'A picture replaced';
    case 'place':
      return 'A picture put in';
    case 'alt':
      return `Description ${quoted(edit.alt)}`;
    case 'drop':
      return 'A picture taken off';
    case 'full':
      return `A slide that holds too much: ${FULL_LABELS[edit.rule]}`;
    case 'fullAt':
      return edit.rule === null
        ? `${slides(edit.slides.length)}: too full, as the deck’s rule says`
        : `${slides(edit.slides.length)}, too full: ${FULL_LABELS[edit.rule]}`;
    case 'matter':
      return `${matter(edit.part)} ${edit.on ? 'added' : 'left off'}`;
    case 'target':
      return edit.target === null ? 'No target' : `Target: ${count(edit.target.amount, edit.target.unit.slice(0, -1))}`;
    case 'pace':
      return `${count(edit.rate, 'word')} a minute`;
    case 'take':
      return edit.settings === null ? 'A take deleted' : 'A take kept';
    case 'breaks':
      return edit.start ? 'Separators start slides' : 'Separators start no slides';
    case 'turn':
      return edit.to === null
        ? `Mark given back to the map${of(edit.block)}`
        : `Mark turned to ${DESTINATION_LABELS[edit.to]}${of(edit.block)}`;
    case 'cut':
      return `Cut before${of(edit.block) || ' a passage'}`;
    case 'join':
      return `Joined with the slide above${of(edit.block)}`;
    case 'retitle':
      return `Title ${said(edit.runs)}`;
    case 'reword':
      return edit.runs.length === 0 ? 'A point taken off' : `Wording ${said(edit.runs)}`;
    case 'renote':
      return edit.notes.length === 0
        ? 'Notes taken out'
        : `Notes ${quoted(edit.notes.map((note) => runsText(note.runs)).join(' '))}`;
    case 'order':
      return `${slides(edit.slides.length)} moved`;
    case 'remove':
      return `${slides(edit.slides.length)} taken out`;
    case 'restore':
      return `${slides(edit.slides.length)} brought back`;
    case 'hide':
      return `${slides(edit.slides.length)} ${edit.hidden ? 'hidden' : 'shown again'}`;
    case 'duplicate':
      return 'A slide copied';
    case 'add':
      return `Slide ${said(edit.title)} added`;
    case 'insert':
      return `Point ${said(edit.runs)} added`;
    case 'carry':
      return `${count(edit.parts.length, 'part')} moved`;
    case 'level':
      return `${count(edit.parts.length, 'point')} moved ${edit.by > 0 ? 'in' : 'out'}`;
    case 'speak':
      return `${count(edit.parts.length, 'part')} spoken instead of shown`;
    case 'split':
      return 'A slide parted';
    case 'merge':
      return 'A slide put on the one above';
    case 'shape':
      return `${count(edit.shapes.length, 'line')} made another kind of text`;
    case 'write':
      return `Text ${quoted(edit.blocks.map((block) => ('runs' in block ? runsText(block.runs) : '')).join(' '))}`;
    case 'move':
      return `A branch moved${of(edit.blocks[0] ?? '')}`;
    case 'leave':
      return `${count(edit.blocks.length, 'passage')} left out`;
    case 'keep':
      return `${count(edit.blocks.length, 'passage')} brought back`;
    case 'describe':
      return `Description ${quoted(edit.alt)}`;
  }
}

const matter = (part: MatterKind): string => MATTER_LABELS[part];

function paletteName(palette: PaletteChoice | null): string {
  if (palette === null) return 'the theme’s own';
  if (palette.from === 'colors') return `made of #${palette.colors[0]}`;
  const found = THEME_DESIGNS.flatMap(({ palettes }) => palettes).find(({ name }) => name === palette.name);
  return found?.label ?? palette.name;
}
