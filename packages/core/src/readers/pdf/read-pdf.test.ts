import { describe, expect, test } from '@jest/globals';
import { diagnosticText } from '../../base/index.ts';
import { encode } from 'fast-png';
import { blockText } from '../../document/index.ts';
import { random } from '../../test/build.ts';
import { body, head, pdf, PROSE } from '../../test/pdf.ts';
import { shortBlock } from '../../test/short-block.ts';
import { openDocument } from '../../pipeline/index.ts';
import { readPdf } from './read-pdf.ts';

const PICTURE = encode({ width: 60, height: 40, data: new Uint8Array(60 * 40 * 3).fill(90), channels: 3, depth: 8 });
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

test('running heads and page numbers are left out, in their places; words parted at line ends are whole again', async () => {
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
  expect(document.blocks.slice(0, 3).map((block) => [block.left, shortBlock(block)])).toEqual([
    ['running-head', 'p Sallow Quay Trust, draft'],
    [undefined, expect.stringContaining('the waterwheel and the sluice')],
    ['page-number', 'p 1'],
  ]);
  expect(document.diagnostics).toEqual([]);
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

test('three levels of headings stay three where bookmarks name the upper two; a title in two lines is one', async () => {
  const bytes = await pdf((doc) => {
    const part = doc.outline.addItem('Chapter 1: Tides');
    part.addItem('How the pond fills at high water and empties again through the wheel');
    head(doc, 'Tides', 22);
    body(doc);
    doc
      .font('Helvetica-Bold')
      .fontSize(16)
      .text('How the pond fills at high water and empties', 72, 220, { lineBreak: false });
    doc.text('again through the wheel', 72, 240);
    body(doc);
    for (const name of ['Springs', 'Neaps']) {
      head(doc, name, 13);
      body(doc);
    }
  });
  const lines = (await outline(bytes)).filter((line) => line.startsWith('h'));
  expect(lines).toEqual([
    'h1 Tides',
    'h2 How the pond fills at high water and empties again through the wheel',
    'h3 Springs',
    'h3 Neaps',
  ]);
});

test('bookmarks with the name of a division match headings without it, in any script', async () => {
  const { markBookmarks } = await import('./bookmarks.ts');
  const placed = (text: string, page: number) => ({
    draft: { kind: 'paragraph' as const, runs: [{ text }], place: { page } },
    page,
    y: 700,
  });
  const marked = markBookmarks(
    [placed('水車', 1), placed('潮の池', 2), placed('水車', 2), placed('Wheels', 3)],
    [
      { title: '第2章 水車', depth: 1, page: 2 },
      { title: 'Appendix B. Wheels', depth: 2, page: 3 },
    ],
  );
  expect(marked.map(({ draft }) => (draft.kind === 'heading' ? draft.level : draft.kind))).toEqual([
    'paragraph',
    'paragraph',
    1,
    2,
  ]);
});

test('notes at the foot of a page stand behind what refers to them; other small lines are text', async () => {
  const bytes = await pdf((doc) => {
    doc.font('Helvetica').fontSize(11).text('The mill ground barley', 72, 100, { lineBreak: false });
    const at = 72 + doc.widthOfString('The mill ground barley');
    doc.fontSize(7).text('1', at, 99, { lineBreak: false });
    doc
      .fontSize(11)
      .text(' for two hundred years, and nobody set the hours but the moon.', at + 4, 100, { lineBreak: false });
    doc.text('A second paragraph stands below the first and refers to nothing at all.', 72, 140);
    doc.fontSize(8).text('1 A grain that grows on the island, where', 72, 700, { lineBreak: false });
    doc.text('little else does.', 72, 711, { lineBreak: false });
    doc.text('2 Not referred to.', 72, 740, { lineBreak: false });
  });
  const { document } = await readPdf(bytes);
  expect(document.blocks.map((block) => `${block.kind} ${blockText(block)}`)).toEqual([
    'paragraph The mill ground barley for two hundred years, and nobody set the hours but the moon.',
    'footnote A grain that grows on the island, where little else does.',
    'paragraph A second paragraph stands below the first and refers to nothing at all.',
    'paragraph 2 Not referred to.',
  ]);
  expect(document.diagnostics).toEqual([]);
});

test('terms with whole sentences beside them are no table; bold in running text is no heading', async () => {
  const bytes = await pdf((doc) => {
    doc.font('Helvetica').fontSize(11);
    let y = 100;
    for (const term of ['pond', 'sluice']) {
      doc.text(term, 72, y, { lineBreak: false });
      doc.text('Where the water of the tide is kept until it goes down, and', 170, y, { lineBreak: false });
      doc.text('then runs out under the wheel by a gate of its own.', 170, y + 14, { lineBreak: false });
      y += 28;
    }
    doc.addPage();
    body(doc);
    doc.text('The gate is made of', { continued: true });
    doc
      .font('Helvetica-Bold')
      .text(
        ' oak from the wood that the trust has bought for one pound and it will be set by hand, plank after plank, before the springs of the next year come in and go out again,',
        { continued: true },
      );
    doc.font('Helvetica').text(' as the old one was.', { continued: false });
  });
  expect(await outline(bytes)).toEqual([
    '- pond',
    'p Where the water of the tide is kept until it goes down, and then runs out under the wheel by a gate of its own.',
    '- sluice',
    'p Where the water of the tide is kept until it goes down, and then runs out under the wheel by a gate of its own.',
    `p ${PROSE}`,
    expect.stringMatching(/^p The gate is made of oak .* as the old one was\.$/),
  ]);
});

test('what a tagged file says of its parts comes first', async () => {
  const bytes = await pdf(
    (doc) => {
      const document = doc.struct('Document');
      doc.addStructure(document);
      const add = (parent: PDFKit.PDFStructureElement, type: string, text: string): void => {
        parent.add(doc.struct(type, {}, () => void doc.text(text)));
      };
      doc.font('Helvetica').fontSize(11);
      add(document, 'H1', 'Tides');
      add(document, 'P', PROSE);
      add(document, 'H3', 'Springs');
      const list = doc.struct('L');
      document.add(list);
      const item = doc.struct('LI');
      list.add(item);
      add(item, 'Lbl', '(a)');
      const inner = doc.struct('LBody');
      item.add(inner);
      add(inner, 'P', 'High water');
      const second = doc.struct('L');
      inner.add(second);
      const deep = doc.struct('LI');
      second.add(deep);
      add(deep, 'LBody', '12 boats came in');
      const grid = doc.struct('Table');
      document.add(grid);
      for (const [type, ...cells] of [
        ['TH', 'Part', 'Cost'],
        ['TD', 'Wheel', '12'],
      ]) {
        const row = doc.struct('TR');
        grid.add(row);
        for (const cell of cells) add(row, type!, cell);
        row.end();
      }
      document.add(
        doc.struct(
          'Figure',
          { alt: 'The pond at low water' },
          () => void doc.image(Buffer.from(PICTURE), { width: 60 }),
        ),
      );
      document.add(doc.struct('P', { lang: 'fr-FR' }, () => void doc.text('Marées')));
      add(document, 'Note', '1 A note at the end.');
      document.end();
      doc.text('An artifact in the midst');
    },
    { tagged: true, pdfVersion: '1.5', lang: 'en-GB' } as PDFKit.PDFDocumentOptions,
  );
  const { document } = await readPdf(bytes);
  expect(document.blocks.map(shortBlock)).toEqual([
    'h1 Tides',
    `p ${PROSE}`,
    'h3 Springs',
    '(a) High water',
    '  - 12 boats came in',
    'table Part | Cost\nWheel | 12',
    'picture The pond at low water',
    'p Marées',
    'footnote A note at the end.',
    'p An artifact in the midst',
  ]);
  expect(document.blocks[3]).toMatchObject({ label: '(a)' });
  expect(document.blocks[5]).toMatchObject({ table: { rows: [{ header: true }, { header: false }] } });
  expect(document.language).toBe('en-GB');
  expect(document.diagnostics).toEqual([]);
});

test('text that runs upwards is told; a page that is a picture without text shows it', async () => {
  const bytes = await pdf((doc) => {
    body(doc);
    doc.rotate(90, { origin: [400, 400] }).text('DRAFT COPY', 400, 400, { lineBreak: false });
    doc.addPage({ margin: 0, size: 'A4' });
    doc.image(Buffer.from(PICTURE), 0, 0, { width: 595.28, height: 841.89 });
  });
  const { document } = await readPdf(bytes);
  expect(document.blocks.map(({ kind }) => kind)).toEqual(['paragraph', 'picture']);
  expect(document.diagnostics).toMatchObject([{ code: 'text-turned', params: { text: 'DRAFT COPY' } }]);
});
