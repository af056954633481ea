/** Writing a tagged PDF of 500 slides with title, five points and notes: ours, and the floor of pdfkit drawing the same words in the same fonts. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { beginning, convert, readDocument, sceneOf } from '../../packages/core/src/index.ts';
import { writePdf } from '../../packages/output/src/pdf/write-pdf.ts';
import { best, sentence, tell } from '../measure.ts';

const SLIDES = 500;
const content = Array.from({ length: SLIDES }, (_, i) => ({
  title: sentence(i, 5),
  points: Array.from({ length: 5 }, (_, k) => sentence(i + k, 9)),
  notes: sentence(i, 60),
}));
const [, , subject] = process.argv;
let size = 0;

if (subject === 'ours') {
  const source = content
    .map(({ title, points, notes }) => `# ${title}\n\n${points.map((point) => `- ${point}`).join('\n')}\n\n${notes}\n`)
    .join('\n');
  const { document } = await readDocument(new TextEncoder().encode(source), 'markdown');
  const converted = convert(document, beginning(document));
  const ms = await best(3, async () => {
    size = (await writePdf(sceneOf(converted), [], { print: 'slides', paper: 'a4' })).length;
  });
  tell(ms, { bytes: size });
} else {
  const font = (name: string): Buffer => readFileSync(join(process.cwd(), 'node_modules/@expo-google-fonts', name));
  const serif = font('source-serif-4/700Bold/SourceSerif4_700Bold.ttf');
  const sans = font('source-sans-3/400Regular/SourceSans3_400Regular.ttf');
  const ms = await best(3, async () => {
    const doc = new PDFDocument({ autoFirstPage: false, tagged: true, pdfVersion: '1.7' });
    const pieces: Buffer[] = [];
    const ended = new Promise((done) => doc.on('end', done));
    doc.on('data', (piece: Buffer) => pieces.push(piece));
    doc.registerFont('heading', serif);
    doc.registerFont('body', sans);
    const root = doc.struct('Document');
    doc.addStructure(root);
    for (const { title, points } of content) {
      doc.addPage({ size: [960, 540], margin: 48 });
      const heading = () => void doc.font('heading', 34).text(title, 60, 60);
      const text = () => points.forEach((point) => doc.font('body', 22).text(`• ${point}`, { width: 840 }));
      root.add(doc.struct('H1', {}, heading)).add(doc.struct('P', {}, text));
    }
    root.end();
    doc.end();
    await ended;
    size = Buffer.concat(pieces).length;
  });
  tell(ms, { bytes: size });
}
