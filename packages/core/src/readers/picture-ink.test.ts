/** Pictures without a ground of their own are read on any slide. */
import { expect, test } from '@jest/globals';
import { encode } from 'fast-png';
import type { Picture } from '../content/index.ts';
import { convert, writeDeck } from '../pipeline/index.ts';
import { ZipReader } from '../container/index.ts';
import { decodeUtf8 } from '../base/index.ts';
import { drawSlide, sceneSlide } from '../scene/index.ts';
import { doc, h, picture, random } from '../test/build.ts';
import { contrastRatio } from '../theme/index.ts';
import { inkOf } from './picture-ink.ts';
import { takePicture } from './picture-store.ts';

const SIDE = 60;
type Pixel = readonly [number, number, number, number];
/** A picture of lines on what else is given. */
function png(line: Pixel, rest: Pixel): Uint8Array {
  const data = new Uint8Array(SIDE * SIDE * 4);
  for (let i = 0; i < SIDE * SIDE; i++) data.set(i % 7 < 2 ? line : rest, i * 4);
  return encode({ width: SIDE, height: SIDE, data, channels: 4, depth: 8 });
}
const CLEAR: Pixel = [255, 255, 255, 0];
const ink = (bytes: Uint8Array) => inkOf(bytes, 'image/png', SIDE, SIDE);

test('the ink of a picture is dark or light where the ground is seen through it', () => {
  expect(ink(png([20, 20, 40, 255], CLEAR))).toBe('dark');
  expect(ink(png([250, 250, 240, 255], CLEAR))).toBe('light');
  expect(ink(png([20, 20, 40, 255], [0, 0, 0, 0]))).toBe('dark');
});

test('a picture with a ground, or drawn in colours of both kinds, has none', () => {
  expect(ink(png([20, 20, 40, 255], [255, 255, 255, 255]))).toBeUndefined();
  expect(ink(png([200, 90, 40, 255], CLEAR))).toBeUndefined();
  const opaque = encode({ width: SIDE, height: SIDE, data: new Uint8Array(SIDE * SIDE * 3), channels: 3, depth: 8 });
  expect(ink(opaque)).toBeUndefined();
});

test('indexed colours with a clear one are looked at too', () => {
  const data = Uint8Array.from({ length: SIDE * SIDE }, (_, i) => (i % 7 < 2 ? 1 : 0));
  const indexed = (colors: Pixel[]) =>
    encode({
      width: SIDE,
      height: SIDE,
      data,
      channels: 1,
      depth: 8,
      palette: colors.map((color) => [...color]) as never,
    });
  expect(ink(indexed([CLEAR, [10, 10, 10, 255]]))).toBe('dark');
  expect(
    ink(
      indexed([
        [255, 255, 255, 255],
        [10, 10, 10, 255],
      ]),
    ),
  ).toBeUndefined();
});

test('one bit for each pixel is enough for a drawing', () => {
  // Two pixels of line in each eight.
  const data = new Uint8Array((SIDE / 8) * 8 * 8).fill(0b11000000);
  const palette = [[...CLEAR], [10, 10, 10, 255]] as never;
  const bytes = encode({ width: 64, height: data.length / 8, data, channels: 1, depth: 1, palette });
  expect(inkOf(bytes, 'image/png', 64, data.length / 8)).toBe('dark');
});

test('damaged bytes are no reason to fail', () => {
  const next = random(3);
  const good = png([20, 20, 40, 255], CLEAR);
  for (let n = 0; n < 60; n++) {
    const bytes = good.slice(0, 40 + Math.floor(next() * good.length));
    for (let k = 0; k < 4; k++) bytes[Math.floor(next() * bytes.length)] = Math.floor(next() * 256);
    expect(['dark', 'light', undefined]).toContain(ink(bytes));
  }
});

const taken = takePicture(png([20, 20, 40, 255], CLEAR), 'lines.png') as Picture & { readonly bytes: Uint8Array };
const shown = doc(h(1, 'The mill'), h(2, 'The wheel'), picture(taken.id, 'The wheel'));
const { bytes, ...known } = taken;
const document = { ...shown, pictures: [known] };

test('dark lines stand on a light ground in a dark deck, on the slide’s own in a light one', () => {
  expect(taken.ink).toBe('dark');
  for (const [theme, dark] of [
    ['lamplight', null],
    ['millrace', true],
    ['millrace', false],
    ['pebble', null],
  ] as const) {
    const made = convert(document, [
      { kind: 'theme', theme },
      { kind: 'mode', dark },
    ]);
    const page = made.pages.find(({ boxes }) => boxes.some(({ kind }) => kind === 'picture'))!;
    const { pictures, ground } = drawSlide(sceneSlide(page, 2, made.theme), made.theme);
    const behind = pictures[0]!.ground ?? ground;
    expect(contrastRatio(behind, '141428')).toBeGreaterThan(7);
    const zip = new ZipReader(writeDeck('pptx', made, [{ ...known, bytes }]));
    const xml = decodeUtf8(zip.read('ppt/slides/slide2.xml'));
    const filled = /<p:pic>.*?<p:spPr>.*?<a:solidFill><a:schemeClr val="(?:tx1|bg1)"\/><\/a:solidFill><\/p:spPr>/.test(
      xml,
    );
    expect(filled).toBe(made.theme.dark);
  }
});
