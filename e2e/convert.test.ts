/** From a file or pasted text to a deck and out again. */
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PDFiumLibrary } from '@hyzyla/pdfium';
import { decode } from 'fast-png';
import { unzipSync } from 'fflate';
import { bringIn, drawn, expect, openDeck, slide, test, station } from './alvex.ts';

const root = join(import.meta.dirname, '..');
const report = join(root, 'packages/demo/files/sallow-quay-feasibility-report.docx');
const alvexCommand = join(root, 'bin/alvex');

test('the demo report is there, opens, and exports a valid presentation', async ({ page, alvex }, info) => {
  await page.goto(alvex.address);
  // Other tests bring the same report in: the demo is the oldest of its name.
  await page.getByRole('link', { name: 'Reopening the Sallow Quay tide mill' }).last().click();
  await expect(drawn(page, 1).first()).toContainText('Reopening the');
  await station(page, 'Hand over').click();
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
  const names = Object.keys(unzipSync(readFileSync(embedded)));
  expect(names.filter((name) => name.endsWith('.fntdata')).length).toBeGreaterThanOrEqual(4);
  // It shows its first slide where files are shown.
  expect(names).toContain('docProps/thumbnail.png');
  expect(execFileSync(alvexCommand, ['check', embedded], { encoding: 'utf8' })).toContain(': 0 faults');

  await card.getByLabel('Written as').selectOption('odp');
  const [open] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download ODP' }).click(),
  ]);
  const odp = info.outputPath('embedded.odp');
  await open.saveAs(odp);
  expect(Object.keys(unzipSync(readFileSync(odp)))).toContain('Fonts/font1.ttf');
  expect(execFileSync(alvexCommand, ['check', odp], { encoding: 'utf8' })).toContain(': 0 faults');
});

test('a DOCX that is chosen keeps its bytes', async ({ page, alvex }, info) => {
  await bringIn(page, alvex, { name: 'report.docx', content: readFileSync(report) });
  await station(page, 'Document').click();
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
  await openDeck(page);
  await expect(slide(page, 1).getByLabel('Write: Silt')).toBeVisible();
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toHaveText('Spoken only.');
});

test('pasted plain text is read as Markdown', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  await page.getByRole('button', { name: 'Paste text' }).click();
  await page.getByRole('textbox', { name: 'Text' }).fill('# Tides\n\n- Spring\n- Neap\n');
  await page.getByRole('button', { name: 'Make slides of it' }).click();
  await openDeck(page);
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
  await openDeck(page);
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
    await expect(alert).toContainText(`Not brought in: ${name}`);
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

test('the command line gives the same files as the server', async ({ page, alvex }, info) => {
  const source = info.outputPath('same.md');
  writeFileSync(source, '# A\n\n- b\n\nc\n');
  await bringIn(page, alvex, { name: 'same.md', content: readFileSync(source) });
  const id = /decks\/([^/]+)/.exec(page.url())![1];
  for (const [ending, options, query] of [
    ['pptx', [], ''],
    ['odp', [], ''],
    ['odt', [], ''],
    ['pdf', [], ''],
    ['pdf', ['--pages', 'notes', '--paper', 'letter'], '?pages=notes&paper=letter'],
  ] as const) {
    const ours = info.outputPath(`cli.${ending}`);
    execFileSync(alvexCommand, ['convert', source, '-o', ours, ...options]);
    const response = await page.request.get(`${alvex.address}/api/decks/${id}/deck.${ending}${query}`);
    expect([query, Buffer.compare(await response.body(), readFileSync(ours))]).toEqual([query, 0]);
  }
});

/** Pages, the size of the first, and the words of each, as a reader sees them that is not ours. */
async function pagesOf(file: string) {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const document = await getDocument({ data: new Uint8Array(readFileSync(file)), verbosity: 0 }).promise;
  const texts: string[] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const { items } = await (await document.getPage(number)).getTextContent();
    texts.push(items.flatMap((item) => ('str' in item ? [item.str] : [])).join(' '));
  }
  const { view } = await document.getPage(1);
  await document.destroy();
  return { texts, size: view.slice(2).map(Math.round) };
}

test('pages are chosen, seen before, and downloaded as PDF', async ({ page, alvex }, info) => {
  await bringIn(page, alvex, { name: 'report.docx', content: readFileSync(report) });
  await station(page, 'Hand over').click();
  const card = page.getByRole('region', { name: 'Pages' });
  const download = async (name: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      card.getByRole('button', { name: 'Download PDF' }).click(),
    ]);
    expect(file.suggestedFilename()).toBe('Reopening the Sallow Quay tide mill.pdf');
    const path = info.outputPath(name);
    await file.saveAs(path);
    return pagesOf(path);
  };
  const slides = await download('slides.pdf');
  await expect(card.getByRole('status')).toContainText(`${slides.texts.length} pages`);
  expect(slides.size).toEqual([960, 540]);
  expect(slides.texts[0]).toContain('Reopening the');
  expect(slides.texts.join(' ')).not.toContain('eleven thousand cubic metres');

  await card.getByLabel('On each page').selectOption('one slide and its speaker notes');
  await card.getByLabel('Paper').selectOption('A4');
  // What is seen before is the page itself, small.
  await expect(card.locator('svg').filter({ hasText: 'eleven thousand cubic metres' }).first()).toBeVisible();
  const notes = await download('notes.pdf');
  expect(notes.size).toEqual([595, 842]);
  expect(notes.texts.join(' ')).toContain('eleven thousand cubic metres');

  await card.getByLabel('On each page').selectOption('six slides, lines to write on');
  const sheets = Math.ceil(slides.texts.length / 6);
  await expect(card).toContainText(`${sheets} pages`);
  expect((await download('six.pdf')).texts).toHaveLength(sheets);
});

/** Share of points of two pictures of one size that differ by more than a quarter of the range in any colour. */
function differing(a: Uint8Array, b: Uint8Array): number {
  let count = 0;
  for (let at = 0; at < a.length; at += 4)
    if ([0, 1, 2].some((color) => Math.abs(a[at + color]! - b[at + color]!) > 64)) count++;
  return count / (a.length / 4);
}

test('pages of the PDF, and drawings of slides, look as the slides on the screen', async ({ page, alvex, context }) => {
  const size = { width: 960, height: 540 };
  await bringIn(page, alvex, { name: 'report.docx', content: readFileSync(report) });
  const id = /decks\/([^/]+)/.exec(page.url())![1];
  const bytes = new Uint8Array(await (await page.request.get(`${alvex.address}/api/decks/${id}/deck.pdf`)).body());
  const pdfium = await PDFiumLibrary.init();
  const file = await pdfium.loadDocument(bytes);
  await page.setViewportSize(size);
  await page.goto(`${alvex.address}/decks/${id}/present`);
  await page.getByRole('button', { name: 'Show on this screen' }).click();
  // Cover, picture, table, figure and chart are among them.
  const slides = [...file.pages()].slice(0, 6);
  expect(slides).toHaveLength(6);
  const alone = await context.newPage();
  await alone.setViewportSize(size);
  /** Of the drawing, as a page shows it that has nothing else. */
  const drawing = async (number: number): Promise<Uint8Array> => {
    const svg = await page.request.get(`${alvex.address}/api/decks/${id}/deck.svg?only=${number}`);
    expect(svg.headers()['content-type']).toBe('image/svg+xml');
    const source = `data:image/svg+xml;base64,${(await svg.body()).toString('base64')}`;
    await alone.setContent(`<body style="margin:0"><img alt="" width="${size.width}" src="${source}">`);
    await alone.locator('img').evaluate((image: HTMLImageElement) => image.decode());
    return pixelsOf(await alone.screenshot());
  };
  const pixelsOf = (shot: Uint8Array): Uint8Array => {
    const { data, channels } = decode(shot);
    return Uint8Array.from({ length: size.width * size.height * 4 }, (_, at) =>
      at % 4 === 3 ? 255 : (data[Math.floor(at / 4) * channels + (at % 4)] as number),
    );
  };
  let elsewhere = 0;
  let before: Uint8Array | undefined;
  for (const [i, one] of slides.entries()) {
    await expect(page.getByRole('img', { name: new RegExp(`^Slide ${i + 1}\\b`) }).first()).toBeVisible();
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(200);
    const seen = pixelsOf(await page.screenshot());
    const drawn = (await one.render({ scale: 1, render: 'bitmap', colorSpace: 'BGRA' } as never)).data;
    // PDFium gives blue first.
    const painted = Uint8Array.from(drawn, (_, at) => drawn[at % 4 === 0 ? at + 2 : at % 4 === 2 ? at - 2 : at]!);
    // Edges of letters are smoothed otherwise; a word that stands elsewhere, or a shape that is missing, is more.
    expect([i + 1, differing(seen, painted) < 0.025]).toEqual([i + 1, true]);
    expect([i + 1, differing(seen, await drawing(i + 1)) < 0.01]).toEqual([i + 1, true]);
    if (before !== undefined) elsewhere = Math.max(elsewhere, differing(before, painted));
    before = painted;
    await page.keyboard.press('PageDown');
  }
  // Other slides would not pass for it.
  expect(elsewhere).toBeGreaterThan(0.05);
  file.destroy();
  pdfium.destroy();
});

test('writing can be cancelled, and a server that is away is told of', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: readFileSync(report) });
  await station(page, 'Hand over').click();
  const card = page.getByRole('region', { name: 'Pages' });
  // As a server tells that is busy: what is awaited, and how far it is.
  const told = ['{"waiting":1}', '{"progress":0.4}'];
  await page.route('**/deck.pdf*', (route) => {
    const line = told.shift();
    // Cut off in the middle: nothing is saved of it.
    if (line !== undefined)
      return route.fulfill({ contentType: 'application/x-alvex-watched-file', body: `${line}\n` });
    return undefined; // never answered
  });
  for (let i = 0; i < 2; i++) {
    await card.getByRole('button', { name: 'Download PDF' }).click();
    await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
  }
  await card.getByRole('button', { name: 'Download PDF' }).click();
  await card.getByRole('button', { name: 'Cancel' }).click();
  await expect(card.getByRole('status')).toContainText('Nothing was saved');
  await page.unroute('**/deck.pdf*');
  await page.route('**/deck.pdf*', (route) => route.abort());
  await card.getByRole('button', { name: 'Download PDF' }).click();
  await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
  await page.unroute('**/deck.pdf*');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    card.getByRole('button', { name: 'Download PDF' }).click(),
  ]);
  expect(file.suggestedFilename()).toContain('.pdf');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('slides are taken along as pictures, and as text that makes the same slides again', async ({
  page,
  alvex,
}, info) => {
  await bringIn(page, alvex, { name: 'report.docx', content: readFileSync(report) });
  await station(page, 'Hand over').click();
  const saved = async (card: string, button: string): Promise<string> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('region', { name: card }).getByRole('button', { name: button }).click(),
    ]);
    const file = info.outputPath(download.suggestedFilename());
    await download.saveAs(file);
    return file;
  };
  await page.getByRole('region', { name: 'Pictures' }).getByLabel('Width of each').selectOption('1280');
  const pictures = readFileSync(await saved('Pictures', 'Download ZIP'));
  expect(pictures.includes(Buffer.from('02 What the tide gives us.png'))).toBe(true);
  await expect(page.getByText(/^Saved: .+\.zip, 11 pictures/)).toBeVisible();
  // One of them, as a drawing.
  const card = page.getByRole('region', { name: 'Pictures' });
  await card.getByLabel('Which').selectOption('one');
  await card.getByLabel('Its number').fill('4');
  await card.getByLabel('Written as').selectOption('svg');
  const drawing = await saved('Pictures', 'Download SVG');
  expect(drawing).toMatch(/04 What it costs\.svg$/);
  expect(readFileSync(drawing, 'utf8')).toContain('<title>What it costs</title>');
  // A table of the deck, as values.
  const texts = page.getByRole('region', { name: 'Text with headings' });
  await texts.getByLabel('Written as').selectOption('csv');
  await texts.getByLabel('Which').selectOption({ label: '2 What it costs to run, 5 × 2' });
  const table = await saved('Text with headings', 'Download CSV');
  expect(readFileSync(table, 'utf8')).toBe(
    '\uFEFFItem,A month\r\nInsurance,310\r\n"Grease, belts, small parts",95\r\nGrain,420\r\nElectricity for light,60\r\n',
  );
  // Whatever was used last stands first when one comes again.
  await page.reload();
  await expect(page.getByRole('main').getByRole('region').first()).toHaveAccessibleName('Text with headings');
  await expect(card.getByText(/^\d+ kB when it was last written|^\d\.\d MB when it was last written/)).toHaveCount(0);
  await card.getByLabel('Width of each').selectOption('1280');
  await expect(card.getByText(/^\d.* when it was last written\.$/)).toBeVisible();

  const text = readFileSync(await saved('Text with headings', 'Download MD'), 'utf8');
  expect(text).toMatch(/\n## What the tide gives us\n/);
  await bringIn(page, alvex, { name: 'again.md', content: text });
  await expect(page.getByTestId('slide-count')).toHaveText('11 slides');
  await page.getByRole('link', { name: 'Present', exact: true }).click();
  await page.getByRole('button', { name: 'All slides' }).click();
  await expect(page.getByRole('button', { name: 'Go to slide 2' })).toBeVisible();
});
