import { expect, test } from '@jest/globals';
import { countWords } from '../content/index.ts';
import { convert } from '../pipeline/index.ts';
import { readMarkdown } from '../readers/markdown/index.ts';
import { findings } from '../structure/index.ts';
import { GERMAN } from './german.ts';
import { PLANS, PURPOSES } from './purposes.ts';
import { startOutline } from './start-outline.ts';

const read = (source: string) => readMarkdown(new TextEncoder().encode(source)).document;

const ALL = PURPOSES.flatMap((purpose) => (['en', 'de'] as const).map((language) => [purpose, language] as const));

test.each(ALL)('%s, %s: a sound structure, one slide a part, prompts spoken', (purpose, language) => {
  for (const minutes of [3, 10, 45]) {
    const wish = { purpose, topic: 'Tide mills', audience: 'the trustees', minutes, language };
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

test.each(PURPOSES)('%s: its German has the same parts with as many points, and is found to be German', (purpose) => {
  expect(GERMAN[purpose].map(({ points }) => points.length)).toEqual(PLANS[purpose].map(({ points }) => points.length));
  const wish = { purpose, topic: 'Gezeitenmühlen', audience: '', minutes: 45, language: 'de' } as const;
  expect(read(startOutline(wish)).language).toBe('de');
  const names = (text: string) =>
    (text.match(/\{\w+\}/g) ?? []).filter((name) => name !== '{topic}' && name !== '{audience}');
  expect(GERMAN[purpose].flatMap(({ title, points, spoken }) => [title, ...points, spoken].flatMap(names))).toEqual([]);
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
