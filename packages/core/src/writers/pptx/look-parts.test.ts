import { describe, expect, test } from '@jest/globals';
import { decodeUtf8 } from '../../base/index.ts';
import { readXmlText, ZipReader } from '../../container/index.ts';
import { CHART_KINDS, usualSettings } from '../../charts/index.ts';
import { PLAIN_DRESS } from '../../deck/index.ts';
import type { Edit } from '../../edits/index.ts';
import { convert, writeDeck } from '../../pipeline/index.ts';
import { drawSlide, sceneSlide } from '../../scene/index.ts';
import { doc, h, li, picture, table, THEMES } from '../../test/build.ts';
import { columnName } from '../slides/column-name.ts';

const NUMBERS = table([
  ['Year', 'Grown', 'Children'],
  ['2024', '1,200', '400'],
  ['2025', '1,850', '720'],
]);
const REPORT = doc(
  h(1, 'Mill'),
  h(2, 'Parts'),
  li('Oak'),
  li('Iron'),
  li('Elm'),
  li('Stone'),
  h(2, 'Pond'),
  li('Silt'),
  picture('a', 'Pond'),
  h(2, 'Guests'),
  NUMBERS,
);
const [, parts, pond, guests] = convert(REPORT, []).deck.slides as unknown as readonly [unknown, S, S, S];
interface S {
  readonly id: never;
  readonly content: readonly { readonly id: string }[];
}
const BYTES = new Uint8Array([1, 2, 3]);

function written(...edits: Edit[]): { zip: ZipReader; slide: (n: number) => string; text: (name: string) => string } {
  const converted = convert(REPORT, edits);
  const data = converted.document.pictures.map((one) => ({ ...one, bytes: BYTES }));
  const zip = new ZipReader(writeDeck('pptx', converted, data));
  const text = (name: string): string => decodeUtf8(zip.read(name));
  for (const name of zip.names.filter((one) => /\.(xml|rels)$/.test(one)))
    readXmlText(text(name), { open: () => undefined });
  return { zip, text, slide: (n) => text(`ppt/slides/slide${n}.xml`) };
}

describe('figures', () => {
  test('a symbol is an outline that takes the theme’s colour', () => {
    const xml = written(
      { kind: 'layout', slides: [parts.id], layout: 'icon-grid' },
      {
        kind: 'icon',
        part: parts.content[0]!.id as never,
        icon: { name: 'wheel', paths: ['M3 12a9 9 0 1 0 18 0', 'M12 3v18h4l2 2z'] },
      },
    ).slide(2);
    expect(xml).toMatch(
      /name="Symbol \d+: wheel"[\s\S]*<a:custGeom>[\s\S]*<a:cubicBezTo>[\s\S]*<a:lnTo>[\s\S]*<a:close\/>/,
    );
  });
});

describe('charts', () => {
  const chart = (kind: (typeof CHART_KINDS)[number]): Edit => ({
    kind: 'chart',
    part: guests.content[0]!.id as never,
    chart: {
      ...usualSettings(
        {
          categories: ['2024', '2025'],
          series: [],
          format: { decimals: 0, decimal: '.', group: ',', prefix: '', suffix: '' },
        },
        kind,
      ),
      title: 'Guests & <others>',
    },
  });

  test.each(CHART_KINDS)('%s: a native part over a workbook that holds the same numbers', (kind) => {
    const { zip, text } = written(chart(kind));
    const xml = text('ppt/charts/chart1.xml');
    expect(xml).toMatch(
      {
        column: /barDir val="col"/,
        bar: /barDir val="bar"/,
        stacked: /grouping val="stacked"/,
        line: /<c:lineChart>/,
        area: /<c:areaChart>/,
        pie: /<c:pieChart>/,
        doughnut: /holeSize/,
        scatter: /<c:scatterChart>/,
      }[kind],
    );
    expect(xml).toContain('Guests &amp; &lt;others&gt;');
    expect(xml).toContain('<c:v>1850</c:v>');
    const book = new ZipReader(zip.read('ppt/embeddings/workbook1.xlsx'));
    const sheet = decodeUtf8(book.read('xl/worksheets/sheet1.xml'));
    // Every number that the chart refers to stands in the cell that it names.
    for (const [, column, from, to] of xml.matchAll(
      /<c:numRef><c:f>Sheet1!\$([A-Z]+)\$(\d+):\$[A-Z]+\$(\d+)<\/c:f>/g,
    )) {
      const cells = Array.from(
        { length: Number(to) - Number(from) + 1 },
        (_, i) => new RegExp(`r="${column}${Number(from) + i}"[^>]*><v>([^<]*)`).exec(sheet)?.[1],
      );
      const cached = [
        ...xml
          .slice(xml.indexOf(`$${column}$${from}`))
          .split('</c:numCache>')[0]!
          .matchAll(/<c:v>([^<]*)/g),
      ].map(([, value]) => value);
      expect(cells).toEqual(cached);
    }
    expect(text('[Content_Types].xml')).toContain('Extension="xlsx"');
  });

  test('a chart says its numbers, is set in the theme’s font and in the deck’s language', () => {
    const { slide, text } = written(chart('column'));
    expect(slide(4)).toContain(
      'descr="Guests &amp; &lt;others&gt;: Grown: 2024 1,200, 2025 1,850; Children: 2024 400, 2025 720"',
    );
    const xml = text('ppt/charts/chart1.xml');
    expect(xml.match(/<a:defRPr /g)).toHaveLength(xml.match(/<a:latin typeface="\+mn-lt"\/><a:ea/g)!.length - 1);
    expect(xml).not.toMatch(/lang="(?!en-GB)/);
  });

  test('areas that stand before each other are seen through, on the slide and in the file', () => {
    const { text } = written(chart('area'));
    expect(text('ppt/charts/chart1.xml').match(/<a:alpha val="65000"\/>/g)).toHaveLength(2);
    expect(written(chart('column')).text('ppt/charts/chart1.xml')).not.toContain('a:alpha');
    const page = convert(REPORT, [chart('area')]).pages[3]!;
    const drawn = drawSlide(sceneSlide(page, 4, THEMES[0]!), THEMES[0]!);
    expect(drawn.shapes.filter(({ opacity }) => opacity === 0.65)).toHaveLength(2);
  });

  test('columns beyond Z', () => expect([0, 25, 26, 51, 52].map(columnName)).toEqual(['A', 'Z', 'AA', 'AZ', 'BA']));
});

test('a picture is cut, toned and rounded by properties that can be edited', () => {
  const dress = {
    ...PLAIN_DRESS,
    as: 'fill' as const,
    focus: [0, 0.5] as const,
    filter: 'tint' as const,
    corners: 'round' as const,
    brightness: 0.2,
  };
  const xml = written({ kind: 'frame', part: pond.content[1]!.id as never, dress }).slide(3);
  expect(xml).toMatch(
    /<a:duotone><a:schemeClr val="accent1"\/><a:schemeClr val="bg1"\/><\/a:duotone><a:lum bright="20000" contrast="0"\/>/,
  );
  const [, left, right] = /<a:srcRect l="(\d+)" t="\d+" r="(\d+)"/.exec(xml)! as unknown as [string, string, string];
  expect(Number(left)).toBe(0);
  expect(Number(right)).toBeGreaterThan(0);
  expect(xml).toContain('prst="roundRect"');
});

test('colours of one slide are a theme override of that slide alone', () => {
  const { text, slide } = written({ kind: 'colors', slides: [pond.id], palette: null, dark: true });
  expect(text('ppt/slides/_rels/slide3.xml.rels')).toContain('themeOverride1.xml');
  expect(text('ppt/slides/_rels/slide2.xml.rels')).not.toContain('themeOverride');
  expect(slide(3)).toContain('<p:bg>');
});

test('rules for type and the foot are said in the master, not in each slide', () => {
  const { text, slide } = written(
    { kind: 'type', role: 'title', rule: { caps: true, align: 'center', size: 40 } },
    {
      kind: 'foot',
      foot: {
        number: ['content'],
        footer: { text: 'Trust & friends', on: ['content'] },
        date: { text: '', on: [] },
        logo: null,
      },
    },
  );
  expect(text('ppt/slideMasters/slideMaster1.xml')).toMatch(
    /<p:titleStyle><a:lvl1pPr marL="0" indent="0" algn="ctr">[\s\S]*sz="4000"[\s\S]*cap="all"/,
  );
  expect(slide(2)).not.toMatch(/cap=|algn=/);
  expect(text('ppt/slideMasters/slideMaster1.xml')).toContain('Trust &amp; friends');
  expect(slide(2)).toContain('<p:ph type="ftr" sz="quarter" idx="11"/>');
});

test('a date that is live is a field on slides, layouts and master, with its words until then', () => {
  const foot = (live: boolean): Edit => ({
    kind: 'foot',
    foot: { number: [], footer: { text: '', on: [] }, date: { text: '14 March', on: ['content'], live }, logo: null },
  });
  const places = ['ppt/slides/slide2.xml', 'ppt/slideMasters/slideMaster1.xml'];
  const [live, fixed] = [written(foot(true)), written(foot(false))];
  for (const place of places) {
    expect(live.text(place)).toMatch(/<a:fld id="\{[\dA-F-]+\}" type="datetime1"><a:rPr [^>]*\/><a:t>14 March</);
    expect(fixed.text(place)).toMatch(/<a:r><a:rPr [^>]*\/><a:t>14 March</);
    expect(fixed.text(place)).not.toContain('datetime');
  }
  expect(live.text('ppt/slides/slide1.xml')).not.toContain('datetime');
});

test('a logo stands on the master, and layouts that do not show it hide it', () => {
  const logo = {
    picture: { id: 'a' as never, mime: 'image/png' as const, width: 30, height: 10 },
    alt: 'Mark',
    on: ['content'] as const,
  };
  const { text } = written({
    kind: 'foot',
    foot: { number: [], footer: { text: '', on: [] }, date: { text: '', on: [] }, logo },
  });
  expect(text('ppt/slideMasters/slideMaster1.xml')).toContain('descr="Mark"');
  expect(text('ppt/slideLayouts/slideLayout1.xml')).toContain('showMasterSp="0"');
  expect(text('ppt/slideLayouts/slideLayout5.xml')).not.toMatch(/showMasterSp|descr="Mark"/);
});
