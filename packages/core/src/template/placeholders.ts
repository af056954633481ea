/** Placeholders of masters and layouts (ECMA-376-1 §19.3.1.36): what they say, and what they inherit. */
import { emu, ptFromEmu } from '../base/index.ts';
import { nodeAt, type XmlNode } from '../container/index.ts';
import type { Align, Frame, LevelStyle, Rect } from '../theme/index.ts';
import { colorIn, type Scheme } from './colors.ts';
import { numberIn } from './values.ts';
import type { TemplateMaster, TemplatePlaceholder } from './template-model.ts';

/** A placeholder where it is said: by a master or by a layout. */
export interface Said {
  readonly type: string | null;
  readonly index: string | null;
  readonly rect: Rect | undefined;
  readonly body: XmlNode | undefined;
  readonly style: XmlNode | undefined;
}
export function saidIn(root: XmlNode): readonly Said[] {
  const shapes = nodeAt(root, 'p:cSld', 'p:spTree')?.children ?? [];
  return shapes.flatMap((shape): readonly Said[] => {
    const about = shape.children.find(
      ({ name }) => name === 'p:nvSpPr' || name === 'p:nvPicPr' || name === 'p:nvGraphicFramePr',
    );
    const ph = nodeAt(about, 'p:nvPr', 'p:ph');
    if (ph === undefined) return [];
    return [
      {
        type: ph.attributes.type ?? null,
        index: ph.attributes.idx ?? null,
        rect: rectOf(nodeAt(shape, 'p:spPr', 'a:xfrm')),
        body: nodeAt(shape, 'p:txBody', 'a:bodyPr'),
        style: nodeAt(shape, 'p:txBody', 'a:lstStyle'),
      },
    ];
  });
}

function rectOf(place: XmlNode | undefined): Rect | undefined {
  const off = nodeAt(place, 'a:off')?.attributes;
  const ext = nodeAt(place, 'a:ext')?.attributes;
  const [x, y, width, height] = [off?.x, off?.y, ext?.cx, ext?.cy].map((one) => numberIn(one, NaN)) as [
    number,
    number,
    number,
    number,
  ];
  if (![x, y, width, height].every(Number.isFinite)) return undefined;
  return { x: emu(x), y: emu(y), width: emu(width), height: emu(height) };
}

export const isTitle = (type: string | null): boolean => type === 'title' || type === 'ctrTitle';
const FOOT = new Set(['dt', 'ftr', 'sldNum']);

/** Which placeholder of the master a layout's inherits from (§19.3.1.36): that of its type. */
function parentOf({ type }: Said, own: readonly Said[]): Said | undefined {
  const wanted = isTitle(type) ? 'title' : type !== null && FOOT.has(type) ? type : 'body';
  return own.find((one) => (one.type ?? 'body') === wanted);
}

export const USUAL_INSETS = { lIns: 91_440, tIns: 45_720, rIns: 91_440, bIns: 45_720 };
const ANCHORS: Readonly<Record<string, Frame['anchor']>> = { t: 'top', ctr: 'middle', b: 'bottom' };
const ALIGNS: Readonly<Record<string, Align>> = { l: 'left', ctr: 'center', r: 'right' };

export const sizeOf = (level: XmlNode | undefined): number | undefined => {
  const size = Number(nodeAt(level, 'a:defRPr')?.attributes.sz ?? NaN) / 100;
  return Number.isFinite(size) ? size : undefined;
};

export function placeholderOf(
  said: Said,
  own: readonly Said[],
  styles: XmlNode | undefined,
  scheme: Scheme,
): TemplatePlaceholder | undefined {
  const parent = parentOf(said, own);
  const outer = said.rect ?? parent?.rect;
  if (outer === undefined) return undefined;
  const kind = isTitle(said.type)
    ? 'p:titleStyle'
    : said.type !== null && FOOT.has(said.type)
      ? 'p:otherStyle'
      : 'p:bodyStyle';
  // From the nearest to the farthest; the first that says something decides.
  const levels = [
    nodeAt(said.style, 'a:lvl1pPr'),
    nodeAt(parent?.style, 'a:lvl1pPr'),
    nodeAt(styles, kind, 'a:lvl1pPr'),
  ];
  const bodies = [said.body, parent?.body];
  const first = <T>(nodes: readonly (XmlNode | undefined)[], read: (node: XmlNode) => T | undefined): T | undefined => {
    for (const node of nodes) {
      const found = node === undefined ? undefined : read(node);
      if (found !== undefined) return found;
    }
    return undefined;
  };
  const inset = (name: keyof typeof USUAL_INSETS): number =>
    first(bodies, ({ attributes }) =>
      attributes[name] === undefined ? undefined : numberIn(attributes[name], USUAL_INSETS[name]),
    ) ?? USUAL_INSETS[name];
  const runs = levels.map((level) => nodeAt(level, 'a:defRPr'));
  const face = first(runs, (run) => nodeAt(run, 'a:latin')?.attributes.typeface);
  return {
    type: said.type,
    index: said.index,
    rect: {
      x: emu(outer.x + inset('lIns')),
      y: emu(outer.y + inset('tIns')),
      width: emu(Math.max(1, outer.width - inset('lIns') - inset('rIns'))),
      height: emu(Math.max(1, outer.height - inset('tIns') - inset('bIns'))),
    },
    anchor: ANCHORS[first(bodies, ({ attributes }) => attributes.anchor) ?? 't'] ?? 'top',
    align: ALIGNS[first(levels, ({ attributes }) => attributes.algn) ?? 'l'] ?? 'left',
    size: first(levels, sizeOf) ?? 18,
    bold: first(runs, ({ attributes }) => attributes.b) === '1',
    caps: first(runs, ({ attributes }) => attributes.cap) === 'all',
    heading: face === undefined ? isTitle(said.type) : face.startsWith('+mj'),
    paint: first(runs, (run) => colorIn(run, scheme)) ?? scheme.get('tx1') ?? '000000',
    lineSpacing: first(levels, spacingOf) ?? 1,
  };
}

function spacingOf(level: XmlNode): number | undefined {
  const share = Number(nodeAt(level, 'a:lnSpc', 'a:spcPct')?.attributes.val ?? NaN) / 100_000;
  return Number.isFinite(share) && share > 0.5 && share < 3 ? share : undefined;
}

export function levelOf(
  node: XmlNode | undefined,
  level: number,
  bodySize: number,
  scheme: Scheme,
): TemplateMaster['levels'][number] {
  const size = sizeOf(node) ?? bodySize;
  const left = numberIn(node?.attributes.marL, 0);
  const hanging = Math.max(0, -numberIn(node?.attributes.indent, 0));
  const before = nodeAt(node, 'a:spcBef');
  const share = Number(nodeAt(before, 'a:spcPct')?.attributes.val ?? NaN) / 100_000;
  const fixed = Number(nodeAt(before, 'a:spcPts')?.attributes.val ?? NaN) / 100 / (size * 1.2);
  const bullet = nodeAt(node, 'a:buNone') !== undefined ? '' : (nodeAt(node, 'a:buChar')?.attributes.char ?? '•');
  const base: LevelStyle = {
    scale: size / bodySize,
    color: 'text',
    // Signs of symbol fonts mean another letter in ours.
    bullet:
      /^[\x20-\x7e\u00a0-\u2fff]?$/.test(bullet) && nodeAt(node, 'a:buFont')?.attributes.charset !== '2' ? bullet : '•',
    bulletColor: 'text',
    indent: ptFromEmu(left),
    hanging: ptFromEmu(hanging),
    spaceBefore: Number.isFinite(share) ? share : Number.isFinite(fixed) ? fixed : level === 1 ? 0.3 : 0.15,
  };
  return { ...base, paint: colorIn(nodeAt(node, 'a:defRPr'), scheme) ?? scheme.get('tx1') ?? '000000' };
}
