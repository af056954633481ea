import { beforeAll, describe, expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import {
  beginning,
  convert,
  openDocument,
  readingOf,
  sceneOf,
  sheetsOf,
  writeDeck,
  type Converted,
} from '../pipeline/index.ts';
import { blockText } from '../document/index.ts';
import { random, randomDocument } from '../test/build.ts';
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

const made = async (source: string, edits: Parameters<typeof convert>[1] = []): Promise<Converted> =>
  convert((await openDocument(new TextEncoder().encode(source), 'markdown')).document, edits);
const sceneFor = async (...given: Parameters<typeof made>): Promise<Scene> => sceneOf(await made(...given));
let converted: Converted;
let scene: Scene;
beforeAll(async () => {
  converted = await made(SOURCE);
  scene = sceneOf(converted);
});
const sheets = (print: Print, of: Scene = scene): readonly Sheet[] =>
  makeSheets(of, { print, paper: 'a4' }, of === scene ? readingOf(converted) : []);
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

test('notes are set as the rule for them says, and nothing else is', async () => {
  const rule = { size: 16, space: 20 };
  const ruled = await sceneFor(SOURCE, [{ kind: 'type', role: 'notes', rule }]);
  const printed = (of: Scene, print: Print) =>
    sheets(print, of)
      .flatMap(({ texts }) => texts)
      .filter(({ pieces }) => pieces.some(({ text }) => text.startsWith('The north gate')));
  const [before, after] = [printed(scene, 'notes')[0]!, printed(ruled, 'notes')[0]!];
  expect(before.pieces[0]!.size).not.toBe(16);
  expect(after.pieces[0]!.size).toBe(16);
  expect(printed(ruled, 'outline').every(({ pieces }) => pieces.every(({ size }) => size < 16))).toBe(true);
  // Slides are the same, down to their layouts.
  expect(ruled.theme.layouts).toBe(scene.theme.layouts);
  const part = (name: string, of: Converted): string => strFromU8(unzipSync(writeDeck('pptx', of, []))[name]!);
  const withRule = await made(SOURCE, [{ kind: 'type', role: 'notes', rule }]);
  expect(part('ppt/notesMasters/notesMaster1.xml', withRule)).toMatch(
    /<a:spcPts val="2000"\/><\/a:spcBef><a:defRPr sz="1600"/,
  );
  expect(part('ppt/slides/slide2.xml', withRule)).toBe(part('ppt/slides/slide2.xml', converted));
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
  for (const print of PRINTS.filter((one) => one !== 'handout')) {
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

describe('a handout', () => {
  const handout = (of: Converted): readonly Sheet[] => sheetsOf(of, { print: 'handout', paper: 'a4' });
  const words = (text: string): readonly string[] => (text.match(/[\p{L}\p{N}]+/gu) ?? []).toSorted();

  test('has each slide before its text, on the same sheet', () => {
    const found = handout(converted).flatMap(({ slides, texts }) =>
      slides.map(({ index, y, height }) => ({
        slide: scene.slides[index]!.title,
        below: texts
          .find((text) => text.y >= y + height)
          ?.pieces.map(({ text }) => text)
          .join(''),
      })),
    );
    expect(found.map(({ slide }) => slide)).toEqual(scene.slides.map(({ title }) => title));
    // A slide that goes on stands below the one before it.
    const shown = found.filter(({ slide }, i) => slide !== '' && slide !== found[i + 1]?.slide);
    expect(shown.map(({ below }) => below)).toEqual(shown.map(({ slide }) => slide));
  });

  test('has tables as rows of cells, side by side, with a line below each row', () => {
    const cells = handout(converted).flatMap(({ texts }) => texts.filter(({ as }) => as === 'cell'));
    expect(cells.map((one) => [one.cell!.row, one.cell!.header, lineTexts(one)])).toEqual([
      [0, true, 'Work'],
      [0, true, 'Year 1'],
      [1, false, 'Gates'],
      [1, false, '31,000'],
    ]);
    expect(cells[0]!.y).toBe(cells[1]!.y);
    expect(cells[0]!.x + cells[0]!.width).toBeLessThan(cells[1]!.x);
    expect(cells[2]!.y).toBeGreaterThan(cells[0]!.y + cells[0]!.height);
    // Numbers end at the right of their column.
    const [, , , sum] = cells;
    const [piece] = sum!.pieces;
    expect(piece!.x + piece!.width).toBeCloseTo(sum!.x + sum!.width, 0);
    expect(cells[2]!.pieces[0]!.x).toBeCloseTo(cells[2]!.x, 0);
  });

  test('goes on over several sheets with a row that none has room for', async () => {
    const words = Array.from({ length: 1500 }, (_, i) => `w${i}`);
    const parted = await made(`# Gates\n\n| What | Said |\n|---|---|\n| Long | ${words.join(' ')} |\n| After | it |\n`);
    const found = handout(parted);
    expect(found.length).toBeGreaterThan(2);
    const cells = found.flatMap(({ texts }) => texts.filter(({ as }) => as === 'cell'));
    const long = cells.filter(({ cell }) => cell!.row === 1 && cell!.column === 1);
    expect(long.map(({ continues }) => continues)).toEqual([false, ...long.slice(1).map(() => true)]);
    expect(long.map(lineTexts).join(' ').split(/\s+/)).toEqual(words);
    expect(lineTexts(cells.at(-1)!)).toBe('it');
    for (const { texts, height } of found) for (const text of texts) expect(text.y + text.height).toBeLessThan(height);
  });

  test('leaves out what is for the speaker alone, and what was left out', async () => {
    const of = await made('# Gates\n\nSeen.\n\n# Notes for the presenter\n\nHidden words.\n');
    const told = said(handout(of));
    expect(told).toContain('Seen.');
    expect(told).not.toContain('Hidden words.');
    const [, second] = converted.deck.slides;
    const hidden = await made(SOURCE, [{ kind: 'hide', slides: [second!.id], hidden: true }]);
    expect(handout(hidden).flatMap(({ slides }) => slides.map(({ index }) => index))).not.toContain(1);
    expect(said(handout(hidden))).toBe(said(handout(converted)));
  });

  test('has every word of random documents, within its sheets', () => {
    for (let seed = 1; seed <= 6; seed++) {
      const document = randomDocument(random(seed), 40);
      const of = convert(document, beginning(document));
      const made = handout(of);
      const texts = made.flatMap((sheet) => sheet.texts);
      const told = words(texts.map((text) => text.pieces.map((piece) => piece.text).join(' ')).join(' '));
      const known = new Set(told);
      const lost = document.blocks.flatMap((block) => words(blockText(block))).filter((word) => !known.has(word));
      expect([seed, lost]).toEqual([seed, []]);
      const outside = made.flatMap(({ texts, slides, width, height }) =>
        [...texts, ...slides].filter((one) => one.x < 0 || one.x + one.width > width || one.y + one.height > height),
      );
      expect([seed, outside]).toEqual([seed, []]);
    }
  });
});
