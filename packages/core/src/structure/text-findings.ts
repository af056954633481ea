/** Lists, paragraphs and pictures that slides show badly. */
import { countWords, runsText, sliceRuns, trimRuns, type Runs } from '../content/index.ts';
import { blockText, blockWords, lineMark, type Block, type MarkedLine } from '../document/index.ts';
import type { Finding } from './finding.ts';
import { dividedBlock } from '../ids/index.ts';

const LONGEST_PARAGRAPH = 150; // words
const DEEPEST_LIST = 5;

export function textFindings(blocks: readonly Block[]): readonly Finding[] {
  return blocks.flatMap((block): readonly Finding[] => {
    if (block.kind === 'listItem' && block.depth > DEEPEST_LIST) return [deep(block)];
    if (block.kind === 'picture' && block.picture !== undefined && block.alt === null) return [undescribed(block)];
    if (block.kind === 'paragraph' && blockWords(block) > LONGEST_PARAGRAPH) return [long(block)];
    return [];
  });
}

const deep = ({ id, depth, ordered }: Extract<Block, { kind: 'listItem' }>): Finding => ({
  kind: 'deep-list',
  block: id,
  detail: { is: 'depth', level: depth },
  repairs: [
    {
      name: 'flatten',
      changes: [{ kind: 'shape', shapes: [{ block: id, as: { kind: 'listItem', depth: DEEPEST_LIST, ordered } }] }],
    },
  ],
});

const undescribed = ({ id }: Block): Finding => ({
  kind: 'picture-undescribed',
  block: id,
  detail: null,
  repairs: [{ name: 'describe', ask: 'description', changes: [{ kind: 'describe', block: id, alt: '' }] }],
});

function long(block: Extract<Block, { kind: 'paragraph' }>): Finding {
  const { id } = block;
  const blocks = divideParagraph(block.runs)?.map(
    (runs, i) => ({ kind: 'paragraph', id: i === 0 ? id : dividedBlock(id, i), runs }) as const,
  );
  return {
    kind: 'long-paragraph',
    block: id,
    detail: { is: 'words', count: blockWords(block) },
    repairs:
      blocks === undefined
        ? []
        : [{ name: 'divide', changes: [{ kind: 'write', replaces: [id], after: null, blocks }] }],
  };
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

interface Line {
  readonly block: Block & { kind: 'paragraph' };
  readonly mark: MarkedLine;
}

/** Paragraphs in a row that begin with a bullet or count on: lists that were typed by hand. */
export function typedLists(blocks: readonly Block[]): readonly Finding[] {
  const found: Finding[] = [];
  for (let i = 0; i < blocks.length;) {
    const lines: Line[] = [];
    for (let at = i; at < blocks.length; at++) {
      const block = blocks[at]!;
      const mark = block.kind === 'paragraph' && block.role === undefined ? lineMark(blockText(block)) : undefined;
      if (block.kind !== 'paragraph' || mark === undefined || !goesOn(lines.at(-1)?.mark, mark)) break;
      lines.push({ block, mark });
    }
    if (lines.length >= 2) found.push(typed(lines));
    i += Math.max(1, lines.length);
  }
  return found;
}

const typed = (lines: readonly Line[]): Finding => ({
  kind: 'typed-list',
  block: lines[0]!.block.id,
  detail: { is: 'lines', count: lines.length },
  repairs: [
    {
      name: 'make-items',
      changes: [
        { kind: 'write', replaces: lines.map(({ block }) => block.id), after: null, blocks: lines.map(itemOf) },
      ],
    },
  ],
});

function itemOf({ block, mark }: Line) {
  const length = blockText(block).length;
  const ordered = mark.kind === 'number';
  const number = mark.number ?? 1;
  const counted = mark.mark === `${number}.` ? { number } : { number, label: mark.mark };
  return {
    kind: 'listItem',
    id: block.id,
    depth: 1,
    ordered,
    ...(ordered ? counted : {}),
    runs: trimRuns(sliceRuns(block.runs, length - mark.text.length, length)),
  } as const;
}

/** Whether a mark goes on with the list of the one before it. */
function goesOn(before: MarkedLine | undefined, mark: MarkedLine): boolean {
  if (mark.parts > 1) return false;
  if (before === undefined) return mark.kind === 'bullet' || mark.number === 1;
  return before.kind === mark.kind && (mark.kind === 'bullet' || mark.number === (before.number ?? 0) + 1);
}
