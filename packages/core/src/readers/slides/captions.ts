/** Lines that stand right below a picture are its caption. */
import { asParagraph, draftText, type Draft } from '../read-result.ts';
import type { Box, SlidePiece } from './read-slide.ts';

const LARGEST = 16; // points
const LONGEST = 160; // characters
/** Of the slide's height, between a picture and its caption. */
const NEAR = 0.06;
const OVERLAP = 0.02;
/** Of a caption's width, that stands below its picture. */
const UNDER = 0.6;

/** The same pieces, captions within those of their pictures. */
export function withCaptions(pieces: readonly SlidePiece[]): readonly SlidePiece[] {
  const pictures = pieces.filter(({ drafts, box }) => box !== undefined && drafts.at(-1)?.kind === 'picture');
  const captions = new Map<SlidePiece, SlidePiece>();
  for (const piece of pieces) {
    const picture = canBeCaption(piece)
      ? pictures.find((one) => !captions.has(one) && isUnder(piece.box!, one.box!))
      : undefined;
    if (picture !== undefined) captions.set(picture, piece);
  }
  if (captions.size === 0) return pieces;
  const taken = new Set(captions.values());
  return pieces.flatMap((piece): readonly SlidePiece[] => {
    if (taken.has(piece)) return [];
    const caption = captions.get(piece);
    return caption === undefined
      ? [piece]
      : [{ ...piece, drafts: [...piece.drafts, ...caption.drafts.map(asCaption)] }];
  });
}

const canBeCaption = ({ role, box, size, drafts }: SlidePiece): boolean =>
  role === 'free' &&
  box !== undefined &&
  size <= LARGEST &&
  drafts.length === 1 &&
  drafts[0]!.kind === 'listItem' &&
  !drafts[0]!.ordered &&
  draftText(drafts[0]!).length <= LONGEST;

function isUnder(caption: Box, picture: Box): boolean {
  const gap = caption.y - (picture.y + picture.height);
  const shared = Math.min(caption.x + caption.width, picture.x + picture.width) - Math.max(caption.x, picture.x);
  return gap >= -OVERLAP && gap <= NEAR && shared >= caption.width * UNDER;
}

const asCaption = (draft: Draft): Draft =>
  draft.kind === 'listItem' ? { ...asParagraph(draft), role: 'caption' } : draft;
