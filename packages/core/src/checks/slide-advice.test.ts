import { describe, expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import type { Slide } from '../deck/index.ts';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { doc, h, li, p } from '../test/build.ts';
import {
  notesAdvice,
  parallelAdvice,
  partsToSpeak,
  shorterParts,
  thinnerNotes,
  titleSuggestions,
} from './slide-advice.ts';
import { beginningOf, inForm } from '../shorten/index.ts';

const slideOf = (...drafts: readonly ReturnType<typeof li>[]): Slide => {
  const document = doc(h(1, 'The mill'), ...drafts);
  return mapDocument(document, presetMap('talk', document)).slides[0]!;
};
const texts = (slide: Slide, ids: readonly string[]): readonly string[] =>
  slide.content.flatMap((part) => (ids.includes(part.id) && 'runs' in part ? [runsText(part.runs)] : []));

describe('fewer points', () => {
  const slide = slideOf(
    li('The sluice gate leaks at the sill'),
    li('Mend it first', 2),
    li('The gate of the sluice leaks'),
    li('Wheel floats are rotten: 11 of 40'),
    li('Tea'),
    li('Roof slates let the rain into the sluice room'),
  );
  test('of five, three stay: those that say most, and not twice the same', () => {
    const spoken = texts(slide, partsToSpeak(slide, 3, 'en'));
    expect(spoken).toContain('Tea');
    expect(spoken.filter((text) => /sluice.*leaks|leaks.*sluice|gate.*leaks/.test(text))).toHaveLength(1);
    expect(
      texts(
        slide,
        slide.content.map(({ id }) => id),
      ).length - spoken.length,
    ).toBeGreaterThanOrEqual(3);
  });
  test('a point goes with those below it', () => {
    const one = partsToSpeak(slide, 1, 'en');
    const head = one.includes(slide.content[0]!.id);
    expect(one.includes(slide.content[1]!.id)).toBe(head);
  });
  test('enough is enough', () => expect(partsToSpeak(slide, 5, 'en')).toEqual([]));
});

describe('points that begin alike', () => {
  test('a verb in another form is told, with its repair', () => {
    const slide = slideOf(
      li('Mending the gate'),
      li('Replacing 11 floats'),
      li('Train volunteers'),
      li('Roof'),
      li('Cutting costs'),
    );
    const [advice] = parallelAdvice(slide, 'en');
    expect(advice).toMatchObject({ rule: 'ing', of: 5 });
    expect(advice!.odd.map(({ text, proposal }) => [text, proposal === null ? null : runsText(proposal.to)])).toEqual([
      ['Train volunteers', 'Training volunteers'],
      ['Roof', null],
    ]);
  });
  test('so is a full stop that the others do not have, and a small letter', () => {
    const slide = slideOf(li('Gates'), li('Wheel.'), li('roof'), li('Pond'));
    expect(
      parallelAdvice(slide, 'de').map(({ rule, odd }) => [rule, odd.map(({ proposal }) => runsText(proposal!.to))]),
    ).toEqual([
      ['no-stop', ['Wheel']],
      ['capital', ['Roof']],
    ]);
  });
  test('points of other levels and parents are not compared', () => {
    expect(
      parallelAdvice(
        slideOf(li('Gates'), li('north.', 2), li('south.', 2), li('Wheel'), li('floats.', 2), li('Roof')),
        'de',
      ),
    ).toEqual([]);
  });
  test.each([
    ['Running water', 'ing', 'run'],
    ['Making flour', 'ing', 'make'],
    ['To open the gate', 'to', 'open'],
    ['Open the gate', 'base', 'open'],
    ['Spring tide', undefined, undefined],
    ['Ceiling', undefined, undefined],
  ])('“%s” begins with %s of %s', (text, form, verb) =>
    expect([beginningOf(text)?.form, beginningOf(text)?.verb]).toEqual([form, verb]),
  );
  test.each([
    ['run', 'Running'],
    ['make', 'Making'],
    ['see', 'Seeing'],
    ['repair', 'Repairing'],
    ['begin', 'Beginning'],
  ])('%s becomes %s', (verb, ing) => expect(inForm(verb, 'ing')).toBe(ing));
});

test('a slide without a title is offered some, from its content', () => {
  const slide = slideOf(
    li('Sluice gate repairs'),
    li('New sluice gate for 12,000 pounds in the second year of the work'),
  );
  expect(titleSuggestions(slide, 'en')[0]).toBe('Sluice gate repairs');
  expect(titleSuggestions(slide, 'en').length).toBeGreaterThan(1);
});

test('long points are shortened, and short ones left', () => {
  const slide = slideOf(li('Short'), li('However, the gate leaks (as gates do). It rains. It is old.'));
  expect(shorterParts(slide, 'sentence', 'en').map(({ to }) => runsText(to))).toEqual(['The gate leaks.']);
});

describe('notes', () => {
  const long = 'The pond behind the wall holds the water of two tides until the wheel needs it. '.repeat(30);
  const slide = slideOf(
    li('The north gate leaks at the sill'),
    p('The north gate leaks at the sill.'),
    p('Ask the diver.'),
    p(long),
  );
  test('that repeat the slide, and that are too long to be spoken', () => {
    const { repeating, tooLong } = notesAdvice(slide.notes, slide, 130, 'en');
    expect(repeating).toEqual([slide.notes[0]!.id]);
    expect(tooLong).toBe(true);
    expect(notesAdvice(slide.notes, slide, 400, 'en').tooLong).toBe(false);
  });
  test('are thinned by their sentences', () => {
    const thin = thinnerNotes(slide.notes, 'third', 'en')
      .map(({ runs }) => runsText(runs))
      .join(' ');
    const all = slide.notes.map(({ runs }) => runsText(runs)).join(' ');
    expect(thin.length).toBeLessThan(all.length / 2);
    expect(thin.length).toBeGreaterThan(20);
  });
});

describe('what is not counted', () => {
  test('a table or a picture is no point', () => {
    const slide = slideOf(li('One thing'), li('Another thing'));
    const withTable: Slide = {
      ...slide,
      content: [{ kind: 'table', id: 't' as never, blocks: [], table: { rows: [], columns: 0 } }, ...slide.content],
    };
    expect(partsToSpeak(withTable, 1, 'en')).toHaveLength(1);
    expect(partsToSpeak(withTable, 2, 'en')).toEqual([]);
  });
  test('a quotation or code is not shortened, running text is', () => {
    const long =
      'However, the pond (which is old) holds eleven thousand cubic metres of water. It is deep. It is cold. It is green.';
    const part = (style: 'body' | 'quote' | 'code') => ({
      kind: 'text' as const,
      style,
      id: style as never,
      blocks: [],
      runs: [{ text: long }],
    });
    const slide: Slide = { ...slideOf(li('a')), content: [part('body'), part('quote'), part('code')] };
    expect(shorterParts(slide, 'third', 'en').map(({ part: id }) => id)).toEqual(['body']);
  });
  test('two points are too few to be parallel, three are enough', () => {
    const texts = ['Mend the gate', 'Paint the door', 'Roof leaks.'];
    const rules = (n: number): number =>
      parallelAdvice(slideOf(...texts.slice(3 - n).map((text) => li(text))), 'en').length;
    expect(rules(2)).toBe(0);
    expect(rules(3)).toBeGreaterThan(0);
  });
  test('notes are too long beyond their minutes, not at them', () => {
    const slide = slideOf(li('a'));
    const notes = (words: number) => [
      {
        kind: 'paragraph' as const,
        depth: 0,
        ordered: false,
        id: 'n' as never,
        blocks: [],
        anchor: null,
        runs: [{ text: 'w '.repeat(words) }],
      },
    ];
    const long = (words: number): boolean => notesAdvice(notes(words), slide, 100, 'en').tooLong;
    const most = Array.from({ length: 1000 }, (_, i) => i).find((words) => long(words))! - 1;
    expect(most).toBe(250);
    expect([long(most), long(most + 1)]).toEqual([false, true]);
  });
  test('a thinned list keeps its items, thinned paragraphs may go', () => {
    const note = (kind: 'paragraph' | 'item', text: string) => ({
      kind,
      depth: kind === 'item' ? 1 : 0,
      ordered: false,
      id: text as never,
      blocks: [],
      anchor: null,
      runs: [{ text }],
    });
    const all = [
      note('item', 'Oak'),
      note('item', 'Iron'),
      ...Array.from({ length: 8 }, (_, i) =>
        note('paragraph', `Sentence ${'abcdefgh'[i]} tells of something else again.`),
      ),
    ];
    const thin = thinnerNotes(all, 'third', 'en');
    expect(thin.filter(({ kind }) => kind === 'item').map(({ runs }) => runsText(runs))).toEqual(['Oak', 'Iron']);
    expect(thin.length).toBeLessThan(all.length);
    expect(thin.every(({ runs }) => runsText(runs).trim() !== '')).toBe(true);
  });
});
