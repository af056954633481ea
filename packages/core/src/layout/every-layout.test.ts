/** Every theme, in every layout, with the content that breaks layouts: what is drawn stays in place, apart, and readable. */
import { expect, test } from '@jest/globals';
import { ptFromEmu } from '../base/index.ts';
import { plain } from '../content/index.ts';
import type { Content, Point, Slide } from '../deck/index.ts';
import { drawChart, drawParagraph, drawShape, sceneSlide } from '../scene/index.ts';
import { THEMES } from '../test/build.ts';
import {
  contains,
  contrastRatio,
  dress,
  LAYOUT_NAMES,
  overlaps,
  type LayoutName,
  type Rect,
  type Theme,
} from '../theme/index.ts';
import { layOutSlide, type ConnectorBox, type Page } from './index.ts';

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
const STRESS: Readonly<Record<string, { readonly title: string; readonly content: readonly Content[] }>> = {
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
const pictures = new Map([['a' as never, { id: 'a' as never, mime: 'image/png' as const, width: 900, height: 500 }]]);

function slideFor(layout: LayoutName, { title, content }: (typeof STRESS)[string]): Slide {
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

const TOLERANCE = 1; // points
const PLAY = 12_700; // EMU: a point
const within = (inner: Rect, outer: Rect): boolean => contains(outer, inner, PLAY);

/** Least sizes in points, of titles, of text in placeholders, and of all else. */
const FLOOR = { title: 14, body: 10, other: 11 };

const lineRect = ({ from, to }: ConnectorBox): Rect =>
  ({
    x: Math.min(from.x, to.x),
    y: Math.min(from.y, to.y),
    width: Math.abs(from.x - to.x),
    height: Math.abs(from.y - to.y),
  }) as Rect;

function faultsOf(page: Page, theme: Theme): readonly string[] {
  const faults: string[] = [];
  const slide = sceneSlide(page, 1, theme);
  const whole = { x: 0, y: 0, ...theme.size } as unknown as Rect;
  const placed: { rect: Rect; name: string }[] = [];
  for (const box of page.boxes) {
    const rect =
      box.kind === 'connector'
        ? lineRect(box)
        : box.kind === 'text' || box.kind === 'chart' || box.kind === 'table'
          ? box.frame
          : box.rect;
    if (!within(rect, whole)) faults.push(`${box.kind} off the slide`);
    if (box.kind === 'text') {
      for (const paragraph of box.paragraphs) {
        const least = paragraph.style === 'title' ? FLOOR.title : box.free === true ? FLOOR.other : FLOOR.body;
        if (paragraph.size < least) faults.push(`${paragraph.style} at ${paragraph.size} pt`);
        for (const line of paragraph.lines) {
          const inside =
            ptFromEmu(line.x) >= ptFromEmu(box.frame.x) - TOLERANCE &&
            ptFromEmu(line.x) + ptFromEmu(line.width) <=
              ptFromEmu(box.frame.x) + ptFromEmu(box.frame.width) + TOLERANCE &&
            ptFromEmu(line.baseline) <= ptFromEmu(box.frame.y) + ptFromEmu(box.frame.height) + TOLERANCE;
          if (!inside) faults.push(`a line of ${paragraph.style} outside of its frame`);
        }
        // The colour that stands behind: the shape of a figure under it, a filled mark, or the ground.
        const shapes = page.boxes.flatMap((one) =>
          one.kind === 'shape' && one.fill !== null && within(box.frame, one.rect) ? [one] : [],
        );
        const marks = slide.layout.marks.filter((mark) => mark.outline === undefined && within(box.frame, mark));
        const behind = shapes.at(-1)?.fill ?? marks.at(-1)?.color ?? slide.layout.ground;
        for (const piece of drawParagraph(paragraph, box.frame, theme))
          if (contrastRatio(piece.color, theme.palette[behind]) < 4.5) faults.push(`${piece.color} on ${behind}`);
      }
      placed.push({ rect: box.frame, name: `${box.frame.role}${box.free === true ? ' (figure)' : ''}` });
    } else if (box.kind === 'picture' || box.kind === 'chart') placed.push({ rect, name: box.kind });
    if (box.kind === 'shape' && !/^M/.test(drawShape(box, theme.palette).d)) faults.push('a shape without an outline');
    if (box.kind === 'chart')
      for (const { x, baseline, width } of drawChart(box, theme, { palette: theme.palette, inks: theme.palette })
        .pieces)
        if (!within({ x, y: baseline, width, height: 0 } as unknown as Rect, box.frame))
          faults.push('a label outside of its chart');
  }
  placed.forEach((a, i) => {
    for (const b of placed.slice(i + 1)) if (overlaps(a.rect, b.rect, PLAY)) faults.push(`${a.name} meets ${b.name}`);
  });
  return faults;
}

const WORN = THEMES.flatMap((theme) => [
  [theme.name, theme] as const,
  [`${theme.name}, mirrored`, dress({ ...theme.look!, mirrored: true })] as const,
]);

test.each(WORN)('%s', (_, theme) => {
  const taken = new Set<LayoutName>();
  const faults: string[] = [];
  for (const layout of LAYOUT_NAMES)
    for (const [name, stress] of Object.entries(STRESS)) {
      const slide = slideFor(layout, stress);
      for (const page of layOutSlide(slide, { theme, pictures, full: 'continue', language: 'en' })) {
        taken.add(page.layout);
        for (const fault of faultsOf(page, theme)) faults.push(`${layout}, ${name}: ${fault}`);
      }
    }
  expect([...new Set(faults)]).toEqual([]);
  // Every layout was in fact laid out with some of it.
  expect(LAYOUT_NAMES.filter((name) => !taken.has(name))).toEqual([]);
});
