/** Faces as a page or a drawing brings them along: parts of the shipped fonts. */
import type { FaceUse } from '@alvex/core';
import { BETWEEN, otherFaces } from './other-scripts.ts';
import { wholeFace } from './shipped.ts';

export interface WebFace {
  readonly family: string;
  readonly style: FaceUse['style'];
  readonly bytes: Uint8Array;
}
export interface WebFaces {
  readonly faces: readonly WebFace[];
  /** For what the families lack, by weight, in the order in which they are tried. */
  readonly others: Readonly<Record<'regular' | 'bold', readonly Uint8Array[]>>;
}

/** Compressed as well as can be (WOFF 2.0), or not at all (OpenType), which is made in a tenth of the time. */
export type FaceFormat = 'woff2' | 'truetype';

/** @param language Of the deck. @throws Error for a family that does not ship. */
export async function webFaces(
  uses: readonly FaceUse[],
  language: string | null,
  targetFormat: FaceFormat = 'woff2',
): Promise<WebFaces> {
  const { default: subsetFont } = await import('subset-font');
  const part = async (bytes: Uint8Array, characters: string): Promise<Uint8Array> =>
    new Uint8Array(await subsetFont(Buffer.from(bytes), characters, { targetFormat }));
  const faces: WebFace[] = [];
  const lacking = { regular: new Set<string>(), bold: new Set<string>() };
  for (const { family, style, characters } of uses) {
    const { bytes, has } = await wholeFace(family, style);
    const missing = lacking[style === 'bold' || style === 'boldItalic' ? 'bold' : 'regular'];
    const own = [...characters].filter((sign) => has(sign.codePointAt(0)!));
    for (const sign of characters) if (!has(sign.codePointAt(0)!)) missing.add(sign);
    faces.push({ family, style, bytes: await part(bytes, own.join('')) });
  }
  const others = async (weight: 'regular' | 'bold'): Promise<readonly Uint8Array[]> => {
    const signs = [...lacking[weight]].sort();
    const found = await otherFaces(signs, weight === 'bold', language);
    return Promise.all(found.map(({ bytes }) => part(bytes, signs.join('') + BETWEEN)));
  };
  return { faces, others: { regular: await others('regular'), bold: await others('bold') } };
}
