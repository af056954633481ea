/** Which faces of which fonts pieces of text are set in, and with which characters. */
import type { DrawnPiece, FaceUse } from '@alvex/core';

type Style = FaceUse['style'];
export type SetPiece = Pick<DrawnPiece, 'text' | 'family' | 'bold' | 'italic'>;

export const isBold = (style: Style): boolean => style === 'bold' || style === 'boldItalic';
export const isItalic = (style: Style): boolean => style === 'italic' || style === 'boldItalic';
export const styleOf = ({ bold, italic }: Pick<DrawnPiece, 'bold' | 'italic'>): Style =>
  bold ? (italic ? 'boldItalic' : 'bold') : italic ? 'italic' : 'regular';
export const keyOf = (family: string, style: Style): string => `${family} ${style}`;

export interface UsedFace {
  readonly family: string;
  readonly style: Style;
  readonly signs: ReadonlySet<string>;
}

/** By `keyOf`, in the order of the keys. */
export function facesOf(pieces: Iterable<SetPiece>): ReadonlyMap<string, UsedFace> {
  const used = new Map<string, UsedFace & { readonly signs: Set<string> }>();
  for (const piece of pieces) {
    const style = styleOf(piece);
    const key = keyOf(piece.family, style);
    let use = used.get(key);
    if (use === undefined) used.set(key, (use = { family: piece.family, style, signs: new Set() }));
    for (const sign of piece.text) use.signs.add(sign);
  }
  return new Map([...used].sort(([a], [b]) => (a < b ? -1 : 1)));
}
