/** Outlines of shapes: formulas and paths of DrawingML (ECMA-376-1 §20.1.9), as SVG path data. */
import { nodeAt, nodesNamed, type XmlNode } from '../../container/index.ts';

/** A definition as the standard has it: names with their formulas, and paths over them. */
export interface Outline {
  readonly adjustments: readonly Guide[];
  readonly guides: readonly Guide[];
  readonly paths: readonly OutlinePath[];
}
export type Guide = readonly [name: string, formula: string];
export interface OutlinePath {
  /** Lengths that its points are in; those of the shape without. */
  readonly width?: number;
  readonly height?: number;
  readonly filled: boolean;
  readonly stroked: boolean;
  /** Letters as in SVG; arcs have radii and angles (§20.1.9.2): `A wR hR start swing`. */
  readonly steps: readonly (readonly [step: Step, ...values: readonly string[]])[];
}
type Step = 'M' | 'L' | 'C' | 'Q' | 'A' | 'Z';

const TURN = 21_600_000; // sixty-thousandths of a degree
const radians = (angle: number): number => (angle / TURN) * 2 * Math.PI;
const angleOf = (y: number, x: number): number => (Math.atan2(y, x) / (2 * Math.PI)) * TURN;

/** Operators of §20.1.9.11. */
const OPERATORS: Readonly<Record<string, (x: number, y: number, z: number) => number>> = {
  '*/': (x, y, z) => (z === 0 ? 0 : (x * y) / z),
  '+-': (x, y, z) => x + y - z,
  '+/': (x, y, z) => (z === 0 ? 0 : (x + y) / z),
  '?:': (x, y, z) => (x > 0 ? y : z),
  abs: (x) => Math.abs(x),
  at2: (x, y) => angleOf(y, x),
  cat2: (x, y, z) => x * Math.cos(Math.atan2(z, y)),
  cos: (x, y) => x * Math.cos(radians(y)),
  max: (x, y) => Math.max(x, y),
  min: (x, y) => Math.min(x, y),
  mod: (x, y, z) => Math.hypot(x, y, z),
  pin: (x, y, z) => (y < x ? x : y > z ? z : y),
  sat2: (x, y, z) => x * Math.sin(Math.atan2(z, y)),
  sin: (x, y) => x * Math.sin(radians(y)),
  sqrt: (x) => Math.sqrt(Math.max(0, x)),
  tan: (x, y) => x * Math.tan(radians(y)),
  val: (x) => x,
};

/** Names that every shape knows (§20.1.9.11); lengths in the shape's own. */
function known(w: number, h: number): Map<string, number> {
  const ss = Math.min(w, h);
  const values = new Map<string, number>([
    ...Object.entries({ l: 0, t: 0, r: w, b: h, w, h, hc: w / 2, vc: h / 2, ss, ls: Math.max(w, h) }),
    ...Object.entries({ cd2: TURN / 2, cd4: TURN / 4, cd8: TURN / 8, '3cd4': (TURN * 3) / 4 }),
    ...Object.entries({ '3cd8': (TURN * 3) / 8, '5cd8': (TURN * 5) / 8, '7cd8': (TURN * 7) / 8 }),
  ]);
  for (const part of [2, 3, 4, 5, 6, 8, 10, 12, 16, 32]) {
    values.set(`wd${part}`, w / part);
    values.set(`hd${part}`, h / part);
    values.set(`ssd${part}`, ss / part);
  }
  return values;
}

const MOST_STEPS = 20_000;

/** SVG path data of each path of an outline, in the shape's own lengths. @param given The shape's own adjustments. */
export function outlinePaths(
  outline: Outline,
  width: number,
  height: number,
  given: readonly Guide[] = [],
): readonly { readonly d: string; readonly filled: boolean; readonly stroked: boolean }[] {
  const values = known(width, height);
  const valueOf = (name: string): number => {
    const number = Number(name);
    return Number.isFinite(number) ? number : (values.get(name) ?? 0);
  };
  const set = ([name, formula]: Guide): void => {
    const [operator = '', ...operands] = formula.trim().split(/\s+/);
    const [x = 0, y = 0, z = 0] = operands.map(valueOf);
    const value = OPERATORS[operator]?.(x, y, z) ?? 0;
    values.set(name, Number.isFinite(value) ? value : 0);
  };
  outline.adjustments.forEach(set);
  given.forEach(set);
  outline.guides.forEach(set);
  return outline.paths.map((path) => {
    const [sx, sy] = [path.width ? width / path.width : 1, path.height ? height / path.height : 1];
    return { d: pathData(path, valueOf, sx, sy), filled: path.filled, stroked: path.stroked };
  });
}

const n = (value: number): string => String(Math.round(value * 100) / 100);

function pathData({ steps }: OutlinePath, valueOf: (name: string) => number, sx: number, sy: number): string {
  let d = '';
  let [x, y] = [0, 0];
  for (const [step, ...names] of steps.slice(0, MOST_STEPS)) {
    const values = names.map(valueOf);
    if (step === 'Z') d += 'Z';
    else if (step === 'A') {
      const [wide = 0, high = 0, start = 0, swing = 0] = values;
      const arc = arcFrom([x, y], [wide * sx, high * sy], start, swing);
      d += arc.d;
      [x, y] = arc.end;
    } else {
      const points = values.map((value, i) => value * (i % 2 === 0 ? sx : sy));
      d += `${step}${points.map(n).join(' ')}`;
      [x, y] = [points.at(-2) ?? x, points.at(-1) ?? y];
    }
  }
  return d;
}

/** An arc by angles (§20.1.9.2), which are those that are seen, not those of the circle that it is squeezed from. */
function arcFrom(
  [x, y]: readonly [number, number],
  [wide, high]: readonly [number, number],
  start: number,
  swing: number,
): { readonly d: string; readonly end: readonly [number, number] } {
  if (wide <= 0 || high <= 0 || swing === 0) return { d: '', end: [x, y] };
  const round = (angle: number): number => {
    const seen = radians(angle);
    const turns = Math.floor((seen + Math.PI) / (2 * Math.PI)) * 2 * Math.PI;
    return Math.atan2(wide * Math.sin(seen), high * Math.cos(seen)) + turns;
  };
  const from = round(start);
  const whole = Math.min(TURN, Math.abs(swing)) === TURN;
  const to = whole ? from + Math.sign(swing) * 2 * Math.PI : round(start + swing);
  const [middleX, middleY] = [x - wide * Math.cos(from), y - high * Math.sin(from)];
  // In halves at most: an arc that ends where it begins would not be drawn.
  const pieces = Math.max(1, Math.ceil(Math.abs(to - from) / Math.PI));
  let d = '';
  for (let i = 1; i <= pieces; i++) {
    const angle = from + ((to - from) * i) / pieces;
    d += `A${n(wide)} ${n(high)} 0 0 ${to > from ? 1 : 0} ${n(middleX + wide * Math.cos(angle))} ${n(middleY + high * Math.sin(angle))}`;
  }
  return { d, end: [middleX + wide * Math.cos(to), middleY + high * Math.sin(to)] };
}

const STEPS: Readonly<Record<string, Step>> = {
  'a:moveTo': 'M',
  'a:lnTo': 'L',
  'a:cubicBezTo': 'C',
  'a:quadBezTo': 'Q',
};

/** A list of guides (§20.1.9.5, §20.1.9.12). */
export const guidesIn = (list: XmlNode | undefined): readonly Guide[] =>
  nodesNamed(list, 'a:gd').map(({ attributes }): Guide => [attributes.name ?? '', attributes.fmla ?? '']);

/** An outline of a shape's own (§20.1.9.8). */
export function ownOutline(node: XmlNode): Outline {
  return {
    adjustments: guidesIn(nodeAt(node, 'a:avLst')),
    guides: guidesIn(nodeAt(node, 'a:gdLst')),
    paths: nodesNamed(nodeAt(node, 'a:pathLst'), 'a:path').map(({ attributes, children }): OutlinePath => ({
      ...(Number(attributes.w) > 0 ? { width: Number(attributes.w) } : {}),
      ...(Number(attributes.h) > 0 ? { height: Number(attributes.h) } : {}),
      filled: attributes.fill !== 'none',
      stroked: attributes.stroke !== '0' && attributes.stroke !== 'false',
      steps: children.flatMap((one): OutlinePath['steps'] => {
        if (one.name === 'a:close') return [['Z']];
        if (one.name === 'a:arcTo') {
          const { wR = '0', hR = '0', stAng = '0', swAng = '0' } = one.attributes;
          return [['A', wR, hR, stAng, swAng]];
        }
        const step = STEPS[one.name];
        if (step === undefined) return [];
        const points = nodesNamed(one, 'a:pt').flatMap(({ attributes: { x = '0', y = '0' } }) => [x, y]);
        return points.length === 0 ? [] : [[step, ...points]];
      }),
    })),
  };
}
