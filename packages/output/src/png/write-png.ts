/** Writes each slide as a picture, all in one archive: pages of the PDF, painted by PDFium, so that they look as everywhere else. */
import { numberedName, type Deflate, type PictureData, type Scene, ZipWriter } from '@alvex/core';
import { PDFiumLibrary } from '@hyzyla/pdfium';
import sharp from 'sharp';
import { slideNumbered, type SlidesOptions } from '../drawn.ts';
import { writePdf } from '../pdf/write-pdf.ts';

export interface PngOptions extends SlidesOptions {
  /** Of each picture, in pixels. */
  readonly width: number;
}

/** Pages of the PDF, painted, each with its slide. */
export async function paintSlides(
  scene: Scene,
  pictures: readonly PictureData[],
  { width, progress }: PngOptions,
  take: (slide: Scene['slides'][number], png: Uint8Array, height: number) => void,
): Promise<void> {
  const pdf = await writePdf(scene, pictures, { print: 'slides', paper: 'a4' });
  const shown = scene.slides.filter(({ hidden }) => !hidden);
  // A module for each deck: its memory never shrinks.
  const library = await PDFiumLibrary.init();
  try {
    const document = await library.loadDocument(pdf);
    for (const [i, slide] of shown.entries()) {
      const page = document.getPage(i);
      const size = page.getOriginalSize();
      const scale = width / size.originalWidth;
      const { data } = await page.render({ scale, render: (image) => paint(image) });
      take(slide, data, Math.round(size.originalHeight * scale));
      progress?.((i + 1) / shown.length);
    }
    document.destroy();
  } finally {
    library.destroy();
  }
}

/** @throws NoSuchPart. */
export async function writePng(
  scene: Scene,
  pictures: readonly PictureData[],
  options: PngOptions,
  deflate: Deflate,
): Promise<Uint8Array> {
  if (options.only !== undefined) {
    let one = new Uint8Array() as Uint8Array;
    const slide = { ...slideNumbered(scene, options.only), hidden: false };
    await paintSlides({ ...scene, slides: [slide] }, pictures, options, (_, png) => (one = png));
    return one;
  }
  const zip = new ZipWriter(deflate);
  await paintSlides(scene, pictures, options, ({ number, title }, content) =>
    zip.add({ name: numberedName(number, scene.slides.length, title, 'png'), content, stored: true }),
  );
  return zip.finish([]);
}

interface Painted {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}
const paint = async ({ data, width, height }: Painted): Promise<Uint8Array> =>
  new Uint8Array(
    await sharp(data, { raw: { width, height, channels: 4 } })
      .removeAlpha()
      // Nearly as small as the best, in a fifth of the time.
      .png({ compressionLevel: 4 })
      .toBuffer(),
  );
