/** Foreign XML may be spelled in every legal way, and a template's own parts stay as they are. */
import { describe, expect, test } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { awkwardTemplate, plainTemplate, usualTemplate } from '../../../../demo/src/templates.ts';
import { checkPackage } from '../../../../package-check/src/index.ts';
import { nodeAt, nodesNamed, readXmlTree, ZipReader, type XmlNode } from '../../container/index.ts';
import type { Edit } from '../../edits/index.ts';
import { convert, writeDeck } from '../../pipeline/index.ts';
import { readTemplate } from '../../template/index.ts';
import { doc, h, li, p, table } from '../../test/build.ts';
import type { TemplateUse } from '../../theme/index.ts';

const SOURCE = doc(
  h(1, 'The mill'),
  h(2, 'Gates & “$1” <sluices>'),
  li('Oak'),
  p('The gates are told of in the notes.'),
  h(2, 'Costs'),
  table([
    ['Work', 'Cost'],
    ['Gates', '31,000'],
  ]),
);
const turn = SOURCE.blocks[1]!.id;

type Keep = TemplateUse['keep'];
function built(template: Uint8Array, keep: Keep, rest: readonly Edit[] = [], thumbnail?: Uint8Array): Uint8Array {
  const use: TemplateUse = { hash: 'f'.repeat(64), fileName: 'trust.pptx', layouts: {}, keep };
  const models = new Map([[use.hash, readTemplate(template).model]]);
  const edits = [{ kind: 'template', template: use }, { kind: 'turn', block: turn, to: 'section' }, ...rest] as const;
  const options = { template, ...(thumbnail === undefined ? {} : { thumbnail }) };
  return writeDeck('pptx', convert(SOURCE, edits, undefined, models), [], options);
}

/** Every XML part, spelled otherwise. */
function respelled(bytes: Uint8Array, how: (xml: string, name: string) => string | Uint8Array): Uint8Array {
  const files = Object.entries(unzipSync(bytes)).map(([name, content]) => {
    if (!/\.(xml|rels)$/.test(name)) return [name, content] as const;
    const spelled = how(strFromU8(content), name);
    return [name, typeof spelled === 'string' ? strToU8(spelled) : spelled] as const;
  });
  return zipSync(Object.fromEntries(files));
}

const utf16 = (xml: string): Uint8Array => {
  const text = xml.replace(/encoding="[^"]*"/, 'encoding="UTF-16"');
  const bytes = new Uint8Array(2 + text.length * 2);
  const view = new DataView(bytes.buffer);
  view.setUint16(0, 0xfeff, true);
  [...text].forEach((_, i) => view.setUint16(2 + i * 2, text.charCodeAt(i), true));
  return bytes;
};

const SPELLINGS: readonly (readonly [string, (xml: string, name: string) => string | Uint8Array])[] = [
  ['single quotes', (xml) => xml.replace(/="([^"']*)"/g, "='$1'")],
  ['blanks and line ends in tags', (xml) => xml.replace(/ ([\w:]+)="/g, '\n\t$1 = "').replaceAll('/>', '\n/>')],
  [
    'prefixes of its own',
    (xml) =>
      xml
        .replace(/(<\/?|xmlns:)p\b/g, '$1slides')
        .replace(/(<\/?|xmlns:)a\b/g, '$1draw')
        .replace(/([ :])r([:=])/g, '$1rel$2'),
  ],
  [
    'the default namespace',
    (xml) => (xml.includes('xmlns:p=') ? xml.replace('xmlns:p=', 'xmlns=').replace(/(<\/?)p:/g, '$1') : xml),
  ],
  [
    'a prefix for what usually has none',
    (xml) =>
      /<(Types|Relationships)/.test(xml)
        ? xml
            .replace(/(<\/?)(\w)/g, '$1pkg:$2')
            .replace('<?pkg:xml', '<?xml')
            .replace('xmlns=', 'xmlns:pkg=')
        : xml,
  ],
  ['UTF-16', utf16],
  ['a byte order mark', (xml) => `\ufeff${xml}`],
  [
    'comments that look like markup',
    (xml) =>
      xml.replace(/(<[\w:]+ [^>]*[^/]>)/, '$1<!-- <p:sldIdLst><p:sldId id="1" r:id="rId1"/></p:sldIdLst> </Types> -->'),
  ],
  [
    'references to characters',
    (xml) =>
      xml.replace(
        / (Target|PartName|uri|r:id|Id)="(.)/g,
        (_, key: string, first: string) => ` ${key}="&#x${first.charCodeAt(0).toString(16)};`,
      ),
  ],
  ['elements that are not closed in one', (xml) => xml.replace(/<([\w:]+)([^<>]*)\/>/g, '<$1$2></$1>')],
  [
    'names in another case and percent encoding',
    (xml, name) =>
      name.endsWith('.rels')
        ? xml.replace(/Target="([^"]*)slide/g, 'Target="$1%73lide')
        : name === '[Content_Types].xml'
          ? xml.replace(/PartName="\/ppt\/slide/g, 'PartName="/PPT/Slide')
          : xml,
  ],
];

describe.each([
  ['usual', usualTemplate],
  ['plain', plainTemplate],
  ['awkward', awkwardTemplate],
] as const)('the %s template', (_, make) => {
  test.each(SPELLINGS)('with %s gives the same deck, without a fault', async (__, how) => {
    const [spelled, usual] = [respelled(make(), how), make()];
    expect(readTemplate(spelled).model).toEqual(readTemplate(usual).model);
    for (const keep of ['none', 'before', 'after'] as const) {
      const bytes = built(spelled, keep);
      expect(await checkPackage(bytes)).toEqual([]);
      expect(slideTitles(bytes)).toEqual(slideTitles(built(usual, keep)));
    }
  });
});

const firstText = (node: XmlNode): string =>
  node.name === 'a:t'
    ? node.content.map((one) => ('text' in one ? one.text : '')).join('')
    : (node.children.map(firstText).find((text) => text !== '') ?? '');

/** Titles of the slides as they are listed. */
function slideTitles(bytes: Uint8Array): readonly string[] {
  const zip = new ZipReader(bytes);
  const targets = new Map(
    readXmlTree(zip, 'ppt/_rels/presentation.xml.rels').children.map(({ attributes }) => [
      attributes.Id,
      attributes.Target ?? '',
    ]),
  );
  return nodesNamed(nodeAt(readXmlTree(zip, 'ppt/presentation.xml'), 'p:sldIdLst'), 'p:sldId').map(({ attributes }) => {
    const name = decodeURI(targets.get(attributes['r:id'])!).replace(/^\/?(ppt\/)?/, 'ppt/');
    return firstText(readXmlTree(zip, name));
  });
}

test('parts that nothing of ours touches stay byte for byte', () => {
  const before = unzipSync(respelled(usualTemplate(), SPELLINGS[0]![1]));
  const after = unzipSync(built(respelled(usualTemplate(), SPELLINGS[0]![1]), 'before'));
  const changed = [
    '[Content_Types].xml',
    '_rels/.rels',
    'ppt/presentation.xml',
    'ppt/_rels/presentation.xml.rels',
    'ppt/tableStyles.xml',
  ];
  for (const [name, bytes] of Object.entries(before))
    if (!changed.includes(name)) expect([name, strFromU8(after[name]!, true)]).toEqual([name, strFromU8(bytes, true)]);
});

test('a document without a title lends its file that of its first slide', () => {
  const source = doc(h(2, 'Gates'), li('Oak'), h(2, 'Pond'), li('Silt'));
  expect(source.title).toBeNull();
  for (const template of [plainTemplate(), usualTemplate(), awkwardTemplate()]) {
    const use: TemplateUse = { hash: 'f'.repeat(64), fileName: 'trust.pptx', layouts: {}, keep: 'none' };
    const models = new Map([[use.hash, readTemplate(template).model]]);
    const converted = convert(source, [{ kind: 'template', template: use }], undefined, models);
    const zip = new ZipReader(writeDeck('pptx', converted, [], { template }));
    const core = zip.names.find((name) => /core\.xml$/.test(name))!;
    expect(strFromU8(zip.read(core))).toContain('<dc:title>Gates</dc:title>');
  }
});

test('the file says what the document says of itself, and has its tables’ style among those of the template', () => {
  for (const template of [plainTemplate(), usualTemplate(), awkwardTemplate()]) {
    const before = new ZipReader(template);
    const after = new ZipReader(built(template, 'none'));
    const named = after.names.find((name) => /core\.xml$/.test(name));
    if (named !== undefined) expect(strFromU8(after.read(named))).toContain('<dc:title>The mill</dc:title>');
    const styles = after.names.filter((name) => /tableStyles\.xml$/i.test(name));
    expect(styles).toHaveLength(1);
    const slides = after.names
      .filter((name) => /slides\/[^/]*slide\d+\.xml$/.test(name))
      .map((name) => strFromU8(after.read(name)));
    const used = slides.flatMap((xml) => [...xml.matchAll(/<a:tableStyleId>([^<]+)</g)].map((match) => match[1]!));
    const xml = strFromU8(after.read(styles[0]!));
    expect(used.length).toBeGreaterThan(0);
    for (const id of used) expect(xml).toContain(id);
    // New tables of the template's own author still get what they got.
    const theirs = before.names.find((name) => name === styles[0]);
    if (theirs !== undefined)
      expect(/def=["']([^"']+)/.exec(xml)![1]).toBe(/def=["']([^"']+)/.exec(strFromU8(before.read(theirs)))![1]);
  }
});

describe('what a template says of its own slides', () => {
  const A = 'http://schemas.openxmlformats.org/drawingml/2006/main';
  const P = 'http://schemas.openxmlformats.org/presentationml/2006/main';
  const R = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const rel = (id: string, type: string, target: string): string =>
    `<Relationship Id="${id}" Type="${R}/${type}" Target="${target}"/>`;

  /** With a custom show, a range that is shown, a list of an outline and a jump from a layout. */
  function telling(): Uint8Array {
    const files = unzipSync(usualTemplate());
    const text = (name: string): string => strFromU8(files[name]!);
    const set = (name: string, xml: string): void => void (files[name] = strToU8(xml));
    const presentation = text('ppt/presentation.xml');
    const [slide] = /<p:sldId [^>]*r:id="(\w+)"/.exec(presentation)!.slice(1);
    const target = new RegExp(`Id="${slide}"[^>]*Target="([^"]+)"|Target="([^"]+)"[^>]*Id="${slide}"`).exec(
      text('ppt/_rels/presentation.xml.rels'),
    )!;
    const path = (target[1] ?? target[2])!.replace(/^\/?(ppt\/)?/, '');
    const shows = `<p:custShowLst><p:custShow name="Short" id="0"><p:sldLst><p:sld r:id="${slide}"/></p:sldLst></p:custShow></p:custShowLst>`;
    set(
      'ppt/presentation.xml',
      presentation.replace(/<p:notesSz [^>]*\/>/, (found) => `${found}${shows}`),
    );
    set(
      'ppt/presProps.xml',
      `<p:presentationPr xmlns:p="${P}"><p:showPr><p:sldRg st="1" end="2"/></p:showPr></p:presentationPr>`,
    );
    set(
      'ppt/viewProps.xml',
      `<p:viewPr xmlns:p="${P}" xmlns:a="${A}" xmlns:r="${R}"><p:outlineViewPr><p:cViewPr><p:scale><a:sx n="1" d="1"/><a:sy n="1" d="1"/></p:scale><p:origin x="0" y="0"/></p:cViewPr><p:sldLst><p:sld r:id="rId1"/></p:sldLst></p:outlineViewPr></p:viewPr>`,
    );
    const list = (xml: string): string =>
      `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${xml}</Relationships>`;
    set('ppt/_rels/viewProps.xml.rels', list(rel('rId1', 'slide', path)));
    const rels = text('ppt/_rels/presentation.xml.rels');
    const more = [
      ...(rels.includes('presProps') ? [] : [rel('rIdP', 'presProps', 'presProps.xml')]),
      ...(rels.includes('viewProps') ? [] : [rel('rIdV', 'viewProps', 'viewProps.xml')]),
    ].join('');
    set('ppt/_rels/presentation.xml.rels', rels.replace('</Relationships>', `${more}</Relationships>`));
    const types = text('[Content_Types].xml');
    const typed = (['presProps', 'viewProps'] as const)
      .filter((name) => !types.includes(`${name}.xml`))
      .map(
        (name) =>
          `<Override PartName="/ppt/${name}.xml" ContentType="application/vnd.openxmlformats-officedocument.presentationml.${name}+xml"/>`,
      );
    set('[Content_Types].xml', types.replace('</Types>', `${typed.join('')}</Types>`));
    const layout = Object.keys(files).find((name) => /slideLayouts\/slideLayout1\.xml$/.test(name))!;
    const layoutRels = layout.replace('slideLayouts/', 'slideLayouts/_rels/') + '.rels';
    set(
      layoutRels,
      text(layoutRels).replace('</Relationships>', `${rel('rIdJ', 'slide', `../${path}`)}</Relationships>`),
    );
    set(
      layout,
      text(layout).replace(/<p:cNvPr ([^>]*)\/>/, (found, inner: string) =>
        inner.includes('id="1"')
          ? found
          : `<p:cNvPr ${inner}><a:hlinkClick r:id="rIdJ" action="ppaction://hlinksldjump"/></p:cNvPr>`,
      ),
    );
    if (!text(layout).includes('hlinksldjump'))
      set(
        layout,
        text(layout).replace(
          /(<p:sp><p:nvSpPr><p:cNvPr [^>]*)\/>/,
          '$1><a:hlinkClick r:id="rIdJ" action="ppaction://customshow?id=0"/></p:cNvPr>',
        ),
      );
    return zipSync(files);
  }

  test('goes with them, and leads nowhere afterwards', async () => {
    const template = telling();
    expect(await checkPackage(template)).toEqual([]);
    const bytes = built(template, 'none');
    expect(await checkPackage(bytes)).toEqual([]);
    const zip = new ZipReader(bytes);
    expect(strFromU8(zip.read('ppt/presentation.xml'))).not.toContain('custShow');
    expect(strFromU8(zip.read('ppt/presProps.xml'))).not.toContain('sldRg');
    expect(strFromU8(zip.read('ppt/viewProps.xml'))).not.toContain('sldLst');
    const layouts = zip.names.filter((name) => /slideLayouts\/slideLayout\d+\.xml$/.test(name));
    for (const name of layouts) expect(strFromU8(zip.read(name))).not.toMatch(/hlinksldjump|customshow/);
  });

  test('stays where they stay, but for the range that would hide ours', async () => {
    const bytes = built(telling(), 'before');
    expect(await checkPackage(bytes)).toEqual([]);
    const zip = new ZipReader(bytes);
    expect(strFromU8(zip.read('ppt/presentation.xml'))).toContain('<p:custShow name="Short"');
    expect(strFromU8(zip.read('ppt/viewProps.xml'))).toContain('sldLst');
    expect(strFromU8(zip.read('ppt/presProps.xml'))).not.toContain('sldRg');
  });
});

test('a file whose own slides stay says of itself what it said, and its pages of notes are as its master has them', () => {
  const template = usualTemplate();
  const files = unzipSync(template);
  const core = Object.keys(files).find((name) => /core\.xml$/.test(name));
  const zip = new ZipReader(built(template, 'before'));
  if (core !== undefined) expect(strFromU8(zip.read(core))).toBe(strFromU8(files[core]!));
  const own = Object.keys(files).some((name) => name.includes('notesMaster'));
  const notes = zip.names.filter((name) => /notesSlides\/deck1-[^/]*\.xml$/.test(name));
  expect(notes.length).toBeGreaterThan(0);
  for (const name of notes) expect(strFromU8(zip.read(name)).includes('type="sldNum"')).toBe(!own);
});

test('notes are set as their author wants, without a word said to the master of others', async () => {
  const template = plainTemplate();
  const ours = built(template, 'none');
  const withMaster = respelled(ours, (xml) => xml);
  const rule: Edit = { kind: 'type', role: 'notes', rule: { size: 18, space: 10 } };
  const file = built(withMaster, 'before', [rule]);
  const zip = new ZipReader(file);
  const master = zip.names.find((name) => name.includes('notesMasters/') && name.endsWith('.xml'))!;
  expect(strFromU8(zip.read(master))).toBe(strFromU8(new ZipReader(ours).read(master)));
  const notes = zip.names.filter((name) => /notesSlides\/deck2-[^/]*\.xml$/.test(name));
  expect(notes.length).toBeGreaterThan(0);
  for (const name of notes)
    expect(strFromU8(zip.read(name))).toContain(
      '<a:lstStyle><a:lvl1pPr><a:spcBef><a:spcPts val="1000"/></a:spcBef><a:defRPr sz="1800"/></a:lvl1pPr>',
    );
  expect(await checkPackage(file)).toEqual([]);
  // Without a rule nothing is said.
  const plain = new ZipReader(built(withMaster, 'before'));
  for (const name of notes) expect(strFromU8(plain.read(name))).toContain('<a:lstStyle/>');
});

test('the picture of a file is of its first slide: theirs goes with its slides, and stays with them', async () => {
  const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 1]);
  const files = unzipSync(usualTemplate());
  files['docProps/thumbnail.jpeg'] = new Uint8Array([0xff, 0xd8, 0xff]);
  files['_rels/.rels'] = strToU8(
    strFromU8(files['_rels/.rels']!).replace(
      '</Relationships>',
      '<Relationship Id="rIdP" Type="http://schemas.openxmlformats.org/package/2006/relationships/metadata/thumbnail" Target="docProps/thumbnail.jpeg"/></Relationships>',
    ),
  );
  files['[Content_Types].xml'] = strToU8(
    strFromU8(files['[Content_Types].xml']!).replace(
      /(<Types[^>]*>)/,
      '$1<Default Extension="jpeg" ContentType="image/jpeg"/>',
    ),
  );
  const template = zipSync(files);
  const pictures = (bytes: Uint8Array): readonly string[] =>
    new ZipReader(bytes).names.filter((name) => name.includes('thumbnail'));
  expect(pictures(built(template, 'none', [], PNG))).toEqual(['docProps/deck1-thumbnail.png']);
  expect(pictures(built(template, 'none'))).toEqual([]);
  expect(pictures(built(template, 'before', [], PNG))).toEqual(['docProps/thumbnail.jpeg']);
  for (const keep of ['none', 'before'] as const)
    expect(await checkPackage(built(template, keep, [], PNG))).toEqual([]);
});

describe('slides that go between those of a file', () => {
  /** A deck of ours, as somebody might have it: three slides, in two sections or in none. */
  const there = (sections: boolean): Uint8Array => {
    const document = doc(h(1, 'Opening'), li('a'), h(1, 'Middle'), li('b'), h(1, 'End'), li('c'));
    const edits = sections ? ([{ kind: 'turn', block: document.blocks[2]!.id, to: 'section' }] as const) : [];
    return writeDeck('pptx', convert(document, edits), []);
  };
  const into = (
    file: Uint8Array,
    document: typeof SOURCE,
    more: Partial<TemplateUse>,
    origin?: string,
  ): ZipReader & { readonly bytes: Uint8Array } => {
    const use: TemplateUse = { hash: 'e'.repeat(64), fileName: 'there.pptx', layouts: {}, keep: 'before', ...more };
    const models = new Map([[use.hash, readTemplate(file).model]]);
    const edits = [{ kind: 'template', template: use }] as const;
    const options = { template: file, ...(origin === undefined ? {} : { origin }) };
    const bytes = writeDeck('pptx', convert(document, edits, undefined, models), [], options);
    return Object.assign(new ZipReader(bytes), { bytes });
  };
  const NEW = doc(h(1, 'Fresh'), li('x'), h(1, 'Fresher'), li('y'));

  /** Titles of the slides in the order in which they are shown. */
  function titles(zip: ZipReader): readonly string[] {
    const presentation = strFromU8(zip.read('ppt/presentation.xml'));
    const rels = strFromU8(zip.read('ppt/_rels/presentation.xml.rels'));
    return [...presentation.matchAll(/<p:sldId [^>]*r:id="(\w+)"/g)].map(([, id]) => {
      const target = new RegExp(`Id="${id}"[^>]*Target="([^"]+)"`).exec(rels)![1]!;
      const xml = strFromU8(zip.read(target.startsWith('/') ? target.slice(1) : `ppt/${target}`));
      return /type="(?:ctrTitle|title)".*?<a:t>([^<]*)</s.exec(xml)![1]!;
    });
  }
  const sections = (zip: ZipReader): readonly (readonly [string, number])[] =>
    [...strFromU8(zip.read('ppt/presentation.xml')).matchAll(/<p14:section name="([^"]*)".*?<\/p14:section>/gs)].map(
      ([whole, name]) => [name!, whole!.match(/<p14:sldId /g)!.length],
    );

  test('stand where their author wants them, and theirs stay byte for byte', async () => {
    const file = there(false);
    expect(titles(into(file, NEW, { behind: 1 }))).toEqual(['Opening', 'Fresh', 'Fresher', 'Middle', 'End']);
    expect(titles(into(file, NEW, {}))).toEqual(['Opening', 'Middle', 'End', 'Fresh', 'Fresher']);
    expect(titles(into(file, NEW, { keep: 'after' }))).toEqual(['Fresh', 'Fresher', 'Opening', 'Middle', 'End']);
    // A file that has fewer slides now than when the place was chosen.
    expect(titles(into(file, NEW, { behind: 9 }))).toEqual(['Opening', 'Middle', 'End', 'Fresh', 'Fresher']);
    const before = new ZipReader(file);
    const after = into(file, NEW, { behind: 2 });
    for (const name of before.names.filter((one) => /slides\/(_rels\/)?slide\d/.test(one)))
      expect(Buffer.compare(before.read(name), after.read(name))).toBe(0);
  });

  describe('once more, of a later edition of the document', () => {
    const OLD = doc(h(1, 'Gates'), li('oak'), h(1, 'Wheel'), li('elm'), li('iron & “lead”'));
    const LATER = doc(h(1, 'Gates'), li('larch'), h(1, 'Roof'), li('slate'), h(1, 'Wheel'), li('elm'));
    const origin = 'mill.docx';
    const made = into(there(false), OLD, { behind: 1 }, origin);
    /** What somebody changed of it meanwhile. */
    const changed = (change: (xml: string, name: string) => string): Uint8Array =>
      respelled(made.bytes, (xml, name) => (/slides\/[^/]*slide\d+\.xml$/.test(name) ? change(xml, name) : xml));

    test('its slides are known by the document, and those whose words somebody changed are told', () => {
      expect(readTemplate(made.bytes).model.made).toEqual([{ document: origin, slides: [1, 2], changed: [] }]);
      expect(readTemplate(changed((xml) => xml.replace('elm', 'ash'))).model.made).toEqual([
        { document: origin, slides: [1, 2], changed: [2] },
      ]);
    });

    test('spelled, parted and numbered otherwise by another program, they are still the same', () => {
      const file = changed((xml) =>
        xml
          .replace(/<a:t>elm<\/a:t><\/a:r>/, '<a:t>el</a:t></a:r><a:r><a:t>m</a:t></a:r>')
          .replace(/<a:t>\d+<\/a:t><\/a:fld>/, '<a:t>17</a:t></a:fld>')
          .replace(/(<\/?|xmlns:)a\b/g, '$1draw'),
      );
      expect(readTemplate(file).model.made).toEqual([{ document: origin, slides: [1, 2], changed: [] }]);
    });

    test('the new ones stand in their place, and leave all others alone', async () => {
      const again = into(made.bytes, LATER, { replaces: origin }, origin);
      expect(titles(again)).toEqual(['Opening', 'Gates', 'Roof', 'Wheel', 'Middle', 'End']);
      for (const name of made.names.filter((one) => /slides\/(_rels\/)?slide\d/.test(one)))
        expect(Buffer.compare(made.read(name), again.read(name))).toBe(0);
      expect(await checkPackage(again.bytes)).toEqual([]);
      expect(titles(into(again.bytes, OLD, { replaces: origin }, origin))).toEqual(titles(made));
    });

    test('where one of them was moved to the front, all stand there; a place that is said comes first', () => {
      const swapped = respelled(made.bytes, (xml, name) =>
        name === 'ppt/presentation.xml'
          ? xml.replace(/(<p:sldId [^>]*>)(<p:sldId [^>]*>)(<p:sldId [^>]*>)/, '$3$1$2')
          : xml,
      );
      expect(titles(into(swapped, LATER, { replaces: origin }))).toEqual([
        ...['Gates', 'Roof', 'Wheel', 'Opening', 'Middle', 'End'],
      ]);
      expect(titles(into(made.bytes, LATER, { replaces: origin, behind: 4 }))).toEqual([
        ...['Opening', 'Middle', 'Gates', 'Roof', 'Wheel', 'End'],
      ]);
    });

    test('what was made of another document stays, as do all without the wish', () => {
      expect(titles(into(made.bytes, NEW, { replaces: 'other.docx' }, 'other.docx'))).toHaveLength(7);
      expect(titles(into(made.bytes, NEW, {}, origin))).toHaveLength(7);
    });
  });

  test('have their sections among theirs, whichever of both has some', () => {
    expect(sections(into(there(false), NEW, { behind: 1 }))).toEqual([]);
    const theirs = sections(new ZipReader(there(true)));
    expect(theirs).toEqual([
      ['Opening', 1],
      ['Middle', 3],
    ]);
    expect(sections(into(there(true), NEW, {}))).toEqual([...theirs, ['Fresh', 2]]);
    // A section that is parted goes on under its name.
    expect(sections(into(there(true), NEW, { behind: 2 }))).toEqual([
      ['Opening', 1],
      ['Middle', 1],
      ['Fresh', 2],
      ['Middle', 2],
    ]);
    const ids = [
      ...strFromU8(into(there(true), NEW, { behind: 2 }).read('ppt/presentation.xml')).matchAll(
        /<p14:section [^>]*id="([^"]+)"/g,
      ),
    ];
    expect(new Set(ids.map(([, id]) => id)).size).toBe(ids.length);
  });
});

test('what a file’s own slides are called is read with it', () => {
  const document = doc(h(1, 'Opening'), li('a'), h(1, 'A title\u00a0of  some words'), li('b'));
  const { model } = readTemplate(writeDeck('pptx', convert(document, []), []));
  expect([model.slides, model.titles]).toEqual([2, ['Opening', 'A title of some words']]);
});

test('a slide that cannot be read takes nothing from the layouts of its file', () => {
  const document = doc(h(1, 'Opening'), li('a'), h(1, 'Middle'), li('b'));
  const files = unzipSync(writeDeck('pptx', convert(document, []), []));
  files['ppt/slides/slide1.xml'] = strToU8('<p:sld');
  const { model } = readTemplate(zipSync(files));
  expect(model.titles).toEqual(['', 'Middle']);
  expect(model.layouts.length).toBeGreaterThan(0);
});
