/** Writing a PPTX of 500 slides with title, five points and notes, compressed: ours and pptxgenjs; and the same as ODP. */
import { deflateRawSync } from 'node:zlib';
import type Peer from 'pptxgenjs';
import { convert, DEFLATE_SETTINGS, readDocument, writeDeck } from '../../packages/core/src/index.ts';
import { best, sentence, tell } from '../measure.ts';

const SLIDES = 500;
const content = Array.from({ length: SLIDES }, (_, i) => ({
  title: sentence(i, 5),
  points: Array.from({ length: 5 }, (_, k) => sentence(i + k, 9)),
  notes: sentence(i, 60),
}));
const [, , subject] = process.argv;

if (subject === 'ours' || subject === 'odp') {
  const source = content
    .map(({ title, points, notes }) => `# ${title}\n\n${points.map((point) => `- ${point}`).join('\n')}\n\n${notes}\n`)
    .join('\n');
  const { document } = await readDocument(new TextEncoder().encode(source), 'markdown');
  const converted = convert(document, []);
  let size = 0;
  const ms = await best(
    3,
    () =>
      (size = writeDeck(subject === 'odp' ? 'odp' : 'pptx', converted, [], {
        deflate: (bytes) => deflateRawSync(bytes, DEFLATE_SETTINGS),
      }).length),
  );
  tell(ms, { bytes: size });
} else {
  // Not at the top: it would count as our memory too.
  const { default: PptxGen } = await import('pptxgenjs');
  let size = 0;
  const ms = await best(3, async () => {
    const deck = new (PptxGen as unknown as new () => Peer)();
    for (const { title, points, notes } of content) {
      const slide = deck.addSlide();
      slide.addText(title, { x: 0.5, y: 0.3, w: 9, h: 0.8, fontSize: 32, bold: true });
      slide.addText(
        points.map((text) => ({ text, options: { bullet: true, breakLine: true } })),
        { x: 0.5, y: 1.3, w: 9, h: 4, fontSize: 20 },
      );
      slide.addNotes(notes);
    }
    const out = (await deck.write({ outputType: 'STREAM', compression: true })) as Uint8Array;
    size = out.length;
  });
  tell(ms, { bytes: size });
}
