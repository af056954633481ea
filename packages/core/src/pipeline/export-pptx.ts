/** Writes what was converted as PPTX. */
import type { Deflate } from '../container/index.ts';
import type { PictureData } from '../content/index.ts';
import { makeScene } from '../scene/index.ts';
import { writeIntoTemplate, writePptx } from '../writers/pptx/index.ts';
import type { Converted } from './convert.ts';

/** @param template The file on which the deck is built, where it is built on one. @throws ReadError as `readTemplate` does. */
export function exportPptx(
  pictures: readonly PictureData[],
  converted: Converted,
  deflate?: Deflate,
  template?: Uint8Array,
): Uint8Array {
  const byId = new Map(pictures.map((picture) => [picture.id, picture]));
  const { title, author, language } = converted.document;
  const scene = makeScene(converted.pages, converted.theme, { title, author, language });
  return template === undefined || converted.theme.template === undefined
    ? writePptx(scene, (id) => byId.get(id), deflate)
    : writeIntoTemplate(scene, template, (id) => byId.get(id), deflate);
}
