import { describe, expect, test } from '@jest/globals';
import { convert, type DocumentModel, type Page } from '@alvex/core';
import { doc, h, li, p, picture, random, randomDocument, table, THEMES } from '../../../core/src/test/build.ts';
import { drawPage } from './draw.ts';
import type { Drawing } from './shown.ts';

const [WIDTH, HEIGHT] = [960, 540]; // points
const pictures = [{ id: 'a' as never, mime: 'image/png' as const, width: 400, height: 300 }];
const draw = (document: DocumentModel, theme = THEMES[0]!): readonly (readonly [Page, Drawing])[] =>
  convert({ ...document, pictures }, [{ kind: 'theme', theme: theme.name }]).pages.map((page, i) => [
    page,
    drawPage(page, i, theme),
  ]);
const textOf = (drawing: Drawing): string =>
  drawing.texts.map(({ pieces }) => pieces.map(({ text }) => text).join(' ')).join('\n');

describe('a slide as it is drawn', () => {
  test('has its title, its points with bullets, and names what can be written', () => {
    const [[, drawing]] = draw(doc(h(1, 'The gate'), li('oak'), li('iron', 2))) as [readonly [Page, Drawing]];
    expect(drawing.texts.map(({ target }) => target === 'title')).toEqual([true, false, false]);
    expect(drawing.texts.every(({ target }) => target !== null)).toBe(true);
    expect(textOf(drawing)).toMatch(/The gate[\s\S]*oak[\s\S]*iron/);
    // A bullet stands to the left of its point, a deeper point further in.
    const [, outer, inner] = drawing.texts.map(({ pieces }) => pieces.map(({ x }) => x));
    expect(outer![0]).toBeLessThan(outer![1]!);
    expect(inner![1]).toBeGreaterThan(outer![1]!);
  });

  test('has pictures with their descriptions and tables by their cells', () => {
    const drawings = draw(
      doc(
        h(1, 'T'),
        picture('a', 'The pond'),
        table([
          ['a', 'b'],
          ['1', '2'],
        ]),
      ),
    );
    expect(drawings.flatMap(([, { pictures: shown }]) => shown)).toMatchObject([{ picture: 'a', alt: 'The pond' }]);
    const cells = drawings.find(([page]) => page.layout === 'table')![1];
    expect(textOf(cells)).toMatch(/a\n?[\s\S]*b[\s\S]*1[\s\S]*2/);
  });

  test.each(THEMES.map((theme) => [theme.name, theme] as const))('stays within its edges, in %s', (_, theme) => {
    // Some hundred thousand pieces: said where one is wrong, not for each that is right.
    const wrong: unknown[] = [];
    let pieces = 0;
    for (let seed = 1; seed <= 6; seed++)
      for (const [page, drawing] of draw(randomDocument(random(seed), 25), theme)) {
        for (const { x, y, width, height } of [...drawing.texts, ...drawing.pictures])
          if (!(x >= -0.1 && y >= -0.1 && x + width <= WIDTH + 0.1 && y + height <= HEIGHT + 0.1))
            wrong.push([page.key, x, y, width, height]);
        for (const piece of drawing.texts.flatMap((text) => text.pieces)) {
          pieces += 1;
          const inside = piece.x + piece.width <= WIDTH + 0.1 && piece.y <= HEIGHT;
          if (!inside || !/^#?[0-9A-F]{6}$/i.test(piece.color)) wrong.push([page.key, piece]);
        }
      }
    expect(wrong).toEqual([]);
    expect(pieces).toBeGreaterThan(1000);
  });

  test('has a number on slides of content, none on a cover', () => {
    const drawings = draw(doc(p('The mill', 'title'), h(1, 'A'), li('a')));
    expect(drawings.map(([page, { number }]) => [page.slide.kind, number !== null])).toEqual([
      ['cover', false],
      ['content', true],
    ]);
  });
});
