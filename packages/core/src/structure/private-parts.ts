/** Parts for the speaker only. */
import { runsText } from '../content/index.ts';
import { blockText, blockWords, type Block, type DocumentModel, type Heading } from '../document/index.ts';
import type { Turn } from './change.ts';
import type { Finding, FindingOptions } from './finding.ts';
import { isPrivate } from './private-headings.ts';
import { branchOf } from './restructure.ts';
import type { BlockId } from '../ids/index.ts';

const PRIVATE =
  /\b(speaker'?s?[ -]notes?|notes? (?:for|to) (?:the )?(?:speaker|presenter|chair|trainer|instructor|teacher|facilitator)|for the (?:speaker|presenter|chair|trainer|instructor|teacher|facilitator)(?: only)?|(?:trainer|instructor|teacher|presenter|facilitator)'?s? notes?|private (?:notes?|remarks?)|not for (?:distribution|the audience)|internal (?:notes?|only)|confidential remarks?)\b/i;

/** Parts that their heading or first words say are not for the audience: a proposal, never done unasked. */
export function privateParts(
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
      detail: { is: 'words', count: open.reduce((sum, one) => sum + blockWords(one), 0) },
      repairs: [
        { name: 'speak', changes: turn('notes') },
        { name: 'leave-out', changes: turn('out') },
      ],
    });
  };
  for (const heading of headings)
    if (
      !inside.has(heading.id) &&
      (isPrivate(runsText(heading.runs)) || PRIVATE.test(runsText(heading.runs)) || PRIVATE.test(heading.remark ?? ''))
    )
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
