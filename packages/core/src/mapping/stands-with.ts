/** Blocks that stand with what comes right before them: on the cover, below a picture, behind a quotation. */
import { isPhotograph, runsText, type Picture } from '../content/index.ts';
import type { Content, Destination, PicturePart, Slide } from '../deck/index.ts';
import type { Block, DocumentModel } from '../document/index.ts';
import { isByline } from './byline.ts';

const MOST_ON_COVER = 3;
/** Pixels across, below which a picture is no cover. */
const LEAST_COVER = 600;
/** A few words behind a dash. */
const SOURCE_LINE = /^\s*[—–―]\s*\S.{0,78}$/u;

type OnCover = Pick<Slide, 'kind' | 'content' | 'notes'> | undefined;

/** Whether a paragraph stands on the cover: a subtitle, and where no slide is left bare, what says whose the document is. */
export const isOnCover = (slide: OnCover, block: Block, destination: Destination, tells: boolean): boolean =>
  slide?.kind === 'cover' &&
  block.kind === 'paragraph' &&
  (block.role === 'subtitle' || (tells && destination === 'notes' && isCoverLine(slide, block)));

/** Whose a document is, of when, for whom: what stands right below the title. */
const isCoverLine = ({ content, notes }: Pick<Slide, 'content' | 'notes'>, block: Block): boolean =>
  notes.length === 0 && content.length < MOST_ON_COVER && isByline(block, content.length === 0);

/** Whether a picture stands on the cover: a photograph right below the title. */
export function isPictureOnCover(
  slide: OnCover,
  block: Block,
  destination: Destination,
  { pictures }: DocumentModel,
): boolean {
  if (slide?.kind !== 'cover' || block.kind !== 'picture' || destination !== 'slide') return false;
  const picture = pictures.find(({ id }) => id === block.picture);
  return picture !== undefined && isCoverPicture(slide, picture);
}

const isCoverPicture = ({ content, notes }: Pick<Slide, 'content' | 'notes'>, picture: Picture): boolean =>
  isPhotograph(picture) &&
  picture.width >= LEAST_COVER &&
  notes.length === 0 &&
  !content.some(({ kind }) => kind === 'picture');

/** The picture that a block is the caption of. @param before The block before it. */
export function captioned(last: Content | undefined, block: Block, before: Block | undefined): PicturePart | undefined {
  if (block.kind !== 'paragraph' || block.role !== 'caption' || last?.kind !== 'picture') return undefined;
  return last.caption === undefined && last.blocks[0] === before?.id ? last : undefined;
}

/** Whether a block says who said the quotation before it. @param before The block before it. */
export const isSourceOf = (last: Content | undefined, block: Block, before: Block | undefined): boolean =>
  block.kind === 'paragraph' &&
  last?.kind === 'text' &&
  last.style === 'quote' &&
  last.blocks[0] === before?.id &&
  SOURCE_LINE.test(runsText(block.runs));
