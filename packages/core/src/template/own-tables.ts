/** The table style that a template gives to new tables, where the file itself has it (ECMA-376-1 §20.1.4.2.26, §20.1.4.2.27). */
import { EMU_PER_POINT } from '../base/index.ts';
import { nodeAt, nodesNamed, type XmlNode } from '../container/index.ts';
import type { CellLine, OwnTableStyle } from '../theme/index.ts';
import { colorIn, type Scheme } from './colors.ts';

const USUAL_LINE = 0.75; // points

/** @returns undefined where the file only names one that its receiver would have to know. */
export function ownTableStyle(list: XmlNode | undefined, scheme: Scheme): OwnTableStyle | undefined {
  const id = list?.attributes.def;
  const style = nodesNamed(list, 'a:tblStyle').find(({ attributes }) => attributes.styleId === id);
  if (id === undefined || style === undefined) return undefined;
  const part = (name: string): Part => readPart(nodeAt(style, name), scheme);
  const [whole, head, column] = [part('a:wholeTbl'), part('a:firstRow'), part('a:firstCol')];
  const [first, second] = [part('a:band1H'), part('a:band2H')];
  const ground = colorIn(nodeAt(style, 'a:tblBg', 'a:fill'), scheme) ?? null;
  const fill = second.fill ?? whole.fill ?? ground;
  return {
    id,
    head: {
      fill: head.fill ?? whole.fill ?? ground,
      text: head.text ?? whole.text,
      bold: head.bold ?? whole.bold ?? false,
      under: head.line('bottom') ?? whole.line('insideH') ?? null,
      sides: head.line('insideV') ?? whole.line('insideV') ?? null,
    },
    body: {
      fill,
      text: whole.text,
      sides: whole.line('insideV') ?? null,
      ...(first.fill === undefined && second.fill === undefined ? {} : { band: first.fill ?? whole.fill ?? ground }),
      above: whole.line('top') ?? null,
      below: whole.line('bottom') ?? null,
      between: whole.line('insideH') ?? null,
    },
    paintsColumn: typeof column.fill === 'string',
  };
}

interface Part {
  /** Null for none; undefined where it is not said. */
  readonly fill: string | null | undefined;
  readonly text: string | null;
  readonly bold: boolean | undefined;
  readonly line: (side: string) => CellLine | null | undefined;
}

function readPart(part: XmlNode | undefined, scheme: Scheme): Part {
  const style = nodeAt(part, 'a:tcStyle');
  const text = nodeAt(part, 'a:tcTxStyle');
  const bold = text?.attributes.b;
  return {
    fill: fillOf(style, scheme),
    text: colorIn(text, scheme) ?? null,
    bold: bold === undefined || bold === 'def' ? undefined : bold === 'on',
    line: (side) => lineOf(nodeAt(style, 'a:tcBdr', `a:${side}`), scheme),
  };
}

function fillOf(style: XmlNode | undefined, scheme: Scheme): string | null | undefined {
  const fill = nodeAt(style, 'a:fill');
  if (fill !== undefined) return nodeAt(fill, 'a:noFill') === undefined ? (colorIn(fill, scheme) ?? null) : null;
  const reference = nodeAt(style, 'a:fillRef');
  if (reference === undefined) return undefined;
  return reference.attributes.idx === '0' ? null : (colorIn(reference, scheme) ?? null);
}

function lineOf(side: XmlNode | undefined, scheme: Scheme): CellLine | null | undefined {
  if (side === undefined) return undefined;
  const line = nodeAt(side, 'a:ln');
  const reference = nodeAt(side, 'a:lnRef');
  const color = colorIn(line ?? (reference?.attributes.idx === '0' ? undefined : reference), scheme);
  if (color === undefined) return null;
  const width = Number(line?.attributes.w);
  return { color, width: Number.isFinite(width) && width > 0 ? width / EMU_PER_POINT : USUAL_LINE };
}
