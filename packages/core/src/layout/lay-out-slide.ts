/** Lays one slide out: by the layout that was chosen for it, else by what is on it; fits its text, and goes on on further pages where it must. */
import { ptFromEmu, remembered } from '../base/index.ts';
import { isUnspaced, mergeRuns, plain, runsReadWords, runsText, sliceRuns, type Runs } from '../content/index.ts';
import type { Content, MatterKind, Note, Slide } from '../deck/index.ts';
import type { Line } from '../fonts/index.ts';
import {
  footPlace,
  frameIn,
  frameOf,
  layoutNamed,
  type Frame,
  type Layout,
  type LayoutName,
  type Theme,
} from '../theme/index.ts';
import { chosenPages } from './chosen-pages.ts';
import { FITS, mostWords, parasOf, textBox, wordsIn, type Draft, type LayoutOptions } from './draft.ts';
import { evenFrame, largestSize, twoColumns, withinPage } from './fit-text.ts';
import type { Box, Fit, Page, Para } from './page.ts';
import { pictureBoxes } from './picture-boxes.ts';
import { measurePara } from './set-text.ts';
import { usualPages } from './usual-pages.ts';
import { pageKey, titleNote, type BlockId } from '../ids/index.ts';

export function layOutSlide(slide: Slide, deckOptions: LayoutOptions): readonly Page[] {
  const options = slide.full === undefined ? deckOptions : { ...deckOptions, full: slide.full };
  const { drafts, theme } = titledDrafts(slide, options);
  const titled = drafts.map((draft, i) => withTitle(draft, pageTitle(slide, i, drafts.length), theme));
  const places = placesOf(titled.map(({ draft }) => draft));
  const notes = notesByPage(slide, places, titled.length);
  if (titled[0]!.titleCut)
    notes[0]!.unshift({
      kind: 'paragraph',
      depth: 0,
      ordered: false,
      id: titleNote(slide.id),
      runs: slide.title.runs,
      blocks: slide.title.blocks,
      anchor: null,
    });
  const passages = passagesByPage(slide, places, titled.length);
  return titled.map(({ draft }, index) => ({
    key: pageKey(slide.id, index),
    slide,
    index,
    count: titled.length,
    layout: draft.layout,
    ...(theme === options.theme ? {} : { longTitle: true as const }),
    boxes: draft.boxes,
    notes: notes[index]!,
    passages: passages[index]!,
    fit: draft.fit,
  }));
}

/** In the theme's own places, or in those for long titles, where it has some and a title needs them. */
function titledDrafts(
  slide: Slide,
  options: LayoutOptions,
): { readonly drafts: readonly Draft[]; readonly theme: Theme } {
  const { theme } = options;
  const usual = { drafts: draftsOf(slide, options), theme };
  const wide = longTitledTheme(theme);
  if (wide === theme || slide.kind !== 'content' || slide.matter !== undefined) return usual;
  const isTooLong = ({ layout }: Draft, i: number): boolean =>
    isLong(pageTitle(slide, i, usual.drafts.length), layout, theme);
  if (!usual.drafts.some(isTooLong)) return usual;
  const drafts = draftsOf(slide, { ...options, theme: wide });
  // What a layout draws beside its places stands where it stands.
  const fits = drafts.every(({ layout }) => sameMarks(layoutNamed(theme, layout), layoutNamed(wide, layout)));
  return fits ? { drafts, theme: wide } : usual;
}

/** The theme with the places in which a page is laid out. */
export const themeOfPage = ({ longTitle }: Page, theme: Theme): Theme =>
  longTitle === true ? longTitledTheme(theme) : theme;

const longTitledTheme = remembered((theme: Theme): Theme =>
  theme.longTitled === undefined || theme.template !== undefined ? theme : { ...theme, layouts: theme.longTitled },
);
const sameMarks = ({ marks }: Layout, { marks: others }: Layout): boolean =>
  JSON.stringify(marks) === JSON.stringify(others);

/** Whether a title takes too many lines, or stands below the sizes of the theme, in its own place. */
function isLong(runs: Runs, layout: LayoutName, theme: Theme): boolean {
  if (runs.length === 0) return false;
  const frame = frameOf(layoutNamed(theme, layout), 'title')!;
  const para = titlePara(runs);
  const size = titleSize(para, frame, theme, layout);
  if (size === undefined || size < frame.style.sizes.at(-1)!) return true;
  const { lines } = measurePara(para, evenFrame(para, frame, theme, size), theme, size);
  return lines.length > mostTitleLines(layout) || endsAlone(para, lines);
}

const MATTER_LAYOUTS: Readonly<Partial<Record<MatterKind, LayoutName>>> = {
  agenda: 'agenda',
  'key-points': 'key-points',
  sources: 'sources',
};

export function draftsOf(slide: Slide, options: LayoutOptions): readonly Draft[] {
  if (slide.kind === 'cover') return coverPages(slide, options);
  if (slide.content.length === 0) return [openerPage(slide, options.theme) ?? emptyPage(slide, options.theme)];
  for (const layout of [slide.layout, slide.arranged]) {
    const pages = layout === undefined ? undefined : chosenPages(slide, layout, options);
    if (pages !== undefined) return pages;
  }
  return usualPages(slide.content, options, slide.matter && MATTER_LAYOUTS[slide.matter]);
}

function emptyPage(slide: Slide, theme: Theme): Draft {
  const layout = slide.kind === 'section' ? 'section' : 'title-only';
  return { layout, boxes: [], fit: FITS(frameOf(layoutNamed(theme, layout), 'title')!.style.sizes[0]!) };
}

/** Of what stands below an opener's title. */
const OPENER_FLOOR = [16, 14];
const MOST_OF_OPENER = 40; // words

/** Where one is: the sections with their numbers, this one set apart; its number alone where they would be too much. */
function openerPage({ opens }: Slide, theme: Theme): Draft | undefined {
  const layout = layoutNamed(theme, 'section');
  const [title, frame] = [frameOf(layout, 'title'), frameOf(layout, 'subtitle')];
  // A template may have no room for it.
  if (opens === undefined || title === undefined || frame === undefined) return undefined;
  const { at, of } = opens;
  const set = (runs: Runs): Para => ({ part: null, style: 'subtitle', level: 1, runs });
  // Sections that bring numbers of their own have no second ones.
  const own = of.filter((name) => NUMBERED.test(name)).length > of.length / 2;
  const items = of.map((name, i): Runs => {
    const text = own ? name : `${i + 1}\u00a0${name}`;
    return [i === at ? { text, bold: true } : { text }];
  });
  const inLine = items.flatMap((item, i): Runs => (i === 0 ? item : [...plain(' · '), ...item]));
  const sizes = [...frame.style.sizes, ...OPENER_FLOOR].filter((size) => size <= frame.style.sizes[0]!);
  const lists = runsReadWords(inLine) > MOST_OF_OPENER ? [] : [items.map(set), [set(inLine)]];
  const boxes = lists.flatMap((list): readonly Box[] => {
    const size = largestSize(list, frame, theme, sizes);
    return size === undefined ? [] : [textBox(list, frame, theme, size)];
  });
  const place = frameOf(layout, 'big');
  const numeral: Para = { part: null, style: 'plain', level: 1, runs: plain(`${at + 1}`) };
  const size = own || place === undefined ? undefined : largestSize([numeral], place, theme, place.style.sizes);
  const number = size === undefined ? [] : [textBox([numeral], place!, theme, size)];
  const where = boxes[0] ?? textBox([set(plain(`${at + 1} / ${of.length}`))], frame, theme, frame.style.sizes[0]!);
  return { layout: 'section', boxes: [...number, where], fit: FITS(title.style.sizes[0]!) };
}
/** A name that begins with a number, as chapters do. */
const NUMBERED = /^((\p{L}+\s)?(\d[\d.]*|[IVXLC]+)([.):]|$)|\d[\d.]*\s)/u;

const TITLE_FLOOR = [20, 18, 16, 14];

/** Whether a title fits the frame of a slide with points at one of the theme's own sizes. */
export function titleFits(runs: Runs, theme: Theme): boolean {
  const frame = frameOf(layoutNamed(theme, 'points'), 'title')!;
  return largestSize([{ part: null, style: 'title', level: 1, runs }], frame, theme, frame.style.sizes) !== undefined;
}

const textOf = ({ content }: Slide): readonly Para[] =>
  parasOf(content.filter((part) => part.kind === 'point' || part.kind === 'text'));

/** Whether a slide has text, and no more words than one page may hold at any size. */
export function isOnePage(slide: Slide): boolean {
  const paras = textOf(slide);
  const words = wordsIn(paras);
  return words > 0 && words <= mostWords(paras);
}

/** Whether all text of a slide stands on one page at the floor, whatever pictures and tables it has besides. */
export function textFits(slide: Slide, theme: Theme): boolean {
  const paras = textOf(slide);
  const frame = frameOf(layoutNamed(theme, 'points'), 'body')!;
  if (!withinPage(paras, frame, theme, frame.style.sizes.at(-1)!)) return false;
  if (largestSize(paras, frame, theme, frame.style.sizes.slice(-1)) !== undefined) return true;
  const layout = layoutNamed(theme, 'columns');
  const [left, right] = [frameOf(layout, 'body')!, frameOf(layout, 'body2')!];
  return twoColumns(paras, left, right, theme, frame.style.sizes.slice(0, 2)) !== undefined;
}

/** Which of several pages it is stands behind the title of each that follows: no two slides are called the same. */
function pageTitle({ title }: Slide, index: number, count: number): Runs {
  const runs = unlinked(title.runs);
  return index === 0 || runs.length === 0 ? runs : [...runs, ...plain(`\u00a0· ${index + 1}/${count}`)];
}
/** A title is no place for a link. */
const unlinked = remembered((runs: Runs): Runs =>
  runs.some(({ link }) => link !== undefined) ? mergeRuns(runs.map(({ link: _, ...run }) => run)) : runs,
);

const titlePara = (runs: Runs): Para => ({ part: null, style: 'title', level: 1, runs });

/** Adds the title; one that fits at no size is cut with an ellipsis, and stands in the notes in full. */
function withTitle(draft: Draft, runs: Runs, theme: Theme): { draft: Draft; titleCut: boolean } {
  const frame = frameOf(layoutNamed(theme, draft.layout), 'title')!;
  const { sizes } = frame.style;
  if (runs.length === 0) return { draft, titleCut: false };
  const para = titlePara(runs);
  const size = titleSize(para, frame, theme, draft.layout);
  if (size !== undefined) {
    const box = textBox([para], evenFrame(para, frame, theme, size), theme, size);
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

/** Lines of a title; on a cover they are few words in a narrow column beside a picture. */
export const mostTitleLines = (layout: LayoutName): number => (layout === 'cover-picture' ? 4 : 2);

/**
 * The largest size at which a title takes no more lines than it may, the last of which is no single word; else the largest
 * that fits. An opening is better large with a word alone on its last line than set small.
 */
function titleSize(para: Para, frame: Frame, theme: Theme, layout: LayoutName): number | undefined {
  const { sizes } = frame.style;
  const all = [...sizes, ...TITLE_FLOOR.filter((small) => small < sizes.at(-1)!)];
  const fitting = all.filter((size) => largestSize([para], frame, theme, [size]) !== undefined);
  const linesAt = (size: number) => measurePara(para, evenFrame(para, frame, theme, size), theme, size).lines;
  const isShort = (size: number, lines = linesAt(size)): boolean => lines.length <= mostTitleLines(layout);
  const isGood = (size: number): boolean => {
    const lines = linesAt(size);
    return isShort(size, lines) && !endsAlone(para, lines);
  };
  const own = footPlace(layout) === 'content' ? [] : fitting.filter((size) => size >= sizes.at(-1)!);
  return own.find(isGood) ?? own.find((size) => isShort(size)) ?? fitting.find(isGood) ?? fitting[0];
}

/** Whether one word stands alone on the last of several lines; where no spaces are set, as few characters as one word has. */
export function endsAlone({ runs }: Para, lines: readonly Line[]): boolean {
  const last = lines.at(-1);
  if (last === undefined || lines.length === 1) return false;
  const words = runsText(runs).slice(last.start, last.end).trim();
  return !/\s/.test(words) && !(isUnspaced(words) && [...words].length > LEAST_UNSPACED);
}
const LEAST_UNSPACED = 3; // characters

function cutTitle(runs: Runs, limit: number): Runs {
  const kept = runsText(runs).slice(0, limit - 4);
  const end = Math.max(kept.lastIndexOf(' '), Math.floor(limit / 2));
  return [...sliceRuns(runs, 0, end), ...plain(' …')];
}

/** What is smaller than this is no cover's text: it goes on a slide of its own. */
const COVER_FLOOR = [16, 14, 12];

/** What has no room on the cover follows it. */
function coverPages({ content }: Slide, options: LayoutOptions): readonly Draft[] {
  const { theme } = options;
  const picture = hasCoverPicture(theme) ? content.find((part) => part.kind === 'picture') : undefined;
  const layout = picture === undefined ? 'cover' : 'cover-picture';
  const frame = frameIn(theme, layout, 'subtitle');
  const texts = content.filter((part) => part.kind === 'text' || part.kind === 'point');
  const paras = texts.map(({ id, runs }): Para => ({ part: id, style: 'subtitle', level: 1, runs }));
  const fit = FITS(frameIn(theme, layout, 'title').style.sizes[0]!);
  const pictures = picture === undefined ? [] : pictureBoxes(picture, layout, 'picture', options);
  const size = largestSize(paras, frame, theme, [...frame.style.sizes, ...COVER_FLOOR]);
  const boxes = size === undefined || paras.length === 0 ? [] : [textBox(paras, frame, theme, size)];
  const shown = new Set<Content>([...(picture === undefined ? [] : [picture]), ...(size === undefined ? [] : texts)]);
  const rest = content.filter((part) => !shown.has(part));
  return [{ layout, boxes: [...boxes, ...pictures], fit }, ...(rest.length === 0 ? [] : usualPages(rest, options))];
}

/** Least share of a slide that a picture on its cover takes: a strip shows nothing. */
const LEAST_COVER_PICTURE = 0.15;
function hasCoverPicture(theme: Theme): boolean {
  const { width, height } = frameIn(theme, 'cover-picture', 'picture');
  return width * height >= LEAST_COVER_PICTURE * theme.size.width * theme.size.height;
}

/** Pages of each part; looked for only where a slide takes more than one. */
function placesOf(drafts: readonly Draft[]): ReadonlyMap<string, readonly number[]> {
  const places = new Map<string, number[]>();
  if (drafts.length === 1) return places;
  drafts.forEach((draft, page) => {
    const parts = draft.boxes.flatMap((box) =>
      box.kind === 'text' ? firstShown(box.paras) : 'part' in box ? [box.part] : [],
    );
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
): readonly (readonly BlockId[])[] {
  if (count === 1) return [slide.passages];
  const passages = Array.from({ length: count }, (): BlockId[] => []);
  const partOf = new Map(slide.content.flatMap((part) => part.blocks.map((block) => [block, part.id] as const)));
  let current = 0;
  for (const block of slide.passages) {
    const on = places.get(partOf.get(block) ?? '') ?? [];
    current = on.at(-1) ?? current;
    for (const page of on.length > 0 ? on : [current]) passages[page]!.push(block);
  }
  return passages;
}
