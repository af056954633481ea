/** Which parts a package has, and how they lead to one another. */
import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { mainPart, ownerOf, readRelationships, relatedPart, unescaped } from './package.ts';
import { ZipReader } from './zip-reader.ts';

const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const code = (name: string) => expect.objectContaining({ code: name }) as never;
const zip = (parts: Readonly<Record<string, string>>): ZipReader =>
  new ZipReader(zipSync(Object.fromEntries(Object.entries(parts).map(([name, part]) => [name, strToU8(part)]))));

describe('a package', () => {
  const TYPES = (type: string) =>
    `<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Override PartName="/ppt/Main.xml" ContentType="${type}"/></Types>`;
  const rels = (...list: readonly (readonly [id: string, type: string, target: string, more?: string])[]) =>
    `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${list
      .map(
        ([id, type, target, more = '']) => `<Relationship Id="${id}" Type="${REL}/${type}" Target="${target}"${more}/>`,
      )
      .join('')}</Relationships>`;
  const PRESENTATION = 'application/vnd.openxmlformats-officedocument.presentationml.presentation.main+xml';
  const held = (type: string, target = 'ppt/main.xml') =>
    zip({
      '[Content_Types].xml': TYPES(type),
      '_rels/.rels': rels(['r1', 'officeDocument', target]),
      'ppt/main.xml': '<p/>',
    });

  test('says which part is its main one, whatever the case of its name, and what else it is', () => {
    expect(mainPart(held(PRESENTATION), 'presentationml')).toBe('ppt/main.xml');
    expect(() => mainPart(held(PRESENTATION), 'wordprocessingml')).toThrow(
      expect.objectContaining({ place: { part: 'ppt/main.xml' } }),
    );
    expect(() => mainPart(held(PRESENTATION, 'ppt/gone.xml'), 'presentationml')).toThrow(code('part-missing'));
    expect(() => mainPart(zip({ 'a.txt': 'x' }), 'presentationml')).toThrow(code('wrong-type'));
    const none = zip({
      '[Content_Types].xml': TYPES(PRESENTATION),
      '_rels/.rels': rels(['r1', 'other', 'ppt/main.xml']),
    });
    expect(() => mainPart(none, 'presentationml')).toThrow(code('part-missing'));
  });

  test('relationships lead from the folder of their part; outside stays outside', () => {
    const archive = zip({
      'ppt/slides/s1.xml': '<p/>',
      'ppt/slides/_rels/s1.xml.rels': rels(
        ['a', 'image', '../media/a%20b.png'],
        ['b', 'image', '/ppt/media/c.png'],
        ['c', 'hyperlink', 'https://quay.example/../x', ' TargetMode="External"'],
        ['d', 'notes', './n.xml'],
      ),
      'ppt/media/a b.png': 'x',
      'ppt/media/c.png': 'x',
      'ppt/slides/n.xml': '<n/>',
    });
    const found = readRelationships(archive, 'ppt/slides/s1.xml');
    expect([...found].map(([id, { type, target, external }]) => [id, type, target, external])).toEqual([
      ['a', 'image', 'ppt/media/a b.png', false],
      ['b', 'image', 'ppt/media/c.png', false],
      ['c', 'hyperlink', 'https://quay.example/../x', true],
      ['d', 'notes', 'ppt/slides/n.xml', false],
    ]);
    expect(relatedPart(archive, found, 'notes')).toBe('ppt/slides/n.xml');
    expect([relatedPart(archive, found, 'hyperlink'), relatedPart(archive, found, 'chart')]).toEqual([
      undefined,
      undefined,
    ]);
    expect(readRelationships(archive, 'ppt/slides/n.xml').size).toBe(0);
  });

  test('names of parts and of their relationships', () => {
    expect([ownerOf('ppt/_rels/a.xml.rels'), ownerOf('_rels/.rels'), ownerOf('ppt/a.xml')]).toEqual([
      'ppt/a.xml',
      '',
      undefined,
    ]);
    expect([unescaped('a%20b'), unescaped('100%')]).toEqual(['a b', '100%']);
  });
});
