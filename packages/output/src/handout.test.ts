/** A document for those who listened: slides before their passages, and nothing that is for the speaker alone. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { beginning, convert, detectType, openDocument, openZip, runsText } from '@alvex/core';
import sharp from 'sharp';
import { checkPackage } from '../../package-check/src/index.ts';
import { writeOutput } from './index.ts';

const name = 'sallow-quay-feasibility-report.docx';
const bytes = readFileSync(join(import.meta.dirname, '../../demo/files', name));
const { document, pictures } = await openDocument(bytes, detectType(bytes, name));
const made = convert(document, beginning(document));

test('each slide that is shown stands before its text', async () => {
  const hidden = made.deck.slides.find(({ title }) => runsText(title.runs) === 'Risks')!;
  const deck = convert(document, [...beginning(document), { kind: 'hide', slides: [hidden.id], hidden: true }]);
  const told: number[] = [];
  const file = await writeOutput('docx', deck, pictures, { handout: true, progress: (done) => told.push(done) });
  expect(await checkPackage(file)).toEqual([]);
  expect(told.at(-1)).toBe(1);
  const zip = openZip(file);
  const { document: back } = await openDocument(file, 'docx');
  const shown = back.blocks.flatMap((block, i) => {
    const next = back.blocks[i + 1];
    return block.kind === 'picture' && next !== undefined && 'runs' in next && block.alt === runsText(next.runs)
      ? [block.alt]
      : [];
  });
  expect(shown).toEqual(
    deck.deck.slides.filter(({ hidden: off }) => off !== true).map(({ title }) => runsText(title.runs)),
  );
  const slide = zip.names.find((one) => one.startsWith('word/media/'))!;
  expect(await sharp(zip.read(slide)).metadata()).toMatchObject({ format: 'png', width: 1200, height: 675 });
  const words = back.blocks.flatMap((block) => ('runs' in block ? [runsText(block.runs)] : [])).join(' ');
  expect(words).toContain('A hard frost before the roof is closed');
  expect(words).not.toContain('For the chair only');
  expect(words).not.toContain('The surveyor has not signed');
});

test('the document alone has all of it, and pictures as they came', async () => {
  const file = await writeOutput('docx', made, pictures);
  const { document: back, pictures: kept } = await openDocument(file, 'docx');
  const words = back.blocks.flatMap((block) => ('runs' in block ? [runsText(block.runs)] : [])).join(' ');
  expect(words).toContain('The surveyor has not signed');
  expect(new Set(kept.map(({ id }) => id))).toEqual(new Set(pictures.map(({ id }) => id)));
  expect(Buffer.from(await writeOutput('docx', made, pictures)).equals(file)).toBe(true);
});
