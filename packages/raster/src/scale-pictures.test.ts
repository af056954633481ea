import { expect, test } from '@jest/globals';
import { convert, isTurned, PLAIN_DRESS, takePicture, type PictureData } from '@alvex/core';
import sharp from 'sharp';
import { doc, h, li, picture } from '../../core/src/test/build.ts';
import { scalePictures, uprightPictures } from './index.ts';

async function photo(width: number, height: number): Promise<PictureData> {
  const noise = Buffer.alloc(width * height * 3);
  for (let i = 0; i < noise.length; i++) noise[i] = (i * 7919) % 251;
  const bytes = await sharp(noise, { raw: { width, height, channels: 3 } })
    .jpeg()
    .toBuffer();
  return { id: 'a' as never, mime: 'image/jpeg', width, height, bytes: new Uint8Array(bytes) };
}
const report = doc(h(1, 'Pond'), li('Silt'), picture('a', 'Pond'));
const sized = { ...report, pictures: [{ id: 'a' as never, mime: 'image/jpeg' as const, width: 4000, height: 3000 }] };

test('a picture that is much larger than its slide shows it is made smaller, to what is needed', async () => {
  const big = await photo(4000, 3000);
  const [small] = await scalePictures([big], convert(sized, []));
  expect(small!.id).toBe('a');
  expect(small!.bytes.length).toBeLessThan(big.bytes.length / 2);
  // 5.4 inches at 220 to the inch.
  expect(small!.width).toBeGreaterThan(1000);
  expect(small!.width).toBeLessThan(1300);
});

test('one that is cut is kept as large as its cut needs', async () => {
  const part = convert(sized, []).deck.slides[0]!.content.find(({ kind }) => kind === 'picture')!.id;
  const dress = { ...PLAIN_DRESS, crop: [0.25, 0, 0.25, 0] as const };
  const [small] = await scalePictures([await photo(4000, 3000)], convert(sized, [{ kind: 'frame', part, dress }]));
  expect(small!.width).toBeGreaterThan(1300);
});

test('one that fits, one that no slide shows, and one that cannot be decoded stay as they are', async () => {
  const fits = await photo(1100, 800);
  expect((await scalePictures([fits], convert(sized, [])))[0]).toBe(fits);
  const other = { ...(await photo(4000, 3000)), id: 'b' as never };
  expect((await scalePictures([other], convert(sized, [])))[0]).toBe(other);
  const broken = { ...other, id: 'a' as never, bytes: new Uint8Array([1, 2, 3]) };
  expect((await scalePictures([broken], convert(sized, [])))[0]).toBe(broken);
});

test('a picture that lies on its side in its file stands up, and is made smaller so; all others stay', async () => {
  // Dark above, light below, once it is turned.
  const half = (width: number, height: number, r: number) => ({
    create: { width, height, channels: 3 as const, background: { r, g: r, b: r } },
  });
  const light = await sharp(half(2000, 3000, 250))
    .jpeg()
    .toBuffer();
  const lying = await sharp(half(4000, 3000, 20))
    .composite([{ input: light, left: 2000, top: 0 }])
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  const given = takePicture(new Uint8Array(lying), 'photo.jpg') as PictureData;
  expect([given.width, given.height]).toEqual([3000, 4000]);
  const plain = await photo(40, 30);
  const [upright, same] = await uprightPictures([{ ...given, id: 'a' as never }, plain]);
  expect(same).toBe(plain);
  const tall = { ...sized, pictures: [{ id: 'a' as never, mime: 'image/jpeg' as const, width: 3000, height: 4000 }] };
  const [small] = await scalePictures([upright!], convert(tall, []));
  for (const { bytes, width, height } of [upright!, small!]) {
    expect(width / height).toBeCloseTo(0.75, 2);
    expect(isTurned(bytes)).toBe(false);
    const { data, info } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
    expect([info.width, info.height]).toEqual([width, height]);
    expect([data[0]! < 60, data.at(-1)! > 200]).toEqual([true, true]);
  }
});
