import { expect, test } from '@jest/globals';
import { beginning, convert, fontsUsed, openDocument, writeDeck, type FaceUse } from '@alvex/core';
import { create } from 'fontkit';
import { strToU8, unzipSync, strFromU8 } from 'fflate';
import { checkPackage } from '../../package-check/src/index.ts';
import { embeddableFonts, fontFiles } from './index.ts';

const SOURCE = '# The mill\n\n## Gates\n\n- Oak and *iron* at 30 Ω\n- Elm\n- `let gate`\n';
const { document } = await openDocument(strToU8(SOURCE), 'markdown', {});
const deck = convert(document, [...beginning(document), { kind: 'theme', theme: 'almanac' }]);
const uses = fontsUsed(deck.pages, deck.theme);
const faces = await embeddableFonts(uses);

test('a deck needs the families of its theme, the italic ones where it has any, with its own letters', () => {
  expect([...new Set(uses.map(({ family }) => family))]).toEqual([
    ...new Set([deck.theme.fonts.heading, deck.theme.fonts.body, deck.theme.fonts.mono]),
  ]);
  expect(uses.filter(({ family }) => family === deck.theme.fonts.body).map(({ style }) => style)).toEqual([
    'regular',
    'bold',
    'italic',
    'boldItalic',
  ]);
  expect(uses[0]!.characters).toContain('Ω');
  const plain = convert(document, [{ kind: 'map', name: 'talk', map: deck.map }]);
  expect(fontsUsed(plain.pages.slice(0, 1), plain.theme).map(({ style }) => style)).not.toContain('italic');
  // What a receiver has, or what is the template's, is not ours to bring.
  expect(fontsUsed(plain.pages, { fonts: { heading: 'Georgia', body: 'Arial', mono: 'Courier New' } })).toEqual([]);
});

test('a face keeps its measures, and has the letters that are used and those to write on with', () => {
  for (const [i, { family, style, bytes }] of faces.entries()) {
    const font = create(Buffer.from(bytes));
    expect([family, style]).toEqual([uses[i]!.family, uses[i]!.style]);
    expect(font.familyName).toContain(family);
    for (const letter of 'Oakß€łŽ’') expect(font.hasGlyphForCodePoint(letter.codePointAt(0)!)).toBe(true);
    expect(bytes.length).toBeLessThan(150_000);
  }
});

test('the file holds each face as Embedded OpenType, told by the presentation, and is sound', async () => {
  const bytes = writeDeck('pptx', deck, [], { fonts: faces });
  expect(await checkPackage(bytes)).toEqual([]);
  const parts = unzipSync(bytes);
  const presentation = strFromU8(parts['ppt/presentation.xml']!);
  expect(presentation.match(/<p:(regular|bold|italic|boldItalic) r:id/g)).toHaveLength(faces.length);
  faces.forEach((face, i) => {
    const eot = parts[`ppt/fonts/font${i + 1}.fntdata`]!;
    const view = new DataView(eot.buffer, eot.byteOffset, eot.byteLength);
    expect([view.getUint32(0, true), view.getUint32(4, true)]).toEqual([eot.length, face.bytes.length]);
    expect([view.getUint32(8, true), view.getUint16(34, true)]).toEqual([0x20001, 0x504c]);
    // Nothing forbids that it is embedded.
    expect(view.getUint16(32, true)).toBe(0);
    const name = eot.subarray(84, 84 + view.getUint16(82, true));
    expect(new TextDecoder('utf-16le').decode(name)).toBe(face.family);
    expect(Buffer.compare(eot.subarray(eot.length - face.bytes.length), face.bytes)).toBe(0);
  });
});

test('an ODP holds each face as it is, named where its family is declared, and is sound', async () => {
  const bytes = writeDeck('odp', deck, [], { fonts: faces });
  expect(await checkPackage(bytes)).toEqual([]);
  const parts = unzipSync(bytes);
  expect(faces.map((_, i) => parts[`Fonts/font${i + 1}.ttf`])).toEqual(faces.map((face) => face.bytes));
  for (const part of ['content.xml', 'styles.xml']) {
    const declared = strFromU8(parts[part]!).match(/<style:font-face [^>]*>(?:(?!<\/style:font-face>).)*/g)!;
    const of = (family: string): number =>
      declared.find((one) => one.includes(`style:name="${family}"`))!.match(/<svg:font-face-uri /g)!.length;
    for (const family of new Set(faces.map((face) => face.family)))
      expect(of(family)).toBe(faces.filter((face) => face.family === family).length);
  }
  const without = unzipSync(writeDeck('odp', deck, []));
  expect(Object.keys(without).filter((name) => name.startsWith('Fonts/'))).toEqual([]);
  expect(strFromU8(without['content.xml']!)).not.toContain('font-face-src');
});

test('scripts that the families lack go along in faces of their own, as the theme names them', async () => {
  const text = 'بوابة المد\n\nשער הגאות\n\nज्वार का द्वार\n\nประตูน้ำ\n\n潮門';
  const other = await openDocument(strToU8(`# The mill\n\n## Gates\n\n${text}\n`), 'markdown', {});
  const made = convert(other.document, beginning(other.document));
  const more = await embeddableFonts([{ family: made.theme.fonts.body, style: 'regular', characters: text }]);
  expect(more.slice(1).map(({ family, style }) => `${family} ${style}`)).toEqual(
    ['Arabic', 'Hebrew', 'Devanagari', 'Thai'].flatMap((script) => [
      `Noto Sans ${script} regular`,
      `Noto Sans ${script} bold`,
    ]),
  );
  for (const { family, bytes: face } of more.slice(1)) {
    const font = create(Buffer.from(face));
    expect(font.familyName).toContain(family);
    const own = [...text].filter((sign) => font.hasGlyphForCodePoint(sign.codePointAt(0)!));
    expect(own.join('')).toMatch(/[\p{L}\p{M}]{3}/u);
  }
  const bytes = writeDeck('pptx', made, [], { fonts: more });
  expect(await checkPackage(bytes)).toEqual([]);
  const parts = unzipSync(bytes);
  const theme = strFromU8(parts['ppt/theme/theme1.xml']!);
  for (const { family } of more.slice(1)) expect(theme).toContain(`typeface="${family}"`);
  expect(strFromU8(parts['ppt/presentation.xml']!).match(/<p:font typeface="Noto Sans/g)).toHaveLength(4);
  const odp = writeDeck('odp', made, [], { fonts: more });
  expect(await checkPackage(odp)).toEqual([]);
  for (const { family } of more.slice(1))
    expect(strFromU8(unzipSync(odp)['styles.xml']!)).toContain(`style:name="${family}"`);
});

test('the same deck gives the same bytes, and without being asked no font goes along', async () => {
  const again = await embeddableFonts(uses);
  expect(again.map(({ bytes }, i) => Buffer.compare(bytes, faces[i]!.bytes))).toEqual(faces.map(() => 0));
  expect(Object.keys(unzipSync(writeDeck('pptx', deck, []))).filter((name) => name.includes('font'))).toEqual([]);
});

test('a family that does not ship is refused', async () => {
  const other: FaceUse = { family: 'No Such Family', style: 'regular', characters: 'a' };
  await expect(embeddableFonts([other])).rejects.toThrow();
  await expect(fontFiles('No Such Family')).rejects.toThrow();
  expect((await fontFiles('Lora')).map(({ name }) => name)).toContain('LICENCE.txt');
});
