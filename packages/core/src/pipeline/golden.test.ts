/** Every fixture gives the document, the structure and the slides that its golden files say. `npm run golden` writes them anew. */
import { expect, test } from '@jest/globals';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { placeText } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import { detectType } from '../readers/index.ts';
import { findings, lookAlikes } from '../structure/index.ts';
import { FIXTURES } from '../test/fixtures.ts';
import { shortBlock } from '../test/short-block.ts';
import { convert } from './convert.ts';
import { openDocument } from './open-document.ts';

const short = (said: object | null): string => Object.values(said ?? {}).join(' ');

test.each(FIXTURES)('$name', async ({ folder, file, bytes }) => {
  const { document } = await openDocument(bytes, detectType(bytes, file));
  const text = (lines: readonly string[]): string => `${lines.join('\n')}\n`;
  const stages: Readonly<Record<string, string>> = {
    'document.txt': text([
      `title: ${document.title ?? '-'}`,
      ...document.blocks.map((block) => `${block.left === undefined ? '' : `(${block.left}) `}${shortBlock(block)}`),
      ...document.diagnostics.map(({ code, place }) => `! ${code} ${placeText(place)}`.trim()),
    ]),
    'structure.txt': text([
      ...lookAlikes(document).map(
        ({ traits, level, blocks, reasons }) =>
          `${blocks.length} × ${JSON.stringify(traits)} → ${level}: ${reasons.map(short).join('; ')}`,
      ),
      ...findings(document, { titleFits: (runs) => runsText(runs).length < 90 }).map(
        ({ kind, detail, repairs }) => `${kind} ${short(detail)}: ${repairs.map((repair) => repair.name).join(', ')}`,
      ),
    ]),
    'slides.txt': text(
      convert(document, []).deck.slides.flatMap((slide) => [
        `[${slide.kind}] ${runsText(slide.title.runs)}`,
        ...slide.content.map((part) => {
          if (part.kind === 'point') return `${'  '.repeat(part.level)}- ${runsText(part.runs)}`;
          return `  ${part.kind}${'runs' in part ? ` ${runsText(part.runs)}` : ''}`;
        }),
        ...slide.notes.map((note) => `  ~ ${runsText(note.runs)}`),
      ]),
    ),
  };
  for (const [stage, found] of Object.entries(stages)) {
    const golden = join(folder, stage);
    if (process.env['ALVEX_GOLDEN'] === '1') writeFileSync(golden, found);
    expect(existsSync(golden)).toBe(true);
    expect(found).toBe(readFileSync(golden, 'utf8'));
  }
});
