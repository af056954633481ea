import { describe, expect, test } from '@jest/globals';
import { diagnosticText } from '../../base/index.ts';
import { encode } from 'fast-png';
import PDFDocument from 'pdfkit';
import { blockText } from '../../document/index.ts';
import { random } from '../../test/build.ts';
import { shortBlock } from '../../test/short-block.ts';
import { openDocument } from '../../pipeline/index.ts';
import { readPdf } from './read-pdf.ts';

/** Makes a PDF with an independent library. */
function pdf(draw: (doc: PDFKit.PDFDocument) => void, options: PDFKit.PDFDocumentOptions = {}): Promise<Uint8Array> {
  const doc = new PDFDocument({ size: 'A4', margin: 72, ...options });
  const pieces: Buffer[] = [];
  return new Promise((resolve) => {
    doc.on('data', (piece: Buffer) => pieces.push(piece));
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(pieces))));
    draw(doc);
    doc.end();
  });
}
const PROSE =
  'The pond fills at high water and empties through the wheel as the tide goes down, twice in every day, and the miller sleeps when he can. Nobody set the hours but the moon.';
const head = (doc: PDFKit.PDFDocument, text: string, size = 18) => doc.font('Helvetica-Bold').fontSize(size).text(text);
const body = (doc: PDFKit.PDFDocument, text = PROSE) => doc.font('Helvetica').fontSize(11).text(text).moveDown();
const outline = async (bytes: Uint8Array): Promise<readonly string[]> =>
  (await openDocument(bytes, 'pdf')).document.blocks.map(shortBlock);

test('headings by size and weight, paragraphs by their gaps', async () => {
  const bytes = await pdf((doc) => {
    head(doc, 'The tide mill', 24);
    body(doc);
    head(doc, 'How it works');
    body(doc);
    body(doc, 'A second paragraph stands here, and is not part of the first one.');
    head(doc, 'What it costs');
    body(doc);
  });
  expect(await outline(bytes)).toEqual([
    'h1 The tide mill',
    `p ${PROSE}`,
    'h2 How it works',
    `p ${PROSE}`,
    'p A second paragraph stands here, and is not part of the first one.',
    'h2 What it costs',
    `p ${PROSE}`,
  ]);
});

test('headings by bookmarks, whatever they look like', async () => {
  const bytes = await pdf((doc) => {
    const one = doc.outline.addItem('Opening');
    body(doc, 'Opening');
    body(doc);
    one.addItem('The wheel');
    body(doc, '1.1 The wheel');
    body(doc);
  });
  expect((await readPdf(bytes)).document.blocks.map(shortBlock)).toEqual([
    'h1 Opening',
    `p ${PROSE}`,
    'h2 1.1 The wheel',
    `p ${PROSE}`,
  ]);
});

test('two columns are read one after the other, what spans them first', async () => {
  const words = (name: string): string => Array.from({ length: 60 }, (_, i) => `${name}${i}`).join(' ');
  const bytes = await pdf((doc) => {
    head(doc, 'A heading over both of the columns of the page', 20);
    doc.font('Helvetica').fontSize(10);
    doc.text(words('left'), 72, 140, { width: 215 });
    doc.text(words('right'), 305, 143, { width: 215 });
  });
  const text = (await outline(bytes)).join(' ');
  expect(text).toContain(words('left'));
  expect(text).toContain(words('right'));
  expect(text.indexOf('left59')).toBeLessThan(text.indexOf('right0'));
});

test('running heads and page numbers are left out and told of; words parted at line ends are whole again', async () => {
  const bytes = await pdf(
    (doc) => {
      for (let page = 1; page <= 4; page++) {
        doc.addPage();
        doc.font('Helvetica').fontSize(9).text('Sallow Quay Trust, draft', 72, 40);
        doc.fontSize(11).text(`Page ${page} tells of the water-`, 72, 200);
        doc.text('wheel and the sluice, and the text goes on to the end of this line here.', 72, 214);
        doc.fontSize(9).text(`${page}`, 300, 765, { lineBreak: false });
      }
    },
    { autoFirstPage: false },
  );
  const { document } = await readPdf(bytes);
  const text = document.blocks.map(shortBlock).join('\n');
  expect(text).toContain('the waterwheel and the sluice');
  expect(text).not.toContain('Trust, draft');
  expect(document.diagnostics.map(({ code }) => code)).toEqual(['running-head-left', 'page-numbers-left']);
});

test('simple tables, lists and pictures', async () => {
  const bytes = await pdf((doc) => {
    body(doc);
    let y = doc.y + 10;
    for (const row of [
      ['Item', '2027', '2028'],
      ['Wheel and shaft', '31,000', '4,500'],
      ['Roof', '12,000', '0'],
    ]) {
      row.forEach((cell, i) => doc.text(cell, 72 + i * 150, y, { lineBreak: false }));
      y += 16;
    }
    doc.text('', 72, y + 20);
    for (const item of ['• oak shaft', '• elm floats']) doc.text(item, 72);
    doc.text('– forty of them', 100);
    doc.image(
      Buffer.from(encode({ width: 40, height: 30, data: new Uint8Array(40 * 30 * 3).fill(90), channels: 3 })),
      72,
      500,
      { width: 100 },
    );
  });
  const { document, pictures } = await readPdf(bytes);
  expect(document.blocks.map(shortBlock)).toEqual([
    `p ${PROSE}`,
    'table Item | 2027 | 2028\nWheel and shaft | 31,000 | 4,500\nRoof | 12,000 | 0',
    '- oak shaft',
    '- elm floats',
    '  - forty of them',
    'picture',
  ]);
  expect(pictures).toMatchObject([{ mime: 'image/png', width: 40, height: 30 }]);
});

test('every word that is set comes out in a block or is told, whatever stands around it', async () => {
  for (let seed = 1; seed <= 25; seed++) {
    const next = random(seed);
    const given: string[] = [];
    const words = (most: number): string =>
      Array.from({ length: 1 + Math.floor(next() * most) }, () => {
        given.push(`w${given.length}x`);
        return given.at(-1)!;
      }).join(' ');
    const bytes = await pdf((doc) => {
      for (let i = 0; i < 20; i++) {
        const size = [9, 11, 11, 11, 16, 24][Math.floor(next() * 6)]!;
        doc.font(next() < 0.3 ? 'Helvetica-Bold' : 'Helvetica').fontSize(size);
        const kind = Math.floor(next() * 6);
        if (kind === 0) doc.text(`• ${words(8)}`, 72 + Math.floor(next() * 3) * 20);
        else if (kind === 1) doc.text(words(60), 72, doc.y, { width: 220, align: 'justify' });
        else if (kind === 2) {
          const { y } = doc;
          for (let column = 0; column < 3; column++) doc.text(words(1), 72 + column * 150, y, { lineBreak: false });
          doc.text('', 72, y + size * 1.4);
        } else if (kind === 3) doc.text(words(4), 72, doc.y, { align: 'center' });
        else if (kind === 4 && next() < 0.3) doc.addPage();
        else doc.text(words(40), 72).moveDown(next());
      }
    });
    const { document } = await openDocument(bytes, 'pdf');
    const told = [...document.blocks.map(blockText), ...document.diagnostics.map(diagnosticText)].join(' ');
    const found = new Set(told.match(/w\d+x/g));
    expect([seed, given.filter((word) => !found.has(word))]).toEqual([seed, []]);
  }
}, 120_000);

describe('what cannot be read', () => {
  test('pictures of pages', async () => {
    const bytes = await pdf((doc) => doc.rect(10, 10, 50, 50).fill());
    await expect(readPdf(bytes)).rejects.toMatchObject({ code: 'no-text' });
  });
  test('a protected file', async () => {
    const bytes = await pdf((doc) => body(doc), { userPassword: 'secret' });
    await expect(readPdf(bytes)).rejects.toMatchObject({ code: 'encrypted' });
  });
  test('a damaged file', async () => {
    await expect(readPdf(new TextEncoder().encode('%PDF-1.4 nothing more'))).rejects.toMatchObject({ code: 'bad-pdf' });
  });
});
