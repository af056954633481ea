/** Slides with the content that breaks layouts, one for each layout and each kind of text. */
import { plain } from '../content/index.ts';
import type { Content, Point, Slide } from '../deck/index.ts';
import type { LayoutName } from '../theme/index.ts';

const point = (text: string, i: number, level = 1): Content => ({
  kind: 'point',
  id: `p${i}` as never,
  blocks: [],
  level: level as 1,
  runs: plain(text),
});
const points = (...texts: string[]): readonly Content[] => texts.map((text, i) => point(text, i));
const picture = (i: number): Content => ({
  kind: 'picture',
  id: `pic${i}` as never,
  blocks: [],
  picture: 'a' as never,
  alt: 'A pond',
});
const numbers: Content = {
  kind: 'table',
  id: 't' as never,
  blocks: [],
  table: {
    columns: 3,
    rows: [
      ['Work', 'Year 1 with a long head', 'Year 2'],
      ['Sluice gates and all that belongs to them', '31,000', '12,000'],
      ['Wheel', '−4,500', '44,000'],
      ['Roof', '9,000', '0'],
    ].map((cells, r) => ({
      header: r === 0,
      cells: cells.map((text) => ({ runs: plain(text), columns: 1, rows: 1 })),
    })),
  },
};

/** Text of each kind; pictures and tables are added where a layout asks for them. */
export const STRESS: Readonly<Record<string, { readonly title: string; readonly content: readonly Content[] }>> = {
  'a long title': {
    title:
      'What the trustees of the Sallow Quay tide mill ought to know of the state of the sluice gates before they vote on it in May',
    content: points('Oak', 'Iron', 'Elm', 'Stone'),
  },
  'eight points': {
    title: 'Eight',
    content: points(
      ...Array.from({ length: 8 }, (_, i) => `A point of the middling length that people write, number ${i + 1}`),
    ),
  },
  'long words': {
    title: 'Donaudampfschifffahrtselektrizitätenhauptbetriebswerkbauunterbeamtengesellschaft',
    content: points(
      'Rindfleischetikettierungsüberwachungsaufgabenübertragungsgesetz',
      'antidisestablishmentarianism-and-floccinaucinihilipilification',
      'W'.repeat(90),
      'Mühle',
    ),
  },
  CJK: {
    title: '水車と潮の満ち引きについての報告',
    content: points('満潮で池に水が入る', '門が閉まる', '引き潮で水車が回る', '粉ができる'),
  },
  'right to left': {
    title: 'طاحونة المد والجزر',
    content: points('تفتح البوابة', 'يدور الدولاب', 'גלגל הטחנה מסתובב', 'الدقيق'),
  },
  'numbers of a list': {
    title: 'In order',
    content: ['xviii.', '(104)', '3.1.12', '☑'].map((text, i) => ({
      ...(point(`A step that is told in a line of the middling length, number ${i + 1}`, i) as Point),
      mark: { text, value: i + 1 },
    })),
  },
  scripts: {
    title: 'ज्वार की चक्की · โรงสีน้ำขึ้นน้ำลง · 조수 방앗간',
    content: points('पानी तालाब भरता है', 'ประตูน้ำปิดเมื่อน้ำขึ้นสูงสุด', '밀물이 연못을 채웁니다', 'Το νερό και η Βода'),
  },
  emoji: { title: '🌊 Tide 👩‍👩‍👧‍👦', content: points('🌾 Grain', '⚙️ Wheel 🏴󠁧󠁢󠁷󠁬󠁳󠁿', '🍞', '🛶 Boats') },
  'two sides': {
    title: 'Oak and steel',
    content: [
      point('Oak', 0),
      point('warm', 1, 2),
      point('Steel frames with faces of oak', 2),
      point('cold and heavy and in need of paint each second year', 3, 2),
    ],
  },
  'one line': { title: 'One', content: points('62 % of all flour is ground by the tide alone — Hale Tanner') },
  'a list and text': {
    title: 'Both',
    content: [
      ...points('Gate', 'Wheel', 'Stone'),
      {
        kind: 'text',
        style: 'body',
        id: 'b' as never,
        blocks: [],
        runs: plain('What stands beside it, in a sentence or two of its own. It is not long.'),
      },
    ],
  },
};

const PICTURES: Readonly<Partial<Record<LayoutName, number>>> = {
  'picture-right': 1,
  'picture-left': 1,
  'picture-top': 1,
  'picture-bleed': 1,
  picture: 1,
  'picture-caption': 1,
  'cover-picture': 1,
  'gallery-2': 2,
  'gallery-3': 3,
  'gallery-4': 4,
};
const TABLES: ReadonlySet<LayoutName> = new Set(['table', 'table-points', 'chart', 'chart-points']);
export const STRESS_PICTURES = new Map([
  ['a' as never, { id: 'a' as never, mime: 'image/png' as const, width: 900, height: 500 }],
]);

export function slideFor(layout: LayoutName, { title, content }: (typeof STRESS)[string]): Slide {
  const objects = Array.from({ length: PICTURES[layout] ?? 0 }, (_, i) => picture(i));
  return {
    id: 's' as Slide['id'],
    kind: layout === 'section' ? 'section' : layout.startsWith('cover') ? 'cover' : 'content',
    title: { runs: plain(title), blocks: [] },
    content:
      layout === 'title-only' || layout === 'section'
        ? []
        : [
            ...(layout.startsWith('cover') ? asTexts(content) : content),
            ...objects,
            ...(TABLES.has(layout) ? [numbers] : []),
          ],
    notes: [],
    section: null,
    continues: false,
    passages: [],
    layout,
  };
}
const asTexts = (content: readonly Content[]): readonly Content[] =>
  content.map((part) =>
    'runs' in part ? { kind: 'text', style: 'body', id: part.id, blocks: [], runs: part.runs } : part,
  );
