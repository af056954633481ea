/** What keeps a slide from being shown as it is: each rule broken by a page that is right but for that. */
import { describe, expect, test } from '@jest/globals';
import { plain, type Picture, type PictureId } from '../content/index.ts';
import type { Page, TextBox } from '../layout/index.ts';
import { convert } from '../pipeline/index.ts';
import { code, doc, h, li, p, picture, quote, table, THEMES, type Draft } from '../test/build.ts';
import { readiness } from './presentable.ts';
import { faultsOf, reach, RULES, type Rule } from './rules.ts';

type Drafts = readonly Draft[];
const theme = THEMES[0]!;
const pictures: ReadonlyMap<PictureId, Picture> = new Map(
  (['image/png', 'image/jpeg'] as const).map((mime, i) => {
    const id = ['drawing', 'photograph'][i] as PictureId;
    return [id, { id, mime, width: 800, height: 600 }];
  }),
);
const pagesOf = (...drafts: Drafts): readonly Page[] => convert(doc(...drafts), []).pages;
const judge = (page: Page, before?: Page): readonly Rule[] => faultsOf({ page, before, theme, pictures, words: 60 });
/** A page that nothing can be said against. */
const GOOD: Drafts = [
  h(1, 'Gates'),
  li('The gates are of oak'),
  li('They leak'),
  li('Silt lies in the pit'),
  li('The wheel stands'),
  li('The roof is open'),
];
const good = pagesOf(...GOOD)[0]!;
const changed = (change: (box: TextBox) => Partial<TextBox>, role = 'body'): Page => ({
  ...good,
  boxes: good.boxes.map((box) => (box.kind === 'text' && box.frame.role === role ? { ...box, ...change(box) } : box)),
});
const sized = (size: number): Page => changed((box) => ({ scale: size / box.frame.style.sizes[0]! }));

test('a good page breaks none', () => expect(judge(good)).toEqual([]));

describe('each rule', () => {
  test('a title and nothing else', () => expect(judge(pagesOf(h(1, 'Bare'))[0]!)).toEqual(['bare']));

  test('one point alone, unless it is meant to stand so', () => {
    const lone = changed((box) => ({ paras: box.paras.slice(0, 1) }));
    expect(judge(lone)).toEqual(['lone-point', 'half-empty']);
    expect(judge(pagesOf(h(1, 'Gates'), li('The gates are of oak'))[0]!)).toEqual([]);
    expect(judge(pagesOf(h(1, 'Gates'), quote('The sea is never late.'))[0]!)).toEqual([]);
  });

  test('half of it empty', () => {
    const few = changed((box) => ({ paras: box.paras.slice(0, 2), spread: 1 }));
    expect(reach(few, theme)).toBeLessThan(0.5);
    expect(judge(few)).toEqual(['half-empty']);
  });

  test('small type: points, those below them, cells, code', () => {
    expect(judge(sized(18))).not.toContain('small-points');
    expect(judge(sized(17))).toContain('small-points');
    const lower = (size: number): readonly Rule[] => {
      const page = sized(size);
      return judge({
        ...page,
        boxes: page.boxes.map((box) =>
          box.kind === 'text'
            ? { ...box, paras: box.paras.map((para, i) => (i === 0 ? para : { ...para, level: 2 })) }
            : box,
        ),
      });
    };
    expect(lower(18)).not.toContain('small-points');
    expect(lower(17.5)).toContain('small-points');
    const [rows] = pagesOf(
      h(1, 'Costs'),
      table([
        ['Work', 'Sum'],
        ['Gates', '31'],
        ['Roof', '12'],
        ['Pit', '9'],
      ]),
    );
    const cells = (size: number): Page => ({
      ...rows!,
      boxes: rows!.boxes.map((box) => (box.kind === 'table' ? { ...box, size } : box)),
    });
    expect([judge(cells(14)), judge(cells(13.5))]).toEqual([[], ['small-cells']]);
    const [program] = pagesOf(h(1, 'Code'), code('let a;\nlet b;'));
    const lines = (size: number): Page => ({
      ...program!,
      boxes: program!.boxes.map((box) =>
        box.kind === 'text' && box.frame.role === 'body'
          ? { ...box, scale: size / 0.78 / box.frame.style.sizes[0]! }
          : box,
      ),
    });
    expect([judge(lines(14)), judge(lines(13))]).toEqual([[], ['small-code']]);
  });

  test('more words than are taken in, more lines of code than are read', () => {
    const long = 'word '.repeat(61).trim();
    expect(
      judge(changed((box) => ({ paras: [{ ...box.paras[0]!, runs: plain(long) }, ...box.paras.slice(1)] }))),
    ).toContain('many-words');
    // Two Chinese characters are about a word.
    const page = changed((box) => ({ paras: box.paras.map((para) => ({ ...para, runs: plain('水'.repeat(22)) })) }));
    expect(judge(page)).not.toContain('many-words');
    const lines = Array.from({ length: 15 }, (_, i) => `line ${i}`).join('\n');
    const program = changed((box) => ({ paras: [{ ...box.paras[0]!, style: 'code', runs: plain(lines) }] }));
    expect(judge(program)).toContain('long-code');
  });

  test('a title of three lines, or with one word on its last', () => {
    const titled = (text: string): readonly Rule[] =>
      judge(changed((box) => ({ paras: [{ ...box.paras[0]!, runs: plain(text) }] }), 'title'));
    expect(titled('The gates of the mill')).toEqual([]);
    expect(titled('The gates of the mill and of the pond above it '.repeat(4))).toContain('long-title');
    const narrow = (text: string, width: number): readonly Rule[] =>
      judge(
        changed(
          (box) => ({
            frame: { ...box.frame, width: width as never },
            paras: [{ ...box.paras[0]!, runs: plain(text) }],
          }),
          'title',
        ),
      );
    expect(narrow('North gate', 1_500_000)).toContain('long-title');
    expect(narrow('North gate of oak', 2_600_000)).not.toContain('long-title');
    expect(narrow('水車小屋の北の門', 1_900_000)).not.toContain('long-title');
  });

  test('the title of the slide before', () => {
    expect(judge(good, good)).toEqual(['repeated-title']);
    expect(judge(good, pagesOf(h(1, 'Costs'), li('a'))[0])).toEqual([]);
  });

  test('a picture too small to be seen; a drawing that is cut, but not a photograph', () => {
    const shown = (id: string, change: object): readonly Rule[] => {
      const [page] = pagesOf(h(1, 'Mill'), picture(id), li('The mill'), li('The pond'), li('The sea'));
      return judge({
        ...page!,
        boxes: page!.boxes.map((box) => (box.kind === 'picture' ? { ...box, ...change } : box)),
      });
    };
    const tiny = { rect: { x: 0, y: 0, width: 900_000, height: 900_000 } };
    expect(shown('drawing', tiny)).toContain('small-picture');
    expect(shown('drawing', { cut: [0.1, 0, 0.1, 0] })).toContain('cut-picture');
    expect(shown('photograph', { cut: [0.1, 0, 0.1, 0] })).not.toContain('cut-picture');
  });

  test('a character that no font has; text over its frame; text that is not read', () => {
    const said = (text: string): readonly Rule[] =>
      judge(changed((box) => ({ paras: box.paras.map((para) => ({ ...para, runs: plain(text) })) })));
    for (const text of [
      '水車小屋の門',
      'بوابات الطاحونة',
      'שערי הטחנה',
      'प्रवेश द्वार',
      'ประตูน้ำ',
      '방앗간의 문',
      '→ ∑ ★ 🌊',
    ])
      expect(said(text)).not.toContain('no-glyph');
    expect(said('\u{10A60} old letters')).toContain('no-glyph');
    expect(judge(sized(90))).toContain('spills');
    const pale = changed((box) => ({ frame: { ...box.frame, style: { ...box.frame.style, paint: 'EEEEEE' } } }));
    expect(judge(pale)).toEqual(['contrast']);
  });

  test('letters that stand out too little: a little under the least is as good, large titles of a template need less', () => {
    const on = (behind: string, colors: boolean, role = 'body', size?: number): readonly Rule[] => {
      const page = changed(
        ({ frame }) => ({
          frame: {
            ...frame,
            behind: [behind],
            style: { ...frame.style, paint: '000000', ...(size === undefined ? {} : { sizes: [size], bold: false }) },
          } as never,
        }),
        role,
      );
      const layouts = theme.layouts.map((layout) =>
        layout.name === page.layout
          ? { ...layout, marks: [], colors: { fills: theme.palette, inks: theme.palette, mended: undefined } }
          : layout,
      );
      return faultsOf({
        page,
        before: undefined,
        theme: colors ? { ...theme, layouts: layouts as never } : theme,
        pictures,
        words: 60,
      });
    };
    // Black on these greys has 4.49, 4.43, 3.0 and 2.91 to 1 (WCAG 2.2, 1.4.3).
    expect(['747474', '737373'].map((grey) => on(grey, false).includes('contrast'))).toEqual([false, true]);
    expect(['595959', '575757'].map((grey) => on(grey, true, 'title', 24).includes('contrast'))).toEqual([false, true]);
    expect(on('595959', true, 'title', 17)).toContain('contrast');
    expect(on('595959', false, 'title', 24)).toContain('contrast');
  });

  test('a cover that is not first', () => {
    const [cover] = pagesOf(h(1, 'The mill'), h(2, 'Gates'), li('oak'));
    expect(cover!.slide.kind).toBe('cover');
    expect([judge(cover!), judge(cover!, good)]).toEqual([[], ['cover-not-first']]);
  });

  test('is one of those that are named, each once', () => expect(new Set(RULES).size).toBe(RULES.length));
});

test('pages with content are counted, and openings only where they break a rule', () => {
  const pages = pagesOf(h(1, 'The mill'), h(2, 'Gates'), ...GOOD.slice(1), h(2, 'Bare'), h(2, 'Pond'), p('It fills.'));
  const { ready, of, faults } = readiness({ pages, theme, document: { pictures: [...pictures.values()] } });
  expect([ready, of]).toEqual([1, 3]);
  expect(faults).toEqual([[], [], ['bare'], ['bare']]);
  expect(readiness({ pages, theme, document: { pictures: [...pictures.values()] } }).faults[2]).toBe(faults[2]);
});
