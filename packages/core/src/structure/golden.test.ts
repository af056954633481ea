/** What structure finds in documents, what its repairs make of them, and how editions are matched: the golden files say it. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { runsText } from '../content/index.ts';
import type { Block, DocumentModel, Level } from '../document/index.ts';
import { doc, h, li, p, random, table, type Draft } from '../test/build.ts';
import { COURSE, LETTER } from '../test/documents.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import { shortBlock } from '../test/short-block.ts';
import { ALL, body, FAULTY, FILL, LINKED, looking, PLAIN } from '../test/structured.ts';
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

const file = (name: string): string => join(GOLDEN, 'structure', `${name}.txt`);
const shown = (block: Block): string =>
  `${block.left === undefined ? '' : `(${block.left}) `}${shortBlock(block).slice(0, 70)}`;
/** With all that a reader saw of it. */
const shownWhole = ({ id: _, ...block }: Block): string =>
  `${shown({ id: _, ...block } as Block)} ${JSON.stringify({ ...block, runs: undefined, table: undefined, text: undefined, kind: undefined, level: undefined })}`;
const about = (detail: FindingDetail): string => (detail === null ? '' : ` ${Object.values(detail).join(' ')}`);
const titleFits = (runs: Parameters<typeof runsText>[0]): boolean => runsText(runs).length < 70;

const linksIn = (block: Block): string =>
  JSON.stringify(
    'runs' in block
      ? block.runs.flatMap(({ link }) => link ?? [])
      : block.kind === 'table'
        ? block.table.rows.flatMap(({ cells }) => cells.flatMap(({ runs }) => runs.flatMap(({ link }) => link ?? [])))
        : [],
  );
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
