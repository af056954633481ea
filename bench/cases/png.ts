/** Writing 100 slides as pictures, and as the PDF of which they are painted. */
import { deflateRawSync } from 'node:zlib';
import { beginning, convert, readDocument, sceneOf } from '../../packages/core/src/index.ts';
import { writePdf } from '../../packages/output/src/pdf/write-pdf.ts';
import { writePng } from '../../packages/output/src/png/write-png.ts';
import { deckSource } from '../deck-source.ts';
import { best, tell } from '../measure.ts';

const { document } = await readDocument(new TextEncoder().encode(deckSource(100)), 'markdown');
const scene = sceneOf(convert(document, beginning(document)));
const [, , subject] = process.argv;
let bytes = 0;
const ms = await best(2, async () => {
  bytes = (
    subject === 'pdf'
      ? await writePdf(scene, [], { print: 'slides', paper: 'a4' })
      : await writePng(scene, [], { width: 1920 }, (part) => deflateRawSync(part))
  ).length;
});
tell(ms, { bytes, slides: scene.slides.length });
