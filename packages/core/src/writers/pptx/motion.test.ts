/** Transitions and points one by one, as the presentation says them; nothing moves unasked. */
import { describe, expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import { checkPackage } from '../../../../package-check/src/index.ts';
import type { Edit } from '../../edits/index.ts';
import { beginning, convert, sceneOf, writeDeck } from '../../pipeline/index.ts';
import { drawParts, stepCount, stepsOf } from '../../scene/index.ts';
import { doc, h, li, p, random, randomDocument } from '../../test/build.ts';

const mill = doc(
  h(1, 'Gates'),
  li('North'),
  li('seized', 2),
  li('South'),
  li('West'),
  h(1, 'Wheel'),
  li('Alone'),
  p('Said.'),
);
const map = beginning(mill).filter(({ kind }) => kind === 'map');
const made = (...edits: readonly Edit[]) => convert(mill, [...map, ...edits]);
const slides = (deck: ReturnType<typeof convert>): readonly string[] => {
  const parts = unzipSync(writeDeck('pptx', deck, []));
  return deck.pages.map((_, i) => strFromU8(parts[`ppt/slides/slide${i + 1}.xml`]!));
};
const ALL: Edit = { kind: 'motion', motion: { transition: 'fade', points: true } };
const [gates] = made().deck.slides;

describe('movement', () => {
  test('there is none unasked', () => {
    for (const xml of slides(made())) expect(xml).not.toMatch(/p:transition|p:timing/);
  });

  test('for all slides: a transition each, and an appearance for each paragraph, those below a point with it', async () => {
    const deck = made(ALL);
    const [first, second] = slides(deck);
    expect(first).toContain('<p:transition><p:fade/></p:transition><p:timing>');
    expect(first!.match(/nodeType="clickEffect"/g)).toHaveLength(3);
    expect(first!.match(/nodeType="withEffect"/g)).toHaveLength(1);
    expect([...first!.matchAll(/<p:pRg st="(\d)" end="(\d)"\/>/g)].map(([, st]) => st)).toEqual(['0', '1', '2', '3']);
    const [, built] = /<p:bldP spid="(\d+)"/.exec(first!)!;
    // The shape that is built is the one with the points.
    expect(new RegExp(`<p:cNvPr id="${built}"[^>]*>(?:(?!</p:sp>).)*North`, 's').test(first!)).toBe(true);
    // A lone point is there at once.
    expect(second).toContain('<p:fade/>');
    expect(second).not.toContain('<p:timing>');
    expect(await checkPackage(writeDeck('pptx', deck, []))).toEqual([]);
  });

  test('one slide does otherwise, and goes back to what the deck does', () => {
    const own: Edit = { kind: 'motionAt', slides: [gates!.id], motion: { transition: 'wipe', points: false } };
    const [first, second] = slides(made(ALL, own));
    expect([first!.includes('<p:wipe dir="l"/>'), first!.includes('<p:timing>')]).toEqual([true, false]);
    expect(second).toContain('<p:fade/>');
    const [again] = slides(made(ALL, own, { kind: 'motionAt', slides: [gates!.id], motion: null }));
    expect(again).toContain('<p:fade/>');
  });

  test('drawn points know when they come; titles and lone points are there from the beginning', () => {
    const { slides: scene, theme } = sceneOf(made(ALL));
    const steps = drawParts(scene[0]!, theme).boxes.flatMap(({ texts }) => texts.map(({ step }) => step ?? 0));
    expect(steps).toEqual([0, 1, 1, 2, 3]);
    expect(scene.map(({ boxes }) => stepCount(boxes))).toEqual([3, 0]);
  });

  test('random decks hold to the standard with every transition, and count their points without a gap', async () => {
    for (const [i, transition] of (['fade', 'push', 'wipe', 'none'] as const).entries()) {
      const document = randomDocument(random(i + 3), 30);
      const deck = convert(document, [
        ...beginning(document),
        { kind: 'motion', motion: { transition, points: true } },
      ]);
      expect([transition, await checkPackage(writeDeck('pptx', deck, []))]).toEqual([transition, []]);
      for (const { boxes } of deck.pages) {
        const found = [...new Set(stepsOf(boxes).values())].sort((a, b) => a - b);
        expect(found).toEqual(Array.from({ length: stepCount(boxes) }, (_, n) => n + 1));
      }
    }
  });
});
