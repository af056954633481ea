/** Builds a theme's layouts on its grid: where the title stands, where the content stands, and one gutter. */
import { inches, type Emu } from '../base/index.ts';
import type { ColorName } from './palette.ts';
import type { Align } from './look.ts';
import type { Frame, Geometry, Layout, LayoutName, Mark, Role, TextStyle } from './theme.ts';

/** Left, top, width, height in inches, on a slide of 13.333 by 7.5. */
export type Area = readonly [x: number, y: number, width: number, height: number];

export interface LayoutDesign {
  readonly title: Area;
  readonly content: Area;
  /** Where both stand on slides whose title is too long for its own place. */
  readonly longTitle?: { readonly title: Area; readonly content: Area };
  readonly gutter: number;
  readonly titleAnchor: Frame['anchor'];
  readonly titleAlign: Align;
  readonly styles: {
    readonly title: TextStyle;
    readonly body: TextStyle;
    readonly cover: TextStyle;
    readonly subtitle: TextStyle;
    readonly section: TextStyle;
    readonly quote: TextStyle;
    readonly big: TextStyle;
    readonly small: TextStyle;
  };
  readonly cover: Opening;
  readonly section: Opening;
  /** Where it is not beside the words, at the right half of the slide. */
  readonly pictureCover?: PictureCover;
  /** Left, top and width of the line at the foot. */
  readonly foot: readonly [number, number, number];
  readonly marks: Readonly<Record<'cover' | 'section' | 'content', readonly Mark[]>>;
  /** How few words are set: a statement, a quotation. */
  readonly words?: 'plain' | 'bar' | 'framed' | 'panel' | 'outline' | 'reversed';
  /** Width and height, where they are not the usual ones. */
  readonly size?: readonly [number, number];
}
/** A slide of few words: its title ends where its subtitle begins. */
export interface Opening {
  readonly title: Area;
  readonly subtitle: Area;
  readonly ground: ColorName;
  readonly align: Align;
  /** Where the number of a section stands. */
  readonly number?: OpeningNumber;
}
export interface OpeningNumber {
  readonly area: Area;
  readonly style: TextStyle;
  readonly align: Align;
  readonly anchor: Frame['anchor'];
}
/** A cover with a picture: where that stands over the edge, and where the words do. */
export interface PictureCover {
  readonly picture: Area;
  readonly title: Area;
  readonly subtitle: Area;
  readonly ground: ColorName;
  readonly align: Align;
  readonly marks: readonly Mark[];
}

export const WIDTH = 13.333;
export const HEIGHT = 7.5;
const USUAL = [WIDTH, HEIGHT] as const;
const FOOT_HEIGHT = 0.3;

export function mark(color: ColorName, area: Area, shape?: Geometry, outline?: number): Mark {
  const [x, y, width, height] = area.map(inches) as [Emu, Emu, Emu, Emu];
  return {
    color,
    x,
    y,
    width,
    height,
    ...(shape === undefined ? {} : { shape }),
    ...(outline === undefined ? {} : { outline }),
  };
}

function frame(
  role: Role,
  area: Area,
  style: TextStyle,
  anchor: Frame['anchor'] = 'top',
  align: Align = 'left',
): Frame {
  const [x, y, width, height] = area.map(inches) as [Emu, Emu, Emu, Emu];
  return { role, x, y, width, height, anchor, align, style };
}

/** Columns of an area, by their shares of its width. */
function across([x, y, width, height]: Area, shares: readonly number[], gutter: number): readonly Area[] {
  const room = width - gutter * (shares.length - 1);
  const total = shares.reduce((sum, share) => sum + share, 0);
  let at = x;
  return shares.map((share): Area => {
    const column: Area = [at, y, (room * share) / total, height];
    at += column[2] + gutter;
    return column;
  });
}
/** Rows of an area, by their shares of its height. */
function down([x, y, width, height]: Area, shares: readonly number[], gutter: number): readonly Area[] {
  return across([y, x, height, width], shares, gutter).map(([top, , tall]): Area => [x, top, width, tall]);
}

export function buildLayouts(design: LayoutDesign): readonly Layout[] {
  const { content, gutter, styles, marks } = design;
  const { body, small } = styles;
  const [cx, cy, cw, ch] = content;
  const title = frame('title', design.title, styles.title, design.titleAnchor, design.titleAlign);
  const foot = footFrames(design);
  const make = (name: LayoutName, label: string, frames: readonly Frame[]): Layout => ({
    name,
    label,
    ground: 'ground',
    frames: [title, ...frames, ...foot],
    marks: marks.content,
  });
  const texts = (areas: readonly Area[]): readonly Frame[] =>
    areas.map((area, i) => frame((['body', 'body2', 'body3'] as const)[i]!, area, body));
  const pictures = (areas: readonly Area[]): readonly Frame[] =>
    areas.map((area, i) => frame((['picture', 'picture2', 'picture3', 'picture4'] as const)[i]!, area, small));
  const [wide, narrow] = across(content, [0.52, 0.48], gutter) as [Area, Area];
  const [narrowLeft, wideRight] = across(content, [0.48, 0.52], gutter) as [Area, Area];
  const [upper, lower] = down(content, [0.56, 0.44], gutter * 0.7) as [Area, Area];
  const captioned = down(content, [ch - 0.75, 0.6], 0.15) as [Area, Area];
  const caption = frame('caption', captioned[1], small, 'top', design.titleAlign === 'center' ? 'center' : 'left');
  const [headLeft, headRight] = across([cx, cy, cw, 0.6], [1, 1], gutter) as [Area, Area];
  const [underLeft, underRight] = across([cx, cy + 0.75, cw, ch - 0.75], [1, 1], gutter) as [Area, Area];
  const figure = (area: Area): Frame => frame('figure', area, body);
  const inner: Area = [cx + cw * 0.04, cy, cw * 0.92, ch];
  const [chart, besideChart] = across(content, [0.6, 0.4], gutter) as [Area, Area];
  const [beforeTable, belowPoints] = down(content, [0.34, 0.66], gutter * 0.6) as [Area, Area];
  const head: TextStyle = { ...styles.title, sizes: styles.body.sizes, color: 'accent1' };
  return [
    opening('cover', 'Cover', design.cover, styles.cover, design),
    coverWithPicture(design),
    opening('section', 'Section opener', design.section, styles.section, design),
    make('agenda', 'Agenda', [frame('body', inner, body, 'top')]),
    make('points', 'Points', texts([content])),
    make('columns', 'Two columns', texts(across(content, [1, 1], gutter))),
    make('columns-3', 'Three columns', texts(across(content, [1, 1, 1], gutter))),
    make('comparison', 'Comparison', [
      frame('head', headLeft, head, 'bottom'),
      frame('body', underLeft, body),
      frame('head2', headRight, head, 'bottom'),
      frame('body2', underRight, body),
    ]),
    make('picture-right', 'Points, picture right', [...texts([wide]), ...pictures([narrow])]),
    make('picture-left', 'Points, picture left', [...pictures([narrowLeft]), ...texts([wideRight])]),
    make('picture-top', 'Picture over points', [...pictures([upper]), ...texts([lower])]),
    bleeding(design, title, foot, make),
    make('picture', 'Picture', pictures([content])),
    make('picture-caption', 'Picture with caption', [...pictures([captioned[0]]), caption]),
    make('gallery-2', 'Two pictures', [...pictures(across(captioned[0], [1, 1], gutter * 0.6)), caption]),
    make('gallery-3', 'Three pictures', [...pictures(across(captioned[0], [1, 1, 1], gutter * 0.6)), caption]),
    make('gallery-4', 'Four pictures', [
      ...pictures(down(captioned[0], [1, 1], gutter * 0.5).flatMap((row) => across(row, [1, 1], gutter * 0.5))),
      caption,
    ]),
    fewWords(make('quotation', 'Quotation', []), design, true),
    fewWords(make('statement', 'Statement', []), design, false),
    make('big-number', 'Big number', [
      frame('big', [cx, cy, cw, ch * 0.52], styles.big, 'bottom', design.titleAlign),
      frame('body', [cx, cy + ch * 0.56, cw, ch * 0.44], body, 'top', design.titleAlign),
    ]),
    make('table', 'Table', [frame('table', content, body)]),
    make('table-points', 'Table with points', [frame('body', beforeTable, body), frame('table', belowPoints, body)]),
    make('chart', 'Chart', [frame('chart', content, small)]),
    make('chart-points', 'Chart with points', [frame('chart', chart, small), frame('body', besideChart, body)]),
    make('steps', 'Steps', [figure(content)]),
    make('cycle', 'Cycle', [figure(content)]),
    make('timeline', 'Timeline', [figure(content)]),
    make('icon-grid', 'Grid with icons', [figure(content)]),
    make('pyramid', 'Pyramid', [figure(content)]),
    make('funnel', 'Funnel', [figure(content)]),
    make('matrix', 'Two-by-two matrix', [figure(content)]),
    make('figure-text', 'Figure with text', [figure(chart), frame('body', besideChart, body)]),
    {
      ...make('key-points', 'Key points', [frame('body', [cx + 0.35, cy + 0.3, cw - 0.7, ch - 0.6], body, 'middle')]),
      marks: [...marks.content, mark('panel', content), mark('accent1', [cx, cy, 0.08, ch])],
    },
    make('sources', 'Sources', [frame('body', content, { ...body, sizes: [16, 14, 12] })]),
    opening('closing', 'Closing', design.section, styles.section, design),
    make('title-only', 'Title only', []),
  ];
}

/** A statement or a quotation, as the theme sets few words. @param said Whether it is somebody's, who is named below it. */
function fewWords(
  layout: Layout,
  { content, styles, titleAlign, words = 'plain', marks }: LayoutDesign,
  said: boolean,
): Layout {
  const [x, y, width, height] = content;
  const style: TextStyle = said ? styles.quote : { ...styles.quote, color: 'text' };
  const set = (area: Area, align: Align, color?: ColorName): readonly Frame[] => {
    const [left, top, wide, high] = area;
    const own = color === undefined ? style : { ...style, color };
    if (!said) return [frame('quote', area, own, 'middle', align)];
    const small: TextStyle = { ...styles.small, sizes: [20, 18, 16], ...(color === undefined ? {} : { color }) };
    return [
      frame('quote', [left, top, wide, high - 0.85], own, 'middle', align),
      frame('caption', [left, top + high - 0.75, wide, 0.7], small, 'top', align),
    ];
  };
  const full = said ? 1 : 0.88;
  const made = (frames: readonly Frame[], more: readonly Mark[]): Layout => ({
    ...layout,
    frames: [...layout.frames.slice(0, 1), ...frames, ...layout.frames.slice(1)],
    marks: [...marks.content, ...more],
  });
  switch (words) {
    case 'plain':
      return made(
        set(said ? [x + width * 0.06, y, width * 0.88, height] : [x, y, width, height * full], titleAlign),
        said ? [mark('accent2', [x, y + 0.35, 0.07, height - 0.7])] : [],
      );
    case 'bar':
      return made(set([x + 0.5, y + height * 0.04, width - 0.5, height * (full - 0.04)], titleAlign), [
        mark('accent1', [x, y + height * 0.1, 0.14, height * 0.7]),
      ]);
    case 'framed': {
      const rule = (at: number): Mark => mark('accent1', [x + width * 0.04, at, width * 0.92, 0.025]);
      return made(set([x + width * 0.08, y + height * 0.1, width * 0.84, height * 0.78], 'center'), [
        rule(y + height * 0.05),
        rule(y + height * 0.93),
      ]);
    }
    case 'panel':
    case 'outline': {
      const box: Area = [x, y, width, height * 0.94];
      const behind = words === 'panel' ? mark('panel', box, 'round') : mark('accent1', box, 'rect', 1.25);
      return made(set([x + 0.5, y + 0.3, width - 1, height * 0.94 - 0.6], titleAlign), [behind]);
    }
    case 'reversed': {
      const [title, ...foot] = made(set([x, y, width, height * full], titleAlign, 'ground'), []).frames;
      const tinted = (one: Frame): Frame => ({ ...one, style: { ...one.style, color: 'ground' } });
      const inner = foot.map((one) => (one.role === 'quote' ? one : tinted(one)));
      return { ...layout, ground: 'accent1', frames: [tinted(title!), ...inner], marks: [] };
    }
  }
}

function footFrames({ foot: [x, y, width], styles: { small } }: LayoutDesign): readonly Frame[] {
  const style = { ...small, sizes: [11] };
  return [
    frame('footer', [x, y, width - 3.3, FOOT_HEIGHT], style, 'middle'),
    frame('date', [x + width - 3.1, y, 2.1, FOOT_HEIGHT], style, 'middle', 'right'),
    frame('number', [x + width - 0.9, y, 0.9, FOOT_HEIGHT], style, 'middle', 'right'),
  ];
}

function opening(name: LayoutName, label: string, made: Opening, style: TextStyle, design: LayoutDesign): Layout {
  const reversed = made.ground !== 'ground' && made.ground !== 'panel';
  const tinted = (one: TextStyle, color: ColorName): TextStyle => (reversed ? { ...one, color } : one);
  const title = frame('title', made.title, tinted(style, 'ground'), 'bottom', made.align);
  const subtitle = frame('subtitle', made.subtitle, tinted(design.styles.subtitle, 'panel'), 'top', made.align);
  const foot = footFrames(design).map((one) => ({ ...one, style: tinted(one.style, 'panel') }));
  // Only a section has a number.
  const number = name === 'section' ? made.number : undefined;
  return {
    name,
    label,
    ground: made.ground,
    frames: [
      title,
      subtitle,
      ...(number === undefined ? [] : [frame('big', number.area, number.style, number.anchor, number.align)]),
      ...foot,
    ],
    marks: design.marks[name === 'cover' ? 'cover' : 'section'],
  };
}

function coverWithPicture(design: LayoutDesign): Layout {
  const { cover, pictureCover: own, styles } = design;
  const layout = opening('cover-picture', 'Cover with picture', own ?? cover, styles.cover, design);
  if (own === undefined) return besidePicture(layout, design);
  const words = layout.frames.filter(({ role }) => role === 'title' || role === 'subtitle');
  return { ...layout, marks: own.marks, frames: [...words, frame('picture', own.picture, styles.small)] };
}

/** A cover whose words keep to the left, beside a picture that runs over three edges. */
function besidePicture(layout: Layout, { styles, size = USUAL }: LayoutDesign): Layout {
  const [wide, high] = size;
  const from = wide * 0.56;
  const words = layout.frames
    .filter(({ role }) => role === 'title' || role === 'subtitle')
    .map((one): Frame => {
      const x = Math.min(one.x, inches(0.9)) as Emu;
      return { ...one, x, width: (inches(from - 0.4) - x) as Emu, align: 'left' };
    });
  return { ...layout, marks: [], frames: [...words, frame('picture', [from, 0, wide - from, high], styles.small)] };
}

function bleeding(
  design: LayoutDesign,
  title: Frame,
  foot: readonly Frame[],
  make: (name: LayoutName, label: string, frames: readonly Frame[]) => Layout,
): Layout {
  const [cx, cy, , ch] = design.content;
  const [tx] = design.title;
  const beside = design.title[0] + design.title[2] < cx + 0.1;
  const [wide, high] = design.size ?? USUAL;
  const from = wide * (beside ? 0.68 : 0.54);
  const head: Frame = {
    ...title,
    width: inches(beside ? design.title[2] : from - 0.4 - tx),
  };
  const body: Area = [cx, cy, from - 0.4 - cx, ch];
  const last = { x: inches(from - 0.4) - inches(1), width: inches(0.9) };
  const number = foot.filter(({ role }) => role === 'number').map((one) => ({ ...one, ...last }) as Frame);
  const picture = frame('picture', [from, 0, wide - from, high], design.styles.small);
  const frames = [head, frame('body', body, design.styles.body), picture, ...number];
  return { ...make('picture-bleed', 'Picture over the edge', []), frames };
}
