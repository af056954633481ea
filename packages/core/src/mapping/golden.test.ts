/** What every ready-made map, rule and mark makes of documents that hold everything: the golden files say it, and people read them. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { DENSITIES } from '../deck/index.ts';
import { headingLevels, type DocumentModel } from '../document/index.ts';
import { code, doc, h, li, note, p } from '../test/build.ts';
import { COURSE, DOCUMENTS, LETTER } from '../test/documents.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import { shortDeck } from '../test/short-deck.ts';
import { fitMap } from './fit-map.ts';
import { sectionsToLeave } from './leave-sections.ts';
import { ledgerEntries } from './ledger.ts';
import { mapDocument } from './map-document.ts';
import { fillMatter, withMatter, withPlaces } from './matter.ts';
import { NO_OVERRIDES, type Overrides } from './plan.ts';
import { PRESET_NAMES, presetRecipe, type MapRecipe } from './preset-maps.ts';
import { candidateMaps, costMap, suggest } from './suggest-map.ts';

const deckBy = (document: DocumentModel, { map, prose, branches = [] }: MapRecipe, over: Partial<Overrides> = {}) =>
  mapDocument(document, map, { ...NO_OVERRIDES, prose, ...over, branches: [...branches, ...(over.branches ?? [])] });
const file = (name: string): string => join(GOLDEN, 'mapping', `${name}.txt`);
const named = (document: DocumentModel, text: string) =>
  document.blocks.find((block) => 'runs' in block && block.runs.map((run) => run.text).join('') === text)!.id;

test.each(Object.keys(DOCUMENTS))('ready-made maps of the %s', (name) => {
  const document = DOCUMENTS[name]!;
  holdTo(
    file(name),
    PRESET_NAMES.flatMap((preset) =>
      under(preset, shortDeck(document, deckBy(document, presetRecipe(preset, document)))),
    ),
  );
});

test('marks, cuts, joins, rules, mixed passages and running text by density', () => {
  const talk = presetRecipe('talk', COURSE);
  const of = (text: string) => named(COURSE, text);
  const over = (title: string, overrides: Partial<Overrides>, recipe: MapRecipe = talk): readonly string[] =>
    under(title, shortDeck(COURSE, deckBy(COURSE, recipe, overrides)));
  holdTo(file('marks'), [
    ...over('turned', {
      turned: new Map([
        [of('Walk the bank'), 'notes'],
        [of('Look for roots'), 'point1'],
        [of('Ice at the gate weighs a ton.'), 'point5'],
        [of('The wheel'), 'section'],
        [of('Care'), 'title'],
        [of('Never stand on it'), 'out'],
        [of('The hours are those of the book.'), 'slide'],
      ]),
    }),
    ...over('cut and joined', {
      cuts: new Set([of('Walk the bank'), of('Ice at the gate weighs a ton.'), of('Three words to learn by heart.')]),
      joins: new Set([of('The wheel')]),
    }),
    ...over('below one heading', {
      branches: [
        { block: of('The pond'), text: 'body', to: 'point3' },
        { block: of('The pond'), text: 'list1', to: 'notes' },
        { block: of('The wheel'), text: 'heading3', to: 'title' },
      ],
    }),
    ...over('mixed', {
      mixes: [{ from: of('The wheel'), until: of('The stones'), branches: [], ...presetRecipe('reading', COURSE) }],
    }),
    ...over('no cover', { cover: false }),
    ...DENSITIES.flatMap((density) =>
      over(`shortened, ${density}`, {}, { ...presetRecipe('decision', COURSE), prose: { as: 'short', density } }),
    ),
    ...over(
      'shortened on the slide',
      {},
      { ...presetRecipe('reading', COURSE), prose: { as: 'short', density: 'half' } },
    ),
  ]);
});

/** Where the file says which headings make slides, and headings, items and notes at the edge of what is told of them. */
const SLIDED: DocumentModel = {
  ...doc(
    h(1, 'Named'),
    li('Oak. It is at hand, and cheap. Nobody minds.'),
    li('One sentence that, however, could lose a part of it, as they say'),
    h(1, ''),
    p('What stands below a heading without words gives it a name.'),
    h(2, ''),
    li('An item below an empty one of a lower level'),
    h(1, 'Only a label'),
    p('Every day:'),
    h(1, 'Only a footnote'),
    note('Seen in May.'),
    h(1, 'A label and a footnote'),
    p('Every day:'),
    note('Seen in May. Nobody minds.'),
    h(1, 'Code with little said before it'),
    p('What it does is told here, before it is seen.'),
    code(Array.from({ length: 9 }, (_, i) => `line ${i}`).join('\n')),
    h(1, 'More code'),
    p('What it does is told here, before it is seen.'),
    code(Array.from({ length: 10 }, (_, i) => `line ${i}`).join('\n')),
    h(1, 'Said again'),
    p('Said again.'),
    p('And something else is said here that is no title.'),
    h(1, 'Sentences'),
    p('One. Two and three. Four, five and six are said at some length here. Seven. Eight is the last of them all.'),
  ),
  slidesAt: 1,
};

test('slides that the file names, and what is told at the edges', () => {
  const { slidesAt: _, ...unsaid } = SLIDED;
  holdTo(
    file('slided'),
    [SLIDED, unsaid].flatMap((document: DocumentModel, i) => [
      ...PRESET_NAMES.flatMap((preset) =>
        under(
          `${preset}, ${i === 0 ? 'slides at 1' : 'not said'}`,
          shortDeck(document, deckBy(document, presetRecipe(preset, document))),
        ),
      ),
      ...DENSITIES.flatMap((density) =>
        under(
          `${density}, ${i}`,
          shortDeck(
            document,
            deckBy(document, { ...presetRecipe('decision', document), prose: { as: 'short', density } }),
          ),
        ),
      ),
    ]),
  );
});

test('front and back matter, and where openers stand', () => {
  const wishes = new Map((['cover', 'agenda', 'key-points', 'sources'] as const).map((kind) => [kind, true] as const));
  const linked = doc(
    h(1, 'Two rivers'),
    ...['Upper', 'Lower', 'Delta'].flatMap((name) => [
      h(2, name),
      p([{ text: `The ${name} river is told of ` }, { text: 'elsewhere', link: `https://example.org/${name}` }]),
      li(`The ${name.toLowerCase()} river carries less water than it did`),
      li('Nobody knows why'),
      note(`A survey of the ${name.toLowerCase()} river, unpublished.`),
    ]),
  );
  holdTo(
    file('matter'),
    (['talk', 'lesson', 'reading'] as const).flatMap((preset) =>
      [COURSE, LETTER, linked].flatMap((document, i) => {
        const deck = withMatter(deckBy(document, presetRecipe(preset, document)), document, wishes);
        const filled = fillMatter(deck, document);
        return under(
          `${preset}, ${['course', 'letter', 'linked'][i]}`,
          shortDeck(document, { ...filled, slides: withPlaces(filled.slides) }),
        );
      }),
    ),
  );
});

test('what maps cost, what is left out for a length, and which headings make slides', () => {
  const targets = [
    { slides: null, minutes: null, pace: 130 },
    { slides: 6, minutes: null, pace: 130 },
    { slides: 20, minutes: null, pace: 130 },
    { slides: null, minutes: 3, pace: 100 },
    { slides: 8, minutes: 10, pace: 130 },
  ];
  holdTo(
    file('costs'),
    Object.entries(DOCUMENTS).flatMap(([name, document]) => [
      ...targets.flatMap((target) => {
        const costed = candidateMaps(document).map((candidate) => costMap(document, candidate, target));
        const { near, costed: sorted } = suggest(costed, target);
        return under(
          `${name}, ${JSON.stringify(target)}, ${near ? 'near' : 'not near'}`,
          sorted.map(
            (one) =>
              `${one.base}${one.readyMade ? '' : ' varied'}, ${one.full}: ${one.slides} slides, ${one.words} words, ${one.spokenMinutes.toFixed(2)} min, ${one.spills} spill, ${one.empty} empty, ${one.deep.toFixed(2)} deep, cost ${one.cost.toFixed(3)}`,
          ),
        );
      }),
      ...under(`${name}, fitted`, [
        JSON.stringify({ above: fitMap(document, headingLevels(document.blocks)).above }),
        ...fitMap(document, headingLevels(document.blocks)).branches.map(
          ({ block, text, to }) => `@${document.blocks.findIndex(({ id }) => id === block)} ${text} → ${to}`,
        ),
      ]),
      ...under(
        `${name}, left`,
        [1, 2, 4, 6, 9].map((wanted) => {
          const slides = deckBy(document, presetRecipe('talk', document)).slides.map(
            ({ passages: [block], content }) => ({
              block,
              cost: 1 + content.length / 4,
            }),
          );
          return `${wanted}: ${sectionsToLeave(document, slides, wanted)?.titles.join(', ') ?? '-'}`;
        }),
      ),
      ...under(
        `${name}, entries`,
        (['talk', 'decision'] as const).map((preset) =>
          ledgerEntries(document, deckBy(document, presetRecipe(preset, document)))
            .map(({ account, words, reason }) => `${account} ${words}${reason === undefined ? '' : ` ${reason}`}`)
            .join(', '),
        ),
      ),
    ]),
  );
});
