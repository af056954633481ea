/** Headings that will make poor titles, or that stand where they should not. */
import { countWords, runsText, sliceRuns, trimRuns } from '../content/index.ts';
import { blockText, blockWords, type Block, type DocumentModel, type Heading, type Level } from '../document/index.ts';
import type { StructureChange } from './change.ts';
import type { Finding, FindingOptions, Repair } from './finding.ts';
import { branchOf } from './restructure.ts';
import { dividedBlock, type BlockId } from '../ids/index.ts';

const shape = (block: BlockId, level: Level): StructureChange => ({
  kind: 'shape',
  shapes: [{ block, as: { kind: 'heading', level } }],
});
const makeText = (block: BlockId): Repair => ({
  name: 'make-text',
  changes: [{ kind: 'shape', shapes: [{ block, as: { kind: 'paragraph' } }] }],
});

export function headingFindings(
  document: DocumentModel,
  blocks: readonly Block[],
  headings: readonly Heading[],
  title: Block | undefined,
  { titleFits }: FindingOptions,
): readonly Finding[] {
  const found: Finding[] = [];
  const titles = new Map<string, number>();
  const next = nextHeadings(blocks);
  const top = headings.reduce((least, one) => Math.min(least, one.level), 6);
  let before: Heading | undefined;
  headings.forEach((heading, i) => {
    const text = runsText(heading.runs).trim();
    if (text === '') {
      found.push(empty(heading));
      return;
    }
    const highest = before === undefined ? top : before.level + 1;
    if (heading.level > highest) found.push(skipped(document, heading, before, highest));
    before = heading;
    if (!titleFits(heading.runs)) found.push(long(heading, text));
    const key = text.toLowerCase();
    const count = (titles.get(key) ?? 0) + 1;
    titles.set(key, count);
    if (count > 1) found.push(repeated(heading, text, count));
    if (heading === title) return;
    const behind = next.get(heading.id);
    if (behind === undefined || (behind.kind === 'heading' && behind.level <= heading.level)) found.push(bare(heading));
    const [only, ...others] = childrenOf(headings, i);
    if (only !== undefined && others.length === 0) found.push(lone(document, only, heading, text));
  });
  return found;
}

const empty = ({ id, level }: Heading): Finding => ({
  kind: 'empty-heading',
  block: id,
  detail: { is: 'level', level },
  repairs: [{ name: 'remove', changes: [{ kind: 'leave', blocks: [id], as: 'deleted' }] }],
});

/** @param highest Level at which it would skip none. */
const skipped = (
  { blocks }: DocumentModel,
  { id, level }: Heading,
  above: Heading | undefined,
  highest: number,
): Finding => ({
  kind: 'skipped-level',
  block: id,
  detail: { is: 'skip', above: above?.level ?? null, level },
  repairs: [raise(blocks, id, level - highest)],
});

function long(heading: Heading, text: string): Finding {
  const parts = divideTitle(heading);
  return {
    kind: 'long-title',
    block: heading.id,
    detail: { is: 'words', count: countWords(text) },
    repairs: [...(parts === undefined ? [] : [parts]), makeText(heading.id)],
  };
}

const repeated = ({ id, level, runs }: Heading, text: string, count: number): Finding => ({
  kind: 'repeated-title',
  block: id,
  detail: { is: 'again', text: text.slice(0, 60), count },
  repairs: [
    {
      name: 'number',
      changes: [
        {
          kind: 'write',
          replaces: [id],
          after: null,
          blocks: [{ kind: 'heading', id, level, runs: [...runs, { text: ` (${count})` }] }],
        },
      ],
    },
  ],
});

const bare = ({ id, level }: Heading): Finding => ({
  kind: 'bare-heading',
  block: id,
  detail: { is: 'level', level },
  repairs: [makeText(id)],
});

const lone = ({ blocks }: DocumentModel, { id, level }: Heading, above: Heading, text: string): Finding => ({
  kind: 'lone-sub-heading',
  block: id,
  detail: { is: 'under', text: text.slice(0, 60) },
  repairs: [raise(blocks, id, level - above.level)],
});

/** Raises a heading by so many levels, with those below it. */
const raise = (blocks: readonly Block[], id: BlockId, by: number): Repair => ({
  name: 'raise',
  changes: [
    {
      kind: 'shape',
      shapes: branchOf(blocks, id).flatMap((block) =>
        block.kind === 'heading'
          ? [{ block: block.id, as: { kind: 'heading', level: Math.max(1, block.level - by) as Level } } as const]
          : [],
      ),
    },
  ],
});

/** The block behind each heading that is not a break. */
function nextHeadings(blocks: readonly Block[]): ReadonlyMap<BlockId, Block> {
  const next = new Map<BlockId, Block>();
  let behind: Block | undefined;
  for (const block of [...blocks].reverse()) {
    if (block.kind === 'heading' && behind !== undefined) next.set(block.id, behind);
    if (block.kind !== 'break') behind = block;
  }
  return next;
}

/** Headings with words directly below, the first two of them; a level that was skipped counts as below. */
function childrenOf(headings: readonly Heading[], at: number): readonly Heading[] {
  const { level } = headings[at]!;
  const children: Heading[] = [];
  let least = 7;
  for (let i = at + 1; i < headings.length && headings[i]!.level > level; i++) {
    if (headings[i]!.level <= least && runsText(headings[i]!.runs).trim() !== '') {
      least = headings[i]!.level;
      children.push(headings[i]!);
    }
    if (children.length > 1) break;
  }
  return children;
}

/** A title with a rest behind a colon, a dash or a full stop: the rest becomes the text below it. */
function divideTitle({ id, level, runs }: Heading): Repair | undefined {
  const text = runsText(runs);
  const match = /^(.{8,90}?)(?::\s+|\s+[–—-]\s+|[.?!]\s+)(?=\S)/.exec(text);
  if (match === null) return undefined;
  const end = match[1]!.length + (/[?!]/.test(text[match[1]!.length] ?? '') ? 1 : 0);
  return {
    name: 'divide',
    changes: [
      {
        kind: 'write',
        replaces: [id],
        after: null,
        blocks: [
          { kind: 'heading', id, level, runs: trimRuns(sliceRuns(runs, 0, end)) },
          {
            kind: 'paragraph',
            id: `${id}+1` as BlockId,
            runs: trimRuns(sliceRuns(runs, match[0].length, text.length)),
          },
        ],
      },
    ],
  };
}

const COVER_WORDS = 40;

/** Text that stands before the first heading, which would be a slide without a title of its own. */
export function beforeFirst(
  blocks: readonly Block[],
  headings: readonly Heading[],
  title: Block | undefined,
): readonly Finding[] {
  const first = blocks.findIndex(
    (block) =>
      blockWords(block) > 0 &&
      !(
        block.kind === 'paragraph' &&
        (block.role === 'title' || block.role === 'subtitle' || block.role === 'contents')
      ),
  );
  const block = blocks[first];
  if (block === undefined || block.kind === 'heading' || headings.length === 0) return [];
  const words = blocks.slice(first, blocks.indexOf(headings[0]!)).reduce((sum, one) => sum + blockWords(one), 0);
  // Names and a date below a title belong to the cover.
  if (title?.kind === 'paragraph' && words <= COVER_WORDS) return [];
  const level = headings[0]!.level;
  const text = blockText(block).trim();
  const [sentence = ''] = text.split(/(?<=[.!?…])\s/u);
  const start = sentence
    .split(/\s+/)
    .slice(0, 6)
    .join(' ')
    .replace(/[.,;:]$/, '');
  const short = countWords(text) <= 10 && 'runs' in block && block.kind !== 'footnote';
  return [
    {
      kind: 'text-before-heading',
      block: block.id,
      detail: { is: 'words', count: words },
      repairs: [
        short
          ? { name: 'make-heading', changes: [shape(block.id, level)] }
          : {
              name: 'add-heading',
              changes: [
                {
                  kind: 'write',
                  replaces: [],
                  after: blocks[first - 1]?.id ?? null,
                  blocks: [{ kind: 'heading', id: dividedBlock(block.id, 'h'), level, runs: [{ text: start }] }],
                },
              ],
            },
      ],
    },
  ];
}
