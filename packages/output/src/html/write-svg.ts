/** Writes slides as drawings (SVG 2): text that can be found and changed, fonts and pictures within. */
import {
  drawParts,
  numberedName,
  ZipWriter,
  type Deflate,
  type PictureData,
  type Scene,
  type SceneSlide,
} from '@alvex/core';
import { slideNumbered, type SlidesOptions } from '../drawn.ts';
import { fontRules, PictureStore } from './brought-along.ts';
import { element, text } from './markup.ts';
import { TEXT_STYLE } from './page-style.ts';
import { slideSvg, type SvgTools } from './slide-svg.ts';

/** @throws NoSuchPart. */
export async function writeSvg(
  scene: Scene,
  pictures: readonly PictureData[],
  { only, progress }: SlidesOptions,
  deflate: Deflate,
): Promise<Uint8Array> {
  if (only !== undefined) return slideFile(scene, slideNumbered(scene, only), pictures);
  const zip = new ZipWriter(deflate);
  const shown = scene.slides.filter(({ hidden }) => !hidden);
  for (const [i, slide] of shown.entries()) {
    const name = numberedName(slide.number, scene.slides.length, slide.title, 'svg');
    zip.add({ name, content: await slideFile(scene, slide, pictures) });
    progress?.((i + 1) / shown.length);
  }
  return zip.finish([]);
}

async function slideFile(scene: Scene, slide: SceneSlide, pictures: readonly PictureData[]): Promise<Uint8Array> {
  const parts = drawParts(slide, scene.theme);
  // Each slide has letters of its own: parts of fonts are made for each.
  const { css, face } = await fontRules([parts], scene.language, 'truetype');
  const store = new PictureStore(pictures);
  // Slides that it leads to are not in the file.
  const tools: SvgTools = { face, picture: store.idOf, placeOf: () => undefined };
  const head = (): string =>
    [
      element('title', {}, text(slide.title)),
      `<style>${css}${TEXT_STYLE}</style>`,
      store.images === '' ? '' : element('defs', {}, store.images),
    ].join('');
  const drawing = slideSvg(tools, slide, parts, 1, 's', { lang: scene.language, head });
  return new TextEncoder().encode(`<?xml version="1.0" encoding="UTF-8"?>\n${drawing}\n`);
}
