/** Text of a shape (ECMA-376-1 §21.1.2): its paragraphs as items with their levels, numbers and looks. */
import { formatNumber, type NumberFormat } from '../../base/index.ts';
import { nodeAt, nodesWithin, type XmlNode } from '../../container/index.ts';
import { runsText, safeLink, type Run } from '../../content/index.ts';
import { cleanRuns } from '../clean-runs.ts';
import { CodeLines } from '../code-lines.ts';
import { GatheredText } from '../gathered-text.ts';
import { itemLabel } from '../list-label.ts';
import { isMono } from '../mono-font.ts';
import { fromFirst, type Draft } from '../read-result.ts';
import { belowLead, withoutTypedSigns } from '../slides/shape-lines.ts';
import { isOn, nameOfSlide, type SlideContext } from './context.ts';

export interface ShapeText {
  readonly drafts: readonly Draft[];
  /** Points of the largest type that is said; 0 where none is. */
  readonly size: number;
}
type Item = Draft & { readonly kind: 'listItem' };

/** Numbers as a receiver counts them (§20.1.10.61), by the beginning of their names. */
const FORMATS: readonly (readonly [start: string, format: NumberFormat])[] = [
  ['arabic', 'decimal'],
  ['alphaLc', 'lower-letter'],
  ['alphaUc', 'upper-letter'],
  ['romanLc', 'lower-roman'],
  ['romanUc', 'upper-roman'],
  ['thaiNum', 'thai'],
  ['hindi', 'devanagari'],
  ['ea1', 'cjk-ideographic'],
  ['circleNum', 'circled-decimal'],
];
const AROUND: Readonly<Record<string, readonly [string, string]>> = {
  ParenR: ['', ')'],
  ParenBoth: ['(', ')'],
  Plain: ['', ''],
};
const DEEPEST = 8;

/**
 * @param styles List styles that hold for the shape, from the nearest to the farthest.
 * @param use Of a shape in no placeholder (`free`), a bold or larger first line leads the others; a title is never code.
 * @returns Items, and lines of code.
 */
export function shapeText(
  body: XmlNode | undefined,
  styles: readonly XmlNode[],
  context: SlideContext,
  use: 'title' | 'held' | 'free' = 'held',
): ShapeText {
  const paragraphs = body?.children.filter(({ name }) => name === 'a:p') ?? [];
  const counts = new Numbers();
  const sizes: number[] = [];
  const drafts = paragraphs.flatMap((paragraph): readonly Draft[] => {
    const properties = nodeAt(paragraph, 'a:pPr');
    const level = Math.min(Number(properties?.attributes.lvl ?? 0) || 0, DEEPEST);
    const inherited = [
      ...(properties === undefined ? [] : [properties]),
      ...styles.flatMap((style) => nodeAt(style, `a:lvl${level + 1}pPr`) ?? []),
    ];
    const text = paragraphText(paragraph, inherited, context);
    const runs = cleanRuns(text.runs, context.place, context.report);
    if (runsText(runs) === '') return [];
    sizes.push(text.look(undefined, undefined)?.size ?? 0);
    const bullet = bulletOf(inherited);
    const said = { place: context.place, ...text.spoken.take() };
    // A word of code may be a point too; then it has the point's sign.
    const isCode = text.allMono && use !== 'title' && (bullet === undefined || bullet.name === 'a:buNone');
    if (isCode) return [{ kind: 'code', text: runsText(text.runs), ...said }];
    return [{ kind: 'listItem', depth: level + 1, runs, ...counts.take(level, bullet), ...said }];
  });
  const led = use === 'free' ? belowLead(fromFirst(drafts), sizes, boldOf(drafts)) : drafts;
  return { drafts: joinedCode(withoutTypedSigns(led, context.report)), size: Math.max(0, ...sizes) };
}

/** Whether each is bold as a whole. */
const boldOf = (drafts: readonly Draft[]): readonly boolean[] =>
  drafts.map((draft) => draft.kind === 'listItem' && draft.runs.every(({ bold }) => bold === true));

function bulletOf(properties: readonly XmlNode[]): XmlNode | undefined {
  for (const node of properties) {
    const bullet = node.children.find(({ name }) => /^a:bu(None|Char|AutoNum|Blip)$/.test(name));
    if (bullet !== undefined) return bullet;
  }
  return undefined;
}

/** Counts what the file only says how to count. */
class Numbers {
  readonly #counts: ({ readonly as: string; next: number } | undefined)[] = [];

  take(level: number, bullet: XmlNode | undefined): Pick<Item, 'ordered' | 'number' | 'label'> {
    this.#counts.length = Math.min(this.#counts.length, level + 1);
    if (bullet?.name !== 'a:buAutoNum') {
      this.#counts[level] = undefined;
      return { ordered: false };
    }
    const { type = 'arabicPeriod', startAt = '1' } = bullet.attributes;
    const as = `${type} ${startAt}`;
    const before = this.#counts[level];
    const number = before?.as === as ? before.next : Number(startAt) || 1;
    this.#counts[level] = { as, next: number + 1 };
    const format = FORMATS.find(([start]) => type.startsWith(start))?.[1] ?? 'decimal';
    const [open, close] = Object.entries(AROUND).find(([end]) => type.endsWith(end))?.[1] ?? ['', '.'];
    return { ordered: true, number, ...itemLabel(number, `${open}${formatNumber(number, format)}${close}`) };
  }
}

function paragraphText(paragraph: XmlNode, inherited: readonly XmlNode[], context: SlideContext): GatheredText {
  const text = new GatheredText();
  const defaults = inherited.flatMap((node) => nodeAt(node, 'a:defRPr') ?? []);
  const rightToLeft = inherited.find(({ attributes }) => attributes.rtl !== undefined)?.attributes.rtl;
  if (isOn(rightToLeft)) text.spoken.direction = 'rtl';
  const own = nodeAt(paragraph, 'a:pPr');
  const add = (node: XmlNode): void => {
    if (node.name === 'mc:AlternateContent') {
      const branch = node.children.find((one) => plainText(one).trim() !== '');
      branch?.children.forEach(add);
    } else if (node.name === 'a:r' || node.name === 'a:fld') addRun(node);
    else if (node.name === 'a:br') text.append('\n', {}, 0, true, true, true);
    else if (nodesWithin(node, 'm:t').length > 0) {
      context.report.add('equation-flattened', context.place);
      text.append(plainText(node), {}, 0, false, false, false);
    }
  };
  const addRun = (run: XmlNode): void => {
    const properties = nodeAt(run, 'a:rPr');
    const said = (name: string): string | undefined =>
      [properties, ...defaults].find((node) => node?.attributes[name] !== undefined)?.attributes[name];
    const content = plainText(nodeAt(run, 'a:t')).replaceAll('\v', '\n');
    const face = [properties, ...defaults].map((node) => nodeAt(node, 'a:latin')?.attributes.typeface).find(Boolean);
    const bold = isOn(said('b'));
    // Of the letters of a word alone: a placeholder's own weight says nothing of them.
    const look = runLook(properties, context);
    const mono = isMono(face);
    text.append(content, mono ? { ...look, code: true } : look, (Number(said('sz')) || 0) / 100, bold, false, mono);
    text.spoken.add(content, properties?.attributes.lang);
  };
  paragraph.children.forEach((child) => {
    if (child !== own) add(child);
  });
  return text;
}

/** Outside, or to another slide (§20.1.2.2.23). */
function linkOf(click: XmlNode | undefined, { relationships, numbers }: SlideContext): string | undefined {
  const target = relationships.get(click?.attributes['r:id'] ?? '');
  if (target === undefined) return undefined;
  if (target.external) return safeLink(target.target);
  const number = target.type === 'slide' ? numbers.get(target.target) : undefined;
  return number === undefined ? undefined : `#${nameOfSlide(number)}`;
}

function runLook(properties: XmlNode | undefined, context: SlideContext): Omit<Run, 'text'> {
  const { b, i, strike, baseline } = properties?.attributes ?? {};
  const raised = Number((baseline ?? '0').replace('%', ''));
  const link = linkOf(nodeAt(properties, 'a:hlinkClick'), context);
  return {
    ...(isOn(b) ? { bold: true } : {}),
    ...(isOn(i) ? { italic: true } : {}),
    ...(strike === 'sngStrike' || strike === 'dblStrike' ? { strike: true } : {}),
    ...(raised > 0 ? { position: 'super' } : raised < 0 ? { position: 'sub' } : {}),
    ...(link === undefined ? {} : { link }),
  };
}

/** All text of an element, however deep. */
export const plainText = (node: XmlNode | undefined): string =>
  node?.content.map((one) => ('text' in one ? one.text : 'children' in one ? plainText(one) : '')).join('') ?? '';

function joinedCode(drafts: readonly Draft[]): readonly Draft[] {
  const joined: Draft[] = [];
  const lines = new CodeLines((draft) => joined.push(draft));
  for (const draft of drafts) lines.add(draft);
  lines.flush();
  return joined;
}
