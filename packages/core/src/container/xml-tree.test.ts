/** Foreign XML is kept as it was written, changed in one place, and stands wherever it is moved to. */
import { describe, expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { LIMITS } from '../base/index.ts';
import {
  contentWithout,
  nodeAt,
  nodesNamed,
  nodesWithin,
  parseXmlTree,
  readPlainTree,
  readXmlTree,
  withAttribute,
  withContent,
  withoutAttribute,
  writeXmlTree,
} from './xml-tree.ts';
import { ZipReader } from './zip-reader.ts';

const HEAD = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';
const P = 'http://schemas.openxmlformats.org/presentationml/2006/main';
const A = 'http://schemas.openxmlformats.org/drawingml/2006/main';
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const code = (name: string) => expect.objectContaining({ code: name }) as never;
const again = (xml: string): string => writeXmlTree(parseXmlTree(xml)).slice(HEAD.length);
const zip = (parts: Readonly<Record<string, string | Uint8Array>>): ZipReader =>
  new ZipReader(
    zipSync(
      Object.fromEntries(
        Object.entries(parts).map(([name, part]) => [name, typeof part === 'string' ? strToU8(part) : part]),
      ),
    ),
  );

describe('a tree', () => {
  test.each([
    ['text between elements, comments and instructions', '<a>one<b/>two<!-- a < b --><?go on now?><c>three</c></a>'],
    [
      'its own prefixes and order of attributes',
      `<q:sld xmlns:q="${P}" z="1" xmlns:d="${A}" a="2"><d:t>x</d:t></q:sld>`,
    ],
    ['a namespace without a prefix', `<sld xmlns="${P}"><t xmlns="${A}">x</t></sld>`],
    ['what must be escaped', '<a b="&lt;&amp;&quot;&#9;&#10;">&lt;&amp;</a>'],
  ])('writes again %s', (_, xml) => {
    expect(again(xml)).toBe(xml);
    expect(again(again(xml))).toBe(xml);
  });

  test('text in a character section is text; single quotes mean the same', () =>
    expect(parseXmlTree(again(`<a b='"1"'><![CDATA[<x>]]></a>`))).toMatchObject({
      attributes: { b: '"1"' },
      content: [{ text: '<x>' }],
    }));

  test('names come by our prefixes, whatever is written', () => {
    const tree = parseXmlTree(
      `<q:sld xmlns:q="${P}" xmlns:r="${REL}" r:id="7" q:x="1"><d:t xmlns:d="${A}">x</d:t><own:y xmlns:own="urn:o"/></q:sld>`,
    );
    expect(tree.name).toBe('p:sld');
    expect(tree.namespace).toBe(P);
    expect(tree.attributes).toMatchObject({ 'r:id': '7', 'p:x': '1' });
    expect(tree.children.map(({ name, namespace }) => [name, namespace])).toEqual([
      ['a:t', A],
      ['own:y', 'urn:o'],
    ]);
  });

  test('an element that is moved takes the declarations of its prefixes along, once', () => {
    const from = parseXmlTree(
      `<q:sld xmlns:q="${P}" xmlns:d="${A}" xmlns:r="${REL}"><d:t r:id="1"><d:u/></d:t></q:sld>`,
    );
    const moved = nodeAt(from, 'a:t')!;
    expect(writeXmlTree(withContent(parseXmlTree('<box/>'), [moved, moved])).slice(HEAD.length)).toBe(
      `<box>${`<d:t r:id="1" xmlns:d="${A}" xmlns:r="${REL}"><d:u/></d:t>`.repeat(2)}</box>`,
    );
    expect(writeXmlTree(moved)).toBe(`${HEAD}<d:t r:id="1" xmlns:d="${A}" xmlns:r="${REL}"><d:u/></d:t>`);
  });

  test('one attribute is changed, or taken away, and all else stays', () => {
    const tree = parseXmlTree(`<p:x xmlns:p="${P}" xmlns:r="${REL}" a="1" r:id="2" b="3">t</p:x>`);
    const xml = (node: typeof tree): string => writeXmlTree(node).slice(HEAD.length);
    const head = `<p:x xmlns:p="${P}" xmlns:r="${REL}"`;
    expect(xml(withAttribute(tree, 'a', '"9"'))).toBe(`${head} a="&quot;9&quot;" r:id="2" b="3">t</p:x>`);
    expect(xml(withAttribute(tree, 'c', '4'))).toBe(`${head} a="1" r:id="2" b="3" c="4">t</p:x>`);
    const without = withoutAttribute(tree, 'r:id');
    expect(xml(without)).toBe(`${head} a="1" b="3">t</p:x>`);
    expect(without.attributes).toEqual({ ...tree.attributes, 'r:id': undefined });
    expect(withoutAttribute(tree, 'a').attributes.b).toBe('3');
  });

  test('elements are found by path, by name and at any depth; others are left out with what is in them', () => {
    const tree = parseXmlTree('<a>x<b n="1"><c n="2"/></b>y<b n="3"><b n="4"/></b></a>');
    const numbers = (nodes: readonly { readonly attributes: Readonly<Record<string, string | undefined>> }[]) =>
      nodes.map(({ attributes }) => attributes.n);
    expect(nodeAt(tree, 'b', 'c')?.attributes.n).toBe('2');
    expect([nodeAt(tree, 'c'), nodeAt(undefined, 'b'), nodeAt(tree)]).toEqual([undefined, undefined, tree]);
    expect(numbers(nodesNamed(tree, 'b'))).toEqual(['1', '3']);
    expect(nodesNamed(undefined, 'b')).toEqual([]);
    expect(numbers(nodesWithin(tree, 'b'))).toEqual(['1', '3', '4']);
    const rest = withContent(
      tree,
      contentWithout(tree, ({ attributes }) => attributes.n === '1'),
    );
    expect(writeXmlTree(rest).slice(HEAD.length)).toBe('<a>xy<b n="3"><b n="4"/></b></a>');
    expect(numbers(rest.children)).toEqual(['3']);
  });

  test('that is only read has the same names and text', () => {
    const xml = `<q:sld xmlns:q="${P}"><q:t a="1">one<q:u/>two</q:t></q:sld>`;
    const tree = readPlainTree(zip({ 'a.xml': xml }), 'a.xml');
    expect(tree.name).toBe('p:sld');
    expect(nodeAt(tree, 'p:t')).toMatchObject({ attributes: { a: '1' }, children: [{ name: 'p:u' }] });
    expect(nodeAt(tree, 'p:t')!.content.map((one) => ('text' in one ? one.text : 'node'))).toEqual([
      'one',
      'node',
      'two',
    ]);
  });

  test('is read in its encoding, and refused where it is broken, empty, typed or beyond measure', () => {
    const wide = Uint8Array.from([0xfe, 0xff, ...Buffer.from('<a>mühle</a>', 'utf16le').swap16()]);
    expect(readXmlTree(zip({ 'a.xml': wide }), 'a.xml').content).toEqual([{ text: 'mühle' }]);
    expect(() => readPlainTree(zip({ 'a.xml': '' }), 'a.xml')).toThrow(code('bad-xml'));
    for (const broken of ['', '<a>', '<a></b>', 'text'])
      expect(() => parseXmlTree(broken, 'a.xml')).toThrow(code('bad-xml'));
    expect(() => parseXmlTree('<!DOCTYPE a><a/>')).toThrow(code('doctype'));
    const deep = (depth: number) => '<a>'.repeat(depth) + '</a>'.repeat(depth);
    expect(parseXmlTree(deep(LIMITS.xmlDepth)).name).toBe('a');
    expect(() => parseXmlTree(deep(LIMITS.xmlDepth + 1))).toThrow(code('bomb'));
    // What spoils nothing else is passed over.
    expect(again('<a>x\u0001y<z:b/></a>')).toContain('<z:b');
    expect(() => parseXmlTree('<a', 'part.xml')).toThrow(expect.objectContaining({ place: { part: 'part.xml' } }));
    expect(() => parseXmlTree(' ')).toThrow(code('bad-xml'));
  });
});
