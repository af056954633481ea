import { expect, test } from '@jest/globals';
import equal from 'fast-deep-equal';
import { plain } from '../content/index.ts';
import { DESTINATIONS } from '../deck/index.ts';
import type { Edit } from '../edits/index.ts';
import { doc, h, li, p, random, randomDocument } from '../test/build.ts';
import { convert, type Converted } from './convert.ts';

test('a slide that comes out the same keeps its identity, and so its pages', () => {
  const document = doc(h(1, 'A'), li('a'), h(1, 'B'), li('b'));
  const before = convert(document, []);
  const after = convert(document, [{ kind: 'retitle', slide: before.deck.slides[0]!.id, runs: plain('New') }], before);
  expect(after.pages[0]).not.toBe(before.pages[0]);
  expect(after.pages[1]).toBe(before.pages[1]);
});

test('destinations tell the level that a point has on its slide', () => {
  const document = doc(h(1, 'A'), li('deep', 3), h(1, 'B'));
  expect(convert(document, []).deck.destinations[1]).toBe('point1');
});

/** A random edit on something that the deck has, or has had. */
function randomEdit(next: () => number, document: ReturnType<typeof randomDocument>, { deck }: Converted): Edit {
  const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
  const block = pick(document.blocks).id;
  const slide = pick(deck.slides);
  const part = pick(deck.slides.flatMap((one) => one.content));
  const roll = next();
  if (roll < 0.2) return { kind: 'turn', block, to: next() < 0.2 ? null : pick(DESTINATIONS) };
  if (roll < 0.35) return { kind: 'cut', block };
  if (roll < 0.5) return { kind: 'join', block };
  if (roll < 0.65) return { kind: 'retitle', slide: slide.id, runs: plain(`title ${next()}`) };
  if (roll < 0.85 && part !== undefined)
    return { kind: 'reword', part: part.id, runs: next() < 0.2 ? [] : plain(`words ${next()}`) };
  return {
    kind: 'renote',
    slide: slide.id,
    replaces: slide.notes.map((note) => note.id),
    anchor: null,
    notes: [{ kind: 'paragraph', depth: 0, ordered: false, runs: plain(`note ${next()}`) }],
  };
}

test('over random edits: replaying in steps equals replaying at once, undoing gives back what was, no edit is dropped, no word is lost', () => {
  for (let seed = 1; seed <= 6; seed++) {
    const next = random(seed);
    const document = randomDocument(next, 50);
    const states: Converted[] = [convert(document, [])];
    const edits: Edit[] = [];
    for (let i = 0; i < 25 && states.at(-1)!.deck.slides.length > 0; i++) {
      edits.push(randomEdit(next, document, states.at(-1)!));
      states.push(convert(document, edits, states.at(-1)));
    }
    states.forEach((state, i) => {
      // A copy, so that nothing that was remembered of the document can help.
      const fresh = convert(structuredClone(document), edits.slice(0, i));
      // What differs is told by the slower comparison.
      if (!equal(state.deck, fresh.deck)) expect(state.deck).toEqual(fresh.deck);
      expect(state.unplaced).toEqual(fresh.unplaced);
      expect(state.ledger.lost).toBe(0);
      expect(state.ledger.slides + state.ledger.notes + state.ledger.leftOut).toBe(state.ledger.document);
    });
    // What was worded by hand is in the deck, unless a later edit replaced it or it is told as unplaced.
    const final = states.at(-1)!;
    const text = JSON.stringify(final.deck.slides);
    edits.forEach((edit, i) => {
      if (edit.kind !== 'reword' || edit.runs.length === 0) return;
      const replaced = edits.slice(i + 1).some((later) => later.kind === 'reword' && later.part === edit.part);
      const unplaced = final.unplaced.some((one) => one.edit === edit);
      expect(replaced || unplaced || text.includes(edit.runs[0]!.text)).toBe(true);
    });
  }
});

test('a ready-made map follows the levels that the author marks; an own map stays as it was made', () => {
  const document = doc(p('One'), p('a'), p('Two'), p('b'));
  const chosen: Edit = { kind: 'map', name: 'talk', map: convert(document, []).map };
  const own: Edit = { ...chosen, name: null, map: { ...chosen.map, heading2: 'out' } };
  const [one, , two] = document.blocks;
  const mark = (level: 1 | 2): Edit => ({
    kind: 'shape',
    shapes: [one!, two!].map(({ id }) => ({ block: id, as: { kind: 'heading', level } })),
  });
  const titles = (...edits: readonly Edit[]) =>
    convert(document, edits).deck.slides.map(({ title }) => title.runs.map(({ text }) => text).join(''));
  // Level 2 alone is the highest there is.
  expect(titles(chosen, mark(2))).toEqual(['One', 'Two']);
  expect(titles(mark(2), chosen)).toEqual(['One', 'Two']);
  expect(convert(document, [own, mark(2)]).map).toEqual(own.map);
});
