/** What belongs to the pages of the original and not to its text: tables of contents, heads and feet that come again and again. */
import { blockText, type Block, type BlockId } from '../document/index.ts';
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
        detail: `${end - i} lines`,
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
  const groups = new Map<string, BlockId[]>();
  for (const block of blocks) {
    if (block.kind !== 'paragraph' || block.role !== undefined) continue;
    const text = blockText(block).trim();
    if (text.length > 90 || !/[\p{L}\p{N}]/u.test(text)) continue;
    const key = text.replace(/\d+/g, '#').toLowerCase();
    // Numbers alone: page numbers. Other lines must be the same but for their numbers.
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [block.id]);
    else group.push(block.id);
  }
  return [...groups].flatMap(([key, ids]): readonly Finding[] => {
    if (ids.length < REPEATED) return [];
    return [
      {
        kind: 'running-head',
        block: ids[0]!,
        detail: `“${key.slice(0, 50)}”, ${ids.length} times`,
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
