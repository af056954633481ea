/** What belongs to the page of a slide and not to its text: feet, numbers, what stands at the edge of many slides. */
import { getOrMake, type Report } from '../../base/index.ts';
import { asParagraph, draftText, type Draft } from '../read-result.ts';
import type { Box, ReadSlide, SlidePiece } from './read-slide.ts';
import { pieceText } from './slide-title.ts';

/** Of a page of notes: what it says at its edge is told once, its number not at all. */
export function leaveEdge(drafts: readonly Draft[], isNumber: boolean, report: Report): void {
  for (const draft of drafts)
    if (isNumber) report.mark(draftText(draft));
    else report.add('header-footer-left', {}, { text: draftText(draft) });
}

/** The first of what is the same on many slides stays in its place, left out. */
export class PageEdges {
  readonly #pieces = new Map<SlidePiece, 'first' | 'again'>();

  constructor(slides: readonly ReadSlide[], report: Report) {
    const found = new Map<string, SlidePiece[]>();
    const note = (key: string, piece: SlidePiece): void => void getOrMake(found, key, () => []).push(piece);
    slides.forEach((slide, i) => {
      for (const piece of slide.pieces) {
        if (!hasLinesOnly(piece)) continue;
        const text = pieceText(piece);
        if (piece.role === 'foot') note(`foot ${text}`, piece);
        else if (piece.role === 'number' || isNumberOf(piece, text, i + 1)) this.#pieces.set(piece, 'again');
        else if (isAtEdge(piece)) note(`edge ${text} ${pictureOf(piece)} ${placeOf(piece.box!)}`, piece);
      }
    });
    const often = Math.max(MOST_BY_CHANCE, slides.length * MANY);
    for (const [key, pieces] of found)
      if (key.startsWith('foot ') || pieces.length > often)
        pieces.forEach((piece, i) => this.#pieces.set(piece, i === 0 ? 'first' : 'again'));
    for (const [piece, as] of this.#pieces) if (as === 'again') report.mark(pieceText(piece));
  }

  takes(piece: SlidePiece): boolean {
    return this.#pieces.has(piece);
  }

  left({ pieces }: ReadSlide): readonly Draft[] {
    return pieces
      .filter((piece) => this.#pieces.get(piece) === 'first')
      .flatMap(({ drafts }) => drafts)
      .map((draft) => ({ ...(draft.kind === 'listItem' ? asParagraph(draft) : draft), left: 'running-head' }));
  }
}

const MOST_BY_CHANCE = 2;
const MANY = 0.3; // of the slides
const EDGE = 0.14; // of the slide's height
const SMALL = 16; // points; larger type may be a title

const isAtEdge = ({ role, box, size, drafts }: SlidePiece): boolean =>
  role === 'free' &&
  size < SMALL &&
  drafts.length > 0 &&
  box !== undefined &&
  (box.y + box.height <= EDGE || box.y >= 1 - EDGE);

/** Tables and the like are no furniture. */
const hasLinesOnly = ({ drafts }: SlidePiece): boolean =>
  drafts.every(({ kind }) => kind === 'listItem' || kind === 'picture');

const isNumberOf = (piece: SlidePiece, text: string, slide: number): boolean =>
  isAtEdge(piece) && new RegExp(`^${slide}(\\s*/\\s*\\d+)?$`).test(text);

const placeOf = ({ x, y }: Box): string => `${Math.round(x * 50)} ${Math.round(y * 50)}`;
const pictureOf = ({ drafts }: SlidePiece): string =>
  drafts.map((draft) => (draft.kind === 'picture' ? (draft.picture ?? '-') : '')).join();
