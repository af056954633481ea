/** A shorter talk: the notes say the main sentences, and every word that is not said is accounted for as left out. */
import { expect, test } from '@jest/globals';
import { plain, runsText } from '../content/index.ts';
import type { Edit } from '../edits/index.ts';
import { timeOf } from '../layout/index.ts';
import { ledgerEntries } from '../mapping/index.ts';
import { doc, h, li, p, random, randomDocument } from '../test/build.ts';
import { beginning } from './beginning.ts';
import { convert, timeSpeaking } from './convert.ts';

const SHARES = [0.8, 0.5, 0.33, 0.15];
const TEXT =
  'The weir was built by the village in one summer. It held for forty years without a repair. Since the flood of March it leaks at the sill. ' +
  'Nobody knows how deep the crack goes. The engineer wants to drain the pond for two weeks. Then the boards can be lifted and the sill can be seen.';
const AGAIN =
  'Two offers came in before the spring. The first is cheap and promises little. The second takes a month longer and comes with ten years of care.';
const report = doc(
  h(1, 'The mill'),
  h(2, 'The weir'),
  li('It leaks'),
  p(TEXT),
  p(AGAIN),
  h(2, 'For the chair only'),
  p(TEXT),
);
const shortened = (share: number | null, more: readonly Edit[] = []) =>
  convert(report, [...beginning(report), { kind: 'speech', share }, ...more]);
const notesOf = ({ deck }: ReturnType<typeof shortened>) => deck.slides.flatMap(({ notes }) => notes);
const said = (made: ReturnType<typeof shortened>) => notesOf(made).map(({ runs }) => runsText(runs));

test('notes say less with each share, in sentences of the author’s; what is for the speaker alone stays whole', () => {
  const lengths = [null, ...SHARES].map((share) => said(shortened(share)).join(' ').length);
  expect([...lengths].sort((a, b) => b - a)).toEqual(lengths);
  const third = said(shortened(0.33));
  const sentences = `${TEXT} ${AGAIN}`.split(/(?<=\.) /);
  const weir = third
    .filter((text) => text !== TEXT && text !== 'For the chair only')
    .join(' ')
    .split(/(?<=\.) /);
  expect(weir.length).toBeLessThan(5);
  for (const sentence of weir) expect(sentences.some((whole) => whole.includes(sentence.slice(0, -1)))).toBe(true);
  expect(third).toContain(TEXT);
});

test('what is not said counts as left out, and says why', () => {
  const whole = shortened(null).ledger;
  const { document, deck, ledger } = shortened(0.33);
  expect(whole.leftOut).toBe(0);
  expect([ledger.lost, ledger.document, ledger.slides]).toEqual([0, whole.document, whole.slides]);
  expect(ledger.slides + ledger.notes + ledger.leftOut).toBe(ledger.document);
  expect(ledger.leftOut).toBeGreaterThan(20);
  const entries = ledgerEntries(document, deck);
  const unsaid = entries.filter(({ reason }) => reason === 'shortened');
  expect(unsaid.reduce((sum, { words }) => sum + words, 0)).toBe(ledger.leftOut);
  expect(entries.reduce((sum, { words }) => sum + words, 0)).toBe(ledger.document);
});

test('a passage that somebody turned to be spoken is spoken whole; one that was written stays as written', () => {
  const text = report.blocks.find((block) => block.kind === 'paragraph')!;
  expect(
    said(shortened(0.15, [{ kind: 'turn', block: text.id, to: 'notes' }])).filter((one) => one === TEXT),
  ).toHaveLength(2);
  const [first] = notesOf(shortened(null));
  const slide = shortened(null).deck.slides.find(({ notes }) => notes.includes(first!))!;
  const written: Edit = {
    kind: 'renote',
    slide: slide.id,
    replaces: [first!.id],
    anchor: null,
    notes: [{ kind: 'paragraph', depth: 0, ordered: false, runs: plain(`Mine. ${AGAIN}`) }],
  };
  const made = shortened(0.15, [written]);
  expect(made.unplaced).toEqual([]);
  expect(said(made)).toContain(`Mine. ${AGAIN}`);
});

test('a paragraph of which nothing is said is marked as left out', () => {
  const many = doc(
    h(1, 'Mill'),
    h(2, 'Weir'),
    li('Point'),
    ...Array.from({ length: 9 }, (_, i) => p(`So it was in year ${i}.`)),
  );
  const { deck, document } = convert(many, [...beginning(many), { kind: 'speech', share: 0.33 }]);
  const out = document.blocks.filter((_, i) => deck.destinations[i] === 'out');
  expect(out.length).toBeGreaterThan(3);
  expect(deck.leftOut.filter(({ reason }) => reason === 'shortened').map(({ block }) => block)).toEqual(
    out.map(({ id }) => id),
  );
});

test('over random documents and all shares nothing is lost, and sums are whole', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const document = randomDocument(random(seed), 40);
    for (const share of SHARES) {
      const { ledger } = convert(document, [...beginning(document), { kind: 'speech', share }]);
      expect([ledger.lost, ledger.slides + ledger.notes + ledger.leftOut]).toEqual([0, ledger.document]);
    }
  }
});

test('what a share would take is known before anything is laid out', () => {
  const whole = convert(report, beginning(report));
  for (const share of SHARES) {
    const { pages } = convert(report, [...beginning(report), { kind: 'speech', share }]);
    expect(timeSpeaking(whole, share)).toEqual(timeOf(pages));
  }
});
