/** What designs of themes are made of. */
import type { Area, LayoutDesign, Opening, OpeningNumber } from '../build-layouts.ts';
import { style } from '../design.ts';
import type { ColorName, NamedPalette, Paper, Scheme } from '../palette.ts';
import type { Align } from '../look.ts';
import type { TextStyle } from '../theme.ts';

export const palette = (
  name: string,
  label: string,
  paper: Paper,
  scheme: Scheme,
  ...colors: string[]
): NamedPalette => ({
  name,
  label,
  paper,
  scheme,
  colors,
});

/** Type of a theme by its own sizes; what a theme does not say is as usual. */
export function type(
  title: TextStyle,
  body: TextStyle,
  cover: readonly number[],
  section: readonly number[],
  more: Partial<LayoutDesign['styles']> = {},
): LayoutDesign['styles'] {
  return {
    title,
    body,
    cover: { ...title, sizes: cover },
    section: { ...title, sizes: section },
    subtitle: style('body', [22, 20, 18], 'muted'),
    quote: style('heading', [48, 42, 36, 32, 28, 24], 'accent1', { lineSpacing: 1.05 }),
    big: style('heading', [150, 120, 96, 72, 54], 'accent1', { bold: true, lineSpacing: 0.9 }),
    small: style('body', [16, 14, 12], 'muted'),
    ...more,
  };
}

export const opening = (title: Area, subtitle: Area, ground: ColorName, align: Align = 'left'): Opening => ({
  title,
  subtitle,
  ground,
  align,
});

/** A section opener with its number. @param sizes Points; the first that fits. */
export const numbered = (
  made: Opening,
  area: Area,
  color: ColorName,
  sizes: readonly number[],
  set: NumberSet = {},
): Opening => ({
  ...made,
  number: {
    area,
    style: style('heading', sizes, color, { bold: true, lineSpacing: 0.9 }),
    align: set.align ?? 'left',
    anchor: set.anchor ?? 'bottom',
  },
});
type NumberSet = Partial<Pick<OpeningNumber, 'align' | 'anchor'>>;
