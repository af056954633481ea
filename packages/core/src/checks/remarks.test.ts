/** What Check remarks: each kind where it is due, and where it is not. */
import { describe, expect, test } from '@jest/globals';
import { readChart, sumOf, usualSettings, type ChartSettings } from '../charts/index.ts';
import type { Runs } from '../content/index.ts';
import type { TablePart } from '../deck/index.ts';
import type { Edit } from '../edits/index.ts';
import { PRESET_NAMES, presetRecipe } from '../mapping/index.ts';
import { convert, lookedAt } from '../pipeline/index.ts';
import { doc, h, li, p, picture, random, randomDocument, table, type Draft } from '../test/build.ts';
import { badness, REMARK_KINDS, weightOf, type RemarkKind } from './remark.ts';
import { remarksOf } from './remarks.ts';

type Drafts = readonly Draft[];
const NO_EDITS: readonly Edit[] = [];
const PLAIN = { decimals: 0, decimal: '.', group: '', prefix: '', suffix: '' } as const;
const remarked = (drafts: Drafts, edits: (deck: ReturnType<typeof convert>) => readonly Edit[] = () => NO_EDITS) => {
  const document = doc(...drafts);
  const first = convert(document, []);
  return remarksOf(lookedAt(convert(document, edits(first))));
};
const kinds = (...args: Parameters<typeof remarked>): readonly RemarkKind[] =>
  remarked(...args).map(({ kind }) => kind);
const points = (count: number, word = 'gate'): Drafts =>
  Array.from({ length: count }, (_, i) =>
    li(`The ${['oak', 'elm', 'ash', 'yew', 'fir'][i % 5]!} ${word} leaks badly ${i}`),
  );
/** A slide that nothing can be said against. */
const good = (title: string): Drafts => [h(1, title), ...points(5), p(`What one says about ${title} aloud.`)];

test('a good deck has no remarks', () => expect(remarked([...good('Gates'), ...good('Wheel')])).toEqual([]));

test('they stand worst first, with their slides, and rules for slides that can be shown are among them', () => {
  const all = remarked([...good('Gates'), h(1, 'Bare'), h(1, 'Introduction'), ...points(5), p('Said.')]);
  expect(all.map(({ kind, number }) => [kind, number])).toEqual([
    ['bare', 2],
    ['vague-title', 3],
  ]);
  expect(all[0]).toMatchObject({ kind: 'bare', number: 2, about: ['title'], text: 'Bare', accepted: false });
  expect(all.map(({ kind }) => badness(kind))).toEqual(all.map(({ kind }) => badness(kind)).toSorted((a, b) => a - b));
});

describe('of one page', () => {
  test('what is for the speaker, on a slide', () => {
    const drafts = [...good('Gates'), h(1, 'Speaker notes'), ...points(5, 'secret')];
    const shown = remarked(drafts).filter(({ kind }) => kind === 'private-shown');
    expect(shown).toMatchObject([{ number: 2 }]);
    expect(shown[0]!.about).toHaveLength(6);
    expect(kinds(good('Speaker'))).not.toContain('private-shown');
  });

  test('more than seven points', () => {
    const many = remarked([h(1, 'Gates'), ...points(8), p('Said.')]).find(({ kind }) => kind === 'many-points');
    expect(many).toMatchObject({ count: 8 });
    expect(many!.about).toHaveLength(8);
    expect(kinds([h(1, 'Gates'), ...points(7), p('Said.')])).not.toContain('many-points');
  });

  test('a picture without a description, and one with too few pixels', () => {
    const shown = (alt: string | null): Drafts => [h(1, 'Gates'), picture('a', alt), ...points(4), p('Said.')];
    expect(kinds(shown(null))).toContain('undescribed');
    expect(kinds(shown('The gate at low water'))).not.toContain('undescribed');
    const sized = (width: number): readonly RemarkKind[] => {
      const document = doc(...shown('The gate'));
      const pictures = document.pictures.map((one) => ({ ...one, width, height: width * 0.75 }));
      return remarksOf(lookedAt(convert({ ...document, pictures }, []))).map(({ kind }) => kind);
    };
    expect(sized(120)).toContain('coarse-picture');
    expect(sized(1600)).not.toContain('coarse-picture');
  });

  test('lines of a chart that only their colours tell apart', () => {
    const rows = [
      ['Month', 'Flour', 'Bran'],
      ...Array.from({ length: 9 }, (_, i) => [`${2000 + i}`, `${10 + i}`, `${30 - i}`]),
    ];
    const drafts = [h(1, 'Yield'), table(rows), p('Said.')];
    const drawn = (kind: 'line' | 'column', labels = false) =>
      kinds(drafts, ({ deck }) => [
        {
          kind: 'chart',
          part: deck.slides[0]!.content[0]!.id,
          chart: {
            kind,
            title: null,
            acrossTitle: null,
            upTitle: null,
            legend: 'bottom',
            labels,
            grid: true,
            colors: [],
            data: null,
          },
        },
      ]);
    expect(drawn('line')).toContain('color-alone');
    expect(drawn('line', true)).not.toContain('color-alone');
    expect(drawn('column')).not.toContain('color-alone');
  });

  test('numbers of a chart whose table has others since they were written', () => {
    const yields = (last: number): Draft[] => [
      h(1, 'Yield'),
      table([
        ['Year', 'Flour'],
        ['2001', '10'],
        ['2002', `${last}`],
      ]),
      p('Said.'),
    ];
    const written = (of: string | undefined): ChartSettings['data'] => ({
      categories: ['2001', '2002'],
      series: [{ name: 'Flour', values: [10, 99] }],
      ...(of === undefined ? {} : { of }),
    });
    const found = (last: number, of: string | undefined) =>
      kinds(yields(last), ({ deck }) => {
        const [part] = deck.slides[0]!.content;
        const data = readChart((part as TablePart).table, 'en')!;
        return [{ kind: 'chart', part: part!.id, chart: { ...usualSettings(data, 'column'), data: written(of) } }];
      });
    const sum = sumOf({ categories: ['2001', '2002'], series: [{ name: 'Flour', values: [10, 20] }], format: PLAIN });
    expect(found(20, sum)).not.toContain('stale-numbers');
    expect(found(21, sum)).toContain('stale-numbers');
    // Numbers from before it was kept what they stand for say nothing.
    expect(found(21, undefined)).not.toContain('stale-numbers');
  });

  test('a jump within the document', () => {
    const linked = (link: string): Runs => [
      { text: 'See ' },
      { text: 'the gates', link },
      { text: ' of oak at low water' },
    ];
    const slide = (link: string): Drafts => [h(1, 'Gates'), li(linked(link)), ...points(4), p('Said.')];
    expect(remarked(slide('#gates'))).toContainEqual(
      expect.objectContaining({ kind: 'dead-link', text: 'the gates', count: 1 }),
    );
    expect(kinds(slide('https://mill.example/gates'))).not.toContain('dead-link');
  });

  test('points that begin otherwise than the others', () => {
    const slide = (last: string): Drafts => [
      h(1, 'Work'),
      ...['Mend the gates at once', 'Clear the pit of silt', 'Paint the wheel again', last].map((text) => li(text)),
      p('Said.'),
    ];
    expect(kinds(slide('Closing the roof in May'))).toContain('unlike-points');
    expect(kinds(slide('Close the roof in May'))).not.toContain('unlike-points');
  });

  test('a number that the notes give otherwise', () => {
    const slide = (said: string): Drafts => [
      h(1, 'Costs'),
      li('The sluice gates need 31 tonnes of oak'),
      ...points(4),
      p(said),
    ];
    expect(remarked(slide('For the sluice gates we need 13 tonnes of seasoned oak.'))).toContainEqual(
      expect.objectContaining({ kind: 'numbers-differ', text: '31 tonnes', other: '13 tonnes' }),
    );
    expect(kinds(slide('For the sluice gates we need 31 tonnes of seasoned oak.'))).not.toContain('numbers-differ');
    expect(kinds(slide('The roof alone weighs 13 tonnes.'))).not.toContain('numbers-differ');
  });

  test('notes that are too long to be spoken, and notes that say the slide again', () => {
    const long = 'The pond was dug by hand in a single winter and has been silting up since. '.repeat(40);
    expect(kinds([h(1, 'Pond'), ...points(5), p(long)])).toContain('long-notes');
    const repeats = [...good('Gates'), h(1, 'Roof'), li('The roof of the mill lies open to the sky'), ...points(4)];
    expect(kinds([...repeats, p('The roof of the mill lies open to the sky.')])).toContain('notes-repeat');
    expect(kinds([...repeats, p('Rain has come through for eleven winters.')])).not.toContain('notes-repeat');
  });
});

describe('of a slide that goes on over pages', () => {
  /** Two pages of points. */
  const long = (odd: string, said: string): Drafts => [
    h(1, 'Work'),
    ...Array.from({ length: 14 }, (_, i) =>
      li(
        `${['Mend', 'Clear', 'Paint', 'Oil', 'Lift'][i % 5]!} the ${['gate', 'pit', 'wheel', 'stone', 'sill', 'chain', 'roof'][i % 7]!} before the tide of day ${i} comes up the creek`,
      ),
    ),
    li(odd),
    p(said),
  ];
  const once = (kind: RemarkKind, drafts: Drafts): number => kinds(drafts).filter((one) => one === kind).length;

  test('what is said of the slide is remarked once, at its first page', () => {
    const drafts = long('Closing the sluice for good in the autumn of the year', 'Said of the work.');
    expect(convert(doc(...drafts), []).pages.length).toBeGreaterThan(1);
    expect(once('unlike-points', drafts)).toBe(1);
    expect(once('unlike-points', long('Close the sluice for good in the autumn of the year', 'Said.'))).toBe(0);
  });

  test('what is said with a later page is looked at there', () => {
    const said = 'The pond was dug by hand in a single winter and has been silting up since. '.repeat(40);
    const drafts = long('Close the sluice for good in the autumn of the year', said);
    const { pages } = convert(doc(...drafts), []);
    const last = pages.at(-1)!;
    expect([pages[0]!.notes.length, last.notes.length]).toEqual([0, 1]);
    const found = remarked(drafts).find(({ kind }) => kind === 'long-notes');
    expect(found).toMatchObject({ number: pages.length, notes: last.notes.map(({ id }) => id) });
  });

  test('a name on it counts once', () => {
    const named = (count: number): Drafts => [
      ...long('Close the sluice of Sallow-Quay', 'Said.'),
      ...Array.from({ length: count }, (_, i) => [h(1, `Sallow Quay ${i}`), ...points(5), p('Said.')]).flat(),
    ];
    expect(remarked(named(2)).find(({ kind }) => kind === 'spelt-twice')).toMatchObject({
      text: 'Sallow-Quay',
      count: 1,
    });
  });
});

describe('of pages beside others', () => {
  test('a title that stands on an earlier slide, and one that says nothing', () => {
    const twice = remarked([...good('Gates'), ...good('Wheel'), ...good('Gates')]);
    expect(twice).toEqual([expect.objectContaining({ kind: 'title-twice', number: 3, count: 1, text: 'Gates' })]);
    expect(kinds(good('2. Introduction'))).toContain('vague-title');
    expect(kinds(good('Introduction to sluices'))).not.toContain('vague-title');
  });

  test('a slide without notes among slides that have them', () => {
    const silent: Drafts = [h(1, 'Pit'), ...points(5)];
    const told = [...good('Gates'), ...good('Wheel'), ...good('Roof')];
    expect(remarked([...told, ...silent])).toEqual([expect.objectContaining({ kind: 'no-notes', number: 4 })]);
    expect(kinds([...good('Gates'), ...silent, h(1, 'Sill'), ...points(5)])).not.toContain('no-notes');
  });

  test('one plain look for many slides on end', () => {
    const deck = (count: number): Drafts =>
      Array.from({ length: count }, (_, i) => good(`Gate ${'abcdefg'[i]!}`)).flat();
    expect(remarked(deck(6))).toEqual([
      expect.objectContaining({ kind: 'same-layout', number: 4, count: 6, text: '1', other: '6' }),
    ]);
    expect(remarked(deck(5))).toEqual([]);
  });

  test('a name that is spelt in two ways', () => {
    const about = (name: string, title: string): Drafts => [
      h(1, title),
      li(`The trust of ${name} owns the mill`),
      ...points(4),
      p(`Said of ${name} with care.`),
    ];
    const deck = (odd: string): Drafts => [
      ...about('Sallow Quay', 'Gates'),
      ...about('Sallow Quay', 'Wheel'),
      ...good('Roof').slice(0, -1),
      p(`We walked to ${odd} in May.`),
    ];
    expect(remarked(deck('Sallow-Quay'))).toEqual([
      expect.objectContaining({ kind: 'spelt-twice', number: 3, text: 'Sallow-Quay', other: 'Sallow Quay', count: 1 }),
    ]);
    expect(remarked(deck('Sallow Quay'))).toEqual([]);
    // A slip of one letter, where the name is written often; not a name of its own.
    expect(remarked(deck('Salow'))).toEqual([]);
    const often = (odd: string): Drafts => [
      ...about('Thornwick', 'Gates'),
      ...about('Thornwick', 'Wheel'),
      ...about('Thornwick', 'Pit'),
      ...good('Roof').slice(0, -1),
      p(`We walked to ${odd} in May.`),
    ];
    expect(remarked(often('Thorwick'))).toEqual([expect.objectContaining({ text: 'Thorwick', other: 'Thornwick' })]);
    expect(remarked(often('Thornwicks'))).toEqual([]);
    expect(remarked(often('Marshgate'))).toEqual([]);
    // A word that is written small elsewhere is no name.
    expect(
      remarked([...often('Thorwick'), h(1, 'Sill'), ...points(4), li('The thorwick of the sill'), p('Said.')]),
    ).toEqual([]);
  });

  test('slides that are hidden are passed over', () => {
    const bare = [...good('Gates'), h(1, 'Bare')];
    expect(kinds(bare)).toContain('bare');
    expect(kinds(bare, ({ deck }) => [{ kind: 'hide', slides: [deck.slides[1]!.id], hidden: true }])).toEqual([]);
  });
});

describe('the author', () => {
  const drafts = [...good('Gates'), h(1, 'Bare')];
  const accept =
    (accepted: boolean) =>
    (deck: ReturnType<typeof convert>): readonly Edit[] => [
      { kind: 'accept', slide: deck.deck.slides[1]!.id, remark: 'bare', accepted: true },
      ...(accepted
        ? []
        : [{ kind: 'accept', slide: deck.deck.slides[1]!.id, remark: 'bare', accepted: false } as const]),
    ];

  test('leaves one as it is, and takes that back', () => {
    expect(remarked(drafts, accept(true)).find(({ kind }) => kind === 'bare')).toMatchObject({ accepted: true });
    expect(remarked(drafts, accept(false)).find(({ kind }) => kind === 'bare')).toMatchObject({ accepted: false });
  });

  test('leaves all of a kind, on slides that come later too, and takes that back without what was left one by one', () => {
    const two = [...drafts, h(1, 'Bare again')];
    const all = (accepted: boolean): Edit => ({ kind: 'accept', slide: null, remark: 'bare', accepted });
    const left = (edits: Parameters<typeof remarked>[1]) =>
      remarked(two, edits).flatMap(({ kind, accepted, everywhere }) =>
        kind === 'bare' ? [[accepted, everywhere]] : [],
      );
    const both = [true, true] as const;
    expect(left(() => [all(true)])).toEqual([both, both]);
    expect(left((deck) => [...accept(true)(deck), all(true), all(false)])).toEqual([
      [true, undefined],
      [false, undefined],
    ]);
    const others = remarked(two, () => [all(true)]).filter(({ kind }) => kind !== 'bare');
    expect(others.filter(({ accepted }) => accepted)).toEqual([]);
  });

  test('leaves it in a new edition too', () => {
    const old = doc(...drafts);
    const renamed = doc(...good('Gates'), h(1, 'Bare as ever'));
    const edits = accept(true)(convert(old, []));
    const ids = [[old.blocks.at(-1)!.id, renamed.blocks.at(-1)!.id]] as const;
    const edition: Edit = { kind: 'edition', original: 'a'.repeat(64), type: 'markdown', fileName: 'b.md', ids };
    const found = remarksOf(lookedAt(convert(renamed, [...edits, edition])));
    expect(found.find(({ kind }) => kind === 'bare')).toMatchObject({ accepted: true, text: 'Bare as ever' });
  });

  test('stumbled at a slide in the last rehearsal', () => {
    const rehearsal =
      (stumbled: readonly number[], id: string) =>
      (deck: ReturnType<typeof convert>): Edit => ({
        kind: 'rehearse',
        id,
        rehearsal: {
          began: '2026-03-14T10:00:00Z',
          seconds: deck.deck.slides.map((slide) => [slide.id, 30] as const),
          stumbled: stumbled.map((i) => deck.deck.slides[i]!.id),
        },
      });
    const twoSlides = [...good('Gates'), ...good('Wheel')];
    expect(remarked(twoSlides, (deck) => [rehearsal([1], 'a')(deck)])).toEqual([
      expect.objectContaining({ kind: 'stumbled', number: 2 }),
    ]);
    expect(remarked(twoSlides, (deck) => [rehearsal([1], 'a')(deck), rehearsal([], 'b')(deck)])).toEqual([]);
    const away: Edit = { kind: 'rehearse', id: 'a', rehearsal: null };
    expect(remarked(twoSlides, (deck) => [rehearsal([1], 'a')(deck), away])).toEqual([]);
  });
});

test('every kind has a weight, heavier ones first', () => {
  const weights = REMARK_KINDS.map(weightOf);
  const order = ['fault', 'hard', 'thought'];
  expect(weights.map((one) => order.indexOf(one))).toEqual(
    weights.map((one) => order.indexOf(one)).toSorted((a, b) => a - b),
  );
  expect(new Set(weights).size).toBe(3);
});

test('random decks by every map: each remark names a page and parts that are there; the same deck gives the same', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const document = randomDocument(random(seed), 60);
    const recipe = presetRecipe(PRESET_NAMES[seed % PRESET_NAMES.length]!, document);
    const converted = convert(document, [{ kind: 'map', name: null, map: recipe.map }]);
    const found = remarksOf(lookedAt(converted));
    for (const { number, key, about, notes = [], kind, slide } of found) {
      const page = converted.pages[number - 1]!;
      expect(page.key).toBe(key);
      expect(page.slide.id).toBe(slide);
      const there = new Set<string>(['title', ...page.slide.content.map(({ id }) => id)]);
      expect({ kind, gone: about.filter((id) => !there.has(id)) }).toEqual({ kind, gone: [] });
      const said = new Set(page.slide.notes.map(({ id }) => id));
      expect(notes.filter((id) => !said.has(id))).toEqual([]);
    }
    expect(new Set(found.map(({ kind, number }) => `${kind} ${number}`)).size).toBe(found.length);
    expect(remarksOf(lookedAt(convert(document, [{ kind: 'map', name: null, map: recipe.map }])))).toEqual(found);
  }
});
