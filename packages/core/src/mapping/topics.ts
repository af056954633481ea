/** Where the topics of text begin that stands below no heading: a slide for every few paragraphs. */
import { remembered } from '../base/index.ts';
import { readWords, runsText } from '../content/index.ts';
import { findTitle, type DocumentModel } from '../document/index.ts';
import { isByline } from './byline.ts';

/** Less text is one slide. */
const LEAST_IN_ALL = 130; // words
/** So much is spoken at one slide. */
const TOPIC_WORDS = 75;
const LONGEST_NAME = 10; // words

/**
 * Places of paragraphs, each of which begins a slide: the first after the title, then as soon as enough was said. Text before
 * the first heading is looked at, which of a document with no headings is all of it.
 */
export const topicStarts = remembered(({ blocks }: DocumentModel): readonly number[] => {
  const title = findTitle(blocks);
  const titleAt = title === undefined ? -1 : blocks.indexOf(title);
  const paragraphs: { readonly at: number; readonly words: number; readonly names: boolean }[] = [];
  let lines = 0;
  for (let at = titleAt + 1; at < blocks.length && blocks[at]!.kind !== 'heading'; at++) {
    const block = blocks[at]!;
    if (block.kind !== 'paragraph' || block.left !== undefined || block.role !== undefined) continue;
    if (paragraphs.length === 0 && titleAt >= 0 && isByline(block, lines++ === 0)) continue;
    const words = readWords(runsText(block.runs));
    const names = words <= LONGEST_NAME && block.runs.every(({ bold, text }) => bold === true || text.trim() === '');
    if (words > 0) paragraphs.push({ at, words, names });
  }
  let left = paragraphs.reduce((sum, { words }) => sum + words, 0);
  if (left < LEAST_IN_ALL) return [];
  const starts: number[] = [];
  let said = Infinity;
  for (const { at, words, names } of paragraphs) {
    // What is too little for a slide stays with what is before it; a line in bold that names what follows goes with that.
    if (said >= (names ? TOPIC_WORDS / 3 : TOPIC_WORDS) && (starts.length === 0 || left >= TOPIC_WORDS / 2)) {
      starts.push(at);
      said = 0;
    }
    said += words;
    left -= words;
  }
  return starts;
});
