/** What is said in words on printed sheets: notes, and the outline of the slides. */
import type { LanguageTag } from '../base/index.ts';
import {
  describeChart,
  describeTable,
  type Box,
  type ItemMark,
  type Note,
  type Para,
  type SceneSlide,
} from '../scene/index.ts';
import type { TextRule } from '../theme/index.ts';
import type { SheetText } from './sheet.ts';

/** A paragraph before it has a place. */
export interface Wanted extends Pick<SheetText, 'as' | 'level' | 'slide'> {
  readonly para: Para;
  readonly language?: LanguageTag | undefined;
  /** Of notes, where a rule says it. */
  readonly size?: number | undefined /* points */;
  readonly space?: number | undefined /* points */;
}

/** What is read of a document: text, tables, and the slides that stand before it. */
export type Passage =
  | ({ readonly kind: 'text' } & Wanted)
  | {
      readonly kind: 'table';
      readonly slide: number;
      readonly language?: LanguageTag | undefined;
      /** Each row's cells, with how many columns they take; all rows make up as many. */
      readonly rows: readonly { readonly header: boolean; readonly cells: readonly PassageCell[] }[];
    }
  | { readonly kind: 'slide'; readonly slide: number };
export interface PassageCell {
  readonly para: Para;
  readonly columns: number;
}

/** Text as its frame says. */
export const plain = (text: string): Para => ({ part: null, style: 'plain', level: 1, runs: [{ text }] });

export const heading = (text: string, level: 1 | 2, slide: number): Wanted => ({
  as: 'heading',
  level,
  slide,
  para: plain(text),
});

/** Its number and title. */
export const slideHeading = ({ number, title }: SceneSlide, slide: number): Wanted =>
  heading(title.trim() === '' ? String(number) : `${number}  ${title.replace(/\s+/g, ' ')}`, 2, slide);

const DEEPEST = 5;

/** Notes as they are spoken. Items that an author wrote have no number of the original's: they are counted. */
export function spoken(
  notes: readonly Note[],
  slide: number,
  { size, space }: Pick<TextRule, 'size' | 'space'> = {},
): readonly Wanted[] {
  const counted: number[] = [];
  const withMarks = notes.map((note): { readonly note: Note; readonly mark: ItemMark | undefined } => {
    if (note.kind === 'paragraph') counted.length = 0;
    counted.length = Math.min(counted.length, note.depth);
    if (!note.ordered || note.kind === 'paragraph') return { note, mark: note.mark };
    const value = (counted[note.depth - 1] ?? 0) + 1;
    counted[note.depth - 1] = value;
    return { note, mark: note.mark ?? { text: `${value}.`, value } };
  });
  const marks = widestMarks(withMarks.map(({ note, mark }) => ({ level: note.depth, mark })));
  return withMarks.map(({ note, mark }): Wanted => {
    const item = note.kind === 'item';
    const level = item ? Math.min(Math.max(1, note.depth), DEEPEST) : 1;
    const para: Para = {
      part: null,
      style: item ? 'point' : 'body',
      level,
      runs: note.runs,
      ...(note.direction === undefined ? {} : { direction: note.direction }),
      ...(item && mark !== undefined ? { mark, marks } : {}),
    };
    return { as: item ? 'item' : 'paragraph', level, slide, para, language: note.lang, size, space };
  });
}

/** Of each level the longest mark. */
function widestMarks(items: readonly { readonly level: number; readonly mark: ItemMark | undefined }[]) {
  const widest: (string | undefined)[] = [];
  for (const { level, mark } of items)
    if (mark !== undefined && mark.text.length > (widest[level - 1]?.length ?? 0)) widest[level - 1] = mark.text;
  return Array.from(widest);
}

/** Points of a slide by their levels; of what is no text, what it says to those who do not see it. */
export function outlined(slide: SceneSlide, index: number): readonly Wanted[] {
  return slide.boxes.flatMap((box) => outlinedBox(box, slide, index));
}

function outlinedBox(box: Box, { title, languages }: SceneSlide, slide: number): readonly Wanted[] {
  switch (box.kind) {
    case 'text':
      return box.paras.flatMap((para): readonly Wanted[] => {
        // Numbers of figures are nobody's words; what is said again stands above already.
        if (para.part === null || para.repeated === true || para.style === 'title') return [];
        const level = para.style === 'point' ? para.level : para.style === 'detail' ? 2 : 1;
        const item = para.style === 'point' || para.style === 'item' || para.style === 'detail';
        const set: Para = { ...para, style: item ? 'point' : para.style === 'code' ? 'code' : 'body', level };
        return [
          { as: item ? 'item' : 'paragraph', level, slide, para: set, language: languages.get(para.part) ?? undefined },
        ];
      });
    case 'table':
      return described(describeTable(box.table, title), box.part, languages, slide);
    case 'chart':
      return described(describeChart(box.chart, title), box.part, languages, slide);
    case 'picture':
      return described(box.alt ?? '', box.part, languages, slide);
    case 'shape':
    case 'connector':
    case 'icon':
      return [];
  }
}

const described = (
  text: string,
  part: Exclude<Para['part'], null>,
  languages: SceneSlide['languages'],
  slide: number,
): readonly Wanted[] =>
  text.trim() === ''
    ? []
    : [
        {
          as: 'paragraph',
          level: 1,
          slide,
          para: { ...plain(text), part, style: 'quote' },
          language: languages.get(part),
        },
      ];
