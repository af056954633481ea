/** What another reader found in a file against what ours did: words that one of them lacks, and headings. */
import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { blockText, detectType, openDocument, type Block, type DocumentModel } from '../../packages/core/src/index.ts';

export interface Reading {
  readonly words: string;
  readonly headings: readonly { readonly level: number; readonly text: string }[];
}
export interface Compared {
  readonly file: string;
  readonly words: number;
  /** That the other reader has and ours has not, neither in its text nor in what it told. */
  readonly missing: readonly string[];
  /** That ours has more often. */
  readonly more: readonly string[];
  readonly headings: number;
  readonly otherHeadings: readonly string[];
}

const tokens = (text: string): readonly string[] =>
  // A word that is broken at the end of a line is one.
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[-\u00ad\u2010]\s*\n\s*/g, '')
    .match(/[\p{L}\p{N}]+/gu) ?? [];

function counted(words: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return counts;
}

/** Words of `from` that are not in `less`, each as often as it lacks. */
function without(from: ReadonlyMap<string, number>, less: ReadonlyMap<string, number>): readonly string[] {
  return [...from].flatMap(([word, times]) => Array<string>(Math.max(0, times - (less.get(word) ?? 0))).fill(word));
}

/** Words may be cut or joined otherwise, as at a hyphen: then they are made of words that the other has beyond, or a part of one. */
function cutOtherwise(words: readonly string[], others: readonly string[]): readonly string[] {
  const left = counted(others);
  const take = (word: string): boolean => {
    const times = left.get(word) ?? 0;
    if (times === 0) return false;
    left.set(word, times - 1);
    return true;
  };
  const isMade = (word: string): boolean => {
    if (word === '') return true;
    for (let to = word.length; to > 0; to--) {
      const piece = word.slice(0, to);
      if (!take(piece)) continue;
      if (isMade(word.slice(to))) return true;
      left.set(piece, left.get(piece)! + 1);
    }
    return false;
  };
  const rest = words.filter((word) => !isMade(word));
  // Or several of them make one of the others.
  let joined = [...left].flatMap(([word, times]) => Array<string>(times).fill(word)).join('\n');
  return rest.filter((word) => {
    const at = joined.indexOf(word);
    if (at < 0) return true;
    joined = `${joined.slice(0, at)}\n${joined.slice(at + word.length)}`;
    return false;
  });
}

const saidOf = (block: Block): string => (block.kind === 'picture' ? (block.alt ?? '') : blockText(block));

/** What ours has beside the text, and another reader may set into it: numbers of items, languages of code, what was told. */
const besides = ({ blocks, diagnostics }: DocumentModel): string =>
  [
    ...blocks.map((block) =>
      block.kind === 'listItem' || block.kind === 'heading'
        ? `${block.label ?? ''} ${block.kind === 'listItem' ? (block.number ?? '') : ''}`
        : block.kind === 'code'
          ? (block.language ?? '')
          : '',
    ),
    JSON.stringify(diagnostics),
  ].join('\n');

export async function compare(path: string, other: Reading): Promise<Compared> {
  const bytes = new Uint8Array(readFileSync(path));
  const { document } = await openDocument(bytes, detectType(bytes, basename(path)));
  const ours = counted(tokens(document.blocks.map(saidOf).join('\n')));
  const told = counted(tokens(besides(document)));
  const theirs = counted(tokens(other.words));
  const lacking = without(theirs, ours);
  const beyond = without(ours, theirs);
  const missing = without(counted(cutOtherwise(lacking, beyond)), told);
  const headings = document.blocks.flatMap((block) =>
    block.kind === 'heading' ? [`${block.level} ${tokens(blockText(block)).join(' ')}`] : [],
  );
  const wanted = other.headings
    .map(({ level, text }) => `${level} ${tokens(text).join(' ')}`)
    .filter((text) => /\s\S/.test(text));
  return {
    file: path,
    words: tokens(other.words).length,
    missing,
    more: cutOtherwise(beyond, lacking),
    headings: wanted.length,
    otherHeadings: without(counted(wanted), counted(headings)),
  };
}
