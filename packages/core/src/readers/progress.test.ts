/** Whoever waits for a long document sees how far it is: always on, never past its end. */
import { expect, test } from '@jest/globals';
import { convert, readDocument, writeDeck, type DocumentType } from '../index.ts';
import { doc, h, li, p } from '../test/build.ts';
import { writeDocx } from '../writers/docx/index.ts';
import { writeOdt } from '../writers/odt/index.ts';

const SECTIONS = 4000;
const source = Array.from(
  { length: 1500 },
  (_, i) => `# Tide ${i}\n\nThe wheel turns ${i} times *a day*, and rests.\n\n- oak\n- elm\n`,
).join('\n');
const long = doc(
  ...Array.from({ length: SECTIONS }, (_, i) => [
    h(1, `Tide ${i}`),
    p(`The wheel turns ${i} times a day, and rests at night; nobody waits for it but the miller.`),
    li('oak'),
  ]).flat(),
);
const deck = convert(doc(...long.blocks.slice(0, 60)), []);
const RTF = `{\\rtf1\\ansi ${Array.from({ length: 12_000 }, (_, i) => `The wheel turns ${i} times a day, and rests.\\par\n`).join('')}}`;
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

test.each<[DocumentType, Uint8Array]>([
  ['markdown', bytes(source)],
  ['docx', writeDocx(long, () => undefined)],
  ['odt', writeOdt(long, () => undefined)],
  ['rtf', bytes(RTF)],
  ['pptx', writeDeck('pptx', deck, [])],
])('%s', async (type, file) => {
  const told: number[] = [];
  await readDocument(file, type, { progress: (done) => told.push(done) });
  expect(told.length).toBeGreaterThan(1);
  expect(told).toEqual(told.toSorted((a, b) => a - b));
  expect(Math.min(...told)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...told)).toBeLessThanOrEqual(1);
  expect(told.at(-1)).toBeGreaterThan(0.5);
});
