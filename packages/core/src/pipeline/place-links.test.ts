/** Links within a document lead to the slides of what they mean, and to the same place in documents that are written. */
import { describe, expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import { checkPackage } from '../../../package-check/src/index.ts';
import { runsText } from '../content/index.ts';
import type { Edit } from '../edits/index.ts';
import { readDocument } from '../readers/index.ts';
import { joinDocuments } from '../structure/index.ts';
import { beginning } from './beginning.ts';
import { convert } from './convert.ts';
import { lookedAt, repaired, repairsOf, type Repairable } from './repairs.ts';
import { remarksOf } from '../checks/index.ts';
import { goalsOf, sceneOf, writeDeck } from './write-deck.ts';
import { drawSlide } from '../scene/index.ts';

const SOURCE = `# The mill

## Gates

- They leak, see [the costs](#costs) and [the pit](#the-pit)
- Oak, as [the log](https://mill.example/#log) says
- [Nothing](#nowhere) is known of the rest

What one says of the gates.

## Wheel

- Turns
- Creaks
- Stops

Said.

## Costs

| Work | Cost |
| --- | --- |
| [Gates](#gates) | much |
| Wheel | more |

### The pit

- Silt
- Water
- Eels
`;
const document = (await readDocument(new TextEncoder().encode(SOURCE), 'markdown')).document;
const made = (edits: readonly Edit[] = []) => convert(document, [...beginning(document), ...edits]);
const titled = (deck: ReturnType<typeof made>, title: string) =>
  deck.deck.slides.find((slide) => runsText(slide.title.runs) === title)!;
const part = (bytes: Uint8Array, name: string): string => strFromU8(unzipSync(bytes)[name]!);

test('a place that is a title leads to its slide, one that is a point to the slide on which it stands', () => {
  const deck = made();
  const goals = goalsOf(deck);
  expect([...goals.keys()].sort()).toEqual(['costs', 'gates', 'the-pit']);
  expect(goals.get('gates')).toBe(titled(deck, 'Gates').id);
  expect(goals.get('costs')).toBe(titled(deck, 'Costs').id);
  const pit = deck.deck.slides.find(({ content, title }) =>
    [title, ...content].some((one) => 'runs' in one && runsText(one.runs) === 'The pit'),
  )!;
  expect(goals.get('the-pit')).toBe(pit.id);
});

test('what was moved by hand is found where it is now', () => {
  const deck = made();
  const [to, from] = [titled(deck, 'Gates'), deck.deck.slides.find(({ id }) => id === goalsOf(deck).get('the-pit'))!];
  const point = from.content.find((one) => one.kind === 'point' && runsText(one.runs) === 'The pit');
  if (point === undefined) throw new Error('the pit is no point of this deck');
  const moved = made([{ kind: 'carry', parts: [point.id], to: to.id, before: null }]);
  expect(moved.unplaced).toEqual([]);
  expect(goalsOf(moved).get('the-pit')).toBe(to.id);
});

describe('written', () => {
  test('PPTX: a jump to the slide; what leads nowhere is words', async () => {
    const deck = made();
    const bytes = writeDeck('pptx', deck, []);
    expect(await checkPackage(bytes)).toEqual([]);
    const { slides } = sceneOf(deck);
    const number = (id: unknown): number => slides.find((slide) => slide.id === id)!.number;
    const [gates, costs] = [number(titled(deck, 'Gates').id), number(titled(deck, 'Costs').id)];
    const xml = part(bytes, `ppt/slides/slide${gates}.xml`);
    const rels = part(bytes, `ppt/slides/_rels/slide${gates}.xml.rels`);
    const clicks = [
      ...xml.matchAll(/<a:hlinkClick r:id="(\w+)"( action="ppaction:\/\/hlinksldjump")?\/><\/a:rPr><a:t>([^<]+)/g),
    ];
    expect(clicks.map(([, , jump, text]) => [text, jump !== undefined])).toEqual([
      ['the costs', true],
      ['the pit', true],
      ['the log', false],
    ]);
    const target = new RegExp(`Id="${clicks[0]![1]}"[^>]*Target="slide(\\d+).xml"`).exec(rels);
    expect(Number(target?.[1])).toBe(costs);
    // From a table too.
    expect(part(bytes, `ppt/slides/slide${costs}.xml`)).toMatch(/hlinksldjump"\/><\/a:rPr><a:t>Gates/);
  });

  test('ODP: the page that holds it', async () => {
    const bytes = writeDeck('odp', made(), []);
    expect(await checkPackage(bytes)).toEqual([]);
    const content = part(bytes, 'content.xml');
    const pages = [...content.matchAll(/<draw:page draw:name="([^"]+)"/g)].map(([, name]) => name);
    const goals = [...content.matchAll(/xlink:href="#([^"]+)"/g)].map(([, name]) => name);
    expect(goals.length).toBeGreaterThanOrEqual(3);
    for (const goal of goals) expect(pages).toContain(goal);
  });

  test('drawings say to which slide a piece leads', () => {
    const deck = made();
    const { slides, theme, goals } = sceneOf(deck);
    const drawn = drawSlide(
      slides.find(({ id }) => id === titled(deck, 'Gates').id)!,
      theme,
      goals,
    );
    const leads = drawn.texts.flatMap(({ pieces }) => pieces).filter(({ link }) => link !== undefined);
    const led = (link: string) => leads.find((piece) => piece.link === link)?.to;
    expect(led('#costs')).toBe(titled(deck, 'Costs').id);
    expect(led('#nowhere')).toBeUndefined();
    expect(led('https://mill.example/#log')).toBeUndefined();
  });

  test.each(['pptx', 'odp'] as const)(
    'the slides as %s, read as a document, lead to the titles of the same slides',
    async (type) => {
      const deck = made();
      const again = (await readDocument(writeDeck(type, deck, []), type)).document;
      const goals = goalsOf(deck);
      const titleOf = (name: string): string =>
        runsText(deck.deck.slides.find(({ id }) => id === goals.get(name))!.title.runs);
      const headed = new Map<string, string>(
        again.blocks.flatMap((block) =>
          block.kind === 'heading'
            ? (block.names ?? []).map((name) => [`#${name}`, runsText(block.runs)] as const)
            : [],
        ),
      );
      const runs = again.blocks.flatMap((block) =>
        block.kind === 'table'
          ? block.table.rows.flatMap(({ cells }) => cells.flatMap((cell) => cell.runs))
          : 'runs' in block
            ? block.runs
            : [],
      );
      const leads = Object.fromEntries(
        runs.flatMap(({ text, link }) => (link?.startsWith('#') === true ? [[text.trim(), headed.get(link)]] : [])),
      );
      expect(leads).toMatchObject({ 'the costs': titleOf('costs'), 'the pit': titleOf('the-pit'), Gates: 'Gates' });
      expect(runs.filter(({ link }) => link === 'https://mill.example/#log')).toHaveLength(1);
    },
  );

  test.each(['docx', 'odt', 'html', 'md'] as const)(
    'the document as %s, read again, leads to the same places',
    async (type) => {
      const bytes = writeDeck(type, made(), [], { source: true });
      if (type === 'docx' || type === 'odt') expect(await checkPackage(bytes)).toEqual([]);
      const again = (await readDocument(bytes, type === 'md' ? 'markdown' : type)).document;
      const places = again.blocks.flatMap(({ names = [] }) => names);
      const named = (text: string): string | undefined =>
        again.blocks.find((block) => block.kind === 'heading' && runsText(block.runs) === text)?.names?.[0];
      const links = again.blocks
        .flatMap((block) => ('runs' in block ? block.runs : []))
        .flatMap(({ link, text }) => (link?.startsWith('#') === true ? [[text, link.slice(1)]] : []));
      expect(links).toEqual([
        ['the costs', named('Costs')],
        ['the pit', named('The pit')],
        // One that leads nowhere stays what it was where nothing has to be found for it.
        ...(type === 'md' ? [['Nothing', 'nowhere']] : []),
      ]);
      expect(places).toHaveLength(3);
    },
  );
});

test('of several files each leads within itself', async () => {
  const one = (name: string) =>
    readDocument(
      new TextEncoder().encode(`# ${name}\n\nSee [costs](#costs).\n\n## Costs\n\nOf ${name}.\n`),
      'markdown',
    );
  const parts = await Promise.all(['A', 'B'].map(one));
  const joined = joinDocuments(parts.map((part, i) => ({ name: `${i}.md`, document: part.document })));
  const costs = joined.blocks.filter((block) => block.kind === 'heading' && runsText(block.runs) === 'Costs');
  const links = joined.blocks.flatMap((block) => ('runs' in block ? block.runs : [])).flatMap(({ link }) => link ?? []);
  expect(costs.map(({ names }) => names)).toEqual([['1/costs'], ['2/costs']]);
  expect(links).toEqual(['#1/costs', '#2/costs']);
});

test('Check tells what leads nowhere, and to a slide that is hidden; showing it mends that', () => {
  const kinds = (deck: ReturnType<typeof made>) =>
    remarksOf(lookedAt(deck)).filter(({ kind }) => kind === 'dead-link' || kind === 'hidden-link');
  const deck = made();
  expect(kinds(deck)).toEqual([expect.objectContaining({ kind: 'dead-link', text: 'Nothing', count: 1 })]);
  const costs = titled(deck, 'Costs').id;
  const hidden = made([{ kind: 'hide', slides: [costs], hidden: true }]);
  expect(kinds(hidden).map(({ kind, text }) => [kind, text])).toEqual([
    ['dead-link', 'Nothing'],
    ['hidden-link', 'the costs'],
  ]);
  const deckOf = (edits: readonly Edit[]): Repairable => {
    let names = 0;
    return {
      original: document,
      edits,
      converted: convert(document, edits),
      templates: new Map(),
      fresh: () => `n${++names}`,
    };
  };
  const worked = deckOf([...beginning(document), { kind: 'hide', slides: [costs], hidden: true }]);
  for (const kind of ['dead-link', 'hidden-link'] as const) {
    const remark = kinds(worked.converted).find((one) => one.kind === kind)!;
    const steps = repairsOf(remark, worked);
    let step = steps.next();
    while (step.done !== true) step = steps.next();
    const [way] = step.value;
    const after = kinds(repaired(worked, way!.edits).converted);
    expect([kind, way!.name, after.map((one) => one.kind)]).toEqual(
      kind === 'dead-link' ? [kind, 'drop-link', ['hidden-link']] : [kind, 'show-slide', ['dead-link']],
    );
  }
});
