/** What is on drawn slides, for writers that bring fonts and pictures along. */
import {
  NoSuchPart,
  type DrawnParts,
  type DrawnPicture,
  type DrawnPiece,
  type PictureData,
  type Scene,
  type SceneSlide,
} from '@alvex/core';
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

/** Neighbours that lead to the same place: of the web, or of the deck. */
export function byLink(pieces: readonly DrawnPiece[]): readonly (readonly DrawnPiece[])[] {
  const groups: DrawnPiece[][] = [];
  for (const piece of pieces) {
    const last = groups.at(-1);
    const [one] = last ?? [];
    if (one !== undefined && one.to === piece.to && (one.to !== undefined || one.link === piece.link))
      last!.push(piece);
    else groups.push([piece]);
  }
  return groups;
}

/** Of a format that has each slide as a file of its own. */
export interface SlidesOptions {
  /** The number of one slide; all that are shown in an archive where it is not said. */
  readonly only?: number | undefined;
  /** Told what share is written, 0 to 1. */
  readonly progress?: (done: number) => void;
}

/** A slide by its number, hidden or not. @throws NoSuchPart. */
export function slideNumbered({ slides }: Scene, number: number): SceneSlide {
  const found = slides.find((slide) => slide.number === number);
  if (found === undefined) throw new NoSuchPart('slide', number, slides.at(-1)?.number ?? 0);
  return found;
}
