/** Writes a scene as PPTX: into the template that it is built on, or by itself. */
import type { Deflate } from '../../container/index.ts';
import type { EmbeddedFace, PictureSource, Scene } from '../../scene/index.ts';
import { writeIntoTemplate } from './write-into-template.ts';
import { writePptx } from './write-pptx.ts';

interface Options {
  readonly deflate?: Deflate;
  readonly template?: Uint8Array;
  /** Of decks that stand by themselves; a template has fonts of its own. */
  readonly fonts?: readonly EmbeddedFace[];
  readonly thumbnail?: Uint8Array;
}

/** @throws ReadError as `readTemplate` does. */
export const writeDeck = (
  scene: Scene,
  pictures: PictureSource,
  { deflate, template, fonts = [], thumbnail }: Options,
): Uint8Array =>
  template === undefined || scene.theme.template === undefined
    ? writePptx(scene, pictures, fonts, thumbnail, deflate)
    : writeIntoTemplate(scene, template, pictures, thumbnail, deflate);
