/** Which piece of a slide is its title, where the presentation does not say it: by place, size and length. */
import { draftText } from '../read-result.ts';
import type { ReadSlide, SlidePiece } from './read-slide.ts';

const LONGEST = 140; // characters
/** What is titled so stands in the upper part of its slide. */
const LOWEST_TOP = 0.4;
/** Factor by which a title's type is larger than that of the other text. */
const LARGER = 1.15;

export const pieceText = ({ drafts }: SlidePiece): string => drafts.map(draftText).join('\n').trim();

export function titleOf({ pieces }: ReadSlide): SlidePiece | undefined {
  const said = pieces.find((piece) => piece.role === 'title' && pieceText(piece) !== '');
  if (said !== undefined) return said;
  const texts = pieces.filter((piece) => piece.drafts.some((draft) => 'runs' in draft));
  const free = texts.filter((piece) => piece.role === 'free' && canBeTitle(piece));
  const others = (one: SlidePiece): readonly SlidePiece[] => texts.filter((piece) => piece !== one);
  const [best] = free
    .filter((one) => others(one).every(({ size }) => one.size > 0 && one.size >= size * LARGER))
    .toSorted((a, b) => b.size - a.size || (a.box?.y ?? 1) - (b.box?.y ?? 1));
  if (best !== undefined && (best.box === undefined || best.box.y < LOWEST_TOP || texts.length <= 2)) return best;
  // Of one size with the rest, what stands above everything is a title where it is as short as one.
  const [top, next] = texts.toSorted((a, b) => (a.box?.y ?? 1) - (b.box?.y ?? 1));
  return top !== undefined &&
    free.includes(top) &&
    top.box !== undefined &&
    top.box.y + top.box.height <= LOWEST_TOP &&
    (next === undefined || top.size >= next.size) &&
    (next?.box === undefined || next.box.y >= top.box.y + top.box.height * 0.5)
    ? top
    : undefined;
}

function canBeTitle({ drafts }: SlidePiece): boolean {
  const lines = drafts.filter((draft) => draftText(draft).trim() !== '');
  const length = lines.reduce((sum, draft) => sum + draftText(draft).length, 0);
  return (
    lines.length > 0 &&
    lines.length <= 2 &&
    length <= LONGEST &&
    lines.every((draft) => draft.kind === 'listItem' && !draft.ordered)
  );
}
