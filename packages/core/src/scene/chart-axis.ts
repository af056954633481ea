/** Axes of charts: their steps, and the numbers at them. */
import { writeNumber, type Chart } from '../charts/index.ts';

export interface Scale {
  readonly from: number;
  readonly to: number;
  readonly step: number;
  readonly ticks: readonly number[];
  readonly label: (value: number) => string;
}

/** Round steps for an axis (Heckbert, "Nice numbers for graph labels", Graphics Gems, 1990). */
function axisSteps(
  least: number,
  most: number,
  wanted = 5,
): { readonly from: number; readonly to: number; readonly step: number } {
  const span = most - least || Math.abs(most) || 1;
  const rough = span / wanted;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 2.5, 5, 10].map((factor) => factor * power).find((candidate) => candidate >= rough * 0.999)!;
  const round = (value: number): number => Number(value.toPrecision(12));
  return {
    from: round(Math.floor(least / step + 1e-9) * step),
    to: round(Math.ceil(most / step - 1e-9) * step),
    step: round(step),
  };
}

/** The numbers along an axis, and how they are written. */
export function scaleOf({ format }: Chart, values: readonly number[], fromZero: boolean): Scale {
  const least = Math.min(...values, fromZero ? 0 : Infinity);
  const most = Math.max(...values, fromZero ? 0 : -Infinity);
  const axis = axisSteps(least, most);
  const needed = (step: number): number => Math.min(6, Math.max(0, -Math.floor(Math.log10(step) + 1e-9)));
  const decimals = Number.isInteger(axis.step)
    ? 0
    : Math.max(needed(axis.step), axis.step.toString().split('.')[1]?.length ?? 0);
  const ticks = Array.from({ length: Math.round((axis.to - axis.from) / axis.step) + 1 }, (_, i) =>
    Number((axis.from + i * axis.step).toPrecision(12)),
  );
  return { ...axis, ticks, label: (value: number) => writeNumber(value, format, decimals) };
}
