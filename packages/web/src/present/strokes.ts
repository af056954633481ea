/** What the speaker draws over a slide: each stroke goes by itself a while after it was made. */

/** In shares of the slide's width and height. */
export type Place = readonly [x: number, y: number];

export interface Stroke {
  readonly id: number;
  readonly points: readonly Place[];
  /** It is made, and on its way out. */
  readonly lifted: boolean;
}
/** What happens to strokes, in the speaker's window and so in the audience's. */
export type Drawn =
  | { readonly says: 'draw'; readonly stroke: number; readonly at: Place }
  | { readonly says: 'lift'; readonly stroke: number };

/** Milliseconds for which a stroke stays, the last of them going. */
export const STAYS = 4000;
export const GOES = 600;

/** Nearer than that nobody sees a difference. */
const NEAR = 0.001;

export function withDrawn(strokes: readonly Stroke[], drawn: Drawn): readonly Stroke[] {
  const before = strokes.find(({ id }) => id === drawn.stroke);
  const others = strokes.filter((one) => one !== before);
  if (drawn.says === 'lift') return before === undefined ? strokes : [...others, { ...before, lifted: true }];
  if (before === undefined) return [...others, { id: drawn.stroke, points: [drawn.at], lifted: false }];
  const [x, y] = before.points.at(-1)!;
  const still = Math.hypot(x - drawn.at[0], y - drawn.at[1]) < NEAR;
  return still || before.lifted ? strokes : [...others, { ...before, points: [...before.points, drawn.at] }];
}

/** SVG path data; one point alone is a dot. */
export const pathOf = ({ points }: Stroke): string =>
  `M${[...points, ...(points.length === 1 ? points : [])].map((at) => at.map((one) => one.toFixed(4)).join(' ')).join('L')}`;
