/** From a file or pasted text to a deck and out again. */
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { bringIn, drawn, expect, slide, test } from './alvex.ts';

const root = join(import.meta.dirname, '..');
const report = join(root, 'packages/demo/files/sallow-quay-feasibility-report.docx');
const alvexCommand = join(root, 'bin/alvex');

test('the demo report is there, opens, and exports a valid presentation', async ({ page, alvex }, info) => {
  await page.goto(alvex.address);
  await page.getByRole('link', { name: 'Reopening the Sallow Quay tide mill' }).click();
  await expect(drawn(page, 1).first()).toContainText('Reopening the');
  await page.getByRole('link', { name: 'Hand over' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PPTX' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Reopening the Sallow Quay tide mill.pptx');
  const file = info.outputPath('deck.pptx');
  await download.saveAs(file);
  expect(execFileSync(alvexCommand, ['check', file], { encoding: 'utf8' })).toContain(': 0 faults');
  expect(execFileSync(alvexCommand, ['audit', file], { encoding: 'utf8' })).toContain(': 0 remarks');

  // With its fonts, for a computer that lacks them.
  const card = page.getByRole('region', { name: 'Presentation' });
  await expect(card).toContainText('whoever edits it must install');
  await card.getByRole('checkbox', { name: 'Put the fonts in the file, for computers that lack them' }).click();
  await expect(card).toContainText('go along');
  const [larger] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PPTX' }).click(),
  ]);
  const embedded = info.outputPath('embedded.pptx');
  await larger.saveAs(embedded);
  const fonts = Object.keys(unzipSync(readFileSync(embedded))).filter((name) => name.endsWith('.fntdata'));
  expect(fonts.length).toBeGreaterThanOrEqual(4);
  expect(execFileSync(alvexCommand, ['check', embedded], { encoding: 'utf8' })).toContain(': 0 faults');
});

test('a DOCX that is chosen keeps its bytes', async ({ page, alvex }, info) => {
  await bringIn(page, alvex, { name: 'report.docx', content: readFileSync(report) });
  await page.getByRole('link', { name: 'Document' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Original' }).click(),
  ]);
  const file = info.outputPath('original.docx');
  await download.saveAs(file);
  const sum = (path: string) => createHash('sha256').update(readFileSync(path)).digest('hex');
  expect(sum(file)).toBe(sum(report));
  expect(download.suggestedFilename()).toBe('report.docx');
});

test('a dropped Markdown file becomes slides', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  const transfer = await page.evaluateHandle(() => {
    const data = new DataTransfer();
    data.items.add(new File(['# Silt\n\n- Nine centimetres\n\nSpoken only.\n'], 'silt.md'));
    return data;
  });
  await page.getByRole('heading', { name: 'Drop documents here' }).dispatchEvent('drop', { dataTransfer: transfer });
  await page.waitForURL(/slides/);
  await expect(slide(page, 1).getByLabel('Write: Silt')).toBeVisible();
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toHaveText('Spoken only.');
});

test('pasted plain text is read as Markdown', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  await page.getByRole('button', { name: 'Paste text' }).click();
  await page.getByRole('textbox', { name: 'Text' }).fill('# Tides\n\n- Spring\n- Neap\n');
  await page.getByRole('button', { name: 'Make slides of it' }).click();
  await page.waitForURL(/slides/);
  await expect(drawn(page, 1).filter({ hasText: 'Neap' })).toBeVisible();
});

test('pasted rich text keeps headings, lists and tables', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  await page.getByRole('button', { name: 'Paste text' }).click();
  await page.evaluate(async () => {
    const html =
      '<h1>Gates</h1><ul><li>North <b>seized</b></li></ul><h1>Costs</h1><table><tr><th>Work</th><th>Sum</th></tr><tr><td>Gates</td><td>31</td></tr></table><script>alert(1)</script>';
    await navigator.clipboard.write([
      new ClipboardItem({
        'text/html': new Blob([html], { type: 'text/html' }),
        'text/plain': new Blob(['Gates'], { type: 'text/plain' }),
      }),
    ]);
  });
  await page.getByRole('textbox', { name: 'Text' }).focus();
  await page.keyboard.press('Control+v');
  await expect(page.getByText('Rich text: its headings')).toBeVisible();
  await page.getByRole('button', { name: 'Make slides of it' }).click();
  await page.waitForURL(/slides/);
  await expect(page.getByTestId('slide-count')).toHaveText('2 slides');
  await expect(drawn(page, 1).filter({ hasText: 'seized' })).toBeVisible();
  await expect(drawn(page, 2).filter({ hasText: 'Gates' })).toBeVisible();
});

for (const { what, name, content, says } of [
  { what: 'an empty file', name: 'empty.docx', content: '', says: 'The file is empty' },
  { what: 'a file that only claims to be DOCX', name: 'fake.docx', content: 'plain words', says: 'its content is not' },
  {
    what: 'a truncated DOCX',
    name: 'cut.docx',
    content: readFileSync(report).subarray(0, 20_000),
    says: 'ends too early',
  },
  {
    what: 'a kind that has no reader',
    name: 'sound.mp3',
    content: 'ID3\u0000\u0003',
    says: 'This kind of file cannot be read',
  },
  { what: 'a damaged PDF', name: 'slides.pdf', content: '%PDF-1.7\n', says: 'The PDF is damaged' },
])
  test(`${what} gets a clear message, and the server goes on`, async ({ page, alvex }) => {
    await page.goto(alvex.address);
    await page
      .getByLabel('Document')
      .setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
    const alert = page.getByRole('alert');
    await expect(alert).toContainText(`${name} was not brought in`);
    await expect(alert).toContainText(says);
    await expect(alert).toContainText('Your file was not touched');
    await expect(page.getByRole('link', { name: 'Reopening the Sallow Quay tide mill' }).first()).toBeVisible();
  });

test('a deck is renamed, deleted and brought back', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'passing.md', content: '# Passing\n' });
  await page.goto(alvex.address);
  await page.getByRole('button', { name: 'Rename passing' }).click();
  await page.getByLabel('Name of the deck').fill('Renamed deck');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Delete Renamed deck' }).click();
  await expect(page.getByRole('link', { name: 'Renamed deck' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('link', { name: 'Renamed deck' })).toBeVisible();
});

test('the command line gives the same presentation as the server', async ({ page, alvex }, info) => {
  const source = info.outputPath('same.md');
  writeFileSync(source, '# A\n\n- b\n\nc\n');
  const ours = info.outputPath('cli.pptx');
  execFileSync(join(root, 'bin/alvex'), ['convert', source, '-o', ours]);
  await bringIn(page, alvex, { name: 'same.md', content: readFileSync(source) });
  const id = /decks\/([^/]+)/.exec(page.url())![1];
  const response = await page.request.get(`${alvex.address}/api/decks/${id}/deck.pptx`);
  expect(Buffer.compare(await response.body(), readFileSync(ours))).toBe(0);
});
