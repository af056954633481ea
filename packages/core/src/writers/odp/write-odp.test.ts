/** A deck as an OpenDocument presentation: placeholders of master pages, lists, notes, tables, charts and figures as what they are. */
import { describe, expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import { checkPackage } from '../../../../package-check/src/index.ts';
import { languageTag } from '../../base/index.ts';
import { usualSettings } from '../../charts/index.ts';
import { nodesWithin, parseXmlTree, type XmlNode } from '../../container/index.ts';
import type { PictureData, PictureId } from '../../content/index.ts';
import { PLAIN_DRESS } from '../../deck/index.ts';
import type { Edit } from '../../edits/index.ts';
import { beginning, convert, writeDeck, type Converted } from '../../pipeline/index.ts';
import { doc, h, li, p, picture, random, randomDocument, table, THEMES } from '../../test/build.ts';
import { png } from '../../test/docx.ts';
import { everyNode, odfParts } from '../../test/odf-parts.ts';
import { randomSlideEdit } from '../../test/random-edits.ts';
import { pathXml } from './graphic.ts';
import { pictureSize } from '../odf/picture-size.ts';

const data: readonly PictureData[] = [
  { id: 'a' as PictureId, mime: 'image/png', width: 400, height: 300, bytes: png() },
];
interface Written {
  readonly bytes: Uint8Array;
  readonly parts: ReadonlyMap<string, string>;
  readonly pages: readonly XmlNode[];
  readonly content: XmlNode;
}
async function write(made: Converted): Promise<Written> {
  const bytes = writeDeck('odp', made, data);
  expect(await checkPackage(bytes)).toEqual([]);
  const parts = odfParts(bytes);
  const content = parseXmlTree(parts.get('content.xml')!);
  return { bytes, parts, content, pages: nodesWithin(content, 'draw:page') };
}
const textOf = (node: XmlNode): string =>
  node.content.map((one) => ('text' in one ? one.text : 'children' in one ? textOf(one) : '')).join('');
const classed = (page: XmlNode, use: string): readonly XmlNode[] =>
  nodesWithin(page, 'draw:frame').filter(({ attributes }) => attributes['presentation:class'] === use);
const styleOf = ({ content }: Written, node: XmlNode): XmlNode =>
  everyNode(content).find(
    ({ name, attributes }) =>
      /^(style:style|text:list-style)$/.test(name) &&
      attributes['style:name'] === Object.entries(node.attributes).find(([key]) => key.endsWith(':style-name'))?.[1],
  )!;
const NUMBERS = { decimals: 0, decimal: '.', group: '', prefix: '', suffix: '' } as const;
const MILL = doc(
  p('Sallow Quay', 'title'),
  h(1, 'Gates'),
  li('North', 1),
  li('seized', 2),
  li('South', 1),
  p([{ text: 'Read the ' }, { text: 'survey', link: 'https://a.example/?x=1&y=2' }]),
  h(1, 'Order'),
  li('Drain', 1, 3),
  li('Mend', 1, 4),
  li('Fill', 1, 5),
);

const written = await write(
  convert(
    MILL,
    beginning(MILL).filter(({ kind }) => kind === 'map'),
  ),
);

describe('text', () => {
  const [cover, gates, order] = written.pages;

  test('stands in the places of the master page, which has its look', () => {
    expect(cover!.attributes['draw:master-page-name']).toBe('cover');
    const [title] = classed(gates!, 'title');
    expect(textOf(title!)).toBe('Gates');
    expect(styleOf(written, title!).attributes['style:parent-style-name']).toBe('points-title');
    // Nothing is said of the look that the master page has.
    const [paragraph] = nodesWithin(title!, 'text:p');
    expect(nodesWithin(styleOf(written, paragraph!), 'style:text-properties')).toEqual([]);
    const styles = parseXmlTree(written.parts.get('styles.xml')!);
    const own = nodesWithin(styles, 'style:style').find((one) => one.attributes['style:name'] === 'points-title')!;
    expect(nodesWithin(own, 'style:text-properties')[0]!.attributes).toMatchObject({ 'fo:font-weight': 'bold' });
  });

  test('lists stand in lists, numbers go on where they began', () => {
    const [points] = classed(gates!, 'outline');
    const [outer] = nodesWithin(points!, 'text:list');
    expect(outer!.children.map(textOf)).toEqual(['Northseized', 'South']);
    expect(nodesWithin(outer!, 'text:list').map(textOf)).toEqual(['seized']);
    const numbered = nodesWithin(order!, 'text:list')[0]!;
    expect(numbered.children.map((item) => item.attributes['text:start-value'])).toEqual(['3', undefined, undefined]);
    const [level] = styleOf(written, numbered).children;
    expect(level!.attributes).toMatchObject({ 'style:num-format': '1', 'style:num-suffix': '.' });
  });

  test('what is said stands in the notes, with its links', () => {
    const [notes] = nodesWithin(gates!, 'presentation:notes');
    expect(textOf(classed(notes!, 'notes')[0]!)).toBe('Read the survey');
    expect(nodesWithin(notes!, 'text:a')[0]!.attributes['xlink:href']).toBe('https://a.example/?x=1&y=2');
  });
});

test('a numbered list that was written in the notes is counted by the receiver', async () => {
  const document = doc(h(1, 'Gates'), p('Said.'));
  const [slide] = convert(document, []).deck.slides;
  const item = (text: string, ordered: boolean) => ({ kind: 'item' as const, depth: 1, ordered, runs: [{ text }] });
  const notes = [item('Drain', true), item('Mend', true), item('Look', false)];
  const { content, pages } = await write(
    convert(document, [{ kind: 'renote', slide: slide!.id, replaces: [], anchor: null, notes }]),
  );
  const lists = nodesWithin(nodesWithin(pages[0]!, 'presentation:notes')[0]!, 'text:list');
  const styles = lists.map(({ attributes }) =>
    nodesWithin(content, 'text:list-style').find(
      (one) => one.attributes['style:name'] === attributes['text:style-name'],
    ),
  );
  expect(styles.map((one) => one!.children[0]!.name)).toEqual([
    'text:list-level-style-number',
    'text:list-level-style-bullet',
  ]);
  expect(styles[0]!.children[0]!.attributes).toMatchObject({ 'style:num-format': '1', 'style:num-suffix': '.' });
  expect(lists[0]!.children.map(textOf)).toEqual(['Drain', 'Mend']);
});

test('an outline has the extent of all its points, of lines across and upright too', () => {
  const path = parseXmlTree(pathXml('M10 20H40V60Z', { 'xmlns:draw': 'urn:d', 'xmlns:svg': 'urn:s' })).attributes;
  expect([path['svg:x'], path['svg:y'], path['svg:width'], path['svg:height']]).toEqual([
    '10pt',
    '20pt',
    '30pt',
    '40pt',
  ]);
  expect(pathXml('', {})).toBe('');
});

test('numbers that no receiver counts are written, boxes to tick are signs', async () => {
  const labelled = (text: string, label: string, value?: number) => ({
    ...li(text, 1, value ?? false),
    label,
  });
  const { pages } = await write(
    convert(doc(h(1, 'Clauses'), labelled('Of gates', '3.1', 1), labelled('Of water', '3.2', 2)), []),
  );
  expect(nodesWithin(pages.at(-1)!, 'text:p').map(textOf)).toEqual(
    expect.arrayContaining(['3.1Of gates', '3.2Of water']),
  );
});

test('spaces and breaks stay what they are', async () => {
  const { pages } = await write(
    convert(doc(h(1, 'Code'), li([{ text: '  two ' }, { text: ' and\tone\nmore ', bold: true }])), []),
  );
  const [, ...texts] = nodesWithin(pages.at(-1)!, 'text:p');
  const kinds = everyNode(texts[0]!).flatMap(({ name, attributes }) =>
    name === 'text:s' ? [`s${attributes['text:c'] ?? 1}`] : /tab|break/.test(name) ? [name] : [],
  );
  expect(kinds).toEqual(['s2', 's1', 'text:tab', 'text:line-break']);
});

test('languages, directions and other scripts are said where they differ', async () => {
  const { content } = await write(
    convert({ ...doc(h(1, 'Gates'), li('בית'), li('水車'), li('Wheel')), language: languageTag('en-GB')! }, []),
  );
  const said = (name: string): readonly string[] =>
    everyNode(content).flatMap(({ attributes }) => attributes[name] ?? []);
  expect(said('style:language-complex')).toContain('he');
  expect(said('style:writing-mode')).toContain('rl-tb');
});

test('tables have heads, joined cells and lines; charts their numbers', async () => {
  const costs = doc(
    h(1, 'Costs'),
    table([
      ['Work', 'Sum'],
      ['Gates', '31'],
      ['Wheel', '12'],
    ]),
  );
  const made = convert(costs, []);
  const tabled = await write(made);
  const [head, ...others] = nodesWithin(tabled.content, 'table:table-row').map(textOf);
  expect([head, ...others]).toEqual(['WorkSum', 'Gates31', 'Wheel12']);
  expect(nodesWithin(tabled.content, 'table:table-header-rows').map(textOf)).toEqual(['WorkSum']);
  const part = made.deck.slides.flatMap(({ content }) => content).find(({ kind }) => kind === 'table')!;
  const columns = { categories: ['Gates', 'Wheel'], series: [{ name: 'Sum', values: [31, 12] }], format: NUMBERS };
  const settings = { ...usualSettings(columns, 'bar'), labels: true, upTitle: 'Thousands' };
  const charted = await write(convert(costs, [{ kind: 'chart', part: part.id, chart: settings }]));
  const chart = charted.parts.get('chart1/content.xml');
  if (chart === undefined) throw new Error('no chart was written');
  const root = parseXmlTree(chart);
  expect(nodesWithin(root, 'table:table-row').map(textOf)).toEqual(['Sum', 'Gates31', 'Wheel12']);
  expect(
    nodesWithin(root, 'chart:series').map(({ attributes }) => attributes['chart:values-cell-range-address']),
  ).toEqual(['local-table.$B$2:local-table.$B$3']);
  // Whoever draws no charts shows the picture of it.
  const frame = nodesWithin(charted.content, 'draw:frame').find((one) => nodesWithin(one, 'draw:object').length > 0)!;
  const [shown] = nodesWithin(frame, 'draw:image').map(({ attributes }) => attributes['xlink:href']!);
  const drawing = parseXmlTree(strFromU8(unzipSync(charted.bytes)[shown!]!));
  expect(nodesWithin(drawing, 'text').map(textOf)).toEqual(expect.arrayContaining(['Gates', 'Wheel', '31', '12']));
  expect(drawing.attributes['viewBox']).toBe(
    ['x', 'y', 'width', 'height'].map((name) => parseFloat(frame.attributes[`svg:${name}`]!)).join(' '),
  );
  const bars = nodesWithin(drawing, 'path').filter(({ attributes }) => attributes['fill'] !== 'none');
  expect(bars.length).toBeGreaterThanOrEqual(2);
});

test('what is cut off a picture is said in lengths of its own size', async () => {
  const document = doc(h(1, 'Pit'), picture('a', 'The pit'));
  const part = convert(document, [])
    .deck.slides.flatMap(({ content }) => content)
    .find(({ kind }) => kind === 'picture')!;
  const dress = { ...PLAIN_DRESS, crop: [0.25, 0.1, 0.25, 0] as const, filter: 'grey' as const, contrast: 0.2 };
  const written = await write(convert(document, [{ kind: 'frame', part: part.id, dress }]));
  const frame = nodesWithin(written.content, 'draw:frame').find((one) => nodesWithin(one, 'draw:image').length > 0)!;
  expect(nodesWithin(frame, 'svg:desc').map(textOf)).toEqual(['The pit']);
  // 400 by 300 pixels, 96 to the inch.
  expect(styleOf(written, frame).children[0]!.attributes).toMatchObject({
    'fo:clip': 'rect(22.5pt, 75pt, 0pt, 75pt)',
    'draw:color-mode': 'greyscale',
    'draw:contrast': '20%',
  });
});

test('the size of a picture is that of its file, or of its pixels', () => {
  const of = (bytes: Uint8Array, mime: PictureData['mime']) =>
    pictureSize({ id: 'x' as PictureId, mime, width: 200, height: 100, bytes });
  const plain = new Uint8Array(20);
  expect(of(plain, 'image/gif')).toEqual([150, 75]);
  const jfif = Uint8Array.from([
    0xff,
    0xd8,
    0xff,
    0xe0,
    0,
    16,
    ...[...'JFIF\0'].map((c) => c.charCodeAt(0)),
    1,
    1,
    1,
    0,
    72,
    0,
    72,
  ]);
  expect(of(new Uint8Array([...jfif, 0, 0]), 'image/jpeg')).toEqual([200, 100]);
  const chunk = (type: string, ...body: readonly number[]): readonly number[] => [
    ...[0, 0, 0, body.length],
    ...[...type].map((c) => c.charCodeAt(0)),
    ...body,
    ...[0, 0, 0, 0],
  ];
  const head = [137, 80, 78, 71, 13, 10, 26, 10];
  const phys = Uint8Array.from([...head, ...chunk('pHYs', 0, 0, 0x0b, 0x13, 0, 0, 0x0b, 0x13, 1)]);
  expect(of(phys, 'image/png').map(Math.round)).toEqual([200, 100]);
  expect(of(Uint8Array.from([...head, ...chunk('IDAT', 0)]), 'image/png')).toEqual([150, 75]);
});

test('figures are groups of their items, and lines hold on to shapes', async () => {
  const REPORT = doc(h(1, 'Work'), ...['Mend', 'Fill', 'Turn', 'Grind'].map((item, i) => li(item, 1, i + 1)));
  const slide = convert(REPORT, []).deck.slides.at(-1)!;
  for (const layout of ['steps', 'cycle', 'timeline', 'icon-grid', 'pyramid', 'matrix'] as const) {
    const { pages } = await write(convert(REPORT, [{ kind: 'layout', slides: [slide.id], layout }]));
    const [figure] = nodesWithin(pages.at(-1)!, 'draw:g');
    expect([layout, textOf(nodesWithin(figure!, 'svg:desc')[0]!).split(/ → |; /)]).toEqual([
      layout,
      ['Mend', 'Fill', 'Turn', 'Grind'],
    ]);
  }
  const { pages } = await write(convert(REPORT, [{ kind: 'layout', slides: [slide.id], layout: 'cycle' }]));
  const lines = nodesWithin(pages.at(-1)!, 'draw:connector');
  expect(lines).toHaveLength(4);
  expect(lines.every(({ attributes }) => attributes['draw:start-shape'] !== undefined)).toBe(true);
  for (const { attributes } of lines) expect(attributes['svg:d']).toMatch(/^M\d+ \d+L\d+ \d+$/);
});

test('slides move, hide and stand in colours of their own as they do elsewhere', async () => {
  const edits: readonly Edit[] = [{ kind: 'motion', motion: { transition: 'wipe', points: true } }];
  const map = beginning(MILL).filter(({ kind }) => kind === 'map');
  const gates = convert(MILL, map).deck.slides[1]!;
  const written = await write(convert(MILL, [...map, ...edits, { kind: 'hide', slides: [gates.id], hidden: true }]));
  const page = written.pages[1]!;
  const [properties] = styleOf(written, {
    ...page,
    attributes: { 'draw:style-name': page.attributes['draw:style-name']! },
  }).children;
  expect(properties!.attributes).toMatchObject({ 'smil:type': 'barWipe', 'presentation:visibility': 'hidden' });
  const targets = nodesWithin(page, 'anim:set').map(({ attributes }) => attributes['smil:targetElement']);
  const texts = new Map(nodesWithin(page, 'text:p').map((one) => [one.attributes['xml:id'], textOf(one)]));
  expect(targets.map((id) => texts.get(id))).toEqual(['North', 'seized', 'South']);
  expect(
    nodesWithin(page, 'anim:par').filter((one) => one.attributes['presentation:node-type'] === 'on-click'),
  ).toHaveLength(2);
});

test('a date is the one that was written, or that of the day on which it is seen', async () => {
  const source = async (live: boolean): Promise<string | undefined> => {
    const foot = {
      number: [],
      footer: { text: '', on: [] },
      date: { text: '14 March', on: ['content'], live },
      logo: null,
    };
    const { content } = await write(convert(MILL, [{ kind: 'foot', foot } as Edit]));
    return nodesWithin(content, 'presentation:date-time-decl')[0]!.attributes['presentation:source'];
  };
  expect([await source(true), await source(false)]).toEqual(['current-date', 'fixed']);
});

test('a slide in colours of its own has a master page in them', async () => {
  const map = beginning(MILL).filter(({ kind }) => kind === 'map');
  const gates = convert(MILL, map).deck.slides[1]!;
  const { pages, parts } = await write(
    convert(MILL, [...map, { kind: 'colors', slides: [gates.id], palette: null, dark: true }]),
  );
  const names = pages.map(({ attributes }) => attributes['draw:master-page-name']);
  expect(names).toEqual(['cover', 'points-colours-1', 'points']);
  const styles = parseXmlTree(parts.get('styles.xml')!);
  const ground = (name: string): string | undefined => {
    const style = nodesWithin(styles, 'style:style').find(
      (one) => one.attributes['style:name'] === `${name}-background`,
    )!;
    return nodesWithin(style, 'style:graphic-properties')[0]!.attributes['draw:fill-color'];
  };
  expect(ground('points-colours-1')).not.toBe(ground('points'));
  // Its text says nothing of colours: its master page has them.
  const [title] = classed(pages[1]!, 'title');
  expect(everyNode(title!).some(({ attributes }) => attributes['fo:color'] !== undefined)).toBe(false);
});

test.each(THEMES.map(({ name }) => name))(
  'random decks in the theme %s: whole packages, the same bytes, all that is shown and said',
  async (theme) => {
    const draw = random(theme.length);
    const document = randomDocument(draw, 30);
    const edits: Edit[] = [{ kind: 'theme', theme }];
    for (let i = 0; i < 6; i++) {
      edits.push(randomSlideEdit(draw, convert(document, edits).deck, i));
    }
    const made = convert(document, edits);
    const bytes = writeDeck('odp', made, data);
    expect(await checkPackage(bytes)).toEqual([]);
    expect(writeDeck('odp', made, data)).toEqual(bytes);
    const pages = nodesWithin(parseXmlTree(odfParts(bytes).get('content.xml')!), 'draw:page');
    expect(pages).toHaveLength(made.pages.length);
  },
);
