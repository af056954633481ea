import { describe, expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import {
  DENSITIES,
  DESTINATIONS,
  destinationsOf,
  TEXT_KINDS,
  type Deck,
  type Destination,
  type LevelMap,
  type Prose,
  type TextKind,
} from '../deck/index.ts';
import { documentWords, type DocumentModel } from '../document/index.ts';
import {
  code,
  doc,
  h,
  li,
  note,
  p,
  picture,
  quote,
  random,
  randomDocument,
  rule,
  table,
  type Draft,
} from '../test/build.ts';
import { makeLedger } from './ledger.ts';
import { mapDocument } from './map-document.ts';
import { NO_OVERRIDES, type Overrides } from './plan.ts';
import { presetMap } from './preset-maps.ts';
import { suggestTitle } from '../shorten/index.ts';
import { textKindOf } from './text-kind.ts';

const talk = (document: DocumentModel, overrides: Partial<Overrides> = {}): Deck =>
  mapDocument(document, presetMap('talk', document), { ...NO_OVERRIDES, ...overrides });
const idOf = (document: DocumentModel, text: string): string =>
  document.blocks.find((block) => 'runs' in block && runsText(block.runs) === text)!.id;

/** Slides in short: title, points with their level as dashes, texts in quotes, notes in brackets. */
const short = (deck: Deck): readonly string[] =>
  deck.slides.map((slide) => {
    const content = slide.content.map((part) =>
      part.kind === 'point'
        ? `${'-'.repeat(part.level)}${runsText(part.runs)}`
        : part.kind === 'text'
          ? `"${runsText(part.runs)}"`
          : part.kind,
    );
    const notes = slide.notes.map((one) => `[${runsText(one.runs)}]`);
    return [runsText(slide.title.runs), ...content, ...notes].join(' ');
  });

describe('nesting', () => {
  test('list items stand below the point of their heading, in document order, on the title’s slide', () => {
    const deck = talk(
      doc(
        h(1, 'T'),
        li('x'),
        h(2, 'A'),
        li('a1'),
        li('a2', 2),
        h(3, 'B'),
        li('b1'),
        h(2, 'C'),
        li('c1'),
        h(1, 'U'),
        li('u1'),
      ),
    );
    expect(short(deck)).toEqual(['T -x -A --a1 ---a2 --B ---b1 -C --c1', 'U -u1']);
  });

  test('no level is skipped, however deep the list starts', () => {
    expect(short(talk(doc(h(1, 'T'), li('deep', 4), li('less', 2), h(1, 'U'))))).toEqual(['T -deep -less', 'U']);
  });

  test('lists below deep headings keep their depth; headings share a level where there are not enough', () => {
    const lists = [li('a'), li('b', 2), li('c', 3), li('d', 2)];
    const deep = doc(h(1, 'S'), h(1, 'T'), h(2, 'A'), h(3, 'B'), h(4, 'C'), h(5, 'D'), ...lists);
    expect(short(talk(deep))).toEqual(['S', 'T -A --B --C --D ---a ----b -----c ----d']);
    const mixed = doc(h(1, 'T'), h(2, 'A'), h(3, 'B'), ...lists, h(1, 'U'), h(2, 'A'), h(3, 'B'), h(4, 'C'), h(5, 'D'));
    expect(short(talk(mixed))).toEqual(['T -A --B ---a ----b -----c ----d', 'U -A --B ---C ----D']);
  });

  test('a mark puts a point where the author wants it, and what follows nests as before', () => {
    const document = doc(h(1, 'T'), h(2, 'A'), li('a1'), li('a2'), h(2, 'B'), h(1, 'U'));
    expect(short(talk(document, { turned: new Map([[idOf(document, 'a1'), 'point1']]) }))[0]).toBe('T -A -a1 --a2 -B');
  });
});

describe('notes', () => {
  test('body text goes with the point that it explains', () => {
    const deck = talk(doc(h(1, 'T'), p('intro'), h(2, 'A'), p('about a'), note('source'), h(1, 'U'), p('u')));
    expect(short(deck)).toEqual(['T -A [intro] [about a] [source]', 'U [u]']);
    expect(deck.slides[0]!.notes.map((one) => one.anchor)).toEqual([
      null,
      deck.slides[0]!.content[0]!.id,
      deck.slides[0]!.content[0]!.id,
    ]);
  });

  test('lists stay lists', () => {
    const document = doc(h(1, 'T'), li('a', 1, true), li('b', 2));
    const deck = mapDocument(document, { ...presetMap('talk', document), list1: 'notes', list2: 'notes' });
    expect(deck.slides[0]!.notes.map(({ kind, depth, ordered }) => ({ kind, depth, ordered }))).toEqual([
      { kind: 'item', depth: 1, ordered: true },
      { kind: 'item', depth: 2, ordered: false },
    ]);
  });

  test('a table that is spoken gives a paragraph a row', () => {
    const document = doc(
      h(1, 'T'),
      table([
        ['a', 'b'],
        ['1', '2'],
      ]),
    );
    expect(short(mapDocument(document, { ...presetMap('talk', document), table: 'notes' }))).toEqual([
      'T [a | b] [1 | 2]',
    ]);
  });
});

describe('covers and sections', () => {
  test('a title with its subtitle becomes a cover', () => {
    const deck = talk(doc(p('The mill', 'title'), p('For the meeting', 'subtitle'), h(1, 'A')));
    expect(deck.slides.map((slide) => slide.kind)).toEqual(['cover', 'content']);
    expect(short(deck)[0]).toBe('The mill "For the meeting"');
  });

  test('so does a lone first heading above the others, whose levels then move up', () => {
    const deck = talk(doc(h(1, 'The mill'), p('hello'), h(2, 'A'), h(3, 'a'), h(2, 'B')));
    expect(short(deck)).toEqual(['The mill [hello]', 'A -a', 'B']);
    expect(deck.slides[0]!.kind).toBe('cover');
  });

  test('a single heading is a slide, not a cover', () => {
    expect(talk(doc(h(1, 'Only'), li('x'))).slides.map((slide) => slide.kind)).toEqual(['content']);
  });

  test('the reading map opens sections with the highest of three levels and keeps text on slides', () => {
    const document = doc(h(1, 'S'), p('s'), h(2, 'A'), p('text'), h(3, 'a'), h(1, 'Z'), h(2, 'B'));
    const deck = mapDocument(document, presetMap('reading', document));
    expect(deck.slides.map((slide) => [slide.kind, slide.section])).toEqual([
      ['section', 'S'],
      ['content', 'S'],
      ['content', 'S'],
      ['section', 'Z'],
      ['content', 'Z'],
    ]);
    expect(short(deck)).toEqual(['S', 'S "s"', 'A "text" -a', 'Z', 'B']);
  });
});

describe('never blank, never without a title', () => {
  test('text before the first heading gets a slide with a suggested title', () => {
    expect(short(talk(doc(li('first thing'), h(1, 'T'), h(1, 'U'))))).toEqual(['first thing -first thing', 'T', 'U']);
    expect(short(talk(doc(p('Only spoken words. And more.'))))).toEqual([
      'Only spoken words [Only spoken words. And more.]',
    ]);
  });

  test('empty headings and separators make no slide', () => {
    const deck = talk(doc(h(1, 'T'), h(1, ''), rule(), h(1, 'U')));
    expect(short(deck)).toEqual(['T', 'U']);
    expect(deck.leftOut.map((one) => one.reason)).toEqual(['no-words', 'no-words']);
  });

  test('a long first sentence is cut at a word', () => {
    expect(suggestTitle('one two three four five six seven eight nine', 'und')).toBe(
      'one two three four five six seven eight …',
    );
  });
});

describe('cuts and joins', () => {
  const document = doc(h(1, 'T'), h(2, 'A'), p('about a'), h(2, 'B'), p('about b'), h(1, 'U'), li('u'));

  test('a cut goes on under the same title, with the notes of what moved', () => {
    const deck = talk(document, { cuts: new Set([idOf(document, 'B')]) });
    expect(short(deck)).toEqual(['T -A [about a]', 'T -B [about b]', 'U -u']);
    expect(deck.slides[1]!.continues).toBe(true);
  });

  test('a cut before spoken text takes effect at the next content', () => {
    expect(short(talk(document, { cuts: new Set([idOf(document, 'about a')]) }))).toEqual([
      'T -A',
      'T -B [about a] [about b]',
      'U -u',
    ]);
  });

  test('a cut that nothing follows has no effect', () => {
    expect(short(talk(document, { cuts: new Set([idOf(document, 'about b')]) }))).toEqual([
      'T -A -B [about a] [about b]',
      'U -u',
    ]);
  });

  test('a joined slide goes on the one before, its title as a point above its points', () => {
    expect(short(talk(document, { joins: new Set([idOf(document, 'U')]) }))).toEqual([
      'T -A -B -U --u [about a] [about b]',
    ]);
  });
});

test('what is left out has its reason', () => {
  const document = doc(
    p('Contents 1', 'contents'),
    h(1, 'T'),
    picture(undefined, 'gone'),
    p('turned'),
    quote('by map'),
    code('x'),
  );
  const deck = mapDocument(
    document,
    { ...presetMap('talk', document), quote: 'out' },
    { ...NO_OVERRIDES, turned: new Map([[idOf(document, 'turned'), 'out']]) },
  );
  expect(deck.leftOut.map((one) => one.reason)).toEqual(['contents', 'no-picture', 'by-mark', 'by-map']);
});

test('a footnote is told only where nothing else is said', () => {
  const told = (...drafts: readonly Draft[]) => {
    const document = doc(...drafts);
    const { slides } = mapDocument(document, presetMap('talk', document), { ...NO_OVERRIDES, prose: { as: 'told' } });
    return slides[0]!.content.map((part) => ('runs' in part ? runsText(part.runs) : ''));
  };
  const gates = h(1, 'Gates');
  expect(told(gates, p('The gates leak at low water.'), note('Level book, entries for March.'))).toEqual([
    'The gates leak at low water.',
  ]);
  expect(told(gates, note('Level book, entries for March.'))).toEqual(['Level book, entries for March.']);
});

test('over random documents, maps, marks, cuts and joins: every word is accounted for, levels nest, no slide is blank', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const next = random(seed);
    const document = randomDocument(next, 80);
    const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
    const map = Object.fromEntries(TEXT_KINDS.map((kind) => [kind, pick(destinationsOf(kind))])) as LevelMap;
    const some = (share: number) => document.blocks.filter(() => next() < share);
    const mixes = some(0.04).map(({ id }, i) => ({
      from: id,
      until: pick([null, ...document.blocks])?.id ?? null,
      map: i % 2 === 0 ? map : presetMap('reading', document),
      branches: [],
      prose: pick<Prose>([{ as: 'whole' }, { as: 'told' }, { as: 'first' }, { as: 'short', density: 'half' }]),
    }));
    const turned = new Map(
      some(0.1).flatMap((block): [string, Destination][] => {
        const kind: TextKind | undefined = textKindOf(block);
        return kind === undefined ? [] : [[block.id, pick(DESTINATIONS)]];
      }),
    );
    const deck = mapDocument(document, seed % 3 === 0 ? map : presetMap(seed % 2 ? 'talk' : 'reading', document), {
      turned,
      cuts: new Set(some(0.1).map((block) => block.id)),
      joins: new Set(some(0.1).map((block) => block.id)),
      mixes,
      branches: some(0.05).map(({ id }) => ({ block: id, text: 'body', to: pick(DESTINATIONS) })),
      prose: pick<Prose>([
        { as: 'whole' },
        { as: 'first' },
        ...DENSITIES.map((density) => ({ as: 'short' as const, density })),
      ]),
      cover: next() < 0.7,
    });
    const ledger = makeLedger(document, deck);
    expect(ledger.lost).toBe(0);
    expect(ledger.document).toBe(documentWords(document));
    expect(ledger.slides + ledger.notes + ledger.leftOut).toBe(ledger.document);
    const passages = deck.slides.flatMap((slide) => slide.passages);
    if (deck.slides.length > 0) expect(passages).toEqual(document.blocks.map((block) => block.id));
    expect(new Set(deck.slides.map((slide) => slide.id)).size).toBe(deck.slides.length);
    for (const slide of deck.slides) {
      expect(runsText(slide.title.runs).trim()).not.toBe('');
      let before = 0;
      for (const part of slide.content) {
        if (part.kind !== 'point') continue;
        expect(part.level).toBeLessThanOrEqual(before + 1);
        before = part.level;
      }
    }
  }
});
