/** Writes a scene as PPTX: into the template that it is built on, or by itself. */
import type { Deflate } from '../../container/index.ts';
import type { PictureSource, Scene } from '../../scene/index.ts';
import { writeIntoTemplate } from './write-into-template.ts';
import { writePptx } from './write-pptx.ts';

/** @throws ReadError as `readTemplate` does. */
export const writeDeck = (
  scene: Scene,
  pictures: PictureSource,
  { deflate, template }: { readonly deflate?: Deflate; readonly template?: Uint8Array },
): Uint8Array =>
  template === undefined || scene.theme.template === undefined
    ? writePptx(scene, pictures, deflate)
    : writeIntoTemplate(scene, template, pictures, deflate);
