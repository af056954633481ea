/** Documents in which everything plays together, for golden files. */
import type { DocumentModel } from '../document/index.ts';
import { code, doc, h, li, note, p, picture, quote, rule, table, type Draft } from './build.ts';

const caption = (text: string): Draft => ({ ...p(text), role: 'caption' }) as Draft;
const bold = (text: string): Draft => p([{ text, bold: true }]);
const left = (draft: Draft, as: 'deleted' | 'furniture'): Draft => ({ ...draft, left: as }) as Draft;

/** Holds every kind of block, in the places where what becomes of it differs. */
export const COURSE = doc(
  left(p('Trust papers, page 1'), 'furniture'),
  p('For the meeting in May'),
  h(1, 'Working the Sallow Quay tide mill'),
  p('A course for volunteers', 'subtitle'),
  p('The trustees, spring'),
  p('Contents 1 The pond 2 The wheel', 'contents'),
  p('The mill grinds twice a day, whenever the tide has left the pond full. Nobody chooses the hour. The moon does.'),
  h(2, 'The pond'),
  h(3, 'How it fills'),
  p(
    'The gates hang so that the flood opens them and the ebb shuts them. Nobody needs to stand there. On spring tides the pond holds eleven acres of water, however, and the bank must be walked before each of them.',
  ),
  li('Walk the bank'),
  li('Look for moles', 2),
  li('Look for roots', 2),
  li(
    'Count the boards, and write down in the book how many of them there are, since the next watch will want to know it before the flood comes in',
  ),
  h(4, 'In frost'),
  li('Break the ice at the gate', 1, 1),
  li('Never stand on it', 1, 2),
  p('Ice at the gate weighs a ton.'),
  h(5, 'When it thaws'),
  li('Wait'),
  li('One tide at least', 2),
  li('Two after a week of frost', 3),
  picture('a', 'The pond at low water'),
  caption('The pond at low water, seen from the quay'),
  h(3, 'How it empties'),
  table([
    ['Tide', 'Hours of grinding'],
    ['Spring', '5'],
    ['Neap', '3'],
  ]),
  p('The hours are those of the book.'),
  quote('The water waits for nobody.'),
  p('— The last miller'),
  note('The book has been kept since the mill was mended.'),
  rule(),
  h(2, 'The wheel'),
  h(3, 'Overview'),
  p('What turns must be heard before it is seen.'),
  code('open gate\nlisten\nclose gate'),
  p('Three words to learn by heart.'),
  h(3, ''),
  h(3, 'Care'),
  bold('Every day'),
  p('Grease the gudgeons, look at the wedges, and sweep the race. It takes a quarter of an hour.'),
  picture(undefined, 'A lost drawing'),
  picture('b'),
  left(p('An old paragraph that was deleted.'), 'deleted'),
  h(2, 'The stones'),
  h(3, 'Overview'),
  h(3, 'Dressing'),
  p(
    'Furrows are cut by hand, each a little deeper at the eye, and the lands between them are left as flat as a table.',
  ),
  h(2, 'Thank you'),
);

/** Running text without headings. */
export const LETTER = doc(
  p('Sehr geehrte Damen und Herren'),
  p(
    'die Mühle am Kai wird im Frühjahr wieder mahlen. Das Wehr ist erneuert, das Rad ist ausgewuchtet, und die Steine sind geschärft. Wir laden Sie ein, an einem der ersten Mahltage dabei zu sein und mit uns zu sehen, wie das Mehl in die Säcke läuft.',
  ),
  bold('Was noch fehlt'),
  p(
    'Für den Betrieb fehlen uns noch acht Freiwillige. Sie sollten einmal in der Woche einen halben Tag Zeit haben, gut hören und schwindelfrei sein. Alles andere lernt man hier in einem Kurs von vier Abenden, den die Mühlenwarte halten.',
  ),
  li('Ein Kurs von vier Abenden'),
  li('Danach ein Mahltag mit einem Wart'),
  p(
    'Die Kosten trägt der Verein. Wer möchte, kann spenden: Das Geld kommt in die Kasse für das Dach, das in zwei Jahren erneuert werden muss, weil die Schindeln an der Wetterseite brüchig sind und der Dachstuhl an zwei Stellen nass geworden ist.',
  ),
  p('Mit freundlichen Grüßen'),
);

/** Branches that want titles at different levels. */
export const UNEVEN = doc(
  h(1, 'Report'),
  h(2, 'Much below'),
  ...[1, 2, 3].flatMap((n) => [
    h(3, `Part ${n}`),
    ...Array.from({ length: 7 }, (_, i) =>
      li(`A point of the middling length that people write, number ${i} of part ${n}`),
    ),
  ]),
  h(2, 'Little below'),
  h(3, 'This'),
  li('One'),
  h(3, 'That'),
  li('Two'),
  h(2, 'Code below'),
  code(Array.from({ length: 40 }, (_, i) => `line ${i}`).join('\n')),
  h(2, 'Pictures below'),
  picture('a', 'One'),
  picture('b', 'Two'),
  table([['1'], ['2']]),
  h(2, 'Speech below'),
  p('So much is said of this that it could be two slides. '.repeat(60)),
  h(3, 'And more'),
  p('A little more.'),
);

export const DOCUMENTS: Readonly<Record<string, DocumentModel>> = { course: COURSE, letter: LETTER, uneven: UNEVEN };
