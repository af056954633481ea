/** The look: layouts chosen for 500 slides, 100 thumbnails, and 500 slides with 100 pictures and 50 charts beside pptxgenjs. */
import { deflateRawSync } from 'node:zlib';
import { encode } from 'fast-png';
import type Peer from 'pptxgenjs';
import {
  chooseLayouts,
  convert,
  DEFLATE_SETTINGS,
  layOutSlide,
  optionsOf,
  readDocument,
  takePicture,
  usualSettings,
  type Edit,
  type PictureData,
  writeDeck,
} from '../../packages/core/src/index.ts';
import { drawPage } from '../../packages/web/src/worker/draw.ts';
import { best, sentence, tell } from '../measure.ts';

const SLIDES = 500;
const [, , subject] = process.argv;

const points = (i: number, count: number, words: number): string =>
  Array.from({ length: count }, (_, k) => `- ${sentence(i + k, words)}`).join('\n');
const rows = Array.from({ length: 6 }, (_, r) => `| ${2020 + r} | ${1000 + r * 137} | ${400 + r * 61} |`).join('\n');
/** One slide in five has a picture, one in ten a table of numbers, the others points of several kinds. */
const source = Array.from({ length: SLIDES }, (_, i) => {
  const title = `# ${sentence(i, 5)}`;
  if (i % 10 === 4) return `${title}\n\n| Year | Grown | Children |\n|---|---|---|\n${rows}\n`;
  return `${title}\n\n${points(i, 3 + (i % 5), i % 3 === 0 ? 4 : 9)}\n\n${sentence(i, 60)}\n`;
}).join('\n');
const { document } = await readDocument(new TextEncoder().encode(source), 'markdown');

const noise = (i: number): Uint8Array =>
  encode({
    width: 320,
    height: 200,
    channels: 3,
    data: new Uint8Array(320 * 200 * 3).map((_, k) => (k * (i + 7)) % 251),
  });
const pictures = (): readonly PictureData[] =>
  Array.from({ length: 100 }, (_, i) => takePicture(noise(i), `p${i}.png`)).filter((one) => typeof one !== 'string');

if (subject === 'choose' || subject === 'lay-out') {
  const { deck, theme } = convert(document, []);
  const options = optionsOf(document, theme, 'continue');
  // Fresh text each time: what was measured once is not measured again.
  const work =
    subject === 'choose'
      ? () => chooseLayouts(deck.slides, options)
      : () => deck.slides.map((slide) => layOutSlide(slide, options));
  tell(await best(1, work));
} else if (subject === 'thumbnails') {
  const { pages, theme } = convert(document, []);
  tell(await best(5, () => pages.slice(0, 100).map((page, i) => drawPage({ ...page }, i, theme))));
} else if (subject === 'ours') {
  const all = pictures();
  const slides = convert(document, []).deck.slides;
  const edits: Edit[] = [];
  slides.forEach((slide, i) => {
    const picture = all[Math.floor(i / 5)];
    if (i % 5 === 0 && picture !== undefined) {
      const { bytes: _, ...about } = picture;
      edits.push({
        kind: 'place',
        slide: slide.id,
        part: `own${i}` as never,
        after: null,
        picture: about,
        alt: 'A pond',
      });
    }
    const table = slide.content.find((part) => part.kind === 'table');
    if (table !== undefined)
      edits.push({
        kind: 'chart',
        part: table.id,
        chart: usualSettings(
          { categories: ['a'], series: [], format: { decimals: 0, decimal: '.', group: '', prefix: '', suffix: '' } },
          'column',
        ),
      });
  });
  const converted = convert(document, edits);
  let size = 0;
  const ms = await best(
    3,
    () =>
      (size = writeDeck('pptx', converted, all, {
        deflate: (bytes) => deflateRawSync(bytes, DEFLATE_SETTINGS),
      }).length),
  );
  tell(ms, { bytes: size });
} else {
  // Not at the top: it would count as our memory too.
  const { default: PptxGen } = await import('pptxgenjs');
  const all = pictures().map(({ bytes }) => `data:image/png;base64,${Buffer.from(bytes).toString('base64')}`);
  let size = 0;
  const ms = await best(3, async () => {
    const deck = new (PptxGen as unknown as new () => Peer)();
    for (let i = 0; i < SLIDES; i++) {
      const slide = deck.addSlide();
      slide.addText(sentence(i, 5), { x: 0.5, y: 0.3, w: 9, h: 0.8, fontSize: 32, bold: true });
      if (i % 10 === 4) {
        const labels = Array.from({ length: 6 }, (_, r) => String(2020 + r));
        slide.addChart(
          deck.ChartType.bar,
          [
            { name: 'Grown', labels, values: labels.map((_, r) => 1000 + r * 137) },
            { name: 'Children', labels, values: labels.map((_, r) => 400 + r * 61) },
          ],
          { x: 0.5, y: 1.3, w: 9, h: 4 },
        );
      } else
        slide.addText(
          Array.from({ length: 3 + (i % 5) }, (_, k) => ({
            text: sentence(i + k, i % 3 === 0 ? 4 : 9),
            options: { bullet: true, breakLine: true },
          })),
          { x: 0.5, y: 1.3, w: 5, h: 4, fontSize: 20 },
        );
      if (i % 5 === 0) slide.addImage({ data: all[i / 5]!, x: 6, y: 1.3, w: 3.2, h: 2, altText: 'A pond' });
      slide.addNotes(sentence(i, 60));
    }
    size = ((await deck.write({ outputType: 'STREAM', compression: true })) as Uint8Array).length;
  });
  tell(ms, { bytes: size });
}
