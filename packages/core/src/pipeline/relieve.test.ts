/** Slides that hold too much, by each rule: they fit, and every word is accounted for. */
import { describe, expect, test } from '@jest/globals';
import { plain, runsText } from '../content/index.ts';
import { FULL_RULES } from '../deck/index.ts';
import { documentWords } from '../document/index.ts';
import type { Edit } from '../edits/index.ts';
import { doc, h, li, p, random, randomDocument } from '../test/build.ts';
import { convert } from './convert.ts';

const SENTENCE = 'The pond behind the wall holds the water of two spring tides until the wheel needs it. ';
const full = doc(h(1, 'Water'), li('first'), p(SENTENCE.repeat(7)), li('second'), p(SENTENCE.repeat(7)), li('third'));
const onSlide: Edit = { kind: 'branch', block: full.blocks[0]!.id, text: 'body', to: 'slide' };
const shown = (edits: readonly Edit[]) => convert(full, [onSlide, ...edits]);
const words = (edits: readonly Edit[]) => shown(edits).ledger;

test('the slide is too full, and goes on', () => expect(shown([]).pages.length).toBeGreaterThan(1));

describe('by rule', () => {
  test('running text is spoken, from the end, until the rest fits', () => {
    const { pages, deck } = shown([{ kind: 'full', rule: 'notes' }]);
    expect(pages).toHaveLength(1);
    expect(deck.slides[0]!.content.map(({ kind }) => kind)).toEqual(['point', 'text', 'point', 'point']);
    expect(runsText(deck.slides[0]!.notes[0]!.runs)).toBe(SENTENCE.repeat(7));
  });
  test('sentences are chosen until it fits, and the whole is spoken', () => {
    const { pages, deck, ledger } = shown([{ kind: 'full', rule: 'shorten' }]);
    expect(pages).toHaveLength(1);
    expect(deck.slides[0]!.notes.some(({ runs }) => runsText(runs) === SENTENCE.repeat(7))).toBe(true);
    expect(ledger.slides).toBeLessThan(documentWords(full) / 1.5);
  });
  test('of one slide, over the deck’s', () => {
    const { slides } = shown([]).deck;
    expect(
      shown([
        { kind: 'full', rule: 'notes' },
        { kind: 'fullAt', slides: [slides[0]!.id], rule: 'continue' },
      ]).pages.length,
    ).toBe(shown([]).pages.length);
    expect(shown([{ kind: 'fullAt', slides: [slides[0]!.id], rule: 'report' }]).pages[0]!.fit.state).toBe('spills');
  });
  test('notes that a rule made are written like any others, and not made again', () => {
    const rule: Edit = { kind: 'full', rule: 'notes' };
    const [slide] = shown([rule]).deck.slides;
    const written: Edit = {
      kind: 'renote',
      slide: slide!.id,
      replaces: slide!.notes.map(({ id }) => id),
      anchor: null,
      notes: [{ kind: 'paragraph', depth: 0, ordered: false, runs: plain('Say it briefly.') }],
    };
    const { deck, ledger, unplaced } = shown([rule, written]);
    expect(unplaced).toEqual([]);
    expect(deck.slides[0]!.notes.map(({ runs }) => runsText(runs))).toEqual(['Say it briefly.']);
    expect(ledger.lost).toBe(0);
  });
  test.each(FULL_RULES)('%s: no word is lost on any document', (rule) => {
    expect(words([{ kind: 'full', rule }]).lost).toBe(0);
    for (let seed = 1; seed <= 8; seed++) {
      const document = randomDocument(random(seed), 40);
      const { ledger } = convert(document, [
        { kind: 'full', rule },
        { kind: 'prose', prose: seed % 2 ? { as: 'whole' } : { as: 'short', density: 'half' } },
      ]);
      expect(ledger.lost).toBe(0);
    }
  });
});

test.each(['notes', 'shorten'] as const)('a slide that holds a whole document: %s', (rule) => {
  const whole = doc(h(1, 'All'), ...Array.from({ length: 1200 }, (_, i) => p(`${SENTENCE}${i}. A word more.`)));
  const edits: Edit[] = [
    { kind: 'branch', block: whole.blocks[0]!.id, text: 'body', to: 'slide' },
    { kind: 'full', rule },
  ];
  const { ledger, deck } = convert(whole, edits);
  expect(ledger.lost).toBe(0);
  // What is spoken is spoken in the order of the document.
  const spoken = deck.slides[0]!.notes.map(({ blocks }) => whole.blocks.findIndex(({ id }) => id === blocks[0]));
  expect(spoken.length).toBeGreaterThan(600);
  expect(spoken).toEqual([...spoken].sort((a, b) => a - b));
});

test('an edit of one slide leaves the others as they were, down to their identity', () => {
  const document = doc(...Array.from({ length: 30 }, (_, i) => [h(1, `T${i}`), p(SENTENCE.repeat(9)), li('x')]).flat());
  const base: Edit[] = [
    { kind: 'full', rule: 'notes' },
    { kind: 'prose', prose: { as: 'short', density: 'most' } },
    { kind: 'matter', part: 'agenda', on: true },
    { kind: 'matter', part: 'key-points', on: true },
  ];
  const before = convert(document, base);
  const slide = before.deck.slides[5]!;
  const after = convert(document, [...base, { kind: 'retitle', slide: slide.id, runs: plain('Other') }], before);
  const changed = after.deck.slides.filter((one, i) => one !== before.deck.slides[i]).map(({ id }) => id);
  expect(changed).toEqual(['m-agenda', slide.id]);
  const agenda = after.deck.slides[0]!.content.map((part) => ('runs' in part ? runsText(part.runs) : ''));
  expect(agenda[4]).toBe('Other');
});

describe('relief takes no more than it must', () => {
  const rule: Edit = { kind: 'full', rule: 'notes' };
  test('a slide that fits is left as it is, down to its identity', () => {
    const small = doc(h(1, 'Water'), li('first'), p('Short.'));
    const edits: readonly Edit[] = [{ kind: 'branch', block: small.blocks[0]!.id, text: 'body', to: 'slide' }, rule];
    const { deck, unrelieved } = convert(small, edits);
    expect(deck.slides[0]).toBe(unrelieved[0]);
  });
  test('of three long texts only the last go, each word once, in its place', () => {
    const three = doc(
      h(1, 'Water'),
      ...['one', 'two', 'three'].flatMap((name) => [li(name), p(`${name} ${SENTENCE.repeat(4)}`)]),
    );
    const edits: readonly Edit[] = [{ kind: 'branch', block: three.blocks[0]!.id, text: 'body', to: 'slide' }, rule];
    const { deck, pages, ledger } = convert(three, edits);
    const [slide] = deck.slides;
    const kept = slide!.content.filter(({ kind }) => kind === 'text').length;
    expect(pages).toHaveLength(1);
    expect(slide!.notes).toHaveLength(3 - kept);
    expect(slide!.notes.map(({ runs }) => runsText(runs).split(' ')[0])).toEqual(['one', 'two', 'three'].slice(kept));
    const anchors = slide!.notes.map(({ anchor }) => slide!.content.findIndex(({ id }) => id === anchor));
    expect(anchors).toEqual([...anchors].sort((a, b) => a - b));
    expect(ledger.lost).toBe(0);
    // With one text more on it the slide would not fit: nothing was taken off without need.
    const more = convert(three, [edits[0]!, { kind: 'full', rule: 'report' }]).pages[0]!.fit.state;
    expect(more).toBe('spills');
  });
  test('code and short points stay, long points go', () => {
    const source = doc(h(1, 'Water'), li('short'), li(SENTENCE.repeat(3)), li(SENTENCE.repeat(24)));
    const { content } = convert(source, [rule]).deck.slides[0]!;
    expect(
      content
        .map((part) => ('runs' in part ? runsText(part.runs).length : 0))
        .every((length) => length < SENTENCE.length * 24),
    ).toBe(true);
    expect(content.some((part) => 'runs' in part && runsText(part.runs) === 'short')).toBe(true);
  });
});
