/** Pictures of a PDF come as its pages show them. */
import { expect, test } from '@jest/globals';
import { decode, encode } from 'fast-png';
import { body, pdf } from '../../test/pdf.ts';
import { readPdf } from './read-pdf.ts';

test('a picture keeps its colours, and what is seen through it; links keep where they lead', async () => {
  const pixel = (i: number): readonly number[] => [i * 3, 200 - i, 40, [0, 128, 255][i % 3]!];
  const drawn = Uint8Array.from(Array.from({ length: 60 * 40 }, (_, i) => pixel(i % 60)).flat());
  const bytes = await pdf((doc) => {
    body(doc);
    doc.text('Levels of the pond', { link: 'https://levels.example/pond' });
    doc.text('See the wheel', { goTo: 'wheel' });
    doc.image(Buffer.from(encode({ width: 60, height: 40, data: drawn, channels: 4 })), 72, 400, { width: 120 });
    doc.addNamedDestination('wheel');
  });
  const { document, pictures } = await readPdf(bytes);
  const links = document.blocks.flatMap((block) =>
    'runs' in block ? block.runs.flatMap(({ link }) => link ?? []) : [],
  );
  expect(links).toEqual(['https://levels.example/pond']);
  const { width, height, channels, data } = decode(pictures[0]!.bytes);
  expect([width, height, channels]).toEqual([60, 40, 4]);
  // Colours of what is not seen at all are nobody's.
  const far = drawn.map((value, i) => (drawn[i - (i % 4) + 3] === 0 ? 0 : Math.abs(value - data[i]!)));
  expect(Math.max(...far)).toBeLessThanOrEqual(2);
});

test('a picture that a page turns or mirrors comes as it is seen', async () => {
  const [columns, rows] = [60, 40];
  const corner = (x: number, y: number): readonly number[] =>
    x < columns / 2 ? (y < rows / 2 ? [250, 0, 0] : [0, 250, 0]) : y < rows / 2 ? [0, 0, 250] : [250, 250, 0];
  const pixels = Array.from({ length: columns * rows }, (_, i) => corner(i % columns, Math.floor(i / columns)));
  const file = Buffer.from(encode({ width: columns, height: rows, data: Uint8Array.from(pixels.flat()), channels: 3 }));
  const name = (at: readonly number[]): string =>
    at[2]! > 128 ? 'blue' : at[0]! > 128 ? (at[1]! > 128 ? 'yellow' : 'red') : 'green';
  const corners = async (draw: (doc: PDFKit.PDFDocument) => void, turned = 0): Promise<string> => {
    const bytes = await pdf((doc) => {
      if (turned > 0) Object.assign(doc.page.dictionary.data, { Rotate: turned });
      body(doc);
      draw(doc);
    });
    const { width, height, channels, data } = decode((await readPdf(bytes)).pictures[0]!.bytes);
    const at = (x: number, y: number): string => name(Array.from(data).slice((y * width + x) * channels));
    const [right, foot] = [width - 3, height - 3];
    return [`${width} × ${height}:`, at(2, 2), at(right, 2), at(2, foot), at(right, foot)].join(' ');
  };
  const plain = (doc: PDFKit.PDFDocument) => void doc.image(file, 200, 400, { width: 120 });
  const turn = (angle: number) => (doc: PDFKit.PDFDocument) =>
    void doc
      .save()
      .rotate(angle, { origin: [260, 440] })
      .image(file, 200, 400, { width: 120 })
      .restore();
  expect(await corners(plain)).toBe('60 × 40: red blue green yellow');
  expect(await corners(turn(90))).toBe('40 × 60: green red yellow blue');
  expect(await corners(turn(180))).toBe('60 × 40: yellow green blue red');
  expect(await corners(turn(270))).toBe('40 × 60: blue yellow red green');
  expect(await corners(plain, 90)).toBe('40 × 60: green red yellow blue');
  expect(await corners(turn(270), 90)).toBe('60 × 40: red blue green yellow');
  const mirrored = (doc: PDFKit.PDFDocument) =>
    void doc
      .save()
      .scale(-1, 1, { origin: [260, 440] })
      .image(file, 200, 400, { width: 120 })
      .restore();
  expect(await corners(mirrored)).toBe('60 × 40: blue red yellow green');
});

test('a JPEG stays as the file has it, also where other pictures are seen through', async () => {
  const photos = [
    '/9j/2wBDABQODxIPDRQSEBIXFRQYHjIhHhwcHj0sLiQySUBMS0dARkVQWnNiUFVtVkVGZIhlbXd7gYKBTmCNl4x9lnN+gXz/2wBDARUXFx4aHjshITt8U0ZTfHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHz/wAARCAAgACADASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAP/xAAUEAEAAAAAAAAAAAAAAAAAAAAA/8QAFgEBAQEAAAAAAAAAAAAAAAAAAAQF/8QAFBEBAAAAAAAAAAAAAAAAAAAAAP/aAAwDAQACEQMRAD8AiAkaQAAAAAD/2Q==',
    '/9j/2wBDABQODxIPDRQSEBIXFRQYHjIhHhwcHj0sLiQySUBMS0dARkVQWnNiUFVtVkVGZIhlbXd7gYKBTmCNl4x9lnN+gXz/2wBDARUXFx4aHjshITt8U0ZTfHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHx8fHz/wAARCAAgACADASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAT/xAAUEAEAAAAAAAAAAAAAAAAAAAAA/8QAFAEBAAAAAAAAAAAAAAAAAAAAAP/EABQRAQAAAAAAAAAAAAAAAAAAAAD/2gAMAwEAAhEDEQA/AIAAAAAAAAf/2Q==',
  ].map((text) => Buffer.from(text, 'base64'));
  const data = new Uint8Array(30 * 30 * 4).fill(100);
  for (const more of [[], [Buffer.from(encode({ width: 30, height: 30, data, channels: 4 }))]]) {
    const bytes = await pdf((doc) => {
      body(doc);
      [...photos, ...more].forEach((one, i) => doc.image(one, 72 + 110 * i, 400, { width: 100 }));
    });
    const { pictures } = await readPdf(bytes);
    const kept = pictures.filter(({ mime }) => mime === 'image/jpeg').map((picture) => Buffer.from(picture.bytes));
    expect(kept).toEqual(photos);
    expect(pictures).toHaveLength(photos.length + more.length);
  }
});
