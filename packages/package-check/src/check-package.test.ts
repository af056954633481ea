import { describe, expect, test } from '@jest/globals';
import { convert, openDocument, readTemplate, writeDeck, type Edit, type TemplateUse } from '@alvex/core';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { awkwardTemplate, plainTemplate, usualTemplate } from '../../demo/src/templates.ts';
import { checkPackage } from './index.ts';

const SOURCE = `# The mill

# Gates

## Oak

- Old
- New

The gates are spoken of.

## Guests

| Year | Grown | Children |
| --- | --- | --- |
| 2024 | 1,200 | 400 |
| 2025 | 1,850 | 720 |

[The trust](https://example.org/)
`;
const { document } = await openDocument(strToU8(SOURCE), 'markdown', {});
const gates = document.blocks.find((block) => block.kind === 'heading' && block.runs[0]?.text === 'Gates')!;
const MAP: Edit[] = [
  { kind: 'matter', part: 'agenda', on: true },
  { kind: 'turn', block: gates.id, to: 'section' },
];
const table = convert(document, MAP)
  .deck.slides.flatMap(({ content }) => content)
  .find(({ kind }) => kind === 'table')!;
const { usualSettings, readChart } = await import('@alvex/core');
const chart: Edit = {
  kind: 'chart',
  part: table.id,
  chart: usualSettings(readChart((table as never as { table: never }).table, 'en')!, 'column'),
};
const WRITTEN = writeDeck('pptx', convert(document, [...MAP, chart]), []);

type Files = Record<string, Uint8Array>;

/** The written deck with something done to its parts. */
function changed(change: (files: Files) => void): Uint8Array {
  const files = unzipSync(WRITTEN);
  change(files);
  return zipSync(files);
}
const replaced = (part: string, from: string | RegExp, to: string) =>
  changed((files) => {
    const before = strFromU8(files[part]!);
    const after = before.replace(from, to);
    expect(after === before).toBe(false);
    files[part] = strToU8(after);
  });
const partWith = (text: string): string =>
  Object.entries(unzipSync(WRITTEN)).find(
    ([name, bytes]) => /(slides|charts)\/\w+\.xml$/.test(name) && strFromU8(bytes).includes(text),
  )![0];

test('what Alvex writes has no fault, with chart, notes, sections, table and link', async () => {
  const names = Object.keys(unzipSync(WRITTEN));
  for (const kind of ['charts/chart', 'charts/style', 'charts/colors', 'notesSlides/', 'embeddings/'])
    expect(names.some((n) => n.includes(kind))).toBe(true);
  expect(await checkPackage(WRITTEN)).toEqual([]);
});

test.each([
  ['usual', usualTemplate],
  ['plain', plainTemplate],
  ['awkward', awkwardTemplate],
] as const)('the %s template, and what is built on it, has no fault', async (_, make) => {
  const bytes = make();
  expect(await checkPackage(bytes)).toEqual([]);
  const template: TemplateUse = { hash: 'f'.repeat(64), fileName: 'trust.pptx', layouts: {}, keep: 'before' };
  const { model } = readTemplate(bytes);
  const built = convert(
    document,
    [...MAP, chart, { kind: 'template', template }],
    undefined,
    new Map([[template.hash, model]]),
  );
  expect(await checkPackage(writeDeck('pptx', built, [], { template: bytes }))).toEqual([]);
});

const slide = partWith('<p:ph type="title"/>');
const chartPart = partWith('<c:chartSpace');
const notes = Object.keys(unzipSync(WRITTEN)).find((name) => /notesSlide\d+\.xml$/.test(name))!;
const CASES: readonly (readonly [string, () => Uint8Array, RegExp])[] = [
  ['no archive', () => strToU8('PK, but no'), /cannot be read/],
  ['an archive cut short', () => WRITTEN.slice(0, WRITTEN.length / 2), /cannot be read/],
  [
    'a damaged part',
    () => {
      const bytes = zipSync(unzipSync(WRITTEN), { level: 0 });
      const at = strFromU8(bytes, true).indexOf('<p:cSld');
      bytes[at + 3] = 'X'.charCodeAt(0);
      return bytes;
    },
    /cannot be unpacked/,
  ],
  ['no content types', () => changed((files) => delete files['[Content_Types].xml']), /a package needs it/],
  ['a part without a type', () => changed((files) => (files['ppt/data.bin'] = strToU8('x'))), /no content type/],
  [
    'a type for no part',
    () => replaced('[Content_Types].xml', '</Types>', '<Override PartName="/ppt/gone.xml" ContentType="x/y"/></Types>'),
    /names a part that is not there/,
  ],
  [
    'a part that nothing leads to',
    () => changed((files) => (files['ppt/lost.xml'] = strToU8('<a/>'))),
    /no relationship leads to it/,
  ],
  [
    'a relationship that leads nowhere',
    () => changed((files) => Reflect.deleteProperty(files, notes)),
    /leads to a part that is not there/,
  ],
  [
    'relationships of no part',
    () => changed((files) => (files['ppt/_rels/gone.xml.rels'] = files['_rels/.rels']!)),
    /it belongs to is not there/,
  ],
  ['an id of a relationship twice', () => replaced('_rels/.rels', 'Id="rId2"', 'Id="rId1"'), /rId1 stands twice/],
  ['a part that is not well-formed', () => replaced(slide, '</p:sld>', ''), /not well-formed/],
  ['a document type', () => replaced(slide, '<p:sld ', '<!DOCTYPE p:sld [<!ENTITY e "x">]><p:sld '), /document type/],
  ['an element out of place', () => replaced(slide, '<p:cSld>', '<p:clrMapOvr/><p:cSld>'), /not expected/],
  ['a value that is none', () => replaced(slide, /<a:ext cx="\d+"/, '<a:ext cx="wide"'), /wide/],
  [
    'a reference without a relationship',
    () => replaced(chartPart, /<c:externalData r:id="\w+"/, '<c:externalData r:id="rId99"'),
    /rId99 has no relationship/,
  ],
  [
    'a slide that is an image',
    () => replaced('ppt/_rels/presentation.xml.rels', /relationships\/slide"/, 'relationships/image"'),
    /goes by|but .* is application/,
  ],
  ['a language with markup', () => replaced(slide, /lang="[^"]*"/, 'lang="en&quot;&gt;"'), /this is no language/],
  [
    'two shapes of one id',
    () => replaced(slide, /(<p:cNvPr id=")2"([\s\S]*<p:cNvPr id=")3"/, '$12"$22"'),
    /two shapes have the id/,
  ],
  [
    'a placeholder that the layout has not',
    () => replaced(slide, /<p:ph type="title"\/>/, '<p:ph type="body" idx="4711"/>'),
    /no placeholder body 4711/,
  ],
  [
    'a title without a place, on a layout that has none',
    () =>
      changed((files) => {
        for (const name of Object.keys(files).filter((one) => /slideLayout\d+\.xml$/.test(one)))
          files[name] = strToU8(strFromU8(files[name]!).replace('<p:ph type="title"/>', ''));
      }),
    /no placeholder title, and its own has no place/,
  ],
  [
    'a slide without a layout',
    () => replaced(slide.replace('slides/', 'slides/_rels/') + '.rels', /<Relationship [^>]*slideLayout[^>]*>/, ''),
    /leads to 0 parts of type slideLayout/,
  ],
  ['a slide that is not listed', () => replaced('ppt/presentation.xml', /<p:sldId [^>]*>/, ''), /is not listed/],
  [
    'a slide that is listed twice',
    () => replaced('ppt/presentation.xml', /(<p:sldId id=")256("[^>]*>)/, '$1256$2$1999$2'),
    /listed twice/,
  ],
  [
    'a section with a slide that is not there',
    () => replaced('ppt/presentation.xml', /<p14:sldId id="\d+"/, '<p14:sldId id="9999"'),
    /a section names a slide/,
  ],
  [
    'notes of another slide',
    () =>
      replaced(
        notes.replace('notesSlides/', 'notesSlides/_rels/') + '.rels',
        /slides\/slide\d+\.xml/,
        'slides/slide1.xml',
      ),
    /does not know of these notes/,
  ],
  [
    'a chart that remembers another number',
    () => replaced(chartPart, '<c:v>1850</c:v>', '<c:v>1851</c:v>'),
    /holds “1850”, and it remembers “1851”/,
  ],
  [
    'a chart of cells that are not there',
    () => replaced(chartPart, /<c:f>[^!<]+!/, '<c:f>Elsewhere!'),
    /its workbook has no/,
  ],
  [
    'a dress of charts that is out of order',
    () =>
      replaced(
        'ppt/charts/style1.xml',
        /(<cs:chartArea>.*?<\/cs:chartArea>)(<cs:dataLabel>.*?<\/cs:dataLabel>)/,
        '$2$1',
      ),
    /not expected/,
  ],
  [
    'a workbook that is broken',
    () =>
      changed((files) => {
        const name = Object.keys(files).find((one) => one.endsWith('.xlsx'))!;
        const inner = unzipSync(files[name]!);
        delete inner['xl/workbook.xml'];
        files[name] = zipSync(inner);
      }),
    /not there/,
  ],
];
describe('finds', () => {
  test.each(CASES)('%s', async (_, make, message) => {
    const faults = await checkPackage(make());
    expect(faults.map((fault) => fault.message).join('\n')).toMatch(message);
  });
});

describe('finds in a small presentation', () => {
  const P = 'http://schemas.openxmlformats.org/presentationml/2006/main';
  const TYPE = 'application/vnd.openxmlformats-officedocument.presentationml';
  const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const withComments = (author: string, second: string): Uint8Array =>
    changed((files) => {
      const edit = (name: string, from: string, to: string): void => {
        files[name] = strToU8(strFromU8(files[name]!).replace(from, to + from));
      };
      const cm = (idx: string) =>
        `<p:cm authorId="${author}" idx="${idx}"><p:pos x="1" y="1"/><p:text>Why?</p:text></p:cm>`;
      files['ppt/comments/comment1.xml'] = strToU8(`<p:cmLst xmlns:p="${P}">${cm('1')}${cm(second)}</p:cmLst>`);
      files['ppt/commentAuthors.xml'] = strToU8(
        `<p:cmAuthorLst xmlns:p="${P}"><p:cmAuthor id="0" name="A" initials="A" lastIdx="2" clrIdx="0"/></p:cmAuthorLst>`,
      );
      edit(
        '[Content_Types].xml',
        '</Types>',
        `<Override PartName="/ppt/comments/comment1.xml" ContentType="${TYPE}.comments+xml"/><Override PartName="/ppt/commentAuthors.xml" ContentType="${TYPE}.commentAuthors+xml"/>`,
      );
      const rel = (type: string, target: string) =>
        `<Relationship Id="rIdC" Type="${REL}/${type}" Target="${target}"/>`;
      edit('ppt/_rels/presentation.xml.rels', '</Relationships>', rel('commentAuthors', 'commentAuthors.xml'));
      edit('ppt/slides/_rels/slide1.xml.rels', '</Relationships>', rel('comments', '../comments/comment1.xml'));
    });

  test('no fault in comments by an author who is there', async () => {
    expect(await checkPackage(withComments('0', '2'))).toEqual([]);
  });
  test('comments by nobody, and two of one number', async () => {
    const faults = (await checkPackage(withComments('7', '1'))).map(({ message }) => message);
    expect(faults).toEqual(expect.arrayContaining([expect.stringContaining('an author who is not there: 7')]));
    expect(faults).toEqual(expect.arrayContaining([expect.stringContaining('two comments have the author')]));
  });
});
