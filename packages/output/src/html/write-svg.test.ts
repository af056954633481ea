/** Slides as drawings, as another reader of XML sees them. */
import { describe, expect, test } from '@jest/globals';
import { convert, openZip, type Edit } from '@alvex/core';
import { encode } from 'fast-png';
import { SaxesParser } from 'saxes';
import { code, doc, h, li, p, picture, random, randomDocument, table } from '../../../core/src/test/build.ts';
import { writeOutput } from '../index.ts';

interface Seen {
  readonly names: readonly string[];
  /** Where anything leads or is loaded from. */
  readonly links: readonly string[];
  readonly text: string;
  readonly style: string;
}
/** @throws where it is no well-formed XML with namespaces. */
function seen(source: string): Seen {
  const names: string[] = [];
  const links: string[] = [];
  const open: string[] = [];
  let [text, style] = ['', ''];
  const parser = new SaxesParser({ xmlns: true });
  parser.on('opentag', ({ local, uri, attributes }) => {
    expect(uri).toBe('http://www.w3.org/2000/svg');
    names.push(local);
    open.push(local);
    const { href } = attributes as Record<string, { readonly value: string }>;
    if (href !== undefined) links.push(href.value);
  });
  parser.on('closetag', () => void open.pop());
  parser.on('text', (value) => {
    if (open.at(-1) === 'style') style += value;
    else text += `${value} `;
  });
  parser.on('error', (error) => {
    throw error;
  });
  parser.write(source).close();
  return { names, links, text, style };
}
const inWords = (text: string): readonly string[] => text.match(/[\p{L}\p{N}]+/gu) ?? [];

const image = { id: 'a' as never, mime: 'image/png' as const, width: 4, height: 3 };
const bytes = encode({ width: 4, height: 3, data: new Uint8Array(36).fill(90), channels: 3 });
const mill = {
  ...doc(
    h(1, 'Tide: in/out & <more>'),
    li('A link', 1),
    li('水車は回る'),
    li('عجلة المد'),
    picture('a', 'The pond'),
    h(1, 'Costs'),
    table([
      ['Work', 'Cost'],
      ['Gates', '12'],
    ]),
    h(1, 'Log'),
    code('</style><script>alert(1)</script>'),
    p('Said.'),
    h(1, 'Hidden'),
    li('Not seen'),
  ),
  pictures: [image],
};
const HIDE: Edit = { kind: 'hide', slides: [convert(mill, []).deck.slides[3]!.id], hidden: true };
const write = (only?: number) => writeOutput('svg', convert(mill, [HIDE]), [{ ...image, bytes }], { only });
const read = async (only: number): Promise<Seen> => seen(new TextDecoder().decode(await write(only)));

describe('a slide as a drawing', () => {
  test('says its words once, in their order, and its name', async () => {
    const { text, names } = await read(1);
    expect(inWords(text).slice(0, 5)).toEqual(['Tide', 'in', 'out', 'more', 'Tide']);
    expect(text.match(/A link|水車は回る|عجلة/gu)).toEqual(['A link', '水車は回る', 'عجلة']);
    expect(names.slice(0, 3)).toEqual(['svg', 'title', 'style']);
  });

  test('says its language', async () => {
    const german = convert({ ...mill, language: 'de' as never }, []);
    expect(Buffer.from(await writeOutput('svg', german, [], { only: 2 })).toString('utf8')).toMatch(
      /<svg [^>]*lang="de"/,
    );
  });

  test('has its fonts and pictures within, and loads nothing', async () => {
    const { style, links } = await read(1);
    expect(style.match(/@font-face/g)!.length).toBeGreaterThan(1);
    for (const [, from] of style.matchAll(/url\(([^)]{0,20})/g)) expect(from).toMatch(/^data:font\//);
    expect(links.filter((link) => link.startsWith('data:'))).toEqual([
      `data:image/png;base64,${Buffer.from(bytes).toString('base64')}`,
    ]);
    expect(links.filter((link) => !link.startsWith('data:') && !link.startsWith('#'))).toEqual([]);
  });

  test('text is no markup', async () => {
    const { text, names } = await read(3);
    expect(text).toContain('<script>alert(1)</script>');
    expect(names).not.toContain('script');
  });

  test('all that are shown are in an archive, the same bytes each time; one that is hidden can be asked for', async () => {
    const all = await write();
    const zip = openZip(all);
    expect(zip.names).toEqual(['01 Tide in out & more.svg', '02 Costs.svg', '03 Log.svg']);
    expect(Buffer.from(await write(2)).equals(zip.read(zip.names[1]!)!)).toBe(true);
    expect(Buffer.from(await write()).equals(all)).toBe(true);
    expect((await read(4)).text).toContain('Not seen');
    await expect(write(5)).rejects.toThrow('There is no slide 5; the last is 4.');
  });
});

test('random decks are well formed', async () => {
  for (let seed = 1; seed <= 3; seed++) {
    const zip = openZip(await writeOutput('svg', convert(randomDocument(random(seed), 20), []), []));
    for (const name of zip.names)
      expect(seen(Buffer.from(zip.read(name)!).toString('utf8')).names.length).toBeGreaterThan(5);
  }
});
