/** Each slide as a picture of its own, for what is printed beside text. */
import { createHash } from 'node:crypto';
import type { PictureData, Scene, SceneSlide } from '@alvex/core';
import { paintSlides, type PngOptions } from './write-png.ts';

/** Of a slide that goes on over several pages the first. */
export async function slidePictures(
  scene: Scene,
  pictures: readonly PictureData[],
  options: PngOptions,
): Promise<ReadonlyMap<SceneSlide['id'], PictureData>> {
  const found = new Map<SceneSlide['id'], PictureData>();
  await paintSlides(scene, pictures, options, ({ id }, bytes, height) => {
    if (found.has(id)) return;
    const hash = createHash('sha256').update(bytes).digest('hex') as PictureData['id'];
    found.set(id, { id: hash, mime: 'image/png', width: options.width, height, bytes });
  });
  return found;
}

/** The first that is shown, as a PNG; none of a deck that shows nothing. */
export async function slidePicture(
  scene: Scene,
  pictures: readonly PictureData[],
  width: number,
): Promise<Uint8Array | undefined> {
  let one: Uint8Array | undefined;
  const first = scene.slides.find(({ hidden }) => !hidden);
  if (first === undefined) return undefined;
  await paintSlides({ ...scene, slides: [first] }, pictures, { width }, (_, png) => (one = png));
  return one;
}
