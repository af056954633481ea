/** What looks are made of, as schemas. */
import {
  CHART_KINDS,
  COLOR_NAMES,
  FOOT_PLACES,
  LAYOUT_NAMES,
  PAPERS,
  PICTURE_FILTERS,
  SCHEMES,
  type ChartSeries,
  type ChartSettings as ChartSettingsType,
  type Foot as FootType,
  type Icon as IconType,
  type PaletteChoice as PaletteChoiceType,
  type PictureDress as PictureDressType,
  type TemplateUse as TemplateUseType,
  type TextRule as TextRuleType,
} from '@alvex/core';
import { Type, type TSchema } from '@sinclair/typebox';
import { closed, Hash, list, literals, object, oneOf, only, optional, orNull, Picture } from './parts.ts';

const Words = Type.String({ maxLength: 400 });
type Palette<F extends PaletteChoiceType['from']> = Extract<PaletteChoiceType, { readonly from: F }>;
export const PaletteChoice = oneOf<PaletteChoiceType>(
  [
    object<Palette<'theme'>>({ from: only('theme'), name: Type.String({ maxLength: 100 }) }),
    object<Palette<'colors'>>({
      from: only('colors'),
      colors: list(Type.String({ pattern: '^[0-9A-Fa-f]{6}$' }), 6, 1),
      scheme: literals(SCHEMES),
      paper: literals(PAPERS),
    }),
  ],
  'from',
);
export const Dark = orNull(Type.Boolean());
export const LayoutName = literals(LAYOUT_NAMES);

const Share = Type.Number({ minimum: 0, maximum: 1 });
const Tone = Type.Number({ minimum: -1, maximum: 1 });
const Edge = Type.Number({ minimum: 0, maximum: 0.45 });
export const PictureDress = object<PictureDressType>({
  as: literals(['fit', 'fill']),
  focus: Type.Tuple([Share, Share]),
  crop: Type.Tuple([Edge, Edge, Edge, Edge]),
  filter: literals(PICTURE_FILTERS),
  corners: literals(['square', 'round']),
  brightness: Tone,
  contrast: Tone,
});

const Values = list(orNull(Type.Number()), 200);
const Series = object<ChartSeries>({ name: Words, values: Values, across: optional(Values) });
export const ChartSettings = object<ChartSettingsType>({
  kind: literals(CHART_KINDS),
  title: orNull(Words),
  acrossTitle: orNull(Words),
  upTitle: orNull(Words),
  legend: literals(['none', 'bottom', 'right']),
  labels: Type.Boolean(),
  grid: Type.Boolean(),
  colors: list(Type.Integer({ minimum: 1, maximum: 6 }), 60),
  data: orNull(
    object<NonNullable<ChartSettingsType['data']>>({
      categories: list(Words, 200, 1),
      series: list(Series, 20, 1),
      of: optional(Words),
    }),
  ),
});

export const TextRule = object<TextRuleType>({
  font: optional(literals(['heading', 'body', 'mono'])),
  size: optional(Type.Number({ minimum: 8, maximum: 120 })),
  bold: optional(Type.Boolean()),
  color: optional(literals(COLOR_NAMES)),
  caps: optional(Type.Boolean()),
  align: optional(literals(['left', 'center', 'right'])),
  space: optional(Type.Number({ minimum: 0, maximum: 72 })),
});

const On = list(literals(FOOT_PLACES), 3);
export const Foot = object<FootType>({
  number: On,
  footer: object<FootType['footer']>({ text: Words, on: On }),
  date: object<FootType['date']>({ text: Words, on: On, live: optional(Type.Boolean()) }),
  logo: orNull(object<NonNullable<FootType['logo']>>({ picture: Picture, alt: Words, on: On })),
});

const parts: Record<string, TSchema> = Object.fromEntries(
  LAYOUT_NAMES.map((name) => [name, Type.Optional(Type.String({ maxLength: 300 }))]),
);
export const TemplateUse = object<TemplateUseType>({
  hash: Hash,
  fileName: Type.String({ minLength: 1, maxLength: 255 }),
  layouts: Type.Unsafe<TemplateUseType['layouts']>(Type.Object(parts, closed)),
  keep: literals(['none', 'before', 'after']),
  behind: Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
  replaces: Type.Optional(Type.String({ maxLength: 255 })),
});

export const Icon = object<IconType>({
  name: Type.String({ maxLength: 100 }),
  paths: list(Type.String({ maxLength: 4000, pattern: '^[-MmLlHhVvCcSsQqTtAaZz0-9., ]+$' }), 60, 1),
});
