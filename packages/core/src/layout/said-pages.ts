/** Pages of few words: two sides, a quotation, a number. */
import { inches } from '../base/index.ts';
import type { Runs } from '../content/index.ts';
import type { Point, PointLevel } from '../deck/index.ts';
import { frameIn } from '../theme/index.ts';
import { parasOf, type Draft, type LayoutOptions, type TextContent } from './draft.ts';
import { bigNumber, labelled, quoted } from './figure-items.ts';
import { Pen, rectOf } from './figure-pen.ts';
import { inFrames, one, plainPara, type Filled, type Taken } from './in-frames.ts';
import type { Para } from './page.ts';

const higher = (point: Point): Point => ({ ...point, level: Math.max(1, point.level - 1) as PointLevel });

/** Two points with what stands below each. */
export function comparison(texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const heads = texts.flatMap((part, i) => (part.kind === 'point' && part.level === 1 ? [i] : []));
  if (heads.length !== 2 || heads[0] !== 0) return undefined;
  const at = heads[1]!;
  if (texts.length === 2) return labelledSides(texts, options);
  const side = (parts: readonly TextContent[]): readonly [readonly Para[], readonly Para[]] => [
    parts.slice(0, 1).map(plainPara),
    parasOf(parts.slice(1).map((part) => (part.kind === 'point' ? higher(part) : part))),
  ];
  const [head, body] = side(texts.slice(0, at));
  const [head2, body2] = side(texts.slice(at));
  if (body.length === 0 || body2.length === 0) return undefined;
  const filled: readonly Filled[] = [
    ['head', head],
    ['body', body],
    ['head2', head2],
    ['body2', body2],
  ];
  return one(sided(inFrames('comparison', filled, options), options), texts);
}

/** Of the room; a line is as tall as the text beside it needs, and no shorter. */
const LEAST_SIDE = 0.6;

/** A line in the theme's accents down each of two sides. */
function sided(page: Draft | undefined, { theme }: LayoutOptions): Draft | undefined {
  if (page === undefined) return undefined;
  const texts = page.boxes.filter((box) => box.kind === 'text');
  const ends = texts.map(({ paragraphs }) => paragraphs.at(-1)?.lines.at(-1)?.baseline ?? 0);
  const lines = SIDES.map(([head, body], i) => {
    const top = frameIn(theme, 'comparison', head);
    const below = frameIn(theme, 'comparison', body);
    const height = Math.max((below.y + below.height - top.y) * LEAST_SIDE, Math.max(...ends) + inches(0.1) - top.y);
    const pen = new Pen(top, theme);
    return pen.shape('rect', rectOf(top.x - inches(0.2), top.y, inches(0.06), height), pen.accent(i, false));
  });
  return { ...page, boxes: [...lines, ...page.boxes] };
}
const SIDES = [
  ['head', 'body'],
  ['head2', 'body2'],
] as const;

/** Two points that each say first of what they speak: `Before: …`, `After: …`. */
function labelledSides(texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const sides = texts.map((part) => ({ part, found: labelled(part.runs) }));
  const filled = sides.flatMap(({ part: { id }, found }, i): readonly Filled[] => {
    if (found === undefined) return [];
    const para = (runs: Runs): Para => ({ part: id, style: 'plain', level: 1, runs });
    return [
      [i === 0 ? 'head' : 'head2', [para(found.label)]],
      [i === 0 ? 'body' : 'body2', [para(found.rest)]],
    ];
  });
  return filled.length < 4 ? undefined : one(sided(inFrames('comparison', filled, options), options), texts);
}

/** One long sentence, as said by somebody. */
export function quotation(texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const [first, second] = texts;
  if (first === undefined || texts.length > 2) return undefined;
  const { quote, source } = quoted(first.runs);
  const who: readonly Para[] =
    second !== undefined
      ? [plainPara(second)]
      : source.length > 0
        ? [{ part: first.id, style: 'plain', level: 1, runs: source }]
        : [];
  const said: Para = { part: first.id, style: 'plain', level: 1, runs: second === undefined ? quote : first.runs };
  return one(
    inFrames(
      'quotation',
      [
        ['quote', [said]],
        ['caption', who],
      ],
      options,
    ),
    texts,
  );
}

/** A number set large, with what is said of it below. */
export function big(texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const [first, ...others] = texts;
  const found = first === undefined ? undefined : bigNumber(first.runs);
  if (first === undefined || found === undefined || texts.length > 4) return undefined;
  const { big: number, rest } = found;
  const below: readonly Para[] = [
    ...(rest.length === 0 ? [] : [{ part: first.id, style: 'plain' as const, level: 1, runs: rest }]),
    ...parasOf(others),
  ];
  const shown: Para = { part: first.id, style: 'plain', level: 1, runs: number };
  return one(
    inFrames(
      'big-number',
      [
        ['big', [shown]],
        ['body', below],
      ],
      options,
    ),
    texts,
  );
}
