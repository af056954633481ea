/** A scene's slide as plain drawing data, for the screen and for every writer that draws: shapes, pictures and pieces of text, each with its place. */
import { EMU_PER_POINT } from '../base/index.ts';
import { nameOfLink } from '../content/index.ts';
import type { LinkGoals } from '../deck/index.ts';
import { shippedFamily } from '../fonts/index.ts';
import type { PartId } from '../ids/index.ts';
import { placeOf, type Box, type TextBox } from '../layout/index.ts';
import {
  cellInk,
  cellLook,
  paintOf,
  contains,
  frameOf,
  type Align,
  type CellLook,
  type Paint,
  type Frame,
  type Palette,
  type Rect,
  type Theme,
} from '../theme/index.ts';
import { drawChart } from './draw-chart.ts';
import { drawConnector, drawIcon, drawMark, drawShape, type DrawnShape } from './drawn-shape.ts';
import { drawCell, drawParagraph, type Piece } from './drawn-text.ts';
import { pictureGround } from './picture-ground.ts';
import { stepsOf } from './steps.ts';
import { colorsOf, type SceneSlide, type SlideColors } from './scene.ts';
import type { DrawnSlide, DrawnPiece, DrawnText, DrawnPicture, Layers, DrawnParts } from './drawn-slide.ts';

const points = (emu: number): number => Math.round((emu / EMU_PER_POINT) * 100) / 100;
const rect = ({ x, y, width, height }: Rect) => ({
  x: points(x),
  y: points(y),
  width: points(width),
  height: points(height),
});
/** A piece with its lengths in points, in a family that ships. */
export const drawnPiece = ({ x, baseline, width, family, ...rest }: Piece): DrawnPiece => ({
  ...rest,
  family: shippedFamily(family).family,
  x: points(x),
  y: points(baseline),
  width: points(width),
});

interface Look extends SlideColors {
  readonly theme: Theme;
}

/** The slide's own number is left to whoever draws. @param goals Where links within the document lead. */
export function drawSlide(slide: SceneSlide, theme: Theme, goals?: LinkGoals): DrawnSlide {
  const { marks, boxes, foot, ...rest } = drawParts(slide, theme, goals);
  return {
    ...rest,
    shapes: [...marks, ...boxes.flatMap(({ shapes }) => shapes)],
    pictures: boxes.flatMap(({ pictures }) => pictures),
    texts: [...boxes.flatMap(({ texts }) => texts), ...foot],
  };
}

/** All shapes stand behind all pictures, and these behind all texts. @param goals Where links within the document lead. */
export function drawParts(slide: SceneSlide, theme: Theme, goals?: LinkGoals): DrawnParts {
  const look = { theme, ...colorsOf(slide, theme) };
  const { palette, ground } = look;
  const steps = stepsOf(slide.boxes);
  const behind = (slide.layout.pictures ?? []).map((logo): DrawnPicture => ({
    ...PLAIN,
    part: null,
    picture: logo.picture,
    alt: logo.alt,
    ...rect(logo),
  }));
  return {
    size: { width: points(theme.size.width), height: points(theme.size.height) },
    ground,
    backdrop: slide.layout.backdrop ?? [],
    behind,
    marks: slide.layout.marks.map((mark) => drawMark(mark, palette)),
    boxes: slide.boxes.map((box) => {
      const layers: Layers = { shapes: [], texts: [], pictures: [] };
      drawBox(box, slide.boxes, look, layers);
      return { box, ...layers, texts: layers.texts.map((text) => leading(inStep(text, steps), slide, goals)) };
    }),
    foot: slide.layout.frames.flatMap((frame) => drawFoot(frame, slide, look)),
    number: numberOf(slide, look),
  };
}

function inStep(text: DrawnText, steps: ReadonlyMap<PartId, number>): DrawnText {
  const step = text.target === null || text.target === 'title' ? undefined : steps.get(text.target);
  return step === undefined ? text : { ...text, step };
}

/** Says where a click leads within the deck: all of a part, or a link. */
function leading(text: DrawnText, { leads }: SceneSlide, goals: LinkGoals | undefined): DrawnText {
  const whole = text.target === null || text.target === 'title' ? undefined : leads.get(text.target);
  if (whole === undefined && !text.pieces.some(({ link }) => link?.startsWith('#'))) return text;
  const pieces = text.pieces.map((piece): DrawnPiece => {
    const name = nameOfLink(piece.link);
    const to = name === undefined ? undefined : goals?.get(name);
    const lead = to ?? (piece.link === undefined || name !== undefined ? whole : undefined);
    return lead === undefined ? piece : { ...piece, to: lead };
  });
  return { ...text, pieces };
}

const PLAIN = {
  cut: [0, 0, 0, 0],
  filter: 'none',
  tint: null,
  corners: 'square',
  brightness: 0,
  contrast: 0,
} as const;

function drawBox(box: Box, boxes: readonly Box[], look: Look, { shapes, texts, pictures }: Layers): void {
  const { theme, palette, inks } = look;
  switch (box.kind) {
    case 'text':
      texts.push(...drawTextBox(box, theme, inks, behindOf(box, boxes, palette)));
      return;
    case 'picture': {
      const { filter, corners, brightness, contrast } = box.dress;
      const tint = filter === 'tint' ? ([palette.accent1, palette.ground] as const) : null;
      const { part, picture, alt, cut } = box;
      const behind = pictureGround(box, look);
      pictures.push({
        part,
        picture,
        alt,
        cut,
        filter,
        tint,
        corners,
        brightness,
        contrast,
        ground: behind && palette[behind],
        ...rect(box.rect),
      });
      return;
    }
    case 'shape':
      shapes.push(drawShape(box, palette));
      return;
    case 'connector':
      shapes.push(...drawConnector(box, palette));
      return;
    case 'icon':
      shapes.push(...drawIcon(box, palette));
      return;
    case 'chart': {
      const drawn = drawChart(box, theme, look);
      shapes.push(...drawn.shapes);
      texts.push({ target: null, chart: box.part, ...rect(box.frame), pieces: drawn.pieces.map(drawnPiece) });
      return;
    }
    case 'table':
      for (const cell of box.cells) {
        const at = rect(cell.rect);
        const place = placeOf(cell, box);
        shapes.push(...cellShapes(at, cellLook(theme, place), palette));
        texts.push({
          target: null,
          table: box.part,
          ...at,
          pieces: drawCell(cell, box.size, paintOf(inks, cellInk(theme, place)), theme, inks).map(drawnPiece),
        });
      }
  }
}

/** Ground and lines of a cell. */
function cellShapes(
  { x, y, width, height }: ReturnType<typeof rect>,
  { fill, top, bottom, sides }: CellLook,
  palette: Palette,
): readonly DrawnShape[] {
  const bar = (left: number, from: number, wide: number, high: number, color: Paint): DrawnShape => ({
    d: `M${left} ${from}h${wide}v${high}h${-wide}Z`,
    fill: paintOf(palette, color),
    stroke: null,
    strokeWidth: 0,
  });
  return [
    ...(fill === null ? [] : [bar(x, y, width, height, fill)]),
    ...(top === null ? [] : [bar(x, y, width, top.width, top.color)]),
    ...(bottom === null ? [] : [bar(x, y + height - bottom.width, width, bottom.width, bottom.color)]),
    ...(sides === null
      ? []
      : [
          bar(x, y, sides.width, height, sides.color),
          bar(x + width - sides.width, y, sides.width, height, sides.color),
        ]),
  ];
}

/** The shape of a figure under its text. */
function behindOf({ frame, free }: TextBox, boxes: readonly Box[], palette: Palette): string | undefined {
  if (free !== true) return undefined;
  const under = boxes.findLast((box) => box.kind === 'shape' && contains(box.rect, frame));
  return under?.kind === 'shape' && under.fill !== null ? palette[under.fill] : undefined;
}

function drawTextBox(box: TextBox, theme: Theme, inks: Palette, behind: string | undefined): DrawnText[] {
  const frame = rect(box.frame);
  return box.paragraphs.map((paragraph): DrawnText => {
    const first = paragraph.lines[0];
    const last = paragraph.lines.at(-1);
    const top = first === undefined ? frame.y : points(first.baseline) - paragraph.size;
    const bottom = last === undefined ? top : points(last.baseline) + paragraph.size * 0.3;
    return {
      // A figure's numbers are nobody's words.
      target: paragraph.part ?? (paragraph.style === 'title' ? 'title' : null),
      ...(paragraph.bulletX === null ? {} : { bullet: true }),
      ...(behind === undefined ? {} : { behind }),
      x: frame.x,
      y: top,
      width: frame.width,
      height: bottom - top,
      pieces: drawParagraph(paragraph, box.frame, theme, inks).map(drawnPiece),
    };
  });
}

/** The text that stands in a frame at the foot. */
function drawFoot(frame: Frame, slide: SceneSlide, { theme, inks }: Look): readonly DrawnText[] {
  const text = frame.role === 'footer' || frame.role === 'date' ? slide.foot[frame.role] : '';
  if (text === '') return [];
  const at = rect(frame);
  const size = frame.style.sizes[0]!;
  return [
    {
      target: null,
      ...at,
      anchor: frame.align === 'right' ? 'end' : 'start',
      pieces: [
        {
          text,
          x: frame.align === 'right' ? at.x + at.width : at.x,
          y: at.y + at.height / 2 + size * 0.35,
          width: at.width,
          family: shippedFamily(theme.fonts.body).family,
          size,
          bold: frame.style.bold,
          italic: false,
          strike: false,
          link: undefined,
          color: frame.style.paint ?? inks[frame.style.color],
        },
      ],
    },
  ];
}

const NUMBER_AT: Readonly<
  Record<
    Align,
    (at: { readonly x: number; readonly width: number }) => Pick<NonNullable<DrawnSlide['number']>, 'x' | 'anchor'>
  >
> = {
  left: ({ x }) => ({ x, anchor: 'start' }),
  center: ({ x, width }) => ({ x: x + width / 2, anchor: 'middle' }),
  right: ({ x, width }) => ({ x: x + width, anchor: 'end' }),
};

function numberOf(slide: SceneSlide, { theme, inks }: Look): DrawnSlide['number'] {
  const frame = frameOf(slide.layout, 'number');
  if (frame === undefined) return null;
  const at = rect(frame);
  const size = frame.style.sizes[0]!;
  return {
    ...NUMBER_AT[frame.align](at),
    y: at.y + at.height / 2 + size * 0.35,
    size,
    family: shippedFamily(theme.fonts.body).family,
    color: frame.style.paint ?? inks[frame.style.color],
  };
}
