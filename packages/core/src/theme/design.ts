/** What a designer decides for a theme: grid, type, marks and palettes; a look dresses it. */
import type { LayoutDesign } from './build-layouts.ts';
import type { ColorName, NamedPalette } from './palette.ts';
import type { ChartHand, LevelStyle, StepsKind, TextStyle, Theme, ThemeHand, TimelineKind } from './theme.ts';

export interface ThemeDesign {
  readonly name: string;
  readonly label: string;
  /** One sentence on its character. */
  readonly character: string;
  /** How it is seen first; every theme has both. */
  readonly dark: boolean;
  /** Name of its own font pair. */
  readonly fonts: string;
  /** Four or more; the first is its own. */
  readonly palettes: readonly NamedPalette[];
  readonly levels: Theme['levels'];
  readonly table: Theme['table'];
  readonly cards: Theme['cards'];
  readonly corners: Theme['corners'];
  readonly hand: ThemeHand;
  readonly layout: LayoutDesign;
}

export const style = (
  font: TextStyle['font'],
  sizes: readonly number[],
  color: ColorName,
  more: Partial<TextStyle> = {},
): TextStyle => ({ font, sizes, color, bold: false, lineSpacing: 1, ...more });

export const hand = (steps: StepsKind, timeline: TimelineKind, chart: ChartHand): ThemeHand => ({
  steps,
  timeline,
  chart,
});

/** @param bullets One character a level, repeated where there are fewer. */
export function pointLevels(bullets: string, bulletColor: ColorName, indent = 18): Theme['levels'] {
  const marks = [...bullets];
  return [1, 0.9, 0.9, 0.9, 0.9].map((scale, i): LevelStyle => ({
    scale,
    color: 'text',
    bullet: marks[i % marks.length]!,
    bulletColor,
    indent: indent + i * 20,
    hanging: Math.min(indent, 24),
    spaceBefore: i === 0 ? 0.32 : 0.14,
  })) as unknown as Theme['levels'];
}

/** Sizes of points from which a deck has one, and the next below it (a modular scale, never below 18). */
export const TYPE_SCALE = [32, 28, 24, 20, 18] as const;
/** A size of the scale and the step below it, beyond which text goes on on another slide. */
export const steppedOnce = (size: number): readonly number[] => {
  const below = TYPE_SCALE.find((step) => step < size - 1);
  return below === undefined ? [size] : [size, below];
};
export const BODY_SIZES = steppedOnce(24);
export const TABLE_SIZES = [20, 18, 16, 14];
