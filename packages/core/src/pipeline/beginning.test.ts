/** What is decided for a document when a deck is made of it. */
import { expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import { PRESET_NAMES, presetRecipe } from '../mapping/index.ts';
import { readiness } from '../presentable/index.ts';
import { doc, h, li, p, picture, random, randomDocument, table, THEMES, type Draft } from '../test/build.ts';
import { beginning } from './beginning.ts';
import { madeHeadings, markAsText } from '../structure/index.ts';
import { convert } from './convert.ts';

const report = doc(
  h(1, 'The mill'),
  h(2, 'Steps'),
  li('Open the gate', 1, true),
  li('Let the water in', 1, true),
  li('Grind the corn', 1, true),
  h(2, 'The pond'),
  p('The pond fills twice a day. It holds eleven thousand cubic metres of water, and the gate keeps it.'),
  h(2, 'Costs'),
  table([
    ['Work', 'Sum'],
    ['Gates', '31,000'],
    ['Roof', '12,000'],
  ]),
  h(2, 'For the presenter only'),
  p('Do not mention the roof.'),
);

test('another map may be given: what is for the speaker stays with the speaker', () => {
  const plan = [{ kind: 'map', name: null, map: { ...presetRecipe('talk', report).map, body: 'slide' } }] as const;
  const { deck, ledger } = convert(report, beginning(report, [], plan));
  const shown = deck.slides.flatMap(({ content }) =>
    content.flatMap((part) => ('runs' in part ? runsText(part.runs) : '')),
  );
  expect(shown.join(' ')).toContain('The pond fills twice a day.');
  expect(shown.join(' ')).not.toContain('Do not mention the roof.');
  expect(ledger.lost).toBe(0);
});

test('a first deck has its layouts chosen, no bare slides, and keeps for the speaker what is for the speaker', () => {
  const made = convert(report, beginning(report));
  const { pages, deck, ledger, unplaced } = made;
  expect(pages.map(({ layout }) => layout)).toEqual(['cover', 'steps', expect.any(String), expect.any(String)]);
  expect(deck.slides.flatMap(({ notes }) => notes.map(({ runs }) => runsText(runs)))).toContain(
    'Do not mention the roof.',
  );
  expect(pages.flatMap(({ slide }) => runsText(slide.title.runs))).not.toContain('For the presenter only');
  expect([ledger.lost, unplaced]).toEqual([0, []]);
  expect(readiness(made)).toMatchObject({ ready: 3, of: 3 });
});

test('it is the same every time, and nothing of it is the author’s to take back', () => {
  expect(beginning(report)).toEqual(beginning(report));
  expect(beginning(report).map(({ kind }) => kind)).toEqual(expect.arrayContaining(['map', 'arrange']));
});

test('the author’s work goes over it: another map goes without its branches, a layout is fixed, and content that no longer suits falls back', () => {
  const begun = beginning(report);
  const [, steps] = convert(report, begun).deck.slides;
  const points = convert(report, [...begun, { kind: 'layout', slides: [steps!.id], layout: 'points' }]);
  expect(points.pages[1]!.layout).toBe('points');
  const fewer = convert(report, [...begun, { kind: 'turn', block: report.blocks[2]!.id, to: 'notes' }]);
  expect(fewer.pages[1]!.layout).not.toBe('steps');
  const talk = convert(report, [...begun, { kind: 'map', name: 'talk', map: fewer.map }]);
  expect(talk.decisions.map!.branches).toEqual([]);
});

test('over random documents in every theme no word is lost, and the points of a deck differ by one step of type at most', () => {
  for (let seed = 1; seed <= 13; seed++) {
    const document = randomDocument(random(seed), 40);
    const look = [{ kind: 'theme', theme: THEMES[seed % THEMES.length]!.name } as const];
    const { pages, ledger } = convert(document, [...look, ...beginning(document, look)]);
    expect(ledger.lost).toBe(0);
    const sizes = new Set(
      pages.flatMap(({ boxes }) =>
        boxes.flatMap((box) =>
          box.kind === 'text' &&
          box.frame.role.startsWith('body') &&
          box.free !== true &&
          box.paras.some(({ style }) => style === 'point')
            ? [box.scale * box.frame.style.sizes[0]!]
            : [],
        ),
      ),
    );
    expect(sizes.size).toBeLessThanOrEqual(2);
  }
});

test('what is for the speaker stays with the speaker whatever ready-made map is taken', () => {
  const alone = doc(h(1, 'The mill'), h(2, 'The roof'), h(3, 'Speaker notes'), p('Do not mention the roof.'));
  for (const [name, document] of PRESET_NAMES.flatMap((name) => [[name, report] as const, [name, alone] as const])) {
    const { pages } = convert(document, [
      ...beginning(document),
      { kind: 'map', name, ...presetRecipe(name, document) },
    ]);
    for (const { boxes } of pages)
      for (const box of boxes)
        if (box.kind === 'text')
          for (const { runs } of box.paras) expect(runsText(runs)).not.toMatch(/presenter only|mention the roof/);
  }
});

test('whose a document is, and of when, stands on its cover; sentences are spoken', () => {
  const named = doc(
    h(1, 'The tide mill'),
    p('Feasibility report for the trustees.'),
    p('Quay Trust, Sallow Quay'),
    p('12 October 2026'),
    p('The mill stands at the mouth of the creek. It has ground flour for two hundred years.'),
    p('Draft'),
    h(2, 'Gates'),
    li('Oak gates'),
    li('Iron hinges'),
  );
  const { deck, ledger } = convert(named, beginning(named));
  const [cover] = deck.slides;
  expect(cover!.content.map((part) => ('runs' in part ? runsText(part.runs) : ''))).toEqual([
    'Feasibility report for the trustees.',
    'Quay Trust, Sallow Quay',
    '12 October 2026',
  ]);
  expect(cover!.notes.map(({ runs }) => runsText(runs))).toEqual([
    'The mill stands at the mouth of the creek. It has ground flour for two hundred years.',
    'Draft',
  ]);
  expect(ledger.lost).toBe(0);
  const links = doc(
    h(1, 'The mill'),
    p([{ text: 'English', link: 'a' }, { text: ' | ' }, { text: 'Deutsch', link: 'b' }]),
    h(2, 'Gates'),
    li('Oak'),
    li('Iron'),
  );
  expect(convert(links, beginning(links)).deck.slides[0]!.content).toEqual([]);
});

test('a caption stands with its picture, and its words are on the slide', () => {
  const caption: Draft = {
    kind: 'paragraph',
    role: 'caption',
    runs: [{ text: 'The wheel from the pit.' }],
  };
  const pictured = doc(
    h(1, 'The mill'),
    h(2, 'Wheel'),
    li('Oak'),
    li('Elm'),
    picture('wheel', 'A wheel'),
    caption,
    h(2, 'Roof'),
    li('Slate'),
    li('Lead'),
  );
  const { deck, ledger, pages } = convert(pictured, beginning(pictured));
  const [, slide] = deck.slides;
  expect(slide!.content.at(-1)).toMatchObject({ kind: 'picture', caption: [{ text: 'The wheel from the pit.' }] });
  expect(slide!.notes).toEqual([]);
  expect([ledger.lost, ledger.notes]).toEqual([0, 0]);
  const texts = pages[1]!.boxes.flatMap((box) =>
    box.kind === 'text' ? box.paras.map(({ runs }) => runsText(runs)) : [],
  );
  expect(texts).toContain('The wheel from the pit.');
});

test('openers say where one is among the sections, by the titles that their author gave', () => {
  const parts = ['Gates', 'Money', 'People'].flatMap((name) => [
    h(2, name),
    ...[1, 2, 3].flatMap((n) => [
      h(3, `${name} ${n}`),
      ...['one', 'two', 'three', 'four'].map((at) => li(`Point ${at} about the matter of ${name}, in some words`)),
    ]),
  ]);
  const sections = doc(h(1, 'The mill'), ...parts);
  const begun = beginning(sections);
  const { deck } = convert(sections, begun);
  const openers = deck.slides.filter(({ kind }) => kind === 'section');
  expect(openers.map(({ opens }) => opens)).toEqual([0, 1, 2].map((at) => ({ at, of: ['Gates', 'Money', 'People'] })));
  const renamed = convert(sections, [...begun, { kind: 'retitle', slide: openers[1]!.id, runs: [{ text: 'Funds' }] }]);
  const page = renamed.pages.find(({ slide }) => slide.id === openers[2]!.id)!;
  const below = page.boxes.flatMap((box) => (box.kind === 'text' && box.frame.role === 'subtitle' ? box.paras : []));
  expect(below.map(({ runs }) => runsText(runs))).toEqual(['1\u00a0Gates', '2\u00a0Funds', '3\u00a0People']);
  const bold = below.flatMap(({ runs }) => runs.filter((run) => run.bold).map(({ text }) => text));
  expect(bold).toEqual(['3\u00a0People']);
  for (const { name } of THEMES) {
    const look = [{ kind: 'theme', theme: name }] as const;
    const made = convert(sections, [...look, ...beginning(sections, look)]);
    expect(readiness(made).ready).toBe(readiness(made).of);
  }
});

test('where no heading is marked, lines that look like headings are headings from the start, and can be made text again', () => {
  const line = (text: string): Draft => ({ kind: 'paragraph', runs: [{ text, bold: true }] });
  const tide = p('The pond fills twice a day. It holds eleven thousand cubic metres of water, and the gate keeps it.');
  const plain = doc(line('Costs'), tide, line('The pond'), tide, line('Who helps'), tide);
  const begun = beginning(plain);
  const made = convert(plain, begun);
  expect(made.document.blocks.map(({ kind }) => kind)).toEqual([
    'heading',
    'paragraph',
    'heading',
    'paragraph',
    'heading',
    'paragraph',
  ]);
  expect(madeHeadings(plain, made.document)).toEqual([
    {
      traits: expect.objectContaining({ bold: true, size: undefined }),
      blocks: [0, 2, 4].map((i) => plain.blocks[i]!.id),
    },
  ]);
  const back = convert(plain, [...begun, markAsText(made.document.blocks.map(({ id }) => id))]);
  expect(back.document.blocks.map(({ kind }) => kind)).toEqual(plain.blocks.map(({ kind }) => kind));
  expect([back.ledger.lost, back.unplaced]).toEqual([0, []]);
  // One line is a chance, and marks of the author's are not added to.
  expect(beginning(doc(line('Costs'), tide, tide))[0]!.kind).toBe('map');
  expect(beginning(doc(h(1, 'A'), tide, line('D'), tide, line('E'), tide))[0]!.kind).toBe('map');
});
