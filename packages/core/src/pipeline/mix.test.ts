/** Takes are mixed slide by slide: a slide of one stands in the deck as the take has it, and all others stay. */
import { describe, expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import { takeEdits, wayEdits, type Edit, type TakeSettings, type WaySettings } from '../edits/index.ts';
import { presetRecipe } from '../mapping/index.ts';
import { doc, h, li, p, random, randomDocument } from '../test/build.ts';
import { beginning } from './beginning.ts';
import { compareTakes } from './compare-outlines.ts';
import { convert, type Converted } from './convert.ts';

const way = (
  document: Parameters<typeof convert>[0],
  as: 'first' | 'whole' | 'told',
  preset: 'talk' | 'reading',
): WaySettings => ({
  name: preset,
  map: presetRecipe(preset, document).map,
  prose: { as },
  full: 'continue',
});
const mixOf = (take: Converted, settings: WaySettings | null, title: string): Edit => {
  const { passages } = compareTakes(take, take.deck).find((line) => line.title === title)!;
  return { kind: 'mix', ...passages!, settings };
};
const told = ({ deck }: Converted) =>
  deck.slides.map(({ title, content, notes }) => [
    runsText(title.runs),
    content.length,
    notes.map(({ runs }) => runsText(runs)).join(' '),
  ]);

const mill = doc(
  h(1, 'The mill'),
  h(2, 'Gates'),
  p('The gates leak at low water. They were built of oak in one winter.'),
  p('Mending them takes four weeks.'),
  h(2, 'Wheel'),
  p('The wheel creaks at every turn. Its bearings want grease.'),
  h(2, 'Pit'),
  li('Silt'),
  li('Eels'),
);

describe('one slide of a take', () => {
  const settings = way(mill, 'first', 'talk');
  const base: readonly Edit[] = takeEdits(way(mill, 'whole', 'talk'));
  const [now, take] = [convert(mill, base), convert(mill, takeEdits(settings))];

  test('stands in the deck as the take has it; the others stay, down to their identity', () => {
    const mixed = convert(mill, [...base, mixOf(take, settings, 'Gates')], now);
    expect(told(mixed)).toEqual([told(now)[0], told(take)[1], told(now)[2], told(now)[3]]);
    expect(told(take)[1]).not.toEqual(told(now)[1]);
    expect(mixed.mapped[2]).toBe(now.mapped[2]);
    expect(mixed.ledger.lost).toBe(0);
  });

  test('and is as the map has it again, where it is taken back, or a take is used whole', () => {
    const edit = mixOf(take, settings, 'Gates');
    expect(told(convert(mill, [...base, edit, { ...edit, settings: null } as Edit]))).toEqual(told(now));
    expect(told(convert(mill, [...base, edit, ...base]))).toEqual(told(now));
  });

  test('stays through a change of the map, and is kept with the take that the deck then is', () => {
    const edit = mixOf(take, settings, 'Gates');
    const later = convert(mill, [...base, edit, ...wayEdits(way(mill, 'whole', 'reading'))]);
    expect(told(later)[1]).toEqual(told(take)[1]);
    const { block, until } = edit as Extract<Edit, { kind: 'mix' }>;
    const kept: TakeSettings = { ...way(mill, 'whole', 'talk'), mixes: [{ block: block!, until, settings }] };
    expect(told(convert(mill, takeEdits(kept)))).toEqual(told(convert(mill, [...base, edit])));
  });
});

test('over random documents and ways: the slide is the take’s, no word is lost, no edit is without its place', () => {
  for (let seed = 1; seed <= 14; seed++) {
    const next = random(seed);
    const document = randomDocument(next, 60);
    const pick = <T>(items: readonly T[]): T => items[Math.floor(next() * items.length)]!;
    const any = () => way(document, pick(['first', 'whole', 'told']), pick(['talk', 'reading']));
    const [mine, theirs] = [any(), any()];
    const base = [...beginning(document).filter(({ kind }) => kind !== 'arrange'), ...takeEdits(mine)];
    const now = convert(document, base);
    const take = convert(document, [...base, ...takeEdits(theirs)]);
    const lines = compareTakes(take, now.deck).filter(
      ({ passages, against }) => passages !== null && against !== 'same',
    );
    if (lines.length === 0) continue;
    const line = pick(lines);
    const mixed = convert(document, [...base, { kind: 'mix', ...line.passages!, settings: theirs }], now);
    expect([seed, mixed.ledger.lost, mixed.unplaced.length]).toEqual([seed, 0, now.unplaced.length]);
    const shown = ({ deck }: Converted) => {
      const slide = deck.slides.find(
        ({ title, content }) => (title.blocks[0] ?? content[0]?.blocks[0]) === line.source,
      )!;
      // A title that no words of the document are is found beside the slides around it.
      return [slide.title.blocks.length > 0 ? runsText(slide.title.runs) : '', slide.content];
    };
    expect([seed, shown(mixed)]).toEqual([seed, shown(take)]);
  }
});
