/** Writes what was converted in any of the formats: what server and command line share, so that both give the same bytes. */
import { deflateRawSync } from 'node:zlib';
import {
  DEFLATE_SETTINGS,
  fontsUsed,
  PICTURE_WIDTHS,
  readingOf,
  sceneOf,
  writeDeck,
  type Converted,
  type FormatName,
  type PictureData,
  type SheetOptions,
  type WriteOptions,
} from '@alvex/core';
import { scalePictures, uprightPictures } from '@alvex/raster';

export interface OutputOptions {
  /** See `WriteOptions` of core. */
  readonly origin?: string | undefined;
  readonly template?: Uint8Array | undefined;
  /** Whether a presentation brings its fonts along. */
  readonly fonts?: boolean;
  /** Whether a presentation has a small picture of its first slide, by which files are known where they are shown. */
  readonly thumbnail?: boolean;
  /** What a PDF shows; slides alone, where it is not said. */
  readonly sheets?: Partial<SheetOptions>;
  /** Whether a document (DOCX) is a handout: slides before their passages, without what is for the speaker alone. */
  readonly handout?: boolean | undefined;
  /** Whether a page (HTML) or a text (Markdown) is the document, in the place of its deck. */
  readonly source?: boolean | undefined;
  /** Whether a page (HTML) has the speaker's notes; it has, where it is not said. */
  readonly notes?: boolean | undefined;
  /** Of pictures of slides, in pixels. */
  readonly width?: number | undefined;
  /** One slide or table alone, by its number, where a format has each as a file of its own. */
  readonly only?: number | undefined;
  /** Told what share is written, 0 to 1. */
  readonly progress?: (done: number) => void;
}

/** Pixels of a slide in a handout: enough for paper. */
const HANDOUT_WIDTH = 1200;

/** Pixels of a presentation's picture of itself. */
const THUMBNAIL_WIDTH = 256;

/** What share of the way it is until pictures are as large as they are shown; the rest is told by writers that take long. */
const SCALED = 0.3;

/** The same deck gives the same bytes. @throws ReadError for a template that cannot be read; NoSuchPart. */
export async function writeOutput(
  format: FormatName,
  converted: Converted,
  pictures: readonly PictureData[],
  {
    origin,
    template,
    fonts = false,
    thumbnail = false,
    sheets = {},
    notes = true,
    handout = false,
    source = false,
    width = PICTURE_WIDTHS.usual,
    only,
    progress,
  }: OutputOptions = {},
): Promise<Uint8Array> {
  const upright = await uprightPictures(pictures);
  const scaled = await scalePictures(upright, converted);
  progress?.(SCALED);
  const deflate = (part: Uint8Array) => deflateRawSync(part, DEFLATE_SETTINGS);
  const told = progress === undefined ? {} : { progress };
  if (format === 'png') {
    const { writePng } = await import('./png/write-png.ts');
    return writePng(sceneOf(converted), scaled, { width, only, ...told }, deflate);
  }
  if (format === 'svg') {
    const { writeSvg } = await import('./html/write-svg.ts');
    return writeSvg(sceneOf(converted), scaled, { only, ...told }, deflate);
  }
  if (format === 'html' && !source) {
    const { writeHtml } = await import('./html/write-html.ts');
    return writeHtml(sceneOf(converted), scaled, { notes, ...told });
  }
  if (format === 'pdf') {
    // Taken when it is needed: it brings a layout engine of some megabytes.
    const { writePdf } = await import('./pdf/write-pdf.ts');
    const options = { print: 'slides', paper: 'a4', ...sheets } as const;
    const document = options.print === 'handout' ? { document: readingOf(converted) } : {};
    return writePdf(sceneOf(converted), scaled, { ...options, ...document, ...told });
  }
  let slides: WriteOptions['slides'];
  if (format === 'docx' && handout) {
    const { slidePictures } = await import('./png/slide-pictures.ts');
    slides = await slidePictures(sceneOf(converted), scaled, { width: HANDOUT_WIDTH, ...told });
  }
  let embedded: WriteOptions['fonts'];
  if (fonts) {
    const { embeddableFonts } = await import('@alvex/font-files');
    embedded = await embeddableFonts(fontsUsed(converted.pages, converted.theme));
  }
  let shown: WriteOptions['thumbnail'];
  if (thumbnail && (format === 'pptx' || format === 'odp')) {
    const { slidePicture } = await import('./png/slide-pictures.ts');
    shown = await slidePicture(sceneOf(converted), scaled, THUMBNAIL_WIDTH);
  }
  // A document keeps its pictures as they are.
  const whole = source || format === 'docx' || format === 'odt';
  return writeDeck(format, converted, whole ? upright : scaled, {
    source,
    ...(only === undefined ? {} : { only }),
    ...(slides === undefined ? {} : { slides }),
    deflate,
    ...(origin === undefined ? {} : { origin }),
    ...(template === undefined ? {} : { template }),
    ...(embedded === undefined ? {} : { fonts: embedded }),
    ...(shown === undefined ? {} : { thumbnail: shown }),
  });
}
