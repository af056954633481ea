/** Work on slides: what each edit does, and that nothing is lost by any row of them. */
import { describe, expect, test } from '@jest/globals';
import { runsText, plain } from '../content/index.ts';
import type { Deck } from '../deck/index.ts';
import { documentWords, type DocumentModel } from '../document/index.ts';
import { makeLedger, mapDocument, presetMap } from '../mapping/index.ts';
import { doc, h, li, p, picture, random, randomDocument, table } from '../test/build.ts';
import { randomSlideEdit } from '../test/random-edits.ts';
import { decide } from './decide.ts';
import type { Edit } from './edit.ts';
import { KINDS, type SingleEdit } from './kinds.ts';
import { replay } from './replay.ts';
import type { SlideId, PartId } from '../ids/index.ts';

const mill = doc(
  h(1, 'Tide'),
  li('spring'),
  p('The spring tide lasts five hours.'),
  li('head', 2),
  li('neap'),
  h(1, 'Gates'),
  li('north'),
  p('The north gate is seized.'),
  li('south'),
  h(1, 'Roof'),
  p('Slates.'),
);
const made = (document: DocumentModel): Deck => mapDocument(document, presetMap('talk', document));
const ids = (document: DocumentModel): ReadonlySet<string> => new Set(document.blocks.map(({ id }) => id));
const deck = made(mill);
const slideNamed = (title: string): SlideId => deck.slides.find((slide) => runsText(slide.title.runs) === title)!.id;
const partNamed = (text: string): PartId =>
  deck.slides
    .flatMap((slide) => [...slide.content, ...slide.notes])
    .find((part) => 'runs' in part && runsText(part.runs) === text)!.id as PartId;
const [tide, gates, roof] = ['Tide', 'Gates', 'Roof'].map(slideNamed) as [SlideId, SlideId, SlideId];

/** `Tide: 1 spring, 2 head | said`, a line for each slide. */
const short = (some: Deck): readonly string[] =>
  some.slides.map((slide) => {
    const content = slide.content.map((part) =>
      'runs' in part ? `${'level' in part ? part.level : 't'} ${runsText(part.runs)}` : part.kind,
    );
    const notes = slide.notes.map((note) => runsText(note.runs));
    return `${slide.hidden ? '(hidden) ' : ''}${runsText(slide.title.runs)}: ${content.join(', ')}${notes.length > 0 ? ` | ${notes.join(' / ')}` : ''}`;
  });
const after = (...edits: readonly Edit[]): Deck => {
  const { deck: result, unplaced } = replay(deck, edits, ids(mill));
  expect(unplaced).toEqual([]);
  expect(makeLedger(mill, result)).toMatchObject({ lost: 0, document: documentWords(mill) });
  return result;
};
const TIDE = 'Tide: 1 spring, 2 head, 1 neap | The spring tide lasts five hours.';
const GATES = 'Gates: 1 north, 1 south | The north gate is seized.';
const ROOF = 'Roof:  | Slates.';

test('the deck that the edits are made on', () => expect(short(deck)).toEqual([TIDE, GATES, ROOF]));

describe('slides', () => {
  test('are put before another one, or at the end, in their own order', () => {
    expect(short(after({ kind: 'order', slides: [roof, gates], before: tide }))).toEqual([GATES, ROOF, TIDE]);
    expect(short(after({ kind: 'order', slides: [tide], before: null }))).toEqual([GATES, ROOF, TIDE]);
  });
  test('that were put before front or back matter stay there when that is sent away', () => {
    expect(short(after({ kind: 'order', slides: [roof], before: 'm-agenda' as SlideId }))).toEqual([ROOF, TIDE, GATES]);
    expect(short(after({ kind: 'order', slides: [tide], before: 'm-sources' as SlideId }))).toEqual([
      GATES,
      ROOF,
      TIDE,
    ]);
  });
  test('are taken out, told as left out, and brought back to where they stood', () => {
    const without = after({ kind: 'remove', slides: [tide, gates] });
    expect(short(without)).toEqual([ROOF]);
    expect(without.removed.map(({ slide, before }) => [slide.id, before])).toEqual(
      expect.arrayContaining([
        [tide, roof],
        [gates, roof],
      ]),
    );
    expect(makeLedger(mill, without).leftOut).toBeGreaterThan(8);
    expect(short(after({ kind: 'remove', slides: [tide, gates] }, { kind: 'restore', slides: [gates] }))).toEqual([
      GATES,
      ROOF,
    ]);
    expect(
      short(
        after(
          { kind: 'remove', slides: [gates] },
          { kind: 'remove', slides: [roof] },
          { kind: 'restore', slides: [gates, roof] },
        ),
      ),
    ).toEqual([TIDE, GATES, ROOF]);
  });
  test('keep what was written on them while they are out', () => {
    const edits: Edit[] = [
      { kind: 'remove', slides: [gates] },
      { kind: 'retitle', slide: gates, runs: plain('Sluices') },
    ];
    expect(short(after(...edits))).toEqual([TIDE, ROOF]);
    expect(short(after(...edits, { kind: 'restore', slides: [gates] }))[1]).toMatch(/^Sluices/);
  });
  test('are hidden and shown', () => {
    expect(short(after({ kind: 'hide', slides: [gates], hidden: true }))[1]).toBe(`(hidden) ${GATES}`);
    expect(
      after({ kind: 'hide', slides: [gates], hidden: true }, { kind: 'hide', slides: [gates], hidden: false }),
    ).toEqual(deck);
  });
  test('are copied, and the copy is worked on by itself', () => {
    const copy = 'copy' as SlideId;
    const north = partNamed('north');
    expect(
      short(
        after(
          { kind: 'duplicate', slide: gates, as: copy },
          { kind: 'reword', part: `copy:${north}` as never, runs: plain('left') },
        ),
      ),
    ).toEqual([TIDE, GATES, 'Gates: 1 left, 1 south | The north gate is seized.', ROOF]);
  });
  test('of one’s own are added with a title, and points on them', () => {
    const own = 'own' as SlideId;
    expect(
      short(
        after(
          { kind: 'add', slide: own, after: null, title: plain('Welcome') },
          { kind: 'insert', slide: own, part: 'x' as never, after: null, level: 2, runs: plain('first') },
          { kind: 'insert', slide: own, part: 'y' as never, after: 'x' as never, level: 2, runs: plain('second') },
        ),
      )[0],
    ).toBe('Welcome: 1 first, 2 second');
  });
  test('are parted and go on another, whatever they are', () => {
    expect(
      short(after({ kind: 'split', slide: tide, part: partNamed('neap'), as: 'new' as SlideId })).slice(0, 2),
    ).toEqual(['Tide: 1 spring, 2 head | The spring tide lasts five hours.', 'Tide: 1 neap']);
    expect(short(after({ kind: 'merge', slide: gates, into: tide }))).toEqual([
      'Tide: 1 spring, 2 head, 1 neap, 1 Gates, 2 north, 2 south | The spring tide lasts five hours. / The north gate is seized.',
      ROOF,
    ]);
  });
});

describe('parts', () => {
  test('go to another slide with what explains them and with their passages', () => {
    const result = after({ kind: 'carry', parts: [partNamed('north')], to: tide, before: partNamed('neap') });
    expect(short(result)).toEqual([
      'Tide: 1 spring, 2 head, 1 north, 1 neap | The spring tide lasts five hours. / The north gate is seized.',
      'Gates: 1 south',
      ROOF,
    ]);
    const passages = result.slides.map((slide) =>
      slide.passages.map((id) => mill.blocks.findIndex((block) => block.id === id)),
    );
    expect(passages).toEqual([
      [0, 1, 2, 3, 6, 7, 4],
      [5, 8],
      [9, 10],
    ]);
  });
  test('change their place on their slide', () => {
    expect(
      short(after({ kind: 'carry', parts: [partNamed('south')], to: gates, before: partNamed('north') }))[1],
    ).toMatch(/^Gates: 1 south, 1 north/);
  });
  test('that are spoken go to another slide too', () => {
    expect(short(after({ kind: 'carry', parts: [partNamed('Slates.')], to: gates, before: null })).slice(1)).toEqual([
      `${GATES} / Slates.`,
      'Roof: ',
    ]);
  });
  test('go in and out, and no level is skipped', () => {
    expect(short(after({ kind: 'level', parts: [partNamed('neap')], by: 1 }))[0]).toMatch(
      /^Tide: 1 spring, 2 head, 2 neap/,
    );
    expect(short(after({ kind: 'level', parts: [partNamed('spring')], by: 3 }))[0]).toMatch(/^Tide: 1 spring/);
    expect(short(after({ kind: 'level', parts: [partNamed('head')], by: -1 }))[0]).toMatch(/^Tide: 1 spring, 1 head/);
  });
  test('are spoken instead, in their place among the notes', () => {
    expect(short(after({ kind: 'speak', parts: [partNamed('spring'), partNamed('head')] }))[0]).toBe(
      'Tide: 1 neap | spring / The spring tide lasts five hours. / head',
    );
  });
  test('of a cover or an opener are refused and told', () => {
    const sectioned = doc(h(1, 'A'), h(2, 'B'), li('x'));
    const some = mapDocument(sectioned, { ...presetMap('talk', sectioned), heading1: 'section', heading2: 'title' });
    const edit: Edit = { kind: 'carry', parts: [some.slides[1]!.content[0]!.id], to: some.slides[0]!.id, before: null };
    expect(replay(some, [edit], ids(sectioned))).toEqual({ deck: some, unplaced: [{ edit, reason: 'no-room' }] });
  });
});

test('a slide that only repeated a title is no more when all has left it', () => {
  const document = doc(h(1, 'T'), li('a'), li('b'));
  const cut = mapDocument(document, presetMap('talk', document), {
    turned: new Map(),
    cuts: new Set([document.blocks[2]!.id]),
    joins: new Set(),
    mixes: [],
    branches: [],
    prose: { as: 'whole' },
    cover: true,
  });
  expect(cut.slides).toHaveLength(2);
  const { deck: result } = replay(
    cut,
    [{ kind: 'carry', parts: [cut.slides[1]!.content[0]!.id], to: cut.slides[0]!.id, before: null }],
    ids(document),
  );
  expect(short(result)).toEqual(['T: 1 a, 1 b']);
  expect(result.slides[0]!.passages).toHaveLength(3);
});

test.each([
  { kind: 'remove', slides: ['x' as SlideId] },
  { kind: 'order', slides: ['x' as SlideId], before: null },
  { kind: 'merge', slide: 'x' as SlideId, into: tide },
  { kind: 'level', parts: ['x' as never], by: 1 },
  { kind: 'speak', parts: ['x' as never] },
  { kind: 'carry', parts: ['x' as never], to: tide, before: null },
  { kind: 'branch', block: 'x' as never, text: 'body', to: 'slide' },
] satisfies Edit[])('an edit without a target is told: %j', (edit) => {
  const { deck: result, unplaced } = replay(deck, [edit], ids(mill));
  expect(unplaced.map((one) => one.edit)).toEqual([edit]);
  expect(short(result)).toEqual(short(deck));
});

test('what is made twice under one name is made once, and told', () => {
  const own = 'A' as SlideId;
  const twice: readonly (readonly [Edit, Edit])[] = [
    [
      { kind: 'add', slide: own, after: null, title: plain('Mine') },
      { kind: 'duplicate', slide: tide, as: own },
    ],
    [
      { kind: 'duplicate', slide: tide, as: own },
      { kind: 'split', slide: gates, part: partNamed('south'), as: own },
    ],
    [
      { kind: 'insert', slide: tide, part: 'P' as never, after: null, level: 1, runs: plain('a') },
      { kind: 'insert', slide: gates, part: 'P' as never, after: null, level: 1, runs: plain('b') },
    ],
  ];
  for (const [first, second] of twice)
    expect(replay(deck, [first, second], ids(mill)).unplaced).toEqual([{ edit: second, reason: 'id-taken' }]);
});

test('any row of edits on any deck loses no word and skips no level', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const next = random(seed);
    const document =
      seed % 5 === 0
        ? doc(h(1, 'A'), picture('a', 'alt text'), table([['x', 'y']]), li('z'))
        : randomDocument(next, 40);
    const base = made(document);
    if (base.slides.length === 0) continue;
    const edits: Edit[] = [];
    let result = base;
    for (let i = 0; i < 25 && result.slides.length > 0; i++) {
      edits.push(randomSlideEdit(next, result, i));
      result = replay(base, edits, ids(document)).deck;
      const ledger = makeLedger(document, result);
      expect([seed, i, edits.at(-1), ledger.lost]).toEqual([seed, i, edits.at(-1), 0]);
      const seen = new Set<string>();
      for (const slide of result.slides) {
        expect(runsText(slide.title.runs)).not.toBe('');
        let above = 0;
        for (const part of slide.content) {
          expect([seed, i, part.id, seen.has(part.id)]).toEqual([seed, i, part.id, false]);
          seen.add(part.id);
          if (part.kind !== 'point') continue;
          expect(part.level).toBeLessThanOrEqual(above + 1);
          above = part.level;
        }
      }
    }
  }
});

describe('parting a slide', () => {
  const source = doc(h(1, 'Tide'), li('one'), p('said of one'), li('two'), p('said of two'), li('three'));
  const made = mapDocument(source, presetMap('talk', source));
  const all = new Set(source.blocks.map(({ id }) => id as string));
  const [slide] = made.slides;
  const parted = (at: number) =>
    replay(made, [{ kind: 'split', slide: slide!.id, part: slide!.content[at]!.id, as: 'ANEW' as SlideId }], all);

  test('leaves each note on one of the two, with what it explains', () => {
    const { deck: after, unplaced } = parted(1);
    expect(unplaced).toEqual([]);
    expect(after.slides.map((one) => one.notes.map(({ runs }) => runsText(runs)))).toEqual([
      ['said of one'],
      ['said of two'],
    ]);
    expect(after.slides.map((one) => one.passages.length)).toEqual([3, 3]);
    expect(after.slides.map(({ continues }) => continues)).toEqual([false, true]);
  });
  test('at its first part has no place: nothing would be left on it', () => {
    expect(parted(0).unplaced.map(({ reason }) => reason)).toEqual(['part-gone']);
    expect(parted(0).deck.slides).toHaveLength(1);
  });
});

test('what is replayed again over other slides is replayed anew, and the same gives the same', () => {
  const source = (text: string) => doc(h(1, 'Tide'), li(text));
  const [one, two] = [source('one'), source('two')];
  const decks = [one, two].map((document) => mapDocument(document, presetMap('talk', document)));
  const edits: readonly Edit[] = [{ kind: 'retitle', slide: decks[0]!.slides[0]!.id, runs: plain('Tides') }];
  const shown = (i: number): string => {
    const document = [one, two][i]!;
    return replay(decks[i]!, edits, new Set(document.blocks.map(({ id }) => id as string)))
      .deck.slides.map(
        (slide) =>
          `${runsText(slide.title.runs)}: ${slide.content.map((part) => ('runs' in part ? runsText(part.runs) : '')).join()}`,
      )
      .join();
  };
  expect([shown(0), shown(1), shown(0)]).toEqual(['Tides: one', 'Tides: two', 'Tides: one']);
});

test('other edits in the place of those before are replayed anew, one more is laid on top', () => {
  const source = doc(h(1, 'Tide'), li('one'));
  const made = mapDocument(source, presetMap('talk', source));
  const known = new Set(source.blocks.map(({ id }) => id as string));
  const named = (text: string): Edit => ({ kind: 'retitle', slide: made.slides[0]!.id, runs: plain(text) });
  const title = (...edits: readonly Edit[]): string => runsText(replay(made, edits, known).deck.slides[0]!.title.runs);
  const [a, b, c] = [named('a'), named('b'), named('c')];
  expect([title(a), title(b), title(b, c), title(b), title(a, b), title()]).toEqual(['a', 'b', 'c', 'b', 'b', 'Tide']);
});

describe('where what is spoken stands among the notes', () => {
  const source = doc(h(1, 'Tide'), p('of the title'), li('one'), p('of one'), li('two'), p('of two'));
  const made = mapDocument(source, presetMap('talk', source));
  const [slide] = made.slides;
  const known = new Set(source.blocks.map(({ id }) => id as string));
  const notes = (...edits: readonly Edit[]): readonly string[] =>
    replay(made, edits, known).deck.slides[0]!.notes.map(
      (note) => `${note.kind === 'item' ? '- ' : ''}${runsText(note.runs)}`,
    );
  const [one, two] = slide!.content.map(({ id }) => id) as [PartId, PartId];

  test('before what explained it', () => {
    expect(notes({ kind: 'speak', parts: [one] })).toEqual(['of the title', '- one', 'of one', 'of two']);
    expect(notes({ kind: 'speak', parts: [one, two] })).toEqual(['of the title', '- one', 'of one', '- two', 'of two']);
  });
  test('first of all where nothing is said before it', () => {
    const bare = doc(h(1, 'Tide'), li('one'), p('of one'), li('two'));
    const deck = mapDocument(bare, presetMap('talk', bare));
    const all = new Set(bare.blocks.map(({ id }) => id as string));
    const parts = deck.slides[0]!.content.map(({ id }) => id);
    const said = (some: readonly PartId[]): readonly string[] =>
      replay(deck, [{ kind: 'speak', parts: some }], all).deck.slides[0]!.notes.map(({ runs }) => runsText(runs));
    expect(said([parts[0]!])).toEqual(['one', 'of one']);
    expect(said([parts[1]!])).toEqual(['of one', 'two']);
  });
  test('a note is carried before the first and behind the last', () => {
    const ids = slide!.notes.map(({ id }) => id);
    expect(notes({ kind: 'carry', parts: [ids[2]!], to: slide!.id, before: ids[0]! })).toEqual([
      'of two',
      'of the title',
      'of one',
    ]);
    expect(notes({ kind: 'carry', parts: [ids[0]!], to: slide!.id, before: null })).toEqual([
      'of one',
      'of two',
      'of the title',
    ]);
  });
});

describe('only what is meant is worked on', () => {
  test('one point is worded anew, the others stay', () => {
    expect(short(after({ kind: 'reword', part: partNamed('head'), runs: plain('brow') }))[0]).toBe(
      'Tide: 1 spring, 2 brow, 1 neap | The spring tide lasts five hours.',
    );
  });
  test('notes of a point that is taken off go with the one before it, those of others stay', () => {
    const notesOf = (some: Deck) =>
      some.slides.flatMap(({ notes }) => notes.map(({ runs, anchor }) => [runsText(runs), anchor]));
    const neap = partNamed('neap');
    const said: Edit = {
      kind: 'renote',
      slide: tide,
      replaces: [],
      anchor: neap,
      notes: [{ kind: 'paragraph', depth: 0, ordered: false, runs: plain('Of neap.') }],
    };
    const off = notesOf(after(said, { kind: 'reword', part: neap, runs: [] }));
    expect(off).toContainEqual(['Of neap.', partNamed('head')]);
    expect(off).toContainEqual(['The spring tide lasts five hours.', partNamed('spring')]);
    const first = notesOf(after({ kind: 'reword', part: partNamed('spring'), runs: [] }));
    expect(first).toContainEqual(['The spring tide lasts five hours.', null]);
  });
  test('a rule below a heading takes the place of the one for the same kind of text there, and of no other', () => {
    const [head, other] = [mill.blocks[0]!.id, mill.blocks[5]!.id];
    const rule = (block: typeof head, text: 'body' | 'list1', to: 'slide' | 'notes' | null): Edit => ({
      kind: 'branch',
      block,
      text,
      to,
    });
    const rules = [rule(head, 'body', 'slide'), rule(head, 'list1', 'notes'), rule(other, 'body', 'slide')] as const;
    const branches = (...edits: readonly Edit[]) =>
      decide(edits as readonly SingleEdit[]).branches.map(({ block, text, to }) => [block, text, to]);
    expect(branches(...rules, rule(head, 'body', 'notes'))).toEqual([
      [head, 'list1', 'notes'],
      [other, 'body', 'slide'],
      [head, 'body', 'notes'],
    ]);
    expect(branches(...rules, rule(head, 'body', null))).toEqual([
      [head, 'list1', 'notes'],
      [other, 'body', 'slide'],
    ]);
  });
  test('an opener has no room for a picture', () => {
    const opened = doc(h(1, 'One'), h(2, 'Gates'), li('a'), h(1, 'Two'), h(2, 'Roof'), li('b'));
    const map = { ...presetMap('talk', opened), heading1: 'section', heading2: 'title' } as const;
    const sections = mapDocument(opened, map);
    const own = { id: 'x' as never, mime: 'image/png', width: 10, height: 10 } as const;
    const put = (slide: SlideId): Edit => ({
      kind: 'place',
      slide,
      part: 'OWN' as PartId,
      after: null,
      picture: own,
      alt: 'A',
    });
    const [opener, content] = ['section', 'content'].map(
      (kind) => sections.slides.find((one) => one.kind === kind)!.id,
    );
    expect(replay(sections, [put(opener!)], ids(opened)).unplaced).toMatchObject([{ reason: 'no-room' }]);
    expect(replay(sections, [put(content!)], ids(opened)).unplaced).toEqual([]);
  });
  test('a picture that is spoken and says nothing is left out; one that says something is not', () => {
    const shown = doc(
      h(1, 'Mill'),
      li('wheel'),
      picture('a'),
      h(1, 'Quay'),
      li('boat'),
      picture('b', 'A boat at the quay'),
    );
    const slides = mapDocument(shown, presetMap('talk', shown));
    const part = (at: number): PartId => slides.slides[at]!.content.find(({ kind }) => kind === 'picture')!.id;
    const leftOut = (at: number) =>
      replay(slides, [{ kind: 'speak', parts: [part(at)] }], ids(shown)).deck.leftOut.map(({ block }) => block);
    expect(leftOut(0)).toEqual([shown.blocks[2]!.id]);
    expect(leftOut(1)).toEqual([]);
  });
  test('the history tells layouts that were chosen from layouts that were taken back', () => {
    const said = (layouts: Extract<SingleEdit, { kind: 'arrange' }>['layouts']) =>
      KINDS.arrange.says({ kind: 'arrange', layouts }).code;
    expect([said([]), said([{ slide: tide, layout: 'points' }])]).toEqual(['arrange-back', 'arrange']);
  });
});
