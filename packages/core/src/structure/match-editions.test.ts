import { describe, expect, test } from '@jest/globals';
import { blockText, type DocumentModel } from '../document/index.ts';
import { doc, h, li, p, random, randomDocument } from '../test/build.ts';
import { changedIds, matchEditions } from './match-editions.ts';

const POND = 'The pond holds eleven thousand cubic metres of water behind the wall.';
const GATE = 'The north gate has been seized since the flood and does not open.';
const STAFF = 'Volunteers come on Tuesdays and Saturdays to clean the wheel pit.';

/** `same A > A`, `moved …`, `changed A > B`, `new B`, `gone A`, by text. */
function short(before: DocumentModel, after: DocumentModel): readonly string[] {
  const text = (document: DocumentModel, id: string): string =>
    blockText(document.blocks.find((block) => block.id === id)!);
  return matchEditions(before.blocks, after.blocks).map((match) => {
    if (match.kind === 'new') return `new ${text(after, match.after)}`;
    if (match.kind === 'gone') return `gone ${text(before, match.before)}`;
    const [from, to] = [text(before, match.before), text(after, match.after)];
    return `${match.moved ? 'moved ' : ''}${match.kind} ${match.kind === 'same' ? to : `${from} > ${to}`}`;
  });
}

describe('two editions', () => {
  test('that are the same', () => {
    const one = doc(h(1, 'A'), p(POND), li('x'), li('x'));
    expect(short(one, one)).toEqual(['same A', `same ${POND}`, 'same x', 'same x']);
  });
  test('a few words differ, a passage is new, one is gone', () => {
    const changed = POND.replace('eleven', 'twelve');
    expect(short(doc(h(1, 'A'), p(POND), p(GATE), li('x')), doc(h(1, 'A'), p(changed), p(STAFF), li('x')))).toEqual([
      'same A',
      `changed ${POND} > ${changed}`,
      `gone ${GATE}`,
      `new ${STAFF}`,
      'same x',
    ]);
  });
  test('what has moved is told, changed or not', () => {
    const changed = GATE.replace('north', 'south');
    expect(
      short(
        doc(h(1, 'A'), p(POND), p(GATE), h(1, 'B'), li('x'), p(STAFF)),
        doc(h(1, 'A'), p(STAFF), h(1, 'B'), li('x'), p(changed), p(POND)),
      ),
    ).toEqual([
      'same A',
      `moved same ${STAFF}`,
      'same B',
      'same x',
      `moved changed ${GATE} > ${changed}`,
      `moved same ${POND}`,
    ]);
  });
  test('equal texts are told apart by what stands around them', () => {
    const before = doc(h(1, 'A'), li('done'), h(1, 'B'), li('done'), h(1, 'C'), li('done'));
    const after = doc(h(1, 'A'), li('done'), h(1, 'C'), li('done'));
    expect(changedIds(matchEditions(before.blocks, after.blocks))).toEqual([
      [before.blocks[5]!.id, after.blocks[3]!.id],
    ]);
  });
  test('nothing has moved where many lines are equal and some have changed', () => {
    const list = (changed: number) =>
      doc(
        ...Array.from({ length: 30 }, (_, i) => [
          li('Type: text'),
          p(`${POND} ${i} ${i % 7 === changed ? 'indeed' : ''}`),
          li('Default: none'),
        ]).flat(),
      );
    const lines = short(list(-1), list(2));
    expect(lines.filter((line) => line.includes('moved'))).toEqual([]);
    expect(lines.filter((line) => line.startsWith('changed'))).toHaveLength(4);
  });
  test('a heading that was renamed in its place is the same heading', () =>
    expect(short(doc(h(1, 'Costs'), p(POND)), doc(h(1, 'Budget'), p(POND)))).toEqual([
      'changed Costs > Budget',
      `same ${POND}`,
    ]));
  test('a paragraph that became a heading is the same passage', () =>
    expect(short(doc(p('The north gate'), p(POND)), doc(h(2, 'The north gate'), p(POND)))).toEqual([
      'changed The north gate > The north gate',
      `same ${POND}`,
    ]));
  test('of nothing', () => {
    expect(short(doc(), doc(p(POND)))).toEqual([`new ${POND}`]);
    expect(short(doc(p(POND)), doc())).toEqual([`gone ${POND}`]);
  });
});

test('every block of both editions is matched once, however they were shuffled', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const next = random(seed);
    const before = randomDocument(next, 60);
    const after = doc(
      ...before.blocks.filter(() => next() < 0.85).sort(() => (next() < 0.05 ? 1 : 0)),
      ...randomDocument(next, 6).blocks,
    );
    const matches = matchEditions(before.blocks, after.blocks);
    expect(matches.flatMap((match) => ('before' in match ? [match.before] : [])).sort()).toEqual(
      before.blocks.map(({ id }) => id).sort(),
    );
    expect(matches.flatMap((match) => ('after' in match ? [match.after] : []))).toEqual(
      after.blocks.map(({ id }) => id),
    );
  }
});

describe('where much is alike', () => {
  test('equal lines between two that are sure are paired from both ends', () => {
    const lines = (...texts: readonly string[]): DocumentModel => doc(...texts.map((text) => li(text)));
    expect(short(lines('a', 'x', 'x', 'b', 'x', 'c'), lines('a', 'x', 'x', 'x', 'b', 'x', 'c'))).toEqual([
      'same a',
      'same x',
      'same x',
      'new x',
      'same b',
      'same x',
      'same c',
    ]);
    expect(short(lines('x', 'y', 'x', 'y', 'x'), lines('y', 'x', 'y', 'x'))).toEqual([
      'gone x',
      'same y',
      'same x',
      'same y',
      'same x',
    ]);
  });

  test('a heading with another name is the same heading where its neighbours stayed, and only there', () => {
    expect(short(doc(h(1, 'A'), h(2, 'Costs'), p(POND)), doc(h(1, 'A'), h(2, 'Money'), p(POND)))).toEqual([
      'same A',
      'changed Costs > Money',
      `same ${POND}`,
    ]);
    expect(short(doc(h(1, 'A'), h(2, 'Costs'), p(POND)), doc(h(1, 'A'), h(3, 'Money'), p(POND)))).toContain(
      'gone Costs',
    );
    expect(short(doc(h(2, 'Costs'), p(POND)), doc(h(2, 'Money'), p(POND)))).toEqual([
      'changed Costs > Money',
      `same ${POND}`,
    ]);
  });

  test('a short line that is half alike is the same in its place, and another one elsewhere', () => {
    const [old, now] = ['Oak gates leak badly', 'Oak gates hold well'];
    expect(short(doc(h(1, 'A'), li(old), h(1, 'B')), doc(h(1, 'A'), li(now), h(1, 'B')))).toContain(
      `changed ${old} > ${now}`,
    );
    const far = short(
      doc(h(1, 'A'), li(old), h(1, 'B'), p(POND)),
      doc(h(1, 'A'), h(1, 'B'), p(POND), h(1, 'C'), li(now)),
    );
    expect(far).toEqual(expect.arrayContaining([`gone ${old}`, `new ${now}`]));
  });
});
