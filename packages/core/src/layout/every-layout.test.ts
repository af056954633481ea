/** Every theme, in every layout, with the content that breaks layouts: what is drawn stays in place, apart, and readable. */
import { expect, test } from '@jest/globals';
import { ptFromEmu } from '../base/index.ts';
import { drawChart, drawParagraph, drawShape, sceneSlide } from '../scene/index.ts';
import { THEMES } from '../test/build.ts';
import { slideFor, STRESS, STRESS_PICTURES as pictures } from '../test/stress-slides.ts';
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
