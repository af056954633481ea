/** Edits of the look, as schemas. */
import {
  CHART_KINDS,
  COLOR_NAMES,
  FOOT_PLACES,
  LAYOUT_NAMES,
  PAPERS,
  PICTURE_FILTERS,
  RULED_ROLES,
  SCHEMES,
} from '@alvex/core';
import { Type, type TSchema } from '@sinclair/typebox';
import { closed, entry, Id, Ids, literals, Nullable, oneOf, orNull, Picture, PictureHash } from './schema-parts.ts';

const Hex = Type.String({ pattern: '^[0-9A-Fa-f]{6}$' });
const PaletteChoice = oneOf(
  [
    Type.Object({ from: Type.Literal('theme'), name: Type.String({ maxLength: 100 }) }, closed),
    Type.Object(
      {
        from: Type.Literal('colors'),
        colors: Type.Array(Hex, { minItems: 1, maxItems: 6 }),
        scheme: literals(SCHEMES),
        paper: literals(PAPERS),
      },
      closed,
    ),
  ],
  'from',
);
const Dark = Type.Union([Type.Boolean(), Type.Null()]);
const Share = Type.Number({ minimum: 0, maximum: 1 });
const Tone = Type.Number({ minimum: -1, maximum: 1 });
const Words = Type.String({ maxLength: 400 });
const On = Type.Array(literals(FOOT_PLACES), { maxItems: 3 });
const Alt = orNull(Type.String({ maxLength: 10_000 }));
const PictureDress = Type.Object(
  {
    as: literals(['fit', 'fill'] as const),
    focus: Type.Tuple([Share, Share]),
    crop: Type.Tuple(Array.from({ length: 4 }, () => Type.Number({ minimum: 0, maximum: 0.45 })) as never),
    filter: literals(PICTURE_FILTERS),
    corners: literals(['square', 'round'] as const),
    brightness: Tone,
    contrast: Tone,
  },
  closed,
);
const Values = Type.Array(orNull(Type.Number()), { maxItems: 200 });
const ChartSettings = Type.Object(
  {
    kind: literals(CHART_KINDS),
    title: orNull(Words),
    acrossTitle: orNull(Words),
    upTitle: orNull(Words),
    legend: literals(['none', 'bottom', 'right'] as const),
    labels: Type.Boolean(),
    grid: Type.Boolean(),
    colors: Type.Array(Type.Integer({ minimum: 1, maximum: 6 }), { maxItems: 60 }),
    data: orNull(
      Type.Object(
        {
          categories: Type.Array(Words, { minItems: 1, maxItems: 200 }),
          series: Type.Array(Type.Object({ name: Words, values: Values, across: Type.Optional(Values) }, closed), {
            minItems: 1,
            maxItems: 20,
          }),
        },
        closed,
      ),
    ),
  },
  closed,
);

export const LOOK_EDITS: readonly TSchema[] = [
  entry('theme', { theme: Type.String({ maxLength: 100 }) }),
  entry('palette', { palette: orNull(PaletteChoice) }),
  entry('mode', { dark: Dark }),
  entry('fonts', { pair: orNull(Type.String({ maxLength: 100 })) }),
  entry('type', {
    role: literals(RULED_ROLES),
    rule: orNull(
      Type.Object(
        {
          font: Type.Optional(literals(['heading', 'body', 'mono'] as const)),
          size: Type.Optional(Type.Number({ minimum: 8, maximum: 120 })),
          bold: Type.Optional(Type.Boolean()),
          color: Type.Optional(literals(COLOR_NAMES)),
          caps: Type.Optional(Type.Boolean()),
          align: Type.Optional(literals(['left', 'center', 'right'] as const)),
        },
        closed,
      ),
    ),
  }),
  entry('foot', {
    foot: Type.Object(
      {
        number: On,
        footer: Type.Object({ text: Words, on: On }, closed),
        date: Type.Object({ text: Words, on: On }, closed),
        logo: orNull(Type.Object({ picture: Picture, alt: Words, on: On }, closed)),
      },
      closed,
    ),
  }),
  entry('template', {
    template: orNull(
      Type.Object(
        {
          hash: PictureHash,
          fileName: Type.String({ minLength: 1, maxLength: 255 }),
          layouts: Type.Object(
            Object.fromEntries(LAYOUT_NAMES.map((name) => [name, Type.Optional(Type.String({ maxLength: 300 }))])),
            closed,
          ),
          keep: literals(['none', 'before', 'after'] as const),
        },
        closed,
      ),
    ),
  }),
  entry('arrange', {
    layouts: Type.Array(Type.Object({ slide: Id, layout: literals(LAYOUT_NAMES) }, closed), { maxItems: 20_000 }),
  }),
  entry('layout', { slides: Ids, layout: orNull(literals(LAYOUT_NAMES)) }),
  entry('colors', { slides: Ids, palette: orNull(PaletteChoice), dark: Dark }),
  entry('icon', {
    part: Id,
    icon: orNull(
      Type.Object(
        {
          name: Type.String({ maxLength: 100 }),
          paths: Type.Array(Type.String({ maxLength: 4000, pattern: '^[-MmLlHhVvCcSsQqTtAaZz0-9., ]+$' }), {
            minItems: 1,
            maxItems: 60,
          }),
        },
        closed,
      ),
    ),
  }),
  entry('chart', { part: Id, chart: orNull(ChartSettings) }),
  entry('frame', { part: Id, dress: orNull(PictureDress) }),
  entry('replace', { part: Id, picture: Picture, alt: Alt }),
  entry('place', { slide: Id, part: Id, after: Nullable, picture: Picture, alt: Alt }),
  entry('alt', { part: Id, alt: Type.String({ maxLength: 10_000 }) }),
  entry('drop', { part: Id }),
];
