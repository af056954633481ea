/** A deck on sheets. Slides that are hidden when it is presented are left out of what an audience gets. */
import type { Scene, SceneSlide } from '../scene/index.ts';
import { EMU_PER_POINT } from '../base/index.ts';
import { Flow, MARGIN } from './flow.ts';
import { heading, outlined, slideHeading, spoken, type Passage } from './paragraphs.ts';
import { PAPER_SIZES, type Print, type Sheet, type SheetOptions } from './sheet.ts';

/** Columns and rows of slides on a sheet. With three there is as much room to write beside each. */
const GRIDS = {
  two: [1, 2],
  three: [1, 3],
  four: [2, 2],
  six: [2, 3],
  nine: [3, 3],
} as const satisfies Partial<Record<Print, readonly [number, number]>>;
const GAP = 18; // points
const BESIDE = 0.6; // of the width, where lines stand beside the slide
const LINE = 20; // points between lines for writing

/** @param document What is read of it, for a handout. */
export function makeSheets(
  scene: Scene,
  { print, paper }: SheetOptions,
  document: readonly Passage[] = [],
): readonly Sheet[] {
  const shown = scene.slides.flatMap((slide, index) => (slide.hidden ? [] : [{ slide, index }]));
  const sections = new Map(scene.sections.map(({ title, from }) => [from, title]));
  const ratio = scene.theme.size.height / scene.theme.size.width;
  const rule = scene.theme.look?.rules.notes;
  const flow = new Flow(PAPER_SIZES[paper], scene.theme, scene.title ?? '');
  switch (print) {
    case 'slides':
      return shown.map(({ index }) => onItsOwn(scene, index));
    case 'notes':
      for (const { slide, index } of shown) {
        const { slides } = flow.begin();
        const height = flow.room * ratio;
        slides.push({ index, x: MARGIN, y: MARGIN, width: flow.room, height, framed: true });
        flow.y = MARGIN + height + GAP;
        for (const wanted of spoken(slide.notes, index, rule)) flow.put(wanted);
      }
      return flow.sheets();
    case 'two':
    case 'three':
    case 'four':
    case 'six':
    case 'nine':
      grid(
        flow,
        shown.map(({ index }) => index),
        GRIDS[print],
        ratio,
        scene.theme.mirrored === true,
      );
      return flow.sheets();
    case 'handout':
      for (const passage of document)
        if (passage.kind === 'slide') flow.slide(passage.slide, ratio);
        else if (passage.kind === 'table') flow.table(passage);
        else flow.put(passage, passage.as === 'heading' ? 40 : 0);
      return flow.sheets();
    case 'script':
    case 'outline':
      for (const { slide, index } of shown) {
        const section = sections.get(index);
        if (section !== undefined) flow.put(heading(section, 1, index), 60);
        // What opens a section has its title; a slide that goes on has had its own.
        const titled = slide.part.index === 0 && !(section !== undefined && slide.kind === 'section');
        if (titled) flow.put(slideHeading(slide, index), 16);
        for (const wanted of print === 'script' ? spoken(slide.notes, index, rule) : outlined(slide, index))
          flow.put(wanted);
      }
      return flow.sheets();
  }
}

function onItsOwn({ theme: { size } }: Scene, index: number): Sheet {
  const [width, height] = [size.width / EMU_PER_POINT, size.height / EMU_PER_POINT];
  return {
    width,
    height,
    slides: [{ index, x: 0, y: 0, width, height, framed: false }],
    texts: [],
    lines: [],
    foot: [],
  };
}

function grid(
  flow: Flow,
  indexes: readonly SceneSlide['number'][],
  [columns, rows]: readonly [number, number],
  ratio: number,
  mirrored: boolean,
): void {
  const beside = columns === 1 && rows === 3;
  const cell = {
    width: (flow.room - (columns - 1) * GAP) / columns,
    height: (flow.bottom - MARGIN - (rows - 1) * GAP) / rows,
  };
  const width = beside ? cell.width * BESIDE : Math.min(cell.width, (cell.height * 0.75) / ratio);
  const height = width * ratio;
  indexes.forEach((index, i) => {
    const place = i % (columns * rows);
    const { slides, lines } = place === 0 ? flow.begin() : flow.sheet;
    const column = place % columns;
    const left = MARGIN + column * (cell.width + GAP);
    const y = MARGIN + Math.floor(place / columns) * (cell.height + GAP);
    const at = (x: number, wide: number): number => (mirrored ? flow.width - x - wide : x);
    slides.push({ index, x: at(left, width), y, width, height, framed: true });
    const write = beside
      ? { x: left + width + GAP, from: y, to: y + cell.height - GAP, width: cell.width - width - GAP }
      : { x: left, from: y + height + LINE * 0.4, to: y + cell.height, width: cell.width };
    for (let line = write.from + LINE; line <= write.to + 0.01; line += LINE)
      lines.push({ x: at(write.x, write.width), y: line, width: write.width });
  });
}
