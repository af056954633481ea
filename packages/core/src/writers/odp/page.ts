/** One page (OASIS ODF 1.3 part 3, §10.2.4): its boxes in the places of its master page, and its notes. */
import {
  colorsOf,
  describeChart,
  describePicture,
  describeTable,
  stepsOf,
  type Box,
  type ChartBox,
  type ConnectorEnd,
  type SceneSlide,
  type TableBox,
  type TextBox,
} from '../../scene/index.ts';
import { frameOf, type Layout, type Rect } from '../../theme/index.ts';
import { CLOSE, figureOf, isFigurePart, type Drawn, type FigurePart } from '../slides/figure-items.ts';
import { fileWords, itemName } from '../slides/words.ts';
import {
  connectorXml,
  figureShape,
  filled,
  freeText,
  graphicStyle,
  iconXml,
  LAYER,
  stroked,
  textPlace,
} from './graphic.ts';
import { groundOf, notesFrames, notesPage } from './master-part.ts';
import { classOf, inherited, pageLayoutName, placeholderStyle } from './master-styles.ts';
import type { Master } from './masters.ts';
import { timeline, transition } from './motion.ts';
import { pictureXml } from './picture.ts';
import { tableXml } from './table.ts';
import { notesText, textXml, type PageContext } from './text.ts';
import { description, element, imageXml, place } from '../odf/xml.ts';

/** What a page is called, so that clicks find it. */
export const pageName = (number: number): string => `page${number}`;

/** Names of what pages say at their foot, in the declarations of the presentation. */
export const FOOT_NAMES = { footer: 'footer', date: 'date' } as const;

export function pageXml(
  slide: SceneSlide,
  master: Master,
  whole: Omit<PageContext, 'stepId' | 'colors' | 'languages'>,
): string {
  const steps = slide.motion.points ? stepsOf(slide.boxes) : new Map<never, number>();
  const ids: string[][] = [];
  const context: PageContext = {
    ...whole,
    colors: colorsOf(slide, whole.theme),
    languages: slide.languages,
    stepId: (part) => {
      const step = steps.get(part);
      if (step === undefined) return undefined;
      const id = whole.newId();
      (ids[step - 1] ??= []).push(id);
      return id;
    },
  };
  const { layout, motion, hidden } = slide;
  const parts = slide.boxes.filter(isFigurePart);
  const placed = slide.boxes.filter((box) => !isFigurePart(box)).map((box) => boxXml(box, slide, master, context));
  const figure = parts.length === 0 ? '' : figureXml(parts, layout, context);
  const foot = (role: 'footer' | 'date'): string | null =>
    slide.foot[role] !== '' && frameOf(layout, role) !== undefined ? FOOT_NAMES[role] : null;
  const page = context.styles.style(
    'drawing-page',
    element('style:drawing-page-properties', {
      ...groundOf(context.colors.ground),
      ...transition(motion),
      'presentation:visibility': hidden ? 'hidden' : null,
      'presentation:display-footer': String(foot('footer') !== null),
      'presentation:display-date-time': String(foot('date') !== null),
      'presentation:display-page-number': String(frameOf(layout, 'number') !== undefined),
    }),
  );
  return element(
    'draw:page',
    {
      'draw:name': pageName(slide.number),
      'draw:style-name': page,
      'draw:master-page-name': master.name,
      'presentation:presentation-page-layout-name': pageLayoutName(layout),
      'presentation:use-footer-name': foot('footer'),
      'presentation:use-date-time-name': foot('date'),
    },
    placed.join('') + figure + timeline(ids.filter((step) => step !== undefined)) + notesXml(slide, master, context),
  );
}

function boxXml(box: Box, slide: SceneSlide, master: Master, context: PageContext): string {
  switch (box.kind) {
    case 'text':
      return textFrame(box, master, context);
    case 'picture':
      return pictureXml(box, context, describePicture(box, slide));
    case 'table':
      return tableFrame(box, slide, context);
    case 'chart':
      return chartFrame(box, slide, context);
    // Of a figure, which is written apart.
    case 'shape':
    case 'connector':
    case 'icon':
      return '';
  }
}

/** Text in the place that its master page has for it, or in a frame of its own. */
function textFrame(box: TextBox, master: Master, context: PageContext): string {
  const kind = box.free === true ? undefined : classOf(box.frame);
  if (kind === undefined) return freeText(box, context);
  const style = context.styles.style(
    'presentation',
    element('style:graphic-properties', { ...filled(null), ...stroked(null), ...textPlace(box.frame.anchor) }),
    { 'style:parent-style-name': placeholderStyle(master, kind === 'outline' ? 'outline1' : kind) },
  );
  return element(
    'draw:frame',
    { 'presentation:style-name': style, ...LAYER, ...place(box.frame), 'presentation:class': kind },
    element('draw:text-box', {}, textXml(box, context, inherited(box.frame, master, context.theme))),
  );
}

function tableFrame(box: TableBox, { title }: SceneSlide, context: PageContext): string {
  const sum = (lengths: readonly number[]): number => lengths.reduce((all, one) => all + one, 0);
  const rect = { ...box.frame, width: sum(box.columnWidths), height: sum(box.rowHeights) } as TableBox['frame'];
  const language = context.languages.get(box.part) ?? context.language;
  return element(
    'draw:frame',
    { 'draw:style-name': graphicStyle(context, { ...filled(null), ...stroked(null) }), ...LAYER, ...place(rect) },
    tableXml(box, { ...context, language }) + description(describeTable(box.table, title)),
  );
}

function chartFrame(box: ChartBox, { title }: SceneSlide, context: PageContext): string {
  const { object: href, picture } = context.chart(box, context.colors);
  const object = element('draw:object', {
    'xlink:href': `./${href}`,
    'xlink:type': 'simple',
    'xlink:show': 'embed',
    'xlink:actuate': 'onLoad',
  });
  return element(
    'draw:frame',
    { 'draw:style-name': graphicStyle(context, { ...filled(null), ...stroked(null) }), ...LAYER, ...place(box.frame) },
    object + imageXml(picture) + description(describeChart(box.chart, title)),
  );
}

/** A figure as a group of its items, each a group of what it is drawn of. */
function figureXml(parts: readonly FigurePart[], layout: Layout, context: PageContext): string {
  const figure = figureOf(parts, layout.name, ({ rect }) => rect);
  const ids = new Map<number, { readonly id: string; readonly box: Drawn['box'] }[]>();
  const drawn = ({ box, held }: Drawn, name: string | null, item: number | null): string => {
    switch (box.kind) {
      case 'shape': {
        const id = context.newId();
        if (item !== null) ids.set(item, [...(ids.get(item) ?? []), { id, box }]);
        return figureShape(box, held, context, { 'draw:name': name, 'xml:id': id, 'draw:id': id });
      }
      case 'icon':
        return iconXml(box, context);
      case 'text':
        return freeText(box, context, { 'draw:name': name });
    }
  };
  const behind = figure.behind.map((one) => drawn(one, null, null)).join('');
  const ours = fileWords(context.language);
  const items = figure.items.map(({ index, words, drawn: own }) => {
    const name = `${itemName(ours, layout.name)} ${index + 1}${words === '' ? '' : `: ${words}`}`;
    const inner = own.map((one) => drawn(one, own.length === 1 ? name : null, index)).join('');
    return own.length === 1 ? inner : element('draw:g', { 'draw:name': name }, inner);
  });
  const idOf = (end: ConnectorEnd): string | undefined =>
    ids.get(end.item)?.find(({ box }) => box.kind === 'shape' && touches(box.rect, end))?.id;
  const lines = figure.connectors.map((connector) => connectorXml(connector, context, idOf));
  return figure.items.length === 0
    ? behind
    : element(
        'draw:g',
        { 'draw:name': ours.roles.figure },
        description(figure.said) + behind + items.join('') + lines.join(''),
      );
}

const touches = ({ x, y, width, height }: Rect, end: ConnectorEnd): boolean =>
  end.x > x - CLOSE && end.x < x + width + CLOSE && end.y > y - CLOSE && end.y < y + height + CLOSE;

function notesXml({ notes, number }: SceneSlide, master: Master, context: PageContext): string {
  return notes.length === 0
    ? ''
    : element(
        'presentation:notes',
        { 'draw:style-name': notesPage(context.styles) },
        notesFrames(master, number, element('draw:text-box', {}, notesText(notes, context))),
      );
}
