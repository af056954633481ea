/** Looks through a document for what will make poor slides, each with the repairs that can be made of it. */
import { countWords, runsText, sliceRuns, trimRuns, type Runs } from '../content/index.ts';
import {
  blockText,
  blockWords,
  findTitle,
  lineMark,
  type Block,
  type BlockId,
  type DocumentModel,
  type Heading,
  type Level,
  type MarkedLine,
} from '../document/index.ts';
import type { StructureChange, Turn } from './change.ts';
import { branchOf } from './restructure.ts';

export type FindingKind =
  | 'skipped-level'
  | 'empty-heading'
  | 'long-title'
  | 'repeated-title'
  | 'text-before-heading'
  | 'bare-heading'
  | 'lone-sub-heading'
  | 'deep-list'
  | 'typed-list'
  | 'long-paragraph'
  | 'picture-undescribed'
  | 'contents-list'
  | 'running-head'
  | 'private-part';

/** Changes that put a finding right. `ask` says that the author has to give a text, which takes the place of `alt`. */
export interface Repair {
  readonly name: RepairName;
  readonly changes: readonly (StructureChange | Turn)[];
  readonly ask?: 'description';
}
export type RepairName =
  | 'raise'
  | 'make-text'
  | 'remove'
  | 'divide'
  | 'number'
  | 'add-heading'
  | 'make-heading'
  | 'flatten'
  | 'make-items'
  | 'describe'
  | 'leave-out'
  | 'speak';

export interface Finding {
  readonly kind: FindingKind;
  readonly block: BlockId;
  /** What it is about, shortened: `2 → 4`, `180 words`. */
  readonly detail: string;
  readonly repairs: readonly Repair[];
}

export interface FindingOptions {
  /** Whether a title fits its frame at a size that can be read. */
  readonly titleFits: (runs: Runs) => boolean;
  /** Destination of every block: what is left out or turned by hand needs no repair. */
  readonly settled?: (id: BlockId) => boolean;
}

const LONGEST_PARAGRAPH = 150; // words
const DEEPEST_LIST = 5;
const REPEATED = 4;

export function findings(document: DocumentModel, options: FindingOptions): readonly Finding[] {
  const blocks = document.blocks.filter(({ left }) => left === undefined);
  const title = findTitle(document.blocks);
  const headings = blocks.filter((block): block is Heading => block.kind === 'heading');
  const found = [
    ...headingFindings(document, blocks, headings, title, options),
    ...beforeFirst(blocks, headings, title),
    ...textFindings(blocks),
    ...typedLists(blocks),
    ...contentsLists(blocks),
    ...runningHeads(blocks),
    ...privateParts(document, headings, options),
  ];
  const places = new Map(document.blocks.map(({ id }, i) => [id, i]));
  return found.sort((a, b) => places.get(a.block)! - places.get(b.block)!);
}

const shape = (block: BlockId, level: Level): StructureChange => ({
  kind: 'shape',
  shapes: [{ block, as: { kind: 'heading', level } }],
});
const makeText = (block: BlockId): Repair => ({
  name: 'make-text',
  changes: [{ kind: 'shape', shapes: [{ block, as: { kind: 'paragraph' } }] }],
});

function headingFindings(
  document: DocumentModel,
  blocks: readonly Block[],
  headings: readonly Heading[],
  title: Block | undefined,
  { titleFits }: FindingOptions,
): readonly Finding[] {
  const found: Finding[] = [];
  const titles = new Map<string, number>();
  const next = nextHeadings(blocks);
  let before: Heading | undefined;
  headings.forEach((heading, i) => {
    const { id, level, runs } = heading;
    const text = runsText(runs).trim();
    if (text === '') {
      found.push({
        kind: 'empty-heading',
        block: id,
        detail: `level ${level}`,
        repairs: [{ name: 'remove', changes: [{ kind: 'leave', blocks: [id], as: 'deleted' }] }],
      });
      return;
    }
    const highest =
      before === undefined ? headings.reduce((least, one) => Math.min(least, one.level), 6) : before.level + 1;
    const above = before;
    before = heading;
    if (level > highest) {
      const by = level - highest;
      const branch = branchOf(document.blocks, id).filter((block): block is Heading => block.kind === 'heading');
      found.push({
        kind: 'skipped-level',
        block: id,
        detail: `${above === undefined ? 'first heading' : above.level} → ${level}`,
        repairs: [
          {
            name: 'raise',
            changes: [
              {
                kind: 'shape',
                shapes: branch.map((block) => ({
                  block: block.id,
                  as: { kind: 'heading', level: Math.max(1, block.level - by) as Level },
                })),
              },
            ],
          },
        ],
      });
    }
    if (!titleFits(runs)) {
      const parts = divideTitle(heading);
      found.push({
        kind: 'long-title',
        block: id,
        detail: `${countWords(text)} words`,
        repairs: [...(parts === undefined ? [] : [parts]), makeText(id)],
      });
    }
    const key = `${text.toLowerCase()}`;
    const count = (titles.get(key) ?? 0) + 1;
    titles.set(key, count);
    if (count > 1)
      found.push({
        kind: 'repeated-title',
        block: id,
        detail: `the ${count === 2 ? 'second' : `${count}th`} “${text.slice(0, 60)}”`,
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
    if (heading === title) return;
    const behind = next.get(id);
    if (behind === undefined || (behind.kind === 'heading' && behind.level <= level))
      found.push({ kind: 'bare-heading', block: id, detail: `level ${level}`, repairs: [makeText(id)] });
    const children = childrenOf(headings, i).filter((child) => runsText(child.runs).trim() !== '');
    if (children.length === 1 && i + 1 < headings.length)
      found.push({
        kind: 'lone-sub-heading',
        block: children[0]!.id,
        detail: `under “${text.slice(0, 60)}”`,
        repairs: [makeText(children[0]!.id)],
      });
  });
  return found;
}

/** Raises every heading that skips a level, and what stands below it, in one pass. */
export function raiseSkipped(blocks: readonly Block[]): StructureChange {
  const shapes: { block: BlockId; as: { kind: 'heading'; level: Level } }[] = [];
  const open: { was: number; is: number }[] = [];
  for (const block of blocks) {
    if (block.kind !== 'heading' || block.left !== undefined || runsText(block.runs).trim() === '') continue;
    while (open.length > 0 && open.at(-1)!.was >= block.level) open.pop();
    const above = open.at(-1);
    // What stands on the outermost level of the document keeps its level.
    const is = above === undefined ? block.level : Math.min(block.level, above.is + 1);
    open.push({ was: block.level, is });
    if (is !== block.level) shapes.push({ block: block.id, as: { kind: 'heading', level: is as Level } });
  }
  return { kind: 'shape', shapes };
}

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

/** Headings directly below; a level that was skipped counts as below. */
function childrenOf(headings: readonly Heading[], at: number): readonly Heading[] {
  const { level } = headings[at]!;
  const children: Heading[] = [];
  let least = 7;
  for (let i = at + 1; i < headings.length && headings[i]!.level > level; i++) {
    if (headings[i]!.level <= least) {
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

function beforeFirst(
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
  const start = text
    .split(/\s+/)
    .slice(0, 6)
    .join(' ')
    .replace(/[.,;:]$/, '');
  const short = countWords(text) <= 10 && 'runs' in block && block.kind !== 'footnote';
  return [
    {
      kind: 'text-before-heading',
      block: block.id,
      detail: `${words} words`,
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
                  blocks: [{ kind: 'heading', id: `${block.id}+h` as BlockId, level, runs: [{ text: start }] }],
                },
              ],
            },
      ],
    },
  ];
}

function textFindings(blocks: readonly Block[]): readonly Finding[] {
  return blocks.flatMap((block): readonly Finding[] => {
    if (block.kind === 'listItem' && block.depth > DEEPEST_LIST)
      return [
        {
          kind: 'deep-list',
          block: block.id,
          detail: `depth ${block.depth}`,
          repairs: [
            {
              name: 'flatten',
              changes: [
                {
                  kind: 'shape',
                  shapes: [{ block: block.id, as: { kind: 'listItem', depth: DEEPEST_LIST, ordered: block.ordered } }],
                },
              ],
            },
          ],
        },
      ];
    if (block.kind === 'picture' && block.picture !== undefined && block.alt === null)
      return [
        {
          kind: 'picture-undescribed',
          block: block.id,
          detail: '',
          repairs: [
            { name: 'describe', ask: 'description', changes: [{ kind: 'describe', block: block.id, alt: '' }] },
          ],
        },
      ];
    if (block.kind === 'paragraph' && blockWords(block) > LONGEST_PARAGRAPH) {
      const halves = divideParagraph(block.runs);
      return [
        {
          kind: 'long-paragraph',
          block: block.id,
          detail: `${blockWords(block)} words`,
          repairs:
            halves === undefined
              ? []
              : [
                  {
                    name: 'divide',
                    changes: [
                      {
                        kind: 'write',
                        replaces: [block.id],
                        after: null,
                        blocks: halves.map((runs, i) => ({
                          kind: 'paragraph',
                          id: (i === 0 ? block.id : `${block.id}+${i}`) as BlockId,
                          runs,
                        })),
                      },
                    ],
                  },
                ],
        },
      ];
    }
    return [];
  });
}

/** Parts of about equal length, each ending with a sentence and at most as long as a paragraph should be. */
function divideParagraph(runs: Runs): readonly Runs[] | undefined {
  const text = runsText(runs);
  const ends = [...text.matchAll(/[.!?…]["”’)]?\s+(?=[\p{Lu}\p{N}“"‘(])/gu)].map(
    (match) => match.index + match[0].length,
  );
  const count = Math.ceil(countWords(text) / LONGEST_PARAGRAPH);
  const cuts: number[] = [];
  let at = 0;
  for (let i = 1; i < count; i++) {
    const aim = (text.length * i) / count;
    // Ends are in order: the nearest is the last before the aim or the first behind it.
    while (at + 1 < ends.length && Math.abs(ends[at + 1]! - aim) <= Math.abs(ends[at]! - aim)) at++;
    const near = ends[at];
    if (near !== undefined && near > (cuts.at(-1) ?? 0)) cuts.push(near);
  }
  if (cuts.length === 0) return undefined;
  return [0, ...cuts].map((from, i) => trimRuns(sliceRuns(runs, from, cuts[i] ?? text.length)));
}

/** Paragraphs in a row that begin with a bullet or count on: lists that were typed by hand. */
function typedLists(blocks: readonly Block[]): readonly Finding[] {
  const found: Finding[] = [];
  for (let i = 0; i < blocks.length;) {
    const items: { readonly block: Block & { kind: 'paragraph' }; readonly mark: MarkedLine }[] = [];
    for (let at = i; at < blocks.length; at++) {
      const block = blocks[at]!;
      const mark = block.kind === 'paragraph' && block.role === undefined ? lineMark(blockText(block)) : undefined;
      if (block.kind !== 'paragraph' || mark === undefined || !goesOn(items.at(-1)?.mark, mark)) break;
      items.push({ block, mark });
    }
    if (items.length >= 2)
      found.push({
        kind: 'typed-list',
        block: items[0]!.block.id,
        detail: `${items.length} lines`,
        repairs: [
          {
            name: 'make-items',
            changes: [
              {
                kind: 'write',
                replaces: items.map(({ block }) => block.id),
                after: null,
                blocks: items.map(({ block, mark }) => {
                  const length = blockText(block).length;
                  const ordered = mark.kind === 'number';
                  return {
                    kind: 'listItem',
                    id: block.id,
                    depth: 1,
                    ordered,
                    ...(ordered ? { number: mark.number ?? 1 } : {}),
                    runs: trimRuns(sliceRuns(block.runs, length - mark.text.length, length)),
                  };
                }),
              },
            ],
          },
        ],
      });
    i += Math.max(1, items.length);
  }
  return found;
}

/** Whether a mark goes on with the list of the one before it. */
function goesOn(before: MarkedLine | undefined, mark: MarkedLine): boolean {
  if (mark.parts > 1) return false;
  if (before === undefined) return mark.kind === 'bullet' || mark.number === 1;
  return before.kind === mark.kind && (mark.kind === 'bullet' || mark.number === (before.number ?? 0) + 1);
}

/** Lines that end in a page number behind dots or a tab, three or more in a row, that no style marks as contents. */
function contentsLists(blocks: readonly Block[]): readonly Finding[] {
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
function runningHeads(blocks: readonly Block[]): readonly Finding[] {
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

const PRIVATE =
  /\b(speaker'?s?[ -]notes?|notes? (?:for|to) (?:the )?(?:speaker|presenter|chair|trainer|instructor|teacher|facilitator)|for the (?:speaker|presenter|chair|trainer|instructor|teacher|facilitator)(?: only)?|(?:trainer|instructor|teacher|presenter|facilitator)'?s? notes?|private (?:notes?|remarks?)|not for (?:distribution|the audience)|internal (?:notes?|only)|confidential remarks?)\b/i;

/** Parts that their heading or first words say are not for the audience: a proposal, never done unasked. */
function privateParts(
  document: DocumentModel,
  headings: readonly Heading[],
  { settled }: FindingOptions,
): readonly Finding[] {
  const found: Finding[] = [];
  const inside = new Set<BlockId>();
  const propose = (block: Block, parts: readonly Block[]): void => {
    const open = parts.filter((one) => settled?.(one.id) !== true && blockWords(one) > 0);
    if (open.length === 0) return;
    for (const one of parts) inside.add(one.id);
    const turn = (to: Turn['to']): readonly Turn[] => open.map((one) => ({ kind: 'turn', block: one.id, to }));
    found.push({
      kind: 'private-part',
      block: block.id,
      detail: `${open.reduce((sum, one) => sum + blockWords(one), 0)} words`,
      repairs: [
        { name: 'speak', changes: turn('notes') },
        { name: 'leave-out', changes: turn('out') },
      ],
    });
  };
  for (const heading of headings)
    if (!inside.has(heading.id) && (PRIVATE.test(runsText(heading.runs)) || PRIVATE.test(heading.remark ?? '')))
      propose(heading, branchOf(document.blocks, heading.id));
  for (const block of document.blocks) {
    if (block.left !== undefined || inside.has(block.id)) continue;
    if (block.kind !== 'heading' && PRIVATE.test(block.remark ?? '')) propose(block, [block]);
    if (block.kind !== 'paragraph' || inside.has(block.id)) continue;
    // `[Speaker note: …]` at the beginning marks one paragraph.
    const text = blockText(block);
    const mark = PRIVATE.exec(text.slice(0, 60));
    if (mark !== null && mark.index <= 2 && /^\s*[:\])–—-]/.test(text.slice(mark.index + mark[0].length)))
      propose(block, [block]);
  }
  return found;
}
