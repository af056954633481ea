/** What the library's scenes are drawn with: shapes as SVG, in the inks of a palette. */
import type { Palette } from '../theme/index.ts';

export interface Ink {
  readonly sky: string;
  readonly far: string;
  readonly a: string;
  readonly b: string;
  readonly c: string;
  readonly dark: string;
  readonly pale: string;
}
export type Draw = (ink: Ink) => string;

export const rect = (x: number, y: number, w: number, h: number, fill: string, r = 0): string =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" rx="${r}" fill="${fill}"/>`;
export const disc = (x: number, y: number, r: number, fill: string): string =>
  `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}"/>`;
export const poly = (points: string, fill: string): string => `<polygon points="${points}" fill="${fill}"/>`;
export const path = (d: string, fill: string): string => `<path d="${d}" fill="${fill}"/>`;
export const line = (d: string, stroke: string, width: number): string =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"/>`;
export const times = (n: number, draw: (i: number) => string): string =>
  Array.from({ length: n }, (_, i) => draw(i)).join('');
export const turned = (angle: number, x: number, y: number, inner: string): string =>
  `<g transform="rotate(${angle} ${x} ${y})">${inner}</g>`;

export const waves = (y: number, color: string): string => {
  const crests = times(9, (i) => `Q${i * 200 - 50} ${y - 45} ${i * 200 + 50} ${y}T${i * 200 + 150} ${y}`);
  return path(`M-150 ${y}${crests}V1000H-150Z`, color);
};
export const hills = (y: number, color: string, shift = 0): string =>
  path(`M-100 1000V${y + 90}Q${250 + shift} ${y - 120} ${700 + shift} ${y + 60}T1700 ${y}V1000Z`, color);
export const tree = (x: number, y: number, size: number, leaf: string, trunk: string): string =>
  rect(x - size * 0.06, y - size * 0.4, size * 0.12, size * 0.4, trunk) + disc(x, y - size * 0.65, size * 0.34, leaf);
export const house = (x: number, y: number, w: number, h: number, wall: string, roof: string, glass: string): string =>
  rect(x, y, w, h, wall) +
  poly(`${x - w * 0.08},${y} ${x + w / 2},${y - h * 0.55} ${x + w * 1.08},${y}`, roof) +
  rect(x + w * 0.18, y + h * 0.25, w * 0.2, h * 0.28, glass) +
  rect(x + w * 0.6, y + h * 0.25, w * 0.2, h * 0.28, glass);
export const person = (x: number, y: number, size: number, color: string): string =>
  disc(x, y - size * 0.8, size * 0.2, color) +
  path(`M${x - size * 0.34} ${y}V${y - size * 0.28}a${size * 0.34} ${size * 0.34} 0 0 1 ${size * 0.68} 0V${y}Z`, color);
export const gear = (x: number, y: number, r: number, fill: string, hole: string): string =>
  times(10, (i) => turned(i * 36, x, y, rect(x - r * 0.14, y - r * 1.18, r * 0.28, r * 0.4, fill))) +
  disc(x, y, r, fill) +
  disc(x, y, r * 0.38, hole);

export const inkOf = (p: Palette): Ink => ({
  sky: `#${p.panel}`,
  far: mixed(p.panel, p.accent1, 0.28),
  a: `#${p.accent1}`,
  b: `#${p.accent2}`,
  c: `#${p.accent3}`,
  dark: `#${p.text}`,
  pale: `#${p.ground}`,
});

/** Between two colours, part of the way. */
function mixed(from: string, to: string, part: number): string {
  const channel = (i: number): string => {
    const [a, b] = [from, to].map((hex) => parseInt(hex.slice(i * 2, i * 2 + 2), 16)) as [number, number];
    return Math.round(a + (b - a) * part)
      .toString(16)
      .padStart(2, '0');
  };
  return `#${channel(0)}${channel(1)}${channel(2)}`;
}
