/** Figures are things that can be moved: an item is a group, its text stands in its shape, lines hold on to shapes. */
import { describe, expect, test } from '@jest/globals';
import { checkPackage, auditPackage } from '../../../../package-check/src/index.ts';
import { decodeUtf8 } from '../../base/index.ts';
import { nodesNamed, parseXmlTree, ZipReader, type XmlNode } from '../../container/index.ts';
import { convert, writeDeck } from '../../pipeline/index.ts';
import { doc, h, li, THEMES } from '../../test/build.ts';
import type { Edit } from '../../edits/index.ts';

const FIGURES = ['steps', 'cycle', 'timeline', 'icon-grid', 'pyramid', 'funnel', 'matrix'] as const;
const ITEMS = ['Mend the gates', 'Fill the pond', 'Turn the wheel', 'Grind the corn'];
const REPORT = doc(h(1, 'Mill'), h(2, 'Work'), ...ITEMS.map((item, i) => li(item, 1, i + 1)));
const [, work] = convert(REPORT, []).deck.slides;

function slideIn(layout: (typeof FIGURES)[number], ...more: Edit[]): { bytes: Uint8Array; root: XmlNode } {
  const bytes = writeDeck('pptx', convert(REPORT, [...more, { kind: 'layout', slides: [work!.id], layout }]), []);
  return { bytes, root: parseXmlTree(decodeUtf8(new ZipReader(bytes).read('ppt/slides/slide2.xml'))) };
}

function within(node: XmlNode, name: string): readonly XmlNode[] {
  return node.children.flatMap((child) => [...(child.name === name ? [child] : []), ...within(child, name)]);
}
const first = (node: XmlNode, name: string): XmlNode | undefined => within(node, name)[0];
const nameOf = (node: XmlNode): string => first(node, 'p:cNvPr')!.attributes.name!;
const textOf = (node: XmlNode): string =>
  within(node, 'a:t')
    .flatMap(({ content }) => content.map((piece) => ('text' in piece ? piece.text : '')))
    .join('');

describe.each(FIGURES)('%s', (layout) => {
  const { root } = slideIn(layout);
  const [figure] = nodesNamed(first(root, 'p:spTree'), 'p:grpSp');

  test('is one group that says what is in it', () => {
    expect(nodesNamed(first(root, 'p:spTree'), 'p:grpSp')).toHaveLength(1);
    expect(first(figure!, 'p:cNvPr')!.attributes.descr).toBe(
      ITEMS.join(['steps', 'cycle', 'timeline'].includes(layout) ? ' → ' : '; '),
    );
  });

  test('has each item in one piece, under its own words', () => {
    const items = figure!.children.filter(({ name }) => name === 'p:grpSp' || name === 'p:sp');
    const named = ITEMS.map((item, i) => items.find((one) => nameOf(one).endsWith(`${i + 1}: ${item}`)));
    expect(named.map((one) => one !== undefined && textOf(one).includes(ITEMS[named.indexOf(one)]!))).toEqual(
      ITEMS.map(() => true),
    );
  });
});

test.each(THEMES)(
  '$name: no text stands on a shape that could hold it, and no line holds on to nothing',
  async ({ name }) => {
    const all = doc(h(1, 'Mill'), ...FIGURES.flatMap((figure) => [h(2, figure), ...ITEMS.map((item) => li(item))]));
    const [, ...slides] = convert(all, []).deck.slides;
    const chosen = slides.map(({ id }, i): Edit => ({ kind: 'layout', slides: [id], layout: FIGURES[i]! }));
    const converted = convert(all, [{ kind: 'theme', theme: name }, ...chosen]);
    expect(converted.pages.slice(1).map(({ layout }) => layout)).toEqual(FIGURES);
    const remarks = await auditPackage(writeDeck('pptx', converted, []));
    expect(remarks.filter(({ rule }) => rule !== 'no-properties')).toEqual([]);
  },
);

test('lines go from one item to the next, at the sides that they were drawn from', async () => {
  const { bytes, root } = slideIn('cycle');
  const lines = within(root, 'p:cxnSp');
  expect(lines).toHaveLength(ITEMS.length);
  const shapes = new Map(within(root, 'p:sp').map((shape) => [first(shape, 'p:cNvPr')!.attributes.id!, textOf(shape)]));
  expect(
    lines.map((line) => ['a:stCxn', 'a:endCxn'].map((end) => shapes.get(first(line, end)!.attributes.id!))),
  ).toEqual(ITEMS.map((item, i) => [item, ITEMS[(i + 1) % ITEMS.length]]));
  // From the right of the first, at the top, to the left of the second, at the right.
  expect(first(lines[0]!, 'a:stCxn')!.attributes.idx).toBe('3');
  expect(first(lines[0]!, 'a:endCxn')!.attributes.idx).toBe('1');
  expect(await checkPackage(bytes)).toEqual([]);
});

test('a number stands in its disc, which has eight places to hold on to', () => {
  const { root } = slideIn('steps', { kind: 'theme', theme: 'almanac' });
  const discs = within(root, 'p:sp').filter((shape) => first(shape, 'a:prstGeom')?.attributes.prst === 'ellipse');
  expect(discs.map(textOf)).toEqual(['1', '2', '3', '4']);
  expect(discs.map((disc) => first(disc, 'a:bodyPr')!.attributes.wrap)).toEqual(Array(4).fill('none'));
  const ends = within(root, 'p:cxnSp').map((line) =>
    ['a:stCxn', 'a:endCxn'].map((end) => first(line, end)!.attributes.idx),
  );
  expect(ends).toEqual(Array(3).fill(['6', '2']));
});

test('text in a shape has the place that it was measured for, and shrinks where it is written on', () => {
  const { root } = slideIn('cycle');
  const [card] = within(root, 'p:sp').filter((shape) => textOf(shape) === ITEMS[0]);
  const body = first(card!, 'a:bodyPr')!;
  const { cx } = first(card!, 'a:ext')!.attributes;
  const box = convert(REPORT, [{ kind: 'layout', slides: [work!.id], layout: 'cycle' }]).pages[1]!.boxes.find(
    (one) => one.kind === 'text' && one.item === 0,
  )!;
  // What the corners take off is off the insets.
  const corners = Number(body.attributes.lIns) + Number(body.attributes.rIns);
  expect(Number(cx) - box.frame.width).toBeGreaterThanOrEqual(corners);
  expect(Number(cx) - box.frame.width - corners).toBeLessThan(60_000);
  expect(body.children.map(({ name }) => name)).toEqual(['a:normAutofit']);
});
