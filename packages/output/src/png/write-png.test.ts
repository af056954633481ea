/** Slides as pictures: each one, at the size that is wanted, as the PDF shows it. */
import { describe, expect, test } from '@jest/globals';
import { convert, drawParts, openZip, sceneOf, type Edit } from '@alvex/core';
import sharp from 'sharp';
import { doc, h, li, p } from '../../../core/src/test/build.ts';
import { writeOutput } from '../index.ts';

const mill = doc(
  h(1, 'Tide: in/out?'),
  ...['The gates are of oak', 'They leak', 'Silt lies in the pit'].map((text) => li(text)),
  p('Said.'),
  h(1, 'بوابة المد'),
  li('水車は回る'),
  li('Wheel'),
  h(1, 'Hidden'),
  li('Not seen'),
);
async function written(edits: readonly Edit[], width?: number) {
  const bytes = await writeOutput('png', convert(mill, edits), [], { width });
  const zip = openZip(bytes);
  return { bytes, names: zip.names, read: (name: string) => zip.read(name) };
}
const [, , hidden] = convert(mill, []).deck.slides;
const HIDE: Edit = { kind: 'hide', slides: [hidden!.id], hidden: true };

describe('pictures of slides', () => {
  test('one for each slide that is shown, named by number and title, the same bytes each time', async () => {
    const { bytes, names, read } = await written([HIDE]);
    expect(names).toEqual(['01 Tide in out.png', '02 بوابة المد.png']);
    const { width, height, format, hasAlpha } = await sharp(read(names[0]!)).metadata();
    expect({ width, height, format, hasAlpha }).toEqual({ width: 1920, height: 1080, format: 'png', hasAlpha: false });
    expect(Buffer.from((await written([HIDE])).bytes).equals(bytes)).toBe(true);
  });

  test('at the width that is wanted, in the colours of the theme', async () => {
    const { names, read } = await written([{ kind: 'theme', theme: 'lamplight' }], 320);
    expect(names).toHaveLength(3);
    const { data, info } = await sharp(read(names[0]!)).raw().toBuffer({ resolveWithObject: true });
    expect([info.width, info.height, info.channels]).toEqual([320, 180, 3]);
    const { slides, theme } = sceneOf(convert(mill, [{ kind: 'theme', theme: 'lamplight' }]));
    // Its ground, which is no grey: red stands before blue.
    const ground = drawParts(slides[0]!, theme).ground.toLowerCase();
    const colors = Array.from({ length: data.length / 3 }, (_, i) => data.toString('hex', i * 3, i * 3 + 3));
    expect(colors.filter((color) => color === ground).length).toBeGreaterThan(colors.length / 3);
    // Words are drawn on it, in every script.
    for (const name of names) {
      const { channels } = await sharp(read(name)).stats();
      expect(channels[0]!.stdev).toBeGreaterThan(5);
    }
  });

  test('of one slide alone, hidden or not; a slide that is not there is told', async () => {
    const one = (only: number) => writeOutput('png', convert(mill, [HIDE]), [], { only, width: 320 });
    const { names, read } = await written([], 320);
    expect(Buffer.from(await one(2)).equals(read(names[1]!)!)).toBe(true);
    expect(Buffer.from(await one(3)).equals(read(names[2]!)!)).toBe(true);
    await expect(one(4)).rejects.toThrow('There is no slide 4; the last is 3.');
  });

  test('of a deck that shows nothing there are none', async () => {
    const all = convert(mill, []).deck.slides.map(({ id }) => id);
    const none = convert(mill, [{ kind: 'hide', slides: all, hidden: true }]);
    // An archive of nothing is its end alone (APPNOTE 4.3.16).
    expect(await writeOutput('png', none, [])).toHaveLength(22);
  });
});
