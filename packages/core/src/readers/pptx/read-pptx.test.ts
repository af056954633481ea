/** Presentations as documents: of the shapes that the standard has, and of files that others write. */
import { expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import pptxgen from 'pptxgenjs';
import { ReadError } from '../../base/index.ts';
import { shortBlock } from '../../test/short-block.ts';
import { png } from '../../test/docx.ts';
import { at } from '../../test/foreign-templates.ts';
import { ap, body, frame, pptx, sp, title, type RawPptx, type RawSlide } from '../../test/pptx.ts';
import { detectType } from '../detect-type.ts';
import { readPptx } from './read-pptx.ts';

const read = (...slides: readonly RawSlide[]) => readPptx(pptx({ slides })).document;
const lines = ({ blocks }: ReturnType<typeof read>): readonly string[] =>
  blocks.map((block) => `${block.left === undefined ? '' : `(${block.left}) `}${shortBlock(block)}`);
const COVER: RawSlide = {
  layout: 'title',
  shapes: sp({ ph: 'type="ctrTitle"', text: ap('Tides') }) + sp({ ph: 'type="subTitle" idx="1"', text: ap('Spring') }),
};
const notes = (...paragraphs: readonly string[]): string =>
  sp({ ph: 'type="body" idx="1"', text: paragraphs.join('') });

test('titles are headings, levels are levels, notes are text', () => {
  const document = read(COVER, {
    shapes: title('Gates') + body(ap('North'), ap('seized', 1), ap('leaks', 1), ap('South')),
    notes: notes(ap('Say it.'), ap('Twice.', 0, '', '<a:buAutoNum type="romanUcPeriod"/>')),
  });
  expect(lines(document)).toEqual([
    'title Tides',
    'subtitle Spring',
    'h1 Gates',
    '- North',
    '  a) seized',
    '  b) leaks',
    '- South',
    'p Say it.',
    'p I. Twice.',
  ]);
  expect(document.title).toBe('Tides');
  expect(document.slidesAt).toBe(1);
  expect(document.blocks.find(({ kind }) => kind === 'listItem')?.place).toEqual({
    part: 'ppt/slides/slide1.xml',
    page: 2,
  });
  expect(document.blocks.flatMap((block) => ('label' in block ? [block.label] : []))).toEqual(['a)', 'b)']);
});

const sectioned = (slides: readonly RawSlide[], sections: RawPptx['sections'] & {}) =>
  readPptx(pptx({ slides, sections })).document;

test('sections stand above their slides; an opener is its section, a section of everything is none', () => {
  const slide = (text: string, layout: 'obj' | 'secHead' = 'obj'): RawSlide => ({ layout, shapes: title(text) });
  expect(lines(sectioned([COVER, slide('A'), slide('B')], [['All', [0, 1, 2]]]))).toEqual([
    'title Tides',
    'subtitle Spring',
    'h1 A',
    'h1 B',
  ]);
  const parts = sectioned(
    [COVER, slide('Water', 'secHead'), slide('A'), slide('B'), slide('Wood'), slide('C')],
    [
      ['Start', [0]],
      ['The water', [1, 2]],
      ['Fire', [3]],
      ['Wood', [4, 5]],
    ],
  );
  expect(lines(parts)).toEqual([
    ...['title Tides', 'subtitle Spring', 'h1 Water', 'h2 A', 'h1 Fire', 'h2 B'],
    ...['h1 Wood', 'h2 C'],
  ]);
  expect(parts.slidesAt).toBe(2);
});

test('an opener shows neither its number nor the way through all sections as text', () => {
  const opener = (text: string, number: string): RawSlide => ({
    layout: 'secHead',
    shapes: title(text) + sp({ text: ap(number) }) + sp({ text: ap('1 Water') + ap('2 Wood') }),
  });
  expect(lines(read(COVER, opener('Water', '1'), opener('Wood', '2')))).toEqual([
    'title Tides',
    'subtitle Spring',
    'h1 Water',
    'h1 Wood',
  ]);
});

test('loose boxes: titles by size and place, columns one after the other, feet and numbers are no text', () => {
  const slide = (number: number, ...shapes: readonly string[]): RawSlide => ({
    shapes:
      shapes.join('') +
      sp({ box: [80, 92, 10, 5], text: ap(`${number}`, 0, ' sz="900"') }) +
      sp({ box: [5, 92, 30, 5], text: ap('Trust only', 0, ' sz="900"') }),
  });
  const document = read(
    slide(1, sp({ box: [10, 40, 80, 15], text: ap('Tide talk', 0, ' sz="4400"') })),
    slide(
      2,
      sp({ box: [55, 30, 40, 8], text: ap('Right', 0, ' b="1" sz="1800"') }),
      sp({ box: [55, 40, 40, 30], text: ap('one', 0, ' sz="1600"') }),
      sp({ box: [5, 30, 40, 8], text: ap('Left', 0, ' b="1" sz="1800"') }),
      sp({ box: [5, 40, 40, 30], text: ap('two', 0, ' sz="1600"') }),
      sp({ box: [5, 5, 90, 12], text: ap('Two sides', 0, ' sz="3000"') }),
    ),
    slide(
      3,
      sp({ box: [5, 5, 90, 12], text: ap('Cards', 0, ' sz="3000"') }),
      sp({ box: [5, 40, 40, 30], text: ap('Lead', 0, ' b="1" sz="1600"') + ap('line', 0, ' sz="1600"') }),
    ),
    slide(4, sp({ box: [5, 30, 90, 50], text: ap(`Only text, ${'and more of it '.repeat(12)}`, 0, ' sz="1600"') })),
  );
  expect(lines(document)).toEqual([
    'title Tide talk',
    '(running-head) p Trust only',
    ...['h1 Two sides', '- Left', '- two', '- Right', '- one'],
    ...['h1 Cards', '- Lead', '  - line'],
    'h1',
    expect.stringMatching(/^- Only text/),
  ]);
  expect(document.diagnostics).toEqual([]);
});

test('rows are read from the right where the script is', () => {
  const document = read(COVER, {
    shapes:
      sp({ box: [5, 5, 90, 12], text: ap('البحر', 0, ' sz="3000"') }) +
      sp({ box: [5, 40, 40, 30], text: ap('ثانيا') }) +
      sp({ box: [55, 40, 40, 30], text: ap('أولا') }),
  });
  expect(lines(document).slice(2)).toEqual(['h1 البحر', '- أولا', '- ثانيا']);
});

test('what is continued is one part again', () => {
  const slide = (text: string, point: string): RawSlide => ({ shapes: title(text) + body(ap(point)) });
  expect(
    lines(
      read(COVER, slide('Costs', 'a'), slide('Costs (2)', 'b'), slide('Costs · 3/3', 'c'), slide('Other (2)', 'd')),
    ),
  ).toEqual(['title Tides', 'subtitle Spring', 'h1 Costs', '- a', '- b', '- c', 'h1 Other (2)', '- d']);
  expect(lines(read(COVER, slide('Tides (2)', 'x'))).slice(2)).toEqual(['h1 Tides (2)', '- x']);
});

test('hidden slides stay, left out; comments stay at their slides', () => {
  const document = read(
    COVER,
    { shapes: title('Seen'), comments: '<p:cm><p:text>Ask &amp; tell</p:text></p:cm>' },
    { shapes: title('Backup') + body(ap('x')), hidden: true },
    {
      shapes: title('Later'),
      comments:
        '<p188:cm><p188:txBody><a:p><a:r><a:t>So </a:t></a:r><a:r><a:t>it is</a:t></a:r></a:p></p188:txBody></p188:cm>',
    },
  );
  expect(lines(document).slice(2)).toEqual(['h1 Seen', '(hidden) h1 Backup', '(hidden) - x', 'h1 Later']);
  expect(document.blocks.flatMap(({ remark }) => remark ?? [])).toEqual(['Ask & tell', 'So it is']);
});

test('looks, links, breaks, fields, equations and code', () => {
  const run = (text: string, attributes = '', inner = ''): string =>
    `<a:r><a:rPr${attributes}>${inner}</a:rPr><a:t>${text}</a:t></a:r>`;
  const document = read(COVER, {
    shapes:
      title('Looks') +
      body(
        `<a:p>${run('H', ' b="1"')}${run('2', ' baseline="-25000"')}${run('O', ' i="1" strike="sngStrike"')}<a:br/>${run('see', '', '<a:hlinkClick r:id="w"/>')}${run(' there', '', '<a:hlinkClick r:id="s"/>')}</a:p>`,
        `<a:p><mc:AlternateContent><mc:Choice Requires="a14"><a14:m><m:oMath><m:r><m:t>E=mc</m:t></m:r></m:oMath></a14:m></mc:Choice><mc:Fallback>${run('E=mc')}</mc:Fallback></mc:AlternateContent></a:p>`,
        `<a:p><a:pPr><a:buNone/></a:pPr>${run('let a = 1;', '', '<a:latin typeface="Courier New"/>')}</a:p>`,
        `<a:p><a:pPr><a:buNone/></a:pPr>${run('let b = 2;', '', '<a:latin typeface="Courier New"/>')}</a:p>`,
        '<a:p><a:pPr rtl="1"/><a:fld type="datetime1"><a:t>12 May</a:t></a:fld></a:p>',
        '<a:p><a:r><a:t></a:t></a:r></a:p>',
      ),
    rels: [
      ['w', 'hyperlink', 'https://example.org/a', true],
      ['s', 'slide', 'slide0.xml'],
    ],
  });
  const [looks, equation, code, date] = document.blocks.slice(3);
  expect(looks).toMatchObject({
    runs: [
      { text: 'H', bold: true },
      { text: '2', position: 'sub' },
      { text: 'O', italic: true, strike: true },
      { text: '\n' },
      { text: 'see', link: 'https://example.org/a' },
      { text: ' there' },
    ],
  });
  expect(equation).toMatchObject({ kind: 'listItem', runs: [{ text: 'E=mc' }] });
  expect(code).toMatchObject({ kind: 'code', text: 'let a = 1;\nlet b = 2;' });
  expect(date).toMatchObject({ direction: 'rtl', runs: [{ text: '12 May' }] });
  expect(document.diagnostics.map((one) => one.code)).toEqual(['equation-flattened']);
});

test('pictures, films, tables, charts, diagrams and objects', () => {
  const pic = (inner = '', more = ''): string =>
    `<p:pic><p:nvPicPr><p:cNvPr id="4" name="p" descr="The mill"/><p:cNvPicPr/><p:nvPr>${more}</p:nvPr></p:nvPicPr><p:blipFill><a:blip r:embed="i"/></p:blipFill><p:spPr>${inner}</p:spPr></p:pic>`;
  const cell = (text: string, attributes = ''): string =>
    `<a:tc${attributes}><a:txBody><a:bodyPr/>${ap(text)}</a:txBody></a:tc>`;
  const empty = (attributes: string): string => `<a:tc${attributes}><a:txBody><a:bodyPr/><a:p/></a:txBody></a:tc>`;
  const point = (id: string, text: string, type = 'node'): string =>
    `<dgm:pt modelId="${id}" type="${type}"><dgm:t><a:bodyPr/><a:p><a:r><a:t>${text}</a:t></a:r></a:p></dgm:t></dgm:pt>`;
  const held = (from: string, to: string, order: number): string =>
    `<dgm:cxn modelId="c${to}" srcId="${from}" destId="${to}" srcOrd="${order}" destOrd="0"/>`;
  const NS = 'xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"';
  const document = readPptx(
    pptx({
      slides: [
        COVER,
        {
          shapes:
            title('Things') +
            pic(at(914_400, 1_200_000, 914_400, 514_350), '<a:videoFile r:link="v"/>') +
            frame(
              `<a:tbl><a:tblPr firstRow="1"/><a:tr>${cell('Year')}${cell('Cost', ' gridSpan="2"')}${empty(' hMerge="1"')}</a:tr><a:tr>${cell('1', ' rowSpan="2"')}${cell('2')}${cell('3')}</a:tr><a:tr>${empty(' vMerge="1"')}${cell('4')}${cell('5')}</a:tr></a:tbl>`,
            ) +
            frame('<c:chart r:id="ch"/>') +
            frame('<dgm:relIds r:dm="d" r:lo="d" r:qs="d" r:cs="d"/>') +
            frame('<c:chart r:id="none"/>') +
            `<mc:AlternateContent><mc:Choice Requires="v">${frame(`<p:oleObj r:id="o">${pic()}</p:oleObj>`)}</mc:Choice><mc:Fallback>${frame(`<p:oleObj r:id="o">${pic()}</p:oleObj>`)}</mc:Fallback></mc:AlternateContent>`,
          rels: [
            ['i', 'image', '../media/a.png'],
            ['v', 'video', 'https://example.org/film', true],
            ['ch', 'chart', '../charts/c.xml'],
            ['d', 'diagramData', '../diagrams/d.xml'],
          ],
        },
      ],
      files: {
        'ppt/media/a.png': png(2, 2),
        'ppt/charts/c.xml': `<c:chartSpace xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart" ${NS}><c:ser><c:tx><c:v>Sacks</c:v></c:tx><c:cat><c:pt idx="0"><c:v>Jan</c:v></c:pt></c:cat><c:val><c:pt idx="0"><c:v>3</c:v></c:pt></c:val></c:ser></c:chartSpace>`,
        'ppt/diagrams/d.xml': `<dgm:dataModel xmlns:dgm="http://schemas.openxmlformats.org/drawingml/2006/diagram" ${NS}><dgm:ptLst>${point('3', 'second')}${point('0', '', 'doc')}${point('1', 'first')}${point('2', 'below')}</dgm:ptLst><dgm:cxnLst>${held('0', '3', 1)}${held('0', '1', 0)}${held('1', '2', 0)}</dgm:cxnLst></dgm:dataModel>`,
      },
    }),
  ).document;
  expect(lines(document).slice(3)).toEqual([
    'picture The mill',
    '- https://example.org/film',
    expect.stringMatching(/^table Year/),
    'caption What it shows',
    expect.stringMatching(/^table/),
    ...['- first', '  - below', '- second'],
    'picture Chart: What it shows',
    'picture What it shows',
  ]);
  const [table] = document.blocks.filter((block) => block.kind === 'table');
  expect(table?.table.rows.map(({ header, cells }) => [header, cells.map((one) => [one.columns, one.rows])])).toEqual([
    [
      true,
      [
        [1, 1],
        [2, 1],
      ],
    ],
    [
      false,
      [
        [1, 2],
        [1, 1],
        [1, 1],
      ],
    ],
    [
      false,
      [
        [1, 1],
        [1, 1],
      ],
    ],
  ]);
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['chart-as-table', 'chart-not-read']);
  expect(document.pictures).toHaveLength(1);
});

test('groups are read as one thing, in their own plane', () => {
  const group = `<p:grpSp><p:nvGrpSpPr><p:cNvPr id="5" name="g"/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm><a:off x="500000" y="3000000"/><a:ext cx="4000000" cy="1000000"/><a:chOff x="0" y="0"/><a:chExt cx="9144000" cy="5143500"/></a:xfrm></p:grpSpPr>${sp({ box: [60, 0, 30, 90], text: ap('2') + ap('then') })}${sp({ box: [0, 0, 30, 90], text: ap('1') + ap('first') })}</p:grpSp>`;
  const document = read(COVER, {
    shapes: title('Steps') + sp({ box: [5, 90, 50, 5], text: ap('Under it all') }) + group,
  });
  expect(lines(document).slice(3)).toEqual(['1. first', '2. then', '- Under it all']);
});

test('typed signs become marks; a lone dash stays', () => {
  const document = read(COVER, {
    shapes: title('Signs') + body(ap('• oak')) + body(ap('- elm'), ap('- ash')) + body(ap('- one only')),
  });
  expect(lines(document).slice(3)).toEqual(['- oak', '- elm', '- ash', '- - one only']);
  expect(document.diagnostics).toEqual([]);
});

test('a slide that is not in the file is told; no slides at all is no document', () => {
  const bytes = pptx({ slides: [COVER, { shapes: title('A') }], files: {} });
  expect(readPptx(bytes).document.diagnostics).toEqual([]);
  expect(() => readPptx(pptx({ slides: [] }))).toThrow(ReadError);
  expect(() => readPptx(pptx({ slides: [] }))).toThrow(expect.objectContaining({ code: 'no-slides' }));
});

test('a damaged slide, its notes or its layout is told, and all others are read', () => {
  const slide = (text: string): RawSlide => ({ shapes: title(text), notes: notes(ap(`Said of ${text}.`)) });
  const slides = [COVER, slide('A'), slide('B'), slide('C')];
  const broken = readPptx(
    pptx({
      slides,
      files: {
        'ppt/slides/slide1.xml': '<p:sld',
        'ppt/notesSlides/notes2.xml': 'no markup',
        'ppt/slideLayouts/secHead.xml': '<a><b></a>',
      },
    }),
  ).document;
  expect(lines(broken)).toEqual(['title Tides', 'subtitle Spring', 'h1 B', 'h1 C', 'p Said of C.']);
  expect(broken.diagnostics.filter(({ code }) => code === 'part-not-read').map(({ params }) => params['name'])).toEqual(
    ['ppt/slides/slide1.xml', 'ppt/notesSlides/notes2.xml'],
  );
});

test('with macros or as a show it is read all the same', () => {
  const bytes = pptx({ slides: [COVER, { shapes: title('A') }] });
  for (const type of [
    'vnd.ms-powerpoint.presentation.macroEnabled',
    'vnd.openxmlformats-officedocument.presentationml.slideshow',
  ]) {
    const parts = unzipSync(bytes);
    const types = strFromU8(parts['[Content_Types].xml']!);
    const other = types.replace('vnd.openxmlformats-officedocument.presentationml.presentation', type);
    const file = zipSync({ ...parts, '[Content_Types].xml': strToU8(other) });
    expect(detectType(file, 'x.pptm')).toBe('pptx');
    expect(lines(readPptx(file).document)).toContain('h1 A');
  }
});

test('what another library writes', async () => {
  const deck = new pptxgen();
  deck.title = 'Tide talk';
  const first = deck.addSlide();
  first.addText('Tides for beginners', { x: 1, y: 2, w: 8, h: 1, fontSize: 40 });
  first.addText('Sallow Quay Trust', { x: 1, y: 3.2, w: 8, h: 0.5, fontSize: 18 });
  const second = deck.addSlide();
  second.addText('Why the tide turns', { x: 0.5, y: 0.3, w: 9, h: 0.8, fontSize: 30 });
  second.addText(
    [
      { text: 'Moon pulls', options: { bullet: true, breakLine: true } },
      { text: 'Sun helps', options: { bullet: true, indentLevel: 1, breakLine: true } },
      { text: 'Twice a day', options: { bullet: { type: 'number' } } },
    ],
    { x: 0.5, y: 1.3, w: 5, h: 3, fontSize: 18 },
  );
  second.addTable(
    [
      [{ text: 'Year' }, { text: 'Flour' }],
      [{ text: '2024' }, { text: '12' }],
    ],
    { x: 6, y: 1.3, w: 3 },
  );
  second.addNotes('Say it slowly.');
  const bytes = (await deck.write({ outputType: 'uint8array' })) as Uint8Array;
  const { document } = readPptx(bytes);
  expect(lines(document)).toEqual([
    'title Tides for beginners',
    'subtitle Sallow Quay Trust',
    'h1 Why the tide turns',
    '- Moon pulls',
    '  - Sun helps',
    '1. Twice a day',
    expect.stringMatching(/^table/),
    'p Say it slowly.',
  ]);
  expect(document.diagnostics).toEqual([]);
});
