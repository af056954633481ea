/** A new edition of the document: nothing that was made by hand is lost. */
import { describe, expect, test } from '@jest/globals';
import { plain, runsText } from '../content/index.ts';
import { documentWords, type Block, type DocumentModel } from '../document/index.ts';
import { carryOver, singleEdits, type Edit } from '../edits/index.ts';
import { doc, h, li, p, random, randomDocument } from '../test/build.ts';
import { randomSlideEdit } from '../test/random-edits.ts';
import { convert, type Converted } from './convert.ts';
import { reviewEdition } from './review-edition.ts';

const edition = (before: DocumentModel, after: DocumentModel, edits: readonly Edit[]): Edit => ({
  kind: 'edition',
  original: 'f'.repeat(64),
  type: 'docx',
  fileName: 'second.docx',
  ids: reviewEdition(before, after, edits).ids,
});
const POND = 'The pond holds eleven thousand cubic metres of water behind the wall.';
const GATE = 'The north gate has been seized since the flood and does not open.';
const first = doc(h(1, 'Tide'), li(POND), p(GATE), h(1, 'Costs'), li('gates'));
const second = doc(
  h(1, 'The tide'),
  li(POND.replace('eleven', 'twelve')),
  p('New words that were not there.'),
  p(GATE),
  h(1, 'Costs'),
);
const [tide] = first.blocks;
const { deck } = convert(first, []);
const [tideSlide, costsSlide] = deck.slides;

/** Every text of a deck, what was taken out too. */
const allTexts = ({ deck: some }: Converted): string =>
  [...some.slides, ...some.removed.map(({ slide }) => slide)]
    .flatMap((slide) =>
      [slide.title, ...slide.content, ...slide.notes].map((part) => ('runs' in part ? runsText(part.runs) : '')),
    )
    .join('\n');

describe('edits', () => {
  test('of passages that changed go with them; what is gone keeps its edits and tells them', () => {
    const edits: Edit[] = [
      { kind: 'retitle', slide: tideSlide!.id, runs: plain('Two tides') },
      { kind: 'reword', part: first.blocks[1]!.id as never, runs: plain('Eleven thousand') },
      { kind: 'turn', block: first.blocks[4]!.id, to: 'out' },
      { kind: 'hide', slides: [costsSlide!.id], hidden: true },
    ];
    const after = convert(second, [...edits, edition(first, second, edits)]);
    expect(after.deck.slides.map((slide) => [runsText(slide.title.runs), slide.hidden ?? false])).toEqual([
      ['Two tides', false],
      ['Costs', true],
    ]);
    expect(allTexts(after)).toContain('Eleven thousand');
    expect(after.unplaced).toEqual([{ edit: edits[2], reason: 'block-gone' }]);
  });
  test('of structure go with their lines', () => {
    const edits: Edit[] = [{ kind: 'shape', shapes: [{ block: tide!.id, as: { kind: 'heading', level: 2 } }] }];
    expect(convert(second, [...edits, edition(first, second, edits)]).document.blocks[0]).toMatchObject({
      kind: 'heading',
      level: 2,
    });
  });
  test('after it are made on the new edition, and a third carries both over', () => {
    const third = doc(h(1, 'The tides'), li('gates'), h(1, 'Cost'));
    const edits: Edit[] = [{ kind: 'retitle', slide: tideSlide!.id, runs: plain('Mine') }];
    const two = [...edits, edition(first, second, edits)];
    const own: Edit = { kind: 'retitle', slide: convert(second, two).deck.slides[1]!.id, runs: plain('Money') };
    const three = [...two, own, edition(second, third, [...two, own])];
    expect(convert(third, three).deck.slides.map((slide) => runsText(slide.title.runs))).toEqual(['Mine', 'Money']);
  });
  test('are the same objects every time they are carried over', () => {
    const edits: Edit[] = [{ kind: 'retitle', slide: tideSlide!.id, runs: plain('Mine') }];
    const log = [...edits, edition(first, second, edits)];
    expect(carryOver(log as never)[0]).toBe(carryOver(log as never)[0]);
    expect(carryOver(edits as never)).toBe(edits);
  });
});

describe('the review', () => {
  const mine: Edit[] = [{ kind: 'reword', part: first.blocks[1]!.id as never, runs: plain('Eleven thousand') }];
  const review = reviewEdition(first, second, mine);
  const brought = (...more: readonly Edit[]): Converted =>
    convert(second, [...mine, edition(first, second, mine), ...more]);
  test('tells what changed, by word, what is new and what is gone', () => {
    expect(review.items.map((item) => [item.kind, item.own.length])).toEqual([
      ['changed', 0],
      ['changed', 1],
      ['new', 0],
      ['gone', 0],
    ]);
    expect(review.items[1]!.words.filter((word) => word.in !== 'both')).toEqual([
      { text: 'eleven', in: 'before' },
      { text: 'twelve', in: 'after' },
    ]);
    expect([review.same, review.moved]).toEqual([2, 0]);
  });
  test('keeps the author’s wording, or takes the new text', () => {
    expect(allTexts(brought())).toContain('Eleven thousand');
    expect(allTexts(brought(review.items[1]!.own[0]!.takeNew))).toContain('twelve thousand');
  });
  test('keeps what it was: the old text, without what is new, with what is gone', () => {
    const [renamed, , fresh, gone] = review.items.map((item) => item.keepOld);
    expect(allTexts(brought(renamed!))).toMatch(/^Tide\n/);
    expect(brought(fresh!).ledger.leftOut).toBeGreaterThanOrEqual(6);
    expect(allTexts(brought(gone!))).toMatch(/gates$/m);
    const all = brought(...review.items.map((item) => item.keepOld));
    expect(all.ledger.lost).toBe(0);
    expect(all.unplaced).toEqual([]);
  });
  test('of written text, notes and titles', () => {
    const notes = deck.slides[0]!.notes[0]!;
    const edits: Edit[] = [
      {
        kind: 'renote',
        slide: tideSlide!.id,
        replaces: [notes.id],
        anchor: null,
        notes: [{ kind: 'paragraph', depth: 0, ordered: false, runs: plain('Say less') }],
      },
      { kind: 'retitle', slide: tideSlide!.id, runs: plain('Mine') },
      {
        kind: 'write',
        replaces: [first.blocks[1]!.id],
        after: null,
        blocks: [{ ...(first.blocks[1] as Block & { kind: 'listItem' }), runs: plain('Written') }],
      },
    ];
    const other = doc(
      h(1, 'The tide'),
      li(POND.replace('eleven', 'twelve')),
      p(GATE.replace('north', 'south')),
      h(1, 'Costs'),
    );
    const { items } = reviewEdition(first, other, edits);
    expect(items.map(({ own }) => own.map(({ kind, text }) => [kind, text]))).toEqual([
      [['title', 'Mine']],
      [['text', 'Written']],
      [['notes', 'Say less']],
      [],
    ]);
    const log = [...edits, edition(first, other, edits)];
    const kept = allTexts(convert(other, log));
    for (const text of ['Mine', 'Written', 'Say less']) expect(kept).toContain(text);
    const taken = convert(other, [...log, ...items.flatMap(({ own }) => own.map(({ takeNew }) => takeNew))]);
    expect(taken.unplaced).toEqual([]);
    expect(allTexts(taken)).toMatch(/^The tide\n.*twelve.*\n.*south/);
  });
});

/** What an edit wrote by hand, if anything. */
const handText = (edit: Edit): string => JSON.stringify(edit).match(/written by hand \d+/)?.[0] ?? '';

test('random work on a random document survives a random new edition: it is seen, or it is told', () => {
  for (let seed = 1; seed <= 16; seed++) {
    const next = random(seed);
    const before = randomDocument(next, 50);
    const edits: Edit[] = [];
    let made = convert(before, edits);
    for (let i = 0; i < 14 && made.deck.slides.length > 0; i++) {
      const roll = next();
      const block = before.blocks[Math.floor(next() * before.blocks.length)]!;
      edits.push(
        roll < 0.1
          ? { kind: 'turn', block: block.id, to: 'slide' }
          : roll < 0.2
            ? { kind: 'cut', block: block.id }
            : roll < 0.3
              ? { kind: 'shape', shapes: [{ block: block.id, as: { kind: 'heading', level: 1 } }] }
              : randomSlideEdit(next, made.deck, i),
      );
      made = convert(before, edits);
    }
    const after = doc(
      ...before.blocks.flatMap((block): Block[] => {
        const what = next();
        if (what < 0.1) return [];
        if (what < 0.25 && 'runs' in block) return [{ ...block, runs: plain(`${runsText(block.runs)} amended`) }];
        if (what < 0.35) return [...randomDocument(next, 1).blocks, block];
        return [block];
      }),
    );
    const log = [...edits, edition(before, after, edits)];
    const result = convert(after, log);
    expect([seed, result.ledger.lost, result.ledger.document]).toEqual([seed, 0, documentWords(result.document)]);
    const seen = allTexts(result);
    const told = JSON.stringify(result.unplaced);
    const shownBefore = allTexts(made);
    for (const edit of singleEdits(edits)) {
      const text = handText(edit);
      if (text === '' || !new RegExp(`${text}(?!\\d)`).test(shownBefore)) continue;
      expect([seed, text, new RegExp(`${text}(?!\\d)`).test(`${seen}\n${told}`)]).toEqual([seed, text, true]);
    }
    // Taking the edition back gives the deck as it was.
    expect(convert(before, edits).deck).toEqual(made.deck);
    // And everything can be kept as it was.
    const kept = convert(after, [...log, ...reviewEdition(before, after, edits).items.map(({ keepOld }) => keepOld)]);
    expect(kept.ledger.lost).toBe(0);
  }
});
