import { describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { decodeUtf8, ReadError } from '../base/index.ts';
import { readXmlText, ZipReader } from '../container/index.ts';
import { chooseLayouts } from '../layout/index.ts';
import { beginning, convert, optionsOf, sceneOf, writeDeck, type Converted } from '../pipeline/index.ts';
import { drawSlide } from '../scene/index.ts';
import { doc, h, li, p, picture, random, randomDocument, table } from '../test/build.ts';
import { auditPackage, checkPackage } from '../../../package-check/src/index.ts';
import { awkwardTemplate, plainTemplate, usualTemplate } from '../../../demo/src/templates.ts';
import {
  contrastRatio,
  dress,
  frameOf,
  LAYOUT_NAMES,
  overlaps,
  plainLook,
  SLIDE_WIDTH,
  type TemplateUse,
  inkOn,
  layoutNamed,
} from '../theme/index.ts';
import type { Edit } from '../edits/index.ts';
import { otherLibrary } from '../test/foreign-templates.ts';
import { relit } from './colors.ts';
import { readTemplate, templateMatches } from './index.ts';
import { templateTheme } from './template-theme.ts';

const HASH = 'f'.repeat(64);
const use = (more: Partial<TemplateUse> = {}): TemplateUse => ({
  hash: HASH,
  fileName: 'trust.pptx',
  layouts: {},
  keep: 'none',
  ...more,
});

const REPORT = doc(
  h(1, 'The mill'),
  h(2, 'Gates'),
  li('Oak'),
  li('Iron', 2),
  p('The gates are told of in the notes.'),
  h(2, 'Pond'),
  li('Silt'),
  picture('a', 'The pond'),
  h(2, 'Costs'),
  table([
    ['Work', 'Cost'],
    ['Gates', '31,000'],
    ['Wheel', '12,500'],
    ['Roof', '9,000'],
  ]),
);

function built(bytes: Uint8Array, more: Partial<TemplateUse> = {}, source = REPORT): Converted {
  const { model } = readTemplate(bytes);
  return convert(source, [{ kind: 'template', template: use(more) }], undefined, new Map([[HASH, model]]));
}
const written = (bytes: Uint8Array, converted: Converted): ZipReader =>
  new ZipReader(writeDeck('pptx', converted, [], { template: bytes }));
const text = (zip: ZipReader, name: string): string => decodeUtf8(zip.read(name));
const slidesOf = (zip: ZipReader): readonly string[] => {
  const rels = new Map(
    [...text(zip, 'ppt/_rels/presentation.xml.rels').matchAll(/Id="([^"]*)"[^>]*Target="\/?(?:ppt\/)?([^"]*)"/g)].map(
      ([, id, target]) => [id, target] as const,
    ),
  );
  return [...text(zip, 'ppt/presentation.xml').matchAll(/<p:sldId [^>]*r:id="([^"]*)"/g)].map(
    ([, id]) => `ppt/${rels.get(id)}`,
  );
};

const ALL = [
  ['usual', usualTemplate],
  ['plain', plainTemplate],
  ['awkward', awkwardTemplate],
  ['library B', () => otherLibrary('library-b')],
  ['library C', () => otherLibrary('library-c')],
] as const;

describe('reading', () => {
  test('takes masters, layouts, colours, fonts, grounds and logo', () => {
    const { model, pictures } = readTemplate(usualTemplate());
    expect(model.masters).toMatchObject([
      { name: 'Sallow Quay Trust', fonts: { heading: 'Georgia', body: 'Calibri' } },
    ]);
    expect(model.masters[0]!.palette).toMatchObject({ ground: 'FFFFFF', text: '1B2A33', accent2: 'F2C14E' });
    expect(model.layouts.map(({ name }) => name)).toEqual([
      'Front page',
      'Heading and text',
      'Divider',
      'Two texts',
      'Text and picture',
      'Heading only',
    ]);
    expect(pictures).toHaveLength(1);
    expect(model.slides).toBe(2);
    const points = model.layouts[1]!;
    expect(points.backdrop).toMatchObject([
      { kind: 'shape', fill: '14596E' },
      { kind: 'picture', alt: 'Mark of the trust' },
    ]);
    // What the layout does not say is its master's: its place within its insets, size, weight and colour.
    expect(points.placeholders[0]).toMatchObject({
      type: 'title',
      size: 36,
      bold: true,
      heading: true,
      paint: '14596E',
      lineSpacing: 0.9,
    });
    expect(points.placeholders[0]!.rect.x).toBe(80 * 9144 + 91_440);
  });

  test('a dark master maps its ground from the dark colours', () => {
    expect(readTemplate(plainTemplate()).model.masters[0]!.palette).toMatchObject({ ground: '101820', text: 'F4F4F0' });
  });

  test('another kind of file is refused', () => {
    expect(() => readTemplate(new Uint8Array([1, 2, 3, 4, 5]))).toThrow(ReadError);
  });

  test('a damaged file is refused with a reason, never with another error', () => {
    const whole = usualTemplate();
    const next = random(3);
    for (let i = 0; i < 60; i++) {
      const damaged = whole.slice(0, i % 3 === 0 ? Math.floor(next() * whole.length) : undefined);
      for (let k = 0; k < 12; k++) damaged[Math.floor(next() * damaged.length)] = Math.floor(next() * 256);
      try {
        readTemplate(damaged);
      } catch (error) {
        expect(error).toBeInstanceOf(ReadError);
      }
    }
  });
});

describe('matching', () => {
  test('by type and by geometry', () => {
    const { model } = readTemplate(usualTemplate());
    const names = new Map(model.layouts.map(({ part, name }) => [part, name]));
    const matched = Object.fromEntries(
      templateMatches(model, use()).map(({ layout, part }) => [layout, names.get(part)]),
    );
    expect(matched).toMatchObject({
      cover: 'Front page',
      section: 'Divider',
      points: 'Heading and text',
      columns: 'Two texts',
      'picture-right': 'Text and picture',
      'title-only': 'Heading only',
      steps: 'Heading only',
    });
  });

  test('can be changed by hand', () => {
    const { model } = readTemplate(usualTemplate());
    const [, , , two] = model.layouts;
    const points = templateMatches(model, use({ layouts: { points: two!.part } })).find(
      ({ layout }) => layout === 'points',
    );
    expect(points).toEqual({ layout: 'points', part: two!.part, chosen: true });
  });
});

test.each(ALL)('%s: every layout has its frames on the slide, whatever the template lacks', (_, make) => {
  const { theme } = built(make());
  expect(theme.layouts.map(({ name }) => name)).toEqual([...LAYOUT_NAMES]);
  for (const layout of theme.layouts) {
    expect(frameOf(layout, 'title')).toBeDefined();
    for (const frame of layout.frames) {
      const inside =
        frame.x >= -1 &&
        frame.y >= -1 &&
        frame.x + frame.width <= theme.size.width + 1 &&
        frame.y + frame.height <= theme.size.height + 1;
      expect([layout.name, frame.role, inside]).toEqual([layout.name, frame.role, true]);
    }
  }
});

test.each(ALL)('%s: points never go below their floor, nor below their own size where that is less', (_, make) => {
  const { model } = readTemplate(make());
  const theme = templateTheme(model, use(), plainLook('slipway'));
  const floor = (18 * theme.size.width) / SLIDE_WIDTH;
  for (const name of ['points', 'columns', 'columns-3', 'picture-right', 'table-points'] as const)
    for (const { role, style } of layoutNamed(theme, name).frames)
      if (role.startsWith('body')) for (const size of style.sizes.slice(1)) expect(size).toBeGreaterThanOrEqual(floor);
});

test('content keeps clear of a title, wherever that stands', () => {
  for (const make of [usualTemplate, plainTemplate, awkwardTemplate])
    for (const { name, frames } of built(make()).theme.layouts) {
      const title = frames.find(({ role }) => role === 'title')!;
      for (const frame of frames) {
        if (frame === title || frame.placeholder !== null) continue;
        const apart =
          frame.y >= title.y + title.height - 9144 ||
          frame.y + frame.height <= title.y + 9144 ||
          frame.x >= title.x + title.width ||
          frame.x + frame.width <= title.x;
        expect([name, frame.role, apart]).toEqual([name, frame.role, true]);
      }
    }
});

test.each(ALL)('%s: figures, charts and tables are read on its ground', (_, make) => {
  for (const { name: layout, colors, paint } of built(make()).theme.layouts) {
    const { inks, fills } = colors!;
    for (const name of ['text', 'muted', 'accent1', 'accent2', 'accent6', 'link'] as const)
      for (const ground of [paint!, fills.panel])
        expect([layout, name, contrastRatio(inks[name], ground) >= 4.5]).toEqual([layout, name, true]);
  }
});

test.each(ALL)('%s: random decks are laid out and written, each slide on a layout of the template', (_, make) => {
  const bytes = make();
  for (let seed = 1; seed <= 4; seed++) {
    const converted = built(bytes, {}, randomDocument(random(seed), 25));
    const zip = written(bytes, converted);
    expect(slidesOf(zip)).toHaveLength(converted.pages.length);
    for (const name of zip.names.filter((one) => one.endsWith('.xml') || one.endsWith('.rels')))
      readXmlText(text(zip, name), { open: () => undefined });
    for (const name of slidesOf(zip)) {
      const rels = text(zip, name.replace('slides/', 'slides/_rels/') + '.rels');
      const layout = /slideLayout" Target="\/([^"]*)"/.exec(rels)![1]!;
      expect(zip.has(layout)).toBe(true);
    }
  }
});

describe('writing', () => {
  test.each(ALL)('%s: masters, layouts and themes stay as they were, byte for byte', (_, make) => {
    const bytes = make();
    const before = new ZipReader(bytes);
    const after = written(bytes, built(bytes));
    for (const name of before.names.filter((one) => /slideMasters|slideLayouts|ppt\/theme|media/.test(one)))
      expect([name, after.read(name)]).toEqual([name, before.read(name)]);
  });

  test('its own slides go, or stay before or after ours', () => {
    const bytes = usualTemplate();
    const count = built(bytes).pages.length;
    const order = (keep: TemplateUse['keep']): string =>
      slidesOf(written(bytes, built(bytes, { keep })))
        .map((name) => (name.includes('deck1-') ? 'o' : 't'))
        .join('');
    expect(order('none')).toBe('o'.repeat(count));
    expect(order('before')).toBe(`tt${'o'.repeat(count)}`);
    expect(order('after')).toBe(`${'o'.repeat(count)}tt`);
    expect(written(bytes, built(bytes)).names.some((name) => name.includes('ppt/slides/slide1'))).toBe(false);
  });

  test('titles and points go into its placeholders, notes onto its notes master', () => {
    const bytes = usualTemplate();
    const zip = written(bytes, built(bytes));
    const gates = slidesOf(zip)
      .map((name) => text(zip, name))
      .find((xml) => xml.includes('>Gates<'))!;
    expect(gates).toMatch(/<p:ph type="title"\/>/);
    expect(gates).toMatch(/<p:ph idx="1"\/>/);
    const notes = zip.names.filter((name) => /notesSlides\/deck1-/.test(name));
    expect(notes.length).toBeGreaterThan(0);
    expect(zip.names.filter((name) => /notesMasters\/[^/]*\.xml$/.test(name))).toEqual([
      'ppt/notesMasters/notesMaster1.xml',
    ]);
  });

  test('where it has no body, text stands free, with all that it needs', () => {
    const bytes = awkwardTemplate();
    const zip = written(bytes, built(bytes));
    const gates = slidesOf(zip)
      .map((name) => text(zip, name))
      .find((xml) => xml.includes('>Gates<'))!;
    expect(gates).toMatch(/txBox="1"[\s\S]*<a:buChar char="•"\/>[\s\S]*>Oak</);
    expect(zip.names).toContain('ppt/notesMasters/deck1-notesMaster1.xml');
  });

  test('where it has no place for a title, the title stands free and is one all the same', async () => {
    const bytes = otherLibrary('library-c');
    const file = writeDeck('pptx', built(bytes), [], { template: bytes });
    expect(await checkPackage(file)).toEqual([]);
    const remarks = await auditPackage(file);
    expect(remarks.filter(({ rule }) => rule === 'no-title')).toEqual([]);
    const slide = slidesOf(new ZipReader(file))
      .map((name) => text(new ZipReader(file), name))
      .find((xml) => xml.includes('Pond'))!;
    // It says all of its look: the master's title is another.
    expect(slide).toMatch(
      /<p:ph type="title"\/><\/p:nvPr><\/p:nvSpPr><p:spPr><a:xfrm>.*?marL="0" indent="0".*?sz="\d+" b="1" i="0" cap="none".*?<a:t>Pond/,
    );
  });

  describe('with a table style of its own', () => {
    const ID = '{A1B2C3D4-0000-4000-8000-0000000000A1}';
    const scheme = (name: string, change = '') => `<a:schemeClr val="${name}">${change}</a:schemeClr>`;
    const solid = (color: string) => `<a:solidFill>${color}</a:solidFill>`;
    const edge = (side: string, width: number) =>
      `<a:${side}><a:ln w="${width}">${solid(scheme('accent2'))}</a:ln></a:${side}>`;
    const cells = (name: string, text: string, borders: string, fill: string) =>
      `<a:${name}><a:tcTxStyle b="${name === 'firstRow' ? 'on' : 'off'}"><a:fontRef idx="minor"/>${scheme(text)}</a:tcTxStyle><a:tcStyle><a:tcBdr>${borders}</a:tcBdr>${fill}</a:tcStyle></a:${name}>`;
    const STYLE = `<a:tblStyle styleId="${ID}" styleName="Trust">${cells('wholeTbl', 'tx1', edge('insideH', 12_700), '<a:fill><a:noFill/></a:fill>')}<a:band1H><a:tcStyle><a:tcBdr/><a:fill>${solid(scheme('accent1', '<a:tint val="20000"/>'))}</a:fill></a:tcStyle></a:band1H>${cells('firstRow', 'bg1', edge('bottom', 38_100), `<a:fill>${solid(scheme('accent1'))}</a:fill>`)}</a:tblStyle>`;
    const styled = (def: string): Uint8Array => {
      const files = unzipSync(otherLibrary('library-b'));
      const name = 'ppt/tableStyles.xml';
      files[name] = strToU8(
        `<a:tblStyleLst xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" def="${def}">${STYLE}</a:tblStyleLst>`,
      );
      return zipSync(files);
    };

    test('tables have it, and say nothing else; its list stays as it was', async () => {
      const bytes = styled(ID);
      const converted = built(bytes);
      const file = writeDeck('pptx', converted, [], { template: bytes });
      expect(await checkPackage(file)).toEqual([]);
      const zip = new ZipReader(file);
      expect(text(zip, 'ppt/tableStyles.xml')).toBe(strFromU8(unzipSync(bytes)['ppt/tableStyles.xml']!));
      const slide = slidesOf(zip)
        .map((name) => text(zip, name))
        .find((xml) => xml.includes('<a:tbl>'))!;
      expect(slide).toContain(`<a:tblPr firstRow="1" firstCol="1" bandRow="1"><a:tableStyleId>${ID}</a:tableStyleId>`);
      expect(/<a:tbl>.*<\/a:tbl>/s.exec(slide)![0]).not.toMatch(/<a:(ln[LRTB]|solidFill|noFill)/);
    });

    test('that cannot be read takes nothing from its layouts; what it paints by itself is not asked of it', () => {
      const files = unzipSync(styled(ID));
      const list = strFromU8(files['ppt/tableStyles.xml']!);
      const having = (xml: string): Uint8Array => zipSync({ ...files, 'ppt/tableStyles.xml': strToU8(xml) });
      expect(readTemplate(having('<a:tblStyleLst')).model.tableStyle).toBeUndefined();
      const painted = having(
        list.replace(
          '<a:firstRow>',
          `<a:firstCol><a:tcStyle><a:tcBdr/><a:fill>${solid(scheme('accent1'))}</a:fill></a:tcStyle></a:firstCol><a:firstRow>`,
        ),
      );
      const zip = written(painted, built(painted));
      const slide = slidesOf(zip)
        .map((name) => text(zip, name))
        .find((xml) => xml.includes('<a:tbl>'))!;
      expect(slide).toContain('<a:tblPr firstRow="1" bandRow="1">');
    });

    test('whatever signs are in its id', () => {
      const bytes = styled(ID);
      const files = unzipSync(bytes);
      const list = strFromU8(files['ppt/tableStyles.xml']!).replaceAll(ID, 'a&amp;b &lt;c&gt;');
      const foreign = zipSync({ ...files, 'ppt/tableStyles.xml': strToU8(list) });
      const zip = written(foreign, built(foreign));
      const slide = slidesOf(zip)
        .map((name) => text(zip, name))
        .find((xml) => xml.includes('<a:tbl>'))!;
      expect(slide).toContain('<a:tableStyleId>a&amp;b &lt;c&gt;</a:tableStyleId>');
    });

    test('is drawn: ground and words of the head, bands, lines', () => {
      const converted = built(styled(ID));
      const page = converted.pages.find(({ boxes }) => boxes.some(({ kind }) => kind === 'table'))!;
      const [slide] = sceneOf(converted).slides.filter(({ key }) => key === page.key);
      const drawn = drawSlide(slide!, converted.theme);
      const accent = readTemplate(styled(ID)).model.masters[0]!.palette.accent1;
      const fills = drawn.shapes.map(({ fill }) => fill);
      // Three cells of the head, and a band behind the first and third row of the body.
      expect(fills.filter((fill) => fill === accent)).toHaveLength(2);
      const tint = fills.filter((fill) => fill !== null && fill !== accent && contrastRatio(fill, 'FFFFFF') < 1.6);
      expect(tint).toHaveLength(4);
      const head = drawn.texts.find(({ pieces }) => pieces.some((piece) => piece.text === 'Cost'))!;
      expect(head.pieces[0]!.color).toBe('FFFFFF');
    });

    test('that it only names is left alone, and tables have ours', () => {
      const bytes = styled('{5C22544A-7EE6-4342-B048-85BDC9FD1C3A}');
      expect(readTemplate(bytes).model.tableStyle).toBeUndefined();
      const zip = written(bytes, built(bytes));
      const slide = slidesOf(zip)
        .map((name) => text(zip, name))
        .find((xml) => xml.includes('<a:tbl>'))!;
      const used = /<a:tableStyleId>([^<]+)/.exec(slide)![1]!;
      expect(text(zip, 'ppt/tableStyles.xml')).toContain(`styleId="${used}"`);
    });
  });

  test('titles of sections are written as they are, whatever signs they hold', () => {
    const bytes = usualTemplate();
    const source = doc(h(1, 'Costs $& and $1'), h(2, 'Gates'), li('Oak'), h(1, 'Times'), h(2, 'Tide'), li('Spring'));
    const { model } = readTemplate(bytes);
    const map = { ...convert(source, []).map, heading1: 'section' as const, heading2: 'title' as const };
    const converted = convert(
      source,
      [
        { kind: 'template', template: use() },
        { kind: 'map', name: null, map },
      ],
      undefined,
      new Map([[HASH, model]]),
    );
    expect(text(written(bytes, converted), 'ppt/presentation.xml')).toContain('name="Costs $&amp; and $1"');
  });

  test('built on a template file, the result is a presentation', () => {
    const parts = unzipSync(usualTemplate());
    const types = strFromU8(parts['[Content_Types].xml']!);
    parts['[Content_Types].xml'] = strToU8(types.replace('presentation.main+xml', 'template.main+xml'));
    const potx = zipSync(parts);
    const zip = written(potx, built(potx));
    expect(text(zip, '[Content_Types].xml')).toContain('presentationml.presentation.main+xml');
    expect(text(zip, '[Content_Types].xml')).not.toContain('template.main+xml');
  });

  test('the same file and deck give the same bytes', () => {
    const bytes = usualTemplate();
    expect(writeDeck('pptx', built(bytes), [], { template: bytes })).toEqual(
      writeDeck('pptx', built(bytes), [], { template: bytes }),
    );
  });
});

test('the foot is shown as asked, and a slide’s own palette is not laid over the template’s', () => {
  const { model } = readTemplate(usualTemplate());
  const foot = {
    number: [],
    footer: { text: 'Spring', on: ['content'] as const },
    date: { text: '', on: [] },
    logo: null,
  };
  const { deck } = convert(REPORT, []);
  const converted = convert(
    REPORT,
    [
      { kind: 'template', template: use() },
      { kind: 'foot', foot },
      { kind: 'colors', slides: [deck.slides[1]!.id], palette: null, dark: true },
    ],
    undefined,
    new Map([[HASH, model]]),
  );
  const roles = converted.theme.layouts.find(({ name }) => name === 'points')!.frames.map(({ role }) => role);
  expect(roles).toContain('footer');
  expect(roles).not.toContain('number');
  expect(roles).not.toContain('date');
  const zip = written(usualTemplate(), converted);
  expect(zip.names.some((name) => name.includes('themeOverride'))).toBe(false);
  expect(text(zip, slidesOf(zip)[1]!)).toContain('Spring');
});

test('a deck whose template is not at hand wears its theme', () => {
  const converted = convert(REPORT, [{ kind: 'template', template: use() }]);
  expect(converted.theme.name).toBe('millrace');
});

test('layouts can be chosen for all slides on a template too', () => {
  const converted = built(usualTemplate());
  const options = optionsOf(converted.document, converted.theme, 'continue');
  expect(chooseLayouts(converted.deck.slides, options).length).toBeGreaterThan(0);
});

test.each([
  ['usual', usualTemplate()],
  ['plain', plainTemplate()],
  ['awkward', awkwardTemplate()],
] as const)('%s: what stands where the template has no place does not stand on itself', (_, bytes) => {
  const { theme } = built(bytes);
  const { layouts: own } = dress(plainLook('millrace'));
  for (const [i, { name, frames }] of theme.layouts.entries()) {
    const free = frames.filter(({ placeholder }) => placeholder === null);
    for (const a of free)
      for (const b of free) {
        const [ours, other] = [frameOf(own[i]!, a.role), frameOf(own[i]!, b.role)];
        if (a === b || ours === undefined || other === undefined) continue;
        expect([name, a.role, b.role, overlaps(a, b)]).toEqual([name, a.role, b.role, overlaps(ours, other)]);
      }
  }
});

test('a photograph stands on a template’s cover where there is room for it, else on a slide of its own', () => {
  const source = doc(h(1, 'Reopening the mill'), picture('a', 'The mill'), h(2, 'Gates'), li('Oak'), li('Iron'));
  const photograph = source.pictures.map((one) => ({ ...one, mime: 'image/jpeg' as const, width: 1600, height: 900 }));
  const document = { ...source, pictures: photograph };
  for (const bytes of [usualTemplate(), plainTemplate(), awkwardTemplate()]) {
    const { model } = readTemplate(bytes);
    const edits = [...beginning(document), { kind: 'template', template: use() } as const];
    const { pages, theme, ledger } = convert(document, edits, undefined, new Map([[HASH, model]]));
    const at = pages.findIndex(({ boxes }) => boxes.some(({ kind }) => kind === 'picture'));
    const shown = pages[at]!.boxes.find(({ kind }) => kind === 'picture')!;
    expect(ledger.lost).toBe(0);
    expect(pages[0]!.layout).toBe(at === 0 ? 'cover-picture' : 'cover');
    const { width, height } = shown.frame;
    expect(width * height).toBeGreaterThan(0.15 * theme.size.width * theme.size.height);
    for (const box of pages[at]!.boxes) if (box.kind === 'text') expect(overlaps(box.frame, shown.frame)).toBe(false);
  }
});

test('colours stay the template’s own in shapes; text that would not be read takes others of its theme, or shades of them', () => {
  const { model } = readTemplate(usualTemplate());
  const theme = templateTheme(model, use(), plainLook('millrace'));
  const own = model.masters[0]!.palette;
  const { colors, paint } = layoutNamed(theme, 'points');
  const { inks, fills, mended } = colors!;
  expect(mended.inks.length).toBeGreaterThan(0);
  for (const { name, from, factor, plus } of mended.inks) {
    expect(inks[name]).toBe(relit(own[from], factor, plus));
    if (name !== 'panel') expect(contrastRatio(inks[name], paint!)).toBeGreaterThanOrEqual(4.5);
  }
  // Its yellow is pale: figures are filled with it all the same, and what is written on it is dark.
  for (const name of ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6'] as const) {
    expect(fills[name]).toBe(own[name]);
    expect(contrastRatio(inks[inkOn(fills, [name])], fills[name])).toBeGreaterThanOrEqual(4.5);
  }
  const document = doc(h(1, 'Mill'), h(2, 'Cycle of the year'), li('Spring'), li('Summer'), li('Autumn'));
  const [, cycle] = convert(document, []).deck.slides;
  const edits: Edit[] = [
    { kind: 'template', template: use() },
    { kind: 'layout', slides: [cycle!.id], layout: 'cycle' },
  ];
  const bytes = writeDeck('pptx', convert(document, edits, undefined, new Map([[HASH, model]])), [], {
    template: usualTemplate(),
  });
  const zip = new ZipReader(bytes);
  const slides = zip.names
    .filter((name) => /slides\/[^/]*slide\d+\.xml$/.test(name))
    .map((name) => decodeUtf8(zip.read(name)));
  const all = slides.join('');
  // Its shapes are filled with the accents as they are, and nothing in it says a colour by value.
  expect(all).toMatch(/<p:spPr>(?:(?!<\/p:spPr>).)*<a:solidFill><a:schemeClr val="accent2"\/><\/a:solidFill>/s);
  expect(all).not.toMatch(/<a:schemeClr val="accent\d"><a:lumMod/);
  expect(all).not.toContain('srgbClr');
});
