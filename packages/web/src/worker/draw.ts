/** Turns a scene's slide into plain drawing data. */
import {
  drawCell,
  drawParagraph,
  EMU_PER_POINT,
  frameOf,
  layoutNamed,
  sceneSlide,
  type Box,
  type Page,
  type Piece,
  type Rect,
  type SceneSlide,
  type TextBox,
  type Theme,
} from '@alvex/core';
import type { Drawing, DrawnPiece, DrawnRect, DrawnText } from './protocol.ts';

const points = (emu: number): number => Math.round((emu / EMU_PER_POINT) * 100) / 100;
const rect = ({ x, y, width, height }: Rect) => ({
  x: points(x),
  y: points(y),
  width: points(width),
  height: points(height),
});
const piece = ({ x, baseline, width, ...rest }: Piece): DrawnPiece => ({
  ...rest,
  x: points(x),
  y: points(baseline),
  width: points(width),
});

export function drawPage(page: Page, rev: number, theme: Theme): Drawing {
  const slide = sceneSlide(page, 1, theme);
  const shapes: DrawnRect[] = slide.layout.marks.map((mark) => ({ ...rect(mark), color: theme.palette[mark.color] }));
  const texts: DrawnText[] = [];
  const pictures: Drawing['pictures'][number][] = [];
  for (const box of slide.boxes) drawBox(box, theme, shapes, texts, pictures);
  return {
    key: page.key,
    rev,
    ground: theme.palette[layoutNamed(theme, page.layout).ground],
    shapes,
    texts,
    pictures,
    number: numberOf(slide, theme),
  };
}

function drawBox(
  box: Box,
  theme: Theme,
  shapes: DrawnRect[],
  texts: DrawnText[],
  pictures: Drawing['pictures'][number][],
): void {
  switch (box.kind) {
    case 'text':
      texts.push(...drawTextBox(box, theme));
      return;
    case 'picture':
      pictures.push({ part: box.part, picture: box.picture, alt: box.alt, ...rect(box.rect) });
      return;
    case 'table':
      for (const cell of box.cells) {
        const at = rect(cell.rect);
        if (cell.header) shapes.push({ ...at, color: theme.palette[theme.table.headColor] });
        shapes.push({
          x: at.x,
          y: at.y + at.height - 0.5,
          width: at.width,
          height: 0.5,
          color: theme.palette[theme.table.rule],
        });
        texts.push({
          target: null,
          ...at,
          pieces: drawCell(cell.runs, cell.lines, box.size, cell.header, theme).map(piece),
        });
      }
  }
}

function drawTextBox(box: TextBox, theme: Theme): DrawnText[] {
  const frame = rect(box.frame);
  return box.paragraphs.map((paragraph): DrawnText => {
    const first = paragraph.lines[0];
    const last = paragraph.lines.at(-1);
    const top = first === undefined ? frame.y : points(first.baseline) - paragraph.size;
    const bottom = last === undefined ? top : points(last.baseline) + paragraph.size * 0.3;
    return {
      target: paragraph.part ?? 'title',
      x: frame.x,
      y: top,
      width: frame.width,
      height: bottom - top,
      pieces: drawParagraph(paragraph, box.frame, theme).map(piece),
    };
  });
}

function numberOf(slide: SceneSlide, theme: Theme): Drawing['number'] {
  const frame = frameOf(slide.layout, 'number');
  if (frame === undefined) return null;
  const at = rect(frame);
  const size = frame.style.sizes[0]!;
  return {
    right: at.x + at.width,
    y: at.y + at.height / 2 + size * 0.35,
    size,
    family: theme.fonts.body,
    color: theme.palette[frame.style.color],
  };
}
