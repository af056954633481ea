import { describe, expect, test } from '@jest/globals';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { LIMITS } from '../base/index.ts';
import { random } from '../test/build.ts';
import { readXmlPart, readXmlText } from './xml-reader.ts';
import { dropForbidden, xmlText } from './xml-text.ts';
import { ZipReader } from './zip-reader.ts';
import { ZipWriter } from './zip-writer.ts';

const code = (name: string) => expect.objectContaining({ code: name }) as never;

describe('ZIP archives', () => {
  test('that we write are read by others and by us, to the byte', () => {
    const next = random(5);
    const noise = Uint8Array.from({ length: 50_000 }, () => Math.floor(next() * 256));
    const make = (): Uint8Array => {
      const writer = new ZipWriter();
      writer.add({ name: 'a/ü.xml', content: 'täxt '.repeat(4000) });
      writer.add({ name: 'noise.bin', content: noise, stored: true });
      writer.add({ name: 'empty', content: '' });
      return writer.finish([{ name: 'first', content: 'stands first' }]);
    };
    const zip = make();
    expect(Buffer.compare(zip, make())).toBe(0);
    const theirs = unzipSync(zip);
    expect(Object.keys(theirs)).toEqual(['first', 'a/ü.xml', 'noise.bin', 'empty']);
    const ours = new ZipReader(zip);
    expect(ours.names).toEqual(Object.keys(theirs));
    for (const name of ours.names) expect(Buffer.compare(ours.read(name), theirs[name]!)).toBe(0);
    // What is packed already is not packed again.
    expect(ours.packedSize('noise.bin')).toBe(noise.length);
    expect(ours.packedSize('a/ü.xml')).toBeLessThan(1000);
  });

  test('are refused where they are none, break off, or are protected', () => {
    const zip = zipSync({ a: strToU8('words '.repeat(1000)) });
    expect(() => new ZipReader(strToU8('no archive'))).toThrow(code('not-a-zip'));
    expect(() => new ZipReader(zip.subarray(0, zip.length - 30))).toThrow(code('truncated'));
    expect(() => new ZipReader(zip).read('b')).toThrow(code('part-missing'));
    const locked = zip.slice();
    const view = new DataView(locked.buffer);
    for (let at = 0; at < locked.length - 10; at++) if (view.getUint32(at, true) === 0x02014b50) locked[at + 8]! |= 1;
    expect(() => new ZipReader(locked).read('a')).toThrow(code('encrypted'));
  });

  test('that unpack to more than can be right are stopped while they unpack', () => {
    const bomb = zipSync({ 'a.xml': new Uint8Array(40 * 1024 * 1024) });
    expect(bomb.length).toBeLessThan(100_000);
    let taken = 0;
    expect(() => new ZipReader(bomb).stream('a.xml', (piece) => (taken += piece.length))).toThrow(code('bomb'));
    expect(taken).toBeLessThan(20 * 1024 * 1024);
  });

  test('whose entries stand elsewhere than they say, or are of a kind that nobody unpacks, are refused', () => {
    const bytes = zipSync({ 'A.xml': strToU8('words '.repeat(100)), b: strToU8('') });
    const changed = (change: (view: DataView, central: number) => void): Uint8Array => {
      const copy = bytes.slice();
      const view = new DataView(copy.buffer);
      let at = 0;
      while (view.getUint32(at, true) !== 0x02014b50) at++;
      change(view, at);
      return copy;
    };
    const read = (copy: Uint8Array) => () => new ZipReader(copy).read('a.XML');
    expect(new TextDecoder().decode(read(bytes)())).toBe('words '.repeat(100));
    expect(new ZipReader(bytes).read('b')).toHaveLength(0);
    expect(read(changed((view, at) => view.setUint32(at + 42, 0xffff, true)))).toThrow(code('truncated'));
    expect(read(changed((view, at) => view.setUint32(at + 42, 5, true)))).toThrow(code('truncated'));
    expect(read(changed((view, at) => view.setUint32(at + 20, bytes.length, true)))).toThrow(code('truncated'));
    expect(read(changed((view, at) => view.setUint16(at + 10, 12, true)))).toThrow(code('wrong-type'));
    expect(read(changed((view) => view.setUint8(40, 0xff)))).toThrow(code('damaged'));
    expect(() => new ZipReader(bytes.subarray(0, 3))).toThrow(code('not-a-zip'));
    // It begins as one does, and then ends.
    expect(() => new ZipReader(bytes.subarray(0, 4))).toThrow(code('truncated'));
  });

  test('whose entries carry more than their names are read; ours carry the same time everywhere', () => {
    const more = { extra: { 0x7075: new Uint8Array(9) }, comment: 'of the first' };
    const reader = new ZipReader(zipSync({ 'a.xml': [strToU8('one'), more], 'b.xml': strToU8('two') }));
    expect(reader.names).toEqual(['a.xml', 'b.xml']);
    expect(reader.names.map((name) => new TextDecoder().decode(reader.read(name)))).toEqual(['one', 'two']);
    const bytes = new ZipWriter().finish([{ name: 'a', content: 'x' }]);
    // 1 January 2020, midnight, as MS-DOS counts: years from 1980 in seven bits, months in four, days in five.
    expect(new DataView(bytes.buffer, bytes.byteOffset).getUint32(10, true)).toBe(
      ((40 << 25) | (1 << 21) | (1 << 16)) >>> 0,
    );
  });
});

describe('XML', () => {
  const events = (xml: string): readonly string[] => {
    const told: string[] = [];
    readXmlText(xml, {
      open: (name, a) =>
        told.push(
          `<${name}${Object.entries(a)
            .map(([key, value]) => ` ${key}=${value}`)
            .join('')}`,
        ),
      close: (name) => told.push(`/${name}`),
      text: (text) => told.push(text),
    });
    return told;
  };

  test('names come with our prefixes, whatever the file uses', () => {
    const main = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
    const strict = 'http://purl.oclc.org/ooxml/wordprocessingml/main';
    const expected = [`<w:p w:val=1`, 'a', '/w:p'];
    const without = (told: readonly string[]) => told.map((one) => one.replace(/ xmlns\S*/g, ''));
    expect(without(events(`<w:p xmlns:w="${main}" w:val="1">a</w:p>`))).toEqual(expected);
    expect(without(events(`<x:p xmlns:x="${strict}" x:val="1">a</x:p>`))).toEqual(expected);
    expect(without(events(`<p xmlns="${main}" xmlns:y="${main}" y:val="1">a</p>`))[0]).toContain(':p');
  });

  test('is never expanded, and refused with a declared type or broken', () => {
    expect(() => events('<!DOCTYPE x [<!ENTITY a "aaaa">]><x>&a;</x>')).toThrow(code('doctype'));
    // A document type that brings nothing in is none of a package's, and does no harm elsewhere.
    const typed = '<!DOCTYPE x><x>a</x>';
    expect(events(typed)).toEqual(['<x', 'a', '/x']);
    const inPackage = new ZipReader(zipSync({ 'a.xml': strToU8(typed) }));
    expect(() => readXmlPart(inPackage, 'a.xml', { open: () => undefined })).toThrow(code('doctype'));
    expect(() => events('<x><y></x>')).toThrow(code('bad-xml'));
    expect(() => events('<x>')).toThrow(code('bad-xml'));
    expect(events('<x>&lt;&amp;&#65;</x>').join('')).toContain('<&A');
  });

  test('nested or furnished beyond all measure is refused', () => {
    const deep = LIMITS.xmlDepth + 1;
    expect(() => events('<a>'.repeat(deep) + '</a>'.repeat(deep))).toThrow(code('too-deep'));
    const many = Array.from({ length: LIMITS.xmlAttributes + 1 }, (_, i) => `a${i}="x"`).join(' ');
    expect(() => events(`<x ${many}/>`)).toThrow(code('bomb'));
  });

  test('is read in the encoding that its part has', () => {
    const utf16 = Uint8Array.from([0xff, 0xfe, ...Buffer.from('<x>mühle</x>', 'utf16le')]);
    let text = '';
    readXmlPart(new ZipReader(zipSync({ 'a.xml': utf16 })), 'a.xml', {
      open: () => undefined,
      text: (piece) => (text += piece),
    });
    expect(text).toBe('mühle');
  });

  test('text is escaped for writing, and what XML forbids is dropped', () => {
    const wild = 'a < b & "c" \u0000\u0008\ufffe\ud800 😁 \t\n';
    expect(dropForbidden(wild)).toBe('a < b & "c"  😁 \t\n');
    const [, read] = events(`<x>${xmlText(wild)}</x>`);
    expect(read).toContain('a < b & "c"');
    expect(xmlText('<>&')).not.toMatch(/[<>]/);
  });
});
