/** What is on drawn slides, for writers that bring fonts and pictures along. */
import type { DrawnParts, DrawnPicture, DrawnPiece, PictureData } from '@alvex/core';
import type { SetPiece } from './faces.ts';

export function* piecesIn(drawn: Iterable<DrawnParts>): Generator<SetPiece> {
  for (const { boxes, foot, number, backdrop } of drawn) {
    for (const { texts } of boxes) for (const { pieces } of texts) yield* pieces;
    for (const { pieces } of foot) yield* pieces;
    if (number !== null) yield { text: '0123456789', family: number.family, bold: false, italic: false };
    for (const item of backdrop) if (item.kind === 'text') yield item;
  }
}

export function* picturesIn(
  drawn: Iterable<DrawnParts>,
): Generator<{ readonly picture: PictureData['id']; readonly tone?: DrawnPicture }> {
  for (const { boxes, behind, backdrop } of drawn) {
    for (const { pictures } of boxes) for (const picture of pictures) yield { picture: picture.picture, tone: picture };
    for (const picture of behind) yield { picture: picture.picture, tone: picture };
    for (const item of backdrop) if (item.kind === 'picture') yield item;
  }
}

/** Neighbours that lead to the same place. */
export function byLink(pieces: readonly DrawnPiece[]): readonly (readonly DrawnPiece[])[] {
  const groups: DrawnPiece[][] = [];
  for (const piece of pieces) {
    const last = groups.at(-1);
    if (last !== undefined && last[0]!.link === piece.link) last.push(piece);
    else groups.push([piece]);
  }
  return groups;
}
