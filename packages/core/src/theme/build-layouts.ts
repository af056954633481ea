/** Builds a theme's layouts on its grid: one measure of margins, title band and gutter for all of them. */
import { inches, type Emu } from '../base/index.ts';
import type { ColorName, Frame, Layout, LayoutName, Mark, Role, TextStyle } from './theme.ts';

/** All lengths in inches, on a slide of 13.333 by 7.5. */
export interface Grid {
  readonly left: number;
  readonly right: number;
  readonly titleTop: number;
  readonly titleHeight: number;
  readonly bodyTop: number;
  readonly bodyBottom: number;
  readonly gutter: number;
  readonly titleAnchor: 'top' | 'middle' | 'bottom';
}

export interface LayoutDesign {
  readonly grid: Grid;
  readonly title: TextStyle;
  readonly body: TextStyle;
  readonly cover: {
    readonly title: TextStyle;
    readonly subtitle: TextStyle;
    readonly top: number;
    readonly ground: ColorName;
  };
  readonly section: { readonly title: TextStyle; readonly top: number; readonly ground: ColorName };
  readonly number: TextStyle;
  readonly marks: Readonly<Record<'cover' | 'section' | 'content', readonly Mark[]>>;
}

const WIDTH = 13.333;

export function mark(color: ColorName, x: number, y: number, width: number, height: number): Mark {
  return { color, x: inches(x), y: inches(y), width: inches(width), height: inches(height) };
}

function frame(
  role: Role,
  box: readonly [number, number, number, number],
  style: TextStyle,
  anchor: Frame['anchor'] = 'top',
  align: Frame['align'] = 'left',
): Frame {
  const [x, y, width, height] = box.map(inches) as [Emu, Emu, Emu, Emu];
  return { role, x, y, width, height, anchor, align, style };
}

export function buildLayouts(design: LayoutDesign): readonly Layout[] {
  const { grid, body, marks } = design;
  const width = WIDTH - grid.left - grid.right;
  const height = grid.bodyBottom - grid.bodyTop;
  const half = (width - grid.gutter) / 2;
  const text = width * 0.52;
  const beside = grid.left + text + grid.gutter;
  const title = frame('title', [grid.left, grid.titleTop, width, grid.titleHeight], design.title, grid.titleAnchor);
  const number = frame('number', [WIDTH - grid.right - 1, 6.95, 1, 0.32], design.number, 'middle', 'right');
  const content = (name: LayoutName, label: string, frames: readonly Frame[]): Layout => ({
    name,
    label,
    ground: 'ground',
    frames: [title, ...frames, number],
    marks: marks.content,
  });
  return [
    {
      name: 'cover',
      label: 'Cover',
      ground: design.cover.ground,
      marks: marks.cover,
      frames: [
        frame('title', [grid.left, design.cover.top, width - 1, 2.2], design.cover.title, 'bottom'),
        frame('subtitle', [grid.left, design.cover.top + 2.45, width - 1, 1.3], design.cover.subtitle),
      ],
    },
    {
      name: 'section',
      label: 'Section opener',
      ground: design.section.ground,
      marks: marks.section,
      frames: [frame('title', [grid.left, design.section.top, width - 1, 2.2], design.section.title, 'bottom')],
    },
    content('points', 'Title and points', [frame('body', [grid.left, grid.bodyTop, width, height], body)]),
    content('columns', 'Two columns', [
      frame('body', [grid.left, grid.bodyTop, half, height], body),
      frame('body2', [grid.left + half + grid.gutter, grid.bodyTop, half, height], body),
    ]),
    content('picture-text', 'Picture with text', [
      frame('body', [grid.left, grid.bodyTop, text, height], body),
      frame('picture', [beside, grid.bodyTop, WIDTH - grid.right - beside, height], body),
    ]),
    content('picture', 'Picture', [frame('picture', [grid.left, grid.bodyTop, width, height], body)]),
    content('table', 'Table', [frame('table', [grid.left, grid.bodyTop, width, height], body)]),
    content('title-only', 'Title only', []),
  ];
}
