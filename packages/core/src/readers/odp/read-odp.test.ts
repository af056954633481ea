/** ODF presentations as documents. */
import { expect, test } from '@jest/globals';
import { shortBlock } from '../../test/short-block.ts';
import { odt, type OdtParts } from '../../test/odt.ts';
import { lengthOf } from './page-size.ts';
import { readOdp } from './read-odp.ts';

const odp = (pages: string, parts: Partial<OdtParts> = {}): Uint8Array =>
  odt({ body: pages, ...parts }, 'presentation');
const box = (use: string, text: string, place = ''): string =>
  `<draw:frame${use === '' ? '' : ` presentation:class="${use}"`}${place}><draw:text-box>${text}</draw:text-box></draw:frame>`;
const p = (text: string, style = ''): string => `<text:p${style}>${text}</text:p>`;
const page = (inner: string, notes = '', style = ''): string =>
  `<draw:page${style}>${inner}<presentation:notes>${notes}</presentation:notes></draw:page>`;
const list = (...items: readonly string[]): string =>
  `<text:list>${items.map((item) => `<text:list-item>${item}</text:list-item>`).join('')}</text:list>`;
const lines = (bytes: Uint8Array): readonly string[] =>
  readOdp(bytes).document.blocks.map(
    (block) => `${block.left === undefined ? '' : `(${block.left}) `}${shortBlock(block)}`,
  );
const COVER = page(box('title', p('Tides')) + box('subtitle', p('Spring')));

test('titles are headings, lists keep their depth, notes are text, hidden pages and feet are left out', () => {
  const bytes = odp(
    `<presentation:footer-decl presentation:name="f">Trust only</presentation:footer-decl>${COVER}${page(
      box('title', p('Gates')) +
        box('outline', list(p('North') + list(p('seized')), p('South'))) +
        '<draw:custom-shape svg:x="1cm" svg:y="9cm" svg:width="3cm" svg:height="1cm"><text:p>A form</text:p></draw:custom-shape>' +
        box('page-number', p('2')),
      `<draw:page-thumbnail/>${box('notes', p('Say it.') + p('Twice.'))}${box('date-time', p('today'))}`,
    )}${page(box('title', p('Backup')), '', ' draw:style-name="dp"')}`,
    {
      automatic:
        '<style:style style:name="dp" style:family="drawing-page"><style:drawing-page-properties presentation:visibility="hidden"/></style:style>',
    },
  );
  expect(lines(bytes)).toEqual([
    ...['title Tides', 'subtitle Spring', 'h1 Gates', '- North', '  - seized', '- South', '- A form'],
    ...['p Say it.', 'p Twice.', '(hidden) h1 Backup'],
  ]);
  const { document } = readOdp(bytes);
  expect(document.diagnostics.map(({ params }) => params['text'])).toEqual(['Trust only', 'today']);
  expect(document.slidesAt).toBe(1);
  expect(document.blocks[2]!.place).toEqual({ part: 'content.xml', page: 2 });
});

test('loose boxes have a title by their type, and are read by their places', () => {
  const at = (x: number, y: number): string => ` svg:x="${x}cm" svg:y="${y}cm" svg:width="10cm" svg:height="2cm"`;
  const large = ' text:style-name="big"';
  expect(
    lines(
      odp(
        COVER +
          page(
            box('', p('Below'), at(2, 10)) + box('', p('Loose title', large), at(2, 1)) + box('', p('Above'), at(2, 5)),
          ),
        {
          automatic:
            '<style:style style:name="big" style:family="paragraph"><style:text-properties fo:font-size="32pt"/></style:style>',
        },
      ),
    ).slice(2),
  ).toEqual(['h1 Loose title', '- Above', '- Below']);
});

test('tables, pictures that are not there, and groups', () => {
  const cell = (text: string): string => `<table:table-cell>${p(text)}</table:table-cell>`;
  const bytes = odp(
    COVER +
      page(
        box('title', p('Things')) +
          `<draw:frame><table:table><table:table-row>${cell('Year')}${cell('Cost')}</table:table-row><table:table-row>${cell('1')}${cell('2')}</table:table-row></table:table><draw:image xlink:href="Pictures/preview.png"/></draw:frame>` +
          `<draw:frame><draw:image xlink:href="Pictures/none.png"/><svg:desc>The mill</svg:desc></draw:frame>` +
          `<draw:g>${box('', p('within'))}</draw:g>`,
      ),
  );
  expect(lines(bytes).slice(3)).toEqual(['table Year | Cost\n1 | 2', 'picture The mill', '- within']);
  expect(readOdp(bytes).document.diagnostics.map(({ code }) => code)).toEqual(['picture-not-in-file']);
});

test('comments stay at their slides, without who made them', () => {
  const comment =
    '<office:annotation><dc:creator>A. N.</dc:creator><text:p>Ask them.</text:p><text:p>Twice.</text:p></office:annotation>';
  const { document } = readOdp(odp(COVER + page(box('title', p('Gates')) + comment)));
  expect(document.blocks.map(({ remark }) => remark)).toEqual([undefined, undefined, 'Ask them.\nTwice.']);
  expect(document.diagnostics).toEqual([]);
});

test('no pages are no document', () => {
  expect(() => readOdp(odp(''))).toThrow(expect.objectContaining({ code: 'no-slides' }));
});

test('a group is read as one, by the place of what is in it, and its parts by theirs', () => {
  const at = (x: number, y: number): string => ` svg:x="${x}cm" svg:y="${y}cm" svg:width="10cm" svg:height="2cm"`;
  const grouped = `<draw:g>${box('', p('fourth'), at(2, 12))}${box('', p('third'), at(2, 9))}</draw:g><draw:g></draw:g>`;
  const bytes = odp(
    COVER + page(box('title', p('Order')) + grouped + box('', p('second'), at(2, 6)) + box('', p('last'), at(2, 14.5))),
  );
  expect(lines(bytes).slice(2)).toEqual(['h1 Order', '- second', '- third', '- fourth', '- last']);
});

test('only a first page with a subtitle opens the deck', () => {
  expect(lines(odp(page(box('title', p('Tides')) + box('outline', list(p('one'))))))).toEqual(['h1 Tides', '- one']);
  const later = odp(COVER + page(box('title', p('Again')) + box('subtitle', p('Below'))));
  expect(lines(later).slice(2)).toEqual(['h1 Again', '- Below']);
});

test('what is written in a box keeps its language and its direction', () => {
  const automatic =
    '<style:style style:name="ar" style:family="paragraph"><style:paragraph-properties style:writing-mode="rl-tb"/><style:text-properties style:language-complex="ar" style:country-complex="EG"/></style:style>';
  const bytes = odp(
    COVER +
      page(
        box('title', p('The mill turns with every tide')) +
          box('', p('الطاحونة', ' text:style-name="ar"') + p('Plain')),
      ),
    { automatic },
  );
  const [, , , first, second] = readOdp(bytes).document.blocks;
  expect(first).toMatchObject({ kind: 'listItem', direction: 'rtl', lang: 'ar-EG' });
  expect([second?.kind, second?.direction, second?.lang]).toEqual(['listItem', undefined, undefined]);
});

test.each([
  ['1in', 72],
  ['2.54cm', 72],
  ['25.4mm', 72],
  ['6pc', 72],
  ['72pt', 72],
  ['96px', 72],
  ['-1in', -72],
])('a length of %s is %d points', (said, points) => expect(lengthOf(said)).toBeCloseTo(points, 6));
test.each([undefined, '', '12', '1em', 'wide', '1.2.3cm'])('%j is no length', (said) =>
  expect(lengthOf(said)).toBeUndefined(),
);
