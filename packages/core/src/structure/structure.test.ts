import { describe, expect, test } from '@jest/globals';
import { runsText } from '../content/index.ts';
import { blockText, documentWords, type DocumentModel, type Level } from '../document/index.ts';
import { code, doc, h, li, p, picture, random, randomDocument, table, type Draft } from '../test/build.ts';
import { shortBlock } from '../test/short-block.ts';
import type { StructureChange } from './change.ts';
import type { Finding } from './finding.ts';
import { findings } from './findings.ts';
import { impliedHeadings, linesLike, lookAlikes, madeHeadings } from './look-alikes.ts';
import { raiseSkipped } from './raise-skipped.ts';
import { branchOf, restructure } from './restructure.ts';
import type { BlockId } from '../ids/index.ts';

const idOf = (document: DocumentModel, text: string): BlockId =>
  document.blocks.find((block) => blockText(block) === text)!.id;
const after = (document: DocumentModel, ...changes: readonly StructureChange[]): readonly string[] =>
  restructure(document, changes).document.blocks.map((block) =>
    block.left ? `(${shortBlock(block)})` : shortBlock(block),
  );
const bold = (text: string, size?: number) => ({
  ...p([{ text, bold: true }]),
  ...(size === undefined ? {} : { look: { size, bold: true as const } }),
});
const sized = (text: string, size: number) => ({ ...p(text), look: { size } });
const TEXT = 'The pond fills at high water and empties through the wheel as the tide goes down.';

describe('changes', () => {
  const document = doc(h(1, 'A'), p('a'), h(2, 'B'), li('b'), h(1, 'C'), p('c'), picture('x'));
  const id = (text: string): BlockId => idOf(document, text);

  test('of shape: a line, a selection, a branch; ids and text stay', () => {
    expect(
      after(document, {
        kind: 'shape',
        shapes: [
          { block: id('a'), as: { kind: 'heading', level: 2 } },
          { block: id('b'), as: { kind: 'paragraph' } },
          { block: id('c'), as: { kind: 'listItem', depth: 2, ordered: false } },
        ],
      }),
    ).toEqual(['h1 A', 'h2 a', 'h2 B', 'p b', 'h1 C', '  - c', 'picture']);
    expect(branchOf(document.blocks, id('A')).map(blockText)).toEqual(['A', 'a', 'B', 'b']);
    expect(branchOf(document.blocks, id('a')).map(blockText)).toEqual(['a']);
  });

  test('of place: a branch goes before another, or to the end', () => {
    const branch = branchOf(document.blocks, id('C')).map((block) => block.id);
    expect(after(document, { kind: 'move', blocks: branch, before: id('A') })).toEqual([
      'h1 C',
      'p c',
      'picture',
      'h1 A',
      'p a',
      'h2 B',
      '- b',
    ]);
    expect(after(document, { kind: 'move', blocks: [id('A')], before: null }).at(-1)).toBe('h1 A');
  });

  test('of text: rewritten, added, taken out; what is taken out stays in its place, left out', () => {
    expect(
      after(document, {
        kind: 'write',
        replaces: [id('a'), id('B')],
        after: null,
        blocks: [
          { kind: 'paragraph', id: id('a'), runs: [{ text: 'a, rewritten' }] },
          { kind: 'listItem', id: 'n1' as BlockId, depth: 1, ordered: false, runs: [{ text: 'new' }] },
        ],
      }),
    ).toEqual(['h1 A', 'p a, rewritten', '- new', '(h2 B)', '- b', 'h1 C', 'p c', 'picture']);
    expect(
      after(document, {
        kind: 'write',
        replaces: [],
        after: null,
        blocks: [{ kind: 'heading', id: id('A'), level: 1, runs: [{ text: 'first' }] }],
      }).slice(0, 2),
    ).toEqual(['h1 first', 'h1 A']);
  });

  test('furniture is left out and brought back; pictures get descriptions; the title follows', () => {
    expect(after(document, { kind: 'leave', blocks: [id('c')], as: 'advert' })).toContain('(p c)');
    expect(
      after(document, { kind: 'leave', blocks: [id('c')], as: 'advert' }, { kind: 'keep', blocks: [id('c')] }),
    ).toContain('p c');
    expect(after(document, { kind: 'describe', block: document.blocks.at(-1)!.id, alt: ' The gate ' })).toContain(
      'picture The gate',
    );
    const titled = restructure(document, [
      { kind: 'shape', shapes: [{ block: id('a'), as: { kind: 'title' } }] },
    ]).document;
    expect(titled.title).toBe('a');
  });

  test('without a target are told; nothing changed is the same document', () => {
    const lost: StructureChange = { kind: 'keep', blocks: ['gone' as BlockId] };
    expect(restructure(document, [lost])).toEqual({ document, unplaced: [lost] });
    expect(restructure(document, []).document).toBe(document);
  });

  test('of any kind and number never lose a block', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const next = random(seed);
      const start = randomDocument(next, 25);
      let now = start;
      const pick = (): BlockId => now.blocks[Math.floor(next() * now.blocks.length)]!.id;
      for (let i = 0; i < 12 && now.blocks.length > 0; i++) {
        const kind = Math.floor(next() * 4);
        const change: StructureChange =
          kind === 0
            ? {
                kind: 'shape',
                shapes: [{ block: pick(), as: { kind: 'heading', level: (1 + Math.floor(next() * 6)) as Level } }],
              }
            : kind === 1
              ? {
                  kind: 'move',
                  blocks: branchOf(now.blocks, pick()).map((block) => block.id),
                  before: next() < 0.3 ? null : pick(),
                }
              : kind === 2
                ? { kind: 'write', replaces: [pick()], after: null, blocks: [] }
                : { kind: 'leave', blocks: [pick()], as: 'aside' };
        now = restructure(now, [change]).document;
      }
      expect(now.blocks.map(({ id: one }) => one).sort()).toEqual(start.blocks.map(({ id: one }) => one).sort());
      expect(documentWords(now)).toBe(documentWords(start));
    }
  });
});

describe('lines that look like headings', () => {
  test('are gathered by look, with reasons and proposed levels', () => {
    const document = doc(
      ...[
        bold('Costs', 16),
        sized(TEXT, 11),
        bold('Wheel', 13),
        sized(TEXT, 11),
        bold('Roof', 13),
        sized(TEXT, 11),
        bold('Income', 16),
        sized(TEXT, 11),
      ],
    );
    const groups = lookAlikes(document);
    expect(groups.map(({ traits, level, blocks }) => [traits.bold, traits.size, level, blocks.length])).toEqual([
      [true, 16, 1, 2],
      [true, 13, 2, 2],
    ]);
    expect(groups[0]!.reasons).toEqual(
      expect.arrayContaining([
        { why: 'larger', size: 16, usual: 11 },
        { why: 'bold' },
        { why: 'no-stop' },
        { why: 'text-follows' },
      ]),
    );
    expect(groups.every(({ confidence }) => confidence > 0.5 && confidence <= 1)).toBe(true);
    expect(linesLike(document.blocks, idOf(document, 'Wheel'))).toEqual([
      idOf(document, 'Wheel'),
      idOf(document, 'Roof'),
    ]);
  });

  test('in capitals, by number, by the names of parts', () => {
    const document = doc(p('THE COSTS'), p(TEXT), p('2.1 The wheel'), p(TEXT), p('Chapter 3'), p(TEXT));
    expect(lookAlikes(document).flatMap(({ blocks }) => blocks)).toHaveLength(3);
  });

  test('are not bold sentences, long lines, items of a numbered list, or the last line', () => {
    const document = doc(
      bold('This sentence is bold because it matters.'),
      bold('word '.repeat(40).trim()),
      p('1. Take the oak'),
      p('2. Take the elm'),
      p('3. Take the iron'),
      p(TEXT),
      bold('Signed'),
    );
    expect(lookAlikes(document)).toEqual([]);
  });

  test('stand below the marked headings, where there are any', () => {
    const document = doc(h(1, 'A'), h(2, 'B'), bold('C'), p(TEXT));
    expect(lookAlikes(document)).toMatchObject([{ level: 3 }]);
  });

  test('are marked unasked only in a document without marks', () => {
    const fake = doc(bold('Costs', 16), sized(TEXT, 11), bold('Income', 16), sized(TEXT, 11));
    expect(after(fake, ...impliedHeadings(fake))).toEqual(['h1 Costs', `p ${TEXT}`, 'h1 Income', `p ${TEXT}`]);
    expect(impliedHeadings(doc(h(1, 'A'), h(1, 'B'), h(1, 'C'), bold('D', 16), sized(TEXT, 11)))).toEqual([]);
  });
});

describe('findings', () => {
  const options = { titleFits: (runs: Parameters<typeof runsText>[0]) => runsText(runs).length < 60 };
  const find = (document: DocumentModel): readonly Finding[] => findings(document, options);
  const kinds = (document: DocumentModel): readonly string[] => find(document).map(({ kind }) => kind);
  /** The document after the first repair of the only finding. */
  const repaired = (document: DocumentModel, which = 0): readonly string[] => {
    const [finding, ...others] = find(document);
    expect(others).toEqual([]);
    return after(document, ...(finding!.repairs[which]!.changes as readonly StructureChange[]));
  };

  test('a sound document has none', () => {
    expect(kinds(doc(h(1, 'T'), h(2, 'A'), p(TEXT), h(2, 'B'), li('b'), table([['x'], ['y']]), code('x')))).toEqual([]);
  });

  test('a skipped level is raised with all that stands below it', () => {
    const document = doc(h(1, 'A'), p('a'), h(3, 'B'), h(4, 'C'), p('c'), h(4, 'E'), p('e'), h(3, 'D'), p('d'));
    expect(repaired(document)).toEqual(['h1 A', 'p a', 'h2 B', 'h3 C', 'p c', 'h3 E', 'p e', 'h3 D', 'p d']);
  });

  test('raised one by one or all at once, no level is skipped, and words stay', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const start = randomDocument(random(seed), 30);
      let document = start;
      for (let i = 0; i < 60; i++) {
        const skipped = find(document).find(({ kind }) => kind === 'skipped-level');
        if (skipped === undefined) break;
        document = restructure(document, skipped.repairs[0]!.changes as readonly StructureChange[]).document;
      }
      const atOnce = restructure(start, [raiseSkipped(start.blocks)]).document;
      for (const raised of [document, atOnce]) {
        expect(documentWords(raised)).toBe(documentWords(start));
        const levels = raised.blocks.flatMap((block) =>
          block.kind === 'heading' && blockText(block).trim() !== '' ? [block.level] : [],
        );
        levels.slice(1).forEach((level, i) => expect(level).toBeLessThanOrEqual(levels[i]! + 1));
      }
    }
  });

  test.each([
    ['an empty heading is taken out', doc(h(1, 'A'), p('a'), h(1, ''), p('b')), ['h1 A', 'p a', '(h1)', 'p b']],
    [
      'a long title is divided at its colon',
      doc(h(1, 'The wheel: what it was made of, who made it, and what became of it'), p('a')),
      ['h1 The wheel', 'p what it was made of, who made it, and what became of it', 'p a'],
    ],
    ['a repeated title is numbered', doc(h(1, 'A'), p('a'), h(1, 'A'), p('b')), ['h1 A', 'p a', 'h1 A (2)', 'p b']],
    [
      'a short line before the first heading becomes one',
      doc(p('Hello'), h(1, 'A'), p('a'), h(1, 'B'), p('b')),
      ['h1 Hello', 'h1 A', 'p a', 'h1 B', 'p b'],
    ],
    [
      'a heading with nothing under it becomes text',
      doc(h(1, 'A'), p('a'), h(1, 'B'), h(1, 'C'), p('c')),
      ['h1 A', 'p a', 'p B', 'h1 C', 'p c'],
    ],
    ['a list deeper than slides show is raised', doc(h(1, 'A'), li('a', 7)), ['h1 A', `${'  '.repeat(4)}- a`]],
  ])('%s', (_, document, blocks) => expect(repaired(document)).toEqual(blocks));

  test('a list that was typed by hand becomes one; numbers that do not count on, and dialogue, stay', () => {
    const document = doc(
      h(1, 'A'),
      p([{ text: '–\u00a0 oak', bold: true }]),
      p('•\telm'),
      p('text'),
      p('1) one'),
      p('2) two'),
      p('1984 was wet'),
      p('– alone'),
    );
    const lists = find(document).filter(({ kind }) => kind === 'typed-list');
    expect(lists.map(({ detail }) => detail)).toEqual([
      { is: 'lines', count: 2 },
      { is: 'lines', count: 2 },
    ]);
    expect(
      after(document, ...(lists.flatMap(({ repairs }) => repairs[0]!.changes) as readonly StructureChange[])),
    ).toEqual(['h1 A', '- oak', '- elm', 'p text', '1) one', '2) two', 'p 1984 was wet', 'p – alone']);
  });

  test('a paragraph over the length is divided between sentences, and no word is lost', () => {
    const sentence = 'The miller rose with the tide and set the gate before the sun had come over the quay. ';
    const document = doc(h(1, 'A'), p(sentence.repeat(20).trim()));
    const [finding] = find(document);
    expect(finding!.kind).toBe('long-paragraph');
    const { document: divided } = restructure(document, finding!.repairs[0]!.changes as readonly StructureChange[]);
    expect(divided.blocks.length).toBe(4);
    expect(divided.blocks.slice(1).every((block) => blockText(block).endsWith('quay.'))).toBe(true);
    expect(documentWords(divided)).toBe(documentWords(document));
  });

  test('contents, running heads, lone sub-headings, pictures without words, private parts', () => {
    const contents = doc(p('Contents'), p('Costs ..... 3'), p('Income\t4'), p('End … 5'), h(1, 'A'), p('a'));
    expect(kinds(contents)).toContain('contents-list');
    const running = doc(
      h(1, 'A'),
      ...Array.from({ length: 5 }, (_, i) => [p(`Draft of page ${i}`), p(TEXT + ' word'.repeat(i + 3))]).flat(),
    );
    expect(kinds(running)).toEqual(['running-head']);
    expect(kinds(doc(h(1, 'A'), h(2, 'B'), p('b'), h(1, 'C'), p('c')))).toEqual(['lone-sub-heading']);
    expect(find(doc(h(1, 'A'), picture('x')))).toMatchObject([
      { kind: 'picture-undescribed', repairs: [{ ask: 'description' }] },
    ]);
    const secret = doc(h(1, 'A'), p('a'), h(2, 'Notes for the presenter'), p('do not say'), h(2, 'B'), p('b'));
    const found = find(secret).find(({ kind }) => kind === 'private-part')!;
    expect(found.repairs.map(({ name, changes }) => [name, changes.length])).toEqual([
      ['speak', 2],
      ['leave-out', 2],
    ]);
    const remarked = doc(h(1, 'A'), { ...p('smile here'), remark: 'for the speaker only' });
    expect(find(remarked)).toMatchObject([{ kind: 'private-part', block: idOf(remarked, 'smile here') }]);
    expect(find(doc(h(1, 'A'), p('[Speaker note: smile]'), p('The speaker notes are short.')))).toMatchObject([
      { kind: 'private-part', detail: { is: 'words', count: 3 } },
    ]);
  });
});

test('a mark for the speaker counts at the beginning of a paragraph alone', () => {
  const marked = (text: string): number =>
    findings(doc(h(1, 'A'), p(text)), { titleFits: () => true, settled: () => false }).filter(
      ({ kind }) => kind === 'private-part',
    ).length;
  expect(marked('[Speaker note: smile]')).toBe(1);
  expect(marked('Speaker note: smile')).toBe(1);
  expect(marked('Then comes a speaker note: smile')).toBe(0);
  expect(marked('Speaker notes are printed on paper')).toBe(0);
});

describe('what is proposed holds what it means, and no more', () => {
  const lines = ['The gates', 'The wheel', 'The pond'].map((text, i) => p(`${text} ..... ${i + 1}`));
  const goes = (...drafts: readonly Draft[]): readonly string[] => {
    const document = doc(...drafts);
    const found = findings(document, { titleFits: () => true, settled: () => false }).find(
      ({ kind }) => kind === 'contents-list',
    );
    const [change] = found?.repairs[0]?.changes ?? [];
    return change?.kind === 'leave'
      ? change.blocks.map((id) => blockText(document.blocks.find((block) => block.id === id)!))
      : [];
  };

  test('a list of contents goes with the word above it that says so, not with another', () => {
    const body = [h(1, 'The gates'), p(TEXT)];
    expect(goes(p('Contents'), ...lines, ...body)).toEqual(['Contents', ...lines.map((one) => text(one))]);
    expect(goes(p('Inhaltsverzeichnis'), ...lines, ...body)[0]).toBe('Inhaltsverzeichnis');
    expect(goes(p('Read this first'), ...lines, ...body)).toEqual(lines.map((one) => text(one)));
    expect(goes(...lines.slice(0, 2), ...body)).toEqual([]);
  });

  test('lines that became headings are told; those that were, and those left out, are not', () => {
    const original = doc(h(1, 'Old'), p('New'), p('Gone'), p(TEXT));
    const [, fresh, gone] = original.blocks.map(({ id }) => id) as [BlockId, BlockId, BlockId];
    const level = (block: BlockId) => ({ block, as: { kind: 'heading', level: 2 } }) as const;
    const { document } = restructure(original, [
      { kind: 'shape', shapes: [level(fresh), level(gone)] },
      { kind: 'leave', blocks: [gone], as: 'hidden' },
    ]);
    expect(madeHeadings(original, document).flatMap(({ blocks }) => blocks)).toEqual([fresh]);
    expect(madeHeadings(original, original)).toEqual([]);
  });

  test('tables, pictures, breaks and footnotes stay what they are, whatever they are told to be', () => {
    const document = doc(h(1, 'A'), table([['x', 'y']]), picture('q'), p('text'));
    for (const block of document.blocks.slice(1, 3)) {
      const kept = restructure(document, [
        { kind: 'shape', shapes: [{ block: block.id, as: { kind: 'heading', level: 1 } }] },
      ]).document.blocks.find(({ id }) => id === block.id)!;
      expect(kept.kind).toBe(block.kind);
    }
  });

  test('groups of lines that look alike stand by level, then the larger first', () => {
    const head = (text: string, size: number) => bold(text, size);
    const document = doc(
      ...[head('Big one', 20), p(TEXT), head('Big two', 20), p(TEXT)],
      ...['a', 'b', 'c', 'd'].flatMap((name) => [head(`Small ${name}`, 15), p(TEXT)]),
    );
    const groups = lookAlikes(document);
    expect(groups.map(({ blocks }) => blocks.length)).toEqual([2, 4]);
    expect(groups.map(({ level }) => level)).toEqual([...groups.map(({ level }) => level)].sort());
  });
});

const text = (draft: Draft): string => ('runs' in draft ? runsText(draft.runs) : '');
