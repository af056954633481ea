import { beforeAll, describe, expect, test } from '@jest/globals';
import { convert, openDocument, sceneOf } from '../pipeline/index.ts';
import type { Scene } from '../scene/index.ts';
import { makeSheets, PAPER_SIZES, PRINTS, type Print, type Sheet } from './index.ts';

const LONG = Array.from(
  { length: 90 },
  (_, i) => `Sentence ${i} says how the pond fills and empties twice a day.`,
).join(' ');
const SOURCE = `---
title: The tide mill
---

# Gates

## What is broken

The north gate has stood still since the flood.

- it is told in order
  1. first the sill
  2. then the frame

## What it costs

| Work | Year 1 |
|---|---|
| Gates | 31,000 |

${LONG}

# People

## Who comes

- twenty volunteers
  - fourteen have signed

## Nobody else
`;

const sceneFor = async (source: string, edits: Parameters<typeof convert>[1] = []): Promise<Scene> => {
  const { document } = await openDocument(new TextEncoder().encode(source), 'markdown');
  return sceneOf(convert(document, edits));
};
let scene: Scene;
beforeAll(async () => {
  scene = await sceneFor(SOURCE);
});
const sheets = (print: Print, of: Scene = scene): readonly Sheet[] => makeSheets(of, { print, paper: 'a4' });
const lineTexts = ({ pieces, marked }: Sheet['texts'][number]): string =>
  (marked ? pieces.slice(1) : pieces).map(({ text }) => text).join(' ');
const said = (of: readonly Sheet[]): string =>
  of
    .flatMap(({ texts }) => texts.map(lineTexts))
    .join(' ')
    .replace(/\s+/g, ' ');

test.each(PRINTS)('%s: nothing stands outside of its sheet, and slides keep their shape', (print) => {
  for (const paper of ['a4', 'letter'] as const)
    for (const { width, height, slides, texts, lines, foot } of makeSheets(scene, { print, paper })) {
      if (print !== 'slides') expect([width, height]).toEqual(PAPER_SIZES[paper]);
      for (const slide of slides) {
        expect(slide.x + slide.width).toBeLessThanOrEqual(width + 0.01);
        expect(slide.y + slide.height).toBeLessThanOrEqual(height + 0.01);
        expect(slide.width / slide.height).toBeCloseTo(16 / 9, 3);
      }
      for (const { y, pieces } of [...texts, { y: height - 40, pieces: foot }])
        for (const piece of pieces) {
          expect(piece.x).toBeGreaterThanOrEqual(0);
          expect(piece.x + piece.width).toBeLessThanOrEqual(width + 1);
          expect(piece.y).toBeGreaterThan(y);
          expect(piece.y).toBeLessThan(height);
        }
      for (const line of lines) expect(line.y).toBeLessThan(height - 40);
    }
});

test.each([
  ['two', 2],
  ['three', 3],
  ['four', 4],
  ['six', 6],
  ['nine', 9],
] as const)(
  '%s: each slide once, in order, %i on a sheet, none over another, with lines to write on',
  (print, most) => {
    const made = sheets(print);
    const placed = made.flatMap(({ slides }) => slides.map(({ index }) => index));
    expect(placed).toEqual(scene.slides.map((_, i) => i));
    expect(made).toHaveLength(Math.ceil(placed.length / most));
    for (const { slides, lines } of made) {
      for (const [i, a] of slides.entries())
        for (const b of slides.slice(i + 1))
          expect(a.x + a.width <= b.x + 0.01 || a.y + a.height <= b.y + 0.01).toBe(true);
      expect(lines.length).toBeGreaterThanOrEqual(3 * slides.length);
      for (const { x, y, width } of lines)
        for (const slide of slides)
          expect(y < slide.y || y > slide.y + slide.height || x >= slide.x + slide.width || x + width <= slide.x).toBe(
            true,
          );
    }
  },
);

describe('what is spoken', () => {
  const notesOf = (of: Scene): string =>
    of.slides.flatMap(({ notes }) => notes.map(({ runs }) => runs.map(({ text }) => text).join(''))).join(' ');

  test.each(['notes', 'script'] as const)(
    '%s: every word of the notes, in order, on as many sheets as it takes',
    (print) => {
      const words = notesOf(scene).split(/\s+/);
      expect(words.length).toBeGreaterThan(900);
      const out = said(sheets(print));
      let at = 0;
      for (const word of words) {
        const found = out.indexOf(word, at);
        expect({ word, found: found >= 0 }).toEqual({ word, found: true });
        at = found + word.length;
      }
    },
  );

  test('a paragraph that goes on over a sheet has its mark once', () => {
    const parts = sheets('notes').flatMap(({ texts }) => texts.filter(({ continues }) => continues));
    expect(parts.length).toBeGreaterThan(0);
    for (const { marked } of parts) expect(marked).toBe(false);
  });

  test('a script names each slide once, below its section', () => {
    const headings = sheets('script').flatMap(({ texts }) =>
      texts.filter(({ as }) => as === 'heading').map((text) => [text.level, lineTexts(text)]),
    );
    expect(headings.filter(([level]) => level === 1).map(([, text]) => text)).toEqual(
      scene.sections.map(({ title }) => title),
    );
    const titles = scene.slides
      .filter(({ kind, part }) => kind !== 'section' && part.index === 0)
      .map(({ title }) => title);
    expect(headings.filter(([level]) => level === 2).map(([, text]) => String(text).replace(/^\d+\s+/, ''))).toEqual(
      titles,
    );
  });
});

test('an outline has the points by their levels, and says what a table holds', () => {
  const texts = sheets('outline').flatMap((sheet) => sheet.texts);
  const volunteers = texts.find((text) => lineTexts(text) === 'twenty volunteers');
  const signed = texts.find((text) => lineTexts(text) === 'fourteen have signed');
  expect(volunteers).toMatchObject({ as: 'item', marked: true });
  expect(signed).toMatchObject({ as: 'item', level: volunteers!.level + 1, marked: true });
  expect(signed!.pieces[1]!.x).toBeGreaterThan(volunteers!.pieces[1]!.x);
  expect(said(sheets('outline'))).toContain('Gates: Work, Year 1');
  expect(texts.some((text) => lineTexts(text).includes('Sentence 7'))).toBe(false);
});

test('items that an author wrote are counted, and begin anew behind a paragraph', async () => {
  const with_ = (await sceneFor('# A\n\nx\n')).slides[0]!;
  const note = (text: string, over: object) => ({ ...with_.notes[0]!, runs: [{ text }], ...over });
  const item = { kind: 'item', depth: 1, ordered: true };
  const notes = [note('one', item), note('two', item), note('between', {}), note('again', item)] as typeof with_.notes;
  const made = sheets('script', { ...scene, slides: [{ ...with_, notes }], sections: [] });
  const marks = made.flatMap(({ texts }) => texts.filter(({ marked }) => marked).map(({ pieces }) => pieces[0]!.text));
  expect(marks).toEqual(['1.', '2.', '1.']);
});

test('a slide that is not shown is not printed', () => {
  const slides = scene.slides.map((slide, i) => (i === 1 ? { ...slide, hidden: true } : slide));
  for (const print of PRINTS) {
    const made = sheets(print, { ...scene, slides });
    const seen = made.flatMap((sheet) => [
      ...sheet.slides.map(({ index }) => index),
      ...sheet.texts.map(({ slide }) => slide),
    ]);
    expect(seen).not.toContain(1);
    expect(seen.length).toBeGreaterThan(0);
  }
});

test('where text is written from the right, sheets begin there', async () => {
  const arabic = await sceneFor(
    '---\nlang: ar\n---\n\n# طاحونة المد\n\n- ساعتان من العمل\n\nهذه ملاحظات المتحدث\n\n# المال\n\n- نصف\n',
  );
  expect(arabic.theme.mirrored).toBe(true);
  const [three] = sheets('three', arabic);
  expect(three!.slides[0]!.x).toBeGreaterThan(three!.lines[0]!.x);
  const [script] = sheets('script', arabic);
  const spoken = script!.texts.find(({ as }) => as === 'paragraph')!;
  expect(spoken.pieces[0]).toMatchObject({ rtl: true });
  expect(spoken.pieces[0]!.x).toBeCloseTo(spoken.x + spoken.width, 0);
});

test('a deck without slides has no sheets', () => {
  for (const print of PRINTS) expect(sheets(print, { ...scene, slides: [], sections: [] })).toEqual([]);
});
