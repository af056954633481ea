/** A deck that goes out as a presentation and comes in again is the same: its outline, its notes, its tables, all its words. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { runsText, tableText, type Runs } from '../content/index.ts';
import type { Content, Slide } from '../deck/index.ts';
import { blockText, type DocumentModel } from '../document/index.ts';
import { detectType } from '../readers/index.ts';
import { random, randomDocument } from '../test/build.ts';
import { beginning } from './beginning.ts';
import { convert, type Converted } from './convert.ts';
import { openDocument } from './open-document.ts';
import { writeDeck } from './write-deck.ts';

const demo = (name: string): Uint8Array => readFileSync(join(import.meta.dirname, '../../../demo/files', name));
const first = (document: DocumentModel, theme = 'slipway'): Converted =>
  convert(document, [...beginning(document), { kind: 'theme', theme }]);
const text = (runs: Runs): string => runsText(runs).replace(/\s+/g, ' ').trim();

/** Signs and numbers of lists are the deck's own; so is what a picture is said to show. */
function shown(part: Content): readonly string[] {
  if (part.kind === 'table') return [tableText(part.table)];
  if (part.kind === 'picture') return [];
  return text(part.runs) === '' ? [] : [part.kind === 'point' ? `${part.level} ${text(part.runs)}` : text(part.runs)];
}
const outline = ({ deck }: Converted) =>
  deck.slides
    .filter(({ matter, kind }) => matter === undefined || kind === 'cover')
    .map(({ title, content, notes }: Slide) => ({
      title: text(title.runs),
      content: content.flatMap(shown),
      notes: notes.map(({ runs }) => text(runs).replace(/^– /, '')),
    }));

test.each(['pptx', 'odp'] as const)(
  'a course comes back from %s with its sections, its points and what is said',
  async (format) => {
    const read = await openDocument(demo('volunteer-induction-course.md'), 'markdown');
    const made = first(read.document);
    const back = await openDocument(writeDeck(format, made, read.pictures), format);
    const again = first(back.document);
    expect(back.document.diagnostics).toEqual([]);
    expect(again.ledger.lost).toBe(0);
    const bare = (one: Converted) =>
      outline(one).map(({ title, content, notes }) => ({
        title,
        notes,
        // Points of a slide that goes on may stand higher than they did, and what has a place of its own comes behind them.
        content: content.map((line) => line.replace(/^\d /, '')).toSorted(),
      }));
    expect(bare(again)).toEqual(bare(made));
    expect(again.deck.slides.map(({ kind }) => kind)).toEqual(made.deck.slides.map(({ kind }) => kind));
  },
);

test('minutes come back the same, pictures and notes with them', async () => {
  const bytes = demo('minutes-october.docx');
  const read = await openDocument(bytes, detectType(bytes, 'minutes-october.docx'));
  const made = first(read.document);
  const back = await openDocument(writeDeck('pptx', made, read.pictures), 'pptx');
  expect(outline(first(back.document))).toEqual(outline(made));
});

/** Characters; a longer title is shortened on its slide and said in full. */
const LONGEST_SHOWN = 200;
const inWords = (source: string): readonly string[] => source.match(/[\p{L}\p{N}]+/gu) ?? [];

test.each([
  ['slipway', 'pptx'],
  ['pebble', 'pptx'],
  ['broadsheet', 'pptx'],
  ['slipway', 'odp'],
  ['pebble', 'odp'],
] as const)('random decks in the theme %s as %s: no word goes, no title', async (theme, format) => {
  for (let seed = 1; seed <= 4; seed++) {
    const document = randomDocument(random(seed), 40);
    const made = first(document, theme);
    const { document: back } = await openDocument(writeDeck(format, made, []), format);
    const told = back.blocks.map(blockText).join(' ');
    const found = new Set(inWords(told));
    const said = outline(made).flatMap(({ title, content, notes }) => [
      title,
      ...content.map((line) => line.replace(/^\d /, '')),
      ...notes,
    ]);
    expect([seed, said.flatMap(inWords).filter((word) => !found.has(word))]).toEqual([seed, []]);
    expect([seed, back.diagnostics.map(({ code }) => code).filter((code) => code !== 'chart-as-table')]).toEqual([
      seed,
      [],
    ]);
    const headings = new Set(back.blocks.filter(({ kind }) => kind === 'heading').map((block) => blockText(block)));
    const titles = outline(made)
      .slice(1)
      .map(({ title }) => title)
      .filter((title) => !/\(\d+\)$/.test(title) && title.length < LONGEST_SHOWN);
    expect([seed, titles.filter((title) => !headings.has(title))]).toEqual([seed, []]);
  }
});
