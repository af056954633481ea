/** Lays one slide out: chooses a layout by what is on it, fits its text, and goes on on further pages where it must. */
import { emu, ptFromEmu } from '../base/index.ts';
import { plain, runsText, sliceRuns, type Picture, type PictureId, type Runs } from '../content/index.ts';
import type { Content, FullRule, Note, PicturePart, Slide, TablePart } from '../deck/index.ts';
import { frameOf, layoutNamed, type Frame, type LayoutName, type Theme } from '../theme/index.ts';
import { continuedPages, largestSize, lastResortSize, twoColumns } from './fit-text.ts';
import { fitTable } from './fit-table.ts';
import type { Box, Fit, Page, Para, PictureBox, TextBox } from './page.ts';
import { measurePara, placeText } from './set-text.ts';

export interface LayoutOptions {
  readonly theme: Theme;
  readonly pictures: ReadonlyMap<PictureId, Picture>;
  /** What is done where text does not fit at the floor, if the slide does not say. */
  readonly full: FullRule;
}

/** A page before it knows its place, its title and its notes. */
interface Draft {
  readonly layout: LayoutName;
  readonly boxes: readonly Box[];
  readonly fit: Fit;
}
interface Group {
  texts: (Content & { kind: 'point' | 'text' })[];
  before: number /* texts that stand before the picture */;
  object: PicturePart | TablePart | undefined;
}

export function layOutSlide(slide: Slide, deckOptions: LayoutOptions): readonly Page[] {
  const options = slide.full === undefined ? deckOptions : { ...deckOptions, full: slide.full };
  const { theme } = options;
  const drafts =
    slide.kind === 'cover'
      ? coverPages(slide, options)
      : slide.content.length === 0
        ? [emptyPage(slide, theme)]
        : groupsOf(slide.content).flatMap((group) => groupPages(group, options));
  const titled = drafts.map((draft) => withTitle(draft, slide, theme));
  const places = placesOf(titled.map(({ draft }) => draft));
  const notes = notesByPage(slide, places, titled.length);
  if (titled[0]!.titleCut)
    notes[0]!.unshift({
      kind: 'paragraph',
      depth: 0,
      ordered: false,
      id: `${slide.id}.title`,
      runs: slide.title.runs,
      blocks: slide.title.blocks,
      anchor: null,
    });
  const passages = passagesByPage(slide, places, titled.length);
  return titled.map(({ draft }, index) => ({
    key: `${slide.id}:${index}`,
    slide,
    index,
    count: titled.length,
    layout: draft.layout,
    boxes: draft.boxes,
    notes: notes[index]!,
    passages: passages[index]!,
    fit: draft.fit,
  }));
}

const FITS = (points: number): Fit => ({ state: 'fits', points, linesOver: 0 });

function emptyPage(slide: Slide, theme: Theme): Draft {
  const layout = slide.kind === 'section' ? 'section' : 'title-only';
  return { layout, boxes: [], fit: FITS(frameOf(layoutNamed(theme, layout), 'title')!.style.sizes[0]!) };
}

const TITLE_FLOOR = [20, 18, 16, 14];

/** Whether a title fits the frame of a slide with points at one of the theme's own sizes. */
export function titleFits(runs: Runs, theme: Theme): boolean {
  const frame = frameOf(layoutNamed(theme, 'points'), 'title')!;
  return largestSize([{ part: null, style: 'title', level: 1, runs }], frame, theme, frame.style.sizes) !== undefined;
}

/** Whether all text of a slide stands on one page at the floor, whatever pictures and tables it has besides. */
export function textFits({ content }: Slide, theme: Theme): boolean {
  const paras = content.flatMap((part) => (part.kind === 'point' || part.kind === 'text' ? [paraOf(part)] : []));
  const frame = frameOf(layoutNamed(theme, 'points'), 'body')!;
  if (largestSize(paras, frame, theme, frame.style.sizes.slice(-1)) !== undefined) return true;
  const layout = layoutNamed(theme, 'columns');
  const [left, right] = [frameOf(layout, 'body')!, frameOf(layout, 'body2')!];
  return twoColumns(paras, left, right, theme, frame.style.sizes.slice(0, 2)) !== undefined;
}

/** Adds the title; one that fits at no size is cut with an ellipsis, and stands in the notes in full. */
function withTitle(draft: Draft, slide: Slide, theme: Theme): { draft: Draft; titleCut: boolean } {
  const frame = frameOf(layoutNamed(theme, draft.layout), 'title')!;
  const { sizes } = frame.style;
  const runs = slide.title.runs;
  if (runs.length === 0) return { draft, titleCut: false };
  const para: Para = { part: null, style: 'title', level: 1, runs };
  const size = largestSize([para], frame, theme, [...sizes, ...TITLE_FLOOR.filter((small) => small < sizes.at(-1)!)]);
  if (size !== undefined) {
    const box = textBox([para], frame, theme, size);
    const state = draft.fit.state === 'fits' && size < sizes[0]! ? 'tight' : draft.fit.state;
    const points = draft.boxes.length === 0 ? size : draft.fit.points;
    return { draft: { ...draft, boxes: [box, ...draft.boxes], fit: { ...draft.fit, state, points } }, titleCut: false };
  }
  const least = TITLE_FLOOR.at(-1)!;
  const { lines, lineHeight } = measurePara(para, frame, theme, least);
  const most = Math.max(1, Math.floor(ptFromEmu(frame.height) / lineHeight));
  const cut = { ...para, runs: cutTitle(runs, lines[most - 1]!.end) };
  const fit: Fit = {
    state: 'spills',
    points: draft.boxes.length === 0 ? least : draft.fit.points,
    linesOver: lines.length - most,
  };
  return { draft: { ...draft, boxes: [textBox([cut], frame, theme, least), ...draft.boxes], fit }, titleCut: true };
}

function cutTitle(runs: Runs, limit: number): Runs {
  const kept = runsText(runs).slice(0, limit - 4);
  const end = Math.max(kept.lastIndexOf(' '), Math.floor(limit / 2));
  return [...sliceRuns(runs, 0, end), ...plain(' …')];
}

function textBox(paras: readonly Para[], frame: Frame, theme: Theme, size: number): TextBox {
  let placed: TextBox['paragraphs'] | undefined;
  return {
    kind: 'text',
    frame,
    paras,
    scale: size / frame.style.sizes[0]!,
    get paragraphs() {
      return (placed ??= placeText(paras, frame, theme, size));
    },
  };
}

function coverPages(slide: Slide, options: LayoutOptions): readonly Draft[] {
  const { theme } = options;
  const frame = frameOf(layoutNamed(theme, 'cover'), 'subtitle')!;
  const paras = slide.content.flatMap((part): readonly Para[] =>
    'runs' in part ? [{ part: part.id, style: 'subtitle', level: 1, runs: part.runs }] : [],
  );
  const points = frameOf(layoutNamed(theme, 'cover'), 'title')!.style.sizes[0]!;
  if (paras.length === 0) return [{ layout: 'cover', boxes: [], fit: FITS(points) }];
  const size = largestSize(paras, frame, theme, frame.style.sizes) ?? lastResortSize(paras, frame, theme)?.size;
  if (size !== undefined) return [{ layout: 'cover', boxes: [textBox(paras, frame, theme, size)], fit: FITS(points) }];
  const rest: Group = { texts: slide.content.filter((part) => part.kind === 'text'), before: 0, object: undefined };
  return [{ layout: 'cover', boxes: [], fit: FITS(points) }, ...groupPages(rest, options)];
}

/** What can share a slide: running text, or text beside one picture, or one table. */
function groupsOf(content: readonly Content[]): readonly Group[] {
  const groups: Group[] = [];
  const start = (): Group => {
    const group: Group = { texts: [], before: 0, object: undefined };
    groups.push(group);
    return group;
  };
  let group = start();
  for (const part of content) {
    if (part.kind === 'point' || part.kind === 'text') {
      if (group.object?.kind === 'table') group = start();
      group.texts.push(part);
    } else {
      if (group.object !== undefined || (part.kind === 'table' && group.texts.length > 0)) group = start();
      group.object = part;
      group.before = group.texts.length;
    }
  }
  return groups;
}

const paraOf = (part: Group['texts'][number]): Para =>
  part.kind === 'point'
    ? { part: part.id, style: 'point', level: part.level, runs: part.runs }
    : { part: part.id, style: part.style, level: 1, runs: part.runs };

function groupPages(group: Group, options: LayoutOptions): readonly Draft[] {
  const { theme } = options;
  const paras = group.texts.map(paraOf);
  if (group.object === undefined) return textPages(paras, options);
  if (group.object.kind === 'table') {
    const fitted = fitTable(group.object.table, group.object.id, frameOf(layoutNamed(theme, 'table'), 'table')!, theme);
    const fit: Fit = { state: fitted.tight ? 'tight' : 'fits', points: fitted.size, linesOver: 0 };
    return fitted.boxes.map((box) => ({ layout: 'table', boxes: [box], fit }));
  }
  if (paras.length > 0) {
    const layout = layoutNamed(theme, 'picture-text');
    const frame = frameOf(layout, 'body')!;
    const size = largestSize(paras, frame, theme, frame.style.sizes);
    if (size !== undefined)
      return [
        {
          layout: 'picture-text',
          boxes: [textBox(paras, frame, theme, size), pictureBox(group.object, frameOf(layout, 'picture')!, options)],
          fit: stepFit(size, frame),
        },
      ];
  }
  const alone: Draft = {
    layout: 'picture',
    boxes: [pictureBox(group.object, frameOf(layoutNamed(theme, 'picture'), 'picture')!, options)],
    fit: FITS(frameOf(layoutNamed(theme, 'picture'), 'title')!.style.sizes[0]!),
  };
  const pages = (from: number, to?: number): readonly Draft[] => {
    const some = paras.slice(from, to);
    return some.length === 0 ? [] : textPages(some, options);
  };
  return [...pages(0, group.before), alone, ...pages(group.before)];
}

const stepFit = (size: number, frame: Frame): Fit => ({
  state: size < frame.style.sizes[0]! ? 'tight' : 'fits',
  points: size,
  linesOver: 0,
});

function textPages(paras: readonly Para[], { theme, full }: LayoutOptions): readonly Draft[] {
  const frame = frameOf(layoutNamed(theme, 'points'), 'body')!;
  const { sizes } = frame.style;
  const one = (size: number, fit = stepFit(size, frame)): readonly Draft[] => [
    { layout: 'points', boxes: [textBox(paras, frame, theme, size)], fit },
  ];
  const comfortable = largestSize(paras, frame, theme, sizes.slice(0, 2));
  if (comfortable !== undefined) return one(comfortable);
  const layout = layoutNamed(theme, 'columns');
  const [left, right] = [frameOf(layout, 'body')!, frameOf(layout, 'body2')!];
  const columns = twoColumns(
    paras,
    left,
    right,
    theme,
    full === 'columns' ? sizes : sizes.slice(0, 2),
    full === 'columns',
  );
  if (columns !== undefined)
    return [
      {
        layout: 'columns',
        boxes: [
          textBox(columns.columns[0], left, theme, columns.size),
          textBox(columns.columns[1], right, theme, columns.size),
        ],
        fit: stepFit(columns.size, frame),
      },
    ];
  const small = largestSize(paras, frame, theme, sizes.slice(2));
  if (small !== undefined) return one(small);
  if (full === 'report') {
    const spilled = lastResortSize(paras, frame, theme);
    if (spilled !== undefined)
      return one(spilled.size, { state: 'spills', points: spilled.size, linesOver: spilled.linesOver });
  }
  const { size, pages } = continuedPages(paras, frame, theme);
  return pages.map((page) => ({
    layout: 'points',
    boxes: [textBox(page, frame, theme, size)],
    fit: stepFit(size, frame),
  }));
}

function pictureBox(part: PicturePart, frame: Frame, { pictures }: LayoutOptions): PictureBox {
  const size = pictures.get(part.picture);
  const ratio = size === undefined ? 1 : size.width / size.height;
  const width = Math.min(frame.width, frame.height * ratio);
  const height = Math.min(frame.height, width / ratio);
  const rect = {
    x: emu(frame.x + (frame.width - width) / 2),
    y: emu(frame.y + (frame.height - height) / 2),
    width: emu(Math.max(width, 1)),
    height: emu(Math.max(height, 1)),
  };
  return { kind: 'picture', frame, part: part.id, picture: part.picture, alt: part.alt, rect };
}

/** Pages of each part; looked for only where a slide takes more than one. */
function placesOf(drafts: readonly Draft[]): ReadonlyMap<string, readonly number[]> {
  const places = new Map<string, number[]>();
  if (drafts.length === 1) return places;
  drafts.forEach((draft, page) => {
    const parts = draft.boxes.flatMap((box) => (box.kind === 'text' ? firstShown(box.paras) : [box.part]));
    for (const part of new Set(parts)) {
      if (part === null) continue;
      const known = places.get(part);
      if (known === undefined) places.set(part, [page]);
      else known.push(page);
    }
  });
  return places;
}

const firstShown = (paras: readonly Para[]): readonly (string | null)[] =>
  paras.flatMap((para) => (para.repeated === true ? [] : [para.part]));

function notesByPage(slide: Slide, places: ReadonlyMap<string, readonly number[]>, count: number): Note[][] {
  const notes = Array.from({ length: count }, (): Note[] => []);
  for (const note of slide.notes)
    notes[(note.anchor === null ? undefined : places.get(note.anchor)?.[0]) ?? 0]!.push(note);
  return notes;
}

/** A passage stands on every page that shows it; one that is spoken or left out stands with the one before it. */
function passagesByPage(
  slide: Slide,
  places: ReadonlyMap<string, readonly number[]>,
  count: number,
): readonly (readonly string[])[] {
  if (count === 1) return [slide.passages];
  const passages = Array.from({ length: count }, (): string[] => []);
  const partOf = new Map(slide.content.flatMap((part) => part.blocks.map((block) => [block, part.id] as const)));
  let current = 0;
  for (const block of slide.passages) {
    const on = places.get(partOf.get(block) ?? '') ?? [];
    current = on.at(-1) ?? current;
    for (const page of on.length > 0 ? on : [current]) passages[page]!.push(block);
  }
  return passages;
}
