/** Documents that look like something, and documents with faults, for the golden files of structure. */
import type { DocumentModel, Look } from '../document/index.ts';
import { code, doc, h, li, note, p, picture, quote, table, type Draft } from './build.ts';
import { DOCUMENTS } from './documents.ts';

export const looking = (text: string, look: Look): Draft => ({ ...p(text), look }) as Draft;
export const body = (text: string): Draft => looking(text, { size: 11 });
export const FILL =
  'The gate is opened by the flood and shut by the ebb, and nobody needs to stand beside it while it does so.';

/** Lines that look like headings by one trait or several, and lines that nearly do. */
const LOOKING = doc(
  looking('Report on the mill', { size: 20, align: 'center' }),
  body(FILL),
  looking('The gates', { size: 15 }),
  body(FILL),
  looking('Of oak', { size: 12.4 }),
  body(FILL),
  looking('Of iron', { size: 12.2 }),
  body(FILL),
  looking('A bold line', { size: 11, bold: true }),
  body(FILL),
  looking('A bold line that ends.', { size: 11, bold: true }),
  body(FILL),
  looking('A bold line that names:', { size: 11, bold: true }),
  body(FILL),
  looking('CAPITALS', { size: 11 }),
  body(FILL),
  looking('Spaced and bold', { size: 11, bold: true, spaceBefore: 18 }),
  body(FILL),
  looking('Chapter 3 The wheel', { size: 11 }),
  body(FILL),
  looking('3.1 The shaft', { size: 11 }),
  body(FILL),
  looking('3.1.2 Of elm', { size: 11 }),
  body(FILL),
  looking('4. First of a row', { size: 11 }),
  looking('5. Second of a row', { size: 11 }),
  looking('6. Third of a row', { size: 11 }),
  body(FILL),
  looking('A line that is larger but goes on and on with more words than any heading has any use for', { size: 15 }),
  body(FILL),
  looking('Small print', { size: 9, bold: true }),
  body(FILL),
  looking('The end', { size: 15 }),
);
/** The same without sizes, as plain text has it. */
export const PLAIN = doc(
  p('REPORT'),
  p(FILL),
  p('1. The gates'),
  p(FILL),
  p('1.1 Of oak'),
  p(FILL),
  p('1.2 Of iron'),
  p(FILL),
  p('2. The wheel'),
  p(FILL),
  p('Appendix A'),
  p(FILL),
);
/** Links within, in text and in a table, to places that another part may name too. */
export const LINKED = doc(
  { ...h(1, 'The pond'), names: ['pond'] } as Draft,
  p([
    { text: 'see ' },
    { text: 'the pond', link: '#pond' },
    { text: ' and ' },
    { text: 'a page', link: 'https://example.org/' },
  ]),
  {
    ...table([['x', 'y']]),
    table: {
      columns: 1,
      rows: [{ header: false, cells: [{ runs: [{ text: 'pond', link: '#pond' }], columns: 1, rows: 1 }] }],
    },
  } as Draft,
  { ...li('Third', 1, 3), label: 'iii)' } as Draft,
);
/** Whatever findings tell of. */
export const FAULTY = doc(
  p('Before the first heading something is said.'),
  h(3, 'Begins too deep'),
  p(FILL),
  h(1, 'Sallow Quay'),
  h(3, 'Skips a level'),
  li('- typed with a dash'),
  h(2, ''),
  h(2, 'A title that is far too long to stand on a slide, and goes on until nobody reads it any more'),
  p(FILL),
  h(2, 'Again'),
  p(FILL),
  h(2, 'Again'),
  p(FILL),
  h(2, 'Bare'),
  h(2, 'Has one child'),
  h(3, 'The only child'),
  p(FILL),
  h(2, 'Deep'),
  li('One'),
  li('Two', 2),
  li('Three', 3),
  li('Four', 4),
  li('Five', 5),
  li('Six', 6),
  h(2, 'Typed lists'),
  p('- one'),
  p('- two'),
  p('- three'),
  p('1) first'),
  p('2) second'),
  p('a) letter'),
  p('b) letter'),
  p('* alone'),
  h(2, 'Long'),
  p(`${FILL} `.repeat(12)),
  picture('a'),
  picture('b', 'described'),
  h(2, 'Contents'),
  li('Sallow Quay 1'),
  li('Again 2'),
  li('Bare 3'),
  h(2, 'Running heads'),
  p('The Sallow Quay papers'),
  p(FILL),
  p('The Sallow Quay papers'),
  p(FILL),
  p('The Sallow Quay papers'),
  p(FILL),
  p('The Sallow Quay papers'),
  h(2, 'Speaker notes'),
  p('Not for all.'),
  h(2, 'Internal'),
  li('Nor this.'),
  h(2, 'Tables'),
  table([
    ['a', 'b'],
    ['c', 'd'],
  ]),
  code('x'),
  quote('q'),
  note('n'),
);
const paragraphs = (count: number): Draft =>
  p(Array.from({ length: count }, (_, i) => `Sentence ${i} of it says a thing.`).join(' '));
/** At the edge of what findings tell of. */
const EDGES = doc(
  p('A title', 'title'),
  p('Names and a date'),
  p('Below the title'),
  h(2, 'First: with a rest behind a colon that makes it long enough to be divided in two'),
  paragraphs(17),
  paragraphs(21),
  paragraphs(40),
  paragraphs(70),
  h(2, 'Is this a question? It is, and then there is more of it that could well be text below it'),
  h(6, 'Deep'),
  p('Deep text.'),
  h(3, 'Less deep'),
  h(4, 'Below'),
  p('Text.'),
  h(1, 'Last'),
);
const UNTITLED = doc(p('Fifty words stand before it. '.repeat(10)), h(2, 'First'), p('Text.'), h(2, 'Second'));
/** By name, with those in which everything plays together. */
export const ALL: Readonly<Record<string, DocumentModel>> = {
  ...DOCUMENTS,
  looking: LOOKING,
  plain: PLAIN,
  faulty: FAULTY,
  edges: EDGES,
  untitled: UNTITLED,
};
