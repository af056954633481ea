/**
 * Finds the tables of contents of a document by what they say: entries in a row that repeat its headings, or that lead
 * to pages. They stay in their place, left out.
 */
import { tableText } from '../content/index.ts';
import { blockText, withoutDivision, type Block, type DocumentModel } from '../document/index.ts';

const LEAST = 3; // entries
const SHARE = 0.6; // of the entries repeat a heading
const LONGEST = 300; // characters of an entry
/** Dots or a wide gap, then a page. */
const TO_PAGE = /\S(?:(?:\s*\.){3,}|\s*…+|\s*_{3,}|\t+|\s{3,})\s*(\d{1,4}|[ivxlc]{1,7})\s*$/i;
const TITLE_WORDS = 4;

/** A text without the number before it and the page behind it. */
const bare = (text: string): string =>
  withoutDivision(text.replace(/^\s+/, ''))
    .replace(text.length > LONGEST ? /$^/ : TO_PAGE, (found) => found.charAt(0))
    .replace(/^\s*(?:[([]?(?:\d{1,3}|[a-z]|[ivxlc]{1,6})(?:\.\d{1,3})*[.):\]]*|[–—•-])\s+/i, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '');

interface Entry {
  /** It says the same as a heading that stands behind it. */
  readonly repeats: boolean;
  readonly page: boolean;
}

/** @returns The same document where there is none. */
export function leaveContents(document: DocumentModel): DocumentModel {
  const left = new Set<Block>();
  const { blocks } = document;
  const last = lastHeadings(blocks);
  const entries = blocks.map((block, i) => entryOf(block, i, last));
  for (let i = 0; i < blocks.length;) {
    if (entries[i] === undefined) {
      i++;
      continue;
    }
    let end = i;
    while (entries[end] !== undefined) end++;
    const run = entries
      .slice(i, end)
      .flatMap((entry) => entry ?? [])
      .flat();
    const repeats = run.filter((entry) => entry.repeats).length;
    const pages = run.filter((entry) => entry.page).length;
    if ((repeats >= LEAST && repeats >= run.length * SHARE) || (pages >= LEAST && pages >= run.length * SHARE)) {
      for (const block of blocks.slice(i, end)) left.add(block);
      const title = blocks[i - 1];
      if (title !== undefined && isTitleOf(title, blocks[end])) left.add(title);
    }
    i = Math.max(end, i + 1);
  }
  if (left.size === 0) return document;
  return {
    ...document,
    blocks: blocks.map((block) =>
      left.has(block) && block.left === undefined ? { ...block, left: 'contents' } : block,
    ),
  };
}

/** Where each heading's text stands last. */
function lastHeadings(blocks: readonly Block[]): ReadonlyMap<string, number> {
  const last = new Map<string, number>();
  blocks.forEach((block, i) => {
    if (block.kind === 'heading' && block.left === undefined) last.set(bare(blockText(block)), i);
  });
  last.delete('');
  return last;
}

/** @returns undefined for what can be no entry; several for a table, one for each row. */
function entryOf(block: Block, at: number, last: ReadonlyMap<string, number>): readonly Entry[] | undefined {
  if (block.left !== undefined && block.left !== 'running-head' && block.left !== 'page-number') return undefined;
  // Heads of pages go on through a list of several pages.
  if (block.left !== undefined || (block.kind === 'break' && block.type === 'page')) return [];
  const repeats = (text: string): boolean => (last.get(bare(text)) ?? -1) > at;
  if (block.kind === 'table') {
    const rows = tableText(block.table).split('\n');
    return rows.map((row) => {
      const cells = row.split(' | ');
      const page = cells.length > 1 && /^\d{1,4}$/.test(cells.at(-1)!.trim());
      const name = cells.slice(0, page ? -1 : undefined).join(' ');
      return { repeats: repeats(name), page: page && repeats(name) };
    });
  }
  if (block.kind !== 'paragraph' && block.kind !== 'listItem' && block.kind !== 'heading') return undefined;
  if (block.kind === 'paragraph' && block.role === 'title') return undefined;
  const text = blockText(block);
  const lines = linesIn(text);
  if (lines.some((line) => line.length > LONGEST) || text.trim() === '') return undefined;
  const found = lines.map((line) => ({
    repeats: repeats(line) || repeats(line.replace(/\s+\d{1,4}\s*$/, '')),
    page: TO_PAGE.test(line),
  }));
  if (found.some(({ repeats: is, page }) => is || page)) return found;
  // Running text ends the list; a short line may be a part that the headings name otherwise.
  const short = text.length <= 80 && !/[.;!?]\s*$/.test(text);
  return short && block.kind === 'listItem' ? found : undefined;
}

/** A paragraph of several lines has an entry in each; leaders of dots part those that a reader took for one line. */
function linesIn(text: string): readonly string[] {
  return text.split('\n').flatMap((line) => {
    const parts = line.includes('....') || line.includes('. . . .') ? line.match(LED) : null;
    return parts === null || parts.join('').length < line.trimEnd().length ? [line] : parts;
  });
}
/** Leaders are bounded, so that a text of nothing but dots is looked through once. */
const LED = /\S(?:(?!(?:\s{0,4}\.){4}).){0,300}(?:\s{0,4}\.){4,400}\s{0,40}\d{1,4}(?:\s+|$)/g;

/** The short line above a list is its title where nothing else stands below it. */
function isTitleOf(block: Block, after: Block | undefined): boolean {
  if (block.left !== undefined || (block.kind !== 'heading' && block.kind !== 'paragraph')) return false;
  if (block.kind === 'paragraph' && block.role === 'title') return false;
  const text = blockText(block).trim();
  if (text === '' || text.split(/\s+/).length > TITLE_WORDS || /[.;!?]$|\d/.test(text)) return false;
  return block.kind === 'paragraph' || after === undefined || after.kind === 'heading' || after.kind === 'break';
}
