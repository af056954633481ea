/** A PDF of 200 pages: our reading, PDFium's own characters with their boxes, and pdfjs' own texts and operators: `pdf ours|pdfium|pdfjs`. */
import { PDFiumLibrary } from '@hyzyla/pdfium';
import PDFDocument from 'pdfkit';
import { readDocument } from '../../packages/core/src/index.ts';
import { best, sentence, tell } from '../measure.ts';

function pdf(pages: number): Promise<Uint8Array> {
  const doc = new PDFDocument();
  // Documents embed their fonts.
  for (const [name, file] of [
    ['text', '400Regular/SourceSerif4_400Regular.ttf'],
    ['bold', '700Bold/SourceSerif4_700Bold.ttf'],
  ] as const)
    doc.registerFont(name, `node_modules/@expo-google-fonts/source-serif-4/${file}`);
  const pieces: Buffer[] = [];
  return new Promise((resolve) => {
    doc.on('data', (piece: Buffer) => pieces.push(piece));
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(pieces))));
    for (let page = 0; page < pages; page++) {
      if (page > 0) doc.addPage();
      doc.font('bold').fontSize(18).text(sentence(page, 4)).moveDown();
      for (let i = 0; i < 8; i++)
        doc
          .font('text')
          .fontSize(11)
          .text(sentence(page * 8 + i, 55))
          .moveDown();
    }
    doc.end();
  });
}

type Calls = Readonly<Record<string, (...values: readonly number[]) => number>>;

async function characters(bytes: Uint8Array): Promise<void> {
  const library = await PDFiumLibrary.init();
  const { module } = library as unknown as { module: { HEAPU8: Uint8Array; wasmExports: Calls } };
  const calls = module.wasmExports;
  const at = calls['malloc']!(bytes.length);
  module.HEAPU8.set(bytes, at);
  const document = calls['FPDF_LoadMemDocument']!(at, bytes.length, 0);
  const box = calls['malloc']!(64);
  for (let number = 0; number < calls['FPDF_GetPageCount']!(document); number++) {
    const page = calls['FPDF_LoadPage']!(document, number);
    const text = calls['FPDFText_LoadPage']!(page);
    const count = calls['FPDFText_CountChars']!(text);
    for (let i = 0; i < count; i++) {
      calls['FPDFText_GetUnicode']!(text, i);
      calls['FPDFText_GetLooseCharBox']!(text, i, box);
      calls['FPDFText_GetFontSize']!(text, i);
      calls['FPDFText_GetFontWeight']!(text, i);
    }
    calls['FPDFText_ClosePage']!(text);
    calls['FPDF_ClosePage']!(page);
  }
  calls['FPDF_CloseDocument']!(document);
}

async function texts(bytes: Uint8Array): Promise<void> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  for (let i = 1; i <= document.numPages; i++) {
    const page = await document.getPage(i);
    await page.getOperatorList();
    await page.getTextContent();
  }
}

const [, , subject] = process.argv;
const bytes = await pdf(200);
const ms = await best(3, () =>
  subject === 'ours' ? readDocument(bytes, 'pdf') : subject === 'pdfium' ? characters(bytes) : texts(bytes),
);
tell(ms, { megabytes: bytes.length / 1_000_000 });
