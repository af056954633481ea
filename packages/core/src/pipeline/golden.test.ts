/** Every fixture gives the document, the structure and the slides that its golden files say. `npm run golden` writes them anew. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { placeText } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import { detectType } from '../readers/index.ts';
import { findings, lookAlikes } from '../structure/index.ts';
import { FIXTURES } from '../test/fixtures.ts';
import { holdTo } from '../test/golden.ts';
import { shortBlock } from '../test/short-block.ts';
import { convert } from './convert.ts';
import { openDocument } from './open-document.ts';

const short = (said: object | null): string => Object.values(said ?? {}).join(' ');

test.each(FIXTURES)('$name', async ({ folder, file, bytes }) => {
  const { document } = await openDocument(bytes, detectType(bytes, file));
  const stages: Readonly<Record<string, readonly string[]>> = {
    'document.txt': [
      `title: ${document.title ?? '-'}`,
      ...document.blocks.map((block) => `${block.left === undefined ? '' : `(${block.left}) `}${shortBlock(block)}`),
      ...document.diagnostics.map(({ code, place }) => `! ${code} ${placeText(place)}`.trim()),
    ],
    'structure.txt': [
      ...lookAlikes(document).map(
        ({ traits, level, blocks, reasons }) =>
          `${blocks.length} × ${JSON.stringify(traits)} → ${level}: ${reasons.map(short).join('; ')}`,
      ),
      ...findings(document, { titleFits: (runs) => runsText(runs).length < 90 }).map(
        ({ kind, detail, repairs }) => `${kind} ${short(detail)}: ${repairs.map((repair) => repair.name).join(', ')}`,
      ),
    ],
    'slides.txt': convert(document, []).deck.slides.flatMap((slide) => [
      `[${slide.kind}] ${runsText(slide.title.runs)}`,
      ...slide.content.map((part) => {
        if (part.kind === 'point') return `${'  '.repeat(part.level)}- ${runsText(part.runs)}`;
        return `  ${part.kind}${'runs' in part ? ` ${runsText(part.runs)}` : ''}`;
      }),
      ...slide.notes.map((note) => `  ~ ${runsText(note.runs)}`),
    ]),
  };
  for (const [stage, lines] of Object.entries(stages)) holdTo(join(folder, stage), lines);
});
