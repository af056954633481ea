import { describe, expect, test } from '@jest/globals';
import { usualSettings, type NumberFormat } from '../charts/index.ts';
import { PLAIN_DRESS } from '../deck/index.ts';
import { convert } from '../pipeline/index.ts';
import { doc, h, li, picture, table } from '../test/build.ts';
import { editPictures, type Edit } from './index.ts';
import type { SlideId } from '../ids/index.ts';

const REPORT = doc(
  h(1, 'Mill'),
  h(2, 'Pond'),
  li('Silt'),
  picture('a', 'The pond'),
  h(2, 'Costs'),
  table([
    ['', 'n'],
    ['Gates', '3'],
    ['Roof', '4'],
  ]),
);
const OWN = { id: 'b'.repeat(64) as never, mime: 'image/png' as const, width: 40, height: 30 };
const slides = convert(REPORT, []).deck.slides;
const [, pond, costs] = slides as unknown as [unknown, (typeof slides)[0], (typeof slides)[0]];
const [silt, shown] = pond.content as unknown as [{ id: string }, { id: string }];
const chartPart = costs.content[0]!.id;
const icon = { name: 'wave', paths: ['M3 7h18'] };
const FORMAT: NumberFormat = { decimals: 0, decimal: '.', group: '', prefix: '', suffix: '' };
const settings = usualSettings({ categories: ['a'], series: [{ name: 'n', values: [1] }], format: FORMAT }, 'bar');
const after = (...edits: Edit[]) => convert(REPORT, edits);
const slide = (id: SlideId, ...edits: Edit[]) => after(...edits).deck.slides.find((one) => one.id === id)!;

describe('the look of single slides and parts', () => {
  test('layout and colours are set, and given back', () => {
    expect(slide(pond.id, { kind: 'layout', slides: [pond.id], layout: 'picture-left' }).layout).toBe('picture-left');
    const set: Edit = { kind: 'colors', slides: [pond.id], palette: null, dark: true };
    expect(slide(pond.id, set).colors).toEqual({ palette: null, dark: true });
    expect(slide(pond.id, set, { ...set, dark: null })).toEqual(pond);
  });

  test('icons, charts and frames', () => {
    expect(slide(pond.id, { kind: 'icon', part: silt.id as never, icon }).content[0]).toMatchObject({ icon });
    expect(slide(costs.id, { kind: 'chart', part: chartPart, chart: settings }).content[0]).toMatchObject({
      chart: settings,
    });
    expect(after({ kind: 'chart', part: chartPart, chart: settings }).pages.at(-1)!.layout).toBe('chart');
    const [drawn, tableAgain] = [settings, null].map((chart): Edit => ({ kind: 'chart', part: chartPart, chart })) as [
      Edit,
      Edit,
    ];
    expect(slide(costs.id, drawn, tableAgain)).toEqual(costs);
    const dress = { ...PLAIN_DRESS, as: 'fill' as const };
    expect(
      slide(
        pond.id,
        { kind: 'frame', part: shown.id as never, dress },
        { kind: 'frame', part: shown.id as never, dress: null },
      ),
    ).toEqual(pond);
  });

  test('a picture is replaced in place, and still accounts for its block', () => {
    const edit: Edit = { kind: 'replace', part: shown.id as never, picture: OWN, alt: 'Another' };
    expect(slide(pond.id, edit).content[1]).toMatchObject({
      id: shown.id,
      picture: OWN.id,
      alt: 'Another',
      blocks: [shown.id],
    });
    expect(after(edit).ledger.lost).toEqual(after().ledger.lost);
    expect(editPictures([edit])).toEqual([OWN]);
  });

  test('a picture of one’s own is put in, described, and taken off again', () => {
    const place: Edit = { kind: 'place', slide: costs.id, part: 'own1' as never, after: null, picture: OWN, alt: null };
    expect(slide(costs.id, place).content.map(({ id }) => id)).toEqual(['own1', chartPart]);
    expect(slide(costs.id, place, { kind: 'alt', part: 'own1' as never, alt: 'A gate' }).content[0]).toMatchObject({
      alt: 'A gate',
    });
    expect(slide(costs.id, place, { kind: 'drop', part: 'own1' as never }).content).toEqual(costs.content);
    // The document's own picture is turned out by its mark, not dropped.
    expect(after({ kind: 'drop', part: shown.id as never }).unplaced).toMatchObject([{ reason: 'part-gone' }]);
  });

  test.each<Edit>([
    { kind: 'layout', slides: ['gone' as SlideId], layout: 'points' },
    { kind: 'icon', part: shown.id as never, icon },
    { kind: 'chart', part: 'gone' as never, chart: settings },
    { kind: 'place', slide: 'gone' as SlideId, part: 'x' as never, after: null, picture: OWN, alt: null },
  ])('what finds no place is kept and told: %j', (edit) => {
    expect(after(edit).unplaced).toHaveLength(1);
    expect(after(edit).deck.slides).toEqual(slides);
  });

  test('the look of the deck', () => {
    const { theme, decisions } = after(
      { kind: 'theme', theme: 'pebble' },
      { kind: 'mode', dark: true },
      { kind: 'fonts', pair: 'common-screen' },
      { kind: 'type', role: 'title', rule: { bold: false } },
      { kind: 'type', role: 'points', rule: { size: 30 } },
      { kind: 'type', role: 'title', rule: null },
    );
    expect(theme).toMatchObject({
      name: 'pebble',
      dark: true,
      fonts: { heading: 'Georgia', body: 'Arial', mono: 'Courier New' },
    });
    expect(decisions.look.rules).toEqual({ points: { size: 30 } });
  });

  test('a slide keeps its look in a new edition, where its block has another id', () => {
    const before = doc(h(1, 'Mill'), h(2, 'Gates'), li('Oak'), li('Elm'));
    const [, gates] = convert(before, []).deck.slides as unknown as [unknown, { id: SlideId }];
    const next = doc(h(1, 'Mill'), h(2, 'The gates'), li('Oak'), li('Elm'));
    const [from, to] = [before.blocks[1]!.id, next.blocks[1]!.id];
    const { deck, unplaced } = convert(next, [
      { kind: 'arrange', layouts: [{ slide: gates.id, layout: 'icon-grid' }] },
      { kind: 'edition', original: 'e'.repeat(64), type: 'text', fileName: 'x', ids: [[from, to]] },
    ]);
    expect(unplaced).toEqual([]);
    expect(deck.slides[1]).toMatchObject({ arranged: 'icon-grid' });
  });
});
