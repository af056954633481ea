/** What belongs to the pages of the original and not to its text: tables of contents, heads and feet that come again and again. */
import { groupBy } from '../base/index.ts';
import { blockText, type Block } from '../document/index.ts';
import type { Finding } from './finding.ts';

const REPEATED = 4;

/** Lines that end in a page number behind dots or a tab, three or more in a row, that no style marks as contents. */
export function contentsLists(blocks: readonly Block[]): readonly Finding[] {
  const found: Finding[] = [];
  for (let i = 0; i < blocks.length;) {
    let end = i;
    while (end < blocks.length && isContentsLine(blocks[end]!)) end++;
    if (end - i >= 3) {
      // The word above it that says what it is goes with it.
      const head = blocks[i - 1];
      const named =
        head !== undefined &&
        /^(table of )?contents$|^inhalt(sverzeichnis)?$|^sommaire$|^índice$/i.test(blockText(head).trim());
      const some = blocks.slice(named ? i - 1 : i, end);
      found.push({
        kind: 'contents-list',
        block: some[0]!.id,
        detail: { is: 'lines', count: end - i },
        repairs: [
          { name: 'leave-out', changes: [{ kind: 'leave', blocks: some.map(({ id }) => id), as: 'navigation' }] },
        ],
      });
    }
    i = Math.max(end, i + 1);
  }
  return found;
}

const LONGEST_CONTENTS = 300; // characters

const isContentsLine = (block: Block): boolean =>
  (block.kind === 'paragraph' || block.kind === 'listItem') &&
  !('role' in block && block.role !== undefined) &&
  blockText(block).length < LONGEST_CONTENTS &&
  /\S(?:(?:\s*\.){3,}|\s*…+|\t+)\s*\d{1,4}\s*$/.test(blockText(block));

/** Short lines that come again and again are the head or foot of a page. */
export function runningHeads(blocks: readonly Block[]): readonly Finding[] {
  const short = blocks.filter((block) => {
    const text = block.kind === 'paragraph' && block.role === undefined ? blockText(block).trim() : '';
    return text.length <= 90 && /[\p{L}\p{N}]/u.test(text);
  });
  // They must be the same but for their numbers; numbers alone number the pages.
  const groups = groupBy(short, (block) => blockText(block).trim().replace(/\d+/g, '#').toLowerCase());
  return [...groups].flatMap(([key, lines]): readonly Finding[] => {
    if (lines.length < REPEATED) return [];
    const ids = lines.map(({ id }) => id);
    return [
      {
        kind: 'running-head',
        block: ids[0]!,
        detail: { is: 'often', text: key.slice(0, 50), count: ids.length },
        repairs: [
          {
            name: 'leave-out',
            changes: [{ kind: 'leave', blocks: ids, as: /\p{L}/u.test(key) ? 'running-head' : 'page-number' }],
          },
        ],
      },
    ];
  });
}
