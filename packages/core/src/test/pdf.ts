/** Files of PDF for tests. */
import PDFDocument from 'pdfkit';

/** Makes a PDF with an independent library. */
export function pdf(
  draw: (doc: PDFKit.PDFDocument) => void,
  options: PDFKit.PDFDocumentOptions = {},
): Promise<Uint8Array> {
  const doc = new PDFDocument({ size: 'A4', margin: 72, ...options });
  const pieces: Buffer[] = [];
  return new Promise((resolve) => {
    doc.on('data', (piece: Buffer) => pieces.push(piece));
    doc.on('end', () => resolve(new Uint8Array(Buffer.concat(pieces))));
    draw(doc);
    doc.end();
  });
}
export const PROSE =
  'The pond fills at high water and empties through the wheel as the tide goes down, twice in every day, and the miller sleeps when he can. Nobody set the hours but the moon.';
export const head = (doc: PDFKit.PDFDocument, text: string, size = 18) =>
  doc.font('Helvetica-Bold').fontSize(size).text(text);
export const body = (doc: PDFKit.PDFDocument, text = PROSE) => doc.font('Helvetica').fontSize(11).text(text).moveDown();
