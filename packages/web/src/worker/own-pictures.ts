/** Pictures that the deck has already, found by the words of their descriptions. */
import { searchWords, TagIndex, type Converted, type Edit, type Picture } from '@alvex/core';

export interface OwnPicture {
  readonly picture: Picture;
  /** What it shows. */
  readonly alt: string | null;
}

/**
 * @param words What is looked for; nothing is any.
 * @param text Of the slide: what suits it comes first where nothing is looked for.
 */
export function ownPictures(
  words: string,
  text: string,
  most: number,
  { converted, edits }: { readonly converted: Pick<Converted, 'document' | 'deck'>; readonly edits: readonly Edit[] },
): readonly OwnPicture[] {
  const all = held(converted, edits);
  const wanted = words.trim();
  const index = new TagIndex(all.map((own) => ({ own, name: '', tags: wordsOf(own.alt) })));
  const fitting = index.search(searchWords(wanted === '' ? text : wanted), most).map(({ own }) => own);
  if (wanted === '') return [...new Set([...fitting, ...all])].slice(0, most);
  // Scripts without blanks between words, and parts of words.
  const holding = all.filter(({ alt }) => alt?.toLowerCase().includes(wanted.toLowerCase()));
  return [...new Set([...fitting, ...holding])].slice(0, most);
}

const wordsOf = (text: string | null): readonly string[] => text?.match(/\p{L}[\p{L}\p{N}]*/gu) ?? [];

/** Each once, with the first description that it has: those of the document, then those that were put in, as they stand now. */
function held({ document, deck }: Pick<Converted, 'document' | 'deck'>, edits: readonly Edit[]): readonly OwnPicture[] {
  const found = new Map<Picture['id'], OwnPicture>();
  const add = (picture: Picture, alt: string | null): void => {
    const before = found.get(picture.id);
    if (before === undefined || before.alt === null) found.set(picture.id, { picture, alt });
  };
  const known = new Map(document.pictures.map((picture) => [picture.id, picture]));
  for (const block of document.blocks) {
    const picture = block.kind === 'picture' && block.picture !== undefined ? known.get(block.picture) : undefined;
    if (block.kind === 'picture' && picture !== undefined && block.left === undefined) add(picture, block.alt);
  }
  for (const { content } of deck.slides)
    for (const part of content) if (part.kind === 'picture' && part.own !== undefined) add(part.own, part.alt);
  // Those that stand nowhere any more.
  for (const edit of edits) if (edit.kind === 'place' || edit.kind === 'replace') add(edit.picture, edit.alt);
  return [...found.values()];
}
