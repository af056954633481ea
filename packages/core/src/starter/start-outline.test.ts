import { expect, test } from '@jest/globals';
import { countWords } from '../content/index.ts';
import { convert } from '../pipeline/index.ts';
import { readMarkdown } from '../readers/markdown/index.ts';
import { findings } from '../structure/index.ts';
import { PURPOSES } from './purposes.ts';
import { startOutline } from './start-outline.ts';

const read = (source: string) => readMarkdown(new TextEncoder().encode(source)).document;

test.each(PURPOSES)('%s: a sound structure, one slide a part, prompts spoken', (purpose) => {
  for (const minutes of [3, 10, 45]) {
    const wish = { purpose, topic: 'Tide mills', audience: 'the trustees', minutes };
    const source = startOutline(wish);
    expect(startOutline(wish)).toBe(source);
    const document = read(source);
    expect(document.title).toBe('Tide mills');
    expect(findings(document, { titleFits: (runs) => countWords(runs.map(({ text }) => text).join('')) < 12 })).toEqual(
      [],
    );
    const { pages, ledger } = convert(document, []);
    expect(ledger.lost).toBe(0);
    expect(pages.filter(({ slide }) => slide.kind === 'content').every(({ notes }) => notes.length > 0)).toBe(true);
    expect(source).not.toMatch(/[{}]/);
  }
});

test('the time decides how many parts there are', () => {
  const parts = (minutes: number): number =>
    startOutline({ purpose: 'proposal', topic: 'x', audience: '', minutes }).match(/^## /gm)!.length;
  expect([1, 10, 60].map(parts)).toEqual([3, 5, 8]);
});

test('what one types is text, not marks', () => {
  const document = read(
    startOutline({ purpose: 'lesson', topic: '# [x](y) *z*\nnew', audience: '<b>all</b>', minutes: 5 }),
  );
  expect(document.title).toBe('# [x](y) *z* new');
  expect(
    document.blocks.some((block) => 'runs' in block && block.runs.some((run) => run.text.includes('<b>all</b>'))),
  ).toBe(true);
});
