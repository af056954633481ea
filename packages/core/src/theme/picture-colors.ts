/**
 * Finds the colours that a logo or a picture is made of: k-means in OKLab (Lloyd, "Least squares quantization in PCM",
 * 1982), started from the fullest cells of a coarse grid, so that the same pixels always give the same colours.
 */
import chroma from 'chroma-js';
import { hexOf, lchOf, type Hex } from './color.ts';

type Lab = readonly [number, number, number];

const MOST = 6;
const ROUNDS = 8;
const MOST_SAMPLES = 4096;
/** Nearer than this two colours are one. */
const ALIKE = 0.08;
/** Below this chroma a colour is a grey, of which no palette is made while there is another. */
const GREY = 0.035;

/**
 * @param pixels Red, green, blue, alpha of each pixel, 0 to 255.
 * @returns Up to six colours, the most telling first; none for a picture that is transparent throughout.
 */
export function pictureColors(pixels: Uint8ClampedArray | Uint8Array): readonly Hex[] {
  const samples = sample(pixels);
  const clusters = cluster(samples);
  const colors = clusters
    .map(({ center, count }) => {
      const hex = hexOf(
        lchOf(
          chroma
            .oklab(...center)
            .hex('rgb')
            .slice(1),
        ),
      );
      const { c } = lchOf(hex);
      return { hex, center, grey: c < GREY, weight: (count / samples.length) ** 0.7 * (c + 0.01) };
    })
    .sort((a, b) => Number(a.grey) - Number(b.grey) || b.weight - a.weight || a.hex.localeCompare(b.hex));
  const kept: typeof colors = [];
  for (const color of colors)
    if (!(color.grey && kept.length > 0) && kept.every((other) => distance(other.center, color.center) > ALIKE))
      kept.push(color);
  return kept.slice(0, MOST).map(({ hex }) => hex);
}

function sample(pixels: Uint8ClampedArray | Uint8Array): readonly Lab[] {
  const count = pixels.length / 4;
  const step = Math.max(1, Math.floor(count / MOST_SAMPLES));
  const samples: Lab[] = [];
  for (let i = 0; i < count; i += step) {
    const at = i * 4;
    if (pixels[at + 3]! < 128) continue;
    samples.push(chroma.rgb(pixels[at]!, pixels[at + 1]!, pixels[at + 2]!).oklab());
  }
  return samples;
}

const distance = (a: Lab, b: Lab): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

function cluster(samples: readonly Lab[]): readonly { readonly center: Lab; readonly count: number }[] {
  const cells = new Map<string, { sum: [number, number, number]; count: number }>();
  for (const [l, a, b] of samples) {
    const key = `${Math.round(l * 6)} ${Math.round(a * 16)} ${Math.round(b * 16)}`;
    const cell = cells.get(key) ?? { sum: [0, 0, 0], count: 0 };
    cell.sum = [cell.sum[0] + l, cell.sum[1] + a, cell.sum[2] + b];
    cell.count++;
    cells.set(key, cell);
  }
  let centers = [...cells]
    .sort(([ka, a], [kb, b]) => b.count - a.count || ka.localeCompare(kb))
    .slice(0, MOST * 3)
    .map(([, { sum, count }]): Lab => [sum[0] / count, sum[1] / count, sum[2] / count]);
  let counts = centers.map(() => 0);
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centers.map((): [number, number, number] => [0, 0, 0]);
    counts = centers.map(() => 0);
    for (const one of samples) {
      let best = 0;
      for (let k = 1; k < centers.length; k++) if (distance(one, centers[k]!) < distance(one, centers[best]!)) best = k;
      const sum = sums[best]!;
      for (const axis of [0, 1, 2] as const) sum[axis] += one[axis];
      counts[best]!++;
    }
    centers = centers.map((center, k): Lab => {
      const n = counts[k]!;
      return n === 0 ? center : [sums[k]![0] / n, sums[k]![1] / n, sums[k]![2] / n];
    });
  }
  return centers.map((center, k) => ({ center, count: counts[k]! })).filter(({ count }) => count > 0);
}
