/**
 * The ledger of a file: what its source says, counted apart from the reader, against what the reader has in blocks, in
 * marks and in what it told of.
 */
import type { Report } from '../base/index.ts';
import { blockText, type Block } from '../document/index.ts';
import { Letters } from './letters.ts';

/** Gives the text of a source, piece by piece; a word stands within one piece. */
export type SourceText = (take: (piece: string) => void) => void;

export const each =
  (pieces: () => Iterable<string>): SourceText =>
  (take) => {
    for (const piece of pieces()) take(piece);
  };

/** Words that are named where some are missing. */
const MOST_NAMED = 12;
/** Characters of them. */
const LONGEST_NAMED = 200;
const WORD = /[\p{L}\p{N}\p{M}]+/gu;

/**
 * Adds to the report what is in the source and nowhere else. One pass over both where nothing is missing.
 */
export function accountFor(source: SourceText, blocks: readonly Block[], report: Report): void {
  const letters = new Letters();
  source((piece) => letters.add(piece));
  for (const text of toldTexts(blocks, report)) letters.add(text, -1);
  const missing = letters.left;
  if (missing === 0) return;
  const words = missingWords(source, toldTexts(blocks, report));
  report.add('words-missing', {}, { letters: missing, text: words });
}

function* toldTexts(blocks: readonly Block[], report: Report): Generator<string> {
  for (const block of blocks) yield blockText(block);
  yield* report.told;
}

function missingWords(source: SourceText, told: Iterable<string>): string {
  const counts = new Map<string, number>();
  for (const text of told) for (const [word] of text.matchAll(WORD)) counts.set(word, (counts.get(word) ?? 0) + 1);
  const found = (word: string): boolean => {
    const count = counts.get(word) ?? 0;
    if (count > 0) counts.set(word, count - 1);
    return count > 0;
  };
  const missing: string[] = [];
  /** The word before, where it is missing: a hyphen may part what is one word in the block. */
  let half: string | undefined;
  source((piece) => {
    for (const [word] of piece.matchAll(WORD)) {
      if (half !== undefined && found(half + word)) half = undefined;
      else {
        if (half !== undefined) missing.push(half);
        half = found(word) ? undefined : word;
      }
    }
  });
  if (half !== undefined) missing.push(half);
  const named = missing.slice(0, MOST_NAMED).join(' ');
  return named.length > LONGEST_NAMED ? named.slice(0, LONGEST_NAMED) : named;
}
