/** What every ready-made map, rule and mark makes of documents that hold everything: the golden files say it, and people read them. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { DENSITIES } from '../deck/index.ts';
import { headingLevels, type DocumentModel } from '../document/index.ts';
import { code, doc, h, li, note, p, picture, quote, rule, table, type Draft } from '../test/build.ts';
import { GOLDEN, holdTo } from '../test/golden.ts';
import { shortDeck } from '../test/short-deck.ts';
import { fitMap } from './fit-map.ts';
import { sectionsToLeave } from './leave-sections.ts';
import { ledgerEntries } from './ledger.ts';
import { mapDocument } from './map-document.ts';
import { fillMatter, withMatter, withPlaces } from './matter.ts';
import { NO_OVERRIDES, type Overrides } from './plan.ts';
import { PRESET_NAMES, presetRecipe, type MapRecipe } from './preset-maps.ts';
import { candidateMaps, costMap, suggest } from './suggest-map.ts';

const caption = (text: string): Draft => ({ ...p(text), role: 'caption' }) as Draft;
const bold = (text: string): Draft => p([{ text, bold: true }]);
const left = (draft: Draft, as: 'deleted' | 'furniture'): Draft => ({ ...draft, left: as }) as Draft;

/** Holds every kind of block, in the places where what becomes of it differs. */
const COURSE = doc(
  left(p('Trust papers, page 1'), 'furniture'),
  p('For the meeting in May'),
  h(1, 'Working the Sallow Quay tide mill'),
  p('A course for volunteers', 'subtitle'),
  p('The trustees, spring'),
  p('Contents 1 The pond 2 The wheel', 'contents'),
  p('The mill grinds twice a day, whenever the tide has left the pond full. Nobody chooses the hour. The moon does.'),
  h(2, 'The pond'),
  h(3, 'How it fills'),
  p(
    'The gates hang so that the flood opens them and the ebb shuts them. Nobody needs to stand there. On spring tides the pond holds eleven acres of water, however, and the bank must be walked before each of them.',
  ),
  li('Walk the bank'),
  li('Look for moles', 2),
  li('Look for roots', 2),
  li(
    'Count the boards, and write down in the book how many of them there are, since the next watch will want to know it before the flood comes in',
  ),
  h(4, 'In frost'),
  li('Break the ice at the gate', 1, 1),
  li('Never stand on it', 1, 2),
  p('Ice at the gate weighs a ton.'),
  h(5, 'When it thaws'),
  li('Wait'),
  li('One tide at least', 2),
  li('Two after a week of frost', 3),
  picture('a', 'The pond at low water'),
  caption('The pond at low water, seen from the quay'),
  h(3, 'How it empties'),
  table([
    ['Tide', 'Hours of grinding'],
    ['Spring', '5'],
    ['Neap', '3'],
  ]),
  p('The hours are those of the book.'),
  quote('The water waits for nobody.'),
  p('— The last miller'),
  note('The book has been kept since the mill was mended.'),
  rule(),
  h(2, 'The wheel'),
  h(3, 'Overview'),
  p('What turns must be heard before it is seen.'),
  code('open gate\nlisten\nclose gate'),
  p('Three words to learn by heart.'),
  h(3, ''),
  h(3, 'Care'),
  bold('Every day'),
  p('Grease the gudgeons, look at the wedges, and sweep the race. It takes a quarter of an hour.'),
  picture(undefined, 'A lost drawing'),
  picture('b'),
  left(p('An old paragraph that was deleted.'), 'deleted'),
  h(2, 'The stones'),
  h(3, 'Overview'),
  h(3, 'Dressing'),
  p(
    'Furrows are cut by hand, each a little deeper at the eye, and the lands between them are left as flat as a table.',
  ),
  h(2, 'Thank you'),
);

/** Running text without headings. */
const LETTER = doc(
  p('Sehr geehrte Damen und Herren'),
  p(
    'die Mühle am Kai wird im Frühjahr wieder mahlen. Das Wehr ist erneuert, das Rad ist ausgewuchtet, und die Steine sind geschärft. Wir laden Sie ein, an einem der ersten Mahltage dabei zu sein und mit uns zu sehen, wie das Mehl in die Säcke läuft.',
  ),
  bold('Was noch fehlt'),
  p(
    'Für den Betrieb fehlen uns noch acht Freiwillige. Sie sollten einmal in der Woche einen halben Tag Zeit haben, gut hören und schwindelfrei sein. Alles andere lernt man hier in einem Kurs von vier Abenden, den die Mühlenwarte halten.',
  ),
  li('Ein Kurs von vier Abenden'),
  li('Danach ein Mahltag mit einem Wart'),
  p(
    'Die Kosten trägt der Verein. Wer möchte, kann spenden: Das Geld kommt in die Kasse für das Dach, das in zwei Jahren erneuert werden muss, weil die Schindeln an der Wetterseite brüchig sind und der Dachstuhl an zwei Stellen nass geworden ist.',
  ),
  p('Mit freundlichen Grüßen'),
);

/** Branches that want titles at different levels. */
const UNEVEN = doc(
  h(1, 'Report'),
  h(2, 'Much below'),
  ...[1, 2, 3].flatMap((n) => [
    h(3, `Part ${n}`),
    ...Array.from({ length: 7 }, (_, i) =>
      li(`A point of the middling length that people write, number ${i} of part ${n}`),
    ),
  ]),
  h(2, 'Little below'),
  h(3, 'This'),
  li('One'),
  h(3, 'That'),
  li('Two'),
  h(2, 'Code below'),
  code(Array.from({ length: 40 }, (_, i) => `line ${i}`).join('\n')),
  h(2, 'Pictures below'),
  picture('a', 'One'),
  picture('b', 'Two'),
  table([['1'], ['2']]),
  h(2, 'Speech below'),
  p('So much is said of this that it could be two slides. '.repeat(60)),
  h(3, 'And more'),
  p('A little more.'),
);

const DOCUMENTS: Readonly<Record<string, DocumentModel>> = { course: COURSE, letter: LETTER, uneven: UNEVEN };

const deckBy = (document: DocumentModel, { map, prose, branches = [] }: MapRecipe, over: Partial<Overrides> = {}) =>
  mapDocument(document, map, { ...NO_OVERRIDES, prose, ...over, branches: [...branches, ...(over.branches ?? [])] });
const under = (title: string, lines: readonly string[]): readonly string[] => [`== ${title}`, ...lines, ''];
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
