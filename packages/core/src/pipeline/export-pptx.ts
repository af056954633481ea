/** Writes what was converted as PPTX. */
import type { Deflate } from '../container/index.ts';
import type { PictureData } from '../content/index.ts';
import { makeScene } from '../scene/index.ts';
import { writePptx } from '../writers/pptx/index.ts';
import type { Converted } from './convert.ts';

export function exportPptx(pictures: readonly PictureData[], converted: Converted, deflate?: Deflate): Uint8Array {
  const byId = new Map(pictures.map((picture) => [picture.id, picture]));
  const { title, author, language } = converted.document;
  return writePptx(
    makeScene(converted.pages, converted.theme, { title, author, language }),
    (id) => byId.get(id),
    deflate,
  );
}
