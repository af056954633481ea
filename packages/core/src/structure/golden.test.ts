/** What structure finds in documents, what its repairs make of them, and how editions are matched: the golden files say it. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { runsText } from '../content/index.ts';
import type { Block, DocumentModel, Level, Look } from '../document/index.ts';
import { code, doc, h, li, note, p, picture, quote, random, table, type Draft } from '../test/build.ts';
import { COURSE, DOCUMENTS, LETTER } from '../test/documents.ts';
import { GOLDEN, holdTo } from '../test/golden.ts';
import { shortBlock } from '../test/short-block.ts';
import {
  branchOf,
  findings,
  headingEvidence,
  impliedHeadings,
  isStructureChange,
  joinDocuments,
  leaveContents,
  linesLike,
  lookAlikes,
  madeHeadings,
  matchEditions,
  privateHeadings,
  proposedHeadings,
  raiseSkipped,
  restructure,
  type FindingDetail,
  type StructureChange,
} from './index.ts';

const under = (title: string, lines: readonly string[]): readonly string[] => [`== ${title}`, ...lines, ''];
const file = (name: string): string => join(GOLDEN, 'structure', `${name}.txt`);
const shown = (block: Block): string =>
  `${block.left === undefined ? '' : `(${block.left}) `}${shortBlock(block).slice(0, 70)}`;
/** With all that a reader saw of it. */
const shownWhole = ({ id: _, ...block }: Block): string =>
  `${shown({ id: _, ...block } as Block)} ${JSON.stringify({ ...block, runs: undefined, table: undefined, text: undefined, kind: undefined, level: undefined })}`;
const about = (detail: FindingDetail): string => (detail === null ? '' : ` ${Object.values(detail).join(' ')}`);
const titleFits = (runs: Parameters<typeof runsText>[0]): boolean => runsText(runs).length < 70;

const looking = (text: string, look: Look): Draft => ({ ...p(text), look }) as Draft;
const body = (text: string): Draft => looking(text, { size: 11 });
const FILL =
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
const PLAIN = doc(
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
const LINKED = doc(
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
const linksIn = (block: Block): string =>
  JSON.stringify(
    'runs' in block
      ? block.runs.flatMap(({ link }) => link ?? [])
      : block.kind === 'table'
        ? block.table.rows.flatMap(({ cells }) => cells.flatMap(({ runs }) => runs.flatMap(({ link }) => link ?? [])))
        : [],
  );
/** Whatever findings tell of. */
const FAULTY = doc(
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
const ALL: Readonly<Record<string, DocumentModel>> = {
  ...DOCUMENTS,
  looking: LOOKING,
  plain: PLAIN,
  faulty: FAULTY,
  edges: EDGES,
  untitled: UNTITLED,
};

test('what speaks for headings', () => {
  holdTo(
    file('headings'),
    Object.entries(ALL).flatMap(([name, document]) => {
      const implied = impliedHeadings(document);
      return [
        ...under(
          `${name}, evidence`,
          headingEvidence(document).map(
            ({ block, confidence, reasons }) =>
              `${confidence.toFixed(2)} ${runsText(block.runs).slice(0, 40)}: ${reasons.map((reason) => Object.values(reason).join(' ')).join(', ')}`,
          ),
        ),
        ...under(
          `${name}, looks`,
          lookAlikes(document).map(
            ({ key, blocks, level, confidence, reasons }) =>
              `${blocks.length} × ${key} → ${level}, ${confidence.toFixed(2)}: ${reasons.map(({ why }) => why).join(', ')}`,
          ),
        ),
        ...under(`${name}, marked`, [
          ...restructure(document, implied)
            .document.blocks.filter(({ kind }) => kind === 'heading')
            .map(shown),
          `proposed: ${proposedHeadings(document).length}`,
          `alike: ${document.blocks.map(({ id }) => linesLike(document.blocks, id).length).join(' ')}`,
          `private: ${privateHeadings(document).map(shown).join(', ')}`,
        ]),
      ];
    }),
  );
});

test('findings, and what each repair makes of the document', () => {
  holdTo(
    file('findings'),
    Object.entries(ALL).flatMap(([name, document]) =>
      under(
        name,
        findings(document, { titleFits }).flatMap(({ kind, block, detail, repairs }) => [
          `${kind} at ${document.blocks.findIndex(({ id }) => id === block)}${about(detail)}`,
          ...repairs.map(({ name: repair, changes, ask }) => {
            const made = restructure(document, changes.filter(isStructureChange)).document.blocks;
            const before = new Set(document.blocks.map(shown));
            const turned = changes.filter((change) => change.kind === 'turn').length;
            const fresh = made.map(shown).filter((line) => !before.has(line));
            return `  ${repair}${ask === undefined ? '' : ` (${ask})`}: ${made.length} blocks${turned === 0 ? '' : `, ${turned} turned`}${fresh.length === 0 ? '' : ` | ${fresh.join(' | ')}`}`;
          }),
        ]),
      ),
    ),
  );
});

test('levels raised, contents left out, documents joined, and every kind of change', () => {
  const of = (document: DocumentModel, text: string) =>
    document.blocks.find((block) => 'runs' in block && runsText(block.runs) === text)!.id;
  const changes: Readonly<Record<string, StructureChange>> = {
    'made headings': {
      kind: 'shape',
      shapes: [
        { block: of(COURSE, 'Walk the bank'), as: { kind: 'heading', level: 4 } },
        { block: of(COURSE, 'Care'), as: { kind: 'paragraph' } },
      ],
    },
    'made items and a quotation': {
      kind: 'shape',
      shapes: [
        { block: of(COURSE, 'Care'), as: { kind: 'listItem', depth: 2, ordered: true } },
        { block: of(COURSE, 'Ice at the gate weighs a ton.'), as: { kind: 'quote' } },
        { block: of(COURSE, 'The trustees, spring'), as: { kind: 'title' } },
      ],
    },
    moved: { kind: 'move', blocks: [of(COURSE, 'The wheel'), of(COURSE, 'Wait')], before: of(COURSE, 'The pond') },
    'moved to the end': { kind: 'move', blocks: [of(COURSE, 'The pond')], before: null },
    'left out': { kind: 'leave', blocks: [of(COURSE, 'The pond'), of(COURSE, 'Walk the bank')], as: 'deleted' },
    'brought back': {
      kind: 'keep',
      blocks: COURSE.blocks.filter(({ left }) => left !== undefined).map(({ id }) => id),
    },
    written: {
      kind: 'write',
      replaces: [of(COURSE, 'Walk the bank'), of(COURSE, 'Look for moles')],
      after: null,
      blocks: [
        { kind: 'paragraph', id: of(COURSE, 'Walk the bank'), runs: [{ text: 'Walked' }] },
        { kind: 'heading', level: 2, id: 'w1' as never, runs: [{ text: 'New' }] },
      ],
    },
    'written behind': {
      kind: 'write',
      replaces: [],
      after: of(COURSE, 'Wait'),
      blocks: [{ kind: 'listItem', depth: 1, ordered: false, id: 'w2' as never, runs: [{ text: 'More' }] }],
    },
    described: {
      kind: 'describe',
      block: COURSE.blocks.find(({ kind }) => kind === 'picture')!.id,
      alt: 'Another text',
    },
  };
  const part = (name: string, document: DocumentModel) => ({ name, document });
  holdTo(file('changes'), [
    ...under(
      'raised',
      restructure(FAULTY, [raiseSkipped(FAULTY.blocks)])
        .document.blocks.filter(({ kind }) => kind === 'heading')
        .map(shown),
    ),
    ...Object.entries(ALL).flatMap(([name, document]) =>
      under(
        `${name}, contents`,
        leaveContents(document)
          .blocks.filter(({ left }) => left !== undefined)
          .map(shown),
      ),
    ),
    ...under(
      'joined',
      joinDocuments([
        part('course.md', { ...COURSE, language: 'en' as never }),
        part('letter.md', { ...LETTER, language: 'de' as never }),
        part('plain.txt', PLAIN),
        part('linked.md', LINKED),
      ]).blocks.map((block) => `${shownWhole(block)} ${linksIn(block)}`),
    ),
    ...Object.entries(changes).flatMap(([name, change]) => {
      const { document, ...others } = restructure(COURSE, [change]);
      const before = new Set(COURSE.blocks.map(shownWhole));
      return under(name, [
        document.blocks.map(({ id }) => COURSE.blocks.findIndex((block) => block.id === id)).join(' '),
        ...document.blocks.map(shownWhole).filter((line) => !before.has(line)),
        JSON.stringify(others),
      ]);
    }),
  ]);
});

/** Lists of contents as documents have them, and what only looks like one. */
const CONTENTS: Readonly<Record<string, readonly Draft[]>> = {
  'pages behind dots': [
    h(1, 'Contents'),
    p('The pond .......... 1'),
    p('The wheel ......... 4'),
    p('The stones ........ 9'),
    p('Annex ............ 12'),
  ],
  'no pages': [p('Contents'), li('The pond'), li('The wheel'), li('The stones'), li('Something else')],
  'one paragraph': [h(1, 'Contents'), p('The pond .... 1\nThe wheel .... 4\nThe stones .... 9')],
  'one line': [p('The pond ........ 1 The wheel ........ 4 The stones ........ 9')],
  'a table': [
    h(1, 'Contents'),
    table([
      ['The pond', '1'],
      ['The wheel', '4'],
      ['The stones', '9'],
    ]),
  ],
  'over two pages': [
    p('Contents'),
    p('The pond 1'),
    p('The wheel 4'),
    { kind: 'break', type: 'page' },
    { ...p('Sallow Quay'), left: 'running-head' } as Draft,
    p('The stones 9'),
    p('The flour 11'),
  ],
  'two entries': [p('Contents'), li('The pond'), li('The wheel')],
  'running text': [p('The pond is told of first.'), p('The wheel is told of then.'), p('The stones come last.')],
  'half of them': [
    li('The pond'),
    li('Nothing'),
    li('Else'),
    li('The wheel'),
    li('The stones'),
    li('More'),
    li('And more'),
    li('And so on'),
  ],
};
const CHAPTERS: readonly Draft[] = ['The pond', 'The wheel', 'The stones', 'The flour'].flatMap((name) => [
  h(1, name),
  p(FILL),
]);

test('lists of contents', () => {
  holdTo(
    file('contents'),
    Object.entries(CONTENTS).flatMap(([name, drafts]) => {
      const before = leaveContents(doc(...drafts, ...CHAPTERS));
      const behind = leaveContents(doc(...CHAPTERS, ...drafts));
      const titled = leaveContents(doc(p('Report', 'title'), ...drafts, p('A note.'), ...CHAPTERS));
      return [before, behind, titled].flatMap(({ blocks }, i) =>
        under(
          `${name} ${['before', 'behind', 'below a title'][i]}`,
          blocks.filter(({ left }) => left !== undefined).map(shown),
        ),
      );
    }),
  );
});

/** One change after another, of every kind, with blocks that are there and some that are not. */
function changesOf(blocks: readonly Block[], seed: number): readonly StructureChange[] {
  const next = random(seed);
  const any = () => (next() < 0.05 ? ('gone' as never) : blocks[Math.floor(next() * blocks.length)]!.id);
  const some = () => Array.from({ length: 1 + Math.floor(next() * 4) }, any);
  return Array.from({ length: 24 }, (_, i): StructureChange => {
    const roll = next();
    if (roll < 0.25)
      return {
        kind: 'shape',
        shapes: some().map((block) => ({
          block,
          as: (
            [
              { kind: 'heading', level: 2 },
              { kind: 'paragraph' },
              { kind: 'title' },
              { kind: 'listItem', depth: 2, ordered: true },
              { kind: 'listItem', depth: 1, ordered: false },
              { kind: 'quote' },
            ] as const
          )[Math.floor(next() * 6)]!,
        })),
      };
    if (roll < 0.5) {
      const replaces = next() < 0.7 ? some() : [];
      const ids = [...replaces.slice(0, 1), `w${i}` as never, ...(next() < 0.2 ? [any()] : [])];
      return {
        kind: 'write',
        replaces,
        after: next() < 0.2 ? null : any(),
        blocks: ids.map((id, k) => ({ kind: 'paragraph', id, runs: [{ text: `Written ${i}, ${k}` }] })),
      };
    }
    if (roll < 0.7) return { kind: 'move', blocks: some(), before: next() < 0.2 ? null : any() };
    if (roll < 0.85) return { kind: 'leave', blocks: some(), as: 'deleted' };
    if (roll < 0.95) return { kind: 'keep', blocks: some() };
    return { kind: 'describe', block: any(), alt: `A picture ${i}` };
  });
}

test('changes one after another', () => {
  holdTo(
    file('sequences'),
    [COURSE, FAULTY].flatMap((document, d) =>
      [1, 2, 3, 4].flatMap((seed) => {
        const changes = changesOf(document.blocks, seed);
        const { document: made, ...others } = restructure(document, changes);
        const ids = (id: string): string => (document.blocks.some((block) => block.id === id) ? '' : ` ${id}`);
        return under(`${['course', 'faulty'][d]}, ${seed}`, [
          ...made.blocks.map((block) => `${shown(block)}${ids(block.id)}`),
          JSON.stringify(others),
          `made headings: ${madeHeadings(document, made)
            .map(({ blocks }) => blocks.length)
            .join(' ')}`,
          `not of itself: ${madeHeadings(made, made).length}`,
          `raised: ${made.blocks
            .filter(({ id }) => branchOf(made.blocks, id).length > 1)
            .map(({ id }) => branchOf(made.blocks, id).length)
            .join(' ')}`,
        ]);
      }),
    ),
  );
});

/** Lines that stand out, more and more of them, where nothing is marked and where something is. */
const STANDING_OUT: Readonly<Record<string, (text: string) => Draft>> = {
  larger: (text) => looking(text, { size: 14 }),
  'much larger': (text) => looking(text, { size: 16 }),
  'just larger': (text) => looking(text, { size: 12.4 }),
  bold: (text) => looking(text, { size: 11, bold: true }),
  'bold and spaced': (text) => looking(text, { size: 11, bold: true, spaceBefore: 12 }),
  counted: (text) => looking(`2.1 ${text}`, { size: 11 }),
  capitals: (text) => looking(text.toUpperCase(), { size: 11 }),
};

test('headings are proposed by how many lines stand out', () => {
  const names = ['The gates', 'The wheel', 'The stones', 'The flour'];
  holdTo(
    file('proposed'),
    Object.entries(STANDING_OUT).flatMap(([name, line]) =>
      [0, 1, 2, 3].flatMap((marked) =>
        under(
          `${name}, ${marked} marked`,
          [0, 1, 2, 4].map((count) => {
            const document = doc(
              ...Array.from({ length: marked }, (_, i) => [h(1, `Marked ${i}`), body(FILL)]).flat(),
              ...names.slice(0, count).flatMap((text) => [line(text), body(FILL)]),
              body(FILL),
            );
            const lines = (changes: readonly StructureChange[]): string =>
              changes
                .flatMap((change) => (change.kind === 'shape' ? change.shapes : []))
                .map(({ as }) => (as.kind === 'heading' ? as.level : as.kind))
                .join(' ');
            return `${count}: implied ${lines(impliedHeadings(document)) || '-'}, proposed ${lines(proposedHeadings(document)) || '-'}`;
          }),
        ),
      ),
    ),
  );
});

test('parts for the speaker alone', () => {
  const said = [
    'Speaker notes',
    'Notes for the trainer',
    '3.1 Speaker notes',
    'Not for distribution',
    'Confidential remarks about the quay',
    'Nur für Vortragende',
    'Vortragende',
    'The speaker',
    `Nur für ${'x'.repeat(30)}`,
    `Nur für ${'x'.repeat(31)}`,
  ];
  const marked = [
    '[Speaker note: say it slowly]',
    'Speaker note – say it',
    'A speaker note: it is said',
    'Internal only: ask first',
    'Internal only',
  ];
  const document = doc(
    ...said.flatMap((text, i) => [h(i % 2 === 0 ? 1 : 2, text), p(`Below ${i}.`), h(3, `Deeper ${i}`), li('An item')]),
    h(1, 'Open'),
    ...marked.map((text) => p(text)),
    { ...p('A remark says it.'), remark: 'internal only, please' } as Draft,
    { ...h(2, 'A heading whose remark says it'), remark: 'Not for the audience' } as Draft,
    p('Below it.'),
  );
  const settled = new Set(document.blocks.slice(0, 4).map(({ id }) => id));
  const listed = (options: Parameters<typeof findings>[1]): readonly string[] =>
    findings(document, options)
      .filter(({ kind }) => kind === 'private-part')
      .map(
        ({ block, detail, repairs }) =>
          `${shown(document.blocks.find(({ id }) => id === block)!)}${about(detail)}: ${repairs.map(({ name, changes }) => `${name} ${changes.length}`).join(', ')}`,
      );
  holdTo(file('private'), [
    ...under('found', listed({ titleFits })),
    ...under('some settled', listed({ titleFits, settled: (id) => settled.has(id) })),
    ...under('headings', privateHeadings(document).map(shown)),
  ]);
});

/** A later edition: words changed, blocks moved, gone and new. */
function edited(blocks: readonly Block[], seed: number): readonly Block[] {
  const next = random(seed);
  const changed = blocks.flatMap((block): readonly Block[] => {
    const roll = next();
    const id = `n${next()}` as never;
    if (roll < 0.08) return [];
    if (roll < 0.16)
      return [
        { ...block, id },
        {
          kind: 'paragraph',
          id: `${String(id)}x` as never,
          place: {},
          runs: [{ text: `A new one, ${Math.floor(next() * 1000)}` }],
        },
      ];
    if (roll < 0.35 && 'runs' in block) {
      const words = runsText(block.runs).split(' ');
      words[Math.floor(next() * words.length)] = 'altered';
      return [{ ...block, id, runs: [{ text: words.join(' ') }] }];
    }
    if (roll < 0.42 && block.kind === 'heading')
      return [{ ...block, id, level: Math.min(6, block.level + 1) as Level }];
    return [{ ...block, id }];
  });
  const from = Math.floor(next() * changed.length * 0.6);
  const moved = changed.splice(from, 4);
  changed.splice(Math.floor(next() * changed.length), 0, ...moved);
  return changed;
}

test('editions', () => {
  holdTo(
    file('editions'),
    Object.entries(ALL).flatMap(([name, { blocks }]) =>
      [1, 2, 3, 4, 5].flatMap((seed) => {
        const rest = edited(blocks, seed);
        // Its first block changed, or one before it.
        const first = {
          ...blocks[0]!,
          id: 'first' as never,
          ...('runs' in blocks[0]! ? { runs: [{ text: 'All other words here' }] } : {}),
        } as Block;
        const after = seed === 4 ? [first, ...rest.slice(1)] : seed === 5 ? [first, ...rest] : rest;
        const place = (all: readonly Block[], id: string): string => String(all.findIndex((block) => block.id === id));
        return under(
          `${name}, ${seed}`,
          matchEditions(blocks, after).map((match) => {
            const before = 'before' in match ? place(blocks, match.before) : '';
            const now = 'after' in match ? place(after, match.after) : '';
            return `${match.kind} ${before} → ${now}${'moved' in match && match.moved ? ', moved' : ''}`;
          }),
        );
      }),
    ),
  );
});
