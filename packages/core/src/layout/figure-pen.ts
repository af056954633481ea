/** Draws within a figure's frame: shapes in the theme's accents, and places for text. All lengths in EMU. */
import { emu, inches } from '../base/index.ts';
import {
  inkOn,
  isPointing,
  middleOf,
  mirroredRect,
  opposite,
  type ColorName,
  type Frame,
  type Geometry,
  type Rect,
  type Side,
  type TextStyle,
  type Theme,
} from '../theme/index.ts';
import type { FigureItem } from './figure-items.ts';
import type { ConnectorBox, ConnectorEnd, IconBox, Para, ShapeBox } from './page.ts';

/** Text that must fit a place, whatever shapes stand behind it. */
export interface Words {
  readonly frame: Frame;
  readonly paras: readonly Para[];
  /** It is set larger than the rest, on one line: a number. */
  readonly large?: true;
  readonly item?: number | undefined;
}

interface Card {
  readonly shapes: readonly ShapeBox[];
  readonly inside: Rect;
  readonly text: ColorName;
  readonly mark: ColorName;
}

const ACCENTS: readonly ColorName[] = ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6'];

export class Pen {
  readonly frame: Frame;
  readonly theme: Theme;
  readonly #blank: ShapeBox | undefined;
  #item: number | undefined;

  /** @param draws Whether its shapes are wanted, or only where text stands: most drafts are made to be measured. */
  constructor(frame: Frame, theme: Theme, draws = true) {
    this.frame = frame;
    this.theme = theme;
    this.#blank = draws ? undefined : shapeIn(frame);
  }

  /** What is drawn from here on belongs to an item; what is drawn before the first belongs to all. */
  begin(item: number): void {
    this.#item = item;
  }

  get #of(): { readonly item?: number } {
    return this.#item === undefined ? {} : { item: this.#item };
  }

  /** Figures are drawn from the left, and mirrored as a whole where the deck begins at the right. */
  #placed(rect: Rect): Rect {
    return this.theme.mirrored ? mirroredRect(rect, this.frame) : rect;
  }

  /** Columns of the frame, as many as there are parts, with a gap between them. */
  columns(count: number, gap: number): readonly Rect[] {
    const { x, y, width, height } = this.frame;
    const each = (width - gap * (count - 1)) / count;
    return Array.from({ length: count }, (_, i) => rectOf(x + i * (each + gap), y, each, height));
  }

  /** In figures of many parts one accent is calmer than six. */
  accent(i: number, many: boolean): ColorName {
    return many ? 'accent1' : ACCENTS[i % ACCENTS.length]!;
  }

  /** The colour of words on a shape. */
  on(fill: ColorName): ColorName {
    return inkOn(this.theme.palette, [fill]);
  }

  /**
   * A card, as the theme makes them: its shapes, the room inside of it, and the colours that are read there.
   * @param follows Whether one stands before it. @param stacked Above it, not beside it.
   */
  cardAt(place: Rect, accent: ColorName, follows: boolean, stacked = false): Card {
    const pad = inches(0.25);
    const line = inches(0.06);
    const hair = inches(0.01);
    const inside = within(place, pad);
    const plain = { inside, text: 'text', mark: accent } as const;
    switch (this.theme.cards) {
      case 'panel':
        return { ...plain, shapes: [this.shape(this.card, place, 'panel')] };
      case 'solid':
        return { shapes: [this.shape(this.card, place, accent)], inside, text: this.on(accent), mark: this.on(accent) };
      case 'outline':
        return { ...plain, shapes: [this.shape(this.card, place, null, { line: { color: accent, width: 1.5 } })] };
      case 'rule': {
        const above = this.shape('rect', rectOf(place.x, place.y, place.width, line * 1.5), accent);
        if (stacked) {
          const under = rectOf(place.x, place.y + line, place.width, place.height - line);
          return { ...plain, shapes: [above], inside: under };
        }
        return {
          ...plain,
          shapes: [
            above,
            this.shape('rect', rectOf(place.x, place.y + place.height - hair, place.width, hair), 'muted'),
          ],
          inside: rectOf(place.x, place.y + line + pad, place.width - pad / 2, place.height - line - pad),
        };
      }
      case 'edge':
        return {
          ...plain,
          shapes: [this.shape('rect', rectOf(place.x, place.y, line, place.height), accent)],
          inside: rectOf(place.x + line + pad * 0.8, place.y, place.width - line - pad * 0.8, place.height),
        };
      case 'column': {
        const fine = inches(0.015);
        const rule = stacked
          ? rectOf(place.x, place.y, place.width, fine)
          : rectOf(place.x - pad, place.y, fine, place.height);
        return { ...plain, shapes: follows ? [this.shape('rect', rule, 'muted')] : [], inside: place };
      }
    }
  }

  get card(): Geometry {
    return this.theme.corners === 'round' ? 'round' : 'rect';
  }

  shape(geometry: Geometry, rect: Rect, fill: ColorName | null, more: Partial<ShapeBox> = {}): ShapeBox {
    if (this.#blank !== undefined) return this.#blank;
    const shape: ShapeBox = { ...shapeIn(this.frame), geometry, rect: this.#placed(rect), fill, ...more, ...this.#of };
    return this.theme.mirrored && isPointing(geometry)
      ? { ...shape, mirrored: true, turned: (360 - shape.turned) % 360 }
      : shape;
  }

  icon(item: FigureItem, rect: Rect, color: ColorName): readonly IconBox[] {
    return item.icon === undefined || item.part === null
      ? []
      : [
          {
            kind: 'icon',
            frame: this.frame,
            part: item.part,
            icon: item.icon,
            rect: this.#placed(rect),
            color,
            ...this.#of,
          },
        ];
  }

  words(rect: Rect, paras: readonly Para[], style: Partial<TextStyle> & Pick<Frame, 'anchor' | 'align'>): Words {
    const { anchor, align, ...rest } = style;
    // A template's own colour is for its ground, not for shapes.
    const { paint: _, ...own } = this.frame.style;
    const base: TextStyle = { ...own, color: 'text', font: 'body', bold: false, lineSpacing: 1, ...rest };
    return {
      frame: {
        ...this.frame,
        ...this.#placed(rect),
        anchor,
        align: this.theme.mirrored ? opposite(align) : align,
        style: base,
      },
      paras,
      ...this.#of,
    };
  }

  /** A line between the middles of two sides of what items stand on. */
  connect(
    [item, place, side]: readonly [item: number, place: Rect, side: Side],
    [next, beside, end]: readonly [item: number, place: Rect, side: Side],
    { width = 1.5, arrow = false }: Partial<Pick<ConnectorBox, 'width' | 'arrow'>> = {},
  ): ConnectorBox {
    const at = (of: number, rect: Rect, where: Side): ConnectorEnd => {
      const placed = this.#placed(rect);
      const on = this.theme.mirrored ? MIRRORED[where] : where;
      return { item: of, side: on, ...middleOf(placed, on) };
    };
    return {
      kind: 'connector',
      frame: this.frame,
      from: at(item, place, side),
      to: at(next, beside, end),
      color: 'muted',
      width,
      arrow,
    };
  }
}

const MIRRORED: Readonly<Record<Side, Side>> = { top: 'top', right: 'left', bottom: 'bottom', left: 'right' };

const shapeIn = (frame: Frame): ShapeBox => ({
  kind: 'shape',
  frame,
  geometry: 'rect',
  rect: frame,
  fill: null,
  line: null,
  turned: 0,
  inset: 0,
  upsideDown: false,
});

export const rectOf = (x: number, y: number, width: number, height: number): Rect => ({
  x: emu(x),
  y: emu(y),
  width: emu(Math.max(1, width)),
  height: emu(Math.max(1, height)),
});
export const within = ({ x, y, width, height }: Rect, dx: number, dy = dx): Rect =>
  rectOf(x + dx, y + dy, width - 2 * dx, height - 2 * dy);
