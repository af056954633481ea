/** A presentation shows itself in small, where files are shown. */
import { expect, test } from '@jest/globals';
import { convert, openZip, sceneOf, type Edit } from '@alvex/core';
import sharp from 'sharp';
import { doc, h, li } from '../../core/src/test/build.ts';
import { checkPackage } from '../../package-check/src/index.ts';
import { writeOutput } from './index.ts';

const mill = doc(h(1, 'Tide mill'), li('Oak'), h(1, 'Second'), li('Elm'));
const [first] = convert(mill, []).deck.slides;
const PLACES = { pptx: 'docProps/thumbnail.png', odp: 'Thumbnails/thumbnail.png' } as const;

test.each(['pptx', 'odp'] as const)(
  '%s: its first slide that is shown, as it looks, where it is wanted',
  async (format) => {
    const made = convert(mill, []);
    const picture = async (edits: readonly Edit[]): Promise<Uint8Array> =>
      openZip(await writeOutput(format, convert(mill, edits), [], { thumbnail: true })).read(PLACES[format])!;
    const shown = await picture([]);
    expect(await sharp(shown).metadata()).toMatchObject({ format: 'png', width: 256, height: 144 });
    expect(Buffer.from(await picture([])).equals(shown)).toBe(true);
    const second = await picture([{ kind: 'hide', slides: [first!.id], hidden: true }]);
    expect(Buffer.from(second).equals(shown)).toBe(false);
    expect(openZip(await writeOutput(format, made, [])).names).not.toContain(PLACES[format]);
  },
);

test('the file is without a fault with it, and a deck that shows nothing has none', async () => {
  expect(await checkPackage(await writeOutput('pptx', convert(mill, []), [], { thumbnail: true }))).toEqual([]);
  const all = sceneOf(convert(mill, [])).slides.map(({ id }) => id);
  const none = convert(mill, [{ kind: 'hide', slides: all, hidden: true }]);
  expect(openZip(await writeOutput('pptx', none, [], { thumbnail: true })).names).not.toContain(PLACES.pptx);
});
