/**
 * Real documents read by readers that are not ours: words and headings must be the same. The documents are those that the
 * packages of this project come with; DOCX, ODT and PDF are made of them by other libraries and by Chromium.
 */
import { chromium, expect, test } from '@playwright/test';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  beginning,
  convert,
  detectType,
  openDocument,
  runsText,
  writeDeck,
  type Converted,
} from '../packages/core/src/index.ts';
import { checkPackage } from '../packages/package-check/src/index.ts';
import { root } from './alvex.ts';
import { CHROMIUM } from './browser.ts';
import { compare, type Compared, type Reading } from './readers/compare.ts';
import { pdfManuals, realDocuments } from './readers/real-documents.ts';

let folder = '';
test.beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'alvex-readers-'));
});
test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

const SCRIPT = join(root, 'e2e/readers/independent.py');
function python(args: readonly string[], input = ''): string {
  const { status, stdout, stderr } = spawnSync('/usr/bin/python3', [SCRIPT, ...args], {
    input,
    encoding: 'utf8',
    maxBuffer: 256 * 1024 * 1024,
  });
  if (status !== 0) throw new Error(stderr);
  return stdout;
}
const readElsewhere = (files: readonly string[]): readonly Reading[] =>
  JSON.parse(python(['read', ...files])) as readonly Reading[];

/** Shares of the words and of the headings of all documents together that may differ, where the other reader has quirks. */
interface Allowed {
  readonly missing: number;
  readonly more: number;
  readonly headings: number;
}

/** Compares all; where too much differs, what does is shown with the document. */
async function expectSame(
  files: readonly string[],
  readings: readonly Reading[],
  allowed: Allowed = { missing: 0, more: 0, headings: 0 },
): Promise<void> {
  const compared: Compared[] = [];
  for (const [i, file] of files.entries()) compared.push(await compare(file, readings[i]!));
  const sum = (count: (one: Compared) => number): number => compared.reduce((all, one) => all + count(one), 0);
  const words = sum((one) => one.words);
  expect(words).toBeGreaterThan(5000);
  const differing = compared.filter(
    ({ missing, more, otherHeadings }) => missing.length + more.length + otherHeadings.length > 0,
  );
  expect(
    {
      missing: sum(({ missing }) => missing.length) <= words * allowed.missing,
      more: sum(({ more }) => more.length) <= words * allowed.more,
      headings: sum(({ otherHeadings }) => otherHeadings.length) <= sum(({ headings }) => headings) * allowed.headings,
    },
    JSON.stringify(differing, null, 1),
  ).toEqual({ missing: true, more: true, headings: true });
  // Nor is what is allowed for all together lost in one.
  expect(differing.filter((one) => one.missing.length > Math.max(4, one.words * 0.01))).toEqual([]);
}

const demo = join(root, 'packages/demo/files');
const demoDocuments = readdirSync(demo)
  .filter((name) => /\.(docx|md|html)$/.test(name))
  .map((name) => join(demo, name));
const documents = realDocuments(join(root, 'node_modules'), 120);

test('there are enough of them', () => expect(documents.length).toBeGreaterThanOrEqual(60));

test('Markdown, against python3-markdown', async () => {
  await expectSame(documents, readElsewhere(documents), { missing: 0.0002, more: 0.0002, headings: 0.002 });
});

const some = documents.slice(0, 40);
const named = (path: string, i: number): { readonly name: string; readonly path: string } => ({ name: `d${i}`, path });

test('DOCX and ODT made by python3-docx and python3-odf, against the same', async () => {
  const made = JSON.parse(python(['make', folder], JSON.stringify(some.map(named)))) as readonly string[];
  expect(made).toHaveLength(2 * some.length);
  await expectSame(made, readElsewhere(made));
});

test('PDF printed by Chromium, against poppler', async () => {
  const browser = await chromium.launch(CHROMIUM);
  const files: string[] = [];
  const readings: Reading[] = [];
  try {
    const page = await browser.newPage();
    for (const [i, path] of some.slice(0, 15).entries()) {
      await page.setContent(
        `<pre style="white-space:pre-wrap;font:11pt serif">${escaped(readFileSync(path, 'utf8'))}</pre>`,
      );
      const file = join(folder, `p${i}.pdf`);
      writeFileSync(file, await page.pdf({ tagged: i % 2 === 0 }));
      const { status, stdout } = spawnSync('pdftotext', [file, '-'], { encoding: 'utf8' });
      expect(status).toBe(0);
      files.push(file);
      readings.push({ words: stdout, headings: [] });
    }
  } finally {
    await browser.close();
  }
  await expectSame(files, readings, { missing: 0.0002, more: 0.0002, headings: 0 });
});

test('PDF manuals of this machine, against poppler', async () => {
  const manuals = pdfManuals('/usr/share/doc', 12);
  test.skip(manuals.length === 0, 'no package of this machine brings one');
  const readings = manuals.map((file): Reading => {
    const { stdout } = spawnSync('pdftotext', [file, '-'], { encoding: 'utf8', maxBuffer: 256 * 1024 * 1024 });
    return { words: stdout, headings: [] };
  });
  // Letters with their accents beside them, tables and sums are cut into words in other ways.
  await expectSame(manuals, readings, { missing: 0.001, more: 0.001, headings: 0 });
});

test('ODP that is written here, against its schema and the pages of python3-odf', async () => {
  const files: string[] = [];
  const written: Converted[] = [];
  for (const [i, path] of [...demoDocuments, ...documents.slice(0, 30)].entries()) {
    const bytes = readFileSync(path);
    const { document, pictures } = await openDocument(bytes, detectType(bytes, path));
    const made = convert(document, beginning(document));
    const file = join(folder, `s${i}.odp`);
    writeFileSync(file, writeDeck('odp', made, pictures));
    files.push(file);
    written.push(made);
  }
  // Figures, with lines between their items.
  const work = new TextEncoder().encode('# Work\n\n1. Mend the gates\n2. Fill the pond\n3. Turn the wheel\n4. Grind\n');
  const { document } = await openDocument(work, 'markdown');
  const [slide] = convert(document, []).deck.slides;
  for (const layout of ['steps', 'cycle', 'timeline', 'icon-grid', 'pyramid', 'funnel', 'matrix'] as const)
    for (const theme of ['slipway', 'pebble', 'draughtsman']) {
      const made = convert(document, [
        { kind: 'theme', theme },
        { kind: 'layout', slides: [slide!.id], layout },
        { kind: 'motion', motion: { transition: 'push', points: true } },
      ]);
      const file = join(folder, `${layout}-${theme}.odp`);
      writeFileSync(file, writeDeck('odp', made, []));
      files.push(file);
      written.push(made);
    }
  await expectSound(files);
  const read = JSON.parse(python(['slides', ...files])) as readonly (readonly string[])[];
  const spaced = (text: string): string => text.replace(/\s+/g, '');
  const lost = read.flatMap((slides, i) =>
    written[i]!.pages.flatMap(({ slide, boxes, notes, index }, k) => {
      const texts = boxes.flatMap((box) => (box.kind === 'text' ? box.paras.map(({ runs }) => runs) : []));
      const cells = boxes.flatMap((box) => (box.kind === 'table' ? box.cells.map(({ runs }) => runs) : []));
      const found = spaced(slides[k] ?? '');
      return [...texts, ...cells, ...notes.map(({ runs }) => runs), ...(index === 0 ? [slide.title.runs] : [])]
        .map((runs) => spaced(runsText(runs)))
        .filter((text) => !found.includes(text));
    }),
  );
  expect(lost).toEqual([]);
});

test('ODT that is written here, against its schema and python3-odf', async () => {
  const files: string[] = [];
  for (const [i, path] of [...demoDocuments, ...some].entries()) {
    const bytes = readFileSync(path);
    const { document, pictures } = await openDocument(bytes, detectType(bytes, path));
    const file = join(folder, `t${i}.odt`);
    writeFileSync(file, writeDeck('odt', convert(document, []), pictures));
    files.push(file);
  }
  await expectSound(files);
  await expectSame(files, readElsewhere(files), { missing: 0.0005, more: 0.0005, headings: 0.002 });
});

async function expectSound(files: readonly string[]): Promise<void> {
  for (const file of files) expect([file, await checkPackage(readFileSync(file))]).toEqual([file, []]);
}

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
