/** OpenDocument packages: what this writes is sound, and each fault that is put into it is found. */
import { describe, expect, test } from '@jest/globals';
import { convert, openDocument, writeDeck } from '@alvex/core';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { checkPackage } from './index.ts';

const SOURCE = `# The mill

## Gates

- Old, see [the costs](#costs)
- New

They are spoken of.

## Costs

| Year | Grown |
| --- | --- |
| 2024 | 1,200 |
`;
const { document } = await openDocument(strToU8(SOURCE), 'markdown', {});
const made = convert(document, []);
const DECK = writeDeck('odp', made, []);
const TEXT = writeDeck('odt', made, [], { source: true });

type Files = Record<string, Uint8Array>;

/** A package with something done to its files; the type stays first and as it is, unless another archive is given. */
function changed(bytes: Uint8Array, change: (files: Files) => Zippable | undefined): Uint8Array {
  const files = unzipSync(bytes);
  const given = change(files);
  const { mimetype, ...others } = files;
  return zipSync(given ?? { ...(mimetype === undefined ? {} : { mimetype: [mimetype, { level: 0 }] }), ...others });
}
const replaced = (bytes: Uint8Array, part: string, from: string | RegExp, to: string): Uint8Array =>
  changed(bytes, (files) => {
    const before = strFromU8(files[part]!);
    const after = before.replace(from, to);
    expect(after === before).toBe(false);
    files[part] = strToU8(after);
  });
const told = async (bytes: Uint8Array): Promise<readonly string[]> =>
  (await checkPackage(bytes)).map(({ part, message }) => `${part}: ${message}`);

test('what is written here has no fault, packed anew or not', async () => {
  for (const bytes of [DECK, TEXT, changed(DECK, () => undefined), changed(TEXT, () => undefined)])
    expect(await told(bytes)).toEqual([]);
});

test('a fault is told each time, a sound part is sound each time', async () => {
  const faulty = replaced(DECK, 'content.xml', '<draw:frame ', '<draw:frame draw:sort="1" ');
  const first = await told(faulty);
  expect(first).not.toEqual([]);
  expect([await told(DECK), await told(faulty), await told(DECK)]).toEqual([[], first, []]);
});

describe('the package', () => {
  test.each<[string, (files: Files) => Zippable | undefined, string]>([
    ['a type that is compressed', (files) => ({ ...files }), 'mimetype: it is compressed'],
    [
      'a type that is not first',
      ({ mimetype, ...others }) => ({ ...others, mimetype: [mimetype!, { level: 0 }] }),
      'mimetype: it does not stand first in the archive',
    ],
    [
      'a type with an extra field',
      ({ mimetype, ...others }) => ({ mimetype: [mimetype!, { level: 0, extra: { 1: strToU8('x') } }], ...others }),
      'mimetype: it has an extra field',
    ],
    [
      'a type of something else',
      (files) => void (files['mimetype'] = strToU8('text/plain')),
      'mimetype: this is no type of a document: text/plain',
    ],
    [
      'a file that is not listed',
      (files) => void (files['Pictures/a.png'] = strToU8('x')),
      'Pictures/a.png: it is not listed',
    ],
    [
      'a file that is listed and gone',
      (files) => void delete files['meta.xml'],
      'META-INF/manifest.xml: it lists a file that is not there: meta.xml',
    ],
    ['no list', (files) => void delete files['META-INF/manifest.xml'], 'META-INF/manifest.xml: a document needs it'],
    ['no content', (files) => void delete files['content.xml'], 'content.xml: a document needs it'],
    [
      'markup that ends early',
      (files) => void (files['styles.xml'] = files['styles.xml']!.subarray(0, 4000)),
      'styles.xml: it is not well-formed',
    ],
  ])('%s', async (_, change, expected) => {
    expect(await told(changed(DECK, change))).toContainEqual(expect.stringContaining(expected));
  });
});

describe('the schema', () => {
  test.each([
    ['an attribute that is none', 'content.xml', '<draw:frame ', '<draw:frame draw:sort="1" ', /sort/],
    [
      'an element in the wrong place',
      'content.xml',
      '<text:list-item>',
      '<text:list-item><draw:page/>',
      /page|list-item/,
    ],
    ['a length that is none', 'content.xml', /svg:width="[^"]+"/, 'svg:width="wide"', /width/],
    ['no version', 'content.xml', / office:version="[^"]+"/, '', /document-content/],
    [
      'a list entry without its type',
      'META-INF/manifest.xml',
      / manifest:media-type="[^"]+"/,
      '',
      /file-entry|manifest/,
    ],
  ])('%s', async (_, part, from, to, expected) => {
    const faults = await checkPackage(replaced(DECK, part, from, to));
    expect(faults.filter((one) => one.part === part && /^line \d+: /.test(one.message))).not.toEqual([]);
    expect(faults.map(({ message }) => message).join('\n')).toMatch(expected);
  });

  test('an earlier version, and what others have added to a document, are none', async () => {
    for (const bytes of [DECK, TEXT]) {
      const earlier = replaced(bytes, 'content.xml', 'office:version="1.3"', 'office:version="1.2"');
      expect(await told(earlier)).toEqual([]);
      const added = 'xmlns:mill="urn:mill" mill:by="hand" office:version="1.3"';
      expect(await told(replaced(bytes, 'content.xml', 'office:version="1.3"', added))).toEqual([]);
      const within = replaced(
        bytes,
        'content.xml',
        '<office:body>',
        '<mill:note xmlns:mill="urn:mill"><b/></mill:note><office:body>',
      );
      expect(await told(within)).toEqual([]);
    }
  });
});

describe('references', () => {
  test.each([
    [
      'a style',
      DECK,
      'content.xml',
      /text:style-name="[^"]+"/,
      'text:style-name="none"',
      /style-name="none" names nothing/,
    ],
    [
      'a master page',
      DECK,
      'content.xml',
      /draw:master-page-name="[^"]+"/,
      'draw:master-page-name="none"',
      /names nothing/,
    ],
    [
      'the layout of a page',
      DECK,
      'styles.xml',
      /style:page-layout-name="[^"]+"/,
      'style:page-layout-name="none"',
      /names nothing/,
    ],
    ['a font', DECK, 'styles.xml', /style:font-name="[^"]+"/, 'style:font-name="None"', /names nothing/],
    ['a page', DECK, 'content.xml', /xlink:href="#[^"]+"/, 'xlink:href="#none"', /leads nowhere/],
    ['a place in a text', TEXT, 'content.xml', /xlink:href="#[^"]+"/, 'xlink:href="#none"', /leads nowhere/],
    [
      'two pages of one name',
      DECK,
      'content.xml',
      /(<draw:page draw:name=")[^"]+("[^]*?<draw:page draw:name=")[^"]+/,
      '$1x$2x',
      /stands twice: page x/,
    ],
    ['a value that is none', DECK, 'content.xml', /svg:x="[^"]+"/, 'svg:x="NaNpt"', /Invalid attribute x/],
  ])('%s', async (_, bytes, part, from, to, expected) => {
    expect((await told(replaced(bytes, part, from, to))).join('\n')).toMatch(expected);
  });

  test('a picture and an object are parts of the package', async () => {
    const frame = (what: string): string =>
      `$1<draw:frame svg:width="1pt" svg:height="1pt"><draw:${what} xlink:href="./Pictures/a.png" xlink:type="simple"/></draw:frame>`;
    for (const what of ['image', 'object']) {
      const faults = await told(replaced(DECK, 'content.xml', /(<draw:page [^>]*>)/, frame(what)));
      expect(faults).toEqual([`content.xml: ${what} href="./Pictures/a.png" is no part`]);
    }
    const elsewhere = frame('image').replace('./Pictures/a.png', 'https://mill.example/a.png');
    expect(await told(replaced(DECK, 'content.xml', /(<draw:page [^>]*>)/, elsewhere))).toEqual([]);
  });
});
