/** A document with every kind of block and every trait of one that a writer has to say. */
import type { LanguageTag } from '../base/index.ts';
import type { Runs } from '../content/index.ts';
import type { DocumentModel } from '../document/index.ts';
import { code, doc, h, li, note, p, picture, quote, rule, table, type Draft } from './build.ts';
import { MILL } from './whole-document.ts';

const having = (draft: Draft, more: object): Draft => ({ ...draft, ...more }) as Draft;
const LOOKS: Runs = [
  { text: 'plain, ' },
  { text: 'bold, ', bold: true },
  { text: 'italic ', italic: true },
  { text: 'both', bold: true, italic: true },
  { text: ' struck', strike: true },
  { text: ' 2', position: 'super' },
  { text: 'n', position: 'sub' },
  { text: ' code()', code: true },
  { text: ' * _ ` [x] <b> & \\ # | ~' },
];
const cell = (text: string, columns = 1, rows = 1) => ({ runs: [{ text }], columns, rows });

export const WRITTEN: DocumentModel = {
  ...doc(
    p('The mill', 'title'),
    p('Of the Trust', 'subtitle'),
    having(p('Gates ... 2', 'contents'), { left: 'contents' }),
    h(1, 'Gates'),
    p(LOOKS),
    p([
      { text: 'Look at ' },
      { text: 'the wheel', link: '#wheel' },
      { text: ' and ' },
      { text: 'the log', link: 'https://a.example/?x=1&y=(2)' },
    ]),
    having(p('Said\nin two lines\n\nand after an empty one.'), { remark: 'Is this so?' }),
    having(h(2, 'Of oak'), { label: '1.1', names: ['oak'] }),
    li('North'),
    li('seized', 2),
    li('for years', 3),
    li('South'),
    p('Between the lists.'),
    li('First', 1, 1),
    li('Second', 1, 2),
    li('Tenth', 1, 10),
    li('At its side', 2, 1),
    having(li('By letter', 1, 3), { label: '(c)' }),
    having(li('Done'), { checked: true }),
    having(li('Open'), { checked: false }),
    li('Within', 1),
    p('Text of the item.'),
    li('Below it', 2),
    quote('You could hear the stones.'),
    quote('Twice.'),
    having(code('let a = 1;\n\n\tlet `b`;'), { language: 'js' }),
    code('other();\nmore();'),
    h(2, ''),
    having(p('بوابة المد (2024)'), { lang: 'ar' as LanguageTag, direction: 'rtl' }),
    having(p('Die Mühle steht.'), { lang: 'de' as LanguageTag }),
    having(li('الباب'), { lang: 'ar' as LanguageTag }),
    having(h(3, 'Wheel'), { names: ['wheel', 'the-wheel'] }),
    table([
      ['Work', 'Cost | sum'],
      ['Gates', '31,000'],
      ['', '7'],
    ]),
    {
      kind: 'table',
      table: {
        columns: 3,
        rows: [
          { header: true, cells: [cell('Wide', 2), cell('Right')] },
          { header: false, cells: [cell('Tall', 1, 2), cell('a'), cell('b')] },
          { header: false, cells: [cell('c'), cell('d')] },
        ],
      },
    } as Draft,
    table(
      [
        ['Without', 'head'],
        ['1', '2'],
      ],
      false,
    ),
    picture(MILL.id, 'The [mill] & "quay"'),
    p('The mill from the quay', 'caption' as never),
    picture(undefined, 'A map that is gone'),
    picture(MILL.id, ''),
    rule(),
    { kind: 'break', type: 'page' },
    p([
      { text: 'It says so.' },
      { text: '1', position: 'super' },
      { text: ' And so.' },
      { text: '*', position: 'super' },
    ]),
    note([{ text: 'Level ' }, { text: 'book', italic: true }, { text: ', p. 3' }]),
    having(note('A note by a star.'), { label: '*' }),
    having(p('Taken out'), { left: 'deleted' }),
    h(6, 'Deep'),
    note([
      { text: 'Nothing refers to it; see ' },
      { text: 'the book', link: 'https://a.example/book' },
      { text: ' and ' },
      { text: 'the gates', link: '#oak' },
    ]),
  ),
  title: 'The mill',
  language: 'en-GB' as LanguageTag,
};
