import { describe, expect, test } from '@jest/globals';
import { EMU_PER_POINT } from '../base/index.ts';
import { runsText, type Picture, type PictureId } from '../content/index.ts';
import type { Slide } from '../deck/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { code, doc, h, li, p, picture, random, randomDocument, table, THEMES, type Draft } from '../test/build.ts';
import { SLIDE_HEIGHT, SLIDE_WIDTH, type TemplateUse } from '../theme/index.ts';
import { layOutSlide } from './lay-out-slide.ts';
import type { Page, TextBox } from './page.ts';
import { measurePara } from './set-text.ts';
import { splitColumns } from './split-columns.ts';

const [theme] = THEMES;
const pictures: ReadonlyMap<PictureId, Picture> = new Map(
  ['a', 'b'].map((id, i) => [
    id as PictureId,
    { id: id as PictureId, mime: 'image/png', width: i === 0 ? 400 : 90, height: i === 0 ? 300 : 900 },
  ]),
);
const reading = (document: DocumentModel): readonly Slide[] =>
  mapDocument(document, presetMap('reading', document)).slides;
const pagesOf = (document: DocumentModel, full: 'continue' | 'report' = 'continue'): readonly Page[] =>
  reading(document).flatMap((slide) => layOutSlide(slide, { theme: theme!, pictures, full }));
const points = (count: number, text = 'A point of ordinary length, as people write them'): ReturnType<typeof li>[] =>
  Array.from({ length: count }, (_, i) => li(`${text} ${i}`));
const texts = (page: Page): readonly string[] =>
  page.boxes.flatMap((box) =>
    box.kind === 'text' ? box.paragraphs.filter((one) => one.style !== 'title').map((one) => runsText(one.runs)) : [],
  );
const words = (text: string): readonly string[] => text.split(/\s+/).filter((word) => word !== '');

test('a word of a hundred thousand characters goes on over pages, and not one is lost', () => {
  const endless = 'abcdefghij'.repeat(10_000);
  const pages = pagesOf(doc(h(1, 'T'), li(endless)));
  expect(pages.flatMap(texts).join('')).toBe(endless);
  expect(pages.every((page) => page.fit.state !== 'spills')).toBe(true);
});

describe('layouts are chosen by content', () => {
  test.each([
    ['points', [h(1, 'T'), li('a'), li('b')], ['points']],
    ['one point alone', [h(1, 'T'), li('a')], ['statement']],
    ['code', [h(1, 'T'), code('let a;')], ['points']],
    ['a table with text', [h(1, 'T'), li('a'), table([['a'], ['b']])], ['table-points']],
    ['a table and what is said of it', [h(1, 'T'), table([['a'], ['b']]), li('a')], ['table-points']],
    ['many short points', [h(1, 'T'), ...Array.from({ length: 14 }, (_, i) => li(`short ${i}`))], ['columns']],
    ['a picture with text', [h(1, 'T'), li('a'), picture('a')], ['picture-right']],
    ['a picture alone', [h(1, 'T'), picture('a')], ['picture']],
    ['two pictures', [h(1, 'T'), picture('a'), picture('b')], ['picture', 'picture']],
    ['a table', [h(1, 'T'), table([['a'], ['b']])], ['table']],
    ['points, a table, points', [h(1, 'T'), li('a'), table([['a'], ['b']]), li('b')], ['table-points', 'statement']],
    ['nothing', [h(1, 'T')], ['title-only']],
  ])('%s', (_, drafts, layouts) => {
    expect(pagesOf(doc(...drafts)).map((page) => page.layout)).toEqual(layouts);
  });
});

describe('too much for one slide', () => {
  test('type steps down first', () => {
    const [page, ...more] = pagesOf(
      doc(h(1, 'T'), ...points(9, 'Mühlenbetriebsgenossenschaft Wasserradgesellschaft Hafenverwaltung am Kai')),
    );
    expect(more).toEqual([]);
    expect(page!.fit).toMatchObject({ state: 'tight' });
    expect(page!.fit.points).toBeLessThan(24);
  });

  test('then it is continued, evenly, every word once', () => {
    const list = points(40, 'A point that is long enough not to go into two columns, and then some more of it');
    const pages = pagesOf(doc(h(1, 'T'), ...list));
    expect(pages.length).toBeGreaterThan(2);
    expect(pages.flatMap(texts)).toEqual(list.map((one) => runsText((one as unknown as { runs: never }).runs)));
    const counts = pages.map((page) => texts(page).length);
    expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(2);
    expect(pages.map((page) => page.index)).toEqual(pages.map((_, i) => i));
  });

  test('a heading’s point is not left alone at the end of a page', () => {
    const long =
      'A point that is long enough to fill a whole line of the slide and then goes on for a second one, always';
    for (let before = 4; before < 14; before++) {
      const pages = pagesOf(
        doc(
          h(1, 'T'),
          ...Array.from({ length: before }, (_, i) => li(`${long} ${i}`)),
          li('Parent'),
          li(`${long} x`, 2),
          li(`${long} y`, 2),
          li(`${long} z`, 2),
        ),
      );
      for (const page of pages) expect(texts(page).at(-1)).not.toBe('Parent');
    }
  });

  test('a paragraph taller than a slide is divided after a sentence', () => {
    const sentence = 'The pond holds eleven thousand cubic metres of water. ';
    const pages = pagesOf(doc(h(1, 'T'), p(sentence.repeat(60).trim())));
    expect(pages.length).toBeGreaterThan(1);
    expect(words(pages.flatMap(texts).join(' '))).toEqual(words(sentence.repeat(60)));
    for (const page of pages) for (const text of texts(page)) expect(text.endsWith('.')).toBe(true);
  });

  test('or it is reported, where the author prefers, and still stays inside', () => {
    const [page, ...more] = pagesOf(
      doc(h(1, 'T'), ...points(24, 'A point that is long enough not to go into two columns, and then some more of it')),
      'report',
    );
    expect(more).toEqual([]);
    expect(page!.fit.state).toBe('spills');
    expect(page!.fit.linesOver).toBeGreaterThan(0);
    expectInside([page!]);
  });

  test('notes go with the page that shows what they explain', () => {
    const drafts = Array.from({ length: 30 }, (_, i) => [
      li(`A point that is long enough not to go into two columns, and then some more of it ${i}`),
      p(`note ${i}`),
    ]).flat();
    const document = doc(h(1, 'T'), ...drafts);
    const pages = mapDocument(document, presetMap('talk', document)).slides.flatMap((slide) =>
      layOutSlide(slide, { theme: theme!, pictures, full: 'continue' }),
    );
    expect(pages.length).toBeGreaterThan(1);
    for (const page of pages)
      expect(page.notes.map((one) => runsText(one.runs).slice(5))).toEqual(
        texts(page).map((text) => /\d+$/.exec(text)![0]),
      );
  });

  test('a title that fits at no size is cut with an ellipsis and stands in the notes in full', () => {
    const title = 'Very long heading that somebody wrote as a paragraph '.repeat(40).trim();
    const [page] = pagesOf(doc(h(1, title), li('a')));
    expect(page!.fit.state).toBe('spills');
    expect(runsText(page!.notes[0]!.runs)).toBe(title);
    expectInside([page!]);
  });

  test('a title too long for its column stands above the content, in two lines, where the theme has such a place', () => {
    const long = 'Applying a plan of many parts to those gates that are named by the plan itself';
    for (const theme of THEMES) {
      const [short, page] = reading(doc(h(1, 'Gates'), li('a'), li('b'), h(1, long), li('c'), li('d'))).map(
        (slide) => layOutSlide(slide, { theme, pictures, full: 'continue' })[0]!,
      );
      const [title, body] = ['title', 'body'].map((role) =>
        page!.boxes.find((box): box is TextBox => box.kind === 'text' && box.frame.role === role),
      );
      expect(short!.longTitle).toBeUndefined();
      expect(page!.longTitle).toBe(theme.longTitled === undefined ? undefined : true);
      if (page!.longTitle !== true) continue;
      expect(title!.frame.y + title!.frame.height).toBeLessThanOrEqual(body!.frame.y);
      const size = title!.scale * title!.frame.style.sizes[0]!;
      expect(measurePara(title!.paras[0]!, title!.frame, theme, size).lines.length).toBeLessThanOrEqual(2);
      expect(size).toBeGreaterThanOrEqual(22);
      // On a template its own places count.
      const inTemplate = { ...theme, template: { hash: 'x' } as TemplateUse };
      const slides = reading(doc(h(1, long), li('c'), li('d')));
      expect(layOutSlide(slides[0]!, { theme: inTemplate, pictures, full: 'continue' })[0]!.longTitle).toBeUndefined();
    }
    expect(THEMES.filter(({ longTitled }) => longTitled !== undefined).map(({ name }) => name)).toContain('foreshore');
  });

  test('a cover is not set small so that no word stands alone on its last line', () => {
    for (const theme of THEMES) {
      const [cover] = reading(
        doc(
          { ...p('1.6. Lebenszyklus einer Veröffentlichung'), role: 'title' } as Draft,
          h(1, 'A'),
          li('b'),
          h(1, 'B'),
          li('c'),
        ),
      );
      const page = layOutSlide(cover!, { theme, pictures, full: 'continue' })[0]!;
      const title = page.boxes.find((box): box is TextBox => box.kind === 'text' && box.frame.role === 'title')!;
      const { sizes } = title.frame.style;
      expect([page.layout, title.scale * sizes[0]! >= sizes.at(-1)!]).toEqual(['cover', true]);
    }
  });

  test('a long table is continued with its head, and a row taller than a slide is divided', () => {
    const rows = Array.from({ length: 60 }, (_, i) => [`row ${i}`, `value ${i}`]);
    const pages = pagesOf(doc(h(1, 'T'), table([['Name', 'Value'], ...rows])));
    expect(pages.length).toBeGreaterThan(2);
    for (const page of pages) {
      const box = page.boxes.find((one) => one.kind === 'table')!;
      expect(box.kind === 'table' && runsText(box.cells[0]!.runs)).toBe('Name');
    }
    const tall = pagesOf(
      doc(
        h(1, 'T'),
        table([
          ['a', 'b'],
          ['x', 'word '.repeat(3000).trim()],
        ]),
      ),
    );
    expectInside(tall);
    const found = tall.flatMap((page) =>
      page.boxes.flatMap((box) =>
        box.kind === 'table' ? box.cells.filter((cell) => !cell.header).map((cell) => runsText(cell.runs)) : [],
      ),
    );
    expect(words(found.join(' ')).filter((word) => word === 'word')).toHaveLength(3000);
  });
});

test('a table with too many columns is divided, every cell once, a cell over several columns in each part', () => {
  const wide = pagesOf(
    doc(
      h(1, 'T'),
      table([Array.from({ length: 5000 }, (_, i) => `c${i}`), Array.from({ length: 5000 }, (_, i) => `v${i}`)]),
    ),
  );
  const cells = wide.flatMap((page) =>
    page.boxes.flatMap((box) => (box.kind === 'table' ? box.cells.map((cell) => runsText(cell.runs)) : [])),
  );
  expect(new Set(cells).size).toBe(10_000);
  expect(cells).toHaveLength(10_000);
  expectInside(wide);
  const spanned = splitColumns(
    { columns: 5, rows: [{ header: false, cells: [{ runs: [{ text: 'all' }], columns: 5, rows: 1 }] }] },
    2,
  );
  expect(spanned.map((part) => part.rows[0]!.cells.map((cell) => cell.columns))).toEqual([[2], [2], [1]]);
});

/** Every line, picture and cell stands in its frame, and every frame on the slide. */
function expectInside(pages: readonly Page[]): void {
  const slack = EMU_PER_POINT / 2;
  for (const page of pages)
    for (const box of page.boxes) {
      const { x, y, width, height } = box.frame;
      if (!(x >= 0 && y >= 0 && x + width <= SLIDE_WIDTH && y + height <= SLIDE_HEIGHT))
        throw new Error(`${page.slide.id} ${page.layout}: a frame is outside of the slide`);
      const inside = (left: number, top: number, right: number, bottom: number): void => {
        const out = left < x - slack || top < y - slack || right > x + width + slack || bottom > y + height + slack;
        if (out)
          throw new Error(
            `${page.slide.id} ${page.layout}: ${[left, top, right, bottom].join(' ')} is outside of ${[x, y, x + width, y + height].join(' ')}`,
          );
      };
      if (box.kind === 'picture')
        inside(box.rect.x, box.rect.y, box.rect.x + box.rect.width, box.rect.y + box.rect.height);
      if (box.kind === 'table')
        for (const { rect } of box.cells) inside(rect.x, rect.y, rect.x + rect.width, rect.y + rect.height);
      if (box.kind === 'text')
        for (const { lines, size } of box.paragraphs)
          for (const line of lines)
            inside(
              line.x,
              line.baseline - size * 0.6 * EMU_PER_POINT,
              line.x + line.width,
              line.baseline + size * 0.1 * EMU_PER_POINT,
            );
    }
}

test('a page that goes on below a point says that point again', () => {
  const long = doc(
    h(1, 'T'),
    li('parent'),
    ...Array.from({ length: 30 }, (_, i) => li(`a child of some length, number ${i}`, 2)),
  );
  const [slide] = mapDocument(long, presetMap('talk', long)).slides;
  const pages = layOutSlide(slide!, { theme: THEMES[0]!, pictures: new Map(), full: 'continue' });
  const texts = pages.map((page) =>
    page.boxes.flatMap((box) => (box.kind === 'text' ? box.paras.filter(({ part }) => part !== null) : [])),
  );
  expect(pages.length).toBeGreaterThan(1);
  for (const [i, paras] of texts.entries()) {
    expect([runsText(paras[0]!.runs), paras[0]!.repeated ?? false]).toEqual(['parent', i > 0]);
    expect(paras.length).toBeGreaterThan(3);
  }
  // Its passage stands where it first is.
  expect(pages.filter((page) => page.passages.includes(long.blocks[1]!.id))).toHaveLength(1);
});

test('no page has one point alone where the others can spare one', () => {
  const points = doc(
    h(1, 'T'),
    ...Array.from({ length: 13 }, (_, i) => li(`some words that fill about one line of a slide, no more ${i}`)),
  );
  const [slide] = mapDocument(points, presetMap('talk', points)).slides;
  const pages = layOutSlide(slide!, { theme: THEMES[0]!, pictures: new Map(), full: 'continue' });
  const sizes = pages.map((page) =>
    page.boxes.reduce(
      (sum, box) => sum + (box.kind === 'text' && box.frame.role !== 'title' ? box.paras.length : 0),
      0,
    ),
  );
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBe(13);
  expect(Math.min(...sizes)).toBeGreaterThan(1);
  expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(2);
});

test('over random decks in every theme nothing is ever outside of its frame, and no word of a point is lost', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const next = random(seed);
    const document = randomDocument(next, 60);
    const { slides } = mapDocument(document, presetMap(seed % 2 ? 'reading' : 'talk', document));
    THEMES.forEach((one, i) => {
      const full = (['continue', 'columns', 'report'] as const)[(seed + i) % 3]!;
      for (const slide of slides) {
        const pages = layOutSlide(slide, { theme: one, pictures, full });
        expectInside(pages);
        const wanted = slide.content.flatMap((part) =>
          part.kind === 'point' || (part.kind === 'text' && part.style !== 'code') ? words(runsText(part.runs)) : [],
        );
        const code = new Set(
          slide.content.filter((part) => part.kind === 'text' && part.style === 'code').map((part) => part.id),
        );
        const shown = pages.flatMap((page) =>
          page.boxes.flatMap((box) =>
            box.kind === 'text'
              ? box.paragraphs
                  .filter((para) => para.part !== null && !code.has(para.part) && para.repeated !== true)
                  .flatMap((para) => words(runsText(para.runs)))
              : [],
          ),
        );
        expect(shown.join('')).toBe(wanted.join(''));
      }
    });
  }
});
